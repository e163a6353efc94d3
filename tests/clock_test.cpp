// Local times: before 1970, and across the hours that summer time takes and gives.
#include <catch2/catch.hpp>
#include <cstdlib>
#include <ctime>

#include "support.h"

namespace uovo::clock_test {

namespace {

/// The computer's time zone for the length of a test. Rules in POSIX's own words (IEEE Std 1003.1, 8.3, TZ): no data
/// files are needed.
struct Zone {
    std::string before = std::getenv("TZ") ? std::getenv("TZ") : "";
    bool was = std::getenv("TZ") != nullptr;
    explicit Zone(const char* rules) {
        ::setenv("TZ", rules, 1);
        ::tzset();
    }
    ~Zone() {
        was ? ::setenv("TZ", before.c_str(), 1) : ::unsetenv("TZ");
        ::tzset();
    }
};

constexpr const char* kMiddleEurope = "CET-1CEST,M3.5.0,M10.5.0/3";

long at(const char* local) { return *localMinutes(local); }

}  // namespace

TEST_CASE("a date is said in words, what is none as it is") {
    CHECK(dateInWords("2026-08-04") == "4 August 2026");
    CHECK(dateInWords("2026-12-31") == "31 December 2026");
    for (const char* none : {"", "yesterday", "2026-13-01", "2026-08"}) CHECK(dateInWords(none) == none);
}

TEST_CASE("times before 1970 are times of a clock") {
    CHECK(localTime(0) == "1970-01-01T00:00");
    CHECK(localTime(-1) == "1969-12-31T23:59");
    CHECK(localTime(-8 * 60 - 27) == "1969-12-31T15:33");
    CHECK(localTime(-1440) == "1969-12-31T00:00");
    for (long m = -5000; m < 5000; m += 77)
        if (m >= 0) CHECK(localMinutes(localTime(m)) == m);
}

TEST_CASE("a day that summer time begins on has no hour from two to three, one that it ends on has it twice") {
    const Zone zone(kMiddleEurope);
    // 29 March 2026 and 25 October 2026, the last Sundays
    CHECK(localTimeAfter(at("2026-03-29T10:00"), -8 * 60) == "2026-03-29T01:00");
    CHECK(localTimeAfter(at("2026-03-29T10:00"), -7 * 60) == "2026-03-29T03:00");
    CHECK(localTimeAfter(at("2026-03-29T01:30"), 60) == "2026-03-29T03:30");
    CHECK(localTimeAfter(at("2026-10-25T10:00"), -8 * 60) == "2026-10-25T02:00");
    CHECK(localTimeAfter(at("2026-10-25T10:00"), -9 * 60) == "2026-10-25T02:00");  // the hour that comes twice
    CHECK(localTimeAfter(at("2026-10-25T10:00"), -10 * 60) == "2026-10-25T01:00");
    CHECK(minutesBetween(at("2026-03-28T12:00"), at("2026-03-29T12:00")) == 23 * 60);
    CHECK(minutesBetween(at("2026-10-24T12:00"), at("2026-10-25T12:00")) == 25 * 60);
    CHECK(minutesBetween(at("2026-06-01T12:00"), at("2026-06-01T09:30")) == -150);
    // and nothing is shown that no clock shows
    for (long minute = -24 * 60; minute <= 0; ++minute) {
        const std::string shown = localTimeAfter(at("2026-03-29T10:00"), minute);
        CHECK((shown < "2026-03-29T02:00" || shown >= "2026-03-29T03:00"));
    }
}

TEST_CASE("the day's steps through such a night keep their lengths, and their clocks exist") {
    const Zone zone(kMiddleEurope);
    Plan plan = test::demo();
    plan.kitchen.helpers.clear();  // whose clock would come an hour sooner
    plan.deadline = "2026-03-29T05:30";
    const Answers a = test::answersOf(plan);
    REQUIRE(a.day);
    REQUIRE(a.day->problem.empty());
    int before = 0;
    for (const int start : a.day->layout.start) {
        const std::string shown = a.day->clock(start);
        CHECK((shown < "2026-03-29T02:00" || shown >= "2026-03-29T03:00"));
        const auto local = localMinutes(shown);
        REQUIRE(local);
        CHECK(a.day->minuteOf(*local) == start);
        before += shown < "2026-03-29T02:00";
    }
    CHECK(before > 0);  // it does go through the night
    plan.deadline = "2026-03-22T05:30";
    const Answers week = test::answersOf(plan);
    CHECK(week.day->layout.start == a.day->layout.start);
}

TEST_CASE("a deadline of long ago is laid out with clocks that exist") {
    Plan plan = test::demo();
    plan.deadline = "1970-01-01T00:10";
    const Answers a = test::answersOf(plan);
    REQUIRE(a.day);
    for (const int start : a.day->layout.start) CHECK(a.day->clock(start).starts_with("1969-12-31T"));
}

TEST_CASE("a clock time is read as people write it, and said as they speak") {
    CHECK(clockMinutes("18:30") == 18 * 60 + 30);
    CHECK(clockMinutes("6:30 pm") == 18 * 60 + 30);
    CHECK(clockMinutes("6pm") == 18 * 60);
    CHECK(clockMinutes("12 am") == 0);
    CHECK(clockMinutes("noon") == 12 * 60);
    CHECK(clockMinutes("7.05") == 7 * 60 + 5);
    CHECK(clockMinutes("9") == 9 * 60);
    CHECK_FALSE(clockMinutes("24:00"));
    CHECK_FALSE(clockMinutes("13 pm"));
    CHECK_FALSE(clockMinutes("later"));
    CHECK(clockMinutes("6.30 p.m.") == 18 * 60 + 30);
    CHECK(clockMinutes("18h30") == 18 * 60 + 30);
    CHECK(clockMinutes("18 h") == 18 * 60);
    for (const char* wrong :
         {"", ":", "7:", ":30", "7:5", "7:60", "7:30:10", "-7", "+7", "7 3", "0 pm", "am", "１８"}) {
        INFO(wrong);
        CHECK_FALSE(clockMinutes(wrong));
    }
    CHECK(clockInWords(0, UnitSystem::US) == "12:00 am");
    CHECK(clockInWords(12 * 60 + 5, UnitSystem::US) == "12:05 pm");
    CHECK(clockInWords(21 * 60 + 30, UnitSystem::US) == "9:30 pm");
    CHECK(clockInWords(9 * 60 + 5, UnitSystem::Metric) == "09:05");
    for (int m = 0; m < 1440; ++m)
        for (const auto units : {UnitSystem::US, UnitSystem::Metric}) CHECK(clockMinutes(clockInWords(m, units)) == m);
}

}  // namespace uovo::clock_test
