// Speeds that matter to a person at the bench. Prints medians in milliseconds; nothing here is a test.
#include "core/answers/answers.h"
#include "core/coat/band.h"
#include "core/material/colour.h"
#include "core/run/rehearse.h"
#include "core/schedule/solver.h"
#include "io/data.h"
#include "timing.h"

using namespace uovo;

int main() {
    const auto& lib = io::library();
    const Plan whole = io::demoPlan(20669L * 1440);
    Plan plan = whole;  // bowls and cups
    plan.pieces.resize(2);
    const auto job = *coatJob(plan.pieces[0], plan, lib, 200);
    row("profile of 200 cells, two coats, with heat", median(21, [&] { (void)coat::coat(job); }), 10);
    const auto coarse = *coatJob(plan.pieces[0], plan, lib, 36);
    row("band: 16 runs on 36 cells, two threads", median(11, [&] { (void)coat::band(coarse, {4, 2.7, 1, 20}); }), 80);
    const auto hundred = *coatJob(plan.pieces[0], plan, lib, 100);
    row("band: 16 runs on 100 cells, two threads", median(7, [&] { (void)coat::band(hundred, {4, 2.7, 1, 20}); }), 80);
    AnswerOptions noDay;
    noDay.day = false;
    row("all answers of all seven families from nothing, no day",
        median(7,
               [&] {
                   Cache c;
                   (void)answer(whole, lib, c, noDay);
               }),
        400);
    row("all answers of bowls and cups from nothing, no day",
        median(11,
               [&] {
                   Cache c;
                   (void)answer(plan, lib, c, noDay);
               }),
        150);
    Cache cache;
    (void)answer(plan, lib, cache);
    double depth = 0.060;
    row("edit a bowl, new answers, no day",
        median(21,
               [&] {
                   Plan edited = plan;
                   edited.pieces[0].shape.values["dip"] = depth += 1e-4;
                   (void)answer(edited, lib, cache, noDay);
               }),
        100);
    row("edit a count, new answers, no day",
        median(21,
               [&] {
                   Plan edited = plan;
                   edited.pieces[0].count = 10 + static_cast<int>(depth += 1) % 9;
                   (void)answer(edited, lib, cache, noDay);
               }),
        100);
    const auto all = *answer(whole, lib, cache);
    row("tempering and batches of every pot of the evening", median(21, [&] { (void)meltPlans(whole, lib, all.pots); }),
        10);
    const auto& net = all.day->asked;
    std::printf("day of %zu tasks, %zu pots; windows broken: %zu\n", net.tasks.size(), net.pots.size(),
                all.day->found.layout.broken.size());
    schedule::Effort first;
    first.starts = first.decodes = 20;
    row("day plan, 20 layouts", median(5, [&] { (void)schedule::layOut(net, first); }), 100);
    row("day plan, as much as is waited for",
        median(5, [&] { (void)schedule::layOut(net, schedule::Effort::quick(net)); }), 1000);
    const auto coloured = material::withColours(lib, whole.colours);
    const long begins = *localMinutes(all.day->clock(all.day->layout.begins));
    const int length = -all.day->layout.begins;
    int moment = 0;
    row("the rest of the day laid out anew, at a moment of it",
        median(21,
               [&] {
                   DayNow now = asPlanned(*all.day, begins + (moment += 37) % length);
                   now.minute += 15;
                   for (auto& [person, until] : now.busy) until = std::max(until, now.minute);
                   (void)layRest(whole, coloured, all, now, *all.day);
               }),
        300);
    unsigned seed = 0;
    row("the whole day rehearsed", median(5, [&] { (void)run::rehearse(whole, coloured, all, *all.day, ++seed); }),
        20000);
    std::puts("\ncells   two coats, ms");
    for (const int cells : {25, 50, 100, 200, 400, 800}) {
        const auto j = *coatJob(plan.pieces[0], plan, lib, cells);
        std::printf("%5d   %8.2f\n", cells, median(7, [&] { (void)coat::coat(j); }));
    }
}
