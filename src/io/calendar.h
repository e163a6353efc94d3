// The day as a calendar that telephones and other programs read (iCalendar, RFC 5545).
#pragma once
#include <optional>

#include "core/day/lanes.h"

namespace uovo::io {

/// An entry for each block of work and each rest, with its steps as notes and an alarm five minutes before; times are
/// those of the clock on the wall, wherever it is read.
/// @param person whose work; none: everybody's @param now local minutes, when it was written
std::string calendarOf(const Plan& plan, const DayPlan& day, std::optional<size_t> person, long now);

}  // namespace uovo::io
