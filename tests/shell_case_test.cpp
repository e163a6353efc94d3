// uovo-cli shell: cases in JSON, what is asked of them, and what is refused in words.
#include <catch2/catch.hpp>
#include <cmath>
#include <nlohmann/json.hpp>
#include <numbers>

#include "cli/shell_case.h"

namespace uovo::shell_case_test {

using nlohmann::json;

namespace {

/// A square plate of 1 by 1 m and 10 mm, clamped at x = 0, with its own weight.
json cantilever() {
    return json::parse(R"({
      "shape": {"kind": "plate", "width": 1, "depth": 0.2, "across": 20, "along": 4}, "thickness": 0.01,
      "material": {"young": 1e8, "poisson": 0, "density": 1000},
      "supports": [{"where": {"x": 0}, "fix": ["x", "y", "z", "rx", "ry", "rz"]}],
      "loads": [{"weight": [0, 0, -10]}],
      "ask": [{"what": "shift.z", "at": [1, 0.1, 0], "name": "tip"}, {"what": "reaction.z"}, {"what": "mass"}, {"what": "energy"}, {"what": "work"}, {"what": "turn.y", "at": [1, 0.1, 0]}]})");
}

double value(const json& out, size_t k) { return out.at("answers").at(k).at("value").get<double>(); }

std::string refused(const json& given) {
    const auto out = cli::shellCase(given);
    return out ? std::string() : out.error().sentence;
}

template <class F>
json with(json j, F change) {
    change(j);
    return j;
}

}  // namespace

TEST_CASE("a clamped strip under its own weight, by beam theory") {
    const auto out = cli::shellCase(cantilever());
    REQUIRE(out);
    const double q = 1000 * 10 * 0.01 * 0.2, EI = 1e8 * 0.2 * 1e-6 / 12;
    CHECK(out->at("answers").at(0).at("name") == "tip");
    CHECK(value(*out, 0) == Approx(-q / (8 * EI)).epsilon(0.01));      // q L⁴/8EI
    CHECK(value(*out, 1) == Approx(q).epsilon(1e-9));                  // its weight
    CHECK(value(*out, 2) == Approx(0.2 * 0.01 * 1000).epsilon(1e-9));  // kg
    CHECK(value(*out, 3) == Approx(value(*out, 4)).epsilon(1e-9));     // energy is the work
    CHECK(value(*out, 3) == Approx(q * q / (40 * EI)).epsilon(0.01));  // q² L⁵/40EI
    CHECK(value(*out, 5) == Approx(q / (6 * EI)).epsilon(0.01));       // slope q L³/6EI, θy = −w,x
    CHECK(out->at("triangles") == 160);
    CHECK(out->at("format") == "uovo-shell-answers");
}

TEST_CASE("a thickness at each corner, regions near a place, pads and pressure on a part of it") {
    auto j = cantilever();
    std::vector<double> t;
    for (int i = 0; i < 21 * 5; ++i) t.push_back(0.01);
    j["thickness"] = t;
    const auto out = cli::shellCase(j);
    REQUIRE(out);
    CHECK(value(*out, 0) == Approx(value(*cli::shellCase(cantilever()), 0)));
    j["loads"] = json::parse(
        R"([{"pressure": 100, "where": {"near": [0.5, 0.1, 0], "within": 0.08}}, {"pad": [1, 0.1, 0], "radius": 0.05, "force": [0, 0, -0.3]}])");
    j["ask"] = json::parse(
        R"([{"what": "reaction.z"}, {"what": "stress.max", "where": {"x": [0, 0.1]}}, {"what": "stress.max"}, {"what": "stress.xx", "at": [0, 0.1, 0], "face": "middle"}])");
    const auto loaded = cli::shellCase(j);
    REQUIRE(loaded);
    // The pressed place is a corner of the net; in squares of 0.05 m its reach is 1.6. Whichever way the squares are
    // cut, both triangles of the four round it have their middles within that, and one of each of the eight squares
    // beside these.
    CHECK(value(*loaded, 0) == Approx(0.3 - 100 * (8 + 8) * 0.05 * 0.05 / 2).epsilon(1e-9));
    CHECK(value(*loaded, 1) == Approx(value(*loaded, 2)));          // it is pulled most where it is clamped
    CHECK(std::abs(value(*loaded, 3)) < 0.02 * value(*loaded, 1));  // bending: nothing in the middle
}

TEST_CASE("a case tells how likely it cracks, and by how much it holds") {
    auto j = cantilever();
    j["strength"] = {{"mean", 4e6}};
    j["ask"] = json::parse(R"([{"what": "equivalent"}, {"what": "cracks"}, {"what": "margin"}, {"what": "buckling"}])");
    const auto weak = cli::shellCase(j);
    REQUIRE(weak);
    j["strength"]["mean"] = 8e6;
    const auto strong = cli::shellCase(j);
    CHECK(value(*weak, 0) == Approx(value(*strong, 0)));
    CHECK(value(*weak, 1) > value(*strong, 1));
    CHECK(2 * value(*weak, 2) == Approx(value(*strong, 2)));
    CHECK(weak->at("answers").at(3).at("value").is_null());  // nothing is pressed together: it never buckles
    j["strength"]["mean"] = 0;
    CHECK(refused(j).find("above nothing") != std::string::npos);
}

