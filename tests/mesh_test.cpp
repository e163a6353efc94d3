// Meshes: volumes against closed forms, shells, welding, reports, thinning out.
#include <catch2/catch.hpp>
#include <numbers>
#include <random>
#include <stop_token>

#include "core/form/decimate.h"
#include "core/form/loft.h"
#include "core/form/outline.h"
#include "core/form/rock.h"

namespace uovo::form::mesh_test {

using std::numbers::pi;

namespace {

Mesh cube(double a) {
    Mesh m;
    for (int i = 0; i < 8; ++i) m.points.push_back({i & 1 ? a : 0, i & 2 ? a : 0, i & 4 ? a : 0});
    for (const auto& q :
         {std::array{0, 2, 3, 1}, {4, 5, 7, 6}, {0, 1, 5, 4}, {2, 6, 7, 3}, {0, 4, 6, 2}, {1, 3, 7, 5}}) {
        m.triangles.push_back({q[0], q[1], q[2]});
        m.triangles.push_back({q[0], q[2], q[3]});
    }
    return m;
}

Mesh lathedSphere(double R, double edge) {
    Stretch s{[=](double u) {
                  const double t = pi * u;
                  return CurvePoint{
                      R * std::sin(t), R - R * std::cos(t), pi * R * std::cos(t), pi * R * std::sin(t), 0, 0};
              },
              Mark::Wall,
              {}};
    LatheOptions o;
    o.edge = o.along = edge;
    return lathe({s}, o);
}

}  // namespace

TEST_CASE("a cube has its volume, area, centre and box, wherever it stands") {
    Mesh m = cube(0.1);
    Pose far;
    far.at = {100, -50, 20};
    for (const Mesh& c : {m, placed(m, far)}) {
        CHECK(volume(c) == Approx(1e-3).epsilon(1e-9));
        CHECK(area(c) == Approx(0.06));
        CHECK(inspect(c).sound());
    }
    CHECK(length(centroid(m) - Vec3{0.05, 0.05, 0.05}) < 1e-12);
    CHECK(length(bounds(m).size() - Vec3{0.1, 0.1, 0.1}) < 1e-12);
    CHECK(volume(reversed(m)) == Approx(-1e-3));
    CHECK(footprint(m).size() == 4);
    CHECK(std::abs(signedArea(footprint(m))) == Approx(0.01));
}

TEST_CASE("volume below a level: a cube and a sphere") {
    const Mesh m = cube(0.1);
    CHECK(volumeBelow(m, -1) == 0);
    CHECK(volumeBelow(m, 0.03) == Approx(0.3e-3));
    CHECK(volumeBelow(m, 1) == Approx(1e-3));
    CHECK(levelOf(m, 0.25e-3) == Approx(0.025));
    CHECK(std::isnan(levelOf(m, 2e-3)));
    const Mesh s = lathedSphere(0.05, 0.002);
    for (const double h : {0.01, 0.04, 0.05, 0.08})  // spherical cap: pi h² (3R - h)/3
        CHECK(volumeBelow(s, h) == Approx(pi * h * h * (0.15 - h) / 3).epsilon(3e-3));
}

TEST_CASE("a sphere's mesh has its volume to a thousandth and no needles but at its poles") {
    const Mesh s = lathedSphere(0.05, 0.0025);
    const MeshReport r = inspect(s);
    CHECK(r.sound());
    CHECK(r.shells == 1);
    CHECK(r.slivers == 0);
    CHECK(volume(s) == Approx(4 * pi / 3 * 0.05 * 0.05 * 0.05).epsilon(1e-3));
}

TEST_CASE("a shell on a sphere weighs the difference of two balls, on either side") {
    const double R = 0.05, t = 0.004;
    const Mesh s = lathedSphere(R, 0.0015);
    CHECK(volume(uovo::form::shell(s, t, false)) ==
          Approx(4 * pi / 3 * (R * R * R - std::pow(R - t, 3))).epsilon(4e-3));
    CHECK(volume(uovo::form::shell(s, t, true)) == Approx(4 * pi / 3 * (std::pow(R + t, 3) - R * R * R)).epsilon(4e-3));
    CHECK(inspect(uovo::form::shell(s, t, false)).sound());
    CHECK(inspect(uovo::form::shell(s, t, false)).shells == 2);
}

TEST_CASE("a shell inside a box is mitred: its wall is as thick at the corners as told") {
    Mesh box = cube(0.1);
    box.marks.assign(12, Mark::Wall);
    box.marks[2] = box.marks[3] = Mark::Lid;  // the face at the top, z = 0.1: open
    const double t = 0.005;
    const Mesh s = uovo::form::shell(box, t, false);
    CHECK(inspect(s).sound());
    CHECK(inspect(s).shells == 1);
    CHECK(volume(s) == Approx(0.1 * 0.1 * 0.1 - 0.09 * 0.09 * 0.095).epsilon(0.02));
}

TEST_CASE("a varying wall weighs its mean") {
    const Mesh s = lathedSphere(0.05, 0.002);
    std::vector<double> t;
    for (const auto& p : s.points) t.push_back(0.002 + 0.001 * (p.z - 0.05) / 0.05);
    CHECK(volume(uovo::form::shell(s, t, true)) == Approx(volume(uovo::form::shell(s, 0.002, true))).epsilon(0.02));
}

TEST_CASE("fans that only touch at a corner make a sound solid") {
    Mesh bow;  // two triangles that share one corner
    bow.points = {{0, 0, 0}, {1, 0, 0}, {0, 1, 0}, {-1, 0, 0}, {0, -1, 0}};
    bow.triangles = {{0, 1, 2}, {0, 3, 4}};
    const Mesh s = uovo::form::shell(bow, 0.1, true);
    CHECK(inspect(s).sound());
    CHECK(inspect(s).shells == 2);
    CHECK(volume(s) == Approx(0.1).epsilon(0.01));
}

TEST_CASE("what is wrong with a mesh is said in words") {
    Mesh open = cube(1);
    open.triangles.pop_back();
    CHECK(inspect(open).openEdges == 3);
    CHECK(inWords(inspect(open)).find("holes") != std::string::npos);
    Mesh turned = cube(1);
    std::swap(turned.triangles[0][1], turned.triangles[0][2]);
    CHECK(inspect(turned).flipped == 3);
    CHECK(inWords(inspect(turned)).find("opposite ways") != std::string::npos);
    Mesh crowded = cube(1);
    crowded.points.push_back({0.5, 0.5, 3});
    crowded.triangles.push_back({4, 5, 8});
    CHECK(inspect(crowded).crowdedEdges == 1);
    Mesh flat = cube(1);
    flat.triangles.push_back({0, 1, 1});
    CHECK(inspect(flat).degenerate >= 1);
    CHECK(inWords(inspect(Mesh{})).find("no surface") != std::string::npos);
    CHECK(inWords(inspect(cube(1))).empty());
    CHECK(std::isnan(levelOf(Mesh{}, 1)));
}

TEST_CASE("welding joins what a file keeps apart") {
    const Mesh c = cube(0.05);
    Mesh soup;
    for (const auto& t : c.triangles) {
        for (const int i : t) soup.points.push_back(c.points[static_cast<size_t>(i)] + Vec3{1e-9 * i, 0, 0});
        const int n = static_cast<int>(soup.points.size());
        soup.triangles.push_back({n - 3, n - 2, n - 1});
    }
    CHECK(inspect(soup).openEdges == 36);
    const Mesh w = weld(soup, 1e-7);
    CHECK(w.points.size() == 8);
    CHECK(inspect(w).sound());
    CHECK(volume(w) == Approx(volume(c)).epsilon(1e-6));
}

TEST_CASE("a rock is sound for any seed, lies on the table, and differs from the next") {
    for (unsigned seed = 1; seed < 30; ++seed) {
        const Mesh r = rock(0.05, seed, 3);
        INFO(seed);
        CHECK(inspect(r).sound());
        CHECK(volume(r) > 5e-6);
        CHECK(bounds(r).low.z == Approx(0).margin(1e-12));
        CHECK(std::max(bounds(r).size().x, bounds(r).size().y) == Approx(0.05));
    }
    CHECK(volume(rock(0.05, 1, 3)) != volume(rock(0.05, 2, 3)));
}

TEST_CASE("thinning out keeps a model closed and nearly as large, it stops when asked", "[threads]") {
    const Mesh fine = rock(0.08, 3, 6);
    REQUIRE(fine.triangles.size() == 81920);
    double last = 0;
    const auto coarse = decimated(fine, 4000, {}, [&](double p) {
        CHECK(p >= last);
        last = p;
    });
    REQUIRE(coarse);
    CHECK(last == 1);
    CHECK(coarse->triangles.size() <= 4000);
    CHECK(coarse->triangles.size() > 3500);
    CHECK(inspect(*coarse).sound());
    CHECK(volume(*coarse) == Approx(volume(fine)).epsilon(4e-3));
    CHECK(area(*coarse) == Approx(area(fine)).epsilon(1e-2));
    std::stop_source stop;
    stop.request_stop();
    CHECK_FALSE(decimated(fine, 4000, stop.get_token()));
    CHECK(decimated(cube(1), 500)->triangles.size() == 12);
}

TEST_CASE("plates have their polygon's area and well-shaped triangles, holes and all") {
    const Loop outer{{0, 0}, {0.1, 0}, {0.1, 0.08}, {0, 0.08}},
        hole{{0.03, 0.03}, {0.03, 0.05}, {0.06, 0.05}, {0.06, 0.03}};
    for (const double edge : {0.003, 0.006, 0.012}) {
        const Mesh m = plate({outer, hole}, 0.004, edge);
        const MeshReport r = inspect(m);
        INFO(edge << " " << inWords(r));
        CHECK(r.sound());
        CHECK(r.slivers == 0);
        CHECK(volume(m) == Approx((0.1 * 0.08 - 0.03 * 0.02) * 0.004).epsilon(1e-9));
    }
    CHECK(inspect(plate({outer}, 0.03, 0.004)).slivers == 0);  // a high one is cut into layers
}

TEST_CASE("outlines: crossings are found, silhouettes have none") {
    CHECK(crossesItself({{{0, 0}, {1, 1}, {1, 0}, {0, 1}}}));
    CHECK_FALSE(crossesItself({{{0, 0}, {1, 0}, {1, 1}, {0, 1}}}));
    CHECK(crossesItself({{{0, 0}, {2, 0}, {2, 2}, {0, 2}}, {{1, 1}, {3, 1}, {3, 1.5}, {1, 1.5}}}));
    CHECK(crossesItself({{{0, 0}, {1, 0}, {0.5, 0}, {0.5, 1}}}));  // folds back on itself
    for (const auto& name : silhouettes()) {
        INFO(name);
        const Loop l = silhouette(name, 0.1, 0.07, 720);
        CHECK_FALSE(crossesItself({l}));
        CHECK(signedArea(l) > 0);
        CHECK(contains(l, {0, 0}));
        const OutlineCurve c(l);
        CHECK(c.length() == Approx(perimeter(l)));
        CHECK(c.area() == Approx(signedArea(l)));
        CHECK(c.at(0)[0] == Approx(l[0][0]));
    }
    CHECK(signedArea(silhouette("round", 0.1, 0.06)) == Approx(pi * 0.05 * 0.03).epsilon(1e-4));
}

TEST_CASE("turning and moving changes no volume") {
    std::mt19937 random(3);
    const Mesh r = rock(0.06, 9, 3);
    for (int k = 0; k < 10; ++k) {
        const auto u = [&] { return static_cast<double>(random()) / 4294967295.0 - 0.5; };
        const Vec3 x = unit({u(), u(), u()}), y = unit(cross({u(), u(), u()}, x)), z = cross(x, y);
        const Mesh m = placed(r, {x, y, z, {u(), u(), u()}});
        CHECK(volume(m) == Approx(volume(r)).epsilon(1e-9));
        CHECK(area(m) == Approx(area(r)).epsilon(1e-9));
    }
}

}  // namespace uovo::form::mesh_test
