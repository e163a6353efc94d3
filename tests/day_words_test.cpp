// What is said of a day as the clock goes on, and where its pieces stand.
#include <catch2/catch.hpp>

#include "core/words/words.h"
#include "support.h"

namespace uovo::day_words_test {

using Catch::Matchers::Contains;

namespace {

/// A day of one step of forty minutes that ends twenty minutes before the deadline, 2026-08-04T18:00.
struct Evening {
    Plan plan;
    DayPlan day;
    Evening() {
        plan.deadline = "2026-08-04T18:00";
        plan.pieces.resize(1);
        plan.pieces[0].id = "bowl";
        day.end = *localMinutes("2026-08-04T17:40");
        schedule::Task coat;
        coat.id = "bowl/coat";
        coat.title = "Dip the bowl";
        coat.piece = "bowl";
        coat.lane = "coat";
        coat.minutes = 40;
        coat.round = coat.coat = 1;
        day.network.tasks.push_back(coat);
        day.layout.start = {-40};
        day.layout.begins = -40;
    }
    long at(const char* clock) const { return *localMinutes(std::string("2026-08-04T") + clock); }
};

}  // namespace

TEST_CASE("a day says when to begin, how long it is to the deadline and how much of it is work") {
    const Evening e;
    const Answer a = dayAnswer(e.plan, e.day, e.at("16:00"));
    CHECK(a.id == "day");
    CHECK(a.headline == "17:00");
    CHECK(a.tone == Tone::Plain);
    CHECK_THAT(a.sentence, Contains("1 h from the first step to the deadline") && Contains("40 min of work"));
    CHECK(a.figure.value == Approx(40 * 60));
    CHECK(dayAnswer(e.plan, e.day, std::nullopt).sentence == a.sentence);
}

TEST_CASE("a day that should have begun says so, and one that is over asks for another") {
    const Evening e;
    CHECK(dayAnswer(e.plan, e.day, e.at("17:00")).tone == Tone::Plain);
    const Answer late = dayAnswer(e.plan, e.day, e.at("17:12"));
    CHECK(late.tone == Tone::Impossible);
    CHECK_THAT(late.sentence, Contains("12 min ago"));
    CHECK_THAT(dayAnswer(e.plan, e.day, e.at("18:01")).sentence, Contains("has passed"));
}

TEST_CASE("a day under way says by its ticks what is overdue, and is not told to have begun late") {
    Evening e;
    e.day.network.tasks[0].id = "clear-shelf";
    const long end = e.day.minuteOf(e.at("17:00")) + e.day.network.tasks[0].minutes;
    const long due = e.at("17:00") + e.day.network.tasks[0].minutes + 5;
    CHECK(end <= 0);
    CHECK(behindWords(e.plan, e.day, due - 1).empty());
    CHECK_THAT(behindWords(e.plan, e.day, due), Contains("1 step was to be done, none is ticked"));
    e.plan.day.done = {"another", "clear-shelf"};
    CHECK(behindWords(e.plan, e.day, due).empty());
    CHECK(dayAnswer(e.plan, e.day, due).tone == Tone::Plain);
    CHECK(dayAnswer(e.plan, e.day, e.at("18:01")).tone == Tone::Impossible);
    e.plan.day.done = {"another"};
    CHECK(dayAnswer(e.plan, e.day, due).tone == Tone::Impossible);
    CHECK(behindWords(e.plan, e.day, e.at("18:31")).empty());
}

TEST_CASE("without a day the reason stands where the time would") {
    Evening e;
    e.day.problem = "The shelf is too small for one bowl.";
    const Answer a = dayAnswer(e.plan, e.day, e.at("16:00"));
    CHECK(a.headline == "No day");
    CHECK(a.sentence == e.day.problem);
    CHECK(a.tone == Tone::Impossible);
}

TEST_CASE("helping hands are told with the hour they come") {
    Evening e;
    auto& helpers = e.plan.kitchen.helpers;
    helpers.resize(1);
    CHECK_THAT(dayAnswer(e.plan, e.day, std::nullopt).sentence, Contains("for your hands and a helper's."));
    helpers[0].from = "16:00";
    CHECK_THAT(dayAnswer(e.plan, e.day, std::nullopt).sentence, Contains("your hands and a helper's from 16:00"));
    helpers.push_back({"Nele", "17:00", "", true, true, ""});
    CHECK_THAT(dayAnswer(e.plan, e.day, std::nullopt).sentence,
               Contains("your hands, a helper's from 16:00 and Nele's from 17:00"));
}

TEST_CASE("a piece is not begun, worked on, then on the bench") {
    const Evening e;
    const auto words = [&](int minute) { return statesAt(e.plan, e.day, minute).at(0).words; };
    CHECK(words(-41) == "not begun");
    CHECK(words(-20) == "Dip the bowl");
    CHECK(words(0) == "on the bench");
    CHECK(statesAt(e.plan, e.day, -1).at(0).coats == 0);
    CHECK(statesAt(e.plan, e.day, 0).at(0).coats == 1);
}

TEST_CASE("every state of the demo's day is one that its own tasks lead to", "[long]") {
    const Plan plan = test::demo();
    const auto a = test::answersOf(plan);
    REQUIRE(a.day);
    std::map<std::string, int> coats;
    for (int minute = a.day->layout.begins; minute <= 0; minute += 5)
        for (const auto& s : statesAt(plan, *a.day, minute)) {
            int& had = coats[s.piece + std::to_string(s.round)];
            CHECK(s.coats >= had);  // no coat comes off again
            had = s.coats;
        }
    for (const auto& s : statesAt(plan, *a.day, 0)) {
        INFO(s.piece);
        CHECK(s.words != "not begun");
    }
}

TEST_CASE("cautions stand at the step where they matter, once") {
    const auto& lib = io::library();
    Plan plan = io::demoPlan(20669L * 1440);
    std::map<std::string, std::string> text;
    for (const auto& c : lib.cautions) text[c.id] = c.text;
    const Piece& bowl = *plan.piece("crater-bowl");
    std::vector<std::string> all;
    for (size_t k = 0; k < bowl.making.size(); ++k) {
        const auto here = cautionsAt(bowl, k, plan, lib);
        const auto has = [&](const char* id) { return std::ranges::count(here, text.at(id)) == 1; };
        if (k == 0) CHECK((has("balloon-hot") && has("balloon-oil")));
        if (k == 1 && std::holds_alternative<PlannedCoat>(bowl.making[1])) CHECK(here.empty());
        if (std::holds_alternative<ReleaseStep>(bowl.making[k])) CHECK((has("latex") && has("blade")));
        if (std::holds_alternative<TrimStep>(bowl.making[k])) CHECK(has("warm-plate"));
        all.insert(all.end(), here.begin(), here.end());
    }
    CHECK(std::ranges::count(all, text.at("latex")) == 1);
    CHECK(cautionsAt(bowl, bowl.making.size(), plan, lib).empty());
    // a filling with egg says so where it is filled
    Plan eggs = plan;
    Piece& filled = eggs.pieces[0];
    REQUIRE(filled.fill());
    eggs.filling(filled.fill()->filling)->egg = true;
    for (size_t k = 0; k < filled.making.size(); ++k)
        CHECK((std::ranges::count(cautionsAt(filled, k, eggs, lib), text.at("raw-egg")) == 1) ==
              std::holds_alternative<FillStep>(filled.making[k]));
    // each of them is one the plan knows
    for (const auto& words : all) CHECK(std::ranges::count(cautionsOf(plan, lib), words) == 1);
}

}  // namespace uovo::day_words_test
