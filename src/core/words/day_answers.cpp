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

/// One window that could not be kept, a sentence.
class BrokenTeller {
public:
    BrokenTeller(const DayPlan& day, UnitSystem units) : day_(day), net_(day.asked), units_(units) {}

    std::string tell(const schedule::Broken& b) const {
        using Kind = schedule::Broken::Kind;
        switch (b.kind) {
            case Kind::Lag: {
                const auto& l = net_.lags[static_cast<size_t>(b.of)];
                return fmt::format("“{}” comes {} later than it may after “{}” ({}).", title(l.to), time(b.minutes),
                                   title(l.from), l.why);
            }
            case Kind::Hold: {
                const auto& r = net_.resources[static_cast<size_t>(net_.holds[static_cast<size_t>(b.of)].resource)];
                return fmt::format("There is too little room for it all: {}, {:.0f} % over.", r.name,
                                   100.0 * b.minutes / std::max(1, r.capacity));
            }
            case Kind::Earliest:
                return fmt::format("“{}” begins {} too early.", title(b.of), time(b.minutes));
            case Kind::Pin:
                return fmt::format("“{}” is {} from where it was pinned.", title(b.of), time(b.minutes));
            case Kind::Horizon:
            case Kind::PotHorizon:
                return fmt::format("It all takes {} more than a day of {}.", time(-net_.horizon - day_.layout.begins),
                                   time(net_.horizon));
            case Kind::FirstUse:
                return fmt::format("The {} waits {} too long for its first use.", pot(b.of), time(b.minutes));
            case Kind::Melted:
                return fmt::format("The {} waits {} too long to be tempered.", pot(b.of), time(b.minutes));
            case Kind::Warmth:
                return fmt::format("Nobody is there to keep the {} warm.", pot(b.of));
            case Kind::Vessel:
                return fmt::format("One bowl does not hold the {}.", pot(b.of));
            case Kind::Crossed:
                return fmt::format("The {} wants two bowls at a time.", pot(b.of));
            case Kind::Idle:
                return fmt::format("The {} stands idle {} too long.", pot(b.of), time(b.minutes));
        }
        return {};
    }

private:
    const std::string& title(int task) const { return net_.tasks[static_cast<size_t>(task)].title; }
    std::string time(int minutes) const { return format(minutes * 60.0, Dimension::Duration, units_); }
    const std::string& pot(int sitting) const {
        return net_.pots[static_cast<size_t>(day_.found.layout.sittings[static_cast<size_t>(sitting)].pot)].name;
    }

    const DayPlan& day_;
    const schedule::Network& net_;
    UnitSystem units_;
};

}  // namespace

std::vector<std::string> brokenWindows(const DayPlan& day, UnitSystem units) {
    std::vector<std::string> out;
    for (const auto& b : day.found.layout.broken) {
        std::string said = BrokenTeller(day, units).tell(b);
        if (std::find(out.begin(), out.end(), said) == out.end()) out.push_back(std::move(said));
    }
    return out;
}

Answer dayAnswer(const Plan& plan, const DayPlan& day, std::optional<long> now) {
    Answer a;
    a.id = "day";
    a.working = {"Start of the day",
                 "laid out backwards from the deadline some thousand times, each a little other, the best kept; every "
                 "window, hand, shelf and pot is checked by a second program",
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
    for (const auto& t : day.network.tasks)
        if (t.step != "rest") hands += t.minutes * t.hands;
    a.figure = {double(-day.layout.begins) * 60, 0, 0, Dimension::Duration};
    a.headline = clock;
    a.after = "start by";
    a.sentence =
        fmt::format("{} from the first step to the deadline, {} of work for {}.",
                    format(double(toDeadline - day.layout.begins) * 60, Dimension::Duration, plan.units),
                    format(hands * 60.0, Dimension::Duration, plan.units), handsInWords(plan.kitchen, plan.units));
    if (const auto broken = brokenWindows(day, plan.units); !broken.empty()) {
        a.tone = Tone::Weak;
        a.sentence += " " + broken.front();
        if (broken.size() > 1) a.sentence += fmt::format(" And {} more.", broken.size() - 1);
    }
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
