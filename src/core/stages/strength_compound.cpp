// A piece put together from walls and sheets as one shell: each part's middle, held to the next along their joints.
#include <algorithm>
#include <cmath>
#include <functional>

#include "core/quantity/catalogue.h"
#include "core/stages/strength_wall.h"

namespace uovo {

void addBar(StrengthWall& w, const form::Pose& pose, double length,
            const std::function<form::Pose(double share)>& frame, const std::function<double(double share)>& radius) {
    constexpr int kRound = 14;
    constexpr double kTube = 0.673893;  // √x of x² - x/2 + 1/48 = 0
    double mean = 0;
    for (int i = 0; i <= 8; ++i) mean += radius(i / 8.0) / 9;
    const int along = std::clamp(static_cast<int>(std::lround(length / (2 * M_PI * kTube * mean / kRound))), 3, 80);
    const auto first = static_cast<int>(w.model.points.size());
    for (int i = 0; i <= along; ++i) {
        const double share = double(i) / along, r = kTube * radius(share);
        const form::Pose at = frame(share);
        for (int k = 0; k < kRound; ++k) {
            const double angle = 2 * M_PI * (k + 0.5 * (i % 2)) / kRound;
            w.model.points.push_back(pose(at({r * std::cos(angle), r * std::sin(angle), 0})));
            w.model.thickness.push_back(0.5 / kTube * radius(share));
        }
    }
    const auto at = [&](int i, int k) { return first + i * kRound + (k + kRound) % kRound; };
    for (int i = 0; i < along; ++i)
        for (int k = 0; k < kRound; ++k) {
            if (i % 2 == 0) {  // every other ring is turned by half a step
                w.model.triangles.push_back({at(i, k), at(i, k + 1), at(i + 1, k)});
                w.model.triangles.push_back({at(i, k + 1), at(i + 1, k + 1), at(i + 1, k)});
            } else {
                w.model.triangles.push_back({at(i, k), at(i + 1, k + 1), at(i + 1, k)});
                w.model.triangles.push_back({at(i, k), at(i, k + 1), at(i + 1, k + 1)});
            }
        }
}

namespace {

using form::Vec3;

constexpr double kReach = 0.75;  // of both thicknesses: how far a part's edge may lie from the middle it is glued to
constexpr double kGap = 5e-4;    // m besides
constexpr int kSamples = 5;      // along a side of a triangle, to tell how much of it is glued

/// Place of a triangle that is nearest to a point.
struct Nearest {
    double distance = 1e300;
    size_t triangle = 0;
    std::array<double, 3> share{};
};

Nearest nearest(const shell::Model& m, size_t k, const Vec3& p) {
    const auto& t = m.triangles[k];
    const Vec3 a = m.points[static_cast<size_t>(t[0])], b = m.points[static_cast<size_t>(t[1])],
               c = m.points[static_cast<size_t>(t[2])];
    const Vec3 ab = b - a, ac = c - a, n = form::cross(ab, ac);
    const double area = form::dot(n, n);
    const auto made = [&](double u, double v, double w) {
        Nearest out{0, k, {u, v, w}};
        out.distance = form::length(a * u + b * v + c * w - p);
        return out;
    };
    if (area > 0) {
        const Vec3 ap = p - a;
        const double w = form::dot(form::cross(ab, ap), n) / area, v = form::dot(form::cross(ap, ac), n) / area;
        if (v >= 0 && w >= 0 && v + w <= 1) return made(1 - v - w, v, w);
    }
    Nearest best;
    const Vec3 corner[3]{a, b, c};
    for (size_t i = 0; i < 3; ++i) {
        const Vec3 d = corner[(i + 1) % 3] - corner[i];
        const double s = std::clamp(form::dot(p - corner[i], d) / std::max(1e-300, form::dot(d, d)), 0.0, 1.0);
        std::array<double, 3> share{};
        share[i] = 1 - s;
        share[(i + 1) % 3] = s;
        if (const Nearest here = made(share[0], share[1], share[2]); here.distance < best.distance) best = here;
    }
    return best;
}

/// Corners of a wall round a place with their shares, 1 - d²/r² over the area they stand for; from further round it
/// where the net is coarser than that, and every so many of them where it is finer: a hold of a hundred corners makes
/// the equations dense.
shell::Pad patch(const shell::Model& m, const std::vector<int>& corners, const std::vector<double>& area,
                 const Vec3& at, double radius, const form::Triangle& triangle, const std::array<double, 3>& share) {
    constexpr size_t kLeast = 4;  // fewer corners would make the hold stiffer the coarser the net is
    constexpr size_t kMost = 16;
    shell::Pad out;
    double all = 0;
    for (int wider = 0; wider < 5 && out.size() < kLeast; ++wider, radius *= 1.4) {
        out.clear();
        all = 0;
        for (const int i : corners) {
            const double d = form::length(m.points[static_cast<size_t>(i)] - at) / radius;
            if (d >= 1) continue;
            out.emplace_back(i, area[static_cast<size_t>(i)] * (1 - d * d));
            all += out.back().second;
        }
    }
    if (out.size() > kMost) {
        std::stable_sort(out.begin(), out.end(), [&](const auto& a, const auto& b) {
            return form::length(m.points[static_cast<size_t>(a.first)] - at) <
                   form::length(m.points[static_cast<size_t>(b.first)] - at);
        });
        const double stride = double(out.size()) / kMost;
        shell::Pad kept;
        all = 0;
        for (size_t k = 0; k < kMost; ++k) {
            kept.push_back(out[static_cast<size_t>(double(k) * stride)]);
            all += kept.back().second;
        }
        out = std::move(kept);
    }
    if (out.size() >= 3) {
        for (auto& [i, s] : out) s /= all;
        return out;
    }
    out.clear();
    for (size_t c = 0; c < 3; ++c) out.emplace_back(triangle[c], share[c]);
    return out;
}

/// Middle of a flat part: its lower face, half a thickness up.
bool addPlate(StrengthWall& w, const form::Item& item, double thickness) {
    const auto& solid = item.shape.surface;
    std::vector<int> number(solid.points.size(), -1);
    bool any = false;
    for (const auto& t : solid.triangles) {
        if (std::any_of(t.begin(), t.end(),
                        [&](int i) { return std::abs(solid.points[static_cast<size_t>(i)].z) > 1e-7; }))
            continue;
        form::Triangle up{t[0], t[2], t[1]};  // the lower face looks down
        for (auto& i : up) {
            auto& n = number[static_cast<size_t>(i)];
            if (n < 0) {
                n = static_cast<int>(w.model.points.size());
                Vec3 p = solid.points[static_cast<size_t>(i)];
                p.z = 0.5 * thickness;
                w.model.points.push_back(item.pose(p));
                w.model.thickness.push_back(thickness);
            }
            i = n;
        }
        w.model.triangles.push_back(up);
        any = true;
    }
    return any;
}

/// Legs and round handles. @returns false for another solid
bool addSolid(StrengthWall& w, const form::Item& item) {
    const auto figure = [&](const char* key) { return form::figure(item.part, key); };
    const auto middle = form::family(item.part.family)->middle;
    if (middle == form::Family::Middle::Leg) {
        const double length = figure("length"), below = figure("bottom") / 2, above = figure("top") / 2;
        addBar(
            w, item.pose, length,
            [=](double s) {
                return form::Pose{{1, 0, 0}, {0, 1, 0}, {0, 0, 1}, {0, 0, s * length}};
            },
            [=](double s) { return below + (above - below) * s; });
        return true;
    }
    if (middle == form::Family::Middle::Bow) {
        const double a = figure("span") / 2, b = figure("rise"), r = figure("thickness") / 2;
        const auto frame =
            [=](double s) {  // half an ellipse; equal steps of its angle are near enough to equal steps along it
                const double c = std::cos(M_PI * s), d = std::sin(M_PI * s);
                const Vec3 along = form::unit(Vec3{-a * d, 0, b * c}), across{0, 1, 0};
                return form::Pose{form::cross(across, along), across, along, {a * c, 0, b * d}};
            };
        addBar(w, item.pose, M_PI * std::sqrt(0.5 * (a * a + b * b)), frame, [=](double) { return r; });
        return true;
    }
    return false;
}

using Ranges = std::vector<std::pair<size_t, size_t>>;  // triangles of each item

/// Adds what can be reckoned of each item. @returns the triangles of each
Ranges addItems(StrengthWall& w, const form::Assembly& assembly) {
    auto& m = w.model;
    Ranges range(assembly.items.size());
    for (size_t k = 0; k < assembly.items.size(); ++k) {
        const auto& item = assembly.items[k];
        const size_t before = m.triangles.size();
        const form::Family& family = *form::family(item.part.family);
        const bool plate = family.middle == form::Family::Middle::Plate;
        const double own = plate ? form::figure(item.part, family.thick) : item.shape.wall;
        bool taken = false;
        if (item.edible && item.shape.coverage >= 1) {
            if (item.shape.body == form::Body::Wall) {
                addWall(w, form::placed(item.shape.surface, item.pose),
                        item.shape.thickness.empty()
                            ? std::vector<double>(item.shape.surface.points.size(), item.shape.wall)
                            : item.shape.thickness,
                        item.shape.outside);
                taken = true;
            } else if ((item.shape.body == form::Body::Sheet || plate) && own > 0) {
                taken = addPlate(w, item, own);
            } else {
                taken = addSolid(w, item);
            }
        }
        std::string name = item.name;
        if (!name.empty()) name[0] = static_cast<char>(std::tolower(static_cast<unsigned char>(name[0])));
        if (!taken) w.left += (w.left.empty() ? "" : ", ") + name;
        range[k] = {before, m.triangles.size()};
        m.part.resize(m.triangles.size(), static_cast<int>(k));
        m.names.push_back(name);
    }
    return range;
}

/// Holds the edges that are glued to what they are glued on, and marks what a joint runs through.
class Gluing {
public:
    Gluing(StrengthWall& w, Ranges range, const Glued& glued)
        : w_(w),
          m_(w.model),
          range_(std::move(range)),
          glued_(glued),
          edge_(freeEdges(m_)),
          area_(shell::cornerAreas(m_)),
          corners_(range_.size()),
          tied_(m_.points.size(), false) {
        for (size_t n = 0; n < corners_.size(); ++n) {
            std::vector<bool> mine(m_.points.size(), false);
            for (size_t k = range_[n].first; k < range_[n].second; ++k)
                for (const int i : m_.triangles[k]) mine[static_cast<size_t>(i)] = true;
            for (size_t i = 0; i < mine.size(); ++i)
                if (mine[i]) corners_[n].push_back(static_cast<int>(i));
        }
        w_.glued.assign(m_.triangles.size(), 0.0);
        w_.bears.assign(m_.triangles.size(), 1.0);
        w_.toJoint.assign(m_.points.size(), 1e300);
    }

