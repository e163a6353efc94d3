// uovo-cli day: the day of a plan as a list, or as a calendar.
#include <algorithm>
#include <charconv>
#include <cstdio>

#include "cli/commands.h"
#include "core/words/words.h"
#include "io/calendar.h"
#include "io/data.h"
#include "io/plan_file.h"

namespace uovo::cli {

int day(const std::vector<std::string>& args) {
    std::optional<size_t> person;
    if (const auto* said = valueAfter(args, "--person")) {
        size_t number = 0;
        const auto [end, error] = std::from_chars(said->data(), said->data() + said->size(), number);
        if (error != std::errc() || number < 1) {
            std::fputs("uovo-cli: --person wants a number, 1 is the cook\n", stderr);
            return 2;
        }
        person = number - 1;
    }
    const auto plan = planFrom(args);
    if (!plan) return 1;
    Cache cache;
    AnswerOptions options;
    options.chance = true;
    options.ways = false;
    const auto all = answer(*plan, io::library(), cache, options);
    if (!all) return 1;
    for (const auto& p : all->problems) std::fprintf(stderr, "%s: %s\n", p.where.c_str(), p.sentence.c_str());
    if (!all->day) return 1;
    if (person && *person >= all->day->network.people.size() && all->day->problem.empty()) {
        std::fprintf(stderr, "uovo-cli: there are %zu people\n", all->day->network.people.size());
        return 2;
    }
    if (const auto* path = valueAfter(args, "--calendar"); path && all->day->problem.empty()) {
        const auto done = io::writeWhole(*path, io::calendarOf(*plan, *all->day, person, nowMinutes()));
        if (!done) std::fprintf(stderr, "uovo-cli: %s\n", done.error().sentence.c_str());
        return done ? 0 : 1;
    }
    std::fputs(dayText(*plan, io::library(), *all->day, all->chance.get(), person).c_str(), stdout);
    return all->day->problem.empty() && all->day->found.layout.broken.empty() ? 0 : 1;
}

}  // namespace uovo::cli
