#include "core/form/split.h"

#include <algorithm>
#include <numbers>
#include <unordered_map>

#include "core/form/near.h"
#include "core/quantity/catalogue.h"

namespace uovo::form {
namespace {

constexpr int kCorners = 24;                         // of a peg's circle
constexpr double kSlender = 0.6;                     // of the room round it: a peg's radius
constexpr double kLeastPeg = 1e-3, kMostPeg = 6e-3;  // m, radius
constexpr int kTries = 16;                           // shifts of a plane until no corner lies in it

tl::unexpected<Problem> cannot(std::string sentence) { return tl::unexpected(Problem{std::move(sentence), "split"}); }

/// Triangles with a cut through them, and the closed lines along which they were cut.
struct Parted {
    Mesh mesh;                            ///< all triangles, those that were cut in pieces
    std::vector<char> above;              ///< of each triangle
    std::vector<std::vector<int>> loops;  ///< corners of `mesh`, material on the left seen from above
    Plane plane;                          ///< where it was cut at last
};

double sizeOf(const Mesh& m) { return length(bounds(m).size()); }

/// Heights of the corners above a plane; it is shifted until none of them lies in it.
std::vector<double> heights(const Mesh& m, Plane& plane) {
    const double least = 1e-7 * sizeOf(m);
    std::vector<double> out(m.points.size());
    for (int n = 0; n < kTries; ++n) {
        double nearest = 1e300;
        for (size_t i = 0; i < out.size(); ++i) {
            out[i] = dot(m.points[i] - plane.at, plane.normal);
            nearest = std::min(nearest, std::abs(out[i]));
        }
        if (nearest > least) break;
        plane.at += plane.normal * (least * (3 + 2.6180339 * n));
    }
    return out;
}

/// Closed lines from directed edges; where two of them touch in a corner each goes its own way.
std::vector<std::vector<int>> chained(std::unordered_map<int, std::vector<int>> next) {
    std::vector<int> begins;
    begins.reserve(next.size());
    for (const auto& [from, to] : next) begins.push_back(from);
    std::sort(begins.begin(), begins.end());
    std::vector<std::vector<int>> out;
    for (const int begin : begins)
        while (!next[begin].empty()) {
            std::vector<int> path{begin};
            for (;;) {
                auto& ways = next[path.back()];
                if (ways.empty()) break;  // it leads nowhere
                const int to = ways.back();
                ways.pop_back();
                const auto been = std::find(path.begin(), path.end(), to);
                if (been == path.end()) {
                    path.push_back(to);
                    continue;
                }
                if (path.end() - been >= 3) out.emplace_back(been, path.end());
                path.erase(been + 1, path.end());
                if (path.size() == 1 && next[begin].empty()) break;
            }
        }
    return out;
}

/// Cuts all triangles that the plane meets.
Parted parted(const Mesh& m, Plane plane, const std::vector<double>& h) {
    Parted out;
    out.plane = plane;
    out.mesh.points = m.points;
    std::unordered_map<EdgeKey, int> crossing;
    std::unordered_map<int, std::vector<int>> next;
    const auto cross = [&](int a, int b) {
        const auto [it, fresh] = crossing.try_emplace(edgeKey(a, b), static_cast<int>(out.mesh.points.size()));
        if (fresh) {
            const double s = h[size_t(a)] / (h[size_t(a)] - h[size_t(b)]);
            out.mesh.points.push_back(m.points[size_t(a)] + (m.points[size_t(b)] - m.points[size_t(a)]) * s);
        }
        return it->second;
    };
    const auto add = [&](int a, int b, int c, bool up) {
        out.mesh.triangles.push_back({a, b, c});
        out.above.push_back(up);
    };
    for (const auto& t : m.triangles) {
        const int up = (h[size_t(t[0])] > 0) + (h[size_t(t[1])] > 0) + (h[size_t(t[2])] > 0);
        if (up == 0 || up == 3) {
            add(t[0], t[1], t[2], up == 3);
            continue;
        }
        size_t k = 0;  // the corner that is alone on its side
        while ((h[size_t(t[k])] > 0) != (up == 1)) ++k;
        const int a = t[k], b = t[(k + 1) % 3], c = t[(k + 2) % 3], p = cross(a, b), q = cross(a, c);
        add(a, p, q, up == 1);
        add(p, b, c, up != 1);
        add(p, c, q, up != 1);
        if (up == 1) next[p].push_back(q);
        else next[q].push_back(p);
    }
    out.loops = chained(std::move(next));
    return out;
}

Loop flat(const std::vector<Vec3>& points, const std::vector<int>& loop, const Plane& plane, const PlaneAxes& axes) {
    Loop out;
    out.reserve(loop.size());
    for (const int i : loop) {
        const Vec3 d = points[size_t(i)] - plane.at;
        out.push_back({dot(d, axes.x), dot(d, axes.y)});
    }
    return out;
}

/// Numbers of loops, the largest first.
std::vector<size_t> bySize(const Parted& p, const PlaneAxes& axes) {
    std::vector<std::pair<double, size_t>> sizes;
    sizes.reserve(p.loops.size());
    for (size_t k = 0; k < p.loops.size(); ++k)
        sizes.emplace_back(-std::abs(signedArea(flat(p.mesh.points, p.loops[k], p.plane, axes))), k);
    std::stable_sort(sizes.begin(), sizes.end(), [](const auto& a, const auto& b) { return a.first < b.first; });
    std::vector<size_t> out;
    out.reserve(sizes.size());
    for (const auto& [size, k] : sizes) out.push_back(k);
    return out;
}

/// Which triangles hang on the upper side of one loop. Nothing where they hang on its lower side too.
std::optional<std::vector<char>> hangingAbove(const Parted& p, const std::vector<int>& loop) {
    std::unordered_map<EdgeKey, char> barrier;
    for (size_t i = 0; i < loop.size(); ++i) barrier[edgeKey(loop[i], loop[(i + 1) % loop.size()])] = 1;
    std::unordered_map<EdgeKey, std::vector<int>> at;
    std::vector<int> open;
    std::vector<char> out(p.mesh.triangles.size(), 0), below(p.mesh.triangles.size(), 0);
    for (size_t k = 0; k < p.mesh.triangles.size(); ++k) {
        const auto& t = p.mesh.triangles[k];
        for (size_t i = 0; i < 3; ++i) {
            const EdgeKey edge = edgeKey(t[i], t[(i + 1) % 3]);
            if (!barrier.contains(edge)) {
                at[edge].push_back(static_cast<int>(k));
            } else if (p.above[k]) {
                if (!out[k]) open.push_back(static_cast<int>(k));
                out[k] = 1;
            } else {
                below[k] = 1;
            }
        }
    }
    while (!open.empty()) {
        const auto& t = p.mesh.triangles[size_t(open.back())];
        open.pop_back();
        for (size_t i = 0; i < 3; ++i)
            for (const int k : at[edgeKey(t[i], t[(i + 1) % 3])]) {
                if (out[size_t(k)]) continue;
                if (below[size_t(k)]) return std::nullopt;
                out[size_t(k)] = 1;
                open.push_back(k);
            }
    }
    return out;
}

double fromEdges(const std::vector<Loop>& loops, const Point2& at) {
    double out = 1e300;
    for (const auto& l : loops)
        for (size_t i = 0; i < l.size(); ++i) {
            const auto &a = l[i], &b = l[(i + 1) % l.size()];
            const double dx = b[0] - a[0], dy = b[1] - a[1], n = dx * dx + dy * dy,
                         s = n > 0 ? std::clamp(((at[0] - a[0]) * dx + (at[1] - a[1]) * dy) / n, 0.0, 1.0) : 0;
            out = std::min(out, std::hypot(at[0] - a[0] - s * dx, at[1] - a[1] - s * dy));
        }
    return out;
}

/// Places for pegs in a cut: where most room is, then where most is left.
std::vector<Key> keysIn(const std::vector<Loop>& loops, int wanted, const Plane& plane, const PlaneAxes& axes,
                        const NearMesh& solid, double play) {
    std::vector<Key> out;
    if (wanted <= 0) return out;
    Point2 low{1e300, 1e300}, high{-1e300, -1e300};
    for (const auto& l : loops)
        for (const auto& p : l)
            for (size_t d = 0; d < 2; ++d) low[d] = std::min(low[d], p[d]), high[d] = std::max(high[d], p[d]);
    constexpr int kGrid = 48;
    std::vector<std::pair<Point2, double>> places;  // and the room round them
    for (int i = 1; i < kGrid; ++i)
        for (int j = 1; j < kGrid; ++j) {
            const Point2 at{low[0] + (high[0] - low[0]) * i / kGrid, low[1] + (high[1] - low[1]) * j / kGrid};
            int in = 0;
            for (const auto& l : loops) in += contains(l, at);
            if (in % 2 == 1) places.emplace_back(at, fromEdges(loops, at));
        }
    struct Taken {
        Point2 at;
        double radius;
    };
    std::vector<Taken> taken;
    constexpr int kPlaces = 8;  // looked at, for a place may have no room upwards
    for (int n = 0; n < kPlaces && static_cast<int>(out.size()) < wanted; ++n) {
        const std::pair<Point2, double>* best = nullptr;
        double most = 0;
        for (const auto& p : places) {
            double room = p.second;
            for (const auto& t : taken)
                room = std::min(room, std::hypot(p.first[0] - t.at[0], p.first[1] - t.at[1]) - 2 * t.radius);
            room = std::min(room, kMostPeg / kSlender) + 1e-3 * std::hypot(p.first[0], p.first[1]);  // far apart
            if (room > most) most = room, best = &p;
        }
        if (!best) break;
        Key key;
        key.radius = std::min(kMostPeg, kSlender * std::min(most, best->second) - play);
        if (key.radius < kLeastPeg) break;
        key.at = plane.at + axes.x * best->first[0] + axes.y * best->first[1];
        taken.push_back({best->first, key.radius});
        const double step = key.radius / 4, margin = std::max(1e-3, 0.35 * key.radius);
        for (int deep = 1; deep <= 6; ++deep) {  // as deep as the half above is thick enough round it
            bool free = true;
            for (int c = -1; c < 8 && free; ++c) {
                const double a = std::numbers::pi / 4 * c, r = c < 0 ? 0 : key.radius + play;
                const Vec3 p =
                    key.at + axes.x * (r * std::cos(a)) + axes.y * (r * std::sin(a)) + axes.z * (deep * step);
                free = !solid.near(p, std::min(margin, 0.9 * best->second));
            }
            if (!free) break;
            key.depth = deep * step;
        }
        if (key.depth >= 2 * step) out.push_back(key);
    }
    return out;
}

/// One half: its triangles, its cap with pegs or sockets. @param up the half above the plane
tl::expected<Mesh, Problem> half(const Parted& p, const std::vector<char>& mine, char up,
                                 const std::vector<std::vector<int>>& loops, const std::vector<Key>& keys,
                                 const PlaneAxes& axes, double play) {
    std::unordered_map<int, int> of;
    Mesh out = onlyThose(
        p.mesh, [&](size_t k) { return mine[k] == up; }, &of);
    if (out.triangles.empty()) return cannot(tr("The plane does not pass through it."));
    std::vector<Loop> lines;
    std::vector<int> corners;
    for (const auto& l : loops) {
        lines.push_back(flat(p.mesh.points, l, p.plane, axes));
        for (const int i : l) corners.push_back(of.at(i));
    }
    const double wider = up ? play : 0;
    for (const auto& key : keys) {
        const Vec3 d = key.at - p.plane.at;
        const Point2 middle{dot(d, axes.x), dot(d, axes.y)};
        Loop circle;
        std::vector<int> foot, end;
        const auto ring = [&](double height, std::vector<int>& ids) {
            for (int c = 0; c < kCorners; ++c) {
                const double a = 2 * std::numbers::pi * c / kCorners, r = key.radius + wider;
                ids.push_back(static_cast<int>(out.points.size()));
                out.points.push_back(key.at + axes.x * (r * std::cos(a)) + axes.y * (r * std::sin(a)) +
                                     axes.z * height);
                if (height == 0) circle.push_back({middle[0] + r * std::cos(a), middle[1] + r * std::sin(a)});
            }
        };
        ring(0, foot);
        ring(key.depth + wider, end);
        const int top = static_cast<int>(out.points.size());
        out.points.push_back(key.at + axes.z * (key.depth + wider));
        for (size_t c = 0; c < kCorners; ++c) {
            const size_t n = (c + 1) % kCorners;
            std::vector<Triangle> side{{foot[c], foot[n], end[n]}, {foot[c], end[n], end[c]}, {end[c], end[n], top}};
            for (auto& t : side) {  // a peg's wall looks outwards, a socket's inwards
                if (up) std::swap(t[1], t[2]);
                out.triangles.push_back(t);
            }
        }
        std::reverse(circle.begin(), circle.end());
        std::reverse(foot.begin(), foot.end());
        lines.push_back(std::move(circle));
        corners.insert(corners.end(), foot.begin(), foot.end());
    }
    const auto cap = filled(lines);
    if (!cap) return cannot(tr("The cut there crosses itself: move it a little."));
    for (auto t : *cap) {
        if (up) std::swap(t[1], t[2]);
        out.triangles.push_back({corners[size_t(t[0])], corners[size_t(t[1])], corners[size_t(t[2])]});
    }
    return out;
}

}  // namespace

Mesh onlyThose(const Mesh& mesh, const std::function<bool(size_t)>& taken, std::unordered_map<int, int>* corners) {
    Mesh out;
    std::unordered_map<int, int> own;
    auto& number = corners ? *corners : own;
    for (size_t k = 0; k < mesh.triangles.size(); ++k) {
        if (!taken(k)) continue;
        Triangle t = mesh.triangles[k];
        for (int& i : t) {
            const auto [it, fresh] = number.try_emplace(i, static_cast<int>(out.points.size()));
            if (fresh) out.points.push_back(mesh.points[size_t(i)]);
            i = it->second;
        }
        out.triangles.push_back(t);
    }
    return out;
}

PlaneAxes axesOf(const Plane& plane) {
    const Vec3 x = unit(cross(std::abs(plane.normal.x) < 0.6 ? Vec3{1, 0, 0} : Vec3{0, 1, 0}, plane.normal));
    return {x, cross(plane.normal, x), plane.normal};
}

std::vector<Section> sectionsAt(const Mesh& mesh, const Plane& given) {
    Plane plane = given;
    const auto h = heights(mesh, plane);
    const Parted p = parted(mesh, plane, h);
    const PlaneAxes axes = axesOf(plane);
    std::vector<Section> out;
    for (const size_t k : bySize(p, axes)) {
        Section s{flat(p.mesh.points, p.loops[k], plane, axes), 0, {}};
        s.area = signedArea(s.loop);
        for (const int i : p.loops[k]) s.middle += p.mesh.points[size_t(i)] * (1.0 / double(p.loops[k].size()));
        out.push_back(std::move(s));
    }
    return out;
}

tl::expected<Split, Problem> split(const Mesh& mesh, const Plane& given, const SplitOptions& options) {
    Plane plane = given;
    const auto h = heights(mesh, plane);
    Parted p = parted(mesh, plane, h);
    const PlaneAxes axes = axesOf(plane);
    if (p.loops.empty()) return cannot(tr("The plane does not pass through it."));
    std::vector<std::vector<int>> loops = p.loops;
    std::vector<char> side = p.above;
    if (options.only) {
        const auto order = bySize(p, axes);
        if (*options.only >= order.size()) return cannot(tr("There is no such place to cut it at."));
        const auto loop = p.loops[order[*options.only]];
        loops = {loop};
        auto hanging = hangingAbove(p, loop);
        if (!hanging) return cannot(tr("It hangs together beside that place too: one cut does not part it."));
        side = std::move(*hanging);
        // the other lines stay uncut: their triangles go by what they hang on, closed again by the same corners
    }
    std::vector<Loop> lines;
    lines.reserve(loops.size());
    for (const auto& l : loops) lines.push_back(flat(p.mesh.points, l, plane, axes));
    Split out;
    for (const auto& l : lines) out.area += signedArea(l);
    if (options.keys > 0) out.keys = keysIn(lines, options.keys, plane, axes, NearMesh(mesh), options.play);
    auto above = half(p, side, 1, loops, out.keys, axes, options.play);
    auto below = half(p, side, 0, loops, out.keys, axes, options.play);
    if (!above) return tl::unexpected(above.error());
    if (!below) return tl::unexpected(below.error());
    out.above = std::move(*above);
    out.below = std::move(*below);
    return out;
}

Mesh withoutHoles(const Mesh& mesh, int& closed) {
    closed = 0;
    std::unordered_map<EdgeKey, int> uses;
    for (const auto& t : mesh.triangles)
        for (size_t i = 0; i < 3; ++i) ++uses[edgeKey(t[i], t[(i + 1) % 3])];
    std::unordered_map<int, std::vector<int>> next;  // along the hole, against its triangles
    for (const auto& t : mesh.triangles)
        for (size_t i = 0; i < 3; ++i)
            if (const int a = t[i], b = t[(i + 1) % 3]; uses[edgeKey(a, b)] == 1) next[b].push_back(a);
    Mesh out = mesh;
    for (const auto& loop : chained(std::move(next))) {
        Vec3 middle, normal;
        for (const int i : loop) middle += mesh.points[size_t(i)] * (1.0 / double(loop.size()));
        for (size_t i = 0; i < loop.size(); ++i)
            normal +=
                cross(mesh.points[size_t(loop[i])] - middle, mesh.points[size_t(loop[(i + 1) % loop.size()])] - middle);
        if (!(length(normal) > 0)) continue;
        const Plane plane{middle, unit(normal)};
        const auto add = [&](int a, int b, int c) {
            out.triangles.push_back({a, b, c});
            if (!out.marks.empty()) out.marks.push_back(Mark::Wall);
        };
        if (const auto face = filled({flat(mesh.points, loop, plane, axesOf(plane))})) {
            for (const auto& t : *face) add(loop[size_t(t[0])], loop[size_t(t[1])], loop[size_t(t[2])]);
        } else {
            const int centre = static_cast<int>(out.points.size());
            out.points.push_back(middle);
            for (size_t i = 0; i < loop.size(); ++i) add(loop[i], loop[(i + 1) % loop.size()], centre);
        }
        ++closed;
    }
    return out;
}

tl::expected<Mesh, Problem> onFoot(const Mesh& mesh, double sink, double height) {
    Plane plane{{0, 0, bounds(mesh).low.z + sink}, {0, 0, 1}};
    const auto h = heights(mesh, plane);
    const Parted p = parted(mesh, plane, h);
    const PlaneAxes axes = axesOf(plane);
    std::unordered_map<int, int> of;
    Mesh out = onlyThose(
        p.mesh, [&](size_t k) { return p.above[k] != 0; }, &of);
    if (p.loops.empty() || out.triangles.empty()) return cannot(tr("It has nothing so low that it could stand on."));
    std::vector<Loop> lines;
    std::vector<int> feet;
    for (const auto& l : p.loops) {
        lines.push_back(flat(p.mesh.points, l, plane, axes));
        const int first = static_cast<int>(out.points.size());
        for (const int i : l) {
            feet.push_back(static_cast<int>(out.points.size()));
            out.points.push_back(p.mesh.points[size_t(i)] - Vec3{0, 0, height});
        }
        for (size_t i = 0; i < l.size(); ++i) {
            const int n = static_cast<int>((i + 1) % l.size()), a = first + static_cast<int>(i), b = first + n;
            out.triangles.push_back({a, b, of.at(l[size_t(n)])});
            out.triangles.push_back({a, of.at(l[size_t(n)]), of.at(l[i])});
        }
    }
    const auto cap = filled(lines);
    if (!cap) return cannot(tr("Its foot crosses itself there: cut a little more or less of it off."));
    for (const auto& t : *cap) out.triangles.push_back({feet[size_t(t[0])], feet[size_t(t[2])], feet[size_t(t[1])]});
    return out;
}

tl::expected<Mesh, Problem> hollowed(const Mesh& mesh, double wall) {
    Mesh out = shell(mesh, wall, false);
    const NearMesh near(mesh);
    constexpr double kKept = 0.8;  // of the wall: at a crease that looks inwards a corner comes nearer
    const double skin = 1e-9 * sizeOf(mesh);
    for (const auto& p : out.points) {
        const auto found = near.near(p, 1.3 * wall);
        if (found && std::abs(found->distance) < skin) continue;  // of the outside
        if (!found || found->distance > -kKept * wall)
            return cannot(tr("Somewhere it is thinner than two walls: hollow it with a thinner one."));
    }
    return out;
}

}  // namespace uovo::form
