// Relations that hold whatever the figures are: between whole plans that differ in one thing, and between shells that
// differ in scale.
#include <catch2/catch.hpp>

#include "core/stages/shopping.h"
#include "core/stages/strength.h"
#include "support.h"
#include "support_shell.h"

namespace uovo::relations_test {

namespace {

Plan bowl() {
    Plan plan;
    plan.pieces = {newPiece(plan, "balloon")};
    plan.pieces[0].id = "bowl";
    return plan;
}

double each(const Answers& a, size_t i = 0) { return a.pieces[i]->made->mass; }

form::Figures& balloon(Plan& p) { return p.pieces[0].shape.values; }

}  // namespace

TEST_CASE("twice as many pieces take twice the chocolate in pieces, and the same bath") {
    Plan plan = bowl();
    plan.pieces[0].survives = 1;  // spares come in steps
    plan.pieces[0].count = 6;
    const auto six = test::answersOf(plan, test::withoutDay());
    plan.pieces[0].count = 12;
    const auto twelve = test::answersOf(plan, test::withoutDay());
    REQUIRE(six.pots.size() == 1);
    CHECK(twelve.pots[0].pieces == Approx(2 * six.pots[0].pieces));
    CHECK(twelve.pots[0].bath == Approx(six.pots[0].bath));
    CHECK(twelve.pots[0].melt < 2 * six.pots[0].melt);
    CHECK(each(twelve) == each(six));
}

TEST_CASE("two shelves of half the pieces are the whole: order and division change no gram") {
    Plan one = bowl();
    one.pieces[0].survives = 1;
    one.pieces[0].count = 8;
    Plan two = one;
    two.pieces.push_back(two.pieces[0]);
    two.pieces[0].count = 3;
    two.pieces[1].count = 5;
    two.pieces[1].id = "other";
    Plan turned = two;
    std::swap(turned.pieces[0], turned.pieces[1]);
    const auto a = test::answersOf(one, test::withoutDay()), b = test::answersOf(two, test::withoutDay()),
               c = test::answersOf(turned, test::withoutDay());
    CHECK(b.pots[0].pieces == Approx(a.pots[0].pieces));
    CHECK(c.pots[0].melt == Approx(b.pots[0].melt));
    CHECK(each(b, 0) == each(b, 1));
    CHECK(b.piece("other")->make == c.piece("other")->make);
}

TEST_CASE("units are only spoken: in grams and in ounces the same plan has the same figures") {
    Plan metric = test::demo(), us = metric;
    us.units = UnitSystem::US;
    const auto a = test::answersOf(metric, test::withoutDay()), b = test::answersOf(us, test::withoutDay());
    REQUIRE(a.pieces.size() == b.pieces.size());
    for (size_t i = 0; i < a.pieces.size(); ++i) {
        INFO(a.pieces[i]->id);
        CHECK(each(a, i) == each(b, i));
        REQUIRE(a.pieces[i]->answers.size() == b.pieces[i]->answers.size());
        for (size_t k = 0; k < a.pieces[i]->answers.size(); ++k) {
            const auto &x = a.pieces[i]->answers[k], &y = b.pieces[i]->answers[k];
            CHECK(x.id == y.id);
            CHECK((x.figure.value == y.figure.value || (std::isnan(x.figure.value) && std::isnan(y.figure.value))));
            CHECK(x.headline.find(" oz") == std::string::npos);
            CHECK(y.headline.find(" g") == std::string::npos);
        }
    }
    for (size_t i = 0; i < a.pots.size(); ++i) CHECK(a.pots[i].melt == b.pots[i].melt);
}

TEST_CASE("more of what makes a wall thick makes it thicker") {
    const auto mass = [](const std::function<void(Plan&)>& change) {
        Plan plan = bowl();
        change(plan);
        const auto a = test::answersOf(plan, test::withoutDay());
        REQUIRE(a.problems.empty());
        return each(a);
    };
    const double plain = mass([](Plan&) {});
    CHECK(mass([](Plan& p) { p.pieces[0].coats().push_back(p.pieces[0].coats().back()); }) > 1.2 * plain);
    CHECK(mass([](Plan& p) { balloon(p)["dip"] = Measure(balloon(p)["dip"].value + 0.01); }) > plain);
    CHECK(mass([](Plan& p) {
              for (auto& c : p.pieces[0].coats()) c.temperature = Measure(c.temperature.value - 1);
          }) > plain);
    CHECK(mass([](Plan& p) {
              for (auto& c : p.pieces[0].coats()) c.temperature = Measure(c.temperature.value + 1);
          }) < plain);
    CHECK(mass([](Plan& p) { p.own["dark"].values["yield40"] = 2 * io::library().find("dark")->at("yield40").value; }) >
          plain);
    CHECK(mass([](Plan& p) {
              p.pieces[0].thinner = material::Thinner::CocoaButter;
              p.pieces[0].thinnerShare = 0.05;
          }) < plain);
}

TEST_CASE("what does not touch a wall leaves it alone, to the last bit") {
    const double plain = each(test::answersOf(bowl(), test::withoutDay()));
    const auto same = [&](const std::function<void(Plan&)>& change) {
        Plan plan = bowl();
        change(plan);
        CHECK(each(test::answersOf(plan, test::withoutDay())) == plain);
    };
    same([](Plan& p) { p.pieces[0].name = "Another"; });
    same([](Plan& p) { p.pieces[0].count = 40; });
    same([](Plan& p) { p.pieces[0].survives = 0.5; });
    same([](Plan& p) { p.kitchen.helpers.resize(2); });
    same([](Plan& p) { p.kitchen.shelfWidth = Measure(0.9); });
    same([](Plan& p) { p.deadline = "2026-12-24T18:00"; });
    same([](Plan& p) { p.pieces[0].loads["fingers"] = Measure(4.0); });
    same([](Plan& p) { p.pieces[0].sits = Sits::Ring; });
    same([](Plan& p) { p.own["milk"].values["yield40"] = 30; });
    same([](Plan& p) { test::fill(p, p.pieces[0]); });
}

TEST_CASE("a later deadline moves the day by as much, and changes nothing in it") {
    Plan plan = bowl();
    plan.deadline = "2026-12-05T18:00";
    const auto first = test::answersOf(plan);
    plan.deadline = "2026-12-06T20:30";
    const auto later = test::answersOf(plan);
    REQUIRE(first.day);
    REQUIRE(later.day);
    CHECK(later.day->end + later.day->layout.begins - first.day->end - first.day->layout.begins == 26 * 60 + 30);
    CHECK(later.day->layout.start == first.day->layout.start);
}

TEST_CASE("less of a filling weighs less, costs less alcohol and stands lower") {
    Plan plan = bowl();
    test::fill(plan, plan.pieces[0]);
    double before = -1;
    for (const double ml : {20.0, 60.0, 120.0, 180.0}) {
        plan.pieces[0].fill()->each = Measure(ml * 1e-6);
        const auto a = test::answersOf(plan, test::withoutDay());
        CHECK(a.pieces[0]->fillEach == Approx(ml * 1e-6));
        CHECK(a.pieces[0]->fillLevel > before);
        before = a.pieces[0]->fillLevel;
        CHECK(volumeAtLevel(*a.pieces[0]->made, before) == Approx(ml * 1e-6).epsilon(1e-6));
    }
}

TEST_CASE("spares rise with what breaks, never below the pieces wanted") {
    Plan plan = bowl();
    plan.pieces[0].count = 12;
    int before = 0;
    for (const double survives : {1.0, 0.95, 0.8, 0.6, 0.4}) {
        plan.pieces[0].survives = survives;
        const int make = test::answersOf(plan, test::withoutDay()).pieces[0]->make;
        CHECK(make >= 12);
        CHECK(make >= before);
        CHECK(make >= std::lround(12 / survives) - 1);
        before = make;
    }
}

TEST_CASE("stiffness divides the shift and leaves the stress, twice the force is twice both") {
    using namespace shell;
    const auto solved = [](double young, double force) {
        Model m = test::bowl(40, 16);
        m.material.young = young;
        const auto system = System::build(m, sixFreedoms(m));
        REQUIRE(system);
        Freedoms load = noLoad(m);
        for (const double side : {1.0, -1.0})
            addForce(pad(m, {0.06 * side, 0, 0.06}, 0.008), {-force * side, 0, 0}, load);
        const auto u = system->solve({load})[0];
        const auto f = faces(m);
        const auto s = stresses(m, f, u);
        return std::tuple{test::dotOf(u, load), greatest(m, f, s).stress, verdict(m, f, s, {}).margin};
    };
    const auto [work, stress, margin] = solved(1e8, 1);
    const auto [softWork, softStress, softMargin] = solved(2.5e7, 1);
    const auto [hardWork, hardStress, hardMargin] = solved(1e8, 3);
    CHECK(softWork == Approx(4 * work));
    CHECK(softStress == Approx(stress));
    CHECK(softMargin == Approx(margin));
    CHECK(hardWork == Approx(9 * work));
    CHECK(hardStress == Approx(3 * stress));
    CHECK(hardMargin == Approx(margin / 3));
}

TEST_CASE(
    "a shell twice as large under four times the force has the same stress, and cracks sooner by its volume alone") {
    using namespace shell;
    const auto scaled = [](double times) {
        Model m = test::bowl(40, 16, 0.06 * times, 0.002 * times);
        const auto system = System::build(m, sixFreedoms(m));
        REQUIRE(system);
        Freedoms load = noLoad(m);
        for (const double side : {1.0, -1.0})
            addForce(pad(m, {0.06 * side * times, 0, 0.06 * times}, 0.008 * times), {-side * times * times, 0, 0},
                     load);
        const auto f = faces(m);
        const auto s = stresses(m, f, system->solve({load})[0]);
        return std::pair{greatest(m, f, s).stress, verdict(m, f, s, {}).margin};
    };
    const auto [stress, margin] = scaled(1);
    const auto [large, less] = scaled(2);
    CHECK(large == Approx(stress).epsilon(1e-6));
    CHECK(less ==
          Approx(margin * std::pow(8, -1 / Strength{}.modulus)).epsilon(1e-6));  // Weibull: volume to the power -1/m
}

TEST_CASE("loads add up: what two do together is the sum of what each does") {
    using namespace shell;
    const Model m = test::bowl(32, 12);
    const auto system = System::build(m, sixFreedoms(m));
    REQUIRE(system);
    Freedoms a = noLoad(m), b = a, both = a;
    for (const double side : {1.0, -1.0}) {
        addForce(pad(m, {0.06 * side, 0, 0.06}, 0.008), {-side, 0, 0}, a);
        addForce(pad(m, {0, 0.06 * side, 0.06}, 0.008), {0, 0.4 * side, 0}, b);
    }
    for (size_t i = 0; i < both.size(); ++i) both[i] = 2 * a[i] - 3 * b[i];
    const auto u = system->solve({a, b, both});
    double most = 0, off = 0;
    for (size_t i = 0; i < both.size(); ++i) {
        most = std::max(most, std::abs(u[2][i]));
        off = std::max(off, std::abs(u[2][i] - 2 * u[0][i] + 3 * u[1][i]));
    }
    CHECK(off < 1e-9 * most);
    // Maxwell and Betti: the work of one load on the other's shifts is the same both ways
    CHECK(test::dotOf(u[0], b) == Approx(test::dotOf(u[1], a)).epsilon(1e-9));
}

TEST_CASE("more support, more stiffness: nothing that is held in addition moves further") {
    using namespace shell;
    const Model m = test::net(
        12, 12,
        [](double u, double v) {
            return form::Vec3{0.1 * u, 0.1 * v, 0};
        },
        0.003);
    const auto work = [&](const std::function<bool(const form::Vec3&)>& held) {
        std::vector<Support> supports;
        for (size_t i = 0; i < m.points.size(); ++i)
            if (held(m.points[i])) supports.push_back({static_cast<int>(i), 63});
        const auto system = System::build(m, supports);
        REQUIRE(system);
        Freedoms load = noLoad(m);
        addForce(pad(m, {0.06, 0.05, 0}, 0.01), {0, 0, -1}, load);
        return test::dotOf(system->solve({load})[0], load);
    };
    const double one = work([](const auto&p) { return p.x < 1e-9; }),
                 two = work([](const auto&p) { return p.x < 1e-9 || p.x > 0.1 - 1e-9; }),
                 all = work(
                     [](const auto&p) { return p.x < 1e-9 || p.x > 0.1 - 1e-9 || p.y < 1e-9 || p.y > 0.1 - 1e-9; });
    CHECK(two < one);
    CHECK(all < two);
    CHECK(all > 0);
}

}  // namespace uovo::relations_test
