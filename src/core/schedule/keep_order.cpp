#include "core/schedule/keep_order.h"

#include <algorithm>
#include <bit>
#include <map>
#include <set>
#include <tuple>

#include "core/schedule/pot_work.h"
#include "core/schedule/rests.h"

namespace uovo::schedule {
namespace {

constexpr int kRounds = 60;            // times that all is laid, each with what must not begin too soon put off
constexpr double kLost = 30;           // min of being late that a lost window is worth
constexpr int kFarOff = 10 * 24 * 60;  // min: no day is that long
constexpr int kUnknown = INT_MIN / 4;

class Keeper {
public:
    Keeper(const Network& net, const Layout& was, int now) : net_(net), was_(was), now_(now) {}

    std::optional<Layout> run() {
        if (!tasks() || !pots()) return std::nullopt;
        places();
        std::optional<std::vector<Node>> best;
        double least = 0;
        for (int k = 0; k < kRounds; ++k) {
            if (!lay()) break;
            if (const double price = lostAndLate(); !best || price < least) best = nodes_, least = price;
            if (!putOff()) break;
        }
        if (!best) return std::nullopt;
        nodes_ = *std::move(best);
        return told();
    }

private:
    /// A task, or work on a pot, that is still to be done.
    struct Node {
        int task = -1, work = -1;
        int minutes = 1, hands = 1;
        unsigned skills = kAnything, who = 0;
        int pot = -1;         // whose row it takes
        int old = kUnknown;   // when it was to begin
        int least = INT_MIN;  // not before
        int start = 0;
        unsigned hers = 0;  // people it got
    };
    struct Arc {
        int from, to, min;  // nodes: start to start
    };
    struct Window {
        int from, to, max;  // nodes: start to start
    };

    bool isOn(int choice, int mode) const { return choice < 0 || was_.modes[static_cast<size_t>(choice)] == mode; }
    const Task& of(int t) const { return net_.tasks[static_cast<size_t>(t)]; }
    Node& node(int n) { return nodes_[static_cast<size_t>(n)]; }
    int nodeOf(int t) const { return nodeOf_[static_cast<size_t>(t)]; }
    /// Start of a task, done or as it is laid now.
    int startOf(int t) const { return of(t).done ? *of(t).pin : nodes_[static_cast<size_t>(nodeOf(t))].start; }
    int endOf(int t) const { return startOf(t) + of(t).minutes; }
    bool isThere(const Hold& h) const { return isOn(h.choice, h.mode) && isIn(h.from) && isIn(h.to); }
    bool isIn(int t) const { return isOn(of(t).choice, of(t).mode); }

    bool tasks() {
        const size_t n = net_.tasks.size();
        nodeOf_.assign(n, -1);
        std::vector<int> old(n, kUnknown);
        for (size_t i = 0; i < n; ++i)
            if (was_.start[i] != kLeftOut) old[i] = was_.start[i];
        for (size_t pass = 0; pass < n; ++pass) {  // what is new comes just before what waits for it
            bool changed = false;
            for (const auto& l : net_.lags) {
                const auto from = static_cast<size_t>(l.from), to = static_cast<size_t>(l.to);
                if (!isOn(l.choice, l.mode) || was_.start[from] != kLeftOut || old[to] == kUnknown || of(l.from).done)
                    continue;
                if (const int before = old[to] - l.min; old[from] == kUnknown || before < old[from])
                    old[from] = before, changed = true;
            }
            if (!changed) break;
        }
        for (size_t i = 0; i < n; ++i) {
            const auto& t = net_.tasks[i];
            if (t.done || !isIn(static_cast<int>(i))) continue;
            if (was_.start[i] == kLeftOut && t.pot >= 0 && !t.small && t.draw > 0) return false;
            Node x;
            x.task = static_cast<int>(i);
            x.minutes = t.minutes;
            x.hands = t.hands;
            x.skills = t.skills;
            x.who = was_.start[i] == kLeftOut ? 0 : was_.who[i];
            x.old = old[i] == kUnknown ? now_ : old[i];
            x.least = std::max(t.earliest, t.pin ? *t.pin : INT_MIN);
            nodeOf_[i] = static_cast<int>(nodes_.size());
            nodes_.push_back(x);
        }
        for (const auto& l : net_.lags) {
            if (!isOn(l.choice, l.mode) || !isIn(l.from) || !isIn(l.to) || of(l.to).done) continue;
            if (of(l.from).done) {
                auto& least = node(nodeOf(l.to)).least;
                least = std::max(least, *of(l.from).pin + l.min);
                continue;
            }
            arcs_.push_back({nodeOf(l.from), nodeOf(l.to), l.min});
            if (l.max >= 0) windows_.push_back({nodeOf(l.from), nodeOf(l.to), l.max});
        }
        return true;
    }

