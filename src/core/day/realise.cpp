// A laid out day as tasks that a person reads: what pots and people need is among them.
#include <fmt/format.h>

#include <algorithm>
#include <map>

#include "core/day/day.h"
#include "core/quantity/words.h"

namespace uovo {
namespace {

using schedule::PotWork;

class Realiser {
public:
    Realiser(DayPlan& day, UnitSystem units) : day_(day), asked_(day.asked), found_(day.found.layout), units_(units) {}

    void run() {
        day_.network = {};
        day_.network.resources = asked_.resources;
        day_.network.people = asked_.people;
        day_.network.closed = asked_.closed;
        day_.network.horizon = asked_.horizon;
        day_.layout = {};
        day_.layout.begins = found_.begins;
        day_.layout.ends = found_.ends;
        day_.layout.cost = found_.cost;
        tasks();
        pots();
        rests();
        for (size_t i = 0; i < day_.layout.start.size(); ++i)
            if (const int early = -asked_.horizon - day_.layout.start[i]; early > 0)
                day_.layout.broken.push_back({schedule::Broken::Kind::Horizon, static_cast<int>(i), early});
    }

private:
    int add(schedule::Task task, int start, unsigned who) {
        task.pot = task.choice = -1;
        task.small = false;
        task.pin.reset();
        day_.network.tasks.push_back(std::move(task));
        day_.layout.start.push_back(start);
        day_.layout.who.push_back(who);
        return static_cast<int>(day_.network.tasks.size()) - 1;
    }

    void tasks() {
        at_.assign(asked_.tasks.size(), -1);
        for (size_t i = 0; i < asked_.tasks.size(); ++i)
            if (found_.isDone(static_cast<int>(i))) at_[i] = add(asked_.tasks[i], found_.start[i], found_.who[i]);
        const auto isOn = [&](int choice, int mode) {
            return choice < 0 || found_.modes[static_cast<size_t>(choice)] == mode;
        };
        std::vector<int> lagAt(asked_.lags.size(), -1);
        for (size_t i = 0; i < asked_.lags.size(); ++i) {
            schedule::Lag lag = asked_.lags[i];
            lag.from = at_[static_cast<size_t>(lag.from)];
            lag.to = at_[static_cast<size_t>(lag.to)];
            if (!isOn(lag.choice, lag.mode) || lag.from < 0 || lag.to < 0) continue;
            lag.choice = -1;
            lagAt[i] = static_cast<int>(day_.network.lags.size());
            day_.network.lags.push_back(std::move(lag));
        }
        std::vector<int> holdAt(asked_.holds.size(), -1);
        for (size_t i = 0; i < asked_.holds.size(); ++i) {
            schedule::Hold hold = asked_.holds[i];
            hold.from = at_[static_cast<size_t>(hold.from)];
            hold.to = at_[static_cast<size_t>(hold.to)];
            if (!isOn(hold.choice, hold.mode) || hold.from < 0 || hold.to < 0) continue;
            hold.choice = -1;
            holdAt[i] = static_cast<int>(day_.network.holds.size());
            day_.network.holds.push_back(hold);
        }
        for (auto b : found_.broken) {                                // those that a plain network has too
            if (b.kind == schedule::Broken::Kind::Horizon) continue;  // told of all that is done, below
            if (b.kind == schedule::Broken::Kind::Lag) b.of = lagAt[static_cast<size_t>(b.of)];
            else if (b.kind == schedule::Broken::Kind::Hold) b.of = holdAt[static_cast<size_t>(b.of)];
            else if (b.kind < schedule::Broken::Kind::FirstUse) b.of = at_[static_cast<size_t>(b.of)];
            else continue;
            day_.layout.broken.push_back(b);
        }
    }

    /// "246 g", or nothing for a spoonful.
    std::string grams(double kg) const { return format(kg, Dimension::Mass, units_); }

    schedule::Task potTask(const PotWork& w, const std::string& step, std::string title, int number) const {
        schedule::Task t;
        const auto& pot = asked_.pots[static_cast<size_t>(w.pot)];
        t.id = fmt::format("pot-{}/{}/{}", pot.id, number, step);
        t.title = std::move(title);
        t.lane = "melt";
        t.minutes = w.minutes;
        t.hands = w.interrupts ? 0 : 1;
        t.skills = schedule::kHot;
        t.step = step;
        t.cautions.emplace_back("hot-bowl");
        return t;
    }

