// The shortest day, proved, for small networks whose pots are given as tasks.
#pragma once
#include <stop_token>

#include "core/schedule/network.h"

namespace uovo::schedule {

struct Proof {
    bool possible = false;   ///< asked about a network of this kind: no pots, choices or rests
    std::vector<int> start;  ///< of a day that is shorter than the one known; empty: none was found
    std::vector<unsigned> who;
    int length = 0;  ///< min from the first start to the end of the day, of the shortest known
    int bound = 0;   ///< min; no day is shorter
    long nodes = 0;
    bool proved() const { return possible && bound == length; }
};

/// Shortens a day by constraint search (Gecode) until it is proved the shortest or so many nodes are looked at.
/// @param known a layout that keeps every window; it may be none
Proof shortest(const Network& network, const Layout* known, long nodes, std::stop_token stop = {});

/// Minutes that no day is shorter than: chains of lags, hands, and what a resource can hold.
int lengthBound(const Network& network);

}  // namespace uovo::schedule
