// The log of a run on the disk: whole up to the event that is being typed, whatever happens to the program.
#include "io/run_file.h"

#include <signal.h>
#include <sys/resource.h>
#include <sys/wait.h>
#include <unistd.h>

#include <catch2/catch.hpp>
#include <filesystem>
#include <fstream>
#include <random>

#include "support_files.h"

namespace uovo::run_file_test {
namespace {

namespace fs = std::filesystem;

run::Event begins() {
    run::Event e;
    e.kind = run::Kind::Begun;
    e.plan = "Two cups";
    e.begun = "2026-11-24T10:00";
    e.deadline = "2026-11-24T18:00";
    e.counts = {{"cup", "Cup", 2, 3}};
    return e;
}

run::Event weighs(int k) {
    run::Event e;
    e.kind = run::Kind::Weighed;
    e.piece = "cup";
    e.figure = 0.001 * (k + 1);
    e.at = k;
    e.note = std::string(static_cast<size_t>(k % 37), 'x');
    return e;
}

}  // namespace

TEST_CASE("a log is on the disk event by event, read again, and written on") {
    const test::Folder folder("run-log");
    const fs::path p = folder("log");
    {
        auto file = io::RunFile::open(p.string());
        REQUIRE(file);
        CHECK(file->second({500, 5, "a"}) == 0);
        REQUIRE(file->take(begins(), {100, 1, "a"}));
        REQUIRE(file->take(weighs(1), {101, 2, "a"}));
        CHECK(file->second({500, 12, "a"}) == Approx(11));
        CHECK_FALSE(file->take(begins(), {102, 3, "a"}));  // refused, and not written
    }
    const std::string text = test::contents(p);
    CHECK(std::ranges::count(text, '\n') == 3);
    {
        auto again = io::RunFile::open(p.string());
        REQUIRE(again);
        CHECK(again->run().events().size() == 2);
        CHECK_FALSE(io::RunFile::open(p.string()));  // one at a time
        REQUIRE(again->take(weighs(2), {103, 4, "a"}));
    }
    CHECK(test::contents(p).starts_with(text));
    std::ofstream(p, std::ios::app) << R"({"at": 9, "is": "wei)";  // a power cut
    {
        auto torn = io::RunFile::open(p.string());
        REQUIRE(torn);
        CHECK(torn->wasTorn());
        CHECK(torn->run().events().size() == 3);
        REQUIRE(torn->take(weighs(5), {104, 5, "a"}));
    }
    CHECK(run::readLog(test::contents(p))->run.events().size() == 4);
}

TEST_CASE("what is no log is refused in words, and left as it is") {
    const test::Folder folder("run-foreign");
    const fs::path p = folder("log");
    for (const char* text : {"hello\n", "{\"format\": \"uovo-plan\"}\n", "{\"uovoRun\": 9}\n"}) {
        std::ofstream(p) << text;
        const auto file = io::RunFile::open(p.string());
        REQUIRE_FALSE(file);
        CHECK(file.error().sentence.size() > 20);
        CHECK(test::contents(p) == text);
    }
    CHECK_FALSE(io::RunFile::open("/no/such/folder/log"));
}

TEST_CASE("a disk that is full: the reason is said, and what was not written is written next") {
    if (::access("/dev/full", W_OK) != 0) return;
    const test::Folder folder("run-full");
    const fs::path p = folder("log");
    auto file = io::RunFile::open(p.string());
    REQUIRE(file);
    REQUIRE(file->take(begins(), {1, 1, "a"}));
    rlimit before{}, small{};
    ::getrlimit(RLIMIT_FSIZE, &before);
    ::signal(SIGXFSZ, SIG_IGN);
    small = before;
    small.rlim_cur = fs::file_size(p) + 10;
    ::setrlimit(RLIMIT_FSIZE, &small);
    const auto refused = file->take(weighs(1), {2, 2, "a"});
    ::setrlimit(RLIMIT_FSIZE, &before);
    REQUIRE_FALSE(refused);
    CHECK(file->run().events().size() == 2);  // it was done, whatever the disk says
    CHECK(run::readLog(test::contents(p))->run.events().size() == 1);
    REQUIRE(file->take(weighs(2), {3, 3, "a"}));
    CHECK(run::readLog(test::contents(p))->run.events().size() == 3);
}

TEST_CASE("killed at any moment, three hundred times: at most the event being typed is lost") {
    const test::Folder folder("run-killed");
    const fs::path p = folder("log");
    std::mt19937 random(9);
    for (int round = 0; round < 300; ++round) {
        fs::remove(p);
        int pipe[2];
        REQUIRE(::pipe(pipe) == 0);
        const pid_t child = ::fork();
        if (child == 0) {
            auto file = io::RunFile::open(p.string());
            if (!file || !file->take(begins(), {1, 1, "a"})) ::_exit(1);
            for (int k = 0;; ++k) {
                if (!file->take(weighs(k), {k, double(k), "a"})) ::_exit(1);
                if (::write(pipe[1], &k, sizeof k) != sizeof k) ::_exit(1);  // it is on the disk
            }
        }
        ::close(pipe[1]);
        REQUIRE(child > 0);
        int last = -1;
        const int wanted = static_cast<int>(random() % 12);
        while (last < wanted && ::read(pipe[0], &last, sizeof last) == sizeof last) {
        }
        ::usleep(static_cast<useconds_t>(random() % 300));
        ::kill(child, SIGKILL);
        int status = 0;
        ::waitpid(child, &status, 0);
        for (int k = 0; ::read(pipe[0], &k, sizeof k) == sizeof k;) last = k;
        ::close(pipe[0]);
        const auto file = io::RunFile::open(p.string());
        REQUIRE(file);
        INFO("round " << round);
        CHECK(static_cast<int>(file->run().events().size()) >= last + 2);  // all that were said to be there
    }
}

}  // namespace uovo::run_file_test
