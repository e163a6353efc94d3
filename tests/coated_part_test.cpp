// Parts whose wall is computed from their coats.
#include <catch2/catch.hpp>
#include <cmath>

#include "support_coats.h"

namespace uovo::coated_part_test {

using test::only;
using test::planOf;

TEST_CASE("every former of one wall can be coated: the wall is finite, grams are kept, the solid is watertight") {
    for (const auto& f : form::families()) {
        if (f.body != form::Body::Wall || !f.field("wall")) continue;
        INFO(f.id);
        Plan plan = planOf(f.id.c_str());
        if (plan.pieces[0].closes()) {  // filled and turned: one coat is usual, two are made here
            plan.pieces[0].coats()[0].fill = Measure(0.12);
            plan.pieces[0].coats().push_back(plan.pieces[0].coats()[0]);
        }
        if (plan.pieces[0].roundSomething()) plan.pieces[0].coats().push_back(plan.pieces[0].coats()[0]);
        REQUIRE(plan.pieces[0].wallFromCoats());
        CHECK(problems(plan, io::library()).empty());
        const auto a = only(plan);
        REQUIRE(a->made);
        REQUIRE(a->made->wall);
        const CoatedWall& w = *a->made->wall;
        CHECK(w.error < 1e-10);
        CHECK(w.thinnest >= 0);
        CHECK(w.thinnest <= w.mean);
        CHECK(w.mean <= w.thickest);
        CHECK(w.mean > 0.0008);  // two coats make one to six millimetres
        CHECK(w.mean < 0.010);
        REQUIRE(w.coats.size() == 2);
        CHECK(w.coats[0].mean + w.coats[1].mean == Approx(w.mean).epsilon(1e-9));
        if (!plan.pieces[0].roundSomething())  // a fruit takes up more heat from the first
            CHECK(w.coats[1].lockTypical <
                  w.coats[0].lockTypical);  // a second coat on a cold shell sets sooner (common practice, no source)
        CHECK(a->made->mass == Approx(w.coats[0].added + w.coats[1].added).epsilon(1e-9));
        const form::Shape& shape = a->made->assembly.items[0].shape;
        std::vector<double> wall;
        const form::Mesh solid = shape.solid(&wall);
        CHECK(form::inspect(solid).sound());
        CHECK(wall.size() == solid.points.size());
        // the solid's volume is the chocolate's, but for corners where films overlap
        CHECK(form::volume(solid) == Approx(a->made->mass / a->coating.densitySolid).epsilon(0.2));
    }
}

TEST_CASE("a part without coats keeps its assumed wall, and says so, with coats it says where it is thin") {
    Plan plan = planOf("half-ball");
    const auto words = [](const PieceAnswers& a) {
        for (const auto& answer : a.answers)
            if (answer.id == "wall") return answer.after + " | " + answer.sentence + " | " + answer.working.section;
        return std::string();
    };
    CHECK(words(*only(plan)).find("from its coats") != std::string::npos);
    CHECK(words(*only(plan)).find("Film on a mesh") != std::string::npos);
    CHECK(words(*only(plan)).find("assumed") == std::string::npos);
    plan.pieces[0].coats().clear();
    CHECK_FALSE(plan.pieces[0].wallFromCoats());
    CHECK(words(*only(plan)).find("assumed") != std::string::npos);
    for (const char* family : {"disc", "sheet", "house", "upright", "pressed", "balloon-lace", "bar"}) {
        Plan other = planOf(family);
        CHECK_FALSE(other.pieces[0].wallFromCoats());
    }
}

TEST_CASE("coats act on a part as on a bowl: more coats, cooler, and sooner into the cold make a thicker wall") {
    const auto mean = [](const Plan& plan) { return only(plan)->made->wall->mean; };
    Plan plan = planOf("tart");
    const double usual = mean(plan);
    Plan third = plan;
    third.pieces[0].coats().push_back(third.pieces[0].coats()[0]);
    CHECK(mean(third) > 1.25 * usual);
    Plan warm = plan;
    for (auto& c : warm.pieces[0].coats()) c.temperature = Measure(33.0);
    CHECK(mean(warm) < usual);
    Plan late = plan;
    for (auto& c : late.pieces[0].coats()) c.temperature = Measure(33.0), c.delay = Measure(600);
    Plan soon = late;
    for (auto& c : soon.pieces[0].coats()) c.delay = Measure(10), c.place = coat::Place::Freezer;
    CHECK(mean(late) < mean(soon));
    Plan milk = planOf("tart", "milk");
    CHECK(mean(milk) < usual);
}

TEST_CASE("a cup's wall on its own mesh agrees with the profile's") {
    Plan plan = planOf("wrap-frustum");
    auto& part = plan.pieces[0].shape;
    part.values["baseDiameter"] = Measure(0.05);
    part.values["topDiameter"] = Measure(0.07);
    part.values["height"] = Measure(0.06);
    Plan cups;
    Piece cup;
    cup.id = "c";
    cup.chocolate = "dark";
    cup.shape = test::cup(0.05, 0.07, 0.06, 0.002, 0.06);
    cup.coats() = plan.pieces[0].coats();
    cup.count = 1;
    cups.pieces = {cup};
    const auto profile = only(cups)->made->meridian;
    // half way up the wall: the tube has no floor, so only the wall is compared
    const auto& p = profile->profile;
    size_t middle = 0;
    for (size_t i = 0; i < p.size(); ++i)
        if (std::abs(p.z[i] - 0.03) < std::abs(p.z[middle] - 0.03)) middle = i;
    const auto mesh = only(plan);
    const auto& s = mesh->made->assembly.items[0].shape;
    double sum = 0;
    int n = 0;
    for (size_t i = 0; i < s.surface.points.size(); ++i)
        if (std::abs(s.surface.points[i].z - 0.03) < 0.002) {
            sum += s.thickness[i];
            ++n;
        }
    REQUIRE(n > 10);
    CHECK(sum / n == Approx(profile->coats.wall[middle]).epsilon(0.12));
}

TEST_CASE("the tip of a cone fills and is not called thin") {
    const auto w = only(planOf("wrap-cone"))->made->wall;
    CHECK(w->thinnest > 0.4 * w->mean);
    CHECK(w->thinnestHeight > 0.001);
}

TEST_CASE("only a change of coats or chocolate coats a part anew, wrong coats are said at their place") {
    Plan plan = planOf("half-ball");
    Cache cache;
    const auto first = *answer(plan, io::library(), cache, test::withoutDay());
    Plan counted = plan;
    counted.pieces[0].count = 5;
    CHECK(answer(counted, io::library(), cache, test::withoutDay())->pieces[0]->made == first.pieces[0]->made);
    Plan cooler = plan;
    cooler.pieces[0].coats()[0].temperature = Measure(31.0);
    CHECK(answer(cooler, io::library(), cache, test::withoutDay())->pieces[0]->made != first.pieces[0]->made);
    Plan hot = plan;
    hot.pieces[0].coats()[1].temperature = Measure(70.0);
    const auto wrong = problems(hot, io::library());
    REQUIRE(wrong.size() == 1);
    CHECK(wrong[0].where == "pieces/p/coats/1/temperature");
    // written and read again it is still coated
    const auto again = readPlan(writePlan(plan));
    REQUIRE(again);
    CHECK(again->pieces[0].wallFromCoats());
    CHECK(*again == plan);
}

}  // namespace uovo::coated_part_test
