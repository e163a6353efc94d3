// Local times and what a clock on the wall shows: read, said and counted. A local time is minutes since 1970-01-01.
#pragma once
#include <optional>
#include <string>

#include "core/quantity/quantity.h"

namespace uovo {

/// Local minutes of "2026-11-24T21:30"; empty when it is not a time.
std::optional<long> localMinutes(const std::string& deadline);
/// Minutes of the day of a clock time as a file or a person says it: "16:00", "4 pm", "6.30 p.m.", "18h30", "18",
/// "noon"; none when it is not one.
std::optional<int> clockMinutes(const std::string& words);
/// A clock time as it is said where these units are: "16:05", "4:05 pm". @param minutes of the day, 0 to 1439
std::string clockInWords(int minutes, UnitSystem units);
/// "4 August 2026" of "2026-08-04"; as it is where it is no date.
std::string dateInWords(const std::string& date);
/// The inverse of `localMinutes`.
std::string localTime(long minutes);
/// What a clock on the wall shows so many minutes after a local time, by this computer's time zone: the hours that
/// summer time takes or gives lie between. @param minutes may be below 0
std::string localTimeAfter(long local, long minutes);
/// Minutes that pass from one local time to another, in the same sense.
long minutesBetween(long from, long to);

}  // namespace uovo
