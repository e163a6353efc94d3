// What a person wishes of the day and fixes in it: kept in the file, and done.
#include <set>

#include "core/day/lanes.h"
#include "core/day/ways.h"
#include "core/document/difference.h"
#include "core/material/colour.h"
#include "core/words/words.h"
#include "support_day.h"

namespace uovo::day_wish_test {
namespace {

using test::bowls;

std::shared_ptr<const DayPlan> dayOf(const Plan& plan) {
    const auto a = test::answersOf(plan);
    REQUIRE(a.day);
    REQUIRE(a.day->problem.empty());
    CHECK(schedule::check(a.day->asked, a.day->found.layout).empty());
    return a.day;
}

int startOf(const DayPlan& day, const std::string& id) {
    for (size_t i = 0; i < day.network.tasks.size(); ++i)
        if (day.network.tasks[i].id == id) return day.layout.start[i];
    FAIL("no step " << id);
    return 0;
}

int many(const DayPlan& day, const std::string& step) {
    return static_cast<int>(std::count_if(day.network.tasks.begin(), day.network.tasks.end(),
                                          [&](const schedule::Task& t) { return t.step == step; }));
}

/// Steps that come in another order than they did, counted as pairs of neighbours before.
int outOfOrder(const DayPlan& before, const DayPlan& now) {
    std::vector<std::pair<int, std::string>> order;
    for (size_t i = 0; i < before.asked.tasks.size(); ++i)
        if (before.found.layout.isDone(int(i)) && before.asked.tasks[i].step != "rest")
            order.emplace_back(before.found.layout.start[i], before.asked.tasks[i].id);
    std::sort(order.begin(), order.end());
    int wrong = 0;
    for (size_t i = 1; i < order.size(); ++i) {
        const auto at = [&](const std::string& id) {
            for (size_t k = 0; k < now.asked.tasks.size(); ++k)
                if (now.asked.tasks[k].id == id) return now.found.layout.start[k];
            return 0;
        };
        wrong += at(order[i].second) < at(order[i - 1].second) && order[i].first > order[i - 1].first;
    }
    return wrong;
}

}  // namespace

TEST_CASE("wishes, pins, ticks and helpers are kept in the file") {
    Plan plan = test::demo();
    plan.kitchen.cook.from = "09:00";
    plan.kitchen.helpers = {{"Nele", "16:00", "20:00", false, true, ""}, {"", "", "", true, false, ""}};
    plan.day.aim = DayWish::Aim::Calm;
    plan.day.chance = 0.8;
    plan.day.pins = {{"crater-bowl/1/coat-1", 15 * 60 + 30}};
    plan.day.free = {{18 * 60, 19 * 60}};
    plan.day.done = {"clear-shelf"};
    plan.day.ahead = {{"crater-bowl", 1}};
    plan.day.rounds = {{"lens-cup", 4}};
    const auto read = readPlan(writePlan(plan));
    REQUIRE(read);
    CHECK(*read == plan);
    CHECK(problems(*read, io::library()).empty());
}

TEST_CASE("hands and their hour as older files say them become helpers") {
    Plan plan = test::demo();
    plan.kitchen.helpers.clear();
    std::string text = writePlan(plan);
    text.insert(text.find("\"fan\""), "\"hands\": 3, \"helpersFrom\": \"16:00\", ");
    const auto read = readPlan(text);
    REQUIRE(read);
    REQUIRE(read->kitchen.helpers.size() == 2);
    CHECK(read->kitchen.helpers[1].from == "16:00");
    CHECK(read->kitchen.helpers[1].hot);
    for (const char* hands : {"0", "99", "-3"}) {
        std::string wrong = writePlan(plan);
        wrong.insert(wrong.find("\"fan\""), std::string("\"hands\": ") + hands + ", ");
        CHECK_FALSE(readPlan(wrong));
    }
}

TEST_CASE("what cannot be wished is said at its place") {
    const auto where = [](const std::function<void(Plan&)>& change) {
        Plan plan = test::demo();
        change(plan);
        std::set<std::string> out;
        for (const auto& p : problems(plan, io::library(), false)) out.insert(p.where);
        return out;
    };
    CHECK(where([](Plan& p) { p.day.chance = 1.2; }).contains("day/chance"));
    CHECK(where([](Plan& p) { p.day.pins = {{"x", 1 << 20}}; }).contains("day/pins/0"));
    CHECK(where([](Plan& p) { p.day.free = {{60, 60}}; }).contains("day/free/0"));
    CHECK(where([](Plan& p) { p.day.ahead["crater-bowl"] = 9; }).contains("day/ahead/crater-bowl"));
    CHECK(where([](Plan& p) { p.day.rounds["crater-bowl"] = 0; }).contains("day/rounds/crater-bowl"));
    CHECK(where([](Plan& p) { p.kitchen.cook.from = "soon"; }).contains("kitchen/cook/from"));
    CHECK(where([](Plan& p) { p.kitchen.helpers[0].until = "15:00"; }).contains("kitchen/helpers/0/until"));
    CHECK(where([](Plan&) {}).empty());
}

TEST_CASE("a pinned step stands at its time, and the rest gives way") {
    Plan plan = bowls(8);
    const auto free = dayOf(plan);
    const int wanted = startOf(*free, "crater-bowl/1/coat-1") - 45;
    const auto local = localMinutes(free->clock(wanted));
    const long midnight = *localMinutes(plan.deadline) / 1440 * 1440;
    plan.day.pins = {{"crater-bowl/1/coat-1", static_cast<int>(*local - midnight)}};
    const auto pinned = dayOf(plan);
    CHECK(startOf(*pinned, "crater-bowl/1/coat-1") == wanted);
    CHECK(pinned->found.layout.broken.empty());
    plan.day.pins[0].step = "no-such-step";  // of a piece that is gone: nothing happens
    CHECK(dayOf(plan)->found.layout.start == free->found.layout.start);
}

TEST_CASE("two pins on one pair of hands: one holds, the other is told") {
    Plan plan = bowls(16);
    plan.day.pins = {{"crater-bowl/1/coat-1", 17 * 60}, {"crater-bowl/2/coat-1", 17 * 60}};
    const auto day = dayOf(plan);
    const auto told = brokenWindows(*day, UnitSystem::Metric);
    REQUIRE_FALSE(told.empty());
    CHECK(std::any_of(told.begin(), told.end(),
                      [](const std::string& s) { return s.find("pinned") != std::string::npos; }));
}

TEST_CASE("in hours kept free nobody works") {
    Plan plan = bowls(8);
    plan.day.free = {{18 * 60, 19 * 60}};
    const auto day = dayOf(plan);
    for (size_t i = 0; i < day->network.tasks.size(); ++i) {
        if (day->network.tasks[i].step == "burst") continue;
        const std::string from = day->clock(day->layout.start[i]).substr(11),
                          to = day->clock(day->layout.start[i] + day->network.tasks[i].minutes).substr(11);
        INFO(day->network.tasks[i].title << " " << from << "–" << to);
        CHECK((to <= "18:00" || from >= "19:00"));
    }
}

TEST_CASE("people work in their hours, by what they may do") {
    Plan plan = test::demo();
    plan.kitchen.helpers = {{"Nele", "16:00", "19:00", false, true, ""}, {"Ida", "17:00", "", true, false, ""}};
    const auto day = dayOf(plan);
    bool nele = false, ida = false;
    for (size_t i = 0; i < day->network.tasks.size(); ++i) {
        const auto& t = day->network.tasks[i];
        const std::string from = day->clock(day->layout.start[i]).substr(11),
                          to = day->clock(day->layout.start[i] + t.minutes).substr(11);
        if (day->layout.who[i] & 2) {
            nele = true;
            CHECK((from >= "16:00" && to <= "19:00"));
            CHECK((t.skills & schedule::kHot) == 0);
        }
        if (day->layout.who[i] & 4) {
            ida = true;
            CHECK(from >= "17:00");
            CHECK((t.skills & schedule::kKnife) == 0);
        }
    }
    CHECK(nele);
    CHECK(ida);
}

TEST_CASE("hours that meet nothing of the day leave the helper out; a cook who is never there is told") {
    Plan plan = bowls(4);
    plan.deadline = "2026-08-04T12:00";
    plan.kitchen.helpers = {{"Nele", "14:00", "16:00", true, true, ""}};
    const auto day = dayOf(plan);
    for (const unsigned who : day->layout.who) CHECK((who & 2) == 0);
    plan.kitchen.helpers.clear();
    plan.kitchen.cook.from = "11:55";  // and there is no evening before
    plan.kitchen.cook.until = "11:58";
    const auto a = test::answersOf(plan);
    REQUIRE(a.day);
    CHECK((!a.day->problem.empty() || !a.day->found.layout.broken.empty()));
}

TEST_CASE("shells are made the day before, nobody works at night, and the rest is done on the day") {
    Plan plan = test::demo();
    plan.pieces.resize(2);
    plan.day.ahead = {{plan.pieces[0].id, 1}};
    const auto day = dayOf(plan);
    const std::string today = plan.deadline.substr(0, 10);
    int before = 0;
    for (size_t i = 0; i < day->network.tasks.size(); ++i) {
        const auto& t = day->network.tasks[i];
        if (t.step == "burst") continue;
        const std::string from = day->clock(day->layout.start[i]), to = day->clock(day->layout.start[i] + t.minutes);
        INFO(t.title << " " << from);
        CHECK((from.substr(11) >= "08:00" || from.substr(0, 10) == today));
        if (t.piece == plan.pieces[0].id && t.lane == "coat") {
            CHECK(to.substr(0, 10) < today);
            CHECK(to.substr(11) <= "22:00");
            ++before;
        }
        if (t.piece == plan.pieces[1].id && t.lane == "coat") CHECK(from.substr(0, 10) == today);
    }
    CHECK(before >= 2);
}

TEST_CASE("smaller rounds are as small as wished") {
    Plan plan = bowls(8);
    plan.day.rounds = {{"crater-bowl", 3}};
    const auto day = dayOf(plan);
    int rounds = 0;
    for (const auto& t : day->network.tasks) rounds = std::max(rounds, t.round);
    const int make = test::answersOf(plan).pieces[0]->make;
    CHECK(rounds == (make + 2) / 3);
}

TEST_CASE("the demo's day fits into the hours for which it is put off to the next evening") {
    const Plan plan = test::demo();
    const auto day = test::answersOf(plan).day;
    REQUIRE(day->problem.empty());
    CHECK(day->minuteOf(*localMinutes(plan.deadline)) - day->layout.begins <= io::kDemoLead);
}

TEST_CASE("each wish is followed") {
    Plan plan = test::demo();
    const auto with = [&](DayWish::Aim aim) {
        plan.day.aim = aim;
        return dayOf(plan);
    };
    const auto late = with(DayWish::Aim::Late), early = with(DayWish::Aim::Early),
               few = with(DayWish::Aim::FewTemperings), shortly = with(DayWish::Aim::ShortSpells),
               evening = with(DayWish::Aim::FreeEvening);
    CHECK(early->layout.begins < late->layout.begins);
    CHECK(many(*few, "temper") <= many(*late, "temper"));
    CHECK(many(*late, "temper") <= 5);
    CHECK(many(*shortly, "rest") > many(*late, "rest"));
    for (size_t i = 0; i < evening->network.tasks.size(); ++i)
        if (evening->network.tasks[i].lane == "coat") {
            INFO(evening->network.tasks[i].title);
            CHECK(evening->clock(evening->layout.start[i] + evening->network.tasks[i].minutes).substr(11) <= "18:00");
        }
}

// Four more bowls leave most of the day in its order, a third coat nearly all of it.
TEST_CASE("after an edit the day stays near to what it was, and says what moved") {
    Plan plan = test::demo();
    Cache cache;
    const auto options = [](std::shared_ptr<const DayPlan> before) {
        AnswerOptions o = test::withoutStrength();
        o.before = std::move(before);
        return o;
    };
    const auto before = answer(plan, io::library(), cache, options(nullptr))->day;
    plan.pieces[0].count += 4;
    const auto more = answer(plan, io::library(), cache, options(before))->day;
    REQUIRE(more->problem.empty());
    CHECK(schedule::check(more->asked, more->found.layout).empty());
    const int moved = outOfOrder(*before, *more);
    CHECK(moved <= 30);
    Cache other;
    CHECK(moved < outOfOrder(*before, *answer(plan, io::library(), other, options(nullptr))->day));
    const std::string said = movedWords(*before, *more, UnitSystem::Metric);
    INFO(said);
    CHECK_FALSE(said.empty());
    CHECK(movedWords(*before, *before, UnitSystem::Metric).empty());
    plan.pieces[0].count -= 4;  // undone: the day is what it was
    CHECK(answer(plan, io::library(), cache, options(more))->day->found.layout.start == before->found.layout.start);
}

TEST_CASE("a plan opens with the day that its file keeps, however it came about, as long as its steps are the same",
          "[long]") {
    for (const auto aim : {DayWish::Aim::Late, DayWish::Aim::Early, DayWish::Aim::Calm}) {
        Plan plan = test::bowls(12);
        plan.day.aim = aim;
        Cache cache;
        AnswerOptions options = test::asTheProgram();
        options.before = answer(plan, io::library(), cache, options)->day;
        plan.pieces[0].count = 15;
        const auto edited = *answer(plan, io::library(), cache, options)->day;
        REQUIRE(edited.problem.empty());
        plan.day.laid = laidOf(edited);
        CHECK(plan.day.laid.steps.size() == edited.asked.tasks.size());
        const auto back = readPlan(writePlan(plan));
        REQUIRE(back);
        CHECK(*back == plan);
        const auto opened = *test::answersOf(*back).day;
        CHECK(opened.layout.start == edited.layout.start);
        CHECK(opened.end == edited.end);
        CHECK(opened.found.genes == edited.found.genes);
        CHECK(schedule::check(opened.network, opened.layout).empty());
        Plan other = *back;  // of other steps it is no day
        other.pieces[0].count = 40;
        const auto anew = *test::answersOf(other).day;
        other.day.laid = {};
        CHECK(anew.layout.start == test::answersOf(other).day->layout.start);
        CHECK(differences(plan,
                          [&] {
                              Plan bare = plan;
                              bare.day.laid = {};
                              return bare;
                          }())
                  .empty());
    }
}

TEST_CASE("what would help is laid out, and does what it says") {
    Plan plan = bowls(30);
    const auto a = test::answersOf(plan);
    Cache cache;
    const auto solve = rememberedSolve(cache, {}, test::withoutStrength().effort);
    int told = 0;
    const auto ways = dayWays(plan, io::library(), a, *a.day, solve, {}, [&](int, int) { ++told; });
    CHECK(told >= 2);
    REQUIRE_FALSE(ways.empty());
    for (const auto& way : ways) {
        INFO(way.id << " " << way.gain);
        CHECK((way.gain >= 15 || way.mended > 0));
        if (way.without) continue;
        Plan other = plan;
        way.change(other);
        const auto b = test::answersOf(other);
        CHECK(b.day->layout.begins == way.begins);
    }
    std::stop_source stop;
    stop.request_stop();
    CHECK(dayWays(plan, io::library(), a, *a.day, solve, stop.get_token()).empty());
}

TEST_CASE("castings left on the bench: their longer times are computed, and the day is the one that is promised",
          "[long]") {
    Plan plan = test::demo();
    plan.kitchen.shelfDepth = Measure(0.16);
    const auto a = test::answersOf(plan);
    REQUIRE(a.day->problem.empty());
    const auto lib = material::withColours(io::library(), plan.colours);
    Cache cache;
    const auto solve = rememberedSolve(cache, {}, test::withoutStrength().effort);
    const auto refigure = [](const Plan& other) {
        return std::make_shared<const PlanFigures>(test::answersOf(other, test::withoutDay()));
    };
    const auto without = dayWays(plan, lib, a, *a.day, solve);
    CHECK(std::ranges::find(without, "bench", &DayWay::id) == without.end());
    const auto ways = dayWays(plan, lib, a, *a.day, solve, {}, {}, refigure);
    const auto way = std::ranges::find(ways, "bench", &DayWay::id);
    REQUIRE(way != ways.end());
    Plan other = plan;
    way->change(other);
    for (const auto& p : other.pieces)
        for (const auto& c : p.casts()) CHECK(c.place != coat::Place::Fridge);
    const auto b = test::answersOf(other);
    CHECK(b.day->layout.begins == way->begins);
}

TEST_CASE("blocks hold every step of a person once, in order, none too narrow where there is room") {
    const auto day = dayOf(test::demo());
    for (size_t p = 0; p < day->network.people.size(); ++p) {
        const auto flows = flowsOf(*day, p, 15, 25);
        std::vector<int> all;
        int before = INT_MIN;
        for (const auto& f : flows) {
            CHECK(f.from >= before);
            before = f.from;
            CHECK_FALSE(f.verb.empty());
            for (const int t : f.tasks) {
                all.push_back(t);
                CHECK(day->layout.start[size_t(t)] >= f.from);
                CHECK(day->layout.start[size_t(t)] + day->network.tasks[size_t(t)].minutes <= f.to);
            }
        }
        size_t mine = 0;
        for (size_t i = 0; i < day->network.tasks.size(); ++i)
            mine += (day->layout.who[i] >> p & 1) != 0 && day->network.tasks[i].step != "burst";
        CHECK(all.size() == mine);
        CHECK(std::set<int>(all.begin(), all.end()).size() == mine);
        CHECK(flows.size() >= 6);
        CHECK(flows.size() < mine);
    }
}

TEST_CASE("pots empty as they are drawn from, places are never over full, bursts are told once each") {
    const auto day = dayOf(test::demo());
    size_t bursts = 0;
    for (const auto& b : potBandsOf(*day)) {
        INFO(b.name);
        CHECK(b.melt <= b.ready);
        CHECK(b.ready <= b.to);
        double level = b.most + 1e-9;
        for (const auto& [minute, kg] : b.level) {
            CHECK(kg <= level);
            CHECK(kg >= -1e-6);
            level = kg;
        }
        bursts += b.bursts.size();
    }
    const auto order = stepsInOrder(*day);
    size_t told = 0, within = 0;  // a step that draws longer than its pot stays warm
    for (const auto& step : burstsAfter(*day, order))
        for (const auto& b : step) told += b.minutes.size();
    for (const auto& s : day->found.layout.sittings)
        for (const int t : s.uses)
            within += size_t((day->asked.tasks[size_t(t)].minutes - 1) /
                             schedule::usableMinutes(day->asked.pots[size_t(s.pot)], s.draw, s.bath));
    CHECK(told == bursts + within);
    CHECK(bursts > 5);
    for (size_t r = 0; r < day->network.resources.size(); ++r)
        for (const auto& s : staysIn(*day, r)) {
            CHECK(s.at >= 0);
            CHECK(s.at + s.share <= 1 + 1e-9);
            CHECK(s.from < s.to);
        }
}

TEST_CASE("a pot that is drawn from for long is warmed meanwhile, never later than it stays usable") {
    const auto day = dayOf(test::demo());
    const auto order = stepsInOrder(*day);
    const auto bursts = burstsAfter(*day, order);
    int longest = 0;
    for (const auto& s : day->found.layout.sittings) {
        const int usable = schedule::usableMinutes(day->asked.pots[size_t(s.pot)], s.draw, s.bath);
        for (const int t : s.uses) {
            const auto& task = day->asked.tasks[size_t(t)];
            for (size_t k = 0; k < order.size(); ++k) {
                if (day->network.tasks[order[k]].id != task.id) continue;
                const int start = day->layout.start[order[k]];
                int warm = start;
                for (const auto& b : bursts[k])
                    for (const int m : b.minutes)
                        if (m > start && m < start + task.minutes) {
                            CHECK(m - warm <= usable);
                            warm = m;
                        }
                CHECK(start + task.minutes - warm <= usable);
                longest = std::max(longest, task.minutes - usable);
            }
        }
    }
    CHECK(longest > 0);
}

}  // namespace uovo::day_wish_test
