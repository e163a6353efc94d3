#include "core/temper/heat_balance.h"

#include <fmt/format.h>

#include <algorithm>
#include <cmath>
#include <limits>

#include "core/heat/pot.h"
#include "core/quantity/catalogue.h"
#include "core/quantity/words.h"

namespace uovo::temper {
namespace {

/// ∫ m dT from 0 °C, exact between the corners of the melting curve.
double meltedArea(double celsius, double shift) {
    static constexpr double corners[]{20, 25, 27.5, 30, 31, 32, 33, 34, 35, 36};
    double sum = 0, from = corners[0] + shift;
    if (celsius <= from) return 0;
    for (const double corner : corners) {
        const double to = std::min(celsius, corner + shift);
        if (to <= from) continue;
        sum += 0.5 * (heat::meltedShare(from, shift) + heat::meltedShare(to, shift)) * (to - from);
        from = to;
    }
    return sum + std::max(0.0, celsius - from);  // above the last corner all is melted
}

double gained(const Coating& c, const Seeding& s, double T) {
    return s.melt * c.heatCapacityLiquid * (s.celsius - T) + s.bowl.capacity * (s.bowl.celsius - T) - s.lost;
}

}  // namespace

double enthalpy(const Coating& c, double T) {
    return c.heatCapacitySolid * T + (c.heatCapacityLiquid - c.heatCapacitySolid) * meltedArea(T, c.meltShift) +
           c.latentHeat * heat::meltedShare(T, c.meltShift);
}

double settles(const Coating& c, const Seeding& s) {
    const double cold = enthalpy(c, s.seedCelsius);
    double low = std::min({s.celsius, s.seedCelsius, s.bowl.celsius}) - 50,
           high = std::max({s.celsius, s.seedCelsius, s.bowl.celsius});
    for (int i = 0; i < 100; ++i) {  // what is gained falls with T, what the seed takes up rises
        const double mid = 0.5 * (low + high);
        (gained(c, s, mid) > s.seed * (enthalpy(c, mid) - cold) ? low : high) = mid;
    }
    return 0.5 * (low + high);
}

double seedMelted(const Coating& c, const Seeding& s) { return heat::meltedShare(settles(c, s), c.meltShift); }

double seedFor(const Coating& c, const Seeding& s, double target) {
    const double takes = enthalpy(c, target) - enthalpy(c, s.seedCelsius), has = gained(c, s, target);
    if (has <= 0) return 0;
    return takes > 0 ? has / takes : std::numeric_limits<double>::infinity();
}

double mostMelted(const Coating& c, const Seeding& s) {
    const double all = 36 + c.meltShift;
    return s.celsius <= all ? 0 : seedFor(c, s, all);
}

double heatUp(const Coating& c, double mass, double from, double to, const Bowl& bowl) {
    return mass * (enthalpy(c, to) - enthalpy(c, from)) + bowl.capacity * (to - from);
}

std::string burstsInWords(const std::vector<double>& seconds) {
    if (seconds.empty()) return tr("no bursts");
    constexpr double kAbout = 0.03;
    size_t alike = 1;
    while (alike < seconds.size() && std::abs(seconds[alike] / seconds[0] - 1) < kAbout) ++alike;
    std::vector<std::string> rest;
    for (size_t k = alike; k < seconds.size(); ++k) rest.push_back(fmt::format("{:.0f}", seconds[k]));
    const std::string first =
        alike == 1 ? say("A burst of {:.0f} s", seconds[0]) : say("{} bursts of {:.0f} s", alike, seconds[0]);
    return rest.empty() ? first : first + tr(", then ") + listed(rest) + " s";
}

std::vector<double> bursts(double joules, double watts, double share, double most, double least) {
    std::vector<double> out;
    double left = joules / (watts * share);
    while (left > 0.5 && out.size() < 200) {
        double next = std::clamp(0.4 * left, least, most);
        if (left < 1.5 * least) next = left;
        next = std::max(1.0, std::round(next));
        out.push_back(next);
        left -= next;
    }
    return out;
}

double coolsIn(const Coating& c, const material::Constants& physics, double mass, const Bowl& bowl, double from,
               double to, double room, bool stirred) {
    if (to >= from) return 0;
    if (to <= room) return std::numeric_limits<double>::infinity();
    return (mass * c.heatCapacityLiquid + bowl.capacity) / heat::potLoss(physics, mass, stirred) *
           std::log((from - room) / (to - room));
}

}  // namespace uovo::temper
