// Ids say what a thing is; words are for a person.
#include <catch2/catch.hpp>

#include <set>

#include "support.h"

using namespace uovo;

namespace {

/// Bowls of one dark chocolate, prepared in every way there is.
Plan everyWay() {
    Plan plan;
    plan.deadline = "2027-03-06T18:00";
    const auto add = [&](const char* id, material::Temper temper, material::Thinner thinner, double share) {
        Piece p = newPiece(plan, "balloon");
        p.id = id;
        p.name = "Bowl";  // all alike for a person
        p.count = 2;
        p.temper = temper;
        p.thinner = thinner;
        p.thinnerShare = share;
        plan.pieces.push_back(p);
    };
    add("plain", material::Temper::Tempered, material::Thinner::None, 0);
    add("cold", material::Temper::Untempered, material::Thinner::None, 0);
    add("oiled", material::Temper::Tempered, material::Thinner::VegetableOil, 0.02);
    add("oilier", material::Temper::Tempered, material::Thinner::VegetableOil, 0.05);
    return plan;
}

}  // namespace

TEST_CASE("one chocolate prepared in four ways is four pots, each with its own grams, melt and sittings") {
    const Plan plan = everyWay();
    const Answers a = test::answersOf(plan);
    REQUIRE(a.problems.empty());
    REQUIRE(a.pots.size() == 4);
    std::set<std::string> ids;
    for (const auto& pot : a.pots) {
        CHECK(pot.key.chocolate == "dark");
        CHECK(pot.uses.size() == 1);
        ids.insert(pot.key.id());
    }
    CHECK(ids == std::set<std::string>{"dark", "dark-untempered", "dark-oil-2", "dark-oil-5"});
    REQUIRE(a.day);
    REQUIRE(a.day->problem.empty());
    int melts = 0;
    for (const auto& t : a.day->network.tasks) melts += t.id.starts_with("melt/");
    CHECK(melts == 4);
    std::set<int> minutes;
    for (const auto& pot : a.pots) {
        const auto all = sittings(*a.day, pot);
        CHECK(all.size() >= 2);  // two coats
        for (const auto& s : all) CHECK(minutes.insert(s.minute).second);  // one pair of hands: no two at once, so none is counted twice
    }
}

TEST_CASE("the tasks of a day have ids of their own, whatever pieces and chocolates are called") {
    Plan plan = everyWay();
    for (const char* family : {"tart", "basket", "disc", "house"}) {
        Piece p = newPiece(plan, family);
        p.id = family;
        p.name = "Bowl";
        if (p.couldBeCoated() && p.family().body == form::Body::Wall) p.coats = usualCoats(p, plan, io::library());
        p.filling.emplace();
        p.filling->name = "Cream";
        p.filling->cap = Measure(0.003);
        if (p.family().body != form::Body::Wall) p.filling.reset();
        plan.pieces.push_back(p);
    }
    const Answers a = test::answersOf(plan);
    REQUIRE(a.day);
    std::set<std::string> ids;
    for (const auto& t : a.day->network.tasks) {
        INFO(t.id);
        CHECK(ids.insert(t.id).second);
        CHECK_FALSE(t.step.empty());
        CHECK(t.id.ends_with(t.step));
    }
}

TEST_CASE("places and pots of a day are told by what they are") {
    const Answers a = test::answersOf(everyWay());
    using Kind = schedule::Resource::Kind;
    std::map<Kind, int> count;
    for (const auto& r : a.day->network.resources) {
        ++count[r.kind];
        CHECK((r.kind == Kind::Pot) == !r.id.empty());
    }
    CHECK(count[Kind::Shelf] == 1);
    CHECK(count[Kind::Freezer] == 1);
    CHECK(count[Kind::Bench] == 1);
    CHECK(count[Kind::Pot] == 4);
}

TEST_CASE("a compound has no temper to lose: it is one pot whatever its pieces say") {
    Plan plan;
    for (const auto temper : {material::Temper::Tempered, material::Temper::Untempered}) {
        Piece p = newPiece(plan, "disc");
        p.id = temper == material::Temper::Tempered ? "a" : "b";
        for (const auto& c : io::library().chocolates)
            if (c.kind == "compound") p.chocolate = c.id;
        p.temper = temper;
        plan.pieces.push_back(p);
    }
    CHECK(test::answersOf(plan, test::withoutDay()).pots.size() == 1);
}
