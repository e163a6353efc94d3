#include "cli/schedule_case.h"

#include <fmt/format.h>

#include <algorithm>
#include <nlohmann/json.hpp>

#include "cli/case_words.h"
#include "core/schedule/exact.h"
#include "core/schedule/solver.h"

namespace uovo::cli {
namespace {

using nlohmann::json;
using namespace schedule;

constexpr int kMostMinutes = 14 * 24 * 60;

int minutesOf(const json& j, const char* key, int usual, int least) {
    const int v = j.value(key, usual);
    if (v < least || v > kMostMinutes)
        refuse(fmt::format("“{}” lies between {} and {}.", key, least, kMostMinutes), key);
    return v;
}

std::vector<Span> spansOf(const json& list) {
    std::vector<Span> out;
    for (const auto& s : list) {
        out.push_back({s.at(0).get<int>(), s.at(1).get<int>()});
        if (out.back().from >= out.back().to) refuse("A span ends after it begins.", "spans");
    }
    return out;
}

unsigned skillsOf(const json& words) {
    unsigned out = 0;
    for (const auto& w : words) {
        const auto said = w.get<std::string>();
        if (said == "hot") out |= kHot;
        else if (said == "knife") out |= kKnife;
        else refuse(fmt::format("“{}” is no skill: hot, knife.", said), "skills");
    }
    return out;
}

/// Index of a thing by its name in a list already read.
template <class List>
int indexOf(const List& list, const json& name, const char* what) {
    const auto said = name.get<std::string>();
    for (size_t i = 0; i < list.size(); ++i) {
        if constexpr (requires { list[i].id; }) {
            if (list[i].id == said) return static_cast<int>(i);
        }
        if constexpr (requires { list[i].name; }) {
            if (list[i].name == said) return static_cast<int>(i);
        }
    }
    refuse(fmt::format("There is no {} “{}”.", what, said), what);
}

class Reader {
public:
    explicit Reader(const json& given) : given_(given) {}

