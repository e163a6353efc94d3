// A piece drawn for its card: as it rests, seen from a corner, and the outlines of what is cut, with their sizes.
#pragma once
#include <QRectF>

#include "core/answers/answers.h"
#include "report/page.h"

namespace uovo::report {

/// The piece put together, shaded and decorated, in a rectangle of the page (mm).
void paintPicture(QPainter& p, const Piece& piece, const PieceAnswers& answers, const material::Library& library,
                  const QRectF& where);

/// Outlines of the sheets that are cut, each once with its length and width. Moves the page's pen down; nothing where
/// none is cut.
void paintOutlines(Page& page, QPainter& p, const form::Assembly& assembly, UnitSystem units);

}  // namespace uovo::report
