// What a piece's card says after its wall: casts, joints in their order, what goes in, the lid on it.
#pragma once
#include "core/plan/answers.h"
#include "report/page.h"

namespace uovo::report {

/// What is cast, spread or piped, and how it sets: degrees, minutes, what to look for; nothing where all of it is coated or modeled.
void paintCasts(Page& page, const Plan& plan, const Piece& piece, const PieceAnswers& answers);
/// Joints of a piece that is put together, each with its glue line; nothing of others.
void paintJoints(Page& page, const Plan& plan, const material::Library& library, const Piece& piece, const PieceAnswers& answers);
/// Filling with its recipe for all pieces, when it is good, lid and cautions; nothing where it stays empty.
void paintInside(Page& page, const Plan& plan, const material::Library& library, const Piece& piece, const PieceAnswers& answers);

}  // namespace uovo::report
