#include "core/assembly/slide.h"

#include <algorithm>
#include <array>
#include <functional>
#include <limits>

namespace uovo::assembly {
namespace {

using form::Vec3;

constexpr double kSliver = 1e-5;   // m: what two faces share is wider than this, or they only pass along each other
constexpr double kUpright = 1e-6;  // of a face seen from the way: it is a wall then

/// A corner as seen along the way: across, and how far along.
struct Seen {
    double u = 0, v = 0, along = 0;
};
using Polygon = std::vector<Seen>;

Seen seen(const Vec3& p, const Way& way) {
    const double c[3]{p.x, p.y, p.z};
    return {c[(way.axis + 1) % 3], c[(way.axis + 2) % 3], way.sign * c[way.axis]};
}

double areaOf(const Polygon& p) {
    double twice = 0;
    for (size_t i = 0; i < p.size(); ++i) {
        const auto &a = p[i], &b = p[(i + 1) % p.size()];
        twice += a.u * b.v - b.u * a.v;
    }
    return 0.5 * twice;
}

double roundOf(const Polygon& p) {
    double s = 0;
    for (size_t i = 0; i < p.size(); ++i) {
        const auto &a = p[i], &b = p[(i + 1) % p.size()];
        s += std::hypot(b.u - a.u, b.v - a.v);
    }
    return s;
}

/// What of a polygon lies within a triangle that runs counter-clockwise (Sutherland, Hodgman 1974).
Polygon within(Polygon p, const std::array<Seen, 3>& t) {
    for (size_t e = 0; e < 3 && !p.empty(); ++e) {
        const auto &a = t[e], &b = t[(e + 1) % 3];
        const auto side = [&](const Seen& s) { return (b.u - a.u) * (s.v - a.v) - (b.v - a.v) * (s.u - a.u); };
        Polygon out;
        out.reserve(p.size() + 1);
        for (size_t i = 0; i < p.size(); ++i) {
            const auto &from = p[i], &to = p[(i + 1) % p.size()];
            const double f = side(from), g = side(to);
            if (f >= 0) out.push_back(from);
            if ((f < 0) == (g < 0)) continue;
            const double k = f / (f - g);
            out.push_back(
                {from.u + k * (to.u - from.u), from.v + k * (to.v - from.v), from.along + k * (to.along - from.along)});
        }
        p = std::move(out);
    }
    return p;
}

std::array<Seen, 3> seen(const form::Mesh& m, size_t triangle, const Way& way) {
    const auto& t = m.triangles[triangle];
    std::array<Seen, 3> s{seen(m.points[size_t(t[0])], way), seen(m.points[size_t(t[1])], way),
                          seen(m.points[size_t(t[2])], way)};
    if (areaOf({s.begin(), s.end()}) < 0) std::swap(s[1], s[2]);
    return s;
}

}  // namespace

Vec3 Way::unit() const {
    double c[3]{0, 0, 0};
    c[axis] = sign;
    return {c[0], c[1], c[2]};
}

double freeWay(const form::Mesh& moving, const form::NearMesh& stays, const Way& way, double deep) {
    double least = std::numeric_limits<double>::infinity();
    const auto& m = stays.mesh();
    const form::Box all = stays.box();
    const auto along = [&](const Vec3& p) { return seen(p, way).along; };
    struct Face {
        size_t triangle = 0;
        form::Box box;
        double back = 0, front = 0;  // how far along its corners are
    };
    std::vector<Face> faces;  // that look along the way
    for (size_t k = 0; k < moving.triangles.size(); ++k) {
        const auto& t = moving.triangles[k];
        const Vec3 a = moving.points[size_t(t[0])], b = moving.points[size_t(t[1])], c = moving.points[size_t(t[2])];
        if (form::dot(form::unit(form::cross(b - a, c - a)), way.unit()) < kUpright) continue;
        form::Box box{a, a};
        for (const Vec3& p : {b, c}) {
            box.low = {std::min(box.low.x, p.x), std::min(box.low.y, p.y), std::min(box.low.z, p.z)};
            box.high = {std::max(box.high.x, p.x), std::max(box.high.y, p.y), std::max(box.high.z, p.z)};
        }
        const auto [back, front] = std::minmax({along(box.low), along(box.high)});
        faces.push_back({k, box, back, front});
    }
    // the foremost meet something first: then little else is near enough to be looked at
    std::ranges::sort(faces, std::greater(), &Face::front);
    const double end = std::max(along(all.low), along(all.high)) + 1;
    const double begin = std::min(along(all.low), along(all.high)) - 1;
    for (auto& [k, box, back, front] : faces) {
        // what lies before it along the way, nearer than what was met already, and no deeper in it than counts
        const double from = std::max(begin, back - deep), to = std::min(end, front + least);
        (way.axis == 0 ? box.low.x : way.axis == 1 ? box.low.y : box.low.z) = way.sign > 0 ? from : -to;
        (way.axis == 0 ? box.high.x : way.axis == 1 ? box.high.y : box.high.z) = way.sign > 0 ? to : -from;
        const auto mine = seen(moving, k, way);
        const Polygon whole(mine.begin(), mine.end());
        for (const size_t other : stays.trianglesIn(box)) {
            if (form::dot(stays.normalOf(other), way.unit()) > -kUpright) continue;
            const auto theirs = seen(m, other, way);
            const Polygon shared = within(whole, theirs);
            if (shared.size() < 3 || std::abs(areaOf(shared)) <= kSliver * roundOf(shared)) continue;
            // height of their plane over the shared corners
            const double du = theirs[1].u - theirs[0].u, dv = theirs[1].v - theirs[0].v;
            const double eu = theirs[2].u - theirs[0].u, ev = theirs[2].v - theirs[0].v;
            const double det = du * ev - dv * eu;
            if (std::abs(det) < 1e-18) continue;
            double gap = std::numeric_limits<double>::infinity();
            for (const auto& s : shared) {
                const double x = s.u - theirs[0].u, y = s.v - theirs[0].v;
                const double p = (x * ev - y * eu) / det, q = (du * y - dv * x) / det;
                const double there =
                    theirs[0].along + p * (theirs[1].along - theirs[0].along) + q * (theirs[2].along - theirs[0].along);
                gap = std::min(gap, there - s.along);
            }
            if (gap > -deep) least = std::min(least, gap);
        }
    }
    return least;
}

}  // namespace uovo::assembly
