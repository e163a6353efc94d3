// Lays a day out before its end: Gecode's first solution by start time with restarts, in mirrored time.
#pragma once
#include <stop_token>

#include "core/schedule/network.h"

namespace uovo::schedule {

/// As late as possible: time runs backwards from the end so that the first solution is the freshest day.
/// Deterministic for a seed unless the time limit strikes.
/// @returns a layout that `check` accepts; or the reasons why there is none, or that none was found in time
tl::expected<Layout, Problem> layOut(const Network& network, const SolveOptions& options = {},
                                     std::stop_token stop = {});

}  // namespace uovo::schedule
