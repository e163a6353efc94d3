#include "core/assembly/placing.h"

#include <limits>
#include <numbers>

namespace uovo::assembly {
namespace {

using form::Box;
using form::Mesh;
using form::Pose;
using form::Vec3;

constexpr double kSeat = 3e-3;         // m: so deep a part may sit in another
constexpr double kTouch = 4e-4;        // m: nearer is touching
constexpr double kNearby = 0.02;       // m: what is further away is not held on to
constexpr double kLevel = 0.2;         // of the upright share of a direction: it is level then
constexpr double kCentreFirst = 0.7;   // being centred is meant more often than being in line
constexpr double kRound = 0.03;        // of a radius: rims that differ less are round
constexpr double kRimBand = 5e-4;      // m under the highest place
constexpr int kRimCorners = 12;        // at least, to be called round
constexpr double kAngles = 15;         // degrees: whole parts of the way round
constexpr double kEvenly = 0.02;       // of a part of the way round: so near to a whole number of them
constexpr size_t kProbes = 4000;       // places that are asked whether they are inside another, at the most
constexpr double kProbeStep = 1.5e-3;  // m from one to the next along an edge
constexpr size_t kAlike = 600;         // corners that are looked at for it
constexpr double kLike = 4e-4;         // m: so near to its mirror image each corner of a part lies that has one

struct Extent {
    double low = 0, high = 0;
    double middle() const { return 0.5 * (low + high); }
};
Extent along(const Mesh& m, const Vec3& d) {
    Extent e{std::numeric_limits<double>::infinity(), -std::numeric_limits<double>::infinity()};
    for (const auto& p : m.points) {
        const double s = form::dot(p, d);
        e.low = std::min(e.low, s);
        e.high = std::max(e.high, s);
    }
    return e;
}

bool nearby(const Box& a, const Box& b, double by) {
    return a.low.x < b.high.x + by && b.low.x < a.high.x + by && a.low.y < b.high.y + by && b.low.y < a.high.y + by;
}

Vec3 middleOf(const Box& b) { return (b.low + b.high) * 0.5; }

/// A way that it could be moved so that something is in line.
struct Candidate {
    Vec3 by;
    double far = std::numeric_limits<double>::infinity();
    Snap snap;
    Vec3 axis;
};

}  // namespace

Vec3 sideOf(const Pose& p) {
    for (const Vec3& axis : {p.x, p.y, p.z})
        if (std::abs(axis.z) < kLevel) return form::unit({axis.x, axis.y, 0});
    return {1, 0, 0};
}

Pose turnedAbout(const Pose& pose, const Vec3& through, const Vec3& axis, double degrees) {
    const double a = degrees * std::numbers::pi / 180, c = std::cos(a), s = std::sin(a);
    const auto rotate = [&](const Vec3& v) {  // Rodrigues
        return v * c + form::cross(axis, v) * s + axis * (form::dot(axis, v) * (1 - c));
    };
    Pose out;
    out.x = rotate(pose.x);
    out.y = rotate(pose.y);
    out.z = rotate(pose.z);
    out.at = through + rotate(pose.at - through);
    return out;
}

struct Placer::Inside {
    struct Part {
        Mesh local;
        Vec3 size;  // of it
        Pose pose;
        Mesh placed;
        Box box;
        std::optional<Ring> ring;

        Part(Mesh mesh, const Pose& at) : local(std::move(mesh)), size(form::bounds(local).size()) { put(at); }
        void put(const Pose& at) {
            pose = at;
            placed = form::placed(local, pose);
            box = form::bounds(placed);
            ring = ringOf(placed, box);
            near_.reset();
        }
        /// Asked only of those that another comes near to.
        const form::NearMesh& near() const {
            if (!near_) near_.emplace(placed);
            return *near_;
        }

    private:
        mutable std::optional<form::NearMesh> near_;
    };
    std::vector<Part> parts;
    double table = 0;

