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

namespace {

/// Where each task would stand if the day before were opened for what has come in: whatever stands before a step that
/// must go earlier goes earlier by as much, in its order.
/// @param was of each task where it began, or kLeftOut
std::vector<int> openedFor(const schedule::Network& net, const std::vector<int>& was) {
    std::vector<int> latest = was;  // that what follows allows, where it stood
    for (size_t pass = 0; pass <= net.tasks.size(); ++pass) {
        bool changed = false;
        for (const auto& l : net.lags) {
            const int to = latest[static_cast<size_t>(l.to)];
            int& from = latest[static_cast<size_t>(l.from)];
            if (l.choice >= 0 || to == schedule::kLeftOut) continue;
            if (from == schedule::kLeftOut || from > to - l.min) from = to - l.min, changed = true;
        }
        if (!changed) break;
    }
    std::vector<size_t> order;
    for (size_t t = 0; t < was.size(); ++t)
        if (was[t] != schedule::kLeftOut) order.push_back(t);
    std::stable_sort(order.begin(), order.end(), [&](size_t a, size_t b) { return was[a] > was[b]; });
    int earlier = 0;
    for (const size_t t : order) {
        earlier = std::max(earlier, was[t] - latest[t]);
        latest[t] = was[t] - earlier;
    }
    return latest;
}

}  // namespace

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

schedule::Genes opened(const DayPlan& before, schedule::Network& net) {
    schedule::Genes genes = carried(before, net);
    return schedule::Decoder(net).at(openedFor(net, net.before), std::move(genes));
}

schedule::Layout laidBefore(const DayPlan& before, const DayPlan& day, const std::vector<int>& modes) {
    const auto &old = before.asked, &net = day.asked;
    const auto& was = before.found.layout;
    const int later = static_cast<int>(day.minuteOf(before.end));  // min from the one day's time 0 to the other's
    const auto minute = [&](int m) { return m + later; };
    std::map<std::string, size_t> tasks;
    for (size_t i = 0; i < net.tasks.size(); ++i) tasks[net.tasks[i].id] = i;
    std::map<std::string, int> pots;
    for (size_t p = 0; p < net.pots.size(); ++p) pots[net.pots[p].id] = static_cast<int>(p);
    schedule::Layout out;
    out.modes = modes;
    out.cost = was.cost;
    out.start.assign(net.tasks.size(), schedule::kLeftOut);
    out.who.assign(net.tasks.size(), 0);
    std::vector<int> at(old.tasks.size(), -1);  // of each task, where it is still to be done
    for (size_t i = 0; i < old.tasks.size(); ++i) {
        const auto it = tasks.find(old.tasks[i].id);
        if (it == tasks.end() || net.tasks[it->second].done || was.start[i] == schedule::kLeftOut) continue;
        at[i] = static_cast<int>(it->second);
        out.start[it->second] = minute(was.start[i]);
        out.who[it->second] = was.who[i] & ((1U << net.people.size()) - 1);
    }
    // sittings from which something is still to be taken; a colour that stands has been divided off
    const size_t many = was.sittings.size();
    std::vector<std::vector<int>> uses(many), mixes(many);
    for (size_t s = 0; s < many; ++s)
        for (const int t : was.sittings[s].uses)
            if (const int now = at[static_cast<size_t>(t)]; now >= 0) uses[s].push_back(now);
    std::map<int, size_t> first;  // of each pot
    for (size_t s = 0; s < many; ++s)
        if (!uses[s].empty())
            if (const auto [it, fresh] = first.try_emplace(was.sittings[s].pot, s);
                !fresh && was.sittings[s].from < was.sittings[it->second].from)
                it->second = s;
    const auto potOf = [&](size_t s) {
        const auto it = pots.find(old.pots[static_cast<size_t>(was.sittings[s].pot)].id);
        return it == pots.end() ? -1 : it->second;
    };
    for (size_t s = 0; s < many; ++s)
        for (const int m : was.sittings[s].mixes) {
            const auto mixed = static_cast<size_t>(m);
            const int pot = potOf(mixed);
            const bool stands =
                pot >= 0 && net.pots[static_cast<size_t>(pot)].standing > 0 && first[was.sittings[mixed].pot] == mixed;
            if (!uses[mixed].empty() && !stands) mixes[s].push_back(m);
        }
    std::vector<int> index(many, -1);
    for (size_t s = 0; s < many; ++s) {
        if ((uses[s].empty() && mixes[s].empty()) || potOf(s) < 0) continue;
        index[s] = static_cast<int>(out.sittings.size());
        out.sittings.push_back(
            {potOf(s), minute(was.sittings[s].from), minute(was.sittings[s].to), 0, 0, uses[s], {}, false});
    }
    for (size_t s = 0; s < many; ++s)
        for (const int m : mixes[s])
            if (index[s] >= 0 && index[static_cast<size_t>(m)] >= 0)
                out.sittings[static_cast<size_t>(index[s])].mixes.push_back(index[static_cast<size_t>(m)]);
    for (auto w : was.potWork) {
        const int sitting = index[static_cast<size_t>(w.sitting)];
        if (sitting < 0 || w.kind == schedule::PotWork::Kind::Burst) continue;
        w.pot = out.sittings[static_cast<size_t>(sitting)].pot;
        w.sitting = sitting;
        w.start = minute(w.start);
        out.potWork.push_back(w);
    }
    return out;
}

}  // namespace uovo::day
