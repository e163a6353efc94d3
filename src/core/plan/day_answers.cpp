// What is said of a day, and where each piece stands at a minute of it.
#include <fmt/format.h>

#include <algorithm>
#include <cmath>
#include <map>

#include "core/plan/answers.h"

namespace uovo {
namespace {

std::string handsInWords(const Kitchen& k) {
    if (k.hands <= 1) return "your hands";
    if (k.helpersFrom.empty()) return fmt::format("{} pairs of hands", k.hands);
    return fmt::format("your hands, {} from {}",
                       k.hands == 2 ? "and a helper's" : fmt::format("and {} helpers'", k.hands - 1), k.helpersFrom);
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
    const std::string clock = day.clock(day.layout.begins).substr(11);
    int hands = 0;
    for (const auto& t : day.network.tasks) hands += t.minutes;
    a.figure = {double(-day.layout.begins) * 60, 0, 0, Dimension::Duration};
    a.headline = clock;
    a.after = "start by";
    a.sentence = fmt::format("{} from the first step to the deadline, {} of work for {}.",
                             format(double(toDeadline - day.layout.begins) * 60, Dimension::Duration, plan.units),
                             format(hands * 60.0, Dimension::Duration, plan.units), handsInWords(plan.kitchen));
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

std::vector<PieceState> statesAt(const Plan& plan, const DayPlan& day, int minute) {
    std::vector<PieceState> out;
    for (const auto& piece : plan.pieces) {
        std::map<int, std::pair<PieceState, int>> rounds;  // round → state and the start of what it is after
        for (const auto& t : day.network.tasks)
            if (t.piece == piece.id && t.round > 0) {
                PieceState& s = rounds[t.round].first;
                s.piece = piece.id;
                s.round = t.round;
                s.which = t.which;
                s.words = "not begun";
                rounds[t.round].second = -1000000;
            }
        for (size_t i = 0; i < day.layout.start.size(); ++i) {
            const auto& t = day.network.tasks[i];
            const int begin = day.layout.start[i];
            if (t.piece != piece.id || begin > minute || t.step == "make-filling") continue;
            const bool done = begin + t.minutes <= minute;
            for (auto& [round, entry] : rounds) {
                if (t.round != 0 && t.round != round) continue;
                auto& [s, latest] = entry;
                if (t.lane == "coat" && t.coat > 0 && done) s.coats = std::max(s.coats, t.coat);
                if (t.lane == "release" && done) s.released = true;
                if (t.step == "fill" && done) s.filled = true;
                if (begin < latest) continue;
                latest = begin;
                s.cold = t.lane == "cold" && done;
                s.words = !done                 ? t.title
                          : t.lane == "cold"    ? "in the cold"
                          : t.lane == "release" ? "off its former"
                          : t.step == "fill"    ? "filled"
                          : t.step == "wrap"    ? "boxed"
                          : t.lane == "prepare" ? "former ready"
                          : t.lane == "finish"  ? "trimmed"
                                                : "on the bench";
            }
        }
        for (auto& [round, entry] : rounds) out.push_back(entry.first);
    }
    return out;
}

}  // namespace uovo
