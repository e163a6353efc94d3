// Tasks that windows tie together, and which of them must be laid before which, seen from the end of the day.
#pragma once
#include <vector>

#include "core/schedule/network.h"

namespace uovo::schedule {

/// Tasks whose places hang together closely: they are laid at one go.
struct Blocks {
    std::vector<std::vector<int>> tasks;  ///< of each block
    std::vector<int> of;                  ///< block of each task
    std::vector<std::vector<int>> waits;  ///< of each block: the blocks that stand before it is laid, later in the day
};

/// Joins tasks by windows narrower than `window` minutes; what waits for each other in a ring is joined too.
Blocks blocksOf(const Network& network, int window = 180);

}  // namespace uovo::schedule
