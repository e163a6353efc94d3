// Why a day cannot be laid out, and how long it must be at least.
#include <fmt/format.h>

#include <algorithm>

#include "core/quantity/catalogue.h"
#include "core/schedule/network.h"

namespace uovo::schedule {

LongestPath longestPath(const Network& net) {
    // Bellman–Ford on start(to) >= start(from) + min and start(from) >= start(to) - max.
    struct Edge {
        int from, to, weight;
    };
    std::vector<Edge> edges;
    for (const auto& lag : net.lags) {
        if (lag.choice >= 0) continue;
        edges.push_back({lag.from, lag.to, lag.min});
        if (lag.max >= 0 && !lag.soft) edges.push_back({lag.to, lag.from, -lag.max});
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

std::string chainInWords(const Network& net, const LongestPath& path) {
    std::string s;
    for (size_t i = 0; i < path.chain.size() && i < 6; ++i)
        s += (i ? " → " : "") + net.tasks[static_cast<size_t>(path.chain[i])].title;
    return path.chain.size() > 6 ? s + " → …" : s;
}

std::vector<std::string> reasons(const Network& net) {
    std::vector<std::string> out;
    for (const auto& hold : net.holds) {
        const auto& r = net.resources[static_cast<size_t>(hold.resource)];
        if (hold.choice < 0 && hold.amount > r.capacity) {
            out.push_back(say("“{}” needs {} {} of the {}; there are {}.",
                              net.tasks[static_cast<size_t>(hold.from)].title, hold.amount, r.unit, r.name,
                              r.capacity));
            break;
        }
    }
    for (const auto& t : net.tasks) {
        int many = 0;
        for (const auto& p : net.people) many += (t.skills & ~p.skills) == 0;
        if (t.hands <= many || t.choice >= 0 || t.done) continue;
        out.push_back(many == 0 ? say("Nobody who is there may do “{}”.", t.title)
                                : say("“{}” needs {} pairs of hands; {} may do it.", t.title, t.hands, many));
        break;
    }
    if (!net.pots.empty() &&
        std::none_of(net.people.begin(), net.people.end(), [](const Person& p) { return p.skills & kHot; }))
        out.emplace_back(tr("Nobody who is there may work with what is hot."));
    if (const LongestPath path = longestPath(net); path.contradiction)
        out.push_back(tr("These steps contradict each other: ") + chainInWords(net, path) + ".");
    return out;
}

}  // namespace uovo::schedule
