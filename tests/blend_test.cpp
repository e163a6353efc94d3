// Two chocolates melted together, as they are or coloured; and colours of one base, melted in one go.
#include <catch2/catch.hpp>
#include <set>

#include <algorithm>
#include <cmath>

#include "core/stages/shopping.h"
#include "support_coats.h"

namespace uovo::blend_test {

using material::Colour;

namespace {

Colour blend(const char* base, const char* second, double share, double strength = 0) {
    Colour c;
    c.id = "mixed";
    c.name = "Half and half";
    c.base = base;
    c.second = second;
    c.secondShare = Measure(share);
    c.strength = Measure(strength);
    return c;
}

Plan withBlend(double share) {
    Plan plan = test::bowlPlan();
    plan.colours = {blend("dark", "milk", share)};
    plan.pieces[0].chocolate = "mixed";
    return plan;
}

Colour coloured(const char* id, const char* name) {
    Colour c;
    c.id = id;
    c.name = name;
    return c;
}

/// Two half balls of one white, each in its own colour, and one as it is.
Plan threeOfWhite() {
    Plan plan;
    for (const char* id : {"white", "rose", "sky"}) {
        plan.pieces.push_back(newPiece(plan, "disc"));
        plan.pieces.back().chocolate = id;
        plan.pieces.back().count = 4;
    }
    plan.colours = {coloured("rose", "Rose"), coloured("sky", "Sky")};
    plan.deadline = "2026-08-04T18:00";
    return plan;
}

}  // namespace

TEST_CASE("a blend has figures between those of its two, by mass and by logarithms") {
    const auto& lib = io::library();
    const auto with = material::withColours(lib, {blend("dark", "milk", 0.25)});
    const auto *mixed = with.find("mixed"), *dark = lib.find("dark"), *milk = lib.find("milk");
    REQUIRE(mixed);
    CHECK(mixed->at("fatShare").value == Approx(0.75 * dark->at("fatShare").value + 0.25 * milk->at("fatShare").value));
    CHECK(std::log(mixed->at("viscosity40").value) ==
          Approx(0.75 * std::log(dark->at("viscosity40").value) + 0.25 * std::log(milk->at("viscosity40").value)));
    for (const auto& [name, v] : mixed->constants) {
        INFO(name);
        const double a = dark->at(name).value, b = milk->at(name).value;
        CHECK(v.value >= std::min(a, b) - 1e-12);
        CHECK(v.value <= std::max(a, b) + 1e-12);
    }
    for (const auto& allergen : milk->allergens)
        CHECK(std::count(mixed->allergens.begin(), mixed->allergens.end(), allergen) == 1);
    // nearly all of one is that one
    const auto nearly = material::withColours(lib, {blend("dark", "milk", 1e-9)});
    CHECK(nearly.find("mixed")->at("growthRate").value == Approx(dark->at("growthRate").value));
}

TEST_CASE("both chocolates of a blend are bought, weighed and told, each with its share") {
    const Plan plan = withBlend(0.25);
    const auto a = test::answersOf(plan, test::withoutDay());
    REQUIRE(a.problems.empty());
    REQUIRE(a.pots.size() == 1);
    const auto list = shopping(plan, material::withColours(io::library(), plan.colours), a, "2026-08-04");
    REQUIRE(list.lines.size() == 2);
    const auto line = [&](const char* id) {
        return *std::find_if(list.lines.begin(), list.lines.end(),
                             [&](const Purchase& p) { return p.chocolate == id; });
    };
    CHECK(line("dark").need == Approx(0.75 * a.pots[0].melt));
    CHECK(line("milk").need == Approx(0.25 * a.pots[0].melt));
    for (const auto& s : list.supplies) CHECK(s.name.find("colour") == std::string::npos);  // none was asked for
    CHECK(std::count(list.allergens.begin(), list.allergens.end(), "milk") == 1);
    REQUIRE_FALSE(a.melts[0].mixing.empty());
    CHECK(a.melts[0].mixing[0].find("together") != std::string::npos);
    const auto fits = whatFits(plan, material::withColours(io::library(), plan.colours), a, "milk", 5);
    CHECK(fits.front().count > 0);
}

TEST_CASE("a blend's wall is its own, and follows its share at once") {
    Cache cache;
    const auto wall = [&](double share) {
        return answer(withBlend(share), io::library(), cache, test::withoutDay())->pieces[0]->made->wall->mean;
    };
    const double little = wall(0.1), much = wall(0.9);
    CHECK(std::abs(much - little) > 0.01 * little);
    CHECK(wall(0.1) == little);
    Plan dark = test::bowlPlan(), milk = test::bowlPlan();
    milk.pieces[0].chocolate = "milk";
    const double a = test::only(dark)->made->wall->mean, b = test::only(milk)->made->wall->mean;
    CHECK(little > std::min(a, b) * 0.99);
    CHECK(much < std::max(a, b) * 1.01);
}

TEST_CASE("a blend is kept in the file, and an impossible one is said beside its field") {
    Plan plan = withBlend(0.25);
    const auto again = readPlan(writePlan(plan));
    REQUIRE(again);
    CHECK(*again == plan);
    struct Row {
        Colour colour;
        const char *field, *says;
    };
    for (const auto& row : {Row{blend("dark", "compound", 0.5), "second", "do not set together"},
                            Row{blend("dark", "dark", 0.5), "second", "no other chocolate"},
                            Row{blend("dark", "nowhere", 0.5), "second", "no other chocolate"},
                            Row{blend("dark", "milk", 1), "secondShare", "some of both"},
                            Row{blend("dark", "milk", 0.5, 0.2), "strength", "taste of it"}}) {
        plan.colours = {row.colour};
        const auto found = problems(plan, io::library());
        INFO(row.says);
        const bool there = std::any_of(found.begin(), found.end(), [&](const Problem& p) {
            return p.where == std::string("colours/mixed/") + row.field &&
                   p.sentence.find(row.says) != std::string::npos;
        });
        CHECK(there);
    }
}

TEST_CASE("colours of one white are one melt: chopped and melted once, then divided") {
    const Plan plan = threeOfWhite();
    const auto a = test::answersOf(plan);
    REQUIRE(a.problems.empty());
    REQUIRE(a.pots.size() == 3);
    double all = 0;
    for (const auto& p : a.pots) all += p.melt;
    for (const auto& m : a.melts) {
        CHECK(m.together == Approx(all));
        CHECK(m.dividing.find("in one go") != std::string::npos);
    }
    REQUIRE(a.day);
    const auto count = [&](const char* start) {
        return std::count_if(a.day->network.tasks.begin(), a.day->network.tasks.end(),
                             [&](const auto& t) { return t.id.starts_with(start); });
    };
    CHECK(count("chop/") == 1);
    const auto steps = [&](const char* step) {
        std::set<std::string> pots;
        for (const auto& t : a.day->network.tasks)
            if (t.step == step) pots.insert(t.id.substr(0, t.id.find('/')));
        return pots.size();
    };
    CHECK(steps("melt") == 1);  // its base alone is melted, the others are divided off it
    CHECK(steps("colour") == 2);
    // another preparation is another melt
    Plan other = plan;
    other.pieces[1].temper = material::Temper::Untempered;
    const auto b = test::answersOf(other, test::withoutDay());
    CHECK(std::count_if(b.melts.begin(), b.melts.end(), [](const MeltPlan& m) { return m.together > 0; }) == 2);
}

TEST_CASE("the size of a packet is the person's") {
    Plan plan = test::bowlPlan();
    plan.pieces[0].count = 12;
    const auto buy = [&] {
        const auto a = test::answersOf(plan, test::withoutDay());
        const auto list = shopping(plan, io::library(), a, "");
        return std::pair{list.lines.front().packets, a.pots.front().melt};
    };
    plan.own["dark"].values[material::kPacket] = 2.5;
    auto [packets, melt] = buy();
    CHECK(packets == static_cast<int>(std::ceil(melt / 2.5)));
    plan.own["dark"].values[material::kPacket] = 0.1;
    CHECK(buy().first == static_cast<int>(std::ceil(melt / 0.1 - 1e-9)));
    const auto again = readPlan(writePlan(plan));
    REQUIRE(again);
    CHECK(again->own.at("dark") == plan.own.at("dark"));
    plan.own["dark"].values[material::kPacket] = -1;
    CHECK(problems(plan, io::library()).size() >= 1);
}

}  // namespace uovo::blend_test
