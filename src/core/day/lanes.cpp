#include "core/day/lanes.h"

#include <fmt/format.h>

#include <algorithm>
#include <cctype>
#include <map>
#include <numeric>
#include <set>

#include "core/quantity/catalogue.h"
#include "core/quantity/words.h"
#include "core/temper/heat_balance.h"

namespace uovo {
namespace {

constexpr size_t kMostInFlow = 40;
constexpr int kLongFlow = 40;  // min from which a block is rather two

int startOf(const DayPlan& day, int task) { return day.layout.start[static_cast<size_t>(task)]; }
const schedule::Task& taskOf(const DayPlan& day, int task) { return day.network.tasks[static_cast<size_t>(task)]; }
int endOf(const DayPlan& day, int task) { return startOf(day, task) + taskOf(day, task).minutes; }

std::string firstWord(const std::string& title) { return lowerFirst(title.substr(0, title.find_first_of(" :,"))); }

std::string verbOf(const schedule::Task& t) {
    if (t.lane == "cold") return tr("cool");
    if (t.lane == "look") return tr("look");
    if (t.step == "join") return tr("join");
    const std::string word = firstWord(t.title);
    // "let" alone says nothing
    return word == firstWord(tr("Let the air out and peel ")) ? tr("release") : word;
}

/// Of what a kitchen's step is about, the words behind its verb: "dark couverture".
std::string thingOf(const schedule::Task& t) {
    const size_t space = t.title.find(' ');
    std::string rest = space == std::string::npos ? "" : t.title.substr(space + 1);
    if (const size_t of = rest.find(" of "); of != std::string::npos && t.lane == "melt") rest = rest.substr(of + 4);
    return rest;
}

/// What a block is called by: the piece that most of its minutes go to, and the longest of that piece's steps.
Flow named(const DayPlan& day, std::vector<int> tasks) {
    Flow f;
    f.from = startOf(day, tasks.front());
    f.to = f.from;
    std::map<std::string, int> minutes;
    for (const int t : tasks) {
        f.to = std::max(f.to, endOf(day, t));
        const std::string& piece = taskOf(day, t).piece;
        minutes[piece] += taskOf(day, t).minutes;
        if (std::find(f.kinds.begin(), f.kinds.end(), piece) == f.kinds.end()) f.kinds.push_back(piece);
    }
    const auto most = std::max_element(minutes.begin(), minutes.end(),
                                       [](const auto& a, const auto& b) { return a.second < b.second; });
    f.piece = most->first;
    int longest = -1;
    std::set<std::string> rounds;
    for (const int t : tasks) {
        if (taskOf(day, t).piece != f.piece) continue;
        if (longest < 0 || taskOf(day, t).minutes > taskOf(day, longest).minutes) longest = t;
        if (!taskOf(day, t).which.empty()) rounds.insert(taskOf(day, t).which);
    }
    const auto& t = taskOf(day, longest);
    f.main = longest;
    f.verb = verbOf(t);
    f.who = f.piece.empty() ? thingOf(t) : t.who;
    f.which = rounds.size() == 1 ? t.which : "";
    f.rest = t.step == "rest";
    f.tasks = std::move(tasks);
    return f;
}

}  // namespace

std::vector<Flow> flowsOf(const DayPlan& day, size_t person, int least, int words) {
    std::vector<int> all;
    for (size_t i = 0; i < day.network.tasks.size(); ++i)
        if ((day.layout.who[i] >> person & 1) != 0 && day.network.tasks[i].step != "burst")
            all.push_back(static_cast<int>(i));
    std::stable_sort(all.begin(), all.end(), [&](int a, int b) { return startOf(day, a) < startOf(day, b); });
    const size_t n = all.size();
    // best[j]: the cheapest way to gather the first j steps; blocks of few kinds, without idle time, none too narrow
    std::vector<double> best(n + 1, 1e18);
    std::vector<size_t> from(n + 1, 0);
    best[0] = 0;
    for (size_t i = 0; i < n; ++i) {
        std::set<std::string> pieces;
        int end = startOf(day, all[i]), idle = 0;
        bool rest = false;
        for (size_t j = i; j < std::min(n, i + kMostInFlow); ++j) {
            const auto& t = taskOf(day, all[j]);
            pieces.insert(t.piece);
            rest = rest || t.step == "rest";
            idle += std::max(0, startOf(day, all[j]) - end);
            end = std::max(end, endOf(day, all[j]));
            const int room = j + 1 < n ? startOf(day, all[j + 1]) - startOf(day, all[i]) : 1 << 20;
            double cost = -1 + 1.2 * double(pieces.size() - 1) + 0.15 * idle +
                          0.05 * std::max(0, end - startOf(day, all[i]) - kLongFlow);
            if (room < least) cost += 6 + 0.5 * (least - room);
            else if (room < words) cost += 0.7;
            if (rest && j > i) cost += 50;
            if (best[i] + cost < best[j + 1]) best[j + 1] = best[i] + cost, from[j + 1] = i;
        }
    }
    std::vector<Flow> out;
    for (size_t j = n; j > 0; j = from[j])
        out.push_back(named(
            day, {all.begin() + static_cast<std::ptrdiff_t>(from[j]), all.begin() + static_cast<std::ptrdiff_t>(j)}));
    std::reverse(out.begin(), out.end());
    return out;
}

std::vector<PotBand> potBandsOf(const DayPlan& day) {
    std::vector<PotBand> out;
    const auto& l = day.found.layout;
    for (size_t s = 0; s < l.sittings.size(); ++s) {
        const auto& sitting = l.sittings[s];
        const auto& pot = day.asked.pots[static_cast<size_t>(sitting.pot)];
        PotBand b;
        b.id = pot.id;
        b.name = pot.name;
        b.cup = pot.base < 0 && pot.meltMinutes <= 0;
        b.tempered = pot.tempered;
        b.to = sitting.to;
        b.melt = b.ready = sitting.from;
        for (const auto& w : l.potWork) {
            if (w.sitting != static_cast<int>(s)) continue;
            using Kind = schedule::PotWork::Kind;
            if (w.kind == Kind::Burst) {
                b.bursts.push_back(w.start);
            } else {
                b.melt = std::min(b.melt, w.start);
                if (w.kind != Kind::Melt || !pot.tempered) b.ready = w.start + w.minutes;
            }
        }
        std::vector<std::pair<int, double>> draws;
        draws.reserve(sitting.uses.size() + sitting.mixes.size());
        for (const int u : sitting.uses)
            draws.emplace_back(l.start[static_cast<size_t>(u)] + day.asked.tasks[static_cast<size_t>(u)].minutes,
                               day.asked.tasks[static_cast<size_t>(u)].draw);
        for (const int m : sitting.mixes) {
            const auto& colour = l.sittings[static_cast<size_t>(m)];
            draws.emplace_back(colour.from, colour.draw + colour.bath);
        }
        std::sort(draws.begin(), draws.end());
        double mass = sitting.bath;
        for (const auto& d : draws) mass += d.second;
        b.most = mass;
        b.level.emplace_back(b.ready, mass);
        for (const auto& [minute, kg] : draws) b.level.emplace_back(minute, mass -= kg);
        out.push_back(std::move(b));
    }
    std::stable_sort(out.begin(), out.end(), [](const auto& a, const auto& b) { return a.melt < b.melt; });
    return out;
}

std::vector<Stay> staysIn(const DayPlan& day, size_t resource) {
    const auto& net = day.network;
    std::vector<Stay> out;
    for (size_t h = 0; h < net.holds.size(); ++h) {
        const auto& hold = net.holds[h];
        if (hold.resource != static_cast<int>(resource)) continue;
        out.push_back({static_cast<int>(h), startOf(day, hold.from), endOf(day, hold.to),
                       double(hold.amount) / std::max(1, net.resources[resource].capacity), 0});
    }
    std::stable_sort(out.begin(), out.end(), [](const auto& a, const auto& b) { return a.from < b.from; });
    for (size_t i = 0; i < out.size(); ++i) {
        std::vector<std::pair<double, double>> taken;
        for (size_t k = 0; k < i; ++k)
            if (out[k].to > out[i].from) taken.emplace_back(out[k].at, out[k].at + out[k].share);
        std::sort(taken.begin(), taken.end());
        double at = 0;
        for (const auto& [low, high] : taken)
            if (low < at + out[i].share - 1e-9) at = std::max(at, high);
        // a place is not so tidy that each finds a strip of its own: what is left over stands among the others
        out[i].at = std::clamp(at, 0.0, std::max(0.0, 1 - out[i].share));
    }
    return out;
}

std::vector<size_t> stepsInOrder(const DayPlan& day) {
    std::vector<size_t> out;
    for (size_t i = 0; i < day.network.tasks.size(); ++i)
        if (day.network.tasks[i].step != "burst") out.push_back(i);
    std::stable_sort(out.begin(), out.end(),
                     [&](size_t a, size_t b) { return day.layout.start[a] < day.layout.start[b]; });
    return out;
}

std::vector<std::vector<Bursts>> burstsAfter(const DayPlan& day, const std::vector<size_t>& order) {
    std::vector<std::vector<Bursts>> out(order.size());
    if (order.empty()) return out;
    std::map<std::string, size_t> placeOf;  // of a step, in the list
    for (size_t k = 0; k < order.size(); ++k) placeOf[day.network.tasks[order[k]].id] = k;
    const auto warm = [&](size_t at, int pot, int minute, double mass) {
        const auto& name = day.asked.pots[static_cast<size_t>(pot)].name;
        auto& here = out[at];
        const bool fed = mass > temper::kByBursts;
        if (here.empty() || here.back().pot != name || here.back().fed != fed) here.push_back({name, {}, fed});
        here.back().minutes.push_back(minute);
    };
    const auto& layout = day.found.layout;
    for (const auto& s : layout.sittings) {  // what takes longer than a pot stays warm by itself
        const auto& pot = day.asked.pots[static_cast<size_t>(s.pot)];
        const int usable = schedule::usableMinutes(pot, s.draw, s.bath);
        for (const int t : s.uses) {
            const auto& task = day.asked.tasks[static_cast<size_t>(t)];
            const auto at = placeOf.find(task.id);
            if (pot.keepsWarm || at == placeOf.end()) continue;
            const int times = (task.minutes - 1) / std::max(1, usable), start = day.layout.start[order[at->second]];
            for (int k = 1; k <= times; ++k)
                warm(at->second, s.pot, start + task.minutes * k / (times + 1), s.draw + s.bath);
        }
    }
    for (const auto& w : layout.potWork) {
        if (w.kind != schedule::PotWork::Kind::Burst) continue;
        size_t at = 0;
        while (at + 1 < order.size() && day.layout.start[order[at + 1]] <= w.start) ++at;
        warm(at, w.pot, w.start, w.mass);
    }
    for (auto& step : out)
        for (auto& b : step) std::ranges::sort(b.minutes);
    return out;
}

std::string burstWords(const DayPlan& day, const Bursts& bursts, UnitSystem units) {
    const std::string when = clocksInWords(day, bursts.minutes, units);
    return bursts.fed ? say("feed the {} a little warm melted chocolate at {}", bursts.pot, when)
                      : say("warm the {} for a few seconds at {}", bursts.pot, when);
}

std::string clocksInWords(const DayPlan& day, const std::vector<int>& minutes, UnitSystem units) {
    std::string out;
    for (const int m : minutes) out += (out.empty() ? "" : ", ") + day.said(m, units);
    return out;
}

bool isOwn(const DayPlan& day, int task) {
    const auto& t = taskOf(day, task);
    return t.step != "rest" && std::any_of(day.asked.tasks.begin(), day.asked.tasks.end(),
                                           [&](const schedule::Task& a) { return a.id == t.id; });
}

std::string whoInWords(const DayPlan& day, size_t task) {
    std::vector<std::string> names;
    for (size_t p = 0; p < day.network.people.size(); ++p)
        if ((day.layout.who[task] >> p & 1) != 0) names.push_back(day.network.people[p].name);
    return listed(names);
}

}  // namespace uovo