    static std::optional<Ring> ringOf(const Mesh& m, const Box& box) {
        std::vector<Vec3> top;
        for (const auto& p : m.points)
            if (p.z > box.high.z - kRimBand) top.push_back(p);
        if (top.size() < kRimCorners) return {};
        Extent x = along({top, {}, {}}, {1, 0, 0}), y = along({top, {}, {}}, {0, 1, 0});
        const Vec3 c{x.middle(), y.middle(), box.high.z};
        double least = std::numeric_limits<double>::infinity(), most = 0;
        for (const auto& p : top) {
            const double r = std::hypot(p.x - c.x, p.y - c.y);
            least = std::min(least, r);
            most = std::max(most, r);
        }
        // round: its corners go all the way round, at one distance from the middle
        std::vector<char> sector(kRimCorners);
        size_t outer = 0;
        for (const auto& p : top) {
            const double r = std::hypot(p.x - c.x, p.y - c.y);
            if (r < most * (1 - kRound)) continue;
            ++outer;
            const double a = std::atan2(p.y - c.y, p.x - c.x) / (2 * std::numbers::pi) + 0.5;
            sector[std::min<size_t>(kRimCorners - 1, static_cast<size_t>(a * kRimCorners))] = 1;
        }
        if (outer < kRimCorners || std::ranges::find(sector, 0) != sector.end()) return {};
        if (std::abs((x.high - x.low) - (y.high - y.low)) > kRound * 2 * most) return {};
        const double inner = least < 0.5 * most ? most : least;  // a plate: its edge
        return Ring{c, least < 0.5 * most ? most : 0.5 * (inner + most), least < 0.5 * most ? 2 * most : most - least};
    }

    /// Whether a place lies inside, by the faces over it.
    static bool contains(const form::NearMesh& other, const Vec3& at) {
        const Box all = other.box();
        const Vec3 p{at.x + 1.3e-7, at.y + 0.7e-7, at.z};  // beside the edges of what is round
        if (p.x < all.low.x || p.x > all.high.x || p.y < all.low.y || p.y > all.high.y || p.z < all.low.z ||
            p.z > all.high.z)
            return false;
        const auto& m = other.mesh();
        int over = 0;
        for (const size_t k : other.trianglesIn({{p.x, p.y, p.z}, {p.x, p.y, all.high.z + 1}})) {
            const auto& t = m.triangles[k];
            const Vec3 &a = m.points[size_t(t[0])], &b = m.points[size_t(t[1])], &c = m.points[size_t(t[2])];
            const double det = (b.x - a.x) * (c.y - a.y) - (b.y - a.y) * (c.x - a.x);
            if (std::abs(det) < 1e-18) continue;
            const double u = ((p.x - a.x) * (c.y - a.y) - (p.y - a.y) * (c.x - a.x)) / det,
                         v = ((b.x - a.x) * (p.y - a.y) - (b.y - a.y) * (p.x - a.x)) / det;
            if (u < 0 || v < 0 || u + v > 1) continue;
            over += a.z + u * (b.z - a.z) + v * (c.z - a.z) > p.z;
        }
        const auto hit = other.near(p, kTouch);
        return over % 2 == 1 && !hit;
    }

    /// Whether corners of a mesh, or places along its edges, lie in another.
    static bool sitsIn(const Mesh& mesh, const form::NearMesh& other) {
        const Box box = other.box();
        size_t asked = 0;
        const auto in = [&](const Vec3& p) {
            if (p.x < box.low.x || p.x > box.high.x || p.y < box.low.y || p.y > box.high.y || p.z < box.low.z ||
                p.z > box.high.z || ++asked > kProbes)
                return false;
            // an edge that goes in passes places near the surface
            const auto hit = other.near(p, 2 * kProbeStep);
            return hit && hit->distance < -kTouch;
        };
        if (!mesh.points.empty() && contains(other, mesh.points.front())) return true;
        if (mesh.triangles.empty()) return std::ranges::any_of(mesh.points, in);
        for (const auto& t : mesh.triangles)
            for (size_t i = 0; i < 3; ++i) {
                if (t[i] > t[(i + 1) % 3]) continue;  // the other triangle's
                const Vec3 &a = mesh.points[size_t(t[i])], &b = mesh.points[size_t(t[(i + 1) % 3])];
                const int n = std::clamp(static_cast<int>(form::length(b - a) / kProbeStep), 1, 60);
                for (int k = 0; k < n; ++k)
                    if (in(a + (b - a) * (double(k) / n))) return true;
            }
        return false;
    }

