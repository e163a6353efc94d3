#include "core/cutting/pattern.h"

#include <algorithm>
#include <cmath>

namespace uovo::cutting {
namespace {

constexpr double kFlat = 1e-5;  // m between an arc and its chords

using form::Loop;
using form::Point2;

/// Sectors open downwards from their centre; what is laid down is moved to its own middle.
Point2 middleOf(const form::FlatPattern& p) {
    if (p.outer <= 0) return {p.width / 2, p.height / 2};
    return {0, -0.5 * (p.inner + p.outer)};
}

Point2 at(double radius, double angle, const Point2& middle) {
    return {radius * std::sin(angle) - middle[0], -radius * std::cos(angle) - middle[1]};
}

}  // namespace

Loop patternLoop(const form::FlatPattern& p) {
    const Point2 m = middleOf(p);
    if (p.outer <= 0)
        return {{-m[0], -m[1]}, {p.width - m[0], -m[1]}, {p.width - m[0], p.height - m[1]}, {-m[0], p.height - m[1]}};
    const double half = p.angle / 2;
    const auto steps = [&](double r) {
        return std::clamp(static_cast<int>(std::ceil(p.angle / (2 * std::acos(1 - kFlat / std::max(r, 2 * kFlat))))), 1,
                          2000);
    };
    Loop out;
    for (int k = 0, n = steps(p.outer); k <= n; ++k) out.push_back(at(p.outer, -half + p.angle * k / n, m));
    if (p.inner > 1e-6)
        for (int k = 0, n = steps(p.inner); k <= n; ++k) out.push_back(at(p.inner, half - p.angle * k / n, m));
    else out.push_back(at(0, 0, m));
    return out;
}

Loop overlapLine(const form::FlatPattern& p) {
    if (p.overlap <= 0) return {};
    const Point2 m = middleOf(p);
    if (p.outer <= 0) return {{p.width - p.overlap - m[0], -m[1]}, {p.width - p.overlap - m[0], p.height - m[1]}};
    const double mark = p.angle / 2 - p.overlap / p.outer;
    return {at(p.inner, mark, m), at(p.outer, mark, m)};
}

}  // namespace uovo::cutting
