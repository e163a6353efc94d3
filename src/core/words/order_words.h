// How parts are put together, in words.
#pragma once
#include "core/stages/gluing.h"

namespace uovo {

/// A step of putting together.
struct OrderLine {
    std::string what;            ///< "Set the dome with its tube on the ceiling"
    std::string how;             ///< "Hold it 40 s." and what stands beside it
    std::vector<size_t> items;   ///< that come with it
    double length = 0;           ///< m of glue
    std::string glue;            ///< of `form::glues()`, of its last joint; empty where nothing is glued
    double hold = 0, bears = 0;  ///< s; 0 where nothing is held, or glued
    bool beside = false;         ///< it is part of a group that is put together beside the rest
    bool harm = false;           ///< it cannot be done so
};

/// The steps in their order; groups that are put together beside come before the step that they are put on with.
std::vector<OrderLine> orderLines(const PutTogether& together, const Made& made, UnitSystem units);
/// What of the whole does not stand, floats or cuts; empty where all is well.
std::vector<std::string> orderTroubles(const PutTogether& together, const Made& made, UnitSystem units);
/// How several are put together at once.
std::string eachBeforeTheNext(const std::vector<Gluing>& goes, int pieces);
/// What a cover, dome or lid leaves free over what it closes over; none where nothing does.
std::optional<Answer> coverAnswer(const PutTogether& together, const Made& made, UnitSystem units);
/// As an answer of the piece's column; none where there is nothing to put together.
std::optional<Answer> orderAnswer(const PutTogether& together, const Made& made, UnitSystem units);

}  // namespace uovo
