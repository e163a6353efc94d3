// Why something went wrong: causes ranked, questions, changes that are run.
#include <catch2/catch.hpp>
#include <nlohmann/json.hpp>
#include <set>

#include "cli/why_case.h"
#include "core/quantity/normal.h"
#include "core/why/diagnosis.h"
#include "support.h"

namespace uovo::why_test {
namespace {

using namespace why;

const material::Library& lib() { return io::library(); }

/// Looks into a fault of a piece of the demo.
tl::expected<Inquiry, Problem> look(const std::string& piece, const std::string& fault, Figures given = {},
                                    std::map<std::string, bool> answered = {}, Plan plan = test::demo()) {
    static Cache cache;
    return Inquiry::of({std::move(plan), piece, fault, std::move(given), std::move(answered), {}}, lib(), cache);
}

const Suspect& suspect(const Diagnosis& d, const std::string& cause) {
    return *std::find_if(d.suspects.begin(), d.suspects.end(), [&](const auto& s) { return s.cause->id == cause; });
}

double sum(const Diagnosis& d) {
    double all = d.other;
    for (const auto& s : d.suspects) all += s.p;
    return all;
}

}  // namespace

TEST_CASE("Faults and causes of the data name what there is") {
    REQUIRE(lib().faults.size() == 18);
    size_t causes = 0;
    std::set<std::string> ids;
    for (const auto& f : lib().faults) {
        INFO(f.id);
        CHECK(ids.insert(f.id).second);
        CHECK(std::set<std::string>{"piece", "pot", "day"}.contains(f.about));
        std::set<std::string> own;
        for (const auto& c : f.causes) {
            INFO(c.id);
            ++causes;
            CHECK(own.insert(c.id).second);
            CHECK((c.evidence.empty() || isEvidence(c.evidence)));
            CHECK((c.change.empty() || isChange(c.change)));
            CHECK((c.usual > 0 && c.usual < 1));
            CHECK((c.makes > 0 && c.makes < 1));
            CHECK((c.check.ifSo > c.check.ifNot && c.check.ifSo < 1 && c.check.ifNot > 0));
            CHECK(c.check.question.ends_with("?"));
            CHECK(c.advice.ends_with("."));
            CHECK(!c.words.ends_with("."));
            for (const auto& id : reads(c.evidence))
                CHECK(std::ranges::find(allGiven(), id, [](const Given& g) { return std::string(g.id); }) !=
                      allGiven().end());
        }
    }
    CHECK(causes == 83);
}

// The odds of the table of judgement are r/(1 - r) with r = usual · makes; a rate is -ln(1 - r): for what is only usual
// the two are nearly the same. Pearl 1988, noisy-or.
TEST_CASE("Rates of causes that are only usual are the odds of the table") {
    CHECK(rate(present({}, 0.25), 0.35) == Approx(-std::log(1 - 0.0875)));
    CHECK(rate(present({}, 0.35), 0.6) == Approx(0.2357).margin(1e-4));
    CHECK(present(1.0, 0.2) == Approx(0.88));
    CHECK(present(0.0, 0.2) == Approx(0.03));
    CHECK(present(7.0, 0.2) == present(1.0, 0.2));
    CHECK(chanceOf({}) == Approx(1 - std::exp(-0.02)));
    // Two causes and none else: 1 - (1 - r)(1 - s)(1 - other).
    CHECK(chanceOf({rate(0.5, 0.5), rate(0.2, 0.5)}) == Approx(1 - 0.75 * 0.9 * std::exp(-0.02)));
}

// Worked by hand: almonds of 8 mm where the coat holds 3.1 mm, put on when it was planned.
TEST_CASE("Almonds that are too heavy fell off for that in 84 of 100") {
    const auto& fault = *lib().fault("fell-off");
    std::vector<double> rates;
    for (const auto& c : fault.causes) {
        std::optional<double> q;
        if (c.id == "heavy") q = normalBelow(std::log(8 / 3.1) / 0.3);
        if (c.id == "late") q = 0;
        rates.push_back(rate(present(q, c.usual), c.makes));
    }
    CHECK(blame(rates, fault.causes)[0] == Approx(0.838).margin(5e-4));
}

TEST_CASE("An answer moves the blame by Bayes's rule") {
    std::vector<material::Cause> causes(2);
    causes[0].check = {"?", 0.9, 0.1, 1};
    causes[1].check = {"?", 0.8, 0.3, 1};
    const std::vector<double> rates{0.3, 0.1};
    const auto before = blame(rates, causes);
    CHECK(before[0] == Approx(0.3 / 0.42));
    CHECK(before[2] == Approx(0.02 / 0.42));
    const auto yes = blame(rates, causes, {{0, true}});
    CHECK(yes[0] == Approx(0.27 / (0.27 + 0.01 + 0.002)));
    const auto no = blame(rates, causes, {{0, false}});
    CHECK(no[0] == Approx(0.03 / (0.03 + 0.09 + 0.018)));
    // What a question tells is the mean fall of entropy of "it was this one": both ways of reckoning are one.
    const auto H = [](double p) { return -p * std::log2(p) - (1 - p) * std::log2(1 - p); };
    const double p = before[0], said = p * 0.9 + (1 - p) * 0.1;
    CHECK(bits(p, causes[0].check) == Approx(H(p) - said * H(yes[0]) - (1 - said) * H(no[0])));
    CHECK(bits(0, causes[0].check) == Approx(0).margin(1e-12));
    CHECK(bits(1, causes[0].check) == Approx(0).margin(1e-12));
}

// Worked by hand on an older film: 43.7 %, 0.30 bit; after 10 min and with 1.6 mm 68.5 %, tacky 88.5 %. The film of
// today lets go sooner, and what is "too thin" is reckoned from its own margin.
TEST_CASE("A bowl that broke as planned was let go too fast; after a short while in the cold it had not set") {
    const auto planned = look("crater-bowl", "broke-on-release");
    REQUIRE(planned);
    auto d = planned->diagnose();
    CHECK(d.suspects.front().cause->id == "too-fast");
    CHECK(d.suspects.front().p == Approx(0.437).margin(0.04));
    CHECK(d.ask == "too-fast");
    CHECK(suspect(d, "too-fast").bits == Approx(0.30).margin(0.02));
    CHECK(sum(d) == Approx(1));

    auto early = look("crater-bowl", "broke-on-release", {{"stay", 420}, {"rim", 0.0016}});
    REQUIRE(early);
    d = early->diagnose();
    CHECK(d.suspects.front().cause->id == "not-set");
    CHECK(d.suspects.front().p == Approx(0.685).margin(0.04));
    CHECK(d.suspects.front().reason.find("lets go at") != std::string::npos);
    CHECK(d.ask == "not-set");
    early->answer("not-set", true);
    d = early->diagnose();
    CHECK(d.suspects.front().p == Approx(0.885).margin(0.03));
    CHECK(d.ask.empty());
    CHECK(suspect(d, "not-set").bits == 0);
    early->unanswer("not-set");
    CHECK(early->diagnose().suspects.front().p < 0.7);
}

TEST_CASE("A change is run with the piece as it was made") {
    const auto early = look("crater-bowl", "broke-on-release", {{"stay", 420}});
    REQUIRE(early);
    Cache cache;
    const auto& fault = *lib().fault("broke-on-release");
    const auto tried = early->tried(fault.causes[1], cache);  // not set
    REQUIRE(tried);
    CHECK_FALSE(tried->plan);  // the plan says so already
    CHECK(tried->after < tried->before - 0.2);
    CHECK(tried->title.find("not 7 min") != std::string::npos);

    // The same in the plan itself: then it is the plan that changes, and the change alone.
    Plan plan = test::demo();
    for (auto& p : plan.pieces)
        if (p.id == "crater-bowl") p.coats().back().stay = Measure(420);
    const auto asPlanned = look("crater-bowl", "broke-on-release", {}, {}, plan);
    REQUIRE(asPlanned);
    const auto longer = asPlanned->tried(fault.causes[1], cache);
    REQUIRE(longer);
    REQUIRE(longer->plan);
    const auto made = early->scene().known().made;
    const auto& last = longer->plan->piece("crater-bowl")->coats().back();
    const double until = coat::beforeCold(last) + coat::inCold(last);
    CHECK(until >= 1.509 * made->wall->setting.back().release - 1);
    CHECK(until < 1.509 * made->wall->setting.back().release + 90);
    CHECK(longer->after == Approx(tried->after).margin(0.02));
    Plan undone = *longer->plan;
    for (auto& p : undone.pieces)
        if (p.id == "crater-bowl") p.coats().back().stay = Measure(420);
    CHECK(undone == plan);
}

TEST_CASE("Every cause of the demo is ranked for every fault its pieces can have", "[long]") {
    size_t asked = 0;
    std::set<std::string> reached, changes;
    Cache cache;
    for (const auto& p : test::demo().pieces)
        for (const auto& f : lib().faults) {
            INFO(p.id << " " << f.id);
            const auto bench = look(p.id, f.id);
            if (!canHave(f, p)) {
                REQUIRE_FALSE(bench);
                continue;
            }
            REQUIRE(bench);
            reached.insert(f.id);
            const auto d = bench->diagnose();
            CHECK(d.suspects.size() == f.causes.size());
            CHECK(sum(d) == Approx(1));
            CHECK((d.other > 0 && d.other < 1));
            for (size_t k = 0; k < d.suspects.size(); ++k) {
                const auto& s = d.suspects[k];
                CHECK((s.p > 0 && s.p < 1));
                if (k > 0) CHECK(s.p <= d.suspects[k - 1].p);
                CHECK((!s.computed || (*s.computed >= 0 && *s.computed <= 1)));
                CHECK(s.computed.has_value() == !s.reason.empty());
                if (const auto tried = bench->tried(*s.cause, cache)) {
                    changes.insert(s.cause->change);
                    CHECK(tried->after < tried->before);
                    if (tried->plan) CHECK(problems(*tried->plan, lib()).empty());
                }
            }
            asked += !d.ask.empty();
        }
    CHECK(reached.size() == 18);
    CHECK(asked > 80);
    CHECK(changes.size() >= 5);
}

TEST_CASE("Figures that were given reach their evidence") {
    const auto q = [&](const std::string& piece, const std::string& fault, const std::string& cause, Figures given) {
        const auto bench = look(piece, fault, std::move(given));
        REQUIRE(bench);
        return suspect(bench->diagnose(), cause).computed.value_or(-1);
    };
    CHECK(q("crater-bowl", "balloon-burst", "too-hot", {{"bath", 37}}) > 0.85);
    CHECK(q("crater-bowl", "balloon-burst", "too-hot", {{"bath", 32}}) < 0.05);
    CHECK(q("crater-bowl", "streaks", "lost", {{"hottest", 36}}) > 0.99);
    CHECK(q("crater-bowl", "streaks", "lost", {{"hottest", 32}}) < 0.01);
    CHECK(q("crater-bowl", "thick", "scorched", {{"hottest", 70}}) > 0.99);
    CHECK(q("crater-bowl", "thin-rim", "waited", {{"delay", 1200}}) > 0.9);
    CHECK(q("crater-bowl", "thin-crown", "drained", {{"drain", 600}}) > 0.9);
    CHECK(q("crater-bowl", "ran-out", "bath", {{"melted", 0.5}}) > 0.9);
    CHECK(q("crater-bowl", "ran-out", "bath", {{"melted", 5}}) < 0.1);
    CHECK(q("crater-bowl", "ran-out", "thicker", {{"mass", 0.3}}) > 0.9);
    CHECK(q("crater-bowl", "too-much", "thinner", {{"mass", 0.05}}) > 0.9);
    CHECK(q("crater-bowl", "too-much", "guessed", {{"melted", 9}}) > 0.9);
    CHECK(q("crater-bowl", "thick", "late", {{"used", 8 * 3600}}) > 0.9);
    CHECK(q("specimen-basket", "joint", "let-go", {{"held", 5}}) > 0.9);
    CHECK(q("specimen-basket", "joint", "let-go", {{"held", 600}}) < 0.1);
    CHECK(q("lens-cup", "leaked", "warm", {{"filling", 34}}) > 0.95);
    Plan strewn = test::demo();
    TopStep top;
    top.topping = strewn.toppings.front().id;
    for (auto& p : strewn.pieces)
        if (p.id == "crater-bowl") p.insert(top);
    const auto late = look("crater-bowl", "fell-off", {{"topped", 1800}}, {}, strewn);
    REQUIRE(late);
    CHECK(suspect(late->diagnose(), "late").computed.value_or(-1) > 0.9);
    CHECK(q("crater-bowl", "late", "began", {{"begun", 3600}}) > 0.95);
    CHECK(q("crater-bowl", "leaning", "warm", {{"room", 29}}) > 0.95);
    CHECK(q("crater-bowl", "dull", "too-long", {{"stay", 6 * 3600}}) > 0.95);
}

TEST_CASE("What cannot be asked is refused with its place") {
    CHECK(look("nobody", "crack").error().where == "piece");
    CHECK(look("crater-bowl", "nothing").error().where == "fault");
    CHECK(look("crater-bowl", "curled").error().where == "fault");
    CHECK(look("crater-bowl", "crack", {{"mood", 3}}).error().where == "given/mood");
    CHECK(look("crater-bowl", "crack", {{"stay", NAN}}).error().where == "given/stay");
    CHECK(look("crater-bowl", "crack", {}, {{"moon", true}}).error().where == "answers/moon");
    CHECK_FALSE(look("crater-bowl", "crack", {{"bath", 400}}));
    nlohmann::json given{{"piece", "crater-bowl"}, {"fault", "crack"}};
    CHECK(cli::whyCase(given).error().sentence == "“plan” is missing.");
    given["plan"] = nlohmann::json::parse(writePlan(test::demo()));
    given["given"] = {{"stay", "long"}};
    CHECK_FALSE(cli::whyCase(given));
    given["given"] = {{"stay", 600}};
    given["answers"] = {{"cold", true}};
    const auto out = cli::whyCase(given);
    REQUIRE(out);
    CHECK(out->at("causes").size() == 5);
    CHECK(out->at("causes")[0].at("probability").get<double>() > out->at("causes")[1].at("probability").get<double>());
}

}  // namespace uovo::why_test
