#include "core/day/from_now.h"

#include <algorithm>
#include <climits>

#include "core/day/carry.h"
#include "core/quantity/catalogue.h"
#include "core/schedule/keep_order.h"

namespace uovo {
namespace {

constexpr int kMostLater = 3 * 24 * 60;  // min that a day may end after its deadline
constexpr int kClose = 6;                // min: the end is not looked for more closely
constexpr int kAbout = 12;               // min that a use of a pot that stands may be later than it was planned
constexpr int kStrict = 8;               // times that the end is moved before pots that stand may go cold
constexpr double kNothing = 1e-3;        // kg that nobody takes for a pot
constexpr double kTaken = 1e6;           // cost of the ways that were not taken
constexpr int kEnds = 6;                 // times that the end is moved for a day in its old order
constexpr int kShifts = 60;              // times that the end is moved in all

class Rest {
public:
    Rest(const Plan& plan, const material::Library& lib, const PlanFigures& known, const DayNow& now,
         const DayPlan& before)
        : plan_(plan), lib_(lib), known_(known), now_(now), before_(before) {
        for (size_t i = 0; i < before.asked.tasks.size(); ++i)
            if (const int start = before.found.layout.start[i]; start != schedule::kLeftOut)
                began_[before.asked.tasks[i].id] = *localMinutes(before.clock(start));
    }

    DayPlan run(int decodes, std::stop_token stop) {
        // the end lies in front of us, whatever the hour
        const long left = minutesBetween(now_.minute, localMinutes(plan_.deadline).value_or(0));
        const int wished = std::min(before_.reserve, static_cast<int>(left) - 1);
        int reserve = wished;
        std::optional<DayPlan> same = sameOrder(reserve, stop);
        const auto lost = [](const DayPlan& d) { return d.found.layout.broken.size(); };
        if (same && wished - reserve <= kClose && lost(*same) <= lost(before_)) return *std::move(same);
        DayPlan day = same ? *same : kept(reserve, stop);
        if (!day.problem.empty()) return day;
        relaxed_ = false;
        const auto better = [&](int at, int effort) {  // another order, with this end
            const schedule::Genes genes = day.found.genes;
            DayPlan other = lay(at, effort, &genes, stop);
            const bool can = other.problem.empty() && late(other) == 0;
            if (!can || (same && lost(other) > lost(day))) return false;
            if (at == reserve && same && lost(other) == lost(day)) return true;  // what is known is as good
            day = std::move(other), reserve = at;
            return true;
        };
        better(reserve, decodes / 2);
        for (int most = wished; most - reserve > kClose && !stop.stop_requested();) {  // no later than it must
            const int middle = reserve + (most - reserve + 1) / 2;
            if (!better(middle, decodes / 8)) most = middle - 1;
        }
        std::erase_if(day.found.layout.rests, [&](const auto& r) { return r.start < -day.asked.horizon; });
        realise(day, plan_.units);
        return day;
    }

private:
    /// Minutes by which what is left begins before now.
    static int late(const DayPlan& day) {
        int late = 0;
        for (const auto& b : day.found.layout.broken)
            if (b.kind == schedule::Broken::Kind::Horizon || b.kind == schedule::Broken::Kind::PotHorizon ||
                b.kind == schedule::Broken::Kind::Earliest)
                late = std::max(late, b.minutes);
        return late;
    }

    /// The day before in its order, each step as it was planned or as soon as it can be.
    /// @param reserve of the end wished for; of the end that it got
    std::optional<DayPlan> sameOrder(int& reserve, const std::stop_token& stop) {
        relaxed_ = true;
        for (int k = 0, at = reserve; k < kEnds && !stop.stop_requested(); ++k) {
            DayPlan day = framed(at);
            const schedule::Genes genes = day::carried(before_, day.asked);
            const schedule::Layout was = day::laidBefore(before_, day, genes.modes);
            auto kept = schedule::keepOrder(day.asked, was, static_cast<int>(day.minuteOf(now_.minute)));
            if (!kept) return std::nullopt;
            if (kept->ends > 0) {
                at -= kept->ends;
                continue;
            }
            day.found.layout = *std::move(kept);
            day.found.genes = schedule::Decoder(day.asked).near(day.found.layout.start, genes);
            realise(day, plan_.units);
            reserve = at;
            return day;
        }
        return std::nullopt;
    }