    bool isInTheWay(size_t item, const Pose& pose, const Mesh& mesh) const {
        const Box box = form::bounds(mesh);
        const auto& me = parts[item];
        for (size_t j = 0; j < parts.size(); ++j) {
            const auto& o = parts[j];
            if (j == item || !nearby(box, o.box, 0) || box.low.z > o.box.high.z || o.box.low.z > box.high.z) continue;
            if (sitsIn(mesh, o.near())) return true;
            // the other, as it would lie were this one still where it is
            Mesh theirs;
            theirs.triangles = o.placed.triangles;
            theirs.points.reserve(o.placed.points.size());
            for (const auto& p : o.placed.points) {
                const Vec3 d = p - pose.at;
                theirs.points.push_back(me.pose({form::dot(d, pose.x), form::dot(d, pose.y), form::dot(d, pose.z)}));
            }
            if (sitsIn(theirs, me.near())) return true;
        }
        return false;
    }

    /// The way down to what is below, and what that is.
    std::pair<double, size_t> fall(size_t item, const Mesh& mesh, double deep) const {
        const Box box = form::bounds(mesh);
        double least = box.low.z - table;
        size_t on = kOnTable;
        for (size_t j = 0; j < parts.size(); ++j) {
            if (j == item || !nearby(box, parts[j].box, 0)) continue;
            const double gap = freeWay(mesh, parts[j].near(), kDown, deep);
            if (gap < least) least = gap, on = j;
        }
        return {least, on};
    }

