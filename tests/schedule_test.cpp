#include <algorithm>
#include <catch2/catch.hpp>
#include <map>
#include <random>

#include "core/schedule/solver.h"
#include "support.h"

namespace uovo::schedule::schedule_test {

namespace {

Task task(const char* title, int minutes, int hands = 1) {
    Task t;
    t.id = t.title = title;
    t.minutes = minutes;
    t.hands = hands;
    return t;
}

/// Bowls and cups of the demo for one pair of hands.
Plan oneCook() {
    Plan plan = test::demo();
    plan.pieces.resize(2);
    plan.kitchen.hands = 1;
    return plan;
}

DayPlan demoDay() { return *test::answersOf(oneCook()).day; }

}  // namespace

TEST_CASE("the demo evening is laid out, and the checker finds nothing wrong") {
    const auto day = demoDay();
    REQUIRE(day.problem.empty());
    CHECK(check(day.network, day.layout).empty());
    CHECK(day.layout.ends <= 0);
    CHECK(day.layout.begins >= -day.network.horizon);
    CHECK(day.network.tasks.size() > 30);
}

TEST_CASE("the checker sees each kind of fault") {
    const auto day = demoDay();
    const auto broken = [&](auto change) {
        Layout l = day.layout;
        change(l);
        return check(day.network, l);
    };
    CHECK_FALSE(broken([](Layout& l) { l.start.pop_back(); }).empty());
    CHECK_FALSE(broken([](Layout& l) { l.start[0] = 10; }).empty());
    CHECK_FALSE(broken([](Layout& l) { l.start[3] = l.start[4]; }).empty());
    // any single task moved by an hour breaks something, or is free to move
    int found = 0;
    for (size_t i = 0; i < day.layout.start.size(); ++i) found += !broken([&](Layout& l) { l.start[i] += 60; }).empty();
    CHECK(found > static_cast<int>(day.layout.start.size()) * 3 / 4);
    Network two = {};
    two.tasks = {task("a", 10), task("b", 10)};
    two.resources = {{"shelf", 5, "cm²"}};
    two.holds = {{0, 0, 0, 3}, {0, 1, 1, 3}};
    two.hands = 2;
    CHECK(check(two, {{-20, -15}, 0, 0, 0, 0, 0}).size() == 1);  // 6 of 5 cm²
    CHECK(check(two, {{-20, -10}, 0, 0, 0, 0, 0}).empty());
}

TEST_CASE("hands, lags and holds are kept on random networks") {
    std::mt19937 random(5);
    int solved = 0;
    for (int k = 0; k < 20; ++k) {
        Network net;
        net.resources = {{"shelf", 10, "cm²"}};
        net.horizon = 400;
        const int n = 6 + static_cast<int>(random() % 10);
        for (int i = 0; i < n; ++i) net.tasks.push_back(task("t", 1 + static_cast<int>(random() % 12)));
        for (int i = 1; i < n; ++i) {
            const int from = static_cast<int>(random() % static_cast<unsigned>(i)),
                      least = net.tasks[static_cast<size_t>(from)].minutes + static_cast<int>(random() % 20);
            net.lags.push_back(
                {from, i, least, random() % 3 ? -1 : least + 40 + static_cast<int>(random() % 60), "because"});
            if (random() % 3 == 0) net.holds.push_back({0, from, i, 1 + static_cast<int>(random() % 6)});
        }
        const auto l = layOut(net);
        if (!l) {
            CHECK_FALSE(l.error().sentence.empty());
            continue;
        }
        ++solved;
        CHECK(check(net, *l).empty());
    }
    CHECK(solved > 12);
}

TEST_CASE("the same network gives the same day") {
    const auto net = demoDay().network;
    CHECK(layOut(net)->start == layOut(net)->start);
}

TEST_CASE("why a day is impossible is said: contradiction, too long, too little hands, too large") {
    Network net;
    net.tasks = {task("dip", 5), task("chill", 5)};
    net.lags = {{0, 1, 30, 20, "it must be firm"}};
    CHECK(layOut(net).error().sentence.find("contradict") != std::string::npos);
    net.lags = {{0, 1, 30, -1, ""}};
    net.horizon = 20;
    CHECK(layOut(net).error().sentence.find("one after another take 35 min") != std::string::npos);
    net.lags.clear();
    net.horizon = 9;
    CHECK(layOut(net).error().sentence.find("10 min of hands") != std::string::npos);
    net.horizon = 100;
    net.resources = {{"fridge shelf", 4, "cm²"}};
    net.holds = {{0, 0, 1, 5}};
    CHECK(layOut(net).error().sentence.find("fridge shelf") != std::string::npos);
}

TEST_CASE("the longest path is tight: a horizon one minute shorter is refused with a reason") {
    Network net;
    net.tasks = {task("melt", 15), task("dip", 5), task("peel", 9)};
    net.lags = {{0, 1, 15, -1, ""}, {1, 2, 45, -1, ""}};
    CHECK(longestPath(net).minutes == 69);
    net.horizon = 69;
    const auto l = layOut(net);
    REQUIRE(l);
    CHECK(l->begins == -69);
    net.horizon = 68;
    CHECK_FALSE(layOut(net));
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

TEST_CASE("the chocolate is always used within its window, and fillings within theirs") {
    const auto day = demoDay();
    for (const auto& lag : day.network.lags) {
        const int gap = day.layout.start[static_cast<size_t>(lag.to)] - day.layout.start[static_cast<size_t>(lag.from)];
        CHECK(gap >= lag.min);
        if (lag.max >= 0) CHECK(gap <= lag.max);
        if (lag.why == "the chocolate stays usable")
            CHECK(lag.max <= day.network.tasks[static_cast<size_t>(lag.from)].minutes + 20);
    }
}

TEST_CASE("a hundred pieces get a day or a reason, not a hang") {
    Plan plan = oneCook();
    plan.pieces[0].count = 100;
    const auto a = test::answersOf(plan);
    REQUIRE(a.day);
    CHECK_FALSE(a.day->problem.empty());
    CHECK(a.day->problem.size() > 20);
}

TEST_CASE("the whole demo evening fits two pairs of hands, parts and compounds with it", "[long]") {
    const auto a = test::answersOf(test::demo());
    REQUIRE(a.day);
    REQUIRE(a.day->problem.empty());
    CHECK(check(a.day->network, a.day->layout).empty());
    std::map<std::string, int> seen;
    for (const auto& t : a.day->network.tasks) ++seen[t.piece];
    for (const auto& p : test::demo().pieces) CHECK(seen[p.id] > 5);
    // a compound is glued after its parts are unmolded, a plain part is not
    const auto has = [&](const std::string& id) {
        return std::any_of(a.day->network.tasks.begin(), a.day->network.tasks.end(),
                           [&](const Task& t) { return t.id == id; });
    };
    CHECK(has("observatory/join"));
    CHECK_FALSE(has("meteorite/1/join"));
}

TEST_CASE("the steps of the day are said in plain words", "[long]") {
    const auto day = *test::answersOf(test::demo()).day;
    const auto titled = [&](const std::string& words) {
        return std::any_of(day.network.tasks.begin(), day.network.tasks.end(),
                           [&](const Task& t) { return t.title.find(words) != std::string::npos; });
    };
    CHECK(titled("crater bowls 1–8"));
    CHECK(titled("all 4 meteorites"));
    CHECK(titled("Fill the moon to break"));
    CHECK(titled("Put together the observatory"));
    CHECK(titled("Peel the acetate off all 14 comet cones"));
    CHECK_FALSE(titled("breaks"));
    CHECK_FALSE(titled("1–1"));
}

TEST_CASE("helpers are not counted on before they come") {
    // Four jobs of 30 minutes that end the day; two pairs of hands, the second for the last 40 minutes only.
    Network net;
    net.hands = 2;
    net.horizon = 300;
    for (int i = 0; i < 4; ++i) net.tasks.push_back(task("Job", 30));
    const auto all = layOut(net, {});
    REQUIRE(all);
    CHECK(all->begins == -60);
    net.helpers = 40;
    const auto late = layOut(net, {});
    REQUIRE(late);
    CHECK(late->begins == -90);  // two side by side at the end, two one after the other before that
    CHECK(check(net, *late).empty());
    Layout wrong = *late;
    wrong.start = {-30, -30, -60, -60};  // two at once while one pair of hands is there
    CHECK_FALSE(check(net, wrong).empty());
    net.helpers = 400;  // there before the day begins
    CHECK(layOut(net, {})->begins == -60);
}

}  // namespace uovo::schedule::schedule_test
