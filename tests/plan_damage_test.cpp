// Plans with one thing wrong: every value of the demo's file in turn is made nonsense. Nothing breaks, and what is
// refused is said with its place.
#include <catch2/catch.hpp>
#include <nlohmann/json.hpp>
#include <random>

#include "support.h"

namespace uovo::plan_damage_test {

using json = nlohmann::ordered_json;

namespace {

/// A piece of each kind; without the models, whose every corner would be a leaf.
Plan small() {
    Plan plan = test::demo();
    std::erase_if(plan.pieces, [](const Piece& p) { return !p.shape.mesh.empty(); });
    plan.meshes.clear();
    plan.pieces[0].loads["fingers"] = Measure(2.0);
    plan.pieces[0].sits = Sits::Ring;
    shell::SnapBar bar;
    bar.chocolate = "dark";
    plan.snaps = {bar};
    return plan;
}

/// Every leaf of a document.
void leaves(const json& j, const json::json_pointer& at, std::vector<json::json_pointer>& out) {
    if (j.is_object() || j.is_array()) {
        for (const auto& [key, value] : j.items())
            leaves(value,
                   at / (j.is_array() ? json::json_pointer("/" + key) : json::json_pointer("/" + std::string(key))),
                   out);
        return;
    }
    out.push_back(at);
}

std::vector<json::json_pointer> leavesOf(const json& j) {
    std::vector<json::json_pointer> out;
    leaves(j, json::json_pointer(), out);
    return out;
}

/// What reading says: empty when it was read.
std::string said(const json& j) {
    const auto plan = readPlan(j.dump());
    if (plan) {
        (void)problems(*plan, io::library());  // and looking at it breaks nothing
        return {};
    }
    return plan.error().sentence;
}

}  // namespace

TEST_CASE("each value of another kind is refused with words, or kept as a stranger's", "[long]") {
    const json whole = json::parse(writePlan(small()));
    size_t refused = 0, kept = 0;
    for (const auto& at : leavesOf(whole)) {
        for (const json& wrong : {json(nullptr), json(true), json("nonsense \"quoted\" ✓"), json(-1e300),
                                  json::array({1, 2, 3}), json{{"a", 1}}}) {
            if (whole.at(at).type() == wrong.type()) continue;
            json damaged = whole;
            damaged[at] = wrong;
            INFO(at.to_string() << " = " << wrong.dump());
            std::string words;
            REQUIRE_NOTHROW(words = said(damaged));
            if (words.empty()) {
                ++kept;
                continue;
            }
            ++refused;
            CHECK(words.size() > 10);
            CHECK(words.find("type_error") == std::string::npos);  // no words of a library
            CHECK(words.find("exception") == std::string::npos);
        }
    }
    CHECK(refused > 3 * kept);
}

TEST_CASE("each value taken out leaves a plan that is read, or a sentence") {
    const json whole = json::parse(writePlan(small()));
    for (const auto& at : leavesOf(whole)) {
        json less = whole;
        auto& parent = less[at.parent_pointer()];
        if (parent.is_array()) parent.erase(static_cast<size_t>(std::stoul(at.back())));
        else parent.erase(at.back());
        INFO(at.to_string());
        std::string words;
        REQUIRE_NOTHROW(words = said(less));
        if (!words.empty()) CHECK(words.size() > 10);
    }
}

TEST_CASE("numbers out of all bounds are read and found, never computed with") {
    const json whole = json::parse(writePlan(small()));
    size_t found = 0, numbers = 0;
    for (const auto& at : leavesOf(whole)) {
        if (!whole.at(at).is_number()) continue;
        ++numbers;
        for (const double wild : {-1e9, 1e9}) {
            json damaged = whole;
            damaged[at] = wild;
            INFO(at.to_string() << " = " << wild);
            const auto plan = readPlan(damaged.dump());
            if (!plan) {
                ++found;
                continue;
            }
            found += !problems(*plan, io::library()).empty();
        }
    }
    CHECK(numbers > 60);
    CHECK(found > numbers);  // more than half of all: the rest are figures any size of which can be meant
}

TEST_CASE("a file cut off anywhere is refused with a line, never half read") {
    const std::string whole = writePlan(small());
    for (size_t at = 0; at < whole.size() - 2; at += 97) {
        const auto plan = readPlan(whole.substr(0, at));
        REQUIRE_FALSE(plan);
        CHECK_FALSE(plan.error().sentence.empty());
    }
    CHECK(readPlan(whole));
}

TEST_CASE("bytes changed anywhere are refused or read, and what is read writes itself again") {
    const std::string whole = writePlan(small());
    std::mt19937 random(17);
    int read = 0;
    for (int k = 0; k < 400; ++k) {
        std::string damaged = whole;
        damaged[random() % damaged.size()] = static_cast<char>(32 + random() % 95);
        const auto plan = readPlan(damaged);
        if (!plan) continue;
        ++read;
        const auto again = readPlan(writePlan(*plan));
        REQUIRE(again);
        CHECK(*again == *plan);
    }
    CHECK(read > 20);  // a letter of a name does no harm
}

}  // namespace uovo::plan_damage_test
