// Liquid lies level: pools against closed forms, spilling and merging over saddles, and that nothing is lost.
#include <catch2/catch.hpp>
#include <cmath>
#include <numbers>
#include <random>

#include "core/coat/flux.h"
#include "core/coat/mesh_coats.h"
#include "core/coat/mesh_film.h"
#include "support_coats.h"

namespace uovo::hollows_test {

using form::Vec3;

using std::numbers::pi;

namespace {

/// A sheet of triangles over a square of half width `half`, n by n cells, at the heights of f; corners that `in` leaves
/// out are gone.
form::Mesh field(double half, int n, const std::function<double(double, double)>& f,
                 const std::function<bool(double, double)>& in = {}) {
    form::Mesh m;
    std::vector<int> at(static_cast<size_t>((n + 1) * (n + 1)), -1);
    const auto x = [&](int i) { return -half + 2 * half * i / n; };
    for (int j = 0; j <= n; ++j)
        for (int i = 0; i <= n; ++i)
            if (!in || in(x(i), x(j))) {
                at[static_cast<size_t>(j * (n + 1) + i)] = static_cast<int>(m.points.size());
                m.points.push_back({x(i), x(j), f(x(i), x(j))});
            }
    for (int j = 0; j < n; ++j)
        for (int i = 0; i < n; ++i) {
            const int a = at[static_cast<size_t>(j * (n + 1) + i)], b = at[static_cast<size_t>(j * (n + 1) + i + 1)];
            const int c = at[static_cast<size_t>((j + 1) * (n + 1) + i)],
                      d = at[static_cast<size_t>((j + 1) * (n + 1) + i + 1)];
            const auto add = [&](int p, int q, int r) {
                if (p < 0 || q < 0 || r < 0) return;
                m.triangles.push_back({p, q, r});
            };
            if ((i + j) % 2) {
                add(a, b, d);
                add(a, d, c);
            } else {
                add(a, b, c);
                add(b, d, c);
            }
        }
    m.marks.assign(m.triangles.size(), form::Mark::Wall);
    return m;
}

struct Poured {
    double level = 0, held = 0, lost = 0;
    std::vector<double> depth;
};

/// Pours m³ onto a bare surface and looks where it stands.
Poured pour(const coat::Surface& s, double volume, const Vec3& up = {0, 0, 1}) {
    const auto c = test::coating("dark");
    coat::MeshFilm film(s, c, heat::CrystalLaw(c, io::library().physics), 0.3, {}, {}, 21);
    film.pour(volume, 32, 0.06, up);
    return {film.poolLevel(), film.volume(), film.dripped(), film.thickness()};
}

Poured pour(const form::Mesh& mesh, double volume, const Vec3& up = {0, 0, 1}) {
    return pour(coat::surfaceOf(mesh, true), volume, up);
}

}  // namespace

TEST_CASE("a pool in a ball stands as high as the cap formula says, held any way up") {
    // V = π h² (R − h/3): textbook; tilting the ball moves nothing
    const double R = 0.09;
    const auto ball = [&](int n) {
        return field(
            0.08, n, [&](double x, double y) { return R - std::sqrt(R * R - x * x - y * y); },
            [&](double x, double y) { return x * x + y * y < 0.078 * 0.078; });
    };
    for (const double h : {0.012, 0.0213, 0.035}) {
        const double volume = pi * h * h * (R - h / 3), spans = std::sqrt(2 * R * h - h * h);
        for (const int n : {32, 64, 128}) {
            INFO(h << " on " << n);
            if (2 * spans < 12 * 0.16 / n) continue;
            const auto p = pour(ball(n), volume);
            CHECK(p.level == Approx(h).epsilon(0.005));
            CHECK(p.held == Approx(volume).epsilon(1e-12));
            CHECK(p.lost == 0);
        }
    }
    const double h = 0.02, volume = pi * h * h * (R - h / 3);
    for (const double lean : {0.1, 0.2}) {
        const Vec3 up{std::sin(lean), 0, std::cos(lean)};
        // the lowest place of a tilted ball lies R under its centre
        CHECK(pour(ball(64), volume, up).level == Approx(form::dot(Vec3{0, 0, R}, up) - R + h).epsilon(0.005));
    }
}

TEST_CASE("a pool in a cone, a gutter round a ring and a tilted cup, by closed forms") {
    // cone of half angle 45°: V = π h³/3
    const auto cone = field(
        0.06, 72, [](double x, double y) { return std::hypot(x, y); },
        [](double x, double y) { return std::hypot(x, y) < 0.058; });
    const double h = 0.03;
    CHECK(pour(cone, pi * h * h * h / 3).level == Approx(h).epsilon(0.005));
    // torus: a segment of a circle of radius r, h high, whose centre goes round at R (Pappus–Guldin)
    const double R = 0.05, r = 0.015, depth = 0.008;
    const double angle = 2 * std::acos(1 - depth / r), segment = r * r / 2 * (angle - std::sin(angle));
    const auto torus = field(
        0.066, 132,
        [&](double x, double y) { return r - std::sqrt(std::max(0.0, r * r - std::pow(std::hypot(x, y) - R, 2))); },
        [&](double x, double y) { return std::abs(std::hypot(x, y) - R) < 0.97 * r; });
    CHECK(pour(torus, 2 * pi * R * segment).level == Approx(depth).epsilon(0.005));
    // a cylinder tilted by a: while its floor is covered the liquid reaches V/πR² up its axis
    const double cylinder = 0.03, up = 0.05, lean = 0.25;
    const auto cup = form::meridian(form::Cup{2 * cylinder, 2 * cylinder, 0.1, 0.0005, 0.1});
    REQUIRE(cup);
    const auto former = form::roundFormer(*cup, 8000);
    const Vec3 way{std::sin(lean), 0, std::cos(lean)};
    const auto p = pour(coat::surfaceOf(former.surface, false), pi * cylinder * cylinder * up, way);
    CHECK(p.level == Approx(up * std::cos(lean)).epsilon(0.005));
}

TEST_CASE("two basins: the lower fills first, spills over the saddle into the other, then both are one") {
    // z = ((x/b)² − 1)² a + c y² + s x: against sums over a grid of our own, 0.25 mm
    const double b = 0.025, a = 0.01, c = 8, s = 0.05;
    const auto z = [&](double x, double y) { return a * std::pow(x * x / (b * b) - 1, 2) + c * y * y + s * x; };
    const auto mesh = field(0.042, 168, z, [&](double x, double y) { return z(x, y) < 0.021; });
    double saddle = 0, low = 1e9, other = 1e9, at = 0;
    for (double x = -0.015; x < 0.015; x += 1e-5)
        if (z(x, 0) > saddle) saddle = z(x, 0), at = x;
    for (double x = -0.04; x < 0.04; x += 1e-5) (x < at ? low : other) = std::min(x < at ? low : other, z(x, 0));
    const auto below = [&](double level, int side) {
        double sum = 0;
        const double step = 0.00025;
        for (double x = -0.05; x < 0.05; x += step)
            for (double y = -0.05; y < 0.05; y += step)
                if (side == 0 || (side < 0) == (x < at)) sum += std::max(0.0, level - z(x, y)) * step * step;
        return sum;
    };
    const double capLow = below(saddle, -1), capOther = below(saddle, 1);
    const auto half = pour(mesh, 0.5 * capLow);  // only in the lower one
    CHECK(below(half.level, -1) == Approx(0.5 * capLow).epsilon(0.01));
    const auto surface = coat::surfaceOf(mesh, true);
    for (size_t i = 0; i < surface.size(); ++i)
        if (surface.at[i].x > at + 0.002) CHECK(half.depth[i] == 0);
    // more than it holds: what is too much lies in the other one, up to its own level
    const auto spilt = pour(mesh, capLow + 0.4 * capOther);
    double inOther = 0;
    for (size_t i = 0; i < surface.size(); ++i)
        if (surface.at[i].x > at) inOther += spilt.depth[i] * surface.area[i] * surface.normal[i].z;
    CHECK(inOther == Approx(0.4 * capOther).epsilon(0.03));
    // both full: one level over the saddle
    const double all = 1.3 * (capLow + capOther);
    const auto both = pour(mesh, all);
    CHECK(both.level > saddle);
    CHECK(below(both.level, 0) == Approx(all).epsilon(0.01));
    CHECK(other > low);
    // more than the rim holds runs out, and the books balance
    const auto over = pour(mesh, 40 * all);
    CHECK(over.lost > 0);
    CHECK(over.held + over.lost == Approx(40 * all).epsilon(1e-12));
    CHECK(over.level <= 0.0211);
}

TEST_CASE("chocolate brushed into a half ball lies no deeper than all of it would, on any grid") {
    // all of 150 g of melt, level: 21.3 mm deep in a half ball of 180 mm (cap formula); some stays on the wall as film
    double first = 0;
    for (const double triangles : {1000.0, 4000.0, 16000.0}) {
        Plan plan = test::planOf("half-ball", "compound");
        auto& p = plan.pieces[0];
        p.shape = form::Part{"half-ball", {{"diameter", 0.18}, {"depth", 0.09}}, {}, {}, {}, {}, {}, {}};
        PlannedCoat c;
        c.way = coat::Way::Brush;
        c.temperature = 38;
        c.brushMass = 0.15;
        c.delay = 30;
        c.stay = 1500;
        p.coats() = {c};
        const auto built = form::build(p.shape, {}, {triangles, 24, true});
        REQUIRE(built);
        const auto surface = coat::surfaceOf(built->items[0].shape.surface, false);
        const auto done = coat::coat(*meshJob(p, plan, io::library(), surface, false));
        REQUIRE(done);
        CHECK(done->mass == Approx(0.15).epsilon(1e-9));
        CHECK(done->coats[0].poolDeepest < 0.0213);
        CHECK(done->coats[0].poolDeepest > 0.012);
        if (first == 0) first = done->coats[0].poolDeepest;
        CHECK(done->coats[0].poolDeepest == Approx(first).epsilon(0.05));
        // the pool is level: depth and height add up to the same everywhere under it
        const double top = done->coats[0].poolDeepest;
        for (size_t i = 0; i < surface.size(); ++i)
            if (surface.at[i].z < 0.6 * top && surface.normal[i].z > 0.7)
                CHECK(done->coats[0].wall[i] + surface.at[i].z == Approx(top).epsilon(0.04));
    }
}

TEST_CASE(
    "a cup's floor is as deep in its middle as at its corner, and no corner radius makes a cliff of its minutes") {
    double before = 0;
    for (const double corner : {0.001, 0.002, 0.004, 0.006, 0.008}) {
        Plan plan;
        plan.pieces = {newPiece(plan, "cup")};
        plan.pieces[0].shape.values["corner"] = Measure(corner);
        for (auto& c : plan.pieces[0].coats()) c.rest = coat::Rest::Upright;
        const auto a = test::only(plan);
        const auto& s = *a->made->meridian;
        double inMiddle = 0, most = 0;
        for (size_t i = 0; i < s.profile.size(); ++i) {
            if (s.profile.normalZ[i] < 0.99) continue;
            if (inMiddle == 0) inMiddle = s.coats.wall[i];
            most = std::max(most, s.coats.wall[i]);
        }
        CHECK(most < 1.5 * inMiddle);
        CHECK(s.wall.thickest < 2.5 * inMiddle);  // a fillet in the corner, no lump
        const double minutes = a->made->wall->setting.back().release;
        if (before > 0) CHECK(minutes == Approx(before).epsilon(0.2));
        before = minutes;
    }
}

TEST_CASE("whatever is poured, turned and set, nothing is lost and no film turns negative") {
    std::mt19937 random(7);
    std::uniform_real_distribution<double> share(0, 1);
    const auto built = form::build(form::usual("ball"), {}, {700, 20, true});
    REQUIRE(built);
    const auto surface = coat::surfaceOf(built->items[0].shape.surface, false);
    const auto c = test::coating("milk");
    for (int k = 0; k < 12; ++k) {
        coat::MeshFilm film(surface, c, heat::CrystalLaw(c, io::library().physics), 0.3, {}, {}, 21);
        const double volume = (0.05 + 0.4 * share(random)) * coat::roomIn(surface);
        film.pour(volume, 30, 0.06, {0, 0, 1});
        coat::Surroundings around;
        around.air = 6;
        around.openSide = 0;
        around.formerSide = 11;
        for (int turn = 0; turn < 8; ++turn) {
            around.up = form::unit({share(random) - 0.5, share(random) - 0.5, share(random) - 0.5});
            REQUIRE(film.run(5 + 90 * share(random), around));
            CHECK(film.volume() + film.dripped() == Approx(volume).epsilon(1e-10));
            CHECK(film.leastMobile() >= 0);
        }
        for (const double t : film.thickness()) CHECK((std::isfinite(t) && t >= 0 && t < 0.11));
        for (const double T : film.temperatures())
            CHECK((T > 5 && T < 31));  // nothing is colder than the air or warmer than what was poured
    }
}

TEST_CASE("a turned ball comes out alike on any net: nowhere bare, the same mean, its median within a tenth") {
    // a film of less than nothing by round-off once made a pool stand still on one net in three
    std::vector<double> medians;
    for (const double triangles : {500.0, 600.0, 700.0, 800.0, 900.0, 1200.0}) {
        Plan plan = test::planOf("ball");
        const auto built = form::build(plan.pieces[0].shape, {}, {triangles, 24, true});
        REQUIRE(built);
        const auto surface = coat::surfaceOf(built->items[0].shape.surface, false);
        const auto done = coat::coat(*meshJob(plan.pieces[0], plan, io::library(), surface, false));
        REQUIRE(done);
        const auto& c = done->coats[0];
        INFO(triangles);
        CHECK(c.bare == 0);
        CHECK_FALSE(std::isnan(c.lockLast));
        CHECK(done->error < 1e-10);
        std::vector<std::pair<double, double>> walls;
        double area = 0;
        for (size_t i = 0; i < surface.size(); ++i) {
            walls.emplace_back(c.wall[i], surface.area[i]);
            area += surface.area[i];
        }
        medians.push_back(coat::medianByArea(walls, area));
        CHECK(medians.back() == Approx(medians.front()).epsilon(0.1));
    }
}

TEST_CASE("a ball spun longer is never less even, and turning it in the fridge leaves every side coated") {
    const auto wall = [](coat::Motion motion, double seconds, coat::Place where) {
        Plan plan = test::planOf("ball");
        auto& c = plan.pieces[0].coats()[0];
        c.motion = motion;
        c.moveFor = Measure(seconds);
        c.moveEvery = 120;
        c.moveIn = where;
        c.stay = 3600;
        const auto a = test::only(plan);
        return std::pair{a->made->wall->thinnest / a->made->wall->mean, a->made->wall->thickest / a->made->wall->mean};
    };
    const auto brief = wall(coat::Motion::Spin, 120, coat::Place::Table),
               longer = wall(coat::Motion::Spin, 480, coat::Place::Table),
               whole = wall(coat::Motion::Spin, 900, coat::Place::Table);
    CHECK(longer.second <= brief.second * 1.02);
    CHECK(whole.second <= longer.second * 1.02);
    CHECK(whole.first > 0.25);
    // where the last pool lay there is a lump, and the answer says so
    const auto turned = wall(coat::Motion::Over, 900, coat::Place::Fridge);
    CHECK(turned.second > 2);
    const auto a = test::only(test::planOf("ball"));
    const auto* said = test::find(*a, "wall");
    REQUIRE(said);
    CHECK((said->sentence.find("A lump lies") != std::string::npos) ==
          (a->made->wall->thickest > 3 * a->made->wall->mean && a->made->wall->thickest > 0.008));
}

TEST_CASE(
    "a ball a quarter full turned every two minutes in the fridge comes out usable, and the more it is moved the more "
    "even") {
    // common practice, no source: such balls are used. Thinnest place against the mean.
    for (const double diameter : {0.07, 0.1, 0.12}) {
        const auto least = [&](coat::Motion motion, double every) {
            Plan plan = test::planOf("ball");
            plan.pieces[0].shape.values["diameter"] = Measure(diameter);
            auto& c = plan.pieces[0].coats()[0];
            c.motion = motion;
            c.moveEvery = every;
            const auto a = test::only(plan);
            CHECK(a->made->wall->error < 1e-10);
            CHECK(a->made->wall->bare == 0);
            return a->made->wall->thinnest / a->made->wall->mean;
        };
        INFO(diameter);
        const double turned = least(coat::Motion::Over, 120), often = least(coat::Motion::Over, 60),
                     always = least(coat::Motion::Spin, 120);
        CHECK(turned >= 0.5);
        CHECK(often >= 0.95 * turned);
        CHECK(always >= 0.95 * often);
    }
}

TEST_CASE("hands roll a ball once round before they set it on its next side") {
    const auto turns = coat::turnedEvery(120, 3);
    double all = 0;
    int held = 0;
    for (const auto& t : turns) {
        all += t.seconds;
        held += t.seconds > 60;
        CHECK(form::length(t.up) == Approx(1));
    }
    CHECK(all == Approx(360));
    CHECK(held == 3);
    form::Vec3 sum;
    for (size_t i = 0; i < 10; ++i) sum += turns[i].up;  // every side once: no direction is left out
    CHECK(form::length(sum) < 0.6);
    for (const auto& t : coat::turnedEvery(4, 2)) CHECK(t.seconds > 0);
}

TEST_CASE("a film at rest above a pool is as thick as its yield stress holds it, thinner only near the shore") {
    const double H = 0.003;  // τ₀/(ρ g sin α)
    for (const double tangent : {0.05, 0.6, 3.0}) {
        INFO(tangent);
        CHECK(coat::filmAbove(0, H, tangent, 1) ==
              Approx(H).epsilon(1e-4));  // far up: the film that arrests on a slope
        // near the shore, or on a nearly level floor: h² = 2 τ₀ d/(ρ g cos α)
        const double d = 1e-3 * H / tangent;
        CHECK(coat::filmAbove(0, H, tangent, d) == Approx(std::sqrt(2 * H * tangent * d)).epsilon(0.03));
        // in two steps as in one
        const double far = 1.3 * H / tangent;
        CHECK(coat::filmAbove(coat::filmAbove(0, H, tangent, 0.4 * far), H, tangent, 0.6 * far) ==
              Approx(coat::filmAbove(0, H, tangent, far)).epsilon(1e-4));
        // against the equation itself, h/(H − h) dh = tan α ds, by small steps
        double h = coat::filmAbove(0, H, tangent, 0.05 * far);
        for (int k = 0; k < 20000; ++k) h += tangent * (H - h) / h * 0.95 * far / 20000;
        CHECK(coat::filmAbove(0, H, tangent, far) == Approx(h).epsilon(2e-3));
    }
}

}  // namespace uovo::hollows_test
