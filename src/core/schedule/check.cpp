// Whether a layout keeps what its network asks, minute by minute; shares nothing with what lays it out.
#include <fmt/format.h>

#include <algorithm>
#include <map>

#include "core/schedule/network.h"

namespace uovo::schedule {
namespace {

class Checker {
public:
    Checker(const Network& net, const Layout& layout) : net_(net), day_(layout) {}

    std::vector<Violation> run() {
        if (day_.start.size() != net_.tasks.size() || day_.who.size() != net_.tasks.size())
            return {{"The layout does not have a start for each task."}};
        if (day_.modes.size() != net_.choices.size()) return {{"The layout does not say each choice."}};
        for (size_t i = 0; i < net_.tasks.size(); ++i) task(static_cast<int>(i));
        for (size_t i = 0; i < net_.lags.size(); ++i) lag(static_cast<int>(i));
        hands();
        for (size_t r = 0; r < net_.resources.size(); ++r) resource(static_cast<int>(r));
        for (size_t p = 0; p < net_.pots.size(); ++p) pot(static_cast<int>(p));
        for (size_t s = 0; s < day_.sittings.size(); ++s) sitting(static_cast<int>(s));
        return std::move(out_);
    }

private:
    template <class... A>
    void wrong(fmt::format_string<A...> words, A&&... a) {
        out_.push_back({fmt::format(words, std::forward<A>(a)...)});
    }
    bool isOn(int choice, int mode) const { return choice < 0 || day_.modes[static_cast<size_t>(choice)] == mode; }
    const Task& of(int t) const { return net_.tasks[static_cast<size_t>(t)]; }
    int startOf(int t) const { return day_.start[static_cast<size_t>(t)]; }
    int endOf(int t) const { return startOf(t) + of(t).minutes; }
    bool isDone(int t) const { return startOf(t) != kLeftOut; }
    /// Whether the layout says that this window is broken by at least so many minutes.
    bool said(Broken::Kind kind, int index, int minutes) const {
        return minutes <= 0 || std::any_of(day_.broken.begin(), day_.broken.end(), [&](const Broken& b) {
                   return b.kind == kind && b.of == index && b.minutes >= minutes;
               });
    }

    void task(int i) {
        const Task& t = of(i);
        if (isDone(i) != isOn(t.choice, t.mode)) return wrong("“{}” is done or left out against its choice.", t.title);
        if (!isDone(i)) return;
        if (t.done) {
            if (startOf(i) != *t.pin || day_.who[static_cast<size_t>(i)] != 0)
                wrong("“{}” was done otherwise.", t.title);
            return;
        }
        if (endOf(i) > std::min(0, t.latest)) wrong("“{}” ends too late.", t.title);
        if (!said(Broken::Kind::Horizon, i, -net_.horizon - startOf(i))) wrong("“{}” lies before the day.", t.title);
        if (t.earliest != INT_MIN && !said(Broken::Kind::Earliest, i, t.earliest - startOf(i)))
            wrong("“{}” starts too early.", t.title);
        if (t.pin && !said(Broken::Kind::Pin, i, std::abs(startOf(i) - *t.pin)))
            wrong("“{}” has left its pin.", t.title);
        for (const auto& s : t.forbidden)
            if (startOf(i) < s.to && endOf(i) > s.from) wrong("“{}” lies where it must not.", t.title);
        int many = 0;
        for (size_t p = 0; p < 32; ++p)
            if (day_.who[static_cast<size_t>(i)] >> p & 1) {
                if (p >= net_.people.size()) return wrong("“{}” is done by nobody who is there.", t.title);
                if (t.skills & ~net_.people[p].skills) wrong("“{}” is not for {}.", t.title, net_.people[p].name);
                ++many;
            }
        if (many != t.hands) wrong("“{}” has {} pairs of hands and needs {}.", t.title, many, t.hands);
    }

