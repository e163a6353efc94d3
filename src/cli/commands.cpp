#include "cli/commands.h"

#include <algorithm>
#include <cstdio>
#include <ctime>
#include <iostream>
#include <iterator>

#include "core/answers/answers.h"
#include "io/data.h"
#include "io/plan_file.h"

namespace uovo::cli {

long nowMinutes() {
    const std::time_t t = std::time(nullptr);
    std::tm local{};
    localtime_r(&t, &local);
    return (static_cast<long>(t) + local.tm_gmtoff) / 60;
}

const std::string* valueAfter(const std::vector<std::string>& args, const char* option) {
    const auto at = std::find(args.begin(), args.end(), option);
    return at == args.end() || at + 1 == args.end() ? nullptr : &*(at + 1);
}

std::optional<Plan> planFrom(const std::vector<std::string>& args) {
    if (args.empty()) {
        std::fputs("uovo-cli: name a plan file\n", stderr);
        return std::nullopt;
    }
    tl::expected<Plan, Problem> plan = tl::unexpected(Problem{});
    if (args[0] == "-") plan = readPlan(std::string(std::istreambuf_iterator<char>(std::cin), {}));
    else plan = io::loadPlan(args[0]);
    if (!plan) {
        std::fprintf(stderr, "uovo-cli: %s: %s\n", args[0].c_str(), plan.error().sentence.c_str());
        return std::nullopt;
    }
    return *plan;
}

bool printed() {
    if (std::fflush(stdout) == 0 && !std::ferror(stdout)) return true;
    std::fputs("uovo-cli: the output could not be written whole\n", stderr);
    return false;
}

bool known(const std::vector<std::string>& args, std::initializer_list<const char*> options) {
    for (const auto& a : args) {
        if (!a.starts_with("--") || std::find(options.begin(), options.end(), a) != options.end()) continue;
        std::fprintf(stderr, "uovo-cli: “%s” is not an option of this command; see uovo-cli --help\n", a.c_str());
        return false;
    }
    return true;
}

int answers(const std::vector<std::string>& args) {
    if (!known(args, {"--no-day"})) return 2;
    const auto plan = planFrom(args);
    if (!plan) return args.empty() ? 2 : 1;
    AnswerOptions options;
    options.day = std::find(args.begin(), args.end(), "--no-day") == args.end();
    options.strength = options.together = options.day;
    Cache cache;
    const auto all = answer(*plan, io::library(), cache, options);
    if (!all) return 1;
    std::fputs(answersJson(*plan, *all).c_str(), stdout);
    return printed() && all->problems.empty() ? 0 : 1;
}

int check(const std::vector<std::string>& args) {
    if (!known(args, {})) return 2;
    const auto plan = planFrom(args);
    if (!plan) return args.empty() ? 2 : 1;
    const auto found = problems(*plan, io::library());
    for (const auto& p : found) std::printf("%s: %s\n", p.where.c_str(), p.sentence.c_str());
    if (const auto deadline = localMinutes(plan->deadline); deadline && *deadline < nowMinutes())
        std::puts("Mind: the time it must be ready has passed.");  // no reason to refuse answers
    const auto library = material::withColours(io::library(), plan->colours);
    for (const auto& piece : plan->pieces)
        for (const auto& b : orderBreaks(piece, *plan, library))
            std::printf("Mind: %s: %s\n", piece.name.c_str(), b.sentence.c_str());
    if (found.empty()) std::puts("The plan is in order.");
    return printed() && found.empty() ? 0 : 1;
}

int demo(const std::vector<std::string>& args) {
    if (!known(args, {})) return 2;
    std::fputs(writePlan(io::demoPlan(nowMinutes())).c_str(), stdout);
    return printed() ? 0 : 1;
}

}  // namespace uovo::cli
