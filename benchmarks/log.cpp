// Speeds of the log and of learning from it. Prints medians in milliseconds; nothing here is a test.
#include <unistd.h>

#include <filesystem>

#include "core/learn/said.h"
#include "core/why/diagnosis.h"
#include "io/data.h"
#include "io/logbook.h"
#include "timing.h"

using namespace uovo;

namespace {

log::Evening evening(const Plan& plan, int number, int entries) {
    log::Evening e;
    e.id = std::to_string(1000 + number);
    e.date = "2026-05-12";
    e.plan = plan;
    e.entries.reserve(static_cast<size_t>(entries));
    for (int k = 0; k < entries; ++k) {
        log::Entry x;
        x.is = log::Entry::Is::Measured;
        x.id = number * 1000 + k + 1;
        x.record.piece = plan.pieces[0].id;
        x.record.coats = 1 + k % 2;
        x.record.value = 0.05 * (1 + k % 2) + 1e-5 * (number % 7);
        e.entries.push_back(x);
    }
    return e;
}

}  // namespace

int main() {
    const Plan whole = io::demoPlan(20669L * 1440);
    Plan bowl = whole;
    bowl.pieces.resize(1);
    bowl.meshes.clear();
    const auto path = std::filesystem::temp_directory_path() / ("uovo-bench-log-" + std::to_string(::getpid()));
    {
        auto book = io::Logbook::open(path.string());
        std::vector<log::Evening> all;
        all.reserve(100);
        for (int k = 0; k < 100; ++k) all.push_back(evening(bowl, k, 100));
        if (!book || !book->import(all)) return 1;
    }
    row("a log of 10 000 entries opened, its shelf read",
        median(11, [&] { (void)io::Logbook::open(path.string())->shelf(); }), 200);
    auto book = io::Logbook::open(path.string());
    row("an evening of 100 entries", median(21, [&] { (void)book->evening("1042"); }), 50);
    log::Entry said;
    said.words = "well";
    row("an entry kept", median(11, [&] { (void)book->add("1042", said); }), 50);
    row("all of it", median(3, [&] { (void)book->all(); }), 2000);
    book = tl::unexpected(Problem{});
    for (const char* end : {"", "-wal", "-shm"}) std::filesystem::remove(path.string() + end);

    const auto& lib = io::library();
    const std::vector<learn::Evening> one{evening(bowl, 1, 1).taught()};
    row("an update from one bowl weighed", median(11, [&] { (void)learn::learn(one, lib); }), 100);
    const std::vector<learn::Evening> two{evening(bowl, 1, 2).taught()};
    row("an update from one bowl weighed after both coats", median(11, [&] { (void)learn::learn(two, lib); }), 100);
    std::vector<learn::Evening> many;
    for (int k = 0; k < 20; ++k) many.push_back(evening(bowl, k, 10).taught());
    row("from nothing, twenty evenings with ten records each", median(3, [&] { (void)learn::learn(many, lib); }), 5000);

    Cache cache;
    const why::Case asked{whole, whole.pieces[0].id, "broke-on-release", {{"stay", 420}}, {}, {}};
    row("why a bowl broke, from nothing",
        median(3,
               [&] {
                   Cache fresh;
                   (void)why::Inquiry::of(asked, lib, fresh)->diagnose();
               }),
        1000);
    const auto bench = why::Inquiry::of(asked, lib, cache);
    row("a question answered", median(101, [&] { (void)bench->diagnose(); }), 5);
}
