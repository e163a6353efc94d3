// Carries a day over to another network: what an edit, or the hour, has left of it keeps its order.
#pragma once
#include <vector>

#include "core/day/day.h"

namespace uovo::day {

/// For each task of a network how early its block comes in genes.
std::vector<size_t> rankOf(const schedule::Decoder& decoder, const schedule::Genes& genes, size_t tasks);

/// Puts blocks in the order of the first of their tasks. @param place of each task
void sortBlocks(const schedule::Blocks& blocks, const std::vector<double>& place, std::vector<int>& order);

/// Where the tasks of a network stood in the day before (into net.before), and the genes of that day for those that are
/// still there.
schedule::Genes carried(const DayPlan& before, schedule::Network& net);

/// The same after an edit: genes whose day keeps the clocks of the day before, opened where something comes in.
schedule::Genes opened(const DayPlan& before, schedule::Network& net);

/// The layout of the day before in the minutes and tasks of another day: what is still to be done, in which sittings.
/// @param modes of the other day's choices
schedule::Layout laidBefore(const DayPlan& before, const DayPlan& day, const std::vector<int>& modes);

}  // namespace uovo::day
