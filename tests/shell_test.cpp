// Shell finite elements: patch tests, balances, invariance, what is refused. Benchmarks are in verification/shell.json.
#include <Eigen/Dense>
#include <catch2/catch.hpp>

#include "core/shell/balance.h"
#include "support_shell.h"

namespace uovo::shell::shell_test {

using form::Vec3;
using test::dotOf;

namespace {

/// Freedoms of a smooth field of shifts and rotations on every corner.
Freedoms field(const Model& m, const std::function<std::array<double, 6>(const Vec3&)>& at) {
    Freedoms u;
    for (const auto& p : m.points)
        for (const double c : at(p)) u.push_back(c);
    return u;
}

bool onEdge(const Vec3& p) { return p.x < 1e-9 || p.y < 1e-9 || p.x > 1 - 1e-9 || p.y > 1 - 1e-9; }

/// Solves with the edge corners moved as a field says, by K u = 0 inside: the load is that of the moved edge.
Freedoms inside(const Model& m, const Freedoms& wanted) {
    std::vector<Support> edge;
    for (size_t i = 0; i < m.points.size(); ++i)
        if (onEdge(m.points[i])) edge.push_back({static_cast<int>(i), 63});
    const auto system = System::build(m, edge);
    REQUIRE(system);
    Freedoms moved(wanted.size(), 0.0);
    for (const auto& e : edge)
        for (size_t c = 0; c < 6; ++c)
            moved[6 * static_cast<size_t>(e.point) + c] = wanted[6 * static_cast<size_t>(e.point) + c];
    Freedoms load = system->internal(moved);
    for (auto& f : load) f = -f;
    auto u = system->solve({load})[0];
    for (size_t i = 0; i < u.size(); ++i) u[i] += moved[i];
    return u;
}

void same(const Freedoms& a, const Freedoms& b, double within) {
    double worst = 0;
    for (size_t i = 0; i < a.size(); ++i) worst = std::max(worst, std::abs(a[i] - b[i]));
    CHECK(worst < within);
}

}  // namespace

TEST_CASE("patch test: an even pull, push or shear in the plane is met exactly on triangles of any form") {
    const Model m = test::skewedPlate();
    for (const auto& e : {std::array{1e-3, 0.0, 0.0}, std::array{0.0, 1e-3, 0.0}, std::array{0.0, 0.0, 1e-3},
                          std::array{4e-4, -7e-4, 3e-4}}) {
        const auto wanted = field(m, [&](const Vec3& p) {
            return std::array{e[0] * p.x + 0.5 * e[2] * p.y, e[1] * p.y + 0.5 * e[2] * p.x, 0.0, 0.0, 0.0, 0.0};
        });
        const auto u = inside(m, wanted);
        same(u, wanted, 1e-14);
        const auto s = stresses(m, faces(m), u);
        const Eigen::Vector3d exact = planeStress({e[0], e[1], e[2]}, m.material.young, m.material.poisson);
        for (const auto& t : s.membrane) {
            CHECK(t(0) == Approx(exact(0)).margin(1e-4));
            CHECK(t(1) == Approx(exact(1)).margin(1e-4));
            CHECK(t(3) == Approx(exact(2)).margin(1e-4));
        }
        for (const auto& t : s.cornerMembrane)
            CHECK(t(0) == Approx(exact(0)).margin(1e-4));  // corners of free edges too
    }
}

TEST_CASE("patch test: even bending and twisting is met exactly on triangles of any form") {
    const Model m = test::skewedPlate(5);
    for (const auto& k : {std::array{1.0, 0.0, 0.0}, std::array{0.0, 1.0, 0.0}, std::array{0.0, 0.0, 1.0},
                          std::array{0.3, -0.8, 0.5}}) {
        // w = ½ k x² …: rotations θx = w,y and θy = −w,x
        const auto wanted = field(m, [&](const Vec3& p) {
            return std::array{0.0,
                              0.0,
                              0.5 * k[0] * p.x * p.x + 0.5 * k[1] * p.y * p.y + 0.5 * k[2] * p.x * p.y,
                              k[1] * p.y + 0.5 * k[2] * p.x,
                              -k[0] * p.x - 0.5 * k[2] * p.y,
                              0.0};
        });
        const auto u = inside(m, wanted);
        same(u, wanted, 1e-11);
        const auto s = stresses(m, faces(m), u);
        const Eigen::Vector3d exact = planeStress(Eigen::Vector3d(-k[0], -k[1], -k[2]) * 0.01, m.material.young,
                                                  m.material.poisson);  // half the thickness is 10 mm
        for (const auto& t : s.bending) {
            CHECK(t(0) == Approx(exact(0)).margin(1e-3));
            CHECK(t(1) == Approx(exact(1)).margin(1e-3));
            CHECK(t(3) == Approx(exact(2)).margin(1e-3));
        }
    }
}

TEST_CASE("an even pull on a free edge by its line load stretches a plate evenly") {
    const Model m = test::skewedPlate(7);
    std::vector<Support> held;
    for (size_t i = 0; i < m.points.size(); ++i) {
        unsigned fixed = m.points[i].x < 1e-9 ? 1u | 4u | 16u | 32u : 0u;
        if (m.points[i].x < 1e-9 && m.points[i].y < 1e-9) fixed |= 2u;
        if (m.points[i].x > 1 - 1e-9 && m.points[i].y < 1e-9) fixed |= 4u;
        if (fixed) held.push_back({static_cast<int>(i), fixed});
    }
    const auto system = System::build(m, held);
    REQUIRE(system);
    Freedoms load = noLoad(m);
    addLine(
        m, {2000, 0, 0}, [](const Vec3& p) { return p.x > 1 - 1e-9; }, load);
    const auto u = system->solve({load})[0];
    for (const auto& t : stresses(m, faces(m), u).membrane) {
        CHECK(t(0) == Approx(2000 / 0.02).epsilon(1e-9));
        CHECK(t(1) == Approx(0).margin(1e-3));
    }
}

TEST_CASE("moving and turning a piece as a whole strains nothing") {
    const Model m = test::bowl(24, 9);
    const auto system = System::build(m, sixFreedoms(m));
    REQUIRE(system);
    double stiff = 0;
    for (size_t k = 0; k < 20; ++k)
        stiff = std::max(stiff, stiffness(m.facet(k), m.material.young, m.material.poisson).cwiseAbs().maxCoeff());
    for (int mode = 0; mode < 6; ++mode) {
        const auto u = field(m, [&](const Vec3& p) {
            std::array<double, 6> out{};
            if (mode < 3) {
                out[static_cast<size_t>(mode)] = 1e-3;
            } else {
                const Vec3 w{mode == 3 ? 1e-2 : 0, mode == 4 ? 1e-2 : 0, mode == 5 ? 1e-2 : 0}, s = form::cross(w, p);
                out = {s.x, s.y, s.z, w.x, w.y, w.z};
            }
            return out;
        });
        double worst = 0;
        for (const double f : system->internal(u)) worst = std::max(worst, std::abs(f));
        CHECK(worst < 1e-12 * stiff);
    }
}

TEST_CASE("energy balances, and what the supports give back is what was laid on") {
    const Model m = test::bowl();
    std::vector<Support> foot;
    for (size_t i = 0; i < m.points.size(); ++i)
        if (m.points[i].z < 0.004) foot.push_back({static_cast<int>(i), 7});
    const auto system = System::build(m, foot);
    REQUIRE(system);
    Freedoms load = noLoad(m);
    addBody(m, {1, -2, -9.81}, load);
    addLiquid(m, 1000, 0.03, true, load);
    addForce(pad(m, {0.06, 0, 0.06}, 0.008), {-2, 0.5, 0}, load);
    const auto u = system->solve({load})[0];
    const double energy = 0.5 * dotOf(u, system->internal(u));
    CHECK(energy > 0);
    CHECK(energy == Approx(0.5 * dotOf(u, load)).epsilon(1e-10));
    const auto on = resultant(m, load), back = resultant(m, system->reactions(u, load));
    const double size = form::length(on.force);
    CHECK(form::length(on.force + back.force) < 1e-9 * size);
    CHECK(form::length(on.moment + back.moment) < 1e-9 * size * 0.1);
    // two loads together are their sum, and twice the load twice the shifts
    Freedoms twice = load;
    for (auto& f : twice) f *= 2;
    const auto both = system->solve({load, twice});
    for (size_t i = 0; i < u.size(); i += 97) CHECK(both[1][i] == Approx(2 * both[0][i]).margin(1e-15));
}

TEST_CASE("a liquid weighs what it weighs: its pressures add up to ρ g V, by a closed form") {
    Model m = test::bowl(160, 80);
    Freedoms load = noLoad(m);
    const double h = 0.03, R = 0.06;
    addLiquid(m, 1000, h, true, load);
    const auto r = resultant(m, load);
    CHECK(-r.force.z == Approx(1000 * 9.80665 * std::numbers::pi * h * h * (R - h / 3))
                            .epsilon(0.01));  // a ball's cap; facets lie inside
    CHECK(std::abs(r.force.x) < 1e-9);
    Freedoms weight = noLoad(m);
    addBody(m, {0, 0, -1}, weight);
    double area = 0;
    for (size_t k = 0; k < m.triangles.size(); ++k) area += m.facet(k).area;
    CHECK(-resultant(m, weight).force.z == Approx(area * 0.002 * 1300).epsilon(1e-12));
}

TEST_CASE("turning a piece about changes nothing: shifts, stresses, verdict") {
    const Model m = test::bowl(32, 12);
    const Eigen::AngleAxisd turn(0.7, Eigen::Vector3d(0.3, -0.5, 0.8).normalized());
    const auto turned = [&](const Vec3& p) {
        const Eigen::Vector3d q = turn * Eigen::Vector3d(p.x, p.y, p.z);
        return Vec3{q(0), q(1), q(2)};
    };
    Model t = m;
    for (auto& p : t.points) p = turned(p);
    const auto run = [&](const Model& model, const std::function<Vec3(const Vec3&)>& in) {
        std::vector<Support> foot;
        for (size_t i = 0; i < m.points.size(); ++i)
            if (m.points[i].z < 0.003) foot.push_back({static_cast<int>(i), 63});
        const auto system = System::build(model, foot);
        REQUIRE(system);
        Freedoms load = noLoad(model);
        addForce(pad(model, in({0.06, 0, 0.06}), 0.01), in({-1, 0.3, 0.2}), load);
        const auto u = system->solve({load})[0];
        const auto f = faces(model);
        const auto s = stresses(model, f, u);
        return std::tuple{dotOf(u, load), greatest(model, f, s).stress, verdict(model, f, s, {}).equivalent};
    };
    const auto [w0, p0, e0] = run(m, [](const Vec3& p) { return p; });
    const auto [w1, p1, e1] = run(t, turned);
    CHECK(w1 == Approx(w0).epsilon(1e-8));
    CHECK(p1 == Approx(p0).epsilon(1e-8));
    CHECK(e1 == Approx(e0).epsilon(1e-8));
}

TEST_CASE("the structure of a factor is kept: another wall and modulus give the same as afresh") {
    Model m = test::bowl();
    const auto six = sixFreedoms(m);
    const auto first = System::build(m, six);
    REQUIRE(first);
    for (size_t i = 0; i < m.points.size(); ++i) m.thickness[i] = 0.002 + 0.01 * m.points[i].z;
    m.material.young = 2.5e8;
    const auto again = System::build(m, six, {}, {}, first->structure()), afresh = System::build(m, six);
    REQUIRE(again);
    CHECK(again->structure() == first->structure());
    CHECK(again->times().order == Approx(0).margin(1e-3));
    Freedoms load = noLoad(m);
    addForce(pad(m, {0.06, 0, 0.06}, 0.01), {-1, 0, 0}, load);
    addForce(pad(m, {-0.06, 0, 0.06}, 0.01), {1, 0, 0}, load);
    const auto u = again->solve({load})[0], v = afresh->solve({load})[0];
    CHECK(dotOf(u, load) == Approx(dotOf(v, load)).epsilon(1e-9));
    // a body that floats: balanced loads leave no force in its six supports
    const auto back = again->reactions(u, load);
    for (const double f : back) CHECK(std::abs(f) < 1e-7);
}

TEST_CASE("a part that is tied to another moves with it: a strip of two halves bends like one") {
    const auto strip = [](double from, double to, int across) {
        return test::net(
            across, 4,
            [=](double u, double v) {
                return Vec3{from + (to - from) * u, 0.02 * v, 0};
            },
            0.004);
    };
    const auto tip = [](const Model& m, std::vector<Tie> ties) {
        std::vector<Support> held;
        Freedoms load = noLoad(m);
        for (size_t i = 0; i < m.points.size(); ++i)
            if (m.points[i].x < 1e-9) held.push_back({static_cast<int>(i), 63});
        addLine(
            m, {0, 0, -1}, [](const Vec3& p) { return p.x > 0.2 - 1e-9; }, load);
        const auto system = System::build(m, held, std::move(ties));
        REQUIRE(system);
        return dotOf(system->solve({load})[0], load);
    };
    const double whole = tip(strip(0, 0.2, 40), {});
    Model both = strip(0, 0.1, 20);
    const Model right = strip(0.1, 0.2, 20);
    const int shift = static_cast<int>(both.points.size());
    std::vector<Tie> ties;
    for (size_t i = 0; i < right.points.size(); ++i)
        if (right.points[i].x < 0.1 + 1e-9)
            for (const auto& t : both.triangles) {  // the corner of the left half that lies there
                bool found = false;
                for (size_t c = 0; c < 3 && !found; ++c)
                    if (form::length(both.points[static_cast<size_t>(t[c])] - right.points[i]) < 1e-9) {
                        ties.push_back({shift + static_cast<int>(i), {{t[c], 1.0}}});
                        found = true;
                    }
                if (found) break;
            }
    REQUIRE(ties.size() == 5);
    const auto left = both.points.size();
    both.points.insert(both.points.end(), right.points.begin(), right.points.end());
    both.thickness.insert(both.thickness.end(), right.thickness.begin(), right.thickness.end());
    for (const auto& t : right.triangles)
        both.triangles.push_back(
            {t[0] + static_cast<int>(left), t[1] + static_cast<int>(left), t[2] + static_cast<int>(left)});
    CHECK(tip(both, ties) == Approx(whole).epsilon(0.01));
    // and without the ties nothing holds the right half
    std::vector<Support> held;
    for (size_t i = 0; i < both.points.size(); ++i)
        if (both.points[i].x < 1e-9) held.push_back({static_cast<int>(i), 63});
    both.part.assign(both.triangles.size(), 0);
    for (size_t k = both.triangles.size() / 2; k < both.triangles.size(); ++k) both.part[k] = 1;
    both.names = {"left half", "right half"};
    const auto loose = System::build(both, held);
    REQUIRE_FALSE(loose);
    CHECK(loose.error().sentence == "Nothing holds the right half.");
}

TEST_CASE("what cannot be reckoned is said in words: no wall, bare spots, nothing that holds, a hinge") {
    const Model good = test::skewedPlate();
    const auto said = [](const Model& m, std::vector<Support> s) {
        const auto built = System::build(m, std::move(s));
        return built ? std::string() : built.error().sentence;
    };
    const auto six = sixFreedoms(good);
    CHECK(said(good, six).empty());
    CHECK(said(Model{}, {}).find("no wall") != std::string::npos);
    CHECK(said(good, {}).find("Nothing holds the piece") != std::string::npos);
    CHECK(said(good, {{0, 7}}).find("too few ways") != std::string::npos);
    Model bare = good;
    bare.thickness[7] = 0;
    CHECK(said(bare, six).find("bare") != std::string::npos);
    bare.thickness[7] = -0.001;
    CHECK(said(bare, six).find("no thickness") != std::string::npos);
    bare.thickness[7] = std::nan("");
    CHECK_FALSE(said(bare, six).empty());
    Model flat = good;
    flat.points[static_cast<size_t>(flat.triangles[0][1])] = flat.points[static_cast<size_t>(flat.triangles[0][0])];
    CHECK(said(flat, six).find("no area") != std::string::npos);
    // held along one line: it swings like a door
    std::vector<Support> hinge;
    for (size_t i = 0; i < good.points.size(); ++i)
        if (good.points[i].x < 1e-9) hinge.push_back({static_cast<int>(i), 7});
    CHECK(said(good, hinge).find("hinge") != std::string::npos);
    Model wrong = good;
    wrong.triangles[2][1] = 9999;
    CHECK(said(wrong, six).find("does not exist") != std::string::npos);
    Model soft = good;
    soft.material.poisson = 0.5;
    CHECK_FALSE(said(soft, six).empty());
}

TEST_CASE("a body rests on a table that only pushes: three lumps by hand, and a push that tips it") {
    const Model m = test::net(
        12, 12,
        [](double u, double v) {
            return Vec3{0.2 * u - 0.1, 0.2 * v - 0.1, 0};
        },
        0.004);
    const auto system = System::build(m, sixFreedoms(m));
    REQUIRE(system);
    const auto at = [&](double x, double y) { return pad(m, {x, y, 0}, 0).front().first; };
    const std::vector<Pad> lumps{{{at(-0.1, -0.1), 1.0}}, {{at(0.1, -0.1), 1.0}}, {{at(0, 0.1), 1.0}}};
    Freedoms load = noLoad(m);
    addForce({{at(0, 0), 1.0}}, {0, 0, -4}, load);
    const auto c = Foot(*system, lumps).rest(load);
    REQUIRE(c.stands);
    CHECK(c.force[0] == Approx(1));  // moments about the far lump: half of it there
    CHECK(c.force[1] == Approx(1));
    CHECK(c.force[2] == Approx(2));
    // many feet: their forces are pushes, and balance
    std::vector<Pad> feet;
    for (size_t i = 0; i < m.points.size(); ++i)
        if (std::abs(m.points[i].x) > 0.099 || std::abs(m.points[i].y) > 0.099)
            feet.push_back({{static_cast<int>(i), 1.0}});
    const auto ring = Foot(*system, feet).rest(load);
    REQUIRE(ring.stands);
    double sum = 0;
    int lifted = 0;
    for (const double f : ring.force) {
        CHECK(f >= 0);
        sum += f;
        lifted += f == 0;
    }
    CHECK(sum == Approx(4));
    CHECK(lifted > 0);  // a plate pressed in its middle lifts its corners
    Freedoms over = noLoad(m);
    addForce({{at(0.1, 0.1), 1.0}}, {0, 0, -1}, over);
    CHECK_FALSE(Foot(*system, lumps).rest(over).stands);
}

TEST_CASE("the verdict does not follow the mesh: a finger on a rim, five and twenty thousand triangles", "[long]") {
    const auto squeezed = [](int around, int up) {
        const Model m = test::bowl(around, up);
        const auto system = System::build(m, sixFreedoms(m));
        REQUIRE(system);
        Freedoms load = noLoad(m);
        addForce(pad(m, {0.06, 0, 0.056}, 0.007), {-0.5, 0, 0}, load);
        addForce(pad(m, {-0.06, 0, 0.056}, 0.007), {0.5, 0, 0}, load);
        const auto f = faces(m);
        const auto s = stresses(m, f, system->solve({load})[0]);
        return std::pair{verdict(m, f, s, {}).margin, greatest(m, f, s).at};
    };
    const auto [coarse, at] = squeezed(100, 25);
    const auto [fine, there] = squeezed(200, 50);
    CHECK(coarse == Approx(fine).epsilon(0.05));
    CHECK(form::length(at - there) < 0.004);
    CHECK(at.z > 0.05);
}

TEST_CASE("Weibull: scatter, size and half a load, by hand") {
    Strength s;
    CHECK(stressThatCracks(cracksAt(0.9e6, s), s) == Approx(0.9e6));
    CHECK(cracksAt(0, s) == 0);
    // mean of the distribution is the bars' mean: ∫ (1 − P) dσ
    double mean = 0;
    for (double x = 0; x < 3e6; x += 1000) mean += 1000 * (1 - cracksAt(x + 500, s));
    CHECK(mean == Approx(s.mean).epsilon(1e-4));
    const Model m = test::bowl(40, 16);
    const auto system = System::build(m, sixFreedoms(m));
    Freedoms load = noLoad(m);
    addForce(pad(m, {0.06, 0, 0.056}, 0.01), {-0.5, 0, 0}, load);
    addForce(pad(m, {-0.06, 0, 0.056}, 0.01), {0.5, 0, 0}, load);
    auto u = system->solve({load})[0];
    const auto f = faces(m);
    const auto one = verdict(m, f, stresses(m, f, u), s);
    for (auto& x : u) x *= 0.5;
    const auto half = verdict(m, f, stresses(m, f, u), s);
    CHECK(half.margin == Approx(2 * one.margin));
    CHECK(half.equivalent == Approx(0.5 * one.equivalent));
    Strength strong = s;
    strong.mean = 2e6;
    CHECK(verdict(m, f, stresses(m, f, u), strong).margin == Approx(2 * half.margin));
    // a weak seam through all of it halves what it bears
    CHECK(verdict(m, f, stresses(m, f, u), s, std::vector<double>(m.triangles.size(), 0.5)).margin ==
          Approx(0.5 * half.margin));
    CHECK(one.cracks > half.cracks);
}

TEST_CASE("grains press as Janssen says: like a liquid at first, to a limit deep down, and hang on the wall") {
    // H. A. Janssen, "Versuche über Getreidedruck in Silozellen", Z. VDI 39 (1895): p = ρ g D/(4 µ) [1 - exp(-4 µ K
    // z/D)]; his limit by hand.
    const Grains g{800, 0.3, 0.1, 0.4, 0.5};
    const double weight = 800 * 9.80665;
    CHECK(g.pressure(1e-4) == Approx(0.5 * weight * 1e-4).epsilon(1e-3));    // K ρ g z
    CHECK(g.pressure(5) == Approx(weight * 0.1 / (4 * 0.4)).epsilon(1e-9));  // ρ g D/(4 µ): 490 Pa
    CHECK(g.pressure(0.125) == Approx(weight * 0.1 / 1.6 * (1 - std::exp(-1.0))).epsilon(1e-9));
    CHECK(g.pressure(-1) == 0);
    // a tube with a floor carries all that is in it: drag on the wall and what is left for the floor
    const double r = 0.05, deep = 0.3;
    Model m = test::net(
        96, 120,
        [=](double u, double v) {
            return Vec3{r * std::cos(2 * M_PI * u), r * std::sin(2 * M_PI * u), deep * v};
        },
        0.002);
    Freedoms wall = noLoad(m);
    addGrains(m, g, wall);
    const auto hung = resultant(m, wall).force;
    const double floor = g.pressure(deep) / g.aside * M_PI * r * r, all = weight * M_PI * r * r * deep;
    CHECK(-hung.z == Approx(all - floor).epsilon(0.01));
    CHECK(std::hypot(hung.x, hung.y) < 1e-6 * all);
}

TEST_CASE("a tie to a patch passes on force and moment whole, and lets rigid motions be") {
    Model m = test::net(
        16, 16,
        [](double u, double v) {
            return Vec3{0.1 * u, 0.1 * v, 0};
        },
        0.003);
    const size_t plate = m.points.size();
    const Model post = test::net(
        4, 4,
        [](double u, double v) {
            return Vec3{0.05, 0.045 + 0.01 * u, 0.002 + 0.03 * v};
        },
        0.003);
    m.points.insert(m.points.end(), post.points.begin(), post.points.end());
    m.thickness.insert(m.thickness.end(), post.thickness.begin(), post.thickness.end());
    for (auto t : post.triangles) {
        for (auto& i : t) i += static_cast<int>(plate);
        m.triangles.push_back(t);
    }
    std::vector<Tie> ties;
    for (size_t i = plate; i < m.points.size(); ++i)
        if (m.points[i].z < 0.0021) {
            Tie tie{static_cast<int>(i), {}};
            double all = 0;
            for (size_t k = 0; k < plate; ++k) {
                const double d = form::length(m.points[k] - m.points[i]) / 0.015;
                if (d < 1) tie.to.emplace_back(static_cast<int>(k), 1 - d * d);
                if (d < 1) all += 1 - d * d;
            }
            for (auto& [corner, share] : tie.to) share /= all;
            ties.push_back(std::move(tie));
        }
    REQUIRE(ties.size() == 5);
    std::vector<Support> held;
    for (size_t i = 0; i < plate; ++i)
        if (m.points[i].x < 1e-9) held.push_back({static_cast<int>(i), 63});
    const auto system = System::build(m, held, ties);
    REQUIRE(system);
    Freedoms load = noLoad(m);
    addForce(pad(m, {0.05, 0.05, 0.032}, 0.004), {0.3, 0.2, -1}, load);
    const auto u = system->solve({load})[0];
    const auto back = resultant(m, system->reactions(u, load)), given = resultant(m, load);
    CHECK(back.force.x == Approx(-given.force.x).epsilon(1e-6));
    CHECK(back.force.y == Approx(-given.force.y).epsilon(1e-6));
    CHECK(back.force.z == Approx(-given.force.z).epsilon(1e-6));
    CHECK(back.moment.y == Approx(-given.moment.y).epsilon(1e-6));
    // a motion of the whole strains nothing, the ties neither
    Freedoms whole(6 * m.points.size());
    const Vec3 turn{0.1, -0.2, 0.3};
    for (size_t i = 0; i < m.points.size(); ++i) {
        const Vec3 v = Vec3{1, 2, 3} + form::cross(turn, m.points[i]);
        const double six[]{v.x, v.y, v.z, turn.x, turn.y, turn.z};
        std::copy(std::begin(six), std::end(six), whole.begin() + static_cast<std::ptrdiff_t>(6 * i));
    }
    const auto strained = system->internal(whole);
    double most = 0;
    for (const double f : strained) most = std::max(most, std::abs(f));
    CHECK(most < 1e-6 * system->model().material.young * 0.003);
}

TEST_CASE("a balance is spread by area: it meets the load on coarse and fine corners alike") {
    const Model m = test::bowl(40, 12);
    std::vector<int> on;
    for (size_t i = 0; i < m.points.size(); i += 3) on.push_back(static_cast<int>(i));
    Freedoms load = noLoad(m);
    addForce({{5, 1.0}}, {1, -2, 0.5}, load);
    addBody(m, {0, 0.3, -9.81}, load);
    balance(m, on, load);
    const auto r = resultant(m, load);
    CHECK(form::length(r.force) < 1e-10);
    CHECK(form::length(r.moment) < 1e-10);
    // points on one line cannot give back a turn about it; nothing blows up
    Freedoms twist = noLoad(m);
    twist[3] = 1;
    balance(m, {0}, twist);
    for (const double f : twist) CHECK(std::isfinite(f));
}

TEST_CASE("the bending of a body is told from its motion") {
    const Model m = test::bowl(24, 8);
    Freedoms u(6 * m.points.size(), 0.0);
    for (size_t i = 0; i < m.points.size(); ++i) {
        const Vec3 v = Vec3{1e-3, -2e-3, 5e-4} + form::cross({1e-3, 2e-3, -1e-3}, m.points[i]);
        u[6 * i] = v.x;
        u[6 * i + 1] = v.y;
        u[6 * i + 2] = v.z;
    }
    for (const auto& s : deformed(m, u)) CHECK(form::length(s) < 1e-12);
    u[2] += 1e-4;
    CHECK(form::length(deformed(m, u)[0]) > 0.9e-4);
}

TEST_CASE("corner values inside a smooth face are exact for quadratic stresses: a peak is not cut off") {
    for (const unsigned seed : {3u, 4u, 5u}) {
        const Model m = uovo::test::skewedPlate(seed);
        const auto f = faces(m);
        const auto field = [](const form::Vec3& p) {
            return 1 + 2 * p.x - p.y + 3 * p.x * p.x - 4 * p.x * p.y + 2 * p.y * p.y;
        };
        int inner = 0;
        for (size_t k = 0; k < m.triangles.size(); ++k)
            for (size_t i = 0; i < 3; ++i) {
                const auto at = static_cast<size_t>(f.place[k][i]);
                if (f.edge[at]) continue;
                double value = 0, sum = 0;
                for (size_t q = f.first[at]; q < f.first[at + 1]; ++q) {
                    const auto& t = m.triangles[static_cast<size_t>(f.triangle[q])];
                    double mean = 0;  // of a quadratic, by the middles of the sides: exact
                    for (size_t c = 0; c < 3; ++c)
                        mean += field((m.points[static_cast<size_t>(t[c])] +
                                       m.points[static_cast<size_t>(t[(c + 1) % 3])]) *
                                      0.5) /
                                3;
                    value += f.share[q] * mean;
                    sum += f.share[q];
                }
                CHECK(sum == Approx(1));
                if (f.first[at + 1] - f.first[at] < 9) continue;
                CHECK(value == Approx(field(m.points[static_cast<size_t>(m.triangles[k][i])])).epsilon(1e-8));
                ++inner;
            }
        CHECK(inner > 20);
    }
}

TEST_CASE("the greatest stress in a fillet with a waist is there on few triangles already") {
    // two plates meet in a round fillet and are squeezed at their ends: the moment peaks in the fillet, at the waist's
    // free edge
    const double L = 0.04, r = 0.006, whole = 2 * L + M_PI / 2 * r;
    const auto at = [&](double u, double v) {
        const double s = v * whole, y = (u - 0.5) * 0.03 * (0.6 + 0.4 * std::pow(2 * v - 1, 2)), a = (s - L) / r;
        return s < L           ? Vec3{s - L - r, y, 0}
               : s < whole - L ? Vec3{-r + r * std::sin(a), y, r - r * std::cos(a)}
                               : Vec3{0, y, r + s - whole + L};
    };
    const auto peak = [&](int along) {
        const Model m = test::net(along / 6, along, at, 0.0025);
        const auto sys = System::build(m, sixFreedoms(m, {}));
        REQUIRE(sys);
        Freedoms load = noLoad(m);
        const Vec3 one{-L - r, 0, 0}, two{0, 0, L + r}, way = form::unit(two - one);
        addForce(pad(m, one, 0.004), way, load);
        addForce(pad(m, two, 0.004), way * -1.0, load);
        std::vector<int> all(m.points.size());
        for (size_t i = 0; i < all.size(); ++i) all[i] = static_cast<int>(i);
        balance(m, all, load);
        std::vector<bool> fillet(m.triangles.size());
        for (size_t k = 0; k < fillet.size(); ++k) {
            const Vec3& p = m.points[static_cast<size_t>(m.triangles[k][0])];
            fillet[k] = p.x > -r - 0.004 && p.z < r + 0.004;
        }
        const auto f = faces(m);
        return greatest(m, f, stresses(m, f, sys->solve({load})[0]), fillet).stress;
    };
    const double fine = peak(216);
    CHECK(peak(72) == Approx(fine).epsilon(0.02));
    CHECK(peak(108) == Approx(fine).epsilon(0.02));
    // by hand, a bar of the waist's width: M = F (L + r) sin 45° less the fillet's own height, sigma = 6 M/(w t²) + F
    // cos 45°/(w t), within what a wide plate adds
    const double w = 0.018, t = 0.0025, arm = (L + r) * std::sqrt(0.5) - r * (std::sqrt(2.0) - 1),
                 bar = 6 * arm / (w * t * t) + 1 / (w * t);
    CHECK(fine == Approx(bar).epsilon(0.15));
}

}  // namespace uovo::shell::shell_test