    /// Sittings of what is left; what makes them ready where they are not.
    bool pots() {
        std::vector<char> sits(net_.tasks.size(), 0);
        for (size_t s = 0; s < was_.sittings.size(); ++s) {
            PotSitting now = was_.sittings[s];
            now.standing = false;
            for (const int t : now.uses) sits[static_cast<size_t>(t)] = 1;
            sittings_.push_back(std::move(now));
        }
        std::vector<int> firstOf(net_.pots.size(), -1);  // sittings are in order of time, pot by pot
        for (size_t s = 0; s < sittings_.size(); ++s) {
            auto& first = firstOf[static_cast<size_t>(sittings_[s].pot)];
            if (first < 0 || begins(sittings_[s]) < begins(sittings_[static_cast<size_t>(first)]))
                first = static_cast<int>(s);
        }
        std::vector<int> standsAt(net_.pots.size(), -1);
        for (size_t i = 0; i < net_.tasks.size(); ++i) {  // what stands ready
            const auto& t = net_.tasks[i];
            if (t.pot < 0 || !t.done || t.step != "standing") continue;
            const auto p = static_cast<size_t>(t.pot);
            if (firstOf[p] < 0 || !lasts(sittings_[static_cast<size_t>(firstOf[p])], *t.pin + t.minutes)) {
                standsAt[p] = newSitting(t.pot);
            } else {
                standsAt[p] = firstOf[p];
            }
            auto& sitting = sittings_[static_cast<size_t>(standsAt[p])];
            sitting.uses.insert(sitting.uses.begin(), static_cast<int>(i));
            sitting.standing = true;
        }
        for (size_t i = 0; i < net_.tasks.size(); ++i) {  // what tempers it, spoonfuls that are new
            const auto& t = net_.tasks[i];
            if (t.pot < 0 || sits[i] || t.done || !isIn(static_cast<int>(i))) continue;
            const auto p = static_cast<size_t>(t.pot);
            int sitting = t.makes > 0 ? standsAt[p] : firstOf[p];
            if (t.small && t.makes == 0 && !hasRoom(sitting, static_cast<int>(i))) sitting = twinOf(t.pot, firstOf);
            if (sitting < 0) return false;
            sittings_[static_cast<size_t>(sitting)].uses.push_back(static_cast<int>(i));
        }
        for (size_t s = 0; s < sittings_.size(); ++s)
            if (net_.pots[static_cast<size_t>(sittings_[s].pot)].base >= 0 && !sittings_[s].standing)
                divide(static_cast<int>(s), firstOf);
        for (size_t s = 0; s < sittings_.size(); ++s)
            if (!makeReady(static_cast<int>(s))) return false;
        oneByOne();
        for (const auto& [s, ready] : readyOf_)  // what is divided off waits for its base
            for (const int m : sittings_[static_cast<size_t>(s)].mixes)
                if (const auto it = readyOf_.find(m); it != readyOf_.end())
                    arcs_.push_back({ready, it->second, node(ready).minutes});
        return true;
    }

