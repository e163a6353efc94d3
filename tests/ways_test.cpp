// A weak answer comes with ways out: each of them, taken, ends what was weak.
#include <catch2/catch.hpp>

#include "support.h"

namespace uovo::ways_test {

namespace {

const Answer* find(const Answers& all, const std::string& piece, const std::string& id) {
    for (const auto& p : all.pieces)
        if (p->id == piece)
            for (const auto& a : p->answers)
                if (a.id == id) return &a;
    return nullptr;
}

bool weak(const Answer* a) { return a && (a->tone == Tone::Weak || a->tone == Tone::Impossible); }

Piece& pieceOf(Plan& plan, const std::string& id) {
    for (auto& p : plan.pieces)
        if (p.id == id) return p;
    FAIL("no piece " << id);
    return plan.pieces.front();
}

struct Case {
    const char *piece, *answer, *title;  ///< title: of one of its ways
    std::function<void(Plan&, Piece&)> spoil;
};

}  // namespace

TEST_CASE(
    "every way that a weak answer offers besides another wall makes it strong, and changes nothing it does not name") {
    const Case cases[]{
        {"crater-bowl", "holds", "Fill it to 85 %", [](Plan&, Piece& p) { p.fill()->each = Measure(0.004); }},
        {"crater-bowl", "cold", "Leave it for",
         [](Plan&, Piece& p) {
             p.coats().back().place = coat::Place::Fridge;
             p.coats().back().stay = Measure(60);
         }},
        {"crater-bowl", "cold", "Set it in the fridge",
         [](Plan& plan, Piece& p) {
             plan.kitchen.room = Measure(30);
             p.coats().back().place = coat::Place::Table;
         }},
        {"crater-bowl", "temperature/0", "Coat it at", [](Plan&, Piece& p) { p.coats()[0].temperature = Measure(37); }},
        {"crater-bowl", "early/0", "Leave it for",
         [](Plan&, Piece& p) {
             p.coats().push_back(p.coats().back());
             p.coats()[0].stay = Measure(60);
         }},
        {"crater-bowl", "shelf", "Set it on the table",
         [](Plan& plan, Piece& p) {
             plan.kitchen.shelfHeight = Measure(0.1);
             p.coats().back().place = coat::Place::Fridge;
         }},
        {"crater-bowl", "shelf", "Set it in the fridge",
         [](Plan& plan, Piece& p) {
             plan.kitchen.freezerHeight = Measure(0.1);
             p.coats().back().place = coat::Place::Freezer;
         }},
        {"specimen-basket", "shelf", "Set it on the table",
         [](Plan& plan, Piece&) { plan.kitchen.shelfHeight = Measure(0.05); }},
    };
    for (const auto& c : cases) {
        INFO(c.piece << " " << c.answer << " " << c.title);
        Plan plan = test::demo();
        const Piece only = pieceOf(plan, c.piece);
        plan.pieces = {only};
        c.spoil(plan, pieceOf(plan, c.piece));
        const Answers before = test::answersOf(plan, test::withoutDay());
        const Answer* a = find(before, c.piece, c.answer);
        REQUIRE(a);
        INFO(a->headline << ": " << a->sentence);
        REQUIRE(weak(a));
        bool offered = false;
        for (const auto& way : a->ways) {
            INFO(way.title);
            CHECK(way.titleSays);
            offered = offered || way.title.starts_with(c.title);
            Plan mended = plan;
            Piece& p = pieceOf(mended, way.changed.id);
            Piece other = way.changed;
            other.making = p.making;
            other.shape = p.shape;
            other.count = p.count;
            CHECK(other == p);
            p = way.changed;
            const Answers after = test::answersOf(mended, test::withoutDay());
            const Answer* still = find(after, c.piece, c.answer);
            INFO((still ? still->headline + ": " + still->sentence : std::string("gone")));
            CHECK_FALSE(weak(still));
        }
        CHECK(offered);
    }
}

TEST_CASE(
    "a hole that is too small is melted wider, a drink made stronger, a topping strewn thinner, what stands in it "
    "made") {
    Plan plan;
    Piece ball;
    ball.id = "ball";
    ball.name = "Ball";
    ball.shape = form::usual("ball");
    ball.shape.values["diameter"] = Measure(0.1);
    ball.shape.values[form::kOpening] = Measure(0.012);
    ball.complete();
    ball.count = 3;
    ServeStep drink;
    drink.how = ServeStep::How::Drink;
    drink.amount = Measure(0.005);
    ball.making.push_back(drink);
    Topping nuts;
    nuts.id = "nuts";
    nuts.name = "Nuts";
    plan.toppings.push_back(nuts);
    TopStep top;
    top.topping = "nuts";
    top.each = Measure(0.5);
    ball.insert(top);
    Piece flag;
    flag.id = "flag";
    flag.name = "Flag";
    flag.shape = form::usual("disc");
    flag.complete();
    InsertStep in;
    in.what = InsertStep::What::Piece;
    in.piece = "flag";
    in.each = 2;
    ball.insert(in);
    plan.pieces = {ball, flag};
    for (int taken = 0; taken < 8; ++taken) {
        const Answers all = test::answersOf(plan, test::withoutDay());
        for (const auto& p : all.pieces) REQUIRE(p->problems.empty());
        const WayOut* way = nullptr;
        for (const auto& p : all.pieces)
            for (const auto& a : p->answers)
                for (const auto& w : a.ways)
                    if (!way && w.titleSays) {
                        way = &w;
                        UNSCOPED_INFO(a.id << ": " << w.title);
                    }
        if (!way) break;
        pieceOf(plan, way->changed.id) = way->changed;
    }
    const Answers all = test::answersOf(plan, test::withoutDay());
    for (const char* id : {"opening", "drink", "topping/nuts", "stands-in/flag"}) {
        INFO(id);
        const Answer* a = find(all, "ball", id);
        REQUIRE(a);
        INFO(a->headline << ": " << a->sentence);
        CHECK_FALSE(weak(a));
    }
    CHECK(pieceOf(plan, "flag").count == 6);
    CHECK(find(all, "ball", "opening")->tone == Tone::Good);
}

TEST_CASE("what sets on the table asks nothing of the fridge") {
    Plan plan = test::demo();
    plan.kitchen.shelfHeight = Measure(0.03);
    Piece& p = pieceOf(plan, "crater-bowl");
    for (auto& c : p.coats()) c.place = coat::Place::Table;
    Piece tall;
    tall.id = "tall";
    tall.name = "Tall";
    tall.shape = form::usual("disc");
    tall.complete();
    tall.cast().place = coat::Place::Table;
    plan.pieces = {p, tall};
    const Answers all = test::answersOf(plan, test::withoutDay());
    for (const char* id : {"crater-bowl", "tall"}) CHECK_FALSE(find(all, id, "shelf"));
}

}  // namespace uovo::ways_test
