#include "core/form/mesh.h"

#include <fmt/format.h>

#include <algorithm>
#include <map>
#include <numeric>
#include <unordered_map>

#include "core/form/outline.h"
#include "core/form/sets.h"
#include "core/quantity/catalogue.h"

namespace uovo::form {
namespace {

const Vec3& at(const Mesh& m, int i) { return m.points[static_cast<size_t>(i)]; }

Vec3 crossOf(const Mesh& m, const Triangle& t) { return cross(at(m, t[1]) - at(m, t[0]), at(m, t[2]) - at(m, t[0])); }

/// Integral over the part of a triangle below `level` of (z - level) n_z dA.
double below(const Vec3& a, const Vec3& b, const Vec3& c, double level) {
    std::array<Vec3, 3> p{a, b, c};
    std::sort(p.begin(), p.end(), [](const Vec3& u, const Vec3& v) { return u.z < v.z; });
    const double flat = ((b.x - a.x) * (c.y - a.y) - (b.y - a.y) * (c.x - a.x)) / 2;  // signed plan area
    if (p[0].z >= level) return 0;
    const auto mean = [&](double z0, double z1, double z2) { return (z0 + z1 + z2) / 3 - level; };
    if (p[2].z <= level) return flat * mean(p[0].z, p[1].z, p[2].z);
    if (p[1].z >= level) {  // one corner under the level: a small similar triangle
        const double s = (level - p[0].z) / (p[1].z - p[0].z), t = (level - p[0].z) / (p[2].z - p[0].z);
        return flat * s * t * mean(p[0].z, level, level);
    }
    // two under: the whole less the small triangle at the top
    const double s = (p[2].z - level) / (p[2].z - p[0].z), t = (p[2].z - level) / (p[2].z - p[1].z);
    return flat * mean(p[0].z, p[1].z, p[2].z) - flat * s * t * mean(p[2].z, level, level);
}

double leastAngle(const Mesh& m, const Triangle& t) {
    double least = 4;
    for (size_t k = 0; k < 3; ++k) {
        const Vec3 u = at(m, t[(k + 1) % 3]) - at(m, t[k]), v = at(m, t[(k + 2) % 3]) - at(m, t[k]);
        least = std::min(least, std::atan2(length(cross(u, v)), dot(u, v)));
    }
    return least;
}

}  // namespace

double volume(const Mesh& m) {
    double sum = 0;
    if (m.points.empty()) return 0;
    const Vec3 o = m.points.front();  // near the mesh, so that far coordinates do not cancel
    for (const auto& t : m.triangles) sum += dot(at(m, t[0]) - o, cross(at(m, t[1]) - o, at(m, t[2]) - o));
    return sum / 6;
}

double area(const Mesh& m, Mark mark) {
    double sum = 0;
    for (size_t i = 0; i < m.triangles.size(); ++i)
        if (m.mark(i) == mark) sum += length(crossOf(m, m.triangles[i]));
    return sum / 2;
}

Vec3 centroid(const Mesh& m) {
    Vec3 sum;
    double six = 0;
    if (m.points.empty()) return sum;
    const Vec3 o = m.points.front();
    for (const auto& t : m.triangles) {
        const Vec3 a = at(m, t[0]) - o, b = at(m, t[1]) - o, c = at(m, t[2]) - o;
        const double v = dot(a, cross(b, c));
        sum += (a + b + c) * v;
        six += v;
    }
    return std::abs(six) > 1e-300 ? o + sum * (1 / (4 * six)) : o;
}

Box bounds(const Mesh& m) {
    if (m.points.empty()) return {};
    Box b{m.points.front(), m.points.front()};
    for (const auto& p : m.points) {
        b.low = {std::min(b.low.x, p.x), std::min(b.low.y, p.y), std::min(b.low.z, p.z)};
        b.high = {std::max(b.high.x, p.x), std::max(b.high.y, p.y), std::max(b.high.z, p.z)};
    }
    return b;
}

double volumeBelow(const Mesh& m, double z) {
    double sum = 0;
    for (const auto& t : m.triangles) sum += below(at(m, t[0]), at(m, t[1]), at(m, t[2]), z);
    return sum;
}

double levelOf(const Mesh& m, double wanted) {
    const Box b = bounds(m);
    if (!(wanted >= 0) || wanted > volume(m) * (1 + 1e-9)) return std::nan("");
    double low = b.low.z, high = b.high.z;
    for (int i = 0; i < 50; ++i) {
        const double mid = 0.5 * (low + high);
        (volumeBelow(m, mid) < wanted ? low : high) = mid;
    }
    return 0.5 * (low + high);
}

std::vector<std::array<double, 2>> footprint(const Mesh& m, double tolerance) {
    const double ground = bounds(m).low.z + tolerance;
    Loop p;
    for (const auto& q : m.points)
        if (q.z <= ground) p.push_back({q.x, q.y});
    return convexHull(std::move(p));
}

MeshReport inspect(const Mesh& m) {
    MeshReport r;
    r.triangles = m.triangles.size();
    struct Edge {
        int uses = 0, balance = 0;
    };
    std::unordered_map<EdgeKey, Edge> edges;
    edges.reserve(m.triangles.size() * 2);
    Sets sets(m.points.size());
    double scale = 0;
    for (const auto& t : m.triangles) scale = std::max(scale, length(crossOf(m, t)));
    for (const auto& t : m.triangles) {
        for (size_t k = 0; k < 3; ++k) {
            const int a = t[k], b = t[(k + 1) % 3];
            auto& e = edges[edgeKey(a, b)];
            ++e.uses;
            e.balance += a < b ? 1 : -1;
            sets.join(a, b);
        }
        if (!(length(crossOf(m, t)) > 1e-12 * scale) || t[0] == t[1] || t[1] == t[2] || t[0] == t[2]) ++r.degenerate;
        else if (leastAngle(m, t) < 10 * M_PI / 180) ++r.slivers;
    }
    for (const auto& [key, e] : edges) {
        r.openEdges += e.uses == 1;
        r.crowdedEdges += e.uses > 2;
        r.flipped += e.uses == 2 && e.balance != 0;
    }
    std::vector<bool> used(m.points.size());
    for (const auto& t : m.triangles)
        for (const int i : t) used[static_cast<size_t>(i)] = true;
    for (size_t i = 0; i < used.size(); ++i)
        r.shells += used[i] && sets.find(static_cast<int>(i)) == static_cast<int>(i);
    return r;
}

std::string inWords(const MeshReport& r) {
    if (r.triangles == 0) return tr("There is no surface in it.");
    std::string s;
    const auto add = [&](const std::string& words) { s += (s.empty() ? "" : " ") + words; };
    if (r.openEdges)
        add(sayMany("It has holes: {} edge has a triangle on one side only.",
                    "It has holes: {} edges have a triangle on one side only.", int(r.openEdges)));
    if (r.crowdedEdges)
        add(sayMany("{} edge is shared by more than two triangles.", "{} edges are shared by more than two triangles.",
                    int(r.crowdedEdges)));
    if (r.flipped)
        add(sayMany("{} edge lies between triangles that face opposite ways.",
                    "{} edges lie between triangles that face opposite ways.", int(r.flipped)));
    if (r.degenerate) add(sayMany("{} triangle has no area.", "{} triangles have no area.", int(r.degenerate)));
    return s;
}

Mesh weld(const Mesh& m, double distance) {
    Mesh out;
    std::map<std::array<long long, 3>, std::vector<int>> cells;
    std::vector<int> to(m.points.size());
    const auto cell = [&](double v) { return static_cast<long long>(std::floor(v / distance)); };
    for (size_t i = 0; i < m.points.size(); ++i) {
        const Vec3& p = m.points[i];
        const std::array<long long, 3> c{cell(p.x), cell(p.y), cell(p.z)};
        int found = -1;
        for (long long dx = -1; dx <= 1 && found < 0; ++dx)
            for (long long dy = -1; dy <= 1 && found < 0; ++dy)
                for (long long dz = -1; dz <= 1 && found < 0; ++dz)
                    if (const auto it = cells.find({c[0] + dx, c[1] + dy, c[2] + dz}); it != cells.end())
                        for (const int k : it->second)
                            if (length(out.points[static_cast<size_t>(k)] - p) <= distance) {
                                found = k;
                                break;
                            }
        if (found < 0) {
            found = static_cast<int>(out.points.size());
            out.points.push_back(p);
            cells[c].push_back(found);
        }
        to[i] = found;
    }
    for (size_t i = 0; i < m.triangles.size(); ++i) {
        const auto& t = m.triangles[i];
        const Triangle u{to[static_cast<size_t>(t[0])], to[static_cast<size_t>(t[1])], to[static_cast<size_t>(t[2])]};
        if (u[0] == u[1] || u[1] == u[2] || u[0] == u[2]) continue;
        out.triangles.push_back(u);
        if (!m.marks.empty()) out.marks.push_back(m.marks[i]);
    }
    return out;
}

Mesh reversed(Mesh m) {
    for (auto& t : m.triangles) std::swap(t[1], t[2]);
    return m;
}

void append(Mesh& m, const Mesh& other) {
    const int shift = static_cast<int>(m.points.size());
    if (!other.marks.empty() || !m.marks.empty()) {
        m.marks.resize(m.triangles.size(), Mark::Wall);
        for (size_t i = 0; i < other.triangles.size(); ++i) m.marks.push_back(other.mark(i));
    }
    m.points.insert(m.points.end(), other.points.begin(), other.points.end());
    for (const auto& t : other.triangles) m.triangles.push_back({t[0] + shift, t[1] + shift, t[2] + shift});
}

namespace {

/// Wall triangles that meet at a corner without sharing an edge get corners of their own: each fan is displaced by
/// itself.
class Fans {
public:
    explicit Fans(const Mesh& surface);
    /// The fan of corner k of triangle i, below three times the triangles.
    size_t of(size_t i, size_t k) const { return static_cast<size_t>(root_[3 * i + k]); }
    /// Whether no other wall triangle has this edge.
    bool rim(int a, int b) const { return open_.contains(edgeKey(a, b)); }

private:
    std::vector<int> root_;
    std::unordered_map<EdgeKey, std::pair<int, int>> open_;  // edge → triangle and its first corner on it
};

Fans::Fans(const Mesh& surface) {
    const size_t n = surface.triangles.size();
    root_.resize(3 * n);
    std::iota(root_.begin(), root_.end(), 0);
    const auto find = [&](int i) {
        while (root_[static_cast<size_t>(i)] != i)
            i = root_[static_cast<size_t>(i)] = root_[static_cast<size_t>(root_[static_cast<size_t>(i)])];
        return i;
    };
    open_.reserve(2 * n);
    for (size_t i = 0; i < n; ++i) {
        if (surface.mark(i) != Mark::Wall) continue;
        const auto& t = surface.triangles[i];
        for (size_t k = 0; k < 3; ++k) {
            const EdgeKey key = edgeKey(t[k], t[(k + 1) % 3]);
            if (const auto it = open_.find(key); it != open_.end()) {
                const auto [j, m] = it->second;  // the neighbour runs the other way: its first corner is our second
                root_[static_cast<size_t>(find(static_cast<int>(3 * i + k)))] = find(3 * j + (m + 1) % 3);
                root_[static_cast<size_t>(find(static_cast<int>(3 * i + (k + 1) % 3)))] = find(3 * j + m);
                open_.erase(it);
            } else {
                open_[key] = {static_cast<int>(i), static_cast<int>(k)};
            }
        }
    }
    for (size_t i = 0; i < root_.size(); ++i) root_[i] = find(static_cast<int>(i));
}

/// Displacement d of one fan with n_f·d = t for every face in it: least squares, a little pulled towards the mean
/// normal so that flat and nearly flat corners are well defined. Faces weigh by their angle at the corner.
struct Sum {
    double a[6] = {0, 0, 0, 0, 0, 0};
    Vec3 b;
    double weight = 0;
    int corner = -1, inner = -1, outer = -1;

