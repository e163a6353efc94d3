#include "core/stages/scoop.h"

#include <algorithm>
#include <cmath>
#include <numbers>

namespace uovo {

std::optional<Scoop> scoopIn(const Made& made, double across) {
    if (!made.meridian || !(made.capacity > 0) || !(across > 0)) return std::nullopt;
    constexpr int kSlices = 200;
    const double r = across / 2, rim = made.meridian->profile.faceZ.back(), dz = rim / kSlices;
    std::vector<double> inside(kSlices);  // radius of each slice
    for (int i = 0; i < kSlices; ++i) {
        const double v = volumeAtLevel(made, (i + 1) * dz) - volumeAtLevel(made, i * dz);
        inside[static_cast<size_t>(i)] = std::sqrt(std::max(0.0, v / dz / std::numbers::pi));
    }
    // Its middle stands over each slice at least as high as its round is wider there.
    double middle = r;
    for (int i = 0; i < kSlices; ++i) {
        const double a = inside[static_cast<size_t>(i)];
        if (a < r) middle = std::max(middle, (i + 0.5) * dz + std::sqrt(r * r - a * a));
    }
    const int level = std::clamp(static_cast<int>(middle / dz), 0, kSlices - 1);
    const double narrowest = *std::min_element(inside.begin() + level, inside.end());
    return Scoop{narrowest - r, middle + r - rim};
}

}  // namespace uovo
