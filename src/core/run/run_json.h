// The log of a run as text: a line of JSON an event (docs/format.md, "Run").
#pragma once
#include <string_view>

#include "core/run/run.h"

namespace uovo::run {

/// What the clocks of a machine showed when an event was written.
struct Stamp {
    long long utc = 0;  ///< s since 1970, as the clock was set then
    double up = 0;      ///< s since the machine was started, sleep and all
    std::string start;  ///< a name of that start of the machine
    bool operator==(const Stamp&) const = default;
};

/// Seconds that passed between two stamps: by what no one sets, as long as the machine was not started again; else by
/// the clock, never below nothing.
double elapsed(const Stamp& before, const Stamp& now);

struct Logged {
    Event event;
    Stamp stamp;
};

/// First line of a log.
std::string headLine();
/// A line, its end included.
std::string lineOf(const Event& event, const Stamp& stamp);
/// An event alone, as an object.
std::string asJson(const Event& event);
/// @param line number of it, for what is said of it
tl::expected<Logged, Problem> readLine(std::string_view text, int line);

struct Log {
    Run run;
    Stamp last;         ///< of its last event
    bool torn = false;  ///< its last line was not whole, and is left out
    size_t whole = 0;   ///< bytes up to the end of the last whole line
};
/// A whole log. What is cut off at its end is left out; all else that is wrong is refused with its line.
tl::expected<Log, Problem> readLog(std::string_view text);

/// Words of the file for kinds of events and mishaps: "done", "happened"; "broke", "pot-set".
std::string wordOf(Kind kind);
std::string wordOf(Mishap mishap);
std::optional<Mishap> mishapOf(const std::string& word);

}  // namespace uovo::run
