// Answers as JSON for the command line: docs/format.md, "Answers".
#include <cmath>

#include <nlohmann/json.hpp>

#include "core/answers/answers.h"
#include "core/words/order_words.h"

namespace uovo {
namespace {

using json = nlohmann::ordered_json;

json number(double v) { return std::isfinite(v) ? json(v) : json(nullptr); }

const char* tone(Tone t) {
    switch (t) {
        case Tone::Plain:
            return "plain";
        case Tone::Good:
            return "good";
        case Tone::Weak:
            return "weak";
        case Tone::Impossible:
            return "impossible";
    }
    return "";
}

json of(const Answer& a) {
    json j{{"id", a.id},
           {"value", number(a.figure.value)},
           {"low", number(a.figure.low)},
           {"high", number(a.figure.high)},
           {"headline", a.headline},
           {"after", a.after},
           {"sentence", a.sentence},
           {"tone", tone(a.tone)}};
    for (const auto& w : a.ways)
        j["ways"].push_back({{"title", w.title},
                             {"thinnest", number(w.thinnest)},
                             {"mass", number(w.mass)},
                             {"seconds", number(w.seconds)},
                             {"enough", w.enough}});
    json working{{"formula", a.working.formula},
                 {"result", a.working.result},
                 {"trust", a.working.trust},
                 {"section", a.working.section},
                 {"inputs", json::array()}};
    for (const auto& i : a.working.inputs)
        working["inputs"].push_back({{"name", i.name}, {"value", i.value}, {"range", i.range}, {"source", i.source}});
    j["working"] = working;
    return j;
}

json of(const Problem& p) { return {{"sentence", p.sentence}, {"where", p.where}}; }

/// Into the piece's object: how thick, how each coat came and when it lets go.
void addWall(json& p, const CoatedWall& w) {
    p["wall"] = {{"mean", number(w.mean)},
                 {"thinnest", number(w.thinnest)},
                 {"thickest", number(w.thickest)},
                 {"rim", number(w.rim)},
                 {"bare", number(w.bare)}};
    p["massError"] = number(w.error);
    for (size_t k = 0; k < w.coats.size(); ++k)
        p["coats"].push_back({{"added", number(w.coats[k].added)},
                              {"dripped", number(w.coats[k].dripped)},
                              {"fell", number(w.coats[k].fell)},
                              {"mean", number(w.coats[k].mean)},
                              {"lockTypical", number(w.coats[k].lockTypical)},
                              {"firm", number(w.setting[k].firm)},
                              {"set", number(w.setting[k].set)},
                              {"release", number(w.setting[k].release)}});
    p["dew"] = {{"wet", w.dew.wet},
                {"dewPoint", number(w.dew.dewPoint)},
                {"film", number(w.dew.film)},
                {"dry", number(w.dew.drySeconds)}};
}

/// Into the piece's object: what only a round former on its own axis has.
void addMeridian(json& p, const MeridianWall& m) {
    p["formerVolume"] = number(m.formerVolume);
    p["height"] = number(m.height);
    p["rimDiameter"] = number(2 * m.rimRadius);
    p["wall"]["band"] = {{"mean", {number(m.band.mean.low), number(m.band.mean.high)}},
                         {"thinnest", {number(m.band.thinnest.low), number(m.band.thinnest.high)}},
                         {"rim", {number(m.band.rim.low), number(m.band.rim.high)}},
                         {"mass", {number(m.band.mass.low), number(m.band.mass.high)}}};
    p["profile"] = {{"arc", m.profile.arc}, {"wall", m.coats.wall}};
    for (size_t k = 0; k < m.coats.coats.size(); ++k) {
        const auto& c = m.coats.coats[k];
        p["coats"][k].update({{"lockLast", number(c.lockLast)},
                              {"footRadius", number(c.footRadius)},
                              {"stillLiquid", c.stillLiquid},
                              {"wall", c.wall}});
    }
}

/// Into the piece's object: its parts, what it holds up to each level, where it is joined.
void addParts(json& p, const Made& s) {
    for (size_t k = 0; k < s.items.size(); ++k) {
        const auto& shape = s.assembly.items[k].shape;
        p["items"].push_back({{"key", s.assembly.items[k].key},
                              {"mass", number(s.items[k])},
                              {"volume", number(shape.volume)},
                              {"area", number(shape.area)},
                              {"wall", number(shape.wall)},
                              {"rim", number(shape.rim)},
                              {"seam", number(shape.seam)}});
    }
    if (const auto& surface = s.assembly.items.front().shape.surface;
        s.capacity > 0) {  // what the former holds up to each level
        const form::Box box = form::bounds(surface);
        for (int k = 1; k <= 10; ++k) {
            const double z = box.low.z + (box.high.z - box.low.z) * k / 10;
            p["levels"].push_back({number(z - box.low.z), number(form::volumeBelow(surface, z))});
        }
    }
    for (const auto& joint : s.assembly.joints)
        p["joints"].push_back({{"a", s.assembly.items[joint.a].key},
                               {"b", s.assembly.items[joint.b].key},
                               {"length", number(joint.length)},
                               {"where", joint.words},
                               {"glue", joint.glue}});
}

void addTogether(json& p, const PutTogether& t, const Made& made, UnitSystem units) {
    json& j = p["together"];
    j["stands"] = t.order.stands;
    j["steps"] = json::array();
    for (const auto& line : orderLines(t, made, units)) {
        json step{{"what", line.what}, {"how", line.how}, {"hold", number(line.hold)}, {"bears", number(line.bears)}};
        for (const size_t i : line.items) step["parts"].push_back(made.assembly.items[i].key);
        j["steps"].push_back(std::move(step));
    }
    for (const auto& words : orderTroubles(t, made, units)) j["troubles"].push_back(words);
}

void addMade(json& p, const Made& s) {
    const form::Vec3 size = s.box.size();
    p["mass"] = number(s.mass);
    p["massBand"] = {number(s.massLow), number(s.massHigh)};
    p["wallAssumed"] = !s.wall;
    if (s.wall) addWall(p, *s.wall);
    if (s.meridian) addMeridian(p, *s.meridian);
    p["area"] = number(s.area);
    p["capacity"] = number(s.capacity);
    p["size"] = {number(size.x), number(size.y), number(size.z)};
    p["centre"] = {number(s.centre.x), number(s.centre.y), number(s.centre.z)};
    p["foot"] = number(s.foot);
    p["enclosed"] = number(s.assembly.enclosed);
    addParts(p, s);
}

}  // namespace

std::string answersJson(const Plan& plan, const Answers& answers) {
    json j{{"format", "uovo-answers"}, {"version", 1}, {"model", kModelVersion}, {"plan", plan.name}};
    j["problems"] = json::array();
    for (const auto& p : answers.problems) j["problems"].push_back(of(p));
    j["pieces"] = json::array();
    for (size_t i = 0; i < answers.pieces.size(); ++i) {
        const auto& a = *answers.pieces[i];
        json p{{"id", a.id}, {"count", plan.pieces[i].count}, {"make", a.make}};
        if (a.made) addMade(p, *a.made);
        if (!a.spareParts.empty()) p["spareParts"] = a.spareParts;
        if (a.bath)
            p["bath"] = {
                {"pot", a.bath->pot}, {"chocolate", number(a.bath->chocolate)}, {"level", number(a.bath->level)}};
        if (a.together && a.together->problem.empty()) addTogether(p, *a.together, *a.made, plan.units);
        p["perShelf"] = a.perShelf;
        p["answers"] = json::array();
        for (const auto& x : a.answers) p["answers"].push_back(of(x));
        j["pieces"].push_back(std::move(p));
    }
    j["pots"] = json::array();
    for (const auto& p : answers.pots)
        j["pots"].push_back({{"id", p.key.id()},
                             {"chocolate", p.name},
                             {"pieces", number(p.pieces)},
                             {"bath", number(p.bath)},
                             {"tools", number(p.tools)},
                             {"melt", number(p.melt)},
                             {"trim", number(p.trim)},
                             {"returned", number(p.returned)},
                             {"consumed", number(p.consumed)},
                             {"packets", p.packets}});
    j["evening"] = json::array();
    for (const auto& a : answers.evening) j["evening"].push_back(of(a));
    j["cautions"] = answers.cautions;
    if (answers.day) {
        const auto& d = *answers.day;
        j["day"] = {{"problem", d.problem}, {"tasks", json::array()}};
        if (d.problem.empty()) {
            j["day"]["begins"] = d.clock(d.layout.begins);
            for (size_t i = 0; i < d.layout.start.size(); ++i)
                j["day"]["tasks"].push_back({{"id", d.network.tasks[i].id},
                                             {"title", d.network.tasks[i].title},
                                             {"start", d.clock(d.layout.start[i])},
                                             {"minutes", d.network.tasks[i].minutes}});
        }
    }
    return j.dump(2) + "\n";
}

}  // namespace uovo
