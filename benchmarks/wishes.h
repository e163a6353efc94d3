// Days that people wish for, in kinds: what their plans, starts and speeds are measured on. Invented.
#pragma once
#include <cstdio>
#include <cstdlib>

#include "core/assembly/arrange.h"
#include "io/data.h"

namespace uovo::bench {

struct Wished {
    std::string name;
    Plan plan;
};

inline constexpr long kSomeDay = 20669L * 1440;

/// The demo's kitchen and evening, without its pieces.
inline Plan emptyEvening(const std::string& name) {
    Plan p = io::demoPlan(kSomeDay);
    p.name = name;
    p.pieces.clear();
    p.meshes.clear();
    p.kitchen.helpers.clear();
    return p;
}

inline Piece& put(Plan& plan, const std::string& family, const std::string& name, int count,
                  const std::string& chocolate = {}) {
    plan.pieces.push_back(newPiece(plan, family));
    Piece& piece = plan.pieces.back();
    piece.name = name;
    piece.count = count;
    if (!chocolate.empty()) piece.chocolate = chocolate;
    return piece;
}

/// A tub with a lid on it and a knob on the lid.
inline form::Part lidded() {
    form::Part whole;
    whole.family = form::kAssembly;
    const auto add = [&](const char* name, const char* family, std::map<std::string, double> figures,
                         const char* words) {
        form::PartItem item;
        item.key = item.name = name;
        item.part = form::usual(family);
        for (const auto& [k, v] : figures) item.part.values[k] = Measure(v);
        if (!whole.items.empty()) item.at[0] = Measure(0.5);
        whole.items.push_back(item);
        if (*words == 0) return;
        auto said = assembly::saidOf(whole, name, words, UnitSystem::Metric, {});
        if (!said) std::fprintf(stderr, "%s\n", said.error().sentence.c_str()), std::exit(1);
        whole = std::move(said->assembly);
    };
    add("Tub", "case",
        {{"baseDiameter", 0.05}, {"topDiameter", 0.06}, {"height", 0.05}, {"flutes", 0}, {"fluteDepth", 0}}, "");
    add("Lid", "disc", {{"diameter", 0.066}, {"thickness", 0.004}}, "on the tub");
    add("Knob", "ball-solid", {{"diameter", 0.016}}, "on the lid");
    if (const auto glued = assembly::glueWhatTouches(whole, {"Tub", "Lid", "Knob"}, {}); !glued)
        std::fprintf(stderr, "%s\n", glued.error().sentence.c_str()), std::exit(1);
    return whole;
}

inline Plan tubs() {
    Plan p = emptyEvening("Two dozen tubs with lids");
    Piece& piece = put(p, form::kAssembly, "Tub", 24);
    piece.shape = lidded();
    piece.complete();
    return p;
}

inline Plan threeTints() {
    Plan p = emptyEvening("Six cases in three tints");
    p.colours.clear();
    for (const auto& [id, look] : std::initializer_list<std::pair<const char*, const char*>>{
             {"rose", "#C97B84"}, {"mint", "#8FB996"}, {"lilac", "#9A86B8"}}) {
        material::Colour c;
        c.id = id;
        c.name = std::string(1, char(std::toupper(id[0]))) + (id + 1);
        c.look = look;
        p.colours.push_back(c);
        put(p, "case", c.name + " case", 2, id);
    }
    return p;
}

inline Plan fortyMixed() {
    Plan p = emptyEvening("Forty mixed pieces");
    put(p, "cup", "Cup", 12, "dark");
    put(p, "balloon", "Bowl", 8, "milk");
    put(p, "case", "Case", 8, "white");
    put(p, "wrap-cone", "Cone", 6, "dark");
    put(p, "disc", "Disc", 6, "milk");
    return p;
}

inline Plan houseWithHelper() {
    Plan p = emptyEvening("A house with a helper");
    put(p, "house", "Gabled house", 1, "milk");
    put(p, "cup", "Cup", 6, "dark");
    p.kitchen.helpers.push_back({"", "16:00", "", false, true, ""});
    return p;
}

inline Plan feast() {
    Plan p = emptyEvening("A feast of two days");
    put(p, "balloon", "Bowl", 20, "dark");
    put(p, "spoon", "Spoon", 20, "milk");
    put(p, "hung-ball", "Ball to break", 1, "white");
    for (const auto& piece : p.pieces) p.day.ahead[piece.id] = 1;
    p.day.ahead.erase(p.pieces[2].id);
    p.kitchen.helpers.push_back({"", "16:00", "", true, true, ""});
    return p;
}

inline std::vector<Wished> wishes() {
    return {{"the demo", io::demoPlan(kSomeDay)},     {"24 tubs with lids", tubs()},
            {"6 cases, 3 tints", threeTints()},       {"40 mixed pieces", fortyMixed()},
            {"a house, a helper", houseWithHelper()}, {"a feast, two days", feast()}};
}

}  // namespace uovo::bench
