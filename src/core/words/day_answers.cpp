// What is said of a day.
#include <fmt/format.h>

#include <algorithm>
#include <cmath>

#include "core/words/words.h"

namespace uovo {
namespace {

std::string handsInWords(const Kitchen& k, UnitSystem units) {
    if (k.hands <= 1) return "your hands";
    if (k.helpersFrom.empty()) return fmt::format("{} pairs of hands", k.hands);
    return fmt::format("your hands, {} from {}",
                       k.hands == 2 ? "and a helper's" : fmt::format("and {} helpers'", k.hands - 1),
                       clockInWords(clockMinutes(k.helpersFrom).value_or(0), units));
}

}  // namespace

Answer dayAnswer(const Plan& plan, const DayPlan& day, std::optional<long> now) {
    Answer a;
    a.id = "day";
    a.working = {"Start of the day",
                 "first plan found by start time, backwards from the deadline; every lag, hand and shelf is checked by "
                 "a second program",
                 {{"steps", std::to_string(day.network.tasks.size()), "", "from the plan"},
                  {"kept free before the deadline", "20 min", "10–40 min", "judgement"},
                  {"times a step takes", "", "", "common practice, no source; data/tasks.json"}},
                 "",
                 "The order is a good one, not the best one. Hands differ: see after the first evening.",
                 "Day"};
    if (!day.problem.empty()) {
        a.tone = Tone::Impossible;
        a.headline = "No day";
        a.sentence = day.problem;
        a.working.result = day.problem;
        return a;
    }
    const long toDeadline = day.minuteOf(localMinutes(plan.deadline).value_or(0));
    const std::string clock = day.said(day.layout.begins, plan.units);
    int hands = 0;
    for (const auto& t : day.network.tasks) hands += t.minutes;
    a.figure = {double(-day.layout.begins) * 60, 0, 0, Dimension::Duration};
    a.headline = clock;
    a.after = "start by";
    a.sentence =
        fmt::format("{} from the first step to the deadline, {} of work for {}.",
                    format(double(toDeadline - day.layout.begins) * 60, Dimension::Duration, plan.units),
                    format(hands * 60.0, Dimension::Duration, plan.units), handsInWords(plan.kitchen, plan.units));
    if (now && day.minuteOf(*now) > day.layout.begins) {
        a.tone = Tone::Impossible;
        a.sentence = day.minuteOf(*now) > toDeadline
                         ? "The time it must be ready has passed. Choose another day."
                         : fmt::format("You should have begun {} ago. Make fewer, or be ready later.",
                                       format(double(day.minuteOf(*now) - day.layout.begins) * 60, Dimension::Duration,
                                              plan.units));
    }
    a.working.result = clock;
    return a;
}

}  // namespace uovo
