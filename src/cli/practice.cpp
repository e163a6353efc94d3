#include "cli/practice.h"

#include <algorithm>
#include <nlohmann/json.hpp>

#include "cli/case_words.h"
#include "core/answers/answers.h"
#include "core/heat/pot.h"
#include "core/setting/stick.h"
#include "core/stages/strength.h"
#include "io/data.h"

namespace uovo::cli {
namespace {

using nlohmann::json;

coat::Place placeOf(const std::string& word) {
    return word == "table" ? coat::Place::Table : word == "fridge" ? coat::Place::Fridge : coat::Place::Freezer;
}

/// Where a cavity filled to a level sets last, m³/m².
tl::expected<double, Problem> filledTo(const form::Part& part, double level) {
    const auto built = form::build(part, {}, {2600, 28, true});
    if (!built) return tl::unexpected(built.error());
    const auto& shape = built->items.front().shape;
    const coat::Surface s = coat::surfaceOf(shape.surface, shape.outside);
    double low = 1e9;
    for (const auto& p : s.at) low = std::min(low, p.z);
    std::vector<double> depth;
    for (size_t i = 0; i < s.size(); ++i)
        depth.push_back(std::max(0.0, s.normal[i].z) * std::max(0.0, low + level - s.at[i].z));
    return coat::slowPlace(s, {}, depth).fresh;
}

}  // namespace

tl::expected<double, Problem> practiceSetting(const json& g) {
    const auto plan = casePlan(g);
    if (!plan) return tl::unexpected(plan.error());
    const auto& lib = io::library();
    const Piece& piece = plan->pieces.front();
    const auto coating = coatingOf(piece, *plan, lib);
    if (!coating) return tl::unexpected(coating.error());
    const material::Coating& c = *coating;
    const std::string reached = g.at("reached");
    if (reached == "usable")
        return heat::batchWindow(c, lib.physics, g.at("mass"), 0, c.working(), plan->kitchen.room.value) / 60;
    const double T = piece.cast().temperature.value > 0 ? piece.cast().temperature.value : c.working(),
                 X = material::crystalsAt(c, T);
    const heat::CrystalLaw law = heat::CrystalLaw(c, lib.physics).keeping(material::temperKept(c, T));
    std::vector<setting::Stay> stays;
    for (const auto& s : g.at("stays")) stays.push_back(stayIn(placeOf(s.at(0)), s.at(1), *plan, lib));
    const double cold = g.value("cold", plan->kitchen.room.value);
    setting::Cast cast;
    if (g.contains("filled")) {
        if (piece.family().former != form::Former::Cup)
            return tl::unexpected(Problem{"Only a cup is filled.", "filled"});
        cast = setting::cast(setting::filledCup(form::figure(piece.shape, "topDiameter"), g.at("filled"), T, X), c);
    } else if (!piece.coats().empty()) {  // as its coats leave it
        AnswerOptions o;
        o.bands = false;
        const auto take = [&](const CoatTimes& t) {
            return (reached == "firm"  ? t.setting.back().firm
                    : reached == "set" ? t.setting.back().set
                                       : t.setting.back().release) /
                       60 -
                   g.value("less", 0.0);
        };
        const auto made = madeOf(piece, *plan, lib, o);
        if (!made) return tl::unexpected(made.error());
        return take(*made->wall);
    } else if (g.contains("wall") || g.contains("level")) {
        setting::Wall wall;
        if (g.contains("level")) {
            const auto depth = filledTo(piece.shape, g.at("level"));
            if (!depth) return tl::unexpected(depth.error());
            wall.coat = *depth;
        } else {
            wall.coat = g.at("wall");
        }
        wall.shell = g.value("shell", 0.0);
        wall.coatTemperature = T;
        wall.shellTemperature = cold;
        wall.crystals = X;
        wall.former = formerHeat(piece.shape, lib);
        if (g.contains("core")) wall.former = {g.at("core"), g.value("contact", 0.0), 0};
        wall.tray = g.value("tray", 0.0);
        wall.shut = g.value("shut", false);
        cast = setting::cast(wall, c);
    } else {
        const auto built = form::build(piece.shape);
        if (!built) return tl::unexpected(built.error());
        cast = castOf(built->items.front(), built->items.front().shape.chocolate(), piece.cast(), *plan, lib, c);
        if (g.contains("tray")) cast.body.outer = {g.at("tray"), 0, plan->kitchen.room.value};
    }
    if (reached == "stick")
        return setting::standsAfter({}, cast, c, law, stays.front(), lib.physical("staticYield")) / 60;
    const auto t = setting::settle(cast, law, settingEvents(lib), stays);
    const double s = reached == "lock"     ? t.lock
                     : reached == "firm"   ? t.firm
                     : reached == "set"    ? t.set
                     : reached == "window" ? t.firm - t.lock
                                           : t.release;
    return s / 60 - g.value("less", 0.0);
}

tl::expected<double, Problem> practiceStrength(const json& g) {
    const auto plan = casePlan(g);
    if (!plan) return tl::unexpected(plan.error());
    Cache cache;
    AnswerOptions o;
    o.day = o.ways = o.bands = false;
    const auto a = answer(*plan, io::library(), cache, o);
    if (!a->problems.empty()) return tl::unexpected(a->problems.front());
    const auto& stage = a->pieces.front()->strength;
    if (!stage || !stage->problem.empty())
        return tl::unexpected(Problem{stage ? stage->problem : "Its strength is not reckoned."});
    double survives = 1;
    for (const auto& id : g.at("cases")) {
        const auto found = std::find_if(stage->cases.begin(), stage->cases.end(),
                                        [&](const auto& c) { return c.id == id.get<std::string>(); });
        if (found == stage->cases.end())
            return tl::unexpected(Problem{"There is no case “" + id.get<std::string>() + "” of this piece."});
        survives *= 1 - found->average;
    }
    return 100 * (1 - survives);
}

}  // namespace uovo::cli
