// What is said of a day.
#include <fmt/format.h>

#include <algorithm>
#include <cmath>
#include <set>

#include "core/quantity/catalogue.h"
#include "core/quantity/words.h"
#include "core/words/words.h"

namespace uovo {
namespace {

constexpr int kOverdue = 5;   // min after its end at which a step that is not ticked is overdue
constexpr int kMovedBy = 15;  // min from which a step counts as moved

std::string handsInWords(const Kitchen& k, UnitSystem units) {
    if (k.helpers.empty()) return tr("your hands");
    std::vector<std::string> words{tr("your hands")};
    for (const auto& h : k.helpers) {
        const auto from = clockMinutes(h.from);
        words.push_back((h.name.empty() ? tr("a helper's") : h.name + "'s") +
                        (from ? tr(" from ") + clockInWords(*from, units) : ""));
    }
    return listed(words);
}

/// One window that could not be kept, a sentence.
class BrokenTeller {
public:
    BrokenTeller(const DayPlan& day, UnitSystem units) : day_(day), net_(day.asked), units_(units) {}

    /// What begins before the day's hours.
    std::string beforeAnybody() const {
        int there = 0, outside = 0;
        for (const auto& p : net_.people)
            for (const auto& span : p.there) there += std::max(0, span.to - std::max(span.from, -net_.horizon));
        for (size_t i = 0; i < net_.tasks.size(); ++i)
            if (day_.found.layout.isDone(static_cast<int>(i)) && day_.found.layout.start[i] < -net_.horizon)
                outside += net_.tasks[i].minutes;
        if (std::ranges::any_of(net_.people, [](const schedule::Person& p) { return p.there.empty(); }))
            return say("It all takes {} more than a day of {}.", time(-net_.horizon - day_.layout.begins),
                       time(net_.horizon));
        if (there == 0)
            return say(
                "Nobody is there before {}, when all must be done. Other hours or another pair of hands "
                "would help.",
                day_.said(0, units_));
        return say(
            "{} of the work finds nobody: the hours of those who work come to {}. Longer hours, another "
            "pair of hands or fewer pieces would help.",
            time(outside), time(there));
    }

