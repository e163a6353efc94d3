// What chocolate goes round and is eaten with it; shells pressed by any insert; halves of any two molds.
#include <catch2/catch.hpp>

#include <cmath>

#include "core/stages/shopping.h"
#include "core/stages/strength.h"
#include "support_coats.h"

namespace uovo::dipped_test {

using test::find;

namespace {

Plan one(const char* family) {
    Plan plan;
    plan.deadline = "2027-03-06T18:00";
    Piece p = newPiece(plan, family);
    p.id = "p";
    p.name = "Piece";
    plan.pieces = {p};
    return plan;
}

Plan dipped(const char* what, double length, double width, double dip, double thickness = 0.008, double pear = 0) {
    Plan plan = one("dipped");
    plan.pieces[0].shape.choices["what"] = what;
    plan.pieces[0].shape.values = {{"length", length}, {"width", width}, {"thickness", thickness},
                                   {"dip", dip},       {"pear", pear},   {"wall", 0.0015}};
    return plan;
}

form::Shape shapeOf(const Plan& plan) {
    const auto built = form::build(plan.pieces[0].shape, plan.meshes);
    REQUIRE(built);
    return built->items.front().shape;
}

InsertStep& core(Piece& p) { return *firstOf<InsertStep>(p.making); }

}  // namespace

TEST_CASE("what goes under is as large as the book of solids says: cap, rod, finger, half a disc") {
    // closed forms: a sphere's zone 2 π R h, a cylinder with one end, a box with one end, half a disc and its edge
    CHECK(shapeOf(dipped("fruit", 0.03, 0.03, 0.02)).area == Approx(M_PI * 0.03 * 0.02).epsilon(1e-6));
    CHECK(shapeOf(dipped("fruit", 0.03, 0.03, 0.03)).area == Approx(M_PI * 0.03 * 0.03).epsilon(1e-6));
    CHECK(shapeOf(dipped("stick", 0.12, 0.008, 0.08)).area ==
          Approx(M_PI * 0.008 * 0.08 + M_PI * 0.004 * 0.004).epsilon(1e-6));
    CHECK(shapeOf(dipped("finger biscuit", 0.07, 0.025, 0.04, 0.01)).area ==
          Approx(2 * (0.025 + 0.01) * 0.04 + 0.025 * 0.01).epsilon(1e-9));
    CHECK(shapeOf(dipped("round biscuit", 0.06, 0.06, 0.03, 0.007)).area ==
          Approx(M_PI * 0.03 * 0.03 + M_PI * 0.03 * 0.007).epsilon(2e-3));
    CHECK(shapeOf(dipped("round biscuit", 0.06, 0.06, 0.06, 0.007)).area ==
          Approx(2 * M_PI * 0.03 * 0.03 + M_PI * 0.06 * 0.007).epsilon(2e-3));
    // a pear-shaped fruit is narrower where it goes in first
    const auto even = shapeOf(dipped("fruit", 0.04, 0.03, 0.012)),
               pear = shapeOf(dipped("fruit", 0.04, 0.03, 0.012, 0.008, 0.25));
    CHECK(pear.area < 0.85 * even.area);
}

TEST_CASE("what is dipped stays in it: no release, no trim, no room, a bath, its heat, and a day without a mold") {
    for (const auto& [what, length, width, dip, thickness] : {std::tuple{"fruit", 0.04, 0.03, 0.028, 0.008},
                                                              {"round biscuit", 0.06, 0.06, 0.03, 0.008},
                                                              {"finger biscuit", 0.08, 0.025, 0.05, 0.009},
                                                              {"stick", 0.14, 0.008, 0.1, 0.008}}) {
        INFO(what);
        Plan plan = dipped(what, length, width, dip, thickness);
        CHECK(problems(plan, io::library()).empty());
        CHECK(orderBreaks(plan.pieces[0], plan, io::library()).empty());
        CHECK_FALSE(firstOf<ReleaseStep>(plan.pieces[0].making));
        CHECK_FALSE(firstOf<TrimStep>(plan.pieces[0].making));
        AnswerOptions options;
        options.ways = false;
        const Answers a = test::answersOf(plan, options);
        const auto& p = *a.pieces[0];
        REQUIRE(p.made);
        REQUIRE(p.made->wall);
        CHECK(p.made->capacity == 0);
        // a dip that drains off upright things leaves one to three millimetres: common practice, no source
        CHECK(p.made->wall->mean > 0.0005);
        CHECK(p.made->wall->mean < 0.0035);
        // on the outside of what is round a wall weighs more than its mean over the area
        const double flat = p.made->wall->mean * p.made->assembly.items[0].shape.area * p.coating.densitySolid;
        CHECK(p.made->mass > flat);
        CHECK(p.made->mass < 1.3 * flat);
        REQUIRE(p.bath);
        CHECK(p.bath->chocolate > 0);
        REQUIRE(a.pots.size() == 1);
        CHECK(a.pots[0].melt > p.made->mass * p.make);
        REQUIRE(p.strength);
        CHECK_FALSE(p.strength->problem.empty());
        CHECK_FALSE(find(p, "strength"));
        REQUIRE(a.day);
        CHECK(a.day->problem.empty());
        bool laid = false;
        for (const auto& t : a.day->network.tasks) {
            INFO(t.title);
            laid = laid || t.title == "Dry and lay out strawberries";
            CHECK(t.title.find("Unmold") == std::string::npos);
            CHECK(t.title.find("mold") == std::string::npos);
            CHECK(t.title.find("patch") == std::string::npos);
        }
        CHECK(laid);
    }
}

TEST_CASE("more of it under the chocolate takes more, by as much as its area, a second dip takes more still") {
    double before = 0;
    for (const double dip : {0.015, 0.025, 0.035, 0.04}) {
        const Answers a = test::answersOf(dipped("fruit", 0.04, 0.03, dip), test::withoutDay());
        CHECK(a.pieces[0]->made->mass > before);
        before = a.pieces[0]->made->mass;
    }
    Plan twice = dipped("fruit", 0.04, 0.03, 0.04);
    twice.pieces[0].coats().push_back(twice.pieces[0].coats()[0]);
    CHECK(test::answersOf(twice, test::withoutDay()).pieces[0]->made->mass > 1.3 * before);
}

TEST_CASE("a warm fruit and a biscuit take up heat by their size: a thin wafer sets its chocolate later than a plum") {
    const auto heat = [](const Plan& p) { return formerHeat(p.pieces[0].shape, io::library()).capacity; };
    CHECK(heat(dipped("fruit", 0.04, 0.04, 0.03)) == Approx(3.7e6 * 0.01));
    CHECK(heat(dipped("finger biscuit", 0.07, 0.03, 0.05, 0.004)) == Approx(9e5 * 0.001));
}

TEST_CASE(
    "it is there before its chocolate, nothing is filled into it, and it is not pressed: each said, with a cure") {
    Plan plan = dipped("fruit", 0.04, 0.03, 0.03);
    Piece& p = plan.pieces[0];
    std::rotate(p.making.begin(), p.making.begin() + 1, p.making.begin() + 2);  // the fruit after its coat
    auto breaks = orderBreaks(p, plan, io::library());
    REQUIRE(breaks.size() == 1);
    CHECK(breaks[0].id == "core-first");
    p.making = breaks[0].repaired;
    CHECK(orderBreaks(p, plan, io::library()).empty());
    test::fill(plan, p, "Cream");
    breaks = orderBreaks(p, plan, io::library());
    const auto full = std::find_if(breaks.begin(), breaks.end(), [](const auto& b) { return b.id == "full"; });
    REQUIRE(full != breaks.end());
    p.making = full->repaired;
    CHECK_FALSE(p.fill());
    p.coats().push_back({});
    p.coats()[1].way = coat::Way::Press;
    CHECK_FALSE(problems(plan, io::library()).empty());
    Plan deep = dipped("fruit", 0.04, 0.03, 0.05);
    REQUIRE_FALSE(problems(deep, io::library()).empty());
    CHECK(problems(deep, io::library())[0].where == "pieces/p/former/dip");
}

TEST_CASE("its grams, its allergens and its kind are in the list and in what one eats, nonsense weights are said") {
    Plan plan = dipped("round biscuit", 0.06, 0.06, 0.03);
    core(plan.pieces[0]).name = "Shortbread";
    core(plan.pieces[0]).allergens = "wheat, butter";
    core(plan.pieces[0]).mass = Measure(0.012);
    const Answers a = test::answersOf(plan, test::withoutDay());
    const auto list = shopping(plan, io::library(), a, "");
    CHECK(test::bought(list, "Shortbread") == std::to_string(a.pieces[0]->make));
    CHECK(std::find(list.allergens.begin(), list.allergens.end(), "wheat") != list.allergens.end());
    REQUIRE(find(*a.pieces[0], "eaten"));
    CHECK(find(*a.pieces[0], "eaten")->figure.value == Approx(a.pieces[0]->made->mass + 0.012));
    REQUIRE(find(*a.pieces[0], "core"));
    CHECK(find(*a.pieces[0], "core")->tone == Tone::Plain);
    core(plan.pieces[0]).mass = Measure(0.4);
    CHECK(find(*test::answersOf(plan, test::withoutDay()).pieces[0], "core")->tone == Tone::Weak);
    CHECK(readPlan(writePlan(plan)).value() == plan);
}

TEST_CASE("a heap weighs the share of it that is chocolate, by hand, its nuts are weighed in the list") {
    Plan plan = one("cluster");
    plan.pieces[0].count = 20;
    plan.pieces[0].shape.values = {{"diameter", 0.04}, {"height", 0.02}, {"share", 0.4}};
    const Answers a = test::answersOf(plan);
    const auto& p = *a.pieces[0];
    REQUIRE(p.made);
    const double half = 2.0 / 3 * M_PI * 0.02 * 0.02 * 0.02;  // half an ellipsoid
    CHECK(p.made->mass == Approx(0.4 * half * p.coating.densitySolid).epsilon(1e-3));
    CHECK(std::isfinite(p.made->setting.set));
    CHECK(find(p, "core")->tone == Tone::Plain);
    const auto list = shopping(plan, io::library(), a, "");
    CHECK(test::bought(list, "Almonds") == format(0.009 * p.make, Dimension::Mass, plan.units));
    CHECK(std::any_of(a.day->network.tasks.begin(), a.day->network.tasks.end(),
                      [](const auto& t) { return t.title.starts_with("Stir and spoon "); }));
}

TEST_CASE("a coat on a heap is told as a step out of place, and check and answers say the same of its plan") {
    Plan plan = one("cluster");
    plan.pieces[0].coats().push_back({});
    const auto breaks = orderBreaks(plan.pieces[0], plan, io::library());
    CHECK(std::any_of(breaks.begin(), breaks.end(), [](const auto& b) { return b.id == "solid"; }));
    CHECK(test::sentences(problems(plan, io::library())) ==
          test::sentences(test::answersOf(plan, test::withoutDay()).problems));
}

TEST_CASE("cases in each other are bought, nested and take more heat, other molds know nothing of it") {
    Plan plan = one("case");
    plan.pieces[0].count = 10;
    plan.pieces[0].coatWith(usualCoats(plan.pieces[0], plan, io::library()));
    const double single = formerHeat(plan.pieces[0].shape, io::library()).capacity;
    plan.pieces[0].shape.values["nested"] = Measure(3);
    CHECK(formerHeat(plan.pieces[0].shape, io::library()).capacity == Approx(3 * single));
    const Answers a = test::answersOf(plan);
    const auto list = shopping(plan, io::library(), a, "");
    CHECK(test::bought(list, "Paper cases") == std::to_string(3 * a.pieces[0]->make));
    CHECK(std::any_of(a.day->network.tasks.begin(), a.day->network.tasks.end(),
                      [](const auto& t) { return t.title.starts_with("Nest the paper cases"); }));
    plan.pieces[0].shape.choices["mold"] = "silicone case";
    plan.pieces[0].shape.values["nested"] = Measure(99);  // asked of paper only
    CHECK(problems(plan, io::library()).empty());
}

TEST_CASE("a form and its insert, told by their water: chocolate is the difference, the room is the insert's") {
    Plan plan = one("pressed-figure");
    auto& p = plan.pieces[0];
    p.shape.values = {{"length", 0.08}, {"width", 0.06}, {"depth", 0.03}, {"water", 80e-6}, {"insert", 52e-6}};
    p.shape.choices["silhouette"] = "heart";
    const Answers a = test::answersOf(plan, test::withoutDay());
    REQUIRE(a.pieces[0]->made);
    CHECK(a.pieces[0]->made->mass == Approx(28e-6 * a.pieces[0]->coating.densitySolid).epsilon(1e-6));
    CHECK(a.pieces[0]->made->capacity == Approx(52e-6));
    CHECK(a.pieces[0]->made->assembly.items[0].shape.wall > 0.002);
    CHECK(form::inspect(a.pieces[0]->made->assembly.solid()).sound());
    p.shape.values["insert"] = Measure(79e-6);
    REQUIRE_FALSE(problems(plan, io::library()).empty());
    CHECK(problems(plan, io::library())[0].where == "pieces/p/former/insert");
}

TEST_CASE("halves of two molds whose rims meet close over the room of both, rims that do not meet are told apart") {
    Plan plan = one("halves");
    auto& shape = plan.pieces[0].shape;
    shape.choices["half"] = "dome";
    shape.choices["other"] = "dome";
    shape.values["length"] = Measure(0.08);
    shape.values["depth"] = Measure(0.04);
    shape.values["otherDepth"] = Measure(0.02);
    AnswerOptions options;
    options.ways = options.day = false;
    const Answers a = test::answersOf(plan, options);
    REQUIRE(a.pieces[0]->made);
    const double wall = 0.0025;
    // two half ellipsoids less their walls, by hand
    const double room = 2.0 / 3 * M_PI * (0.04 - wall) * (0.04 - wall) * (0.04 - wall + 0.02 - wall);
    CHECK(a.pieces[0]->made->capacity == Approx(room).epsilon(0.03));
    CHECK(a.pieces[0]->made->box.size().z == Approx(0.06).epsilon(0.01));
    CHECK(a.pieces[0]->made->assembly.joints[0].length == Approx(M_PI * 0.08).epsilon(0.01));
    REQUIRE(a.pieces[0]->strength);
    INFO(a.pieces[0]->strength->problem);
    CHECK(a.pieces[0]->strength->problem.empty());
    shape.choices["other"] = "bought mold";
    shape.choices["silhouette"] = "star";  // as long a rim as the dome's, by chance, and another shape
    shape.values["otherWater"] = Measure(25e-6);
    REQUIRE_FALSE(problems(plan, io::library()).empty());
    CHECK(problems(plan, io::library())[0].where == "pieces/p/former/other");
}

TEST_CASE("half of a model is a cavity with its flat side for an opening, whichever way up the file has it", "[long]") {
    const double R = 0.03, room = 2.0 / 3 * M_PI * R * R * R, wallArea = 2 * M_PI * R * R;
    for (const bool back : {false, true}) {
        Plan plan = one("mesh-half");
        form::Mesh half = *test::modelFor("mesh-half", R);
        if (back)
            for (auto& q : half.points) q = {q.x, -q.y, -q.z};
        plan.meshes["egg"] = std::make_shared<const form::Mesh>(half);
        auto& p = plan.pieces[0];
        p.shape.mesh = "egg";
        const auto shape = shapeOf(plan);
        CHECK(shape.volume == Approx(room).epsilon(0.02));
        CHECK(shape.area == Approx(wallArea).epsilon(0.02));
        CHECK(shape.rim == Approx(2 * M_PI * R).epsilon(0.01));
        // closed over its filling by its own twin, or by a dome that fits
        Plan two = one("halves");
        two.meshes = plan.meshes;
        auto& q = two.pieces[0];
        q.shape.choices["half"] = "model from a file";
        q.shape.mesh = "egg";
        for (const char* other : {"the same", "dome"}) {
            INFO(other);
            q.shape.choices["other"] = other;
            q.shape.values["otherDepth"] = Measure(R);
            AnswerOptions options;
            options.ways = options.day = false;
            const Answers a = test::answersOf(two, options);
            REQUIRE(a.pieces[0]->made);
            const double inner = R - 0.0025;
            CHECK(a.pieces[0]->made->capacity == Approx(4.0 / 3 * M_PI * inner * inner * inner).epsilon(0.05));
            REQUIRE(a.pieces[0]->strength);
            INFO(a.pieces[0]->strength->problem);
            CHECK(a.pieces[0]->strength->problem.empty());
        }
    }
    Plan stone = one("mesh-half");
    stone.meshes["stone"] = test::modelFor("mesh", R);
    stone.pieces[0].shape.mesh = "stone";
    REQUIRE_FALSE(problems(stone, io::library()).empty());
    CHECK(problems(stone, io::library())[0].sentence.find("flat side") != std::string::npos);
}

TEST_CASE("figures are asked for only where they say something") {
    Plan plan = one("halves");
    auto& shape = plan.pieces[0].shape;
    const auto& f = plan.pieces[0].family();
    CHECK(form::asked(shape, f.field("water")->only));
    CHECK_FALSE(form::asked(shape, f.field("scale")->only));
    CHECK_FALSE(form::fromFile(shape));
    shape.choices["half"] = "model from a file";
    CHECK_FALSE(form::asked(shape, f.field("water")->only));
    CHECK(form::asked(shape, f.field("scale")->only));
    CHECK(form::fromFile(shape));
    for (const auto& family : form::families()) {  // what a figure hangs on is a choice of its family
        for (const auto& field : family.fields) {
            if (field.only.choice.empty()) continue;
            INFO(family.id << " " << field.key);
            const auto* choice = family.choice(field.only.choice);
            REQUIRE(choice);
            for (const auto& word : field.only.words)
                CHECK(std::find(choice->options.begin(), choice->options.end(), word) != choice->options.end());
        }
    }
}

}  // namespace uovo::dipped_test