    /// A colour that has gone cold is divided off its base again: what is next of it, or a sitting of its own.
    void divide(int colour, const std::vector<int>& firstOf) {
        for (const auto& s : sittings_)
            if (std::ranges::find(s.mixes, colour) != s.mixes.end()) return;
        const int pot = net_.pots[static_cast<size_t>(sittings_[static_cast<size_t>(colour)].pot)].base;
        int base = firstOf[static_cast<size_t>(pot)];
        if (!hasRoom(base, -1, colour)) base = newSitting(pot);
        sittings_[static_cast<size_t>(base)].mixes.push_back(colour);
    }

    int newSitting(int pot) {
        sittings_.push_back({pot, 0, 0, 0, 0, {}, {}, false});
        return static_cast<int>(sittings_.size()) - 1;
    }
    /// A sitting of a pot's small twin; below 0: it has none.
    int twinOf(int pot, std::vector<int>& firstOf) {
        const int twin = net_.pots[static_cast<size_t>(pot)].small;
        if (twin < 0) return twin;
        auto& first = firstOf[static_cast<size_t>(twin)];
        if (first < 0) first = newSitting(twin);
        return first;
    }
    /// Whether there is a sitting, and enough in its bowl for one more task or colour.
    bool hasRoom(int sitting, int task, int colour = -1) const {
        if (sitting < 0) return false;
        PotSitting more = sittings_[static_cast<size_t>(sitting)];
        if (task >= 0) more.uses.push_back(task);
        if (colour >= 0) more.mixes.push_back(colour);
        const auto [draw, bath] = taken(more);
        const auto& pot = net_.pots[static_cast<size_t>(more.pot)];
        return draw + bath <= (more.standing ? pot.standing : pot.vessel) + 1e-9;
    }

    /// No sitting of a pot is begun before the one before it is over.
    void oneByOne() {
        std::vector<int> order;
        order.reserve(readyOf_.size() + sittings_.size());
        for (const auto& [s, ready] : readyOf_) order.push_back(s);
        for (size_t s = 0; s < sittings_.size(); ++s)
            if (sittings_[s].standing) order.push_back(static_cast<int>(s));
        const auto of = [&](int s) -> const PotSitting& { return sittings_[static_cast<size_t>(s)]; };
        std::ranges::stable_sort(order, {}, [&](int s) { return of(s).standing ? INT_MIN : begins(of(s)); });
        for (size_t i = 0; i < order.size(); ++i)
            for (size_t k = i + 1; k < order.size(); ++k) {
                if (of(order[i]).pot != of(order[k]).pot || of(order[k]).standing) continue;
                const auto melt = meltOf_.find(order[k]);
                const int first = melt == meltOf_.end() ? readyOf_.at(order[k]) : melt->second;
                for (const int n : after(order[i])) arcs_.push_back({n, first, node(n).minutes});
                break;
            }
    }

    /// When it was to be taken from first.
    int begins(const PotSitting& s) const {
        int out = INT_MAX;
        for (const int t : s.uses)
            if (!of(t).done) out = std::min(out, nodes_[static_cast<size_t>(nodeOf(t))].old);
        for (const int m : s.mixes) {
            const auto it = std::ranges::find_if(
                was_.potWork, [&](const PotWork& w) { return w.kind == PotWork::Kind::Mix && w.sitting == m; });
            const auto& colour = sittings_[static_cast<size_t>(m)];
            out = std::min(out, it != was_.potWork.end()
                                    ? it->start
                                    : begins(colour) - net_.pots[static_cast<size_t>(colour.pot)].mixMinutes);
        }
        return out;
    }

    /// Whether what stands in a pot since a minute is enough for a sitting, and still warm when it is taken from.
    bool lasts(const PotSitting& s, int since) const {
        const auto& pot = net_.pots[static_cast<size_t>(s.pot)];
        const auto [draw, bath] = taken(s);
        const bool tempered = std::ranges::any_of(net_.tasks, [&](const Task& t) {  // before it is taken from
            return t.makes > 0 && !t.done && t.pot == s.pot;
        });
        return draw + bath <= pot.standing + 1e-9 && (tempered || std::max(begins(s), now_) - since <= pot.idle);
    }

