// The making of a piece: its steps in file, order, figures, day and list.
#include <catch2/catch.hpp>

#include <cmath>
#include <set>

#include "core/schedule/network.h"
#include "core/setting/topping.h"
#include "core/stages/shopping.h"
#include "core/stages/strength.h"
#include "storm/storm.h"
#include "support_coats.h"

namespace uovo::making_test {

namespace {

Plan one(const char* family, const char* id = "p") {
    Plan plan;
    plan.deadline = "2027-03-06T18:00";
    Piece p = newPiece(plan, family);
    p.id = id;
    p.name = "Piece";
    plan.pieces = {p};
    return plan;
}

std::set<std::string> rules(const Plan& plan, size_t piece = 0) {
    std::set<std::string> out;
    for (const auto& b : orderBreaks(plan.pieces[piece], plan, io::library())) out.insert(b.id);
    return out;
}

/// Repairs one after the other until nothing is left that can be repaired.
Making repaired(Plan plan, size_t piece, int& repairs) {
    for (repairs = 0; repairs < 60; ++repairs) {
        const auto all = orderBreaks(plan.pieces[piece], plan, io::library());
        const auto next = std::find_if(all.begin(), all.end(), [](const OrderBreak& b) { return !b.repaired.empty(); });
        if (next == all.end()) break;
        plan.pieces[piece].making = next->repaired;
    }
    return plan.pieces[piece].making;
}

std::vector<size_t> kinds(const Making& making) {
    std::vector<size_t> out;
    for (const auto& s : making) out.push_back(s.index());
    return out;
}

/// Begin and end of a task of a day; both -1 where there is none.
std::pair<int, int> when(const Answers& a, const std::string& id) {
    REQUIRE(a.day);
    for (size_t i = 0; i < a.day->layout.start.size(); ++i)
        if (a.day->network.tasks[i].id == id)
            return {a.day->layout.start[i], a.day->layout.start[i] + a.day->network.tasks[i].minutes};
    return {-1, -1};
}

std::string topping(Plan& plan, const char* name, double grain, double density) {
    Topping t;
    t.id = name;
    t.name = name;
    t.grain = Measure(grain);
    t.density = density;
    plan.toppings.push_back(t);
    return t.id;
}

const Answer* said(const Answers& a, const std::string& id, size_t piece = 0) {
    for (const auto& x : a.pieces[piece]->answers)
        if (x.id == id) return &x;
    return nullptr;
}

}  // namespace

TEST_CASE(
    "a new piece of any family brings a making that keeps every rule of order, and completing it again adds nothing") {
    for (const auto& family : form::families()) {
        INFO(family.id);
        Plan plan = one(family.id.c_str());
        CHECK(rules(plan).empty());
        CHECK_FALSE(plan.pieces[0].making.empty());
        Piece again = plan.pieces[0];
        again.complete();
        CHECK(again.making == plan.pieces[0].making);
        if (!plan.pieces[0].couldBeCoated()) continue;
        plan.pieces[0].coatWith(usualCoats(plan.pieces[0], plan, io::library()));
        CHECK(rules(plan).empty());
        plan.pieces[0].coatWith({});
        if (!again.wallFromCoats()) CHECK(kinds(plan.pieces[0].making) == kinds(again.making));
    }
}

TEST_CASE("each rule of order says its sentence and is put right by one change") {
    const auto breaks = [](const char* family, auto change) {
        Plan plan = one(family);
        change(plan, plan.pieces[0]);
        const auto found = rules(plan);
        int repairs = 0;
        plan.pieces[0].making = repaired(plan, 0, repairs);
        CHECK(repairs >= 1);
        CHECK(rules(plan).empty());
        return found;
    };
    using Plain = std::set<std::string>;
    CHECK(breaks("balloon", [](Plan& plan, Piece& p) {
              const FillStep fill = test::fill(plan, p);
              p.without<FillStep>();
              p.making.insert(p.making.begin() + 2, fill);
          }) == Plain{"release-first"});
    CHECK(breaks("cup", [](Plan&, Piece& p) { p.making.push_back(PlannedCoat(p.coats().front())); }) ==
          Plain{"former-gone", "put-away"});
    CHECK(breaks("hung-ball", [](Plan& plan, Piece& p) {
              const FillStep fill = test::fill(plan, p, "Sweets", 1e-4, false);
              p.without<FillStep>();
              p.making.insert(p.making.end() - 1, fill);
          }) == Plain{"closed"});
    CHECK(breaks("ball", [](Plan& plan, Piece& p) {  // two halves that are cast are closed too
              const FillStep fill = test::fill(plan, p, "Sweets", 1e-4, false);
              p.without<FillStep>();
              p.making.insert(p.making.end() - 1, fill);
          }) == Plain{"closed"});
    CHECK(breaks("half-ball", [](Plan& plan, Piece& p) {
              test::fill(plan, p);
              p.having<LidStep>();
              std::swap(p.making[p.making.size() - 1], p.making[p.making.size() - 2]);
          }) == Plain{"lid-waits"});
    CHECK(breaks("half-ball", [](Plan&, Piece& p) { p.having<LidStep>(); }) == Plain{"lid-alone"});
    CHECK(breaks("bar", [](Plan&, Piece& p) { p.making.push_back(InsertStep{}); }) == Plain{"soft", "put-away"});
    CHECK(breaks("bar", [](Plan&, Piece& p) { p.making.insert(p.making.begin(), PlannedCoat{}); }).contains("solid"));
    CHECK(breaks("cup", [](Plan& plan, Piece& p) {
              TopStep top;
              top.topping = topping(plan, "crumbs", 0.002, 500);
              p.making.insert(p.making.end() - 1, top);
          }) == Plain{"soft"});
    CHECK(breaks("cup", [](Plan&, Piece& p) {
              DecorateStep dark, light;
              dark.chocolate = "dark";
              light.chocolate = "white";
              p.making.insert(p.making.end() - 1, dark);
              p.making.insert(p.making.end() - 1, light);
          }) == Plain{"light-first"});
    CHECK(breaks("half-ball", [](Plan& plan, Piece& p) {
              test::fill(plan, p);
              p.having<StoreStep>();
          }) == Plain{"perishable"});
    CHECK(breaks("cup", [](Plan&, Piece& p) { p.making.push_back(p.making[2]); }) == Plain{"twice", "put-away"});
    CHECK(breaks("half-ball", [](Plan&, Piece& p) { p.insert(JoinStep{}); }) == Plain{"one-part"});
}

TEST_CASE("steps in any order at all: repairs end, and leave no rule that a repair is known for") {
    storm::Random r(7);
    for (int n = 0; n < 150; ++n) {
        Plan plan = storm::randomPlan(r);
        for (size_t i = 0; i < plan.pieces.size(); ++i) {
            std::shuffle(plan.pieces[i].making.begin(), plan.pieces[i].making.end(), r);
            int repairs = 0;
            plan.pieces[i].making = repaired(plan, i, repairs);
            INFO(plan.pieces[i].shape.family << " " << repairs);
            CHECK(repairs < 60);
            for (const auto& b : orderBreaks(plan.pieces[i], plan, io::library())) CHECK(b.repaired.empty());
        }
    }
}

TEST_CASE("every step with every field is written and read back, and what a newer program adds to a step is kept") {
    Plan plan = one("cup");
    Piece& p = plan.pieces[0];
    p.making.clear();
    PlannedCoat coat;
    coat.chocolate = "milk";
    CastStep cast{"white", Measure(2), Measure(31), Measure(90), coat::Place::Freezer, {}, {}};
    InsertStep insert{InsertStep::What::Biscuit, "Wafer", "", 3, Measure(0.004), "wheat", "dome", {}};
    TopStep top{topping(plan, "crumbs", 0.002, 500), Measure(0.006), TopStep::When::Tacky, "dome", {}};
    SetStep set{coat::Place::Freezer, Measure(120), {}};
    FillStep fill{plan.freshFilling(), Measure(5e-5), Measure(0.5), Measure(600), true, {}};
    DecorateStep decorate;
    decorate.way = DecorateStep::Way::Paste;
    decorate.name = "Sugar paste";
    decorate.mass = Measure(0.001);
    decorate.line = Measure(0.7);
    decorate.width = Measure(0.004);
    decorate.thick = Measure(0.002);
    decorate.cover = 0.6;
    decorate.times = 3;
    decorate.item = "dome";
    StoreStep store{StoreStep::Where::Fridge, {}};
    ServeStep serve{ServeStep::How::Drink, "Milk", Measure(2.5e-4), "{\"spoon\":\"long\"}"};
    p.making = {coat,       cast, insert,    top,      set,   ReleaseStep{}, TrimStep{},
                JoinStep{}, fill, LidStep{}, decorate, store, serve};
    REQUIRE(p.making.size() == std::variant_size_v<Step>);
    const auto back = readPlan(writePlan(plan));
    REQUIRE(back);
    CHECK(*back == plan);
    CHECK(writePlan(plan).find("\"spoon\": \"long\"") != std::string::npos);
    std::string wrong = writePlan(plan);
    wrong.replace(wrong.find("\"do\": \"serve\""), 13, "\"do\": \"dance\"");
    const auto refused = readPlan(wrong);
    REQUIRE_FALSE(refused);
    CHECK(refused.error().sentence.find("must be one of: coat, cast") != std::string::npos);
}

TEST_CASE("a plan of version 1 becomes the steps it meant: coats, off its former, trimmed, joined, filled, boxed") {
    const auto read = [](const std::string& piece) {
        const auto plan = readPlan(
            "{\"format\":\"uovo-plan\",\"version\":1,\"deadline\":\"2027-03-06T18:00\",\"pieces\":[" + piece + "]}");
        REQUIRE(plan);
        return *plan;
    };
    const auto steps = [&](const std::string& piece) {
        const Plan plan = read(piece);
        std::string out;
        for (const auto& s : plan.pieces[0].making) out += stepName(s).substr(0, 9) + ";";
        return out;
    };
    CHECK(steps(R"({"id":"a","former":{"kind":"balloon"},"coats":[{},{}]})") ==
          "A coat;A coat;Taking it;Trimming;Putting i;");
    CHECK(steps(R"({"id":"a","former":{"kind":"cup"},"coats":[{}],"filling":{"name":"Cream","cap":0.003}})") ==
          "A coat;Taking it;Trimming;Filling i;A lid;");
    CHECK(
        steps(
            R"({"id":"a","former":{"kind":"hung-ball"},"cast":{"place":"table"},"filling":{"name":"Sweets","perishable":false}})") ==
        "Casting;Taking it;Filling i;Putting i;Putting i;");
    CHECK(steps(R"({"id":"a","former":{"kind":"basket"},"coats":[{}]})") ==
          "A coat;Casting;Taking it;Trimming;Putting i;Putting i;");
    const Plan two = read(
        R"({"id":"a","former":{"kind":"cup"},"coats":[{}],"filling":{"name":"Cream","each":0.00005}},{"id":"b","former":{"kind":"cup"},"coats":[{}],"filling":{"name":"Cream","each":0.00008}},{"id":"c","former":{"kind":"cup"},"coats":[{}],"filling":{"name":"Cream","egg":true}})");
    CHECK(two.fillings.size() == 2);  // the same for two kinds of cups, and another of the same name
    CHECK(two.pieces[0].fill()->filling == two.pieces[1].fill()->filling);
    CHECK(two.pieces[0].fill()->each.value == 0.00005);
    CHECK(two.pieces[2].fill()->filling == "cream-2");
}

TEST_CASE("a filling of two kinds of pieces is made once, for both, and bought once") {
    Plan plan = one("cup", "small");
    Piece large = newPiece(plan, "cup");
    large.id = "large";
    plan.pieces[0].count = 4;
    large.count = 3;
    plan.pieces.push_back(large);
    test::fill(plan, plan.pieces[0], "Mousse", 30e-6);
    test::fill(plan, plan.pieces[1], "Mousse", 40e-6);
    REQUIRE(plan.fillings.size() == 1);
    Ingredient cream;
    cream.name = "Cream";
    cream.by = Ingredient::By::Volume;
    cream.amount = Measure(200e-6);
    plan.fillings[0].recipe = {cream};
    plan.fillings[0].makes = Measure(300e-6);
    const Answers a = test::answersOf(plan);
    const auto recipe = scaled(plan, io::library(), a, plan.fillings[0]);
    CHECK(recipe.volume == Approx(4 * 30e-6 + 3 * 40e-6));
    CHECK(recipe.factor == Approx(0.8));
    CHECK(recipe.into.size() == 2);
    REQUIRE(a.day);
    int made = 0;
    for (const auto& t : a.day->network.tasks) made += t.step == "make-filling";
    CHECK(made == 1);
    const auto list = shopping(plan, io::library(), a, "");
    CHECK(test::bought(list, "Cream") == "160 ml");
}

TEST_CASE("layers fill a cup one on the other: each as high as both are, and together no more than it holds") {
    Plan plan = one("cup");
    test::fill(plan, plan.pieces[0], "Jelly", 20e-6);
    FillStep cream;
    Filling f;
    f.name = "Cream";
    cream.filling = plan.keep(f);
    cream.each = Measure(25e-6);
    plan.pieces[0].insert(cream);
    const Answers a = test::answersOf(plan);
    const auto& p = *a.pieces[0];
    REQUIRE(p.fills.size() == 2);
    CHECK(p.fillEach == Approx(45e-6));
    CHECK(volumeAtLevel(*p.made, p.fills[0].level) == Approx(20e-6).epsilon(1e-6));
    CHECK(volumeAtLevel(*p.made, p.fills[1].level) == Approx(45e-6).epsilon(1e-6));
    CHECK(p.fillLevel == p.fills[1].level);
    CHECK(said(a, "holds")->sentence.find("Jelly and Cream") != std::string::npos);
    CHECK(when(a, "p/fill").second <= when(a, "p/fill-2").first);
    plan.pieces[0].fill()->chill = Measure(1800);  // until the jelly is syrupy
    const Answers chilled = test::answersOf(plan);
    CHECK(when(chilled, "p/fill-2").first - when(chilled, "p/fill").second >= 30);
    CHECK(schedule::check(chilled.day->network, chilled.day->layout).empty());
}

TEST_CASE("two tones take their shares from two pots, and the second waits until the first no longer runs") {
    Plan plan = one("bar");
    auto& p = plan.pieces[0];
    p.count = 6;
    const Answers single = test::answersOf(plan);
    p.cast().share = Measure(3);
    CastStep white;
    white.chocolate = "white";
    white.share = Measure(1);
    p.making.insert(p.making.begin() + 1, white);
    CHECK(rules(plan).empty());
    const Answers a = test::answersOf(plan);
    REQUIRE(a.pots.size() == 2);
    const auto& dark = a.pots[0].key.chocolate == "dark" ? a.pots[0] : a.pots[1];
    const auto& light = a.pots[0].key.chocolate == "dark" ? a.pots[1] : a.pots[0];
    CHECK(dark.pieces == Approx(0.75 * single.pots[0].pieces));
    CHECK(light.pieces == Approx(0.25 * single.pots[0].pieces));
    REQUIRE(a.pieces[0]->made->casts.size() == 2);
    const double lock = a.pieces[0]->made->casts[0].lock;
    REQUIRE(std::isfinite(lock));
    REQUIRE(a.day->problem.empty());
    CHECK(when(a, "p/1/cast-2").first * 60 >= when(a, "p/1/cast").first * 60 + lock - 60);
    CHECK(schedule::check(a.day->network, a.day->layout).empty());
}

TEST_CASE("a stick goes in when it stands, and the cast into the cold only after that") {
    Plan plan = one("bar");
    plan.pieces[0].shape.values["height"] = Measure(0.03);
    plan.pieces[0].shape.values["thickness"] = Measure(0.03);
    plan.pieces[0].insert(InsertStep{});
    const Answers a = test::answersOf(plan);
    const double stands = a.pieces[0]->made->stickStands;
    REQUIRE(std::isfinite(stands));
    size_t at = 0;
    for (size_t i = 0; i < plan.pieces[0].making.size(); ++i)
        if (std::holds_alternative<InsertStep>(plan.pieces[0].making[i])) at = i;
    const std::string id = "p/1/insert-" + std::to_string(at);
    CHECK((when(a, id).first - when(a, "p/1/cast").first) * 60 >= stands - 60);
    CHECK(when(a, "p/1/cast-in").first >= when(a, id).second);
    CHECK(schedule::check(a.day->network, a.day->layout).empty());
}

TEST_CASE("a spoon that stands in a cup is made before the cup is ready for it, wherever it stands in the plan") {
    Plan plan = one("cup", "cup");
    Piece spoon = newPiece(plan, "spoon");
    spoon.id = "spoon";
    spoon.count = plan.pieces[0].count - 1;
    plan.pieces.push_back(spoon);
    test::fill(plan, plan.pieces[0], "Cream", 30e-6);
    InsertStep in;
    in.what = InsertStep::What::Piece;
    in.piece = "spoon";
    plan.pieces[0].making.push_back(in);
    CHECK(rules(plan).empty());
    const Answers a = test::answersOf(plan);
    CHECK(said(a, "stands-in/spoon")->tone == Tone::Weak);  // one spoon too few
    const std::string id = "cup/insert-" + std::to_string(plan.pieces[0].making.size() - 1);
    REQUIRE(when(a, id).first != -1);
    CHECK(when(a, "spoon/wrap").second <= when(a, id).first);
    CHECK(when(a, "cup/fill").second <= when(a, id).first);
    CHECK(schedule::check(a.day->network, a.day->layout).empty());
    // a circle is refused with its sentence, and lays out no day
    InsertStep back = in;
    back.piece = "cup";
    plan.pieces[1].making.insert(plan.pieces[1].making.begin() + 1, back);
    const auto found = problems(plan, io::library());
    CHECK(std::count_if(found.begin(), found.end(), [](const Problem& p) {
              return p.sentence.find("stands in a piece that stands in it") != std::string::npos;
          }) == 2);
}

TEST_CASE("the yield stress that holds a grain, by hand, and small grains hold where large ones slide") {
    // ρ g π d³/6 = τ₀ π d²/2: a crumb of 3 mm at 500 kg/m³ asks for 500 · 9.80665 · 0.003 / 3 = 4.9 Pa
    CHECK(setting::grainHoldsAt(0.003, 500) == Approx(4.903325).epsilon(1e-6));
    CHECK(setting::largestGrain(setting::grainHoldsAt(0.003, 500), 500) == Approx(0.003));
    // one layer of 2 mm crumbs at 500 kg/m³ on 0.01 m²: 0.82 · 0.01 · 500 · 2/3 · 0.002 = 5.47 g
    CHECK(setting::oneLayer(0.01, 0.002, 500) == Approx(0.0054667).epsilon(1e-4));
    Plan plan = one("balloon");
    TopStep top;
    top.topping = topping(plan, "grain", 0.001, 500);
    plan.pieces[0].making.insert(plan.pieces[0].making.begin() + 2, top);
    CHECK(rules(plan).empty());
    double before = -1;
    bool slid = false;
    for (const double mm : {1.0, 3.0, 8.0, 12.0, 16.0, 25.0}) {
        plan.toppings[0].grain = Measure(mm * 1e-3);
        plan.toppings[0].density = 1000;
        const Answers a = test::answersOf(plan, test::withoutDay());
        REQUIRE(a.pieces[0]->toppings.size() == 1);
        const auto& t = a.pieces[0]->toppings[0];
        if (std::isnan(t.from)) {
            slid = true;
            CHECK(said(a, "topping/grain")->tone == Tone::Weak);
            REQUIRE(said(a, "topping/grain")->ways.size() == 1);
            Plan glued = plan;
            glued.pieces[0] = said(a, "topping/grain")->ways[0].changed;
            CHECK(rules(glued).empty());
            CHECK(test::answersOf(glued, test::withoutDay()).pieces[0]->toppings[0].glue > 0);
            continue;
        }
        CHECK_FALSE(slid);  // what is larger never holds again
        CHECK(t.from >= before);
        CHECK(t.from <= t.to);
        before = t.from;
        if (mm == 1.0) CHECK(t.from == 0);
    }
    CHECK(before > 0);  // some had to wait
    CHECK(slid);        // and an almond of 25 mm holds at no time
}

TEST_CASE("a topping is bought, paid, told with its allergens, and strewn in its window") {
    Plan plan = one("balloon");
    plan.pieces[0].count = 5;
    TopStep top;
    top.topping = topping(plan, "hazelnuts", 0.004, 700);
    top.each = Measure(0.006);
    plan.toppings[0].allergens = "nuts";
    plan.toppings[0].price = 20;
    plan.pieces[0].making.insert(plan.pieces[0].making.begin() + 2, top);
    const Answers a = test::answersOf(plan);
    const auto list = shopping(plan, io::library(), a, "");
    CHECK(test::bought(list, plan.toppings[0].name) ==
          format(0.006 * a.pieces[0]->make, Dimension::Mass, UnitSystem::Metric));
    CHECK(std::count(list.allergens.begin(), list.allergens.end(), "nuts") == 1);
    CHECK(list.cost == Approx(20 * 0.006 * a.pieces[0]->make));
    CHECK(said(a, "eaten")->figure.value == Approx(a.pieces[0]->made->mass + 0.006));
    REQUIRE(a.day->problem.empty());
    const auto coat = when(a, "p/1/coat-2"), strewn = when(a, "p/1/top-2"), cold = when(a, "p/1/in-2");
    CHECK(strewn.first >= coat.second);
    CHECK(cold.first >= strewn.second);
    CHECK(schedule::check(a.day->network, a.day->layout).empty());
}

TEST_CASE("decorations come from their own pots, and what does not keep waits in the fridge") {
    Plan plan = one("cup");
    DecorateStep drizzle;
    drizzle.chocolate = "white";
    drizzle.mass = Measure(0.004);
    plan.pieces[0].insert(drizzle);
    test::fill(plan, plan.pieces[0]);
    StoreStep cold;
    cold.where = StoreStep::Where::Fridge;
    plan.pieces[0].insert(cold);
    CHECK(rules(plan).empty());
    const Answers a = test::answersOf(plan);
    const auto white =
        std::find_if(a.pots.begin(), a.pots.end(), [](const auto& p) { return p.key.chocolate == "white"; });
    REQUIRE(white != a.pots.end());
    CHECK(white->pieces == Approx(0.004 * a.pieces[0]->make));
    CHECK(white->late == Approx(0.004 * a.pieces[0]->make));
    REQUIRE(a.day->problem.empty());
    CHECK(when(a, "p/store").first - when(a, "p/fill").second <= io::library().usual("fillingMost") / 60);
    bool held = false;
    for (const auto& h : a.day->network.holds)
        held = held || a.day->network.tasks[static_cast<size_t>(h.from)].step == "store";
    CHECK(held);
}

TEST_CASE("what does not keep goes back into the fridge by itself when the day is long, and is said when it cannot") {
    Plan plan = one("cup");
    test::fill(plan, plan.pieces[0]);
    const int most = static_cast<int>(io::library().usual("fillingMost") / 60);
    const auto kept = [&] {
        const Answers a = test::answersOf(plan);
        REQUIRE(a.day->problem.empty());
        CHECK(schedule::check(a.day->asked, a.day->found.layout).empty());
        const auto filled = when(a, "p/fill"), in = when(a, "p/chill-in"), ready = when(a, "ready");
        return (in == std::pair{-1, -1} ? ready.first : in.first) - filled.second <= most;
    };
    CHECK(kept());
    plan.day.pins = {{"p/fill", 10 * 60}};  // in the morning, for the evening
    CHECK(kept());
    const Answers cold = test::answersOf(plan);
    CHECK(when(cold, "p/chill-in").first >= when(cold, "p/fill").second);
    CHECK(when(cold, "p/chill-out").second <= when(cold, "ready").first);
    plan.day.pins.clear();
    plan.fillings[0].make = Measure(600);
    SetStep dry;  // longer on the table than it keeps
    dry.place = coat::Place::Table;
    dry.stay = Measure(3.0 * 3600);
    plan.pieces[0].making.push_back(dry);
    const Answers long_ = test::answersOf(plan);
    REQUIRE(long_.day->problem.empty());
    CHECK(std::ranges::any_of(long_.day->found.layout.broken, [&](const schedule::Broken& b) {
        return b.kind == schedule::Broken::Kind::Lag &&
               long_.day->asked.lags[static_cast<size_t>(b.of)].why.find("perishable") != std::string::npos;
    }));
}

TEST_CASE("molds are used round after round: no more pieces at once than there are, the next when they are empty") {
    Plan plan = one("half-ball");
    plan.pieces[0].count = 5;
    plan.pieces[0].survives = 1;
    CHECK(plan.pieces[0].usesMolds());
    plan.pieces[0].molds = 2;
    CHECK(problems(plan, io::library()).empty());
    const Answers a = test::answersOf(plan);
    const int make = a.pieces[0]->make, rounds = (make + 1) / 2;
    CHECK(rounds >= 3);
    const auto off = [&](int round) {
        for (const char* step : {"unmold", "uncast"})
            if (const auto t = when(a, "p/" + std::to_string(round) + "/" + step); t.first != -1) return t;
        return std::pair{-1, -1};
    };
    const auto ready = [&](int round) {
        for (const char* step : {"mold", "bars"})
            if (const auto t = when(a, "p/" + std::to_string(round) + "/" + step); t.first != -1) return t;
        return std::pair{-1, -1};
    };
    CHECK(ready(rounds).first != -1);
    CHECK(ready(rounds + 1).first == -1);
    for (int r = 2; r <= rounds; ++r) CHECK(ready(r).first >= off(r - 1).second);
    plan.pieces[0].molds = -1;
    CHECK(problems(plan, io::library()).size() == 1);
}

TEST_CASE("the kitchen is clean before the table is laid: washed up once no pot is needed") {
    const Answers a = test::answersOf(test::demo());
    const auto wash = when(a, "wash-up");
    REQUIRE(wash.first != -1);
    CHECK(wash.second <= when(a, "ready").first);
    for (size_t i = 0; i < a.day->asked.tasks.size(); ++i)
        if (a.day->asked.tasks[i].pot >= 0 && a.day->found.layout.isDone(static_cast<int>(i)))
            CHECK(a.day->found.layout.start[i] + a.day->asked.tasks[i].minutes <= wash.first);
}

TEST_CASE("chocolate in a drink is weighed against its milk") {
    Plan plan = one("ball");
    ServeStep drink;
    drink.how = ServeStep::How::Drink;
    drink.amount = Measure(0.01);
    plan.pieces[0].insert(drink);
    CHECK(said(test::answersOf(plan, test::withoutDay()), "drink")->sentence.find("thin") != std::string::npos);
    std::get<ServeStep>(plan.pieces[0].making.back()).amount =
        Measure(test::answersOf(plan, test::withoutDay()).pieces[0]->made->mass / 150);  // 150 g a litre
    CHECK(said(test::answersOf(plan, test::withoutDay()), "drink")->tone == Tone::Good);
}

TEST_CASE("what is done after a piece is shaped changes neither its wall nor its grams, and is remembered",
          "[threads]") {
    Plan plan = one("balloon");
    Cache cache;
    const auto first = answer(plan, io::library(), cache, test::withoutDay());
    DecorateStep dust;
    dust.way = DecorateStep::Way::Dust;
    plan.pieces[0].insert(dust);
    test::fill(plan, plan.pieces[0]);
    const auto second = answer(plan, io::library(), cache, test::withoutDay());
    CHECK(first->pieces[0]->made == second->pieces[0]->made);  // the very same, not computed again
    plan.pieces[0].coats()[1].drain = Measure(75);
    const auto third = answer(plan, io::library(), cache, test::withoutDay());
    CHECK(first->pieces[0]->made != third->pieces[0]->made);
}

TEST_CASE("every step of every making is in the day once a round or once in all, and nothing else is done to a piece",
          "[long]") {
    storm::Random r(21);
    int days = 0;
    for (int n = 0; n < 120 && days < 25; ++n) {
        Plan plan = storm::randomPlan(r);
        plan.pieces.resize(std::min<size_t>(plan.pieces.size(), 2));
        for (auto& p : plan.pieces) {
            p.count = std::min(p.count, 8);
            int repairs = 0;
            p.making = repaired(plan, static_cast<size_t>(&p - plan.pieces.data()), repairs);
        }
        if (plan.pieces.empty() || !problems(plan, io::library()).empty()) continue;
        const Answers a = test::answersOf(plan);
        if (!a.day) continue;
        INFO(a.day->problem);
        REQUIRE(a.day->problem.empty());
        ++days;
        std::set<std::string> ids;
        for (const auto& t : a.day->network.tasks) CHECK(ids.insert(t.id).second);
        CHECK(schedule::check(a.day->network, a.day->layout).empty());
        for (const auto& p : plan.pieces) {
            INFO(p.shape.family);
            std::string steps;  // in the order they are done
            for (const auto& step : p.making) steps += stepName(step) + ", ";
            INFO(steps);
            const auto count = [&](const std::string& step) {
                return std::count_if(a.day->network.tasks.begin(), a.day->network.tasks.end(),
                                     [&](const auto& t) { return t.piece == p.id && t.step == step; });
            };
            const auto fills = StepsOf<const FillStep>(p.making).size();
            if (fills > 0) CHECK(count("fill") >= 1);
            if (!p.lid()) CHECK(count("lid") == 0);
            if (!firstOf<JoinStep>(p.making)) CHECK(count("join") == 0);
            if (!firstOf<ReleaseStep>(p.making)) CHECK(count("release") + count("unmold") + count("uncast") == 0);
            for (size_t i = 0; i < p.making.size(); ++i)
                if (std::holds_alternative<DecorateStep>(p.making[i]))
                    CHECK(count("decorate-" + std::to_string(i)) >= 1);
        }
    }
    CHECK(days >= 10);
}

TEST_CASE("a shell pressed with an insert holds what the insert kept free, by hand, and its share and lid count") {
    Plan plan = one("pressed");
    auto& p = plan.pieces[0];
    p.shape.values = {{"baseDiameter", 0.05}, {"topDiameter", 0.05}, {"height", 0.06},
                      {"fillLine", 0.055},    {"gap", 0.004},        {"floor", 0.005}};
    test::fill(plan, p, "Cream").share = Measure(0.5);
    p.having<LidStep>().depth = Measure(0.003);
    const Answers a = test::answersOf(plan, test::withoutDay());
    const double hand = M_PI * 0.021 * 0.021 * 0.05;  // a cylinder of 42 mm, 50 mm deep
    CHECK(a.pieces[0]->made->capacity == Approx(hand).epsilon(1e-9));
    CHECK(a.pieces[0]->fillEach == Approx(0.5 * hand).epsilon(1e-9));
    CHECK(a.pieces[0]->capMass > 0.004);
    // chocolate: the cylinder of 50 mm up to the fill line, less the room
    CHECK(a.pieces[0]->made->mass ==
          Approx((M_PI * 0.025 * 0.025 * 0.055 - hand) * a.pieces[0]->coating.densitySolid).epsilon(5e-3));
}

TEST_CASE("a figure of any two halves weighs twice a half, holds twice as much, and is filled before it is closed",
          "[long]") {
    for (const auto& [half, family] :
         {std::pair{"bought mold", "bought"}, {"half egg", "egg-half"}, {"dome", "half-ball"}}) {
        INFO(half);
        Plan plan = one("halves");
        auto& p = plan.pieces[0];
        p.count = 2;
        p.shape.choices["half"] = half;
        Plan single = one(family);
        auto& h = single.pieces[0].shape.values;
        if (half == std::string("dome"))
            p.shape.values["length"] = Measure(0.08), p.shape.values["depth"] = Measure(0.04),
            h["diameter"] = Measure(0.08), h["depth"] = Measure(0.04);
        if (half == std::string("half egg")) h["length"] = Measure(0.09), h["width"] = Measure(0.06);
        if (half == std::string("bought mold"))
            h["length"] = Measure(0.09), h["width"] = Measure(0.06), h["depth"] = Measure(0.03),
            h["water"] = Measure(80e-6);
        const Answers whole = test::answersOf(plan, test::withoutDay()),
                      one_half = test::answersOf(single, test::withoutDay());
        REQUIRE(whole.pieces[0]->made);
        CHECK(whole.pieces[0]->made->mass == Approx(2 * one_half.pieces[0]->made->mass).epsilon(0.01));
        CHECK(whole.pieces[0]->made->capacity == Approx(2 * one_half.pieces[0]->made->capacity).epsilon(0.01));
        REQUIRE(whole.pieces[0]->made->assembly.joints.size() == 1);
        CHECK(whole.pieces[0]->made->assembly.joints[0].length > 0.15);
        test::fill(plan, p, "Sweets", 2e-5, false);
        CHECK(rules(plan).empty());
        AnswerOptions all;
        all.ways = false;
        const Answers day = test::answersOf(plan, all);
        CHECK(when(day, "p/fill").second <= when(day, "p/join").first);
        REQUIRE(day.pieces[0]->strength);
        INFO(day.pieces[0]->strength->problem);
        CHECK(day.pieces[0]->strength->problem.empty());
    }
}

TEST_CASE("steps out of order never break a day: each is done once, its tasks have ids of their own", "[long]") {
    storm::Random r(5);
    int days = 0;
    for (int n = 0; n < 40; ++n) {
        Plan plan = one(n % 4 == 0 ? "balloon" : n % 4 == 1 ? "half-ball" : n % 4 == 2 ? "basket" : "bar");
        auto& p = plan.pieces[0];
        p.count = 4;
        if (p.couldBeCoated() && storm::chance(r, 0.5)) p.coatWith(usualCoats(p, plan, io::library()));
        if (storm::chance(r, 0.6)) test::fill(plan, p, "Cream", 2e-5);
        for (const Step& extra : std::initializer_list<Step>{InsertStep{}, SetStep{}, DecorateStep{}, LidStep{},
                                                             JoinStep{}, ReleaseStep{}, StoreStep{}, TrimStep{}})
            if (storm::chance(r, 0.4)) p.making.push_back(extra);
        std::shuffle(p.making.begin(), p.making.end(), r);
        if (!problems(plan, io::library()).empty()) continue;
        const Answers a = test::answersOf(plan);
        REQUIRE(a.day);
        ++days;
        std::set<std::string> ids;
        for (const auto& t : a.day->network.tasks) {
            INFO(t.id);
            CHECK(ids.insert(t.id).second);
        }
        const auto wrong = schedule::check(a.day->network, a.day->layout);
        INFO((wrong.empty() ? std::string() : wrong.front().sentence));
        if (a.day->problem.empty()) CHECK(wrong.empty());
    }
    CHECK(days > 20);
}

TEST_CASE("nothing is done to chocolate before there is any, and one move puts it right") {
    Plan plan;
    plan.pieces = {newPiece(plan, "half-ball")};
    Piece& p = plan.pieces[0];
    DecorateStep grain;  // what a mold's bare face takes stands first there, this does not
    grain.way = DecorateStep::Way::Grain;
    for (const Step& early : {Step(grain), Step(SetStep{}), Step(TrimStep{})}) {
        Piece wrong = p;
        wrong.making.insert(wrong.making.begin(), early);
        const auto breaks = orderBreaks(wrong, plan, io::library());
        REQUIRE_FALSE(breaks.empty());
        CHECK(breaks[0].id == "nothing-yet");
        CHECK(breaks[0].step == 0);
        wrong.making = breaks[0].repaired;
        for (const auto& b : orderBreaks(wrong, plan, io::library())) CHECK(b.id != "nothing-yet");
    }
}

}  // namespace uovo::making_test