    /// The order of the day before, ended later until nothing of it lies behind us.
    /// @param reserve of the end wished for; of the end that it got
    DayPlan kept(int& reserve, const std::stop_token& stop) {
        DayPlan day;
        for (int k = 0; k < kShifts && !stop.stop_requested(); ++k) {
            relaxed_ = k > kStrict;
            day = lay(reserve, 1, nullptr, stop);
            const int by = day.problem.empty() ? late(day) : 0;
            if (by == 0 || by > kMostLater) break;
            reserve -= by + k / 4;
        }
        return day;
    }

    /// @param begin genes to begin with; null: those of the day before
    DayPlan lay(int reserve, int decodes, const schedule::Genes* begin, std::stop_token stop) {
        DayPlan day = framed(reserve);
        schedule::Genes genes = day::carried(before_, day.asked);
        genes = begin ? *begin : schedule::Decoder(day.asked).near(day.asked.before, std::move(genes));
        schedule::Effort effort;
        effort.decodes = std::max(1, decodes);
        effort.starts = effort.decodes / 4;
        if (auto found = schedule::layOut(day.asked, effort, std::move(stop), &genes)) day.found = std::move(*found);
        else day.problem = found.error().sentence;
        return day;
    }

    DayPlan framed(int reserve) {
        DayPlan day;
        const DayFrame frame{reserve, std::nullopt, now_.rounds};
        day.asked = dayNetwork(plan_, lib_, known_, frame);
        day.reserve = reserve;
        day.end = localMinutes(plan_.deadline).value_or(0) - reserve;
        const int minute = static_cast<int>(day.minuteOf(now_.minute));
        extra(day.asked);
        standing(day, minute);
        done(day);
        busy(day, minute);
        day.asked.horizon = std::max(1, -minute);
        return day;
    }

    /// What has been done stands; what follows on it waits for its real end.
    void done(DayPlan& day) const {
        auto& net = day.asked;
        for (auto& t : net.tasks) {
            if (t.done) continue;
            const auto it = now_.done.find(t.id);
            if (it == now_.done.end()) {
                const long minute = day.minuteOf(now_.minute);
                if (t.pin && *t.pin < minute) t.pin.reset();
                if (t.latest < minute + t.minutes) t.latest = 0;  // its evening is over
                continue;
            }
            if (t.choice >= 0)
                for (size_t mode = 0; auto& cost : net.choices[static_cast<size_t>(t.choice)].cost)
                    if (static_cast<int>(mode++) != t.mode) cost += kTaken;
            t.done = true;
            t.pin = static_cast<int>(day.minuteOf(it->second.from));
            t.minutes = std::max(1, static_cast<int>(it->second.to - it->second.from));
            t.hands = 0;
            t.skills = schedule::kAnything;
            t.pot = t.choice = -1;
            t.small = false;
            t.draw = t.bath = 0;
            t.latest = 0;
            t.earliest = INT_MIN;
            t.forbidden.clear();
        }
        std::erase_if(net.lags, [&](const schedule::Lag& l) { return net.tasks[static_cast<size_t>(l.to)].done; });
        for (auto& l : net.lags) {
            const auto& from = net.tasks[static_cast<size_t>(l.from)];
            if (!from.done) continue;
            auto& to = net.tasks[static_cast<size_t>(l.to)];
            // it was planned from its start; it really ended later or sooner
            const int more = from.minutes - lengths_[static_cast<size_t>(l.from)];
            l.min = std::max(0, l.min + more);
            to.earliest = std::max(to.earliest, *from.pin + l.min);
            if (l.max >= 0) l.max = std::max(0, l.max + more);
            l.soft = true;  // when it is lost it is lost
        }
    }

    void extra(schedule::Network& net) const {
        const auto find = [&](const std::string& id) {
            for (size_t i = 0; i < net.tasks.size(); ++i)
                if (net.tasks[i].id == id) return static_cast<int>(i);
            return -1;
        };
        for (const auto& x : now_.extra) {
            schedule::Task t;
            t.id = x.id;
            t.title = x.title;
            t.piece = x.piece;
            t.lane = "finish";
            t.step = "extra";
            t.minutes = std::max(1, x.minutes);
            for (size_t p = 0; p < net.pots.size() && !x.pot.empty(); ++p)
                if (net.pots[p].id == x.pot) {
                    t.pot = static_cast<int>(p);
                    t.draw = x.kilograms;
                    t.small = true;
                }
            const int at = static_cast<int>(net.tasks.size());
            net.tasks.push_back(std::move(t));
            if (const int after = find(x.after); after >= 0)
                net.lags.push_back(
                    {after, at, net.tasks[static_cast<size_t>(after)].minutes, -1, tr("it comes first")});
            if (const int before = find(x.before); before >= 0)
                net.lags.push_back({at, before, std::max(1, x.minutes), -1, tr("it is mended")});
        }
    }

