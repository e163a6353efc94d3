// Templates of a plan on its sheets: what is cut, how often, when, and what is poured.
#include "core/stages/sheets.h"

#include <catch2/catch.hpp>
#include <set>

#include "core/cutting/pattern.h"
#include "support.h"

namespace uovo::sheets_test {

using Catch::Matchers::Contains;

namespace {

const material::Library& lib() { return io::library(); }

Plan planWith(const std::string& family, int count) {
    Plan plan;
    Piece piece = newPiece(plan, family);
    piece.count = count;
    piece.name = "Piece";
    plan.pieces.push_back(piece);
    return plan;
}

SheetPlan sheetsOf(const Plan& plan, const SheetWishes& wishes = {}) {
    Cache cache;
    AnswerOptions options;
    options.day = false;
    options.ways = false;
    const auto all = answer(plan, lib(), cache, options);
    REQUIRE(all);
    for (const auto& p : all->problems) INFO(p.sentence);
    return sheetPlan(plan, lib(), *all, wishes);
}

size_t placed(const SheetPlan& s) {
    size_t n = 0;
    for (const auto& g : s.groups)
        for (const auto& sheet : g.layout.sheets) n += sheet.placements.size();
    return n;
}

}  // namespace

TEST_CASE("a house is cut from its templates: gables twice, walls twice, roofs twice, each so often as it is made") {
    Plan three = planWith("house", 3);
    three.pieces[0].survives = 1;
    const auto s = sheetsOf(three);
    REQUIRE(s.templates.size() == 3);
    CHECK(s.templates[0].name == "Front gable");
    size_t all = 0;
    for (const auto& t : s.templates) {
        CHECK(t.items.size() == 2);
        CHECK(t.cut.count == 6);
        all += size_t(t.cut.count);
        CHECK(t.marks.size() == 2);
        for (const auto& marks : t.marks) CHECK(marks.size() >= (t.name.find("roof") == std::string::npos ? 2u : 1u));
    }
    CHECK(placed(s) == all);
    REQUIRE(s.groups.size() == 1);
    CHECK(s.groups[0].thickness == Approx(0.004));
    const auto& g = s.groups[0];
    double parts = 0;
    for (size_t k = 0; k < g.layout.sheets.size(); ++k) {
        CHECK(g.pour[k] > g.parts[k]);        // off-cuts go back
        CHECK(g.pour[k] < 2.2 * g.parts[k]);  // but not most of it
        CHECK(g.layout.sheets[k].cutting <= g.options.window * (1 + 1e-9));
        parts += g.parts[k];
    }
    double mass = 0;
    for (const auto& t : s.templates) mass += t.cut.count * t.mass;
    CHECK(parts == Approx(mass).epsilon(1e-9));
}

TEST_CASE("a joint has the same letter on both its parts, and stands at their edges") {
    const auto s = sheetsOf(planWith("house", 1));
    std::map<std::string, int> letters;
    for (const auto& t : s.templates)
        for (const auto& marks : t.marks)
            for (const auto& m : marks) {
                ++letters[m.letter];
                // on the outline, or within a thickness of it
                double nearest = 1;
                for (const auto& loop : t.cut.loops)
                    for (size_t i = 0; i < loop.size(); ++i) {
                        const auto &a = loop[i], &b = loop[(i + 1) % loop.size()];
                        const double dx = b[0] - a[0], dy = b[1] - a[1];
                        const double u =
                            std::clamp(((m.at[0] - a[0]) * dx + (m.at[1] - a[1]) * dy) / (dx * dx + dy * dy), 0.0, 1.0);
                        nearest = std::min(nearest, std::hypot(m.at[0] - a[0] - u * dx, m.at[1] - a[1] - u * dy));
                    }
                CAPTURE(t.name, m.letter, nearest);
                CHECK(nearest < 3.01 * t.thickness);
            }
    int twice = 0;
    for (const auto& [letter, n] : letters) {
        CAPTURE(letter);
        CHECK(n <= 2);
        twice += n == 2;
    }
    CHECK(twice >= 5);  // four corners and the ridge; roofs lie with their faces on the gables
    CHECK(jointLetter(0) == "A");
    CHECK(jointLetter(25) == "Z");
    CHECK(jointLetter(26) == "AA");
    CHECK(jointLetter(27) == "AB");
}

TEST_CASE("a mitred panel is cut as its larger face, and says which sides are bevelled") {
    Plan plan = planWith("house", 1);
    plan.pieces[0].shape.choices["corners"] = "mitred corners";
    const auto s = sheetsOf(plan);
    for (const auto& t : s.templates) {
        CAPTURE(t.name);
        CHECK(t.bevel.any());
        const auto outer = form::signedArea(t.cut.loops.front());
        // no face of it is larger
        const double low = form::signedArea(form::bevelled(t.cut.loops.front(),
                                                           {std::max(0.0, t.bevel.left), std::max(0.0, t.bevel.right),
                                                            std::max(0.0, t.bevel.top), std::max(0.0, t.bevel.bottom)},
                                                           t.thickness));
        CHECK(low <= outer + 1e-12);
        CHECK(t.mass / 1300 / t.thickness < outer);  // kg over a chocolate's density
    }
}

TEST_CASE("twenty equal parts are twenty cuts: the cutting time caps a sheet before its area does") {
    Plan plan = planWith("sheet", 40);
    plan.pieces[0].shape.values = {{"length", 0.03}, {"width", 0.03}, {"thickness", 0.004}};
    plan.kitchen.sheetWidth = Measure(0.6);
    plan.kitchen.sheetDepth = Measure(0.5);
    plan.kitchen.knife = Measure(0.005);
    const auto slow = sheetsOf(plan);
    REQUIRE(slow.groups.size() == 1);
    const auto& g = slow.groups[0];
    const double all = slow.templates[0].cut.count * 0.12 / 0.005;
    CHECK(g.layout.sheets.size() >= size_t(std::ceil(all / g.options.window)));
    CHECK(g.layout.sheets.size() > 1);
    plan.pieces[0].shape.choices["tool"] = "cutter";
    const auto cutter = sheetsOf(plan);
    CHECK(cutter.groups[0].layout.sheets.size() < g.layout.sheets.size());
    CHECK(sheetsOf(plan, {2}).templates[0].cut.count == cutter.templates[0].cut.count + 2);
}

TEST_CASE("what is larger than the sheet is said, with both sizes") {
    Plan plan = planWith("sheet", 1);
    plan.pieces[0].shape.values = {{"length", 0.4}, {"width", 0.1}, {"thickness", 0.004}};
    const auto s = sheetsOf(plan);
    const auto troubles = sheetTroubles(s, UnitSystem::Metric);
    REQUIRE(troubles.size() == 1);
    CHECK_THAT(troubles[0], Contains("400 mm × 100 mm") && Contains("300 mm × 260 mm"));
    CHECK(placed(s) == 0);
    plan.kitchen.sheetWidth = Measure(0.45);
    CHECK(sheetTroubles(sheetsOf(plan), UnitSystem::Metric).empty());
}

TEST_CASE("stopped early it gives what it has, and nothing to cut is no sheet") {
    std::stop_source stop;
    stop.request_stop();
    Plan plan = planWith("house", 2);
    Cache cache;
    AnswerOptions options;
    options.day = false;
    const auto all = answer(plan, lib(), cache, options);
    REQUIRE(all);
    CHECK_NOTHROW(sheetPlan(plan, lib(), *all, {}, stop.get_token()));
    CHECK(sheetsOf(planWith("half-ball", 2)).empty());
}

TEST_CASE("wraps have their pattern: an outline as long as its arcs, with the line of the overlap") {
    const auto s = sheetsOf(planWith("wrap-frustum", 4));
    REQUIRE(s.acetate.size() == 1);
    CHECK(s.acetate[0].count >= 4);
    const auto& p = s.acetate[0].pattern;
    const auto loop = cutting::patternLoop(p);
    // area of a ring's sector
    CHECK(std::abs(form::signedArea(loop)) ==
          Approx(0.5 * p.angle * (p.outer * p.outer - p.inner * p.inner)).epsilon(1e-4));
    CHECK(form::perimeter(loop) == Approx(p.angle * (p.outer + p.inner) + 2 * (p.outer - p.inner)).epsilon(1e-4));
    CHECK(cutting::overlapLine(p).size() == 2);
    form::FlatPattern strip;
    strip.width = 0.2;
    strip.height = 0.05;
    strip.overlap = 0.01;
    CHECK(form::signedArea(cutting::patternLoop(strip)) == Approx(0.01));
    const auto line = cutting::overlapLine(strip);
    CHECK(line[0][0] == Approx(0.09));
}

TEST_CASE("a narrow place says what hangs on it, and how often it holds that") {
    Plan plan = planWith("sheet", 1);
    auto& shape = plan.pieces[0].shape;
    shape.choices["cut"] = "points";
    // two plates of 40 × 40 mm with a bridge 4 mm wide
    shape.points = {{{0, 0},
                     {0.04, 0},
                     {0.04, 0.018},
                     {0.05, 0.018},
                     {0.05, 0},
                     {0.09, 0},
                     {0.09, 0.04},
                     {0.05, 0.04},
                     {0.05, 0.022},
                     {0.04, 0.022},
                     {0.04, 0.04},
                     {0, 0.04}}};
    shape.values["thickness"] = Measure(0.002);
    const auto told = [&]() -> std::optional<Answer> {
        Cache cache;
        AnswerOptions options;
        options.day = options.ways = false;
        const auto all = answer(plan, lib(), cache, options);
        REQUIRE(all);
        for (const auto& a : all->pieces[0]->answers)
            if (a.id == "narrow") return a;
        return std::nullopt;
    };
    const auto thin = told();
    REQUIRE(thin);
    CHECK(thin->figure.value == Approx(0.004).epsilon(0.06));
    CHECK(thin->tone == Tone::Weak);
    shape.values["thickness"] = Measure(0.012);  // six times as thick: as much heavier, a section 36 times as strong
    const auto thick = told();
    REQUIRE(thick);
    CHECK(thick->tone != Tone::Weak);
    shape.choices["cut"] = "rectangle";
    CHECK_FALSE(told());
}

TEST_CASE("many parts get no spare of the whole, few do") {
    Plan plan = planWith("house", 2);
    plan.pieces[0].survives = 0.8;
    Cache cache;
    AnswerOptions options;
    options.day = options.ways = false;
    auto all = answer(plan, lib(), cache, options);
    REQUIRE(all);
    CHECK(all->pieces[0]->make == 2);
    const auto grams = std::ranges::find(all->pieces[0]->answers, "grams", &Answer::id);
    CHECK_THAT(grams->sentence, Contains("No spare of the whole"));
    Plan few = planWith("basket", 2);
    few.pieces[0].survives = 0.8;
    all = answer(few, lib(), cache, options);
    REQUIRE(all);
    CHECK(all->pieces[0]->make > 2);
}

TEST_CASE("a ribbon goes round where a piece is widest") {
    Plan plan = planWith("disc", 1);
    plan.pieces[0].shape.values["diameter"] = Measure(0.1);
    const auto made = madeOf(plan.pieces[0], plan, lib());
    REQUIRE(made);
    CHECK(ribbonRound(*made) == Approx(0.1 * M_PI).epsilon(2e-3));
    Plan box = planWith("sheet", 1);
    box.pieces[0].shape.values = {{"length", 0.1}, {"width", 0.06}, {"thickness", 0.005}};
    CHECK(ribbonRound(*madeOf(box.pieces[0], box, lib())) == Approx(0.32).epsilon(1e-6));
    CHECK(ribbonRound(*made, "nobody") == 0);
}

}  // namespace uovo::sheets_test