    void pots() {
        std::vector<int> resource(asked_.pots.size(), -1), ready(found_.sittings.size(), -1),
            molten(found_.sittings.size(), -1);
        std::vector<std::vector<int>> bursts(found_.sittings.size());
        std::vector<std::map<std::string, int>> numbers(asked_.pots.size());
        for (const auto& w : found_.potWork) {
            const auto& pot = asked_.pots[static_cast<size_t>(w.pot)];
            const auto sitting = static_cast<size_t>(w.sitting);
            auto& number = numbers[static_cast<size_t>(w.pot)];
            const unsigned who = w.interrupts ? 0 : 1U << w.who;
            const auto again = [&](const std::string& step) { return ++number[step] > 1 ? " again" : ""; };
            switch (w.kind) {
                case PotWork::Kind::Melt: {
                    const char* more = again("melt");
                    const int t = add(potTask(w, "melt", fmt::format("Melt {} of {}{}", grams(w.mass), pot.name, more),
                                              number["melt"]),
                                      w.start, who);
                    (pot.tempered ? molten : ready)[sitting] = t;
                    break;
                }
                case PotWork::Kind::Temper: {
                    const char* more = again("temper");
                    ready[sitting] =
                        add(potTask(w, "temper", fmt::format("Temper {} of {}{}", grams(w.mass), pot.name, more),
                                    number["temper"]),
                            w.start, who);
                    break;
                }
                case PotWork::Kind::Mix:
                    again("colour");
                    ready[sitting] = add(
                        potTask(w, "colour", fmt::format("Divide off {} and colour it: {}", grams(w.mass), pot.name),
                                number["colour"]),
                        w.start, who);
                    break;
                case PotWork::Kind::Warm:
                    again("warm");
                    ready[sitting] =
                        add(potTask(w, "warm", "Melt and temper a little " + pot.name + " in a cup", number["warm"]),
                            w.start, who);
                    break;
                case PotWork::Kind::Burst:
                    again("burst");
                    bursts[sitting].push_back(add(
                        potTask(w, "burst", "Warm the " + pot.name + " for a few seconds and stir", number["burst"]),
                        w.start, who));
                    break;
            }
        }
        for (size_t s = 0; s < found_.sittings.size(); ++s) {
            const auto& sitting = found_.sittings[s];
            const auto p = static_cast<size_t>(sitting.pot);
            if (ready[s] < 0 || sitting.uses.empty()) continue;
            if (resource[p] < 0) {
                resource[p] = static_cast<int>(day_.network.resources.size());
                const bool cup = asked_.pots[p].base < 0 && asked_.pots[p].meltMinutes <= 0;
                day_.network.resources.push_back({(cup ? "cup of " : "pot of ") + asked_.pots[p].name, 1, "pot",
                                                  schedule::Resource::Kind::Pot, asked_.pots[p].id});
            }
            const int first = at_[static_cast<size_t>(sitting.uses.front())], last = lastOf(sitting.uses);
            day_.network.holds.push_back({resource[p], ready[s], last, 1});
            lag(ready[s], first, "the chocolate is ready");
            if (molten[s] >= 0) lag(molten[s], ready[s], "it is molten");
        }
        for (size_t p = 0; p < asked_.pots.size(); ++p)
            for (const int b : asked_.pots[p].before)
                for (size_t t = 0; t < day_.network.tasks.size(); ++t)
                    if (day_.network.tasks[t].step == "melt" &&
                        day_.network.tasks[t].id.starts_with("pot-" + asked_.pots[p].id + "/"))
                        lag(at_[static_cast<size_t>(b)], static_cast<int>(t), "it is chopped");
    }

    int lastOf(const std::vector<int>& uses) const {
        int last = at_[static_cast<size_t>(uses.front())];
        const auto end = [&](int t) {
            return day_.layout.start[static_cast<size_t>(t)] + day_.network.tasks[static_cast<size_t>(t)].minutes;
        };
        for (const int u : uses)
            if (const int t = at_[static_cast<size_t>(u)]; end(t) > end(last)) last = t;
        return last;
    }

    void lag(int from, int to, const char* why) {
        if (from < 0 || to < 0) return;
        day_.network.lags.push_back({from, to, day_.network.tasks[static_cast<size_t>(from)].minutes, -1, why});
    }

    void rests() {
        int number = 0;
        for (const auto& r : found_.rests) {
            schedule::Task t;
            t.id = fmt::format("kitchen/{}/rest", ++number);
            t.title = r.person == 0 ? "Rest" : "Rest: " + asked_.people[static_cast<size_t>(r.person)].name;
            t.lane = t.step = "rest";
            t.minutes = r.minutes;
            add(std::move(t), r.start, 1U << r.person);
        }
    }

    DayPlan& day_;
    const schedule::Network& asked_;
    const schedule::Layout& found_;
    UnitSystem units_;
    std::vector<int> at_;  // of each task asked for: its index among all
};

}  // namespace

void realise(DayPlan& day, UnitSystem units) { Realiser(day, units).run(); }

}  // namespace uovo
