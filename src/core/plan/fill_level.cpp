// How high a filling stands in a finished piece: the inside is the former itself, or the chocolate's face in a cup.
#include <algorithm>
#include <cmath>
#include <numbers>

#include "core/plan/answers.h"

namespace uovo {
namespace {

/// The inside as (r, z) points from the pole up, z rising.
std::vector<std::pair<double, double>> inside(const CoatStage& s) {
    std::vector<std::pair<double, double>> out;
    const auto& p = s.profile;
    const auto add = [&](double r, double z) {
        if (out.empty() || z > out.back().second) out.emplace_back(std::max(0.0, r), z);
    };
    for (size_t i = 0; i < p.size(); ++i) {
        const double t = s.chocolateOutside ? 0 : s.coats.wall[i];
        add(p.r[i] + p.normalR[i] * t, p.z[i] + p.normalZ[i] * t);
    }
    add(p.faceR.back() + (s.chocolateOutside ? 0 : p.normalR.back() * s.coats.wall.back()), p.faceZ.back());
    return out;
}

}  // namespace

double volumeAtLevel(const CoatStage& s, double level) {
    const auto curve = inside(s);
    double sum = 0;
    if (curve.empty()) return 0;
    // the cap below the first point, as a flat cone
    sum += std::numbers::pi * curve[0].first * curve[0].first * std::clamp(level, 0.0, curve[0].second) / 2 * (s.chocolateOutside ? 1 : 0);
    for (size_t i = 1; i < curve.size(); ++i) {
        const auto [r0, z0] = curve[i - 1];
        auto [r1, z1] = curve[i];
        if (z0 >= level) break;
        if (z1 > level) {
            r1 = r0 + (r1 - r0) * (level - z0) / (z1 - z0);
            z1 = level;
        }
        sum += std::numbers::pi / 3 * (z1 - z0) * (r0 * r0 + r0 * r1 + r1 * r1);
    }
    return sum;
}

double levelOfVolume(const CoatStage& s, double volume) {
    double low = 0, high = s.profile.faceZ.back();
    if (!(volume >= 0) || volumeAtLevel(s, high) < volume) return std::nan("");
    for (int i = 0; i < 50; ++i) {
        const double mid = 0.5 * (low + high);
        (volumeAtLevel(s, mid) < volume ? low : high) = mid;
    }
    return 0.5 * (low + high);
}

}  // namespace uovo
