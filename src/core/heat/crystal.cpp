#include "core/heat/crystal.h"

#include <algorithm>
#include <array>
#include <cmath>

namespace uovo::heat {

namespace {
constexpr double kThere = 0.99999;  // of the equilibrium: as crystallised as it gets, and no exponential worth its time
}

double meltedShare(double celsius, double shift) {
    static constexpr std::array<double, 10> T{20, 25, 27.5, 30, 31, 32, 33, 34, 35, 36};
    static constexpr std::array<double, 10> m{0, .08, .18, .41, .55, .72, .87, .95, .99, 1};
    const double t = celsius - shift;
    if (t <= T.front()) return 0;
    if (t >= T.back()) return 1;
    size_t i = 1;
    while (T[i] < t) ++i;
    return m[i - 1] + (m[i] - m[i - 1]) * (t - T[i - 1]) / (T[i] - T[i - 1]);
}

CrystalLaw::CrystalLaw(const material::Coating& coating, const material::Constants& physics)
    : shift(coating.meltShift),
      rate(coating.growthRate),
      top(physics.at("growthTop").value),
      span(physics.at("growthSpan").value),
      most(physics.at("growthMost").value),
      remelt(physics.at("remeltRate").value),
      floor(coating.crystalsFloor),
      formIv(physics.at("untemperedShift").value),
      slowFrom(physics.at("untemperedSlowFrom").value),
      slow(physics.at("untemperedSlow").value) {
    if (!coating.tempered && !coating.compound) *this = keeping(0);
}

CrystalLaw CrystalLaw::keeping(double share) const {
    CrystalLaw law = *this;
    law.shift += formIv * ((1 - share) - slows);
    law.slows = 1 - share;
    return law;
}

double CrystalLaw::growth(double celsius) const {
    const double x = (top + shift - celsius) / span;
    if (x <= 0) return 0;
    const double r = rate * std::min(most, x);
    return slows > 0 && celsius > slowFrom ? r * std::exp(-slows * (celsius - slowFrom) / slow) : r;
}

double CrystalLaw::advance(double X, double celsius, double dt) const {
    const double equilibrium = 1 - meltedShare(celsius, shift);
    if (X > equilibrium) return std::max(std::min(X, floor), equilibrium + (X - equilibrium) * std::exp(-remelt * dt));
    if (X > kThere * equilibrium) return X;
    if (equilibrium <= 0) return X;
    const double start = std::max(X, std::min(floor, equilibrium));
    const double r = growth(celsius) * std::max(0.0, 1 - start / equilibrium);
    if (r == 0) return X;
    return equilibrium / (1 + (equilibrium / start - 1) * std::exp(-r * dt));
}

}  // namespace uovo::heat
