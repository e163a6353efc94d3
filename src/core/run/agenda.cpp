#include "core/run/agenda.h"

#include <fmt/format.h>

#include <algorithm>
#include <charconv>
#include <cmath>
#include <set>

#include "core/words/words.h"

namespace uovo::run {
namespace {

constexpr int kMoved = 15;  // min that are worth saying
constexpr const char* kAgain = "~again";

/// A plan and what is known of it, as a run wants them now.
struct Wanted {
    Plan plan;
    PlanFigures known;
};

Wanted wantedOf(const Run& run, const Plan& plan, const PlanFigures& known) {
    Wanted out{plan, known};
    for (const auto& p : run.pieces()) {
        Piece* piece = nullptr;
        for (auto& x : out.plan.pieces)
            if (x.id == p.count.piece) piece = &x;
        if (!piece) continue;
        if (piece->molds > 0) piece->molds = std::max(1, piece->molds - p.moldsGone);
        if (p.again > 0) {
            Piece more = *piece;
            more.id += kAgain;
            more.count = p.again;
            if (const PieceAnswers* a = known.piece(piece->id)) {
                auto answers = std::make_shared<PieceAnswers>(*a);
                answers->id = more.id;
                answers->make = p.again;
                out.known.pieces.push_back(std::move(answers));
                out.plan.pieces.push_back(std::move(more));
                for (auto& x : out.plan.pieces)  // the list may have moved
                    if (x.id == p.count.piece) piece = &x;
            }
        }
        piece->count = std::max(1, p.wanted() - p.again);
    }
    return out;
}

/// Pots and rests are numbered by their day: what is numbered as something that is done gets a name of its own.
void nameAnew(const Run& run, const UnderWay& underWay, std::vector<Step>& steps) {
    std::map<std::string, std::string> names;
    for (auto& s : steps) {
        if (!run.step(s.id) || (run.isOpen(s.id) && !underWay.contains(s.id))) continue;
        int k = 2;
        while (run.step(fmt::format("{}~{}", s.id, k))) ++k;
        s.id = names[s.id] = fmt::format("{}~{}", s.id, k);
    }
    for (auto& s : steps)
        for (auto& w : s.waits)
            if (const auto it = names.find(w.after); it != names.end()) w.after = it->second;
}

}  // namespace

Event begin(const Plan& plan, const PlanFigures& known, long local) {
    Event e;
    e.kind = Kind::Begun;
    e.plan = plan.name;
    e.deadline = plan.deadline;
    e.begun = localTime(local);
    for (const auto& p : plan.pieces)
        if (const PieceAnswers* a = known.piece(p.id))
            e.counts.push_back({p.id, p.name, p.count, std::max(a->make, 0)});
    return e;
}

long localAt(const Run& run, double second) {
    const long begun = localMinutes(run.begun()).value_or(0);
    return *localMinutes(localTimeAfter(begun, std::lround(std::floor(second / 60))));
}

std::vector<Event> ticked(const Event& laid, const std::vector<std::string>& ids, double until) {
    const std::set<std::string> done(ids.begin(), ids.end());
    std::vector<Event> out;
    for (const auto& s : laid.laid) {
        if (!done.contains(s.id)) continue;
        Event e;
        e.kind = Kind::Done;
        e.step = s.id;
        e.who = s.who;
        e.at = std::clamp((s.at + s.minutes) * kMinute, 0.0, std::max(0.0, until));
        out.push_back(std::move(e));
    }
    std::ranges::stable_sort(out, {}, &Event::at);
    return out;
}

Event laid(const DayPlan& day, long begun, double at) {
    Event e;
    e.kind = Kind::Laid;
    e.at = at;
    const auto& net = day.network;
    const auto wanted = [&](size_t i) {
        const auto& t = net.tasks[i];
        return !t.done && t.step != "burst" && t.step != "standing";
    };
    const auto index = [&](int i) { return static_cast<size_t>(i); };
    for (size_t i = 0; i < net.tasks.size(); ++i) {
        if (!wanted(i)) continue;
        const auto& t = net.tasks[i];
        Step s;
        s.id = t.id;
        s.title = t.title;
        s.piece = t.piece;
        s.which = t.which;
        s.lane = t.lane;
        s.kind = t.step;
        s.at = static_cast<int>(minutesBetween(begun, *localMinutes(day.clock(day.layout.start[i]))));
        s.minutes = t.minutes;
        s.who = day.layout.who[i];
        s.pot = t.potId;
        s.takes = t.takes;
        s.makes = t.makes;
        s.cautions = t.cautions;
        if (t.makes > 0)
            for (const auto& pot : day.asked.pots)
                if (pot.id == t.potId) {
                    s.ready = t.step != "melt" || !pot.tempered;
                    s.usable = pot.keepsWarm ? 0 : schedule::usableMinutes(pot, 0, t.makes);
                }
        e.laid.push_back(std::move(s));
    }
    std::map<std::string, Step*> byId;
    for (auto& s : e.laid) byId[s.id] = &s;
    for (const auto& l : net.lags) {
        const auto& from = net.tasks[index(l.from)];
        const auto it = byId.find(net.tasks[index(l.to)].id);
        if (it == byId.end() || from.step == "burst" || from.step == "standing" || from.id == it->first) continue;
        it->second->waits.push_back(
            {from.id, std::max(0, l.min - from.minutes), l.max < 0 ? -1 : std::max(0, l.max - from.minutes), l.why});
    }
    std::ranges::stable_sort(e.laid, {}, [](const Step& s) { return s.at; });
    return e;
}

std::optional<size_t> potNumber(const PlanFigures& known, const std::string& pot) {
    for (size_t i = 0; i < known.pots.size(); ++i) {
        const std::string id = known.pots[i].key.id();
        if (pot == id || pot == id + "-cup" || pot == id + "-molten") return i;
    }
    return std::nullopt;
}

UnderWay underWay(const Run& run, double second, unsigned but) {
    UnderWay out;
    unsigned people = 0;
    for (const auto& s : run.steps()) people |= s.who;
    for (int p = 0; p < 32; ++p) {
        if (!((people & ~but) >> p & 1)) continue;
        const Step* s = run.next(p);
        if (!s || (s->who & but)) continue;
        const double from = std::max({s->at * kMinute, run.due(*s), run.free(p)});
        if (from < second) out[s->id] = {from, std::max(second, from + s->minutes * kMinute)};
    }
    return out;
}

namespace {

/// How many of a piece go together in its rounds up to the last that anything was poured of.
std::vector<int> roundsBegun(const Run& run, const std::string& piece, const UnderWay& underWay) {
    std::map<int, int> ends;  // number of a round's first piece → of its last
    int begun = 0;
    for (const auto& s : run.steps()) {
        int from = 0, to = 0;
        const char* const end = s.which.data() + s.which.size();
        if (s.piece != piece || std::from_chars(s.which.data(), end, from).ec != std::errc()) continue;
        const size_t dash = s.which.find("–");
        if (dash == std::string::npos) to = from;
        else std::from_chars(s.which.data() + dash + std::string_view("–").size(), end, to);
        ends[from] = std::max(ends[from], to);
        if (s.lane == "coat" && (!run.isOpen(s.id) || underWay.contains(s.id))) begun = std::max(begun, to);
    }
    std::vector<int> out;
    for (int next = 1; next <= begun && ends.contains(next); next = ends[next] + 1)
        out.push_back(ends[next] - next + 1);
    return out;
}

}  // namespace

DayNow nowOf(const Run& run, double second, const UnderWay& underWay) {
    DayNow now;
    now.minute = localAt(run, second);
    for (const auto& s : run.steps()) {
        const auto& state = run.state(s.id);
        if (state.is == StepState::Is::Waits) continue;
        const long from = localAt(run, state.from);
        now.done[s.id] = {from, std::max(from + 1, localAt(run, state.to))};
    }
    auto pots = run.pots();
    for (const auto& [id, at] : underWay) {
        const Step* s = run.step(id);
        if (!s) continue;
        const long until = std::max(localAt(run, at.from) + 1, localAt(run, at.to));
        now.done[id] = {localAt(run, at.from), until};
        for (int p = 0; p < 32; ++p)
            if (s->who >> p & 1) now.busy[p] = std::max(now.busy.contains(p) ? now.busy[p] : until, until);
        useOf(*s, at.to, pots);
    }
    for (const auto& [id, pot] : pots)
        if (pot.kilograms > 0) now.pots.push_back({id, pot.ready, localAt(run, pot.since), pot.kilograms});
    for (const auto& p : run.pieces())
        if (p.moldsGone > 0)
            for (const std::string& id : {p.count.piece, p.count.piece + kAgain})
                if (auto rounds = roundsBegun(run, id, underWay); !rounds.empty()) now.rounds[id] = std::move(rounds);
    for (const auto& e : run.events())  // those that still hold are among the steps
        if (e.kind == Kind::Extra && run.step(e.laid.front().id) && run.isOpen(e.laid.front().id)) {
            const Step& s = e.laid.front();
            if (std::ranges::find(now.extra, s.id, &DayNow::Extra::id) != now.extra.end()) continue;  // taken back once
            DayNow::Extra x{s.id, s.title, s.piece, s.minutes, s.pot, s.takes, "", ""};
            if (!s.waits.empty()) x.after = s.waits.front().after;
            for (const auto& other : run.steps())  // the next that is done to the piece waits for it
                if (x.before.empty() && other.piece == s.piece && other.id != s.id && run.isOpen(other.id) &&
                    !other.piece.empty())
                    x.before = other.id;
            now.extra.push_back(std::move(x));
        }
    return now;
}

tl::expected<Anew, Problem> layAnew(const Run& run, double second, const Plan& plan, const material::Library& lib,
                                    const PlanFigures& known, const DayPlan& before, const UnderWay& underWay,
                                    std::stop_token stop) {
    const Wanted wanted = wantedOf(run, plan, known);
    Anew out;
    out.day = layRest(wanted.plan, lib, wanted.known, nowOf(run, second, underWay), before, 1200, std::move(stop));
    if (!out.day.problem.empty()) return tl::unexpected(Problem{out.day.problem, "day"});
    out.event = laid(out.day, localMinutes(run.begun()).value_or(0), second);
    nameAnew(run, underWay, out.event.laid);
    for (const auto& [id, at] : underWay)
        if (const Step* s = run.step(id)) out.event.laid.push_back(*s);
    out.later = -out.day.reserve;
    for (const auto& s : out.event.laid)
        if (const Step* was = run.step(s.id); was && s.at - was->at > kMoved) out.moved.push_back(s.title);
    out.atRisk = brokenWindows(out.day, plan.units);
    return out;
}

}  // namespace uovo::run
