// A part that broke: what each way takes and bears.
#include "core/stages/mending.h"

#include <catch2/catch.hpp>

#include "core/assembly/arrange.h"
#include "core/form/joint.h"
#include "core/stages/put_together.h"
#include "core/words/mend_words.h"
#include "support.h"

namespace uovo::mending_test {

using Catch::Matchers::Contains;

namespace {

struct Known {
    Answers all;
    const PieceAnswers& piece() const { return *all.pieces[0]; }
    size_t item(const std::string& key) const {
        const auto& items = piece().made->assembly.items;
        return size_t(std::ranges::find(items, key, &form::Item::key) - items.begin());
    }
};
Known known(const std::string& family, form::Figures figures = {}) {
    Plan plan;
    plan.pieces = {newPiece(plan, family)};
    for (const auto& [k, v] : figures) plan.pieces[0].shape.values[k] = v;
    Cache cache;
    AnswerOptions options;
    options.day = options.ways = false;
    auto all = answer(plan, io::library(), cache, options);
    REQUIRE(all);
    REQUIRE(all->problems.empty());
    return {std::move(*all)};
}

const Mend* way(const std::vector<Mend>& all, Mend::How how) {
    const auto it = std::ranges::find(all, how, &Mend::how);
    return it == all.end() ? nullptr : &*it;
}

}  // namespace

TEST_CASE("a break is as long as a part is wide, and as thick as it is") {
    const auto bar = known("bar", {{"length", 0.1}, {"width", 0.02}, {"height", 0.008}, {"draft", 0}});
    const auto b = breakOf(bar.piece().made->assembly.items[0], bar.piece().made->volumes[0]);
    CHECK(b.thickness == Approx(0.008));
    CHECK(b.length == Approx(0.02));
    const auto house = known("house");
    const size_t left = house.item("left");
    const auto w = breakOf(house.piece().made->assembly.items[left], house.piece().made->volumes[left]);
    CHECK(w.thickness == Approx(0.004));
    CHECK(w.length == Approx(0.06).epsilon(0.02));  // as high as the wall
}

TEST_CASE("glue brings back its share, a strip more, pegs only in what is thick, anew all of it") {
    const auto basket = known("basket");
    const auto handle = mends(io::library(), basket.piece(), basket.item("handle"));
    const auto* glue = way(handle, Mend::How::Glue);
    const auto* peg = way(handle, Mend::How::Peg);
    const auto* splint = way(handle, Mend::How::Splint);
    const auto* anew = way(handle, Mend::How::Anew);
    REQUIRE(glue);
    REQUIRE(peg);
    REQUIRE(splint);
    REQUIRE(anew);
    CHECK(glue->share == Approx(form::jointStrength(io::library(), form::kScored).value));
    CHECK(peg->share > glue->share);
    CHECK(peg->share < splint->share);
    CHECK(anew->share == 1);
    CHECK(anew->margin >= splint->margin);
    CHECK(glue->mass < splint->mass);
    CHECK(anew->mass == Approx(basket.piece().made->items[basket.item("handle")]));
    CHECK(glue->hands < splint->hands);
    for (const auto& m : handle) {
        CHECK(m.low <= m.share);
        CHECK(m.share <= m.high);
        CHECK(m.high <= 1);
        CHECK(m.mass > 0);
        CHECK(m.hands > 0);
        CHECK(m.waits > 0);
    }
    const auto wall = mends(io::library(), basket.piece(), basket.item("basket"));
    CHECK(way(wall, Mend::How::Patch));
    CHECK_FALSE(way(wall, Mend::How::Peg));
    CHECK_FALSE(way(wall, Mend::How::Splint));
    CHECK(mends(io::library(), basket.piece(), 99).empty());
}

TEST_CASE("every way is told with its minutes, grams and verdict") {
    const auto house = known("house");
    const auto lines = mendLines(mends(io::library(), house.piece(), house.item("roof-left")), UnitSystem::Metric);
    REQUIRE(lines.size() == 3);  // 4 mm: no pegs
    for (const auto& l : lines) {
        CHECK_THAT(l.figures, Contains("of hands, bears after") && Contains(" g"));
        CHECK_FALSE(l.verdict.empty());
    }
    CHECK_THAT(lines[0].verdict, Contains("% of its strength"));
    CHECK_THAT(lines.back().verdict, Contains("As strong as it was"));
    // card in the crown is not chocolate: nothing to mend
    const auto hung = known("hung-ball");
    CHECK(mends(io::library(), hung.piece(), hung.item("card")).empty());
}

TEST_CASE("a cover says the room it leaves, exact for a cylinder under a half ball") {
    form::Part whole;
    whole.family = form::kAssembly;
    const auto item = [&](const char* key, const char* family, form::Figures f, double z) {
        form::PartItem i;
        i.key = i.name = key;
        i.part.family = family;
        for (const auto& [k, v] : f) i.part.values[k] = v;
        i.at[2] = Measure(z);
        whole.items.push_back(i);
    };
    item("Plate", "disc", {{"diameter", 0.16}, {"thickness", 0.008}}, 0);
    item("Pillar", "leg", {{"length", 0.03}, {"bottom", 0.05}, {"top", 0.05}}, 0.008);
    item("Cover", "half-ball", {{"diameter", 0.14}, {"depth", 0.07}, {"wall", 0.003}}, 0.078);
    whole.items[2].turn[0] = Measure(180);
    REQUIRE(assembly::glueWhatTouches(whole, {"Plate", "Pillar", "Cover"}, {}));
    Plan plan;
    plan.pieces = {newPiece(plan, form::kAssembly)};
    plan.pieces[0].shape = whole;
    Cache cache;
    AnswerOptions options;
    options.day = options.ways = false;
    const auto all = answer(plan, io::library(), cache, options);
    REQUIRE(all);
    REQUIRE(all->problems.empty());
    REQUIRE(all->pieces[0]->together);
    const auto& together = *all->pieces[0]->together;
    REQUIRE(together.covers.size() == 1);
    const double R = 0.067, r = 0.025, top = 0.03;
    // up: until its upper edge meets the ball; aside: until that edge does, sqrt(R² - z²) - r
    CHECK(together.covers[0].room.above == Approx(std::sqrt(R * R - r * r) - top).margin(8e-4));
    CHECK(together.covers[0].room.beside == Approx(std::sqrt(R * R - top * top) - r).margin(2e-3));
    const auto cover = std::ranges::find(all->pieces[0]->answers, "cover", &Answer::id);
    REQUIRE(cover != all->pieces[0]->answers.end());
    CHECK_THAT(cover->sentence, Contains("the pillar, which goes to its place first"));
}

}  // namespace uovo::mending_test
