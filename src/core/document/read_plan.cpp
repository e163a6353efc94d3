// Plans read from JSON: see docs/format.md.
#include "core/document/json_lines.h"
#include "core/document/json_object.h"
#include "core/quantity/base64.h"
#include "core/quantity/catalogue.h"

namespace uovo {
namespace {

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
    g.number("density", x.density);
    return x;
}

/// How version 1 said the making: coats here, a cast there, a filling with its lid. Read as the steps they are.
void carryOver(Object& o, Piece& p, Plan& plan) {
    if (const json* coats = o.find("coats")) {
        if (!coats->is_array()) Object::refuse(tr("“coats” must be a list."), o.at("coats"));
        if (coats->size() > limits::kSteps / 2) Object::refuse(tr("More than a hundred coats."), o.at("coats"));
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
    if (p.id.empty()) Object::refuse(tr("A piece needs an “id”."), pointer);
    o.text("name", p.name);
    o.whole("count", p.count);
    const json* former = o.find("former");
    if (!former) Object::refuse(tr("A piece needs a “former”."), pointer);
    Object f(*former, o.at("former"));
    p.shape = readPart(f, readKind(f));
    p.shapeExtra = f.extra();
    o.text("chocolate", p.chocolate);
    o.word("temper", p.temper, kTempers);
    o.word("thinner", p.thinner, kThinners);
    o.number("thinnerShare", p.thinnerShare);
    o.measure("wantedWall", p.wantedWall);
    o.text("pot", p.pot);
    o.whole("molds", p.molds);
    if (const json* mold = o.find("mold")) {
        Object m(*mold, o.at("mold"));
        m.yesNo("there", p.mold.there);
        m.whole("casts", p.mold.casts);
        m.whole("parts", p.mold.parts);
        m.number("hardness", p.mold.hardness);
        m.measure("wall", p.mold.wall);
        m.measure("cure", p.mold.cure);
        m.measure("potLife", p.mold.potLife);
        m.number("partsA", p.mold.partsA);
        m.number("partsB", p.mold.partsB);
        m.yesNo("byMass", p.mold.byMass);
        m.number("price", p.mold.price);
        m.text("allergens", p.mold.allergens);
        m.yesNo("raw", p.mold.raw);
        p.mold.extra = m.extra();
    }
    o.text("notes", p.notes);
    if (const json* photo = o.find("photo")) {
        const auto bytes =
            photo->is_string() ? fromBase64(photo->get_ref<const std::string&>(), limits::kPhoto) : std::nullopt;
        if (!bytes) Object::refuse(tr("“photo” is no picture in base 64, or too large."), o.at("photo"));
        p.photo.bytes = std::make_shared<const std::string>(*bytes);
    }
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
            Object::refuse(say("“making” must be a list of steps, at most {}.", limits::kSteps), o.at("making"));
        for (size_t i = 0; i < making->size(); ++i)
            p.making.push_back(readStep((*making)[i], fmt::format("{}/making/{}", pointer, i)));
    }
    p.extra = o.extra();
    return p;
}

void readWorker(Object& o, Worker& out) {
    o.text("name", out.name);
    o.text("from", out.from);
    o.text("until", out.until);
    o.yesNo("hot", out.hot);
    o.yesNo("knife", out.knife);
    out.extra = o.extra();
}

void readKitchen(Object& o, Kitchen& out) {
    const json* kitchen = o.find("kitchen");
    if (!kitchen) return;
    Object k(*kitchen, "/kitchen");
    k.measure("room", out.room);
    k.measure("humidity", out.humidity);
    k.measure("fridge", out.fridge);
    k.measure("freezer", out.freezer);
    k.measure("shelfWidth", out.shelfWidth);
    k.measure("shelfDepth", out.shelfDepth);
    k.measure("shelfHeight", out.shelfHeight);
    k.measure("freezerWidth", out.freezerWidth);
    k.measure("freezerDepth", out.freezerDepth);
    k.measure("freezerHeight", out.freezerHeight);
    k.measure("sheetWidth", out.sheetWidth);
    k.measure("sheetDepth", out.sheetDepth);
    k.measure("sheetGap", out.sheetGap);
    k.measure("knife", out.knife);
    k.measure("boxLength", out.boxLength);
    k.measure("boxWidth", out.boxWidth);
    k.measure("boxHeight", out.boxHeight);
    k.measure("plate", out.plate);
    k.measure("mug", out.mug);
    k.measure("mugDepth", out.mugDepth);
    k.yesNo("fan", out.fan);
    k.number("fridgeAir", out.fridgeAir);
    k.number("pace", out.pace);
    k.whole("shelves", out.shelves);
    if (const json* cook = k.find("cook")) {
        Object c(*cook, k.at("cook"));
        readWorker(c, out.cook);
    }
    k.rows("helpers", limits::kHelpers, [&](Object& h) { readWorker(h, out.helpers.emplace_back()); });
    int hands = 1;  // as files said it before each helper had hours of its own
    Worker helper;
    k.whole("hands", hands);
    k.text("helpersFrom", helper.from);
    if (hands < 1 || hands > 1 + static_cast<int>(limits::kHelpers))
        Object::refuse(tr("Between one and eight pairs of hands."), k.at("hands"));
    if (out.helpers.empty()) out.helpers.assign(static_cast<size_t>(hands - 1), helper);
    out.extra = k.extra();
}

/// Whole numbers by name.
void readCounts(Object& o, const char* key, std::map<std::string, int>& out, size_t most = limits::kPieces) {
    const json* all = o.find(key);
    if (!all) return;
    Object list(*all, o.at(key));
    if (all->size() > most) Object::refuse(say("“{}” names more than {}.", key, most), o.at(key));
    for (const auto& [id, value] : all->items()) list.whole(id.c_str(), out[id]);
}

void readDay(Object& o, DayWish& out) {
    const json* day = o.find("day");
    if (!day) return;
    Object d(*day, "/day");
    d.word("aim", out.aim, kAims);
    d.number("chance", out.chance);
    d.rows("pins", limits::kPins, [&](Object& p) {
        auto& pin = out.pins.emplace_back();
        p.text("step", pin.step);
        p.whole("at", pin.at);
    });
    d.rows("free", limits::kPins, [&](Object& f) {
        auto& free = out.free.emplace_back();
        f.whole("from", free.from);
        f.whole("to", free.to);
    });
    if (const json* done = d.find("done")) {
        if (!done->is_array() || done->size() > limits::kSteps * limits::kPieces)
            Object::refuse(tr("“done” must be a list of steps."), d.at("done"));
        for (const auto& id : *done) {
            if (!id.is_string()) Object::refuse(tr("“done” must be a list of steps."), d.at("done"));
            out.done.push_back(id.get<std::string>());
        }
    }
    readCounts(d, "ahead", out.ahead);
    readCounts(d, "rounds", out.rounds);
    if (const json* laid = d.find("laid")) {
        Object l(*laid, "/day/laid");
        l.rows("steps", limits::kTasks, [&](Object& s) {
            auto& step = out.laid.steps.emplace_back();
            s.text("step", step.step);
            s.whole("sooner", step.sooner);
            s.yesNo("small", step.small);
        });
        readCounts(l, "ways", out.laid.ways, limits::kTasks);
        l.whole("reserve", out.laid.reserve);
        if (l.find("doneBy")) l.whole("doneBy", out.laid.doneBy.emplace());
        if (out.laid.steps.empty()) out.laid = {};
    }
    out.extra = d.extra();
}

/// A person's own figures of each chocolate.
void readOwn(Object& o, Plan& p) {
    if (const json* own = o.find("own")) {
        Object list(*own, "/own");
        for (const auto& [id, figures] : own->items()) {
            Object f(figures, "/own/" + id);
            for (const auto& [name, value] : figures.items()) {
                if (!value.is_number())
                    Object::refuse(say("“{}” must be a number.", name), fmt::format("/own/{}/{}", id, name));
                p.own[id].values[name] = value.get<double>();
            }
        }
    }
    if (const json* from = o.find("ownFrom")) {
        Object list(*from, "/ownFrom");
        for (const auto& [id, figures] : from->items()) {
            Object f(figures, "/ownFrom/" + id);
            for (const auto& [name, words] : figures.items()) {
                if (!words.is_string())
                    Object::refuse(say("“{}” must be a text.", name), fmt::format("/ownFrom/{}/{}", id, name));
                if (p.own.contains(id) && p.own[id].values.contains(name))
                    p.own[id].from[name] = words.get<std::string>().substr(0, 300);
            }
        }
    }
}

/// How each chocolate is melted.
void readMelting(Object& o, Plan& p) {
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
}

/// The cupboard, the bars that were broken, the colours that were mixed.
void readRows(Object& o, Plan& p) {
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
        c.measure("flavour", colour.flavour);
        c.text("flavourName", colour.flavourName);
        c.text("look", colour.look);
        colour.extra = c.extra();
        p.colours.push_back(std::move(colour));
    });
}

