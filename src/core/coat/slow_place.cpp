#include "core/coat/slow_place.h"

#include <array>
#include <cmath>
#include <map>

namespace uovo::coat {
namespace {

constexpr double kLeast = 1e-5;  // m: less is a trace of a coat

/// Runs `pairs(i, with(j, weight))` for each cell and keeps the cell whose mean is largest.
template <class Pairs>
SlowPlace slowest(size_t n, const std::vector<double>& area, const std::vector<double>& before,
                  const std::vector<double>& after, const Pairs& pairs) {
    SlowPlace out;
    for (size_t i = 0; i < n; ++i) {
        const auto fresh = [&](size_t j) { return after[j] - (before.empty() ? 0 : before[j]); };
        if (fresh(i) < kLeast) continue;
        double sum = 0, below = 0, weight = 0;
        pairs(i, [&](size_t j, double w) {
            if (fresh(j) < kLeast) return;  // a brush in places leaves the rest alone
            w *= area[j];
            sum += w * fresh(j);
            below += w * (before.empty() ? 0 : before[j]);
            weight += w;
        });
        if (weight > 0 && sum / weight > out.fresh) out = {below / weight, sum / weight, i};
    }
    return out;
}

}  // namespace

SlowPlace slowPlace(const form::Profile& p, const std::vector<double>& before, const std::vector<double>& after) {
    return slowest(p.size(), p.area, before, after, [&](size_t i, const auto& with) {
        for (size_t j = 0; j < p.size(); ++j)
            if (const double d = (p.arc[j] - p.arc[i]) / kSideways; std::abs(d) < 3) with(j, std::exp(-0.5 * d * d));
    });
}

// The Gaussian is told by (1 − d²/c²)³ with c² = 10 σ², which has its variance in a plane and ends at c.
SlowPlace slowPlace(const Surface& s, const std::vector<double>& before, const std::vector<double>& after) {
    const double c2 = 10 * kSideways * kSideways, box = std::sqrt(c2);
    std::map<std::array<int, 3>, std::vector<size_t>> boxes;
    const auto boxOf = [&](const form::Vec3& p) {
        return std::array{static_cast<int>(std::floor(p.x / box)), static_cast<int>(std::floor(p.y / box)),
                          static_cast<int>(std::floor(p.z / box))};
    };
    for (size_t i = 0; i < s.size(); ++i) boxes[boxOf(s.at[i])].push_back(i);
    return slowest(s.size(), s.area, before, after, [&](size_t i, const auto& with) {
        const auto b = boxOf(s.at[i]);
        for (int x = -1; x <= 1; ++x)
            for (int y = -1; y <= 1; ++y)
                for (int z = -1; z <= 1; ++z) {
                    const auto found = boxes.find({b[0] + x, b[1] + y, b[2] + z});
                    if (found == boxes.end()) continue;
                    for (const size_t j : found->second) {
                        const form::Vec3 d = s.at[j] - s.at[i];
                        const double w = 1 - form::dot(d, d) / c2;
                        if (w > 0 && form::dot(s.normal[i], s.normal[j]) > 0)
                            with(j, w * w * w);  // the wall across is another place
                    }
                }
    });
}

}  // namespace uovo::coat
