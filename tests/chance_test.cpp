// How likely a day is ready: against closed forms, and that an earlier begin and more time kept free never harm.
#include <cmath>

#include "core/day/chance.h"
#include "core/schedule/random.h"
#include "core/words/words.h"
#include "support_day.h"
#include "support_schedule.h"

namespace uovo::chance_test {
namespace {

using schedule::Chances;
using schedule::Layout;
using schedule::Network;
using schedule::Replay;
using schedule::Scatter;
using test::bowls;

constexpr int kMany = 40'000;

/// Φ, from the complementary error function of the standard library.
double phi(double x) { return std::erfc(-x / std::sqrt(2.0)) / 2; }

/// Tasks one after the other, each as long, ending at 0.
Network chain(int tasks, int minutes) {
    Network net;
    net.people.push_back({"you", {}, schedule::kEverySkill, false});
    for (int i = 0; i < tasks; ++i) net.tasks.push_back(test::task("t" + std::to_string(i), minutes));
    for (int i = 1; i < tasks; ++i) net.lags.push_back({i - 1, i, minutes, -1, "before it"});
    return net;
}

Layout oneAfterAnother(const Network& net) {
    Layout l;
    int at = 0;
    for (const auto& t : net.tasks) at -= t.minutes;
    l.begins = at;
    for (const auto& t : net.tasks) {
        l.start.push_back(at);
        l.who.push_back(1);
        at += t.minutes;
    }
    return l;
}

const Scatter kCookOnly{0.2, 0, 0, 0, 0};

}  // namespace

TEST_CASE("played as planned a day moves nothing") {
    const auto a = test::answersOf(test::demo());
    REQUIRE(a.day);
    Replay replay(a.day->network, a.day->layout);
    const size_t n = a.day->network.tasks.size();
    const auto played = replay.play({std::vector<double>(n, 1), std::vector<double>(n, 1)});
    for (const int t : replay.order()) {
        INFO(a.day->network.tasks[size_t(t)].title);
        CHECK(replay.start(t) == a.day->layout.start[size_t(t)]);
    }
    CHECK(played.missed == 0);
    CHECK(played.end == a.day->layout.ends);
}

// A log-normal cook: P(4 × 30 min × F ≤ 150 min), median of F 1: Φ(ln 1.25 / .2); with twenty minutes more, Φ(ln
// (170/120) / .2). Any textbook of probability.
TEST_CASE("a chain of work by one cook is as likely ready as the closed form says") {
    const Network net = chain(4, 30);
    const Layout l = oneAfterAnother(net);
    Replay replay(net, l);
    const auto c = schedule::chances(replay, 30, 0, kCookOnly, kMany);
    CHECK(c.by(30) == Approx(phi(std::log(1.25) / 0.2)).margin(0.006));
    CHECK(c.by(30) == Approx(0.8677).margin(0.006));
    const auto earlier = schedule::chances(replay, 30, 20, kCookOnly, kMany);
    CHECK(earlier.by(30) == Approx(0.9592).margin(0.005));
    CHECK(c.minuteOf(c.by(30)) <= 30);
    CHECK(c.by(c.minuteOf(0.8)) >= 0.8);
}

// Two steps at once, 60 min, deviation .3 each of its own, with 20 and 10 minutes to spare: the product of two Φ.
TEST_CASE("two at once are both ready as often as the product says") {
    Network net;
    for (int i = 0; i < 2; ++i) {
        net.people.push_back({"p" + std::to_string(i), {}, schedule::ownSkill(i), false});
        net.tasks.push_back(test::task("t" + std::to_string(i), 60));
    }
    Layout l;
    l.start = {-80, -70};
    l.who = {1, 2};
    l.begins = -80;
    Replay replay(net, l);
    const auto c = schedule::chances(replay, 0, 0, {0, 0, 0.3, 0, 0}, kMany);
    CHECK(c.by(0) == Approx(phi(std::log(80 / 60.0) / 0.3) * phi(std::log(70 / 60.0) / 0.3)).margin(0.008));
    CHECK(c.by(0) == Approx(0.5788).margin(0.008));
}

// Four exponentials of mean 30 min in 150: the Erlang distribution, 1 − e⁻⁵ (1 + 5 + 5²/2 + 5³/6) = .7350.
TEST_CASE("four exponential steps end as the Erlang distribution says") {
    const Network net = chain(4, 30);
    Layout l = oneAfterAnother(net);
    l.start.assign(4, -120);  // each as soon as the one before it is done
    Replay replay(net, l);
    schedule::Random random(3);
    int ready = 0;
    for (int run = 0; run < kMany; ++run) {
        Replay::Factors f{{}, std::vector<double>(4, 1)};
        for (int i = 0; i < 4; ++i) f.work.push_back(-std::log(1 - random.share()));
        ready += replay.play(f).end + 120 <= 150;
    }
    CHECK(ready / double(kMany) == Approx(1 - std::exp(-5.0) * (1 + 5 + 12.5 + 125 / 6.0)).margin(0.008));
}

TEST_CASE("nothing overtakes: a step waits for its wait, its place and whoever may do it") {
    Network net = chain(3, 10);
    net.lags[1].min = 40;  // half an hour of setting between the second and the third
    Layout l;
    l.start = {-60, -50, -10};
    l.who = {1, 1, 1};
    l.begins = -60;
    Replay replay(net, l);
    SECTION("work that takes twice as long pushes what follows") {
        replay.play({{2, 1, 1}, {1, 1, 1}});
        CHECK(replay.start(1) == -40);
        CHECK(replay.start(2) == 0);
        CHECK(replay.waitedFor(2) == 1);
    }
    SECTION("setting that takes half as long again pushes what waits for it") {
        replay.play({{1, 1, 1}, {1, 1, 1.5}});
        CHECK(replay.start(2) == -40 + 45);
    }
    SECTION("what is quick is not begun before its time, but earlier when all is") {
        replay.play({{0.5, 0.5, 0.5}, {1, 1, 1}});
        CHECK(replay.start(1) == -50);
        replay.play({{1, 1, 1}, {1, 1, 1}}, 15);
        CHECK(replay.start(0) == -75);
        CHECK(replay.start(2) == -25);
    }
    SECTION("a full shelf is given up before it is taken") {
        net.resources.push_back({"shelf", 10, "cm²"});
        net.holds = {{0, 0, 0, 8}, {0, 1, 1, 8}};
        net.people.push_back({"helper", {}, schedule::kEverySkill, false});
        net.lags.clear();
        l.start = {-60, -50, -10};
        l.who = {1, 2, 1};
        Replay two(net, l);
        two.play({{3, 1, 1}, {1, 1, 1}});
        CHECK(two.start(1) == -30);
    }
    SECTION("a window that was kept and is not now is counted") {
        net.lags[0].max = 10;
        Replay strict(net, l);
        CHECK(strict.play({{1, 1, 1}, {1, 1, 1}}).missed == 0);
        CHECK(strict.play({{2, 1, 1}, {1, 1, 1}}).missed == 1);
    }
}

TEST_CASE("whoever is free first takes over from one who may do the same, not from one who may not") {
    Network net;
    net.people = {{"you", {}, schedule::kEverySkill, false}, {"the helper", {}, schedule::kEverySkill, false}};
    for (int i = 0; i < 3; ++i) net.tasks.push_back(test::task("t" + std::to_string(i), 10));
    Layout l;
    l.start = {-20, -20, -10};
    l.who = {1, 2, 1};
    Replay replay(net, l);
    replay.play({{4, 1, 1}, {1, 1, 1}});
    CHECK(replay.start(2) == -10);  // the helper is free
    net.people[1].skills = schedule::kKnife;
    net.people[0].skills = schedule::kHot | schedule::kKnife;
    Replay own(net, l);
    own.play({{4, 1, 1}, {1, 1, 1}});
    CHECK(own.start(2) == 20);
}

TEST_CASE("begun earlier a day is never less likely ready, and the draws are the same again") {
    for (const auto& plan : {test::demo(), bowls(8)}) {
        const auto a = test::answersOf(plan);
        REQUIRE(a.day);
        Replay replay(a.day->network, a.day->layout);
        double before = -1;
        for (const int earlier : {0, 5, 20, 60, 120, 240}) {
            const auto c = schedule::chances(replay, a.day->reserve, earlier, {}, 300);
            CHECK(c.by(a.day->reserve) >= before);
            before = c.by(a.day->reserve);
        }
        CHECK(schedule::chances(replay, 20, 0, {}, 50).ends == schedule::chances(replay, 20, 0, {}, 50).ends);
    }
}

TEST_CASE("a chance that is wished for is reached by the minutes kept free") {
    Plan plan = bowls(8);
    const auto usual = test::answersOf(plan);
    plan.day.chance = 0.9;
    const auto sure = test::answersOf(plan);
    REQUIRE(sure.day);
    CHECK(chanceOf(plan, sure, io::library(), *sure.day).onTime >= 0.85);
    CHECK(chanceOf(plan, usual, io::library(), *usual.day).onTime <
          chanceOf(plan, sure, io::library(), *sure.day).onTime + 1e-9);
    CHECK(sure.day->reserve % 5 == 0);
    plan.day.chance = 0.5;
    CHECK(test::answersOf(plan).day->reserve <= sure.day->reserve);
}

// Eight made where six are wanted, each whole with chance .9: the binomial sum.
TEST_CASE("enough pieces are left whole as often as the binomial says") {
    Plan plan = bowls(6);
    plan.pieces[0].survives = 0.9;
    auto a = test::answersOf(plan);
    const int make = a.pieces[0]->make;
    REQUIRE(make > 6);
    double sum = 0, choose = 1;
    for (int broken = 0; broken <= make - 6; ++broken) {
        sum += choose * std::pow(0.9, make - broken) * std::pow(0.1, broken);
        choose = choose * (make - broken) / (broken + 1);
    }
    auto bare = std::make_shared<PieceAnswers>(*a.pieces[0]);
    bare->strength = nullptr;
    a.pieces[0] = bare;
    CHECK(chanceOf(plan, a, io::library(), *a.day).whole == Approx(sum).epsilon(1e-9));
}

TEST_CASE("a chance is said in tenths, with what an earlier begin buys") {
    CHECK(inTen(0.42) == "Four in ten");
    CHECK(inTen(0.97) == "Nearly all");
    CHECK(inTen(0.01) == "Hardly any");
    const Plan plan = bowls(8);
    const auto a = test::answersOf(plan);
    Chance c = chanceOf(plan, a, io::library(), *a.day);
    const std::string said = chanceWords(plan, *a.day, c);
    INFO(said);
    CHECK(said.find("such days are ready by") != std::string::npos);
    c.onTime = 0.5;
    c.earlier = {{20, 0.52}, {60, 0.7}};
    CHECK(chanceWords(plan, *a.day, c).find("Begun 1 h earlier, seven in ten.") != std::string::npos);
}

}  // namespace uovo::chance_test
