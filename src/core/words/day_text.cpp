// The day as a list of lines.
#include <fmt/format.h>

#include <set>

#include "core/day/lanes.h"
#include "core/quantity/catalogue.h"
#include "core/words/words.h"

namespace uovo {

std::string beforeWhen(const DayPlan& day, const Before& before, UnitSystem units) {
    const std::string clock = day.clock(before.latest);
    return say("{}, {} at the latest", dateInWords(clock.substr(0, 10)),
               clockInWords(*clockMinutes(clock.substr(11)), units));
}

std::string dayText(const Plan& plan, const material::Library& lib, const DayPlan& day, const Chance* chance,
                    std::optional<size_t> person) {
    if (!day.problem.empty()) return plan.name + "\n" + day.problem + "\n";
    const auto said = [&](int minute) { return day.said(minute, plan.units); };
    std::string out = say("{}: begin by {}, ready at {}\n", plan.name, said(day.layout.begins),
                          said(static_cast<int>(day.minuteOf(localMinutes(plan.deadline).value_or(0)))));
    if (const std::string sure = chance ? chanceWords(plan, day, *chance) : ""; !sure.empty()) out += sure + "\n";
    for (const auto& b : brokenWindows(day, plan.units)) out += "! " + b + "\n";
    for (const auto& b : day.before)
        out += say("\n{}\n  {} ({} of hands)\n       {}\n", beforeWhen(day, b, plan.units), b.title,
                   format(b.minutes * 60.0, Dimension::Duration, plan.units), b.words);
    const auto order = stepsInOrder(day);
    const auto bursts = burstsAfter(day, order);
    std::string date;
    std::set<std::string> told;
    for (size_t i = 0; i < order.size(); ++i) {
        const size_t t = order[i];
        if (person && (day.layout.who[t] >> *person & 1) == 0) continue;
        const std::string clock = day.clock(day.layout.start[t]);
        if (const std::string today = clock.substr(0, 10); today != date) out += "\n" + (date = today) + "\n";
        const auto& task = day.network.tasks[t];
        out += say("{}  {} ({} min{})\n", said(day.layout.start[t]), task.title, task.minutes,
                   day.network.people.size() > 1 && !person ? ", " + whoInWords(day, t) : "");
        for (const auto& caution : cautionsOf(task, lib))  // each where it matters first
            if (told.insert(caution).second) out += "       ! " + caution + "\n";
        for (const auto& b : bursts[i]) out += "       " + burstWords(day, b, plan.units) + "\n";
    }
    return out;
}

}  // namespace uovo
