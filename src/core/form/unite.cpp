#include "core/form/unite.h"

#include <algorithm>
#include <unordered_map>
#include <vector>

#include "core/form/iso_surface.h"
#include "core/form/near.h"
#include "core/form/sets.h"

namespace uovo::form {
namespace {

constexpr double kOff = 0.08;  // of a cell: the surface keeps so far from the corners of the grid

struct Face {
    Vec3 a, b, c;
};

Face faceOf(const Mesh& m, size_t t) {
    const auto p = [&](size_t k) { return m.points[static_cast<size_t>(m.triangles[t][k])]; };
    return {p(0), p(1), p(2)};
}

Box boxOf(const Face& f) {
    return {{std::min({f.a.x, f.b.x, f.c.x}), std::min({f.a.y, f.b.y, f.c.y}), std::min({f.a.z, f.b.z, f.c.z})},
            {std::max({f.a.x, f.b.x, f.c.x}), std::max({f.a.y, f.b.y, f.c.y}), std::max({f.a.z, f.b.z, f.c.z})}};
}

/// Whether the line from p to q passes through the inside of a face (Möller, Trumbore 1997).
bool passes(const Vec3& p, const Vec3& q, const Face& f) {
    const Vec3 along = q - p, u = f.b - f.a, v = f.c - f.a, h = cross(along, v);
    const double d = dot(u, h), scale = length(u) * length(v) * length(along);
    if (std::abs(d) < 1e-12 * scale) return false;
    const Vec3 s = p - f.a, k = cross(s, u);
    const double x = dot(s, h) / d, y = dot(along, k) / d, t = dot(v, k) / d;
    constexpr double kInside = 1e-9;
    return x > kInside && y > kInside && x + y < 1 - kInside && t > kInside && t < 1 - kInside;
}

bool cross(const Face& f, const Face& g) {
    return passes(f.a, f.b, g) || passes(f.b, f.c, g) || passes(f.c, f.a, g) || passes(g.a, g.b, f) ||
           passes(g.b, g.c, f) || passes(g.c, g.a, f);
}

/// A number for each triangle's body: triangles that share a corner are of one.
std::vector<int> bodiesOf(const Mesh& m) {
    Sets sets(m.points.size());
    for (const auto& t : m.triangles)
        for (size_t k = 1; k < 3; ++k) sets.join(t[k], t[0]);
    std::vector<int> out;
    out.reserve(m.triangles.size());
    for (const auto& t : m.triangles) out.push_back(sets.find(t[0]));
    return out;
}

/// What an upright line through a mesh meets, from below: heights, and +1 where it enters.
class Columns {
public:
    explicit Columns(const NearMesh& near) : mesh_(near.mesh()), near_(near), box_(near.box()) {}

    /// How many bodies a place is inside of.
    int winding(const Vec3& p) {
        const auto& column = at(p.x, p.y);
        int inside = 0;
        for (const auto& [z, enters] : column) {
            if (z > p.z) break;
            inside += enters;
        }
        return inside;
    }

private:
    using Column = std::vector<std::pair<double, int>>;
    struct Place {
        double x, y;
        bool operator==(const Place&) const = default;
    };
    struct Hash {
        size_t operator()(const Place& p) const {
            return std::hash<double>()(p.x) * 1'000'003u ^ std::hash<double>()(p.y);
        }
    };

    const Column& at(double x, double y) {
        const auto [it, fresh] = columns_.try_emplace({x, y});
        if (!fresh) return it->second;
        // beside corners and edges, which no line meets by chance
        const double size = std::max(box_.size().x, box_.size().y), u = x + 1.37e-7 * size, v = y + 2.11e-7 * size;
        Column& column = it->second;
        for (const size_t t : near_.trianglesIn({{u, v, box_.low.z}, {u, v, box_.high.z}})) {
            const Face f = faceOf(mesh_, t);
            const auto side = [&](const Vec3& p, const Vec3& q) {
                return (q.x - p.x) * (v - p.y) - (q.y - p.y) * (u - p.x);
            };
            const double a = side(f.b, f.c), b = side(f.c, f.a), c = side(f.a, f.b), all = a + b + c;
            if (!((a > 0 && b > 0 && c > 0) || (a < 0 && b < 0 && c < 0))) continue;
            column.emplace_back((a * f.a.z + b * f.b.z + c * f.c.z) / all, all > 0 ? -1 : 1);
        }
        std::sort(column.begin(), column.end());
        return column;
    }

    const Mesh& mesh_;
    const NearMesh& near_;
    Box box_;
    std::unordered_map<Place, Column, Hash> columns_;
};

/// Its faces that have the outside on one of their sides.
Mesh outerFaces(const Mesh& m, Columns& columns, double beside) {
    Mesh out;
    out.points = m.points;
    for (size_t t = 0; t < m.triangles.size(); ++t) {
        const Face f = faceOf(m, t);
        const Vec3 n = unit(cross(f.b - f.a, f.c - f.a)) * beside;
        // a face that is cut is kept where a part of it lies outside
        const bool outside = std::ranges::any_of(
            std::initializer_list<Vec3>{(f.a + f.b + f.c) * (1.0 / 3), f.a, f.b, f.c},
            [&](const Vec3& p) { return (columns.winding(p + n) > 0) != (columns.winding(p - n) > 0); });
        if (outside) out.triangles.push_back(m.triangles[t]);
    }
    return out;
}

}  // namespace

double cellOf(const Mesh& mesh, int cells) {
    const Vec3 size = bounds(mesh).size();
    return std::max({size.x, size.y, size.z}) / cells;
}

Crossings crossingsOf(const Mesh& mesh, size_t most) {
    Crossings out;
    const NearMesh near(mesh);
    const Mesh& m = near.mesh();
    const auto bodies = bodiesOf(m);
    for (size_t t = 0; t < m.triangles.size() && out.pairs < most; ++t) {
        const Face f = faceOf(m, t);
        for (const size_t other : near.trianglesIn(boxOf(f))) {
            if (other <= t) continue;
            const auto &a = m.triangles[t], &b = m.triangles[other];
            if (std::ranges::any_of(a, [&](int i) { return std::ranges::find(b, i) != b.end(); })) continue;
            if (!cross(f, faceOf(m, other))) continue;
            if (out.pairs++ == 0) out.at = f.a;
            out.between += bodies[t] != bodies[other];
        }
    }
    return out;
}

std::optional<Mesh> united(const Mesh& m, int cells, std::stop_token stop) {
    const double step = cellOf(m, cells), far = 1.8 * step;
    const NearMesh all(m);
    Columns columns(all);
    const NearMesh outer(outerFaces(all.mesh(), columns, 1e-3 * step));
    const auto box = bounds(m);
    auto out = netSurface(
        [&](const Vec3& p) {
            if (stop.stop_requested()) return far;
            const bool inside = columns.winding(p) > 0;
            const auto near = outer.near(p, far);
            // a corner of the grid that lies nearly on the surface would make needles
            const double d = near ? std::max(std::abs(near->distance), kOff * step) : far;
            return inside ? -d : d;
        },
        box, cells);
    if (stop.stop_requested()) return std::nullopt;
    return out;
}

}  // namespace uovo::form