    Network read() {
        net_.horizon = minutesOf(given_, "horizon", 960, 1);
        net_.closed = spansOf(given_.value("closed", json::array()));
        if (const auto rest = given_.find("rest"); rest != given_.end()) {
            net_.restEvery = minutesOf(*rest, "every", 120, 1);
            net_.restMinutes = minutesOf(*rest, "minutes", 15, 1);
        }
        for (const auto& p : given_.value("people", json::array({json::object()}))) person(p);
        for (const auto& r : given_.value("resources", json::array())) resource(r);
        for (const auto& p : given_.value("pots", json::array())) pot(p);
        for (const auto& t : given_.at("tasks")) task(t);
        for (const auto& p : given_.value("pots", json::array()))
            for (const auto& b : p.value("before", json::array()))
                net_.pots[static_cast<size_t>(indexOf(net_.pots, p.at("id"), "pot"))].before.push_back(
                    indexOf(net_.tasks, b, "task"));
        for (const auto& l : given_.value("lags", json::array())) {
            Lag lag{indexOf(net_.tasks, l.at("from"), "task"), indexOf(net_.tasks, l.at("to"), "task"),
                    minutesOf(l, "min", 0, 0), l.value("max", -1), l.value("why", std::string())};
            if (lag.from == lag.to) refuse("A lag lies between two tasks.", "lags");
            net_.lags.push_back(std::move(lag));
        }
        for (const auto& h : given_.value("holds", json::array()))
            net_.holds.push_back({indexOf(net_.resources, h.at("resource"), "resource"),
                                  indexOf(net_.tasks, h.at("from"), "task"), indexOf(net_.tasks, h.at("to"), "task"),
                                  h.value("amount", 1)});
        wish();
        return std::move(net_);
    }

private:
    void person(const json& p) {
        Person out;
        out.name = p.value("name", "you");
        out.there = spansOf(p.value("there", json::array()));
        if (p.contains("skills")) out.skills = skillsOf(p["skills"]);
        out.rests = p.value("rests", true);
        net_.people.push_back(std::move(out));
        if (net_.people.size() > 32) refuse("At most 32 people.", "people");
    }
    void resource(const json& r) {
        Resource out;
        out.name = r.at("name");
        out.capacity = r.at("capacity");
        out.unit = r.value("unit", "");
        for (const auto& t : r.value("taken", json::array()))
            out.taken.push_back({{t.at("from"), t.at("to")}, t.at("amount")});
        net_.resources.push_back(std::move(out));
    }
    void pot(const json& p) {
        Pot out;
        out.id = p.at("id");
        out.name = p.value("name", out.id);
        out.tempered = p.value("tempered", true);
        if (p.contains("base")) out.base = indexOf(net_.pots, p["base"], "pot");
        if (p.contains("cup")) out.small = indexOf(net_.pots, p["cup"], "pot");
        out.meltMinutes = p.value("melt", out.meltMinutes);
        out.meltPerKilogram = p.value("meltPerKilogram", out.meltPerKilogram);
        out.temperMinutes = p.value("temper", out.temperMinutes);
        out.temperPerKilogram = p.value("temperPerKilogram", out.temperPerKilogram);
        out.mixMinutes = minutesOf(p, "mix", out.mixMinutes, 1);
        out.windowMinutes = p.value("window", out.windowMinutes);
        out.windowPerKilogram = p.value("windowPerKilogram", out.windowPerKilogram);
        out.vessel = p.value("holds", out.vessel);
        out.idle = minutesOf(p, "idle", out.idle, 0);
        out.length = minutesOf(p, "most", out.length, 1);
        out.firstUse = minutesOf(p, "firstUse", out.firstUse, 0);
        out.temperAfterMelt = minutesOf(p, "temperAfterMelt", out.temperAfterMelt, 0);
        out.keepsWarm = p.value("keepsWarm", false);
        net_.pots.push_back(std::move(out));
    }
    void task(const json& t) {
        Task out;
        out.id = t.at("id");
        out.title = t.value("title", out.id);
        out.piece = t.value("piece", "");
        out.minutes = minutesOf(t, "minutes", 1, 1);
        out.hands = t.value("hands", 1);
        if (out.hands < 0 || out.hands > 32) refuse("“hands” lies between 0 and 32.", out.id);
        if (t.contains("skills")) out.skills = skillsOf(t["skills"]);
        if (t.contains("pot")) out.pot = indexOf(net_.pots, t["pot"], "pot");
        out.draw = t.value("draw", 0.0);
        out.bath = t.value("bath", 0.0);
        out.small = t.value("small", false);
        if (t.contains("pin")) out.pin = t["pin"].get<int>();
        out.earliest = t.value("earliest", INT_MIN);
        out.latest = std::min(0, t.value("latest", 0));
        out.forbidden = spansOf(t.value("forbidden", json::array()));
        for (const auto& other : net_.tasks)
            if (other.id == out.id) refuse(fmt::format("Two tasks are called “{}”.", out.id), "tasks");
        net_.tasks.push_back(std::move(out));
        if (net_.tasks.size() > 5000) refuse("At most 5000 tasks.", "tasks");
    }
    void wish() {
        const auto said = given_.value("wish", std::string("late"));
        if (said == "shortest") net_.wish = {1, 0, 0, 0, 0, 0};
        else if (said == "few temperings") net_.wish.sitting = 90;
        else if (said != "late") refuse("“wish” is one of: late, few temperings, shortest.", "wish");
    }

