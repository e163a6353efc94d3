#include "core/schedule/decode.h"

#include <algorithm>
#include <numeric>
#include <queue>

namespace uovo::schedule {

Decoder::Decoder(const Network& net)
    : net_(net),
      blocks_(blocksOf(net)),
      lagsFrom_(net.tasks.size()),
      holdsFrom_(net.tasks.size()),
      holdsTo_(net.tasks.size()),
      wanted_(blocks_.tasks.size()),
      meltsFor_(net.tasks.size()) {
    int longest = net.horizon;
    for (const auto& t : net.tasks) longest += t.minutes + 1;
    for (const auto& l : net.lags) longest += std::min(l.min, 24 * 60);
    for (const auto& p : net.pots) longest += static_cast<int>(p.meltMinutes + p.temperMinutes) + 60;
    for (const auto& s : net.closed) longest += std::max(0, s.to - s.from);
    minutes_ = std::min(longest + 600, net.horizon + 7 * 24 * 60);
    for (const auto& t : net.tasks)
        if (t.done) minutes_ = std::max(minutes_, std::min(-*t.pin + 600, net.horizon + 14 * 24 * 60));
    for (size_t i = 0; i < net.lags.size(); ++i) lagsFrom_[net.lags[i].from].push_back(static_cast<int>(i));
    holdLength_.resize(net.holds.size());
    for (size_t i = 0; i < net.holds.size(); ++i) {
        const auto& h = net.holds[i];
        holdsFrom_[h.from].push_back(static_cast<int>(i));
        holdsTo_[h.to].push_back(static_cast<int>(i));
        holdLength_[i] = net.tasks[h.to].minutes;
        for (const int l : lagsFrom_[h.from])
            if (net.lags[l].to == h.to)
                holdLength_[i] = std::max(holdLength_[i], net.lags[l].min + net.tasks[h.to].minutes);
    }
    for (size_t b = 0; b < blocks_.waits.size(); ++b)
        for (const int w : blocks_.waits[b]) wanted_[w].push_back(static_cast<int>(b));
    for (size_t p = 0; p < net.pots.size(); ++p)
        for (const int t : net.pots[p].before) meltsFor_[t].push_back(static_cast<int>(p));

    std::vector<int> known;
    for (size_t i = 0; i < net.before.size(); ++i)
        if (net.before[i] != kLeftOut) known.push_back(static_cast<int>(i));
    std::stable_sort(known.begin(), known.end(), [&](int a, int b) { return net.before[a] < net.before[b]; });
    for (size_t i = 0; i < known.size(); ++i)
        for (size_t k = i + 1; k < std::min(known.size(), i + 4); ++k)
            near_.push_back({known[i], known[k], net.before[known[k]] - net.before[known[i]]});

    empty_ = Minutes(people() + static_cast<int>(net.pots.size()), minutes_);
    minutes_ = empty_.minutes();
    for (int p = 0; p < people(); ++p) {
        const auto& there = net.people[p].there;
        if (!there.empty()) {
            empty_.take(p, 0, net.horizon);
            for (const auto& s : there) empty_.give(p, std::max(0, -s.to), std::min(net.horizon, -s.from));
        }
        for (const auto& s : net.closed) empty_.take(p, -s.to, -s.from);
    }
    used_.assign(net.resources.size(), std::vector<int>(static_cast<size_t>(minutes_), 0));
    for (size_t r = 0; r < net.resources.size(); ++r)
        for (const auto& t : net.resources[r].taken)
            for (int m = std::max(0, -t.when.to); m < std::min(minutes_, -t.when.from); ++m) used_[r][m] += t.amount;
    busyOf_.resize(net.people.size());
}

Genes Decoder::plainGenes() const {
    Genes g;
    g.order.resize(blocks_.tasks.size());
    std::iota(g.order.begin(), g.order.end(), 0);
    g.delay.assign(net_.tasks.size(), 0);
    g.small.assign(net_.tasks.size(), 0);
    g.modes.assign(net_.choices.size(), 0);
    return g;
}

Decoder::Price Decoder::decode(const Genes& genes) {
    genes_ = &genes;
    state_.busy = empty_;
    state_.work.clear();
    state_.sittings.clear();
    state_.uses.clear();
    state_.overfull.clear();
    state_.lastPiece.assign(net_.people.size(), -1);
    unfill(0);
    stuck_ = 0;
    at_.assign(net_.tasks.size(), -1);
    who_.assign(net_.tasks.size(), 0);
    pinned_.assign(net_.tasks.size(), 0);
    bound_.assign(net_.tasks.size(), 0);
    for (size_t t = 0; t < net_.tasks.size(); ++t) {  // what is pinned has its hands before anyone
        const auto& task = net_.tasks[t];
        if (!task.pin || task.done || isOff(static_cast<int>(t))) continue;
        const int at = -*task.pin - task.minutes;
        const int pot = potOf(static_cast<int>(t));
        if (at < -task.latest || outsideForbidden(static_cast<int>(t), at) != at) continue;
        if (pot >= 0 && !state_.busy.isFree(potRow(pot), at, at + task.minutes)) continue;
        const Seen hands = findHands(at, task.minutes, task.hands, task.skills, static_cast<int>(t));
        if (hands.at != at) continue;
        pinned_[t] = hands.who;
        if (pot >= 0) state_.busy.take(potRow(pot), at, at + task.minutes);
        for (int p = 0; p < people(); ++p)
            if (hands.who >> p & 1) state_.busy.take(p, at, at + task.minutes);
    }
    std::vector<int> waits(blocks_.tasks.size()), rank(blocks_.tasks.size());
    for (size_t i = 0; i < genes.order.size(); ++i) rank[genes.order[i]] = static_cast<int>(i);
    std::priority_queue<int, std::vector<int>, std::greater<>> ready;
    for (size_t b = 0; b < waits.size(); ++b) {
        waits[b] = static_cast<int>(blocks_.waits[b].size());
        if (waits[b] == 0) ready.push(rank[b]);
    }
    while (!ready.empty()) {
        const int b = genes.order[ready.top()];
        ready.pop();
        layBlock(b);
        for (const int w : wanted_[b])
            if (--waits[w] == 0) ready.push(rank[w]);
    }
    price();
    return price_;
}

void Decoder::layBlock(int block) {
    const auto& tasks = blocks_.tasks[block];
    for (const int t : tasks) bound_[t] = 0;
    const size_t filled = filled_.size();
    kept_ = state_;
    constexpr int kTries = 40;
    for (int attempt = 0;; ++attempt) {
        const bool accept = attempt >= kTries;
        if (accept)  // where nothing keeps them all: as if there were no windows
            for (const int t : tasks) bound_[t] = 0;
        if (tryBlock(tasks, accept)) return;
        state_ = kept_;
        unfill(filled);
        for (const int t : tasks) {
            at_[t] = -1;
            if (bound_[t] > net_.horizon) attempt = std::max(attempt, kTries - 1);
        }
    }
}

bool Decoder::tryBlock(const std::vector<int>& tasks, bool accept) {
    for (size_t k = 0; k < tasks.size(); ++k) {
        const int t = nextTask(tasks);
        if (t < 0) return true;
        if (!layTask(t, accept)) return false;
    }
    return true;
}

int Decoder::nextTask(const std::vector<int>& tasks) const {
    int best = -1, bestAt = 0;
    for (const int t : tasks) {
        if (at_[t] >= 0 || isOff(t)) continue;
        bool ready = true;
        for (const int l : lagsFrom_[t])
            if (at_[net_.lags[l].to] < 0 && !isOff(net_.lags[l].to)) ready = false;
        for (const int h : holdsFrom_[t])
            if (const int to = net_.holds[h].to; to != t && at_[to] < 0 && !isOff(to)) ready = false;
        if (!ready) continue;
        const int at = lowerBound(t);
        if (best < 0 || at < bestAt) best = t, bestAt = at;
    }
    return best;
}

int Decoder::lowerBound(int task) const {
    const auto& t = net_.tasks[task];
    int from = std::max(bound_[task], -t.latest);
    for (const int l : lagsFrom_[task]) {
        const auto& lag = net_.lags[l];
        if (isOff(lag.choice, lag.mode) || at_[lag.to] < 0) continue;
        from = std::max(from, at_[lag.to] + net_.tasks[lag.to].minutes - t.minutes + lag.min);
    }
    for (const int p : meltsFor_[task])
        for (const auto& s : state_.sittings)
            if (s.uses > 0 && s.pot == p) from = std::max(from, s.end);
    // no delay leads before the day begins
    const int most = std::max(0, net_.horizon - t.minutes - from);
    if (wished_.empty()) return from + std::min(genes_->delay[task], most);
    delays_[task] = std::clamp(wished_[task] - from, 0, most);
    return from + delays_[task];
}

Genes Decoder::near(const std::vector<int>& start, Genes genes) {
    std::vector<int> last(blocks_.tasks.size(), minutes_);
    for (size_t b = 0; b < last.size(); ++b)
        for (const int t : blocks_.tasks[b])
            last[b] = std::min(last[b], start[t] == kLeftOut ? 0 : -start[t] - net_.tasks[t].minutes);
    std::ranges::stable_sort(genes.order, {}, [&](int b) { return last[b]; });
    return at(start, std::move(genes));
}

std::vector<std::pair<int, std::vector<int>>> Decoder::usesBySitting() const {
    std::vector<std::pair<int, std::vector<int>>> out(state_.sittings.size());
    for (size_t i = 0; i < out.size(); ++i) out[i].first = state_.sittings[i].pot;
    for (const auto& u : state_.uses)
        if (u.task >= 0) out[u.sitting].second.push_back(u.task);
    std::erase_if(out, [](const auto& s) { return s.second.empty(); });
    return out;
}

Genes Decoder::at(const std::vector<int>& start, Genes genes) {
    const size_t n = net_.tasks.size();
    wished_.assign(n, 0);
    delays_.assign(n, 0);
    for (size_t t = 0; t < n; ++t)
        if (start[t] != kLeftOut) wished_[t] = -start[t] - net_.tasks[t].minutes;
    decode(genes);
    genes.delay = std::move(delays_);
    wished_.clear();
    return genes;
}

int Decoder::outsideForbidden(int task, int at) const {
    const auto& t = net_.tasks[task];
    for (size_t k = 0; k < t.forbidden.size();) {
        const auto& s = t.forbidden[k];
        if (at < -s.from && at + t.minutes > -s.to) at = -s.from, k = 0;
        else ++k;
    }
    return at;
}

Decoder::Seen Decoder::findHands(int from, int minutes, int hands, unsigned skills, int task) const {
    Seen best;
    if (hands <= 0) return {from, 0, -1};
    if (hands == 1) {
        const auto fitness = [&](int p) {  // those who can do less first; who did the same before
            return 64 * std::popcount(net_.people[p].skills) -
                   (task >= 0 && state_.lastPiece[p] >= 0 &&
                    net_.tasks[state_.lastPiece[p]].piece == net_.tasks[task].piece);
        };
        for (int p = 0; p < people(); ++p) {
            if (skills & ~net_.people[p].skills) continue;
            const int at = state_.busy.firstFree(p, from, minutes);
            if (at == Minutes::kNone || at > best.at) continue;
            if (at < best.at || fitness(p) < fitness(best.person)) best = {at, 1U << p, p};
        }
        return best;
    }
    for (int at = from; at + minutes <= minutes_;) {
        int free = 0, next = Minutes::kNone;
        unsigned who = 0;
        for (int p = 0; p < people() && free < hands; ++p) {
            if (skills & ~net_.people[p].skills) continue;
            const int found = state_.busy.firstFree(p, at, minutes);
            if (found == at) ++free, who |= 1U << p, best.person = p;
            else next = std::min(next, found);
        }
        if (free >= hands) return {at, who, best.person};
        if (next == Minutes::kNone) break;
        at = next;
    }
    return {};
}

int Decoder::holdFits(int task, int at) const {
    const int wished = at;
    for (bool moved = true; moved;) {
        moved = false;
        for (const int i : holdsTo_[task]) {
            const auto& h = net_.holds[i];
            if (isOff(h.choice, h.mode)) continue;
            const auto& used = used_[h.resource];
            const int room = net_.resources[h.resource].capacity - h.amount;
            if (room < 0) continue;  // never fits; told by reasons()
            for (int m = std::min(minutes_, at + holdLength_[i]) - 1; m >= at; --m)
                if (used[m] > room) {
                    at = m + 1;
                    moved = true;
                    break;
                }
        }
        if (at > net_.horizon && at > wished + 12 * 60) return wished;  // it never fits: told as overfull
    }
    return at;
}

bool Decoder::layDone(int task, bool accept) {
    const auto& t = net_.tasks[task];
    at_[task] = std::clamp(-*t.pin - t.minutes, 0, minutes_ - t.minutes - 1);
    who_[task] = 0;
    if (t.pot >= 0) {
        lift(t.pot);
        const Use use{-1, task, -1, at_[task], t.minutes, t.draw, t.bath};
        const int last = lastSitting(t.pot);
        const bool joined = last >= 0 && joins(use, state_.sittings[last], last) &&
                            state_.sittings[last].mass() <= net_.pots[t.pot].standing + 1e-9;
        addUse(use, t.pot, joined ? last : -1);
        state_.sittings[joined ? last : state_.sittings.size() - 1].standing = true;
        settle(t.pot);
    }
    return keepsWindows(task, accept) && takeHolds(task, accept);
}

bool Decoder::layTask(int task, bool accept) {
    const auto& t = net_.tasks[task];
    if (t.done) return layDone(task, accept);
    const int pot = potOf(task);
    int at = lowerBound(task);
    if (pot >= 0) lift(pot);  // what makes it ready makes room for one more use, and is laid again behind it
    const bool pinned = pinned_[task] != 0;
    if (pinned && at <= -*t.pin - t.minutes) {
        at_[task] = -*t.pin - t.minutes;
        who_[task] = pinned_[task];
        if (pot >= 0) {
            Use use{-1, task, -1, at_[task], t.minutes, t.draw, t.bath};
            int next = 0;
            const int sitting = sittingFor(use, pot, next);
            addUse(use, pot, std::max(sitting, -1));
            settle(pot);
        }
        return keepsWindows(task, accept) && takeHolds(task, accept);
    }
    if (pinned) {  // what comes after it does not allow it
        for (int p = 0; p < people(); ++p)
            if (pinned_[task] >> p & 1) state_.busy.give(p, -*t.pin - t.minutes, -*t.pin);
        if (pot >= 0) state_.busy.give(potRow(pot), -*t.pin - t.minutes, -*t.pin);
    }
    for (;;) {
        const Seen hands = findHands(at, t.minutes, t.hands, t.skills, task);
        if (hands.at == Minutes::kNone) {  // past all that there is: told as a broken window, far away
            at_[task] = std::min(std::max(at, net_.horizon), minutes_ - t.minutes - 1);
            who_[task] = 0;
            ++stuck_;
            if (pot >= 0) settle(pot);
            return true;
        }
        at = hands.at;
        if (const int allowed = outsideForbidden(task, at); allowed != at) {
            at = allowed;
            continue;
        }
        if (pot >= 0) {
            const int potFree = state_.busy.firstFree(potRow(pot), at, t.minutes);
            if (potFree != at && potFree != Minutes::kNone) {
                at = potFree;
                continue;
            }
            Use use{-1, task, -1, at, t.minutes, t.draw, t.bath};
            int next = at + 1;
            const int sitting = sittingFor(use, pot, next);
            if (sitting == -2) {
                at = next;
                continue;
            }
            if (const int room = holdFits(task, at); room != at) {
                at = room;
                continue;
            }
            addUse(use, pot, sitting);
        } else if (const int room = holdFits(task, at); room != at) {
            at = room;
            continue;
        }
        at_[task] = at;
        who_[task] = hands.who;
        for (int p = 0; p < people(); ++p)
            if (hands.who >> p & 1) state_.busy.take(p, at, at + t.minutes), state_.lastPiece[p] = task;
        if (pot >= 0) settle(pot);
        return keepsWindows(task, accept) && takeHolds(task, accept);
    }
}

bool Decoder::keepsWindows(int task, bool accept) {
    if (accept) return true;
    const auto& t = net_.tasks[task];
    for (const int l : lagsFrom_[task]) {
        const auto& lag = net_.lags[l];
        if (lag.max < 0 || t.done || isOff(lag.choice, lag.mode) || at_[lag.to] < 0) continue;
        const int latest = at_[lag.to] + net_.tasks[lag.to].minutes - t.minutes + lag.max;
        if (at_[task] <= latest || blocks_.of[lag.to] != blocks_.of[task]) continue;
        bound_[lag.to] = std::max(bound_[lag.to], at_[lag.to] + at_[task] - latest);
        return false;
    }
    return true;
}

bool Decoder::takeHolds(int task, bool accept) {
    const auto& t = net_.tasks[task];
    for (const int i : holdsFrom_[task]) {
        const auto& h = net_.holds[i];
        if (isOff(h.choice, h.mode) || at_[h.to] < 0) continue;
        const int from = at_[h.to], to = std::min(minutes_, at_[task] + t.minutes);
        const auto& used = used_[h.resource];
        const int room = net_.resources[h.resource].capacity - h.amount;
        int conflict = -1, most = 0;
        for (int m = from; m < to; ++m)
            if (used[m] > room) conflict = m, most = std::max(most, used[m] - room);
        if (conflict >= 0) {
            if (!accept && room >= 0 && blocks_.of[h.to] == blocks_.of[task] && h.to != task) {
                bound_[h.to] = std::max(bound_[h.to], conflict + 1);
                return false;
            }
            state_.overfull.push_back({i, most});
        }
        fill(h.resource, from, to, h.amount);
    }
    return true;
}

void Decoder::fill(int resource, int from, int to, int amount) {
    for (int m = from; m < to; ++m) used_[resource][m] += amount;
    filled_.push_back({resource, from, to, amount});
}

void Decoder::unfill(size_t back) {
    for (; filled_.size() > back; filled_.pop_back()) {
        const auto& f = filled_.back();
        for (int m = f.from; m < f.to; ++m) used_[f.resource][m] -= f.amount;
    }
}

void Decoder::price() {
    broken_.clear();
    const auto breaks = [&](Broken::Kind kind, int of, int minutes) {
        if (minutes > 0) broken_.push_back({kind, of, minutes});
    };
    int longest = 0;
    double hands = 0;
    for (size_t i = 0; i < net_.tasks.size(); ++i) {
        if (at_[i] < 0) continue;
        const auto& t = net_.tasks[i];
        const int end = at_[i] + t.minutes, task = static_cast<int>(i);
        if (t.done) continue;
        longest = std::max(longest, end);
        hands += t.minutes * t.hands;
        breaks(Broken::Kind::Horizon, task, end - net_.horizon);
        if (t.earliest != INT_MIN) breaks(Broken::Kind::Earliest, task, end + t.earliest);
        if (t.pin) breaks(Broken::Kind::Pin, task, std::abs(end + *t.pin));
    }
    for (size_t i = 0; i < net_.lags.size(); ++i) {
        const auto& lag = net_.lags[i];
        if (lag.max < 0 || isOff(lag.choice, lag.mode) || at_[lag.from] < 0 || at_[lag.to] < 0) continue;
        if (net_.tasks[lag.to].done) continue;
        const int gap = at_[lag.from] + net_.tasks[lag.from].minutes - at_[lag.to] - net_.tasks[lag.to].minutes;
        breaks(Broken::Kind::Lag, static_cast<int>(i), gap - lag.max);
    }
    for (const auto& o : state_.overfull) broken_.push_back({Broken::Kind::Hold, o.hold, o.most});
    double cost = 0;
    for (size_t i = 0; i < state_.sittings.size(); ++i) {
        const auto& s = state_.sittings[i];
        if (s.uses == 0) continue;
        const auto& pot = net_.pots[s.pot];
        const int sitting = static_cast<int>(i);
        if (s.standing) continue;
        if (pot.base < 0 && pot.meltMinutes > 0) cost += net_.wish.sitting;
        longest = std::max(longest, s.end);
        breaks(Broken::Kind::FirstUse, sitting, s.readyAt - s.hi - pot.firstUse);
        breaks(Broken::Kind::PotHorizon, sitting, s.end - net_.horizon);
        if (s.mass() > pot.vessel + 1e-9) breaks(Broken::Kind::Vessel, sitting, 1);
    }
    for (size_t i = 0; i < state_.sittings.size(); ++i) {
        int crossed = 0;  // by another that has begun when this one is still in use
        for (size_t k = 0; k < state_.sittings.size(); ++k) {
            const auto &a = state_.sittings[i], &b = state_.sittings[k];
            if (i == k || a.pot != b.pot || a.uses == 0 || b.uses == 0 || a.lo > b.lo) continue;
            crossed = std::max(crossed, a.end - b.lo);
        }
        breaks(Broken::Kind::Crossed, static_cast<int>(i), crossed);
        if (state_.sittings[i].standing) continue;
        breaks(Broken::Kind::Idle, static_cast<int>(i),
               longestIdle(static_cast<int>(i)) - net_.pots[state_.sittings[i].pot].idle);
    }
    int bursts = 0, interruptions = 0;
    for (const auto& w : state_.work) {
        const auto& s = state_.sittings[w.sitting];
        if (s.uses == 0) continue;
        if (w.interrupts) ++interruptions;
        else if (w.kind == PotWork::Kind::Burst) ++bursts;
        else hands += w.minutes;
        if (w.kind == PotWork::Kind::Melt)
            breaks(Broken::Kind::Melted, w.sitting, w.at - s.readyEnd - net_.pots[s.pot].temperAfterMelt);
        if (w.kind == PotWork::Kind::Burst && w.person < 0) breaks(Broken::Kind::Warmth, w.sitting, w.minutes);
    }
    sortWork();
    int changes = 0;
    for (const auto& d : busyOf_)
        for (size_t k = 1; k < d.size(); ++k)
            changes +=
                d[k].task >= 0 && d[k - 1].task >= 0 && net_.tasks[d[k].task].piece != net_.tasks[d[k - 1].task].piece;
    price_.cost = cost + net_.wish.start * longest + net_.wish.hands * hands + net_.wish.change * changes +
                  net_.wish.burst * bursts + net_.wish.interruption * interruptions;
    for (const auto& n : near_) {
        if (at_[n.first] < 0 || at_[n.second] < 0) continue;
        const int apart = at_[n.first] + net_.tasks[n.first].minutes - at_[n.second] - net_.tasks[n.second].minutes;
        if (apart < 0 && n.apart > 0) price_.cost += net_.wish.turned;
        else if (std::abs(apart - n.apart) > 15) price_.cost += net_.wish.moved;
    }
    for (size_t c = 0; c < net_.choices.size(); ++c) price_.cost += net_.choices[c].cost[genes_->modes[c]];
    price_.broken = static_cast<int>(broken_.size()) + 1000 * stuck_;
    price_.late = 0;
    for (const auto& b : broken_) price_.late += b.kind == Broken::Kind::Hold ? 20 : b.minutes;
}

void Decoder::sortWork() {
    for (auto& b : busyOf_) b.clear();
    for (size_t i = 0; i < net_.tasks.size(); ++i)
        for (int p = 0; at_[i] >= 0 && p < people(); ++p)
            if (who_[i] >> p & 1) busyOf_[p].push_back({at_[i], at_[i] + net_.tasks[i].minutes, static_cast<int>(i)});
    for (const auto& w : state_.work)
        if (w.person >= 0 && !w.interrupts && state_.sittings[w.sitting].uses > 0)
            busyOf_[w.person].push_back({w.at, w.at + w.minutes, -1});
    for (auto& b : busyOf_) std::sort(b.begin(), b.end(), [](const Busy& x, const Busy& y) { return x.from < y.from; });
}

Layout Decoder::layout() const {
    Layout out;
    const size_t n = net_.tasks.size();
    out.start.assign(n, kLeftOut);
    out.who.assign(n, 0);
    out.modes = genes_->modes;
    int first = 0, last = INT_MIN;
    const auto seen = [&](int start, int minutes) {
        first = std::min(first, start);
        last = std::max(last, start + minutes);
    };
    for (size_t i = 0; i < n; ++i) {
        if (at_[i] < 0) continue;
        out.start[i] = -at_[i] - net_.tasks[i].minutes;
        out.who[i] = who_[i];
        seen(out.start[i], net_.tasks[i].minutes);
    }
    std::vector<int> index(state_.sittings.size(), -1);
    for (size_t i = 0; i < state_.sittings.size(); ++i) {
        const auto& s = state_.sittings[i];
        if (s.uses == 0) continue;
        index[i] = static_cast<int>(out.sittings.size());
        PotSitting now{s.pot, -s.hi, -s.lo, s.draw, s.bath, {}, {}, s.standing};
        for (const auto& u : state_.uses)
            if (u.sitting == static_cast<int>(i) && u.task >= 0) now.uses.push_back(u.task);
            else if (u.sitting == static_cast<int>(i)) now.mixes.push_back(u.mixes);
        std::sort(now.uses.begin(), now.uses.end(), [&](int a, int b) { return out.start[a] < out.start[b]; });
        out.sittings.push_back(std::move(now));
    }
    for (auto& s : out.sittings)
        for (int& m : s.mixes) m = index[m];
    for (const auto& w : state_.work) {
        if (index[w.sitting] < 0 || w.person < 0) continue;
        const bool past = w.at + w.minutes > net_.horizon;  // has been done
        if (past && w.kind == PotWork::Kind::Burst && state_.sittings[w.sitting].standing) continue;
        out.potWork.push_back({w.kind, state_.sittings[w.sitting].pot, index[w.sitting], -w.at - w.minutes, w.minutes,
                               w.person, state_.sittings[w.sitting].mass(), w.interrupts});
        seen(out.potWork.back().start, w.minutes);
    }
    std::stable_sort(out.potWork.begin(), out.potWork.end(),
                     [](const auto& a, const auto& b) { return a.start < b.start; });
    for (auto b : broken_) {
        if (b.kind >= Broken::Kind::FirstUse) b.of = index[b.of];
        out.broken.push_back(b);
    }
    out.begins = first;
    out.ends = last == INT_MIN ? 0 : last;
    out.cost = price_.cost;
    return out;
}

}  // namespace uovo::schedule
