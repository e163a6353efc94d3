// What is said where something is started by hand: case files that are not whole, the start script, limits of the
// system.
#include <sys/resource.h>
#include <sys/wait.h>
#include <unistd.h>
#include <catch2/catch.hpp>
#include <csignal>
#include <filesystem>
#include <fstream>
#include <nlohmann/json.hpp>

#include "io/data.h"
#include "io/plan_file.h"
#include "support_command.h"
#include "support_files.h"

using namespace uovo;
using nlohmann::json;

namespace {

/// What a command prints, and its exit code behind it.
std::string said(const std::string& command) {
    int code = 0;
    const std::string out = test::printedBy(command, &code);
    return out + "=" + std::to_string(code);
}

bool has(const std::string& words, const std::string& part) { return words.find(part) != std::string::npos; }

}  // namespace

TEST_CASE("a case that is not whole is refused in words of ours, whatever is taken out of it or put in its place") {
    const test::Folder folder("words");
    const std::pair<const char*, json> cases[]{
        {"shell",
         {{"shape", {{"kind", "plate"}, {"width", 0.1}, {"length", 0.1}, {"across", 4}, {"along", 4}}},
          {"material", {{"young", 1e9}, {"poisson", 0.3}}},
          {"thickness", 0.003},
          {"supports", {{{"where", {{"axis", "x"}, {"below", 0.001}}}, {"fix", {"x", "y", "z"}}}}},
          {"loads", {{{"kind", "pressure"}, {"value", 10}}}},
          {"ask", {{{"what", "shift"}, {"name", "s"}}}}}},
        {"coat",
         {{"piece",
           {{"id", "p"},
            {"name", "p"},
            {"former", {{"kind", "half-ball"}}},
            {"coats", {{{"way", "brush"}, {"temperature", 32}}}}}},
          {"on", {{"triangles", 500}}},
          {"ask", {{{"what", "mass"}}}}}},
    };
    for (const auto& [command, whole] : cases) {
        std::vector<json> wrong;
        for (const auto& [key, value] : whole.items()) {
            json less = whole, other = whole, text = whole;
            less.erase(key);
            other[key] = 3;
            text[key] = "words";
            wrong.insert(wrong.end(), {less, other, text});
        }
        for (const json& j : wrong) {
            const std::string words =
                said(std::string(UOVO_CLI) + " " + command + " '" + folder.write("case.json", j.dump()) + "'");
            INFO(command << ": " << j.dump() << "\n" << words);
            CHECK_FALSE(has(words, "json.exception"));
            CHECK_FALSE(has(words, "type_error"));
            CHECK((words.ends_with("=0") || words.ends_with("=1")));
        }
    }
    CHECK(has(said(std::string(UOVO_CLI) + " shell '" + folder.write("empty.json", "{}") + "'"), "needs a “shape”"));
    CHECK(has(said(std::string(UOVO_CLI) + " coat '" + folder.write("empty.json", "{}") + "'"), "is missing"));
}

TEST_CASE("the start script says what it can do, and is itself through a link from elsewhere") {
    const test::Folder folder("words");
    std::filesystem::create_symlink(std::string(UOVO_SOURCE) + "/start", folder.path / "uovo");
    CHECK(has(said("bash '" + std::string(UOVO_SOURCE) + "/start' --help"), "FILE.uovo"));
    CHECK(said("bash '" + std::string(UOVO_SOURCE) + "/start' --help").ends_with("=0"));
    CHECK(said("bash '" + (folder.path / "uovo").string() + "' --help").ends_with("=0"));
    CHECK(has(said("bash '" + std::string(UOVO_SOURCE) + "/start' --nonsense"), "not an option"));
    CHECK(has(said("bash '" + (folder.path / "uovo").string() + "' nothing-here.uovo"), "There is no file"));
}

TEST_CASE("a limit on the size of files is a reason, not an end: the old file stays") {
    const test::Folder folder("words");
    const std::string path = (folder.path / "plan.uovo").string();
    const Plan plan = io::demoPlan(20669L * 1440);
    REQUIRE(io::savePlan(path, plan));
    const auto old = io::readWhole(path);
    const pid_t child = ::fork();
    if (child == 0) {
        ::signal(SIGXFSZ, SIG_IGN);
        const rlimit few{2000, 2000};
        ::setrlimit(RLIMIT_FSIZE, &few);
        const auto saved = io::savePlan(path, Plan(plan));
        ::_exit(!saved && has(saved.error().sentence, "may not be that large") ? 0 : 1);
    }
    int status = 0;
    ::waitpid(child, &status, 0);
    CHECK((WIFEXITED(status) && WEXITSTATUS(status) == 0));
    CHECK(*io::readWhole(path) == *old);
    // the command line is told by its exit code
    const std::string out = (folder.path / "answers.json").string();
    CHECK(said("bash -c 'ulimit -f 2; exec " + std::string(UOVO_CLI) + " demo > " + out + "'").ends_with("=1"));
}

TEST_CASE("what a killed writer left beside a file goes with the next saving, a living one's stays") {
    const test::Folder folder("words");
    const std::string path = (folder.path / "plan.uovo").string();
    const pid_t dead = ::fork();
    if (dead == 0) ::_exit(0);
    ::waitpid(dead, nullptr, 0);
    folder.write("plan.uovo.uovo-writing-" + std::to_string(dead), "half");
    folder.write("plan.uovo.uovo-writing-1", "of a program that runs");
    folder.write("plan.uovo.uovo-writing-notes", "of nobody");
    folder.write("other.uovo.uovo-writing-" + std::to_string(dead), "of another file");
    REQUIRE(io::savePlan(path, Plan{}));
    CHECK_FALSE(std::filesystem::exists(path + ".uovo-writing-" + std::to_string(dead)));
    CHECK(std::filesystem::exists(path + ".uovo-writing-1"));
    CHECK(std::filesystem::exists(path + ".uovo-writing-notes"));
    CHECK(std::filesystem::exists((folder.path / ("other.uovo.uovo-writing-" + std::to_string(dead))).string()));
}
