#include "core/assembly/contacts.h"

#include <Eigen/Eigenvalues>
#include <algorithm>
#include <array>
#include <cmath>
#include <numbers>
#include <numeric>

namespace uovo::assembly {
namespace {

using form::Box;
using form::Vec3;

constexpr double kFacing = -0.5;      // cosine of the normals of faces that lie on each other, at the most
constexpr double kEdgeFacing = -0.3;  // the same where an edge is one of them
constexpr int kSparse = 29;           // of the samples that are far from the other's surface
constexpr double kEnd = 1e-6;         // of an edge: so far from its ends it is not a corner yet
constexpr double kAside = 0.2;        // of the reach of a contact: so far beside a face is not on it
constexpr int kMostAlong = 60;        // samples along a side of a triangle
constexpr size_t kCorners = 8;        // touches that stand for one place; half as many for one that is long and narrow
constexpr double kNarrow = 0.2;

struct Sample {
    Vec3 at, normal;  // pushes the sampled part away
    double area = 0, run = 0;
    bool pierces = false;
};

Box grown(const Box& b, double by) { return {b.low - Vec3{by, by, by}, b.high + Vec3{by, by, by}}; }
Box overlap(const Box& a, const Box& b) {
    return {{std::max(a.low.x, b.low.x), std::max(a.low.y, b.low.y), std::max(a.low.z, b.low.z)},
            {std::min(a.high.x, b.high.x), std::min(a.high.y, b.high.y), std::min(a.high.z, b.high.z)}};
}
bool isEmpty(const Box& b) { return b.low.x > b.high.x || b.low.y > b.high.y || b.low.z > b.high.z; }
bool isIn(const Box& b, const Vec3& p) {
    return p.x >= b.low.x && p.x <= b.high.x && p.y >= b.low.y && p.y <= b.high.y && p.z >= b.low.z && p.z <= b.high.z;
}

/// What of one part touches another: samples of its faces and of its sharp edges.
class Toucher {
public:
    Toucher(const form::NearMesh& mine, const form::NearMesh& other, const ContactOptions& options)
        : mine_(mine), other_(other), options_(options) {}

    void sample() {
        const Box region = overlap(grown(mine_.box(), options_.near), grown(other_.box(), options_.near));
        if (isEmpty(region)) return;
        const auto& m = mine_.mesh();
        const auto triangles = mine_.trianglesIn(region);
        double all = 0;
        for (const size_t k : triangles) all += std::min(areaOf(k), boxArea(region));
        step_ = std::clamp(std::sqrt(all / options_.samples), options_.finest, 6e-3);
        for (const size_t k : triangles) face(k, region);
        for (const size_t k : triangles)
            for (size_t i = 0; i < 3; ++i) {
                const int from = m.triangles[k][i], to = m.triangles[k][(i + 1) % 3];
                if (from < to) edge(from, to, region);
            }
    }

    std::vector<Sample> samples;
    double deepest = 0;
    Vec3 deepestAt;

private:
    double areaOf(size_t k) const {
        const auto& m = mine_.mesh();
        const auto& t = m.triangles[k];
        return 0.5 * form::length(form::cross(m.points[size_t(t[1])] - m.points[size_t(t[0])],
                                              m.points[size_t(t[2])] - m.points[size_t(t[0])]));
    }
    static double boxArea(const Box& b) {
        const Vec3 d = b.size();
        return d.x * d.y + d.y * d.z + d.z * d.x;
    }

    /// How deep a point lies in the other part, m; 0 outside.
    double depthAt(const Vec3& p) const {
        if (!isIn(other_.box(), p)) return 0;
        const double most = form::length(other_.box().size());
        for (double within = 2 * options_.seat; within < 2 * most; within *= 4)
            if (const auto hit = other_.near(p, within)) return std::max(0.0, -hit->distance);
        return 0;
    }

    /// Rows along its longest side, each as many samples as it is long.
    void face(size_t k, const Box& region) {
        const auto& m = mine_.mesh();
        const auto& t = m.triangles[k];
        Vec3 p[3]{m.points[size_t(t[0])], m.points[size_t(t[1])], m.points[size_t(t[2])]};
        const Vec3& normal = mine_.normalOf(k);
        while (form::length(p[1] - p[0]) < form::length(p[2] - p[1]) ||
               form::length(p[1] - p[0]) < form::length(p[0] - p[2]))
            std::rotate(p, p + 1, p + 3);
        const double base = form::length(p[1] - p[0]), area = areaOf(k), high = 2 * area / std::max(base, 1e-12);
        const auto pieces = [&](double long_) {
            return std::clamp(static_cast<int>(std::ceil(long_ / step_)), 1, 4 * kMostAlong);
        };
        const int rows = pieces(high);
        for (int j = 0; j < rows; ++j) {
            const double up = (j + 0.5) / rows;
            const Vec3 from = p[0] + (p[2] - p[0]) * up, to = p[1] + (p[2] - p[1]) * up;
            const int n = pieces(base * (1 - up));
            const double each = 2 * area * (1 - up) / rows / n;
            for (int i = 0; i < n; ++i) {
                const Vec3 at = from + (to - from) * ((i + 0.5) / n);
                if (isIn(region, at)) one(at, normal, each);
            }
        }
    }

