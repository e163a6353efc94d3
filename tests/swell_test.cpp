// A thing in the hand: a body from its outline, its height and the water it displaces.
#include "core/form/swell.h"

#include <catch2/catch.hpp>
#include <cmath>
#include <numbers>

#include "core/form/outline_box.h"

namespace uovo::form::swell_test {
namespace {

constexpr double pi = std::numbers::pi;

Loop circle(double r) {
    Loop l;
    for (int i = 0; i < 360; ++i) l.push_back({r * std::cos(pi * i / 180), r * std::sin(pi * i / 180)});
    return l;
}
Loop square(double side) {
    const double h = side / 2;
    return {{-h, -h}, {h, -h}, {h, h}, {-h, h}};
}
/// Two lobes with a waist.
Loop peanut() {
    Loop l;
    for (int i = 0; i < 240; ++i) {
        const double a = 2 * pi * i / 240, r = 0.02 * (1 + 0.5 * std::cos(2 * a));
        l.push_back({r * std::cos(a), r * std::sin(a)});
    }
    return l;
}

}  // namespace

TEST_CASE("a round outline as high as wide is a ball, lying flat it is half of one: closed forms") {
    SwellWish wish;
    wish.height = 0.03;
    wish.flatBelow = false;
    const auto ball = swelled(circle(0.015), wish);
    REQUIRE(ball);
    CHECK(volume(ball->mesh) == Approx(4.0 / 3 * pi * std::pow(0.015, 3)).epsilon(0.005));
    for (const auto& p : ball->mesh.points) CHECK(length(p - Vec3{0, 0, 0.015}) == Approx(0.015).epsilon(0.03));
    wish.flatBelow = true;
    wish.height = 0.015;
    const auto half = swelled(circle(0.015), wish);
    REQUIRE(half);
    CHECK(volume(half->mesh) == Approx(2.0 / 3 * pi * std::pow(0.015, 3)).epsilon(0.005));
    CHECK(inspect(half->mesh).sound());
    CHECK(bounds(half->mesh).low.z == Approx(0).margin(1e-9));
}

TEST_CASE("a square roof is a pyramid, and a slab holds nearly its box: a third and all of area times height") {
    SwellWish wish;
    wish.height = 0.02;
    const auto any = swelled(square(0.04), wish);
    REQUIRE(any);
    const double box = 0.04 * 0.04 * 0.02;
    CHECK(any->least < box / 3);
    CHECK(any->most > 0.9 * box);
    CHECK(any->most < box);
    wish.volume = box / 3;
    const auto roof = swelled(square(0.04), wish);
    REQUIRE(roof);
    CHECK(roof->fullness == Approx(1).epsilon(0.02));
    CHECK(volume(roof->mesh) == Approx(box / 3).epsilon(1e-6));
}

TEST_CASE("the water that was weighed is what the body displaces, whatever its outline") {
    for (const Loop& outline : {circle(0.02), square(0.05), peanut(), silhouette("heart", 0.06, 0.05, 300),
                                silhouette("leaf", 0.08, 0.03, 300)})
        for (const bool flat : {true, false})
            for (const double full : {0.35, 0.6, 0.85}) {
                SwellWish wish;
                wish.flatBelow = flat;
                wish.height = 0.018;
                const auto span = swelled(outline, wish, 48);
                REQUIRE(span);
                wish.volume = span->least + full * (span->most - span->least);
                const auto body = swelled(outline, wish);
                REQUIRE(body);
                INFO("full " << full << ", corners " << outline.size());
                CHECK(volume(body->mesh) == Approx(*wish.volume).epsilon(1e-6));
                CHECK(inspect(body->mesh).sound());
                const Vec3 size = bounds(body->mesh).size();
                CHECK(size.z == Approx(0.018).epsilon(0.04));
                const auto flatBox = boxOf(outline);
                CHECK(size.x == Approx(flatBox.width()).epsilon(0.05));
                CHECK(size.y == Approx(flatBox.height()).epsilon(0.06));
            }
}

TEST_CASE("more water is a fuller body: the exponent rises with it") {
    SwellWish wish;
    wish.height = 0.02;
    double before = 0;
    for (const double ml : {12.0, 14.0, 17.0, 20.0, 22.0}) {
        wish.volume = ml * 1e-6;
        const auto body = swelled(circle(0.02), wish, 40);
        INFO(ml << " ml");
        REQUIRE(body);
        CHECK(body->fullness > before);
        before = body->fullness;
    }
}

TEST_CASE("where it narrows it is lower, as limbs are") {
    SwellWish wish;
    wish.height = 0.015;
    wish.volume = [&] {
        const auto span = swelled(peanut(), wish, 40);
        return span->least + 0.3 * (span->most - span->least);
    }();
    const auto body = swelled(peanut(), wish);
    REQUIRE(body);
    double waist = 0, lobe = 0;
    for (const auto& p : body->mesh.points) {
        if (std::abs(p.x) < 0.001) waist = std::max(waist, p.z);
        if (std::abs(std::abs(p.x) - 0.016) < 0.004) lobe = std::max(lobe, p.z);
    }
    CHECK(lobe == Approx(0.015).epsilon(0.05));
    CHECK(waist < 0.9 * lobe);
    CHECK(waist > 0.2 * lobe);
}

TEST_CASE("what is no outline, no height, or more water than fits is refused in words") {
    SwellWish wish;
    CHECK(swelled({{0, 0}, {0.01, 0}}, wish).error().where == "outline");
    CHECK(swelled({{0, 0}, {0.02, 0.02}, {0.02, 0}, {0, 0.02}}, wish).error().where == "outline");  // a bow tie
    wish.height = 0;
    CHECK(swelled(circle(0.02), wish).error().where == "height");
    wish.height = 0.02;
    for (const double v : {1e-7, 1e-3}) {
        wish.volume = v;
        const auto no = swelled(circle(0.02), wish);
        REQUIRE_FALSE(no);
        CHECK(no.error().where == "water");
        CHECK(no.error().sentence.find("between") != std::string::npos);
    }
}

}  // namespace uovo::form::swell_test
