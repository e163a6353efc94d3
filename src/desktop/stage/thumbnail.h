// Small pictures of pieces, remembered until they change.
#pragma once
#include <QImage>
#include <memory>

#include "core/plan/answers.h"

namespace uovo::desktop {

/// A part or compound seen from a corner; transparent round it. Empty while there is no shape.
QImage thumbnail(const Piece& piece, const std::shared_ptr<const PieceAnswers>& answers, const QSize& pixels);
/// The usual part of a family, for the gallery. Costly the first time; may be called from any thread.
QImage familyThumbnail(const std::string& family, const QSize& pixels);

}  // namespace uovo::desktop