    void join(const form::Joint& j) {
        if (isEmpty(j.a) || isEmpty(j.b)) return;
        share_ = glued_.share(j.glue);
        const size_t before = w_.ties.size();
        glue(j.a, j.b, false);
        glue(j.b, j.a, false);
        if (w_.ties.size() == before) glue(j.b, j.a, true);
    }

private:
    struct Line {
        Vec3 from, to;
        double radius;
    };

    bool isEmpty(size_t item) const { return range_[item].first == range_[item].second; }

    /// The edge of a on b, or wherever their faces touch.
    void glue(size_t a, size_t b, bool faces) {
        const auto lines = tie(a, b, faces);
        if (lines.empty()) return;
        for (const size_t n : {a, b}) mark(n, lines);
    }

    /// @returns the joint, on the edge and on what it is glued to
    std::vector<Line> tie(size_t a, size_t b, bool faces) {
        std::vector<Line> lines;
        std::vector<Vec3> foot(m_.points.size());
        std::vector<double> radius(m_.points.size(), 0.0);
        for (const int corner : corners_[a]) {
            const auto i = static_cast<size_t>(corner);
            if ((!edge_[i] && !faces) || tied_[i]) continue;
            Nearest best;
            for (size_t k = range_[b].first; k < range_[b].second; ++k)
                if (const auto here = nearest(m_, k, m_.points[i]); here.distance < best.distance) best = here;
            if (best.distance > 1e200) continue;
            const double thick = m_.thickness[i] + m_.thickness[static_cast<size_t>(m_.triangles[best.triangle][0])];
            if (best.distance > kReach * thick + kGap) continue;
            radius[i] = 0.5 * (m_.thickness[i] + glued_.fillet);
            for (size_t c = 0; c < 3; ++c)
                foot[i] += m_.points[static_cast<size_t>(m_.triangles[best.triangle][c])] * best.share[c];
            w_.ties.push_back(
                {corner, patch(m_, corners_[b], area_, foot[i], radius[i], m_.triangles[best.triangle], best.share)});
            tied_[i] = true;
        }
        for (size_t k = range_[a].first; k < range_[a].second; ++k)
            for (size_t c = 0; c < 3; ++c) {
                const auto i = static_cast<size_t>(m_.triangles[k][c]),
                           j = static_cast<size_t>(m_.triangles[k][(c + 1) % 3]);
                if (!(radius[i] > 0)) continue;
                const size_t end = radius[j] > 0 ? j : i;
                lines.push_back({m_.points[i], m_.points[end], radius[i]});
                lines.push_back({foot[i], foot[end], radius[i]});
            }
        return lines;
    }

