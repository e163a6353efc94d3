// Colours: pots mixed from a base, pastels, pieces that match.
#include <algorithm>
#include <catch2/catch.hpp>

#include "core/stages/shopping.h"
#include "support.h"

namespace uovo::colour_test {

using material::Colour;

namespace {

Colour blue(double strength = 0.005, double letDown = 0) {
    Colour c;
    c.id = "nebula";
    c.name = "Nebula blue";
    c.strength = Measure(strength);
    c.letDown = Measure(letDown);
    return c;
}

/// The demo without its colour, and with its white pieces in another.
Plan plain() {
    Plan plan = test::demo();
    for (auto& p : plan.pieces)
        for (const auto& c : plan.colours)
            if (p.chocolate == c.id) p.chocolate = c.base;
    for (auto& p : plan.pieces) p.without<DecorateStep>();  // the moon's is of the colour
    plan.colours.clear();
    return plan;
}
Plan coloured(const Colour& c) {
    Plan plan = plain();
    plan.colours = {c};
    for (auto& p : plan.pieces)
        if (p.chocolate == "white") p.chocolate = c.id;
    return plan;
}

const batch::Pot* potOf(const Answers& a, const std::string& id) {
    for (const auto& p : a.pots)
        if (p.key.chocolate == id) return &p;
    return nullptr;
}

}  // namespace

TEST_CASE("a pot of colour balances: by hand for 400 g at 0.5 % with 60 % let down") {
    const auto m = material::mix(blue(0.005, 0.6), 0.4);
    CHECK(m.plain == Approx(0.240));
    CHECK(m.colour == Approx(0.0008));  // half a percent of the 160 g that are strong
    CHECK(m.strong == Approx(0.1592));
    CHECK(m.trialChocolate == Approx(0.0199));  // an eighth of the strong colour is less than 20 g
    for (const double mass : {0.02, 0.15, 0.8, 12.0})
        for (const double strength : {0.003, 0.005, 0.01})
            for (const double letDown : {0.0, 0.3, 0.9}) {
                const auto k = material::mix(blue(strength, letDown), mass);
                CHECK(k.colour + k.strong + k.plain == Approx(mass));
                CHECK(k.colour / (k.colour + k.strong) == Approx(strength));
                CHECK(k.plain / mass == Approx(letDown).margin(1e-12));
                CHECK(k.trialColour / k.trialChocolate ==
                      Approx(k.colour / k.strong));  // the trial has the colour of the pot
                CHECK(k.trialChocolate <= 0.020 + 1e-12);
                CHECK(k.trialChocolate <= k.strong / 8 + 1e-12);
            }
}

TEST_CASE("a coloured piece has the wall of its base, and a pot of its own that all its pieces share") {
    const Plan plan = coloured(blue(0.008));
    const auto a = test::answersOf(plain(), test::withoutDay()), b = test::answersOf(plan, test::withoutDay());
    REQUIRE(b.problems.empty());
    size_t many = 0;
    for (size_t i = 0; i < plan.pieces.size(); ++i) {
        const auto mass = [i](const Answers& x) {
            return x.pieces[i]->made ? x.pieces[i]->made->mass : x.pieces[i]->made->mass;
        };
        CHECK(mass(b) == mass(a));
        many += plan.pieces[i].chocolate == "nebula";
    }
    REQUIRE(many >= 2);
    const auto* pot = potOf(b, "nebula");
    REQUIRE(pot);
    CHECK(pot->melt == Approx(potOf(a, "white")->melt));
    CHECK(pot->uses.size() == many);  // one pot: they match
    CHECK(potOf(b, "white") == nullptr);
    const auto at = static_cast<size_t>(pot - b.pots.data());
    REQUIRE(b.melts[at].colour);
    CHECK(b.melts[at].colour->colour == Approx(0.008 * pot->melt));
    CHECK(b.melts[at].temper.steps.size() >= 2);  // it is tempered like its base
    const auto& words = b.melts[at].mixing;
    CHECK(std::any_of(words.begin(), words.end(), [](const auto& w) { return w.find("Trial") != std::string::npos; }));
    CHECK(std::any_of(words.begin(), words.end(),
                      [](const auto& w) { return w.find("never matches") != std::string::npos; }));
    CHECK(std::none_of(words.begin(), words.end(),
                       [](const auto& w) { return w.find("Let it down") != std::string::npos; }));
    // the packets are of white; the oil colour stands on the list
    const auto list = shopping(plan, material::withColours(io::library(), plan.colours), b, "");
    CHECK(std::any_of(list.lines.begin(), list.lines.end(), [](const auto& l) { return l.chocolate == "white"; }));
    CHECK(std::none_of(list.lines.begin(), list.lines.end(), [](const auto& l) { return l.chocolate == "nebula"; }));
    CHECK(std::any_of(list.supplies.begin(), list.supplies.end(),
                      [](const auto& s) { return s.name.find("Oil colour") == 0; }));
}

TEST_CASE("what is said on the packet of the base holds for its colour, another choice of melting may differ") {
    Plan plan = coloured(blue());
    plan.own["white"].values["workHigh"] = 28.5;
    plan.own["white"].values["workLow"] = 28;
    plan.melting["white"].method = temper::Method::Butter;
    auto a = test::answersOf(plan, test::withoutDay());
    const auto melt = [&] { return a.melts[static_cast<size_t>(potOf(a, "nebula") - a.pots.data())]; };
    CHECK(melt().coating.workHigh == 28.5);
    CHECK(melt().choice.method == temper::Method::Butter);
    plan.melting["nebula"].method = temper::Method::Machine;
    a = test::answersOf(plan, test::withoutDay());
    CHECK(melt().choice.method == temper::Method::Machine);
}

TEST_CASE("two colours of one base are worked from light to dark") {
    Plan plan = coloured(blue());
    Colour pale = blue(0.005, 0.8);
    pale.id = "haze";
    pale.name = "Haze";
    plan.colours.push_back(pale);
    bool first = true;
    for (auto& p : plan.pieces)
        if (p.chocolate == "nebula" && std::exchange(first, false)) p.chocolate = "haze";
    const auto a = test::answersOf(plan, test::withoutDay());
    const auto words = [&](const char* id) {
        std::string all;
        for (const auto& w : a.melts[static_cast<size_t>(potOf(a, id) - a.pots.data())].mixing) all += w + "\n";
        return all;
    };
    CHECK(words("nebula").find("this one after haze") != std::string::npos);
    CHECK(words("haze").find("this one after") == std::string::npos);
    CHECK(words("haze").find("Let it down with") != std::string::npos);
    CHECK(material::lookOf(pale, "#FFFFFF") ==
          "#DEE5EF");  // by hand: 0.2 of #5B7FB0, 0.8 of white, whose half-way to white is white
}

TEST_CASE("colours that cannot be mixed are said in words, and kept in the file as they are") {
    const auto wrong = [](auto change) {
        Plan plan = coloured(blue());
        change(plan.colours[0]);
        return problems(plan, io::library());
    };
    CHECK(wrong([](Colour&) {}).empty());
    CHECK(wrong([](Colour& c) { c.strength = Measure(0.5); }).front().where == "colours/nebula/strength");
    CHECK(wrong([](Colour& c) { c.strength = Measure(0.0); }).size() == 1);
    CHECK(wrong([](Colour& c) { c.letDown = Measure(1.0); }).front().where == "colours/nebula/letDown");
    CHECK(wrong([](Colour& c) { c.look = "blue"; }).front().where == "colours/nebula/look");
    CHECK_FALSE(wrong([](Colour& c) { c.base = "ruby"; }).empty());
    CHECK_FALSE(wrong([](Colour& c) { c.id = "dark"; }).empty());
    Plan plan = coloured(blue(0.007, 0.25));
    plan.colours[0].extra = "{\"maker\":\"unknown to this version\"}";
    const auto again = readPlan(writePlan(plan));
    REQUIRE(again);
    CHECK(*again == plan);
    plan.colours.push_back(plan.colours[0]);
    CHECK_FALSE(problems(plan, io::library()).empty());
}

TEST_CASE("flavour oil is counted in drops for the pot, bought, and told on its card") {
    Colour c = blue(0, 0);
    c.name = "Orange white";
    c.flavour = Measure(0.002);
    c.flavourName = "orange";
    const auto m = material::mix(c, 0.5);
    CHECK(m.flavour == Approx(0.001));  // 2 g in a kilogram, by hand
    CHECK(m.colour == 0);
    CHECK(m.strong + m.plain + m.flavour == Approx(0.5));
    CHECK(material::lookOf(c, "#F3E9D2") == "#F3E9D2");  // it is not coloured
    const Plan plan = coloured(c);
    const auto a = test::answersOf(plan, test::withoutDay());
    REQUIRE(a.problems.empty());
    const auto* pot = potOf(a, "nebula");
    REQUIRE(pot);
    const auto& melt = a.melts[static_cast<size_t>(pot - a.pots.data())];
    std::string all;
    for (const auto& line : melt.mixing) all += line + "\n";
    INFO(all);
    // 40 mg a drop
    const long drops = std::lround(0.002 * pot->melt / melt.batches / 4e-5);
    if (drops <= 60) CHECK(all.find(std::to_string(drops) + " drops") != std::string::npos);
    CHECK(all.find("orange oil") != std::string::npos);
    CHECK(all.find("seize") != std::string::npos);
    CHECK(all.find("of colour") == std::string::npos);
    bool bought = false;
    for (const auto& s : shopping(plan, material::withColours(io::library(), plan.colours), a, "").supplies)
        bought = bought || s.name == "Flavour oil, orange";
    CHECK(bought);
    // kept in its file
    const auto again = readPlan(writePlan(plan));
    REQUIRE(again);
    CHECK(again->colours == plan.colours);
    c.flavour = Measure(0.05);
    bool refused = false;
    for (const auto& p : problems(coloured(c), io::library())) refused = refused || p.where == "colours/nebula/flavour";
    CHECK(refused);
}

}  // namespace uovo::colour_test
