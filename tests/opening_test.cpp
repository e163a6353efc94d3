// A hole that is melted into a closed shell once it has set.
#include <catch2/catch.hpp>

#include <algorithm>
#include <cmath>
#include <numbers>

#include "core/stages/film_history.h"
#include "core/stages/strength.h"
#include "support_coats.h"

namespace uovo::opening_test {

using test::find;
using test::only;
using test::planOf;

namespace {

Plan ball(double opening, bool coated = true) {
    Plan plan = planOf("ball");
    auto& part = plan.pieces[0].shape;
    part.values[form::kOpening] = Measure(opening);
    part.values["wall"] = Measure(0.003);
    if (!coated) plan.pieces[0].coats().clear();
    return plan;
}

double melted(const Plan& plan) { return test::answersOf(plan, test::withoutDay()).pots.front().melt; }

}  // namespace

TEST_CASE("nothing runs out of a hole that is not melted yet: an opened ball is made like a whole one") {
    const auto whole = only(ball(0)), open = only(ball(0.06));
    CHECK(open->made->wall->coats[0].added == Approx(whole->made->wall->coats[0].added).epsilon(1e-9));
    CHECK(open->made->wall->mean == Approx(whole->made->wall->mean).epsilon(1e-9));
    CHECK(open->made->melted > 0);
    CHECK(open->made->mass + open->made->melted == Approx(whole->made->mass).epsilon(1e-9));
    CHECK(whole->made->melted == 0);
    // what melts away is melted with the rest, and comes back
    const auto a = test::answersOf(ball(0), test::withoutDay()), b = test::answersOf(ball(0.06), test::withoutDay());
    CHECK(b.pots[0].melt == Approx(a.pots[0].melt).epsilon(1e-3));
    CHECK(b.pots[0].returned - a.pots[0].returned == Approx(open->made->melted * open->make).epsilon(0.05));
}

TEST_CASE("what a hole takes off is a cap: 2 pi R h times the wall, with h = R - sqrt(R^2 - r^2)") {
    const double R = 0.05, r = 0.03, h = R - std::sqrt(R * R - r * r), wall = 0.003;
    CHECK(h == Approx(0.010));  // 3-4-5 by hand: 50 − 40 mm
    const auto a = only(ball(0.06, false));
    CHECK(a->made->melted == Approx(2 * std::numbers::pi * R * h * wall * a->coating.densitySolid).epsilon(1e-9));
    // the plane 40 mm from the middle cuts the inner ball of 47 mm in a circle of sqrt(47² − 40²) = 24.68 mm radius
    const auto* said = find(*a, "opening");
    REQUIRE(said);
    CHECK(said->figure.value == Approx(0.04936).epsilon(1e-3));
    CHECK(melted(ball(0.06, false)) > melted(ball(0, false)) - 0.001);
}

TEST_CASE(
    "a scoop goes through a hole that is wide enough, not through a narrow one, and a shallow cap opens nothing") {
    const auto wide = only(ball(0.07, false)), narrow = only(ball(0.05, false)), none = only(ball(0.02, false));
    CHECK(find(*wide, "opening")->tone == Tone::Good);
    CHECK(find(*wide, "opening")->sentence.find("goes through") != std::string::npos);
    CHECK(find(*narrow, "opening")->tone == Tone::Plain);
    CHECK(find(*narrow, "opening")->sentence.find("No scoop") != std::string::npos);
    // 20 mm across is 1.01 mm deep; the wall is 3 mm: a plate must melt 2 sqrt(50² − 47²) = 34.1 mm away
    const auto* closed = find(*none, "opening");
    CHECK(closed->tone == Tone::Weak);
    CHECK(closed->figure.value == 0);
    CHECK(closed->sentence.find("36 mm") != std::string::npos);
    CHECK_FALSE(find(*only(ball(0, false)), "opening"));
}

TEST_CASE("hot sauce is told of an opened ball as of a whole one") {
    const auto seconds = [](double opening) {
        const Plan plan = ball(opening, false);
        const auto a = only(plan);
        for (const auto& c : strength(plan.pieces[0], plan, io::library(), *a).cases)
            if (c.id == "sauce") return c.seconds;
        return 0.0;
    };
    const double whole = seconds(0), open = seconds(0.06);
    CHECK(whole > 5);
    CHECK(open == Approx(whole).epsilon(0.05));
}

TEST_CASE("the coats of an opened ball are watched on the closed mold") {
    const Plan plan = ball(0.06);
    const auto history = filmHistory(plan.pieces[0], plan, io::library(), 0);
    REQUIRE(history);
    CHECK(form::bounds(history->shape.surface).size().z == Approx(0.1).epsilon(0.01));
}

TEST_CASE("the day melts the holes once the balls are off their molds, with its caution") {
    Plan plan = ball(0.06);
    plan.deadline = "2026-08-04T18:00";
    plan.pieces[0].count = 3;
    const auto a = test::answersOf(plan);
    REQUIRE(a.day);
    const auto& tasks = a.day->network.tasks;
    const auto at = [&](const char* what) {
        return static_cast<size_t>(
            std::find_if(tasks.begin(), tasks.end(), [&](const auto& t) { return t.id.ends_with(what); }) -
            tasks.begin());
    };
    REQUIRE(at("/open") < tasks.size());
    CHECK(a.day->layout.start[at("/open")] >= a.day->layout.start[at("/unmold")] + tasks[at("/unmold")].minutes);
    CHECK(std::count(tasks[at("/open")].cautions.begin(), tasks[at("/open")].cautions.end(), "warm-plate") == 1);
    plan = ball(0);
    plan.deadline = "2026-08-04T18:00";
    const auto whole = test::answersOf(plan);
    for (const auto& t : whole.day->network.tasks) CHECK_FALSE(t.id.ends_with("/open"));
}

}  // namespace uovo::opening_test
