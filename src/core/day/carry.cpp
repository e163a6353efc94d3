#include "core/day/carry.h"

#include <algorithm>
#include <limits>
#include <map>

namespace uovo::day {

std::vector<size_t> rankOf(const schedule::Decoder& decoder, const schedule::Genes& genes, size_t tasks) {
    std::vector<size_t> rank(tasks, 0);
    for (size_t k = 0; k < genes.order.size(); ++k)
        for (const int t : decoder.blocks().tasks[static_cast<size_t>(genes.order[k])])
            rank[static_cast<size_t>(t)] = k;
    return rank;
}

void sortBlocks(const schedule::Blocks& blocks, const std::vector<double>& place, std::vector<int>& order) {
    std::vector<double> key(blocks.tasks.size(), std::numeric_limits<double>::infinity());
    for (size_t b = 0; b < key.size(); ++b)
        for (const int t : blocks.tasks[b]) key[b] = std::min(key[b], place[static_cast<size_t>(t)]);
    std::stable_sort(order.begin(), order.end(),
                     [&](int a, int b) { return key[static_cast<size_t>(a)] < key[static_cast<size_t>(b)]; });
}

schedule::Genes carried(const DayPlan& before, schedule::Network& net) {
    const auto& old = before.asked;
    std::map<std::string, int> known;
    for (size_t i = 0; i < old.tasks.size(); ++i) known[old.tasks[i].id] = static_cast<int>(i);
    std::map<std::string, int> modes;
    for (size_t c = 0; c < old.choices.size(); ++c) modes[old.choices[c].id] = before.found.genes.modes[c];
    const schedule::Decoder plain(net), was(old);
    schedule::Genes genes = plain.plainGenes();
    const auto rank = rankOf(was, before.found.genes, old.tasks.size());
    net.before.assign(net.tasks.size(), schedule::kLeftOut);
    constexpr double kNew = 1e9;
    std::vector<double> place(net.tasks.size(), kNew);
    for (size_t i = 0; i < net.tasks.size(); ++i) {
        const auto it = known.find(net.tasks[i].id);
        if (it == known.end()) continue;
        const auto at = static_cast<size_t>(it->second);
        net.before[i] = before.found.layout.start[at];
        genes.delay[i] = before.found.genes.delay[at];
        genes.small[i] = before.found.genes.small[at];
        place[i] = static_cast<double>(rank[at]);
    }
    for (size_t c = 0; c < net.choices.size(); ++c)
        if (const auto it = modes.find(net.choices[c].id); it != modes.end()) genes.modes[c] = it->second;
    // What is new comes where what follows it stands.
    for (size_t pass = 0; pass < net.tasks.size(); ++pass) {
        bool changed = false;
        for (const auto& l : net.lags) {
            auto& from = place[static_cast<size_t>(l.from)];
            const double to = place[static_cast<size_t>(l.to)];
            if (from == kNew && to != kNew) from = to + 1e-3, changed = true;
        }
        if (!changed) break;
    }
    sortBlocks(plain.blocks(), place, genes.order);
    return genes;
}

}  // namespace uovo::day
