// What a run is begun with and goes on with: the steps of a laid out day, how far it has come, what is left laid out
// anew.
#pragma once
#include <stop_token>
#include <vector>

#include "core/day/from_now.h"
#include "core/run/run.h"

namespace uovo::run {

inline constexpr double kBehind = 12;  ///< min behind from which the rest is laid out anew

/// The run of a plan's day begins. @param local minutes of the clock on the wall
Event begin(const Plan& plan, const PlanFigures& known, long local);

/// The steps of a day that are still to be done, as an event. @param begun local minutes at second 0 of the run @param
/// at s of the run
Event laid(const DayPlan& day, long begun, double at);

/// Steps of a day that were ticked before its run began, as done at their planned ends, in that order.
/// @param laid its steps @param ids those ticked @param until s of the run; none is done later
std::vector<Event> ticked(const Event& laid, const std::vector<std::string>& ids, double until);

/// Local minutes at a second of a run.
long localAt(const Run& run, double second);

/// Number of the plan's pot that a run's pot is of, its cup or what is only molten; none: of none of them.
std::optional<size_t> potNumber(const PlanFigures& known, const std::string& pot);

/// Steps that somebody is at: by their id, from when and until when, s of the run.
struct AtIt {
    double from = 0, to = 0;
};
using UnderWay = std::map<std::string, AtIt>;

/// What others are at in a second, as far as the plan says: the step before them, where its time has come.
/// @param but people, as bits, who are at nothing
UnderWay underWay(const Run& run, double second, unsigned but);

/// How far a run has come, for whoever lays out the rest.
DayNow nowOf(const Run& run, double second, const UnderWay& underWay = {});

/// What is left of a run, laid out anew (by a library with the plan's colours): its plan as it is wanted now, what is
/// made again, steps that no plan knew. What somebody is at stays as it is.
struct Anew {
    DayPlan day;
    Event event;                     ///< Laid
    int later = 0;                   ///< min that it is ready later than the deadline; below 0: sooner
    std::vector<std::string> moved;  ///< what is done more than a quarter of an hour later than it was to be, by titles
    std::vector<std::string> atRisk;  ///< windows that are lost, in words
};
tl::expected<Anew, Problem> layAnew(const Run& run, double second, const Plan& plan, const material::Library& library,
                                    const PlanFigures& known, const DayPlan& before, const UnderWay& underWay,
                                    std::stop_token stop = {});

}  // namespace uovo::run