TEST_CASE("a free body rests on a table, one that hangs over tips, one that touches nowhere stands on nothing") {
    auto j = json::parse(R"({
      "shape": {"kind": "cylinder", "radius": 0.03, "length": 0.06, "across": 24, "along": 6}, "thickness": 0.003,
      "material": {"young": 1e8, "poisson": 0.33, "density": 1300}, "free": true, "rest": {"z": [-0.031, -0.0295]},
      "loads": [{"weight": [0, 0, -9.81]}], "ask": [{"what": "mass"}, {"what": "shift.z", "at": [0, 0.03, 0.03]}]})");
    const auto lies = cli::shellCase(j);
    REQUIRE(lies);  // a tube on its side, on the line below it
    CHECK(value(*lies, 0) == Approx(2 * std::numbers::pi * 0.03 * 0.06 * 0.003 * 1300).epsilon(0.02));
    j["loads"].push_back(json::parse(R"({"pad": [0.03, 0.03, 0], "radius": 0.01, "force": [0, 0, -1]})"));
    CHECK(refused(j).find("tips over") != std::string::npos);
    j["rest"] = json::parse(R"({"z": [-1, -0.5]})");
    CHECK(refused(j).find("stands on nothing") != std::string::npos);
}

TEST_CASE("wrong cases are refused in words") {
    const json good = cantilever();
    CHECK(refused(good).empty());
    CHECK(refused(json::object()).find("shape") != std::string::npos);
    CHECK(refused(json::array()).find("shape") != std::string::npos);
    CHECK(refused(with(good, [](json& j) { j["shape"]["kind"] = "teapot"; })).find("teapot") != std::string::npos);
    CHECK(refused(with(good, [](json& j) { j["shape"]["across"] = 0; })).find("edges") != std::string::npos);
    CHECK(refused(with(good, [](json& j) { j["shape"]["across"] = 100000; })).find("edges") != std::string::npos);
    CHECK(refused(with(good, [](json& j) { j["thickness"] = 0; })).find("no thickness") != std::string::npos);
    CHECK(refused(with(good, [](json& j) { j["thickness"] = -0.01; })).find("no thickness") != std::string::npos);
    CHECK(refused(with(good, [](json& j) {
              j["thickness"] = json::array({0.01});
          })).find("one thickness for each corner") != std::string::npos);
    CHECK(refused(with(good, [](json& j) { j["material"]["poisson"] = 0.7; })).find("Poisson") != std::string::npos);
    CHECK(refused(with(good, [](json& j) { j["supports"] = json::array(); })).find("Nothing holds") !=
          std::string::npos);
    CHECK(refused(with(good, [](json& j) { j["supports"][0]["where"]["x"] = 7; })).find("touches nothing") !=
          std::string::npos);
    CHECK(refused(with(good, [](json& j) {
              j["supports"][0]["fix"] = {"x", "y", "z"};
          })).find("hinge") != std::string::npos);
    CHECK(refused(with(good, [](json& j) { j["supports"][0]["fix"] = {"w"}; })).find("rx, ry, rz") !=
          std::string::npos);
    CHECK(refused(with(good, [](json& j) { j["loads"] = json::array(); })).find("at least one load") !=
          std::string::npos);
    CHECK(refused(with(good, [](json& j) {
              j["loads"] = json::parse(R"([{"pad": [9, 9, 9], "radius": 0.01, "force": [0, 0, 1]}])");
          })).find("outside the piece") != std::string::npos);
    CHECK(refused(with(good, [](json& j) { j["loads"] = json::parse(R"([{"wind": 3}])"); })).find("A load is") !=
          std::string::npos);
    CHECK(refused(with(good, [](json& j) {
              j["loads"] = json::parse(R"([{"weight": [1, 2]}])");
          })).find("three numbers") != std::string::npos);
    CHECK(refused(with(good, [](json& j) { j["ask"] = json::parse(R"([{"what": "colour"}])"); })).find("colour") !=
          std::string::npos);
    CHECK(refused(with(good, [](json& j) {
              j["ask"] = json::parse(R"([{"what": "stress.max", "where": {"x": 55}}])");
          })).find("Nothing of the shell") != std::string::npos);
    CHECK(refused(with(good, [](json& j) {
              j["ask"] = json::parse(R"([{"what": "stress.ab", "at": [0, 0, 0]}])");
          })).find("stress.ab") != std::string::npos);
    // two shells that do not touch
    json two = good;
    two.erase("shape");
    two["mesh"] =
        json::parse(R"({"points": [[0,0,0],[1,0,0],[0,1,0],[5,0,0],[6,0,0],[5,1,0]], "triangles": [[0,1,2],[3,4,5]]})");
    CHECK(refused(two).find("Nothing holds") != std::string::npos);
    two["mesh"]["triangles"][1] = {3, 4, 99};
    CHECK(refused(two).find("does not exist") != std::string::npos);
    two["mesh"]["triangles"][1] = {3, 4};
    CHECK(refused(two).find("three corners") != std::string::npos);
    json file = good;
    file.erase("shape");
    file["file"] = "/nowhere/at/all.stl";
    CHECK_FALSE(refused(file).empty());
}

}  // namespace uovo::shell_case_test
