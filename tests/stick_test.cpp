// A stick stands by the yield stress of the chocolate it is stood into.
#include <catch2/catch.hpp>
#include <cmath>

#include "core/setting/stick.h"
#include "support.h"

namespace uovo::setting::stick_test {

namespace {

struct Cup {
    double diameter = 0.055, depth = 0.03, celsius = 0, crystals = 0.06, air = 21;
};

double minutes(const Cup& cup, const Stick& stick = {}, const char* chocolate = "dark") {
    const auto c = test::coating(chocolate);
    return standsAfter(
               stick,
               cast(filledCup(cup.diameter, cup.depth, cup.celsius > 0 ? cup.celsius : c.working(), cup.crystals), c),
               c, heat::CrystalLaw(c, io::library().physics), {cup.air, 11, 0}, io::library().physical("staticYield")) /
           60;
}

}  // namespace

TEST_CASE("the yield stress a stick wants, by hand") {
    // 2 g, 110 mm, 4 mm thick, 25 mm deep, 10°: arm 30 mm · sin 10°; 4 m g arm / (9 d D²)
    CHECK(standsAt({}) == Approx(4 * 0.002 * kGravity * 0.03 * 0.173648 / (9 * 0.004 * 0.025 * 0.025)).epsilon(1e-4));
    Stick s;
    s.mass = 0.004;
    CHECK(standsAt(s) == Approx(2 * standsAt({})));
    s = {};
    s.thickness = 0.008;
    CHECK(standsAt(s) == Approx(standsAt({}) / 2));
    s.depth = 0;
    CHECK(std::isinf(standsAt(s)));
}

TEST_CASE("heavier, shallower and steeper sticks wait longer, a cooler room, a smaller cup and later chocolate less") {
    const double usual = minutes(Cup{});
    CHECK(usual > 7.5 / 1.5);  // common practice, no source: 7–8 min
    CHECK(usual < 7.5 * 1.5);
    Stick s;
    s.mass = 0.003;
    CHECK(minutes(Cup{}, s) > usual);
    s = {};
    s.depth = 0.02;
    CHECK(minutes(Cup{}, s) > usual);
    s = {};
    s.lean = 3;
    CHECK(minutes(Cup{}, s) < usual);
    Cup c = Cup{};
    c.air = 16;
    CHECK(minutes(c) < usual);
    c = Cup{};
    c.diameter = 0.03;
    CHECK(minutes(c) < usual);
    c = Cup{};
    c.crystals = 0.1;
    CHECK(minutes(c) < usual);
    c.crystals = 0.04;
    CHECK(minutes(c) > usual);
    c = Cup{};
    c.celsius = c.air = 38;  // never
    CHECK(std::isnan(minutes(c)));
}

}  // namespace uovo::setting::stick_test
