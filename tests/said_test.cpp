// What a person says of the place of a part, and glue that follows what touches.
#include <catch2/catch.hpp>
#include <random>
#include <set>

#include "core/assembly/arrange.h"
#include "core/form/part.h"

namespace uovo::assembly::said_test {

using Catch::Matchers::Contains;
using form::Vec3;

namespace {

form::Part empty() {
    form::Part whole;
    whole.family = form::kAssembly;
    return whole;
}

form::PartItem item(const std::string& name, const std::string& family, form::Figures figures, Vec3 at = {}) {
    form::PartItem i;
    i.key = i.name = name;
    i.key[0] = static_cast<char>(std::tolower(i.key[0]));
    i.part = form::usual(family);
    for (auto& [k, v] : figures) i.part.values[k] = v;
    i.at = {Measure(at.x), Measure(at.y), Measure(at.z)};
    return i;
}

/// A base of 200 × 120 × 5 mm, a panel, a ring and a leaf.
form::Part stand() {
    form::Part whole = empty();
    whole.items = {item("Base", "sheet", {{"length", 0.2}, {"width", 0.12}, {"thickness", 0.005}}),
                   item("Panel", "sheet", {{"length", 0.06}, {"width", 0.04}, {"thickness", 0.004}}, {0.3, 0, 0}),
                   item("Ring", "collar", {{"inside", 0.05}, {"width", 0.006}, {"height", 0.02}}, {-0.3, 0, 0}),
                   item("Leaf", "sheet", {{"length", 0.02}, {"width", 0.01}, {"thickness", 0.002}}, {0, 0.4, 0})};
    return whole;
}

struct Told {
    form::Part whole;
    std::vector<std::string> keys;
    Placer placer;
    form::Box box(const std::string& key) const {
        return placer.box(size_t(form::itemOf(whole, key) - whole.items.data()));
    }
};
Told tell(const form::Part& whole, const std::string& key, const std::string& words) {
    const auto said = saidOf(whole, key, words, UnitSystem::Metric, {});
    INFO((said ? std::string() : said.error().sentence));
    REQUIRE(said);
    return {said->assembly, said->keys, *placerOf(said->assembly, {})};
}
std::string refused(const form::Part& whole, const std::string& key, const std::string& words) {
    const auto said = saidOf(whole, key, words, UnitSystem::Metric, {});
    REQUIRE_FALSE(said);
    return said.error().sentence;
}

}  // namespace

TEST_CASE("a part goes where it is said to go") {
    const auto whole = stand();
    SECTION("on the base, centred") {
        const auto b = tell(whole, "panel", "on the base").box("panel");
        CHECK(b.low.z == Approx(0.005).margin(1e-8));
        CHECK(b.low.x == Approx(-0.03).margin(1e-8));
        CHECK(b.low.y == Approx(-0.02).margin(1e-8));
    }
    SECTION("so far from an edge") {
        auto b = tell(whole, "panel", "on the base, 12 mm from the left edge").box("panel");
        CHECK(b.low.x == Approx(-0.1 + 0.012).margin(1e-8));
        b = tell(whole, "panel", "on the base, 12 mm from the left edge, 1/2 in from the front edge").box("panel");
        CHECK(b.low.x == Approx(-0.1 + 0.012).margin(1e-8));
        CHECK(b.low.y == Approx(-0.06 + 0.0127).margin(1e-8));
        CHECK(b.low.z == Approx(0.005).margin(1e-8));
        b = tell(whole, "panel", "on the base and 1,5 cm from the right edge of the base").box("panel");
        CHECK(b.high.x == Approx(0.1 - 0.015).margin(1e-8));
    }
    SECTION("standing on its edge, upside down, lying again") {
        const auto up = tell(whole, "panel", "on the base, standing, flush with the base on the back");
        auto b = up.box("panel");
        CHECK(b.size().z == Approx(0.04).margin(1e-8));
        CHECK(b.size().y == Approx(0.004).margin(1e-8));
        CHECK(b.high.y == Approx(0.06).margin(1e-8));
        CHECK(b.low.z == Approx(0.005).margin(1e-8));
        b = tell(up.whole, "panel", "lying").box("panel");
        CHECK(b.size().z == Approx(0.004).margin(1e-8));
        b = tell(whole, "ring", "upside down").box("ring");
        CHECK(b.low.z == Approx(0).margin(1e-8));
    }
    SECTION("leaning back, its foot on what is below") {
        const auto b = tell(whole, "panel", "on the base, standing, leaning 30° back").box("panel");
        CHECK(b.low.z == Approx(0.005).margin(1e-6));
        CHECK(b.size().z == Approx(0.04 * std::cos(M_PI / 6) + 0.004 * 0.5).margin(1e-5));
        const auto front = tell(whole, "panel", "on the base, standing, leaning 30° to the front").box("panel");
        CHECK(b.high.y - 0.02 > 0);
        CHECK(front.low.y < -0.019);
    }
    SECTION("turned, left is against the clock seen from above") {
        const auto t = tell(whole, "panel", "turned 90°");
        const auto b = t.box("panel");
        CHECK(b.size().x == Approx(0.04).margin(1e-8));
        CHECK(form::itemOf(t.whole, "panel")->turn[2].value == Approx(90));
        CHECK(form::itemOf(tell(whole, "panel", "turned 90° to the right").whole, "panel")->turn[2].value ==
              Approx(-90));
    }
    SECTION("further, and at a height") {
        const auto there = tell(whole, "panel", "on the base, 15 mm to the right, 3 mm up").box("panel");
        CHECK(there.low.x == Approx(-0.03 + 0.015).margin(1e-8));
        CHECK(there.low.z == Approx(0.008).margin(1e-8));
        CHECK(tell(whole, "panel", "60 mm high").box("panel").low.z == Approx(0.06).margin(1e-8));
        CHECK(tell(whole, "panel", "25 mm from the table").box("panel").low.z == Approx(0.025).margin(1e-8));
        const auto under = tell(tell(whole, "base", "50 mm high").whole, "panel", "under the base").box("panel");
        CHECK(under.high.z == Approx(0.05).margin(1e-6));
    }
    SECTION("beside, behind, before, against") {
        CHECK(tell(whole, "panel", "beside the base").box("panel").low.x == Approx(0.1).margin(1e-8));
        CHECK(tell(whole, "panel", "left of the base").box("panel").high.x == Approx(-0.1).margin(1e-8));
        CHECK(tell(whole, "panel", "behind the base").box("panel").low.y == Approx(0.06).margin(1e-8));
        CHECK(tell(whole, "panel", "in front of the base").box("panel").high.y == Approx(-0.06).margin(1e-8));
        CHECK(tell(whole, "panel", "against the base").box("panel").low.x == Approx(0.1).margin(1e-6));
    }
    SECTION("on the rim") {
        const auto t = tell(tell(whole, "ring", "on the base").whole, "leaf", "on the rim at 90°");
        const auto b = t.box("leaf");
        CHECK(0.5 * (b.low.y + b.high.y) == Approx(0.028).margin(2e-4));
        CHECK(0.5 * (b.low.x + b.high.x) == Approx(0).margin(1e-6));
        CHECK(b.low.z == Approx(0.025).margin(1e-6));
        CHECK(whereabouts(t.placer, t.whole, 3, UnitSystem::Metric) == "on ring, 28 mm from its middle at 90°");
    }
}

TEST_CASE("copies go round a rim, in a row and to the other side") {
    auto whole = tell(stand(), "ring", "on the base").whole;
    SECTION("round the rim") {
        const auto t = tell(whole, "leaf", "on the rim at 0°, repeat 8 round it");
        CHECK(t.keys.size() == 8);
        CHECK(t.whole.items.size() == 11);
        for (size_t k = 0; k < 8; ++k) {
            const auto b = t.box(t.keys[k]);
            const Vec3 mid = (b.low + b.high) * 0.5;
            CAPTURE(k);
            CHECK(std::hypot(mid.x, mid.y) == Approx(0.028).margin(2e-4));
            CHECK(std::fmod(std::atan2(mid.y, mid.x) * 180 / M_PI + 360.0001, 360) ==
                  Approx(45.0 * double(k)).margin(0.01));
            CHECK(b.low.z == Approx(0.025).margin(1e-6));
        }
        std::set<std::string> names;
        for (const auto& i : t.whole.items) names.insert(i.name);
        CHECK(names.size() == t.whole.items.size());
        CHECK(form::checkFigures(t.whole));
    }
    SECTION("in a row") {
        const auto t = tell(whole, "panel", "on the base, 5 mm from the left edge, repeat 3 every 65 mm to the right");
        CHECK(t.keys.size() == 3);
        CHECK(t.box(t.keys[2]).low.x == Approx(-0.095 + 0.13).margin(1e-8));
    }
    SECTION("mirrored") {
        const auto t = tell(whole, "panel", "on the base, standing, turned 90°, flush left, mirror left to right");
        REQUIRE(t.keys.size() == 2);
        CHECK(t.box("panel").low.x == Approx(-0.1).margin(1e-8));
        CHECK(t.box(t.keys[1]).high.x == Approx(0.1).margin(1e-7));
        CHECK(t.box(t.keys[1]).low.y == Approx(t.box("panel").low.y).margin(1e-7));
    }
}

TEST_CASE("what is not understood is said, and nothing is changed") {
    const auto whole = stand();
    CHECK_THAT(refused(whole, "panel", "somewhere nice"), Contains("“somewhere nice” is not understood"));
    CHECK_THAT(refused(whole, "panel", "on the roof"), Contains("no part “roof”"));
    CHECK_THAT(refused(whole, "panel", "on the roof"), Contains("base"));
    CHECK_THAT(refused(whole, "panel", "12 parsecs from the left edge"), !Contains("understood. Say"));
    CHECK_THAT(refused(whole, "panel", "5 m up"), Contains("1 m at most"));
    CHECK_THAT(refused(whole, "panel", "repeat 900 round the ring"), Contains("2 to 48"));
    CHECK_THAT(refused(whole, "panel", "repeat lots"), Contains("how many"));
    CHECK_THAT(refused(whole, "panel", "on the base, repeat 4 round the base"), Contains("in the middle"));
    CHECK_THAT(refused(whole, "panel", "on the rim of the base"), Contains("no round rim"));
    CHECK_THAT(refused(whole, "panel", "leaning"), Contains("degrees"));
    CHECK_THAT(refused(whole, "panel", "repeat 3 every 0 mm"), Contains("1 mm"));
    CHECK_THAT(refused(whole, "panel", ""), Contains("Say where"));
    CHECK_THAT(refused(whole, "nobody", "on the base"), Contains("Choose a part"));
    form::Part alone = empty();
    alone.items = {whole.items[0]};
    CHECK_THAT(refused(alone, "base", "centred"), Contains("no other part"));
}

TEST_CASE("any words at all are answered: nothing falls over") {
    const auto whole = tell(stand(), "ring", "on the base").whole;
    const std::vector<std::string> words{"on",      "the",     "rim",   "at",    "30°", "base",   "12 mm",
                                         "from",    "left",    "edge",  "of",    "and", ",",      "mirror",
                                         "repeat",  "8",       "round", "every", "up",  "turned", "upside down",
                                         "leaning", "against", "flush", "with",  "ring"};
    std::mt19937 dice(11);
    int made = 0;
    for (int k = 0; k < 80; ++k) {
        std::string s;
        for (int n = 1 + int(dice() % 6); n > 0; --n) s += words[dice() % words.size()] + " ";
        CAPTURE(s);
        const auto said = saidOf(whole, "leaf", s, UnitSystem::US, {});
        if (said) {
            ++made;
            CHECK(form::checkFigures(said->assembly));
        } else {
            CHECK_FALSE(said.error().sentence.empty());
        }
    }
    CHECK(made > 2);
}

TEST_CASE("glue follows what touches") {
    auto t = tell(stand(), "panel", "on the base, standing, flush with the base on the back");
    auto whole = t.whole;
    REQUIRE(glueWhatTouches(whole, {"panel"}, {}));
    REQUIRE(whole.joints.size() == 1);
    CHECK(whole.joints[0].a == "base");
    CHECK(whole.joints[0].b == "panel");
    CHECK(whole.joints[0].length.value == Approx(0.06).margin(1e-3));
    CHECK(whole.joints[0].words == "panel to base");
    // another joint is left alone, a length that was typed too
    whole.joints[0].length = Measure(0.055);
    whole.joints[0].length.typed = "55 mm";
    auto moved = tell(whole, "panel", "10 mm to the left").whole;
    REQUIRE(glueWhatTouches(moved, {"panel"}, {}));
    CHECK(moved.joints[0].length.value == 0.055);
    // away from it: no joint any more
    auto away = tell(whole, "panel", "right of the base, 30 mm to the right").whole;
    REQUIRE(glueWhatTouches(away, {"panel"}, {}));
    CHECK(away.joints.empty());
}

}  // namespace uovo::assembly::said_test
