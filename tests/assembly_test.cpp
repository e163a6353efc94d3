// Assemblies of one's own: what a recipe builds is what it opens into; its parts, joints and steps of their own.
#include <catch2/catch.hpp>

#include <random>
#include <set>

#include "core/document/edits.h"
#include "core/stages/strength.h"
#include "support.h"

namespace uovo::assembly_test {

using Catch::Matchers::Contains;

namespace {

std::vector<std::string> compounds() {
    std::vector<std::string> out;
    for (const auto& f : form::families())
        if (f.body == form::Body::Compound && f.id != form::kAssembly) out.push_back(f.id);
    return out;
}

/// A compound with figures anywhere in its limits, or none where these cannot be built.
std::optional<form::Part> anyOf(const std::string& family, std::mt19937& dice) {
    form::Part p = form::usual(family);
    const form::Family& f = *form::family(family);
    for (const auto& field : f.fields) {
        double v = std::uniform_real_distribution(field.low, field.high)(dice);
        if (field.dimension == Dimension::Count && field.whole) v = std::floor(v);
        p.values[field.key] = Measure(v);
    }
    for (const auto& c : f.choices)
        if (c.options.back() != "model from a file") p.choices[c.key] = c.options[dice() % c.options.size()];
    for (auto& [key, word] : p.choices)
        if (word == "model from a file") word = "dome";
    return form::checkBuild(p, {}) ? std::optional(p) : std::nullopt;
}

void same(const form::Assembly& a, const form::Assembly& b) {
    REQUIRE(a.items.size() == b.items.size());
    REQUIRE(a.joints.size() == b.joints.size());
    CHECK(b.enclosed == Approx(a.enclosed).epsilon(1e-12));
    for (size_t i = 0; i < a.items.size(); ++i) {
        INFO(a.items[i].key);
        CHECK(a.items[i].key == b.items[i].key);
        CHECK(a.items[i].part == b.items[i].part);
        CHECK(a.items[i].edible == b.items[i].edible);
        const form::Box x = form::bounds(form::placed(a.items[i].shape.surface, a.items[i].pose)),
                        y = form::bounds(form::placed(b.items[i].shape.surface, b.items[i].pose));
        CHECK(form::length(x.low - y.low) < 1e-9);
        CHECK(form::length(x.high - y.high) < 1e-9);
    }
    for (size_t k = 0; k < a.joints.size(); ++k) {
        CHECK(a.joints[k].a == b.joints[k].a);
        CHECK(a.joints[k].b == b.joints[k].b);
        CHECK(a.joints[k].length == Approx(b.joints[k].length).epsilon(1e-12));
    }
}

bool alike(double a, double b, double within) {
    return (std::isnan(a) && std::isnan(b)) || a == b || std::abs(a - b) <= within * std::abs(b);
}

Piece openedOf(Piece piece) {
    REQUIRE(open(piece, {}));
    return piece;
}

Plan planOf(Piece piece) {
    Plan plan;
    plan.deadline = "2026-11-24T21:30";
    plan.pieces = {std::move(piece)};
    return plan;
}

}  // namespace

TEST_CASE("a compound opens into the assembly that its recipe builds", "[long]") {
    const std::string family = GENERATE(from_range(compounds()));
    INFO(family);
    std::mt19937 dice(7);
    int tried = 0;
    for (int k = 0; k < 30; ++k) {
        const auto part = k == 0 ? std::optional(form::usual(family)) : anyOf(family, dice);
        if (!part || (k == 0 && form::fromFile(*part))) continue;
        const auto whole = form::build(*part);
        REQUIRE(whole);
        const auto free = form::opened(*part, {});
        REQUIRE(free);
        CHECK(form::isShut(*free) == form::isShut(*part));
        CHECK(form::isHung(*free) == form::isHung(*part));
        CHECK(form::hasHandle(*free) == form::hasHandle(*part));
        const auto again = form::build(*free);
        if (!again) FAIL(again.error().sentence);
        same(*whole, *again);
        ++tried;
    }
    CHECK(tried > 4);
}

TEST_CASE("a turn in degrees gives the place it was read from") {
    std::mt19937 dice(3);
    std::uniform_real_distribution<double> any(-180, 180);
    for (int k = 0; k < 200; ++k) {
        form::PartItem item;
        for (auto& t : item.turn) t = Measure(k < 60 ? 90.0 * (static_cast<int>(dice() % 5) - 2) : any(dice));
        item.at = {Measure(0.1), Measure(-0.2), Measure(0.3)};
        const form::Pose is = form::poseOf(item);
        // a rotation: columns of length one, right-handed
        CHECK(form::length(form::cross(is.x, is.y) - is.z) < 1e-12);
        form::PartItem read;
        form::setPose(read, is);
        const form::Pose back = form::poseOf(read);
        for (const form::Vec3& p : {form::Vec3{1, 0, 0}, form::Vec3{0, 1, 0}, form::Vec3{0.3, -0.2, 0.9}})
            CHECK(form::length(is(p) - back(p)) < 1e-12);
    }
    // by hand: turned a quarter about z, the right goes to the back
    form::PartItem quarter;
    quarter.turn[2] = Measure(90);
    CHECK(form::length(form::poseOf(quarter)({1, 0, 0}) - form::Vec3{0, 1, 0}) == 0);
}

TEST_CASE("an opened compound weighs, sets and holds as the compound does", "[long]") {
    const std::string family = GENERATE(as<std::string>(), "basket", "cup-saucer", "hung-ball", "house");
    INFO(family);
    Plan plan = planOf(newPiece({}, family));
    const bool coated = plan.pieces[0].couldBeCoated() && family != "hung-ball";
    if (coated) plan.pieces[0].coatWith(usualCoats(plan.pieces[0], plan, io::library()));
    plan.pieces.push_back(openedOf(plan.pieces[0]));
    plan.pieces[1].id = "free";
    Cache cache;
    AnswerOptions options;
    options.day = options.ways = false;
    const Answers a = *answer(plan, io::library(), cache, options);
    const PieceAnswers &whole = *a.pieces[0], &free = *a.pieces[1];
    for (const auto& p : free.problems) UNSCOPED_INFO(p.where << ": " << p.sentence);
    REQUIRE(free.made);
    CHECK(free.made->mass == Approx(whole.made->mass).epsilon(1e-9));
    CHECK(free.made->capacity == Approx(whole.made->capacity).epsilon(1e-9));
    CHECK(alike(free.made->setting.release, whole.made->setting.release, 1e-9));
    if (coated) CHECK(free.made->wall->thinnest == Approx(whole.made->wall->thinnest).epsilon(1e-9));
    REQUIRE(whole.strength);
    REQUIRE(free.strength);
    CHECK(free.strength->problem == whole.strength->problem);
    REQUIRE(free.strength->cases.size() == whole.strength->cases.size());
    for (size_t i = 0; i < free.strength->cases.size(); ++i) {
        INFO(whole.strength->cases[i].id << " " << free.strength->cases[i].margin << " for "
                                         << whole.strength->cases[i].margin);
        CHECK(free.strength->cases[i].id == whole.strength->cases[i].id);
        CHECK(alike(free.strength->cases[i].margin, whole.strength->cases[i].margin, 1e-6));
    }
}

TEST_CASE("an assembly is kept in the file with what it does not know") {
    Plan plan = planOf(openedOf(newPiece({}, "cup-saucer")));
    plan.pieces[0].shape.items[1].extra = R"({"mine":1})";
    plan.pieces[0].shape.items[1].partExtra = R"({"yours":[2]})";
    plan.pieces[0].shape.joints[0].extra = R"({"glued":"twice"})";
    plan.pieces[0].shape.items[2].at[0] = *parseMeasure("1/2 in", {});
    const auto back = readPlan(writePlan(plan));
    REQUIRE(back);
    CHECK(*back == plan);
    CHECK(back->pieces[0].shape.items[2].at[0].typed == "1/2 in");
    // a part of an assembly is no assembly
    std::string text = writePlan(plan);
    text.replace(text.find("\"kind\": \"half-ball\""), 19, "\"kind\": \"basket\"");
    const auto nested = readPlan(text);
    REQUIRE_FALSE(nested);
    CHECK_THAT(nested.error().sentence, Contains("not itself put together"));
}

TEST_CASE("an assembly that cannot be is refused beside its figure") {
    Plan plan = planOf(newPiece({}, form::kAssembly));
    form::Part& shape = plan.pieces[0].shape;
    REQUIRE(problems(plan, io::library()).empty());
    const auto told = [&] { return test::sentences(problems(plan, io::library())); };
    SECTION("no parts") {
        shape.items.clear();
        shape.joints.clear();
        CHECK_THAT(told().at(0), Contains("former/items: It has no parts yet"));
    }
    SECTION("two of one key") {
        shape.items[1].key = shape.items[0].key;
        CHECK_THAT(told().at(0), Contains("former/items: Two parts cannot both be"));
    }
    SECTION("a figure beyond its limits") {
        shape.items[1].part.values["diameter"] = Measure(5);
        CHECK_THAT(told().at(0), Contains("former/items/half-ball/diameter: Half ball"));
    }
    SECTION("a joint to nothing") {
        shape.joints[0].b = "nobody";
        CHECK_THAT(told().at(0), Contains("former/joints/0/b"));
    }
    SECTION("a joint without length") {
        shape.joints[0].length = Measure(0);
        CHECK_THAT(told().at(0), Contains("former/joints/0/length"));
    }
    SECTION("far away") {
        shape.items[0].at[1] = Measure(std::nan(""));
        CHECK_THAT(told().at(0), Contains("former/items/disc/at/1"));
    }
    SECTION("a bowl over a balloon that nothing coats") {
        form::addItem(shape, "balloon", {});
        CHECK_THAT(told().at(0), Contains("coats: The wall of"));
    }
    SECTION("a wall thicker than its room") {
        shape.items[1].part.values["wall"] = Measure(0.02);
        shape.items[1].part.values["diameter"] = Measure(0.03);
        shape.items[1].part.values["depth"] = Measure(0.012);
        CHECK_THAT(told().at(0), Contains("former/items/half-ball/wall"));
    }
    SECTION("a step for a part that is not there") {
        CastStep cast;
        cast.item = "lid";
        plan.pieces[0].insert(cast);
        CHECK_THAT(told().at(0), Contains("There is no such part"));
    }
    // what check says, answers says
    Cache cache;
    const auto a = *answer(plan, io::library(), cache, test::withoutDay());
    CHECK_FALSE(a.pieces[0]->problems.empty());
}

TEST_CASE("parts are added on top and taken out with their joints and steps") {
    Plan plan = planOf(newPiece({}, form::kAssembly));
    Piece& p = plan.pieces[0];
    const double before = form::bounds(form::build(p.shape)->solid()).high.z;
    const std::string key = form::addItem(p.shape, "half-ball", {});
    CHECK(key == "half-ball-2");
    CHECK(p.shape.items.back().at[2].value == Approx(before).epsilon(0.02));
    CHECK(p.shape.joints.back().b == key);
    CastStep own;
    own.item = key;
    p.insert(own);
    removePart(p, key);
    CHECK(p == newPiece({}, form::kAssembly));
    CHECK(form::addItem(p.shape, "basket", {}).empty());
}

TEST_CASE("a part of another chocolate is melted, made and told by itself") {
    Plan plan = planOf(newPiece({}, "cup-saucer"));
    Piece& p = plan.pieces[0];
    const auto& lib = io::library();
    Cache cache;
    const Answers before = *answer(plan, lib, cache, test::withoutStrength());
    const Made& made = *before.pieces[0]->made;
    setChocolateOf(p, "handle", "white", made.assembly, plan, lib);
    CHECK(chocolateOf(p, "handle") == "white");
    CHECK(chocolateOf(p, "cup").empty());
    const Answers a = *answer(plan, lib, cache, test::withoutStrength());
    REQUIRE(a.pieces[0]->made);
    const auto inPot = [&](const Answers& all, const char* id) {
        double kg = 0;
        for (const auto& pot : all.pots)
            if (pot.key.chocolate == id)
                for (const auto& use : pot.uses) kg += use.mass;
        return kg;
    };
    const double handle = made.items[2] * before.pieces[0]->make;
    // as much white as the handles weigh, and as much less dark: nothing is made twice
    CHECK(inPot(a, "white") == Approx(a.pieces[0]->made->items[2] * a.pieces[0]->make).epsilon(1e-6));
    CHECK(inPot(before, "dark") - inPot(a, "dark") == Approx(handle).epsilon(1e-6));
    // its own cast in the day, before all is put together
    const auto& tasks = a.day->network.tasks;
    const auto task = [&](const std::string& words) {
        return std::ranges::find_if(tasks, [&](const auto& t) { return t.title.find(words) != std::string::npos; });
    };
    CHECK(std::ranges::any_of(tasks, [](const auto& t) {  // so few grams come from a cup
        return (t.step == "temper" || t.step == "warm") && t.id.starts_with("pot-white");
    }));
    CHECK(task("Cast the handles of") != tasks.end());
    std::set<std::string> ids;
    for (const auto& t : tasks) CHECK(ids.insert(t.id).second);
    // back to the whole
    setChocolateOf(p, "handle", "", a.pieces[0]->made->assembly, plan, lib);
    CHECK(p == planOf(newPiece({}, "cup-saucer")).pieces[0]);
}

TEST_CASE("a wall of another chocolate keeps its coats, with a bath of its own") {
    Plan plan = planOf(newPiece({}, "cup-saucer"));
    Piece& p = plan.pieces[0];
    const auto& lib = io::library();
    p.coatWith(usualCoats(p, plan, lib));
    const Answers before = *answer(plan, lib, *std::make_unique<Cache>(), test::withoutStrength());
    setChocolateOf(p, "saucer", "white", before.pieces[0]->made->assembly, plan, lib);
    REQUIRE(p.coats().size() == 4);
    CHECK(p.coats()[2].temperature.value < p.coats()[0].temperature.value);  // white is worked cooler than dark
    const Answers a = *answer(plan, lib, *std::make_unique<Cache>(), test::withoutStrength());
    const PieceAnswers& now = *a.pieces[0];
    for (const auto& x : now.problems) UNSCOPED_INFO(x.where << ": " << x.sentence);
    REQUIRE(now.made);
    // the cup's wall is what it was; the saucer's is white chocolate's
    CHECK(now.made->items[1] == Approx(before.pieces[0]->made->items[1]).epsilon(1e-9));
    CHECK(now.made->items[0] != Approx(before.pieces[0]->made->items[0]).epsilon(1e-4));
    CHECK(coatedBy(*now.made, p, 0) == std::vector<size_t>{1});
    CHECK(coatedBy(*now.made, p, 3) == std::vector<size_t>{0});
    double white = 0;
    for (const auto& pot : a.pots)
        if (pot.key.chocolate == "white")
            for (const auto& use : pot.uses) white += use.mass;
    CHECK(white == Approx(now.made->items[0] * now.make).epsilon(1e-6));
    // one after the other on each part, the parts beside each other
    const auto& net = a.day->network;
    const auto at = [&](const std::string& step) {
        const auto it = std::ranges::find_if(net.tasks, [&](const auto& t) { return t.step == step; });
        REQUIRE(it != net.tasks.end());
        return a.day->layout.start.at(static_cast<size_t>(it - net.tasks.begin()));
    };
    CHECK(at("coat-1") < at("coat-2"));
    CHECK(at("coat-3") < at("coat-4"));
    CHECK(at("coat-2") < at("unmold"));
    CHECK(at("coat-4") < at("unmold"));
    // the only wall of a basket takes the change itself
    Plan basket = planOf(newPiece({}, "basket"));
    basket.pieces[0].coatWith(usualCoats(basket.pieces[0], basket, lib));
    const Answers b = *answer(basket, lib, *std::make_unique<Cache>(), test::withoutDay());
    const std::string bowl = b.pieces[0]->made->assembly.items[0].key;
    setChocolateOf(basket.pieces[0], bowl, "milk", b.pieces[0]->made->assembly, basket, lib);
    CHECK(basket.pieces[0].coats().size() == 2);
    CHECK(answer(basket, lib, *std::make_unique<Cache>(), test::withoutDay())->pieces[0]->problems.empty());
}

TEST_CASE("a coat that no part takes is told") {
    Plan plan = planOf(newPiece({}, "cup-saucer"));
    Piece& p = plan.pieces[0];
    p.coatWith(usualCoats(p, plan, io::library()));
    for (const char* item : {"cup", "saucer"}) {
        PlannedCoat own = p.coats()[0];
        own.item = item;
        p.coats().push_back(own);
    }
    const Answers a = *answer(plan, io::library(), *std::make_unique<Cache>(), test::withoutDay());
    REQUIRE(a.pieces[0]->problems.size() == 1);
    CHECK_THAT(a.pieces[0]->problems[0].where, Contains("coats/0/item"));
}

TEST_CASE("a closed part of an assembly is turned about, an open one is poured") {
    Plan plan = planOf(newPiece({}, form::kAssembly));
    Piece& p = plan.pieces[0];
    form::addItem(p.shape, "ball", {});
    const auto& lib = io::library();
    p.coatWith(usualCoats(p, plan, lib));
    Piece ball = newPiece(plan, "ball");
    PlannedCoat turn = usualCoats(ball, plan, lib).front();
    p.coats().push_back(turn);
    const Answers a = *answer(plan, lib, *std::make_unique<Cache>(), test::withoutDay());
    for (const auto& x : a.pieces[0]->problems) UNSCOPED_INFO(x.where << ": " << x.sentence);
    REQUIRE(a.pieces[0]->made);
    CHECK(coatedBy(*a.pieces[0]->made, p, 0) == std::vector<size_t>{1});
    CHECK(coatedBy(*a.pieces[0]->made, p, 2) == std::vector<size_t>{2});
    // as much as in the ball by itself
    ball.coatWith({turn});
    const Answers alone = *answer(planOf(ball), lib, *std::make_unique<Cache>(), test::withoutDay());
    CHECK(a.pieces[0]->made->items[2] == Approx(alone.pieces[0]->made->mass).epsilon(0.01));
}

TEST_CASE("a colour taken out leaves no step of it") {
    Plan plan = planOf(newPiece({}, "cup-saucer"));
    material::Colour red;
    red.id = "scarlet";
    red.base = "white";
    plan.colours = {red};
    plan.melting["scarlet"];
    CastStep cast;
    cast.chocolate = "scarlet";
    cast.item = "handle";
    plan.pieces[0].insert(cast);
    DecorateStep drizzle;
    drizzle.chocolate = "scarlet";
    plan.pieces[0].insert(drizzle);
    removeColour(plan, "scarlet");
    CHECK(plan.colours.empty());
    CHECK(plan.melting.empty());
    CHECK(writePlan(plan).find("scarlet") == std::string::npos);
    CHECK(chocolateOf(plan.pieces[0], "handle") == "white");
}

TEST_CASE("a chocolate measured anew is heard by the part that is cast in it") {
    Plan plan = planOf(newPiece({}, "cup-saucer"));
    const auto& lib = io::library();
    Cache cache;
    setChocolateOf(plan.pieces[0], "handle", "white",
                   answer(plan, lib, cache, test::withoutDay())->pieces[0]->made->assembly, plan, lib);
    const auto lets = [&](Cache& store) {
        const auto a = answer(plan, lib, store, test::withoutDay());
        REQUIRE(a->pieces[0]->made);
        return a->pieces[0]->made->casts.back().release;
    };
    const double before = lets(cache);
    plan.own["white"].values["growthRate"] = lib.find("white")->at("growthRate").low;  // sets more slowly
    Cache fresh;
    CHECK(lets(cache) == lets(fresh));
    CHECK(lets(cache) > before);
}

}  // namespace uovo::assembly_test
