// A piece as a small sign: its own section in its own chocolate, or its picture where it has none.
#pragma once
#include <QPainter>
#include <QWidget>

#include "core/answers/answers.h"

namespace uovo::desktop {

/// Paints a piece into a box. @param asks is updated when a picture is there that is still painted
/// @returns false where nothing is known of it
bool paintPieceMark(QPainter& painter, const QRectF& box, const Piece& piece,
                    const std::shared_ptr<const PieceAnswers>& answers, QWidget* asks);
/// Paints a piece as it stands after so many coats, in its former until it is released.
void paintPieceState(QPainter& painter, const QRectF& box, const Piece& piece,
                     const std::shared_ptr<const PieceAnswers>& answers, int coats, bool released, QWidget* asks);
/// A pot or a cup, for steps that are about chocolate; something else of the kitchen without a colour.
void paintKitchenMark(QPainter& painter, const QRectF& box, const QColor& chocolate);

}  // namespace uovo::desktop
