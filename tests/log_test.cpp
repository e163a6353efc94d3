// The log: entries that are corrected and never overwritten, written and read as JSON and as comma-separated values,
// kept in a file that survives.
#include "core/log/evening.h"

#include <signal.h>
#include <sqlite3.h>
#include <sys/resource.h>
#include <sys/wait.h>
#include <unistd.h>

#include <catch2/catch.hpp>
#include <chrono>
#include <filesystem>
#include <fstream>
#include <nlohmann/json.hpp>
#include <random>

#include "core/learn/said.h"
#include "core/learn/survival.h"
#include "core/quantity/clock.h"
#include "io/logbook.h"
#include "support.h"
#include "support_command.h"
#include "support_files.h"

namespace uovo::log_test {
namespace {

namespace fs = std::filesystem;
using log::Entry;
using log::Evening;
using Is = Entry::Is;

Plan smallPlan() {
    Plan plan = test::demo();
    std::erase_if(plan.pieces, [](const Piece& p) { return p.id != "crater-bowl" && p.id != "lens-cup"; });
    return plan;
}

Entry weighed(double kilograms, std::int64_t id = 0) {
    Entry e;
    e.is = Is::Measured;
    e.id = id;
    e.at = "2026-05-12T20:14";
    e.record.piece = "crater-bowl";
    e.record.coats = 1;
    e.record.value = kilograms;
    return e;
}

Entry said(const std::string& words, std::int64_t id = 0) {
    Entry e;
    e.id = id;
    e.words = words;
    return e;
}

/// One of each kind, with a correction and something taken back.
Evening full(const std::string& id = "one", const std::string& date = "2026-05-12") {
    Evening e;
    e.id = id;
    e.date = date;
    e.plan = smallPlan();
    e.bags = {{"dark", "May sack"}};
    e.run = "line\nline, with “words” and \"more\"\n";
    std::int64_t n = 0;
    const auto put = [&](Entry x) {
        x.id = ++n;
        e.entries.push_back(std::move(x));
    };
    put(weighed(0.45));
    Entry corrected = weighed(0.045);
    corrected.replaces = 1;
    put(corrected);
    Entry made;
    made.is = Is::Made;
    made.piece = "crater-bowl";
    made.count = 12;
    made.of = 14;
    put(made);
    Entry failed;
    failed.is = Is::Failed;
    failed.piece = "crater-bowl";
    failed.count = 2;
    failed.fault = "broke-on-release";
    failed.cause = "not-set";
    put(failed);
    Entry left;
    left.is = Is::Left;
    left.chocolate = "dark";
    left.value = 0.31;
    put(left);
    Entry stars;
    stars.is = Is::Stars;
    stars.count = 4;
    put(stars);
    stars.piece = "lens-cup";
    stars.count = 5;
    put(stars);
    put(said("Übrigens, \"sie\" hielten; a comma, and\na line"));
    Entry photo;
    photo.is = Is::Photo;
    photo.words = "the rim";
    for (int k = 0; k < 1001; ++k) photo.photo += static_cast<char>(k * 37);
    put(photo);
    put(said("wrong"));
    Entry back;
    back.is = Is::TakenBack;
    back.replaces = n;
    put(back);
    return e;
}

int eveningsOf(const std::string& file) {
    auto book = io::Logbook::open(file);
    REQUIRE(book);
    const auto shelf = book->shelf();
    REQUIRE(shelf);
    return static_cast<int>(shelf->size());
}

}  // namespace

TEST_CASE("What corrects an entry takes its place, and nothing is overwritten") {
    const Evening e = full();
    CHECK(e.entries.size() == 11);
    const auto held = e.held();
    CHECK(held.size() == 8);
    const auto taught = e.taught();
    REQUIRE(taught.records.size() == 1);
    CHECK(taught.records[0].value == 0.045);
    CHECK(e.taughtFrom() == std::vector<std::int64_t>{2});
    CHECK(e.counts().at("crater-bowl").whole == 12);
    CHECK(e.stars() == 4);
    CHECK(e.stars("lens-cup") == 5);
    CHECK(e.stars("crater-bowl") == 0);
}

TEST_CASE("A log is written and read again without loss, as JSON and as comma-separated values") {
    std::vector<Evening> all{full(), full("two", "2026-06-01")};
    for (auto& x : all[1].entries) {
        x.id += 100;
        if (x.replaces) x.replaces += 100;
    }
    for (const bool csv : {false, true}) {
        INFO(csv);
        const std::string text = csv ? log::writeLogCsv(all) : log::writeLog(all);
        const auto back = csv ? log::readLogCsv(text) : log::readLog(text);
        REQUIRE(back);
        CHECK(*back == all);
        CHECK((csv ? log::writeLogCsv(*back) : log::writeLog(*back)) == text);
    }
    CHECK(log::readLog(log::writeLog({}))->empty());
    CHECK(log::readLogCsv(log::writeLogCsv({}))->empty());
    const std::string csv = log::writeLogCsv(all);
    CHECK(csv.starts_with("evening,date,plan,is,at,piece,value,of,words,all\none,2026-05-12,Perseid night,evening,"));
    CHECK(csv.find("measured,2026-05-12T20:14,crater-bowl,0.045") != std::string::npos);
}

TEST_CASE("A picture goes through base 64 and back, of any length") {
    for (size_t n = 1; n < 20; ++n) {
        Entry e;
        e.is = Is::Photo;
        for (size_t k = 0; k < n; ++k) e.photo += static_cast<char>(255 - 13 * k);
        const auto back = log::readEntry(log::entryText(e));
        REQUIRE(back);
        CHECK(*back == e);
    }
    // RFC 4648, section 10.
    Entry e;
    e.is = Is::Photo;
    e.photo = "foobar";
    CHECK(nlohmann::json::parse(log::entryText(e)).at("photo") == "Zm9vYmFy");
    e.photo = "fooba";
    CHECK(nlohmann::json::parse(log::entryText(e)).at("photo") == "Zm9vYmE=");
    e.photo = "foob";
    CHECK(nlohmann::json::parse(log::entryText(e)).at("photo") == "Zm9vYg==");
    for (const char* bad : {"Zm9", "Zm9v=mFy", "Zm9!", "=m9v", "Zm=v"})
        CHECK_FALSE(log::readEntry(nlohmann::json{{"is", "photo"}, {"photo", bad}}.dump()));
}

TEST_CASE("What cannot have been is refused with its place") {
    const Evening e = full();
    const auto refused = [&](auto change) {
        Entry x;
        change(x);
        return log::wrongWith(x, e);
    };
    CHECK(log::wrongWith(said("well"), e).empty());
    CHECK(!refused([](Entry&) {}).empty());
    CHECK(!refused([](Entry& x) { x.is = Is::Made, x.piece = "crater-bowl", x.count = 5, x.of = 4; }).empty());
    CHECK(!refused([](Entry& x) { x.is = Is::Made, x.piece = "moon", x.count = 1, x.of = 4; }).empty());
    CHECK(!refused([](Entry& x) { x.is = Is::Stars, x.count = 6; }).empty());
    CHECK(!refused([](Entry& x) { x.is = Is::Photo; }).empty());
    CHECK(!refused([](Entry& x) { x.is = Is::TakenBack; }).empty());
    CHECK(!refused([](Entry& x) { x.is = Is::Left, x.value = 1; }).empty());
    CHECK(!refused([](Entry& x) { x.is = Is::Failed; }).empty());
    CHECK(refused([](Entry& x) { x.words = "a", x.replaces = 77; }) == "What it corrects is not there.");

    auto j = nlohmann::json::parse(log::writeLog({e}));
    const auto where = [&](auto change) {
        auto copy = j;
        change(copy);
        const auto read = log::readLog(copy.dump());
        return read ? std::string("read") : read.error().where;
    };
    CHECK(where([](auto&) {}) == "read");
    CHECK(where([](auto& c) { c["version"] = 9; }) == "version");
    CHECK(where([](auto& c) { c["format"] = "uovo-plan"; }) == "format");
    CHECK(where([](auto& c) { c["evenings"][0]["entries"][2]["count"] = 99; }) == "evenings/0/entries/2");
    CHECK(where([](auto& c) { c["evenings"][0]["entries"][0]["record"]["mass"] = -1; }) ==
          "evenings/0/entries/0/record/mass");
    CHECK(where([](auto& c) { c["evenings"][0]["entries"][1]["id"] = 1; }) == "evenings/0/entries/1/id");
    CHECK(where([](auto& c) { c["evenings"].push_back(c["evenings"][0]); }) == "evenings/1/entries/0/id");
    CHECK_FALSE(log::readLogCsv("a,b\n"));
    CHECK_FALSE(log::readLogCsv("evening,date,plan,is,at,piece,value,of,words,all\nx,\"y"));
    CHECK_FALSE(log::readLog("{"));
}

TEST_CASE("A log in its file: kept, added to, corrected, exported and imported until both are equal") {
    const test::Folder folder("log");
    auto book = io::Logbook::open(folder("deeper/log.sqlite"));
    REQUIRE(book);
    CHECK(book->shelf()->empty());
    CHECK_FALSE(book->evening("one")->has_value());
    REQUIRE(book->keep(full()));
    REQUIRE(book->keep(full("two", "2026-06-01")));
    const auto shelf = *book->shelf();
    REQUIRE(shelf.size() == 2);
    CHECK(shelf[0].id == "two");  // the newest first
    CHECK(shelf[1].entries == 11);
    CHECK(shelf[1].measured == 2);
    CHECK(**book->evening("one") == full());
    CHECK((*book->evening("one", false))->entries[8].photo.empty());

    // A second program sees what the first adds.
    auto other = io::Logbook::open(folder("deeper/log.sqlite"));
    REQUIRE(other);
    const auto number = other->add("one", weighed(0.05));
    REQUIRE(number);
    Entry better = weighed(0.052);
    better.replaces = *number;
    REQUIRE(book->add("one", better));
    CHECK((*book->evening("one"))->taught().records.size() == 2);
    CHECK((*other->evening("one"))->taught().records.back().value == 0.052);
    CHECK_FALSE(book->add("none", weighed(0.05)));
    Entry bad = weighed(0.05);
    bad.replaces = 4711;
    CHECK_FALSE(book->add("one", bad));
    bad = said("");
    CHECK_FALSE(book->add("one", bad));

    // Kept again: plan and bags follow, entries stay.
    Evening again = full();
    again.bags["dark"] = "June sack";
    again.entries.clear();
    REQUIRE(book->keep(again));
    CHECK((*book->evening("one"))->bags.at("dark") == "June sack");
    CHECK((*book->evening("one"))->entries.size() == 13);

    const auto all = *book->all();
    auto copy = io::Logbook::open(folder("copy.sqlite"));
    REQUIRE(copy);
    CHECK(*copy->import(*log::readLog(log::writeLog(all))) == 2);
    CHECK(*copy->import(all) == 0);  // they are there
    auto third = io::Logbook::open(folder("third.sqlite"));
    CHECK(*third->import(*log::readLogCsv(log::writeLogCsv(*copy->all()))) == 2);
    CHECK(*third->all() == *copy->all());
    // Numbers are anew; all else is equal.
    auto was = all, is = *copy->all();
    for (auto* some : {&was, &is})
        for (auto& e : *some)
            for (auto& x : e.entries) x.id = x.replaces = x.replaces ? 1 : 0;
    CHECK(is == was);

    REQUIRE(book->resolve({0, "crack", "cold", "2026-06-01"}));
    REQUIRE(book->resolve({0, "crack", "cold", "2026-06-02"}));  // once is enough
    REQUIRE(book->resolves()->size() == 1);
    REQUIRE(book->unresolve(book->resolves()->front().id));
    CHECK(book->resolves()->empty());
    REQUIRE(book->trust("wall:dark", 0.5));
    REQUIRE(book->trust("wall:dark", 7));
    CHECK(book->trust()->at("wall:dark") == 1);
}

TEST_CASE("The command line writes a log, takes one in, and learns from it") {
    const test::Folder folder("log-command");
    const auto path = folder("log.sqlite"), copy = folder("copy.sqlite");
    {
        auto book = io::Logbook::open(path);
        REQUIRE(book->keep(full()));
    }
    int code = 0;
    const auto runs = [&](const std::string& words) {
        return test::printedBy(std::string(UOVO_CLI) + " " + words, &code);
    };
    for (const std::string how : {"", " --csv"}) {
        const auto file = folder.write(how.empty() ? "out.json" : "out.csv", runs("log " + path + how));
        REQUIRE(code == 0);
        CHECK(runs("log " + copy + " --take " + file).starts_with(how.empty() ? "1 of 1" : "0 of 1"));
        if (how.empty()) CHECK(nlohmann::json::parse(runs("learn " + file)).at("records").size() == 1);
        CHECK(code == 0);
    }
    CHECK(runs("log " + folder.write("bad", "no log")).find("damaged") != std::string::npos);
    CHECK(code == 1);
    (void)runs("log");
    CHECK(code == 2);
    (void)runs("log " + path + " --take /nowhere");
    CHECK(code == 1);
}

TEST_CASE("The invented evenings are a whole log, and what they teach is what they were invented to") {
    const auto invented = io::demoLog(20669L * 1440);
    REQUIRE(invented.size() == 2);
    const test::Folder folder("log-invented");
    auto book = io::Logbook::open(folder("log.sqlite"));
    const auto taken = book->import(invented);
    INFO((taken ? "" : taken.error().sentence));
    REQUIRE(taken);
    CHECK(*taken == 2);
    CHECK(book->shelf()->front().name == "Cups for the volunteers");
    std::vector<learn::Evening> evenings;
    const auto all = *book->all();
    for (const auto& e : all) {
        CHECK(problems(e.plan, io::library()).empty());
        for (const auto& x : e.entries)
            if (x.is == Is::Failed) CHECK(io::library().fault(x.fault));
        evenings.push_back(e.taught());
    }
    const auto known = learn::learn(evenings, io::library());
    REQUIRE(known);
    CHECK(known->measured() == 6);
    const auto lessons = learn::lessons(*known, evenings, io::library());
    REQUIRE(!lessons.empty());
    CHECK(lessons[0].id == "wall:dark");
    CHECK(lessons[0].factor > 1.05);
    CHECK(learn::questions(*known, evenings, UnitSystem::Metric).empty());
}

TEST_CASE("Where a figure comes from is kept in the plan's file, told in workings, and gone when it is typed") {
    Plan plan = test::demo();
    learn::Shift shift = learn::Shift::Zero();
    shift[static_cast<int>(learn::Of::Yield)] = 0.2;
    learn::countOn(shift, "dark", plan, io::library(), "your logbook, 3 measurements of 12 May 2026");
    plan.kitchen.pace = 1.25;
    const auto back = readPlan(writePlan(plan));
    REQUIRE(back);
    CHECK(*back == plan);
    CHECK(back->own.at("dark").from.at("yield40") == "your logbook, 3 measurements of 12 May 2026");
    std::erase_if(plan.pieces, [](const Piece& p) { return p.id != "crater-bowl"; });
    const auto answers = test::answersOf(plan, test::withoutDay());
    bool told = false;
    for (const auto& a : answers.pieces[0]->answers)
        for (const auto& in : a.working.inputs) told = told || in.source.starts_with("your logbook, 3");
    CHECK(told);
    plan.own["dark"].say("yield40", 12);
    CHECK_FALSE(plan.own["dark"].from.contains("yield40"));
    CHECK(plan.own["dark"].from.contains("viscosity40"));
    auto j = nlohmann::json::parse(writePlan(plan));
    j["ownFrom"]["dark"]["viscosity40"] = 3;
    CHECK_FALSE(readPlan(j.dump()));
    j["ownFrom"]["dark"] = {{"nothing", "here"}};
    CHECK(readPlan(j.dump())->own.at("dark").from.empty());
}

TEST_CASE("Hands that take longer make the day longer, and its pots stand longer") {
    Plan plan = smallPlan();
    const auto book = test::answersOf(plan);
    plan.kitchen.pace = 1.5;
    const auto slow = test::answersOf(plan);
    const auto hands = [](const Answers& a) {
        double minutes = 0;
        for (const auto& t : a.day->asked.tasks) minutes += t.hands > 0 ? t.minutes : 0;
        return minutes;
    };
    CHECK(hands(slow) > 1.25 * hands(book));
    CHECK(hands(slow) < 1.6 * hands(book));
    CHECK(slow.pots[0].minutes == Approx(1.5 * book.pots[0].minutes));
    plan.kitchen.pace = 9;
    CHECK(problems(plan, io::library())[0].where == "kitchen/pace");
}

// Conjugate: a Beta(9, 1) that saw 3 of 4.
TEST_CASE("What came out whole moves the share that spares are for") {
    CHECK(learn::survives({3, 4}, 0.9, 10) == Approx(12.0 / 14));
    CHECK(learn::survives({0, 0}, 0.9, 10) == Approx(0.9));
    CHECK(learn::survives({1000, 1000}, 0.9, 10) == Approx(0.999).margin(1e-4));
}

TEST_CASE("A year of evenings, two thousand measurements, and what they teach", "[long]") {
    const test::Folder folder("log-year");
    auto book = io::Logbook::open(folder("log.sqlite"));
    Plan plan = smallPlan();
    plan.meshes.clear();
    learn::Shift truth = learn::Shift::Zero();
    truth[static_cast<int>(learn::Of::Yield)] = 0.3;
    std::mt19937 random(11);
    std::normal_distribution<double> normal;
    std::vector<learn::Evening> last;
    for (int k = 0; k < 50; ++k) {
        Plan real = plan;
        material::Library lib = io::library();
        learn::Shift evening = truth;
        evening[static_cast<int>(learn::Of::Seed)] = 0.3 * normal(random);
        learn::apply(evening, "dark", real, lib);
        Evening e;
        e.id = localTime(20669L * 1440 + k * 7 * 1440);
        e.date = e.id.substr(0, 10);
        e.plan = plan;
        e.bags = {{"dark", "one sack"}};
        const auto told = learn::tell(real.pieces[0], real, lib);
        REQUIRE(told);
        for (int n = 0; n < 20; ++n) {
            Entry first = weighed(told->coats[0] * std::exp(0.05 * normal(random)), 1 + 40 * k + 2 * n);
            Entry both =
                weighed(first.record.value + told->coats[1] * std::exp(0.05 * normal(random)), 2 + 40 * k + 2 * n);
            both.record.coats = 2;
            e.entries.push_back(first);
            e.entries.push_back(both);
        }
        REQUIRE(book->keep(e));
    }
    const auto shelf = *book->shelf();
    int measured = 0;
    for (const auto& m : shelf) measured += m.measured;
    CHECK(measured == 2000);
    for (size_t k = 8; k-- > 0;) {  // the latest, the oldest of them first
        auto e = (**book->evening(shelf[k].id)).taught();
        e.records.resize(4);
        last.push_back(std::move(e));
    }
    const auto known = learn::learn(last, io::library());
    REQUIRE(known);
    const auto likely = learn::likely(*known, "dark", io::library(), "one sack");
    Plan mine = plan, real = plan;
    material::Library a = io::library(), b = io::library();
    learn::apply(likely, "dark", mine, a);
    learn::apply(truth, "dark", real, b);
    const double told = learn::tell(mine.pieces[0], mine, a)->mass(), is = learn::tell(real.pieces[0], real, b)->mass();
    const double byBook = learn::tell(plan.pieces[0], plan, io::library())->mass();
    CHECK(std::abs(std::log(told / is)) < 0.08);
    CHECK(std::abs(std::log(told / is)) < 0.6 * std::abs(std::log(byBook / is)));
}

TEST_CASE("Damaged, foreign and newer files are refused in words and left as they are") {
    const test::Folder folder("log-bad");
    const auto path = folder("log.sqlite");
    {
        auto book = io::Logbook::open(path);
        for (int k = 0; k < 20; ++k) REQUIRE(book->keep(full(std::to_string(k))));
    }
    const std::string whole = test::contents(path);
    REQUIRE(whole.size() > 50'000);
    const auto refused = [&](const std::string& bytes) {
        std::ofstream(path, std::ios::binary | std::ios::trunc) << bytes;
        const auto book = io::Logbook::open(path);
        CHECK(test::contents(path) == bytes);
        return book ? std::string() : book.error().sentence;
    };
    CHECK(refused("hello, this is a text and no log at all").find("damaged") != std::string::npos);
    std::string torn = whole;
    for (size_t k = 8192; k < 30000; ++k) torn[k] = static_cast<char>(k * 7);
    CHECK(refused(torn).find("damaged") != std::string::npos);
    CHECK(refused(whole.substr(0, whole.size() / 2)).find("damaged") != std::string::npos);
    std::string newer = whole;
    newer[63] = 9;  // user_version in a file's head
    CHECK(refused(newer).find("newer") != std::string::npos);
    std::string foreign = whole;
    foreign[71] = 1;  // application_id
    CHECK(refused(foreign).find("no log of Uovo") != std::string::npos);
    CHECK(refused(whole).empty());
    CHECK_FALSE(io::Logbook::open("/proc/nowhere/log.sqlite"));
    fs::create_directory(folder("folder"));
    CHECK_FALSE(io::Logbook::open(folder("folder")));
}

TEST_CASE("An older log is copied beside itself and brought up to date") {
    const test::Folder folder("log-old");
    const auto path = folder("log.sqlite");
    {
        auto book = io::Logbook::open(path);
        REQUIRE(book->keep(full()));
    }
    sqlite3* db = nullptr;
    REQUIRE(sqlite3_open(path.c_str(), &db) == SQLITE_OK);
    REQUIRE(sqlite3_exec(db, "DROP TABLE resolves; DROP TABLE trust; PRAGMA user_version=1", nullptr, nullptr,
                         nullptr) == SQLITE_OK);
    sqlite3_close(db);
    auto book = io::Logbook::open(path);
    REQUIRE(book);
    CHECK(**book->evening("one") == full());
    CHECK(book->resolve({0, "crack", "cold", "2026-06-01"}));
    CHECK(fs::exists(folder("log.sqlite.version-1")));
    // The copy is a log of its own, of the version it was.
    REQUIRE(sqlite3_open(folder("log.sqlite.version-1").c_str(), &db) == SQLITE_OK);
    int version = 0;
    sqlite3_exec(
        db, "PRAGMA user_version",
        [](void* out, int, char** cells, char**) {
            *static_cast<int*>(out) = std::atoi(cells[0]);
            return 0;
        },
        &version, nullptr);
    sqlite3_close(db);
    CHECK(version == 1);
}

TEST_CASE("A disk that is full and a file that may not be written: nothing is lost, and it is said") {
    const test::Folder folder("log-full");
    const auto path = folder("log.sqlite");
    auto book = io::Logbook::open(path);
    REQUIRE(book->keep(full()));
    rlimit before{}, small{};
    ::getrlimit(RLIMIT_FSIZE, &before);
    ::signal(SIGXFSZ, SIG_IGN);
    small = before;
    small.rlim_cur = 40'000;
    ::setrlimit(RLIMIT_FSIZE, &small);
    tl::expected<void, Problem> refused;
    for (int k = 0; k < 200 && refused; ++k) refused = book->keep(full(std::to_string(k)));
    ::setrlimit(RLIMIT_FSIZE, &before);
    REQUIRE_FALSE(refused);
    CHECK(refused.error().sentence.find("lost") != std::string::npos);
    CHECK(**book->evening("one") == full());
    REQUIRE(book->keep(full("later")));
    CHECK(book->evening("later")->has_value());
    if (::geteuid() == 0) return;  // nothing is read-only for root
    fs::permissions(path, fs::perms::owner_read);
    auto readable = io::Logbook::open(path);
    REQUIRE(readable);
    CHECK(readable->isReadOnly());
    CHECK(**readable->evening("one") == full());
    CHECK_FALSE(readable->keep(full("no")));
}

TEST_CASE("Killed at any moment of writing, three hundred times: what was said to be kept is there", "[long]") {
    const test::Folder folder("log-killed");
    const auto path = folder("log.sqlite");
    const Evening base = full();
    {
        auto book = io::Logbook::open(path);
        REQUIRE(book->keep(base));
    }
    std::mt19937 random(5);
    size_t kept = base.entries.size();
    for (int round = 0; round < 300; ++round) {
        int ends[2];
        REQUIRE(::pipe(ends) == 0);
        const pid_t child = ::fork();
        if (child == 0) {
            ::close(ends[0]);
            auto book = io::Logbook::open(path);
            if (!book) ::_exit(1);
            for (int k = 0; k < 1000; ++k) {
                if (!book->add("one", said(std::string(static_cast<size_t>(k % 900) + 1, 'x')))) ::_exit(1);
                const char yes = 1;
                if (::write(ends[1], &yes, 1) != 1) ::_exit(1);
            }
            ::_exit(0);
        }
        ::close(ends[1]);
        char buffer[2048];
        ssize_t n = 0;
        size_t told = 0;
        for (const size_t wanted = random() % 4; told < wanted && ::read(ends[0], buffer, 1) == 1;) ++told;
        ::usleep(static_cast<useconds_t>(random() % 8000));
        ::kill(child, SIGKILL);
        int status = 0;
        ::waitpid(child, &status, 0);
        while ((n = ::read(ends[0], buffer, sizeof buffer)) > 0) told += static_cast<size_t>(n);
        ::close(ends[0]);
        REQUIRE(WIFSIGNALED(status));
        auto book = io::Logbook::open(path);
        REQUIRE(book);
        const size_t there = (*book->evening("one", false))->entries.size();
        REQUIRE(there >= kept + told);      // nothing that was said to be kept is lost
        REQUIRE(there <= kept + told + 1);  // and at most one was not said yet
        kept = there;
    }
    CHECK(kept > base.entries.size() + 100);
    auto book = io::Logbook::open(path);
    CHECK((*book->evening("one"))->taught().records.size() == 1);
}

TEST_CASE("Ten thousand entries: the log opens, an evening is there", "[long]") {
    const test::Folder folder("log-large");
    const auto path = folder("log.sqlite");
    {
        auto book = io::Logbook::open(path);
        std::vector<Evening> all;
        for (int k = 0; k < 100; ++k) {
            Evening e = full(std::to_string(1000 + k), "2026-05-12");
            e.entries.clear();
            for (int n = 1; n <= 100; ++n) e.entries.push_back(weighed(0.03 + 1e-4 * n, n + 1000 * k));
            all.push_back(std::move(e));
        }
        CHECK(*book->import(all) == 100);
    }
    CHECK(eveningsOf(path) == 100);
    auto book = io::Logbook::open(path);
    CHECK((*book->evening("1042"))->taught().records.size() == 100);
    CHECK(book->all()->size() == 100);
}

}  // namespace uovo::log_test
