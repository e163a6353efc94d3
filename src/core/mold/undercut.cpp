#include "core/mold/undercut.h"

#include <algorithm>
#include <map>
#include <numbers>

namespace uovo::mold {
namespace {

using form::Mesh;
using form::Rays;
using form::Vec3;

constexpr double kOff = 1e-5;  // of the size: a ray begins so far off the surface
constexpr double kFacesAway = 1e-6;
constexpr double kBase = 0.98;       // cosine from which a face is one that it stands on
constexpr int kMostInTriangle = 30;  // samples along one side of it

struct Sample {
    Vec3 at, outward;
    double area;
    int triangle;
};

/// Middles of small triangles of about equal area.
std::vector<Sample> samplesOf(const Mesh& mesh, int wished) {
    std::vector<double> areas(mesh.triangles.size());
    double all = 0;
    for (size_t k = 0; k < areas.size(); ++k) {
        const auto& t = mesh.triangles[k];
        const Vec3 a = mesh.points[size_t(t[0])];
        areas[k] = form::length(form::cross(mesh.points[size_t(t[1])] - a, mesh.points[size_t(t[2])] - a)) / 2;
        all += areas[k];
    }
    std::vector<Sample> out;
    out.reserve(areas.size() + size_t(std::max(0, wished)) * 2);
    for (size_t k = 0; k < areas.size(); ++k) {
        if (!(areas[k] > 0)) continue;
        const auto& t = mesh.triangles[k];
        const Vec3 a = mesh.points[size_t(t[0])], ab = mesh.points[size_t(t[1])] - a,
                   ac = mesh.points[size_t(t[2])] - a, outward = form::unit(form::cross(ab, ac));
        const int n = std::clamp(static_cast<int>(std::ceil(std::sqrt(areas[k] / all * wished))), 1, kMostInTriangle);
        for (int i = 0; i < n; ++i)
            for (int j = 0; j < 2 * (n - i) - 1; ++j) {  // upright and turned small triangles in turn
                const double shift = j % 2 == 0 ? 1.0 / 3 : 2.0 / 3;
                const int column = j / 2;
                const double v = (column + shift) / n, u = (i + shift) / n;
                out.push_back({a + ab * u + ac * v, outward, areas[k] / (n * n), static_cast<int>(k)});
            }
    }
    return out;
}

double sizeOf(const Mesh& mesh) { return form::length(form::bounds(mesh).size()); }

/// What each sample does.
class Looker {
public:
    Looker(const Mesh& mesh, const Rays& rays, const Vec3& pull, int parts)
        : rays_(rays), pull_(pull), parts_(parts), off_(kOff * sizeOf(mesh)), reach_(reachAlong(mesh, pull)) {}

    Comes of(const Sample& s) const {
        const double facing = form::dot(s.outward, pull_);
        const bool onBase =
            parts_ == 1 && facing < -kBase && form::dot(s.at, pull_) < reach_.low + 2e-3 * reach_.length();
        if (onBase) return Comes::Open;
        if (isFree(s, pull_, facing)) return Comes::Along;
        if (parts_ == 2 && isFree(s, pull_ * -1, -facing)) return Comes::Against;
        return Comes::Caught;
    }

private:
    bool isFree(const Sample& s, const Vec3& way, double facing) const {
        return facing >= -kFacesAway && !rays_.blocked(s.at + s.outward * off_, way);
    }

