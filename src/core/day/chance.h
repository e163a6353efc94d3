// How likely a day is to be ready in time, and what an earlier start buys.
#pragma once
#include <stop_token>

#include "core/day/day.h"
#include "core/schedule/replay.h"

namespace uovo {

struct Chance {
    schedule::Chances asPlanned;
    double onTime = 0;  ///< share of such days that end by the deadline
    double whole = 1;   ///< share in which enough of every kind of piece is left whole
    struct Earlier {
        int minutes = 0;
        double onTime = 0;
    };
    std::vector<Earlier> earlier;  ///< the same, begun so many minutes sooner
    double ready() const { return onTime * whole; }
};

/// Plays a laid out day 500 times with hands and settings that scatter (docs/models.md, "Chance"). Some 0.1 s.
Chance chanceOf(const Plan& plan, const PlanFigures& known, const material::Library& library, const DayPlan& day,
                std::stop_token stop = {});

/// Minutes to keep free before the deadline, so that a share of such days is ready in time: in fives, from 5 to 300.
int reserveFor(const Chance& chance, double share);

}  // namespace uovo