    /// kg that are drawn from a sitting, and that must be in it besides.
    std::pair<double, double> taken(const PotSitting& s) const {
        double draw = 0, bath = 0;
        for (const int t : s.uses) draw += of(t).draw, bath = std::max(bath, of(t).bath);
        for (const int m : s.mixes) {
            const auto [mixed, rest] = taken(sittings_[static_cast<size_t>(m)]);
            draw += mixed + rest;
        }
        return {draw, bath};
    }

    bool makeReady(int index) {
        auto& s = sittings_[static_cast<size_t>(index)];
        const auto& pot = net_.pots[static_cast<size_t>(s.pot)];
        std::tie(s.draw, s.bath) = taken(s);
        for (const int t : s.uses)
            if (!of(t).done) node(nodeOf(t)).pot = s.pot;
        if (!hasRoom(index, -1) && !(s.standing && s.uses.size() <= 1)) return false;
        if (s.standing) return true;
        const double mass = s.draw + s.bath;
        const auto add = [&](PotWork::Kind kind, int minutes, int before) {
            PotWork w{kind, s.pot, index, before - minutes, minutes, -1, mass, false};
            for (const auto& old : was_.potWork)
                if (old.sitting == index && old.kind == kind) w.start = old.start, w.who = old.who;
            Node x;
            x.work = static_cast<int>(work_.size());
            x.minutes = w.minutes;
            x.skills = kHot;
            x.who = w.who >= 0 ? 1U << w.who : 0;
            x.pot = s.pot;
            x.old = w.start;
            nodes_.push_back(x);
            work_.push_back(w);
            return static_cast<int>(nodes_.size()) - 1;
        };
        const auto kind = readyBy(pot);
        const int ready = add(kind, readyMinutes(pot, mass), begins(s));
        readyOf_[index] = ready;
        for (const int t : s.uses) arcs_.push_back({ready, nodeOf(t), node(ready).minutes});
        int melt = kind == PotWork::Kind::Melt ? ready : -1;
        if (kind == PotWork::Kind::Temper) {
            melt = meltOf_[index] = add(PotWork::Kind::Melt, meltMinutes(pot, mass), node(ready).old);
            arcs_.push_back({melt, ready, node(melt).minutes});
            windows_.push_back({melt, ready, node(melt).minutes + pot.temperAfterMelt});
        }
        for (const int b : pot.before)
            if (melt >= 0) waitsFor(melt, b);
        return true;
    }
    void waitsFor(int n, int task) {
        if (!isIn(task)) return;
        if (of(task).done) node(n).least = std::max(node(n).least, *of(task).pin + of(task).minutes);
        else arcs_.push_back({nodeOf(task), n, of(task).minutes});
    }

    /// Where the cold is full, what goes in waits for what had left it before.
    void places() {
        const auto old = [&](int t) { return of(t).done ? *of(t).pin : node(nodeOf(t)).old; };
        const auto end = [&](const Hold& h) { return old(h.to) + of(h.to).minutes; };
        for (const auto& h : net_.holds) {
            if (!isThere(h) || of(h.from).done) continue;
            int used = 0;
            for (const auto& g : net_.holds)
                if (g.resource == h.resource && isThere(g) && old(g.from) <= old(h.from) && end(g) > old(h.from))
                    used += g.amount;
            for (const auto& g : net_.holds)
                if (g.resource == h.resource && isThere(g) && !of(g.to).done && end(g) <= old(h.from) &&
                    used + g.amount > net_.resources[static_cast<size_t>(h.resource)].capacity)
                    arcs_.push_back({nodeOf(g.to), nodeOf(h.from), of(g.to).minutes});
        }
    }

