#include <catch2/catch.hpp>
#include <cstdlib>
#include <filesystem>
#include <fstream>

#include <nlohmann/json.hpp>

#include "cli/commands.h"
#include "cli/verify_asks.h"
#include "core/document/json_lines.h"
#include "io/plan_file.h"
#include "support.h"

namespace uovo::plan_test {

namespace {

std::string refusal(const std::string& text) {
    const auto p = readPlan(text);
    return p ? std::string() : p.error().sentence;
}

std::string replaced(std::string text, const std::string& from, const std::string& to) {
    const auto at = text.find(from);
    REQUIRE(at != std::string::npos);
    return text.replace(at, from.size(), to);
}

}  // namespace

TEST_CASE("a plan written and read again is the same, word for word") {
    const Plan plan = test::demo();
    const std::string text = writePlan(plan);
    REQUIRE(readPlan(text));
    CHECK(*readPlan(text) == plan);
    CHECK(writePlan(*readPlan(text)) == text);
}

TEST_CASE("unknown keys survive a round trip at every level") {
    std::string text = writePlan(test::demo());
    text = replaced(text, "\"name\": \"Perseid night\"", "\"name\": \"Perseid night\", \"moon\": {\"phase\": 3}");
    text = replaced(text, "\"room\":", "\"window\": \"north\", \"room\":");
    text = replaced(text, "\"id\": \"crater-bowl\"", "\"id\": \"crater-bowl\", \"mood\": [1, 2]");
    text = replaced(text, "\"kind\": \"balloon\"", "\"kind\": \"balloon\", \"colour\": \"red\"");
    text = replaced(text, "\"way\": \"dip\"", "\"way\": \"dip\", \"song\": \"slow\"");
    const auto plan = readPlan(text);
    REQUIRE(plan);
    const auto again = nlohmann::json::parse(writePlan(*plan));
    CHECK(again["moon"]["phase"] == 3);
    CHECK(again["kitchen"]["window"] == "north");
    CHECK(again["pieces"][0]["mood"][1] == 2);
    CHECK(again["pieces"][0]["former"]["colour"] == "red");
    CHECK(again["pieces"][0]["making"][0]["song"] == "slow");
}

TEST_CASE("damaged, foreign and newer files are refused with the line and the reason") {
    const std::string good = writePlan(test::demo());
    CHECK(refusal("") == "The file is empty.");
    CHECK(refusal("hello").find("line 1") != std::string::npos);
    CHECK(refusal(good.substr(0, 500)).find("cut short") != std::string::npos);
    CHECK(refusal("{\"format\": \"something\"}").find("not a plan of Uovo") != std::string::npos);
    CHECK(refusal("[1, 2]").find("object") != std::string::npos);
    CHECK(refusal(replaced(good, "\"version\": 2", "\"version\": 99")).find("newer Uovo") != std::string::npos);
    CHECK(refusal(replaced(good, "\"version\": 2", "\"version\": 1e400")).find("too large") != std::string::npos);
    CHECK(refusal(replaced(good, "\"count\": 14", "\"count\": 1.5")).find("whole number") != std::string::npos);
    CHECK(refusal(replaced(good, "\"kind\": \"balloon\"", "\"kind\": \"zeppelin\"")).find("zeppelin") !=
          std::string::npos);
    CHECK(refusal(replaced(good, "\"rest\": \"upright\"", "\"rest\": \"sideways\"")).find("upright, inverted, hung") !=
          std::string::npos);
    CHECK(refusal(replaced(good, "\"id\": \"lens-cup\"", "\"id\": \"crater-bowl\"")).find("share the id") !=
          std::string::npos);
    CHECK(refusal(std::string(200, '[')).find("nested too deeply") != std::string::npos);
}

TEST_CASE("the line of what is wrong is right") {
    const std::string text = replaced(writePlan(test::demo()), "\"count\": 14", "\"count\": \"many\"");
    const auto p = readPlan(text);
    REQUIRE_FALSE(p);
    const int line =
        1 + static_cast<int>(std::count(text.begin(), text.begin() + static_cast<long>(text.find("many")), '\n'));
    CHECK(p.error().line == line);
    CHECK(p.error().sentence.starts_with("Line " + std::to_string(line)));
    CHECK(lineOfPointer("{\n\"a\": [\n1,\n{\"b\": \"x\\\"}\"}\n]}", "/a/1/b") == 4);
    CHECK(lineOfPointer("{\n\"a\": [\n1]}", "/a/7") == 2);
}

TEST_CASE("what a person cannot mean is found with its place") {
    Plan plan = test::demo();
    plan.kitchen.freezer = 5;
    plan.kitchen.room = std::nan("");
    plan.deadline = "tomorrow";
    plan.pieces[0].count = 0;
    plan.pieces[1].count = 10000;
    plan.pieces[1].coats().clear();
    std::map<std::string, std::string> found;
    for (const auto& p : problems(plan, io::library())) found[p.where] = p.sentence;
    CHECK(found["kitchen/freezer"].find("does not freeze") != std::string::npos);
    CHECK(found["kitchen/room"].find("not a number") != std::string::npos);
    CHECK(found.contains("deadline"));
    CHECK(found.contains("pieces/crater-bowl/count"));
    CHECK(found.contains("pieces/lens-cup/count"));
    CHECK(found.contains("pieces/lens-cup/coats"));
    CHECK(problems(test::demo(), io::library()).empty());
    const auto a = test::answersOf(plan);  // and nothing crashes on it
    CHECK_FALSE(a.day);
}

TEST_CASE("only what changed is computed again, and the answers are the same as afresh", "[long]") {
    Cache cache;
    const auto& lib = io::library();
    Plan plan = test::demo();
    const auto first = *answer(plan, lib, cache);
    plan.pieces[1].coats()[0].temperature = 29.5;
    const auto second = *answer(plan, lib, cache);
    CHECK(second.pieces[0]->made == first.pieces[0]->made);  // the very same object
    CHECK(second.pieces[1]->made != first.pieces[1]->made);
    plan.pieces[0].count = 20;
    plan.pieces[0].name = "Dish";
    const auto third = *answer(plan, lib, cache);
    CHECK(third.pieces[0]->made == first.pieces[0]->made);
    CHECK(third.pieces[0]->make > first.pieces[0]->make);
    CHECK(answersJson(plan, third) == answersJson(plan, test::answersOf(plan, AnswerOptions{})));
}

TEST_CASE("a stop gives no answers", "[threads]") {
    Cache cache;
    std::stop_source stop;
    stop.request_stop();
    CHECK_FALSE(answer(test::demo(), io::library(), cache, {}, stop.get_token()));
}

TEST_CASE("early answers come without the day", "[long]") {
    Cache cache;
    int early = 0;
    const auto a = answer(test::demo(), io::library(), cache, {}, {}, [&](const Answers& e) {
        ++early;
        CHECK_FALSE(e.day);
        CHECK(e.pieces.size() == 7);
    });
    CHECK(early == 2);  // the figures, and again with their strength
    CHECK(a->day);
}

TEST_CASE("ways out do what they promise") {
    const auto plan = test::demo();
    const auto a = test::answersOf(plan, test::withoutDay());
    const auto& wall = a.pieces[0]->answers.front();
    REQUIRE(wall.tone == Tone::Weak);
    REQUIRE(wall.ways.size() >= 2);
    for (const auto& way : wall.ways) {
        Plan changed = plan;
        changed.pieces[0] = way.changed;
        const auto b = test::answersOf(changed, test::withoutDay());
        CHECK(b.pieces[0]->made->wall->thinnest == Approx(way.thinnest).epsilon(1e-9));
        CHECK(b.pieces[0]->made->mass - a.pieces[0]->made->mass == Approx(way.mass).margin(1e-9));
        CHECK(way.enough == (way.thinnest >= plan.pieces[0].wantedWall.value));
        CHECK(way.thinnest > a.pieces[0]->made->wall->thinnest);
    }
}

TEST_CASE("every answer has its working with sources", "[long]") {
    const auto a = test::answersOf(test::demo(), AnswerOptions{});
    for (const auto& piece : a.pieces)
        for (const auto& x : piece->answers) {
            INFO(x.id);
            CHECK_FALSE(x.sentence.empty());
            CHECK_FALSE(x.working.formula.empty());
            CHECK_FALSE(x.working.section.empty());
            CHECK(std::isfinite(x.figure.value));
        }
}

TEST_CASE("saving is whole or not at all") {
    const auto folder = std::filesystem::temp_directory_path() / ("uovo-test-" + std::to_string(::getpid()));
    std::filesystem::create_directories(folder);
    const std::string path = (folder / "plan.uovo").string();
    Plan plan = test::demo();
    REQUIRE(io::savePlan(path, plan));
    const std::string old = *io::readWhole(path);
    plan.name = "Other";
    for (const auto fault : {io::Fault::Open, io::Fault::Write, io::Fault::Sync, io::Fault::Rename}) {
        const auto r = io::savePlan(path, plan, fault);
        REQUIRE_FALSE(r);
        CHECK(r.error().sentence.find("was not saved") != std::string::npos);
        CHECK(*io::readWhole(path) == old);
        CHECK(std::distance(std::filesystem::directory_iterator(folder), {}) == 1);
    }
    CHECK_FALSE(io::savePlan((folder / "no" / "such" / "plan.uovo").string(), plan));
    CHECK_FALSE(io::savePlan(folder.string(), plan));
    CHECK_FALSE(io::loadPlan((folder / "nothing.uovo").string()));
    std::filesystem::create_symlink(path, folder / "link.uovo");
    REQUIRE(io::savePlan((folder / "link.uovo").string(), plan));
    CHECK(std::filesystem::is_symlink(folder / "link.uovo"));
    CHECK(io::loadPlan(path)->name == "Other");
    std::filesystem::remove_all(folder);
}

TEST_CASE("the demo is this evening's, or tomorrow's when it is too late to begin") {
    const long day = 20669L * 1440;
    CHECK(io::demoPlanFor(day + 8 * 60, 8 * 60).deadline == localTime(day + 21 * 60 + 30));
    CHECK(io::demoPlanFor(day + 15 * 60, 8 * 60).deadline == localTime(day + 1440 + 21 * 60 + 30));
    CHECK(localMinutes("2026-11-24T21:30") == localMinutes("2026-11-24T21:30:00"));
    for (const char* wrong : {"", "2026-02-30T10:00", "2026-11-24 21:30", "2026-11-24T25:00", "x"})
        CHECK_FALSE(localMinutes(wrong));
    CHECK(localTime(*localMinutes("2028-02-29T23:59") + 1) == "2028-03-01T00:00");
}

TEST_CASE("untempered couverture and compound answer too") {
    Plan plan = test::demo();
    plan.pieces.resize(2);
    plan.pieces[0].temper = material::Temper::Untempered;
    plan.pieces[1].chocolate = "compound";
    for (auto& c : plan.pieces[1].coats()) c.temperature = 40;
    const auto a = test::answersOf(plan);
    CHECK(a.problems.empty());
    CHECK(a.pots.size() == 2);
    CHECK(a.day->problem.empty());
}

TEST_CASE("the command line says what is wrong and exits with it") {
    const auto run = [](const std::string& args) {
        return WEXITSTATUS(std::system((std::string(UOVO_CLI) + " " + args + " >/dev/null 2>&1").c_str()));
    };
    CHECK(run("") == 2);
    CHECK(run("dance") == 2);
    CHECK(run("answers") == 2);
    CHECK(run("answers /nowhere.uovo") == 1);
    CHECK(run("check " UOVO_SOURCE "/data/chocolates.json") == 1);
    CHECK(run("--version") == 0);
    CHECK(run("demo | " UOVO_CLI " answers - --no-day") == 0);
    CHECK(run("verify /nowhere") == 2);
}

TEST_CASE("a verification case nobody can answer is a failure, not a pass") {
    CHECK_FALSE(cli::answerAsk("no.such.ask", nlohmann::json::object()));
    const auto folder = std::filesystem::temp_directory_path() / ("uovo-verify-" + std::to_string(::getpid()));
    std::filesystem::create_directories(folder);
    std::ofstream(folder / "x.json")
        << R"({"title": "t", "source": "s", "cases": [{"name": "n", "ask": "spares", "given": {"needed": 6, "p": 0.9}, "expect": 7, "tolerance": 0}]})";
    CHECK(cli::verify({folder.string()}) == 1);
    std::filesystem::remove_all(folder);
}

}  // namespace uovo::plan_test
