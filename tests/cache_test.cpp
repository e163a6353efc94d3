// What is remembered, and how much of it.
#include <catch2/catch.hpp>

#include "core/plan/strength.h"
#include "support.h"

using namespace uovo;

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

TEST_CASE("a cache may be moved and copied, what it remembers goes along") {
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
    for (size_t i = 0; i < 300; ++i) CHECK(second->pieces[i]->made == first->pieces[i]->made);
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
