// Plans written as JSON: see docs/format.md.
#include <fmt/format.h>

#include <cmath>

#include <nlohmann/json.hpp>

#include "core/document/plan_words.h"
#include "core/quantity/base64.h"

namespace uovo {
namespace {

using json = nlohmann::ordered_json;

void keepExtra(json& j, const std::string& extra) {
    if (extra.empty()) return;
    const json rest = json::parse(extra, nullptr, false);
    if (rest.is_object())
        for (const auto& [key, value] : rest.items())
            if (!j.contains(key)) j[key] = value;
}

std::string printed(const json& j, int indent = -1) {
    return j.dump(indent, ' ', false, json::error_handler_t::replace);
}

json written(const Measure& m) {
    if (m.typed.empty() && m.spread == 0 && m.extra.empty()) return m.value;
    json j{{"si", m.value}};
    if (m.spread > 0) j["spread"] = m.spread;
    if (!m.typed.empty()) j["text"] = m.typed;
    keepExtra(j, m.extra);
    return j;
}

json written(const PlannedCoat& c) {
    json k{{"way", wordOf(c.way, kWays)}, {"temperature", written(c.temperature)}, {"drain", written(c.drain)}};
    if (!c.chocolate.empty()) k["chocolate"] = c.chocolate;
    if (!c.item.empty()) k["item"] = c.item;
    if (c.way == coat::Way::Brush) {
        k["brushMass"] = written(c.brushMass);
        k["where"] = wordOf(c.where, kWheres);
    }
    for (const auto& s : c.spots) k["spots"].push_back({s.at.x, s.at.y, s.at.z, s.weight});
    const coat::CoatStep usual;  // what most coats do not have is left out
    if (c.way == coat::Way::Turn || c.fill != usual.fill) k["fill"] = written(c.fill);
    if (c.motion != usual.motion) k["motion"] = wordOf(c.motion, kMotions);
    if (c.motion != usual.motion || c.way == coat::Way::Turn || c.moveFor != usual.moveFor)
        k["moveFor"] = written(c.moveFor);
    if (c.motion == coat::Motion::Over || c.moveEvery != usual.moveEvery) k["moveEvery"] = written(c.moveEvery);
    if (c.moveIn != usual.moveIn) k["moveIn"] = wordOf(c.moveIn, kPlaces);
    if (c.tap != usual.tap) k["tap"] = written(c.tap);
    if (c.scrape) k["scrape"] = true;
    k["rest"] = wordOf(c.rest, kRests);
    k["delay"] = written(c.delay);
    k["place"] = wordOf(c.place, kPlaces);
    k["stay"] = written(c.stay);
    return k;
}

json written(const CastStep& c) {
    json k{{"temperature", written(c.temperature)}, {"table", written(c.table)}, {"place", wordOf(c.place, kPlaces)}};
    if (!c.chocolate.empty()) k["chocolate"] = c.chocolate;
    if (!c.item.empty()) k["item"] = c.item;
    if (c.share != Measure(1)) k["share"] = written(c.share);
    return k;
}

json written(const InsertStep& s) {
    json k{{"what", wordOf(s.what, kInserts)}, {"name", s.name}, {"each", s.each}, {"mass", written(s.mass)}};
    if (!s.piece.empty()) k["piece"] = s.piece;
    if (!s.allergens.empty()) k["allergens"] = s.allergens;
    if (!s.item.empty()) k["item"] = s.item;
    return k;
}

json written(const TopStep& s) {
    json k{{"topping", s.topping}, {"each", written(s.each)}, {"when", wordOf(s.when, kWhens)}};
    if (!s.item.empty()) k["item"] = s.item;
    return k;
}
json written(const SetStep& s) { return {{"place", wordOf(s.place, kPlaces)}, {"stay", written(s.stay)}}; }
json written(const ReleaseStep&) { return json::object(); }
json written(const TrimStep&) { return json::object(); }
json written(const JoinStep& s) { return s.order.empty() ? json::object() : json{{"order", s.order}}; }

json written(const FillStep& s) {
    json k{{"filling", s.filling}, {"each", written(s.each)}};
    if (s.share != Measure(0)) k["share"] = written(s.share);
    if (s.chill != Measure(0)) k["chill"] = written(s.chill);
    if (s.served) k["served"] = true;
    return k;
}

json written(const LidStep& s) { return {{"depth", written(s.depth)}}; }

json written(const DecorateStep& s) {
    json k{{"way", wordOf(s.way, kDecorations)}, {"mass", written(s.mass)}, {"dry", written(s.dry)}};
    if (!s.chocolate.empty()) k["chocolate"] = s.chocolate;
    if (!s.name.empty()) k["name"] = s.name;
    if (!s.item.empty()) k["item"] = s.item;
    if (s.every != Measure(0)) k["every"] = written(s.every);
    const DecorateStep usual;
    if (s.line != usual.line) k["line"] = written(s.line);
    if (s.width != usual.width) k["width"] = written(s.width);
    if (s.thick != usual.thick) k["thick"] = written(s.thick);
    if (s.cover != usual.cover) k["cover"] = s.cover;
    if (s.times != usual.times) k["times"] = s.times;
    return k;
}

json written(const StoreStep& s) { return {{"where", wordOf(s.where, kStores)}}; }

json written(const ServeStep& s) {
    json k{{"how", wordOf(s.how, kServings)}, {"amount", written(s.amount)}};
    if (!s.name.empty()) k["name"] = s.name;
    return k;
}

json written(const Step& step) {
    return std::visit(
        [&](const auto& s) {
            json k{{"do", kSteps[step.index()]}};
            k.update(written(s));
            keepExtra(k, s.extra);
            return k;
        },
        step);
}

json written(const Filling& f) {
    json k{{"id", f.id},
           {"name", f.name},
           {"make", written(f.make)},
           {"usableFrom", written(f.usableFrom)},
           {"usableTo", written(f.usableTo)},
           {"perishable", f.perishable},
           {"egg", f.egg},
           {"alcohol", f.alcohol}};
    if (f.density > 0) k["density"] = f.density;
    if (f.makes != Measure(0)) k["makes"] = written(f.makes);
    for (const auto& in : f.recipe) {
        json row{{"name", in.name}, {"by", wordOf(in.by, kBys)}, {"amount", written(in.amount)}};
        if (in.alcohol > 0) row["alcohol"] = in.alcohol;
        if (!in.allergens.empty()) row["allergens"] = in.allergens;
        keepExtra(row, in.extra);
        k["recipe"].push_back(row);
    }
    keepExtra(k, f.extra);
    return k;
}

json written(const Topping& t) {
    json k{{"id", t.id}, {"name", t.name}, {"grain", written(t.grain)}, {"density", t.density}};
    if (!t.allergens.empty()) k["allergens"] = t.allergens;
    if (t.price > 0) k["price"] = t.price;
    keepExtra(k, t.extra);
    return k;
}

/// A shape: its family, figures and words; of an assembly its items and joints.
json written(const form::Part& part, const std::string& extra) {
    json shape{{"kind", part.family}};
    for (const auto& [key, m] : part.values) shape[key] = written(m);
    for (const auto& [key, word] : part.choices) shape[key] = word;
    if (!part.points.empty()) {
        shape["points"] = json::array();
        for (const auto& loop : part.points) {
            json list = json::array();
            for (const auto& q : loop) list.push_back({q[0], q[1]});
            shape["points"].push_back(list);
        }
    }
    if (!part.mesh.empty()) shape["mesh"] = part.mesh;
    for (const auto& [key, figures] : part.own)
        for (const auto& [name, m] : figures) shape["own"][key][name] = written(m);
    for (const auto& i : part.items) {
        json row{{"key", i.key}, {"name", i.name}, {"former", written(i.part, i.partExtra)}};
        for (const auto& m : i.at) row["at"].push_back(written(m));
        for (const auto& m : i.turn) row["turn"].push_back(written(m));
        row["apart"] = {i.apart[0], i.apart[1], i.apart[2]};
        if (!i.edible) row["edible"] = false;
        keepExtra(row, i.extra);
        shape["items"].push_back(std::move(row));
    }
    for (const auto& g : part.joints) {
        json row{{"a", g.a}, {"b", g.b}, {"length", written(g.length)}};
        if (!g.words.empty()) row["words"] = g.words;
        if (!g.glue.empty()) row["glue"] = g.glue;
        keepExtra(row, g.extra);
        shape["joints"].push_back(std::move(row));
    }
    keepExtra(shape, extra);
    return shape;
}

json written(const Piece& p) {
    json j{{"id", p.id}, {"name", p.name}, {"count", p.count}};
    j["former"] = written(p.shape, p.shapeExtra);
    j["chocolate"] = p.chocolate;
    j["temper"] = wordOf(p.temper, kTempers);
    j["thinner"] = wordOf(p.thinner, kThinners);
    j["thinnerShare"] = p.thinnerShare;
    j["making"] = json::array();
    for (const auto& step : p.making) j["making"].push_back(written(step));
    j["wantedWall"] = written(p.wantedWall);
    if (!p.pot.empty()) j["pot"] = p.pot;
    if (p.molds > 0) j["molds"] = p.molds;
    if (!(p.mold == MoldWish{})) {
        const MoldWish& m = p.mold;
        j["mold"] = {{"there", m.there},        {"parts", m.parts},         {"hardness", m.hardness},
                     {"wall", written(m.wall)}, {"cure", written(m.cure)},  {"potLife", written(m.potLife)},
                     {"partsA", m.partsA},      {"partsB", m.partsB},       {"byMass", m.byMass},
                     {"price", m.price},        {"allergens", m.allergens}, {"raw", m.raw}};
        if (m.casts > 0) j["mold"]["casts"] = m.casts;
        keepExtra(j["mold"], m.extra);
    }
    if (!p.notes.empty()) j["notes"] = p.notes;
    if (!p.photo.empty()) j["photo"] = base64(*p.photo.bytes);
    j["survives"] = p.survives;
    for (const auto& [id, m] : p.loads) j["loads"][id] = written(m);
    if (!(p.handling == Handling{})) {
        j["handling"] = {{"release", wordOf(p.handling.release, kReleases)},
                         {"oil", p.handling.oil},
                         {"lift", wordOf(p.handling.lift, kLifts)},
                         {"carry", wordOf(p.handling.carry, kCarries)}};
        keepExtra(j["handling"], p.handling.extra);
    }
    if (p.sits != Sits::Flat) j["sits"] = wordOf(p.sits, kSits);
    keepExtra(j, p.extra);
    return j;
}

/// A model as compact JSON, without a tree of its hundred thousand numbers.
void write(const form::Mesh& mesh, const std::map<std::string, std::string>& extras, const std::string& name,
           std::string& text) {
    fmt::memory_buffer out;
    // “-0” would be read as nought and written as “0”
    const auto number = [&](double v) {
        std::isfinite(v) ? fmt::format_to(std::back_inserter(out), "{},", v + 0.0)
                         : fmt::format_to(std::back_inserter(out), "null,");
    };
    const auto close = [&](const char* words) {
        if (out[out.size() - 1] == ',') out.resize(out.size() - 1);
        fmt::format_to(std::back_inserter(out), "{}", words);
    };
    fmt::format_to(std::back_inserter(out), "{{\"points\":[");
    for (const auto& q : mesh.points) number(q.x), number(q.y), number(q.z);
    close("],\"triangles\":[");
    for (const auto& t : mesh.triangles)
        for (const int i : t) fmt::format_to(std::back_inserter(out), "{},", i);
    close("]");
    text.append(out.data(), out.size());
    const auto extra = extras.find(name);
    json more = json::object();
    if (extra != extras.end()) keepExtra(more, extra->second);
    if (more.empty()) text += '}';
    else text += "," + printed(more).substr(1);
}

json written(const Worker& w) {
    json j = json::object();
    if (!w.name.empty()) j["name"] = w.name;
    if (!w.from.empty()) j["from"] = w.from;
    if (!w.until.empty()) j["until"] = w.until;
    if (!w.hot) j["hot"] = false;
    if (!w.knife) j["knife"] = false;
    keepExtra(j, w.extra);
    return j;
}

json written(const LaidDay& d) {
    json j{{"reserve", d.reserve}};
    if (d.doneBy) j["doneBy"] = *d.doneBy;
    if (!d.ways.empty()) j["ways"] = d.ways;
    for (const auto& s : d.steps) {
        auto& row = j["steps"].emplace_back(json{{"step", s.step}});
        if (s.sooner != 0) row["sooner"] = s.sooner;
        if (s.small) row["small"] = true;
    }
    return j;
}

json written(const DayWish& d) {
    json j{{"aim", wordOf(d.aim, kAims)}};
    if (d.chance > 0) j["chance"] = d.chance;
    for (const auto& p : d.pins) j["pins"].push_back({{"step", p.step}, {"at", p.at}});
    for (const auto& f : d.free) j["free"].push_back({{"from", f.from}, {"to", f.to}});
    if (!d.done.empty()) j["done"] = d.done;
    if (!d.ahead.empty()) j["ahead"] = d.ahead;
    if (!d.rounds.empty()) j["rounds"] = d.rounds;
    if (!d.laid.steps.empty()) j["laid"] = written(d.laid);
    keepExtra(j, d.extra);
    return j;
}

}  // namespace

std::string writePlan(const Plan& p) {
    json j{{"format", "uovo-plan"},  {"version", kPlanVersion},          {"name", p.name},
           {"deadline", p.deadline}, {"units", wordOf(p.units, kUnits)}, {"metricCup", p.metricCup}};
    const auto& k = p.kitchen;
    j["kitchen"] = {{"room", written(k.room)},
                    {"humidity", written(k.humidity)},
                    {"fridge", written(k.fridge)},
                    {"freezer", written(k.freezer)},
                    {"shelfWidth", written(k.shelfWidth)},
                    {"shelfDepth", written(k.shelfDepth)},
                    {"shelfHeight", written(k.shelfHeight)},
                    {"freezerWidth", written(k.freezerWidth)},
                    {"freezerDepth", written(k.freezerDepth)},
                    {"freezerHeight", written(k.freezerHeight)},
                    {"sheetWidth", written(k.sheetWidth)},
                    {"sheetDepth", written(k.sheetDepth)},
                    {"sheetGap", written(k.sheetGap)},
                    {"boxLength", written(k.boxLength)},
                    {"boxWidth", written(k.boxWidth)},
                    {"boxHeight", written(k.boxHeight)},
                    {"plate", written(k.plate)},
                    {"mug", written(k.mug)},
                    {"mugDepth", written(k.mugDepth)},
                    {"fan", k.fan},
                    {"shelves", k.shelves}};
    if (k.knife != Measure(0)) j["kitchen"]["knife"] = written(k.knife);
    if (k.fridgeAir != 1) j["kitchen"]["fridgeAir"] = k.fridgeAir;
    if (k.pace != 1) j["kitchen"]["pace"] = k.pace;
    if (k.cook != Worker{}) j["kitchen"]["cook"] = written(k.cook);
    for (const auto& h : k.helpers) j["kitchen"]["helpers"].push_back(written(h));
    keepExtra(j["kitchen"], k.extra);
    if (p.day != DayWish{}) j["day"] = written(p.day);
    if (!p.own.empty()) {
        j["own"] = json::object();
        for (const auto& [id, figures] : p.own) {
            j["own"][id] = figures.values;
            if (!figures.from.empty()) j["ownFrom"][id] = figures.from;
        }
    }
    if (p.guests > 0) j["guests"] = p.guests;
    if (p.computed.model != 0) {
        j["computed"] = {{"model", p.computed.model}};
        for (const auto& [id, kg] : p.computed.mass) j["computed"]["mass"][id] = kg;
        for (const auto& [id, m] : p.computed.wall) j["computed"]["wall"][id] = m;
    }
    for (const auto& [id, m] : p.melting) {
        j["melting"][id] = {{"method", wordOf(m.method, kMethods)},
                            {"vessel", wordOf(m.vessel, kVessels)},
                            {"freshBowl", m.freshBowl},
                            {"heat", wordOf(m.heat, kHeats)},
                            {"watts", m.watts},
                            {"byLook", m.byLook}};
        keepExtra(j["melting"][id], m.extra);
    }
    for (const auto& s : p.pantry) {
        json row{{"chocolate", s.chocolate}, {"mass", written(s.mass)}};
        if (!s.bestBefore.empty()) row["bestBefore"] = s.bestBefore;
        if (s.price > 0) row["price"] = s.price;
        keepExtra(row, s.extra);
        j["pantry"].push_back(row);
    }
    for (const auto& s : p.snaps) {
        json row{{"chocolate", s.chocolate},
                 {"span", written(s.span)},
                 {"width", written(s.width)},
                 {"thickness", written(s.thickness)},
                 {"hung", written(s.hung)}};
        if (s.sag.value > 0) row["sag"] = written(s.sag);
        keepExtra(row, s.extra);
        j["snaps"].push_back(row);
    }
    for (const auto& c : p.colours) {
        json row{{"id", c.id},
                 {"name", c.name},
                 {"base", c.base},
                 {"strength", written(c.strength)},
                 {"letDown", written(c.letDown)},
                 {"look", c.look}};
        if (!c.second.empty()) {
            row["second"] = c.second;
            row["secondShare"] = written(c.secondShare);
        }
        if (c.flavour.value != 0 || !c.flavourName.empty()) {
            row["flavour"] = written(c.flavour);
            row["flavourName"] = c.flavourName;
        }
        keepExtra(row, c.extra);
        j["colours"].push_back(row);
    }
    for (const auto& f : p.fillings) j["fillings"].push_back(written(f));
    for (const auto& t : p.toppings) j["toppings"].push_back(written(t));
    j["pieces"] = json::array();
    for (const auto& piece : p.pieces) j["pieces"].push_back(written(piece));
    keepExtra(j, p.extra);
    std::string text = printed(j, 2);
    if (p.meshes.empty()) return text + "\n";
    // Models come last, a line each: with a line a number they would be ten times as long.
    text.resize(text.size() - 2);  // the closing brace and its line
    text += ",\n  \"meshes\": {";
    for (const auto& [name, mesh] : p.meshes) {
        text += (text.back() == '{' ? "\n    " : ",\n    ") + printed(name) + ": ";
        write(*mesh, p.meshExtras, name, text);
    }
    return text + "\n  }\n}\n";
}

}  // namespace uovo
