#include "core/setting/stick.h"

#include <algorithm>
#include <cmath>
#include <limits>
#include <numbers>

#include "core/quantity/quantity.h"

namespace uovo::setting {

double standsAt(const Stick& s) {
    const double in = std::min(s.depth, s.length);
    if (!(in > 0) || !(s.thickness > 0)) return std::numeric_limits<double>::infinity();
    const double arm = std::max(0.5 * s.length - in, 0.05 * s.length) * std::sin(s.lean * std::numbers::pi / 180);
    return 4 * s.mass * kGravity * arm / (9 * s.thickness * in * in);
}

Chunk filledCup(double diameter, double depth, double celsius, double crystals) {
    const double r = diameter / 2;
    return {std::min(r, depth / 2), r * depth / (2 * (r + depth)), celsius, crystals, {}};
}

double standsAfter(const Stick& stick, Cast cup, const material::Coating& c, const heat::CrystalLaw& law, const Stay& place, double staticYield) {
    constexpr double kStep = 2, kMost = 7200, kFluid = 0.30;  // s, s, crystal fraction
    const double needed = standsAt(stick), all = cup.body.thickness();
    for (double t = 0; t <= kMost; t += kStep) {
        double mean = 0;
        for (size_t i = 0; i < cup.body.T.size(); ++i) mean += cup.body.width[i] / all * material::yieldStress(c, cup.body.T[i], std::min(kFluid, cup.body.X[i]));
        if (staticYield * mean >= needed) return t;
        advance(cup, law, place, kStep);
    }
    return std::nan("");
}

}  // namespace uovo::setting
