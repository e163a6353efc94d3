#include "core/form/net.h"

#include <map>
#include <unordered_map>

#include "core/form/sets.h"
#include "core/form/split.h"

namespace uovo::form {
namespace {

double areaOf(const Mesh& m, size_t triangle) {
    const auto& t = m.triangles[triangle];
    const auto p = [&](size_t k) { return m.points[static_cast<size_t>(t[k])]; };
    return 0.5 * length(cross(p(1) - p(0), p(2) - p(0)));
}

/// Grows a hole by an edge.
void add(NetHole& hole, const Vec3& a, const Vec3& b) {
    const double l = length(b - a);
    hole.round += l;
    hole.middle += (a + b) * (0.5 * l);
}

}  // namespace

Net netOf(const Mesh& m) {
    const size_t n = m.triangles.size();
    Sets sets(n);
    struct Side {
        size_t first;
        int a, b;
    };
    std::unordered_map<EdgeKey, Side> open;
    std::vector<std::pair<Side, size_t>> borders;  // an edge between wall and lid, and the lid's triangle
    for (size_t t = 0; t < n; ++t)
        for (size_t k = 0; k < 3; ++k) {
            const int a = m.triangles[t][k], b = m.triangles[t][(k + 1) % 3];
            const auto [at, fresh] = open.try_emplace(edgeKey(a, b), Side{t, a, b});
            if (fresh) continue;
            const size_t other = at->second.first;
            if (m.mark(t) == m.mark(other)) sets.join(static_cast<int>(t), static_cast<int>(other));
            else borders.emplace_back(Side{t, a, b}, m.mark(t) == Mark::Lid ? t : other);
        }
    const auto setOf = [&](size_t t) { return sets.find(static_cast<int>(t)); };
    Net out;
    std::map<int, double> lids;
    std::map<int, bool> walls;
    for (size_t t = 0; t < n; ++t)
        if (m.mark(t) == Mark::Lid) lids[setOf(t)] += areaOf(m, t);
        else walls[setOf(t)] = true;
    out.parts = walls.size();
    int mouth = -1;
    for (const auto& [lid, area] : lids)
        if (mouth < 0 || area > lids[mouth]) mouth = lid;
    std::map<int, NetHole> holes;
    for (const auto& [edge, lid] : borders)
        if (const int of = setOf(lid); of != mouth)
            add(holes[of], m.points[static_cast<size_t>(edge.a)], m.points[static_cast<size_t>(edge.b)]);
    for (auto& [lid, hole] : holes) {
        hole.middle = hole.middle * (1 / hole.round);
        out.holes.push_back(hole);
    }
    return out;
}

Net flatNetOf(const Mesh& solid, double height) {
    Net out;
    const Plane plane{{0, 0, height}, {0, 0, 1}};
    const auto axes = axesOf(plane);
    for (const auto& s : sectionsAt(solid, plane)) {
        if (s.area > 0) {
            ++out.parts;
            continue;
        }
        NetHole hole;
        const auto at = [&](const Point2& p) { return plane.at + axes.x * p[0] + axes.y * p[1]; };
        for (size_t k = 0; k < s.loop.size(); ++k) add(hole, at(s.loop[k]), at(s.loop[(k + 1) % s.loop.size()]));
        hole.middle = hole.middle * (1 / hole.round);
        out.holes.push_back(hole);
    }
    return out;
}

}  // namespace uovo::form
