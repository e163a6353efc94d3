// A laid out day as tasks that a person reads: what pots and people need is among them.
#include <fmt/format.h>

#include <algorithm>
#include <map>

#include "core/day/day.h"
#include "core/quantity/catalogue.h"
#include "core/quantity/words.h"
#include "core/temper/heat_balance.h"

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
            if (const int early = -asked_.horizon - day_.layout.start[i]; early > 0 && !day_.network.tasks[i].done)
                day_.layout.broken.push_back({schedule::Broken::Kind::Horizon, static_cast<int>(i), early});
    }

private:
    int add(schedule::Task task, int start, unsigned who) {
        if (task.pot >= 0) {
            task.potId = asked_.pots[static_cast<size_t>(task.pot)].id;
            task.takes = task.draw;
        }
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
        const auto lagAt = carried(asked_.lags, day_.network.lags), holdAt = carried(asked_.holds, day_.network.holds);
        for (auto b : found_.broken) {                                // those that a plain network has too
            if (b.kind == schedule::Broken::Kind::Horizon) continue;  // told of all that is done, below
            if (b.kind == schedule::Broken::Kind::Lag) b.of = lagAt[static_cast<size_t>(b.of)];
            else if (b.kind == schedule::Broken::Kind::Hold) b.of = holdAt[static_cast<size_t>(b.of)];
            else if (b.kind < schedule::Broken::Kind::FirstUse) b.of = at_[static_cast<size_t>(b.of)];
            else continue;
            day_.layout.broken.push_back(b);
        }
    }

    /// Lags or holds between tasks that are done, in the modes taken. @returns of each its index among those, or -1
    template <class T>
    std::vector<int> carried(const std::vector<T>& all, std::vector<T>& out) const {
        std::vector<int> index(all.size(), -1);
        for (size_t i = 0; i < all.size(); ++i) {
            T one = all[i];
            one.from = at_[static_cast<size_t>(one.from)];
            one.to = at_[static_cast<size_t>(one.to)];
            const bool off = one.choice >= 0 && found_.modes[static_cast<size_t>(one.choice)] != one.mode;
            if (off || one.from < 0 || one.to < 0) continue;
            one.choice = -1;
            index[i] = static_cast<int>(out.size());
            out.push_back(std::move(one));
        }
        return index;
    }

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
        t.potId = pot.id;
        t.makes = w.kind == PotWork::Kind::Burst ? 0 : w.mass;
        return t;
    }

    void pots() {
        std::vector<int> resource(asked_.pots.size(), -1), ready(found_.sittings.size(), -1),
            molten(found_.sittings.size(), -1);
        std::vector<std::map<std::string, int>> numbers(asked_.pots.size());
        for (const auto& w : found_.potWork) {
            const auto& pot = asked_.pots[static_cast<size_t>(w.pot)];
            const auto sitting = static_cast<size_t>(w.sitting);
            auto& number = numbers[static_cast<size_t>(w.pot)];
            const auto doIt = [&](const std::string& step, std::string title, bool tellAgain = false) {
                const int count = ++number[step];
                if (tellAgain && count > 1) title += tr(" again");
                return add(potTask(w, step, std::move(title), count), w.start, w.interrupts ? 0 : 1U << w.who);
            };
            const std::string much = format(w.mass, Dimension::Mass, units_);
            switch (w.kind) {
                case PotWork::Kind::Melt:
                    (pot.tempered ? molten : ready)[sitting] = doIt("melt", say("Melt {} of {}", much, pot.name), true);
                    break;
                case PotWork::Kind::Temper:
                    ready[sitting] = doIt("temper", say("Temper {} of {}", much, pot.name), true);
                    break;
                case PotWork::Kind::Mix:
                    ready[sitting] = doIt("colour", say("Divide off {} and colour it: {}", much, pot.name));
                    break;
                case PotWork::Kind::Warm:
                    ready[sitting] = doIt("warm", tr("Melt and temper a little ") + pot.name + tr(" in a cup"));
                    break;
                case PotWork::Kind::Burst:
                    doIt("burst", w.mass > temper::kByBursts
                                      ? tr("Feed the ") + pot.name + tr(" a little warm melted chocolate and stir")
                                      : tr("Warm the ") + pot.name + tr(" for a few seconds and stir"));
                    break;
            }
        }
        for (size_t s = 0; s < found_.sittings.size(); ++s) {
            const auto& sitting = found_.sittings[s];
            const auto p = static_cast<size_t>(sitting.pot);
            if (sitting.standing) ready[s] = at_[static_cast<size_t>(sitting.uses.front())];
            if (ready[s] < 0 || sitting.uses.empty()) continue;
            if (resource[p] < 0) {
                resource[p] = static_cast<int>(day_.network.resources.size());
                const bool cup = asked_.pots[p].base < 0 && asked_.pots[p].meltMinutes <= 0;
                day_.network.resources.push_back({(cup ? tr("cup of ") : tr("pot of ")) + asked_.pots[p].name, 1, "pot",
                                                  schedule::Resource::Kind::Pot, asked_.pots[p].id});
            }
            const int first = at_[static_cast<size_t>(sitting.uses.front())], last = lastOf(sitting.uses);
            day_.network.holds.push_back({resource[p], ready[s], last, 1});
            lag(ready[s], first, tr("the chocolate is ready"));
            if (molten[s] >= 0) lag(molten[s], ready[s], tr("it is molten"));
        }
        for (size_t s = 0; s < found_.sittings.size(); ++s)
            for (const int b : asked_.pots[static_cast<size_t>(found_.sittings[s].pot)].before)
                lag(at_[static_cast<size_t>(b)], molten[s] >= 0 ? molten[s] : ready[s], tr("it is chopped"));
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
            t.title = r.person == 0 ? tr("Rest") : tr("Rest: ") + asked_.people[static_cast<size_t>(r.person)].name;
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
