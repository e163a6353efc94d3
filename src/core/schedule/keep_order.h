// A day that has fallen behind, in the order in which it was laid: each step as it was planned, or as soon as it can.
#pragma once
#include <optional>

#include "core/schedule/network.h"

namespace uovo::schedule {

/// Keeps the order of a day: every step begins when it was to begin, or as soon after it as what it waits for, hands,
/// its pot and its place in the cold allow. Windows are kept by beginning what opens them later, where that is
/// possible; the others are said to be broken. It may end after minute 0: how much later says `ends`.
/// @param network tasks that are done stand at their pins @param was starts, hands, modes and sittings of what is left,
/// in minutes and tasks of `network`; a task that is not in it is new and comes before what waits for it @param now
/// nothing begins before this minute
/// @returns nothing where it cannot be done so: more is taken than stands in a pot, a last hour is missed, no place is
/// left in the cold, a new task fills a pot
std::optional<Layout> keepOrder(const Network& network, const Layout& was, int now);

}  // namespace uovo::schedule
