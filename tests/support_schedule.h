// Random days: tasks in chains with windows, holds, people, pots and choices.
#pragma once
#include <random>

#include "core/schedule/network.h"

namespace uovo::test {

inline schedule::Task task(std::string id, int minutes) {
    schedule::Task t;
    t.id = t.title = std::move(id);
    t.minutes = minutes;
    return t;
}

struct RandomDay {
    int chains = 6, most = 6;  ///< tasks of a chain, at most
    bool pots = true, choices = true, people = true, pins = true;
};

/// A network whose chains go forward and contradict nothing. The same seed gives the same one.
inline schedule::Network randomNetwork(unsigned seed, const RandomDay& kind = {}) {
    using namespace schedule;
    std::mt19937 random(seed);
    const auto below = [&](int n) { return static_cast<int>(random() % static_cast<unsigned>(std::max(1, n))); };
    Network net;
    net.horizon = 240 + below(600);
    net.people = {{"you", {}, kEverySkill, below(2) == 0}};
    if (kind.people)
        for (int k = below(3); k > 0; --k) {
            const int from = -net.horizon + below(net.horizon), to = std::min(0, from + 60 + below(300));
            net.people.push_back(
                {"helper", {{from, to}}, below(2) ? kEverySkill : static_cast<unsigned>(kKnife), below(3) == 0});
        }
    if (below(2)) net.restEvery = 90 + below(60), net.restMinutes = 10 + below(10);
    if (below(4) == 0) {
        const int from = -net.horizon + below(net.horizon);
        net.closed.push_back({from, std::min(0, from + below(120))});
    }
    net.resources = {{"shelf", 10, "cm²", Resource::Kind::Shelf}, {"bench", 14, "cm²", Resource::Kind::Bench}};
    if (below(3) == 0) net.resources[0].taken.push_back({{-120, -30}, 1 + below(5)});
    if (kind.pots) {
        Pot dark, white, tint, small;
        dark.id = dark.name = "dark";
        white.id = white.name = "white";
        tint.id = tint.name = "tint";
        small.id = small.name = "cup of dark";
        dark.meltPerKilogram = white.meltPerKilogram = 4;
        dark.temperPerKilogram = white.temperPerKilogram = 2.5;
        dark.windowPerKilogram = white.windowPerKilogram = tint.windowPerKilogram = 1.6;
        dark.vessel = 2.5;
        tint.base = 1;
        white.tempered = tint.tempered = below(2) == 0;
        small.meltMinutes = 0;
        small.temperMinutes = 3;
        small.windowMinutes = 60;
        small.idle = 15, small.firstUse = 6, small.length = 90;
        dark.small = 3;
        net.pots = {dark, white, tint, small};
    }
    for (int c = 1 + below(kind.chains); c > 0; --c) {
        int before = -1;
        const std::string piece = "piece" + std::to_string(below(4));
        for (int k = 1 + below(kind.most); k > 0; --k) {
            Task t;
            t.id = t.title = "t" + std::to_string(net.tasks.size());
            t.piece = piece;
            t.minutes = 1 + below(below(5) == 0 ? 40 : 12);
            if (below(4) == 0) t.skills = kHot;
            if (kind.people && net.people.size() > 1 && below(12) == 0 && !t.skills) t.hands = 2;
            if (t.hands == 2 && net.people.size() < 2) t.hands = 1;
            if (kind.pots && below(2)) {
                t.pot = below(3);
                t.draw = 0.02 + 0.2 * below(5);
                if (below(3) == 0) t.bath = 0.6;
                if (t.pot == 0 && below(3) == 0) t.small = true, t.draw = 0.02, t.bath = 0;
            }
            if (kind.pins && below(30) == 0) t.pin = -net.horizon + 40 + below(net.horizon - 90);
            if (kind.pins && below(25) == 0) t.earliest = -below(net.horizon);
            if (kind.pins && below(25) == 0) t.latest = -below(net.horizon / 2);
            if (kind.pins && below(20) == 0) {
                const int from = -below(net.horizon);
                t.forbidden.push_back({from, from + 50});
            }
            const int now = static_cast<int>(net.tasks.size());
            net.tasks.push_back(t);
            if (before >= 0) {
                const int least = net.tasks[static_cast<size_t>(before)].minutes + below(below(3) ? 5 : 60);
                net.lags.push_back({before, now, least, below(2) ? -1 : least + below(60), "because"});
                if (below(3) == 0) net.holds.push_back({below(2), before, now, 1 + below(6)});
            }
            before = now;
        }
    }
    if (kind.pots)
        for (const int p : {0, 1}) {
            Task chop;
            chop.id = chop.title = "chop";
            chop.minutes = 5;
            net.pots[static_cast<size_t>(p)].before = {static_cast<int>(net.tasks.size())};
            net.tasks.push_back(chop);
        }
    if (kind.choices && below(2)) {  // one more thing, in the fridge or on the bench, or not at all
        net.choices.push_back({"where", {0, 0, 25}});
        const int a = static_cast<int>(net.tasks.size());
        for (int k = 0; k < 4; ++k) {
            Task t;
            t.id = t.title = "c" + std::to_string(k);
            t.minutes = 3;
            t.choice = 0;
            t.mode = k / 2;
            net.tasks.push_back(t);
        }
        net.lags.push_back({a, a + 1, 20, 40, "it sets", 0, 0});
        net.lags.push_back({a + 2, a + 3, 60, 160, "it sets on the bench", 0, 1});
        net.holds.push_back({0, a, a + 1, 4, 0, 0});
        net.holds.push_back({1, a + 2, a + 3, 4, 0, 1});
    }
    for (const auto& t : net.tasks) {  // somebody may do everything
        int many = 0;
        for (const auto& p : net.people) many += (t.skills & ~p.skills) == 0;
        if (many < t.hands) net.people.push_back({"another", {}, kEverySkill, false});
    }
    return net;
}

}  // namespace uovo::test