    static bool isSpoonfulOf(const schedule::Network& net, const schedule::Task& t, int twin) {
        return t.small && t.pot >= 0 && net.pots[static_cast<size_t>(t.pot)].small == twin;
    }
    /// Whether a task takes from a pot, or from a colour that is divided off it.
    static bool takes(const schedule::Network& net, const schedule::Task& t, int pot) {
        return t.pot >= 0 &&
               (t.pot == pot || net.pots[static_cast<size_t>(t.pot)].base == pot || isSpoonfulOf(net, t, pot));
    }
    static bool isTwin(const schedule::Network& net, int pot) {
        return std::ranges::any_of(net.pots, [&](const schedule::Pot& p) { return p.small == pot; });
    }

    /// Pots that are warm: what follows may take from them.
    void standing(DayPlan& day, int minute) {
        auto& net = day.asked;
        lengths_.clear();
        for (const auto& t : net.tasks) lengths_.push_back(t.minutes);
        for (const auto& p : now_.pots) {
            const auto it = std::find_if(net.pots.begin(), net.pots.end(), [&](const auto& x) { return x.id == p.id; });
            if (it == net.pots.end() || p.kilograms < kNothing) continue;
            const int index = static_cast<int>(it - net.pots.begin());
            const int ends = static_cast<int>(day.minuteOf(p.since)), since = std::min(minute, ends),
                      wait = ends - since + 1;             // min from the start of what stands for it
            if (minute - since > it->idle) continue;       // it has gone cold: melted again like any other
            if (!p.ready && isTwin(net, index)) continue;  // a few spoonfuls are warmed anew
            if (std::ranges::none_of(net.tasks,
                                     [&](const auto& t) { return !now_.done.contains(t.id) && takes(net, t, index); }))
                continue;  // nobody wants it any more
            it->standing = p.kilograms;
            schedule::Task ready;
            ready.id = "standing/" + p.id;
            ready.title = say("The {} stands ready", it->name);
            ready.lane = "melt";
            ready.step = "standing";
            ready.pot = index;
            ready.hands = 0;
            ready.done = true;
            ready.pin = since - 1;
            const int at = static_cast<int>(net.tasks.size());
            int first = at;
            if (!relaxed_) serve(day, index, p.kilograms, minute);
            net.tasks.push_back(ready);
            lengths_.push_back(1);
            if (!p.ready) {  // tempered before anything takes from it
                schedule::Task temper;
                temper.id = "temper/" + p.id + "/" + std::to_string(p.since);  // each time it has set is one of its own
                temper.title = tr("Temper the ") + it->name;
                temper.lane = "melt";
                temper.step = "temper";
                temper.skills = schedule::kHot;
                temper.cautions.emplace_back("hot-bowl");
                temper.pot = index;
                temper.minutes = schedule::temperMinutes(*it, p.kilograms);
                temper.makes = p.kilograms;
                first = static_cast<int>(net.tasks.size());
                net.tasks.push_back(temper);
                lengths_.push_back(temper.minutes);
                net.lags.push_back({at, first, wait, -1, tr("it is molten")});
            }
            for (int t = 0; t < at; ++t)
                if (const auto& of = net.tasks[static_cast<size_t>(t)];
                    (of.pot == index || isSpoonfulOf(net, of, index)) && !now_.done.contains(of.id))
                    net.lags.push_back({first, t, p.ready ? wait : lengths_[static_cast<size_t>(first)], -1,
                                        tr("the chocolate is ready")});
        }
    }

