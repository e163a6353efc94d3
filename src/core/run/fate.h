// What luck brings to a rehearsal: how long steps and settings really take, what goes wrong.
#pragma once
#include <map>

#include "core/run/mishap.h"
#include "core/schedule/random.h"
#include "core/schedule/replay.h"

namespace uovo::run {

/// How often things go wrong; judgement, but for what a plan says of its pieces.
struct Luck {
    schedule::Scatter scatter;  ///< of hands and settings, as in the chance to be ready
    double calledAway = 0.01;   ///< chance at a step
    double potSets = 0.02;      ///< chance at a use of a pot
    double seizes = 0.002;      ///< chance at a use of a pot
    bool mishaps = true;
};

/// Draws, the same for the same seed and the same questions.
class Fate {
public:
    Fate(unsigned seed, const Luck& luck);

    /// How much longer than planned hands are at a step.
    double factor(const Step& step);
    /// NotYet, where what is looked at at `second` has not set; each step is asked once.
    std::optional<Event> notYet(const Run& run, const Step& step, double second);
    /// Happened, where something goes wrong at a step that was just done.
    std::optional<Event> mishap(const Run& run, const Step& step, const Plan& plan, const PlanFigures& known,
                                double second);

private:
    int broken(const Run& run, const Step& step, const Plan& plan, const PlanFigures& known);

    Luck luck_;
    schedule::Random random_;
    double cook_ = 0, setting_ = 0;
    std::map<std::string, double> kinds_;
    std::map<std::string, int> looked_;
};

}  // namespace uovo::run
