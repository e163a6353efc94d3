// uovo-cli learn: what records teach, and what it changes in a plan.
#include <fmt/format.h>

#include <algorithm>
#include <cstdio>

#include "cli/case_words.h"
#include "cli/commands.h"
#include "core/learn/said.h"
#include "core/log/evening.h"
#include "core/material/colour.h"
#include "io/data.h"
#include "io/plan_file.h"

namespace uovo::cli {
namespace {

using nlohmann::json;
using namespace learn;

json bandJson(const Band& b) { return {{"low", b.low}, {"likely", b.likely}, {"high", b.high}}; }

json forecastJson(const std::optional<Forecast>& f) {
    if (!f) return nullptr;
    return {{"mass", bandJson(f->mass)}, {"rim", bandJson(f->rim)}, {"firm", bandJson(f->firm)}};
}

json learnedJson(const std::vector<Evening>& evenings, const Learned& known, const material::Library& lib) {
    json out{{"format", "uovo-learned"}, {"runs", known.fit.runs}, {"gain", known.fit.gain}};
    for (size_t i = 0; i < known.priors.size(); ++i)
        out["unknowns"].push_back(
            {{"id", known.priors[i].id},
             {"before", {{"mean", known.priors[i].mean}, {"sd", known.priors[i].sd}}},
             {"now", {{"mean", known.fit.unknowns[static_cast<Eigen::Index>(i)]}, {"sd", known.fit.sd(i)}}}});
    for (const auto& j : known.judged)
        out["records"].push_back({{"evening", evenings[j.evening].id},
                                  {"record", j.record},
                                  {"expected", j.expected},
                                  {"z", j.z},
                                  {"weight", j.weight}});
    for (const auto& l : lessons(known, evenings, lib))
        out["lessons"].push_back({{"id", l.id}, {"sentence", l.sentence}, {"source", l.source}, {"factor", l.factor}});
    for (const auto& q : questions(known, evenings, evenings.empty() ? UnitSystem::Metric : evenings.back().plan.units))
        out["questions"].push_back(
            {{"evening", evenings[q.evening].id}, {"record", q.record}, {"sentence", q.sentence}});
    for (const auto& p : known.leftOut) out["leftOut"].push_back({{"where", p.where}, {"why", p.sentence}});
    if (known.pace.timed > 0) {
        json& hands =
            out["hands"] = {{"cook", known.pace.cook}, {"sd", known.pace.cookSd}, {"timed", known.pace.timed}};
        for (const auto& [kind, k] : known.pace.kinds)
            hands["kinds"][kind] = {
                {"more", k.more}, {"median", known.pace.median(kind)}, {"planned", known.pace.planned(kind)}};
    }
    return out;
}

/// Records, or a log.
tl::expected<std::vector<Evening>, Problem> eveningsOf(const std::string& text) {
    auto records = readEvenings(text);
    if (records) return records;
    const auto whole = log::readLog(text);
    if (!whole) return records;
    std::vector<Evening> out;
    for (const auto& e : *whole) out.push_back(e.taught());
    return out;
}

}  // namespace

int learn(const std::vector<std::string>& args) {
    if (!known(args, {"--plan"})) return 2;
    if (args.empty()) return std::fputs("uovo-cli: name a file of records\n", stderr), 2;
    const auto text = textOf(args[0]);
    if (!text) return 1;
    const auto evenings = eveningsOf(*text);
    if (!evenings) return refused(evenings.error());
    const auto knows = learn::learn(*evenings, io::library());
    if (!knows) return refused(knows.error());
    json out = learnedJson(*evenings, *knows, io::library());
    if (const auto* name = valueAfter(args, "--plan")) {
        const auto plan = planFrom({*name});
        if (!plan) return 1;
        const auto lib = material::withColours(io::library(), plan->colours);
        const auto nothing = learn::learn({}, lib);
        for (const auto& p : plan->pieces)
            if (p.wallFromCoats())
                out["plan"].push_back(
                    {{"piece", p.id},
                     {"before", forecastJson(forecast(*nothing, p, *plan, lib))},
                     {"now", forecastJson(forecast(*knows, p, *plan, lib,
                                                   openBag(*evenings, lib.find(p.chocolate)->figuresAs())))}});
        if (const auto next = nextMeasurement(*knows, *plan, lib); !next.empty()) out["next"] = next;
    }
    std::puts(out.dump(1).c_str());
    return printed() ? 0 : 1;
}

}  // namespace uovo::cli
