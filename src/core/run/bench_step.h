// A step as it is read at the bench, from a metre away: what to do, the two or three figures that matter, what to look
// for, what goes wrong.
#pragma once
#include "core/run/agenda.h"

namespace uovo::run {

struct BenchStep {
    std::string about;  ///< "Crater bowls 1–6, second coat"; empty: the kitchen
    std::string title;  ///< what to do, a sentence
    struct Big {
        std::string figure, label;  ///< "32 °C", "in the bowl"
    };
    std::vector<Big> figures;  ///< three at most
    std::vector<std::string> look, wrong;
    std::vector<std::string> cautions;  ///< sentences
};

/// @param library with the plan's colours
BenchStep benchStep(const Run& run, const Step& step, const Plan& plan, const material::Library& library,
                    const PlanFigures& known);

/// What a timer waits for, in a line: "Crater bowls 1–6: look, before they dull", "The dark couverture wants warmth".
std::string timerWords(const Run& run, const Timer& timer, const PlanFigures& known);

/// What is said aloud of a step.
std::string spokenStep(const BenchStep& step);

}  // namespace uovo::run
