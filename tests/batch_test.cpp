#include <catch2/catch.hpp>
#include <numbers>

#include "support.h"

namespace uovo::batch_test {

TEST_CASE("a pot's volume and level are inverse, and match a cylinder by hand") {
    const material::Pot pan{"p", "Pan", 0.2, 0.2, 0.1};
    CHECK(batch::potVolume(pan, 0.05) == Approx(std::numbers::pi * 0.01 * 0.05));
    CHECK(batch::potLevel(pan, std::numbers::pi * 0.01 * 0.05) == Approx(0.05).epsilon(1e-9));
    CHECK(std::isnan(batch::potLevel(pan, 1)));
}

TEST_CASE("a bath holds what stands round the piece: by hand for a half ball in a cylinder") {
    const material::Pot pan{"p", "Pan", 0.2, 0.2, 0.12};
    const auto half = form::sphereCap(0.06, 0.06, form::Side::Outside);
    const auto bath = *batch::bathFor(half, 0.06, pan, 0.01);
    const double ball = 2.0 / 3 * std::numbers::pi * 0.06 * 0.06 * 0.06;
    CHECK(bath.chocolate == Approx(std::numbers::pi * 0.01 * 0.07 - ball).epsilon(1e-6));
    CHECK(bath.level == Approx(0.07));
    CHECK(bath.still < bath.level);
}

TEST_CASE("pots that do not fit are refused, the one that needs least is chosen") {
    const auto half = form::sphereCap(0.06, 0.06, form::Side::Outside);
    CHECK(batch::bathFor(half, 0.06, {"a", "Mug", 0.08, 0.08, 0.2}, 0.01).error().sentence.find("too narrow") !=
          std::string::npos);
    CHECK(batch::bathFor(half, 0.06, {"b", "Plate", 0.3, 0.3, 0.03}, 0.01).error().sentence.find("too low") !=
          std::string::npos);
    const std::vector<material::Pot> pots{{"w", "Wide", 0.3, 0.3, 0.2}, {"n", "Narrow", 0.14, 0.14, 0.2}};
    CHECK(batch::bestBath(half, 0.06, pots, 0.01)->pot == "n");
    CHECK_FALSE(batch::bestBath(half, 0.06, {}, 0.01));
}

TEST_CASE("grams add up: melt is pieces, bath and tools, what comes back is bath and trim") {
    const auto pots =
        batch::pots({{"a", {"dark"}, 10, 0.1, 0.8}, {"b", {"dark"}, 5, 0.02, 0.3}, {"c", {"milk"}, 4, 0.05, 0}},
                    {1, 1, 0.2}, 0.015, 0.005, 0.03);
    REQUIRE(pots.size() == 2);
    CHECK(pots[0].pieces == Approx(1.1));
    CHECK(pots[0].bath == Approx(0.8));  // shared: the deepest
    CHECK(pots[0].melt == Approx(1.92));
    CHECK(pots[0].packets == 2);
    CHECK(pots[0].consumed + pots[0].returned == Approx(pots[0].melt));
    CHECK(pots[1].packets == 2);
}

TEST_CASE("spares grow with the risk, certainty needs none") {
    CHECK(batch::piecesToMake(14, 1) == 14);
    CHECK(batch::piecesToMake(0, 0.9) == 0);
    for (int n = 1; n < 40; ++n) {
        CHECK(batch::piecesToMake(n, 0.8) >= batch::piecesToMake(n, 0.9));
        CHECK(batch::piecesToMake(n + 1, 0.9) > batch::piecesToMake(n, 0.9));
    }
    CHECK(batch::piecesToMakeFromLog(6, 0, 0, 0.95, 9, 1) < 12);   // an informative prior
    CHECK(batch::piecesToMakeFromLog(6, 0, 0, 0.95, 1, 1) > 100);  // a flat one asks too much
    CHECK(batch::piecesToMakeFromLog(6, 900, 100) == Approx(batch::piecesToMake(6, 0.9)).margin(1));
}

TEST_CASE("discs on a shelf: rows or staggered, by hand") {
    CHECK(batch::fitOnShelf(0.4, 0.3, 0.1) == 12);
    CHECK(batch::fitOnShelf(0.1, 0.1, 0.1) == 1);
    CHECK(batch::fitOnShelf(0.1, 0.1, 0.11) == 0);
    CHECK(batch::fitOnShelf(1.0, 1.0, 0.1) == 105);  // staggered, 11 rows of ten and nine, beats 100
    CHECK(batch::fitOnShelf(1, 1, 0) == 0);
}

TEST_CASE(
    "what fits: discs by their width, long parts in rows, several shelves, nothing too tall, a compound by all its "
    "parts") {
    // a shelf of 46 × 32 cm, 24 cm high, a centimetre round each; counted by hand
    const auto fit = [](std::vector<batch::Footprint> parts, int shelves = 1) {
        return batch::fitOnShelves(0.46, 0.32, 0.24, shelves, parts, 0.01);
    };
    CHECK(fit({{0.130, 0.130, 0.01, true}}) == 6);   // 3 × 2 of 14 cm
    CHECK(fit({{0.250, 0.250, 0.04, true}}) == 1);   // one of 26 cm
    CHECK(fit({{0.070, 0.070, 0.04, true}}) >= 21);  // 5 × 4 in rows are 20, staggered one more at least
    CHECK(fit({{0.260, 0.040, 0.01, false}}) == 9);  // of 27 × 5 cm: 1 × 6, or turned 9 × 1
    CHECK(fit({{0.300, 0.040, 0.01, false}}) == 9);
    CHECK(fit({{0.130, 0.130, 0.01, true}}, 3) == 18);
    CHECK(fit({{0.130, 0.130, 0.30, true}}) == 0);  // too tall
    CHECK(fit({{0.47, 0.02, 0.01, false}}) == 0);
    // six panels of 10 × 8 cm: (11 × 9) · 6 = 594 cm² of 0.75 · 1472 cm²
    const std::vector<batch::Footprint> house(6, {0.10, 0.08, 0.01, false});
    CHECK(fit(house) == 1);
    CHECK(fit(house, 2) == 3);
    CHECK(fit({}) == 0);
}

}  // namespace uovo::batch_test
