// Plans read from JSON: see docs/format.md.
#include <fmt/format.h>
#include <algorithm>
#include <cmath>

#include <nlohmann/json.hpp>

#include "core/plan/json_lines.h"
#include "core/plan/limits.h"
#include "core/plan/plan_words.h"

namespace uovo {
namespace {

using json = nlohmann::ordered_json;

/// Stops the reading of a plan; never leaves this file.
struct Refusal {
    std::string sentence, pointer;
};

/// One JSON object being read: remembers which keys were known so that the rest can be kept.
class Object {
public:
    Object(const json& j, std::string pointer) : j_(j), pointer_(std::move(pointer)) {
        if (!j.is_object())
            refuse(pointer_.empty()
                       ? "A plan is an object in braces."
                       : fmt::format("“{}” must be an object in braces.", pointer_.substr(pointer_.rfind('/') + 1)),
                   pointer_);
    }
    [[noreturn]] static void refuse(std::string sentence, const std::string& pointer) {
        throw Refusal{std::move(sentence), pointer};
    }

    const json* find(const char* key) {
        known_.push_back(key);
        const auto it = j_.find(key);
        return it == j_.end() ? nullptr : &*it;
    }
    std::string at(const char* key) const { return pointer_ + "/" + key; }
    void text(const char* key, std::string& out) {
        if (const json* v = find(key)) {
            if (!v->is_string()) refuse(fmt::format("“{}” must be a text.", key), at(key));
            out = v->get<std::string>();
            if (out.size() > limits::kText) refuse(fmt::format("“{}” is too long.", key), at(key));
        }
    }
    void number(const char* key, double& out) {
        if (const json* v = find(key)) {
            if (!v->is_number()) refuse(fmt::format("“{}” must be a number.", key), at(key));
            out = v->get<double>();
        }
    }
    void whole(const char* key, int& out) {
        if (const json* v = find(key)) {
            if (!v->is_number()) refuse(fmt::format("“{}” must be a whole number.", key), at(key));
            const double d = v->get<double>();
            if (d != std::floor(d) || std::abs(d) > 1e9)
                refuse(fmt::format("“{}” must be a whole number.", key), at(key));
            out = static_cast<int>(d);
        }
    }
    void yesNo(const char* key, bool& out) {
        if (const json* v = find(key)) {
            if (!v->is_boolean()) refuse(fmt::format("“{}” must be true or false.", key), at(key));
            out = v->get<bool>();
        }
    }
    void measure(const char* key, Measure& out) {
        const json* v = find(key);
        if (!v) return;
        if (v->is_number()) {
            out = Measure(v->get<double>());
            return;
        }
        Object m(*v, at(key));
        out = {};
        if (!v->contains("si")) refuse(fmt::format("“{}” has no “si”.", key), at(key));
        m.number("si", out.value);
        m.number("spread", out.spread);
        m.text("text", out.typed);
        out.extra = m.extra();
        if (!(out.spread >= 0)) refuse(fmt::format("The spread of “{}” is below zero.", key), at(key));
    }
    /// A list of objects, of at most so many; `read` gets each of them.
    template <class F>
    void rows(const char* key, size_t most, const F& read) {
        const json* list = find(key);
        if (!list) return;
        if (!list->is_array() || list->size() > most)
            refuse(fmt::format("“{}” must be a list, of at most {}.", key, most), at(key));
        for (size_t i = 0; i < list->size(); ++i) {
            Object row((*list)[i], fmt::format("{}/{}", at(key), i));
            read(row);
        }
    }
    template <class E, size_t N>
    void word(const char* key, E& out, const Word<E> (&words)[N]) {
        const json* v = find(key);
        if (!v) return;
        for (const auto& w : words)
            if (v->is_string() && v->get<std::string>() == w.word) {
                out = w.value;
                return;
            }
        std::string list;
        for (const auto& w : words) list += (list.empty() ? "" : ", ") + std::string(w.word);
        refuse(fmt::format("“{}” must be one of: {}.", key, list), at(key));
    }
    std::string extra() const {
        json rest = json::object();
        for (const auto& [key, value] : j_.items())
            if (std::find(known_.begin(), known_.end(), key) == known_.end()) rest[key] = value;
        return rest.empty() ? std::string() : rest.dump();
    }
    const std::string& pointer() const { return pointer_; }

private:
    const json& j_;
    std::string pointer_;
    std::vector<std::string> known_;
};

std::vector<form::Loop> readLoops(const json& list, const std::string& pointer) {
    std::vector<form::Loop> loops;
    if (!list.is_array()) Object::refuse("“points” must be a list of lists of points.", pointer);
    size_t all = 0;
    for (const auto& loop : list) {
        loops.emplace_back();
        if (!loop.is_array()) Object::refuse("“points” must be a list of lists of points.", pointer);
        for (const auto& p : loop) {
            if (!p.is_array() || p.size() != 2 || !p[0].is_number() || !p[1].is_number())
                Object::refuse("A point is a pair of numbers.", pointer);
            loops.back().push_back({p[0].get<double>(), p[1].get<double>()});
            if (++all > limits::kOutlinePoints) Object::refuse("More than 20 000 points.", pointer);
        }
    }
    return loops;
}

/// A part of any family: its fields as measures, its choices as words.
form::Part readPart(Object& o, const std::string& kind) {
    form::Part p;
    p.family = kind;
    const form::Family& f = *form::family(kind);
    for (const auto& field : f.fields) {
        Measure m(std::nan(""));
        o.measure(field.key.c_str(), m);
        if (!std::isnan(m.value)) p.values[field.key] = m;
    }
    for (const auto& c : f.choices) {
        std::string word;
        o.text(c.key.c_str(), word);
        if (!word.empty()) p.choices[c.key] = word;
    }
    if (const json* points = o.find("points")) p.points = readLoops(*points, o.at("points"));
    o.text("mesh", p.mesh);
    if (const json* own = o.find("own")) {
        Object parts(*own, o.at("own"));
        for (const auto& [key, figures] : own->items()) {
            Object g(figures, o.at("own") + "/" + key);
            for (const auto& [name, value] : figures.items()) {
                Measure m;
                g.measure(name.c_str(), m);
                p.own[key][name] = m;
            }
        }
    }
    return p;
}

std::shared_ptr<const form::Mesh> readMesh(const json& j, const std::string& pointer, std::string& extra) {
    Object o(j, pointer);
    auto mesh = std::make_shared<form::Mesh>();
    const json *points = o.find("points"), *triangles = o.find("triangles");
    extra = o.extra();
    const auto numbers = [&](const json* list, const char* what, size_t most) {
        if (!list || !list->is_array() || list->size() % 3 ||
            !std::all_of(list->begin(), list->end(), [](const json& v) { return v.is_number(); }))
            Object::refuse(fmt::format("“{}” of a model must be a list of numbers, three at a time.", what), pointer);
        if (list->size() > 3 * most)
            Object::refuse(
                fmt::format("A model has {} {}; {} at most are kept in a plan.", list->size() / 3, what, most),
                pointer);
    };
    numbers(points, "points", 3 * limits::kModelTriangles);  // each triangle with corners of its own
    numbers(triangles, "triangles", limits::kModelTriangles);
    mesh->points.reserve(points->size() / 3);
    mesh->triangles.reserve(triangles->size() / 3);
    for (size_t i = 0; i < points->size(); i += 3) {
        mesh->points.push_back(
            {(*points)[i].get<double>(), (*points)[i + 1].get<double>(), (*points)[i + 2].get<double>()});
        const form::Vec3& p = mesh->points.back();
        if (!(std::abs(p.x) < limits::kFarthest && std::abs(p.y) < limits::kFarthest &&
              std::abs(p.z) < limits::kFarthest))
            Object::refuse("A corner of a model lies farther off than a hundred metres.", pointer);
    }
    for (size_t i = 0; i < triangles->size(); i += 3) {
        form::Triangle t{};
        for (size_t k = 0; k < 3; ++k) {
            const double v = (*triangles)[i + k].get<double>();
            if (!(v >= 0 && v < static_cast<double>(mesh->points.size())) || v != std::floor(v))
                Object::refuse("A triangle of a model names a corner that does not exist.", pointer);
            t[k] = static_cast<int>(v);
        }
        mesh->triangles.push_back(t);
    }
    return mesh;
}

PlannedCoat readCoat(Object& o) {
    PlannedCoat c;
    o.text("chocolate", c.chocolate);
    o.word("way", c.way, kWays);
    o.measure("temperature", c.temperature);
    o.measure("drain", c.drain);
    o.measure("brushMass", c.brushMass);
    o.word("where", c.where, kWheres);
    if (const json* spots = o.find("spots")) {
        if (!spots->is_array() || spots->size() > limits::kSpots)
            Object::refuse(fmt::format("“spots” must be a list of places, at most {}.", limits::kSpots), o.at("spots"));
        for (const auto& s : *spots) {
            if (!s.is_array() || s.size() != 4 ||
                !std::all_of(s.begin(), s.end(), [](const json& v) { return v.is_number(); }))
                Object::refuse("A spot has a place, three numbers, and its strokes.", o.at("spots"));
            c.spots.push_back({{s[0].get<double>(), s[1].get<double>(), s[2].get<double>()}, s[3].get<double>()});
            if (!(c.spots.back().weight > 0 && c.spots.back().weight < 1e6))
                Object::refuse("A spot is stroked more than never.", o.at("spots"));
        }
    }
    o.measure("fill", c.fill);
    o.word("motion", c.motion, kMotions);
    o.measure("moveFor", c.moveFor);
    o.measure("moveEvery", c.moveEvery);
    o.word("moveIn", c.moveIn, kPlaces);
    o.measure("tap", c.tap);
    o.yesNo("scrape", c.scrape);
    o.word("rest", c.rest, kRests);
    o.measure("delay", c.delay);
    o.word("place", c.place, kPlaces);
    o.measure("stay", c.stay);
    c.extra = o.extra();
    return c;
}

CastStep readCast(Object& o) {
    CastStep c;
    o.text("chocolate", c.chocolate);
    o.measure("share", c.share);
    o.measure("temperature", c.temperature);
    o.measure("table", c.table);
    o.word("place", c.place, kPlaces);
    c.extra = o.extra();
    return c;
}

InsertStep readInsert(Object& o) {
    InsertStep s;
    o.word("what", s.what, kInserts);
    o.text("name", s.name);
    o.text("piece", s.piece);
    o.whole("each", s.each);
    o.measure("mass", s.mass);
    o.text("allergens", s.allergens);
    s.extra = o.extra();
    return s;
}

TopStep readTop(Object& o) {
    TopStep s;
    o.text("topping", s.topping);
    o.measure("each", s.each);
    o.word("when", s.when, kWhens);
    s.extra = o.extra();
    return s;
}

FillStep readFill(Object& o) {
    FillStep s;
    o.text("filling", s.filling);
    o.measure("each", s.each);
    o.measure("share", s.share);
    o.measure("chill", s.chill);
    s.extra = o.extra();
    return s;
}

DecorateStep readDecorate(Object& o) {
    DecorateStep s;
    o.word("way", s.way, kDecorations);
    o.text("chocolate", s.chocolate);
    o.text("name", s.name);
    o.measure("mass", s.mass);
    o.measure("dry", s.dry);
    s.extra = o.extra();
    return s;
}

Step readStep(const json& j, const std::string& pointer) {
    Object o(j, pointer);
    std::string what;
    o.text("do", what);
    const auto found = std::find(std::begin(kSteps), std::end(kSteps), what) - std::begin(kSteps);
    const auto plain = [&](auto step) -> Step {
        step.extra = o.extra();
        return step;
    };
    switch (found) {
        case 0:
            return readCoat(o);
        case 1:
            return readCast(o);
        case 2:
            return readInsert(o);
        case 3:
            return readTop(o);
        case 4: {
            SetStep s;
            o.word("place", s.place, kPlaces);
            o.measure("stay", s.stay);
            return plain(s);
        }
        case 5:
            return plain(ReleaseStep{});
        case 6:
            return plain(TrimStep{});
        case 7:
            return plain(JoinStep{});
        case 8:
            return readFill(o);
        case 9: {
            LidStep s;
            o.measure("depth", s.depth);
            return plain(s);
        }
        case 10:
            return readDecorate(o);
        case 11: {
            StoreStep s;
            o.word("where", s.where, kStores);
            return plain(s);
        }
        case 12: {
            ServeStep s;
            o.word("how", s.how, kServings);
            o.text("name", s.name);
            o.measure("amount", s.amount);
            return plain(s);
        }
    }
    std::string list;
    for (const char* s : kSteps) list += (list.empty() ? "" : ", ") + std::string(s);
    Object::refuse(fmt::format("A step's “do” must be one of: {}.", list), o.at("do"));
}

/// What a filling is, whoever it goes into.
Filling readFilling(Object& g) {
    Filling x;
    g.text("id", x.id);
    g.text("name", x.name);
    g.measure("makes", x.makes);
    g.rows("recipe", limits::kRecipe, [&](Object& r) {
        Ingredient in;
        r.text("name", in.name);
        r.word("by", in.by, kBys);
        r.measure("amount", in.amount);
        r.number("alcohol", in.alcohol);
        r.text("allergens", in.allergens);
        in.extra = r.extra();
        x.recipe.push_back(std::move(in));
    });
    g.measure("make", x.make);
    g.measure("usableFrom", x.usableFrom);
    g.measure("usableTo", x.usableTo);
    g.yesNo("perishable", x.perishable);
    g.yesNo("egg", x.egg);
    g.yesNo("alcohol", x.alcohol);
    return x;
}

/// How version 1 said the making: coats here, a cast there, a filling with its lid. Read as the steps they are.
void carryOver(Object& o, Piece& p, Plan& plan) {
    if (const json* coats = o.find("coats")) {
        if (!coats->is_array()) Object::refuse("“coats” must be a list.", o.at("coats"));
        if (coats->size() > limits::kSteps / 2) Object::refuse("More than a hundred coats.", o.at("coats"));
        for (size_t i = 0; i < coats->size(); ++i) {
            Object c((*coats)[i], fmt::format("{}/{}", o.at("coats"), i));
            p.making.push_back(readCoat(c));
        }
    }
    if (const json* cast = o.find("cast")) {
        Object c(*cast, o.at("cast"));
        p.making.push_back(readCast(c));
    }
    std::optional<FillStep> fill;
    std::optional<LidStep> lid;
    if (const json* filling = o.find("filling"); filling && !filling->is_null()) {
        Object g(*filling, o.at("filling"));
        Filling x = readFilling(g);
        Measure cap;
        fill.emplace();
        g.measure("each", fill->each);
        g.measure("share", fill->share);
        g.measure("cap", cap);
        x.extra = g.extra();
        fill->filling = plan.keep(std::move(x));
        if (cap.value != 0 || std::isnan(cap.value)) lid.emplace(LidStep{cap, {}});
    }
    if (fill) p.insert(std::move(*fill));
    if (lid) p.insert(std::move(*lid));
    p.complete();
}

/// @param version of the file
Piece readPiece(const json& j, const std::string& pointer, int version, Plan& plan) {
    Object o(j, pointer);
    Piece p;
    o.text("id", p.id);
    if (p.id.empty()) Object::refuse("A piece needs an “id”.", pointer);
    o.text("name", p.name);
    o.whole("count", p.count);
    const json* former = o.find("former");
    if (!former) Object::refuse("A piece needs a “former”.", pointer);
    Object f(*former, o.at("former"));
    std::string kind;
    f.text("kind", kind);
    if (form::family(kind)) p.shape = readPart(f, kind);
    else
        Object::refuse("The former's “kind” must be a family this program knows; “" + kind + "” is none.",
                       f.at("kind"));
    p.shapeExtra = f.extra();
    o.text("chocolate", p.chocolate);
    o.word("temper", p.temper, kTempers);
    o.word("thinner", p.thinner, kThinners);
    o.number("thinnerShare", p.thinnerShare);
    o.measure("wantedWall", p.wantedWall);
    o.text("pot", p.pot);
    o.number("survives", p.survives);
    if (const json* loads = o.find("loads")) {
        Object l(*loads, o.at("loads"));
        for (const auto& [id, value] : loads->items()) l.measure(id.c_str(), p.loads[id]);
    }
    o.word("sits", p.sits, kSits);
    if (const json* handling = o.find("handling")) {
        Object h(*handling, o.at("handling"));
        h.word("release", p.handling.release, kReleases);
        h.yesNo("oil", p.handling.oil);
        h.word("lift", p.handling.lift, kLifts);
        h.word("carry", p.handling.carry, kCarries);
        p.handling.extra = h.extra();
    }
    if (version < 2) {
        carryOver(o, p, plan);
    } else if (const json* making = o.find("making")) {
        if (!making->is_array() || making->size() > limits::kSteps)
            Object::refuse(fmt::format("“making” must be a list of steps, at most {}.", limits::kSteps),
                           o.at("making"));
        for (size_t i = 0; i < making->size(); ++i)
            p.making.push_back(readStep((*making)[i], fmt::format("{}/making/{}", pointer, i)));
    }
    p.extra = o.extra();
    return p;
}

Plan readPlanObject(const json& root) {
    Object o(root, "");
    std::string format;
    o.text("format", format);
    if (format != "uovo-plan") Object::refuse("This is JSON, but not a plan of Uovo: “format” is not “uovo-plan”.", "");
    int version = 0;
    o.whole("version", version);
    if (version > kPlanVersion)
        Object::refuse(
            fmt::format(
                "This plan was written by a newer Uovo (format {}, this one reads up to {}). It was left untouched.",
                version, kPlanVersion),
            "/version");
    if (version < 1) Object::refuse("The plan has no “version”.", "");
    Plan p;
    o.text("name", p.name);
    o.text("deadline", p.deadline);
    o.word("units", p.units, kUnits);
    o.yesNo("metricCup", p.metricCup);
    if (const json* kitchen = o.find("kitchen")) {
        Object k(*kitchen, "/kitchen");
        k.measure("room", p.kitchen.room);
        k.measure("humidity", p.kitchen.humidity);
        k.measure("fridge", p.kitchen.fridge);
        k.measure("freezer", p.kitchen.freezer);
        k.measure("shelfWidth", p.kitchen.shelfWidth);
        k.measure("shelfDepth", p.kitchen.shelfDepth);
        k.measure("shelfHeight", p.kitchen.shelfHeight);
        k.measure("freezerWidth", p.kitchen.freezerWidth);
        k.measure("freezerDepth", p.kitchen.freezerDepth);
        k.measure("freezerHeight", p.kitchen.freezerHeight);
        k.yesNo("fan", p.kitchen.fan);
        k.whole("shelves", p.kitchen.shelves);
        k.whole("hands", p.kitchen.hands);
        k.text("helpersFrom", p.kitchen.helpersFrom);
        p.kitchen.extra = k.extra();
    }
    if (const json* own = o.find("own")) {
        Object list(*own, "/own");
        for (const auto& [id, figures] : own->items()) {
            Object f(figures, "/own/" + id);
            for (const auto& [name, value] : figures.items()) {
                if (!value.is_number())
                    Object::refuse(fmt::format("“{}” must be a number.", name), "/own/" + id + "/" + name);
                p.own[id].values[name] = value.get<double>();
            }
        }
    }
    o.whole("guests", p.guests);
    if (const json* melting = o.find("melting")) {
        Object list(*melting, "/melting");
        for (const auto& [id, choice] : melting->items()) {
            Object c(choice, "/melting/" + id);
            temper::Choice& m = p.melting[id];
            c.word("method", m.method, kMethods);
            c.word("vessel", m.vessel, kVessels);
            c.yesNo("freshBowl", m.freshBowl);
            c.word("heat", m.heat, kHeats);
            c.number("watts", m.watts);
            c.yesNo("byLook", m.byLook);
            m.extra = c.extra();
        }
    }
    o.rows("pantry", limits::kRows, [&](Object& s) {
        Stock stock;
        s.text("chocolate", stock.chocolate);
        s.measure("mass", stock.mass);
        s.text("bestBefore", stock.bestBefore);
        s.number("price", stock.price);
        stock.extra = s.extra();
        p.pantry.push_back(std::move(stock));
    });
    o.rows("snaps", limits::kRows, [&](Object& s) {
        shell::SnapBar bar;
        s.text("chocolate", bar.chocolate);
        s.measure("span", bar.span);
        s.measure("width", bar.width);
        s.measure("thickness", bar.thickness);
        s.measure("hung", bar.hung);
        s.measure("sag", bar.sag);
        bar.extra = s.extra();
        p.snaps.push_back(std::move(bar));
    });
    o.rows("colours", limits::kColours, [&](Object& c) {
        material::Colour colour;
        c.text("id", colour.id);
        c.text("name", colour.name);
        c.text("base", colour.base);
        c.text("second", colour.second);
        c.measure("secondShare", colour.secondShare);
        c.measure("strength", colour.strength);
        c.measure("letDown", colour.letDown);
        c.text("look", colour.look);
        colour.extra = c.extra();
        p.colours.push_back(std::move(colour));
    });
    if (version >= 2) {
        o.rows("fillings", limits::kFillings, [&](Object& f) {
            Filling x = readFilling(f);
            x.extra = f.extra();
            if (x.id.empty() || p.filling(x.id)) Object::refuse("A filling needs an “id” of its own.", f.at("id"));
            p.fillings.push_back(std::move(x));
        });
        o.rows("toppings", limits::kFillings, [&](Object& t) {
            Topping x;
            t.text("id", x.id);
            t.text("name", x.name);
            t.measure("grain", x.grain);
            t.number("density", x.density);
            t.text("allergens", x.allergens);
            t.number("price", x.price);
            x.extra = t.extra();
            if (x.id.empty() || p.topping(x.id)) Object::refuse("A topping needs an “id” of its own.", t.at("id"));
            p.toppings.push_back(std::move(x));
        });
    }
    if (const json* pieces = o.find("pieces")) {
        if (!pieces->is_array()) Object::refuse("“pieces” must be a list.", "/pieces");
        if (pieces->size() > limits::kPieces)
            Object::refuse(fmt::format("More than {} kinds of pieces.", limits::kPieces), "/pieces");
        for (size_t i = 0; i < pieces->size(); ++i) {
            p.pieces.push_back(readPiece((*pieces)[i], fmt::format("/pieces/{}", i), version, p));
            for (size_t k = 0; k < i; ++k)
                if (p.pieces[k].id == p.pieces[i].id)
                    Object::refuse("Two pieces share the id “" + p.pieces[i].id + "”.",
                                   fmt::format("/pieces/{}/id", i));
        }
    }
    if (const json* meshes = o.find("meshes")) {
        Object list(*meshes, "/meshes");
        if (meshes->size() > limits::kModels)
            Object::refuse(fmt::format("More than {} models.", limits::kModels), "/meshes");
        for (const auto& [name, mesh] : meshes->items())
            p.meshes[name] = readMesh(mesh, "/meshes/" + name, p.meshExtras[name]);
        std::erase_if(p.meshExtras, [](const auto& e) { return e.second.empty(); });
    }
    p.extra = o.extra();
    return p;
}

/// Counts what a text will unfold to before it does: a small file can ask for gigabytes.
void weigh(const std::string& text) {
    size_t values = 0;
    int depth = 0;
    bool quoted = false;
    for (size_t i = 0; i < text.size(); ++i) {
        const char c = text[i];
        if (quoted) {
            if (c == '\\') ++i;
            if (c == '"') quoted = false;
            continue;
        }
        if (c == '"') quoted = true, ++values;
        if (c == ',') ++values;
        if (c == '[' || c == '{') values += 8, ++depth;
        if (c == ']' || c == '}') --depth;
        if (depth > limits::kDepth) throw Refusal{"The file is nested too deeply to be a plan.", ""};
        if (values > limits::kValues) throw Refusal{"The file holds more than a plan can.", ""};
    }
}

}  // namespace

tl::expected<Plan, Problem> readPlan(const std::string& text) {
    if (text.size() > limits::kBytes)
        return tl::unexpected(Problem{
            fmt::format("This file is too large to be a plan: plans have at most {} MB.", limits::kBytes / 1'000'000)});
    if (text.find_first_not_of(" \t\r\n") == std::string::npos)
        return tl::unexpected(Problem{"The file is empty.", "", 1});
    json root;
    try {
        weigh(text);
        root = json::parse(text);
    } catch (const nlohmann::json::parse_error& e) {
        const int line = lineOfByte(text, e.byte);
        const bool cut = e.byte >= text.size();
        return tl::unexpected(Problem{cut ? fmt::format("The file breaks off in line {}: it was cut short.", line)
                                          : fmt::format("The file is damaged in line {}: this is not JSON.", line),
                                      "", line});
    } catch (const nlohmann::json::exception&) {
        return tl::unexpected(Problem{"The file holds a number that is too large, or a text that is not UTF-8."});
    } catch (const Refusal& r) {
        return tl::unexpected(Problem{r.sentence});
    }
    try {
        return readPlanObject(root);
    } catch (const Refusal& r) {
        const int line = lineOfPointer(text, r.pointer);
        return tl::unexpected(
            Problem{line > 0 ? fmt::format("Line {}: {}", line, r.sentence) : r.sentence, r.pointer, line});
    } catch (const nlohmann::json::exception&) {
        return tl::unexpected(Problem{"The file holds something that a plan cannot hold."});
    }
}

}  // namespace uovo
