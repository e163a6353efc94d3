// What a piece should weigh at the bench, beside what the scale says.
#pragma once
#include <optional>

#include "core/run/agenda.h"

namespace uovo::run {

/// kg of chocolate on one piece of a step, as far as its coats and casts are done by then, this step too; none where
/// nothing is made yet, or what is in it, on it or beside it weighs too.
std::optional<double> plannedWeight(const Run& run, const Step& step, const Plan& plan, const PlanFigures& known);

/// "252 g are planned: 3 % more"; empty without a plan.
std::string comparedWeight(double kilograms, std::optional<double> planned, UnitSystem units);

}  // namespace uovo::run
