#include "core/run/run_json.h"

#include "core/document/json_object.h"
#include "core/quantity/catalogue.h"

namespace uovo::run {
namespace {

constexpr int kVersion = 1;
constexpr size_t kMostLine = 8'000'000;

constexpr Word<Kind> kKinds[]{
    {Kind::Begun, "begun"},      {Kind::Laid, "laid"},          {Kind::Done, "done"},       {Kind::NotYet, "not-yet"},
    {Kind::LeftOut, "left-out"}, {Kind::Happened, "happened"},  {Kind::Again, "again"},     {Kind::Fewer, "fewer"},
    {Kind::Mended, "mended"},    {Kind::Extra, "extra"},        {Kind::Weighed, "weighed"}, {Kind::Read, "read"},
    {Kind::Warmed, "warmed"},    {Kind::MoldGone, "mold-gone"}, {Kind::Undone, "undone"},   {Kind::Ended, "ended"}};
constexpr Word<Mishap> kMishaps[]{
    {Mishap::Broke, "broke"},      {Mishap::BareSpots, "bare-spots"},    {Mishap::TooThick, "too-thick"},
    {Mishap::NotSet, "not-set"},   {Mishap::TooHot, "too-hot"},          {Mishap::PotSet, "pot-set"},
    {Mishap::Seized, "seized"},    {Mishap::Interrupted, "interrupted"}, {Mishap::MoldDropped, "mold-dropped"},
    {Mishap::OneMore, "one-more"}, {Mishap::RanOut, "ran-out"}};

json written(const Step& s) {
    json j{{"id", s.id}, {"title", s.title}, {"at", s.at}, {"minutes", s.minutes}, {"who", s.who}};
    if (!s.piece.empty()) j["piece"] = s.piece;
    if (!s.which.empty()) j["which"] = s.which;
    if (!s.lane.empty()) j["lane"] = s.lane;
    if (!s.kind.empty()) j["kind"] = s.kind;
    if (!s.pot.empty()) j["pot"] = s.pot;
    if (s.takes > 0) j["takes"] = s.takes;
    if (s.makes > 0) j["makes"] = s.makes;
    if (s.ready) j["ready"] = true;
    if (s.usable > 0) j["usable"] = s.usable;
    if (!s.cautions.empty()) j["cautions"] = s.cautions;
    for (const auto& w : s.waits) {
        json of{{"after", w.after}, {"min", w.min}};
        if (w.max >= 0) of["max"] = w.max;
        if (!w.why.empty()) of["why"] = w.why;
        j["waits"].push_back(std::move(of));
    }
    return j;
}

/// People, as bits.
void readWho(Object& o, unsigned& out) {
    int who = 1;
    o.whole("who", who);
    out = static_cast<unsigned>(std::max(0, who));
}

Step readStepOf(Object& o) {
    Step s;
    o.text("id", s.id);
    o.text("title", s.title);
    o.text("piece", s.piece);
    o.text("which", s.which);
    o.text("lane", s.lane);
    o.text("kind", s.kind);
    o.whole("at", s.at);
    o.whole("minutes", s.minutes);
    readWho(o, s.who);
    o.text("pot", s.pot);
    o.number("takes", s.takes);
    o.number("makes", s.makes);
    o.yesNo("ready", s.ready);
    o.whole("usable", s.usable);
    if (const json* c = o.find("cautions")) {
        if (!c->is_array() || c->size() > 50) Object::refuse(tr("“cautions” must be a list."), o.at("cautions"));
        for (const auto& id : *c) {
            if (!id.is_string()) Object::refuse(tr("A caution must be a text."), o.at("cautions"));
            s.cautions.push_back(id.get<std::string>());
        }
    }
    o.rows("waits", 2000, [&](Object& row) {
        Wait w;
        row.text("after", w.after);
        row.whole("min", w.min);
        row.whole("max", w.max);
        row.text("why", w.why);
        s.waits.push_back(std::move(w));
    });
    return s;
}

json written(const Event& e) {
    json j{{"at", e.at}, {"is", wordOf(e.kind)}};
    if (e.kind == Kind::Happened) j["what"] = wordOf(e.mishap);
    if (!e.step.empty()) j["step"] = e.step;
    if (!e.piece.empty()) j["piece"] = e.piece;
    if (!e.pot.empty()) j["pot"] = e.pot;
    if (!e.note.empty()) j["note"] = e.note;
    if (e.minutes != 0) j["minutes"] = e.minutes;
    if (e.count != 0) j["count"] = e.count;
    if (e.figure != 0) j["figure"] = e.figure;
    if (e.who != 1) j["who"] = e.who;
    if (!e.plan.empty()) j["plan"] = e.plan;
    if (!e.deadline.empty()) j["deadline"] = e.deadline;
    if (!e.begun.empty()) j["begun"] = e.begun;
    for (const auto& c : e.counts)
        j["pieces"].push_back({{"piece", c.piece}, {"name", c.name}, {"wanted", c.wanted}, {"made", c.made}});
    for (const auto& s : e.laid) j["steps"].push_back(written(s));
    return j;
}

Event readEvent(Object& o) {
    Event e;
    o.number("at", e.at);
    o.word("is", e.kind, kKinds);
    o.word("what", e.mishap, kMishaps);
    o.text("step", e.step);
    o.text("piece", e.piece);
    o.text("pot", e.pot);
    o.text("note", e.note);
    o.whole("minutes", e.minutes);
    o.whole("count", e.count);
    o.number("figure", e.figure);
    readWho(o, e.who);
    o.text("plan", e.plan);
    o.text("deadline", e.deadline);
    o.text("begun", e.begun);
    if (e.kind == Kind::Begun && !localMinutes(e.begun))
        Object::refuse(tr("It does not say when the day began."), o.at("begun"));
    o.rows("pieces", 1000, [&](Object& row) {
        Count c;
        row.text("piece", c.piece);
        row.text("name", c.name);
        row.whole("wanted", c.wanted);
        row.whole("made", c.made);
        e.counts.push_back(std::move(c));
    });
    o.rows("steps", 20'000, [&](Object& row) { e.laid.push_back(readStepOf(row)); });
    return e;
}

tl::unexpected<Problem> wrong(std::string sentence, int line) {
    Problem p{std::move(sentence), "run"};
    p.line = line;
    return tl::unexpected(std::move(p));
}

}  // namespace

std::string wordOf(Kind kind) { return uovo::wordOf(kind, kKinds); }
std::string wordOf(Mishap mishap) { return uovo::wordOf(mishap, kMishaps); }
std::optional<Mishap> mishapOf(const std::string& word) {
    for (const auto& w : kMishaps)
        if (w.word == word) return w.value;
    return std::nullopt;
}

double elapsed(const Stamp& before, const Stamp& now) {
    if (!before.start.empty() && before.start == now.start) return std::max(0.0, now.up - before.up);
    return static_cast<double>(std::max(0LL, now.utc - before.utc));
}

std::string headLine() { return json{{"uovoRun", kVersion}}.dump() + "\n"; }

std::string asJson(const Event& e) { return written(e).dump(); }

std::string lineOf(const Event& e, const Stamp& stamp) {
    json j = written(e);
    j["clock"] = {{"utc", stamp.utc}, {"up", stamp.up}, {"start", stamp.start}};
    return j.dump(-1, ' ', false, json::error_handler_t::replace) + "\n";
}

tl::expected<Logged, Problem> readLine(std::string_view text, int line) {
    if (text.size() > kMostLine) return wrong(say("Line {} of this log is too long.", line), line);
    const json j = json::parse(text, nullptr, false);
    if (j.is_discarded()) return wrong(say("Line {} of this log is damaged.", line), line);
    try {
        Logged out;
        Object o(j, "");
        out.event = readEvent(o);
        if (const json* clock = o.find("clock")) {
            Object c(*clock, "/clock");
            double utc = 0;
            c.number("utc", utc);
            out.stamp.utc = std::isfinite(utc) && std::abs(utc) < 1e15 ? static_cast<long long>(utc) : 0;
            c.number("up", out.stamp.up);
            c.text("start", out.stamp.start);
        }
        return out;
    } catch (const Refusal& r) {
        return wrong(say("Line {} of this log: {}", line, r.sentence), line);
    }
}

tl::expected<Log, Problem> readLog(std::string_view text) {
    Log out;
    int line = 0;
    for (size_t from = 0; from < text.size();) {
        const size_t end = text.find('\n', from);
        if (end == std::string_view::npos) {  // cut off while it was written
            out.torn = true;
            break;
        }
        const std::string_view one = text.substr(from, end - from);
        ++line;
        if (line == 1) {
            const json head = json::parse(one, nullptr, false);
            if (!head.is_object() || !head.contains("uovoRun") || !head["uovoRun"].is_number_integer())
                return wrong(tr("This is not the log of a day."), 1);
            if (head["uovoRun"].get<int>() > kVersion)
                return wrong(tr("This log was written by a newer Uovo. Update Uovo to go on with it."), 1);
        } else {
            auto logged = readLine(one, line);
            if (!logged) return tl::unexpected(logged.error());
            if (auto ok = out.run.take(logged->event); !ok)
                return wrong(
                    say("Line {} of this log does not follow from those before it: {}", line, ok.error().sentence),
                    line);
            out.last = logged->stamp;
        }
        from = end + 1;
        out.whole = from;
    }
    if (line == 0) return wrong(tr("This is not the log of a day."), 1);
    return out;
}

}  // namespace uovo::run
