// Plans that ship beside the demo: every making over a balloon, and a branching figure that is molded, cast, joined and
// decorated. Each is in order, has a day, and a card; the files are those that are built here.
#include <catch2/catch.hpp>
#include <cstdlib>
#include <fstream>
#include <sstream>

#include "core/day/day.h"
#include "core/form/decimate.h"
#include "core/form/iso_surface.h"
#include "core/stages/cut_apart.h"
#include "core/words/words.h"
#include "io/data.h"
#include "support.h"

namespace uovo::examples_test {
namespace {

using Way = DecorateStep::Way;
const material::Library& lib() { return io::library(); }

Plan empty(const char* name, const char* deadline) {
    Plan plan;
    plan.name = name;
    plan.deadline = deadline;
    plan.kitchen.cook.from = "09:00";
    return plan;
}

Piece& add(Plan& plan, const char* family, const char* name, int count) {
    Piece p = newPiece(plan, family);
    p.name = name;
    p.count = count;
    plan.pieces.push_back(std::move(p));
    return plan.pieces.back();
}

void decorate(Piece& p, Way way, const std::function<void(DecorateStep&)>& change = {}) {
    DecorateStep d = usualDecoration(way, lib());
    if (change) change(d);
    p.insert(std::move(d));
}

std::string topping(Plan& plan, const char* id, const char* name, double grain, double density, const char* allergens) {
    plan.toppings.push_back(
        {.id = id, .name = name, .grain = Measure(grain), .density = density, .allergens = allergens, .extra = {}});
    return id;
}

/// Bowls over balloons for a garden table: dipped, scraped, strewn.
Plan garden() {
    Plan plan = empty("Garden table", "2026-08-08T19:00");
    plan.guests = 5;
    Piece& bowl = add(plan, "balloon", "Sunlit bowl", 5);
    bowl.chocolate = "milk";
    auto coats = usualCoats(bowl, plan, lib());
    coats.push_back(coats.back());  // two of white, and milk outside
    for (auto& c : coats) c.chocolate = "white";
    coats.back().chocolate = "milk";
    bowl.coatWith(coats);
    decorate(bowl, Way::Scrape, [](DecorateStep& d) { d.thick = Measure(0.0022); });
    Piece& nut = add(plan, "balloon", "Nut bowl", 3);
    nut.shape.values["girth"] = Measure(0.3);
    nut.coatWith(usualCoats(nut, plan, lib()));
    TopStep top;
    top.topping = topping(plan, "hazel", "Chopped hazelnuts", 0.004, 950, "hazelnut");
    top.each = Measure(0.006);
    nut.insert(top);
    nut.sits = Sits::Ring;
    return plan;
}

/// Lines, strips and drips over balloons: nothing of it is a closed wall.
Plan open() {
    Plan plan = empty("Lamps of chocolate", "2026-10-31T18:00");
    for (const auto& [pattern, name, count] :
         {std::tuple{"lace", "Lace lamp", 3}, {"strips", "Strip lamp", 2}, {"drips", "Drip crown", 4}}) {
        Piece& p = add(plan, "balloon-lace", name, count);
        p.shape.choices["pattern"] = pattern;
        p.complete();
        decorate(p, Way::Dust, [](DecorateStep& d) { d.name = "Gold powder"; });
    }
    return plan;
}

/// Brushed, poured over, pressed at the rim, with a lid of filling: the other ways onto a balloon.
Plan brushed() {
    Plan plan = empty("Supper by the fire", "2026-12-12T20:00");
    Piece& thick = add(plan, "balloon", "Hearth bowl", 6);
    thick.chocolate = "dark";
    auto coats = usualCoats(thick, plan, lib());
    PlannedCoat brush = coats.back();
    brush.way = coat::Way::Brush;
    coats.push_back(brush);
    PlannedCoat rim = coats.front();
    rim.way = coat::Way::Press;
    coats.push_back(rim);
    thick.coatWith(coats);
    decorate(thick, Way::Edge, [](DecorateStep& d) { d.name = "Brown sugar"; });
    plan.fillWith(thick, plan.freshFilling());
    thick.fill()->share = Measure(0.6);
    Piece& low = add(plan, "balloon", "Ember cup", 6);
    low.shape.values["girth"] = Measure(0.26);
    low.shape.values["dip"] = Measure(0.035);
    low.chocolate = "milk";
    low.coatWith(usualCoats(low, plan, lib()));
    low.sits = Sits::Lumps;
    decorate(low, Way::Drizzle, [](DecorateStep& d) { d.chocolate = "white"; });
    return plan;
}

/// A seed head on a twig, cut apart at its necks, each part with a mold of its own, glued and painted.
Plan seedHeads() {
    Plan plan = empty("Seed heads", "2026-09-19T17:00");
    const form::Mesh mesh = *form::decimated(form::seedHead(0.11, 70), 6000);
    plan.meshes["seed head"] = std::make_shared<const form::Mesh>(mesh);
    Piece& p = add(plan, "mesh", "Seed head", 2);
    p.chocolate = "milk";
    p.shape.mesh = "seed head";
    p.shape.values["scale"] = Measure(1);
    p.shape.choices["mold"] = "silicone mold";
    p.molds = 1;
    p.complete();
    const auto apart = mold::branchesOf(mesh, moldOptions(p.mold, lib()), lib(), 1);
    cutApart(plan, p.id, *apart);
    Piece& whole = plan.pieces.front();
    decorate(whole, Way::Dust, [](DecorateStep& d) { d.cover = 0.5; });
    decorate(whole, Way::Gild, [](DecorateStep& d) {
        d.cover = 0.1;
        d.name = "Pearl luster";
    });
    return plan;
}

struct Example {
    const char* file;
    Plan (*plan)();
};
const Example kExamples[]{{"garden-table", garden}, {"lamps", open}, {"supper", brushed}, {"seed-heads", seedHeads}};

std::string pathOf(const char* file) { return std::string(UOVO_SOURCE "/examples/") + file + ".uovo"; }

std::string textOf(const std::string& path) {
    std::ifstream in(path, std::ios::binary);
    std::stringstream text;
    text << in.rdbuf();
    return text.str();
}

}  // namespace

TEST_CASE("examples are in order, have a day and decorations that are told") {
    for (const auto& e : kExamples) {
        INFO(e.file);
        const auto plan = readPlan(textOf(pathOf(e.file)));
        REQUIRE(plan);
        CHECK(problems(*plan, lib()).empty());
        for (const auto& p : plan->pieces) CHECK(orderBreaks(p, *plan, lib()).empty());
        const auto a = test::answersOf(*plan);
        REQUIRE(a.day);
        CHECK(a.day->problem.empty());
        CHECK(brokenWindows(*a.day, UnitSystem::Metric).empty());
        CHECK(a.day->layout.begins > -14 * 60);
        size_t told = 0;
        for (const auto& p : a.pieces) {
            CHECK(p->problems.empty());
            for (const auto& x : p->answers) {
                told += x.id.starts_with("decoration/") || x.id.starts_with("topping/");
                CHECK(x.tone != Tone::Impossible);
            }
        }
        CHECK(told >= plan->pieces.size());
    }
}

TEST_CASE("the files of the examples are those that are built here", "[long]") {
    for (const auto& e : kExamples) {
        const std::string text = writePlan(e.plan());
        if (std::getenv("UOVO_WRITE_EXAMPLES")) std::ofstream(pathOf(e.file), std::ios::binary) << text;
        INFO(e.file);
        const auto built = readPlan(text), kept = readPlan(textOf(pathOf(e.file)));
        REQUIRE(built);
        REQUIRE(kept);
        CHECK(built->pieces.size() == kept->pieces.size());
        for (size_t k = 0; k < kept->pieces.size(); ++k) CHECK(built->pieces[k].making == kept->pieces[k].making);
    }
}

}  // namespace uovo::examples_test
