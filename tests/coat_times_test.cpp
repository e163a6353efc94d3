// What coats do in time: setting, the right moments, stress of the cold; and the day that follows.
#include <charconv>
#include <cmath>

#include "core/setting/cold_stress.h"
#include "support_coats.h"

namespace uovo::coat_times_test {

using test::bowlPlan;
using test::find;
using test::only;
using test::planOf;

namespace {

bool has(const schedule::Network& n, const std::string& id) {
    return std::any_of(n.tasks.begin(), n.tasks.end(), [&](const auto& t) { return t.id == id; });
}

bool titled(const schedule::Network& n, const std::string& words) {
    return std::any_of(n.tasks.begin(), n.tasks.end(),
                       [&](const auto& t) { return t.title.find(words) != std::string::npos; });
}

}  // namespace

TEST_CASE("stress of the cold: held fast by hand, free to shrink between its limits") {
    // E 250 MPa, α 1.2e-4, ν 0.35, 10 K: 2.5e8 · 1.2e-4 · 10 / 0.65, by hand
    CHECK(setting::heldStress(2.5e8, 1.2e-4, 0.35, 10) == Approx(461538.4615).epsilon(1e-9));
    CHECK(setting::freeShare(0) == 0);
    // 1/(1.5 + 3.25/Bi − 0.5 e^(−16/Bi)), evaluated by hand (a thermal-shock formula from memory)
    CHECK(setting::freeShare(0.1) == Approx(1 / 34.0).epsilon(1e-9));
    CHECK(setting::freeShare(1) == Approx(1 / (4.75 - 0.5 * std::exp(-16.0))).epsilon(1e-12));
    CHECK(setting::freeShare(1e9) == Approx(1.0).epsilon(1e-6));  // at once: all of it
    double before = 0;
    for (const double bi : {0.01, 0.1, 0.5, 1.0, 5.0, 20.0, 100.0}) {
        CHECK(setting::freeShare(bi) > before);
        before = setting::freeShare(bi);
    }
}

TEST_CASE("the freezer chills and strains more than the fridge, the table least, a free wall does not crack") {
    const auto timesAt = [](coat::Place place) {
        Plan plan = bowlPlan();
        plan.pieces[0].coats().back().place = place;
        plan.pieces[0].coats().back().stay = Measure(1200);
        return static_cast<CoatTimes>(*only(plan)->made->wall);
    };
    const auto table = timesAt(coat::Place::Table), fridge = timesAt(coat::Place::Fridge),
               freezer = timesAt(coat::Place::Freezer);
    CHECK(table.chill < fridge.chill);
    CHECK(fridge.chill < freezer.chill);
    CHECK(freezer.chill > 20);
    CHECK(freezer.heldStress > 2 * freezer.freeStress);
    CHECK(freezer.freeStress < 0.2);  // common practice, no source: thin free shells come out of the freezer whole
    CHECK(freezer.setting.back().set < fridge.setting.back().set);
}

TEST_CASE("a brushed coat sets by its own thickness, in the minutes a thin coat takes") {
    Plan plan = bowlPlan();
    PlannedCoat c = plan.pieces[0].coats().back();
    c.way = coat::Way::Brush;
    c.where = coat::Where::Rim;
    c.brushMass = Measure(0.01);
    plan.pieces[0].coats().push_back(c);
    const auto t = only(plan)->made->wall->setting;
    REQUIRE(t.size() == 3);
    CHECK(t[2].firm > 60);
    CHECK(t[2].firm < t[0].firm);
    CHECK(t[1].firm < t[0].firm);  // a second coat on a cold shell sets sooner (common practice, no source)
    for (const auto& x : t) {
        CHECK(x.lock <= x.firm);
        CHECK(x.firm <= x.set);
        CHECK(x.set <= x.release);
    }
}

TEST_CASE("the right moment: held until nothing runs, scraped while soft, crumbs as large as the yield stress holds") {
    Plan plan = bowlPlan();
    const auto a = only(plan);
    const auto* m = find(*a, "moments");
    REQUIRE(m);
    CHECK(m->figure.value == Approx(a->made->wall->lock));
    CHECK(m->figure.value == a->made->wall->setting.back().lock);
    CHECK(m->sentence.find("Scrape") != std::string::npos);
    // D = 3 τ₀/(ρ g): by hand from the yield stress that the working names
    double yield = 0, crumb = 0;
    for (const auto& in : m->working.inputs)
        if (in.name.find("yield") != std::string::npos)
            std::from_chars(in.value.data(), in.value.data() + in.value.size(), yield);
    crumb = 3 * io::library().physical("staticYield") * yield / (1000 * kGravity);
    CHECK(m->sentence.find(format(crumb, Dimension::Length, UnitSystem::Metric)) != std::string::npos);
    // time too short to lock: said
    for (auto& c : plan.pieces[0].coats()) c.stay = Measure(0), c.delay = Measure(5), c.place = coat::Place::Table;
    const auto wet = only(plan);
    CHECK(find(*wet, "moments")->headline == "Still runs");
    CHECK(find(*wet, "moments")->tone == Tone::Weak);
    CHECK(find(*wet, "early/0"));
}

TEST_CASE("a sheet is cut between tacky and hard, about five minutes as kitchens say, and long cuts want more sheets") {
    Plan plan = planOf("sheet");
    auto& part = plan.pieces[0].shape;
    part.values["thickness"] = Measure(0.003);
    const auto kept = only(plan);
    const auto* c = find(*kept, "cutting");
    REQUIRE(c);
    // common practice, no source: roughly five minutes; within ×1.5
    CHECK(c->figure.value > 300 / 1.5);
    CHECK(c->figure.value < 300 * 1.5);
    CHECK(c->tone == Tone::Plain);
    CHECK(c->sentence.find("360 mm") != std::string::npos);  // 2 (100 + 80) mm
    Plan house = planOf("house");
    auto& walls = house.pieces[0].shape;
    walls.values["length"] = Measure(0.4);
    walls.values["width"] = Measure(0.3);
    walls.values["wallHeight"] = Measure(0.2);
    const auto large = only(house);
    const auto* many = find(*large, "cutting");
    REQUIRE(many);
    CHECK(many->tone == Tone::Weak);
    CHECK(many->sentence.find("sheets") != std::string::npos);
    CHECK_FALSE(find(*only(planOf("disc")), "cutting"));
}

TEST_CASE("a stick is told for what is cast deep enough, not for a plaque") {
    Plan plan = planOf("bar");
    auto& bar = plan.pieces[0].shape;
    CHECK_FALSE(find(*only(plan), "stick"));
    bar.values["height"] = Measure(0.03);
    bar.values["width"] = Measure(0.05);
    const auto kept = only(plan);
    const auto* s = find(*kept, "stick");
    REQUIRE(s);
    CHECK(s->figure.value > 240);
    CHECK(s->figure.value < 1500);
    CHECK(s->figure.low < 450);  // kitchens: 7 to 8 minutes; common practice, no source
}

TEST_CASE("every molded wall of a compound is coated, and only those") {
    const std::vector<std::pair<const char*, size_t>> walls{{"hung-ball", 2}, {"basket", 1},   {"tower", 2},
                                                            {"pedestal", 1},  {"dip-bowl", 2}, {"cup-saucer", 2}};
    for (const auto& [family, count] : walls) {
        INFO(family);
        const auto a = only(planOf(family));
        REQUIRE(a->made->wall);
        const auto& w = *a->made->wall;
        CHECK(w.items.size() == count);
        CHECK(w.setting.size() == 2);
        CHECK_FALSE(w.thinnestOn.empty());
        double coated = 0;
        for (size_t k = 0; k < a->made->assembly.items.size(); ++k) {
            const bool in = std::find(w.items.begin(), w.items.end(), k) != w.items.end();
            CHECK(a->made->assembly.items[k].shape.thickness.empty() != in);
            if (in) coated += a->made->items[k];
        }
        CHECK(coated == Approx(w.coats[0].added + w.coats[1].added).epsilon(1e-9));
        CHECK(find(*a, "wall")->sentence.find(w.thinnestOn) != std::string::npos);
    }
    CHECK_FALSE(planOf("house").pieces[0].couldBeCoated());
    CHECK_FALSE(planOf("upright").pieces[0].couldBeCoated());
}

TEST_CASE("the day of coated parts: coat after coat, what is cast beside it, joined when all is there") {
    Plan plan = planOf("basket");
    plan.kitchen.helpers.resize(1);
    const auto a = test::answersOf(plan);
    REQUIRE(a.day);
    REQUIRE(a.day->problem.empty());
    CHECK(schedule::check(a.day->network, a.day->layout).empty());
    const auto& n = a.day->network;
    for (const char* id : {"p/1/mold", "p/1/coat-1", "p/1/coat-2", "p/1/unmold", "p/1/cast", "p/1/uncast", "p/join"}) {
        INFO(id);
        CHECK(has(n, id));
    }
    const auto at = [&](const std::string& id) {
        for (size_t i = 0; i < n.tasks.size(); ++i)
            if (n.tasks[i].id == id) return a.day->layout.start[i];
        return 0;
    };
    CHECK(at("p/1/coat-1") < at("p/1/coat-2"));
    CHECK(at("p/1/coat-2") < at("p/1/unmold"));
    CHECK(at("p/1/unmold") < at("p/join"));
    CHECK(at("p/1/uncast") < at("p/join"));

    Plan ball = planOf("ball");
    ball.pieces[0].coats().push_back(ball.pieces[0].coats()[0]);
    ball.pieces[0].coats()[1].chocolate = "milk";
    ball.pieces[0].coats()[1].temperature = Measure(30.0);
    const auto b = test::answersOf(ball);
    REQUIRE(b.day);
    REQUIRE(b.day->problem.empty());
    CHECK(schedule::check(b.day->network, b.day->layout).empty());
    CHECK(titled(b.day->network, "Fill and turn about"));
    CHECK(has(b.day->network, "pot-dark/1/melt"));
    CHECK(has(b.day->network, "pot-milk/1/melt"));
    // hands stay on it while it is turned: a quarter of an hour a piece and coat
    for (const auto& t : b.day->network.tasks)
        if (t.id == "p/1/coat-1") CHECK(t.minutes >= 15);
    // without coats it is cast as before
    ball.pieces[0].coats().clear();
    const auto assumed = test::answersOf(ball);
    REQUIRE(assumed.day);
    CHECK(has(assumed.day->network, "p/1/cast"));
    CHECK_FALSE(has(assumed.day->network, "p/1/coat-1"));
}

TEST_CASE("what is cast waits on the table and sets where the cook says, in the answers and in the day alike") {
    Plan plan;
    plan.pieces = {newPiece(plan, "disc")};
    plan.deadline = "2026-08-04T18:00";
    auto& cast = plan.pieces[0].cast();
    const auto day = [&] {
        const auto a = test::answersOf(plan);
        REQUIRE(a.problems.empty());
        REQUIRE(a.day);
        return a;
    };
    const auto title = [](const Answers& a, const std::string& words) {
        return std::any_of(a.day->network.tasks.begin(), a.day->network.tasks.end(),
                           [&](const auto& t) { return t.title.starts_with(words); });
    };
    cast.place = coat::Place::Freezer;
    const auto freezer = day();
    CHECK(title(freezer, "Into the freezer"));
    CHECK_FALSE(title(freezer, "Into the fridge"));
    cast.place = coat::Place::Table;
    const auto table = day();
    CHECK_FALSE(title(table, "Into the"));
    cast.place = coat::Place::Fridge;
    const auto once = day();
    cast.table = Measure(600);
    const auto later = day();
    CHECK(title(later, "Into the fridge"));
    const auto at = [](const Answers& a, const std::string& what) {
        for (size_t i = 0; i < a.day->network.tasks.size(); ++i)
            if (a.day->network.tasks[i].id.ends_with(what)) return a.day->layout.start[i];
        return -1;
    };
    CHECK(at(later, "/cast-in") - at(later, "/cast") >= at(once, "/cast-in") - at(once, "/cast") + 10);
    // colder places are never slower
    CHECK(freezer.pieces[0]->made->setting.set <= once.pieces[0]->made->setting.set + 1);
    CHECK(once.pieces[0]->made->setting.set <= table.pieces[0]->made->setting.set + 1);
    for (const double wrong : {5.0, 90.0}) {
        cast.temperature = Measure(wrong);
        const auto found = problems(plan, io::library());
        REQUIRE(found.size() == 1);
        CHECK(found[0].where == "pieces/" + plan.pieces[0].id + "/cast/temperature");
    }
    cast.temperature = Measure(0);
    cast.table = Measure(-1);
    CHECK(problems(plan, io::library()).size() == 1);
}

}  // namespace uovo::coat_times_test
