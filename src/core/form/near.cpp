// An R-tree of the triangles' boxes (Boost.Geometry), exact distances to the few that are near.
#include "core/form/near.h"

#include <algorithm>
#include <boost/geometry.hpp>
#include <boost/geometry/index/rtree.hpp>
#include <cmath>
#include <iterator>
#include <unordered_map>

namespace uovo::form {
namespace {

namespace bg = boost::geometry;
using Point = bg::model::point<double, 3, bg::cs::cartesian>;
using Bounds = bg::model::box<Point>;
using Entry = std::pair<Bounds, unsigned>;
constexpr double kOnePlane = 0.94;  // cosine between a face and the mean of those that meet: 20°

struct Direction {
    Vec3 outward;
    bool smooth = true;
};

Bounds boundsOf(const Box& b) { return {{b.low.x, b.low.y, b.low.z}, {b.high.x, b.high.y, b.high.z}}; }

}  // namespace

struct NearMesh::Inside {
    Mesh mesh;
    std::vector<Vec3> face;          // unit normal of each triangle
    std::vector<Direction> corners;  // of each point
    std::unordered_map<std::uint64_t, Edge> edges;
    bg::index::rtree<Entry, bg::index::rstar<8>> tree;
    Box box;
};

NearMesh::NearMesh(const Mesh& mesh) : inside_(std::make_unique<Inside>()) {
    Inside& in = *inside_;
    in.mesh = weld(mesh, 1e-9);
    in.box = bounds(in.mesh);
    const auto& m = in.mesh;
    std::vector<Entry> entries;
    entries.reserve(m.triangles.size());
    in.face.resize(m.triangles.size());
    in.corners.resize(m.points.size());
    in.edges.reserve(2 * m.triangles.size());
    for (size_t k = 0; k < m.triangles.size(); ++k) {
        const auto& t = m.triangles[k];
        const Vec3 p[3]{m.points[size_t(t[0])], m.points[size_t(t[1])], m.points[size_t(t[2])]};
        in.face[k] = unit(cross(p[1] - p[0], p[2] - p[0]));
        Box b{p[0], p[0]};
        for (const auto& q : p) {
            b.low = {std::min(b.low.x, q.x), std::min(b.low.y, q.y), std::min(b.low.z, q.z)};
            b.high = {std::max(b.high.x, q.x), std::max(b.high.y, q.y), std::max(b.high.z, q.z)};
        }
        entries.emplace_back(boundsOf(b), static_cast<unsigned>(k));
        for (size_t i = 0; i < 3; ++i) {
            const Vec3 u = unit(p[(i + 1) % 3] - p[i]), v = unit(p[(i + 2) % 3] - p[i]);
            in.corners[size_t(t[i])].outward += in.face[k] * std::acos(std::clamp(dot(u, v), -1.0, 1.0));
            in.edges[edgeKey(t[i], t[(i + 1) % 3])].triangles.push_back(k);
        }
    }
    in.tree = decltype(in.tree)(entries);
    for (auto& c : in.corners) c.outward = unit(c.outward);
    for (size_t k = 0; k < m.triangles.size(); ++k)
        for (const int i : m.triangles[k])
            if (dot(in.corners[size_t(i)].outward, in.face[k]) < kOnePlane) in.corners[size_t(i)].smooth = false;
    for (auto& [key, e] : in.edges) {
        for (const size_t k : e.triangles) e.outward += in.face[k];
        e.outward = unit(e.outward);
        for (const size_t k : e.triangles) e.smooth = e.smooth && dot(e.outward, in.face[k]) >= kOnePlane;
    }
}

NearMesh::~NearMesh() = default;
NearMesh::NearMesh(NearMesh&&) noexcept = default;
NearMesh& NearMesh::operator=(NearMesh&&) noexcept = default;

const Mesh& NearMesh::mesh() const { return inside_->mesh; }
Box NearMesh::box() const { return inside_->box; }
const NearMesh::Edge& NearMesh::edge(int a, int b) const { return inside_->edges.at(edgeKey(a, b)); }
const Vec3& NearMesh::normalOf(size_t triangle) const { return inside_->face[triangle]; }

std::vector<size_t> NearMesh::trianglesIn(const Box& box) const {
    std::vector<size_t> out;
    for (auto it = inside_->tree.qbegin(bg::index::intersects(boundsOf(box))); it != inside_->tree.qend(); ++it)
        out.push_back(it->second);
    std::sort(out.begin(), out.end());
    return out;
}

std::optional<Near> NearMesh::near(const Vec3& point, double within) const {
    const Inside& in = *inside_;
    const Vec3 reach{within, within, within};
    double best = within;
    std::optional<Near> out;
    const auto offer = [&](const Vec3& at, size_t triangle, const Vec3& outward, bool smooth) {
        const Vec3 away = point - at;
        const double distance = length(away);
        if (distance > best) return;
        best = distance;
        out = Near{at, outward, dot(away, outward) < 0 ? -distance : distance, smooth, triangle};
    };
    const auto query = bg::index::intersects(boundsOf({point - reach, point + reach}));
    for (auto it = in.tree.qbegin(query); it != in.tree.qend(); ++it) {
        const size_t k = it->second;
        const auto& t = in.mesh.triangles[k];
        const Vec3 a = in.mesh.points[size_t(t[0])], b = in.mesh.points[size_t(t[1])], c = in.mesh.points[size_t(t[2])];
        const Vec3 ab = b - a, ac = c - a, ap = point - a, n = cross(ab, ac);
        const double area = dot(n, n);
        if (area > 0) {
            const double w = dot(cross(ab, ap), n) / area, v = dot(cross(ap, ac), n) / area;
            if (v > 0 && w > 0 && v + w < 1) {
                offer(a * (1 - v - w) + b * v + c * w, k, in.face[k], true);
                continue;
            }
        }
        const Vec3 p[3]{a, b, c};
        for (size_t i = 0; i < 3; ++i) {
            const Vec3 d = p[(i + 1) % 3] - p[i];
            const double s = dot(point - p[i], d) / std::max(1e-300, dot(d, d));
            if (s <= 0) {
                const auto& corner = in.corners[size_t(t[i])];
                offer(p[i], k, corner.outward, corner.smooth);
            } else if (s < 1) {
                const auto& e = edge(t[i], t[(i + 1) % 3]);
                offer(p[i] + d * s, k, e.outward, e.smooth);
            }
        }
    }
    return out;
}

}  // namespace uovo::form