    void add(const Vec3& normal, double w) {
        a[0] += w * normal.x * normal.x;
        a[1] += w * normal.x * normal.y;
        a[2] += w * normal.x * normal.z;
        a[3] += w * normal.y * normal.y;
        a[4] += w * normal.y * normal.z;
        a[5] += w * normal.z * normal.z;
    }
    Vec3 displacement() const {
        const Vec3 mean = unit(b);
        const double pull = 0.02 * weight;
        const double xx = a[0] + pull, xy = a[1], xz = a[2], yy = a[3] + pull, yz = a[4], zz = a[5] + pull;
        const Vec3 v = b + mean * pull;
        const double det = xx * (yy * zz - yz * yz) - xy * (xy * zz - yz * xz) + xz * (xy * yz - yy * xz);
        Vec3 d{(v.x * (yy * zz - yz * yz) - xy * (v.y * zz - yz * v.z) + xz * (v.y * yz - yy * v.z)) / det,
               (xx * (v.y * zz - yz * v.z) - v.x * (xy * zz - yz * xz) + xz * (xy * v.z - v.y * xz)) / det,
               (xx * (yy * v.z - v.y * yz) - xy * (xy * v.z - v.y * xz) + v.x * (xy * yz - yy * xz)) / det};
        if (const double l = length(d); l > 3) d = d * (3 / l);  // a needle-sharp crease does not shoot away
        return d;
    }
};

std::vector<Sum> displacements(const Mesh& surface, const Fans& fans) {
    const size_t n = surface.triangles.size();
    std::vector<Sum> sums(3 * n);
    for (size_t i = 0; i < n; ++i) {
        if (surface.mark(i) != Mark::Wall) continue;
        const auto& t = surface.triangles[i];
        const Vec3 normal = unit(crossOf(surface, t));
        for (size_t k = 0; k < 3; ++k) {
            const Vec3& here = at(surface, t[k]);
            const Vec3 u = at(surface, t[(k + 1) % 3]) - here, v = at(surface, t[(k + 2) % 3]) - here;
            const double w = std::atan2(length(cross(u, v)), dot(u, v));
            Sum& f = sums[fans.of(i, k)];
            f.add(normal, w);
            f.b += normal * w;
            f.weight += w;
            f.corner = t[k];
        }
    }
    // Where the wall ends at a flat opening it ends in its plane, as a rim scraped level does.
    std::vector<Vec3> opening(surface.points.size());
    for (size_t i = 0; i < n; ++i)
        if (surface.mark(i) != Mark::Wall) {
            const Vec3 normal = crossOf(surface, surface.triangles[i]);
            for (const int k : surface.triangles[i]) opening[static_cast<size_t>(k)] += normal;
        }
    for (auto& f : sums) {
        if (f.corner < 0) continue;
        const Vec3 normal = unit(opening[static_cast<size_t>(f.corner)]);
        if (length(normal) == 0 || std::abs(dot(normal, unit(f.b))) > 0.8)
            continue;  // no rim, or bare wall that goes on
        const double w = 50 * f.weight;
        f.add(normal, w);
    }
    return sums;
}

}  // namespace

Mesh shell(const Mesh& surface, const std::vector<double>& thickness, bool outward, std::vector<double>* wall) {
    const size_t n = surface.triangles.size();
    const Fans fans(surface);
    std::vector<Sum> sums = displacements(surface, fans);
    Mesh out;
    const double sign = outward ? 1 : -1;
    for (auto& f : sums) {
        if (f.corner < 0) continue;
        const Vec3 d = f.displacement();
        const Vec3& here = at(surface, f.corner);
        f.inner = static_cast<int>(out.points.size());
        out.points.push_back(here);
        f.outer = static_cast<int>(out.points.size());
        out.points.push_back(here + d * (sign * thickness[static_cast<size_t>(f.corner)]));
        if (wall) wall->insert(wall->end(), 2, thickness[static_cast<size_t>(f.corner)]);
    }
    const auto near = [&](size_t i, size_t k) {
        const Sum& f = sums[fans.of(i, k)];
        return outward ? f.inner : f.outer;
    };
    const auto far = [&](size_t i, size_t k) {
        const Sum& f = sums[fans.of(i, k)];
        return outward ? f.outer : f.inner;
    };
    for (size_t i = 0; i < n; ++i) {
        if (surface.mark(i) != Mark::Wall) continue;
        out.triangles.push_back({far(i, 0), far(i, 1), far(i, 2)});
        out.triangles.push_back({near(i, 0), near(i, 2), near(i, 1)});
        for (size_t k = 0; k < 3; ++k) {
            if (!fans.rim(surface.triangles[i][k], surface.triangles[i][(k + 1) % 3])) continue;
            const size_t next = (k + 1) % 3;
            out.triangles.push_back({far(i, next), far(i, k), near(i, k)});
            out.triangles.push_back({far(i, next), near(i, k), near(i, next)});
        }
    }
    return out;
}

Mesh shell(const Mesh& surface, double thickness, bool outward) {
    return shell(surface, std::vector<double>(surface.points.size(), thickness), outward);
}

Mesh placed(Mesh m, const Pose& pose) {
    for (auto& p : m.points) p = pose(p);
    return m;
}

double rimLength(const Mesh& m) {
    std::unordered_map<EdgeKey, int> balance;
    for (size_t i = 0; i < m.triangles.size(); ++i)
        if (m.mark(i) == Mark::Wall)
            for (size_t k = 0; k < 3; ++k) ++balance[edgeKey(m.triangles[i][k], m.triangles[i][(k + 1) % 3])];
    double sum = 0;
    for (const auto& [key, uses] : balance)
        if (uses == 1) sum += length(at(m, static_cast<int>(key >> 32)) - at(m, static_cast<int>(key & 0xffffffffu)));
    return sum;
}

}  // namespace uovo::form
