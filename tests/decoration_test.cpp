// Decorations as figures: grams from lines and films, what a scrape bares, toppings that stay or fall.
#include <catch2/catch.hpp>
#include <cmath>

#include "core/day/day.h"
#include "core/setting/topping.h"
#include "core/stages/sheets.h"
#include "core/stages/shopping.h"
#include "core/words/decor_words.h"
#include "io/data.h"
#include "support.h"

namespace uovo::decoration_test {
namespace {

using Way = DecorateStep::Way;
const material::Library& lib() { return io::library(); }

/// One half ball in milk of one coat, or of the coats that are said.
Plan halfBall(const std::vector<std::string>& coats = {}) {
    Plan plan;
    plan.deadline = "2026-08-04T21:30";
    plan.pieces = {newPiece(plan, "half-ball")};
    Piece& p = plan.pieces[0];
    p.chocolate = "milk";
    std::vector<PlannedCoat> all;
    for (const auto& id : coats) {
        all.push_back(usualCoats(p, plan, lib()).front());
        all.back().chocolate = id;
    }
    p.coatWith(all);
    return plan;
}

Plan decorated(Plan plan, DecorateStep d) {
    plan.pieces[0].insert(std::move(d));
    return plan;
}

DecorateStep usual(Way way) { return usualDecoration(way, lib()); }

const Answer* said(const Answers& a, const std::string& begin) {
    for (const auto& x : a.pieces[0]->answers)
        if (x.id.starts_with(begin)) return &x;
    return nullptr;
}

}  // namespace

TEST_CASE("a drizzle weighs its line, by its length and the square of its width") {
    DecorateStep d = usual(Way::Drizzle);
    d.line = Measure(0.5);
    d.width = Measure(0.004);
    const auto a = test::answersOf(decorated(halfBall(), d));
    const auto& done = a.pieces[0]->decorated.at(0);
    const double density = a.pieces[0]->coating.densitySolid;
    CHECK(done.mass == Approx(lib().decorating("lineSection") * 0.004 * 0.004 * 0.5 * density));
    CHECK(done.low < done.mass);
    CHECK(done.high > done.mass);
    CHECK(done.seconds == Approx(lib().decorating("decorateSet") + 0.5 / lib().decorating("pipeSpeed")));
    // twice as wide is four times as heavy; typed grams say the line instead
    d.width = Measure(0.008);
    CHECK(test::answersOf(decorated(halfBall(), d)).pieces[0]->decorated[0].mass == Approx(4 * done.mass));
    d.width = Measure(0.004);
    d.mass = Measure(2 * done.mass);
    const auto typed = test::answersOf(decorated(halfBall(), d)).pieces[0]->decorated[0];
    CHECK(typed.line == Approx(1.0));
    CHECK(typed.low == typed.mass);
}

TEST_CASE("every way that lays something on weighs, goes into a pot or the list, and takes hands") {
    const Plan bare = halfBall();
    const auto without = test::answersOf(bare);
    for (int w = 0; w < 18; ++w) {
        DecorateStep d = usual(static_cast<Way>(w));
        d.chocolate = "milk";
        const Plan plan = decorated(bare, d);
        const auto a = test::answersOf(plan);
        INFO(w);
        REQUIRE(a.pieces[0]->problems.empty());
        REQUIRE(a.pieces[0]->decorated.size() == 1);
        const Decorated& done = a.pieces[0]->decorated[0];
        CHECK((done.mass > 0) == usesOf(d.way).mass);
        CHECK(done.mass < 0.5 * a.pieces[0]->made->mass);
        CHECK(done.seconds > 0);
        CHECK(done.seconds < 15 * 60);
        if (d.usesChocolate()) {
            double more = 0;
            for (const auto& pot : a.pots) more += pot.pieces;
            for (const auto& pot : without.pots) more -= pot.pieces;
            const double each = d.ofPaste() ? modelingPaste(done.used, "milk", lib()).chocolate : done.used;
            CHECK(more == Approx(each * a.pieces[0]->make).epsilon(1e-6));
        }
        const auto words = decorWords(plan.pieces[0], done.step, plan, lib(), *a.pieces[0]);
        CHECK(!words.title.empty());
        CHECK((!words.how.empty()));
        for (const auto& line : words.how) {
            CHECK(line.ends_with("."));
            CHECK(line.find("  ") == std::string::npos);
        }
        // its hands are those of the day
        bool found = false;
        for (const auto& t : a.day->network.tasks)
            if (t.step.starts_with("decorate")) {
                found = true;
                CHECK(t.minutes == std::max(1, int(std::ceil(done.seconds * plan.pieces[0].count / 60))));
            }
        CHECK(found);
    }
}

TEST_CASE("half of a spray goes beside: the pot holds it, the piece does not") {
    const auto a = test::answersOf(decorated(halfBall(), usual(Way::Spray)));
    const auto& done = a.pieces[0]->decorated[0];
    CHECK(done.used == Approx(done.mass / (1 - lib().decorating("sprayLoss"))));
    DecorateStep more = usual(Way::Spray);
    more.times = 4;
    CHECK(test::answersOf(decorated(halfBall(), more)).pieces[0]->decorated[0].mass == Approx(2 * done.mass));
}

TEST_CASE("a scrape bares what lies under the outer coat: in a mold the second, over a balloon the one before") {
    DecorateStep d = usual(Way::Scrape);
    d.thick = Measure(0.0001);
    const auto a = test::answersOf(decorated(halfBall({"milk", "white", "dark"}), d));
    const auto layers = layersOf(decorated(halfBall({"milk", "white", "dark"}), d).pieces[0], *a.pieces[0]->made);
    REQUIRE(layers.size() == 3);
    CHECK(layers[0].chocolate == "milk");
    CHECK(layers[2].chocolate == "dark");
    double sum = 0;
    for (const auto& l : layers) {
        sum += l.mean;
        CHECK(l.low == Approx(l.mean * (1 - CoatedWall::kLess)));
        CHECK(l.high == Approx(l.mean * (1 + CoatedWall::kMore)));
    }
    CHECK(sum == Approx(a.pieces[0]->made->wall->mean).epsilon(0.02));
    const auto& bares = a.pieces[0]->decorated[0].bares;
    REQUIRE(bares.size() == 3);
    CHECK(bares[1].mean == Approx(layers[0].mean));
    CHECK(bares[2].mean == Approx(layers[0].mean + layers[1].mean));
    const Answer* shallow = said(a, "decoration/");
    REQUIRE(shallow);
    CHECK(shallow->tone == Tone::Weak);
    CHECK(shallow->sentence.starts_with("It bares nothing yet"));
    REQUIRE(!shallow->ways.empty());  // and the way out does
    Plan deeper = decorated(halfBall({"milk", "white", "dark"}), d);
    deeper.pieces[0] = shallow->ways[0].changed;
    const auto after = test::answersOf(deeper);
    CHECK(said(after, "decoration/")->sentence.find("white") < 30);
    // the same coats over a balloon lie the other way round
    Plan bowl = halfBall();
    bowl.pieces = {newPiece(bowl, "balloon")};
    auto coats = usualCoats(bowl.pieces[0], bowl, lib());
    coats.resize(2);
    coats[0].chocolate = "white";
    coats[1].chocolate = "milk";
    bowl.pieces[0].coatWith(coats);
    const auto over = test::answersOf(bowl);
    const auto outside = layersOf(bowl.pieces[0], *over.pieces[0]->made);
    REQUIRE(outside.size() == 2);
    CHECK(outside[0].chocolate == "milk");
    // of one chocolate there is nothing else to see
    const auto plain = test::answersOf(decorated(halfBall({"milk", "milk"}), d));
    CHECK(said(plain, "decoration/")->sentence.starts_with("All coats are of one chocolate"));
    // deeper than the wall
    d.thick = Measure(0.02);
    CHECK(said(test::answersOf(decorated(halfBall({"milk", "white"}), d)), "decoration/")
              ->sentence.find("goes through") != std::string::npos);
}

TEST_CASE("a stencil is lifted while its film still runs: later in a warm room") {
    Plan cool = decorated(halfBall(), usual(Way::Stencil)), warm = cool;
    cool.kitchen.room = Measure(17);
    warm.kitchen.room = Measure(24);
    const double soon = test::answersOf(cool).pieces[0]->decorated[0].lifts,
                 late = test::answersOf(warm).pieces[0]->decorated[0].lifts;
    CHECK(soon > 2);
    CHECK(soon < late);
    CHECK(late < 1200);
}

TEST_CASE("a tilted tone is left until it stays; a thicker one, and one on a warm mold, takes longer") {
    const auto tilted = [](double thick, double room) {
        Plan plan = halfBall({"milk", "milk"});
        plan.kitchen.room = Measure(room);
        DecorateStep d = usual(Way::Tilt);
        d.chocolate = "white";
        d.thick = Measure(thick);
        plan.pieces[0].making.insert(plan.pieces[0].making.begin(), d);
        REQUIRE(orderBreaks(plan.pieces[0], plan, lib()).empty());
        return test::answersOf(plan);
    };
    const auto usually = tilted(0.0015, 20);
    const Decorated& done = usually.pieces[0]->decorated[0];
    CHECK(done.first);
    CHECK(done.lifts > 10);
    CHECK(done.lifts < 1800);
    CHECK(tilted(0.003, 20).pieces[0]->decorated[0].lifts > done.lifts);
    CHECK(tilted(0.0015, 23).pieces[0]->decorated[0].lifts > done.lifts);
    // half of its face, 1.5 mm: ρ · share · area · thickness
    CHECK(done.mass ==
          Approx(0.5 * usually.pieces[0]->made->area * 0.0015 * usually.pieces[0]->coating.densitySolid).epsilon(1e-9));
}

TEST_CASE("strips off a frozen slab bend for a while that grows with the square of their thickness") {
    DecorateStep d = usual(Way::Strips);
    const auto one = test::answersOf(decorated(halfBall(), d)).pieces[0]->decorated[0];
    CHECK(one.bends < one.stiff);
    CHECK(one.line == Approx(0.4));
    d.thick = Measure(2 * d.thick.value);
    const auto two = test::answersOf(decorated(halfBall(), d)).pieces[0]->decorated[0];
    CHECK(two.stiff == Approx(4 * one.stiff));
    CHECK(two.mass == Approx(2 * one.mass));
}

TEST_CASE("bows are of modeling chocolate: a day before, with syrup on the list, twice as much for two") {
    DecorateStep d = usual(Way::Bow);
    const Plan plan = decorated(halfBall(), d);
    const auto a = test::answersOf(plan);
    d.times = 2;
    const auto two = test::answersOf(decorated(halfBall(), d));
    CHECK(two.pieces[0]->decorated[0].mass == Approx(2 * a.pieces[0]->decorated[0].mass));
    REQUIRE(a.day);
    CHECK(std::ranges::any_of(a.day->before,
                              [](const auto& b) { return b.of.find("modeling chocolate") != std::string::npos; }));
    const auto words = decorWords(plan.pieces[0], a.pieces[0]->decorated[0].step, plan, lib(), *a.pieces[0]);
    CHECK(std::ranges::any_of(words.how, [](const auto& w) { return w.find("glucose syrup") != std::string::npos; }));
}

TEST_CASE("what is on the mold's face comes first, and only what a face takes") {
    for (const auto& [way, may] : {std::pair{Way::Splatter, true},
                                   {Way::Paint, true},
                                   {Way::Ribbon, false},
                                   {Way::Scrape, false},
                                   {Way::Petals, false}}) {
        Plan plan = halfBall({"milk", "milk"});
        Piece& p = plan.pieces[0];
        p.making.insert(p.making.begin(), usual(way));
        const auto breaks = orderBreaks(p, plan, lib());
        CHECK(breaks.empty() == may);
        if (!may) continue;
        CHECK(inTheMold(p, 0));
        const auto a = test::answersOf(plan);
        CHECK(a.pieces[0]->decorated[0].first);
        // it is dry before the first coat
        int decor = -1, coat = -1;
        for (size_t t = 0; t < a.day->network.tasks.size(); ++t) {
            if (a.day->network.tasks[t].step == "decorate-0") decor = int(t);
            if (a.day->network.tasks[t].step == "coat-1") coat = int(t);
        }
        REQUIRE(decor >= 0);
        REQUIRE(coat >= 0);
        const auto& start = a.day->layout.start;
        CHECK(start[size_t(coat)] >= start[size_t(decor)] + a.day->network.tasks[size_t(decor)].minutes + 5);
    }
    // over a balloon there is no face to paint
    Plan bowl;
    bowl.pieces = {newPiece(bowl, "balloon")};
    bowl.pieces[0].making.insert(bowl.pieces[0].making.begin(), usual(Way::Paint));
    CHECK(!orderBreaks(bowl.pieces[0], bowl, lib()).empty());
}

TEST_CASE("nuts stay on a coat before it sets, balls of 15 mm fall") {  // common practice, no source
    const auto when = [](double grain, double density) {
        Plan plan = halfBall();
        plan.pieces = {newPiece(plan, "balloon")};
        plan.pieces[0].chocolate = "milk";
        plan.toppings = {
            {.id = "t", .name = "Things", .grain = Measure(grain), .density = density, .allergens = "", .extra = {}}};
        TopStep top;
        top.topping = "t";
        plan.pieces[0].coatWith(usualCoats(plan.pieces[0], plan, lib()));
        plan.pieces[0].insert(top);
        return test::answersOf(plan).pieces[0]->toppings.at(0);
    };
    CHECK(when(0.003, 500).from == 0);    // crumbs, at once
    const auto nuts = when(0.009, 1000);  // halves of nuts, dried berries
    CHECK(std::isfinite(nuts.from));
    CHECK(nuts.from < nuts.to);
    CHECK(when(0.006, 1000).from <= nuts.from);  // the smaller sooner
    CHECK(std::isnan(when(0.016, 1300).from));   // balls of sugar paste or chocolate: glued
    // the same size holds when it is light enough
    CHECK((std::isfinite(when(0.016, 120).from)));  // puffed
}

TEST_CASE("what is strewn on and laid on is carried: the margin goes down with it") {
    Plan plan;
    plan.deadline = "2026-08-04T21:30";
    plan.pieces = {newPiece(plan, "balloon")};
    plan.pieces[0].coatWith(usualCoats(plan.pieces[0], plan, lib()));
    plan.toppings = {
        {.id = "t", .name = "Nuts", .grain = Measure(0.004), .density = 950, .allergens = "", .extra = {}}};
    const auto bare = test::answersOf(plan, {});
    CHECK(putOn(plan.pieces[0], *bare.pieces[0]) == 0);
    TopStep top;
    top.topping = "t";
    top.each = Measure(bare.pieces[0]->made->mass);
    plan.pieces[0].insert(top);
    const auto heavy = test::answersOf(plan, {});
    CHECK(putOn(plan.pieces[0], *heavy.pieces[0]) == Approx(top.each.value));
    CHECK(heavy.pieces[0]->strengthKey != bare.pieces[0]->strengthKey);
    REQUIRE(bare.pieces[0]->strength);
    REQUIRE(heavy.pieces[0]->strength);
    // of the cases that its own weight makes, none bears more, and one bears clearly less
    bool less = false;
    for (size_t k = 0; k < bare.pieces[0]->strength->cases.size(); ++k) {
        const auto &a = bare.pieces[0]->strength->cases[k], &b = heavy.pieces[0]->strength->cases[k];
        CHECK(b.margin <= a.margin * 1.02);
        less = less || b.margin < 0.8 * a.margin;
    }
    CHECK(less);
    top.each = Measure(1.5 * bare.pieces[0]->made->mass);
    std::get<TopStep>(plan.pieces[0].making[heavy.pieces[0]->toppings[0].step]).each = top.each;
    CHECK(said(test::answersOf(plan), "topping/")->sentence.find("more than the piece itself weighs") !=
          std::string::npos);
}

TEST_CASE("modeling chocolate is chocolate and syrup, more syrup the darker, made a day before") {
    double before = 1;
    for (const char* id : {"dark", "milk", "white"}) {
        const auto paste = modelingPaste(1.4, id, lib());
        CHECK(paste.chocolate + paste.syrup == Approx(1.4));
        CHECK(paste.syrup / paste.chocolate < before);
        before = paste.syrup / paste.chocolate;
    }
    Plan plan;
    plan.deadline = "2026-08-04T21:30";
    plan.pieces = {newPiece(plan, "rope")};
    plan.pieces[0].chocolate = "white";
    plan.pieces[0].count = 4;
    const auto a = test::answersOf(plan);
    const auto modeled = modeledOf(plan, a);
    REQUIRE(modeled.size() == 1);
    CHECK(modeled[0].mass == Approx(a.pieces[0]->made->mass * a.pieces[0]->make).epsilon(0.2));
    double pots = 0;
    for (const auto& pot : a.pots) pots += pot.pieces;
    CHECK(pots == Approx(modelingPaste(modeled[0].mass, "white", lib()).chocolate).epsilon(1e-6));
    const auto list = shopping(plan, lib(), a, "2026-08-01");
    CHECK(std::any_of(list.supplies.begin(), list.supplies.end(),
                      [](const auto& s) { return s.name == "Glucose syrup"; }));
    REQUIRE(a.day->before.size() == 1);
    CHECK(a.day->before[0].words.find("glucose syrup") != std::string::npos);
    CHECK(a.day->before[0].latest * 60 <= a.day->layout.begins * 60 + 24 * 3600);
}

TEST_CASE("figures of a decoration that cannot be are told beside their field") {
    const auto where = [](const std::function<void(DecorateStep&)>& change) {
        DecorateStep d = usual(Way::Flood);
        change(d);
        const Plan plan = decorated(halfBall(), d);
        const auto found = problems(plan, lib());
        REQUIRE(found.size() == 1);
        return found[0].where.substr(found[0].where.rfind('/') + 1);
    };
    CHECK(where([](DecorateStep& d) { d.line = Measure(0); }) == "line");
    CHECK(where([](DecorateStep& d) { d.width = Measure(3); }) == "width");
    CHECK(where([](DecorateStep& d) { d.thick = Measure(-1); }) == "thick");
    CHECK(where([](DecorateStep& d) { d.cover = 1.5; }) == "cover");
    CHECK(where([](DecorateStep& d) { d.times = 0; }) == "times");
    // heavier than its piece is told, and computed all the same
    DecorateStep heavy = usual(Way::Paste);
    heavy.mass = Measure(2);
    const auto a = test::answersOf(decorated(halfBall(), heavy));
    CHECK(said(a, "decoration/")->tone == Tone::Weak);
    CHECK(said(a, "decoration/")->sentence.find("more than the piece itself weighs") != std::string::npos);
}

TEST_CASE("a stencil's strip has whole repeats, and goes round a rim when it is laid end to end") {
    for (const double every : {0.011, 0.02, 0.037, 0.09}) {
        DecorateStep d = usual(Way::Stencil);
        d.every = Measure(every);
        d.name = "heart";
        const Plan plan = decorated(halfBall(), d);
        const auto a = test::answersOf(plan, test::withoutDay());
        const auto ring = rimRing(plan.pieces[0], d, *a.pieces[0]->made);
        const auto strip = stencilStrip(plan.pieces[0], d, ring);
        INFO("every " << every);
        REQUIRE(strip);
        REQUIRE(ring);
        CHECK(strip->round);
        const int many = int(strip->openings.size());
        CHECK((strip->laid - (strip->lastOnly > 0)) * many + strip->lastOnly == ring->times());
        double left = 1, right = -1;
        for (const auto& p : strip->outline) left = std::min(left, p[0]), right = std::max(right, p[0]);
        CHECK((right - left) / many == Approx(ring->spacing));
        if (strip->openings.size() > 1) CHECK(right - left <= 0.18);
        std::vector<form::Loop> all{strip->outline};
        all.insert(all.end(), strip->openings.begin(), strip->openings.end());
        CHECK_FALSE(form::crossesItself(all));  // openings keep clear of each other and of the edge
        // a heart stands on its tip: it is widest above its middle
        const auto& heart = strip->openings[0];
        double lowest = 1, widest = 0, at = 0;
        for (const auto& p : heart) lowest = std::min(lowest, p[1]);
        for (const auto& p : heart)
            for (const auto& q : heart)
                if (std::abs(p[1] - q[1]) < 2e-4 && std::abs(p[0] - q[0]) > widest)
                    widest = std::abs(p[0] - q[0]), at = p[1];
        CHECK(at - lowest > 0.5 * strip->size);
    }
}

TEST_CASE("over a face a stencil leaves open what is to be covered, as far as its openings keep apart") {
    for (const double cover : {0.1, 0.25, 0.4}) {
        DecorateStep d = usual(Way::Stencil);
        d.cover = cover;
        d.name = "square";
        const Plan plan = decorated(halfBall(), d);
        const auto a = test::answersOf(plan, test::withoutDay());
        const auto strip = stencilStrip(plan.pieces[0], d, rimRing(plan.pieces[0], d, *a.pieces[0]->made));
        REQUIRE(strip);
        CHECK_FALSE(strip->round);
        CHECK(strip->laid == 1);
        const double open = std::abs(form::signedArea(strip->openings[0]));
        CHECK(open / (strip->spacing * strip->spacing) == Approx(cover).epsilon(0.02));
        const auto sheets = sheetPlan(plan, lib(), a);
        REQUIRE(sheets.stencils.size() == 1);
        CHECK_FALSE(sheets.empty());
    }
    DecorateStep d = usual(Way::Stencil);
    CHECK(stencilFigure(d) == "leaf");
    d.name = "Grandmother's lace";
    CHECK(stencilFigure(d) == "leaf");
    const Plan plan = decorated(halfBall(), usual(Way::Drizzle));
    CHECK_FALSE(stencilStrip(plan.pieces[0], usual(Way::Drizzle), {}));
}

}  // namespace uovo::decoration_test
