// The log in words: entries told, an evening beside its plan, a day at the bench as an evening.
#include <array>
#include <catch2/catch.hpp>

#include "core/log/run_evening.h"
#include "core/log/taught.h"
#include "core/log/told.h"
#include "core/material/colour.h"
#include "core/run/agenda.h"
#include "core/run/mishap.h"
#include "core/run/run_json.h"
#include "core/stages/strength.h"
#include "support_day.h"

namespace uovo::log_words_test {
namespace {

using log::Entry;
using log::Evening;
using Is = Entry::Is;
using Record = learn::Record;

Evening evening() {
    Evening e;
    e.id = e.date = "2026-05-12";
    e.plan = test::demo();
    std::erase_if(e.plan.pieces, [](const Piece& p) { return p.id != "crater-bowl" && p.id != "lens-cup"; });
    return e;
}

std::string told(const Entry& e, UnitSystem units = UnitSystem::Metric) {
    Evening of = evening();
    of.plan.units = units;
    return log::told(e, of, io::library());
}

Entry record(Record::Is is, double value) {
    Entry e;
    e.is = Is::Measured;
    e.record.is = is;
    e.record.piece = "crater-bowl";
    e.record.value = value;
    return e;
}

/// A day of two bowls and a cup from its first step to its end, one bowl weighed after its first coat.
run::Run worked(const Plan& plan, const Answers& answers, double slow = 1) {
    run::Run run;
    const long begins = *localMinutes(answers.day->clock(answers.day->layout.begins));
    REQUIRE(run.take(run::begin(plan, answers, begins)));
    REQUIRE(run.take(run::laid(*answers.day, begins, 0)));
    double now = 0;
    for (int k = 0; k < 2000; ++k) {
        const run::Step* step = run.next(-1);
        if (!step) break;
        const run::Step s = *step;
        now = std::max({now, run.due(s), s.at * run::kMinute}) + slow * s.minutes * run::kMinute;
        run::Event e;
        e.at = now;
        if (s.kind == "in-1" && s.madeOf() == "crater-bowl") {
            run::Event weighed = e;
            weighed.kind = run::Kind::Weighed;
            weighed.step = s.id;
            weighed.piece = s.piece;
            weighed.figure = 0.06;
            REQUIRE(run.take(weighed));
        }
        e.step = s.id;
        e.who = s.who;
        REQUIRE(run.take(e));
    }
    return run;
}

}  // namespace

TEST_CASE("entries are told as a cook would say them, in the plan's units") {
    Entry e = record(Record::Is::Weighed, 0.056);
    e.record.coats = 1;
    CHECK(told(e) == "Crater bowl, after coat 1: 56 g.");
    CHECK(told(e, UnitSystem::US).find("oz") != std::string::npos);
    e.record.of = 3;
    CHECK(told(e).starts_with("3 of Crater bowl, after coat 1"));
    CHECK(told(record(Record::Is::Rim, 0.0021)) == "Crater bowl, its rim: 2.1 mm.");
    e = record(Record::Is::Touched, 0);
    e.record.notAt = 360;
    e.record.at = 600;
    CHECK(told(e) == "Crater bowl, touched at its foot: not firm at 6 min, firm at 10 min.");
    e.record.foot = false;
    e.record.at = std::numeric_limits<double>::infinity();
    CHECK(told(e) == "Crater bowl, touched at its rim: not firm at 6 min.");
    CHECK(told(record(Record::Is::Spoon, 0.07)) == "A spoonful lay 70 mm wide.");
    e = record(Record::Is::Took, 12);
    e.record.task = "temper";
    e.record.book = 15;
    CHECK(told(e) == "“temper” took 12 min; the book says 15 min.");
    e = {};
    e.is = Is::Made;
    e.piece = "lens-cup";
    e.count = 5;
    e.of = 6;
    CHECK(told(e) == "Lens cup: 5 of 6 came out whole.");
    e.is = Is::Failed;
    e.count = 2;
    e.fault = "dull";
    CHECK(told(e) == "Lens cup: Dull, grey or wet (2 of them).");
    e.cause = "dew";
    CHECK(told(e) == "Lens cup: Dull, grey or wet (2 of them). Dew on leaving the cold.");
    e = {};
    e.is = Is::Left;
    e.chocolate = "dark";
    e.value = 0.3;
    CHECK(told(e) == "300 g left of Dark couverture.");
    e = {};
    e.is = Is::Stars;
    e.count = 4;
    CHECK(told(e) == "4 of 5 stars.");
    e = {};
    e.words = "Well.";
    CHECK(told(e) == "Well.");
    e.is = Is::Photo;
    e.words.clear();
    CHECK(told(e) == "A picture.");
}

TEST_CASE("what was measured stands beside what its plan says") {
    Evening e = evening();
    const auto planned = test::answersOf(e.plan, test::withoutDay());
    const auto& wall = *planned.piece("crater-bowl")->made->wall;
    const auto put = [&](Entry x) {
        x.id = static_cast<std::int64_t>(e.entries.size()) + 1;
        e.entries.push_back(std::move(x));
    };
    Entry first = record(Record::Is::Weighed, 0.12);
    first.record.coats = 1;
    first.record.of = 2;
    put(first);
    put(record(Record::Is::Weighed, 0.13));  // all coats
    put(record(Record::Is::Rim, 0.002));
    Entry touched = record(Record::Is::Touched, 0);
    touched.record.notAt = 400;
    touched.record.at = 900;
    put(touched);
    put(record(Record::Is::Spoon, 0.07));
    const auto rows = log::beside(e, planned);
    REQUIRE(rows.size() == 4);
    CHECK(rows[0].real == Approx(0.06));
    CHECK(rows[0].planned == Approx(wall.coats[0].added));
    CHECK(rows[0].words == "after coat 1");
    CHECK(rows[1].planned == Approx(wall.coats[0].added + wall.coats[1].added));
    CHECK(rows[2].planned == Approx(wall.rim));
    CHECK(rows[2].dimension == Dimension::Length);
    CHECK(rows[3].real == Approx(600));
    CHECK(rows[3].planned == Approx(wall.setting.back().firm));
    for (const auto& r : rows) {
        CHECK(r.low < r.planned);
        CHECK(r.high > r.planned);
    }
}

TEST_CASE(
    "a day that was made is an evening: weighed, whole, what went wrong, and hands only where they did not wait") {
    Plan plan = evening().plan;
    for (auto& p : plan.pieces) p.count = 2;
    plan.kitchen.helpers.clear();  // one after the other
    const auto answers = test::answersOf(plan);
    REQUIRE(answers.day);
    REQUIRE(answers.day->problem.empty());
    run::Run run = worked(plan, answers);
    run::Event happened;
    happened.kind = run::Kind::Happened;
    happened.mishap = run::Mishap::BareSpots;
    happened.piece = "lens-cup";
    happened.count = 1;
    happened.at = run.now();
    REQUIRE(run.take(happened));
    const Evening e = log::eveningOf(run, plan, "text");
    CHECK(e.run == "text");
    CHECK(e.plan == plan);
    const auto taught = e.taught();
    CHECK(std::ranges::count(taught.records, Record::Is::Weighed, &Record::is) == 1);
    CHECK(e.counts().size() == 2);
    CHECK(e.counts().at("crater-bowl").whole >= 2);
    size_t faults = 0;
    for (const auto* x : e.held())
        if (x->is == Is::Failed) {
            ++faults;
            CHECK(x->fault == "bare-spots");
            CHECK(x->piece == "lens-cup");
        }
    CHECK(faults == 1);
    for (const auto& x : e.entries) CHECK(log::wrongWith(x, e).empty());

    // Hands that are half as slow again say so; nothing in time says nothing of them.
    const auto slow = log::eveningOf(worked(plan, answers, 1.5), plan).taught();
    std::vector<double> ratios;
    for (const auto& r : slow.records)
        if (r.is == Record::Is::Took) ratios.push_back(r.value / r.book);
    REQUIRE(ratios.size() > 5);
    for (const double ratio : ratios) CHECK(ratio == Approx(1.5).margin(0.02));
    const auto known = learn::learn({slow}, material::withColours(io::library(), plan.colours));
    REQUIRE(known);
    CHECK(std::exp(known->pace.cook) > 1.2);
    // A plan that counts on it already is told against the book all the same.
    Plan counted = plan;
    counted.kitchen.pace = 1.25;
    const auto both = log::eveningOf(worked(counted, test::answersOf(counted), 1.2), counted).taught();
    for (const auto& r : both.records)
        if (r.is == Record::Is::Took) CHECK(r.value / r.book == Approx(1.5).margin(0.02));
}

TEST_CASE("when it was ready is told from the log of its day") {
    Plan plan = evening().plan;
    for (auto& p : plan.pieces) p.count = 1;
    const auto answers = test::answersOf(plan);
    run::Run run = worked(plan, answers);
    Evening e = evening();
    e.run = run::headLine();
    for (const auto& x : run.events()) e.run += run::lineOf(x, {});
    const auto words = log::readyWords(e);
    CHECK(words.starts_with("Begun at "));
    CHECK(words.find("21:30 was planned") != std::string::npos);
    e.run = "nothing of the kind";
    CHECK(log::readyWords(e).empty());
    CHECK(log::readyWords(evening()).empty());
}

TEST_CASE("a plan counts on what a log teaches as far as it is trusted, and once is as good as twice") {
    const auto evenings = io::demoLog(20669L * 1440);
    Plan plan = evening().plan;
    const auto taught = log::teach(evenings, plan, io::library());
    REQUIRE(taught);
    CHECK(taught->evenings == 2);
    CHECK(taught->own.size() == 2);
    CHECK(taught->whole.at("balloon").of == 8);
    CHECK(taught->whole.at("balloon").whole == 7);
    Plan wholly = plan;
    log::countOn(*taught, {}, wholly, io::library());
    CHECK(problems(wholly, io::library()).empty());
    CHECK(wholly.own.at("dark").values.at("yield40") > io::library().find("dark")->at("yield40").value);
    CHECK(wholly.pieces[0].survives == Approx((9.0 + 7) / 18));
    Plan twice = wholly;
    log::countOn(*taught, {}, twice, io::library());
    CHECK(twice == wholly);
    const log::Trust half{{"wall:dark", 0.5}, {"whole:balloon", 0.5}};
    Plan less = plan;
    log::countOn(*taught, half, less, io::library());
    const double book = io::library().find("dark")->at("yield40").value;
    CHECK(std::log(less.own.at("dark").values.at("yield40") / book) ==
          Approx(0.5 * std::log(wholly.own.at("dark").values.at("yield40") / book)));
    CHECK(less.pieces[0].survives == Approx(0.5 * (0.9 + 16.0 / 18)));
    Plan none = plan;
    log::countOn(*taught, {{"wall:dark", 0.0}, {"fridge", 0.0}}, none, io::library());
    CHECK(none.own.at("dark").values.at("yield40") == Approx(book));
    CHECK(none.kitchen.fridgeAir == Approx(1));
    // A hand that is told slow makes the plan's minutes longer.
    auto slow = evenings;
    const std::array kinds{"dip", "look", "pour", "temper", "trim", "fill"};
    for (int k = 0; k < 18; ++k) {
        Entry e = record(Record::Is::Took, 15);
        e.id = 1000 + k;
        e.record.piece.clear();
        e.record.task = kinds[static_cast<size_t>(k) % kinds.size()];
        e.record.book = 10;
        slow[0].entries.push_back(e);
    }
    const auto hands = log::teach(slow, plan, io::library());
    REQUIRE(hands);
    Plan paced = plan;
    log::countOn(*hands, {}, paced, io::library());
    CHECK(paced.kitchen.pace > 1.15);
    CHECK(paced.kitchen.pace < 1.6);
    std::stop_source stopped;
    stopped.request_stop();
    CHECK_FALSE(log::teach(evenings, plan, io::library(), stopped.get_token()));
}

TEST_CASE("mishaps are faults where they are one, and faults have lessons that practise them") {
    for (const auto m : run::mishaps())
        if (const auto id = log::faultOf(m); !id.empty()) CHECK(io::library().fault(id));
    CHECK(log::faultOf(run::Mishap::Broke) == "broke-on-release");
    CHECK(log::faultOf(run::Mishap::OneMore).empty());
    size_t practised = 0;
    for (const auto& f : io::library().faults) practised += !log::lessonOf(f.id).empty();
    CHECK(practised == 11);
}

TEST_CASE(
    "bars that were broken and prices that were paid are learned from, once each, and counted on as far as trusted") {
    auto evenings = io::demoLog(20669L * 1440);
    shell::SnapBar bar;
    bar.chocolate = "dark";
    for (const double hung : {0.30, 0.34, 0.28, 0.31}) {
        bar.hung = hung;
        evenings[0].plan.snaps.push_back(bar);
    }
    evenings[1].plan.snaps = evenings[0].plan.snaps;  // the plan was made again with them: they are the same bars
    evenings[1].plan.snaps.push_back({});             // of no chocolate
    Stock stock;
    stock.chocolate = "dark";
    stock.price = 14.5;
    evenings[0].plan.pantry = {stock};
    stock.price = 16;
    evenings[1].plan.pantry = {stock};
    Plan plan = evening().plan;
    plan.pantry.clear();
    const auto taught = log::teach(evenings, plan, io::library());
    REQUIRE(taught);
    REQUIRE(taught->bars.at("dark").size() == 4);
    CHECK(taught->prices.at("dark").aKilogram == 16);
    const auto lesson = [&](const char* id) {
        const auto it = std::ranges::find(taught->lessons, id, &learn::Lesson::id);
        REQUIRE(it != taught->lessons.end());
        return *it;
    };
    CHECK(lesson("price:dark").sentence.find("cost you 16.00 a kilogram") != std::string::npos);
    // the mean strength of Weibull's bars, by the formula of ASTM C1161's three-point bar, 3 F L/(2 b t^2)
    double sum = 0;
    for (const auto& b : taught->bars.at("dark"))
        sum += 3 * b.hung.value * 9.80665 * b.span.value / (2 * b.width.value * b.thickness.value * b.thickness.value);
    Plan counted = plan;
    log::countOn(*taught, {}, counted, io::library());
    CHECK(problems(counted, io::library(), false).empty());
    const double now = strengthOf(counted, io::library(), "dark").strength.mean;
    CHECK(now == Approx(sum / 4).epsilon(0.12));
    CHECK(lesson("strength:dark").factor == Approx(now / strengthOf(plan, io::library(), "dark").strength.mean));
    CHECK(lesson("strength:dark").source.find("4 bars") != std::string::npos);
    REQUIRE(counted.pantry.size() == 1);
    CHECK(counted.pantry[0].price == 16);
    CHECK(counted.pantry[0].mass.value == 0);
    Plan twice = counted;
    log::countOn(*taught, {}, twice, io::library());
    CHECK(twice == counted);
    Plan half = plan, none = plan;
    log::countOn(*taught, {{"strength:dark", 0.5}, {"price:dark", 0.0}}, half, io::library());
    CHECK(half.snaps.size() == 2);
    CHECK(half.pantry.empty());
    log::countOn(*taught, {{"strength:dark", 0.0}}, none, io::library());
    CHECK(none.snaps.empty());
    plan.pantry = {stock};
    plan.pantry[0].price = 9;  // said in this plan: it stays
    log::countOn(*taught, {}, plan, io::library());
    CHECK(plan.pantry[0].price == 9);
}

TEST_CASE("an evening that ends once more adds what is new, and a count takes the place of the old one") {
    log::Evening kept = evening();
    kept.entries.clear();
    const auto put = [](log::Evening& e, Entry x) {
        x.id = std::int64_t(e.entries.size()) + 1;
        e.entries.push_back(x);
    };
    Entry made;
    made.is = Entry::Is::Made;
    made.piece = "crater-bowl";
    made.count = made.of = 4;
    const Entry weighed = record(Record::Is::Weighed, 0.05);
    log::Evening now = kept;
    for (log::Evening* e : {&kept, &now}) put(*e, weighed);
    put(kept, made);
    CHECK(log::sinceThen(kept, kept).empty());
    put(now, weighed);  // another bowl of the same weight
    made.count = 3;
    put(now, made);
    Entry failed;
    failed.is = Entry::Is::Failed;
    failed.piece = "crater-bowl";
    failed.fault = "crack";
    put(now, failed);
    const auto more = log::sinceThen(kept, now);
    REQUIRE(more.size() == 3);
    for (Entry x : more) put(kept, x);
    CHECK(kept.counts().at("crater-bowl").whole == 3);
    CHECK(kept.counts().at("crater-bowl").of == 4);
    CHECK(more[0].record == weighed.record);
    CHECK(more[2].fault == "crack");
    CHECK(log::sinceThen(kept, now).empty());
}

}  // namespace uovo::log_words_test
