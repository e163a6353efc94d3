// Small pictures of pieces, remembered until they change.
#pragma once
#include <QImage>
#include <QWidget>
#include <memory>

#include "core/answers/answers.h"

namespace uovo::desktop {

/// A piece seen from a corner; transparent round it. Empty while there is no shape.
/// @param asks if given, the picture is painted on another thread and the widget updated when it is there; it is empty
/// until then
QImage thumbnail(const Piece& piece, const std::shared_ptr<const PieceAnswers>& answers, const QSize& pixels,
                 QWidget* asks = nullptr);
/// The usual part of a family, for the gallery. Costly the first time; may be called from any thread.
/// @param choices of its shape that are not the usual ones
QImage familyThumbnail(const std::string& family, const QSize& pixels, QRgb rim = 0,
                       const std::map<std::string, std::string>& choices = {});

}  // namespace uovo::desktop
