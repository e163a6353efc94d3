// Ids say what a thing is; words are for a person.
#include <catch2/catch.hpp>

#include <cstring>
#include <set>

#include "support.h"

namespace uovo::identity_test {

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
    for (const auto& t : a.day->network.tasks) melts += t.step == "melt";
    CHECK(melts >= 4);
    std::set<int> minutes;
    for (const auto& pot : a.pots) {
        const auto all = sittings(*a.day, pot);
        CHECK(all.size() >= 1);
        for (const auto& s : all)
            CHECK(minutes.insert(s.minute).second);  // one pair of hands: no two at once, so none is counted twice
    }
}

TEST_CASE("the tasks of a day have ids of their own, whatever pieces and chocolates are called") {
    Plan plan = everyWay();
    for (const char* family : {"tart", "basket", "disc", "house"}) {
        Piece p = newPiece(plan, family);
        p.id = family;
        p.name = "Bowl";
        if (p.couldBeCoated() && p.family().body == form::Body::Wall) p.coats() = usualCoats(p, plan, io::library());
        if (p.family().body == form::Body::Wall) {
            test::fill(plan, p);
            p.having<LidStep>();
        }
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

TEST_CASE("a step that takes nothing from a pot melts none: only pots that hold grams are in the day") {
    int without = 0;
    for (const char* family : {"ball", "disc", "spoon", "egg-half", "basket", "tart"}) {
        INFO(family);
        Plan plan = test::demo();
        Piece p = newPiece(plan, family);
        const std::string own = p.chocolate;
        for (const auto& c : io::library().chocolates)  // all of it from another than its own
            if (c.id != own && c.kind == "couverture") {
                for (auto& step : p.making)
                    if (auto* cast = std::get_if<CastStep>(&step)) cast->chocolate = c.id;
                for (auto& coat : p.coats()) coat.chocolate = c.id;
                break;
            }
        p.making.emplace_back(LidStep{});
        plan.pieces = {p};
        const Answers a = test::answersOf(plan);
        if (!a.day || !a.day->problem.empty()) continue;
        std::set<std::string> held;
        for (const auto& pot : a.pots) held.insert(pot.key.id());
        for (const auto& pot : a.day->asked.pots) {
            std::string id = pot.id;
            for (const char* twin : {"-cup", "-molten"})
                if (id.ends_with(twin)) id.resize(id.size() - std::strlen(twin));
            CHECK(held.contains(id));
        }
        for (const auto& t : a.day->asked.tasks) without += t.step == "lid" && t.pot < 0;
    }
    CHECK(without >= 1);
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
    CHECK(count[Kind::Pot] >= 4);  // and cups for glue and patches
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

TEST_CASE(
    "what closes over its filling is filled before it is closed, once all halves are there, and glue has its time to "
    "set") {
    Plan plan;
    plan.deadline = "2027-03-06T18:00";
    plan.pieces = {newPiece(plan, "hung-ball")};
    auto& moon = plan.pieces[0];
    moon.id = "moon";
    moon.count = 3;
    test::fill(plan, moon, "Sweets", 1e-4, false);
    for (const bool coated : {false, true}) {
        INFO(coated);
        if (coated) moon.coats() = usualCoats(moon, plan, io::library());
        const Answers a = test::answersOf(plan);
        REQUIRE(a.day);
        REQUIRE(a.day->problem.empty());
        int fills = 0, joins = 0, filled = 0, joined = 0, glued = 0, boxed = 0, unmolded = -100000;
        for (size_t i = 0; i < a.day->network.tasks.size(); ++i) {
            const auto& t = a.day->network.tasks[i];
            const int begin = a.day->layout.start[i], end = begin + t.minutes;
            if (t.step == "fill") ++fills, filled = end;
            if (t.step == "join") ++joins, joined = begin, glued = end;
            if (t.step == "wrap") boxed = begin;
            if (t.step == "uncast" || t.step == "unmold") unmolded = std::max(unmolded, end);
        }
        CHECK(fills == 1);
        CHECK(joins == 1);
        CHECK(unmolded <= filled);
        CHECK(filled <= joined);
        CHECK(boxed - glued >= io::library().usual("glueBears") / 60);
    }
}

TEST_CASE("nothing goes into a ball that closes as it is coated, unless a hole is melted into it") {
    Plan plan;
    plan.pieces = {newPiece(plan, "ball")};
    auto& ball = plan.pieces[0];
    ball.coats() = usualCoats(ball, plan, io::library());
    test::fill(plan, ball, "Sweets");
    const auto holds = [&] {
        const Answers all = test::answersOf(plan, test::withoutDay());
        for (const auto& a : all.pieces[0]->answers)
            if (a.id == "holds") return a;
        return Answer{};
    };
    CHECK(holds().tone == Tone::Impossible);
    CHECK(holds().sentence.find("Melt an opening") != std::string::npos);
    ball.shape.values["opening"] = Measure(0.05);
    CHECK(holds().tone != Tone::Impossible);
    ball.shape.values["opening"] = Measure(0);
    ball.coats().clear();  // two halves, joined over what is in them
    CHECK(holds().tone != Tone::Impossible);
}

}  // namespace uovo::identity_test
