// Figures cut in two: halves that close, keys, feet, hollows; OpenSCAD and admesh as independent witnesses.
#include <catch2/catch.hpp>
#include <cmath>
#include <fstream>

#include "core/form/decimate.h"
#include "core/form/iso_surface.h"
#include "core/form/rock.h"
#include "core/mold/branches.h"
#include "io/data.h"
#include "io/mesh_file.h"
#include "support.h"
#include "support_command.h"
#include "support_files.h"

namespace uovo::split_test {
namespace {

using namespace form;

Mesh brick(double x, double y, double z) {
    Mesh m;
    for (int k = 0; k < 8; ++k) m.points.push_back({k & 1 ? x : 0, k & 2 ? y : 0, k & 4 ? z : 0});
    m.triangles = {{0, 2, 1}, {1, 2, 3}, {4, 5, 6}, {5, 7, 6}, {0, 1, 4}, {1, 5, 4},
                   {2, 6, 3}, {3, 6, 7}, {0, 4, 2}, {2, 4, 6}, {1, 3, 5}, {3, 7, 5}};
    return m;
}

void sound(const Mesh& m) {
    const auto r = inspect(m);
    INFO(inWords(r));
    CHECK(r.openEdges == 0);
    CHECK(r.crowdedEdges == 0);
    CHECK(r.flipped == 0);
    CHECK(volume(m) > 0);
}

}  // namespace

TEST_CASE("a brick is cut where it is said, with a face as large as its section") {
    const Mesh m = brick(0.04, 0.03, 0.02);
    const auto two = split(m, {{0, 0, 0.005}, {0, 0, 1}});
    REQUIRE(two);
    sound(two->above);
    sound(two->below);
    CHECK(two->area == Approx(0.04 * 0.03));
    CHECK(volume(two->below) == Approx(0.04 * 0.03 * 0.005).epsilon(1e-5));
    CHECK(volume(two->above) == Approx(0.04 * 0.03 * 0.015).epsilon(1e-5));
    // aslant through opposite edges: halves alike
    const auto slant = split(m, {{0, 0, 0}, unit({-0.02, 0, 0.04})});
    REQUIRE(slant);
    CHECK(volume(slant->above) == Approx(volume(slant->below)).epsilon(1e-4));
    CHECK(slant->area == Approx(0.03 * std::hypot(0.04, 0.02)).epsilon(1e-4));
    // beside it, and in the plane of a face
    CHECK(!split(m, {{0, 0, 1}, {0, 0, 1}}));
    CHECK(split(m, {{0, 0, 1}, {0, 0, 1}}).error().sentence == "The plane does not pass through it.");
    const auto face = split(m, {{0, 0, 0.02}, {0, 0, 1}});
    CHECK((!face || volume(face->below) == Approx(volume(m)).epsilon(1e-3)));
}

TEST_CASE("rocks and a seed head are cut in halves that close and weigh what the whole does") {
    std::vector<Mesh> all{seedHead(0.11, 60)};
    for (unsigned seed = 1; seed <= 6; ++seed) all.push_back(rock(0.03, seed, 3));
    for (const auto& m : all) {
        sound(m);
        const Box box = bounds(m);
        for (const Vec3 n : {Vec3{0, 0, 1}, unit({1, 0, 0}), unit({1, 2, 3}), unit({-1, 0.3, 0.2})}) {
            const auto two = split(m, {(box.low + box.high) * 0.5, n});
            REQUIRE(two);
            sound(two->above);
            sound(two->below);
            CHECK(volume(two->above) + volume(two->below) == Approx(volume(m)).epsilon(1e-9));
        }
    }
}

TEST_CASE("pegs fit their sockets, and neither comes through") {
    const Mesh m = brick(0.05, 0.03, 0.03);
    SplitOptions o;
    o.keys = 2;
    const auto two = split(m, {{0, 0, 0.015}, {0, 0, 1}}, o);
    REQUIRE(two);
    REQUIRE(two->keys.size() == 2);
    sound(two->above);
    sound(two->below);
    double pegs = 0, sockets = 0;
    for (const auto& k : two->keys) {
        const double circle = 12 * std::sin(2 * 3.14159265358979 / 24);  // of radius 1, of 24 corners
        pegs += circle * k.radius * k.radius * k.depth;
        sockets += circle * std::pow(k.radius + o.play, 2) * (k.depth + o.play);
        CHECK(k.depth < 0.015 - 1e-3);
        CHECK(k.at.x > k.radius);
        CHECK(k.at.x < 0.05 - k.radius);
    }
    CHECK(length(two->keys[0].at - two->keys[1].at) > 0.02);
    CHECK(volume(two->below) == Approx(0.05 * 0.03 * 0.015 + pegs).epsilon(1e-4));
    CHECK(volume(two->above) == Approx(0.05 * 0.03 * 0.015 - sockets).epsilon(1e-4));
    // too small a face for any
    const auto thin = split(brick(0.05, 0.002, 0.03), {{0, 0, 0.015}, {0, 0, 1}}, o);
    REQUIRE(thin);
    CHECK(thin->keys.empty());
}

TEST_CASE("one branch of several at a level is cut off by itself") {
    // a comb: a bar with three teeth
    const auto field = [](const Vec3& p) {
        double d = fromRod(p, {-0.03, 0, 0}, {0.03, 0, 0}, 0.006, 0.006);
        for (const double x : {-0.03, 0.0, 0.03}) d = std::min(d, fromRod(p, {x, 0, 0}, {x, 0, 0.03}, 0.004, 0.004));
        return d;
    };
    const Mesh comb = isoSurface(field, {{-0.04, -0.01, -0.01}, {0.04, 0.01, 0.04}}, 80);
    sound(comb);
    const Plane level{{0, 0, 0.015}, {0, 0, 1}};
    const auto sections = sectionsAt(comb, level);
    REQUIRE(sections.size() == 3);
    for (size_t k = 0; k < 3; ++k) {
        CHECK(sections[k].area == Approx(3.14159 * 0.004 * 0.004).epsilon(0.05));
        SplitOptions o;
        o.only = k;
        const auto two = split(comb, level, o);
        REQUIRE(two);
        sound(two->above);
        sound(two->below);
        CHECK(std::abs(centroid(two->above).x - sections[k].middle.x) < 1e-3);
        CHECK(volume(two->above) < 0.2 * volume(two->below));
        CHECK(volume(two->above) + volume(two->below) == Approx(volume(comb)).epsilon(1e-9));
    }
    // a ring hangs together beside the cut
    const auto ring = [](const Vec3& p) { return std::hypot(std::hypot(p.x, p.z) - 0.02, p.y) - 0.005; };
    SplitOptions one;
    one.only = 0;
    const auto no =
        split(isoSurface(ring, {{-0.03, -0.01, -0.03}, {0.03, 0.01, 0.03}}, 60), {{0, 0, 1e-3}, {0, 0, 1}}, one);
    REQUIRE(!no);
    CHECK(no.error().sentence == "It hangs together beside that place too: one cut does not part it.");
}

TEST_CASE("a foot and a hollow have the volumes of closed forms") {
    const auto ball =
        isoSurface([](const Vec3& p) { return length(p) - 0.03; }, {{-0.03, -0.03, -0.03}, {0.03, 0.03, 0.03}}, 36);
    const double r = 0.03, h = 0.006, full = 4.0 / 3 * 3.14159265 * r * r * r;
    CHECK(volume(ball) == Approx(full).epsilon(0.005));
    const auto foot = onFoot(ball, h, 0.01);
    REQUIRE(foot);
    sound(*foot);
    const double cap = 3.14159265 * h * h * (r - h / 3), disc = 3.14159265 * (2 * r * h - h * h);
    CHECK(volume(*foot) == Approx(full - cap + disc * 0.01).epsilon(0.01));
    CHECK(bounds(*foot).size().z == Approx(2 * r - h + 0.01).epsilon(0.002));
    const auto hollow = hollowed(ball, 0.004);
    REQUIRE(hollow);
    sound(*hollow);
    CHECK(volume(*hollow) == Approx(full - 4.0 / 3 * 3.14159265 * std::pow(r - 0.004, 3)).epsilon(0.01));
    const auto thick = hollowed(seedHead(0.11, 60), 0.01);
    REQUIRE(!thick);
    CHECK(thick.error().sentence == "Somewhere it is thinner than two walls: hollow it with a thinner one.");
}

TEST_CASE("holes are filled: flat ones by their plane, the volume comes back") {
    const Mesh whole = brick(0.04, 0.03, 0.02);
    Mesh open = whole;
    open.triangles.erase(open.triangles.begin() + 2, open.triangles.begin() + 4);  // the upper face
    int closed = 0;
    const Mesh again = withoutHoles(open, closed);
    CHECK(closed == 1);
    sound(again);
    CHECK(volume(again) == Approx(volume(whole)));
    // several, each on its own
    Mesh stone = rock(0.04, 7, 3);
    const double before = volume(stone);
    stone.triangles.erase(stone.triangles.begin() + 300);
    stone.triangles.erase(stone.triangles.begin() + 40);
    const Mesh mended = withoutHoles(stone, closed);
    CHECK(closed == 2);
    sound(mended);
    CHECK(volume(mended) == Approx(before).epsilon(1e-9));
    CHECK(withoutHoles(whole, closed) == whole);
    CHECK(closed == 0);
}

TEST_CASE("OpenSCAD cuts the same, and admesh weighs it so", "[long]") {
    const test::Folder folder("split");
    const Mesh m = *decimated(seedHead(0.11, 60), 4000);
    REQUIRE(io::writeMeshFile(folder("whole.stl"), m));
    const Vec3 n = unit({1, 0.4, 2});
    const Plane plane{{0.002, 0.001, 0.06}, n};
    const auto two = split(m, plane);
    REQUIRE(two);
    REQUIRE(io::writeMeshFile(folder("ours.stl"), two->above));
    const double pitch = std::acos(n.z) * 180 / 3.14159265358979, yaw = std::atan2(n.y, n.x) * 180 / 3.14159265358979;
    std::ofstream(folder("cut.scad")) << "intersection() { import(\"whole.stl\"); translate([2, 1, 60]) rotate([0, "
                                      << pitch << ", " << yaw
                                      << "]) translate([-500, -500, 0]) cube([1000, 1000, 1000]); }\n";
    const std::string log = test::printedBy("openscad -o '" + folder("theirs.stl") + "' '" + folder("cut.scad") + "'");
    INFO(log);
    const double ours = test::admeshVolume(folder("ours.stl")), theirs = test::admeshVolume(folder("theirs.stl"));
    CHECK(ours == Approx(theirs).epsilon(0.005));
    CHECK(ours == Approx(volume(two->above) * 1e9).epsilon(0.001));
}

TEST_CASE("a seed head that no mold lets go comes out once its branches are cut off") {
    const Mesh m = *decimated(seedHead(0.11, 70), 6000);
    const auto& lib = io::library();
    mold::MoldOptions o = mold::usualMold(lib);
    o.hardness = 20;  // a firm silicone stretches little
    o.pulls = 60;
    const auto whole = mold::ownMold(m, o, lib);
    REQUIRE(whole);
    CHECK(whole->leaves == mold::Leaves::InPieces);
    const auto apart = mold::branchesOf(m, o, lib, 1);
    REQUIRE(apart);
    INFO(apart->branches.size());
    for (const auto& b : apart->branches)
        UNSCOPED_INFO(int(b.leaves) << " parts " << b.parts << " caught " << b.caught << " ml "
                                    << volume(b.mesh) * 1e6);
    CHECK(apart->free);
    CHECK(apart->branches.size() >= 2);
    CHECK(apart->cuts.size() == apart->branches.size() - 1);
    double sum = 0;
    for (const auto& b : apart->branches) {
        sound(b.mesh);
        sum += volume(b.mesh);
    }
    CHECK(sum == Approx(volume(m)).epsilon(0.01));
    // what already comes out is left whole
    const auto rock = mold::branchesOf(form::rock(0.03, 3, 3), mold::usualMold(lib), lib);
    REQUIRE(rock);
    CHECK(rock->branches.size() == 1);
    // cut level where a person wants it: both halves closed, nothing lost but the play of its pegs
    const auto level = mold::cutAcross(m, 0.3, o, lib, 2);
    REQUIRE(level);
    REQUIRE(level->branches.size() == 2);
    const auto box = bounds(m);
    const double at = box.low.z + 0.3 * (box.high.z - box.low.z);
    CHECK(bounds(level->branches[1].mesh).low.z == Approx(at).margin(1e-5));
    CHECK(volume(level->branches[0].mesh) + volume(level->branches[1].mesh) == Approx(volume(m)).epsilon(0.005));
    CHECK(level->cuts[0].line > 2 * std::sqrt(M_PI * level->cuts[0].area) * (1 - 1e-9));  // no line is shorter round it
    std::stop_source stop;
    stop.request_stop();
    CHECK(!mold::branchesOf(m, o, lib, 0, 6, stop.get_token()));
}

}  // namespace uovo::split_test
