// The film of a piece in time, to be shown: what lies where while it is coated, sags, is turned and locks.
#pragma once
#include <functional>
#include "core/stages/made.h"

namespace uovo {

/// The coats of one former, frame by frame.
struct FilmHistory {
    form::Shape shape;        ///< the former; its thickness is left empty
    form::Pose pose;          ///< where the item stands in its assembly
    std::vector<int> corner;  ///< corner of the shape's mesh of each cell of a frame
    std::vector<coat::Frame> frames;
    std::vector<double> starts;  ///< s, of each coat
    double lasts = 0;            ///< s, all coats

    /// The shape with the wall of one frame, m of set chocolate.
    form::Shape at(size_t frame) const;
    double toSolid = 1;
};

/// Computes it on the piece's own triangles. @param item of an assembly (0 for single parts)
/// @returns the history, or why there is none ("stopped" when stopped)
tl::expected<FilmHistory, Problem> filmHistory(const Piece& piece, const Plan& plan, const material::Library& library,
                                               size_t item = 0, std::stop_token stop = {},
                                               const std::function<void(double)>& progress = {});

}  // namespace uovo