    const Rays& rays_;
    Vec3 pull_;
    int parts_;
    double off_;
    Reach reach_;
};

/// The level that leaves least area on the wrong side; what could go either way is on neither.
void part(const std::vector<Sample>& samples, const std::vector<Comes>& comes, Undercuts& out) {
    std::vector<std::pair<double, double>> sorted;  // level, area; below 0: it comes the other way
    double below = 0;                               // area that comes along and lies below
    double above = 0;                               // … comes against and lies above
    for (size_t k = 0; k < samples.size(); ++k) {
        const double upright = std::abs(form::dot(samples[k].outward, out.pull));
        if (upright < 1e-3 || (comes[k] != Comes::Along && comes[k] != Comes::Against)) continue;
        const bool along = comes[k] == Comes::Along;
        sorted.emplace_back(form::dot(samples[k].at, out.pull), along ? samples[k].area : -samples[k].area);
        if (!along) above += samples[k].area;
    }
    if (sorted.empty()) return;
    std::sort(sorted.begin(), sorted.end());
    out.astray = above;
    out.parting = sorted.front().first;
    for (size_t k = 0; k < sorted.size(); ++k) {
        if (sorted[k].second > 0) below += sorted[k].second;
        else above += sorted[k].second;
        if (below + above >= out.astray - 1e-15) continue;
        out.astray = below + above;
        out.parting = k + 1 < sorted.size() ? (sorted[k].first + sorted[k + 1].first) / 2 : sorted[k].first;
    }
    out.astray = std::max(0.0, out.astray);
}

void gather(const Mesh& mesh, const std::vector<double>& areas, Undercuts& out) {
    std::map<form::EdgeKey, std::vector<int>> at;
    std::vector<char> caught(mesh.triangles.size());
    for (size_t k = 0; k < mesh.triangles.size(); ++k) {
        caught[k] = out.comes[k] == Comes::Caught;
        if (!caught[k]) continue;
        const auto& t = mesh.triangles[k];
        for (size_t i = 0; i < 3; ++i) at[form::edgeKey(t[i], t[(i + 1) % 3])].push_back(static_cast<int>(k));
    }
    for (size_t k = 0; k < mesh.triangles.size(); ++k) {
        if (!caught[k]) continue;
        Trapped patch;
        Vec3 middle;
        std::vector<int> open{static_cast<int>(k)};
        caught[k] = 0;
        while (!open.empty()) {
            const int now = open.back();
            open.pop_back();
            patch.triangles.push_back(now);
            const auto& t = mesh.triangles[size_t(now)];
            const double a = areas[size_t(now)] * out.share[size_t(now)];
            patch.area += a;
            for (const int i : t) middle += mesh.points[size_t(i)] * (a / 3);
            for (size_t i = 0; i < 3; ++i)
                for (const int next : at[form::edgeKey(t[i], t[(i + 1) % 3])])
                    if (caught[size_t(next)]) caught[size_t(next)] = 0, open.push_back(next);
        }
        patch.at = patch.area > 0 ? middle * (1 / patch.area) : mesh.points[size_t(mesh.triangles[k][0])];
        std::sort(patch.triangles.begin(), patch.triangles.end());
        out.trapped.push_back(std::move(patch));
    }
    std::stable_sort(out.trapped.begin(), out.trapped.end(),
                     [](const Trapped& a, const Trapped& b) { return a.area > b.area; });
}

/// Directions spread evenly over the sphere (a spiral by the golden angle); its poles first.
std::vector<Vec3> directions(int many, bool half) {
    std::vector<Vec3> out{{0, 0, 1}, {1, 0, 0}, {0, 1, 0}};
    if (!half) out.insert(out.end(), {{0, 0, -1}, {-1, 0, 0}, {0, -1, 0}});
    const double golden = std::numbers::pi * (3 - std::sqrt(5.0));
    const int rest = std::max(0, many - static_cast<int>(out.size()));
    for (int k = 0; k < rest; ++k) {
        const double z = half ? 1 - (k + 0.5) / rest : 1 - 2 * (k + 0.5) / rest, r = std::sqrt(1 - z * z);
        out.push_back({r * std::cos(golden * k), r * std::sin(golden * k), z});
    }
    return out;
}

double hullLength(std::vector<std::array<double, 2>> points) {
    if (points.size() < 2) return 0;
    std::sort(points.begin(), points.end());
    std::vector<std::array<double, 2>> hull(2 * points.size());
    size_t n = 0;
    const auto turns = [&](size_t k, const std::array<double, 2>& p) {
        const auto &a = hull[k - 2], &b = hull[k - 1];
        return (b[0] - a[0]) * (p[1] - a[1]) - (b[1] - a[1]) * (p[0] - a[0]) <= 0;
    };
    for (const auto& p : points) {
        while (n >= 2 && turns(n, p)) --n;
        hull[n++] = p;
    }
    const size_t lower = n + 1;
    for (size_t k = points.size() - 1; k-- > 0;) {
        while (n >= lower && turns(n, points[k])) --n;
        hull[n++] = points[k];
    }
    double out = 0;
    for (size_t k = 1; k < n; ++k) out += std::hypot(hull[k][0] - hull[k - 1][0], hull[k][1] - hull[k - 1][1]);
    return out;
}

}  // namespace

Reach reachAlong(const Mesh& mesh, const Vec3& along) {
    Reach out{1e300, -1e300};
    for (const auto& p : mesh.points) {
        out.low = std::min(out.low, form::dot(p, along));
        out.high = std::max(out.high, form::dot(p, along));
    }
    return out;
}

double stretchAlong(const Mesh& mesh, const Vec3& pull, int levels) {
    const Reach reach = reachAlong(mesh, pull);
    const Vec3 side = form::unit(form::cross(pull, std::abs(pull.x) < 0.6 ? Vec3{1, 0, 0} : Vec3{0, 1, 0})),
               other = form::cross(pull, side);
    std::vector<std::vector<std::array<double, 2>>> rings(size_t(std::max(1, levels)));
    const double step = reach.length() / static_cast<double>(rings.size());
    if (!(step > 0)) return 0;
    for (const auto& t : mesh.triangles) {
        double h[3];
        for (size_t i = 0; i < 3; ++i) h[i] = (form::dot(mesh.points[size_t(t[i])], pull) - reach.low) / step - 0.5;
        const double low = std::min({h[0], h[1], h[2]}), high = std::max({h[0], h[1], h[2]});
        for (int k = std::max(0, static_cast<int>(std::ceil(low))); k <= high && k < static_cast<int>(rings.size());
             ++k)
            for (size_t i = 0; i < 3; ++i) {
                const size_t j = (i + 1) % 3;
                if ((h[i] - k) * (h[j] - k) > 0 || h[i] == h[j]) continue;
                const double s = (k - h[i]) / (h[j] - h[i]);
                const Vec3 p = mesh.points[size_t(t[i])] * (1 - s) + mesh.points[size_t(t[j])] * s;
                rings[size_t(k)].push_back({form::dot(p, side), form::dot(p, other)});
            }
    }
    double most = 0, above = 0;
    for (size_t k = rings.size(); k-- > 0;) {  // a ring passes all that is further along
        const double own = hullLength(std::move(rings[k]));
        if (own > 0 && above > own) most = std::max(most, above / own - 1);
        above = std::max(above, own);
    }
    return most;
}

Undercuts undercuts(const Mesh& mesh, const Rays& rays, const Vec3& pull, int parts, int many) {
    Undercuts out;
    out.pull = form::unit(pull);
    out.parts = parts;
    const size_t n = mesh.triangles.size();
    out.comes.assign(n, Comes::Along);
    out.share.assign(n, 0);
    out.draft.assign(n, 0);
    const auto samples = samplesOf(mesh, many);
    const Looker look(mesh, rays, out.pull, parts);
    std::vector<Comes> comes(samples.size());
    std::vector<double> areas(n, 0);
    std::vector<std::array<double, 4>> does(n, {0, 0, 0, 0});
    for (size_t k = 0; k < samples.size(); ++k) {
        const auto& s = samples[k];
        comes[k] = look.of(s);
        areas[size_t(s.triangle)] += s.area;
        does[size_t(s.triangle)][size_t(comes[k])] += s.area;
        out.draft[size_t(s.triangle)] = std::asin(std::clamp(form::dot(s.outward, out.pull), -1.0, 1.0));
        if (comes[k] != Comes::Open) out.area += s.area;
        if (comes[k] == Comes::Caught) out.caught += s.area;
    }
    for (size_t k = 0; k < n; ++k) {
        if (!(areas[k] > 0)) continue;
        out.comes[k] = static_cast<Comes>(std::max_element(does[k].begin(), does[k].end()) - does[k].begin());
        out.share[k] = does[k][size_t(Comes::Caught)] / areas[k];
    }
    gather(mesh, areas, out);
    if (parts == 2) part(samples, comes, out);
    else out.stretch = stretchAlong(mesh, out.pull);
    return out;
}

std::optional<Undercuts> bestPull(const Mesh& mesh, const Rays& rays, int parts, int many, std::stop_token stop,
                                  const std::function<void(int, int)>& told) {
    constexpr int kRough = 1200;  // places looked at while choosing
    constexpr double kAsGood = 1e-3;
    auto samples = samplesOf(mesh, kRough);
    const size_t all = samples.size(), every = std::max<size_t>(1, all / (2 * kRough));
    if (every > 1) {  // of a fine mesh every so many-eth triangle
        size_t kept = 0;
        for (size_t k = 0; k < all; k += every) samples[kept++] = samples[k];
        samples.resize(kept);
    }
    double area = 0;
    for (const auto& s : samples) area += s.area;
    const auto ways = directions(many, parts == 2);
    Vec3 best = ways.front();
    double least = 1e300, leastStretch = 1e300;
    for (size_t w = 0; w < ways.size(); ++w) {
        if (stop.stop_requested()) return std::nullopt;
        const Looker look(mesh, rays, ways[w], parts);
        double caught = 0;
        for (const auto& s : samples) {
            if (look.of(s) == Comes::Caught) caught += s.area;
            if (caught > least + kAsGood * area) break;
        }
        if (told) told(static_cast<int>(w) + 1, static_cast<int>(ways.size()));
        if (caught > least + kAsGood * area) continue;
        const double stretch = parts == 1 ? stretchAlong(mesh, ways[w], 32) : 0;
        if (caught < least - kAsGood * area || stretch < leastStretch - 1e-3)
            least = std::min(least, caught), leastStretch = stretch, best = ways[w];
    }
    return undercuts(mesh, rays, best, parts);
}

}  // namespace uovo::mold
