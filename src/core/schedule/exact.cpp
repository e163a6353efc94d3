#include "core/schedule/exact.h"

#include <algorithm>
#include <gecode/int.hh>
#include <gecode/minimodel.hh>
#include <gecode/search.hh>
#include <memory>

namespace uovo::schedule {
namespace {

using namespace Gecode;

/// Starts in mirrored time: m = -(start + minutes), so that 0 is the end of the day and time grows backwards.
class Day : public Space {
public:
    IntVarArray mirrored;
    IntVar length;
    BoolVarArray does;  // task by person

    enum class Branch { FromTheEnd, Halves };  ///< finds days quickly; proves that there is none

    Day(const Network& net, int most, Branch way)
        : mirrored(*this, static_cast<int>(net.tasks.size()), 0, most),
          length(*this, lengthBound(net), most),
          does(*this, static_cast<int>(net.tasks.size() * net.people.size()), 0, 1) {
        const auto duration = [&](int i) { return net.tasks[i].minutes; };
        const int n = mirrored.size(), people = static_cast<int>(net.people.size());
        for (int i = 0; i < n; ++i) {
            const Task& t = net.tasks[i];
            rel(*this, mirrored[i] + duration(i) <= length);
            if (t.latest < 0) rel(*this, mirrored[i] >= -t.latest);
            if (t.earliest != INT_MIN) rel(*this, mirrored[i] + duration(i) <= -t.earliest);
            if (t.pin) rel(*this, mirrored[i] == -*t.pin - duration(i));
            for (const auto& s : t.forbidden)
                rel(*this, (mirrored[i] >= -s.from) || (mirrored[i] + duration(i) <= -s.to));
        }
        for (const auto& lag : net.lags) {
            // start(to) - start(from) = (m_from + d_from) - (m_to + d_to)
            const int shift = duration(lag.from) - duration(lag.to);
            rel(*this, mirrored[lag.from] - mirrored[lag.to] >= lag.min - shift);
            if (lag.max >= 0) rel(*this, mirrored[lag.from] - mirrored[lag.to] <= lag.max - shift);
        }
        hands(net, n, people, most);
        for (size_t r = 0; r < net.resources.size(); ++r) resource(net, static_cast<int>(r), most);
        branch(*this, does, BOOL_VAR_NONE(), BOOL_VAL_MAX());
        if (way == Branch::Halves) branch(*this, mirrored, INT_VAR_AFC_SIZE_MAX(0.99), INT_VAL_SPLIT_MIN());
        branch(*this, mirrored, INT_VAR_MIN_MIN(), INT_VAL_MIN());  // days grow from their end
    }
    Day(Day& other) : Space(other) {
        mirrored.update(*this, other.mirrored);
        length.update(*this, other.length);
        does.update(*this, other.does);
    }
    Space* copy() override { return new Day(*this); }
    void constrain(const Space& best) override {
        int longest = 0;
        const auto& known = static_cast<const Day&>(best);
        longest = known.length.min();
        rel(*this, length < longest);
    }

private:
    void hands(const Network& net, int n, int people, int most) {
        for (int i = 0; i < n; ++i) {
            BoolVarArgs those;
            for (int p = 0; p < people; ++p) {
                those << does[i * people + p];
                if (net.tasks[i].skills & ~net.people[p].skills) rel(*this, does[i * people + p] == 0);
            }
            linear(*this, those, IRT_EQ, net.tasks[i].hands);
        }
        for (int p = 0; p < people; ++p) {
            IntVarArgs starts;
            IntArgs lengths;
            BoolVarArgs done;
            for (int i = 0; i < n; ++i)
                if (net.tasks[i].hands > 0) {
                    starts << mirrored[i];
                    lengths << net.tasks[i].minutes;
                    done << does[i * people + p];
                }
            for (const auto& [from, to] : away(net, p, most)) {
                starts << IntVar(*this, from, from);
                lengths << to - from;
                done << BoolVar(*this, 1, 1);
            }
            if (starts.size() > 0) unary(*this, starts, lengths, done);
        }
        if (people > 1) {  // all of them together: what prunes before anyone is chosen
            IntVarArgs starts;
            IntArgs lengths, use;
            for (int i = 0; i < n; ++i)
                if (net.tasks[i].hands > 0) {
                    starts << mirrored[i];
                    lengths << net.tasks[i].minutes;
                    use << net.tasks[i].hands;
                }
            for (int p = 0; p < people; ++p)
                for (const auto& [from, to] : away(net, p, most)) {
                    starts << IntVar(*this, from, from);
                    lengths << to - from;
                    use << 1;
                }
            if (starts.size() > 0) cumulative(*this, people, starts, lengths, use);
        }
    }

    /// Mirrored spans in which a person does not work, one after the other.
    static std::vector<std::pair<int, int>> away(const Network& net, int person, int most) {
        std::vector<char> off(static_cast<size_t>(most), 0);
        const auto mark = [&](const Span& s, char as) {
            for (int m = std::max(0, -s.to); m < std::min(most, -s.from); ++m) off[m] = as;
        };
        const auto& there = net.people[person].there;
        if (!there.empty()) std::fill(off.begin(), off.begin() + std::min(most, net.horizon), 1);
        for (const auto& s : there) mark(s, 0);
        for (const auto& s : net.closed) mark(s, 1);
        std::vector<std::pair<int, int>> out;
        for (int m = 0; m < most; ++m) {
            if (!off[m]) continue;
            if (!out.empty() && out.back().second == m) out.back().second = m + 1;
            else out.emplace_back(m, m + 1);
        }
        return out;
    }