    /// The first minute from one on in which a person is there for so long; kFarOff: never.
    int nextThere(int person, int at, int minutes) const {
        const auto& p = net_.people[static_cast<size_t>(person)];
        for (bool moved = true; moved;) {
            moved = false;
            for (const auto& c : net_.closed)
                if (at < c.to && at + minutes > c.from) at = c.to, moved = true;
            if (moved || p.there.empty()) continue;
            int next = kFarOff;
            for (const auto& s : p.there) {
                const int to = s.to >= 0 ? kFarOff : s.to;  // nobody leaves because the day was to end
                if (at >= s.from && at + minutes <= to) return at;
                if (s.from > at && to - s.from >= minutes) next = std::min(next, s.from);
            }
            if (next == kFarOff) return next;
            at = next, moved = true;
        }
        return at;
    }

    /// Hands for a node, as they were planned where they can be had. @returns its start
    int takeHands(Node& n, int at) {
        n.hers = 0;
        for (bool moved = true; moved;) {
            moved = false;
            n.hers = 0;
            for (int k = 0; k < n.hands; ++k) {
                int best = -1, when = kFarOff;
                for (int p = 0; p < static_cast<int>(net_.people.size()); ++p) {
                    if ((n.hers >> p & 1) || (n.skills & ~net_.people[static_cast<size_t>(p)].skills)) continue;
                    const int then = nextThere(p, std::max(at, free_[static_cast<size_t>(p)]), n.minutes);
                    const bool planned = (n.who >> p & 1) != 0;
                    if (then < when || (then == when && planned && best >= 0 && !(n.who >> best & 1)))
                        best = p, when = then;
                }
                if (best < 0) return kFarOff;
                n.hers |= 1U << best;
                if (when > at) at = when, moved = true;  // the others then too
                if (moved) break;
            }
        }
        return at;
    }

    int outsideForbidden(int task, int at) const {
        const auto& t = of(task);
        for (size_t k = 0; k < t.forbidden.size();)
            if (const auto& s = t.forbidden[k]; at < s.to && at + t.minutes > s.from) at = s.to, k = 0;
            else ++k;
        return at;
    }

    /// All in their order, each as soon as it may be.
    bool lay() {
        std::vector<int> key(nodes_.size()), waits(nodes_.size(), 0);
        for (size_t i = 0; i < nodes_.size(); ++i) key[i] = std::max({nodes_[i].old, nodes_[i].least, now_});
        std::vector<std::vector<const Arc*>> into(nodes_.size()), outOf(nodes_.size());
        for (const auto& a : arcs_) {
            into[static_cast<size_t>(a.to)].push_back(&a);
            outOf[static_cast<size_t>(a.from)].push_back(&a);
            ++waits[static_cast<size_t>(a.to)];
        }
        for (size_t pass = 0; pass < nodes_.size(); ++pass) {  // behind what it waits for
            bool changed = false;
            for (const auto& a : arcs_)
                if (const int least = key[static_cast<size_t>(a.from)] + a.min; key[static_cast<size_t>(a.to)] < least)
                    key[static_cast<size_t>(a.to)] = least, changed = true;
            if (!changed) break;
        }
        std::set<std::tuple<int, int, int>> ready;  // by when they may be, and were to be, begun
        const auto isReady = [&](int i) { ready.emplace(key[static_cast<size_t>(i)], node(i).old, i); };
        for (size_t i = 0; i < nodes_.size(); ++i)
            if (waits[i] == 0) isReady(static_cast<int>(i));
        free_.assign(net_.people.size(), INT_MIN);
        std::vector<int> row(net_.pots.size(), INT_MIN);
        size_t laid = 0;
        while (!ready.empty()) {
            const int i = std::get<2>(*ready.begin());
            ready.erase(ready.begin());
            Node& n = node(i);
            int at = std::max({n.old, n.least, now_});
            for (const Arc* a : into[static_cast<size_t>(i)]) at = std::max(at, node(a->from).start + a->min);
            std::vector<int> rows;
            if (n.pot >= 0) rows.push_back(n.pot);
            if (n.work >= 0)
                if (const auto& w = work_[static_cast<size_t>(n.work)]; w.kind == PotWork::Kind::Mix)
                    rows.push_back(net_.pots[static_cast<size_t>(w.pot)].base);
            for (const int r : rows) at = std::max(at, row[static_cast<size_t>(r)]);
            for (int before = at - 1; before != at;) {
                before = at;
                if (n.task >= 0) at = outsideForbidden(n.task, at);
                if (n.hands > 0) at = takeHands(n, at);
                if (at >= kFarOff) return false;
            }
            n.start = at;
            ++laid;
            for (size_t p = 0; p < free_.size(); ++p)
                if (n.hers >> p & 1) free_[p] = at + n.minutes;
            for (const int r : rows) row[static_cast<size_t>(r)] = at + n.minutes;
            for (const Arc* a : outOf[static_cast<size_t>(i)])
                if (--waits[static_cast<size_t>(a->to)] == 0) isReady(a->to);
        }
        return laid == nodes_.size();  // else they wait for each other
    }