    /// Where it would stand evenly among parts of its kind that are round this rim already, the place nearest to an
    /// angle: in the largest gaps between them, or one step on from the last. Degrees.
    std::optional<double> evenly(size_t item, const Ring& ring, double angle) const;
    std::vector<Candidate> alignments(size_t item, const Mesh& mesh, double reach) const;
    std::optional<Candidate> onRim(size_t item, const Mesh& mesh, double reach) const;
    std::optional<Candidate> level(size_t item, const Mesh& mesh, double reach) const;
};

std::vector<Candidate> Placer::Inside::alignments(size_t item, const Mesh& mesh, double reach) const {
    std::vector<Candidate> out;
    const Box box = form::bounds(mesh);
    for (size_t j = 0; j < parts.size(); ++j) {
        if (j == item || !nearby(box, parts[j].box, kNearby)) continue;
        const Vec3 u = sideOf(parts[j].pose), v{-u.y, u.x, 0};
        for (const Vec3& d : {u, v}) {
            const Extent me = along(mesh, d), other = along(parts[j].placed, d);
            const auto offer = [&](double by, Snap::Kind kind, double from) {
                if (std::abs(by) > reach) return;
                Candidate c;
                c.by = d * by;
                c.far = std::abs(by) * (kind == Snap::Kind::Centred ? kCentreFirst : 1);
                c.axis = d;
                c.snap.kind = kind;
                c.snap.other = j;
                const Vec3 mid = middleOf(box), there = middleOf(parts[j].box);
                c.snap.from = mid + d * (from + by - form::dot(mid, d));
                c.snap.to = there + d * (from + by - form::dot(there, d));
                out.push_back(c);
            };
            offer(other.middle() - me.middle(), Snap::Kind::Centred, me.middle());
            offer(other.low - me.low, Snap::Kind::Flush, me.low);
            offer(other.high - me.high, Snap::Kind::Flush, me.high);
            offer(other.high - me.low, Snap::Kind::Beside, me.low);
            offer(other.low - me.high, Snap::Kind::Beside, me.high);
        }
    }
    return out;
}

std::optional<double> Placer::Inside::evenly(size_t item, const Ring& ring, double angle) const {
    std::vector<double> at;  // degrees of those that are there, in their order
    for (size_t j = 0; j < parts.size(); ++j) {
        if (j == item || form::length(parts[j].size - parts[item].size) > kTouch) continue;
        const Vec3 m = middleOf(parts[j].box) - ring.centre;
        const double r = std::hypot(m.x, m.y);
        if (r < kTouch || r > ring.radius + kNearby) continue;
        at.push_back(std::atan2(m.y, m.x) * 180 / std::numbers::pi);
    }
    if (at.empty()) return {};
    std::ranges::sort(at);
    std::vector<double> places;
    double least = 360;
    for (size_t i = 0; i < at.size(); ++i) {
        const double gap = i + 1 < at.size() ? at[i + 1] - at[i] : at.front() + 360 - at.back();
        places.push_back(at[i] + gap / 2);
        if (gap > 1e-3) least = std::min(least, gap);
    }
    const double folds = 360 / least;
    if (at.size() > 1 && std::abs(folds - std::round(folds)) < kEvenly)
        for (const double a : at)
            for (const double step : {least, -least}) places.push_back(a + step);
    std::erase_if(places, [&](double p) {
        return std::ranges::any_of(at,
                                   [&](double a) { return std::abs(std::remainder(p - a, 360)) < 0.5 * least - 1e-6; });
    });
    if (places.empty()) return {};
    return *std::ranges::min_element(places, {}, [&](double p) { return std::abs(std::remainder(p - angle, 360)); });
}

std::optional<Candidate> Placer::Inside::onRim(size_t item, const Mesh& mesh, double reach) const {
    std::optional<Candidate> best;
    const Box box = form::bounds(mesh);
    const Vec3 mid = middleOf(box);
    for (size_t j = 0; j < parts.size(); ++j) {
        const auto& ring = parts[j].ring;
        if (j == item || !ring) continue;
        if (std::max(box.size().x, box.size().y) > ring->radius) continue;  // it would lie across it
        const Vec3 out = mid - ring->centre;
        const double r = std::hypot(out.x, out.y);
        if (r < kTouch) continue;
        double wanted = ring->radius;
        if (ring->width > ring->radius) wanted -= 0.5 * std::min(box.size().x, box.size().y);  // inside a plate's edge
        if (std::abs(r - wanted) > reach) continue;
        double angle = std::atan2(out.y, out.x) * 180 / std::numbers::pi;
        Candidate c;
        const auto near = [&](double a) {
            return std::abs(std::remainder(angle - a, 360)) * std::numbers::pi / 180 * wanted < reach;
        };
        const auto even = evenly(item, *ring, angle);
        const double whole = even && near(*even) ? *even : std::round(angle / kAngles) * kAngles;
        const bool round = near(whole);
        if (round) angle = whole;
        const double a = angle * std::numbers::pi / 180;
        const Vec3 to{ring->centre.x + wanted * std::cos(a), ring->centre.y + wanted * std::sin(a), mid.z};
        c.by = to - mid;
        c.far = std::abs(r - wanted);
        c.snap.kind = round ? Snap::Kind::Angle : Snap::Kind::Rim;
        c.snap.other = j;
        c.snap.angle = std::fmod(angle + 360, 360);
        c.snap.from = {ring->centre.x, ring->centre.y, ring->centre.z};
        c.snap.to = {to.x, to.y, ring->centre.z};
        if (!best || c.far < best->far) best = c;
    }
    return best;
}

/// In line with another's top, foot or middle, up and down.
std::optional<Candidate> Placer::Inside::level(size_t item, const Mesh& mesh, double reach) const {
    std::optional<Candidate> best;
    const Box box = form::bounds(mesh);
    for (size_t j = 0; j < parts.size(); ++j) {
        const auto& o = parts[j].box;
        if (j == item || !nearby(box, o, kNearby)) continue;
        const auto offer = [&](double by, Snap::Kind kind) {
            if (std::abs(by) > reach || (best && std::abs(by) >= best->far)) return;
            Candidate c;
            c.by = {0, 0, by};
            c.far = std::abs(by);
            c.snap.kind = kind;
            c.snap.other = j;
            c.snap.from = middleOf(box) + c.by;
            c.snap.to = {middleOf(o).x, middleOf(o).y, c.snap.from.z};
            best = c;
        };
        offer(o.high.z - box.low.z, Snap::Kind::Beside);
        offer(o.low.z - box.high.z, Snap::Kind::Beside);
        offer(o.high.z - box.high.z, Snap::Kind::Flush);
        offer(o.low.z - box.low.z, Snap::Kind::Flush);
        offer(0.5 * (o.low.z + o.high.z - box.low.z - box.high.z), Snap::Kind::Centred);
    }
    return best;
}

Placer::Placer(const form::Assembly& assembly) : inside_(std::make_unique<Inside>()) {
    inside_->table = assembly.items.empty() ? 0 : std::numeric_limits<double>::infinity();
    for (const auto& item : assembly.items) {
        inside_->parts.emplace_back(item.shape.solid(), item.pose);
        inside_->table = std::min(inside_->table, inside_->parts.back().box.low.z);
    }
}
Placer::~Placer() = default;
Placer::Placer(Placer&&) noexcept = default;
Placer& Placer::operator=(Placer&&) noexcept = default;

size_t Placer::size() const { return inside_->parts.size(); }
const Pose& Placer::pose(size_t item) const { return inside_->parts[item].pose; }
void Placer::put(size_t item, const Pose& pose) { inside_->parts[item].put(pose); }
Box Placer::box(size_t item) const { return inside_->parts[item].box; }
Box Placer::boxAt(size_t item, const Pose& pose) const { return form::bounds(solid(item, pose)); }
Mesh Placer::solid(size_t item, const Pose& pose) const { return form::placed(inside_->parts[item].local, pose); }
std::optional<Ring> Placer::ring(size_t item) const { return inside_->parts[item].ring; }
double Placer::table() const { return inside_->table; }

Placing Placer::moved(size_t item, const Vec3& by, double reach) const {
    Placing out;
    out.pose = pose(item);
    out.pose.at += by;
    Mesh mesh = solid(item, out.pose);
    const auto shift = [&](const Candidate& c) {
        out.pose.at += c.by;
        for (auto& p : mesh.points) p += c.by;
        out.snaps.push_back(c.snap);
    };
    if (by.z != 0) {
        if (const auto c = reach > 0 ? inside_->level(item, mesh, reach) : std::nullopt) shift(*c);
        return out;
    }
    if (reach > 0) {
        const auto less = [](const Candidate& a, const Candidate& b) { return a.far < b.far; };
        auto all = inside_->alignments(item, mesh, reach);
        const auto centred =
            std::ranges::count_if(all, [](const Candidate& c) { return c.snap.kind == Snap::Kind::Centred; });
        const auto rim = centred < 2 ? inside_->onRim(item, mesh, reach) : std::nullopt;
        if (rim) {
            // it keeps facing the way it faced, or lies along the rim where it comes to it
            const Vec3 before = middleOf(inside_->parts[item].box);
            shift(*rim);
            const Vec3 c = rim->snap.from, now = middleOf(form::bounds(mesh));
            const double is = std::atan2(now.y - c.y, now.x - c.x) * 180 / std::numbers::pi;
            const double was = std::atan2(before.y - c.y, before.x - c.x) * 180 / std::numbers::pi;
            const double r = std::hypot(before.x - c.x, before.y - c.y), at = std::hypot(now.x - c.x, now.y - c.y);
            double turn = is - was;
            if (std::abs(r - at) > kSeat) {
                const Box b = form::bounds(inside_->parts[item].placed);
                turn = b.size().x > b.size().y ? is - 90 : is;
            }
            out.pose = turned(out.pose, now, turn);
            mesh = solid(item, out.pose);
        } else if (const auto first = std::ranges::min_element(all, less); first != all.end()) {
            const Candidate one = *first;
            shift(one);
            std::erase_if(all, [&](const Candidate& c) { return std::abs(form::dot(c.axis, one.axis)) > 0.1; });
            if (const auto second = std::ranges::min_element(all, less); second != all.end()) shift(*second);
        }
    }
    auto down = rested(item, out.pose);
    out.pose = down.pose;
    out.snaps.insert(out.snaps.end(), down.snaps.begin(), down.snaps.end());
    return out;
}

Placing Placer::rested(size_t item, const Pose& from) const {
    Placing out;
    out.pose = from;
    Mesh mesh = solid(item, from);
    double deep = kTouch;
    if (form::bounds(mesh).low.z < inside_->table - kTouch || inside_->isInTheWay(item, from, mesh)) {
        double top = inside_->table;
        for (size_t j = 0; j < size(); ++j)
            if (j != item) top = std::max(top, inside_->parts[j].box.high.z);
        const double up = top + kTouch - form::bounds(mesh).low.z;
        out.pose.at.z += up;
        for (auto& p : mesh.points) p.z += up;
        deep = std::numeric_limits<double>::infinity();
    }
    const auto [gap, on] = inside_->fall(item, mesh, deep);
    out.pose.at.z -= gap;
    Snap snap;
    snap.other = on;
    snap.from = snap.to = out.pose.at;
    out.snaps.push_back(snap);
    return out;
}

std::pair<double, size_t> Placer::below(size_t item) const {
    const auto& me = inside_->parts[item];
    double least = me.box.low.z - inside_->table;
    size_t on = kOnTable;
    for (size_t j = 0; j < size(); ++j) {  // what it stands on, rather than what sits in it
        if (j == item || !nearby(me.box, inside_->parts[j].box, 0)) continue;
        const double gap = freeWay(me.placed, inside_->parts[j].near(), kDown, kSeat);
        if (std::abs(gap) < std::abs(least)) least = gap, on = j;
    }
    return {std::abs(least) < kTouch ? 0 : std::max(0.0, least), on};
}

std::optional<Pose> Placer::pushed(size_t item, const Pose& from, const Way& way) const {
    const Mesh mesh = solid(item, from);
    double least = way == kDown ? form::bounds(mesh).low.z - inside_->table : std::numeric_limits<double>::infinity();
    for (size_t j = 0; j < size(); ++j)
        if (j != item) least = std::min(least, freeWay(mesh, inside_->parts[j].near(), way, kTouch));
    if (!std::isfinite(least)) return {};
    Pose out = from;
    out.at += way.unit() * least;
    return out;
}

bool Placer::isInTheWay(size_t item, const Pose& pose) const {
    return inside_->isInTheWay(item, pose, solid(item, pose));
}

Pose Placer::turned(const Pose& pose, const Vec3& axis, double degrees) {
    return turnedAbout(pose, axis, {0, 0, 1}, degrees);
}

std::optional<Pose> Placer::mirrored(size_t item, const Vec3& at, int axis) const {
    const auto& p = inside_->parts[item];
    const Box local = form::bounds(p.local);
    const Vec3 mid = middleOf(local);
    for (int own = 2; own >= 0; --own) {  // a sheet is turned over
        const auto reflect = [&](Vec3 v) {
            double* c = own == 0 ? &v.x : own == 1 ? &v.y : &v.z;
            *c = 2 * (own == 0 ? mid.x : own == 1 ? mid.y : mid.z) - *c;
            return v;
        };
        const size_t step = std::max<size_t>(1, p.local.points.size() / kAlike);
        bool like = true;
        for (size_t i = 0; i < p.local.points.size() && like; i += step) {
            const auto hit = p.near().near(p.pose(reflect(p.local.points[i])), kLike);
            like = hit.has_value();
        }
        if (!like) continue;
        // the plane's reflection after the part's own
        const auto over = [&](Vec3 v) {
            (axis == 0 ? v.x : v.y) *= -1;
            return v;
        };
        Pose out;
        Vec3 cols[3]{over(p.pose.x), over(p.pose.y), over(p.pose.z)};
        const Vec3 shifted = p.pose(reflect({0, 0, 0}));  // where the part's origin goes
        cols[own] = cols[own] * -1;
        out.x = cols[0];
        out.y = cols[1];
        out.z = cols[2];
        out.at = shifted;
        (axis == 0 ? out.at.x : out.at.y) = 2 * (axis == 0 ? at.x : at.y) - (axis == 0 ? shifted.x : shifted.y);
        return out;
    }
    return {};
}

}  // namespace uovo::assembly
