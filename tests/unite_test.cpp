// Bodies in each other: faces that pass through others are found, and one surface goes round all of it.
#include "core/form/unite.h"

#include <algorithm>
#include <catch2/catch.hpp>
#include <cmath>
#include <fstream>
#include <numbers>
#include <random>

#include "core/form/rock.h"
#include "core/stages/as_original.h"
#include "io/mesh_file.h"
#include "support.h"
#include "support_command.h"
#include "support_files.h"

namespace uovo::form::unite_test {
namespace {

constexpr double pi = std::numbers::pi;

Mesh moved(Mesh m, const Vec3& by) {
    for (auto& p : m.points) p += by;
    return m;
}

Mesh both(Mesh a, const Mesh& b) {
    append(a, b);
    return a;
}

Mesh ball(double r, int around = 60, int up = 30) {
    Mesh m;
    for (int j = 1; j < up; ++j)
        for (int i = 0; i < around; ++i) {
            const double a = 2 * pi * i / around, b = pi * j / up;
            m.points.push_back({r * std::sin(b) * std::cos(a), r * std::sin(b) * std::sin(a), r * std::cos(b)});
        }
    const auto at = [&](int j, int i) { return (j - 1) * around + i % around; };
    const int top = (up - 1) * around, bottom = top + 1;
    m.points.insert(m.points.end(), {{0, 0, r}, {0, 0, -r}});
    for (int i = 0; i < around; ++i) {
        m.triangles.push_back({top, at(1, i), at(1, i + 1)});
        m.triangles.push_back({bottom, at(up - 1, i + 1), at(up - 1, i)});
        for (int j = 1; j + 1 < up; ++j) {
            m.triangles.push_back({at(j, i), at(j + 1, i), at(j + 1, i + 1)});
            m.triangles.push_back({at(j, i), at(j + 1, i + 1), at(j, i + 1)});
        }
    }
    return m;
}

/// Two balls of one radius, their middles d apart: both less the lens they share (closed form).
double twoBalls(double r, double d) {
    const double lens = d < 2 * r ? pi * std::pow(2 * r - d, 2) * (d * d + 4 * d * r) / (12 * d) : 0;
    return 2 * 4.0 / 3 * pi * r * r * r - lens;
}

}  // namespace

TEST_CASE("two balls in each other become one body as large as both less their lens") {
    const double r = 0.02;
    for (const double d : {0.008, 0.02, 0.034}) {
        INFO("apart by " << d);
        const Mesh two = both(ball(r), moved(ball(r), {d, 0.0007, 0.0003}));
        const auto found = crossingsOf(two);
        CHECK(found.pairs > 20);
        CHECK(found.between == found.pairs);
        const auto one = united(two);
        REQUIRE(one);
        const auto report = inspect(*one);
        CHECK(report.sound());
        CHECK(report.shells == 1);
        const double k = volume(ball(r)) / (4.0 / 3 * pi * r * r * r);  // their triangles cut a little off
        CHECK(volume(*one) == Approx(k * twoBalls(r, std::hypot(d, 0.0007, 0.0003))).epsilon(0.005));
        CHECK(crossingsOf(*one).pairs == 0);
    }
}

TEST_CASE("a body inside another vanishes; bodies that keep apart are left apart") {
    const Mesh inside = both(ball(0.02), moved(ball(0.008), {0.002, 0.001, 0}));
    CHECK(crossingsOf(inside).pairs == 0);
    const auto one = united(inside, 90);
    REQUIRE(one);
    CHECK(inspect(*one).shells == 1);
    CHECK(volume(*one) == Approx(volume(ball(0.02))).epsilon(0.005));
    const Mesh apart = both(ball(0.01), moved(ball(0.01), {0.03, 0, 0}));
    CHECK(crossingsOf(apart).pairs == 0);
    const auto still = united(apart, 110);
    CHECK(inspect(*still).shells == 2);
    CHECK(volume(*still) == Approx(2 * volume(ball(0.01))).epsilon(0.01));
}

TEST_CASE("a tube laid in an eight is one body where it crosses itself: as large as what lies near its line") {
    // x = A sin t, y = B sin 2t, all within r of it
    constexpr double A = 0.03, B = 0.015, r = 0.0055;
    const auto at = [](double t) { return Vec3{A * std::sin(t), B * std::sin(2 * t), 0}; };
    constexpr int kAlong = 240, kAcross = 40;
    Mesh tube;
    for (int i = 0; i < kAlong; ++i) {
        const double t = 2 * pi * (i + 0.3) / kAlong;
        const Vec3 ahead = unit({A * std::cos(t), 2 * B * std::cos(2 * t), 0}), side{-ahead.y, ahead.x, 0};
        for (int j = 0; j < kAcross; ++j) {
            const double b = 2 * pi * (j + 0.2) / kAcross;
            tube.points.push_back(at(t) + side * (r * std::cos(b)) + Vec3{0, 0, r * std::sin(b)});
        }
    }
    const auto number = [](int i, int j) { return (i % kAlong) * kAcross + j % kAcross; };
    for (int i = 0; i < kAlong; ++i)
        for (int j = 0; j < kAcross; ++j) {
            tube.triangles.push_back({number(i, j), number(i + 1, j + 1), number(i + 1, j)});
            tube.triangles.push_back({number(i, j), number(i, j + 1), number(i + 1, j + 1)});
        }
    if (volume(tube) < 0) tube = reversed(tube);
    const auto crossings = crossingsOf(tube);
    CHECK(crossings.pairs > 10);
    CHECK(crossings.between == 0);  // one body
    CHECK(length(crossings.at) < 0.02);
    const auto one = united(tube, 180);
    REQUIRE(one);
    CHECK(inspect(*one).sound());
    CHECK(inspect(*one).shells == 1);
    CHECK(volume(*one) < 0.99 * volume(tube));  // what was counted twice is counted once
    std::mt19937 dice(3);
    std::uniform_real_distribution<double> x(-A - r, A + r), y(-B - r, B + r), z(-r, r);
    std::vector<Vec3> line;
    for (int k = 0; k < 700; ++k) line.push_back(at(2 * pi * k / 700));
    constexpr int kThrown = 200'000;
    int in = 0;
    for (int k = 0; k < kThrown; ++k) {
        const Vec3 p{x(dice), y(dice), z(dice)};
        in += std::ranges::any_of(line, [&](const Vec3& q) { return dot(p - q, p - q) < r * r; });
    }
    const double thrown = 8.0 * (A + r) * (B + r) * r * in / kThrown;
    CHECK(volume(*one) == Approx(thrown).epsilon(0.012));  // half of it chance
}

TEST_CASE("faces that cross are those that every pair of triangles finds") {
    std::mt19937 dice(7);
    std::uniform_real_distribution<double> off(-0.02, 0.02);
    for (int k = 0; k < 6; ++k) {
        const Mesh m = both(rock(0.04, static_cast<unsigned>(k), 2),
                            moved(rock(0.036, static_cast<unsigned>(k + 50), 2), {off(dice), off(dice), off(dice)}));
        // a line through a face: the volumes of the five tetrahedra tell, in whole other words than Möller's
        const auto side = [](const Vec3& a, const Vec3& b, const Vec3& c, const Vec3& d) {
            return dot(cross(b - a, c - a), d - a);
        };
        const auto at = [&](size_t t, size_t i) { return m.points[size_t(m.triangles[t][i])]; };
        const auto pierces = [&](const Vec3& p, const Vec3& q, size_t t) {
            const Vec3 a = at(t, 0), b = at(t, 1), c = at(t, 2);
            if (side(a, b, c, p) * side(a, b, c, q) >= 0) return false;
            const double u = side(p, q, a, b), v = side(p, q, b, c), w = side(p, q, c, a);
            return (u > 0 && v > 0 && w > 0) || (u < 0 && v < 0 && w < 0);
        };
        size_t pairs = 0;
        for (size_t s = 0; s < m.triangles.size(); ++s)
            for (size_t t = s + 1; t < m.triangles.size(); ++t) {
                bool share = false;
                for (const int i : m.triangles[s])
                    for (const int j : m.triangles[t]) share = share || i == j;
                if (share) continue;
                bool crosses = false;
                for (size_t i = 0; i < 3; ++i)
                    crosses =
                        crosses || pierces(at(s, i), at(s, (i + 1) % 3), t) || pierces(at(t, i), at(t, (i + 1) % 3), s);
                pairs += crosses;
            }
        INFO("rocks " << k);
        CHECK(crossingsOf(m).pairs == pairs);
    }
}

TEST_CASE("what is stopped comes back with nothing, and little is counted where little is asked") {
    std::stop_source stop;
    stop.request_stop();
    const Mesh two = both(ball(0.02), moved(ball(0.02), {0.01, 0, 0}));
    CHECK_FALSE(united(two, 60, stop.get_token()));
    CHECK(crossingsOf(two, 3).pairs >= 3);
    CHECK(crossingsOf(two, 3).pairs < crossingsOf(two).pairs);
    CHECK(cellOf(two, 100) == Approx(bounds(two).size().x / 100));
}

TEST_CASE("a model of bodies in each other says so when it is read") {
    const test::Folder folder("unite");
    const Mesh two = both(ball(0.02), moved(ball(0.015), {0.02, 0.001, 0.0004}));
    REQUIRE(io::writeMeshFile(folder("two.stl"), two));
    const auto read = io::readMeshBytes(test::contents(folder("two.stl")), "stl");
    REQUIRE(read);
    CHECK(read->report.shells == 2);  // thin walls would suffer on a grid: a person says whether
    CHECK(read->remarks.find("2 bodies, some of them in each other") != std::string::npos);
    REQUIRE(io::writeMeshFile(folder("apart.stl"), both(ball(0.02), moved(ball(0.02), {0.05, 0, 0}))));
    const auto apart = io::readMeshBytes(test::contents(folder("apart.stl")), "stl");
    REQUIRE(apart);
    CHECK(apart->report.shells == 2);
    CHECK(apart->remarks.find("2 separate bodies") != std::string::npos);
}

TEST_CASE("parts of a piece that reach into each other become one original") {
    Plan plan = test::demo();
    const size_t before = plan.pieces.size();
    const auto id = asOriginal(plan, "observatory");  // its tube lies in its dome
    INFO((id ? "" : id.error().sentence));
    REQUIRE(id);
    REQUIRE(plan.pieces.size() == before + 1);
    const auto& mesh = *plan.meshes.at(plan.piece(*id)->shape.mesh);
    CHECK(inspect(mesh).sound());
    CHECK(mesh.triangles.size() <= 20'000);
}

TEST_CASE("OpenSCAD unites the same, and admesh weighs it so", "[long]") {
    const test::Folder folder("unite-reference");
    const Mesh a = rock(0.04, 3, 4), b = moved(rock(0.034, 9, 4), {0.015, 0.004, 0.003});
    REQUIRE(io::writeMeshFile(folder("a.stl"), a));
    REQUIRE(io::writeMeshFile(folder("b.stl"), b));
    REQUIRE(io::writeMeshFile(folder("ours.stl"), *united(both(a, b), 170)));
    std::ofstream(folder("both.scad")) << "union() { import(\"a.stl\"); import(\"b.stl\"); }\n";
    const std::string log = test::printedBy("openscad -o '" + folder("theirs.stl") + "' '" + folder("both.scad") + "'");
    INFO(log);
    CHECK(test::admeshVolume(folder("ours.stl")) == Approx(test::admeshVolume(folder("theirs.stl"))).epsilon(0.005));
}

}  // namespace uovo::form::unite_test
