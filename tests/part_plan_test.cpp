// Parts in a plan: file format, checks, answers, the day.
#include <catch2/catch.hpp>
#include <numbers>
#include <set>

#include "core/form/rock.h"
#include "core/mold/box_pour.h"
#include "support.h"

namespace uovo::part_plan_test {

using std::numbers::pi;
using test::find;

namespace {

/// A plan of one part with some figures changed.
Plan planOf(const std::string& family, std::initializer_list<std::pair<const char*, double>> values = {}) {
    Plan plan;
    plan.deadline = "2026-08-12T21:30";
    plan.pieces = {newPiece(plan, family)};
    auto& part = plan.pieces[0].shape;
    for (const auto& [key, v] : values) part.values[key] = Measure(v);
    if (form::fromFile(part)) {
        plan.meshes["stone"] = test::modelFor(family, 0.05);
        part.mesh = "stone";
    }
    return plan;
}

Answers answersOf(const Plan& plan) { return test::answersOf(plan, test::withoutDay()); }

}  // namespace

TEST_CASE("every family is written and read again the same, with its points, mesh and own figures") {
    for (const auto& f : form::families()) {
        INFO(f.id);
        Plan plan = planOf(f.id);
        auto& part = plan.pieces[0].shape;
        part.values[f.fields[0].key] = *&part.values[f.fields[0].key];
        part.values[f.fields[0].key].typed = "as I said";
        if (f.body == form::Body::Compound) part.own["handle"]["depth"] = Measure(0.011);
        const auto back = readPlan(writePlan(plan));
        INFO((back ? "" : back.error().sentence));
        REQUIRE(back);
        CHECK(*back == plan);
        CHECK(writePlan(*back) == writePlan(plan));
    }
}

TEST_CASE("damaged parts and meshes in a file are refused with their place") {
    const std::string good = writePlan(planOf("mesh"));
    const auto refusal = [&](std::string text, const std::string& from, const std::string& to) {
        const size_t at = text.find(from);
        REQUIRE(at != std::string::npos);
        text.replace(at, from.size(), to);
        const auto r = readPlan(text);
        return r ? std::string() : r.error().sentence;
    };
    CHECK(refusal(good, "\"kind\": \"mesh\"", "\"kind\": \"teapot\"").find("“teapot” is none") != std::string::npos);
    CHECK(refusal(good, "\"points\":[", "\"points\":[1.5,").find("three at a time") != std::string::npos);
    CHECK(refusal(good, "\"triangles\":[", "\"triangles\":[99999, 1, 2,").find("does not exist") != std::string::npos);
    CHECK(refusal(good, "\"triangles\":[", "\"triangles\":[0.5, 1, 2,").find("does not exist") != std::string::npos);
    const std::string profile = writePlan(planOf("profile-mold"));
    CHECK(refusal(profile, "\"points\": [", "\"points\": [7,").find("lists of points") != std::string::npos);
    CHECK(refusal(profile, "\"points\": [", "\"points\": [[[1]],").find("pair of numbers") != std::string::npos);
    // unknown keys of a newer hand survive
    std::string more = profile;
    more.replace(more.find("\"kind\": \"profile-mold\""), 22,
                 "\"kind\": \"profile-mold\", \"glaze\": {\"of\": \"sugar\"}");
    const auto back = readPlan(more);
    REQUIRE(back);
    CHECK(writePlan(*back).find("sugar") != std::string::npos);
}

TEST_CASE("every figure outside its family's limits is found with its place") {
    for (const auto& f : form::families())
        for (const auto& field : f.fields)
            for (const double wrong : {field.high * 1.5 + 1, field.low - 1.0, std::nan("")}) {
                Plan plan = planOf(f.id, {{field.key.c_str(), wrong}});
                if (!field.only.choice.empty()) plan.pieces[0].shape.choices[field.only.choice] = field.only.words[0];
                bool found = false;
                for (const auto& p : problems(plan, io::library()))
                    found |= p.where == "pieces/" + plan.pieces[0].id + "/former/" + field.key;
                INFO(f.id << " " << field.key << " " << wrong);
                CHECK(found);
            }
    Plan plan = planOf("plaque");
    plan.pieces[0].shape.choices["silhouette"] = "kraken";
    CHECK(problems(plan, io::library()).size() == 1);
    plan = planOf("fluted-dome", {{"flutes", 7.5}});
    CHECK(problems(plan, io::library())[0].sentence.find("whole number") != std::string::npos);
}

TEST_CASE("impossible shapes are said at their figure, and the rest of the plan is answered") {
    struct Row {
        const char* family;
        std::initializer_list<std::pair<const char*, double>> values;
        const char *field, *says;
    };
    const Row rows[]{
        {"fluted-dome", {{"fluteDepth", 0.038}}, "fluteDepth", "deeper than the dome"},
        {"tart", {{"topDiameter", 0.05}}, "topDiameter", "narrower at the top"},
        {"case", {{"fluteDepth", 0.008}, {"flutes", 60}}, "fluteDepth", "so deep"},
        {"ball", {{"opening", 0.099}}, "opening", "as wide as the ball"},
        {"egg", {{"length", 0.05}, {"width", 0.09}}, "width", "longer than it is wide"},
        {"pressed", {{"fillLine", 0.2}}, "fillLine", "above the form's rim"},
        {"pressed", {{"gap", 0.028}}, "gap", "no room for the insert"},
        {"bought", {{"water", 0.5e-3}}, "water", "cannot hold"},
        {"bought", {{"water", 3e-6}}, "water", "much more than"},
        {"wrap-cone", {{"height", 0.008}, {"diameter", 0.3}, {"overlap", 0.04}}, "height", "cannot be wrapped"},
        {"lid", {{"plug", 0.0699}}, "plug", "narrower than the lid"},
        {"bar", {{"draft", 0.015}}, "draft", "no top"},
        {"arch", {{"width", 0.06}, {"span", 0.05}, {"rise", 0.03}}, "width", "wider than its bend"},
        {"clip-handle", {{"hole", 0.02}}, "hole", "wider than the handle"},
        {"spoon", {{"stem", 0.033}}, "stem", "as wide as the bowl"},
        {"lace", {{"width", 0.02}, {"lineWidth", 0.02}, {"mound", 0}}, "coverage", "no openings"},
        {"spiral", {{"turns", 8}, {"diameter", 0.03}}, "turns", "touch each other"},
        {"rope", {{"length", 0.012}, {"thickness", 0.02}}, "length", "Too short"},
    };
    for (const auto& row : rows) {
        Plan plan = planOf(row.family, row.values);
        if (std::string(row.family) == "rope") plan.pieces[0].shape.choices["shape"] = "ring";
        plan.pieces.push_back(newPiece(plan, "disc"));
        const auto a = answersOf(plan);
        INFO(row.family << " " << row.field
                        << (a.problems.empty() ? "" : ": " + a.problems[0].where + " " + a.problems[0].sentence));
        REQUIRE(a.problems.size() == 1);
        CHECK(a.problems[0].where == "pieces/" + plan.pieces[0].id + "/former/" + row.field);
        CHECK(a.problems[0].sentence.find(row.says) != std::string::npos);
        CHECK(a.pieces[1]->made);  // the disc has its answers
    }
}

TEST_CASE("a profile that crosses itself, runs left of its axis or down is refused") {
    const auto says = [](form::Loop points) {
        form::Part p = form::usual("profile-mold");
        p.points = {std::move(points)};
        const auto a = form::build(p);
        return a ? std::string() : a.error().sentence;
    };
    CHECK(says({{0, 0}, {0.03, 0}, {0.03, 0.04}}).empty());
    CHECK(says({{0, 0}, {0.03, 0.04}, {0.03, 0}, {0.01, 0.05}}).find("crosses itself") != std::string::npos);
    CHECK(says({{0, 0}, {-0.03, 0.04}}).find("left of the axis") != std::string::npos);
    CHECK(says({{0, 0.05}, {0.03, 0.04}, {0.03, 0}}).find("lowest point up") != std::string::npos);
    CHECK(says({{0, 0}}).find("two points") != std::string::npos);
    CHECK(says({{0, 0}, {0.02, 0.01}, {0, 0.02}, {0.02, 0.03}}).find("touches its axis") != std::string::npos);
}

TEST_CASE("every answer about a part has words, a working and a finite figure, a wall says it is assumed") {
    for (const auto& f : form::families()) {
        INFO(f.id);
        const auto a = answersOf(planOf(f.id));
        REQUIRE(a.problems.empty());
        const auto& p = *a.pieces[0];
        REQUIRE(p.made);
        for (const auto& x : p.answers) {
            INFO(x.id);
            CHECK_FALSE(x.headline.empty());
            CHECK_FALSE(x.sentence.empty());
            CHECK_FALSE(x.working.formula.empty());
            CHECK_FALSE(x.working.trust.empty());
            CHECK(std::isfinite(x.figure.value));
            CHECK(x.figure.low <= x.figure.high + 1e-12);
        }
        const bool assumed = !planOf(f.id).pieces[0].wallFromCoats();
        if (f.body == form::Body::Wall && f.field("wall") && assumed) CHECK(find(p, "wall")->after == "wall, assumed");
        CHECK((find(p, "wall") || find(p, "solid")));
        CHECK(p.made->massLow <= p.made->mass + 1e-12);
        CHECK(p.made->massHigh >= p.made->mass - 1e-12);
        CHECK(p.made->centre.z > p.made->box.low.z);
        CHECK(p.made->centre.z < p.made->box.high.z);
        CHECK((answersJson(planOf(f.id), a).find("\"wallAssumed\": true") != std::string::npos) == assumed);
    }
}

TEST_CASE("grams of simple parts by hand") {
    // common densities of data/: dark 1300 kg/m³ set
    const auto grams = [](const Plan& plan) { return answersOf(plan).pieces[0]->made->mass * 1e3; };
    CHECK(grams(planOf("disc", {{"diameter", 0.127}, {"thickness", 0.003175}})) ==
          Approx(pi * 6.35 * 6.35 * 0.3175 * 1.3).epsilon(1e-6));
    CHECK(grams(planOf("ball", {{"diameter", 0.1}, {"wall", 0.004}})) == Approx(115.879 * 1.3).epsilon(4e-3));
    CHECK(grams(planOf("bar", {{"length", 0.08}, {"width", 0.02}, {"height", 0.008}, {"draft", 0}})) ==
          Approx(12.8 * 1.3).epsilon(1e-6));
    CHECK(grams(planOf("pressed", {{"core", 10e-6}})) ==
          Approx(grams(planOf("pressed")) - 13).epsilon(1e-6));  // a core of 10 ml
}

TEST_CASE("a thicker wall holds less and weighs more") {
    double held = 1, weighs = 0;
    for (const double wall : {0.002, 0.003, 0.005}) {
        const auto a = answersOf(planOf("half-ball", {{"wall", wall}}));
        CHECK(a.pieces[0]->made->capacity < held);
        CHECK(a.pieces[0]->made->mass > weighs);
        held = a.pieces[0]->made->capacity;
        weighs = a.pieces[0]->made->mass;
    }
}

TEST_CASE("a bought mold keeps its water and gives its area as a range") {
    for (const auto& silhouette : form::silhouettes()) {
        Plan plan = planOf("bought");
        plan.pieces[0].shape.choices["silhouette"] = silhouette;
        const auto a = answersOf(plan);
        INFO(silhouette);
        if (!a.problems.empty()) {  // too little room for 80 ml in a narrow silhouette
            CHECK(a.problems[0].where.ends_with("water"));
            continue;
        }
        const auto& s = a.pieces[0]->made->assembly.items[0].shape;
        CHECK(s.volume == Approx(80e-6));
        CHECK(s.areaLow < s.area);
        CHECK(s.areaHigh > s.area);
        CHECK(s.areaHigh < 1.6 * s.areaLow);
        CHECK(form::volume(s.surface) == Approx(80e-6).epsilon(5e-3));
    }
}

TEST_CASE("parts stand together: heights add up, joints name what is there") {
    const auto pedestal = answersOf(planOf("pedestal", {{"stem", 0.035}, {"thickness", 0.005}, {"dome", 0.1}}));
    CHECK(pedestal.pieces[0]->made->box.size().z == Approx(0.035 + 0.005 + 0.05).epsilon(1e-6));
    const auto ball = answersOf(planOf("hung-ball", {{"diameter", 0.16}}));
    CHECK(ball.pieces[0]->made->box.size().z == Approx(0.16).epsilon(1e-3));
    CHECK(ball.pieces[0]->made->items[2] == 0);  // card is not eaten
    const auto tower = answersOf(planOf("tower", {{"sides", 6}, {"tube", 0}}));
    CHECK(tower.pieces[0]->made->assembly.items.size() == 8);  // six walls, ceiling, dome
    CHECK(tower.pieces[0]->made->assembly.joints.size() == 13);
    for (const auto& f : form::families()) {
        if (f.body != form::Body::Compound) continue;
        const auto built = form::build(form::usual(f.id));
        REQUIRE(built);
        INFO(f.id);
        std::set<std::string> keys;
        for (const auto& i : built->items) CHECK(keys.insert(i.key).second);
        CHECK_FALSE(built->joints.empty());
        for (const auto& j : built->joints) {
            CHECK(j.a < built->items.size());
            CHECK(j.b < built->items.size());
            CHECK(j.length > 0);
            CHECK_FALSE(j.words.empty());
        }
        const form::Mesh solid = built->solid();
        CHECK(form::inspect(solid).sound());
        CHECK(std::abs(form::bounds(solid).low.z) < 0.01);
    }
}

TEST_CASE("a part's own figure wins over its compound's, and a wrong one is said with its place") {
    form::Part basket = form::usual("basket");
    const double before = form::build(basket)->chocolate();
    basket.own["handle"]["depth"] = Measure(0.02);
    CHECK(form::build(basket)->chocolate() > before);
    basket.own["handle"]["depth"] = Measure(0.5);
    const auto wrong = form::build(basket);
    REQUIRE_FALSE(wrong);
    CHECK(wrong.error().where == "own/handle/depth");
    CHECK(wrong.error().sentence.starts_with("Handle: "));
}

TEST_CASE("every family has an id of its own, says when to choose it, and usual figures within its limits") {
    std::set<std::string> ids;
    for (const auto& f : form::families()) {
        CHECK(ids.insert(f.id).second);
        CHECK_FALSE(f.when.empty());
        CHECK_FALSE(f.measure.empty());
        for (const auto& field : f.fields) {
            CHECK(field.low <= field.value);
            CHECK(field.value <= field.high);
        }
    }
}

TEST_CASE("silicone: by mass and by volume are told apart, and add up") {
    mold::Silicone s;
    s.byMass = false;
    const auto b = mold::boxPour({0.06, 0.05, 0.03}, 30e-6, 0.009, s);
    CHECK(b.inside.x == Approx(0.078));
    CHECK(b.inside.z == Approx(0.039));
    CHECK(b.volumeA == Approx(b.volumeB));
    CHECK(b.massA > b.massB);
    CHECK(b.volumeA + b.volumeB == Approx(b.silicone));
    CHECK(b.silicone == Approx((0.078 * 0.068 * 0.039 - 30e-6) * 1.1));
    s.byMass = true;
    const auto m = mold::boxPour({0.06, 0.05, 0.03}, 30e-6, 0.009, s);
    CHECK(m.massA == Approx(m.massB));
    CHECK(m.volumeA < m.volumeB);
    CHECK(m.silicone == Approx(b.silicone));
    const auto a = answersOf(planOf("mesh"));
    REQUIRE(find(*a.pieces[0], "mold"));
    CHECK(find(*a.pieces[0], "mold")->sentence.find("By mass") != std::string::npos);
    CHECK(find(*a.pieces[0], "mold")->sentence.find("mold of") != std::string::npos);  // how it comes out
    const auto inHand = answersOf(planOf("original"));  // of a thing in the hand only its size is known
    REQUIRE(find(*inHand.pieces[0], "mold"));
    CHECK(find(*inHand.pieces[0], "mold")->sentence.find("mold of") == std::string::npos);
    CHECK_FALSE(find(*answersOf(planOf("disc")).pieces[0], "mold"));
}

TEST_CASE("a part too large for the shelf is said, and a day of parts is laid out and checked") {
    Plan plan = planOf("disc", {{"diameter", 0.5}});
    CHECK(find(*answersOf(plan).pieces[0], "shelf")->tone == Tone::Impossible);
    for (const char* family : {"half-ball", "sheet", "house", "rope", "wrap-cone"}) {
        INFO(family);
        const auto a = test::answersOf(planOf(family));
        REQUIRE(a.day);
        INFO(a.day->problem);
        REQUIRE(a.day->problem.empty());
        CHECK(schedule::check(a.day->network, a.day->layout).empty());
    }
}

TEST_CASE("only the part that changed is built again") {
    Cache cache;
    Plan plan = test::demo();
    const auto first = *answer(plan, io::library(), cache, test::withoutDay());
    plan.pieces[2].shape.values["height"] = Measure(0.1);
    const auto second = *answer(plan, io::library(), cache, test::withoutDay());
    CHECK(second.pieces[2]->made != first.pieces[2]->made);
    for (const size_t i : {3u, 4u, 5u, 6u}) CHECK(second.pieces[i]->made == first.pieces[i]->made);
    plan.pieces[3].count = 9;
    const auto third = *answer(plan, io::library(), cache, test::withoutDay());
    CHECK(third.pieces[3]->made == second.pieces[3]->made);
    CHECK(third.pieces[3]->make > second.pieces[3]->make);
}

}  // namespace uovo::part_plan_test