    static double toLines(const std::vector<Line>& lines, const Vec3& p, bool& inside) {
        double least = 1e300;
        for (const auto& l : lines) {
            const Vec3 d = l.to - l.from;
            const double s = std::clamp(form::dot(p - l.from, d) / std::max(1e-300, form::dot(d, d)), 0.0, 1.0),
                         away = form::length(l.from + d * s - p);
            inside = inside || away < l.radius;
            least = std::min(least, away);
        }
        return least;
    }

    /// Of an item, how far its corners lie from the joint, and the share of each triangle that it takes.
    void mark(size_t n, const std::vector<Line>& lines) {
        bool inside = false;
        for (const int i : corners_[n])
            w_.toJoint[static_cast<size_t>(i)] =
                std::min(w_.toJoint[static_cast<size_t>(i)], toLines(lines, m_.points[static_cast<size_t>(i)], inside));
        for (size_t k = range_[n].first; k < range_[n].second; ++k) {
            const auto at = [&](size_t c) { return m_.points[static_cast<size_t>(m_.triangles[k][c])]; };
            const double across =
                std::max({form::length(at(1) - at(0)), form::length(at(2) - at(1)), form::length(at(0) - at(2))});
            if (std::min({w_.toJoint[static_cast<size_t>(m_.triangles[k][0])],
                          w_.toJoint[static_cast<size_t>(m_.triangles[k][1])],
                          w_.toJoint[static_cast<size_t>(m_.triangles[k][2])]}) > across + lines.front().radius)
                continue;
            int hit = 0;
            for (int u = 0; u < kSamples; ++u)
                for (int v = 0; v < kSamples - u; ++v) {
                    const double x = (u + 1.0 / 3) / kSamples, y = (v + 1.0 / 3) / kSamples;
                    inside = false;
                    toLines(lines, at(0) * (1 - x - y) + at(1) * x + at(2) * y, inside);
                    hit += inside;
                }
            if (!hit) continue;
            w_.glued[k] = std::max(w_.glued[k], double(hit) / (kSamples * (kSamples + 1) / 2));
            w_.bears[k] = std::min(w_.bears[k], share_);
        }
    }