Plan readPlanObject(const json& root) {
    Object o(root, "");
    std::string format;
    o.text("format", format);
    if (format != "uovo-plan")
        Object::refuse(tr("This is JSON, but not a plan of Uovo: “format” is not “uovo-plan”."), "");
    int version = 0;
    o.whole("version", version);
    if (version > kPlanVersion)
        Object::refuse(
            say("This plan was written by a newer Uovo (format {}, this one reads up to {}). It was left untouched.",
                version, kPlanVersion),
            "/version");
    if (version < 1) Object::refuse(tr("The plan has no “version”."), "");
    Plan p;
    o.text("name", p.name);
    o.text("deadline", p.deadline);
    o.word("units", p.units, kUnits);
    o.yesNo("metricCup", p.metricCup);
    readKitchen(o, p.kitchen);
    readDay(o, p.day);
    readOwn(o, p);
    o.whole("guests", p.guests);
    readMelting(o, p);
    readRows(o, p);
    if (version >= 2) {
        o.rows("fillings", limits::kFillings, [&](Object& f) {
            Filling x = readFilling(f);
            x.extra = f.extra();
            if (x.id.empty() || p.filling(x.id)) Object::refuse(tr("A filling needs an “id” of its own."), f.at("id"));
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
            if (x.id.empty() || p.topping(x.id)) Object::refuse(tr("A topping needs an “id” of its own."), t.at("id"));
            p.toppings.push_back(std::move(x));
        });
    }
    if (const json* pieces = o.find("pieces")) {
        if (!pieces->is_array()) Object::refuse(tr("“pieces” must be a list."), "/pieces");
        if (pieces->size() > limits::kPieces)
            Object::refuse(say("More than {} kinds of pieces.", limits::kPieces), "/pieces");
        for (size_t i = 0; i < pieces->size(); ++i) {
            p.pieces.push_back(readPiece((*pieces)[i], fmt::format("/pieces/{}", i), version, p));
            for (size_t k = 0; k < i; ++k)
                if (p.pieces[k].id == p.pieces[i].id)
                    Object::refuse(tr("Two pieces share the id “") + p.pieces[i].id + "”.",
                                   fmt::format("/pieces/{}/id", i));
        }
    }
    if (const json* meshes = o.find("meshes")) {
        Object list(*meshes, "/meshes");
        if (meshes->size() > limits::kModels) Object::refuse(say("More than {} models.", limits::kModels), "/meshes");
        for (const auto& [name, mesh] : meshes->items())
            p.meshes[name] = readMesh(mesh, "/meshes/" + name, p.meshExtras[name]);
        std::erase_if(p.meshExtras, [](const auto& e) { return e.second.empty(); });
    }
    if (const json* computed = o.find("computed")) {
        Object c(*computed, "/computed");
        c.whole("model", p.computed.model);
        const auto figures = [&](const char* key, std::map<std::string, double>& out) {
            const json* of = c.find(key);
            if (!of) return;
            Object each(*of, c.at(key));
            if (of->size() > limits::kPieces) Object::refuse(tr("More figures than pieces."), c.at(key));
            for (const auto& [id, value] : of->items()) each.number(id.c_str(), out[id]);
        };
        figures("mass", p.computed.mass);
        figures("wall", p.computed.wall);
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
        if (depth > limits::kDepth) throw Refusal{tr("The file is nested too deeply to be a plan."), ""};
        if (values > limits::kValues) throw Refusal{tr("The file holds more than a plan can."), ""};
    }
}

}  // namespace

