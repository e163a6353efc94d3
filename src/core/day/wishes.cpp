// Who works when, what is kept free, and what a person wishes of the day, in the network's terms.
#include <fmt/format.h>

#include <algorithm>
#include <cmath>

#include "core/day/builder.h"
#include "core/quantity/catalogue.h"

namespace uovo::day {
namespace {

constexpr int kDay = 24 * 60;

}  // namespace

int Builder::minuteAt(int fromMidnight) const { return minuteOfDay(plan_, frame_.reserve, fromMidnight); }

void Builder::closed() {
    int days = 0;
    for (const auto& piece : plan_.pieces)
        if (const auto it = plan_.day.ahead.find(piece.id); it != plan_.day.ahead.end())
            days = std::max(days, it->second);
    const int morning = static_cast<int>(lib_.usual("morning") / 60),
              night = static_cast<int>(lib_.usual("night") / 60);
    for (int k = 1; k <= days; ++k)
        net_.closed.push_back({minuteAt(-k * kDay + night), minuteAt((1 - k) * kDay + morning)});
    if (days > 0) net_.horizon = std::max(net_.horizon, -minuteAt(-days * kDay + morning));
    for (const auto& f : plan_.day.free) net_.closed.push_back({minuteAt(f.from), minuteAt(f.to)});
    std::erase_if(net_.closed, [](const schedule::Span& s) { return s.from >= 0; });
    for (auto& s : net_.closed) s.to = std::min(s.to, 0);
}

std::vector<schedule::Span> Builder::hoursOf(const Worker& w) const {
    const auto from = clockMinutes(w.from), until = clockMinutes(w.until);
    if (!from && !until) return {};
    std::vector<schedule::Span> out;
    for (int k = net_.horizon / kDay + 1; k >= 0; --k) {
        schedule::Span now{minuteAt(-k * kDay + from.value_or(0)), minuteAt(-k * kDay + until.value_or(kDay))};
        now.from = std::max(now.from, -net_.horizon);
        now.to = std::min(now.to, 0);
        if (!until && k == 0 && now.from < 0) now.to = 0;  // stays to the end, past midnight too
        if (now.from >= now.to) continue;
        if (!out.empty() && out.back().to == now.from) out.back().to = now.to;
        else out.push_back(now);
    }
    // hours that meet nothing of the day
    if (out.empty()) out.push_back({-net_.horizon - 2, -net_.horizon - 1});
    return out;
}

void Builder::people() {
    const auto add = [&](const Worker& w, const std::string& name) {
        const int index = static_cast<int>(net_.people.size());
        const unsigned skills = (w.hot ? schedule::kHot : 0U) | (w.knife ? schedule::kKnife : 0U);
        net_.people.push_back({w.name.empty() ? name : w.name, hoursOf(w), skills | schedule::ownSkill(index), false});
        rests(index);
    };
    const auto& k = plan_.kitchen;
    add(k.cook, tr("you"));
    for (size_t i = 0; i < k.helpers.size(); ++i)
        add(k.helpers[i], k.helpers.size() == 1 ? tr("the helper") : say("helper {}", i + 1));
}

void Builder::rests(int person) {
    using Aim = DayWish::Aim;
    const Aim aim = plan_.day.aim;
    if (aim != Aim::Calm && aim != Aim::ShortSpells) {  // put where nothing minds, afterwards
        net_.people[static_cast<size_t>(person)].rests = true;
        net_.restEvery = static_cast<int>(std::lround(lib_.usual("restEvery") / 60));
        net_.restMinutes = static_cast<int>(std::lround(lib_.usual("rest") / 60));
        return;
    }
    const int rest = static_cast<int>(std::lround(lib_.usual("rest") / 60)),
              every = rest + static_cast<int>(
                                 std::lround(lib_.usual(aim == Aim::ShortSpells ? "shortSpell" : "restEvery") / 60));
    constexpr double kMissed = 30;  // min of starting earlier
    const auto& name = net_.people[static_cast<size_t>(person)].name;
    const auto& hours = net_.people[static_cast<size_t>(person)].there;
    for (int k = 1; k * every < net_.horizon; ++k) {
        const auto within = [&](const schedule::Span& s) { return s.from + every / 2 < -k * every; };
        if (!hours.empty() && std::none_of(hours.begin(), hours.end(), within)) continue;
        schedule::Task t;
        t.id = fmt::format("rest-{}/{}/rest", person + 1, k);
        t.title = person == 0 ? tr("Rest") : tr("Rest: ") + name;
        t.lane = "rest";
        t.minutes = rest;
        t.skills = schedule::ownSkill(person);
        t.earliest = -k * every - every / 4;
        t.latest = -k * every + every / 4 + rest;
        t.choice = static_cast<int>(net_.choices.size());
        net_.choices.push_back({t.id, {0, kMissed}});
        add(std::move(t));
    }
}

void Builder::madeBefore(const Piece& piece, size_t first) {
    const auto days = plan_.day.ahead.find(piece.id);
    if (days == plan_.day.ahead.end() || days->second < 1) return;
    const int evening = minuteAt(-days->second * kDay + static_cast<int>(lib_.usual("night") / 60));
    for (size_t i = first; i < net_.tasks.size(); ++i) net_.tasks[i].latest = std::min(net_.tasks[i].latest, evening);
}

void Builder::wishes() {
    using Aim = DayWish::Aim;
    auto& w = net_.wish;
    switch (plan_.day.aim) {
        case Aim::FewTemperings:
            w.sitting = 45, w.change = 0.5;
            break;
        case Aim::Calm:
            w.change = 3, w.burst = 2, w.interruption = 10;
            break;
        case Aim::Late:
        case Aim::Early:
        case Aim::ShortSpells:
        case Aim::FreeEvening:
            break;
    }
    for (auto& t : net_.tasks)
        for (const auto& pin : plan_.day.pins)
            if (pin.step == t.id) t.pin = minuteAt(pin.at);
    if (!frame_.doneBy) return;
    // What does not keep is filled late, and what follows on it later still.
    std::vector<char> fresh(net_.tasks.size(), 0);
    for (const auto& [task, piece] : perishable_) fresh[static_cast<size_t>(task)] = 1;
    if (serve_ >= 0) fresh[static_cast<size_t>(serve_)] = 1;
    for (bool changed = true; changed;) {
        changed = false;
        for (const auto& l : net_.lags)
            if (fresh[static_cast<size_t>(l.from)] && !fresh[static_cast<size_t>(l.to)])
                fresh[static_cast<size_t>(l.to)] = 1, changed = true;
    }
    for (const auto& [filling, task] : fillings_) fresh[static_cast<size_t>(task)] = 1;
    for (size_t i = 0; i < net_.tasks.size(); ++i)
        if (!fresh[i] && net_.tasks[i].lane != "rest")
            net_.tasks[i].latest = std::min(net_.tasks[i].latest, *frame_.doneBy);
}

}  // namespace uovo::day

namespace uovo {
namespace {

long midnightBefore(long local) { return local - local % (24 * 60L); }

}  // namespace

int minuteOfDay(const Plan& plan, int reserve, int fromMidnight) {
    const long deadline = localMinutes(plan.deadline).value_or(0);
    return static_cast<int>(minutesBetween(deadline, midnightBefore(deadline) + fromMidnight)) + reserve;
}

int fromMidnight(const Plan& plan, const DayPlan& day, int minute) {
    const long deadline = localMinutes(plan.deadline).value_or(0);
    return static_cast<int>(localMinutes(day.clock(minute)).value_or(deadline) - midnightBefore(deadline));
}

}  // namespace uovo