    void lag(int i) {
        const Lag& l = net_.lags[static_cast<size_t>(i)];
        if (!isOn(l.choice, l.mode) || !isDone(l.from) || !isDone(l.to)) return;
        const int gap = startOf(l.to) - startOf(l.from);
        if (gap < l.min)
            wrong("“{}” begins {} min after “{}”; {} are needed.", of(l.to).title, gap, of(l.from).title, l.min);
        if (l.max >= 0 && !of(l.to).done && !said(Broken::Kind::Lag, i, gap - l.max))
            wrong("“{}” begins {} min after “{}”; at most {} are allowed.", of(l.to).title, gap, of(l.from).title,
                  l.max);
    }

    bool isThere(const Person& p, int minute) const {
        for (const auto& s : net_.closed)
            if (minute >= s.from && minute < s.to) return false;
        if (p.there.empty() || minute < -net_.horizon) return true;
        return std::any_of(p.there.begin(), p.there.end(),
                           [&](const Span& s) { return minute >= s.from && minute < s.to; });
    }

    void hands() {
        std::vector<std::map<int, std::string>> busy(net_.people.size());
        const auto take = [&](size_t p, int from, int to, const std::string& what) {
            for (int m = from; m < to; ++m) {
                if (!isThere(net_.people[p], m)) return wrong("{} is not there for “{}”.", net_.people[p].name, what);
                if (const auto [at, fresh] = busy[p].try_emplace(m, what); !fresh)
                    return wrong("{} does “{}” and “{}” at once.", net_.people[p].name, what, at->second);
            }
        };
        for (size_t i = 0; i < net_.tasks.size(); ++i)
            for (size_t p = 0; p < net_.people.size() && isDone(static_cast<int>(i)); ++p)
                if (day_.who[i] >> p & 1)
                    take(p, startOf(static_cast<int>(i)), endOf(static_cast<int>(i)), net_.tasks[i].title);
        for (const auto& w : day_.potWork) {
            const auto p = static_cast<size_t>(w.who);
            if (p >= net_.people.size() || (kHot & ~net_.people[p].skills)) {
                wrong("A pot is worked on by who may not.");
                continue;
            }
            if (w.interrupts) {  // a moment beside what those hands do
                if (w.kind != PotWork::Kind::Burst || w.minutes != 1) wrong("More than a burst of warmth interrupts.");
                if (!isThere(net_.people[p], w.start)) wrong("{} is not there to warm a pot.", net_.people[p].name);
                continue;
            }
            take(p, w.start, w.start + w.minutes, "pot of " + net_.pots[static_cast<size_t>(w.pot)].name);
        }
        for (const auto& r : day_.rests) take(static_cast<size_t>(r.person), r.start, r.start + r.minutes, "rest");
    }

    void resource(int r) {
        const auto& of = net_.resources[static_cast<size_t>(r)];
        std::map<int, int> change;
        for (const auto& t : of.taken) change[t.when.from] += t.amount, change[t.when.to] -= t.amount;
        std::vector<int> mine;
        for (size_t i = 0; i < net_.holds.size(); ++i) {
            const Hold& h = net_.holds[i];
            if (h.resource != r || !isOn(h.choice, h.mode) || !isDone(h.from) || !isDone(h.to)) continue;
            if (endOf(h.to) < startOf(h.from)) wrong("A hold ends before it begins.");
            change[startOf(h.from)] += h.amount, change[endOf(h.to)] -= h.amount;
            mine.push_back(static_cast<int>(i));
        }
        int now = 0;
        for (const auto& [minute, by] : change) {
            now += by;
            if (now <= of.capacity || minute >= 0) continue;
            const bool declared = std::any_of(mine.begin(), mine.end(), [&](int i) {
                const Hold& h = net_.holds[static_cast<size_t>(i)];
                return startOf(h.from) <= minute && minute < endOf(h.to) &&
                       said(Broken::Kind::Hold, i, now - of.capacity);
            });
            if (!declared && now > std::max(of.capacity, takenAt(of, minute)))
                return wrong("{}: {} {} in use, {} there are.", of.name, now, of.unit, of.capacity);
        }
    }
    static int takenAt(const Resource& r, int minute) {
        int out = 0;
        for (const auto& t : r.taken)
            if (minute >= t.when.from && minute < t.when.to) out += t.amount;
        return out;
    }

