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

double yieldsAfter(double stress, Cast body, const material::Coating& c, const heat::CrystalLaw& law,
                   const Stay& place) {
    constexpr double kStep = 2, kMost = 7200, kFluid = 0.30;  // s, s, crystal fraction
    double all = 0;
    for (size_t i = body.firstFresh; i < body.body.T.size(); ++i) all += body.body.width[i];
    for (double t = 0; t <= kMost; t += kStep) {
        double mean = 0;
        for (size_t i = body.firstFresh; i < body.body.T.size(); ++i)
            mean +=
                body.body.width[i] / all * material::yieldStress(c, body.body.T[i], std::min(kFluid, body.body.X[i]));
        if (mean >= stress) return t;
        advance(body, law, place, kStep);
    }
    return std::nan("");
}

double standsAfter(const Stick& stick, Cast cup, const material::Coating& c, const heat::CrystalLaw& law,
                   const Stay& place, double staticYield) {
    return yieldsAfter(standsAt(stick) / staticYield, std::move(cup), c, law, place);
}

}  // namespace uovo::setting
