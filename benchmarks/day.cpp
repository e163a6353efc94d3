// Days: what each kind of wish comes to, and how fast. With --long also how far other seeds and a minute's search are
// from what the program finds; with --write FOLDER the plans as files, to be read as lists.
#include <cstring>

#include "core/answers/answers.h"
#include "core/day/chance.h"
#include "core/day/from_now.h"
#include "core/material/colour.h"
#include "io/plan_file.h"
#include "timing.h"
#include "wishes.h"

using namespace uovo;

namespace {

AnswerOptions dayOnly(std::shared_ptr<const DayPlan> before = nullptr) {
    AnswerOptions o;
    o.strength = o.ways = false;
    o.before = std::move(before);
    return o;
}

int minutesOfHands(const DayPlan& day) {
    int out = 0;
    for (const auto& t : day.network.tasks)
        if (t.step != "rest") out += t.minutes * t.hands;
    return out;
}

int many(const DayPlan& day, const char* step) {
    int out = 0;
    for (const auto& t : day.network.tasks) out += t.step == step;
    return out;
}

double msOf(const std::function<void()>& what) { return median(1, what); }

/// Steps whose order against the step before them in the old day has turned.
int turned(const DayPlan& before, const DayPlan& now) {
    std::map<std::string, int> at;
    for (size_t i = 0; i < now.asked.tasks.size(); ++i) at[now.asked.tasks[i].id] = now.found.layout.start[i];
    std::vector<std::pair<int, std::string>> order;
    for (size_t i = 0; i < before.asked.tasks.size(); ++i)
        if (before.found.layout.isDone(int(i)) && at.contains(before.asked.tasks[i].id))
            order.emplace_back(before.found.layout.start[i], before.asked.tasks[i].id);
    std::sort(order.begin(), order.end());
    int out = 0;
    for (size_t i = 1; i < order.size(); ++i)
        out += at[order[i].second] < at[order[i - 1].second] && order[i].first > order[i - 1].first;
    return out;
}

void edited(const char* name, const Plan& plan, Cache& cache, const std::shared_ptr<const DayPlan>& before) {
    const auto known = *answer(plan, io::library(), cache, [] {
        AnswerOptions o;
        o.day = o.strength = o.ways = false;
        return o;
    }());
    std::shared_ptr<const DayPlan> now;
    const auto lib = material::withColours(io::library(), plan.colours);
    const double ms = msOf(
        [&] { now = std::make_shared<const DayPlan>(layDay(plan, lib, known, rememberedSolve(cache), before.get())); });
    std::printf("  %-34s %6.0f ms, %d of %zu steps in another order\n", name, ms, turned(*before, *now),
                before->asked.tasks.size());
}

}  // namespace

int main(int argc, char** argv) {
    const bool farther = argc > 1 && std::strcmp(argv[1], "--long") == 0;
    const auto all = bench::wishes();
    if (argc > 2 && std::strcmp(argv[1], "--write") == 0) {
        for (const auto& w : all)
            (void)io::writeWhole(std::string(argv[2]) + "/" + w.name + ".uovo", writePlan(w.plan));
        return 0;
    }
    std::puts(
        "wish                 steps  begin  temper  cups  hands  broken  free  ready  rests   ms  1st ms  chance ms");
    for (const auto& w : all) {
        Cache cache;
        AnswerOptions without = dayOnly();
        without.day = false;
        const auto known = answer(w.plan, io::library(), cache, without);
        const auto lib = material::withColours(io::library(), w.plan.colours);
        DayPlan day;
        const double ms = msOf([&] { day = layDay(w.plan, lib, *known, rememberedSolve(cache)); });
        if (!day.problem.empty()) {
            std::printf("%-20s %s\n", w.name.c_str(), day.problem.c_str());
            for (const auto& p : known->problems) std::printf("   %s: %s\n", p.where.c_str(), p.sentence.c_str());
            continue;
        }
        const double first = msOf([&] {
            schedule::Effort one;
            one.decodes = 1;
            (void)schedule::layOut(day.asked, one);
        });
        Chance chance;
        const double played = msOf([&] { chance = chanceOf(w.plan, *known, lib, day); });
        std::printf("%-20s %5zu  %s %6d %5d %6d %7zu %5d  %.2f %6zu %5.0f %7.1f %9.0f\n", w.name.c_str(),
                    day.asked.tasks.size(), day.clock(day.layout.begins).substr(11).c_str(), many(day, "temper"),
                    many(day, "warm"), minutesOfHands(day), day.found.layout.broken.size(), day.reserve, chance.onTime,
                    day.found.layout.rests.size(), ms, first, played);
        if (!farther) continue;
        std::printf("  by seed:");
        for (const unsigned seed : {1U, 2U, 3U, 4U, 5U}) {
            auto effort = schedule::Effort::quick(day.asked);
            effort.seed = seed;
            std::printf(" %.0f", schedule::layOut(day.asked, effort)->price.cost);
        }
        auto five = schedule::Effort::quick(day.asked), sixty = five;
        five.decodes = static_cast<int>(five.decodes * 5000 / std::max(50.0, ms));
        sixty.decodes = 12 * five.decodes;
        double a = 0, b = 0;
        const double fiveMs = msOf([&] { a = schedule::layOut(day.asked, five)->price.cost; }),
                     sixtyMs = msOf([&] { b = schedule::layOut(day.asked, sixty)->price.cost; });
        std::printf("; ours %.0f, after %.1f s %.0f, after %.0f s %.0f (%.1f %%)\n", day.found.price.cost,
                    fiveMs / 1000, a, sixtyMs / 1000, b, 100 * (a / b - 1));
    }
    std::puts("the demo, edited");
    const Plan demo = all.front().plan;
    Cache cache;
    const auto before = answer(demo, io::library(), cache, dayOnly())->day;
    Plan more = demo;
    more.pieces[0].count += 4;
    edited("4 bowls more", more, cache, before);
    for (size_t k = 0; k < demo.pieces.size(); ++k) {
        Plan third = demo;
        auto& making = third.pieces[k].making;
        const auto last = std::find_if(making.rbegin(), making.rend(),
                                       [](const Step& s) { return std::holds_alternative<PlannedCoat>(s); });
        if (last == making.rend()) continue;
        making.insert(last.base(), Step(*last));
        edited(("one coat more: " + demo.pieces[k].id).c_str(), third, cache, before);
    }
    const auto known = *answer(demo, io::library(), cache, dayOnly());
    const auto lib = material::withColours(io::library(), demo.colours);
    std::vector<double> times;
    for (int k = 1; k < 20; ++k) {
        DayNow now = asPlanned(*before, before->end + before->layout.begins * (20 - k) / 20);
        now.minute += 20;  // late
        times.push_back(msOf([&] { (void)layRest(demo, lib, known, now, *before); }));
    }
    std::sort(times.begin(), times.end());
    std::printf("  twenty minutes late: median %.0f, most %.0f ms (asked: 300)\n", times[times.size() / 2],
                times.back());
}
