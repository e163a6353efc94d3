// Plans of version 1 as they were made, read today: walls, grams and strength are what they were.
#include <catch2/catch.hpp>
#include <nlohmann/json.hpp>

#include <cmath>
#include <filesystem>
#include <fstream>
#include <sstream>

#include "core/stages/strength.h"
#include "support.h"
#include "support_files.h"

namespace uovo::carry_over_test {

using json = nlohmann::ordered_json;

namespace {

const std::filesystem::path kFolder = UOVO_SOURCE "/tests/v1";

json number(double v) { return std::isfinite(v) ? json(v) : json(nullptr); }

/// What must not change when a file is carried over: of each piece its grams, walls, coats and what it bears.
json figuresOf(const Plan& plan) {
    AnswerOptions options;
    options.day = options.ways = options.bands = options.together = false;
    const Answers all = test::answersOf(plan, options);
    json out = json::object();
    for (const auto& a : all.pieces) {
        json& p = out["pieces"][a->id];
        for (const auto& problem : a->problems) p["problems"].push_back(problem.sentence);
        for (const auto& x : a->answers)
            if (!x.id.starts_with("order/") && x.id != "net")  // rules of order and nets came with version 2
                p["answers"][x.id] = {number(x.figure.value), number(x.figure.low), number(x.figure.high)};
        if (!a->strength) continue;
        for (const auto& c : a->strength->cases)
            p["strength"][c.id] = {number(c.margin), number(c.cracks), number(c.average)};
    }
    for (const auto& pot : all.pots)
        out["pots"].push_back({number(pot.pieces), number(pot.melt), number(pot.consumed), number(pot.returned)});
    return out;
}

/// Where two trees of figures differ by more than a thousand-millionth part.
void compare(const json& was, const json& is, const std::string& where, std::vector<std::string>& differences) {
    if (was.is_number() && is.is_number()) {
        const double a = was, b = is;
        if (std::abs(a - b) > 1e-9 * std::max({std::abs(a), std::abs(b), 1e-6}))
            differences.push_back(where + ": " + was.dump() + " became " + is.dump());
        return;
    }
    if (was.type() != is.type() || was.size() != is.size()) {
        differences.push_back(where + ": " + was.dump().substr(0, 200) + " became " + is.dump().substr(0, 200));
        return;
    }
    if (was.is_object())
        for (const auto& [key, value] : was.items())
            is.contains(key) ? compare(value, is[key], where + "/" + key, differences)
                             : differences.push_back(where + "/" + key + " is gone");
    else if (was.is_array())
        for (size_t i = 0; i < was.size(); ++i) compare(was[i], is[i], where + "/" + std::to_string(i), differences);
    else if (was != is) differences.push_back(where + ": " + was.dump() + " became " + is.dump());
}

std::vector<std::filesystem::path> plans() {
    std::vector<std::filesystem::path> out;
    for (const auto& e : std::filesystem::directory_iterator(kFolder))
        if (e.path().extension() == ".uovo") out.push_back(e.path());
    std::sort(out.begin(), out.end());
    return out;
}

}  // namespace

TEST_CASE("plans of version 1 carry their walls, grams and strength over", "[carry-over][long]") {
    const json known = json::parse(test::contents(kFolder / "figures.json"));
    const auto files = plans();
    REQUIRE(files.size() == known.size());
    for (const auto& file : files) {
        INFO(file);
        const auto plan = readPlan(test::contents(file));
        REQUIRE(plan);
        std::vector<std::string> differences;
        compare(known.at(file.stem().string()), figuresOf(*plan), "", differences);
        for (const auto& d : differences) UNSCOPED_INFO(d);
        CHECK(differences.empty());
        const auto again = readPlan(writePlan(*plan));
        REQUIRE(again);
        CHECK(*again == *plan);
    }
}

/// Writes the figures anew, with UOVO_WRITE_FIGURES set: only where a model is meant to say something else.
TEST_CASE("figures of version 1 plans are written", "[.write]") {
    if (!std::getenv("UOVO_WRITE_FIGURES")) return;  // whatever runs all tests, the hidden ones too, leaves them alone
    json all;
    for (const auto& file : plans()) all[file.stem().string()] = figuresOf(*readPlan(test::contents(file)));
    std::ofstream(kFolder / "figures.json") << all.dump(1) << "\n";
}

}  // namespace uovo::carry_over_test
