// A day while it is worked through: its log of events, the state they make, what a mishap offers, rehearsals.
#include "core/run/run.h"

#include <random>
#include <set>

#include "core/material/colour.h"
#include "core/run/rehearse.h"
#include "core/run/run_json.h"
#include "core/schedule/replay.h"
#include "support_day.h"

namespace uovo::run_test {
namespace {

using namespace run;
using run::PieceState;
using run::Step;

struct Evening {
    Plan plan;
    Answers answers;
    material::Library lib;
    const DayPlan& day() const { return *answers.day; }
    long begins() const { return *localMinutes(day().clock(day().layout.begins)); }
};

Evening eveningOf(Plan plan) {
    Evening e{std::move(plan), {}, {}};
    e.lib = material::withColours(io::library(), e.plan.colours);
    e.answers = test::answersOf(e.plan);
    REQUIRE(e.answers.day->problem.empty());
    return e;
}

const Evening& small() {
    static const Evening e = eveningOf(test::bowls(4));
    return e;
}

Run begun(const Evening& e) {
    Run run;
    REQUIRE(run.take(begin(e.plan, e.answers, e.begins())));
    REQUIRE(run.take(laid(e.day(), e.begins(), 0)));
    return run;
}

Event done(const std::string& step, double at) {
    Event e;
    e.step = step;
    e.at = at;
    return e;
}

Event of(Kind kind, double at) {
    Event e;
    e.kind = kind;
    e.at = at;
    return e;
}

Event happened(Mishap m, double at) {
    Event e = of(Kind::Happened, at);
    e.mishap = m;
    return e;
}

/// Does the next steps of the cook, each when it is planned to end, until none is left or a step of a kind is next.
void work(Run& run, const std::string& until = {}) {
    for (int k = 0; k < 1000; ++k) {
        const Step* s = run.next(0);
        if (!s || s->kind == until) return;
        REQUIRE(run.take(done(s->id, std::max(run.now(), (s->at + s->minutes) * 60.0))));
    }
    FAIL("no end of steps");
}

/// What holds of every state.
void invariants(const Run& run) {
    std::set<std::string> ids;
    for (const auto& s : run.steps()) {
        CHECK(ids.insert(s.id).second);
        const auto& state = run.state(s.id);
        if (state.is != StepState::Is::Waits) {
            CHECK(state.from <= state.to);
            CHECK(state.to <= run.now());
        }
    }
    for (const auto& t : run.timers(run.now())) {
        CHECK(t.due >= 0);
        if (!t.step.empty()) CHECK(run.isOpen(t.step));
    }
    for (const auto& [id, pot] : run.pots()) CHECK(pot.kilograms >= 0);
    for (const auto& p : run.pieces()) {
        CHECK(p.whole() >= 0);
        CHECK(p.broken <= p.count.made + p.again);
        CHECK(p.missing() >= 0);
    }
}

}  // namespace

TEST_CASE("a day is worked through step by step: each once, in an order that its waits allow, to its end") {
    Run run = begun(small());
    work(run);
    for (const auto& s : run.steps())
        if (s.who & 1) CHECK(run.state(s.id).is == StepState::Is::Done);
    CHECK(run.take(of(Kind::Ended, run.now() + 1)));
    CHECK(run.hasEnded());
    CHECK_FALSE(run.take(done("more", run.now())));
}

TEST_CASE("what cannot be is refused, with its reason, and changes nothing") {
    Run run;
    CHECK_FALSE(run.take(done("x", 0)));  // not begun
    run = begun(small());
    const auto events = run.events().size();
    const Step* first = run.next(0);
    REQUIRE(first);
    CHECK_FALSE(run.take(begin(small().plan, small().answers, 0)));
    CHECK_FALSE(run.take(done("no such step", 1)));
    CHECK_FALSE(run.take(of(Kind::Ended, 1)));  // all is open
    CHECK_FALSE(run.take(of(Kind::Undone, 1)));
    const std::string last = run.steps().back().id;
    const auto early = run.take(done(last, 1));
    REQUIRE_FALSE(early);
    CHECK(early.error().sentence.find("comes first") != std::string::npos);
    CHECK(run.events().size() == events);
    REQUIRE(run.take(done(first->id, 60)));
    CHECK_FALSE(run.take(done(first->id, 61)));        // twice
    CHECK_FALSE(run.take(done(run.next(0)->id, 59)));  // before what was last
    Event broke = happened(Mishap::Broke, 62);
    broke.piece = small().plan.pieces[0].id;
    broke.count = 1000;
    CHECK_FALSE(run.take(broke));
}

TEST_CASE("what was done last is taken back, as an event too, and the same steps are open again") {
    Run run = begun(small());
    const std::string first = run.next(0)->id;
    REQUIRE(run.take(done(first, 100)));
    const std::string second = run.next(0)->id;
    REQUIRE(run.take(done(second, 200)));
    REQUIRE(run.take(of(Kind::Undone, 210)));
    CHECK(run.next(0)->id == second);
    CHECK_FALSE(run.isOpen(first));
    CHECK(run.events().size() == 5);
    REQUIRE(run.take(of(Kind::Undone, 220)));
    CHECK(run.next(0)->id == first);
    CHECK_FALSE(run.canUndo());
}

TEST_CASE("what is in the cold is a timer, due when its wait is over, and “not yet” puts it off") {
    Run run = begun(small());
    work(run, "out-1");
    const auto timers = run.timers(run.now());
    const auto it = std::ranges::find_if(timers, [](const Timer& t) { return t.step.ends_with("out-1"); });
    REQUIRE(it != timers.end());
    const Step& look = *run.step(it->step);
    int wait = 0;
    double since = 0;
    for (const auto& w : look.waits)
        if (w.min > wait) wait = w.min, since = run.state(w.after).to;
    REQUIRE(wait > 3);
    CHECK(it->due == Approx(since + wait * 60));
    CHECK(it->latest > it->due);
    Event notYet = of(Kind::NotYet, std::max(run.now(), it->due + 10));
    notYet.step = it->step;
    notYet.minutes = 4;
    REQUIRE(run.take(notYet));
    CHECK(run.due(*run.step(it->step)) == Approx(notYet.at + 240));
}

TEST_CASE("a pot is filled by what makes it ready, drawn from, and wants warmth before it goes cold") {
    Run run = begun(small());
    work(run, "coat-1");
    REQUIRE(run.pots().size() >= 1);
    const auto [id, pot] = *std::ranges::find_if(run.pots(), [](const auto& p) { return p.second.ready; });
    CHECK(pot.usable > 2);
    const Step coat = *run.next(0);
    REQUIRE(coat.pot == id);
    REQUIRE(coat.takes > 0);
    const auto timers = run.timers(run.now());
    const auto warm = std::ranges::find_if(timers, [&](const Timer& t) { return t.pot == id; });
    REQUIRE(warm != timers.end());
    CHECK(warm->latest == Approx(pot.since + pot.usable * 60));
    REQUIRE(run.take(done(coat.id, run.now() + 60)));
    CHECK(run.pots().at(id).kilograms == Approx(pot.kilograms - coat.takes));
    Event burst = of(Kind::Warmed, run.now() + 100);
    burst.pot = id;
    REQUIRE(run.take(burst));
    CHECK(run.pots().at(id).since == burst.at);
}

TEST_CASE("of what is due, what is nearly too late comes first; what is not due yet comes after, by its time") {
    std::vector<Step> steps(4);
    const char* ids[] = {"poured", "patient", "hasty", "later"};
    for (size_t i = 0; i < 4; ++i) {
        steps[i].id = steps[i].title = ids[i];
        steps[i].at = static_cast<int>(i);
        steps[i].minutes = 1;
        steps[i].who = 1;
    }
    steps[1].waits = {{"poured", 2, -1, ""}};
    steps[2].waits = {{"poured", 5, 9, ""}};
    steps[3].waits = {{"poured", 30, 40, ""}};
    Run run;
    Event begun = of(Kind::Begun, 0);
    begun.begun = "2026-08-01T10:00";
    REQUIRE(run.take(begun));
    Event laid = of(Kind::Laid, 0);
    laid.laid = steps;
    REQUIRE(run.take(laid));
    REQUIRE(run.take(done("poured", 0)));
    const auto order = [&](double second) {
        std::string out;
        for (const auto& t : run.timers(second)) out += t.step + " ";
        return out;
    };
    CHECK(order(60) == "patient hasty later ");
    CHECK(order(200) == "patient hasty later ");  // one is due, the other not yet
    CHECK(order(400) == "hasty patient later ");
    CHECK(order(31 * 60) == "hasty later patient ");
}

TEST_CASE("a log is read as it was written; cut anywhere it is read up to its last whole line") {
    const Evening& e = small();
    std::string text = headLine();
    Run run = begun(e);
    work(run);
    std::vector<size_t> ends;
    for (const auto& event : run.events()) {
        text += lineOf(event, {1'700'000'000, 5, "a"});
        ends.push_back(text.size());
    }
    const auto whole = readLog(text);
    REQUIRE(whole);
    CHECK(whole->run.events() == run.events());
    CHECK_FALSE(whole->torn);
    CHECK(whole->last.start == "a");
    std::mt19937 random(3);
    for (int k = 0; k < 60; ++k) {
        const size_t cut = headLine().size() + random() % (text.size() - headLine().size());
        const auto part = readLog(std::string_view(text).substr(0, cut));
        REQUIRE(part);
        const auto wholeLines = std::ranges::count_if(ends, [&](size_t end) { return end <= cut; });
        CHECK(std::ssize(part->run.events()) == wholeLines);
        Run replayed;  // the same events give the same state
        for (const auto& event : part->run.events()) REQUIRE(replayed.take(event));
        CHECK(replayed.steps() == part->run.steps());
    }
}

TEST_CASE("a log that is damaged, foreign or newer is refused with its line") {
    const std::string head = headLine();
    const auto why = [](const std::string& text) {
        const auto read = readLog(text);
        REQUIRE_FALSE(read);
        return read.error();
    };
    CHECK(why("").sentence.find("not the log") != std::string::npos);
    CHECK(why("{\"uovo\": 2}\n").sentence.find("not the log") != std::string::npos);
    CHECK(why("{\"uovoRun\": 99}\n").sentence.find("newer") != std::string::npos);
    CHECK(why(head + "{\"at\": 0, \"is\"\n").line == 2);
    CHECK(why(head + "{\"at\": 0, \"is\": \"dance\"}\n").line == 2);
    CHECK(why(head + "{\"at\": 0, \"is\": \"begun\", \"begun\": \"noon\"}\n").line == 2);
    CHECK(why(head + "{\"at\": 0, \"is\": \"done\", \"step\": \"x\"}\n").sentence.find("does not follow") !=
          std::string::npos);
    CHECK(why(head + "{\"at\": -5, \"is\": \"begun\", \"begun\": \"2026-11-24T10:00\"}\n").line == 2);
}

TEST_CASE("seconds of a run come from what nobody sets; after another start of the machine from its clock") {
    const Stamp before{1'000'000, 500, "first"};
    CHECK(elapsed(before, {900'000, 560, "first"}) == 60);     // the clock was set back
    CHECK(elapsed(before, {1'003'600, 560, "first"}) == 60);   // summer time, or set forward
    CHECK(elapsed(before, {1'000'300, 10, "second"}) == 300);  // a power cut of five minutes
    CHECK(elapsed(before, {999'000, 10, "second"}) == 0);      // and a clock that lost its time
}

TEST_CASE("each mishap offers ways, with minutes and grams, that a run can take") {
    const Evening& e = small();
    const auto& piece = e.plan.pieces[0].id;
    for (const Mishap m : mishaps()) {
        INFO(wordOf(m));
        Run run = begun(e);
        work(run, "coat-2");
        Event what = happened(m, run.now() + 5);
        if (asks(m) == Asks::Piece) what.piece = piece, what.count = 1;
        if (asks(m) == Asks::Pot) what.pot = run.next(0)->pot;
        if (asks(m) == Asks::Minutes) what.minutes = 20;
        if (m == Mishap::NotSet) what.step = run.next(0)->id;
        REQUIRE(run.take(what));
        const auto offered = ways(run, what, e.plan, e.lib, e.answers, e.day());
        REQUIRE_FALSE(offered.empty());
        for (const auto& way : offered) {
            INFO(way.words);
            Run now = run;
            for (Event next : way.events) {
                next.at = what.at;
                const auto ok = now.take(next);
                INFO((ok ? "" : ok.error().sentence));
                CHECK(ok);
            }
            invariants(now);
            CHECK(way.minutes >= 0);
            CHECK(way.kilograms < 10);
            const auto anew = layAnew(now, what.at, e.plan, e.lib, e.answers, e.day(), {});
            REQUIRE(anew);
            for (const auto& v : schedule::check(anew->day.asked, anew->day.found.layout)) FAIL_CHECK(v.sentence);
            const auto ok = now.take(anew->event);
            INFO((ok ? "" : ok.error().sentence));
            REQUIRE(ok);
            work(now);
            CHECK(now.next(0) == nullptr);
        }
    }
}

TEST_CASE("a broken bowl with no spare left is made again, or is not wanted, and the numbers add up") {
    const Evening& e = small();
    Run run = begun(e);
    work(run, "release");
    const auto piece = [&]() -> const PieceState& { return *run.piece(e.plan.pieces[0].id); };
    Event broke = happened(Mishap::Broke, run.now() + 1);
    broke.piece = e.plan.pieces[0].id;
    broke.count = piece().whole() - piece().wanted() + 1;  // one more than there are spares
    REQUIRE(run.take(broke));
    CHECK(piece().missing() == 1);
    const auto offered = ways(run, broke, e.plan, e.lib, e.answers, e.day());
    const auto find = [&](const char* id) {
        const auto it = std::ranges::find(offered, id, &Way::id);
        REQUIRE(it != offered.end());
        return *it;
    };
    const Way again = find("again");
    CHECK(again.minutes > 0);
    CHECK(again.kilograms == Approx(e.answers.pieces[0]->made->mass));
    for (const char* id : {"again", "fewer"}) {
        Run now = run;
        for (Event next : find(id).events) {
            next.at = run.now();
            REQUIRE(now.take(next));
        }
        CHECK(now.piece(broke.piece)->missing() == 0);
        const auto anew = layAnew(now, now.now(), e.plan, e.lib, e.answers, e.day(), {});
        REQUIRE(anew);
        const bool more = std::ranges::any_of(
            anew->event.laid, [](const Step& s) { return s.piece.find("~again") != std::string::npos; });
        CHECK(more == (std::string(id) == "again"));
    }
}

TEST_CASE("a pot that has set is tempered once, is ready then, and is tempered again when it sets again") {
    const Evening& e = small();
    Run run = begun(e);
    work(run, "coat-1");
    const std::string pot = run.next(0)->pot;
    DayPlan day = e.day();
    const auto tempers = [&] {
        const auto anew = layAnew(run, run.now(), e.plan, e.lib, e.answers, day, {});
        REQUIRE(anew);
        REQUIRE(run.take(anew->event));
        day = anew->day;
        return std::ranges::count_if(run.steps(), [&](const Step& s) {
            return s.kind == "temper" && s.pot == pot && run.isOpen(s.id) && s.id.starts_with("temper/");
        });
    };
    for (int time = 0; time < 2; ++time) {
        Event set = happened(Mishap::PotSet, run.now() + 60);
        set.pot = pot;
        REQUIRE(run.take(set));
        CHECK_FALSE(run.pots().at(pot).ready);
        const double kilograms = run.pots().at(pot).kilograms;
        CHECK(tempers() == 1);
        work(run, "temper");
        REQUIRE(run.take(done(run.next(0)->id, run.now() + 600)));
        CHECK(run.pots().at(pot).ready);
        CHECK(run.pots().at(pot).kilograms == Approx(kilograms));
        CHECK(tempers() == 0);
    }
}

namespace {
/// Days of events as they come, most of which do not fit.
void anyEvents(unsigned seed, int days, int many) {
    const Evening& e = small();
    const auto steps = begun(e).steps();
    std::mt19937 random(seed);
    const auto below = [&](size_t n) { return static_cast<size_t>(random()) % std::max<size_t>(1, n); };
    for (int round = 0; round < days; ++round) {
        Run run = begun(e);
        double at = 0;
        for (int k = 0; k < many; ++k) {
            Event next;
            next.kind = static_cast<Kind>(below(static_cast<size_t>(Kind::Ended) + 1));
            next.at = at += static_cast<double>(below(900));
            if (below(9) == 0) next.at -= 500;
            next.step = below(3) == 0 && run.next(0) ? run.next(0)->id : steps[below(steps.size())].id;
            next.piece = e.plan.pieces[0].id;
            next.pot = run.pots().empty() ? "dark" : run.pots().begin()->first;
            next.minutes = static_cast<int>(below(40)) - 2;
            next.count = static_cast<int>(below(9)) - 2;
            next.figure = static_cast<double>(below(400)) - 60;
            next.mishap = static_cast<Mishap>(below(11));
            if (next.kind == Kind::Laid) next.laid = {steps[below(steps.size())], steps[below(steps.size())]};
            if (next.kind == Kind::Extra) next.laid = {steps[below(steps.size())]};
            const auto before = run.events().size();
            if (!run.take(next)) CHECK(run.events().size() == before);
            else CHECK(run.events().size() == before + 1);
            invariants(run);
        }
        Run replayed;
        for (const auto& event : run.events()) REQUIRE(replayed.take(event));
        CHECK(replayed.steps() == run.steps());
        CHECK(replayed.now() == run.now());
    }
}
}  // namespace

TEST_CASE("any events in any order keep every state sound: what does not fit is refused") { anyEvents(17, 40, 60); }

TEST_CASE("ten thousand days of any events", "[long]") { anyEvents(18, 10'000, 12); }

TEST_CASE("a rehearsal is the same for the same seed, ends, and leaves nothing open unsaid") {
    const Evening& e = small();
    const auto once = rehearse(e.plan, e.lib, e.answers, e.day(), 4);
    const auto again = rehearse(e.plan, e.lib, e.answers, e.day(), 4);
    const auto other = rehearse(e.plan, e.lib, e.answers, e.day(), 5);
    REQUIRE(once);
    REQUIRE(again);
    REQUIRE(other);
    CHECK(once->run.events() == again->run.events());
    CHECK_FALSE(once->run.events() == other->run.events());
    CHECK(once->run.hasEnded());
    for (const auto& s : once->run.steps()) CHECK_FALSE(once->run.isOpen(s.id));
    Run replayed;
    for (const auto& event : once->run.events()) REQUIRE(replayed.take(event));
    invariants(replayed);
    Luck calm;
    calm.mishaps = false;
    calm.scatter = {0, 0, 0, 0, 0};
    const auto planned = rehearse(e.plan, e.lib, e.answers, e.day(), 4, calm);
    REQUIRE(planned);
    CHECK(planned->late == Approx(-e.day().reserve).margin(2));  // nothing scatters: ready as planned
    CHECK(planned->whole == planned->wanted);
}

TEST_CASE("what has to set is a timer still when the rest is laid out anew, and others go on with what they are at") {
    const Evening& e = small();
    Run run = begun(e);
    work(run, "release");
    const Step* next = run.next(0);
    REQUIRE(next);
    const auto waits = std::ranges::find_if(next->waits, [](const Wait& w) { return w.min > 1; });
    const auto timers = run.timers(run.now());
    const auto anew = layAnew(run, run.now() + 60, e.plan, e.lib, e.answers, e.day(), {});
    REQUIRE(anew);
    Run again = run;
    REQUIRE(again.take(anew->event));
    if (waits != next->waits.end()) CHECK(again.due(*again.step(next->id)) == Approx(run.due(*next)).margin(60));
    CHECK(again.timers(again.now()).size() == timers.size());
    // the same step, begun by somebody: it stays as it is, and what follows waits for its end
    const double from = run.now() + 60, to = from + 1800;
    const auto busy = layAnew(run, from + 300, e.plan, e.lib, e.answers, e.day(), {{next->id, {from, to}}});
    REQUIRE(busy);
    const auto& steps = busy->event.laid;
    const auto same = std::ranges::find(steps, next->id, &Step::id);
    REQUIRE(same != steps.end());
    CHECK(*same == *next);
    for (const auto& s : steps)
        for (const auto& w : s.waits)
            if (w.after == next->id) CHECK(s.at * kMinute >= to - kMinute);
}

TEST_CASE("a mold that is broken too makes the rounds that are left smaller; those that were poured stay as they are") {
    Plan plan = test::demo();
    std::erase_if(plan.pieces, [](const Piece& p) { return !p.usesMolds() || p.coats().empty(); });
    REQUIRE_FALSE(plan.pieces.empty());
    plan.pieces.resize(1);
    plan.pieces[0].count = 11;
    plan.pieces[0].molds = 4;
    const std::string id = plan.pieces[0].id;
    const Evening e = eveningOf(plan);
    Run run = begun(e);
    const auto poured = [](const Run& r) {  // rounds by what is poured of them: first piece → last
        std::map<int, int> out;
        for (const auto& s : r.steps())
            if (s.lane == "coat" && !s.which.empty()) {
                const int from = std::stoi(s.which);
                const size_t dash = s.which.find("–");
                out[from] = dash == std::string::npos ? from : std::stoi(s.which.substr(dash + 3));
            }
        return out;
    };
    const auto before = poured(run);
    REQUIRE(before.size() >= 3);
    CHECK(std::ranges::all_of(before, [](const auto& r) { return r.second - r.first < 4; }));
    int released = 0;
    while (released < 1) {  // the first round is out of its molds
        const Step* s = run.next(-1);
        REQUIRE(s);
        released += s->lane == "release";
        REQUIRE(run.take(done(s->id, std::max(run.now(), run.due(*s)))));
    }
    Event dropped = of(Kind::Happened, run.now());
    dropped.mishap = Mishap::MoldDropped;
    dropped.piece = id;
    dropped.count = 1;
    REQUIRE(run.take(dropped));
    const auto offered = ways(run, dropped, e.plan, e.lib, e.answers, e.day());
    const auto way = std::ranges::find(offered, "mold", &Way::id);
    REQUIRE(way != offered.end());
    CHECK(way->words.find("go on with 3") != std::string::npos);
    for (Event next : way->events) {
        next.at = run.now();
        REQUIRE(run.take(next));
    }
    CHECK(run.piece(id)->moldsGone == 1);
    const auto anew = layAnew(run, run.now(), e.plan, e.lib, e.answers, e.day(), {});
    REQUIRE(anew);
    Event laid = anew->event;
    laid.at = run.now();
    REQUIRE(run.take(laid));
    const auto after = poured(run);
    int last = 0, begunTo = 0;
    for (const auto& s : run.steps())
        if (s.lane == "coat" && !run.isOpen(s.id) && s.piece == id) begunTo = std::max(begunTo, std::stoi(s.which));
    for (const auto& [from, to] : after) {
        if (from <= begunTo) CHECK(before.at(from) == to);
        else CHECK(to - from < 3);
        last = std::max(last, to);
    }
    CHECK(last >= 11);
    // it can be worked to its end
    for (int k = 0; k < 500 && run.next(-1); ++k) {
        const Step* s = run.next(-1);
        REQUIRE(run.take(done(s->id, std::max(run.now(), run.due(*s)))));
    }
    CHECK_FALSE(run.next(-1));
    CHECK(std::ranges::none_of(run.steps(), [&](const Step& s) { return run.isOpen(s.id); }));
    // the only mold that is left is not taken away
    for (int k = 0; k < 3; ++k) {
        Event gone = of(Kind::MoldGone, run.now());
        gone.piece = id;
        REQUIRE(run.take(gone));
    }
    const auto offers = ways(run, dropped, e.plan, e.lib, e.answers, e.day());
    CHECK(std::ranges::find(offers, "mold", &Way::id) == offers.end());
}

TEST_CASE("an evening without mishaps is as late in a rehearsal as its chance says") {
    const Evening& e = small();
    schedule::Replay replay(e.day().network, e.day().layout);
    const auto chance = schedule::chances(replay, e.day().reserve, 0, {}, 500, 7);
    Luck calm;
    calm.mishaps = false;
    std::vector<double> late;
    for (unsigned seed = 0; seed < 41; ++seed) {
        const auto played = rehearse(e.plan, e.lib, e.answers, e.day(), seed, calm);
        REQUIRE(played);
        late.push_back(played->late + e.day().reserve);
    }
    std::ranges::sort(late);
    CHECK(late[20] == Approx(chance.minuteOf(0.5)).margin(20));
    // a very slow hand loses a pot that the played day only warms: one in ten may be later still
    CHECK(late[37] < chance.minuteOf(0.99) + 60);
}

TEST_CASE("many evenings of the demo are rehearsed to their end, and none runs away", "[long]") {
    const Evening e = eveningOf(test::demo());
    std::vector<double> late;
    for (unsigned seed = 0; seed < 25; ++seed) {
        INFO(seed);
        const auto played = rehearse(e.plan, e.lib, e.answers, e.day(), seed);
        REQUIRE(played);
        CHECK(played->run.hasEnded());
        CHECK(played->late > -60);
        CHECK(played->late < 600);
        late.push_back(played->late);
        invariants(played->run);
    }
    std::ranges::sort(late);
    CHECK(late[12] < 180);
}

TEST_CASE(
    "what was ticked before the day began is done at its planned end, none later than now, what waits is left out") {
    const Evening& e = small();
    const Event all = laid(e.day(), e.begins(), 0);
    const std::vector<std::string> ids{all.laid[2].id, all.laid[0].id, all.laid[1].id, "no-such-step"};
    const double until = (all.laid[1].at + all.laid[1].minutes) * kMinute;
    const auto events = ticked(all, ids, until);
    REQUIRE(events.size() == 3);
    CHECK(events[0].at == (all.laid[0].at + all.laid[0].minutes) * kMinute);
    CHECK(events[1].at == until);
    CHECK(events[2].at == until);  // it was ticked, so it is done by now
    Run run = begun(e);
    for (const auto& done : events) CHECK(run.take(done));
    CHECK_FALSE(run.isOpen(all.laid[0].id));
    CHECK(run.state(all.laid[0].id).to == events[0].at);
    CHECK(run.now() == until);
    Run other = begun(e);  // the last step alone: all that comes before it is open
    const auto last = ticked(all, {all.laid.back().id}, 1e6);
    REQUIRE(last.size() == 1);
    CHECK_FALSE(other.take(last.front()));
    CHECK(ticked(all, {}, until).empty());
}

}  // namespace uovo::run_test