    void one(const Vec3& p, const Vec3& normal, double area) {
        const auto hit = other_.near(p, options_.seat);
        if (!hit) {
            if (++far_ % kSparse) return;  // whether it is deep inside is dear to know
            if (const double depth = depthAt(p); depth > deepest) deepest = depth, deepestAt = p;
            return;
        }
        if (-hit->distance > deepest) deepest = -hit->distance, deepestAt = p;
        if (hit->distance > options_.near) return;
        const double facing = form::dot(normal, hit->outward);
        if (facing < kFacing) {
            const Vec3 way = p - hit->at, aside = way - normal * form::dot(way, normal);
            if (form::length(aside) > kAside * options_.near) return;  // beside it, not on it
            samples.push_back({p, hit->smooth ? hit->outward : normal * -1, area, 0});
        } else if (std::abs(facing) <= -kFacing && std::abs(hit->distance) <= options_.near) {
            samples.push_back({p, hit->outward, 0, 0, true});
        }
    }

    void edge(int from, int to, const Box& region) {
        const auto& m = mine_.mesh();
        const auto& own = mine_.edge(from, to);
        if (own.smooth) return;
        const Vec3 a = m.points[size_t(from)], b = m.points[size_t(to)];
        const double length = form::length(b - a);
        const int n = std::clamp(static_cast<int>(std::ceil(length / step_)), 1, 4 * kMostAlong);
        for (int i = 0; i <= n; ++i) {
            const Vec3 p = a + (b - a) * std::clamp(double(i) / n, kEnd, 1 - kEnd);
            if (!isIn(region, p)) continue;
            const double run = length / (i == 0 || i == n ? 2 * n : n);
            if (const auto normal = byItsFaces(p, own)) {
                samples.push_back({p, *normal, 0, run});
                continue;
            }
            const auto hit = other_.near(p, options_.seat);
            if (!hit || hit->distance > options_.near || form::dot(own.outward, hit->outward) > kEdgeFacing) continue;
            samples.push_back({p, hit->smooth ? hit->outward : form::unit(hit->outward - own.outward), 0, run});
        }
    }
    /// Normal at a point of an edge where one of the faces that meet in it lies on the other part: at the border of
    /// two faces on each other the faces say it, not the edges. Looked for a hair inside the face.
    std::optional<Vec3> byItsFaces(const Vec3& p, const form::NearMesh::Edge& own) const {
        constexpr double kHair = 0.02;
        const auto& m = mine_.mesh();
        for (const size_t k : own.triangles) {
            const auto& t = m.triangles[k];
            const Vec3 middle = (m.points[size_t(t[0])] + m.points[size_t(t[1])] + m.points[size_t(t[2])]) * (1.0 / 3);
            const Vec3 in = middle - p;
            const Vec3 q = p + in * std::min(kHair, 0.2 * options_.near / std::max(1e-12, form::length(in)));
            const auto hit = other_.near(q, options_.seat);
            if (hit && hit->smooth && hit->distance <= options_.near &&
                form::dot(mine_.normalOf(k), hit->outward) < kFacing)
                return hit->outward;
        }
        return std::nullopt;
    }

