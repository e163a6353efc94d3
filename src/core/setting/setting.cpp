#include "core/setting/setting.h"

#include <algorithm>
#include <cmath>

namespace uovo::setting {

Times settle(const Wall& wall, const material::Coating& coating, const heat::CrystalLaw& law, const Events& events,
             const std::vector<Stay>& stays) {
    constexpr size_t kNodes = 10;
    constexpr double kStep = 5, kLongest = 24 * 3600;
    heat::Slab slab;
    slab.thickness = wall.coat + wall.shell;
    slab.density = coating.densityMelt;
    slab.heatCapacity = coating.heatCapacity;
    slab.conductivity = coating.conductivity;
    slab.latentHeat = coating.latentHeat;
    slab.formerCapacity = wall.formerCapacity;
    for (size_t i = 0; i < kNodes; ++i) {
        // Share of the node that is fresh coat; the rest is set shell.
        const double from = slab.thickness * static_cast<double>(i) / kNodes, to = from + slab.thickness / kNodes;
        const double fresh = std::clamp((to - std::max(from, wall.shell)) / (to - from), 0.0, 1.0);
        slab.T.push_back(fresh * wall.coatTemperature + (1 - fresh) * wall.shellTemperature);
        slab.X.push_back(fresh * wall.crystals + (1 - fresh) * 1.0);
    }
    const double never = std::nan("");
    Times out{never, never, never, never};
    double t = 0, stayEnds = 0;
    size_t at = 0;
    if (stays.empty()) return out;
    stayEnds = stays[0].seconds;
    while (t < kLongest) {
        while (t >= stayEnds - 1e-9 && at + 1 < stays.size()) stayEnds += stays[++at].seconds;
        double dt = kStep;
        if (at + 1 < stays.size()) dt = std::min(dt, stayEnds - t);
        const double before = slab.least();
        heat::advance(slab, law, {stays[at].air, stays[at].openSide, wall.formerSide}, dt);
        const double now = slab.least();
        const auto event = [&](double& when, double level) {
            if (std::isnan(when) && now >= level)
                when = t + (now > before ? dt * std::clamp((level - before) / (now - before), 0.0, 1.0) : 0.0);
        };
        event(out.lock, events.lock);
        event(out.firm, events.firm);
        event(out.set, events.set);
        event(out.release, events.release);
        t += dt;
        if (!std::isnan(out.release)) break;
        // Cold through and no longer changing: it will not set here.
        if (at + 1 == stays.size() && t > 3 * 3600 && now - before < 1e-7) break;
    }
    return out;
}

double warmestSettingAir(const heat::CrystalLaw& law, const Events& events) {
    double low = 0, high = 40;
    for (int i = 0; i < 50; ++i) {
        const double mid = 0.5 * (low + high);
        (1 - heat::meltedShare(mid, law.shift) >= events.set ? low : high) = mid;
    }
    return low;
}

}  // namespace uovo::setting
