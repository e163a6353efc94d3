// Repeats round a rim: how often a drip, a stencil or a spray comes back, and the paper ring that says where.
#pragma once
#include <optional>

#include "core/document/plan.h"
#include "core/form/outline.h"
#include "core/stages/made.h"

namespace uovo {

/// A ring of card that is laid round a rim, with a mark for each repeat.
struct RimRing {
    std::string piece;                ///< its name
    form::Loop inner, outer;          ///< m, its edges; the inner one lies round the rim
    std::vector<form::Point2> marks;  ///< on the inner edge, the first at the front
    double around = 0, spacing = 0;   ///< m along the rim, in all and from mark to mark
    int times() const { return static_cast<int>(marks.size()); }
};

/// The outline of the rim of a piece or of one of its parts (key; empty: all of it), m: what lies within a millimetre
/// of its upper edge, with its wall; convex.
form::Loop rimOf(const Made& made, const std::string& item = {});

/// Repeats of a decoration: as many as come nearest to what is wanted between them, evenly; none where it is not
/// repeated.
std::optional<RimRing> rimRing(const Piece& piece, const DecorateStep& step, const Made& made);

}  // namespace uovo
