// What would make a day easier: a few changes of the kitchen, each laid out.
#pragma once
#include <functional>
#include <memory>
#include <stop_token>

#include "core/day/day.h"

namespace uovo {

struct DayWay {
    std::string id;                     ///< "shelf", "hands", "sooner", "bench", or "without/<piece>"
    bool without = false;               ///< something is left out
    std::string words;                  ///< completes "with …": "a second shelf", or "without …": "crater bowls"
    int gain = 0;                       ///< min that the day begins later than it does now
    int begins = 0;                     ///< minute of its first step
    int mended = 0;                     ///< windows that are kept then and are not now
    std::function<void(Plan&)> change;  ///< makes it so; empty where that is not the plan's to change
};

/// What is known of a changed plan; null when it cannot be made.
using Refigure = std::function<std::shared_ptr<const PlanFigures>(const Plan&)>;

/// The ways that help, the best first. @param told after each that was tried: how many of how many
/// @param refigure for ways that change how pieces are made; without it those are not tried
std::vector<DayWay> dayWays(const Plan& plan, const material::Library& library, const PlanFigures& known,
                            const DayPlan& day, const Solve& solve, std::stop_token stop = {},
                            const std::function<void(int, int)>& told = {}, const Refigure& refigure = {});

}  // namespace uovo
