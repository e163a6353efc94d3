#include "core/schedule/replay.h"

#include <algorithm>
#include <cmath>
#include <map>
#include <numeric>

#include "core/schedule/random.h"

namespace uovo::schedule {
namespace {

constexpr int kNever = INT_MAX / 2;

}  // namespace

Replay::Replay(const Network& network, const Layout& layout)
    : net_(network),
      day_(layout),
      before_(network.tasks.size()),
      there_(network.tasks.size()),
      floor_(network.tasks.size(), INT_MIN),
      start_(network.tasks.size(), 0),
      end_(network.tasks.size(), 0),
      held_(network.tasks.size(), -1) {
    sort();
    for (const auto& l : net_.lags) {
        const int length = net_.tasks[l.from].minutes;
        if (l.min >= length) before_[l.to].push_back({l.from, l.min - length, true});
        else before_[l.to].push_back({l.from, l.min, false});
        counted_.push_back(l.max >= 0 && day_.start[l.to] - day_.start[l.from] <= l.max);
    }
    people();
    places();
}

void Replay::sort() {
    const size_t n = net_.tasks.size();
    std::vector<int> depth(n, 0);
    for (size_t pass = 0; pass < n; ++pass) {
        bool changed = false;
        for (const auto& l : net_.lags)
            if (day_.start[l.from] == day_.start[l.to] && depth[l.to] <= depth[l.from])
                depth[l.to] = depth[l.from] + 1, changed = true;
        if (!changed) break;
    }
    for (size_t i = 0; i < n; ++i)
        if (day_.isDone(static_cast<int>(i)) && day_.who[i] != 0 && net_.tasks[i].step != "rest")
            order_.push_back(static_cast<int>(i));
    std::stable_sort(order_.begin(), order_.end(), [&](int a, int b) {
        return day_.start[a] != day_.start[b] ? day_.start[a] < day_.start[b] : depth[a] < depth[b];
    });
}

void Replay::people() {
    const auto may = [&](size_t p) { return net_.people[p].skills & (kOwn - 1); };
    for (size_t p = 0; p < net_.people.size(); ++p) {
        alike_.emplace_back();
        for (size_t q = 0; q < net_.people.size(); ++q)
            if (may(p) == may(q)) alike_[p].push_back(static_cast<int>(q));
    }
    for (const int t : order_) {
        there_[t].assign(net_.people.size(), INT_MIN);
        for (size_t p = 0; p < net_.people.size(); ++p) {
            const auto& hours = net_.people[p].there;
            if (hours.empty()) continue;
            int from = kNever;
            for (const auto& s : hours)
                if (s.to > day_.start[t]) from = std::min(from, s.from);
            // whoever is planned for it stays on
            there_[t][p] = (day_.who[t] >> p & 1) != 0 && from > day_.start[t] ? INT_MIN : from;
        }
        for (const auto& c : net_.closed)
            if (day_.start[t] >= c.to) floor_[t] = std::max(floor_[t], c.to);
    }
    free_.resize(net_.people.size());
    did_.resize(net_.people.size());
}

std::pair<double, int> Replay::takeHands(int t, double at) {
    hands_.clear();
    double begin = at;
    int held = -1;
    size_t p = 0;
    for (unsigned who = day_.who[t]; who != 0; who >>= 1, ++p) {
        if ((who & 1) == 0) continue;
        int best = -1;
        double first = 0;
        for (const int q : alike_[p]) {
            if (std::find(hands_.begin(), hands_.end(), q) != hands_.end()) continue;
            const double then = std::max(free_[q], double(there_[t][q]));
            if (best < 0 || then < first || (then == first && q == static_cast<int>(p))) best = q, first = then;
        }
        if (best < 0) continue;
        hands_.push_back(best);
        if (first > begin + 1e-9) begin = first, held = did_[best];
    }
    return {begin, held};
}

void Replay::places() {
    const auto begin = [&](const Hold& h) { return day_.start[h.from]; };
    const auto end = [&](const Hold& h) { return day_.start[h.to] + net_.tasks[h.to].minutes; };
    for (const auto& h : net_.holds) {
        if (!day_.isDone(h.from) || !day_.isDone(h.to)) continue;
        int used = 0;
        for (const auto& g : net_.holds)
            if (g.resource == h.resource && day_.isDone(g.from) && begin(g) <= begin(h) && end(g) > begin(h))
                used += g.amount;
        for (const auto& g : net_.holds)
            if (g.resource == h.resource && day_.isDone(g.from) && end(g) <= begin(h) &&
                used + g.amount > net_.resources[h.resource].capacity)
                before_[h.from].push_back({g.to, 0, true});
    }
}

Replay::Day Replay::play(const Factors& f, double earlier) {
    Day out;
    out.end = -1e9;
    std::fill(free_.begin(), free_.end(), -1e9);
    std::fill(did_.begin(), did_.end(), -1);
    for (const int t : order_) {
        const auto& task = net_.tasks[t];
        double at = std::max(day_.start[t] - earlier, double(floor_[t]));
        int held = -1;
        for (const auto& b : before_[t]) {
            const double then = b.after ? end_[b.task] + b.min * f.wait[t] : start_[b.task] + b.min;
            if (then > at + 1e-9) at = then, held = b.task;
        }
        const auto [begin, busy] = takeHands(t, at);
        start_[t] = begin;
        held_[t] = begin > at ? busy : held;
        end_[t] = begin + task.minutes * f.work[t];
        for (const int p : hands_) free_[p] = end_[t], did_[p] = t;
        if (end_[t] > out.end) out.end = end_[t], out.last = t;
    }
    for (size_t i = 0; i < net_.lags.size(); ++i)
        out.missed += counted_[i] && start_[net_.lags[i].to] - start_[net_.lags[i].from] > net_.lags[i].max + 0.5;
    return out;
}

double Chances::by(double minute) const {
    if (ends.empty()) return 0;
    return double(std::upper_bound(ends.begin(), ends.end(), minute + 1e-9) - ends.begin()) / double(ends.size());
}

double Chances::minuteOf(double share) const {
    if (ends.empty()) return 0;
    const auto at =
        static_cast<size_t>(std::clamp(std::ceil(share * double(ends.size())) - 1, 0.0, double(ends.size()) - 1));
    return ends[at];
}

Chances chances(Replay& replay, double due, double earlier, const Scatter& s, int runs, unsigned seed,
                std::stop_token stop) {
    Chances out;
    Random random(seed);
    const auto& tasks = replay.network().tasks;
    std::map<std::string, double> kinds, pieces;
    for (const auto& t : tasks) kinds[t.lane], pieces[t.piece];
    Replay::Factors f{std::vector<double>(tasks.size(), 1), std::vector<double>(tasks.size(), 1)};
    std::vector<double> added(tasks.size(), 0);
    int late = 0;
    for (int run = 0; run < runs && !stop.stop_requested(); ++run) {
        const double cook = s.cook * random.normal(), day = s.settingDay * random.normal();
        for (auto& [lane, x] : kinds) x = s.kind * random.normal();
        for (auto& [piece, x] : pieces) x = s.settingPiece * random.normal();
        for (size_t i = 0; i < tasks.size(); ++i) {
            f.work[i] = std::exp(cook + kinds[tasks[i].lane] + s.task * random.normal());
            f.wait[i] = std::exp(day + pieces[tasks[i].piece]);
        }
        const auto played = replay.play(f, earlier);
        out.ends.push_back(played.end);
        out.missed += played.missed;
        if (played.end <= due) continue;
        ++late;
        for (int t = played.last; t >= 0; t = replay.waitedFor(t)) added[t] += tasks[t].minutes * (f.work[t] - 1);
    }
    out.missed /= double(std::max<size_t>(1, out.ends.size()));
    std::sort(out.ends.begin(), out.ends.end());
    for (size_t i = 0; i < added.size() && late > 0; ++i)
        if (added[i] / late > out.riskMinutes) out.riskMinutes = added[i] / late, out.risk = static_cast<int>(i);
    return out;
}

}  // namespace uovo::schedule