    StrengthWall& w_;
    shell::Model& m_;
    Ranges range_;
    Glued glued_;
    double share_ = 1;        // of the joint that is being made
    std::vector<bool> edge_;  // free edges of each part are what is glued
    std::vector<double> area_;
    std::vector<std::vector<int>> corners_;  // of each item
    std::vector<bool> tied_;
};

}  // namespace

tl::expected<void, Problem> strengthCompound(StrengthWall& w, const form::Assembly& assembly, const Glued& glued) {
    Ranges range = addItems(w, assembly);
    if (w.model.triangles.empty())
        return tl::unexpected(
            Problem{tr("Walls, sheets, discs, legs and round handles are reckoned: this piece has none of them.")});
    Gluing gluing(w, std::move(range), glued);
    for (const auto& j : assembly.joints) gluing.join(j);
    weaken(w, glued.modulus);
    return {};
}

void weaken(StrengthWall& w, double modulus, double least) {
    w.weak.assign(w.model.triangles.size(), 1.0);
    for (size_t k = 0; k < w.glued.size(); ++k)  // Weibull's sum over both shares of a triangle
        if (w.glued[k] > 0)
            w.weak[k] =
                std::pow(w.glued[k] * std::pow(std::max(least, w.bears[k]), -modulus) + 1 - w.glued[k], -1 / modulus);
}

}  // namespace uovo
