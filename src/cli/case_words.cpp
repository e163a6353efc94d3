#include "cli/case_words.h"

#include <fmt/format.h>

#include <cstdio>
#include <fstream>
#include <iostream>
#include <iterator>

namespace uovo::cli {
namespace {

std::string between(const std::string& words, const std::string& from, const std::string& to) {
    const size_t a = words.find(from);
    if (a == std::string::npos) return {};
    const size_t begin = a + from.size(), end = words.find(to, begin);
    return words.substr(begin, end == std::string::npos ? end : end - begin);
}

/// A JSON type as a person would say it.
std::string kind(const std::string& type) {
    if (type == "string") return "a text";
    if (type == "null") return "nothing";
    if (type == "boolean") return "true or false";
    if (type == "array") return "a list";
    if (type == "object") return "an object";
    return "a " + type;
}

}  // namespace

int refused(const Problem& p) {
    std::fprintf(stderr, "uovo-cli: %s%s%s\n", p.where.c_str(), p.where.empty() ? "" : ": ", p.sentence.c_str());
    return 1;
}

std::optional<std::string> textOf(const std::string& name) {
    std::ifstream file(name);
    if (name != "-" && !file) {
        std::fprintf(stderr, "uovo-cli: %s cannot be read\n", name.c_str());
        return std::nullopt;
    }
    return std::string(std::istreambuf_iterator<char>(name == "-" ? std::cin : file), {});
}

void refuse(std::string sentence, std::string where) { throw Problem{std::move(sentence), std::move(where)}; }

std::string inWords(const nlohmann::json::exception& e) {
    const std::string words = e.what();
    switch (e.id) {
        case 302:
            return fmt::format("Where {} is expected stands {}.", kind(between(words, "must be ", ",")),
                               kind(between(words, "but is ", "\n")));
        case 304:
        case 305:
        case 306:
            return fmt::format("Where an object is expected stands {}.", kind(between(words, "with ", "\n")));
        case 403:
            return fmt::format("“{}” is missing.", between(words, "key '", "'"));
        default:
            return "Something in it is not as docs/format.md asks.";
    }
}

tl::expected<Plan, Problem> casePlan(const nlohmann::json& given) {
    nlohmann::json piece = given.at("piece");
    if (!piece.contains("id")) piece["id"] = "case";
    nlohmann::json plan{{"format", "uovo-plan"},
                        {"version", piece.contains("making") ? kPlanVersion : 1},
                        {"deadline", "2026-08-12T21:30"},
                        {"pieces", nlohmann::json::array({piece})}};
    for (const char* key : {"kitchen", "own", "fillings", "toppings"})
        if (given.contains(key)) plan[key] = given.at(key);
    return readPlan(plan.dump());
}

int runCase(const std::vector<std::string>& args,
            const std::function<tl::expected<nlohmann::json, Problem>(const nlohmann::json&)>& answer) {
    if (args.empty()) {
        std::fputs("uovo-cli: name a case file\n", stderr);
        return 2;
    }
    const auto text = textOf(args[0]);
    if (!text) return 1;
    const nlohmann::json given = nlohmann::json::parse(*text, nullptr, false);
    if (given.is_discarded()) {
        std::fprintf(stderr, "uovo-cli: %s is not a case in JSON\n", args[0].c_str());
        return 1;
    }
    const auto out = answer(given);
    if (!out) return refused(out.error());
    std::puts(out->dump(1).c_str());
    return std::fflush(stdout) == 0 && !std::ferror(stdout) ? 0 : 1;
}

}  // namespace uovo::cli