    void resource(const Network& net, int r, int most) {
        IntVarArgs s, p, e;
        IntArgs u;
        for (const auto& hold : net.holds) {
            if (hold.resource != r || hold.amount <= 0) continue;
            // mirrored, the hold runs from m(to) to m(from) + d(from)
            IntVar end(*this, 0, most), stay(*this, 0, most);
            rel(*this, end == mirrored[hold.from] + net.tasks[hold.from].minutes);
            rel(*this, stay == end - mirrored[hold.to]);
            s << mirrored[hold.to];
            p << stay;
            e << end;
            u << hold.amount;
        }
        for (const auto& t : net.resources[r].taken) {
            const int from = std::clamp(-t.when.to, 0, most), to = std::clamp(-t.when.from, 0, most);
            if (to <= from || t.amount <= 0) continue;
            s << IntVar(*this, from, from);
            p << IntVar(*this, to - from, to - from);
            e << IntVar(*this, to, to);
            u << std::min(t.amount, net.resources[r].capacity);
        }
        if (s.size() == 0) return;
        const bool alone = std::all_of(u.begin(), u.end(), [&](int a) { return 2 * a > net.resources[r].capacity; });
        if (alone) unary(*this, s, p, e);
        else cumulative(*this, net.resources[r].capacity, s, p, e, u);
    }
};

/// Ends the search after a number of nodes, or when asked to.
class Limit : public Gecode::Search::Stop {
public:
    Limit(long nodes, std::stop_token stop) : nodes_(nodes), stop_(std::move(stop)) {}
    bool stop(const Gecode::Search::Statistics& s, const Gecode::Search::Options&) override {
        return static_cast<long>(s.node) > nodes_ || stop_.stop_requested();
    }

private:
    long nodes_;
    std::stop_token stop_;
};

void keep(const Network& net, const Day& found, Proof& out) {
    out.length = 0;
    out.start.clear();
    out.who.clear();
    const int people = static_cast<int>(net.people.size());
    for (int i = 0; i < found.mirrored.size(); ++i) {
        out.start.push_back(-(found.mirrored[i].val() + net.tasks[i].minutes));
        out.length = std::max(out.length, -out.start.back());
        unsigned who = 0;
        for (int p = 0; p < people; ++p)
            if (found.does[i * people + p].val()) who |= 1U << p;
        out.who.push_back(who);
    }
}

}  // namespace

int lengthBound(const Network& net) {
    int work = 0, bound = longestPath(net).minutes;
    for (const auto& t : net.tasks) work += t.minutes * t.hands;
    const int people = std::max(1, static_cast<int>(net.people.size()));
    bound = std::max(bound, (work + people - 1) / people);
    for (size_t r = 0; r < net.resources.size(); ++r) {  // what stands in it, by the shortest stay
        long area = 0;
        for (const auto& h : net.holds) {
            if (h.resource != static_cast<int>(r)) continue;
            int stay = net.tasks[h.to].minutes;
            for (const auto& l : net.lags)
                if (l.from == h.from && l.to == h.to) stay = std::max(stay, l.min + net.tasks[h.to].minutes);
            area += long(stay) * h.amount;
        }
        const long capacity = std::max(1, net.resources[r].capacity);
        bound = std::max(bound, static_cast<int>((area + capacity - 1) / capacity));
    }
    return bound;
}

Proof shortest(const Network& net, const Layout* known, long nodes, std::stop_token stop) {
    Proof out;
    const bool other =
        std::any_of(net.tasks.begin(), net.tasks.end(), [](const Task& t) { return t.pot >= 0 || t.done; });
    if (other || !net.choices.empty() || net.restEvery > 0 || net.tasks.empty()) return out;
    out.possible = true;
    out.bound = lengthBound(net);
    int most = net.horizon;
    if (known && known->broken.empty()) out.length = -known->begins, most = out.length - 1;
    if (known && known->broken.empty() && out.bound >= out.length) return out;
    if (most < out.bound) {
        out.bound = out.length;
        return out;
    }
    const auto search = [&](Day::Branch way) {
        Day day(net, most, way);
        Limit limit(nodes / 2, stop);
        Gecode::Search::Options o;
        o.stop = &limit;
        BAB<Day> all(&day, o);
        while (const std::unique_ptr<Day> found{all.next()}) keep(net, *found, out);
        out.nodes += static_cast<long>(all.statistics().node);
        if (!all.stopped()) out.bound = out.length > 0 ? out.length : net.horizon + 1;
        else if (out.length > 0) most = out.length - 1;
        return !all.stopped();
    };
    if (!search(Day::Branch::Halves) && out.bound < out.length) search(Day::Branch::FromTheEnd);
    return out;
}

}  // namespace uovo::schedule
