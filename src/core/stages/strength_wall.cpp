#include "core/stages/strength_wall.h"

#include "core/form/joint.h"

#include <algorithm>
#include <cmath>
#include <map>
#include <numeric>
#include "core/quantity/catalogue.h"

namespace uovo {
namespace {

using form::Vec3;

constexpr double kBare = 1e-4;  // m: a wall this thin carries nothing
constexpr double kDrawn =
    0.06;  // of its length on the former: an edge that the middle of the wall draws to less is a point
constexpr size_t kMostFeet = 24;   // corners of a foot that may touch, one in each direction
constexpr double kSeam = 0.003;    // m to each side of a seam that is as weak as it
constexpr double kSameRim = 1e-5;  // m: corners of two rims that are one

/// Corners of the underside on a ring round the middle, evenly spread.
std::vector<int> ringUnder(const shell::Model& m, double radius, size_t places = kMostFeet) {
    std::vector<int> out;
    for (size_t k = 0; k < places; ++k) {
        const double angle = 2 * M_PI * double(k) / double(places);
        double least = 1e300;
        int best = 0;
        for (size_t i = 0; i < m.points.size(); ++i) {
            const auto& p = m.points[i];
            const double away =
                std::hypot(p.x - radius * std::cos(angle), p.y - radius * std::sin(angle)) + 0.5 * std::max(0.0, p.z);
            if (away < least) {
                least = away;
                best = static_cast<int>(i);
            }
        }
        if (std::find(out.begin(), out.end(), best) == out.end()) out.push_back(best);
    }
    return out;
}

/// It rests on these corners, whatever its own foot.
void setDown(StrengthWall& w, std::vector<int> on) {
    w.feet = std::move(on);
    w.hold = w.feet;
    w.stands = w.feet.size() >= 3;
}

/// Two equal halves of one mold: their rims have the same corners.
bool oneSeam(const Piece& piece, const Made& made) {
    const auto& items = made.assembly.items;
    if (!form::isShut(piece.shape) || items.size() < 2 || !(items[0].part == items[1].part) ||
        !form::modelsOf(piece.shape).empty())
        return false;
    // of an assembly of one's own they may stand anywhere
    return piece.shape.items.empty() || form::rimsApart(items[0], items[1]) < kSameRim;
}

}  // namespace

void addWall(StrengthWall& w, const form::Mesh& surface, const std::vector<double>& thickness, bool outside) {
    std::vector<Vec3> normal(surface.points.size());
    std::vector<bool> used(surface.points.size(), false);
    std::vector<form::Triangle> triangles;
    for (size_t k = 0; k < surface.triangles.size(); ++k) {
        if (surface.mark(k) != form::Mark::Wall) continue;
        const auto& t = surface.triangles[k];
        const auto at = [&](size_t i) { return surface.points[static_cast<size_t>(t[i])]; };
        const double mean = (thickness[static_cast<size_t>(t[0])] + thickness[static_cast<size_t>(t[1])] +
                             thickness[static_cast<size_t>(t[2])]) /
                            3;
        const Vec3 area = form::cross(at(1) - at(0), at(2) - at(0));
        for (const int i : t) normal[static_cast<size_t>(i)] += area;
        if (mean < kBare || form::length(area) <= 0) continue;
        triangles.push_back(t);
        for (const int i : t) used[static_cast<size_t>(i)] = true;
    }
    std::vector<Vec3> middle(surface.points.size());
    for (size_t i = 0; i < middle.size(); ++i)
        if (used[i])
            middle[i] =
                surface.points[i] + form::unit(normal[i]) * ((outside ? 0.5 : -0.5) * std::max(kBare, thickness[i]));
    // In a corner that is rounder outside than half its wall the middle draws together: points that meet there become
    // one.
    std::vector<int> one(surface.points.size());
    std::iota(one.begin(), one.end(), 0);
    const auto find = [&](int i) {
        while (one[static_cast<size_t>(i)] != i)
            i = one[static_cast<size_t>(i)] = one[static_cast<size_t>(one[static_cast<size_t>(i)])];
        return static_cast<size_t>(i);
    };
    for (const auto& t : triangles)
        for (size_t c = 0; c < 3; ++c) {
            const auto i = static_cast<size_t>(t[c]), j = static_cast<size_t>(t[(c + 1) % 3]);
            if (form::length(middle[i] - middle[j]) < kDrawn * form::length(surface.points[i] - surface.points[j]))
                one[find(t[c])] = static_cast<int>(find(t[(c + 1) % 3]));
        }
    std::vector<int> number(surface.points.size(), -1);
    for (auto t : triangles) {
        for (auto& i : t) i = static_cast<int>(find(i));
        if (t[0] == t[1] || t[1] == t[2] || t[2] == t[0]) continue;
        for (auto& i : t) {
            const auto k = static_cast<size_t>(i);
            if (number[k] < 0) {
                number[k] = static_cast<int>(w.model.points.size());
                w.model.points.push_back(middle[k]);
                w.model.thickness.push_back(std::max(kBare, thickness[k]));
            }
            i = number[k];
        }
        w.model.triangles.push_back(t);
    }
}

std::vector<bool> freeEdges(const shell::Model& m) {
    std::map<std::pair<int, int>, int> sides;
    for (const auto& t : m.triangles)
        for (size_t i = 0; i < 3; ++i) ++sides[std::minmax(t[i], t[(i + 1) % 3])];
    std::vector<bool> edge(m.points.size(), false);
    for (const auto& [side, count] : sides)
        if (count == 1) edge[static_cast<size_t>(side.first)] = edge[static_cast<size_t>(side.second)] = true;
    return edge;
}

tl::expected<StrengthWall, Problem> strengthWall(const Piece& piece, const Plan& plan, const material::Library& lib,
                                                 const PieceAnswers& a, double triangles) {
    const auto refuse = [](const char* sentence) { return tl::unexpected(Problem{sentence}); };
    StrengthWall w;
    w.fill = a.fillEach;
    const MeridianWall* along = a.made->meridian.get();
    w.capacity = a.made->capacity;
    if (along) {
        const form::Shape& own = a.made->assembly.items.front().shape;
        if (!along->round) {
            addWall(w, own.surface, own.thickness, own.outside);
        } else {
            const auto meridian = form::meridian(piece.shape);
            if (!meridian) return tl::unexpected(meridian.error());
            form::Shape former = form::roundFormer(*meridian, triangles);
            const auto walls = std::count(former.surface.marks.begin(), former.surface.marks.end(), form::Mark::Wall);
            if (double(walls) > 1.3 * triangles)
                former = form::roundFormer(
                    *meridian, triangles * triangles / double(walls));  // a lathe rounds its rows and rings up
            std::vector<double> t(former.surface.points.size());
            for (size_t i = 0; i < t.size(); ++i) t[i] = wallAt(*along, former.surface.points[i]);
            addWall(w, former.surface, t, former.outside);
        }
        w.level = a.fillLevel;
    } else {
        w.hung = form::isHung(piece.shape);
        if (piece.roundSomething()) return refuse(tr("It is borne by what is in it: only hollow walls are reckoned."));
        // halves whose rims have the same corners become one shell; others are tied along their seam
        const bool shut = oneSeam(piece, *a.made);
        const bool single = a.made->assembly.items.size() == 1;
        w.compound = !single && !shut;
        form::Detail detail;
        detail.triangles = form::hasHandle(piece.shape) ? 2.8 * std::max(triangles, StrengthOptions{}.triangles)
                                                        : triangles;  // the roots of its handle want as many
        detail.round = 24;
        detail.onSurface = true;
        const auto rebuilt = a.made->wall ? tl::expected<form::Assembly, Problem>(a.made->assembly)
                                          : form::build(piece.shape, plan.meshes, detail);
        if (!rebuilt) return tl::unexpected(rebuilt.error());
        if (w.compound) {
            if (auto ok =
                    strengthCompound(w, *rebuilt,
                                     {[&](const std::string& glue) { return form::jointStrength(lib, glue).value; },
                                      lib.strong("jointFillet"), lib.strong("weibull")});
                !ok)
                return tl::unexpected(ok.error());
        } else {
            form::Mesh all;
            std::vector<double> thickness;
            bool outside = false;
            for (const auto& item : rebuilt->items) {
                if (item.shape.body != form::Body::Wall || item.shape.coverage < 1) {
                    if (single)
                        return refuse(tr("Only walls are reckoned: this part is cast full or cut from a sheet."));
                    continue;
                }
                form::append(all, form::placed(item.shape.surface, item.pose));
                if (item.shape.thickness.empty())
                    thickness.insert(thickness.end(), item.shape.surface.points.size(), item.shape.wall);
                else thickness.insert(thickness.end(), item.shape.thickness.begin(), item.shape.thickness.end());
                outside = item.shape.outside;
            }
            if (all.triangles.empty()) return refuse(tr("There is no wall to reckon with."));
            if (shut) {  // two halves: their rims become one seam
                form::Mesh walls;
                walls.points = all.points;
                for (size_t k = 0; k < all.triangles.size(); ++k)
                    if (all.mark(k) == form::Mark::Wall) walls.triangles.push_back(all.triangles[k]);
                all = form::weld(walls, 1e-5);
                thickness.assign(all.points.size(), thickness.front());
            }
            addWall(w, all, thickness, outside);
        }
        if (w.capacity > 0 && w.fill > 0) {  // of a piece put together the first part is filled
            const auto& first = rebuilt->items.front();
            if (w.compound && first.shape.body != form::Body::Wall)
                w.fill = 0;  // what lies in a house lies on the table
            if (w.compound)
                for (const int part : w.model.part) w.wet.push_back(part == 0);
            w.level = shut ? std::nan("")
                           : form::levelOf(form::placed(first.shape.surface, first.pose),
                                           std::min(w.fill, 0.98 * w.capacity));
        }
    }
    auto& m = w.model;
    if (m.triangles.empty()) return refuse(tr("The wall is bare: there is nothing to carry a load."));
    w.low = 1e300;
    w.high = -1e300;
    for (const auto& p : m.points) {
        w.low = std::min(w.low, p.z);
        w.high = std::max(w.high, p.z);
    }
    if (oneSeam(piece, *a.made)) {  // the seam of the halves
        w.glued.assign(m.triangles.size(), 0.0);
        for (size_t k = 0; k < m.triangles.size(); ++k) {
            double z = 0;
            for (const int i : m.triangles[k]) z += m.points[static_cast<size_t>(i)].z / 3;
            if (std::abs(z - 0.5 * (w.low + w.high)) < kSeam) w.glued[k] = 1;
        }
        w.bears.assign(m.triangles.size(), form::jointStrength(lib, form::choice(piece.shape, "glue")).value);
        weaken(w, lib.strong("weibull"));
    }
    // The opening's edge.
    const std::vector<bool> edge = freeEdges(m);
    double mean = 0;
    for (size_t i = 0; i < edge.size(); ++i)
        if (edge[i]) {
            w.rim.push_back(static_cast<int>(i));
            mean += m.points[i].z;
        }
    w.open = !w.rim.empty() && !w.compound;
    w.rimUp = w.open && mean / double(w.rim.size()) > 0.5 * (w.low + w.high);
    if (w.rimUp)
        std::erase_if(w.rim, [&](int i) { return m.points[static_cast<size_t>(i)].z < 0.5 * (w.low + w.high); });
    // What it stands on: the flat pool of a bowl, the corner of a cup's floor, else whatever is lowest.
    double foot = 0.004;
    if (along && along->chocolateOutside && !along->coats.coats.empty())
        foot = std::max(foot, along->coats.coats.back().footRadius);
    std::vector<std::pair<double, int>> feet;
    const double deep = w.low + 0.02 * (w.high - w.low) + 3e-4;
    double widest = 0;
    for (size_t i = 0; i < m.points.size(); ++i)
        if (m.points[i].z <= deep) widest = std::max(widest, std::hypot(m.points[i].x, m.points[i].y));
    foot = std::max(foot, widest);
    for (size_t i = 0; i < m.points.size(); ++i) {
        const double r = std::hypot(m.points[i].x, m.points[i].y);
        if (m.points[i].z <= w.low + 0.3 * (w.high - w.low) && r <= foot + 1e-6)
            feet.emplace_back(-r, static_cast<int>(i));
    }
    if (!along && !w.rimUp) {  // a part of any outline: what is lowest, wherever it lies
        feet.clear();
        for (size_t i = 0; i < m.points.size(); ++i)
            if (m.points[i].z <= deep)
                feet.emplace_back(-std::hypot(m.points[i].x, m.points[i].y), static_cast<int>(i));
    }
    std::sort(feet.begin(), feet.end());
    // Of what may touch, the outermost all round.
    std::vector<bool> taken(kMostFeet, false);
    for (const auto& [r, i] : feet) {
        const auto& p = m.points[static_cast<size_t>(i)];
        const auto sector =
            std::min(kMostFeet - 1, static_cast<size_t>((std::atan2(p.y, p.x) / (2 * M_PI) + 0.5) * double(kMostFeet)));
        if (taken[sector]) continue;
        taken[sector] = true;
        w.feet.push_back(i);
    }
    double broadest = 0;
    for (const auto& p : m.points) broadest = std::max(broadest, std::hypot(p.x, p.y));
    w.stands = !w.rimUp || foot > 0.2 * broadest;
    if (w.stands) {
        for (const auto& [r, i] : feet) w.hold.push_back(i);
    } else {
        for (size_t i = 0; i < m.points.size(); ++i)
            if (m.points[i].z < w.low + 0.5 * (w.high - w.low)) w.hold.push_back(static_cast<int>(i));
    }
    if (piece.sits == Sits::Ring) setDown(w, ringUnder(m, lib.strong("ringUnder") * broadest));
    else if (piece.sits == Sits::Lumps)
        setDown(w, ringUnder(m, lib.strong("ringUnder") * (w.stands ? foot : broadest), 3));
    else if (w.feet.size() < 3)  // a ball: on a ring
        setDown(w, ringUnder(m, lib.strong("ballRing") * broadest));
    return w;
}

}  // namespace uovo
