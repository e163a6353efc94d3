#include "core/stages/rim_ring.h"

#include <algorithm>
#include <cmath>

namespace uovo {
namespace {

using form::Loop;
using form::Point2;

constexpr double kUpperEdge = 1e-3;  // m under the highest point: of the rim
constexpr double kBand = 0.014;      // m, width of the ring
constexpr int kCircle = 180;

/// A convex outline moved outwards.
Loop wider(const Loop& loop, double by) {
    Loop out;
    const size_t n = loop.size();
    for (size_t i = 0; i < n; ++i) {
        const auto normal = [&](size_t a, size_t b) {
            const double x = loop[b][0] - loop[a][0], y = loop[b][1] - loop[a][1], l = std::hypot(x, y);
            return Point2{y / l, -x / l};
        };
        const Point2 u = normal((i + n - 1) % n, i), v = normal(i, (i + 1) % n);
        const double x = u[0] + v[0], y = u[1] + v[1], l2 = std::max(0.5, x * x + y * y);  // blunt at sharp corners
        out.push_back({loop[i][0] + 2 * by * x / l2, loop[i][1] + 2 * by * y / l2});
    }
    return out;
}

}  // namespace

Loop rimOf(const Made& made, const std::string& item) {
    if (made.meridian && item.empty()) {
        const double wall = made.meridian->chocolateOutside ? made.wall->mean : 0,
                     across = 2 * (made.meridian->rimRadius + wall);
        return form::silhouette("round", across, across, kCircle);
    }
    form::Mesh upsideDown;
    for (const auto& i : made.assembly.items)
        if (i.edible && (item.empty() || i.key == item))
            form::append(upsideDown, form::placed(i.shape.solid(), i.pose));
    for (auto& p : upsideDown.points) p.z = -p.z;
    Loop rim = form::footprint(upsideDown, kUpperEdge);
    return rim.size() < 3 ? Loop{} : rim;
}

std::optional<RimRing> rimRing(const Piece& piece, const DecorateStep& step, const Made& made) {
    if (!(step.every.value > 0)) return std::nullopt;
    RimRing out;
    out.inner = rimOf(made, step.item);
    if (out.inner.empty()) return std::nullopt;
    out.piece = piece.name;
    out.outer = wider(out.inner, kBand);
    out.around = form::perimeter(out.inner);
    const int times = std::max(1, static_cast<int>(std::lround(out.around / step.every.value)));
    out.spacing = out.around / times;
    // the first at the front, where y is least
    const size_t n = out.inner.size();
    const auto front = std::ranges::min_element(out.inner, {}, [](const Point2& p) { return p[1]; });
    size_t at = static_cast<size_t>(front - out.inner.begin());
    double gone = 0;  // along the edge from its corner `at`
    for (int k = 0; k < times; ++k) {
        for (size_t steps = 0; steps < 2 * n; ++steps) {
            const auto &a = out.inner[at], &b = out.inner[(at + 1) % n];
            const double l = std::hypot(b[0] - a[0], b[1] - a[1]);
            if (gone <= l) {
                const double s = l > 0 ? gone / l : 0;
                out.marks.push_back({a[0] + s * (b[0] - a[0]), a[1] + s * (b[1] - a[1])});
                break;
            }
            gone -= l;
            at = (at + 1) % n;
        }
        gone += out.spacing;
    }
    return out;
}

}  // namespace uovo
