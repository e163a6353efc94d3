// Repeats round a rim: evenly, as near as can be to what is wanted, and on the rim itself.
#include "core/stages/rim_ring.h"

#include <catch2/catch.hpp>
#include <numbers>

#include "core/stages/sheets.h"
#include "support.h"

namespace uovo::rim_ring_test {

using std::numbers::pi;

namespace {

struct Repeated {
    Plan plan;
    Answers answers;
    std::optional<RimRing> ring;
};

Repeated repeated(const char* family, double every, const char* item = "") {
    Repeated out;
    out.plan = test::demo();
    out.plan.pieces = {newPiece(out.plan, family)};
    DecorateStep drips;
    drips.every = Measure(every);
    drips.item = item;
    out.plan.pieces[0].making.push_back(drips);
    out.answers = test::answersOf(out.plan, test::withoutDay());
    REQUIRE(out.answers.pieces[0]->made);
    out.ring = rimRing(out.plan.pieces[0], drips, *out.answers.pieces[0]->made);
    return out;
}

}  // namespace

TEST_CASE("drips round a cup: a whole number, the same chord from each to the next, the first at the front") {
    for (const double every : {0.012, 0.02, 0.031, 0.3, 0.5}) {
        const auto r = repeated("cup", every);
        INFO(every);
        REQUIRE(r.ring);
        const auto& made = *r.answers.pieces[0]->made;
        const double radius = made.meridian->rimRadius, around = 2 * pi * radius;
        const int n = r.ring->times();
        CHECK(r.ring->around == Approx(around).epsilon(1e-3));
        CHECK(n == std::max(1, static_cast<int>(std::lround(around / every))));
        CHECK(r.ring->spacing * n == Approx(r.ring->around));
        for (int k = 0; k < n; ++k) {
            const auto &a = r.ring->marks[size_t(k)], &b = r.ring->marks[size_t(k + 1) % size_t(n)];
            CHECK(std::hypot(a[0], a[1]) == Approx(radius).epsilon(1e-3));
            if (n > 2)
                CHECK(std::hypot(a[0] - b[0], a[1] - b[1]) == Approx(2 * radius * std::sin(pi / n)).epsilon(0.01));
        }
        CHECK(r.ring->marks.front()[1] == Approx(-radius).epsilon(1e-3));
        // the band lies outside the rim all round
        for (const auto& p : r.ring->outer) CHECK(std::hypot(p[0], p[1]) == Approx(radius + 0.014).epsilon(5e-3));
    }
}

TEST_CASE("a part of a piece has a rim of its own, and what is not repeated has no ring") {
    const auto r = repeated("sheet", 0.02);
    REQUIRE(r.ring);  // a plate's edge
    CHECK(r.ring->times() >= 3);
    CHECK_FALSE(repeated("cup", 0).ring);
    const auto basket = repeated("basket", 0.025);
    REQUIRE(basket.ring);
    for (const auto& m : basket.ring->marks) CHECK(std::isfinite(m[0] + m[1]));
}

TEST_CASE("a ring is among the templates, and kept in the file") {
    const auto r = repeated("cup", 0.02);
    const auto sheets = sheetPlan(r.plan, io::library(), r.answers);
    REQUIRE(sheets.rings.size() == 1);
    CHECK_FALSE(sheets.empty());
    CHECK(sheets.rings[0].times() == r.ring->times());
    const auto back = readPlan(writePlan(r.plan));
    REQUIRE(back);
    CHECK(*back == r.plan);
    Plan wrong = r.plan;
    std::get<DecorateStep>(wrong.pieces[0].making.back()).every = Measure(2);
    const auto found = problems(wrong, io::library());
    REQUIRE_FALSE(found.empty());
    CHECK(found[0].where.ends_with("every"));
}

}  // namespace uovo::rim_ring_test