    /// Nodes that take from a sitting: its uses, and what is divided off it.
    std::vector<int> after(int sitting) const {
        std::vector<int> out;
        const auto& s = sittings_[static_cast<size_t>(sitting)];
        for (const int t : s.uses)
            if (!of(t).done) out.push_back(nodeOf(t));
        for (const int m : s.mixes)
            if (const auto it = readyOf_.find(m); it != readyOf_.end()) out.push_back(it->second);
        return out;
    }

    /// What takes from a sitting and when it was warm before, in order of time.
    struct Drawn {
        int node, start, minutes;
    };
    std::vector<Drawn> drawn(int sitting) const {
        std::vector<Drawn> out;
        for (const int n : after(sitting)) {
            const auto& x = nodes_[static_cast<size_t>(n)];
            out.push_back({n, x.start, x.minutes});
        }
        std::ranges::sort(out, {}, &Drawn::start);
        return out;
    }

    /// Minutes after the end of the day, and lost windows by what they are worth.
    double lostAndLate() const {
        Layout out;
        breaks(out);
        int end = 0;
        for (const auto& x : nodes_) end = std::max(end, x.start + x.minutes);
        return end + kLost * static_cast<double>(out.broken.size());
    }

    /// Lets begin later what opened a window that has closed too soon. @returns whether something is to be laid anew
    bool putOff() {
        bool changed = false;
        const auto later = [&](int n, int least) {
            if (n < 0 || node(n).start >= least) return;
            node(n).least = std::max(node(n).least, least);
            changed = true;
        };
        for (const auto& w : windows_)
            if (node(w.to).start - node(w.from).start > w.max) later(w.from, node(w.to).start - w.max);
        for (size_t s = 0; s < sittings_.size(); ++s) {
            const auto all = drawn(static_cast<int>(s));
            const auto& pot = net_.pots[static_cast<size_t>(sittings_[s].pot)];
            for (size_t k = 1; k < all.size(); ++k)
                later(all[k - 1].node, all[k].start - pot.idle - all[k - 1].minutes);
            if (const auto it = readyOf_.find(static_cast<int>(s)); it != readyOf_.end() && !all.empty())
                later(it->second, all.front().start - pot.firstUse - node(it->second).minutes);
        }
        if (changed) return true;
        if (const auto full = overfull(); !full.empty())
            if (const auto& h = net_.holds[static_cast<size_t>(full.front().hold)]; !of(h.from).done)
                later(nodeOf(h.from), full.front().until);
        return changed;
    }

