// What is done to a pot: how it is made ready, and when one that stands is warmed by a burst.
#pragma once
#include <algorithm>

#include "core/schedule/network.h"

namespace uovo::schedule {

/// The work after which a pot may be taken from.
inline PotWork::Kind readyBy(const Pot& pot) {
    using Kind = PotWork::Kind;
    return pot.base >= 0 ? Kind::Mix : !pot.tempered ? Kind::Melt : pot.meltMinutes > 0 ? Kind::Temper : Kind::Warm;
}
/// Minutes of it. @param mass kg in the pot
inline int readyMinutes(const Pot& pot, double mass) {
    return pot.base >= 0 ? pot.mixMinutes : pot.tempered ? temperMinutes(pot, mass) : meltMinutes(pot, mass);
}

/// Minutes between from and to, mirrored, at which a pot is warmed; the chocolate was warm at `to`. Where hands are
/// free near the middle of its window, then; else somebody leaves what he does for it.
/// @param can 2: hands are free in that minute, 1: somebody is there, 0: nobody
/// @returns whether it never waits longer than `window`
template <class Can, class Warm>
bool burstsBetween(int from, int to, int window, const Can& can, const Warm& warm) {
    const int calm = window * 3 / 5;
    for (int warmAt = to; warmAt - from > calm;) {
        int found = -1, best = 0;
        const int wish = warmAt - 1 - window / 2, least = std::max(from, warmAt - 1 - window);
        for (int off = 0; off <= window && best < 2; ++off)
            for (const int m : {wish - off, wish + off})
                if (m >= least && m < warmAt)
                    if (const int now = can(m); now > best) best = now, found = m;
        if (best == 0) return warmAt - from <= window;
        warm(found);
        warmAt = found;
    }
    return true;
}

}  // namespace uovo::schedule
