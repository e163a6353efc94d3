#include <fmt/format.h>

#include <algorithm>
#include <map>

#include "core/schedule/network.h"

namespace uovo::schedule {

std::vector<Violation> check(const Network& net, const Layout& layout) {
    std::vector<Violation> out;
    const auto name = [&](int i) { return net.tasks[static_cast<size_t>(i)].title; };
    const auto startOf = [&](int i) { return layout.start[static_cast<size_t>(i)]; };
    const auto endOf = [&](int i) { return startOf(i) + net.tasks[static_cast<size_t>(i)].minutes; };
    if (layout.start.size() != net.tasks.size()) return {{"The layout does not have a start for each task."}};
    const int n = static_cast<int>(net.tasks.size());
    for (int i = 0; i < n; ++i)
        if (startOf(i) < -net.horizon || endOf(i) > 0)
            out.push_back({fmt::format("“{}” lies outside the day.", name(i))});
    for (const auto& lag : net.lags) {
        const int gap = startOf(lag.to) - startOf(lag.from);
        if (gap < lag.min)
            out.push_back({fmt::format("“{}” begins {} min after “{}”; {} are needed.", name(lag.to), gap,
                                       name(lag.from), lag.min)});
        if (lag.max >= 0 && gap > lag.max)
            out.push_back({fmt::format("“{}” begins {} min after “{}”; at most {} are allowed.", name(lag.to), gap,
                                       name(lag.from), lag.max)});
    }
    std::map<int, int> hands;  // minute → hands in use
    for (int i = 0; i < n; ++i)
        for (int t = startOf(i); t < endOf(i); ++t)
            if ((hands[t] += net.tasks[static_cast<size_t>(i)].hands) >
                (net.helpers >= 0 && t < -net.helpers ? 1 : net.hands)) {
                out.push_back({fmt::format("“{}” needs hands that are busy.", name(i))});
                break;
            }
    for (size_t r = 0; r < net.resources.size(); ++r) {
        std::map<int, int> used;
        for (const auto& hold : net.holds)
            if (hold.resource == static_cast<int>(r)) {
                used[startOf(hold.from)] += hold.amount;
                used[endOf(hold.to)] -= hold.amount;
                if (endOf(hold.to) < startOf(hold.from)) out.push_back({"A hold ends before it begins."});
            }
        int now = 0;
        for (const auto& [t, change] : used)
            if ((now += change) > net.resources[r].capacity) {
                out.push_back({fmt::format("{}: {} {} in use, {} there are.", net.resources[r].name, now,
                                           net.resources[r].unit, net.resources[r].capacity)});
                break;
            }
    }
    return out;
}

LongestPath longestPath(const Network& net) {
    // Bellman–Ford on start(to) >= start(from) + min and start(from) >= start(to) - max.
    struct Edge {
        int from, to, weight;
    };
    std::vector<Edge> edges;
    for (const auto& lag : net.lags) {
        edges.push_back({lag.from, lag.to, lag.min});
        if (lag.max >= 0) edges.push_back({lag.to, lag.from, -lag.max});
    }
    const size_t n = net.tasks.size();
    std::vector<int> at(n, 0), before(n, -1);
    LongestPath out;
    int changed = -1;
    for (size_t round = 0; round <= n; ++round) {
        changed = -1;
        for (const auto& e : edges)
            if (at[static_cast<size_t>(e.from)] + e.weight > at[static_cast<size_t>(e.to)]) {
                at[static_cast<size_t>(e.to)] = at[static_cast<size_t>(e.from)] + e.weight;
                before[static_cast<size_t>(e.to)] = e.from;
                changed = e.to;
            }
        if (changed < 0) break;
    }
    if (changed >= 0) {  // still growing after n rounds: a cycle
        out.contradiction = true;
        int x = changed;
        for (size_t i = 0; i < n; ++i) x = before[static_cast<size_t>(x)];
        int y = x;
        do {
            out.chain.push_back(y);
            y = before[static_cast<size_t>(y)];
        } while (y != x && y >= 0);
        std::reverse(out.chain.begin(), out.chain.end());
        return out;
    }
    size_t last = 0;
    for (size_t i = 0; i < n; ++i)
        if (at[i] + net.tasks[i].minutes > at[last] + net.tasks[last].minutes) last = i;
    if (n) {
        out.minutes = at[last] + net.tasks[last].minutes;
        for (int x = static_cast<int>(last); x >= 0; x = before[static_cast<size_t>(x)]) out.chain.push_back(x);
        std::reverse(out.chain.begin(), out.chain.end());
    }
    return out;
}

std::vector<std::string> reasons(const Network& net) {
    std::vector<std::string> out;
    for (const auto& hold : net.holds) {
        const auto& r = net.resources[static_cast<size_t>(hold.resource)];
        if (hold.amount > r.capacity) {
            out.push_back(fmt::format("“{}” needs {} {} of the {}; there are {}.",
                                      net.tasks[static_cast<size_t>(hold.from)].title, hold.amount, r.unit, r.name,
                                      r.capacity));
            break;
        }
    }
    const LongestPath path = longestPath(net);
    const auto chain = [&] {
        std::string s;
        for (size_t i = 0; i < path.chain.size() && i < 6; ++i)
            s += (i ? " → " : "") + net.tasks[static_cast<size_t>(path.chain[i])].title;
        if (path.chain.size() > 6) s += " → …";
        return s;
    };
    if (path.contradiction) {
        out.push_back("These steps contradict each other: " + chain() + ".");
        return out;
    }
    if (path.minutes > net.horizon)
        out.push_back(fmt::format("The steps one after another take {}, and there are {}: {}.",
                                  format(path.minutes * 60, Dimension::Duration, UnitSystem::Metric),
                                  format(net.horizon * 60, Dimension::Duration, UnitSystem::Metric), chain()));
    int work = 0;
    for (const auto& t : net.tasks) work += t.minutes * t.hands;
    const int there =
        net.horizon + (net.hands - 1) * (net.helpers < 0 ? net.horizon : std::min(net.helpers, net.horizon));
    if (work > there)
        out.push_back(fmt::format("It takes {} of hands, and there are {}.",
                                  format(work * 60, Dimension::Duration, UnitSystem::Metric),
                                  format(there * 60, Dimension::Duration, UnitSystem::Metric)));
    return out;
}

}  // namespace uovo::schedule
