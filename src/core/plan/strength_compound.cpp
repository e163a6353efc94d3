// A piece put together from walls and sheets as one shell: each part's middle, held to the next along their joints.
#include <algorithm>
#include <cmath>

#include "core/plan/strength_wall.h"

namespace uovo {
namespace {

using form::Vec3;

constexpr double kReach = 0.75;   // of both thicknesses: how far a part's edge may lie from the middle it is glued to
constexpr double kGap = 5e-4;     // m besides

/// Place of a triangle that is nearest to a point.
struct Nearest {
    double distance = 1e300;
    size_t triangle = 0;
    std::array<double, 3> share{};
};

Nearest nearest(const shell::Model& m, size_t k, const Vec3& p) {
    const auto& t = m.triangles[k];
    const Vec3 a = m.points[static_cast<size_t>(t[0])], b = m.points[static_cast<size_t>(t[1])], c = m.points[static_cast<size_t>(t[2])];
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

/// Middle of a flat part: its lower face, half a thickness up.
bool addPlate(StrengthWall& w, const form::Item& item, double thickness) {
    const auto& solid = item.shape.surface;
    std::vector<int> number(solid.points.size(), -1);
    bool any = false;
    for (const auto& t : solid.triangles) {
        if (std::any_of(t.begin(), t.end(), [&](int i) { return std::abs(solid.points[static_cast<size_t>(i)].z) > 1e-7; })) continue;
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

}  // namespace

tl::expected<void, Problem> strengthCompound(StrengthWall& w, const form::Assembly& assembly, double jointShare) {
    auto& m = w.model;
    std::vector<std::pair<size_t, size_t>> range(assembly.items.size());  // triangles of each item
    for (size_t k = 0; k < assembly.items.size(); ++k) {
        const auto& item = assembly.items[k];
        const size_t before = m.triangles.size();
        const double own = item.part.family == "arch" ? form::figure(item.part, "depth") : item.shape.wall;
        bool taken = false;
        if (item.edible && item.shape.coverage >= 1) {
            if (item.shape.body == form::Body::Wall) {
                addWall(w, form::placed(item.shape.surface, item.pose), item.shape.thickness.empty() ? std::vector<double>(item.shape.surface.points.size(), item.shape.wall) : item.shape.thickness, item.shape.outside);
                taken = true;
            } else if ((item.shape.body == form::Body::Sheet || item.part.family == "arch") && own > 0) {
                taken = addPlate(w, item, own);
            }
        }
        std::string name = item.name;
        if (!name.empty()) name[0] = static_cast<char>(std::tolower(static_cast<unsigned char>(name[0])));
        if (!taken) w.left += (w.left.empty() ? "" : ", ") + name;
        range[k] = {before, m.triangles.size()};
        m.part.resize(m.triangles.size(), static_cast<int>(k));
        m.names.push_back(name);
    }
    if (m.triangles.empty()) return tl::unexpected(Problem{"Only walls and sheets are reckoned: all of this piece is cast full."});
    // Free edges of each part are what is glued.
    const std::vector<bool> edge = freeEdges(m);
    w.weak.assign(m.triangles.size(), 1.0);
    std::vector<bool> tied(m.points.size(), false);
    const auto glue = [&](size_t a, size_t b) {  // the edge of a on b
        std::vector<bool> mine(m.points.size(), false);
        for (size_t k = range[a].first; k < range[a].second; ++k)
            for (const int i : m.triangles[k]) mine[static_cast<size_t>(i)] = true;
        for (size_t i = 0; i < m.points.size(); ++i) {
            if (!mine[i] || !edge[i] || tied[i]) continue;
            Nearest best;
            for (size_t k = range[b].first; k < range[b].second; ++k)
                if (const auto here = nearest(m, k, m.points[i]); here.distance < best.distance) best = here;
            if (best.distance > 1e200) continue;
            const double thick = m.thickness[i] + m.thickness[static_cast<size_t>(m.triangles[best.triangle][0])];
            if (best.distance > kReach * thick + kGap) continue;
            w.ties.push_back({static_cast<int>(i), m.triangles[best.triangle], best.share});
            tied[i] = true;
            w.weak[best.triangle] = jointShare;
        }
        for (size_t k = range[a].first; k < range[a].second; ++k)
            for (const int i : m.triangles[k])
                if (tied[static_cast<size_t>(i)]) w.weak[k] = jointShare;
    };
    for (const auto& j : assembly.joints) {
        if (range[j.a].first == range[j.a].second || range[j.b].first == range[j.b].second) continue;
        glue(j.a, j.b);
        glue(j.b, j.a);
    }
    return {};
}

}  // namespace uovo
