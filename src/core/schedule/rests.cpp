#include "core/schedule/rests.h"

#include <algorithm>
#include <cmath>
#include <optional>

namespace uovo::schedule {
namespace {

/// What one person does, in order of time.
std::vector<Span> workOf(const Network& net, const Layout& day, size_t person) {
    std::vector<Span> out;
    for (size_t i = 0; i < net.tasks.size(); ++i)
        if (day.isDone(static_cast<int>(i)) && (day.who[i] >> person & 1))
            out.push_back({day.start[i], day.start[i] + net.tasks[i].minutes});
    for (const auto& w : day.potWork)
        if (static_cast<size_t>(w.who) == person && !w.interrupts) out.push_back({w.start, w.start + w.minutes});
    std::sort(out.begin(), out.end(), [](const Span& a, const Span& b) { return a.from < b.from; });
    return out;
}

class Pauses {
public:
    Pauses(const Network& net, Layout& day) : net_(net), day_(day), pause_(net.restMinutes) {}

    void run() {
        for (int many = 0; many < 60; ++many) {
            const auto at = best();
            if (!at) return;
            stop(*at);
        }
    }

private:
    /// Work of a person at a stretch, over gaps shorter than a rest.
    std::vector<Span> stretches(size_t person) const {
        std::vector<Span> out;
        for (const auto& b : workOf(net_, day_, person))
            if (!out.empty() && b.from - out.back().to < pause_) out.back().to = std::max(out.back().to, b.to);
            else out.push_back(b);
        return out;
    }

    /// The minute before which all stop: in the longest stretch, as near as may be to where a rest is wished.
    std::optional<int> best() const {
        std::vector<Span> all;
        for (size_t p = 0; p < net_.people.size(); ++p)
            if (net_.people[p].rests)
                for (const auto& s : stretches(p))
                    if (s.to - s.from > net_.restEvery + kSlack) all.push_back(s);
        std::sort(all.begin(), all.end(), [](const Span& a, const Span& b) { return a.to - a.from > b.to - b.from; });
        for (const auto& s : all) {
            const int parts = (s.to - s.from + net_.restEvery - 1) / net_.restEvery;
            const int wish = s.from + (s.to - s.from) / parts;  // equal spells
            std::optional<int> found;
            double least = net_.restEvery * 0.6;
            for (int t = s.from + kLeast; t <= s.to - kLeast; ++t) {
                const double away = std::abs(t - wish);
                if (away >= least) continue;
                if (const int bursts = minded(t); bursts >= 0 && away + 10 * bursts < least)
                    least = away + 10 * bursts, found = t;
            }
            if (found) return found;
        }
        return std::nullopt;
    }

    bool isThere(int person, int from, int to) const {
        const auto& p = net_.people[static_cast<size_t>(person)];
        for (const auto& c : net_.closed)
            if (from < c.to && to > c.from) return false;
        if (p.there.empty() || to <= -net_.horizon) return true;
        return std::any_of(p.there.begin(), p.there.end(), [&](const Span& s) { return from >= s.from && to <= s.to; });
    }

    /// @returns bursts of warmth that pots want in a pause before minute t; below 0: it may not be there
    int minded(int t) const {
        for (size_t i = 0; i < net_.tasks.size(); ++i) {
            const auto& task = net_.tasks[i];
            const int start = day_.start[i];
            if (start == kLeftOut || start >= t || task.done) continue;
            const int from = start - pause_, to = from + task.minutes;
            if (task.pin || from < -net_.horizon || (task.earliest != INT_MIN && from < task.earliest)) return -1;
            for (const auto& f : task.forbidden)
                if (from < f.to && to > f.from) return -1;
            for (size_t p = 0; p < net_.people.size(); ++p)
                if ((day_.who[i] >> p & 1) && !isThere(static_cast<int>(p), from, to)) return -1;
        }
        for (const auto& w : day_.potWork)
            if (w.start < t &&
                (w.start - pause_ < -net_.horizon || !isThere(w.who, w.start - pause_, w.start - pause_ + w.minutes)))
                return -1;
        for (const auto& l : net_.lags) {
            if (l.max < 0 || !day_.isDone(l.from) || !day_.isDone(l.to)) continue;
            if (l.choice >= 0 && day_.modes[static_cast<size_t>(l.choice)] != l.mode) continue;
            const int from = day_.start[static_cast<size_t>(l.from)], to = day_.start[static_cast<size_t>(l.to)];
            if (from < t && t <= to && to - from + pause_ > l.max) return -1;
        }
        for (const auto& r : net_.resources)  // what is taken at its own hours does not move with the day
            if (!r.taken.empty()) return -1;
        int bursts = 0;
        for (size_t s = 0; s < day_.sittings.size(); ++s) {
            const int more = mindedBy(static_cast<int>(s), t, nullptr);
            if (more < 0) return -1;
            bursts += more;
        }
        return bursts;
    }

