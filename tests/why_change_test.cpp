// Changes that remove a cause: each does to the plan what its words say, once, and leaves the rest of it.
#include <catch2/catch.hpp>

#include "core/form/joint.h"
#include "core/why/diagnosis.h"
#include "support.h"

namespace uovo::why_change_test {
namespace {

using namespace why;

const material::Library& lib() { return io::library(); }

/// A bowl of the demo alone, changed.
Plan bowl(const std::function<void(Piece&)>& edit = {}) {
    Plan plan = test::demo();
    std::erase_if(plan.pieces, [](const Piece& p) { return p.id != "crater-bowl"; });
    if (edit) edit(plan.pieces[0]);
    return plan;
}

Plan only(const char* id, const std::function<void(Piece&)>& edit = {}) {
    Plan plan = test::demo();
    std::erase_if(plan.pieces, [&](const Piece& p) { return p.id != id; });
    if (edit) edit(plan.pieces[0]);
    return plan;
}

Scene sceneOf(const Plan& plan) {
    static Cache cache;
    auto bench = Inquiry::of({plan, plan.pieces[0].id, "crack", {}, {}, {}}, lib(), cache);
    REQUIRE(bench);
    return bench->scene();
}

std::optional<Change> tried(const char* id, const Plan& plan) { return change(id, plan, sceneOf(plan)); }

/// The piece with a change; there must be one, and it must be whole.
Piece changed(const char* id, const Plan& plan) {
    INFO(id);
    const auto c = tried(id, plan);
    REQUIRE(c);
    CHECK(!c->title.empty());
    CHECK(problems(c->plan, lib()).empty());
    CHECK_FALSE(c->plan == plan);
    return c->plan.pieces[0];
}

}  // namespace

TEST_CASE("degrees: cooler, warmer, below where the temper is lost, below what a balloon bears") {
    const auto at = [](double T) {
        return bowl([T](Piece& p) {
            for (auto& c : p.coats()) c.temperature = Measure(T);
        });
    };
    CHECK(changed("cooler", at(32)).coats()[0].temperature.value == 31);
    CHECK_FALSE(tried("cooler", at(31)));  // its lowest working temperature
    CHECK(changed("cooler-temper", at(35)).coats()[1].temperature.value == 31.5);
    CHECK_FALSE(tried("cooler-temper", at(31)));
    CHECK(changed("warmer", at(28)).coats()[0].temperature.value == 31.5);
    CHECK_FALSE(tried("warmer", at(32)));
    CHECK(changed("balloon-cooler", at(36)).coats()[0].temperature.value <= 33);
    CHECK_FALSE(tried("balloon-cooler", at(31)));
}

TEST_CASE("coats: one more, another way up, shorter waits and drains, tapped, turned over") {
    const Plan plan = bowl();
    CHECK(changed("coat-more", plan).coats().size() == 3);
    CHECK(changed("inverted", plan).coats()[1].rest == coat::Rest::Inverted);
    CHECK_FALSE(tried("upright", plan));
    CHECK(changed("upright", only("lens-cup")).coats()[0].rest == coat::Rest::Upright);
    CHECK(changed("shorter-wait", bowl([](Piece& p) {
                      for (auto& c : p.coats()) c.delay = Measure(600);
                  }))
              .coats()[0]
              .delay.value == 300);
    CHECK(changed("shorter-drain", plan).coats()[0].drain.value == 15);
    CHECK_FALSE(tried("shorter-drain", bowl([](Piece& p) {
                          for (auto& c : p.coats()) c.drain = Measure(5);
                      })));
    CHECK(changed("tap", only("lens-cup")).coats()[0].tap.value == 20);
    CHECK_FALSE(tried("tap", plan));  // not a balloon
    CHECK(changed("turn", plan).coats().back().motion == coat::Motion::Over);
}

TEST_CASE("the cold: as long as nineteen of twenty need, from the freezer into the fridge, from the table too") {
    const auto stays = [](double s) { return bowl([s](Piece& p) { p.coats().back().stay = Measure(s); }); };
    const double longer = changed("longer-stay", stays(300)).coats().back().stay.value;
    const double shorter = changed("shorter-stay", stays(3600)).coats().back().stay.value;
    CHECK(longer == shorter);
    CHECK(std::fmod(longer, 60) == 0);
    CHECK_FALSE(tried("longer-stay", stays(3600)));
    CHECK_FALSE(tried("shorter-stay", stays(300)));
    const auto in = [](coat::Place place) {
        return bowl([place](Piece& p) {
            for (auto& c : p.coats()) c.place = place;
            p.coats().back().stay = Measure(600);
        });
    };
    const Piece fridge = changed("fridge", in(coat::Place::Freezer));
    for (const auto& c : fridge.coats()) CHECK(c.place == coat::Place::Fridge);
    CHECK(fridge.coats().back().stay.value == longer);
    for (const auto& c : changed("fridge-at-once", in(coat::Place::Table)).coats())
        CHECK(c.place == coat::Place::Fridge);
}

TEST_CASE("handling, chocolate and what is on it") {
    CHECK_FALSE(changed("no-oil", bowl()).handling.oil);
    CHECK(changed("oil", bowl([](Piece& p) { p.handling.oil = false; })).handling.oil);
    CHECK_FALSE(tried("oil", only("lens-cup")));
    CHECK(changed("slowly", bowl([](Piece& p) { p.handling.release = Handling::Release::Burst; })).handling.release ==
          Handling::Release::Slowly);
    CHECK_FALSE(tried("slowly", bowl()));
    CHECK(changed("temper", bowl([](Piece& p) { p.temper = material::Temper::Untempered; })).temper ==
          material::Temper::Tempered);
    CHECK_FALSE(tried("temper", bowl()));
    CHECK(changed("cocoa-butter", bowl([](Piece& p) {
                      p.thinner = material::Thinner::VegetableOil;
                      p.thinnerShare = 0.03;
                  }))
              .thinner == material::Thinner::CocoaButter);
    CHECK_FALSE(tried("cocoa-butter", bowl()));
    CHECK(changed("spare", bowl([](Piece& p) { p.survives = 1; })).survives < 0.9);
    CHECK_FALSE(tried("spare", bowl([](Piece& p) { p.survives = 0.9; })));
    Plan strewn = bowl();
    TopStep top;
    top.topping = strewn.toppings.front().id;
    strewn.pieces[0].insert(top);
    CHECK(firstOf<TopStep>(changed("glue-on", strewn).making)->when == TopStep::When::Glued);
    CHECK(firstOf<TopStep>(changed("tacky", strewn).making)->when == TopStep::When::Tacky);
    CHECK_FALSE(tried("glue-on", bowl()));
    const Piece scored = changed("score", only("specimen-basket"));
    CHECK(scored.shape.choices.at("glue") == form::kScored);
    CHECK(firstOf<StoreStep>(changed("box", bowl([](Piece& p) { p.without<StoreStep>(); })).making));
    CHECK(tried("light-bowl",
                [] {
                    Plan plan = bowl();
                    plan.melting["dark"].vessel = temper::Vessel::Stoneware;
                    return plan;
                }())
              ->plan.melting.at("dark")
              .vessel == temper::Vessel::Light);
    CHECK_FALSE(tried("light-bowl", bowl()));
}

TEST_CASE("a change knows a piece by its id, in another plan too; what is none is none") {
    const Scene scene = sceneOf(bowl());
    Plan other = test::demo();
    for (auto& p : other.pieces)
        if (p.id == "crater-bowl") p.count = 3;
    const auto c = change("coat-more", other, scene);
    REQUIRE(c);
    CHECK(c->plan.piece("crater-bowl")->count == 3);
    CHECK(c->plan.piece("crater-bowl")->coats().size() == 3);
    CHECK(c->plan.pieces.size() == other.pieces.size());
    CHECK_FALSE(change("coat-more", only("lens-cup"), scene));
    CHECK_FALSE(change("wish", other, scene));
    CHECK_FALSE(isChange("wish"));
}

}  // namespace uovo::why_change_test
