// Figures at the bench: what a piece should weigh, what a pot in use is told, what a rehearsal taught.
#include "core/probe/coach.h"
#include "core/run/habit.h"
#include "core/run/weighing.h"
#include "support_day.h"

namespace uovo::bench_figures_test {
namespace {

using namespace run;

struct Kitchen {
    Plan plan = test::bowls(4);
    Answers answers = test::answersOf(plan);
    Run run;
    Kitchen() {
        REQUIRE(answers.day->problem.empty());
        const long begins = *localMinutes(answers.day->clock(answers.day->layout.begins));
        REQUIRE(run.take(begin(plan, answers, begins)));
        REQUIRE(run.take(laid(*answers.day, begins, 0)));
    }
    void work(const std::string& kind) {
        for (int k = 0; k < 400; ++k) {
            const run::Step* s = run.next(-1);
            REQUIRE(s);
            if (s->kind == kind) return;
            done(s->id);
        }
        FAIL("no " << kind);
    }
    void done(const std::string& id) {
        Event e;
        e.step = id;
        e.at = std::max(run.now(), run.due(*run.step(id)));
        REQUIRE(run.take(e));
    }
    Event happened(Mishap m, const std::string& step) {
        Event e;
        e.kind = Kind::Happened;
        e.mishap = m;
        e.step = step;
        e.piece = plan.pieces[0].id;
        e.count = 1;
        e.at = run.now();
        return e;
    }
};

}  // namespace

TEST_CASE("a piece should weigh what its coats put on it by then, and nothing is said before the first") {
    Kitchen k;
    const auto* a = k.answers.piece(k.plan.pieces[0].id);
    const auto& coats = a->made->wall->coats;
    REQUIRE(coats.size() >= 2);
    const run::Step* first = k.run.next(-1);
    CHECK_FALSE(plannedWeight(k.run, *first, k.plan, k.answers));
    k.work("coat-1");
    CHECK(*plannedWeight(k.run, *k.run.next(-1), k.plan, k.answers) == Approx(coats[0].added));
    k.work("release");
    double all = 0;
    for (const auto& c : coats) all += c.added;
    CHECK(*plannedWeight(k.run, *k.run.next(-1), k.plan, k.answers) == Approx(all));
}

TEST_CASE("what the scale says is compared in percent, in the person's units") {
    CHECK(comparedWeight(0.110, 0.1, UnitSystem::Metric) == "100 g are planned: 10 % more");
    CHECK(comparedWeight(0.090, 0.1, UnitSystem::Metric) == "100 g are planned: 10 % less");
    CHECK(comparedWeight(0.1002, 0.1, UnitSystem::Metric) == "100 g are planned: as it should be");
    CHECK(comparedWeight(0.1, 0.1, UnitSystem::US).find("oz") != std::string::npos);
    CHECK(comparedWeight(0.1, std::nullopt, UnitSystem::Metric).empty());
    CHECK(comparedWeight(0.1, 0, UnitSystem::Metric).empty());
}

TEST_CASE("a pot in use is told to be warmed for as long as its heat needs, and to be left where it is right") {
    const auto& lib = io::library();
    const auto c = test::coating("dark");
    const double kg = 0.8, watts = 800;
    auto coach = probe::Coach::ofUse(c, lib.physics, kg, watts, 20, UnitSystem::Metric);
    double t = 0;
    const auto feed = [&](double celsius, double seconds) {
        for (const double end = t + seconds; t < end; t += 0.5) coach.read(t, celsius);
        return coach.now();
    };
    const auto right = feed(31.5, 20);
    CHECK(right.tone == probe::Prompt::Tone::Ready);
    CHECK(right.words.find("as it should be") != std::string::npos);
    const auto cool = feed(30, 40);
    CHECK(cool.tone == probe::Prompt::Tone::Now);
    // by hand: kilograms times heat capacity times degrees, over the watts that get in
    const double burst = kg * c.heatCapacityLiquid * (c.working() - 30) / (watts * lib.physical("microwaveShare"));
    CHECK(cool.words.find(format(std::ceil(burst), Dimension::Duration, UnitSystem::Metric)) != std::string::npos);
    CHECK(feed(31.4, 40).tone == probe::Prompt::Tone::Ready);
    CHECK(feed(32.9, 60).words.find("Too warm") != std::string::npos);
    const auto lost = feed(c.loses + 1, 60);
    CHECK(lost.tone == probe::Prompt::Tone::Harm);
    CHECK(lost.words.find("smear") != std::string::npos);
    CHECK(feed(c.scorch + 5, 30).words.find("scorches") != std::string::npos);
    CHECK(feed(31.5, 60).tone == probe::Prompt::Tone::Ready);
}

TEST_CASE("a single wild reading, a probe that says 300 °C once, moves nobody; one that stays does") {
    auto coach = probe::Coach::ofUse(test::coating("dark"), io::library().physics, 0.8, 800, 20, UnitSystem::Metric);
    double t = 0;
    for (; t < 20; t += 0.5) coach.read(t, 31.5);
    const auto said = coach.read(t += 0.5, 300);
    CHECK_FALSE(said);
    CHECK(coach.now().tone == probe::Prompt::Tone::Ready);
    for (; t < 60; t += 0.5) coach.read(t, 300);
    CHECK(coach.now().tone == probe::Prompt::Tone::Harm);
}

TEST_CASE("compound in use is never told that it has lost its temper") {
    const auto c = test::coating("compound");
    auto coach = probe::Coach::ofUse(c, io::library().physics, 0.8, 800, 20, UnitSystem::Metric);
    for (double t = 0; t < 60; t += 0.5) {
        coach.read(t, c.workHigh + 2);
        CHECK(coach.now().tone != probe::Prompt::Tone::Harm);
    }
}

TEST_CASE("what went wrong is told by the habit that would have spared it, the costliest first") {
    Kitchen k;
    CHECK(habits(k.run, k.answers).empty());
    k.work("release");
    const std::string release = k.run.next(-1)->id;
    k.done(release);
    REQUIRE(k.run.take(k.happened(Mishap::Broke, release)));
    Event again;
    again.kind = Kind::Again;
    again.piece = k.plan.pieces[0].id;
    again.count = 1;
    again.at = k.run.now();
    REQUIRE(k.run.take(again));
    k.done(k.run.next(-1)->id);
    Event hot = k.happened(Mishap::TooHot, {});
    hot.pot = k.run.pots().begin()->first;
    REQUIRE(k.run.take(hot));
    Event extra;
    extra.kind = Kind::Extra;
    extra.at = k.run.now();
    run::Step stir;
    stir.id = "more-seed";
    stir.title = "Stir in more seed";
    stir.minutes = 4;
    stir.takes = 0;
    extra.laid = {stir};
    REQUIRE(k.run.take(extra));
    const auto all = habits(k.run, k.answers);
    REQUIRE(all.size() == 2);
    CHECK(all[0].lesson == "releasing");
    CHECK(all[0].times == 1);
    CHECK(all[0].kilograms == Approx(k.answers.piece(k.plan.pieces[0].id)->made->mass));
    CHECK(all[1].lesson == "tempering");
    CHECK(all[1].minutes == 4);
    CHECK(habitWords(all[1], UnitSystem::Metric) == "Tempering, 1 time: about 4 min.");
    CHECK(habitWords({"gluing", 2, 10, 0.05}, UnitSystem::Metric) == "Gluing, 2 times: about 10 min and 50 g.");
}

}  // namespace uovo::bench_figures_test
