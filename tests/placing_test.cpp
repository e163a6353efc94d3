// Parts put in their places: let down, pushed, held on to what is near, mirrored.
#include "core/assembly/placing.h"

#include <catch2/catch.hpp>
#include <chrono>
#include <random>

#include "core/assembly/contacts.h"
#include "core/form/block.h"
#include "core/form/rock.h"

namespace uovo::assembly::placing_test {

using form::Vec3;

namespace {

form::Mesh movedBy(form::Mesh m, const Vec3& by) {
    for (auto& p : m.points) p += by;
    return m;
}

form::Mesh ball(double r) {
    form::Part p = form::usual("ball-solid");
    if (!form::family(p.family)) p = form::usual("ball");
    p.values["diameter"] = Measure(2 * r);
    return form::build(p, {}, {20000, 160})->items.front().shape.surface;
}

form::Part empty() {
    form::Part whole;
    whole.family = form::kAssembly;
    return whole;
}

form::PartItem item(const std::string& key, const std::string& family, form::Figures figures, Vec3 at = {}) {
    form::PartItem i;
    i.key = i.name = key;
    i.part = form::usual(family);
    for (auto& [k, v] : figures) i.part.values[k] = v;
    i.at = {Measure(at.x), Measure(at.y), Measure(at.z)};
    return i;
}

form::Part twoPlates() {
    form::Part whole = empty();
    whole.items = {item("base", "sheet", {{"length", 0.2}, {"width", 0.12}, {"thickness", 0.005}}),
                   item("tile", "sheet", {{"length", 0.04}, {"width", 0.03}, {"thickness", 0.004}}, {0, 0, 0.005})};
    return whole;
}

Placer placer(const form::Part& whole) { return Placer(*form::build(whole, {}, kPlacing)); }

}  // namespace

TEST_CASE("a block falls on a block by the gap between them") {
    const form::Mesh low = form::block({0, 0, 0}, {0.1, 0.1, 0.02});
    const form::NearMesh stays(low);
    const auto gap = [&](const Vec3& at) {
        return freeWay(movedBy(form::block({0, 0, 0}, {0.03, 0.03, 0.03}), at), stays, kDown, 1);
    };
    CHECK(gap({0.02, 0.02, 0.07}) == Approx(0.05).margin(1e-12));
    CHECK(gap({0.09, 0.09, 0.02}) == Approx(0).margin(1e-12));
    CHECK(std::isinf(gap({0.1, 0, 0.05})));  // side by side: it passes
    CHECK(std::isinf(gap({0.2, 0, 0.05})));
    // a cross of two bars meets between their corners
    const form::NearMesh bar(form::block({-0.1, -0.005, 0}, {0.1, 0.005, 0.01}));
    CHECK(freeWay(form::block({-0.005, -0.1, 0.05}, {0.005, 0.1, 0.06}), bar, kDown, 1) == Approx(0.04).margin(1e-12));
    // the six ways
    const form::NearMesh middle(form::block({0, 0, 0}, {0.1, 0.1, 0.1}));
    const form::Mesh right = form::block({0.13, 0.02, 0.02}, {0.15, 0.04, 0.04});
    CHECK(freeWay(right, middle, kLeft, 1e-3) == Approx(0.03).margin(1e-12));
    CHECK(std::isinf(freeWay(right, middle, kRight, 1e-3)));
    CHECK(freeWay(movedBy(right, {-0.1, -0.08, 0}), middle, kBack, 1e-3) == Approx(0.04).margin(1e-12));
}

// Source: two balls of radius R whose middles lie d apart on the level touch when one is sqrt(4 R² - d²) higher
// (Pythagoras).
TEST_CASE("a ball falls on a ball as Pythagoras says") {
    const double r = 0.03;
    const form::Mesh one = ball(r);
    const Vec3 mid = form::centroid(one);
    const form::NearMesh stays(one);
    for (const double d : {0.0, 0.012, 0.03, 0.05}) {
        const double up = 0.1;
        const double gap = freeWay(movedBy(one, {d, 0, up}), stays, kDown, 1);
        CAPTURE(d, mid.z);
        CHECK(gap == Approx(up - std::sqrt(4 * r * r - d * d)).margin(2e-4));
    }
}

TEST_CASE("the way between two stones is the same whichever of them moves, along each axis") {
    std::mt19937 dice(11);
    std::uniform_real_distribution<double> at(-0.008, 0.008);
    const std::pair<Way, Way> ways[]{{kDown, kUp}, {kLeft, kRight}, {kFront, kBack}};
    int met = 0;
    for (int k = 0; k < 30; ++k) {
        const form::Mesh one = form::rock(0.02, static_cast<unsigned>(k) + 1, 2);
        const auto& [there, back] = ways[k % 3];
        const Vec3 apart = there.unit() * -0.07 + Vec3{at(dice), at(dice), at(dice)};
        const form::Mesh two = movedBy(form::rock(0.025, static_cast<unsigned>(k) + 71, 2), apart);
        for (const double deep : {0.0, 0.002, 1.0}) {
            const double gap = freeWay(two, form::NearMesh(one), there, deep);
            const double other = freeWay(one, form::NearMesh(two), back, deep);
            CAPTURE(k, deep);
            CHECK(std::isinf(gap) == std::isinf(other));
            if (std::isinf(gap)) continue;
            ++met;
            CHECK(gap == Approx(other).margin(1e-12));
            // moved by it they touch, a little less and they do not
            const auto after = [&](double by) {
                return freeWay(movedBy(two, there.unit() * by), form::NearMesh(one), there, 1e-3);
            };
            CHECK(after(gap) == Approx(0).margin(1e-9));
            CHECK(after(gap - 1e-4) == Approx(1e-4).margin(1e-9));
        }
    }
    CHECK(met > 40);
}

TEST_CASE("a part let down touches what it stands on and sits in nothing") {
    std::mt19937 dice(4);
    std::uniform_real_distribution<double> at(-0.06, 0.06), turn(0, 360);
    form::Part whole = empty();
    whole.items = {item("plate", "sheet", {{"length", 0.16}, {"width", 0.16}, {"thickness", 0.006}}),
                   item("cone", "cone-solid", {}), item("half", "half-ball", {}), item("moved", "sheet", {})};
    whole.items[1].at = {Measure(0.03), Measure(0.02), Measure(0.006)};
    whole.items[2].at = {Measure(-0.04), Measure(-0.03), Measure(0.006)};
    auto p = placer(whole);
    for (int k = 0; k < 14; ++k) {
        form::Pose pose = Placer::turned(p.pose(3), {0, 0, 0}, turn(dice));
        pose.at = {at(dice), at(dice), 0.006 * k};
        const auto down = p.rested(3, pose);
        CAPTURE(k, down.pose.at.x, down.pose.at.y, down.pose.at.z);
        CHECK_FALSE(p.isInTheWay(3, down.pose));
        const size_t on = down.snaps.front().other;
        if (on == kOnTable) {
            CHECK(p.boxAt(3, down.pose).low.z == Approx(p.table()).margin(1e-9));
            continue;
        }
        const auto touches = contactsOf({{"a", p.solid(3, down.pose), 1, {}}, {"b", p.solid(on, p.pose(on)), 1, {}}});
        const bool touching = std::ranges::any_of(touches.contacts, [](const Contact& c) { return c.b != kTable; });
        CHECK(touching);
        CHECK(touches.cuts.empty());
        // lower it would sit in it: a hair more and it is nearer to the table
        CHECK(p.rested(3, down.pose).pose.at.z == Approx(down.pose.at.z).margin(1e-6));
    }
}

TEST_CASE("a part that is moved holds on to the middle, the edge and the side of what is near") {
    const auto p = placer(twoPlates());
    const auto kinds = [](const Placing& placing) {
        std::vector<Snap::Kind> out;
        for (const auto& s : placing.snaps) out.push_back(s.kind);
        return out;
    };
    SECTION("centred") {
        const auto put = p.moved(1, {0.0015, -0.001, 0}, 0.003);
        CHECK(put.pose.at.x == Approx(0).margin(1e-9));
        CHECK(put.pose.at.y == Approx(0).margin(1e-9));
        CHECK(put.pose.at.z == Approx(0.005).margin(1e-9));
        CHECK(kinds(put) == std::vector{Snap::Kind::Centred, Snap::Kind::Centred, Snap::Kind::Rests});
    }
    SECTION("flush with the right edge") {
        const auto put = p.moved(1, {0.0785, 0.02, 0}, 0.003);
        CHECK(p.boxAt(1, put.pose).high.x == Approx(0.1).margin(1e-9));
        CHECK(put.pose.at.y == Approx(0.02).margin(1e-9));
    }
    SECTION("beside it, on the table") {
        const auto put = p.moved(1, {0.121, 0.02, 0}, 0.003);
        CHECK(p.boxAt(1, put.pose).low.x == Approx(0.1).margin(1e-9));
        CHECK(p.boxAt(1, put.pose).low.z == Approx(0).margin(1e-9));
    }
    SECTION("nothing without reach") {
        const auto put = p.moved(1, {0.0015, 0, 0}, 0);
        CHECK(put.pose.at.x == Approx(0.0015).margin(1e-12));
        CHECK(kinds(put) == std::vector{Snap::Kind::Rests});
    }
    SECTION("lifted, its foot in line with the other's top") {
        const auto put = p.moved(1, {0, 0, 0.0012}, 0.0014);
        CHECK(p.boxAt(1, put.pose).low.z == Approx(0.005).margin(1e-9));
    }
}

TEST_CASE("a small part holds on to a round rim and keeps facing out of it") {
    form::Part whole = empty();
    whole.items = {item("bowl", "collar", {{"inside", 0.1}, {"width", 0.006}, {"height", 0.03}}),
                   item("leaf", "sheet", {{"length", 0.03}, {"width", 0.02}, {"thickness", 0.003}}, {0.2, 0, 0})};
    auto p = placer(whole);
    REQUIRE(p.ring(0));
    CHECK(p.ring(0)->radius == Approx(0.053).margin(2e-4));
    CHECK(p.ring(0)->width == Approx(0.006).margin(3e-4));
    CHECK_FALSE(p.ring(1));
    const double a = 47 * M_PI / 180;
    const auto put = p.moved(1, {0.054 * std::cos(a) - 0.2, 0.054 * std::sin(a), 0}, 0.004);
    const auto box = p.boxAt(1, put.pose);
    const Vec3 mid = (box.low + box.high) * 0.5;
    CHECK(std::hypot(mid.x, mid.y) == Approx(p.ring(0)->radius).margin(1e-6));
    CHECK(std::atan2(mid.y, mid.x) * 180 / M_PI == Approx(45).margin(0.01));
    CHECK(box.low.z == Approx(0.03).margin(1e-6));
    // along the rim: its longer side across the way out
    CHECK(std::abs(put.pose.x.x * std::cos(M_PI / 4) + put.pose.x.y * std::sin(M_PI / 4)) < 1e-6);
    // further along the rim it turns with it
    p.put(1, put.pose);
    const double b = 76 * M_PI / 180, c = M_PI / 4, r = p.ring(0)->radius;
    const auto on = p.moved(1, {r * (std::cos(b) - std::cos(c)), r * (std::sin(b) - std::sin(c)), 0}, 0.004);
    CHECK(on.snaps.front().kind == Snap::Kind::Angle);
    CHECK(on.snaps.front().angle == Approx(75));
    CHECK(std::abs(on.pose.x.x * std::cos(75 * M_PI / 180) + on.pose.x.y * std::sin(75 * M_PI / 180)) < 1e-6);
}

TEST_CASE("round a rim a part finds the place evenly among its like: five, seven, nine times") {
    for (const int n : {2, 3, 5, 7, 9}) {
        form::Part whole = empty();
        const double r = 0.053;
        whole.items = {item("bowl", "collar", {{"inside", 0.1}, {"width", 0.006}, {"height", 0.03}})};
        const auto at = [&](int k) { return 2 * M_PI * k / n + 0.1; };  // no whole part of 15 degrees
        for (int k = 0; k < n; ++k) {
            whole.items.push_back(item("ball" + std::to_string(k), "ball-solid", {{"diameter", 0.006}},
                                       {r * std::cos(at(k)), r * std::sin(at(k)), 0.03}));
        }
        auto p = placer(whole);
        const size_t last = size_t(n);
        const double off = 0.02, a = at(n - 1), b = a + off;  // a hand that is a little beside it
        const auto put = p.moved(last, {r * (std::cos(b) - std::cos(a)), r * (std::sin(b) - std::sin(a)), 0}, 0.003);
        INFO(n << ": " << put.snaps.front().angle);
        REQUIRE(put.snaps.front().kind == Snap::Kind::Angle);
        CHECK(std::abs(std::remainder(put.snaps.front().angle - a * 180 / M_PI, 360)) < 0.05);
    }
}

// Source: a ball of radius R in a round hole of radius a sinks until its middle is sqrt(R² - a²) over the edge
// (Pythagoras).
TEST_CASE("a ball sinks into a ring as far as Pythagoras says") {
    form::Part whole = empty();
    whole.items = {item("ring", "collar", {{"inside", 0.05}, {"width", 0.008}, {"height", 0.012}}),
                   item("ball", "half-ball", {{"diameter", 0.07}})};
    auto p = placer(whole);
    form::Pose upside = p.pose(1);
    const auto box0 = p.box(1);
    const bool opensUp = p.ring(1).has_value();
    CAPTURE(opensUp, box0.low.z, box0.high.z);
    const double R = 0.035, a = 0.025;
    if (!opensUp) {  // a dome lies with its round side up: turned over
        upside.y = upside.y * -1;
        upside.z = upside.z * -1;
    }
    const auto down = p.rested(1, upside);
    const double lowest = p.boxAt(1, down.pose).low.z;
    CHECK(lowest == Approx(std::max(0.0, 0.012 + std::sqrt(R * R - a * a) - R)).margin(4e-4));
}

TEST_CASE("a part is pushed until it touches") {
    const auto p = placer(twoPlates());
    form::Pose away = p.pose(1);
    away.at = {0.2, 0.01, 0};
    const auto pushed = p.pushed(1, away, kLeft);
    REQUIRE(pushed);
    CHECK(p.boxAt(1, *pushed).low.x == Approx(0.1).margin(1e-9));
    CHECK_FALSE(p.pushed(1, away, kRight));
    away.at.y = 0.3;
    CHECK_FALSE(p.pushed(1, away, kLeft));
}

TEST_CASE("a mirror image lies where the reflected part would be") {
    for (const char* family : {"sheet", "arch", "half-ball"}) {
        CAPTURE(family);
        form::Part whole = empty();
        whole.items = {item("base", "sheet", {}), item("part", family, {})};
        whole.items[1].turn = {Measure(20), Measure(35), Measure(50)};
        whole.items[1].at = {Measure(0.07), Measure(0.02), Measure(0.05)};
        const auto p = placer(whole);
        for (const int axis : {0, 1}) {
            const auto image = p.mirrored(1, {0.01, -0.02, 0}, axis);
            REQUIRE(image);
            const form::NearMesh there(p.solid(1, *image));
            double worst = 0;
            for (Vec3 q : p.solid(1, p.pose(1)).points) {
                (axis == 0 ? q.x : q.y) = axis == 0 ? 0.02 - q.x : -0.04 - q.y;
                const auto hit = there.near(q, 0.01);
                worst = std::max(worst, hit ? std::abs(hit->distance) : 1);
            }
            CHECK(worst < 5e-4);
            // a rotation, not a reflection
            CHECK(form::dot(form::cross(image->x, image->y), image->z) == Approx(1));
        }
    }
    form::Part odd = empty();
    odd.items = {item("base", "sheet", {}), item("heap", "cluster", {})};
    CHECK_FALSE(placer(odd).mirrored(1, {}, 0));
}

}  // namespace uovo::assembly::placing_test
