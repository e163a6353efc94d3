// Stencils: the figure they show, and the strip of paper it is cut from.
#pragma once
#include "core/stages/rim_ring.h"

namespace uovo {

/// The silhouette that a stencil shows (form::silhouettes()): what its step names, else a leaf.
std::string stencilFigure(const DecorateStep& step);
/// m across, of one opening.
double stencilSize(const std::optional<RimRing>& ring);

/// A piece of paper with openings, no longer than a sheet.
struct StencilStrip {
    std::string piece;  ///< its name
    form::Loop outline;
    std::vector<form::Loop> openings;
    double size = 0, spacing = 0;  ///< m, of an opening, and from one to the next
    form::Point2 words{};          ///< m, the middle of what is left to write on
    int laid = 1;                  ///< times it is laid beside itself to go round; of one without a ring 1
    int lastOnly = 0;              ///< openings that the last time still needs; 0: all of them
    bool round = false;            ///< goes round the rim
};

/// What is cut for a stencil; none where the step is no stencil. @param ring of the step, where it is repeated. Round a
/// rim it has as many openings as fit on paper and part the repeats evenly; over a face three rows that leave the share
/// open that is covered.
std::optional<StencilStrip> stencilStrip(const Piece& piece, const DecorateStep& step,
                                         const std::optional<RimRing>& ring);

}  // namespace uovo