    /// The same for one pot. @param add where its bursts are put
    int mindedBy(int index, int t, std::vector<PotWork>* add) const {
        const auto& s = day_.sittings[static_cast<size_t>(index)];
        const auto& pot = net_.pots[static_cast<size_t>(s.pot)];
        std::vector<Span> uses, warm;
        for (const int u : s.uses)
            uses.push_back({day_.start[static_cast<size_t>(u)],
                            day_.start[static_cast<size_t>(u)] + net_.tasks[static_cast<size_t>(u)].minutes});
        const PotWork *melt = nullptr, *ready = nullptr;
        for (const auto& w : day_.potWork) {
            if (w.kind == PotWork::Kind::Mix && std::find(s.mixes.begin(), s.mixes.end(), w.sitting) != s.mixes.end())
                uses.push_back({w.start, w.start + w.minutes});
            if (w.sitting != index) continue;
            if (w.kind == PotWork::Kind::Burst) warm.push_back({w.start, w.start + w.minutes});
            else if (w.kind == PotWork::Kind::Melt && pot.tempered) melt = &w;
            else ready = &w;
        }
        if (!ready || uses.empty()) return 0;
        std::sort(uses.begin(), uses.end(), [](const Span& a, const Span& b) { return a.from < b.from; });
        const auto parts = [&](int from, int to) { return from < t && t <= to; };
        const int readyEnd = ready->start + ready->minutes;
        if (melt && parts(melt->start, ready->start) &&
            ready->start - melt->start - melt->minutes + pause_ > pot.temperAfterMelt)
            return -1;
        if (parts(ready->start, uses.front().from) && uses.front().from - readyEnd + pause_ > pot.firstUse) return -1;
        if (parts(uses.front().from, uses.back().from) && uses.back().to - uses.front().from + pause_ > pot.length)
            return -1;
        for (size_t k = 1; k < uses.size(); ++k)
            if (parts(uses[k - 1].from, uses[k].from) && uses[k].from - uses[k - 1].to + pause_ > pot.idle) return -1;
        warm.insert(warm.end(), uses.begin(), uses.end());
        warm.push_back({ready->start, readyEnd});
        std::sort(warm.begin(), warm.end(), [](const Span& a, const Span& b) { return a.from < b.from; });
        // nobody rests before a pot that was made ready for what comes next
        int bursts = pot.tempered && parts((melt ? melt : ready)->start, uses.front().from) ? kStands : 0;
        int added = 0;
        const int usable = usableMinutes(pot, s.draw, s.bath);
        for (size_t k = 1; k < warm.size(); ++k) {
            if (!parts(warm[k - 1].from, warm[k].from)) continue;
            for (int last = warm[k - 1].to - pause_; warm[k].from - last > usable;) {
                const int at = std::min(last + std::max(1, usable * 3 / 5), warm[k].from - 1);
                const int who = warmer(at);
                ++bursts;
                if (who < 0 || ++added > 20) return -1;
                if (add) add->push_back({PotWork::Kind::Burst, s.pot, index, at, 1, who, s.draw + s.bath, true});
                last = at + 1;
            }
        }
        return bursts;
    }

    int warmer(int minute) const {
        for (size_t p = 0; p < net_.people.size(); ++p)
            if (!(kHot & ~net_.people[p].skills) && isThere(static_cast<int>(p), minute, minute + 1))
                return static_cast<int>(p);
        return -1;
    }

    void stop(int t) {
        std::vector<PotWork> more;
        for (size_t s = 0; s < day_.sittings.size(); ++s) mindedBy(static_cast<int>(s), t, &more);
        for (size_t i = 0; i < day_.start.size(); ++i)
            if (int& start = day_.start[i]; start != kLeftOut && start < t && !net_.tasks[i].done) start -= pause_;
        for (auto& w : day_.potWork)
            if (w.start < t) w.start -= pause_;
        for (size_t i = 0; i < day_.sittings.size(); ++i) {
            auto& s = day_.sittings[i];
            if (s.from < t) s.from -= pause_;
            s.to = INT_MIN;
            for (const int u : s.uses)
                s.to = std::max(s.to, day_.start[static_cast<size_t>(u)] + net_.tasks[static_cast<size_t>(u)].minutes);
            for (const auto& w : day_.potWork)
                if (w.kind == PotWork::Kind::Mix &&
                    std::find(s.mixes.begin(), s.mixes.end(), w.sitting) != s.mixes.end())
                    s.to = std::max(s.to, w.start + w.minutes);
        }
        day_.potWork.insert(day_.potWork.end(), more.begin(), more.end());
        std::stable_sort(day_.potWork.begin(), day_.potWork.end(),
                         [](const PotWork& a, const PotWork& b) { return a.start < b.start; });
        day_.begins -= pause_;
        day_.cost += net_.wish.start * pause_ + net_.wish.interruption * static_cast<double>(more.size());
    }

    static constexpr int kSlack = 20;  // min past what is wished that nobody minds
    static constexpr int kLeast = 20;  // min of work on either side of a rest
    static constexpr int kStands = 3;  // bursts that a pot left standing is as bad as

    const Network& net_;
    Layout& day_;
    const int pause_;
};

}  // namespace

std::vector<Layout::Rest> restsOf(const Network& net, const Layout& day) {
    std::vector<Layout::Rest> out;
    if (net.restEvery <= 0) return out;
    for (size_t p = 0; p < net.people.size(); ++p) {
        if (!net.people[p].rests) continue;
        const auto busy = workOf(net, day, p);
        const auto away = [&](int from, int to) {
            for (const auto& c : net.closed)
                if (from < c.to && to > c.from) return true;
            const auto& there = net.people[p].there;
            return !there.empty() && std::none_of(there.begin(), there.end(),
                                                  [&](const Span& s) { return from >= s.from && to <= s.to; });
        };
        for (size_t k = 1; k < busy.size(); ++k)
            if (const int gap = busy[k].from - busy[k - 1].to;
                gap >= net.restMinutes && !away(busy[k - 1].to, busy[k].from))
                out.push_back({static_cast<int>(p), busy[k - 1].to, gap});
    }
    std::stable_sort(out.begin(), out.end(), [](const auto& a, const auto& b) { return a.start < b.start; });
    return out;
}

void addRests(const Network& net, Layout& day) {
    if (net.restEvery > 0) Pauses(net, day).run();
    day.rests = restsOf(net, day);
}

}  // namespace uovo::schedule