    /// Uses of one pot do not overlap, each is in one sitting, and what must be done before it melts is.
    void pot(int p) {
        const Pot& pot = net_.pots[static_cast<size_t>(p)];
        std::map<int, int> at;  // minute → use
        std::map<int, int> sat;
        for (const auto& s : day_.sittings)
            if (s.pot == p)
                for (const int t : s.uses) {
                    ++sat[t];
                    if (of(t).pot != p &&
                        (of(t).pot < 0 || !of(t).small || net_.pots[static_cast<size_t>(of(t).pot)].small != p))
                        wrong("“{}” draws from a pot that is not its own.", of(t).title);
                    for (int m = startOf(t); m < endOf(t); ++m)
                        if (!at.try_emplace(m, t).second)
                            return wrong("“{}” and another use the pot of {} at once.", of(t).title, pot.name);
                }
        for (size_t t = 0; t < net_.tasks.size(); ++t)
            if (net_.tasks[t].pot == p && isDone(static_cast<int>(t)) && sat[static_cast<int>(t)] != 1) {
                const bool small =
                    net_.tasks[t].small && pot.small >= 0 &&
                    std::any_of(day_.sittings.begin(), day_.sittings.end(), [&](const PotSitting& s) {
                        return s.pot == pot.small && std::find(s.uses.begin(), s.uses.end(), t) != s.uses.end();
                    });
                if (!small) wrong("“{}” draws from no sitting, or from several.", net_.tasks[t].title);
            }
        for (const auto& w : day_.potWork)
            if (w.pot == p && w.kind == PotWork::Kind::Melt)
                for (const int b : pot.before)
                    if (isDone(b) && endOf(b) > w.start) wrong("“{}” is not done when the pot melts.", of(b).title);
    }