    const json& given_;
    Network net_;
};

const char* const kBroken[] = {
    "lag",  "hold",      "earliest", "pin", "horizon", "first use", "molten", "cold", "begun before the horizon",
    "bowl", "two bowls", "idle"};
const char* const kWork[] = {"melt", "temper", "mix", "warm", "burst"};

json dayOf(const Network& net, const Layout& l) {
    json out{{"begins", l.begins}, {"ends", l.ends}, {"tasks", json::array()}, {"broken", json::array()}};
    for (size_t i = 0; i < net.tasks.size(); ++i) {
        json who = json::array();
        for (size_t p = 0; p < net.people.size(); ++p)
            if (l.who[i] >> p & 1) who.push_back(net.people[p].name);
        out["tasks"].push_back({{"id", net.tasks[i].id}, {"start", l.start[i]}, {"who", who}});
    }
    for (const auto& w : l.potWork)
        out["potWork"].push_back({{"do", kWork[static_cast<size_t>(w.kind)]},
                                  {"pot", net.pots[static_cast<size_t>(w.pot)].id},
                                  {"sitting", w.sitting},
                                  {"start", w.start},
                                  {"minutes", w.minutes},
                                  {"who", net.people[static_cast<size_t>(w.who)].name},
                                  {"mass", w.mass},
                                  {"interrupts", w.interrupts}});
    for (const auto& r : l.rests)
        out["rests"].push_back(
            {{"who", net.people[static_cast<size_t>(r.person)].name}, {"start", r.start}, {"minutes", r.minutes}});
    for (const auto& b : l.broken) {
        json one{{"what", kBroken[static_cast<size_t>(b.kind)]}, {"by", b.minutes}};
        if (b.kind == Broken::Kind::Lag) {
            const auto& lag = net.lags[static_cast<size_t>(b.of)];
            one["from"] = net.tasks[static_cast<size_t>(lag.from)].id;
            one["to"] = net.tasks[static_cast<size_t>(lag.to)].id;
        } else if (b.kind == Broken::Kind::Hold) {
            one["resource"] = net.resources[static_cast<size_t>(net.holds[static_cast<size_t>(b.of)].resource)].name;
        } else if (b.kind >= Broken::Kind::FirstUse) {
            one["sitting"] = b.of;
        } else {
            one["task"] = net.tasks[static_cast<size_t>(b.of)].id;
        }
        out["broken"].push_back(std::move(one));
    }
    return out;
}

json laidOut(const json& given) {
    const Network net = Reader(given).read();
    Effort effort;
    effort.decodes = std::clamp(given.value("effort", effort.decodes), 1, 5'000'000);
    effort.starts = std::min(effort.starts, effort.decodes);
    auto found = layOut(net, effort);
    if (!found) return json{{"format", "uovo-schedule-answers"}, {"impossible", found.error().sentence}};
    Layout& day = found->layout;
    const int nodes = std::clamp(given.value("nodes", 200'000), 0, 100'000'000);
    Proof proof;
    if (nodes > 0 && net.tasks.size() <= 60) proof = shortest(net, &day, nodes);
    if (!proof.start.empty() && given.value("wish", std::string()) == "shortest") {
        day = {};
        day.start = proof.start;
        day.who = proof.who;
        day.begins = -proof.length;
        for (size_t i = 0; i < net.tasks.size(); ++i)
            day.ends =
                i ? std::max(day.ends, day.start[i] + net.tasks[i].minutes) : day.start[i] + net.tasks[i].minutes;
    }
    json out = dayOf(net, day);
    out["format"] = "uovo-schedule-answers";
    out["cost"] = found->price.cost;
    out["bound"] = proof.possible && day.broken.empty() ? proof.bound : lengthBound(net);
    out["proved"] = proof.possible && day.broken.empty() && proof.bound == -day.begins;
    for (const auto& v : check(net, day)) out["wrong"].push_back(v.sentence);
    return out;
}

}  // namespace

tl::expected<json, Problem> scheduleCase(const json& given) {
    return guarded([&] { return laidOut(given); });
}

int schedule(const std::vector<std::string>& args) { return runCase(args, scheduleCase); }

}  // namespace uovo::cli
