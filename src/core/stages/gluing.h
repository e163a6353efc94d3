// How long hands put a piece together, and where they have to wait until glue bears.
#pragma once
#include "core/stages/put_together.h"

namespace uovo {

/// A step of putting together as it is told: groups that are put together beside come before the step that they are put
/// on with.
struct ToldStep {
    const assembly::Order* order = nullptr;  ///< the whole one, or a group's
    size_t step = 0;                         ///< of it
    bool beside = false;
};
std::vector<ToldStep> toldSteps(const assembly::Order& order);

/// What is glued at one go, before glue has to bear.
struct Gluing {
    size_t first = 0, last = 0;  ///< steps as they are told
    double hands = 0;            ///< s a piece: set in place, glued, held, propped
    double wait = 0;             ///< s until the glue of the one before bears
};
/// Of a piece of several parts, at least one: where its order is not known all of it is one go.
std::vector<Gluing> gluings(const Made& made, const PutTogether* together, const material::Library& library);

/// s that hands wait between two goes at so many pieces: what was glued first bears while the others are glued.
double waitBetween(const Gluing& before, const Gluing& after, int pieces);

}  // namespace uovo
