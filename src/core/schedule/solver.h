// Finds a day: starts by rules, then annealing. It stops by what it has tried, never by a clock: the same network gives
// the same day on any machine, under any load.
#pragma once
#include <functional>
#include <stop_token>

#include "core/schedule/decode.h"

namespace uovo::schedule {

struct Effort {
    int starts = 120;     ///< days laid by rules
    int decodes = 18000;  ///< days laid in all
    unsigned seed = 7;
    /// As much as a network of its size is worth while somebody waits: about half a second of a large day.
    static Effort quick(const Network& network);
};

struct Found {
    Layout layout;
    Genes genes;
    Decoder::Price price;
};

/// Told now and then. @param share of the effort, 0..1
using Progress = std::function<void(double share, const Found& best)>;

/// A day that keeps every window, or the one that breaks least; an error only when none can be laid out at all, with
/// the reason proved.
/// @param from genes to begin with, as those of the day before an edit
tl::expected<Found, Problem> layOut(const Network& network, const Effort& effort = {}, std::stop_token stop = {},
                                    const Genes* from = nullptr, const Progress& progress = {});

}  // namespace uovo::schedule
