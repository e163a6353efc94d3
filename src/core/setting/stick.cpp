#include "core/setting/stick.h"

#include <algorithm>
#include <cmath>
#include <limits>
#include <numbers>

namespace uovo::setting {

double standsAt(const Stick& s) {
    const double in = std::min(s.depth, s.length);
    if (!(in > 0) || !(s.thickness > 0)) return std::numeric_limits<double>::infinity();
    const double arm = std::max(0.5 * s.length - in, 0.05 * s.length) * std::sin(s.lean * std::numbers::pi / 180);
    return 4 * s.mass * 9.81 * arm / (9 * s.thickness * in * in);
}

double standsAfter(const Stick& stick, const Cup& cup, const material::Coating& c, const heat::CrystalLaw& law) {
    const double needed = standsAt(stick), r = cup.diameter / 2;
    const double volume = std::numbers::pi * r * r * cup.depth, cooled = std::numbers::pi * r * r + 2 * std::numbers::pi * r * cup.depth;
    const double capacity = c.densityMelt * c.heatCapacity * volume, latent = c.densityMelt * c.latentHeat * volume;
    double T = cup.celsius, X = cup.crystals;
    constexpr double kStep = 2, kMost = 7200;  // s
    for (double t = 0; t <= kMost; t += kStep) {
        if (material::yieldStress(c, T, X) >= needed) return t;
        const double next = law.advance(X, T, kStep);
        T += (latent * (next - X) - cup.transfer * cooled * (T - cup.air) * kStep) / capacity;
        X = next;
    }
    return std::nan("");
}

}  // namespace uovo::setting
