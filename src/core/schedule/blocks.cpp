#include "core/schedule/blocks.h"

#include <algorithm>
#include <functional>
#include <numeric>

namespace uovo::schedule {
namespace {

/// Sets that grow together.
class Joined {
public:
    explicit Joined(size_t n) : up_(n) { std::iota(up_.begin(), up_.end(), 0); }
    int of(int i) {
        while (up_[static_cast<size_t>(i)] != i)
            i = up_[static_cast<size_t>(i)] = up_[static_cast<size_t>(up_[static_cast<size_t>(i)])];
        return i;
    }
    void join(int a, int b) { up_[static_cast<size_t>(of(b))] = of(a); }

private:
    std::vector<int> up_;
};

/// Which task waits for which: a task is laid once all that come after it in the day stand.
std::vector<std::pair<int, int>> waitsOf(const Network& net) {
    std::vector<std::pair<int, int>> out;
    out.reserve(net.lags.size() + net.holds.size());
    for (const auto& l : net.lags) out.emplace_back(l.from, l.to);
    for (const auto& h : net.holds)
        if (h.from != h.to) out.emplace_back(h.from, h.to);
    for (size_t p = 0; p < net.pots.size(); ++p) {
        const int bought = net.pots[p].base >= 0 ? net.pots[p].base : static_cast<int>(p);
        for (size_t t = 0; t < net.tasks.size(); ++t) {
            const int used = net.tasks[t].pot;
            if (used != static_cast<int>(p)) continue;
            for (const int b : net.pots[p].before) out.emplace_back(b, static_cast<int>(t));
            if (bought != static_cast<int>(p))
                for (const int b : net.pots[static_cast<size_t>(bought)].before)
                    out.emplace_back(b, static_cast<int>(t));
        }
    }
    return out;
}

/// Joins what waits for each other in a ring, by Tarjan's strong components over the sets.
bool joinRings(Joined& joined, size_t n, const std::vector<std::pair<int, int>>& waits) {
    std::vector<std::vector<int>> next(n);
    for (const auto& [from, to] : waits)
        if (joined.of(from) != joined.of(to)) next[static_cast<size_t>(joined.of(from))].push_back(joined.of(to));
    std::vector<int> index(n, -1), low(n, 0), stack;
    std::vector<char> on(n, 0);
    int count = 0;
    bool changed = false;
    std::vector<std::vector<int>> rings;
    const std::function<void(int)> visit = [&](int v) {
        const auto at = static_cast<size_t>(v);
        index[at] = low[at] = count++;
        stack.push_back(v);
        on[at] = 1;
        for (const int w : next[at]) {
            if (index[static_cast<size_t>(w)] < 0) visit(w), low[at] = std::min(low[at], low[static_cast<size_t>(w)]);
            else if (on[static_cast<size_t>(w)]) low[at] = std::min(low[at], index[static_cast<size_t>(w)]);
        }
        if (low[at] != index[at]) return;
        rings.emplace_back();
        for (int w = -1; w != v;) {
            w = stack.back();
            stack.pop_back();
            on[static_cast<size_t>(w)] = 0;
            rings.back().push_back(w);
        }
    };
    for (size_t v = 0; v < n; ++v)
        if (joined.of(static_cast<int>(v)) == static_cast<int>(v) && index[v] < 0) visit(static_cast<int>(v));
    for (const auto& ring : rings)
        for (size_t i = 1; i < ring.size(); ++i) joined.join(ring[0], ring[i]), changed = true;
    return changed;
}

}  // namespace

Blocks blocksOf(const Network& net, int window) {
    const size_t n = net.tasks.size();
    Joined joined(n);
    for (const auto& l : net.lags)
        if (l.max >= 0 && !net.tasks[static_cast<size_t>(l.from)].done && l.max - l.min <= window)
            joined.join(l.from, l.to);
    const auto waits = waitsOf(net);
    while (joinRings(joined, n, waits)) {
    }
    Blocks out;
    out.of.assign(n, -1);
    for (size_t t = 0; t < n; ++t) {
        const auto root = static_cast<size_t>(joined.of(static_cast<int>(t)));
        if (out.of[root] < 0) out.of[root] = static_cast<int>(out.tasks.size()), out.tasks.emplace_back();
        out.of[t] = out.of[root];
        out.tasks[static_cast<size_t>(out.of[t])].push_back(static_cast<int>(t));
    }
    out.waits.resize(out.tasks.size());
    for (const auto& [from, to] : waits) {
        const int a = out.of[static_cast<size_t>(from)], b = out.of[static_cast<size_t>(to)];
        if (a != b) out.waits[static_cast<size_t>(a)].push_back(b);
    }
    for (auto& w : out.waits) {
        std::sort(w.begin(), w.end());
        w.erase(std::unique(w.begin(), w.end()), w.end());
    }
    return out;
}

}  // namespace uovo::schedule