    /// What was to be taken next from a pot that stands is taken about then: later it would be cold, and melted again.
    void serve(DayPlan& day, int pot, double kilograms, int minute) const {
        auto& net = day.asked;
        std::vector<std::pair<int, schedule::Task*>> next;  // by when they were to begin
        for (auto& t : net.tasks)
            if (const auto it = began_.find(t.id);
                it != began_.end() && t.pot == pot && !t.small && !now_.done.contains(t.id))
                next.emplace_back(static_cast<int>(day.minuteOf(it->second)), &t);
        std::ranges::stable_sort(next, {}, [](const auto& n) { return n.first; });
        double taken = 0, bath = 0;
        int end = minute;
        for (const auto& [start, t] : next) {
            taken += t->draw;
            bath = std::max(bath, t->bath);
            const int late = std::max(0, minute - next.front().first);
            if (taken + bath > kilograms + 1e-9 || start + late - end > net.pots[static_cast<size_t>(pot)].idle) return;
            end = start + late + t->minutes;
            t->latest = std::min(t->latest, end + kAbout);
        }
    }

    /// Who is still at something has no hands before it is done.
    void busy(DayPlan& day, int minute) const {
        for (const auto& [person, until] : now_.busy) {
            if (person < 0 || person >= static_cast<int>(day.asked.people.size())) continue;
            auto& there = day.asked.people[static_cast<size_t>(person)].there;
            const int free = static_cast<int>(day.minuteOf(until));
            if (free <= minute) continue;
            if (there.empty()) there.push_back({minute, 0});
            for (auto& s : there) s.from = std::max(s.from, free);
            std::erase_if(there, [](const schedule::Span& s) { return s.from >= s.to; });
            if (there.empty()) there.push_back({-1, 0});
        }
    }

    const Plan& plan_;
    const material::Library& lib_;
    const PlanFigures& known_;
    const DayNow& now_;
    const DayPlan& before_;
    std::map<std::string, long> began_;  // when each step was to begin in the day before, local minutes
    std::vector<int> lengths_;           // of each task as planned
    bool relaxed_ = false;               // pots that stand may go cold
};

}  // namespace

DayNow asPlanned(const DayPlan& day, long minute) {
    DayNow now;
    now.minute = minute;
    const auto local = [&](int m) { return *localMinutes(day.clock(m)); };
    const auto& net = day.asked;
    const auto& layout = day.found.layout;
    const int at = static_cast<int>(day.minuteOf(minute));
    const auto busy = [&](int person, int until) {
        long& b = now.busy.try_emplace(person, 0).first->second;
        b = std::max(b, local(until));
    };
    for (size_t i = 0; i < net.tasks.size(); ++i) {
        const int from = layout.start[i], to = from + net.tasks[i].minutes;
        if (from == schedule::kLeftOut || from >= at) continue;
        now.done[net.tasks[i].id] = {local(from), local(to)};
        for (int p = 0; to > at && p < static_cast<int>(net.people.size()); ++p)
            if (layout.who[i] >> p & 1) busy(p, to);
    }
    for (size_t s = 0; s < layout.sittings.size(); ++s) {
        const auto& sitting = layout.sittings[s];
        const auto& pot = net.pots[static_cast<size_t>(sitting.pot)];
        DayNow::Pot stands{pot.id, false, LONG_MIN, sitting.draw + sitting.bath};
        bool begun = false;
        for (const auto& w : layout.potWork) {
            if (w.sitting != static_cast<int>(s) || w.start >= at) continue;
            begun = true;
            stands.since = std::max(stands.since, local(w.start + w.minutes));
            stands.ready = stands.ready || w.kind != schedule::PotWork::Kind::Melt || !pot.tempered;
            if (w.start + w.minutes > at && !w.interrupts) busy(w.who, w.start + w.minutes);
        }
        bool left = false;
        for (const int u : sitting.uses) {
            const auto& t = net.tasks[static_cast<size_t>(u)];
            const int from = layout.start[static_cast<size_t>(u)];
            if (from >= at) {
                left = true;
                continue;
            }
            stands.kilograms -= t.draw;
            stands.since = std::max(stands.since, local(from + t.minutes));
        }
        for (const int mixed : sitting.mixes)
            for (const auto& w : layout.potWork)
                if (w.sitting == mixed && w.kind == schedule::PotWork::Kind::Mix) {
                    if (w.start >= at) left = true;
                    else stands.kilograms -= w.mass;
                }
        if (begun && left) now.pots.push_back(std::move(stands));
    }
    return now;
}

DayPlan layRest(const Plan& plan, const material::Library& lib, const PlanFigures& known, const DayNow& now,
                const DayPlan& before, int decodes, std::stop_token stop) {
    return Rest(plan, lib, known, now, before).run(decodes, stop);
}

}  // namespace uovo
