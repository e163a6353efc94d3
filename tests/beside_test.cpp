// What a box, a plate and a mug leave free.
#include "core/form/beside.h"

#include "core/stages/scoop.h"

#include <catch2/catch.hpp>
#include <numbers>
#include <random>

#include "support.h"

namespace uovo::beside_test {

using form::Loop;
using form::Point2;

namespace {

Loop rectangle(double w, double h) { return {{-w / 2, -h / 2}, {w / 2, -h / 2}, {w / 2, h / 2}, {-w / 2, h / 2}}; }

}  // namespace

TEST_CASE("the smallest circle: as wide as the widest two or three, tried one by one") {
    std::mt19937 random(3);
    std::uniform_real_distribution<double> u(-0.1, 0.1);
    for (int trial = 0; trial < 60; ++trial) {
        Loop points;
        for (int i = 0; i < 3 + trial % 9; ++i) points.push_back({u(random), 0.5 * u(random)});
        const auto c = form::circleRound(points);
        for (const auto& p : points) CHECK(std::hypot(p[0] - c.at[0], p[1] - c.at[1]) <= c.radius + 1e-12);
        // no smaller one: the least radius over a fine net of middles
        double least = 1e9;
        for (int i = -60; i <= 60; ++i)
            for (int k = -60; k <= 60; ++k) {
                double r = 0;
                for (const auto& p : points)
                    r = std::max(r, std::hypot(p[0] - (c.at[0] + i * 1e-3), p[1] - (c.at[1] + k * 1e-3)));
                least = std::min(least, r);
            }
        CHECK(least == Approx(c.radius).margin(1e-9));
    }
    CHECK(form::circleRound({}).radius == 0);
    CHECK(form::circleRound({{1, 2}}).radius == 0);
    CHECK(form::circleRound({{0, 0}, {1, 0}, {2, 0}}).radius == Approx(1));  // in a row
    CHECK(form::circleRound(rectangle(0.06, 0.08)).radius == Approx(0.05));  // Pythagoras
}

TEST_CASE("in a box a piece is turned as is best") {
    form::Outside tile{rectangle(0.1, 0.06), rectangle(0.1, 0.06), 0.02};
    auto in = form::inBox(tile, 0.11, 0.08, 0.03);
    CHECK(in.beside == Approx(0.005));
    CHECK(in.above == Approx(0.01));
    in = form::inBox(tile, 0.08, 0.11, 0.03);  // the other way round
    CHECK(in.beside == Approx(0.005));
    form::Outside stick{rectangle(0.22, 0.005), {}, 0.005};  // longer than the box: from corner to corner
    in = form::inBox(stick, 0.2, 0.2, 0.1);
    CHECK(in.beside == Approx((0.2 - 0.225 / std::numbers::sqrt2) / 2).margin(1e-6));
    CHECK(form::inBox(tile, 0.05, 0.05, 0.03).beside < 0);
    CHECK(form::inBox(tile, 0.2, 0.2, 0.01).above == Approx(-0.01));
}

TEST_CASE("a ball in a mug, a bowl on a plate, a house in its box: said as they are measured") {
    Plan plan = test::demo();
    plan.pieces = {newPiece(plan, "ball"), newPiece(plan, "cup"), newPiece(plan, "house")};
    plan.pieces[0].shape.values["diameter"] = Measure(0.06);
    plan.pieces[2].shape.values["length"] = Measure(0.3);
    plan.kitchen.boxLength = plan.kitchen.boxWidth = Measure(0.2);
    plan.kitchen.boxHeight = Measure(0.15);
    const auto a = test::answersOf(plan, test::withoutDay());
    const auto said = [&](size_t piece) {
        const Answer* x = nullptr;
        for (const auto& answer : a.pieces[piece]->answers)
            if (answer.id == "beside") x = &answer;
        REQUIRE(x);
        return *x;
    };
    const auto ball = said(0);
    INFO(ball.sentence);
    CHECK(ball.figure.value == Approx((0.2 - 0.06) / 2).margin(0.002));
    CHECK(ball.sentence.find("into a mug") != std::string::npos);
    CHECK(ball.sentence.find("10 mm free all round") != std::string::npos);
    const auto cup = said(1);
    INFO(cup.sentence);
    CHECK(cup.sentence.find("A plate of 210 mm keeps") != std::string::npos);
    CHECK(cup.tone == Tone::Plain);
    const auto house = said(2);
    INFO(house.sentence);
    CHECK(house.headline == "Too large");
    CHECK(house.tone == Tone::Weak);
    // the box it asks for holds it, with its air
    const auto& outside = a.pieces[2]->made->outside;
    const auto in = form::inBox(outside, 0.2, 0.2, 0.15);
    const auto again = form::inBox(outside, in.length + 0.02, in.width + 0.02, outside.height + 0.01);
    CHECK(again.beside >= 0.01 - 1e-9);
    CHECK(again.above == Approx(0.01));
    plan.kitchen.boxLength = plan.kitchen.boxWidth = plan.kitchen.boxHeight = Measure(0.5);
    const auto larger = test::answersOf(plan, test::withoutDay());
    for (const auto& x : larger.pieces[2]->answers)
        if (x.id == "beside") CHECK(x.tone == Tone::Plain);
}

TEST_CASE("a scoop in a cup and in a bowl lies where compasses put it") {
    // a straight cup: the ball stands on the floor, as much free on each side
    Plan plan = test::demo();
    plan.pieces = {newPiece(plan, "cup")};
    for (const auto& [name, m] : std::map<std::string, double>{
             {"baseDiameter", 0.07}, {"topDiameter", 0.07}, {"height", 0.06}, {"corner", 0}, {"fillLine", 0.06}})
        plan.pieces[0].shape.values[name] = Measure(m);
    const Answers a = test::answersOf(plan, test::withoutDay());
    REQUIRE(a.problems.empty());
    const Made& made = *a.pieces[0]->made;
    const auto& walls = made.meridian->coats.wall;
    double thickest = 0;  // of the side above the ball's middle
    for (size_t i = 0; i < walls.size(); ++i)
        if (made.meridian->profile.faceZ[i] > 0.03) thickest = std::max(thickest, walls[i]);
    REQUIRE(thickest > 5e-4);
    const auto in = scoopIn(made, 0.05);
    REQUIRE(in);
    CHECK(in->free == Approx(0.035 - thickest - 0.025).margin(4e-4));
    // It stands on what has run down and lies on the floor: all that is not on the side above.
    const double floor = in->over + 0.06 - 0.05;
    double side = 0;
    for (size_t i = 0; i < walls.size(); ++i)
        if (made.meridian->profile.faceZ[i] > floor)
            side += made.meridian->profile.area[i] * made.meridian->coats.coats.back().perArea[i];
    CHECK(floor > walls.front());
    CHECK(floor * std::numbers::pi * 0.035 * 0.035 ==
          Approx(made.meridian->formerVolume - made.capacity - side).epsilon(0.05));
    const auto wide = scoopIn(made, 0.09);  // it lies on the rim
    CHECK(wide->free == Approx(0.035 - walls.back() - 0.045).margin(1e-3));
    CHECK(wide->over == Approx(std::sqrt(0.045 * 0.045 - std::pow(0.035 - walls.back(), 2)) + 0.045).margin(2e-3));
    const auto* said = [&]() -> const Answer* {
        for (const auto& x : a.pieces[0]->answers)
            if (x.id == "beside") return &x;
        return nullptr;
    }();
    REQUIRE(said);
    CHECK(said->sentence.find("A scoop of 50 mm goes in") != std::string::npos);

    // over a balloon: two balls that touch inside each other at the bottom, of radii R and r
    plan = test::demo();
    plan.pieces.resize(1);
    REQUIRE(plan.pieces[0].shape.family == "balloon");
    const Answers b = test::answersOf(plan, test::withoutDay());
    const Made& hollow = *b.pieces[0]->made;
    const auto& face = hollow.meridian->profile;
    const double rim = face.faceZ.back(), small = 0.02;
    const auto ball = scoopIn(hollow, small);
    REQUIRE(ball);
    double at = 0;  // radius of the former at the height of the ball's middle, from its outline
    for (size_t i = 0; i + 1 < face.faceZ.size(); ++i)
        if (face.faceZ[i] <= small / 2 && face.faceZ[i + 1] > small / 2)
            at = face.faceR[i] + (face.faceR[i + 1] - face.faceR[i]) * (small / 2 - face.faceZ[i]) /
                                     (face.faceZ[i + 1] - face.faceZ[i]);
    CHECK(ball->free == Approx(at - small / 2).margin(1.5e-3));
    CHECK(ball->over == Approx(small - rim).margin(1e-3));
    CHECK_FALSE(scoopIn(hollow, 0));
    plan.pieces = {newPiece(plan, "ball")};  // closed
    CHECK_FALSE(scoopIn(*test::answersOf(plan, test::withoutDay()).pieces[0]->made, small));
}

TEST_CASE("where no box is said nothing is warned of: the box that a piece needs is told, and holds it") {
    Plan plan = test::demo();
    plan.pieces = {newPiece(plan, "ball"), newPiece(plan, "house")};
    plan.pieces[0].shape.values["diameter"] = Measure(0.062);
    REQUIRE_FALSE(plan.kitchen.hasBox());
    const auto a = test::answersOf(plan, test::withoutDay());
    for (const auto& piece : a.pieces)
        for (const auto& x : piece->answers)
            if (x.id == "beside") {
                INFO(x.headline << ". " << x.sentence);
                CHECK(x.tone == Tone::Plain);
                CHECK(x.headline.find(" × ") != std::string::npos);
            }
    for (const auto& x : a.pieces[0]->answers)
        if (x.id == "beside") CHECK(x.headline == "85 mm × 85 mm × 75 mm");  // 62 and two or one times 10, rounded up
    plan.kitchen.boxLength = plan.kitchen.boxWidth = Measure(0.085);
    plan.kitchen.boxHeight = Measure(0.075);
    const auto said = test::answersOf(plan, test::withoutDay());
    for (const auto& x : said.pieces[0]->answers)
        if (x.id == "beside") CHECK(x.tone == Tone::Plain);
}

}  // namespace uovo::beside_test
