// The day laid out: by hand, at random, and of real plans; checked by a program of its own.
#include <algorithm>
#include <catch2/catch.hpp>
#include <map>

#include "core/schedule/exact.h"
#include "core/schedule/solver.h"
#include "core/words/words.h"
#include "support.h"
#include "support_schedule.h"

namespace uovo::schedule::schedule_test {

namespace {

using Catch::Matchers::Contains;

Task task(const char* title, int minutes, int hands = 1) {
    Task t;
    t.id = t.title = title;
    t.minutes = minutes;
    t.hands = hands;
    return t;
}

Network alone(std::vector<Task> tasks, int horizon = 300) {
    Network net;
    net.tasks = std::move(tasks);
    net.people = {{"you", {}, kEverySkill, false}};
    net.horizon = horizon;
    return net;
}

Pot dark() {
    Pot p;
    p.id = p.name = "dark";
    p.windowMinutes = 12;
    p.meltMinutes = 10;
    p.temperMinutes = 15;
    return p;
}

Effort some(int decodes = 600) {
    Effort e;
    e.starts = 20;
    e.decodes = decodes;
    return e;
}

/// Bowls and cups of the demo for one pair of hands.
Plan oneCook() {
    Plan plan = test::demo();
    plan.pieces.resize(2);
    plan.kitchen.helpers.clear();
    return plan;
}

DayPlan dayOf(const Plan& plan) { return *test::answersOf(plan).day; }

int works(const Layout& l, PotWork::Kind kind) {
    return static_cast<int>(
        std::count_if(l.potWork.begin(), l.potWork.end(), [&](const PotWork& w) { return w.kind == kind; }));
}

}  // namespace

TEST_CASE("the demo evening is laid out, and the checker finds nothing wrong") {
    const auto day = dayOf(oneCook());
    REQUIRE(day.problem.empty());
    CHECK(day.found.layout.broken.empty());
    CHECK(check(day.asked, day.found.layout).empty());
    CHECK(check(day.network, day.layout).empty());
    CHECK(day.layout.ends <= 0);
    CHECK(day.layout.begins >= -day.network.horizon);
    CHECK(day.network.tasks.size() > 30);
}

TEST_CASE("the checker sees each kind of fault") {
    const auto day = dayOf(oneCook());
    const auto broken = [&](auto change) {
        Layout l = day.found.layout;
        change(l);
        return check(day.asked, l);
    };
    CHECK_FALSE(broken([](Layout& l) { l.start.pop_back(); }).empty());
    CHECK_FALSE(broken([](Layout& l) { l.start[0] = 10; }).empty());
    CHECK_FALSE(broken([](Layout& l) { l.start[3] = l.start[4]; }).empty());
    CHECK_FALSE(broken([](Layout& l) { l.who[3] = 0; }).empty());
    CHECK_FALSE(broken([](Layout& l) { l.who[3] = 2; }).empty());  // nobody
    CHECK_FALSE(broken([](Layout& l) { l.potWork.clear(); }).empty());
    CHECK_FALSE(broken([](Layout& l) { l.sittings.front().uses.clear(); }).empty());
    CHECK_FALSE(broken([](Layout& l) { l.sittings.front().draw += 1; }).empty());
    CHECK_FALSE(broken([](Layout& l) {
                    std::erase_if(l.potWork, [](const PotWork& w) { return w.kind == PotWork::Kind::Temper; });
                }).empty());
    CHECK_FALSE(broken([](Layout& l) {
                    for (auto& w : l.potWork)
                        if (w.kind == PotWork::Kind::Melt) w.minutes = 1;
                }).empty());
    // any single task moved by an hour breaks something, or is free to move
    int found = 0;
    for (size_t i = 0; i < day.asked.tasks.size(); ++i) found += !broken([&](Layout& l) { l.start[i] += 60; }).empty();
    CHECK(found > static_cast<int>(day.asked.tasks.size()) * 3 / 4);
    Network two = alone({task("a", 10), task("b", 10)});
    two.people.push_back(two.people.front());
    two.resources = {{"shelf", 5, "cm²"}};
    two.holds = {{0, 0, 0, 3}, {0, 1, 1, 3}};
    Layout l;
    l.start = {-20, -15};
    l.who = {1, 2};
    CHECK(check(two, l).size() == 1);  // 6 of 5 cm²
    l.start = {-20, -10};
    CHECK(check(two, l).empty());
    two.closed = {{-12, -8}};
    CHECK_FALSE(check(two, l).empty());
}

TEST_CASE("no rule is broken on random days but what is declared, and none is without a plan", "[long]") {
    int broken = 0;
    for (unsigned seed = 0; seed < 10000; ++seed) {
        const auto net = test::randomNetwork(seed);
        const auto found = layOut(net, some(40));
        REQUIRE(found);
        const auto wrong = check(net, found->layout);
        INFO(seed << ": " << (wrong.empty() ? "" : wrong.front().sentence));
        REQUIRE(wrong.empty());
        broken += !found->layout.broken.empty();
    }
    CHECK(broken < 6000);  // they are hard on purpose: windows, hours and pins at random
}

TEST_CASE("random days without pins are laid out, more effort is never worse, and the same comes out again") {
    test::RandomDay kind;
    kind.pins = false;
    for (unsigned seed = 1; seed < 60; ++seed) {
        const auto net = test::randomNetwork(seed, kind);
        const auto little = layOut(net, some(30)), much = layOut(net, some(300)), again = layOut(net, some(300));
        REQUIRE(much);
        INFO(seed);
        CHECK(check(net, much->layout).empty());
        CHECK_FALSE(little->price.betterThan(much->price));
        CHECK(much->layout.start == again->layout.start);
        CHECK(much->layout.who == again->layout.who);
    }
}

TEST_CASE("what is impossible is said with its reason; all else gets a plan that says what it breaks") {
    Network net = alone({task("dip", 5), task("chill", 5)}, 100);
    net.lags = {{0, 1, 30, 20, "it must be firm"}};
    CHECK_THAT(layOut(net).error().sentence, Contains("contradict"));
    net.lags.clear();
    net.resources = {{"fridge shelf", 4, "cm²"}};
    net.holds = {{0, 0, 1, 5}};
    CHECK_THAT(layOut(net).error().sentence, Contains("fridge shelf"));
    net.holds.clear();
    net.tasks[0].skills = kHot;
    net.people[0].skills = kKnife;
    CHECK_THAT(layOut(net).error().sentence, Contains("Nobody"));
    net.tasks[0].skills = kAnything;
    net.horizon = 9;
    const auto tight = layOut(net, some());
    REQUIRE(tight);
    REQUIRE(tight->layout.broken.size() == 1);
    CHECK(tight->layout.broken[0].kind == Broken::Kind::Horizon);
    CHECK(tight->layout.broken[0].minutes == 1);
    CHECK(check(net, tight->layout).empty());
}

TEST_CASE("the longest path is tight: a horizon one minute shorter is broken by a minute") {
    Network net = alone({task("melt", 15), task("dip", 5), task("peel", 9)}, 69);
    net.lags = {{0, 1, 15, -1, ""}, {1, 2, 45, -1, ""}};
    CHECK(longestPath(net).minutes == 69);
    const auto l = layOut(net, some());
    REQUIRE(l);
    CHECK(l->layout.begins == -69);
    CHECK(l->layout.broken.empty());
    net.horizon = 68;
    CHECK(layOut(net, some())->layout.broken.size() == 1);
}

TEST_CASE("helpers are not counted on before they come") {
    // Four jobs of 30 minutes that end the day; two pairs of hands, the second for the last 40 minutes only.
    Network net = alone({task("Job", 30), task("Job", 30), task("Job", 30), task("Job", 30)});
    net.people.push_back({"helper", {}, kEverySkill, false});
    CHECK(layOut(net, some())->layout.begins == -60);
    net.people[1].there = {{-40, 0}};
    const auto late = layOut(net, some());
    CHECK(late->layout.begins == -90);  // two side by side at the end, two one after the other before that
    CHECK(check(net, late->layout).empty());
    Layout wrong = late->layout;
    wrong.start = {-30, -30, -60, -60};  // two at once while one pair of hands is there
    wrong.who = {1, 2, 1, 2};
    CHECK_FALSE(check(net, wrong).empty());
    net.people[1].there = {{-300, 0}};
    CHECK(layOut(net, some())->layout.begins == -60);
}

TEST_CASE("nobody tempers a pot for a few grams: they come from a cup, or from what is warm") {
    const auto day = *test::answersOf(test::demo()).day;
    REQUIRE(day.problem.empty());
    int small = 0;
    for (const auto& t : day.asked.tasks) {
        if (t.pot < 0 || t.draw <= 0 || t.bath > 0) continue;
        if (t.draw < 0.03) {
            CHECK(t.small);
            ++small;
        }
        if (t.draw > 0.2 && t.step.starts_with("coat")) CHECK_FALSE(t.small);
    }
    CHECK(small > 0);
    for (const auto& p : day.asked.pots)  // the white that colours are divided off has one too
        if (p.tempered && !p.id.ends_with("-cup")) CHECK(p.small >= 0);
    for (const auto& w : day.found.layout.potWork)
        if (w.kind == schedule::PotWork::Kind::Temper) CHECK(w.mass > 0.03);
}

TEST_CASE("one warm plate: no two trim at the same time") {
    Plan plan = test::demo();
    plan.kitchen.helpers = {{}, {}};
    const auto day = *test::answersOf(plan).day;
    REQUIRE(day.problem.empty());
    std::vector<std::pair<int, int>> warm;
    for (size_t i = 0; i < day.network.tasks.size(); ++i)
        if (const auto& c = day.network.tasks[i].cautions; std::find(c.begin(), c.end(), "warm-plate") != c.end())
            warm.emplace_back(day.layout.start[i], day.layout.start[i] + day.network.tasks[i].minutes);
    std::sort(warm.begin(), warm.end());
    CHECK(warm.size() >= 5);
    for (size_t k = 1; k < warm.size(); ++k) CHECK(warm[k].first >= warm[k - 1].second);
}

TEST_CASE("who may not work with what is hot does the rest") {
    Network net = alone({task("Dip", 30), task("Peel", 30), task("Dip again", 30)});
    net.tasks[0].skills = net.tasks[2].skills = kHot;
    net.people.push_back({"child", {}, kKnife, false});
    const auto l = layOut(net, some())->layout;
    CHECK(l.begins == -60);
    CHECK(l.who[1] == 2);
    CHECK(l.who[0] == 1);
}

TEST_CASE("a pot is tempered once for what follows closely, kept by bursts, and again after a long while") {
    Network net = alone({task("Dip", 6), task("Dip again", 6)});
    net.pots = {dark()};
    for (auto& t : net.tasks) t.pot = 0, t.draw = 0.3;
    net.lags = {{0, 1, 36, 40, "it is firm"}};  // 30 min between the two
    auto l = layOut(net, some())->layout;
    CHECK(check(net, l).empty());
    CHECK(l.broken.empty());
    CHECK(works(l, PotWork::Kind::Temper) == 1);
    CHECK(works(l, PotWork::Kind::Burst) >= 2);  // 30 min, usable for 12
    CHECK(l.sittings.at(0).uses.size() == 2);
    CHECK(l.begins == -(42 + 25));
    net.lags[0] = {0, 1, 96, 100, "it is firm"};
    l = layOut(net, some())->layout;
    CHECK(check(net, l).empty());
    CHECK(works(l, PotWork::Kind::Temper) == 2);  // an hour and a half is longer than a pot is kept
    net.pots[0].tempered = false;                 // compound: melted only
    l = layOut(net, some())->layout;
    CHECK(works(l, PotWork::Kind::Temper) == 0);
    CHECK(works(l, PotWork::Kind::Melt) == 2);
}

TEST_CASE("a bowl that is too small is tempered twice") {
    Network net = alone({task("Dip", 6), task("Dip others", 6)});
    net.pots = {dark()};
    for (auto& t : net.tasks) t.pot = 0, t.draw = 1;
    net.pots[0].vessel = 2;
    CHECK(works(layOut(net, some())->layout, PotWork::Kind::Temper) == 1);
    net.pots[0].vessel = 1.9;
    const auto l = layOut(net, some())->layout;
    CHECK(works(l, PotWork::Kind::Temper) == 2);
    CHECK(check(net, l).empty());
}

TEST_CASE("a colour is divided off its base, which is melted once") {
    Network net = alone({task("Fill white", 5), task("Fill pink", 5)});
    net.pots = {dark(), dark()};
    net.pots[0].name = "white";
    net.pots[1].base = 0;
    for (int i = 0; i < 2; ++i) net.tasks[static_cast<size_t>(i)].pot = i, net.tasks[static_cast<size_t>(i)].draw = 0.2;
    const auto l = layOut(net, some())->layout;
    CHECK(check(net, l).empty());
    CHECK(works(l, PotWork::Kind::Temper) == 1);
    CHECK(works(l, PotWork::Kind::Mix) == 1);
    CHECK(std::any_of(l.sittings.begin(), l.sittings.end(), [](const PotSitting& s) { return s.mixes.size() == 1; }));
}

TEST_CASE("three colours are divided off one sitting of their base, whichever is laid first") {
    Network net;
    net.people = {{"you", {}, kEverySkill, false}};
    Pot white;
    white.id = white.name = "white";
    net.pots = {white};
    for (int k = 0; k < 3; ++k) {
        Pot tint;
        tint.id = tint.name = "tint " + std::to_string(k);
        tint.base = 0;
        net.pots.push_back(tint);
        Task cast = test::task("cast-" + std::to_string(k), 4);
        cast.piece = "case-" + std::to_string(k);
        cast.pot = k + 1;
        cast.draw = 0.08;
        cast.skills = kHot;
        net.tasks.push_back(cast);
    }
    const auto found = layOut(net);
    REQUIRE(found);
    CHECK(check(net, found->layout).empty());
    CHECK(works(found->layout, PotWork::Kind::Temper) == 1);
    CHECK(works(found->layout, PotWork::Kind::Mix) == 3);
}

TEST_CASE("a spoonful comes from what is warm; else from a cup of its own, not from a pot tempered for it") {
    Network net = alone({task("Dip", 5), task("Glue", 3)});
    net.pots = {dark(), dark()};
    net.pots[0].small = 1;
    net.pots[1].meltMinutes = 0;
    net.pots[1].temperMinutes = 3;
    for (auto& t : net.tasks) t.pot = 0, t.draw = 0.1;
    net.tasks[1].small = true;
    net.lags = {{0, 1, 8, -1, ""}};
    auto l = layOut(net, some())->layout;
    CHECK(works(l, PotWork::Kind::Temper) == 1);
    CHECK(works(l, PotWork::Kind::Warm) == 0);
    net.lags = {{0, 1, 120, -1, "it has set"}};
    l = layOut(net, some())->layout;
    CHECK(works(l, PotWork::Kind::Temper) == 1);
    CHECK(works(l, PotWork::Kind::Warm) == 1);
    CHECK(check(net, l).empty());
}

TEST_CASE("what is pinned stays, what is forbidden is left free, what may stand elsewhere does when it gains") {
    Network net = alone({task("Fill", 10), task("Box", 10), task("Wash up", 10)});
    net.tasks[0].pin = -100;
    net.tasks[1].forbidden = {{-60, 0}};
    auto l = layOut(net, some())->layout;
    CHECK(l.start[0] == -100);
    CHECK(l.start[1] <= -70);
    CHECK(l.start[2] == -10);
    CHECK(check(net, l).empty());
    // 20 minutes in the fridge, where another thing stands, or 45 on the bench
    net = alone({task("Cast", 5), task("Unmold", 5), task("In", 1), task("Out", 1)});
    net.resources = {{"fridge", 1, "shelf"}};
    net.choices = {{"where", {0, 0}}};
    net.lags = {{0, 1, 25, -1, "", 0, 0}, {0, 1, 50, -1, "", 0, 1}, {2, 3, 80, -1, ""}};
    net.holds = {{0, 0, 1, 1, 0, 0}, {0, 2, 3, 1}};
    l = layOut(net, some())->layout;
    CHECK(check(net, l).empty());
    CHECK(l.modes == std::vector<int>{1});
    net.holds.pop_back();
    net.lags.pop_back();
    CHECK(layOut(net, some())->layout.modes == std::vector<int>{0});
}

TEST_CASE("two pins on one pair of hands: one is kept, the other says how far it had to go") {
    Network net = alone({task("Fill", 10), task("Box", 10)});
    net.tasks[0].pin = net.tasks[1].pin = -50;
    const auto l = layOut(net, some())->layout;
    CHECK(check(net, l).empty());
    REQUIRE(l.broken.size() == 1);
    CHECK(l.broken[0].kind == Broken::Kind::Pin);
}

TEST_CASE("rests are put where nothing minds, and all stays right") {
    std::vector<Task> many;
    for (int i = 0; i < 24; ++i) many.push_back(task("Trim", 15));
    Network net = alone(std::move(many), 700);
    net.people[0].rests = true;
    net.restEvery = 120;
    const auto l = layOut(net, some())->layout;
    CHECK(check(net, l).empty());
    CHECK(l.rests.size() == 2);  // six hours of work in three spells
    CHECK(l.begins == -(24 * 15 + 2 * 15));
}

TEST_CASE("small days are proved the shortest, and one minute less is refused") {
    int proved = 0;
    for (unsigned seed = 0; seed < 30; ++seed) {
        test::RandomDay kind{3, 4, false, false, true, false};
        Network net = test::randomNetwork(seed, kind);
        net.restEvery = 0;
        net.wish = {1, 0, 0, 0, 0, 0};
        const auto found = layOut(net, some(2000));
        REQUIRE(found);
        if (!found->layout.broken.empty()) continue;
        const Proof proof = shortest(net, &found->layout, 60000);
        REQUIRE(proof.possible);
        INFO(seed << ": " << -found->layout.begins << " found, " << proof.length << ", bound " << proof.bound);
        CHECK(proof.length <= -found->layout.begins);
        CHECK(proof.bound <= proof.length);
        if (!proof.start.empty()) {
            Layout better;
            better.start = proof.start;
            better.who = proof.who;
            CHECK(check(net, better).empty());
        }
        proved += proof.proved();
    }
    CHECK(proved >= 15);
}

TEST_CASE("more pieces than the shelf holds go in rounds, taller ones are refused in words") {
    Plan plan = oneCook();
    plan.pieces.pop_back();
    plan.pieces[0].count = 4;
    auto a = test::answersOf(plan);
    int dips = 0;
    for (const auto& t : a.day->network.tasks) dips += t.lane == "coat" && t.coat == 1;
    CHECK(dips == 1);
    plan.kitchen.shelfHeight = 0.1;
    a = test::answersOf(plan);
    bool said = false;
    for (const auto& x : a.pieces[0]->answers)
        said |= x.id == "shelf" && x.tone == Tone::Impossible && x.sentence.find("stands") != std::string::npos;
    CHECK(said);
}

TEST_CASE("a hundred pieces get a day, and it says what it breaks") {
    Plan plan = oneCook();
    plan.pieces[0].count = 100;
    const auto a = test::answersOf(plan);
    REQUIRE(a.day);
    CHECK(a.day->problem.empty());
    CHECK(check(a.day->asked, a.day->found.layout).empty());
    const auto said = brokenWindows(*a.day, plan.units);
    REQUIRE_FALSE(said.empty());
    CHECK_THAT(dayAnswer(plan, *a.day, std::nullopt).sentence, Contains(said.front()));
}

TEST_CASE("the whole demo evening fits two pairs of hands, parts and compounds with it", "[long]") {
    const auto a = test::answersOf(test::demo());
    REQUIRE(a.day);
    REQUIRE(a.day->problem.empty());
    CHECK(a.day->found.layout.broken.empty());
    CHECK(check(a.day->asked, a.day->found.layout).empty());
    CHECK(check(a.day->network, a.day->layout).empty());
    CHECK(works(a.day->found.layout, PotWork::Kind::Temper) <= 6);  // nineteen when each family tempered its own
    std::map<std::string, int> seen;
    for (const auto& t : a.day->network.tasks) ++seen[t.piece];
    for (const auto& p : test::demo().pieces) CHECK(seen[p.id] > 4);
    // a compound is glued after its parts are unmolded, a plain part is not
    const auto has = [&](const std::string& id) {
        return std::any_of(a.day->network.tasks.begin(), a.day->network.tasks.end(),
                           [&](const Task& t) { return t.id == id; });
    };
    CHECK(has("observatory/join"));
    CHECK_FALSE(has("meteorite/1/join"));
    const auto titled = [&](const std::string& words) {
        return std::any_of(a.day->network.tasks.begin(), a.day->network.tasks.end(),
                           [&](const Task& t) { return t.title.find(words) != std::string::npos; });
    };
    CHECK(titled("crater bowls 1–8"));
    CHECK(titled("all 4 meteorites"));
    CHECK(titled("Fill the moon to break"));
    CHECK(titled("Put together the observatory"));
    CHECK(titled("Peel the acetate off all 14 comet cones"));
    CHECK(titled("Temper "));
    CHECK_FALSE(titled("breaks"));
    CHECK_FALSE(titled("1–1"));
}

}  // namespace uovo::schedule::schedule_test
