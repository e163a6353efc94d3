// How high a filling stands in a finished piece: the inside is the former itself, or the chocolate's face in a cup.
#include <algorithm>
#include <cmath>
#include <numbers>

#include "core/stages/made.h"

namespace uovo {
namespace {

/// Volume inside the former's meridian below a level, m³.
double former(const form::Profile& p, double level) {
    double sum = 0;
    for (size_t i = 0; i + 1 < p.faceZ.size(); ++i) {
        double z0 = p.faceZ[i], z1 = p.faceZ[i + 1], r0 = p.faceR[i], r1 = p.faceR[i + 1];
        if (z1 <= z0 || z0 >= level) continue;
        if (z1 > level) {
            r1 = r0 + (r1 - r0) * (level - z0) / (z1 - z0);
            z1 = level;
        }
        sum += std::numbers::pi / 3 * (z1 - z0) * (r0 * r0 + r0 * r1 + r1 * r1);
    }
    return sum;
}

}  // namespace

double volumeAtLevel(const Made& made, double level) {
    const MeridianWall& s = *made.meridian;
    const auto& p = s.profile;
    double inside = former(p, level);
    if (s.chocolateOutside) return inside;
    // In a cup the chocolate takes its own volume: each cell's between its face and as far as its wall reaches.
    double all = 0, below = 0;
    for (size_t i = 0; i < p.size(); ++i) {
        const double v = p.area[i] * s.coats.coats.back().perArea[i], reach = p.normalZ[i] * s.coats.wall[i];
        const double low = std::min(p.faceZ[i], p.faceZ[i + 1]) + std::min(0.0, reach),
                     high = std::max(p.faceZ[i], p.faceZ[i + 1]) + std::max(0.0, reach);
        all += v;
        below += v * std::clamp((level - low) / std::max(1e-9, high - low), 0.0, 1.0);
    }
    const double chocolate = s.formerVolume - made.capacity;
    return std::max(0.0, inside - (all > 0 ? chocolate * below / all : 0));
}

double levelOfVolume(const Made& made, double volume) {
    double low = 0, high = made.meridian->profile.faceZ.back();
    if (!(volume >= 0) || volumeAtLevel(made, high) < volume) return std::nan("");
    for (int i = 0; i < 50; ++i) {
        const double mid = 0.5 * (low + high);
        (volumeAtLevel(made, mid) < volume ? low : high) = mid;
    }
    return 0.5 * (low + high);
}

}  // namespace uovo
