// uovo-storm KIND COUNT [SEED]: plans, mutations, files, kills, disks. Ends with 1 when anything went wrong; says the
// worst it saw.
#include <fmt/format.h>
#include <sys/resource.h>
#include <sys/wait.h>
#include <unistd.h>

#include <chrono>
#include <csignal>
#include <cstdlib>
#include <filesystem>
#include <thread>

#include "io/data.h"
#include "io/model_reader.h"
#include "io/plan_file.h"
#include "io/svg_file.h"
#include "storm/storm.h"

namespace {

using namespace uovo;
using namespace uovo::storm;

#if defined(__SANITIZE_ADDRESS__)
constexpr double kSlower = 12, kLarger = 8;  // what the sanitizers cost
#else
constexpr double kSlower = 1, kLarger = 1;
#endif

Bounds bounds() {
    Bounds b;
    b.checkSeconds *= kSlower;
    b.answerSeconds *= kSlower;
    b.megabytes *= kLarger;
    return b;
}

/// Counts trials and remembers the worst.
class Tally {
public:
    explicit Tally(std::string kind) : kind_(std::move(kind)) {}
    void add(int trial, const Trial& t, const std::string& kept) {
        ++trials_;
        if (t.seconds > slowest_.seconds) slowest_ = t, slowestTrial_ = trial;
        if (t.megabytes > largest_.megabytes) largest_ = t, largestTrial_ = trial;
        if (t.wrong.empty()) return;
        ++wrong_;
        fmt::print("{} {}: {}{}\n", kind_, trial, t.wrong, kept.empty() ? "" : "  (" + kept + ")");
        std::fflush(stdout);
    }
    int close() const {
        fmt::print(
            "{}: {} trials, {} went wrong; slowest {:.2f} s of computing (trial {}), most memory {:.0f} MB (trial "
            "{})\n",
            kind_, trials_, wrong_, slowest_.seconds, slowestTrial_, largest_.megabytes, largestTrial_);
        return wrong_ ? 1 : 0;
    }

private:
    std::string kind_;
    int trials_ = 0, wrong_ = 0, slowestTrial_ = 0, largestTrial_ = 0;
    Trial slowest_, largest_;
};

int plans(int from, int count, unsigned seed) {
    Tally tally("plan");
    const Bounds b = bounds();
    for (int i = from; i < from + count; ++i) {
        Random r = randomOf(seed, i);
        const Plan plan = randomPlan(r);
        const Trial t = inChild([&] { return examine(plan, b, true); }, b.answerSeconds + 2, b.megabytes);
        tally.add(i, t, t.wrong.empty() ? "" : keep(fmt::format("plan-{}-{}.uovo", seed, i), writePlan(plan)));
    }
    return tally.close();
}

int mutations(int from, int count, unsigned seed) {
    Tally tally("mutation");
    const Bounds b = bounds();
    for (int i = from; i < from + count; ++i) {
        Random r = randomOf(seed + 1, i);
        const std::string text = mutated(writePlan(i % 3 ? randomPlan(r) : io::demoPlan(20669L * 1440)), r);
        const bool whole = i % 20 == 0;  // the answers of one in twenty
        const Trial t = inChild(
            [&]() -> std::string {
                const auto plan = readPlan(text);
                if (!plan)
                    return plan.error().sentence.size() > 8 &&
                                   plan.error().sentence.find("exception") == std::string::npos
                               ? ""
                               : "refused without words";
                return examine(*plan, b, whole);
            },
            b.answerSeconds + 2, b.megabytes);
        tally.add(i, t, t.wrong.empty() ? "" : keep(fmt::format("mutation-{}-{}.uovo", seed, i), text));
    }
    return tally.close();
}

int files(int from, int count, unsigned seed) {
    Tally tally("file");
    const std::filesystem::path folder =
        std::filesystem::temp_directory_path() / fmt::format("uovo-storm-{}", ::getpid());
    std::filesystem::create_directories(folder);
    for (int i = from; i < from + count; ++i) {
        Random r = randomOf(seed + 2, i);
        const bool outline = i % 4 == 3;
        const auto [bytes, ending] = outline ? std::pair{randomOutline(r), std::string("svg")} : randomModel(r);
        const std::string path = (folder / ("model." + ending)).string();
        (void)io::writeWhole(path, bytes);
        const Trial t = inChild(
            [&]() -> std::string {
                if (outline) {
                    const auto read = io::readSvgOutline(bytes);
                    return read || read.error().sentence.size() > 8 ? "" : "refused without words";
                }
                const auto began = std::chrono::steady_clock::now();
                const auto read = io::readMeshFile(path);
                if (const double took = std::chrono::duration<double>(std::chrono::steady_clock::now() - began).count();
                    took > kSlower * (io::kReaderSeconds + 2))
                    return fmt::format("{:.0f} s to say so", took);
                if (!read) return read.error().sentence.size() > 8 ? "" : "refused without words";
                for (const auto& triangle : read->mesh.triangles)
                    for (const int c : triangle)
                        if (c < 0 || static_cast<size_t>(c) >= read->mesh.points.size())
                            return "a triangle without corners";
                return "";
            },
            kSlower* io::kReaderSeconds, bounds().megabytes);
        tally.add(i, t, t.wrong.empty() ? "" : keep(fmt::format("file-{}-{}.{}", seed, i, ending), bytes));
    }
    std::filesystem::remove_all(folder);
    return tally.close();
}

/// A program that saves without end is killed at any moment: the file is always one of the plans, whole, and nothing
/// else is left.
int kills(int count, unsigned seed) {
    Tally tally("kill");
    const std::filesystem::path folder =
        std::filesystem::temp_directory_path() / fmt::format("uovo-kills-{}", ::getpid());
    std::filesystem::create_directories(folder);
    const std::string path = (folder / "plan.uovo").string();
    (void)io::savePlan(path, io::demoPlan(20669L * 1440));
    for (int i = 0; i < count; ++i) {
        Random r = randomOf(seed + 3, i);
        std::fflush(nullptr);
        const pid_t pid = ::fork();
        if (pid == 0) {
            Plan plan = io::demoPlan(20669L * 1440);
            for (int k = 0;; ++k) {
                plan.name = "version " + std::to_string(k);
                (void)io::savePlan(path, plan);
            }
        }
        std::this_thread::sleep_for(std::chrono::microseconds(1000 + below(r, 60'000)));
        ::kill(pid, SIGKILL);
        ::waitpid(pid, nullptr, 0);
        Trial t;
        if (const auto plan = io::loadPlan(path); !plan) t.wrong = plan.error().sentence;
        else if (plan->pieces.size() != io::demoPlan(0).pieces.size()) t.wrong = "pieces are missing";
        tally.add(i, t, "");
    }
    // What a killed writer left is one file at the most for each, and the next saving does not stumble over it.
    if (auto ok = io::savePlan(path, io::demoPlan(0)); !ok) tally.add(count, {ok.error().sentence, 0, 0}, "");
    std::filesystem::remove_all(folder);
    return tally.close();
}

/// A disk that is full after any number of bytes: the old file stays whole, the reason is said.
int disks(int count, unsigned seed) {
    Tally tally("disk");
    ::signal(SIGXFSZ, SIG_IGN);
    const std::filesystem::path folder =
        std::filesystem::temp_directory_path() / fmt::format("uovo-disks-{}", ::getpid());
    std::filesystem::create_directories(folder);
    const std::string path = (folder / "plan.uovo").string();
    const Plan plan = io::demoPlan(20669L * 1440);
    const std::string whole = writePlan(plan);
    (void)io::writeWhole(path, whole);
    for (int i = 0; i < count; ++i) {
        Random r = randomOf(seed + 4, i);
        const auto most = static_cast<rlim_t>(r() % whole.size());
        const Trial t = inChild(
            [&]() -> std::string {
                const rlimit limit{most, most};
                ::setrlimit(RLIMIT_FSIZE, &limit);
                Plan changed = plan;
                changed.name = "changed";
                const auto saved = io::savePlan(path, changed);
                if (saved) return "it says that it was saved";
                return saved.error().sentence.find("not saved") == std::string::npos
                           ? "without the reason: " + saved.error().sentence
                           : "";
            },
            20, 1000 * kLarger);
        tally.add(i, t, "");
        const auto now = io::readWhole(path);
        if (!now || *now != whole) tally.add(i, {"the old file is not what it was", 0, 0}, "");
        for (const auto& left : std::filesystem::directory_iterator(folder))
            if (left.path().filename() != "plan.uovo") tally.add(i, {"left over: " + left.path().string(), 0, 0}, "");
    }
    std::filesystem::remove_all(folder);
    return tally.close();
}

}  // namespace

int main(int argc, char** argv) {
    const std::string kind = argc > 1 ? argv[1] : "";
    const int count = argc > 2 ? std::atoi(argv[2]) : 0;
    const unsigned seed = argc > 3 ? static_cast<unsigned>(std::atoi(argv[3])) : 1;
    const int from = argc > 4 ? std::atoi(argv[4]) : 0;
    if (kind == "plans") return plans(from, count, seed);
    if (kind == "mutations") return mutations(from, count, seed);
    if (kind == "files") return files(from, count, seed);
    if (kind == "kills") return kills(count, seed);
    if (kind == "disks") return disks(count, seed);
    if (kind == "slice") return plans(0, 40, 1) | mutations(0, 400, 1) | files(0, 60, 1) | kills(20, 1) | disks(20, 1);
    std::fputs("uovo-storm plans|mutations|files|kills|disks COUNT [SEED [FROM]], or slice\n", stderr);
    return 2;
}
