// What a rehearsed day cost, by the habit that would have spared it.
#pragma once
#include "core/run/agenda.h"

namespace uovo::run {

struct Habit {
    std::string lesson;    ///< id of the lesson that practises it
    int times = 0;         ///< that it went wrong
    double minutes = 0;    ///< that mending and waiting took
    double kilograms = 0;  ///< of chocolate that went into mending
};

/// The lesson that practises a kind of step; "pace" where there is none.
std::string lessonOf(const std::string& kind);

/// The habits whose lack cost something in a run, the costliest first.
std::vector<Habit> habits(const Run& run, const PlanFigures& known);

/// "Letting go, 2 times: about 14 min and 120 g."
std::string habitWords(const Habit& habit, UnitSystem units);

}  // namespace uovo::run
