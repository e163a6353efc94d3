#include "core/form/bevel.h"

#include <cmath>
#include <numbers>

namespace uovo::form {
namespace {

constexpr double kLooks = 0.9998;  // cosine: a side looks that way within a degree

/// How far a side with this outward normal goes in, m a metre of height.
double slopeOf(double nx, double ny, const Bevel& b) {
    const auto tangent = [](double degrees) { return std::tan(degrees * std::numbers::pi / 180); };
    if (nx < -kLooks) return tangent(b.left);
    if (nx > kLooks) return tangent(b.right);
    if (ny > kLooks) return tangent(b.top);
    if (ny < -kLooks) return tangent(b.bottom);
    return 0;
}

/// A place moved as the corners of a polygon are moved.
Point2 carried(const Point2& p, const Loop& from, const Loop& to) {
    const size_t n = from.size();
    std::vector<double> weight(n, 0), r(n);
    for (size_t i = 0; i < n; ++i) {
        r[i] = std::hypot(from[i][0] - p[0], from[i][1] - p[1]);
        if (r[i] < 1e-12) return to[i];
    }
    for (size_t i = 0; i < n; ++i) {
        const size_t j = (i + 1) % n;
        const double ax = from[i][0] - p[0], ay = from[i][1] - p[1], bx = from[j][0] - p[0], by = from[j][1] - p[1];
        const double cross = ax * by - ay * bx, dot = ax * bx + ay * by;
        if (std::abs(cross) < 1e-9 * r[i] * r[j] && dot < 0) {  // on this side
            const double s = r[i] / (r[i] + r[j]);
            return {to[i][0] + s * (to[j][0] - to[i][0]), to[i][1] + s * (to[j][1] - to[i][1])};
        }
        const double half = (r[i] * r[j] - dot) / cross;  // tan of half the angle
        weight[i] += half / r[i];
        weight[j] += half / r[j];
    }
    double all = 0, x = 0, y = 0;
    for (size_t i = 0; i < n; ++i) {
        all += weight[i];
        x += weight[i] * to[i][0];
        y += weight[i] * to[i][1];
    }
    return {x / all, y / all};
}

}  // namespace

Bevel bevelOf(const Part& part) {
    const Family* f = family(part.family);
    if (!f || !f->choice("sides") || choice(part, "sides") != "bevelled sides") return {};
    return {figure(part, "bevelLeft"), figure(part, "bevelRight"), figure(part, "bevelTop"),
            figure(part, "bevelBottom")};
}

Loop bevelled(const Loop& loop, const Bevel& bevel, double height) {
    const size_t n = loop.size();
    struct Line {
        double nx, ny, d;  // outward normal, distance
    };
    std::vector<Line> lines;
    for (size_t i = 0; i < n; ++i) {
        const Point2 &a = loop[i], &b = loop[(i + 1) % n];
        const double l = std::hypot(b[0] - a[0], b[1] - a[1]);
        if (l < 1e-12) return {};
        const double nx = (b[1] - a[1]) / l, ny = -(b[0] - a[0]) / l;
        lines.push_back({nx, ny, nx * a[0] + ny * a[1] - height * slopeOf(nx, ny, bevel)});
    }
    Loop out;
    for (size_t i = 0; i < n; ++i) {
        const Line &p = lines[(i + n - 1) % n], &q = lines[i];
        const double det = p.nx * q.ny - p.ny * q.nx;
        if (std::abs(det) < 1e-9) {  // in one line: both moved alike
            const double by = q.d - (q.nx * loop[i][0] + q.ny * loop[i][1]);
            out.push_back({loop[i][0] + by * q.nx, loop[i][1] + by * q.ny});
            continue;
        }
        out.push_back({(p.d * q.ny - q.d * p.ny) / det, (p.nx * q.d - q.nx * p.d) / det});
    }
    for (size_t i = 0; i < n; ++i) {  // a side that is used up has turned round
        const size_t j = (i + 1) % n;
        const double was =
            (loop[j][0] - loop[i][0]) * (out[j][0] - out[i][0]) + (loop[j][1] - loop[i][1]) * (out[j][1] - out[i][1]);
        if (was <= 0) return {};
    }
    return out;
}

Mesh bevelled(Mesh plate, const Loop& loop, const Bevel& bevel, double thickness) {
    const Loop top = bevelled(loop, bevel, thickness);
    if (top.size() != loop.size()) return plate;
    for (auto& p : plate.points) {
        if (p.z <= 0) continue;
        const Point2 to = carried({p.x, p.y}, loop, top);
        const double up = p.z / thickness;
        p.x += up * (to[0] - p.x);
        p.y += up * (to[1] - p.y);
    }
    return plate;
}

}  // namespace uovo::form
