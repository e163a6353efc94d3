// uovo-cli rehearse: a day played through without a kitchen, its events and its outcome as JSON.
#include "core/run/rehearse.h"

#include <algorithm>
#include <charconv>
#include <cstdio>
#include <fstream>
#include <nlohmann/json.hpp>
#include <sstream>

#include "cli/commands.h"
#include "core/answers/answers.h"
#include "core/material/colour.h"
#include "core/run/run_json.h"
#include "io/data.h"

namespace uovo::cli {
namespace {

/// A person's answers: of each mishap, by its word, the way that is taken; "*" for all others.
using Script = std::map<std::string, std::string>;

tl::expected<Script, std::string> readScript(const std::string& path) {
    std::ifstream in(path);
    if (!in) return tl::unexpected("“" + path + "” cannot be read");
    std::ostringstream text;
    text << in.rdbuf();
    const nlohmann::ordered_json j = nlohmann::ordered_json::parse(text.str(), nullptr, false);
    if (!j.is_object()) return tl::unexpected("“" + path + "” must be an object in braces");
    Script out;
    for (const auto& [mishap, way] : j.items()) {
        if (mishap != "*" && !run::mishapOf(mishap)) return tl::unexpected("“" + mishap + "” is no mishap");
        if (!way.is_string()) return tl::unexpected("the answer to “" + mishap + "” must be the name of a way");
        out[mishap] = way.get<std::string>();
    }
    return out;
}

}  // namespace

int rehearse(const std::vector<std::string>& args) {
    unsigned seed = 1;
    if (const auto* said = valueAfter(args, "--seed"))
        if (const auto [end, error] = std::from_chars(said->data(), said->data() + said->size(), seed);
            error != std::errc() || end != said->data() + said->size()) {
            std::fputs("uovo-cli: --seed wants a number\n", stderr);
            return 2;
        }
    Script script;
    if (const auto* path = valueAfter(args, "--script")) {
        auto read = readScript(*path);
        if (!read) {
            std::fprintf(stderr, "uovo-cli: %s\n", read.error().c_str());
            return 2;
        }
        script = std::move(*read);
    }
    const auto plan = planFrom(args);
    if (!plan) return 1;
    Cache cache;
    AnswerOptions options;
    options.ways = options.chance = false;
    const auto all = answer(*plan, io::library(), cache, options);
    if (!all) return 1;
    for (const auto& p : all->problems) std::fprintf(stderr, "%s: %s\n", p.where.c_str(), p.sentence.c_str());
    if (!all->day) return 1;
    run::Luck luck;
    luck.mishaps = (std::ranges::find(args, "--no-mishaps") == args.end());
    const auto answerBy = [&](const run::Run&, const run::Event& e, const std::vector<run::Way>& offered) -> size_t {
        for (const std::string& key : {run::wordOf(e.mishap), std::string("*")})
            if (const auto it = script.find(key); it != script.end())
                for (size_t i = 0; i < offered.size(); ++i)
                    if (offered[i].id == it->second) return i;
        return 0;
    };
    const auto library = material::withColours(io::library(), plan->colours);
    const auto played = run::rehearse(*plan, library, *all, *all->day, seed, luck, answerBy);
    if (!played) {
        std::fprintf(stderr, "uovo-cli: %s\n", played.error().sentence.c_str());
        return 1;
    }
    nlohmann::ordered_json out{{"seed", seed}};
    for (const auto& e : played->run.events()) out["events"].push_back(nlohmann::ordered_json::parse(run::asJson(e)));
    nlohmann::ordered_json& end = out["outcome"];
    end = {{"readyAt", localTime(run::localAt(played->run, played->run.now()))},
           {"lateMinutes", played->late},
           {"wanted", played->wanted},
           {"whole", played->whole},
           {"habit", played->habit},
           {"costs", nlohmann::ordered_json::array()}};
    for (const auto& t : played->costs)
        end["costs"].push_back(
            {{"cause", t.cause}, {"times", t.times}, {"minutes", t.minutes}, {"kilograms", t.kilograms}});
    std::puts(out.dump(1).c_str());
    return 0;
}

}  // namespace uovo::cli
