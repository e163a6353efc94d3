// The day as tasks, lags between their starts, and things that are in use for a while.
#pragma once
#include <string>
#include <tl/expected.hpp>
#include <vector>

#include "core/quantity/quantity.h"

namespace uovo::schedule {

/// A short attended task. Whole minutes.
struct Task {
    std::string id;     ///< stable: "crater-bowl/2/dip/1"
    std::string title;  ///< for a person: "Dip bowls 1–6 again"
    std::string piece;  ///< id of the family, empty for the kitchen as a whole
    std::string lane;   ///< what it is about: "prepare", "melt", "coat", "cold", "look", "release", "finish"
    int minutes = 1;
    int hands = 1;
    int coat = 0, round = 0;            ///< 1 first; 0 where it has none
    std::vector<std::string> cautions;  ///< ids
    std::string which = {};             ///< the pieces of the round, "1–6"; empty when it is all of them
    std::string step = {};              ///< what is done, a key: "fill", "temper-1"
    std::string who = {};               ///< for a person: "crater bowls 1–6"
};

/// `min <= start(to) - start(from) <= max`, minutes; max < 0: none.
struct Lag {
    int from = 0, to = 0;
    int min = 0, max = -1;
    std::string why;  ///< "the first coat is firm", completes "…, because …"
};

/// `amount` of a resource is in use from the start of `from` to the end of `to`.
struct Hold {
    int resource = 0;
    int from = 0, to = 0;
    int amount = 0;
};

struct Resource {
    enum class Kind { Shelf, Freezer, Bench, Pot };
    std::string name;  ///< for a person: "fridge shelf", "pot of dark couverture"
    int capacity = 0;
    std::string unit;  ///< "cm²", "pot"
    Kind kind = Kind::Bench;
    std::string id = {};  ///< of a pot
};

struct Network {
    std::vector<Task> tasks;
    std::vector<Lag> lags;
    std::vector<Hold> holds;
    std::vector<Resource> resources;
    /// Order in which the solver places tasks, last of the day first; empty: by earliest possible start. Chains of one
    /// round stand together, so that their short maximum lags are met at once (docs/decisions.md).
    std::vector<int> order;
    int hands = 1;
    int helpers =
        -1;  ///< minutes before the end at which all but one pair of hands arrive; < 0: they are there all day
    int horizon = 16 * 60;  ///< minutes available before the end
};

/// Starts in minutes before the end of the day (positive numbers count back from it): start[i] in -horizon..0.
struct Layout {
    std::vector<int> start;
    int begins = 0;  ///< earliest start
    int ends = 0;    ///< latest end, 0 or before
    long failures = 0, restarts = 0;
    double seconds = 0;
};

struct SolveOptions {
    double mostSeconds = 6;
    unsigned seed = 7;
};

/// What a violated constraint says.
struct Violation {
    std::string sentence;
};

/// Checks every constraint of a layout without the solver's code: durations inside the horizon, lags, hands minute by
/// minute, holds minute by minute. Empty: the layout is right.
std::vector<Violation> check(const Network& network, const Layout& layout);

/// Bound on the day: longest path of the minimum lags; or the cycle of lags that contradicts itself.
struct LongestPath {
    bool contradiction = false;
    int minutes = 0;         ///< from the start of the first task to the end of the last
    std::vector<int> chain;  ///< tasks along it
};
LongestPath longestPath(const Network& network);

/// Why a network cannot be laid out, cheapest reason first: contradiction, longest path, hands, one hold alone too
/// large.
/// @returns empty when none of these shows it
std::vector<std::string> reasons(const Network& network);

}  // namespace uovo::schedule