    const form::NearMesh &mine_, &other_;
    const ContactOptions& options_;
    double step_ = 1e-3;
    int far_ = 0;

public:
    double step() const { return step_; }
};

/// Points that hang together: each is nearer than `reach` to another of its group.
std::vector<std::vector<size_t>> groupsOf(const std::vector<Sample>& samples, double reach) {
    std::vector<std::vector<size_t>> out;
    std::vector<size_t> order(samples.size());
    std::iota(order.begin(), order.end(), 0);
    std::sort(order.begin(), order.end(), [&](size_t i, size_t j) { return samples[i].at.x < samples[j].at.x; });
    std::vector<size_t> rank(samples.size());
    for (size_t i = 0; i < order.size(); ++i) rank[order[i]] = i;
    std::vector<char> taken(samples.size());
    for (const size_t first : order) {
        if (taken[first]) continue;
        std::vector<size_t> group{first};
        taken[first] = 1;
        for (size_t g = 0; g < group.size(); ++g) {
            const Vec3 p = samples[group[g]].at;
            const auto look = [&](size_t r) {
                const size_t i = order[r];
                if (std::abs(samples[i].at.x - p.x) > reach) return false;
                if (!taken[i] && form::length(samples[i].at - p) <= reach) {
                    taken[i] = 1;
                    group.push_back(i);
                }
                return true;
            };
            for (size_t r = rank[group[g]]; r-- > 0 && look(r);) {
            }
            for (size_t r = rank[group[g]] + 1; r < order.size() && look(r); ++r) {
            }
        }
        std::sort(group.begin(), group.end());
        out.push_back(std::move(group));
    }
    return out;
}

/// The two directions in which points spread most: eigenvectors of their covariance.
std::array<Vec3, 2> spread(const std::vector<Vec3>& points, const Vec3& middle) {
    Eigen::Matrix3d c = Eigen::Matrix3d::Zero();
    for (const auto& p : points) {
        const Eigen::Vector3d d(p.x - middle.x, p.y - middle.y, p.z - middle.z);
        c += d * d.transpose();
    }
    const Eigen::SelfAdjointEigenSolver<Eigen::Matrix3d> axes(c);  // of rising spread
    const auto at = [&](int k) {
        const auto v = axes.eigenvectors().col(k);
        return Vec3{v[0], v[1], v[2]};
    };
    return {at(2), at(1)};
}

/// One place of a contact: its measures, and the few points that stand for it.
void addPlace(Contact& c, const std::vector<Sample>& samples, double reach) {
    std::vector<Vec3> points;
    Vec3 middle;
    double area = 0, run = 0;
    for (const auto& s : samples) {
        points.push_back(s.at);
        middle += s.at * (1.0 / double(samples.size()));
        area += s.area;
        run += s.run;
    }
    const auto axes = spread(points, middle);
    std::array<double, 2> low{1e300, 1e300}, high{-1e300, -1e300};
    double nearest = 1e300;
    for (const auto& p : points) {
        nearest = std::min(nearest, form::length(p - middle));
        for (size_t k = 0; k < 2; ++k) {
            const double d = form::dot(p - middle, axes[k]);
            low[k] = std::min(low[k], d);
            high[k] = std::max(high[k], d);
        }
    }
    const double along = high[0] - low[0], across = high[1] - low[1];
    const bool ring = across > 0.5 * along && nearest > 0.25 * across && nearest > 2 * reach;
    double length = ring ? 0.5 * std::numbers::pi * (along + across) : along, width = 0;
    if (area > 0) {
        width = area / std::max(length, 1e-9);
        if (ring) length -= std::numbers::pi * width;  // its middle line
        width = area / std::max(length, 1e-9);
    } else if (!ring) {
        length = std::max(run > 0 ? std::min(run, along) : along, reach);
    }
    if (area + length > c.area + c.length) c.along = axes[0], c.across = axes[1];  // those of its largest place
    c.area += area;
    c.length += length;
    c.width = std::max(c.width, width);
    // of eight directions in its plane the furthest point each
    std::vector<size_t> kept;
    const size_t corners = across < kNarrow * along ? kCorners / 2 : kCorners;
    for (size_t k = 0; k < corners; ++k) {
        const double angle = 2 * std::numbers::pi * (double(k) + 0.5) / double(corners);
        const Vec3 way = axes[0] * std::cos(angle) + axes[1] * std::sin(angle);
        size_t best = 0;
        for (size_t i = 1; i < points.size(); ++i)
            if (form::dot(points[i], way) > form::dot(points[best], way) + 1e-12) best = i;
        if (std::find(kept.begin(), kept.end(), best) == kept.end()) kept.push_back(best);
    }
    for (const size_t i : kept)
        c.touches.push_back({samples[i].at, samples[i].normal, std::max(length, 1e-9) / double(kept.size()), middle,
                             !samples[i].pierces});
    c.middle += middle * std::max(length, 1e-9);
}

/// What was added up over its places becomes means and shares.
void shareOut(Contact& c) {
    double all = 0;
    for (const auto& t : c.touches) all += t.share;
    for (auto& t : c.touches) t.share /= all;
    c.middle = c.middle * (1 / c.length);
}

}  // namespace

ContactFinder::ContactFinder(std::vector<Body> bodies, ContactOptions options)
    : bodies_(std::move(bodies)), options_(options), moved_(bodies_.size(), 1) {
    for (const auto& b : bodies_) trees_.emplace_back(b.solid);
}

void ContactFinder::move(size_t body, Body moved) {
    trees_[body] = form::NearMesh(moved.solid);
    bodies_[body] = std::move(moved);
    moved_[body] = 1;
}

void ContactFinder::between(size_t a, size_t b) {
    if (isEmpty(overlap(grown(trees_[a].box(), options_.near), grown(trees_[b].box(), options_.near)))) return;
    Toucher mine(trees_[a], trees_[b], options_), other(trees_[b], trees_[a], options_);
    mine.sample();
    other.sample();
    const Toucher& deeper = mine.deepest > other.deepest ? mine : other;
    if (deeper.deepest > options_.seat) found_.cuts.push_back({a, b, deeper.deepest, deeper.deepestAt});
    const bool sunk = deeper.deepest > options_.near;
    std::vector<Sample> samples;
    double areas[2]{}, runs[2]{};
    for (size_t side = 0; side < 2; ++side)
        for (auto s : (side == 0 ? mine : other).samples) {
            if (s.pierces && !sunk) continue;  // the sides of what stands on a face are near it too
            if (side == 1) s.normal = s.normal * -1;
            areas[side] += s.area;
            runs[side] += s.run;
            samples.push_back(s);
        }
    if (samples.empty()) return;
    // both sides sample the same place: the one that saw more of it counts
    const bool byFace = std::max(areas[0], areas[1]) > 0.6 * options_.near * std::max(runs[0], runs[1]);
    const double scale = byFace ? std::max(areas[0], areas[1]) / std::max(1e-300, areas[0] + areas[1])
                                : std::max(runs[0], runs[1]) / std::max(1e-300, runs[0] + runs[1]);
    for (auto& s : samples) {
        s.area = byFace ? s.area * scale : 0;
        s.run = byFace ? 0 : s.run * scale;
    }
    Contact c;
    c.a = a;
    c.b = b;
    c.depth = sunk ? std::min(deeper.deepest, options_.seat) : 0;
    c.places = 0;
    // where one is sunk into the other their surfaces cross here and there: it is one place
    const double reach = (sunk ? 10 : 3) * std::max(mine.step(), other.step());
    for (const auto& group : groupsOf(samples, reach)) {
        std::vector<Sample> place;
        for (const size_t i : group) place.push_back(samples[i]);
        addPlace(c, place, std::max(mine.step(), other.step()));
        ++c.places;
    }
    shareOut(c);
    found_.contacts.push_back(std::move(c));
}

std::vector<Contact> contactsOnTable(const std::vector<Body>& bodies, const ContactOptions& options) {
    std::vector<Contact> out;
    for (size_t a = 0; a < bodies.size(); ++a) {
        std::vector<Sample> samples;
        for (const auto& p : bodies[a].solid.points)
            if (p.z < options.table + options.near) samples.push_back({p, {0, 0, 1}, 0, 0});
        if (samples.empty()) continue;
        Contact c;
        c.a = a;
        c.b = kTable;
        addPlace(c, samples, options.finest);
        shareOut(c);
        out.push_back(std::move(c));
    }
    return out;
}

const Contacts& ContactFinder::find(std::stop_token stop) {
    const auto stale = [&](size_t a, size_t b) { return moved_[a] || (b != kTable && moved_[b]); };
    std::erase_if(found_.contacts, [&](const Contact& c) { return stale(c.a, c.b); });
    std::erase_if(found_.cuts, [&](const Cut& c) { return stale(c.a, c.b); });
    for (size_t a = 0; a < bodies_.size(); ++a) {
        if (stop.stop_requested()) return found_;
        for (size_t b = a + 1; b < bodies_.size(); ++b)
            if (stale(a, b)) between(a, b);
    }
    std::erase_if(found_.contacts, [](const Contact& c) { return c.b == kTable; });
    for (auto& c : contactsOnTable(bodies_, options_)) found_.contacts.push_back(std::move(c));
    std::fill(moved_.begin(), moved_.end(), 0);
    const auto byParts = [](const auto& x, const auto& y) {
        return std::make_pair(x.b == kTable, std::make_pair(x.a, x.b)) <
               std::make_pair(y.b == kTable, std::make_pair(y.a, y.b));
    };
    std::sort(found_.contacts.begin(), found_.contacts.end(), byParts);
    std::sort(found_.cuts.begin(), found_.cuts.end(),
              [](const Cut& x, const Cut& y) { return std::make_pair(x.a, x.b) < std::make_pair(y.a, y.b); });
    // what hangs together with the table
    std::vector<char> held(bodies_.size());
    for (bool more = true; more;) {
        more = false;
        for (const auto& c : found_.contacts) {
            const bool a = held[c.a], b = c.b == kTable || held[c.b];
            if (a == b) continue;
            held[c.a] = 1;
            if (c.b != kTable) held[c.b] = 1;
            more = true;
        }
    }
    found_.afloat.clear();
    for (size_t i = 0; i < bodies_.size(); ++i)
        if (!held[i]) found_.afloat.push_back(i);
    return found_;
}

Contacts contactsOf(const std::vector<Body>& bodies, const ContactOptions& options) {
    return ContactFinder(bodies, options).find();
}

}  // namespace uovo::assembly
