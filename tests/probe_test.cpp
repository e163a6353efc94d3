// Thermometer lines, a bowl that plays a thermometer, and the coach that listens.
#include <fmt/format.h>
#include <catch2/catch.hpp>
#include <chrono>
#include <cmath>
#include <random>

#include "core/probe/bowl.h"
#include "core/probe/coach.h"
#include "core/probe/reader.h"
#include "support.h"

namespace uovo::probe::probe_test {

namespace {

struct Pot {
    material::Coating coating;
    temper::Choice choice;
    temper::TemperPlan plan;
    double mass;
    explicit Pot(const char* id = "dark", double kg = 0.8, temper::Choice how = {})
        : coating(test::coating(id)), choice(how), mass(kg) {
        const auto p = temper::plan(coating, io::library().physics, choice, kg, 20, UnitSystem::Metric);
        REQUIRE(p);
        plan = *p;
    }
    Bowl bowl(BowlOptions o = {}) const { return Bowl(plan, coating, io::library().physics, choice, mass, 20, o); }
    Coach coach() const { return Coach(plan, coating, io::library().physics, mass, 800, 20, UnitSystem::Metric); }
};

Reading one(const char* line) {
    Reading r;
    REQUIRE(readLine(line, r));
    return r;
}

bool refused(std::string_view line) {
    Reading r;
    return !readLine(line, r);
}

}  // namespace

TEST_CASE("lines are read in every unit, with and without a clock") {
    CHECK(one("T 31.62 C").value == Approx(31.62));
    CHECK(one("T 31.62").value == Approx(31.62));
    CHECK(one("T 88.9 F").value == Approx((88.9 - 32) / 1.8));
    CHECK(one("  T   31 C  \r").value == Approx(31));
    CHECK(one("T -5.5 C").value == Approx(-5.5));
    CHECK(one("M 412.5 g").value == Approx(0.4125));
    CHECK(one("M 2 oz").value == Approx(2 * 0.028349523125));  // NIST SP 811: avoirdupois ounce
    CHECK(one("T 31.5 C @12.5").seconds == Approx(12.5));
    CHECK(one("T 31.5 C").seconds < 0);
    CHECK(one("uovo-probe 1 the blue one").words == "the blue one");
    CHECK(one("! battery low").words == "battery low");
    CHECK(one("uovo-probe 1").kind == Reading::Kind::Hello);
}

TEST_CASE("garbage is refused: other units, figures no kitchen has, broken bytes, half a line") {
    for (const char* line : {"",
                             " ",
                             "T",
                             "T ",
                             "T C",
                             "T x C",
                             "T 31 K",
                             "T nan C",
                             "T inf C",
                             "T 300 C",
                             "T 3000",
                             "T -90 C",
                             "M 31 lb",
                             "M 90000 g",
                             "X 31 C",
                             "31.5",
                             "T31 C",
                             "t 31 C",
                             "uovo-probe 2 newer",
                             "uovo-probe 12",
                             "T 31 C @",
                             "T 31 C @soon",
                             "T 31 C @-4",
                             "T 31 C @1e999"})
        CHECK(refused(line));
    CHECK(refused(std::string_view("T 3\0001 C", 8)));
    CHECK(refused("T 31 C \x07"));
    CHECK(refused(std::string(500, 'T')));
}

TEST_CASE("bytes may come in any pieces, garbage between them is dropped and counted") {
    const std::string all =
        "uovo-probe 1 a\nT 31.0 C\n\nnonsense\r\nT 32.0 C\r\n" + std::string(5000, '#') + "\nT 33.0 C\nT 34";
    Reader whole;
    const auto once = whole.feed(all);
    REQUIRE(once.size() == 4);
    CHECK(once[3].value == 33);
    CHECK(whole.garbage() == 2);
    CHECK(whole.kept() == 4);
    Reader bits;
    std::vector<Reading> got;
    for (const char c : all)
        for (auto& r : bits.feed(std::string_view(&c, 1))) got.push_back(r);
    REQUIRE(got.size() == once.size());
    for (size_t i = 0; i < got.size(); ++i) CHECK(got[i].value == once[i].value);
    CHECK(bits.garbage() == 2);
}

TEST_CASE("eight hours at ten lines a second, one in a hundred broken: the reader does not grow") {
    Reader reader;
    std::mt19937 random(5);
    size_t read = 0, most = 0;
    for (int i = 0; i < 8 * 3600 * 10; ++i) {
        std::string line = i % 100 == 7 ? std::string(random() % 300, static_cast<char>(33 + random() % 90)) + "\n"
                                        : fmt::format("T 31.5 C @{:.1f}\n", 0.1 * i);
        read += reader.feed(line).size();
        most = std::max(most, reader.kept());
    }
    CHECK(read >= 285000);
    CHECK(most <= 120);
    CHECK(reader.kept() == 0);
    CHECK(reader.garbage() > 2000);
}

TEST_CASE("random bytes never crash the reader, and what it reads is within a kitchen's range") {
    std::mt19937 random(11);
    Reader reader;
    const std::string words = "T M CFgoz@.-+e0123456789 \n\r!uovo-probe 1";
    for (int i = 0; i < 200000; ++i) {
        const char c = random() % 20 ? words[random() % words.size()] : static_cast<char>(random() % 256);
        for (const auto& r : reader.feed(std::string_view(&c, 1))) {
            CHECK(std::isfinite(r.value));
            CHECK(std::abs(r.value) <= 250);
        }
    }
}

TEST_CASE("a bowl follows its plan: it melts, takes the seed, ends at work, and its scale gains the seed") {
    for (const char* id : {"dark", "milk", "white"}) {
        INFO(id);
        const Pot k(id);
        auto bowl = k.bowl();
        double hottest = 0;
        CHECK(bowl.mass() == Approx(k.plan.melt));
        while (!bowl.done() && bowl.time() < 3600) {
            bowl.pass(1);
            hottest = std::max(hottest, bowl.celsius());
        }
        REQUIRE(bowl.done());
        CHECK(hottest == Approx(k.coating.meltTo).margin(0.6));
        CHECK(bowl.celsius() < k.coating.workHigh + 0.5);
        CHECK(bowl.mass() == Approx(k.mass).epsilon(1e-6));
    }
    // the same seed plays the same lines, another does not
    const Pot k;
    auto a = k.bowl(), b = k.bowl();
    CHECK(a.pass(60) == b.pass(60));
    BowlOptions other;
    other.seed = 8;
    CHECK(k.bowl(other).pass(60) != k.bowl().pass(60));
}

TEST_CASE("the bowl plays time as it is given: two lines a second, the same in one go and bit by bit") {
    const Pot k;
    auto once = k.bowl(), often = k.bowl();
    const std::string lines = once.pass(600);
    std::string bits;
    for (int i = 0; i < 600; ++i) bits += often.pass(1);
    CHECK(lines == bits);
    CHECK(once.time() == Approx(600).margin(0.3));
    size_t readings = 0;
    for (size_t at = 0; (at = lines.find("\nT ", at)) != std::string::npos; ++at) ++readings;
    CHECK(readings > 1000);
    CHECK(readings <= 1200);
}

TEST_CASE("a noisy thermometer with drop-outs gets the right prompts, each within five seconds of its moment") {
    for (const bool fahrenheit : {false, true}) {
        BowlOptions o;
        o.noise = 0.2;
        o.dropOut = 0.1;
        o.garbage = 0.05;
        o.lag = 3;
        o.fahrenheit = fahrenheit;
        const Pot k;
        auto bowl = k.bowl(o);
        auto coach = k.coach();
        Reader reader;
        std::vector<std::pair<double, Prompt>> said;
        double melted = -1, meltedSaid = -1, ready = -1, readySaid = -1;
        while (bowl.time() < 2400) {
            const auto lines = bowl.pass(0.5);
            if (melted < 0 && bowl.celsius() >= k.plan.steps[0].low) melted = bowl.time();
            if (ready < 0 && bowl.mass() > k.mass - 1e-6 && bowl.celsius() <= k.plan.steps[3].celsius + 0.5)
                ready = bowl.time();
            for (const auto& r : reader.feed(lines)) {
                if (r.kind != Reading::Kind::Temperature) continue;
                if (const auto p = coach.read(r.seconds, r.value)) {
                    said.emplace_back(bowl.time(), *p);
                    if (meltedSaid < 0 && p->words.find("portion 1") != std::string::npos) meltedSaid = bowl.time();
                    if (readySaid < 0 && p->tone == Prompt::Tone::Ready) readySaid = bowl.time();
                }
            }
        }
        CHECK(reader.garbage() > 10);
        REQUIRE(melted > 0);
        REQUIRE(meltedSaid > 0);
        CHECK(std::abs(meltedSaid - melted) < 5 + o.lag);
        REQUIRE(ready > 0);
        REQUIRE(readySaid > 0);
        CHECK(std::abs(readySaid - ready) < 5 + o.lag);
        int after = 0;
        for (const auto& [at, p] : said) after += at > readySaid;
        CHECK(after <= 2 * (2400 - readySaid) / 30);  // and then it does not chatter
        CHECK(readySaid > meltedSaid);
        // portions in their order, each once
        std::vector<std::string> portions;
        for (const auto& [t, p] : said)
            if (p.words.find("portion") != std::string::npos && p.tone == Prompt::Tone::Now)
                portions.push_back(p.words);
        REQUIRE(portions.size() == 3);
        for (int i = 0; i < 3; ++i)
            CHECK(portions[static_cast<size_t>(i)].find("portion " + std::to_string(i + 1)) != std::string::npos);
        bool use = false;
        for (const auto& [t, p] : said)
            use = use || (p.tone == Prompt::Tone::Ready && p.words.find("of use") != std::string::npos);
        CHECK(use);
    }
}

TEST_CASE("too hot is said in red, too cool with the seconds that help, and a reading of 300 °C is not believed") {
    const Pot k;
    auto coach = k.coach();
    std::optional<Prompt> p;
    for (int i = 0; i < 10; ++i)
        if (const auto q = coach.read(i, 57)) p = q;
    REQUIRE(p);
    CHECK(p->tone == Prompt::Tone::Harm);
    CHECK(p->words.find("scorches") != std::string::npos);
    // one wild reading among good ones changes nothing
    auto calm = k.coach();
    for (int i = 0; i < 40; ++i) calm.read(0.5 * i, 30);
    const std::string before = calm.now().words;
    CHECK_FALSE(calm.read(20.5, 249));
    CHECK(calm.now().words == before);
    CHECK(calm.celsius() == Approx(30));
    CHECK_FALSE(calm.read(21, std::nan("")));
    CHECK_FALSE(calm.read(3, 30));  // time does not run backwards
    // ready, then left to cool
    auto cool = k.coach();
    double t = 0;
    const auto hold = [&](double celsius, double seconds) {
        for (const double end = t + seconds; t < end; t += 0.5) cool.read(t, celsius);
    };
    hold(45, 20);
    for (const auto& s : k.plan.steps)
        if (!std::isnan(s.celsius) && s.grams > 0 && s.celsius < 44) hold(s.celsius, 60);
    CHECK(cool.now().tone == Prompt::Tone::Ready);
    hold(29.5, 30);
    CHECK(cool.now().words.find("Too cool") != std::string::npos);
    CHECK(cool.now().words.find(" s") != std::string::npos);
    hold(31.5, 30);
    CHECK(cool.now().tone == Prompt::Tone::Ready);
}

}  // namespace uovo::probe::probe_test