    std::optional<Layout> told() {
        Layout out;
        const size_t n = net_.tasks.size();
        out.start.assign(n, kLeftOut);
        out.who.assign(n, 0);
        out.modes = was_.modes;
        int first = 0, last = INT_MIN;
        for (size_t i = 0; i < n; ++i) {
            if (!isIn(static_cast<int>(i))) continue;
            out.start[i] = startOf(static_cast<int>(i));
            if (!of(static_cast<int>(i)).done) out.who[i] = nodes_[static_cast<size_t>(nodeOf_[i])].hers;
        }
        for (const auto& x : nodes_) {
            first = std::min(first, x.start);
            last = std::max(last, x.start + x.minutes);
            if (x.task >= 0 && of(x.task).latest < 0 && x.start + x.minutes > of(x.task).latest) return std::nullopt;
            if (x.work < 0) continue;
            auto w = work_[static_cast<size_t>(x.work)];
            w.start = x.start;
            w.who = std::countr_zero(x.hers);
            out.potWork.push_back(w);
        }
        out.sittings = sittings_;
        breaks(out);
        for (size_t s = 0; s < sittings_.size(); ++s)
            if (!warm(static_cast<int>(s), out)) return std::nullopt;
        std::ranges::stable_sort(out.potWork, {}, &PotWork::start);
        out.begins = first;
        out.ends = last == INT_MIN ? 0 : last;
        out.cost = was_.cost;
        out.rests = restsOf(net_, out);
        return out;
    }

    void breaks(Layout& out) const {
        const auto say = [&](Broken::Kind kind, size_t of, int minutes) {
            if (minutes > 0) out.broken.push_back({kind, static_cast<int>(of), minutes});
        };
        for (size_t i = 0; i < net_.lags.size(); ++i) {
            const auto& l = net_.lags[i];
            if (l.max >= 0 && isOn(l.choice, l.mode) && isIn(l.from) && isIn(l.to) && !of(l.to).done)
                say(Broken::Kind::Lag, i, startOf(l.to) - startOf(l.from) - l.max);
        }
        for (size_t i = 0; i < net_.tasks.size(); ++i)
            if (const auto& t = net_.tasks[i]; t.pin && !t.done && isIn(static_cast<int>(i)))
                say(Broken::Kind::Pin, i, std::abs(startOf(static_cast<int>(i)) - *t.pin));
        for (const auto& o : overfull()) say(Broken::Kind::Hold, static_cast<size_t>(o.hold), o.by);
        for (const auto& [s, ready] : readyOf_) {
            const auto& x = nodes_[static_cast<size_t>(ready)];
            const auto& sitting = sittings_[static_cast<size_t>(s)];
            const auto& pot = net_.pots[static_cast<size_t>(sitting.pot)];
            const auto all = drawn(s);
            if (!all.empty())
                say(Broken::Kind::FirstUse, static_cast<size_t>(s),
                    all.front().start - x.start - x.minutes - pot.firstUse);
            int idle = 0;
            for (size_t k = 1; k < all.size(); ++k)
                idle = std::max(idle, all[k].start - all[k - 1].start - all[k - 1].minutes);
            say(Broken::Kind::Idle, static_cast<size_t>(s), idle - pot.idle);
            if (const auto melt = meltOf_.find(s); melt != meltOf_.end()) {
                const auto& m = nodes_[static_cast<size_t>(melt->second)];
                say(Broken::Kind::Melted, static_cast<size_t>(s), x.start - m.start - m.minutes - pot.temperAfterMelt);
            }
        }
    }

