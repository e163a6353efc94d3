// Sittings of pots while a day is laid: what joins which, when it is tempered, how it is kept warm.
#include <algorithm>
#include <cmath>

#include "core/schedule/decode.h"
#include "core/schedule/pot_work.h"

namespace uovo::schedule {
namespace {

int wholeMinutes(double least, double perKilogram, double kilograms) {
    return std::max(1, static_cast<int>(std::ceil(least + perKilogram * kilograms - 1e-9)));
}

}  // namespace

int usableMinutes(const Pot& pot, double draw, double bath) {
    if (pot.keepsWarm) return 1 << 20;
    return std::max(1, static_cast<int>(pot.windowMinutes + pot.windowPerKilogram * (bath + draw / 2)));
}
int meltMinutes(const Pot& pot, double mass) { return wholeMinutes(pot.meltMinutes, pot.meltPerKilogram, mass); }
int temperMinutes(const Pot& pot, double mass) { return wholeMinutes(pot.temperMinutes, pot.temperPerKilogram, mass); }

int Decoder::potOf(int task) const {
    const auto& t = net_.tasks[task];
    return t.pot >= 0 && t.small && genes_->small[task] && net_.pots[t.pot].small >= 0 ? net_.pots[t.pot].small : t.pot;
}

int Decoder::lastSitting(int pot) const {
    int best = -1;
    for (size_t i = 0; i < state_.sittings.size(); ++i) {
        const auto& s = state_.sittings[i];
        if (s.uses > 0 && s.pot == pot && (best < 0 || s.hi > state_.sittings[best].hi)) best = static_cast<int>(i);
    }
    return best;
}

/// Takes back what makes the earliest sitting of the day ready, so that it may grow.
void Decoder::lift(int pot) {
    const int last = lastSitting(pot);
    if (last >= 0 && state_.sittings[last].settled()) drop(last, true);
    if (const int base = net_.pots[pot].base; base >= 0) lift(base);  // takes what is divided off it
}

/// Takes its work back; hands are free again. @param fromBase also what was divided off for it
void Decoder::drop(int sitting, bool fromBase) {
    auto& s = state_.sittings[sitting];
    const int readyAt = s.readyAt;
    std::erase_if(state_.work, [&](const Work& w) {
        if (w.sitting != sitting || (w.kind == PotWork::Kind::Burst && w.at < s.hi)) return false;
        if (w.person >= 0) {
            if (!w.interrupts) state_.busy.give(w.person, w.at, w.at + w.minutes);
            if (w.kind != PotWork::Kind::Burst && w.kind != PotWork::Kind::Mix)
                state_.busy.give(potRow(s.pot), w.at, w.at + w.minutes);
        }
        return true;
    });
    s.readyAt = s.readyEnd = s.end = -1;
    if (!fromBase || readyAt < 0) return;
    for (size_t i = 0; i < state_.uses.size(); ++i)
        if (state_.uses[i].mixes == sitting) {
            const Use u = state_.uses[i];
            const auto at = static_cast<std::ptrdiff_t>(i);
            state_.busy.give(potRow(state_.sittings[u.sitting].pot), u.at, u.at + u.minutes);
            state_.uses.erase(state_.uses.begin() + at);
            if (state_.sittings[u.sitting].settled()) drop(u.sitting, true);
            recount(u.sitting);
            break;
        }
}

void Decoder::recount(int sitting) {
    auto& s = state_.sittings[sitting];
    s.uses = 0;
    s.draw = s.bath = 0;
    for (const auto& u : state_.uses) {
        if (u.sitting != sitting) continue;
        s.lo = s.uses ? std::min(s.lo, u.at) : u.at;
        s.hi = s.uses ? std::max(s.hi, u.at + u.minutes) : u.at + u.minutes;
        ++s.uses;
        s.draw += u.draw;
        s.bath = std::max(s.bath, u.bath);
    }
    if (s.uses == 0)
        std::erase_if(state_.work, [&](const Work& w) {
            if (w.sitting != sitting) return false;
            if (w.person >= 0 && !w.interrupts) state_.busy.give(w.person, w.at, w.at + w.minutes);
            return true;
        });
    for (const auto& [from, to] : gapsOf(sitting)) keepWarm(from, to, sitting);
}

std::vector<std::pair<int, int>> Decoder::gapsOf(int sitting) const {
    std::vector<std::pair<int, int>> uses, out;
    for (const auto& u : state_.uses)
        if (u.sitting == sitting) uses.emplace_back(u.at, u.at + u.minutes);
    std::sort(uses.begin(), uses.end());
    for (size_t i = 1; i < uses.size(); ++i)
        if (uses[i].first > uses[i - 1].second) out.emplace_back(uses[i - 1].second, uses[i].first);
    return out;
}

int Decoder::longestIdle(int sitting) const {
    int longest = 0;
    for (const auto& [from, to] : gapsOf(sitting)) longest = std::max(longest, to - from);
    return longest;
}

void Decoder::settle(int pot) {
    for (size_t i = 0; i < state_.sittings.size(); ++i)
        if (state_.sittings[i].uses > 0 && state_.sittings[i].pot == pot && !state_.sittings[i].settled())
            settleSitting(static_cast<int>(i));
    if (const int base = net_.pots[pot].base; base >= 0) settle(base);
}

Decoder::Seen Decoder::findPotHands(int from, int minutes, int row) const {
    for (int at = from;;) {
        const Seen hands = findHands(at, minutes, 1, kHot, -1);
        if (hands.at == Minutes::kNone) return {at, 0, -1};
        const int free = state_.busy.firstFree(row, hands.at, minutes);
        if (free == hands.at || free == Minutes::kNone) return hands;
        at = free;
    }
}

void Decoder::settleSitting(int sitting) {
    const int potIndex = state_.sittings[sitting].pot;
    const auto& pot = net_.pots[potIndex];
    if (auto& s = state_.sittings[sitting]; s.standing) {  // has been made ready
        s.readyAt = s.readyEnd = s.end = s.hi;
        return;
    }
    const auto mass = [&] { return state_.sittings[sitting].mass(); };
    int at = state_.sittings[sitting].hi;
    if (pot.base >= 0) {
        for (;;) {
            const Seen hands = findPotHands(at, pot.mixMinutes, potRow(pot.base));
            if (hands.person < 0) break;
            at = hands.at;
            Use use{-1, -1, sitting, at, pot.mixMinutes, mass(), 0};
            int next = at + 1;
            const int joined = sittingFor(use, pot.base, next);
            if (joined == -2) {
                at = next;
                continue;
            }
            addUse(use, pot.base, joined);
            state_.busy.take(hands.person, at, at + pot.mixMinutes);
            state_.work.push_back({PotWork::Kind::Mix, sitting, at, pot.mixMinutes, hands.person});
            break;
        }
        auto& s = state_.sittings[sitting];
        s.readyAt = at;
        s.readyEnd = s.end = at + pot.mixMinutes;
        keepWarm(s.hi, at, sitting);
        return;
    }
    const auto makes = readyBy(pot);
    const int minutes = readyMinutes(pot, mass());
    const auto place = [&](int from, int length) {
        const Seen hands = findPotHands(from, length, potRow(potIndex));
        return hands.person < 0 ? Seen{std::min(hands.at, minutes_ - length - 1), 0, -1} : hands;
    };
    const auto take = [&](PotWork::Kind kind, const Seen& hands, int length) {
        if (hands.person >= 0) state_.busy.take(hands.person, hands.at, hands.at + length);
        state_.busy.take(potRow(potIndex), hands.at, hands.at + length);
        state_.work.push_back({kind, sitting, hands.at, length, std::max(0, hands.person)});
    };
    const Seen ready = place(at, minutes);
    take(makes, ready, minutes);
    {
        auto& s = state_.sittings[sitting];
        s.readyAt = ready.at;
        s.readyEnd = s.end = ready.at + minutes;
    }
    keepWarm(at, ready.at, sitting);
    if (makes != PotWork::Kind::Temper) return;
    const int length = meltMinutes(pot, mass());
    const Seen molten = place(ready.at + minutes, length);
    take(PotWork::Kind::Melt, molten, length);
    state_.sittings[sitting].end = molten.at + length;
}

std::pair<int, int> Decoder::beside(int sitting, int at, int end) const {
    int before = -1, after = -1;
    for (const auto& u : state_.uses) {
        if (u.sitting != sitting) continue;
        if (u.at + u.minutes <= at) before = std::max(before, u.at + u.minutes);
        else if (u.at >= end && (after < 0 || u.at < after)) after = u.at;
    }
    return {before, after};
}

bool Decoder::joins(const Use& use, const Sitting& s, int index) const {
    const auto& pot = net_.pots[s.pot];
    const int end = use.at + use.minutes;
    if (s.settled()) {  // its bowl is molten and tempered: room for it, and no more minutes than it had
        const double more = s.draw + use.draw + std::max(s.bath, use.bath);
        if (end > s.readyAt || pot.base >= 0) return false;
        if (temperMinutes(pot, more) > temperMinutes(pot, s.mass())) return false;
        if (meltMinutes(pot, more) > meltMinutes(pot, s.mass())) return false;
    }
    const double holds = s.standing ? pot.standing : pot.vessel;
    if (s.draw + use.draw + std::max(s.bath, use.bath) > holds + 1e-9) return false;
    if (std::max(s.hi, end) - std::min(s.lo, use.at) > pot.length) return false;
    const auto [before, after] = beside(index, use.at, end);
    const int later = after >= 0 ? after : s.settled() ? s.readyAt : -1;
    if (before >= 0 && use.at - before > pot.idle) return false;
    if (later >= 0 && later - end > (after >= 0 ? pot.idle : pot.firstUse)) return false;
    Sitting grown = s;
    grown.draw += use.draw;
    grown.bath = std::max(s.bath, use.bath);
    if (before >= 0 && !warmable(before, use.at, grown)) return false;
    return later < 0 || warmable(end, later, grown);
}

int Decoder::readyFits(const Use& use, int potIndex, int sitting) const {
    const auto& pot = net_.pots[potIndex];
    Sitting grown;
    if (sitting >= 0) grown = state_.sittings[sitting];
    const int end = use.at + use.minutes;
    if (sitting >= 0 && (grown.settled() || end <= grown.hi)) return use.at;
    grown.pot = potIndex;
    grown.draw += use.draw;
    grown.bath = std::max(grown.bath, use.bath);
    const int row = potRow(pot.base >= 0 ? pot.base : potIndex);
    const int minutes = readyMinutes(pot, grown.mass());
    const Seen hands = findPotHands(end, minutes, row);
    if (hands.person < 0 || (hands.at - end <= pot.firstUse && warmable(end, hands.at, grown))) return use.at;
    const int calm = std::min(pot.firstUse, usableMinutes(pot, grown.draw, grown.bath) * 3 / 5);
    return std::max(use.at + 1, hands.at - use.minutes - calm);
}

int Decoder::sittingFor(const Use& use, int pot, int& next) {
    int last = -1, nearest = Minutes::kNone;
    for (size_t i = 0; i < state_.sittings.size(); ++i) {
        const auto& s = state_.sittings[i];
        if (s.uses == 0 || s.pot != pot) continue;
        if (joins(use, s, static_cast<int>(i))) {
            next = readyFits(use, pot, static_cast<int>(i));
            return next == use.at ? static_cast<int>(i) : -2;
        }
        if (last < 0 || s.hi > state_.sittings[last].hi) last = static_cast<int>(i);
        for (const int candidate : {s.lo - net_.pots[pot].idle - use.minutes, s.lo - use.minutes - 1, s.hi, s.end})
            if (candidate > use.at) nearest = std::min(nearest, candidate);
    }
    if (last < 0) {
        next = readyFits(use, pot, -1);
        return next == use.at ? -1 : -2;
    }
    if (use.at < state_.sittings[last].hi) {  // among sittings that do not take it
        next = nearest == Minutes::kNone ? use.at + 1 : nearest;
        return -2;
    }
    if (!state_.sittings[last].settled()) {  // which may take the very hands that were found
        settleSitting(last);
        next = std::max(state_.sittings[last].end, use.at);
        return -2;
    }
    const int free = state_.sittings[last].end;
    if (use.at >= free) {
        next = readyFits(use, pot, -1);
        return next == use.at ? -1 : -2;
    }
    next = free;
    return -2;
}

void Decoder::addUse(const Use& use, int pot, int sitting) {
    if (sitting < 0) {
        sitting = static_cast<int>(state_.sittings.size());
        state_.sittings.push_back({pot, use.at, use.at + use.minutes, 0, 0, 0, false, -1, -1, -1});
    }
    auto& s = state_.sittings[sitting];
    const int end = use.at + use.minutes;
    auto [before, after] = beside(sitting, use.at, end);
    if (after < 0 && s.settled()) after = s.readyAt;
    state_.uses.push_back(use);
    state_.uses.back().sitting = sitting;
    ++s.uses;
    s.lo = std::min(s.lo, use.at);
    s.hi = std::max(s.hi, end);
    s.draw += use.draw;
    s.bath = std::max(s.bath, use.bath);
    state_.busy.take(potRow(pot), use.at, end);
    if (before >= 0) keepWarm(before, use.at, sitting);
    if (after >= 0) keepWarm(end, after, sitting);
}

Decoder::Warmer Decoder::warmer(int minute) const {
    Warmer out;
    for (int p = 0; p < people(); ++p) {
        if (kHot & ~net_.people[p].skills) continue;
        if (state_.busy.isFree(p, minute, minute + 1)) return {p, false};
        if (out.person < 0 && empty_.isFree(p, minute, minute + 1)) out = {p, true};
    }
    return out;
}

int Decoder::canWarm(int minute) const {
    const Warmer w = warmer(minute);
    return w.person < 0 ? 0 : w.interrupts ? 1 : 2;
}

bool Decoder::warmable(int from, int to, const Sitting& s) const {
    const int usable = usableMinutes(net_.pots[s.pot], s.draw, s.bath);
    if (to - from <= usable * 3 / 5) return true;
    return burstsBetween(
        from, to, usable, [&](int m) { return canWarm(m); }, [](int) {});
}

void Decoder::keepWarm(int from, int to, int sitting) {
    const auto& s = state_.sittings[sitting];
    const int usable = usableMinutes(net_.pots[s.pot], s.draw, s.bath);
    int earliest = to;
    std::erase_if(state_.work, [&](const Work& w) {  // those there were, for other gaps
        if (w.sitting != sitting || w.kind != PotWork::Kind::Burst || w.at < from || w.at >= to) return false;
        if (w.person >= 0 && !w.interrupts) state_.busy.give(w.person, w.at, w.at + 1);
        return true;
    });
    const bool kept = burstsBetween(
        from, to, usable, [&](int m) { return canWarm(m); },
        [&](int m) {
            const Warmer w = warmer(m);
            if (!w.interrupts) state_.busy.take(w.person, m, m + 1);
            state_.work.push_back({PotWork::Kind::Burst, sitting, m, 1, w.person, w.interrupts});
            earliest = m;
        });
    if (!kept) state_.work.push_back({PotWork::Kind::Burst, sitting, from, earliest - from - usable, -1});
}

}  // namespace uovo::schedule
