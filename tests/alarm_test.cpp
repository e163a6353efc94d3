// When the bench rings, and when it keeps quiet.
#include <catch2/catch.hpp>
#include <random>

#include "core/quantity/spoken.h"
#include "core/run/alarm.h"
#include "core/run/bench_step.h"

namespace alarm_test {
using namespace uovo;
using run::Alarm;
using run::Timer;

TEST_CASE("a timer rings within the tick it falls due, once more each minute, and otherwise before it is too late") {
    Alarm alarm;
    const std::vector<Timer> timers{{"look", "", 100, 400}};
    std::vector<std::pair<double, bool>> rung;
    for (double s = 0; s <= 460; s += 0.5)
        if (const auto r = alarm.pass(timers, s)) rung.emplace_back(s, r->late);
    REQUIRE(rung.size() == 7);
    const double at[]{100, 160, 220, 280, 340, 400, 460};  // 340 is a minute before it is too late
    for (size_t i = 0; i < rung.size(); ++i) {
        CHECK(rung[i].first == at[i]);
        CHECK(rung[i].second == (at[i] >= 340));
    }
}

TEST_CASE("what nearly is too late rings at once, though it rang a moment ago") {
    Alarm alarm;
    CHECK(alarm.pass({{"a", "", 0, 100}}, 10)->late == false);
    CHECK_FALSE(alarm.pass({{"a", "", 0, 100}}, 39));
    const auto r = alarm.pass({{"a", "", 0, 100}}, 40);
    REQUIRE(r);
    CHECK(r->late);
}

TEST_CASE("what was answered rings again when it comes back") {
    Alarm alarm;
    CHECK(alarm.pass({{"a", "", 0, -1}}, 0));
    CHECK_FALSE(alarm.pass({}, 5));
    CHECK_FALSE(alarm.pass({{"a", "", 20, -1}}, 10));  // “not yet”
    CHECK(alarm.pass({{"a", "", 20, -1}}, 20));
}

TEST_CASE("of two at once the one that is nearly too late is told; a pot and a step of one name are two") {
    Alarm alarm;
    const auto r = alarm.pass({{"a", "", 0, -1}, {"", "dark", 0, 30}}, 0);
    REQUIRE(r);
    CHECK(r->late);
    CHECK(r->timer.pot == "dark");
}

TEST_CASE("whatever falls due, nothing rings before its time nor twice within half a minute, and nothing is left out") {
    std::mt19937 random(11);
    for (int k = 0; k < 300; ++k) {
        Alarm alarm;
        std::vector<Timer> all;
        for (unsigned i = 0; i < 1 + random() % 6; ++i) {
            const double due = random() % 600;
            all.push_back({"s" + std::to_string(i), "", due, random() % 2 ? due + random() % 900 : -1});
        }
        double last = -1e9, first = 1e9;
        bool rung = false;
        for (const auto& t : all) first = std::min(first, t.due);
        for (double s = 0; s < 1500; s += 0.5) {
            const auto r = alarm.pass(all, s);
            if (!r) continue;
            CHECK(r->timer.due <= s);
            if (!rung) CHECK(s == first);
            rung = true;
            last = s;
        }
        CHECK(rung);
        CHECK(last > 1500 - 61);  // nobody answered: it still rings
    }
}

TEST_CASE("quiet hours go over midnight, or not, and have an end") {
    run::Aloud a;
    CHECK_FALSE(isQuiet(a, 23 * 60));  // none are wished
    a.hours = true;
    for (const auto& [minute, quiet] : std::vector<std::pair<int, bool>>{
             {21 * 60 + 59, false}, {22 * 60, true}, {0, true}, {6 * 60 + 59, true}, {7 * 60, false}, {12 * 60, false}})
        CHECK(isQuiet(a, minute) == quiet);
    a.from = 13 * 60, a.to = 15 * 60;
    CHECK(isQuiet(a, 14 * 60));
    CHECK_FALSE(isQuiet(a, 15 * 60));
    CHECK_FALSE(isQuiet(a, 0));
    a.to = a.from;
    for (int m = 0; m < 1440; m += 30) CHECK_FALSE(isQuiet(a, m));
}

TEST_CASE("a step is said as people speak: units as words, spans with “to”") {
    run::BenchStep s;
    s.title = "Coat bowls 1–6 at 32 °C";
    s.figures = {{"259 g", "from the pot"}, {"40 s", "pour out and drain"}, {"1.2 kg", "in all"}, {"3½ oz", "each"}};
    s.cautions = {"Hot sugar at 150 °C burns."};
    const std::string said = run::spokenStep(s);
    CHECK(said ==
          "Coat bowls 1 to 6 at 32 degrees. 259 grams from the pot. 40 seconds pour out and drain. 1.2 kilograms in "
          "all. 3½ "
          "ounces each. Hot sugar at 150 degrees burns.");
    for (const auto& [written, said_] :
         std::vector<std::pair<std::string, std::string>>{{"2.5 mm wall", "2.5 millimetres wall"},
                                                          {"20 min", "20 minutes"},
                                                          {"1 min", "1 minute"},
                                                          {"1 g", "1 gram"},
                                                          {"−18 °C", "minus 18 degrees"},
                                                          {"3 in the mold", "3 in the mold"},
                                                          {"90 °F", "90 degrees"},
                                                          {"250 ml", "250 millilitres"},
                                                          {"golden", "golden"},
                                                          {"2 golden eggs", "2 golden eggs"},
                                                          {"8 cm", "8 centimetres"}})
        CHECK(spoken(written) == said_);
}

}  // namespace alarm_test