    /// Bursts of warmth between what takes from a sitting. @returns false: it is too long for any bowl
    bool warm(int index, Layout& out) {
        auto& s = out.sittings[static_cast<size_t>(index)];
        const auto& pot = net_.pots[static_cast<size_t>(s.pot)];
        const auto all = drawn(index);
        std::ranges::stable_sort(s.uses, {}, [&](int t) { return out.start[static_cast<size_t>(t)]; });
        if (all.empty()) {
            s.from = s.to = s.uses.empty() ? 0 : out.start[static_cast<size_t>(s.uses.front())];
            return true;
        }
        s.from = s.standing ? out.start[static_cast<size_t>(s.uses.front())] : all.front().start;
        s.to = all.back().start + all.back().minutes;
        if (!s.standing && s.to - s.from > pot.length) return false;
        int since = all.front().start;
        if (const auto it = readyOf_.find(index); it != readyOf_.end())
            since = node(it->second).start + node(it->second).minutes;
        else if (s.standing) since = std::max(now_, out.start[static_cast<size_t>(s.uses.front())] + 1);
        const int usable = usableMinutes(pot, s.draw, s.bath);
        const auto isFree = [&](size_t p, int m) {
            for (const auto& x : nodes_)
                if ((x.hers >> p & 1) && m >= x.start && m < x.start + x.minutes) return false;
            return std::ranges::none_of(
                out.potWork, [&](const PotWork& w) { return static_cast<size_t>(w.who) == p && w.start == m; });
        };
        const auto can = [&](int mirrored, int& who) {
            int best = 0;
            for (size_t p = 0; p < net_.people.size() && best < 2; ++p) {
                const int m = -mirrored - 1;
                if ((kHot & ~net_.people[p].skills) || nextThere(static_cast<int>(p), m, 1) != m) continue;
                if (const int now = isFree(p, m) ? 2 : 1; now > best) best = now, who = static_cast<int>(p);
            }
            return best;
        };
        for (const auto& d : all) {
            int earliest = -since;
            const bool kept = burstsBetween(
                -d.start, -since, usable,
                [&](int m) {
                    int who = 0;
                    return can(m, who);
                },
                [&](int m) {
                    int who = 0;
                    const bool free = can(m, who) == 2;
                    out.potWork.push_back({PotWork::Kind::Burst, s.pot, index, -m - 1, 1, who, s.draw + s.bath, !free});
                    earliest = m;
                });
            if (!kept) out.broken.push_back({Broken::Kind::Warmth, index, std::max(1, d.start + earliest - usable)});
            since = std::max(since, d.start + d.minutes);
        }
        return true;
    }

    /// Where more is in a place than it holds: the hold that came last, by how much, and when room is again.
    struct Overfull {
        int hold, by, until;
    };
    std::vector<Overfull> overfull() const {
        std::vector<Overfull> out;
        for (size_t r = 0; r < net_.resources.size(); ++r) {
            const auto& of = net_.resources[r];
            std::map<int, int> change;
            for (const auto& t : of.taken) change[t.when.from] += t.amount, change[t.when.to] -= t.amount;
            std::vector<std::pair<Span, int>> mine;  // and their holds
            for (size_t i = 0; i < net_.holds.size(); ++i) {
                const auto& h = net_.holds[i];
                if (static_cast<size_t>(h.resource) != r || !isThere(h)) continue;
                mine.push_back({{startOf(h.from), endOf(h.to)}, static_cast<int>(i)});
                change[mine.back().first.from] += h.amount, change[mine.back().first.to] -= h.amount;
            }
            int used = 0;
            for (const auto& [minute, by] : change) {
                if ((used += by) <= of.capacity || minute < now_) continue;
                Overfull worst{-1, used - of.capacity, kFarOff};
                int last = INT_MIN;
                for (const auto& [span, hold] : mine) {
                    if (span.from > minute || span.to <= minute) continue;
                    worst.until = std::min(worst.until, span.to);
                    if (span.from >= last) last = span.from, worst.hold = hold;
                }
                if (worst.hold >= 0) out.push_back(worst);
            }
        }
        return out;
    }

    const Network& net_;
    const Layout& was_;
    const int now_;
    std::vector<Node> nodes_;
    std::vector<int> nodeOf_;  // of each task
    std::vector<Arc> arcs_;
    std::vector<Window> windows_;
    std::vector<PotSitting> sittings_;
    std::vector<PotWork> work_;
    std::map<int, int> readyOf_, meltOf_;  // of a sitting: the node that makes it ready, that melts it before
    std::vector<int> free_;                // of each person: from when
};

}  // namespace

std::optional<Layout> keepOrder(const Network& network, const Layout& was, int now) {
    return Keeper(network, was, now).run();
}

}  // namespace uovo::schedule