tl::expected<Plan, Problem> readPlan(const std::string& text) {
    if (text.size() > limits::kBytes)
        return tl::unexpected(
            Problem{say("This file is too large to be a plan: plans have at most {} MB.", limits::kBytes / 1'000'000)});
    if (text.find_first_not_of(" \t\r\n") == std::string::npos)
        return tl::unexpected(Problem{tr("The file is empty."), "", 1});
    json root;
    try {
        weigh(text);
        root = json::parse(text);
    } catch (const nlohmann::json::parse_error& e) {
        const int line = lineOfByte(text, e.byte);
        const bool cut = e.byte >= text.size();
        return tl::unexpected(Problem{cut ? say("The file breaks off in line {}: it was cut short.", line)
                                          : say("The file is damaged in line {}: this is not JSON.", line),
                                      "", line});
    } catch (const nlohmann::json::exception&) {
        return tl::unexpected(Problem{tr("The file holds a number that is too large, or a text that is not UTF-8.")});
    } catch (const Refusal& r) {
        return tl::unexpected(Problem{r.sentence});
    }
    try {
        return readPlanObject(root);
    } catch (const Refusal& r) {
        const int line = lineOfPointer(text, r.pointer);
        return tl::unexpected(Problem{line > 0 ? say("Line {}: {}", line, r.sentence) : r.sentence, r.pointer, line});
    } catch (const nlohmann::json::exception&) {
        return tl::unexpected(Problem{tr("The file holds something that a plan cannot hold.")});
    }
}

}  // namespace uovo
