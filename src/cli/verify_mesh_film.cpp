#include "cli/verify_mesh_film.h"

#include <algorithm>
#include <cmath>
#include <numbers>
#include <numeric>
#include <random>

#include "cli/verify_film.h"
#include "core/answers/answers.h"
#include "core/coat/mesh_coats.h"
#include "core/form/former.h"
#include "core/form/loft.h"
#include "io/data.h"

namespace uovo::cli::film {
namespace {

using form::Vec3;
using std::numbers::pi;

coat::FilmOptions cold() {
    coat::FilmOptions o;
    o.heat = false;
    o.curvature = false;
    o.growth = 0.003;
    o.firstStep = 0.001;
    o.mostStep = 100;
    return o;
}

coat::FormerHeat neverDrips() {
    coat::FormerHeat f;
    f.dripCap = f.rimBead = 1;
    return f;
}

/// A hemisphere of 60 mm radius, its pole the lowest point.
form::Mesh cap(double triangles) {
    form::LatheOptions o;
    o.edge = o.along = std::sqrt(2 * pi * 0.0036 / (0.433 * triangles));
    o.onSurface = true;
    return form::lathe(form::sphereCap(0.06, 0.06, form::Side::Outside), o);
}

/// Strip of a cylinder's wall, `rows` + 1 rings of `around` corners, rings turned half a step against each other.
form::Mesh tube(int around, int rows, double R) {
    form::Mesh m;
    const double edge = 2 * R * pi / around;
    for (int k = 0; k <= rows; ++k)
        for (int i = 0; i < around; ++i) {
            const double t = 2 * pi * (i + 0.5 * k) / around;
            m.points.push_back({R * std::cos(t), R * std::sin(t), 0.87 * edge * k});
        }
    for (int k = 0; k < rows; ++k)
        for (int i = 0; i < around; ++i) {
            const int a = k * around + i, b = k * around + (i + 1) % around;
            m.triangles.push_back({a, b, a + around});
            m.triangles.push_back({b, b + around, a + around});
        }
    return m;
}

/// h with h − h³ sin θ/3 = q on the thinner branch.
double moffatt(double q, double angle) {
    double low = 0, high = std::min(2.0, 1 / std::sqrt(std::max(0.25, std::sin(angle))));
    for (int k = 0; k < 80; ++k) {
        const double mid = 0.5 * (low + high);
        (mid - mid * mid * mid / 3 * std::sin(angle) < q ? low : high) = mid;
    }
    return 0.5 * (low + high);
}

struct Cylinder {
    double mean = 0, least = 1e9, most = 0;
};

/// Two turns of a cylinder that carries the film given in Moffatt's units; fluxes over the last of them.
Cylinder spun(const std::function<double(double)>& start, int around) {
    const double R = 0.03, rho = 1270, mu = 3, unit = 0.0008, omega = unit * unit * rho * kGravity / (mu * R);
    const form::Mesh mesh = tube(around, 2, R);
    const coat::Surface s = coat::surfaceOf(mesh, true);
    auto o = cold();
    o.growth = o.firstStep = o.mostStep = 1e9;
    const auto c = fluid(rho, mu, 0);
    coat::MeshFilm film(s, c, {}, 0.3, neverDrips(), o, 40);
    std::vector<double> h;
    for (const auto& p : s.at) h.push_back(unit * start(std::atan2(p.y, p.x)));
    film.deposit(h, 40, 0);
    Cylinder out;
    double weight = 0;
    const double turn = 2 * pi / omega;
    for (int k = 0; k < 2 * around; ++k) {
        const double angle = 2 * pi * (k + 0.5) / around;
        coat::Surroundings w;
        w.up = {std::cos(angle), std::sin(angle), 0};
        film.run(turn / around, w);
        if (k < around) continue;
        const auto now = film.thickness();
        for (size_t i = 0; i < s.size(); ++i) {
            const double theta = std::atan2(s.at[i].y, s.at[i].x) - angle, x = now[i] / unit,
                         q = x - x * x * x / 3 * std::sin(theta);
            out.mean += q * s.area[i];
            weight += s.area[i];
            out.least = std::min(out.least, q);
            out.most = std::max(out.most, q);
        }
    }
    out.mean /= weight;
    return out;
}

coat::MeshCoats wild(const coat::Surface& surface, int seed, double& least) {
    std::mt19937 random(static_cast<unsigned>(seed));
    const auto uniform = [&](double a, double b) {
        return a + (b - a) * std::uniform_real_distribution<double>(0, 1)(random);
    };
    const auto& lib = io::library();
    Plan plan;
    Piece piece;
    piece.chocolate = "dark";
    coat::MeshJob job;
    static_cast<coat::CoatSetting&>(job) = *coatSetting(piece, plan, lib);
    job.surface = &surface;
    for (int k = 0; k < 2 + seed % 2; ++k) {
        coat::MeshStep s;
        s.coat.way = k == 0 ? coat::Way::Dip : coat::Way::Brush;
        s.coat.temperature = uniform(31, 40);
        s.coat.delay = uniform(10, 60);
        s.coat.stay = uniform(10, 200);
        s.coat.rest = seed % 3 == 0 ? coat::Rest::Inverted : coat::Rest::Upright;
        if (seed % 2) s.fill = uniform(2e-6, 3e-5);
        const int turns = 1 + static_cast<int>(uniform(0, 4));
        for (int t = 0; t < turns; ++t)
            s.turns.push_back({form::unit({uniform(-1, 1), uniform(-1, 1), uniform(-1, 1)}), uniform(1, 60)});
        s.tap = uniform(0, 5);
        s.scrape = k == 0;
        job.steps.push_back(s);
    }
    auto done = coat::coat(job);
    least = 1;
    if (done)
        for (const auto& c : done->coats) least = std::min(least, *std::min_element(c.wall.begin(), c.wall.end()));
    return done ? *done : coat::MeshCoats{{}, {}, 0, 1};
}

}  // namespace

double meshHemispherePole(double triangles, bool curvature) {
    const coat::Surface s = coat::surfaceOf(cap(triangles), true);
    auto o = cold();
    o.curvature = curvature;
    const auto c = fluid(1270, 3, 0);
    coat::MeshFilm film(s, c, {}, 0.3, {}, o, 40);
    film.deposit(std::vector<double>(s.size(), 0.003), 40, 0);
    coat::Surroundings w;
    w.up = {0, 0, -1};  // the cap's pole is its lowest point as it is built
    film.run(60, w);
    const auto h = film.thickness();
    size_t pole = 0;
    for (size_t i = 0; i < s.size(); ++i)
        if (s.at[i].z < s.at[pole].z) pole = i;
    return h[pole];
}

double meshCassonPlateMiddle() {
    form::Mesh m;  // 0.1 m high, three cells wide, equilateral
    const int rows = 400;
    const double step = 0.1 / rows, across = step / 0.8660254;
    for (int k = 0; k <= rows; ++k)
        for (int i = 0; i < 4; ++i) m.points.push_back({across * (i + 0.5 * (k % 2)), 0, -step * k});
    for (int k = 0; k < rows; ++k)
        for (int i = 0; i < 3; ++i) {
            const int a = 4 * k + i, b = a + 1, c = a + 4, d = c + 1;
            if (k % 2 == 0) {
                m.triangles.push_back({a, c, b});
                m.triangles.push_back({b, c, d});
            } else {
                m.triangles.push_back({a, d, b});
                m.triangles.push_back({a, c, d});
            }
        }
    const coat::Surface s = coat::surfaceOf(m, true);
    const auto c = fluid(1270, 3, 8);
    coat::FormerHeat f;
    f.rimBead = 0;  // runs off freely below
    f.dripTime = 1e-3;
    coat::MeshFilm film(s, c, {}, 0.3, f, cold(), 40);
    film.deposit(std::vector<double>(s.size(), 0.005), 40, 0);
    film.run(1e4, {});
    const auto h = film.thickness();
    double sum = 0, weight = 0;
    for (size_t i = 0; i < s.size(); ++i)
        if (std::abs(s.at[i].z + 0.05) < 1.1 * step) {
            sum += h[i] * s.area[i];
            weight += s.area[i];
        }
    return sum / weight;
}

double rotatingCylinderFlux(bool range) {
    const Cylinder c = spun([](double theta) { return moffatt(0.5855, theta); }, 240);
    return range ? (c.most - c.least) / 2 : c.mean;
}

double overloadedCylinderFlux() {
    return spun([](double theta) { return moffatt(2.0 / 3 - 1e-6, theta); }, 240).mean;
}

double meshBallThickness(double share) {
    const double R = 0.06;
    form::LatheOptions o;
    o.edge = o.along = 0.003;
    o.onSurface = true;
    const coat::Surface s = coat::surfaceOf(form::lathe({form::Stretch{[=](double u) {
                                                                           const double t = pi * u;
                                                                           return form::CurvePoint{R * std::sin(t),
                                                                                                   R - R * std::cos(t),
                                                                                                   pi * R * std::cos(t),
                                                                                                   pi * R * std::sin(t),
                                                                                                   0,
                                                                                                   0};
                                                                       },
                                                                       form::Mark::Wall,
                                                                       {}}},
                                                        o),
                                            false);
    const auto c = fluid(1270, 3, 0);
    auto options = cold();
    options.curvature = true;
    coat::MeshFilm film(s, c, {}, 0.3, {}, options, 40);
    film.depositVolume(std::vector<double>(s.size(), share * R / 3), 40, 0);
    const auto h = film.thickness();
    double mean = 0, area = 0;
    for (size_t i = 0; i < s.size(); ++i) {
        mean += h[i] * s.area[i];
        area += s.area[i];
    }
    return mean / area / R;
}

double meshMassError(int schedules) {
    const coat::Surface outside = coat::surfaceOf(cap(1500), true), inside = coat::surfaceOf(cap(1500), false);
    double worst = 0, least = 0;
    for (int seed = 0; seed < schedules; ++seed)
        worst = std::max(worst, wild(seed % 2 ? inside : outside, seed, least).error);
    return worst;
}

double meshLeastFilm(int schedules) {
    const coat::Surface outside = coat::surfaceOf(cap(1500), true), inside = coat::surfaceOf(cap(1500), false);
    double worst = 1, least = 0;
    for (int seed = 0; seed < schedules; ++seed) {
        wild(seed % 2 ? inside : outside, seed, least);
        worst = std::min(worst, least);
    }
    return worst;
}

double meshTurnedTogether() {
    form::Mesh mesh = cap(3000);
    const Vec3 x = form::unit({0.3, 0.8, -0.5}), z = form::unit(form::cross(x, {0.1, -0.4, 0.9})),
               y = form::cross(z, x);
    const form::Pose pose{x, y, z, {0.02, -0.01, 0.05}};
    const auto wall = [&](const form::Mesh& m, const std::function<Vec3(const Vec3&)>& up) {
        const coat::Surface s = coat::surfaceOf(m, true);
        Plan plan;
        Piece piece;
        piece.chocolate = "dark";
        coat::CoatSetting setting = *coatSetting(piece, plan, io::library());
        coat::MeshFilm film(s, setting.coating, setting.law, setting.lockFraction, setting.former, {}, 21);
        film.deposit(std::vector<double>(s.size(), 0.004), 33, 0.05);
        for (const Vec3 v : {Vec3{0, 0, 1}, Vec3{0.6, 0, 0.8}, Vec3{0, 1, 0}}) {
            coat::Surroundings w;
            w.up = up(v);
            film.run(120, w);
        }
        return film.thickness();
    };
    const auto before = wall(mesh, [](const Vec3& v) { return v; });
    const auto after =
        wall(form::placed(mesh, pose), [&](const Vec3& v) { return pose.x * v.x + pose.y * v.y + pose.z * v.z; });
    double worst = 0;
    const double mean = std::accumulate(before.begin(), before.end(), 0.0) / double(before.size());
    for (size_t i = 0; i < before.size(); ++i) worst = std::max(worst, std::abs(after[i] - before[i]) / mean);
    return worst;
}

}  // namespace uovo::cli::film
