// What each stage depends on, as text: two plans with the same text have the same stage.
#include <fmt/format.h>
#include <bit>

#include "core/answers/keys.h"

namespace uovo {
namespace {

/// The piece in the chocolates it is bought as: a colour changes no wall, a blend does.
Piece uncoloured(Piece p, const Plan& plan) {
    const auto plain = [&](std::string& id) {
        for (const auto& c : plan.colours)
            if (c.id == id && c.second.empty()) {
                id = c.base;
                return;
            }
    };
    plain(p.chocolate);
    for (auto& step : p.making) {
        if (auto* c = std::get_if<PlannedCoat>(&step)) plain(c->chocolate);
        if (auto* c = std::get_if<CastStep>(&step)) plain(c->chocolate);
    }
    return p;
}

/// The steps that shape decides on: wall, grams and setting read no other.
Making shaping(const Making& making) {
    Making out;
    for (const auto& s : making)
        if (std::holds_alternative<PlannedCoat>(s) || std::holds_alternative<CastStep>(s) ||
            std::holds_alternative<InsertStep>(s))
            out.push_back(s);
    return out;
}

std::vector<material::Colour> blends(const Plan& plan) {
    std::vector<material::Colour> out = plan.colours;
    std::erase_if(out, [](const auto& c) { return c.second.empty(); });
    return out;
}

/// What the coat stage depends on, and nothing else: the name, count or filling may change without computing it again.
std::string stageKey(const Piece& piece, const Plan& plan, const AnswerOptions& options) {
    Plan essence;
    essence.kitchen = plan.kitchen;
    essence.kitchen.cook = {};
    essence.kitchen.helpers.clear();
    for (Measure* m :
         {&essence.kitchen.shelfWidth, &essence.kitchen.shelfDepth, &essence.kitchen.shelfHeight,
          &essence.kitchen.freezerWidth, &essence.kitchen.freezerDepth, &essence.kitchen.freezerHeight,
          &essence.kitchen.sheetWidth, &essence.kitchen.sheetDepth, &essence.kitchen.sheetGap, &essence.kitchen.knife,
          &essence.kitchen.boxLength, &essence.kitchen.boxWidth, &essence.kitchen.boxHeight, &essence.kitchen.plate,
          &essence.kitchen.mug, &essence.kitchen.mugDepth})
        *m = 0;
    essence.own = plan.own;
    Piece p = uncoloured(piece, plan);
    p.name.clear();
    p.count = 1;
    p.making = shaping(p.making);
    p.pot.clear();
    p.wantedWall = 0;
    p.survives = 1;
    p.notes.clear();
    p.photo = {};
    p.loads.clear();
    p.sits = Sits::Flat;
    essence.pieces = {p};
    essence.colours = blends(plan);
    return "coat" + std::to_string(kModelVersion) + (options.bands ? "b" : "-") + std::to_string(options.cells) +
           writePlan(essence);
}

/// A model by what it is: where it lies in memory may be another's later.
std::string contentOf(const form::Mesh& mesh) {
    std::uint64_t sum = 14695981039346656037ull;  // FNV-1a, eight bytes at a time
    const auto add = [&](std::uint64_t v) { sum = (sum ^ v) * 1099511628211ull; };
    for (const auto& p : mesh.points)
        for (const double v : {p.x, p.y, p.z}) add(std::bit_cast<std::uint64_t>(v));
    for (const auto& t : mesh.triangles)
        for (const int i : t) add(static_cast<std::uint64_t>(i));
    return fmt::format("{} {} {:016x}", mesh.points.size(), mesh.triangles.size(), sum);
}

/// What a part depends on: its figures, its chocolates, room, fridge and freezer.
std::string partKey(const Piece& coloured, const Plan& plan) {
    const Piece piece = uncoloured(coloured, plan);
    Plan essence;
    essence.kitchen.room = plan.kitchen.room;
    essence.kitchen.fridge = plan.kitchen.fridge;
    essence.kitchen.fan = plan.kitchen.fan;
    essence.kitchen.fridgeAir = plan.kitchen.fridgeAir;
    essence.kitchen.freezer = plan.kitchen.freezer;
    essence.own = plan.own;  // each of its casts may be of another chocolate
    essence.colours = blends(plan);
    Piece p;
    p.id = "part";
    p.shape = piece.shape;
    p.chocolate = piece.chocolate;
    p.temper = piece.temper;
    p.thinner = piece.thinner;
    p.thinnerShare = piece.thinnerShare;
    p.making = shaping(piece.making);
    if (!piece.wallFromCoats()) p.coats().clear();
    if (piece.wallFromCoats()) essence.kitchen.humidity = plan.kitchen.humidity;
    essence.pieces = {p};
    std::string key = "part" + std::to_string(kModelVersion) + writePlan(essence);
    for (const auto& name : form::modelsOf(piece.shape))
        if (const auto mesh = plan.meshes.find(name); mesh != plan.meshes.end()) key += contentOf(*mesh->second);
    return key;
}

}  // namespace

std::string madeKey(const Piece& piece, const Plan& plan, const AnswerOptions& options) {
    return piece.alongMeridian() ? stageKey(piece, plan, options) : partKey(piece, plan);
}

std::string waysKey(const Piece& piece, const Plan& plan, const AnswerOptions& options) {
    return std::string(plan.units == UnitSystem::US ? "waysUS" : "ways") +
           format(piece.wantedWall.value, Dimension::Length, UnitSystem::Metric, Detail::Fine) +
           stageKey(piece, plan, options);
}

std::string moldsKey(const Piece& piece, const std::string& made) {
    Plan essence;
    Piece p;
    p.id = "molds";
    p.mold = piece.mold;
    p.molds = piece.molds;
    p.count = piece.count;
    essence.pieces = {p};
    return writePlan(essence) + made;
}

std::string strengthKey(const Piece& piece, const Plan& plan, double fillEach, const std::string& made) {
    Plan essence;
    essence.snaps = plan.snaps;
    Piece p;
    p.id = "strength";
    p.chocolate = piece.chocolate;
    p.loads = piece.loads;
    p.sits = piece.sits;
    p.handling = piece.handling;
    essence.pieces = {p};
    const Filling* filling = plan.fillingOf(piece);
    return fmt::format("{} {:.9g} {} {:g} {} {}", plan.units == UnitSystem::US, fillEach, fillsPerishable(piece, plan),
                       filling ? filling->density : 0, writePlan(essence), made);
}

std::string dayKey(const schedule::Network& network) {
    std::string key = "day" + std::to_string(kModelVersion);
    const auto put = [&](auto v) { key.append(reinterpret_cast<const char*>(&v), sizeof v); };
    const auto spans = [&](const std::vector<schedule::Span>& all) {
        put(all.size());
        for (const auto& s : all) put(s.from), put(s.to);
    };
    for (const auto& t : network.tasks) {
        for (const int v : {t.minutes, t.hands, t.pot, int(t.small), int(t.skills), t.choice, t.mode,
                            t.pin.value_or(INT_MAX), t.earliest, t.latest})
            put(v);
        put(t.draw), put(t.bath);
        spans(t.forbidden);
        key += t.piece + '\n';  // whose it is prices a change of work
    }
    for (const auto& l : network.lags)
        for (const int v : {l.from, l.to, l.min, l.max, l.choice, l.mode}) put(v);
    for (const auto& h : network.holds)
        for (const int v : {h.resource, h.from, h.to, h.amount, h.choice, h.mode}) put(v);
    for (const auto& r : network.resources) {
        put(r.capacity);
        for (const auto& t : r.taken) put(t.when.from), put(t.when.to), put(t.amount);
    }
    for (const auto& p : network.people) put(p.skills), put(int(p.rests)), spans(p.there);
    for (const auto& p : network.pots) {
        for (const double v : {p.meltMinutes, p.meltPerKilogram, p.temperMinutes, p.temperPerKilogram, p.windowMinutes,
                               p.windowPerKilogram, p.vessel})
            put(v);
        for (const int v : {int(p.tempered), p.base, p.small, p.mixMinutes, p.idle, p.length, p.firstUse,
                            p.temperAfterMelt, int(p.keepsWarm)})
            put(v);
        for (const int b : p.before) put(b);
    }
    for (const auto& c : network.choices)
        for (const double v : c.cost) put(v);
    spans(network.closed);
    const auto& w = network.wish;
    for (const double v : {w.start, w.sitting, w.hands, w.change, w.burst, w.interruption}) put(v);
    for (const int v : {network.restEvery, network.restMinutes, network.horizon}) put(v);
    return key;
}

}  // namespace uovo
