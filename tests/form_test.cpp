#include <catch2/catch.hpp>
#include <numbers>

#include "support.h"

namespace uovo::form_test {

TEST_CASE("a profile's cells add up to the exact area and length") {
    const auto m = *form::meridian(form::Balloon{});
    const auto p = m.profile(120);
    double area = 0;
    for (const double a : p.area) area += a;
    CHECK(area == Approx(m.area()).epsilon(1e-5));
    CHECK(p.step * 120 == Approx(m.length()).epsilon(1e-9));
    CHECK(p.faceR.front() == Approx(0).margin(1e-9));
    CHECK(p.faceZ.back() == Approx(0.08).epsilon(1e-6));
}

TEST_CASE("normals point out of a balloon and into a cup, curvature has their sign") {
    const auto balloon = form::meridian(form::Balloon{})->profile(60);
    const auto cup = form::meridian(form::Cup{})->profile(60);
    CHECK(balloon.normalZ.front() < -0.99);
    CHECK(cup.normalZ.front() > 0.99);
    CHECK(cup.normalR.back() < -0.9);
    for (size_t i = 0; i < 60; ++i) {
        CHECK(std::hypot(balloon.normalR[i], balloon.normalZ[i]) == Approx(1));
        CHECK(balloon.mean[i] > 0);
        CHECK(cup.mean[i] <= 1e-12);
    }
}

TEST_CASE("a sphere's profile has the sphere's curvature") {
    const auto p = form::sphereCap(0.05, 0.06, form::Side::Outside).profile(40);
    for (size_t i = 0; i < p.size(); ++i) {
        CHECK(p.mean[i] == Approx(20).epsilon(1e-6));
        CHECK(p.gauss[i] == Approx(400).epsilon(1e-6));
    }
}

TEST_CASE("the level of a volume is the inverse of the volume below a level") {
    const auto m = *form::meridian(form::Cup{});
    for (const double share : {0.01, 0.3, 0.77, 0.999})
        CHECK(m.volumeBelow(m.levelOf(share * m.volume())) == Approx(share * m.volume()).epsilon(1e-9));
    CHECK(std::isnan(m.levelOf(2 * m.volume())));
}

TEST_CASE("impossible formers are refused with the field to change") {
    const auto balloon = [](double girth, double length, double dip) {
        const auto m = form::meridian(form::Balloon{girth, length, dip, 0.2});
        return m ? std::string() : m.error().where;
    };
    CHECK(balloon(0.44, 0.16, 0.08).empty());
    CHECK(balloon(0.44, 0.16, 0.20) == "dip");
    CHECK(balloon(0.44, 0.16, 0.155) == "dip");
    CHECK(balloon(0.44, 0.16, 0.001) == "dip");
    CHECK(balloon(0.44, 0.16, std::nan("")) == "dip");
    CHECK(balloon(std::nan(""), 0.16, 0.05) == "girth");
    CHECK(balloon(5, 0.16, 0.05) == "girth");
    CHECK(balloon(0.44, 0.02, 0.01) == "length");
    const auto cup = [](double base, double top, double height, double corner, double fill) {
        const auto m = form::meridian(form::Cup{base, top, height, corner, fill});
        return m ? std::string() : m.error().where;
    };
    CHECK(cup(0.045, 0.065, 0.05, 0.004, 0.05).empty());
    CHECK(cup(0.065, 0.045, 0.05, 0.004, 0.05) == "topDiameter");
    CHECK(cup(0.045, 0.065, 0.05, 0.04, 0.05) == "corner");
    CHECK(cup(0.045, 0.065, 0.05, 0.004, 0.06) == "fillLine");
    CHECK(cup(0.045, 0.065, 0.05, 0.004, 0.001) == "fillLine");
}

TEST_CASE("a filling's level gives its volume back, in a bowl and in a coated cup") {
    const auto a = test::answersOf(test::demo(), test::withoutDay());
    for (size_t i = 0; i < 2; ++i) {
        const Made& made = *a.pieces[i]->made;
        const double each = test::demo().pieces[i].fill()->each.value;
        CHECK(volumeAtLevel(made, levelOfVolume(made, each)) == Approx(each).epsilon(1e-6));
        CHECK(volumeAtLevel(made, made.meridian->height) == Approx(made.capacity).epsilon(0.03));
        CHECK(std::isnan(levelOfVolume(made, 2 * made.capacity)));
    }
}

TEST_CASE("a cup narrower than its wall is closed, and said to hold nothing") {
    Plan plan = test::demo();
    plan.pieces.erase(plan.pieces.begin());
    plan.pieces[0].shape = test::cup(0.010, 0.010, 0.03, 0.001, 0.03);
    const auto a = test::answersOf(plan, test::withoutDay());
    bool said = !a.problems.empty();
    for (const auto& x : a.pieces[0]->answers) said |= x.tone == Tone::Impossible;
    CHECK(said);
}

}  // namespace uovo::form_test
