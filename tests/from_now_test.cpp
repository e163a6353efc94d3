// The rest of a day, laid out anew from a minute of it on.
#include "core/day/from_now.h"

#include <random>

#include "core/material/colour.h"

#include "support_day.h"

namespace uovo::from_now_test {
namespace {

struct Laid {
    Plan plan;
    Answers answers;
};

const Laid& demoDay() {
    static const Laid laid = [] {
        Laid l{test::demo(), {}};
        l.answers = test::answersOf(l.plan);
        return l;
    }();
    return laid;
}

DayPlan rest(const Laid& laid, const DayNow& now, int decodes = 1200) {
    return layRest(laid.plan, material::withColours(io::library(), laid.plan.colours), laid.answers, now,
                   *laid.answers.day, decodes);
}

long localOf(const DayPlan& day, int minute) { return *localMinutes(day.clock(minute)); }

/// What is done stands, all else comes after now, the checker agrees.
void isRight(const DayPlan& rest, const DayNow& now) {
    REQUIRE(rest.problem.empty());
    for (const auto& v : schedule::check(rest.asked, rest.found.layout)) FAIL_CHECK(v.sentence);
    const int minute = static_cast<int>(rest.minuteOf(now.minute));
    for (size_t i = 0; i < rest.network.tasks.size(); ++i) {
        const auto& t = rest.network.tasks[i];
        INFO(t.id);
        if (const auto done = now.done.find(t.id); done != now.done.end()) {
            CHECK(t.done);
            CHECK(localOf(rest, rest.layout.start[i]) == done->second.from);
        } else if (!t.done) {
            CHECK(rest.layout.start[i] >= minute);
        }
    }
}

int left(const DayPlan& day, const char* step) {
    return static_cast<int>(
        std::ranges::count_if(day.network.tasks, [&](const schedule::Task& t) { return t.step == step && !t.done; }));
}

}  // namespace

TEST_CASE("a day that goes as planned keeps its end, whatever the hour") {
    const Laid& laid = demoDay();
    const DayPlan& day = *laid.answers.day;
    std::mt19937 random(5);
    for (int k = 0; k < 5; ++k) {
        const int minute = day.layout.begins + static_cast<int>(random() % static_cast<unsigned>(-day.layout.begins));
        INFO(minute);
        const DayNow now = asPlanned(day, localOf(day, minute));
        const DayPlan on = rest(laid, now);
        isRight(on, now);
        CHECK(on.reserve >= day.reserve - 60);  // it is laid out anew, and not for long
        CHECK(on.reserve <= day.reserve);
    }
}

TEST_CASE("what comes too late ends later, by about as much, and says so") {
    const Laid& laid = demoDay();
    const DayPlan& day = *laid.answers.day;
    const int minute = day.layout.begins * 2 / 3;
    DayNow now = asPlanned(day, localOf(day, minute));
    now.minute += 90;  // nobody did anything for an hour and a half
    now.busy.clear();
    const DayPlan on = rest(laid, now);
    isRight(on, now);
    CHECK(on.reserve < day.reserve);
    CHECK(on.reserve >= day.reserve - 180);  // pots have gone cold meanwhile
}

TEST_CASE("after the deadline there is a plan all the same") {
    const Laid& laid = demoDay();
    DayNow now;
    now.minute = *localMinutes(laid.plan.deadline) + 30;
    const DayPlan on = rest(laid, now, 100);
    isRight(on, now);
    CHECK(on.reserve < -200);  // all of it is still to be done
    CHECK(on.layout.begins >= on.minuteOf(now.minute));
}

TEST_CASE("a pot that stands ready is used, and melted again when it is not there") {
    Laid laid{test::bowls(6), {}};
    laid.answers = test::answersOf(laid.plan);
    const DayPlan& day = *laid.answers.day;
    REQUIRE(day.problem.empty());
    int coat = 0;
    for (size_t i = 0; i < day.asked.tasks.size(); ++i)
        if (day.asked.tasks[i].step == "coat-1") coat = day.found.layout.start[i];
    REQUIRE(coat < 0);
    DayNow now = asPlanned(day, localOf(day, coat));
    REQUIRE(now.pots.size() == 1);
    CHECK(now.pots[0].ready);
    CHECK(now.pots[0].kilograms > 0.1);
    const DayPlan on = rest(laid, now);
    isRight(on, now);
    CHECK(left(on, "melt") == left(day, "melt") - 1);
    now.pots[0].ready = false;  // it has set: tempered again, not melted
    const DayPlan again = rest(laid, now);
    isRight(again, now);
    CHECK(left(again, "melt") == left(on, "melt"));
    CHECK(left(again, "temper") == left(on, "temper") + 1);
    now.pots.clear();  // it has seized
    const DayPlan anew = rest(laid, now);
    isRight(anew, now);
    CHECK(left(anew, "melt") == left(on, "melt") + 1);
}

TEST_CASE("who is still at something is not counted on") {
    const Laid& laid = demoDay();
    const DayPlan& day = *laid.answers.day;
    DayNow now = asPlanned(day, localOf(day, day.layout.begins / 2));
    now.busy = {{0, now.minute + 25}};
    const DayPlan on = rest(laid, now);
    isRight(on, now);
    for (size_t i = 0; i < on.asked.tasks.size(); ++i)
        if (on.found.layout.isDone(static_cast<int>(i)) && !on.asked.tasks[i].done && (on.found.layout.who[i] & 1))
            CHECK(localOf(on, on.found.layout.start[i]) >= now.minute + 25);
}

TEST_CASE("at fifty moments of the demo, in time and late, what is left is a valid day", "[long]") {
    const Laid& laid = demoDay();
    const DayPlan& day = *laid.answers.day;
    std::mt19937 random(11);
    for (int k = 0; k < 50; ++k) {
        const int minute = day.layout.begins + static_cast<int>(random() % static_cast<unsigned>(-day.layout.begins));
        INFO(k << ": " << minute);
        DayNow now = asPlanned(day, localOf(day, minute));
        now.minute += k % 3 * 20;
        for (auto& [person, until] : now.busy) until = std::max(until, now.minute);
        isRight(rest(laid, now, 1200), now);
    }
}

}  // namespace uovo::from_now_test
