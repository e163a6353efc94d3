// What goes into the pot, onto the shelf and into the cold, as a cook would count it.
#include <catch2/catch.hpp>
#include <cmath>

#include "core/stages/strength.h"
#include "core/temper/heat_balance.h"
#include "core/temper/temper_plan.h"
#include "support_coats.h"

namespace uovo::kitchen_facts_test {

namespace {

Plan partPlan(const char* family, int count = 1) {
    Plan plan;
    plan.pieces = {newPiece(plan, family)};
    plan.pieces[0].id = "p";
    plan.pieces[0].count = count;
    return plan;
}

std::string sentence(const PieceAnswers& a, const std::string& id) {
    const auto* x = test::find(a, id);
    return x ? x->headline + " " + x->after + ". " + x->sentence : "";
}

const Answer& evening(const Answers& a, const std::string& begins) {
    for (const auto& x : a.evening)
        if (x.sentence.starts_with(begins)) return x;
    FAIL("no answer about " << begins);
    return a.evening.front();
}

}  // namespace

TEST_CASE("what falls on the paper is melted, and comes back") {
    Plan plan = test::bowlPlan();
    const auto a = test::answersOf(plan, test::withoutDay());
    const auto& s = *a.pieces[0]->made->meridian;
    double fell = 0;
    for (const auto& c : s.coats.coats) fell += c.fell;
    CHECK(fell > 0.002);
    const auto& pot = a.pots[0];
    const int make = a.pieces[0]->make;
    CHECK(pot.melt == Approx(make * (s.coats.mass + fell) + pot.bath + pot.tools).epsilon(1e-9));
    CHECK(pot.returned >= pot.bath + make * fell);
    CHECK(pot.consumed == Approx(pot.melt - pot.returned));
}

TEST_CASE("parts cut from a sheet need the sheet they are cut from") {
    const auto a = test::answersOf(partPlan("sheet", 10), test::withoutDay());
    const auto& pot = a.pots[0];
    const double parts = a.pieces[0]->made->mass * a.pieces[0]->make, used = io::library().usual("sheetUsed");
    CHECK(pot.pieces == Approx(parts));
    CHECK(pot.melt == Approx(parts / used + pot.tools).epsilon(1e-9));
    CHECK(pot.trim > parts * (1 / used - 1));  // the off-cuts come back, and a rim's trim
    // what is cast in its mold has none
    const auto disc = test::answersOf(partPlan("disc", 10), test::withoutDay());
    CHECK(disc.pots[0].melt == Approx(disc.pots[0].pieces + disc.pots[0].tools));
}

TEST_CASE("glue and patches come from what is left, else they are melted besides") {
    using batch::Demand;
    const auto one = [](double late, double bath) {
        return batch::pots({Demand{"p", {"dark"}, 10, 0.05, bath, "dark", late, 0, 0}}, {1.0}, 0.015, 0.005, 0.03)[0];
    };
    const double plain = one(0, 0).melt;
    CHECK(plain == Approx(0.5 + 0.02));
    CHECK(one(0.010, 0).melt == Approx(plain));          // 15 g of trim are there
    CHECK(one(0.115, 0).melt == Approx(plain + 0.1));    // 100 g are not
    CHECK(one(0.115, 0.2).melt == Approx(plain + 0.2));  // the bath gives them
}

TEST_CASE("packets: one purchase for all pots of a chocolate, what stands in the cupboard taken off") {
    CHECK(batch::packetsToBuy(2.3, 0, 1) == 3);
    CHECK(batch::packetsToBuy(2.3, 0.5, 1) == 2);
    CHECK(batch::packetsToBuy(2.3, 9, 1) == 0);
    CHECK(batch::packetsToBuy(1, 0, 0) == 0);
    Plan plan = test::demo();  // a blue from the white, and white itself
    const auto a = test::answersOf(plan, test::withoutDay());
    int told = 0;
    for (const auto& x : a.evening)
        told += x.sentence.find("White couverture") != std::string::npos && x.sentence.find("Buy") != std::string::npos;
    CHECK(told == 1);
    Stock stock;
    stock.chocolate = "milk";
    stock.mass = Measure(20.0);
    plan.pantry.push_back(stock);
    const auto stocked = test::answersOf(plan, test::withoutDay());
    CHECK(evening(stocked, "Milk couverture").sentence.find("It stands in the cupboard") != std::string::npos);
    CHECK(evening(stocked, "Dark couverture").sentence.find("Buy") != std::string::npos);
}

TEST_CASE("all pieces of a sheet are cut within one window, a cutter is quicker than a knife") {
    // common practice, no source: about five minutes from tacky to hard; a knife does 10 mm/s (judgement)
    Plan plan = partPlan("sheet", 35);
    plan.pieces[0].survives = 1;
    auto& part = plan.pieces[0].shape;
    part.values["length"] = part.values["width"] = Measure(0.025);
    part.choices["cut"] = "rectangle";
    const auto knife = test::only(plan);
    const auto* a = test::find(*knife, "cutting");
    REQUIRE(a);
    CHECK(a->figure.value > 240);
    CHECK(a->figure.value < 400);
    CHECK(a->tone == Tone::Weak);  // 35 times 10 s are longer
    CHECK(a->sentence.find("of all 35") != std::string::npos);
    CHECK(a->sentence.find("in 2 sheets") != std::string::npos);
    part.choices["tool"] = "cutter";
    const auto pressed = test::only(plan);
    CHECK(test::find(*pressed, "cutting")->tone != Tone::Weak);
    CHECK(test::find(*pressed, "cutting")->sentence.find("cutter") != std::string::npos);
    plan.pieces[0].count = 3;
    part.choices.erase("tool");
    CHECK(test::find(*test::only(plan), "cutting")->tone != Tone::Weak);
}

TEST_CASE("a cast goes through table and cold from the warmth it is poured at, and its file keeps that") {
    Plan plan = partPlan("bar");
    plan.pieces[0].cast().table = Measure(420.0);
    const auto fridge = test::only(plan);
    CHECK(sentence(*fridge, "cold").find("After 7 min on the table") != std::string::npos);
    plan.pieces[0].cast().place = coat::Place::Freezer;
    const auto freezer = test::only(plan);
    CHECK(freezer->made->setting.release < fridge->made->setting.release);
    CHECK(sentence(*freezer, "cold").find("in the freezer") != std::string::npos);
    plan.pieces[0].cast() = {};
    plan.pieces[0].cast().place = coat::Place::Table;
    const auto table = test::only(plan);
    CHECK(table->made->setting.release > fridge->made->setting.release);
    plan.pieces[0].cast() = {"", Measure(1), Measure(33.0), Measure(60.0), coat::Place::Freezer, {}, {}};
    const auto back = readPlan(writePlan(plan));
    REQUIRE(back);
    CHECK(back->pieces[0].cast() == plan.pieces[0].cast());
    plan.kitchen.room = Measure(34.0);
    plan.pieces[0].cast().place = coat::Place::Table;
    CHECK(sentence(*test::only(plan), "cold").find("Never sets") == 0);
    // untempered on the table takes hours: it says so
    Plan raw = partPlan("bar");
    raw.pieces[0].temper = material::Temper::Untempered;
    raw.pieces[0].cast().place = coat::Place::Table;
    raw.kitchen.room = Measure(19.0);
    const std::string said = sentence(*test::only(raw), "cold");
    CHECK((said.find("needs the cold") != std::string::npos || said.find("Never sets") == 0));
}

TEST_CASE(
    "what a mold is made of moves its minutes: silicone and thick plastic are slower than thin, the file keeps the "
    "word") {
    Plan plan = partPlan("half-ball");
    auto& part = plan.pieces[0].shape;
    const auto release = [&](const char* mold) {
        part.choices["mold"] = mold;
        return test::only(plan)->made->setting.release;
    };
    const double thin = release("thin plastic mold"), thick = release("rigid clear mold"),
                 silicone = release("silicone mold"), tin = release("tin mold");
    CHECK(thin < tin);
    CHECK(tin < thick);
    CHECK(thin < silicone);
    CHECK(readPlan(writePlan(plan))->pieces[0].shape.choices.at("mold") == "tin mold");
    Plan cup;
    cup.pieces = {newPiece(cup, "cup")};
    const double paper = test::only(cup)->made->wall->setting.back().release;
    cup.pieces[0].shape.choices["made"] = "silicone";
    CHECK(std::abs(test::only(cup)->made->wall->setting.back().release - paper) >
          0.5);  // it takes more heat at first and gives it back late
    CHECK(readPlan(writePlan(cup))->pieces[0].shape.choices.at("made") == "silicone");
}

TEST_CASE("one tempered bowl serves a table, large ones are split, machines hold, compound is never seeded") {
    const auto& physics = io::library().physics;
    const auto dark = test::coating("dark");
    using temper::Method;
    const auto by = [&](Method method, double kg, double room = 21) {
        temper::Choice c;
        c.method = method;
        return temper::plan(dark, physics, c, kg, room, UnitSystem::Metric);
    };
    CHECK(by(Method::Seed, 0.55)->keeps >= 4 * 3600 - 1);
    CHECK(by(Method::Machine, 0.55)->window >= 4 * 3600 - 1);  // it stirs and holds its temperature
    CHECK(by(Method::Machine, 0.55)->rewarmEvery == 0);
    const auto large = by(Method::Seed, 3);
    CHECK(std::any_of(large->warnings.begin(), large->warnings.end(),
                      [](const auto& w) { return w.find("feed it") != std::string::npos; }));
    // bursts bring in all of the heat, and no list is endless
    for (const double kg : {0.3, 1.0, 4.7, 10.0}) {
        const auto p = by(Method::Butter, kg);
        double seconds = 0;
        for (const double b : p->bursts) seconds += b;
        const double joules = temper::heatUp(dark, kg, 21, dark.meltTo, {temper::capacityOf(temper::Vessel::Light), 0});
        CHECK(seconds == Approx(joules / (800 * physics.at("microwaveShare").value)).epsilon(0.05));
        CHECK(p->bursts.size() < 80);
    }
    CHECK(by(Method::Butter, 4.7)->steps[0].seconds > 3 * by(Method::Butter, 1)->steps[0].seconds / 2);
    const auto warm = by(Method::Seed, 0.3, 30);
    REQUIRE_FALSE(warm);
    CHECK(warm.error().sentence.find("seed itself melts") != std::string::npos);
    CHECK(by(Method::Butter, 0.3, 30));
    temper::Choice seed;
    const auto compound = temper::plan(test::coating("compound"), physics, seed, 0.4, 21, UnitSystem::Metric);
    REQUIRE(compound);
    CHECK(compound->seed == 0);
    for (const auto& s : compound->steps) CHECK(s.title.find("seed") == std::string::npos);
}

TEST_CASE("what the packet says wins: a label that melts warmer than the table scorches is believed") {
    material::OwnFigures own;
    own.values["meltTo"] = 47;
    const auto c = material::coating(*io::library().find("white"), material::Temper::Tempered, material::Thinner::None,
                                     0, own, io::library().physics);
    REQUIRE(c);
    CHECK(c->meltTo == 47);
    CHECK(c->scorch > 47);
    CHECK(temper::plan(*c, io::library().physics, {}, 0.3, 21, UnitSystem::Metric));
    own.values["scorch"] = 46;  // unless it says that too
    CHECK(material::coating(*io::library().find("white"), material::Temper::Tempered, material::Thinner::None, 0, own,
                            io::library().physics)
              ->scorch == 46);
}

TEST_CASE("several shelves take several times as much, a plan file keeps them, none and twenty are refused") {
    Plan plan = test::bowlPlan();
    const int one = test::only(plan)->perShelf;
    plan.kitchen.shelves = 3;
    CHECK(test::only(plan)->perShelf == 3 * one);
    CHECK(readPlan(writePlan(plan))->kitchen.shelves == 3);
    for (const int n : {0, 20}) {
        plan.kitchen.shelves = n;
        const auto said = problems(plan, io::library());
        REQUIRE_FALSE(said.empty());
        CHECK(said[0].where == "kitchen/shelves");
    }
    plan.kitchen.shelves = 1;
    plan.kitchen.shelfHeight = Measure(0.05);
    CHECK(test::only(plan)->perShelf == 0);  // too tall
}

TEST_CASE("spares follow what handling leaves") {
    Plan plan = test::bowlPlan();
    auto& p = plan.pieces[0];
    p.count = 10;
    p.chocolate = "milk";
    p.coats().resize(1);
    p.coats()[0].temperature = Measure(29.5);
    p.shape = test::balloon(0.6, 0.225, 0.102, 0.2);
    Cache cache;
    AnswerOptions o = test::withoutDay();
    o.strength = true;
    const auto gentle = *answer(plan, io::library(), cache, o);
    p.handling.lift = Handling::Lift::Fingers;  // across the rim: they break often
    const auto rough = *answer(plan, io::library(), cache, o);
    CHECK(rough.pieces[0]->make > gentle.pieces[0]->make);
    CHECK(rough.pots[0].melt > gentle.pots[0].melt);
    REQUIRE(rough.pieces[0]->strength);
    const double survives = std::max(0.2, p.survives * rough.pieces[0]->strength->survives);
    CHECK(rough.pieces[0]->make == batch::piecesToMake(10, survives, io::library().usual("sparesSure")));
}

}  // namespace uovo::kitchen_facts_test
