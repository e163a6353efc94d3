// uovo-cli schedule: cases in, days out; beside a benchmark whose optimum is published.
#include <catch2/catch.hpp>
#include <nlohmann/json.hpp>

#include "cli/schedule_case.h"

namespace uovo::schedule_case_test {

namespace {

using nlohmann::json;

json day(const json& given) {
    const auto out = cli::scheduleCase(given);
    REQUIRE(out);
    CHECK_FALSE(out->contains("wrong"));
    return *out;
}

std::string refused(const json& given) {
    const auto out = cli::scheduleCase(given);
    REQUIRE_FALSE(out);
    return out.error().sentence;
}

/// A job shop: each job's operations as pairs of machine and minutes, in their order.
json jobShop(const std::vector<std::vector<std::pair<int, int>>>& jobs, int machines) {
    json out{{"wish", "shortest"}, {"tasks", json::array()}, {"lags", json::array()}, {"holds", json::array()}};
    for (int m = 0; m < machines; ++m)
        out["resources"].push_back({{"name", "machine " + std::to_string(m)}, {"capacity", 1}});
    for (size_t j = 0; j < jobs.size(); ++j)
        for (size_t k = 0; k < jobs[j].size(); ++k) {
            const std::string id = std::to_string(j) + "/" + std::to_string(k);
            out["tasks"].push_back({{"id", id}, {"minutes", jobs[j][k].second}, {"hands", 0}});
            out["holds"].push_back(
                {{"resource", "machine " + std::to_string(jobs[j][k].first)}, {"from", id}, {"to", id}});
            if (k > 0)
                out["lags"].push_back({{"from", std::to_string(j) + "/" + std::to_string(k - 1)},
                                       {"to", id},
                                       {"min", jobs[j][k - 1].second}});
        }
    return out;
}

}  // namespace

// Fisher and Thompson, “Probabilistic learning combinations of local job-shop scheduling rules” (1963), the instance of
// six jobs on six machines, from memory; its optimum of 55 is proved in many papers since.
TEST_CASE("the job shop of six by six is laid out and proved in 55") {
    const auto out = day(jobShop({{{2, 1}, {0, 3}, {1, 6}, {3, 7}, {5, 3}, {4, 6}},
                                  {{1, 8}, {2, 5}, {4, 10}, {5, 10}, {0, 10}, {3, 4}},
                                  {{2, 5}, {3, 4}, {5, 8}, {0, 9}, {1, 1}, {4, 7}},
                                  {{1, 5}, {0, 5}, {2, 5}, {3, 3}, {4, 8}, {5, 9}},
                                  {{2, 9}, {1, 3}, {4, 5}, {5, 4}, {0, 3}, {3, 1}},
                                  {{1, 3}, {3, 3}, {5, 9}, {0, 10}, {4, 4}, {2, 1}}},
                                 6));
    CHECK(out["begins"] == -55);
    CHECK(out["proved"] == true);
    CHECK(out["bound"] == 55);
}

TEST_CASE("people with hours and skills, closed hours, pots and rests are read and kept") {
    const auto out = day(json::parse(R"({
        "horizon": 600, "closed": [[-100, -60]], "rest": {"every": 60, "minutes": 10},
        "people": [{"name": "Ada", "skills": ["hot", "knife"]}, {"name": "Bo", "skills": [], "there": [[-60, 0]]}],
        "resources": [{"name": "shelf", "capacity": 2, "unit": "tray", "taken": [{"from": -50, "to": -40, "amount": 1}]}],
        "pots": [{"id": "cup", "melt": 0, "temper": 3, "idle": 15, "firstUse": 6},
                 {"id": "dark", "cup": "cup", "window": 12, "before": ["chop"]}],
        "tasks": [{"id": "chop", "minutes": 5, "skills": ["knife"]}, {"id": "dip", "minutes": 6, "pot": "dark", "draw": 0.4, "skills": ["hot"]},
                  {"id": "out", "minutes": 2}, {"id": "glue", "minutes": 3, "pot": "dark", "small": true, "draw": 0.02},
                  {"id": "box", "minutes": 8, "latest": -1, "forbidden": [[-20, -12]]}],
        "lags": [{"from": "dip", "to": "out", "min": 30, "max": 60, "why": "it is firm"}, {"from": "out", "to": "glue", "min": 2},
                 {"from": "glue", "to": "box", "min": 18}],
        "holds": [{"resource": "shelf", "from": "dip", "to": "out", "amount": 2}]})"));
    CHECK(out["broken"].empty());
    int tempers = 0;
    for (const auto& w : out["potWork"]) {
        CHECK(w["who"] == "Ada");
        tempers += w["do"] == "temper";
    }
    CHECK(tempers == 1);
    for (const auto& t : out["tasks"])
        if (t["id"] == "box") CHECK(t["start"] <= -9);
}

TEST_CASE("a window that cannot be kept is named; what contradicts itself is impossible") {
    auto out =
        day(json::parse(R"({"horizon": 20, "tasks": [{"id": "a", "minutes": 15}, {"id": "b", "minutes": 15}]})"));
    REQUIRE(out["broken"].size() == 1);
    CHECK(out["broken"][0]["what"] == "horizon");
    CHECK(out["broken"][0]["by"] == 10);
    out = day(json::parse(
        R"({"tasks": [{"id": "a"}, {"id": "b"}], "lags": [{"from": "a", "to": "b", "min": 9, "max": 5}]})"));
    CHECK(out["impossible"].get<std::string>().find("contradict") != std::string::npos);
}

TEST_CASE("what is wrong with a case is said in words") {
    CHECK(refused(json::object()).find("tasks") != std::string::npos);
    CHECK(refused({{"tasks", {{{"id", "a"}, {"minutes", 0}}}}}).find("minutes") != std::string::npos);
    CHECK(refused({{"tasks", {{{"id", "a"}}, {{"id", "a"}}}}}).find("Two tasks") != std::string::npos);
    CHECK(refused({{"tasks", {{{"id", "a"}}}}, {"lags", {{{"from", "a"}, {"to", "c"}}}}}).find("“c”") !=
          std::string::npos);
    CHECK(refused({{"tasks", {{{"id", "a"}, {"skills", {"juggling"}}}}}}).find("juggling") != std::string::npos);
    CHECK(refused({{"tasks", json::array()}, {"wish", "soon"}}).find("wish") != std::string::npos);
    CHECK(refused({{"tasks", json::array()}, {"closed", {{5, 3}}}}).find("span") != std::string::npos);
}

}  // namespace uovo::schedule_case_test
