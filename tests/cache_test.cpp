// What is remembered, and how much of it.
#include <catch2/catch.hpp>

#include <thread>

#include "core/quantity/side_by_side.h"
#include "core/stages/strength.h"
#include "support.h"

namespace uovo::cache_test {

namespace {

std::shared_ptr<const void> thing(int v) { return std::make_shared<const int>(v); }
int valueOf(const std::shared_ptr<const void>& p) { return p ? *std::static_pointer_cast<const int>(p) : -1; }

}  // namespace

TEST_CASE("a cache keeps what was used last within its bytes, and the newest always") {
    Cache cache(10'000);
    for (int i = 0; i < 9; ++i) cache.keep("thing " + std::to_string(i), thing(i), 1000);
    CHECK(cache.bytes() <= 10'000);
    CHECK(valueOf(cache.find("thing 8")) == 8);
    CHECK(valueOf(cache.find("thing 1")) == 1);  // used again, so it stays
    cache.keep("more", thing(100), 3000);
    CHECK(valueOf(cache.find("thing 1")) == 1);
    CHECK(cache.find("thing 2") == nullptr);
    CHECK(cache.bytes() <= 10'000);
    cache.keep("huge", thing(200), 1'000'000);
    CHECK(valueOf(cache.find("huge")) == 200);
    CHECK(cache.size() == 1);
    cache.keep("huge", thing(201), 500);  // the same key takes the old one's place
    CHECK(valueOf(cache.find("huge")) == 201);
    CHECK(cache.size() == 1);
    CHECK(cache.bytes() < 1000);
}

TEST_CASE("a cache may be moved and copied, what it remembers goes along", "[threads]") {
    Cache first(10'000);
    first.keep("a", thing(1), 10);
    first.keep("b", thing(2), 10);
    Cache second = std::move(first);
    CHECK(valueOf(second.find("a")) == 1);
    second.keep("c", thing(3), 10);
    CHECK(valueOf(second.find("b")) == 2);
    CHECK(second.size() == 3);
    Cache copy = second;
    copy.keep("d", thing(4), 10);
    CHECK(valueOf(copy.find("a")) == 1);
    CHECK(copy.size() == 4);
    CHECK(second.size() == 3);  // each its own
    CHECK(second.find("d") == nullptr);
}

TEST_CASE("three hundred kinds are remembered: a rename computes none of them again") {
    Plan plan;
    for (int i = 0; i < 300; ++i) {
        Piece p = newPiece(plan, "disc");
        p.id = "disc-" + std::to_string(i);
        p.shape.values["diameter"] = Measure(0.05 + 1e-4 * i);
        plan.pieces.push_back(p);
    }
    Cache cache;
    const auto first = answer(plan, io::library(), cache, test::withoutDay());
    plan.pieces[7].name = "Wheel";
    const auto second = answer(plan, io::library(), cache, test::withoutDay());
    REQUIRE(second->pieces.size() == 300);
    for (size_t i = 0; i < 300; ++i) {
        CHECK(second->pieces[i]->made == first->pieces[i]->made);
        CHECK((second->pieces[i] == first->pieces[i]) == (i != 7));  // nor is what is said of it said anew
    }
}

TEST_CASE("a remembered piece says what a fresh one would, whatever changes around it", "[threads][long]") {
    Plan plan = test::demo();
    plan.pieces.resize(4);
    test::fill(plan, plan.pieces[1]);
    Piece spoon = newPiece(plan, "spoon");
    plan.pieces.push_back(spoon);
    InsertStep in;
    in.what = InsertStep::What::Piece;
    in.piece = spoon.id;
    plan.pieces[1].insert(in);
    Cache cache;
    const auto agree = [&](const char* what) {
        INFO(what);
        const Answers kept = *answer(plan, io::library(), cache, test::withoutDay());
        const Answers fresh = *answer(plan, io::library(), *std::make_unique<Cache>(), test::withoutDay());
        CHECK(answersJson(plan, kept).substr(0, answersJson(plan, kept).find("\"seconds\"")) ==
              answersJson(plan, fresh).substr(0, answersJson(plan, fresh).find("\"seconds\"")));
    };
    agree("nothing");
    plan.pieces[1].count += 3;
    agree("more cups for the spoons");
    plan.pieces.back().shape.values["length"] = Measure(0.09);
    agree("another spoon");
    plan.fillings[0].name = "Another cream";
    plan.fillings[0].alcohol = true;
    agree("a filling");
    plan.kitchen.fridge = Measure(9);
    agree("a warmer fridge");
    plan.kitchen.shelves = 2;
    agree("two shelves");
    plan.units = plan.units == UnitSystem::US ? UnitSystem::Metric : UnitSystem::US;
    agree("other units");
    plan.own["dark"].values["yield40"] = 9;
    agree("a chocolate measured");
    plan.own["dark"].values["yield40"] = 1e9;
    agree("a chocolate that cannot be");
    plan.own.clear();
    plan.pieces[0].count = 0;
    agree("a piece that cannot be");
    plan.pieces[0].count = 2;
    std::swap(plan.pieces[0], plan.pieces[2]);
    agree("another order");
}

TEST_CASE("what a stage takes is counted with its meshes and stresses") {
    Plan plan;
    plan.pieces = {newPiece(plan, "balloon"), newPiece(plan, "half-ball")};
    AnswerOptions options;
    options.day = options.ways = false;
    const auto all = test::answersOf(plan, options);
    for (const auto& a : all.pieces) {
        const auto& mesh = a->made->assembly.items[0].shape.surface;
        CHECK(bytesOf(*a->made) >
              mesh.points.size() * sizeof(form::Vec3) + mesh.triangles.size() * sizeof(form::Triangle));
        REQUIRE(a->strength);
        CHECK(bytesOf(*a->strength) > a->strength->mesh.points.size() * a->strength->cases.size() * sizeof(form::Vec3));
    }
}

TEST_CASE("two workers share a store: each gets what it would get alone", "[threads][long]") {
    Plan one = test::demo(), other = test::demo();
    for (Plan* p : {&one, &other}) p->pieces.resize(3);
    other.pieces[0].coats()[0].drain = Measure(17);
    other.pieces[1].name = "Another";
    AnswerOptions options;
    options.day = options.ways = false;
    Cache shared;
    std::optional<Answers> here, there;
    {
        std::jthread worker([&] { there = answer(other, io::library(), shared, options); });
        here = answer(one, io::library(), shared, options);
    }
    const auto alone = [&](const Plan& plan) {
        return *answer(plan, io::library(), *std::make_unique<Cache>(), options);
    };
    const auto same = [&](const Answers& a, const Answers& b) {
        REQUIRE(a.pieces.size() == b.pieces.size());
        for (size_t i = 0; i < a.pieces.size(); ++i) {
            CHECK(a.pieces[i]->made->mass == b.pieces[i]->made->mass);
            REQUIRE(a.pieces[i]->strength);
            for (size_t k = 0; k < a.pieces[i]->strength->cases.size(); ++k)
                CHECK(a.pieces[i]->strength->cases[k].margin == b.pieces[i]->strength->cases[k].margin);
        }
    };
    same(*here, alone(one));
    same(*there, alone(other));
}

TEST_CASE("what throws beside is thrown here, and both are done by then", "[threads]") {
    int here = 0, there = 0;
    sideBySide([&] { here = 1; }, [&] { there = 2; });
    CHECK(here + there == 3);
    CHECK_THROWS_AS(sideBySide([&] { here = 5; }, [] { throw std::bad_alloc(); }), std::bad_alloc);
    CHECK(here == 5);
    CHECK_THROWS_AS(sideBySide([] { throw std::bad_alloc(); }, [&] { there = 7; }), std::bad_alloc);
    CHECK(there == 7);
}

}  // namespace uovo::cache_test
