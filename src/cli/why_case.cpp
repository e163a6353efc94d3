#include "cli/why_case.h"

#include "cli/case_words.h"
#include "core/why/diagnosis.h"
#include "io/data.h"

namespace uovo::cli {
namespace {

using nlohmann::json;

why::Case readCase(const json& given) {
    auto plan = readPlan(given.at("plan").dump());
    if (!plan) throw Problem(plan.error());
    why::Case out;
    out.plan = std::move(*plan);
    out.piece = given.at("piece");
    out.fault = given.at("fault");
    if (given.contains("given")) out.given = given.at("given").get<why::Figures>();
    if (given.contains("answers")) out.answered = given.at("answers").get<std::map<std::string, bool>>();
    return out;
}

}  // namespace

tl::expected<json, Problem> whyCase(const json& given) {
    return guarded([&] {
        Cache cache;
        const auto bench = why::Inquiry::of(readCase(given), io::library(), cache);
        if (!bench) throw Problem(bench.error());
        const auto d = bench->diagnose();
        json out{{"format", "uovo-why-answers"}, {"fault", d.fault->name}, {"chance", d.comes}, {"other", d.other}};
        for (const auto& s : d.suspects) {
            json cause{{"id", s.cause->id},
                       {"words", s.cause->words},
                       {"probability", s.p},
                       {"advice", s.cause->advice},
                       {"question", s.cause->check.question},
                       {"bits", s.bits}};
            if (s.computed) cause["computed"] = *s.computed, cause["reason"] = s.reason;
            if (const auto tried = bench->tried(*s.cause, cache))
                cause["change"] = {{"title", tried->title}, {"planned", !tried->plan}, {"before", tried->before},
                                   {"after", tried->after}, {"mass", tried->grams},    {"seconds", tried->seconds}};
            out["causes"].push_back(std::move(cause));
        }
        if (!d.ask.empty()) out["ask"] = d.ask;
        return out;
    });
}

int why(const std::vector<std::string>& args) { return runCase(args, whyCase); }

}  // namespace uovo::cli
