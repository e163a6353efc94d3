// Fillings: how full, lids, recipes scaled, alcohol.
#include <catch2/catch.hpp>
#include <cmath>
#include <numbers>

#include "core/document/amount.h"
#include "core/stages/shopping.h"
#include "support.h"

namespace uovo::filling_test {

using std::numbers::pi;

namespace {

/// A straight cup of 30 mm radius and 50 mm height with a filling.
Plan cupPlan() {
    Plan plan;
    Piece p = newPiece(plan, "cup");
    p.id = "cup";
    p.count = 5;
    p.shape = test::cup(0.06, 0.06, 0.05, 0.002, 0.05);
    p.coats() = usualCoats(p, plan, io::library());
    test::fill(plan, p, "Custard");
    plan.pieces = {p};
    return plan;
}

Ingredient thing(const char* name, Ingredient::By by, double amount, double alcohol = 0, const char* allergens = "") {
    Ingredient i;
    i.name = name;
    i.by = by;
    i.amount = Measure(amount);
    i.alcohol = alcohol;
    i.allergens = allergens;
    return i;
}

}  // namespace

TEST_CASE("three quarters full is three quarters of what the piece holds, whatever was typed") {
    Plan plan = cupPlan();
    plan.pieces[0].fill()->share = Measure(0.75);
    const auto a = test::answersOf(plan, test::withoutDay());
    const auto& piece = *a.pieces[0];
    CHECK(piece.fillEach == Approx(0.75 * piece.made->capacity));
    CHECK(volumeAtLevel(*piece.made, piece.fillLevel) == Approx(piece.fillEach).epsilon(1e-6));
    plan.pieces[0].fill()->share = Measure(0.0);
    CHECK(test::answersOf(plan, test::withoutDay()).pieces[0]->fillEach == plan.pieces[0].fill()->each.value);
}

TEST_CASE("what a cup holds agrees with its closed form: a cylinder less its wall") {
    // V = π R² H − corner − chocolate; a fillet of 2 mm takes (1 − π/4) r² round its ring.
    const auto a = test::answersOf(cupPlan(), test::withoutDay());
    const Made& made = *a.pieces[0]->made;
    const auto& s = *made.meridian;
    const double fillet = (1 - pi / 4) * 0.002 * 0.002 * 2 * pi * (0.03 - 0.002 * (10 - 3 * pi) / (12 - 3 * pi) * 0.5);
    CHECK(s.formerVolume == Approx(pi * 0.03 * 0.03 * 0.05 - fillet).epsilon(2e-3));
    CHECK(made.capacity == Approx(s.formerVolume - s.coats.mass / a.pieces[0]->coating.densitySolid).epsilon(1e-9));
    const double t = s.wall.mean;
    CHECK(made.capacity ==
          Approx(pi * std::pow(0.03 - t, 2) * (0.05 - t)).epsilon(0.04));  // wall and floor on the whole
    CHECK(volumeAtLevel(made, 0.05) == Approx(made.capacity).epsilon(3e-4));
    CHECK(volumeAtLevel(made, 0) == 0);
    CHECK(levelOfVolume(made, 0.5 * made.capacity) ==
          Approx(0.025 + t / 2).epsilon(0.06));               // half of it lies half-way up
    for (double level = 0.006; level < 0.05; level += 0.004)  // above the chocolate on the floor
        CHECK(volumeAtLevel(made, level + 0.002) > volumeAtLevel(made, level));
}

TEST_CASE("a lid is the chocolate between two levels: by hand in a straight cup, and it is bought and wanted late") {
    Plan plan = cupPlan();
    plan.pieces[0].fill()->share = Measure(0.75);
    const auto open = test::answersOf(plan, test::withoutDay());
    plan.pieces[0].having<LidStep>().depth = Measure(0.003);
    const auto shut = test::answersOf(plan, test::withoutDay());
    const auto& piece = *shut.pieces[0];
    const double r = 0.03 - piece.made->wall->mean, hand = pi * r * r * 0.003 * piece.coating.densitySolid;
    CHECK(piece.capMass == Approx(hand).epsilon(0.06));
    CHECK(shut.pots[0].pieces - open.pots[0].pieces == Approx(piece.capMass * piece.make));
    CHECK(shut.pots[0].late - open.pots[0].late == Approx(piece.capMass * plan.pieces[0].count));
    plan.pieces[0].fill()->share = Measure(1.0);  // no room on a cup that is full
    CHECK(test::answersOf(plan, test::withoutDay()).pieces[0]->capMass == 0);
    // the day pours them, after the filling
    plan.pieces[0].fill()->share = Measure(0.75);
    const auto day = test::answersOf(plan);
    REQUIRE(day.day);
    REQUIRE(day.day->problem.empty());
    int fill = -1, lid = -1;
    const auto& tasks = day.day->network.tasks;
    for (size_t i = 0; i < tasks.size(); ++i) {
        if (tasks[i].id == "cup/fill") fill = day.day->layout.start[i] + tasks[i].minutes;
        if (tasks[i].id == "cup/lid") lid = day.day->layout.start[i];
    }
    CHECK(lid >= fill);
    CHECK(schedule::check(day.day->network, day.day->layout).empty());
}

TEST_CASE("a recipe is scaled to all pieces, its alcohol and allergens are told") {
    Plan plan = cupPlan();
    auto& f = plan.fillings[0];
    plan.pieces[0].fill()->each = Measure(60e-6);
    f.makes = Measure(500e-6);
    f.recipe = {thing("Cream", Ingredient::By::Volume, 300e-6, 0, "milk"),
                thing("Egg yolk", Ingredient::By::Count, 4, 0, "egg"),
                thing("Cherry spirit", Ingredient::By::Volume, 50e-6, 0.40),
                thing("Almonds", Ingredient::By::Mass, 0.08, 0, "nuts, milk")};
    const auto a = test::answersOf(plan, test::withoutDay());
    const auto s = scaled(plan, io::library(), a, f);
    CHECK(s.volume == Approx(300e-6));
    CHECK(s.factor == Approx(0.6));
    CHECK(s.alcohol == Approx(0.04));  // 50 ml at 40 % in half a litre
    REQUIRE(s.of("cup"));
    CHECK(s.of("cup")->grams == Approx(60e-6 * 0.04 * 789));  // 1.9 g of pure alcohol in 60 ml
    CHECK(amountOf(f.recipe[0], s.factor, UnitSystem::Metric) == "180 ml");
    CHECK(amountOf(f.recipe[1], s.factor, UnitSystem::Metric) == "2.4");
    CHECK(amountOf(f.recipe[3], s.factor, UnitSystem::Metric) == "48 g");
    CHECK(f.isAlcoholic());
    const auto list = shopping(plan, io::library(), a, "");
    CHECK(list.supplies.size() == 5);  // and the paper cups
    CHECK(test::bought(list, "Paper cups") == std::to_string(a.pieces[0]->make));
    for (const char* allergen : {"milk", "egg", "nuts"})
        CHECK(std::count(list.allergens.begin(), list.allergens.end(), allergen) == 1);
    CHECK(std::any_of(list.warnings.begin(), list.warnings.end(), [](const auto& w) {
        return w.find("for adults") != std::string::npos && w.find("4 %") != std::string::npos;
    }));
    CHECK(std::any_of(a.cautions.begin(), a.cautions.end(),
                      [](const auto& c) { return c.find("lcohol") != std::string::npos; }));
    f.makes = Measure(0.0);  // not said: nothing is scaled, and that is told
    const auto b = test::answersOf(plan, test::withoutDay());
    CHECK(std::isnan(scaled(plan, io::library(), b, f).factor));
    const auto unsaid = shopping(plan, io::library(), b, "");
    CHECK(std::any_of(unsaid.warnings.begin(), unsaid.warnings.end(),
                      [](const auto& w) { return w.find("not said") != std::string::npos; }));
    const auto again = readPlan(writePlan(plan));
    REQUIRE(again);
    CHECK(*again == plan);
}

TEST_CASE("amounts are read as recipes write them") {
    Ingredient i;
    REQUIRE(readAmount("120 g", false, i));
    CHECK((i.by == Ingredient::By::Mass && i.amount.value == Approx(0.120)));
    REQUIRE(readAmount("1/2 cup", false, i));
    CHECK((i.by == Ingredient::By::Volume &&
           i.amount.value == Approx(118.29411825e-6)));  // half of 236.5882365 ml, the US cup of GNU units
    REQUIRE(readAmount("1/2 cup", true, i));
    CHECK(i.amount.value == Approx(125e-6));
    REQUIRE(readAmount("3", false, i));
    CHECK((i.by == Ingredient::By::Count && i.amount.value == 3));
    CHECK_FALSE(readAmount("a pinch of luck", false, i));
    CHECK_FALSE(readAmount("", false, i));
    CHECK(writtenAmount(i, UnitSystem::Metric) == "3");
}

TEST_CASE("fillings that cannot be are said beside their field") {
    const auto wrong = [](auto change) {
        Plan plan = cupPlan();
        plan.fillings[0].recipe = {thing("Rum", Ingredient::By::Volume, 1e-5, 0.4)};
        change(plan.pieces[0], plan.fillings[0]);
        const auto all = problems(plan, io::library());
        return all.empty() ? std::string() : all.front().where;
    };
    CHECK(wrong([](Piece&, Filling&) {}) == "");
    CHECK(wrong([](Piece& p, Filling&) { p.fill()->share = Measure(1.2); }) == "pieces/cup/filling/share");
    CHECK(wrong([](Piece& p, Filling&) { p.fill()->filling = "soup"; }) == "pieces/cup/filling/filling");
    CHECK(wrong([](Piece& p, Filling&) { p.having<LidStep>().depth = Measure(-0.001); }) == "pieces/cup/filling/cap");
    CHECK(wrong([](Piece&, Filling& f) { f.makes = Measure(-1.0); }) == "fillings/custard/makes");
    CHECK(wrong([](Piece&, Filling& f) { f.recipe[0].amount = Measure(-1.0); }) == "fillings/custard/recipe/0/amount");
    CHECK(wrong([](Piece&, Filling& f) { f.recipe[0].alcohol = 1.4; }) == "fillings/custard/recipe/0/alcohol");
    CHECK(wrong([](Piece&, Filling& f) { f.recipe[0].by = Ingredient::By::Count; }) ==
          "fillings/custard/recipe/0/amount");
}

}  // namespace uovo::filling_test
