// When the bench rings for what waits, and when it keeps quiet.
#pragma once
#include <optional>

#include "core/run/run.h"

namespace uovo::run {

/// How somebody wants to hear the bench.
struct Aloud {
    double volume = 0.7;              ///< 0 to 1, as it is felt; 0: silent
    bool reads = false;               ///< each step is read aloud as it comes
    bool hours = false;               ///< there are quiet hours
    int from = 22 * 60, to = 7 * 60;  ///< min of the day; over midnight where `to` comes first
    bool operator==(const Aloud&) const = default;
};

/// Whether it keeps quiet at a minute of the day, by its hours; equal ends: never.
bool isQuiet(const Aloud& aloud, int minute);

/// What rings now.
struct Ring {
    bool late = false;  ///< of one of them it is nearly, or already, too late
    Timer timer;        ///< the most urgent of those that ring
};

/// Rings as a timer falls due, once more each minute until somebody answers, and in another way a minute before it is
/// too late.
class Alarm {
public:
    static constexpr double kAgain = 60;   ///< s between two rings for the same thing
    static constexpr double kBefore = 60;  ///< s before it is too late
    /// @param timers of the run now @param second of the run, rising; what is earlier than before starts it anew
    std::optional<Ring> pass(const std::vector<Timer>& timers, double second);

private:
    struct Rung {
        double at = 0;
        bool late = false;
    };
    std::map<std::string, Rung> rung_;  // by step or pot
    double last_ = 0;
};

}  // namespace uovo::run