    void sitting(int index) {
        const PotSitting& s = day_.sittings[static_cast<size_t>(index)];
        const Pot& pot = net_.pots[static_cast<size_t>(s.pot)];
        std::vector<Span> spans;
        double draw = 0, bath = 0;
        for (const int t : s.uses) {
            spans.push_back({startOf(t), endOf(t)});
            draw += of(t).draw;
            bath = std::max(bath, of(t).bath);
        }
        const PotWork *ready = nullptr, *melt = nullptr;
        std::vector<Span> bursts;
        for (const auto& w : day_.potWork) {
            if (w.kind == PotWork::Kind::Mix && std::find(s.mixes.begin(), s.mixes.end(), w.sitting) != s.mixes.end()) {
                spans.push_back({w.start, w.start + w.minutes});
                draw += w.mass;
            }
            if (w.sitting != index) continue;
            if (w.kind == PotWork::Kind::Burst) bursts.push_back({w.start, w.start + w.minutes});
            else if (w.kind == PotWork::Kind::Melt) melt = &w;
            else ready = &w;
        }
        if (spans.empty()) return wrong("A pot of {} is tempered for nothing.", pot.name);
        std::sort(spans.begin(), spans.end(), [](const Span& a, const Span& b) { return a.from < b.from; });
        if (std::abs(draw - s.draw) > 1e-6 || std::abs(bath - s.bath) > 1e-6)
            wrong("A sitting of {} says other grams than its uses.", pot.name);
        if (draw + bath > pot.vessel + 1e-6 && !said(Broken::Kind::Vessel, index, 1))
            wrong("A sitting of {} does not fit its bowl.", pot.name);
        if (s.standing) return standing(s, pot);
        if (spans.back().to - spans.front().from > pot.length) wrong("A sitting of {} is too long.", pot.name);
        for (size_t i = 1; i < spans.size(); ++i)
            if (!said(Broken::Kind::Idle, index, spans[i].from - spans[i - 1].to - pot.idle))
                wrong("A pot of {} stands idle too long.", pot.name);
        if (!pot.tempered && pot.base < 0) std::swap(ready, melt);
        if (!ready) return wrong("A pot of {} is not made ready.", pot.name);
        using Kind = PotWork::Kind;
        const Kind kind = pot.base >= 0         ? Kind::Mix
                          : !pot.tempered       ? Kind::Melt
                          : pot.meltMinutes > 0 ? Kind::Temper
                                                : Kind::Warm;
        if (ready->kind != kind) wrong("A pot of {} is made ready in a wrong way.", pot.name);
        const int readyEnd = ready->start + ready->minutes, least = kind == Kind::Mix ? pot.mixMinutes
                                                                    : kind == Kind::Melt
                                                                        ? meltMinutes(pot, draw + bath)
                                                                        : temperMinutes(pot, draw + bath);
        if (ready->minutes < least) wrong("A pot of {} is made ready too quickly.", pot.name);
        if (readyEnd > spans.front().from) wrong("A pot of {} is used before it is ready.", pot.name);
        if (!said(Broken::Kind::FirstUse, index, spans.front().from - readyEnd - pot.firstUse))
            wrong("A pot of {} waits too long for its first use.", pot.name);
        int begins = ready->start;
        if (kind == Kind::Temper) {
            if (!melt) return wrong("A pot of {} is not melted.", pot.name);
            if (melt->minutes < meltMinutes(pot, draw + bath)) wrong("A pot of {} is melted too quickly.", pot.name);
            const int gap = ready->start - melt->start - melt->minutes;
            if (gap < 0) wrong("A pot of {} is tempered before it is molten.", pot.name);
            if (!said(Broken::Kind::Melted, index, gap - pot.temperAfterMelt))
                wrong("A pot of {} is tempered too long after it is molten.", pot.name);
            begins = melt->start;
        }
        if (!said(Broken::Kind::PotHorizon, index, -net_.horizon - begins))
            wrong("A pot of {} is begun before the day.", pot.name);
        spans.insert(spans.end(), bursts.begin(), bursts.end());
        std::sort(spans.begin(), spans.end(), [](const Span& a, const Span& b) { return a.from < b.from; });
        int warm = readyEnd, cold = 0;
        for (const auto& u : spans) {
            cold = std::max(cold, u.from - warm - usableMinutes(pot, draw, bath));
            warm = std::max(warm, u.to);
        }
        if (cold > 0 && std::none_of(day_.broken.begin(), day_.broken.end(),
                                     [&](const Broken& b) { return b.kind == Broken::Kind::Warmth && b.of == index; }))
            wrong("A pot of {} goes cold for {} min.", pot.name, cold);
        for (size_t k = 0; k < day_.sittings.size(); ++k) {  // none begins while this one is in use
            const auto& other = day_.sittings[k];
            if (static_cast<int>(k) == index || other.pot != s.pot || other.to < s.to) continue;
            for (const auto& w : day_.potWork)
                if (w.sitting == static_cast<int>(k) && w.kind != Kind::Burst && w.start < s.to &&
                    !said(Broken::Kind::Crossed, static_cast<int>(k), 1))
                    return wrong("Two sittings of {} cross.", pot.name);
        }
    }

    /// What was ready before has a task that was done, and no more than stands is taken of it.
    void standing(const PotSitting& s, const Pot& pot) {
        if (std::none_of(s.uses.begin(), s.uses.end(), [&](int t) { return of(t).done; }))
            wrong("A pot of {} is taken for ready.", pot.name);
        if (s.uses.size() > 1 && s.draw + s.bath > pot.standing + 1e-6)
            wrong("More {} is drawn than stands.", pot.name);
    }

    const Network& net_;
    const Layout& day_;
    std::vector<Violation> out_;
};

}  // namespace

std::vector<Violation> check(const Network& network, const Layout& layout) { return Checker(network, layout).run(); }

}  // namespace uovo::schedule
