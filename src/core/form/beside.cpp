#include "core/form/beside.h"

#include <algorithm>
#include <cmath>
#include <numbers>

namespace uovo::form {
namespace {

constexpr int kTurns = 180;       // in a quarter of a turn
constexpr double kOn = 1 + 1e-9;  // of a radius: on the circle

bool within(const Circle& c, const Point2& p) {
    return std::hypot(p[0] - c.at[0], p[1] - c.at[1]) <= c.radius * kOn + 1e-12;
}

Circle through(const Point2& a, const Point2& b) {
    return {{(a[0] + b[0]) / 2, (a[1] + b[1]) / 2}, std::hypot(a[0] - b[0], a[1] - b[1]) / 2};
}

Circle through(const Point2& a, const Point2& b, const Point2& c) {
    const double bx = b[0] - a[0], by = b[1] - a[1], cx = c[0] - a[0], cy = c[1] - a[1], d = 2 * (bx * cy - by * cx);
    if (std::abs(d) < 1e-18) {  // in a row: the widest two
        const Circle all[]{through(a, b), through(b, c), through(a, c)};
        return *std::ranges::max_element(all, {}, &Circle::radius);
    }
    const double bb = bx * bx + by * by, cc = cx * cx + cy * cy, x = (cy * bb - by * cc) / d,
                 y = (bx * cc - cx * bb) / d;
    return {{a[0] + x, a[1] + y}, std::hypot(x, y)};
}

}  // namespace

Circle circleRound(const Loop& points) {
    Circle c;
    if (points.empty()) return c;
    c.at = points[0];
    for (size_t i = 1; i < points.size(); ++i) {
        if (within(c, points[i])) continue;
        c = {points[i], 0};
        for (size_t j = 0; j < i; ++j) {
            if (within(c, points[j])) continue;
            c = through(points[i], points[j]);
            for (size_t k = 0; k < j; ++k)
                if (!within(c, points[k])) c = through(points[i], points[j], points[k]);
        }
    }
    return c;
}

Outside outsideOf(const Mesh& solid) {
    const Vec3 size = bounds(solid).size();
    return {footprint(solid, size.z + 1), footprint(solid), size.z};
}

InBox inBox(const Outside& piece, double length, double width, double height) {
    InBox best{-1e9, height - piece.height, 0, 0};
    for (int i = 0; i < 2 * kTurns; ++i) {
        const double a = std::numbers::pi / 2 * i / kTurns, c = std::cos(a), s = std::sin(a);
        double x0 = 1e9, x1 = -1e9, y0 = 1e9, y1 = -1e9;
        for (const auto& p : piece.hull) {
            const double x = c * p[0] - s * p[1], y = s * p[0] + c * p[1];
            x0 = std::min(x0, x), x1 = std::max(x1, x), y0 = std::min(y0, y), y1 = std::max(y1, y);
        }
        const double beside = std::min(length - (x1 - x0), width - (y1 - y0)) / 2;
        if (beside > best.beside + 1e-9) best = {beside, best.above, x1 - x0, y1 - y0};
    }
    return best;
}

}  // namespace uovo::form
