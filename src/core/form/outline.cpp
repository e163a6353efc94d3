#include "core/form/outline.h"

#include <algorithm>
#include <cmath>
#include <numbers>
#include <numeric>

namespace uovo::form {
namespace {

using std::numbers::pi;

/// Radius at an angle before scaling; every silhouette is star-shaped about the origin.
Point2 raw(const std::string& name, double t) {
    const double a = 2 * pi * t, c = std::cos(a), s = std::sin(a);
    const auto polar = [&](double r) { return Point2{r * c, r * s}; };
    if (name == "square") {  // a rounded square: superellipse of order 8
        const double r = std::pow(std::pow(std::abs(c), 8) + std::pow(std::abs(s), 8), -1.0 / 8);
        return polar(r);
    }
    if (name == "heart") {  // the tip at -x, the dent at +x, both as blunt as a knife or a mold makes them
        const double x = 13 * c - 5 * std::cos(2 * a) - 2 * std::cos(3 * a) - std::cos(4 * a),
                     y = 16 * s * (0.93 * s * s + 0.07);
        return {(x + 2.5) / 17, y / 17};
    }
    if (name == "star") {  // five points, inner radius half the outer
        const double turn = pi / 5, k = std::fmod(a + turn, 2 * turn) - turn;  // -turn..turn from a tip
        const double inner = 0.5, x1 = inner * std::cos(turn), y1 = inner * std::sin(turn);
        const double m = std::abs(k), denominator = std::sin(m) * (1 - x1) + std::cos(m) * y1;
        return polar(y1 / denominator);
    }
    if (name == "flower") return polar(1 + 0.16 * std::cos(6 * a));
    if (name == "scallop") return polar(1 + 0.05 * std::cos(12 * a));
    if (name == "leaf") {                                 // two arcs that meet at ±x
        const double R = 1.25, d = std::sqrt(R * R - 1);  // circles of radius R through (±1, 0)
        const double b = d * std::abs(s), r = -b + std::sqrt(b * b + 1);
        return polar(r);
    }
    if (name == "egg") return {std::cos(a) * 1.0, s * (1 + 0.22 * c)};
    if (name == "drop") return {c, s * std::pow(std::sin(0.5 * std::acos(std::clamp(c, -1.0, 1.0))), 1.1)};
    return polar(1);
}

}  // namespace

double signedArea(const Loop& loop) {
    double sum = 0;
    for (size_t i = 0; i < loop.size(); ++i) {
        const auto &a = loop[i], &b = loop[(i + 1) % loop.size()];
        sum += a[0] * b[1] - b[0] * a[1];
    }
    return sum / 2;
}

double perimeter(const Loop& loop) {
    double sum = 0;
    for (size_t i = 0; i < loop.size(); ++i) {
        const auto &a = loop[i], &b = loop[(i + 1) % loop.size()];
        sum += std::hypot(b[0] - a[0], b[1] - a[1]);
    }
    return sum;
}

bool crossesItself(const std::vector<Loop>& loops) {
    struct Edge {
        Point2 a, b;
        double left, right;
        size_t loop, index;
    };
    std::vector<Edge> edges;
    for (size_t l = 0; l < loops.size(); ++l)
        for (size_t i = 0; i < loops[l].size(); ++i) {
            const Point2 a = loops[l][i], b = loops[l][(i + 1) % loops[l].size()];
            edges.push_back({a, b, std::min(a[0], b[0]), std::max(a[0], b[0]), l, i});
        }
    std::sort(edges.begin(), edges.end(), [](const Edge& a, const Edge& b) { return a.left < b.left; });
    const auto side = [](const Point2& a, const Point2& b, const Point2& c) {
        return (b[0] - a[0]) * (c[1] - a[1]) - (b[1] - a[1]) * (c[0] - a[0]);
    };
    for (size_t i = 0; i < edges.size(); ++i)
        for (size_t j = i + 1; j < edges.size() && edges[j].left <= edges[i].right; ++j) {
            const Edge &e = edges[i], &f = edges[j];
            if (std::max(e.a[1], e.b[1]) < std::min(f.a[1], f.b[1]) ||
                std::max(f.a[1], f.b[1]) < std::min(e.a[1], e.b[1]))
                continue;
            if (e.loop == f.loop) {
                const size_t n = loops[e.loop].size(), gap = (e.index + n - f.index) % n;
                if (gap == 1 || gap == n - 1) {  // neighbours share a corner; they may only fold back onto each other
                    const Point2 &p = gap == 1 ? f.a : e.a, &q = gap == 1 ? f.b : e.b, &r = gap == 1 ? e.b : f.b;
                    const double fold = (p[0] - q[0]) * (r[0] - q[0]) + (p[1] - q[1]) * (r[1] - q[1]);
                    if (std::abs(side(p, q, r)) < 1e-15 && fold > 0) return true;
                    continue;
                }
            }
            const double s1 = side(e.a, e.b, f.a), s2 = side(e.a, e.b, f.b), s3 = side(f.a, f.b, e.a),
                         s4 = side(f.a, f.b, e.b);
            if (((s1 >= 0) != (s2 >= 0) || s1 == 0 || s2 == 0) && ((s3 >= 0) != (s4 >= 0) || s3 == 0 || s4 == 0))
                return true;
        }
    return false;
}

const std::vector<std::string>& silhouettes() {
    static const std::vector<std::string> names{"round",   "square", "heart", "star", "flower",
                                                "scallop", "leaf",   "egg",   "drop"};
    return names;
}

Loop silhouette(const std::string& name, double length, double width, int points) {
    Loop loop;
    double x0 = 1e9, x1 = -1e9, y0 = 1e9, y1 = -1e9;
    // Angles that are multiples of every silhouette's symmetry, so that tips and dents are corners of the polygon.
    for (int i = 0; i < points; ++i) {
        const Point2 p = raw(name, double(i) / points);
        loop.push_back(p);
        x0 = std::min(x0, p[0]);
        x1 = std::max(x1, p[0]);
        y0 = std::min(y0, p[1]);
        y1 = std::max(y1, p[1]);
    }
    for (auto& p : loop) p = {p[0] * length / (x1 - x0), p[1] * width / (y1 - y0)};
    return loop;
}

OutlineCurve::OutlineCurve(Loop loop) : loop_(std::move(loop)), arc_{0}, area_(signedArea(loop_)) {
    for (size_t i = 0; i < loop_.size(); ++i) {
        const auto &a = loop_[i], &b = loop_[(i + 1) % loop_.size()];
        arc_.push_back(arc_.back() + std::hypot(b[0] - a[0], b[1] - a[1]));
    }
}

Point2 OutlineCurve::at(double t) const {
    const double s = (t - std::floor(t)) * arc_.back();
    const auto it = std::upper_bound(arc_.begin(), arc_.end(), s);
    const size_t i = std::min(static_cast<size_t>(it - arc_.begin()) - 1, loop_.size() - 1);
    const auto &a = loop_[i], &b = loop_[(i + 1) % loop_.size()];
    const double f = (s - arc_[i]) / std::max(1e-15, arc_[i + 1] - arc_[i]);
    return {a[0] + f * (b[0] - a[0]), a[1] + f * (b[1] - a[1])};
}

}  // namespace uovo::form
