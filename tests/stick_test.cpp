// A stick stands by the yield stress of the chocolate it is stood into.
#include <catch2/catch.hpp>
#include <cmath>

#include "core/setting/stick.h"
#include "support.h"

using namespace uovo;
using namespace uovo::setting;

namespace {

double minutes(const Cup& cup, const Stick& stick = {}, const char* chocolate = "dark") {
    const auto c = test::coating(chocolate);
    return standsAfter(stick, cup, c, heat::CrystalLaw(c, io::library().physics)) / 60;
}

Cup halfway() {
    Cup c;
    c.crystals = 0.08;
    return c;
}

}  // namespace

TEST_CASE("the yield stress a stick wants, by hand") {
    // 2 g, 110 mm, 4 mm thick, 25 mm deep, 10°: arm 30 mm · sin 10°; 4 m g arm / (9 d D²)
    CHECK(standsAt({}) == Approx(4 * 0.002 * 9.81 * 0.03 * 0.173648 / (9 * 0.004 * 0.025 * 0.025)).epsilon(1e-4));
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
    const double usual = minutes(halfway());
    CHECK(usual > 7.5 / 1.5);  // common practice, no source: 7–8 min
    CHECK(usual < 7.5 * 1.5);
    Stick s;
    s.mass = 0.02;
    CHECK(minutes(halfway(), s) > usual);
    s = {};
    s.depth = 0.012;
    CHECK(minutes(halfway(), s) > usual);
    s = {};
    s.lean = 3;
    CHECK(minutes(halfway(), s) < usual);
    Cup c = halfway();
    c.air = 16;
    CHECK(minutes(c) < usual);
    c = halfway();
    c.diameter = 0.03;
    CHECK(minutes(c) < usual);
    c = halfway();
    c.crystals = 0.12;
    CHECK(minutes(c) < usual);
    c.crystals = 0.05;
    CHECK(minutes(c) > usual);
    c = halfway();
    c.celsius = c.air = 38;  // never
    CHECK(std::isnan(minutes(c)));
}