    std::string tell(const schedule::Broken& b) const {
        using Kind = schedule::Broken::Kind;
        switch (b.kind) {
            case Kind::Lag: {
                const auto& l = net_.lags[static_cast<size_t>(b.of)];
                return say("“{}” comes {} later than it may after “{}” ({}).", title(l.to), time(b.minutes),
                           title(l.from), l.why);
            }
            case Kind::Hold: {
                const auto& r = net_.resources[static_cast<size_t>(net_.holds[static_cast<size_t>(b.of)].resource)];
                return say("There is too little room for it all: {}, {:.0f} % over.", r.name,
                           100.0 * b.minutes / std::max(1, r.capacity));
            }
            case Kind::Earliest:
                return say("“{}” begins {} too early.", title(b.of), time(b.minutes));
            case Kind::Pin:
                return say("“{}” is {} from where it was pinned.", title(b.of), time(b.minutes));
            case Kind::Horizon:
            case Kind::PotHorizon:
                return beforeAnybody();
            case Kind::FirstUse:
                return say("The {} waits {} too long for its first use.", pot(b.of), time(b.minutes));
            case Kind::Melted:
                return say("The {} waits {} too long to be tempered.", pot(b.of), time(b.minutes));
            case Kind::Warmth:
                return say("Nobody is there to keep the {} warm.", pot(b.of));
            case Kind::Vessel:
                return say("One bowl does not hold the {}.", pot(b.of));
            case Kind::Crossed:
                return say("The {} wants two bowls at a time.", pot(b.of));
            case Kind::Idle:
                return say("The {} stands idle {} too long.", pot(b.of), time(b.minutes));
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

std::string inTen(double share) {
    const char* const kWords[]{tr("None"), tr("One"), tr("Two"),   tr("Three"), tr("Four"),
                               tr("Five"), tr("Six"), tr("Seven"), tr("Eight"), tr("Nine")};
    if (share >= 0.95) return tr("Nearly all");
    if (share < 0.05) return tr("Hardly any");
    return say("{} in ten", kWords[std::clamp(static_cast<int>(std::lround(share * 10)), 1, 9)]);
}

std::string chanceWords(const Plan& plan, const DayPlan& day, const Chance& chance) {
    for (const auto& b : day.found.layout.broken)  // a day that begins when nobody is there is not made
        if (b.kind == schedule::Broken::Kind::Horizon || b.kind == schedule::Broken::Kind::PotHorizon) return "";
    const std::string ready = inTen(chance.onTime);
    std::string out = say("{} such days are ready by {}.", ready,
                          day.said(day.minuteOf(localMinutes(plan.deadline).value_or(0)), plan.units));
    for (const auto& e : chance.earlier)
        if (inTen(e.onTime) != ready) {
            out += say(" Begun {} earlier, {}.", format(e.minutes * 60.0, Dimension::Duration, plan.units),
                       lowerFirst(inTen(e.onTime)));
            break;
        }
    if (chance.asPlanned.risk >= 0 && chance.onTime < 0.9)
        out += say(" What most often makes it late: “{}”.",
                   day.network.tasks[static_cast<size_t>(chance.asPlanned.risk)].title);
    if (chance.whole < 0.8) out += say(" Enough pieces are left whole in {} of them.", lowerFirst(inTen(chance.whole)));
    return out;
}

std::string movedWords(const DayPlan& before, const DayPlan& now, UnitSystem units) {
    int moved = 0, fresh = 0, most = 0;
    const schedule::Task* which = nullptr;
    size_t at = 0;
    long was = 0;
    for (size_t i = 0; i < now.asked.tasks.size(); ++i) {
        const auto& t = now.asked.tasks[i];
        if (t.step == "rest" || !now.found.layout.isDone(static_cast<int>(i))) continue;
        const auto old = std::find_if(before.asked.tasks.begin(), before.asked.tasks.end(),
                                      [&](const schedule::Task& o) { return o.id == t.id; });
        const auto k = old - before.asked.tasks.begin();
        if (old == before.asked.tasks.end() || !before.found.layout.isDone(static_cast<int>(k))) {
            ++fresh;
            continue;
        }
        const long from = before.found.layout.start[static_cast<size_t>(k)] - minutesBetween(before.end, now.end);
        const int by = static_cast<int>(std::abs(now.found.layout.start[i] - from));
        moved += by > kMovedBy;
        if (by > most && by > kMovedBy) most = by, which = &t, at = i, was = from;
    }
    if (moved == 0) return fresh > 0 ? say("{} new steps; nothing else has moved.", fresh) : "";
    std::string out = moved == 1 ? tr("One step has moved") : say("{} steps have moved", moved);
    if (which)
        out += say(", “{}” most: from {} to {}", which->title, now.said(was, units),
                   now.said(now.found.layout.start[at], units));
    return out + (fresh > 0 ? say("; {} are new.", fresh) : ".");
}

std::string behindWords(const Plan& plan, const DayPlan& day, long now) {
    const auto deadline = localMinutes(plan.deadline);
    if (!day.problem.empty() || !deadline || now > *deadline) return "";
    const std::set<std::string> ticked(plan.day.done.begin(), plan.day.done.end());
    const long minute = day.minuteOf(now);
    int due = 0, done = 0;
    for (size_t i = 0; i < day.network.tasks.size(); ++i) {
        const auto& t = day.network.tasks[i];
        if (t.step == "burst" || t.step == "rest" || t.step == "standing") continue;
        if (day.layout.start[i] + t.minutes + kOverdue > minute) continue;
        ++due;
        done += ticked.contains(t.id);
    }
    if (due == done) return "";
    return say("By {} {} to be done, {} ticked. Begun at the bench now, what is left is laid out anew.",
               day.said(minute, plan.units), sayMany("{} step was", "{} steps were", due),
               done == 0   ? tr("none is")
               : done == 1 ? tr("one is")
                           : say("{} are", done));
}

Answer dayAnswer(const Plan& plan, const DayPlan& day, std::optional<long> now) {
    Answer a;
    a.id = "day";
    a.working = {
        tr("Start of the day"),
        tr("laid out backwards from the deadline some thousand times, each a little other, the best kept; every "
           "window, hand, shelf and pot is checked by a second program"),
        {{tr("steps"), std::to_string(day.network.tasks.size()), "", tr("from the plan")},
         {tr("kept free before the deadline"), say("{} min", day.reserve), tr("10–40 min"),
          plan.day.chance > 0 ? tr("from the chance that is wished for") : tr("judgement")},
         {tr("times a step takes"), "", "", tr("common practice, no source; data/tasks.json")}},
        "",
        tr("The order is a good one, not the best one. Hands differ: see after the first evening."),
        tr("Day")};
    if (!day.problem.empty()) {
        a.tone = Tone::Impossible;
        a.headline = tr("No day");
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
    a.after = tr("begin by");
    a.sentence = say("{} from the first step to the deadline, {} of work for {}.",
                     format(double(toDeadline - day.layout.begins) * 60, Dimension::Duration, plan.units),
                     format(hands * 60.0, Dimension::Duration, plan.units), handsInWords(plan.kitchen, plan.units));
    const size_t whole = a.sentence.size();
    if (const auto broken = brokenWindows(day, plan.units); !broken.empty()) {
        a.tone = Tone::Weak;
        a.sentence += " " + broken.front();
        if (broken.size() > 1) a.sentence += say(" And {} more.", broken.size() - 1);
    }
    const auto ticked = [&](const schedule::Task& t) {
        return std::ranges::find(plan.day.done, t.id) != plan.day.done.end();
    };
    const bool over = now && day.minuteOf(*now) > toDeadline;
    if (now && day.minuteOf(*now) > day.layout.begins && (over || std::ranges::none_of(day.network.tasks, ticked))) {
        a.tone = Tone::Impossible;
        const std::string broken = a.sentence.substr(whole);
        a.sentence =
            over ? tr("The time it must be ready has passed. Choose another day.")
                 : say("You should have begun {} ago. Make fewer, or be ready later.",
                       format(double(day.minuteOf(*now) - day.layout.begins) * 60, Dimension::Duration, plan.units));
        if (!over) a.sentence += broken;
    }
    if (a.tone != Tone::Impossible)
        for (const auto& b : day.before) {
            if (!now || day.minuteOf(*now) <= b.latest) {
                a.sentence += fmt::format(" {}: {}.", b.title, beforeWhen(day, b, plan.units));
                continue;
            }
            a.tone = Tone::Weak;
            a.sentence += say(" {} had to be begun on {}: be ready later, or say that it is there.", upperFirst(b.of),
                              beforeWhen(day, b, plan.units));
        }
    a.working.result = clock;
    return a;
}

}  // namespace uovo
