// What the coats of a piece do in time: firm, set, let go; dew and stress of the cold.
#include <algorithm>
#include <cmath>
#include <map>

#include "core/setting/cold_stress.h"
#include "core/stages/made.h"

namespace uovo {

setting::Events settingEvents(const material::Library& lib) {
    return {lib.physical("lockFraction"), lib.physical("firmFraction"), lib.physical("setFraction")};
}

heat::Former formerHeat(const form::Part& part, const material::Library& lib) {
    const form::Family* family = form::family(part.family);
    if (family && family->former == form::Former::Balloon)
        return {lib.former("balloonHeatCapacity"), 0, lib.former("balloonBack")};
    if (family && family->body == form::Body::Sheet) return {lib.former("trayHeatCapacity"), 0, -1};
    if (family && family->former == form::Former::Itself && family->body == form::Body::Wall) {
        // heat that half of it takes up, by the area that is covered
        const bool fruit = form::choice(part, "what") == "fruit";
        const double half =
            0.25 * form::figure(part, fruit || form::choice(part, "what") == "stick" ? "width" : "thickness");
        return {lib.former(fruit ? "fruitHeatCapacity" : "biscuitHeatCapacity") * half, 0, 0};
    }
    if (family && family->former == form::Former::Cup)
        return form::choice(part, "made") == "silicone"
                   ? heat::Former{lib.former("siliconeHeatCapacity"), lib.former("siliconeContact"), -1}
                   : heat::Former{lib.former("cupHeatCapacity"), 0, -1};
    const std::string made = family && family->choice("mold") ? form::choice(part, "mold") : "";
    const auto is = [&](const char* word) { return made.find(word) != std::string::npos; };
    if (is("silicone")) return {lib.former("siliconeHeatCapacity"), lib.former("siliconeContact"), -1};
    const double layers = is("paper") ? form::figure(part, "nested") : 1;
    return {layers * lib.former(is("rigid")     ? "thickPlasticHeatCapacity"
                                : is("tin")     ? "tinHeatCapacity"
                                : is("plastic") ? "thinPlasticHeatCapacity"
                                                : "cupHeatCapacity"),
            0, -1};
}

setting::Stay stayIn(coat::Place place, double seconds, const Plan& plan, const material::Library& lib) {
    const double still = lib.physical("airStill");
    if (place == coat::Place::Table) return {plan.kitchen.room.value, still, seconds};
    if (place == coat::Place::Fridge)
        return {plan.kitchen.fridge.value, plan.kitchen.fridgeAir * (plan.kitchen.fan ? lib.physical("airFan") : still),
                seconds};
    return {plan.kitchen.freezer.value, still, seconds};
}

CoatTimes coatTimes(const Piece& piece, const Plan& plan, const material::Library& lib, const coat::CoatSetting& job,
                    const std::vector<SlowPlace>& slow, double mean, double rim) {
    CoatTimes out;
    const setting::Events events = settingEvents(lib);
    struct SoFar {
        double elapsed = 0, shell = 0;
    };
    std::map<std::string, SoFar> parts;  // of a compound, the parts that have coats of their own; else one
    double shell = plan.kitchen.room.value;
    out.crystalsOut = 1;
    const auto coats = piece.coats();
    for (size_t k = 0; k < coats.size(); ++k) {
        const auto& step = coats[k];
        SoFar& part = parts.try_emplace(step.item, SoFar{0, plan.kitchen.room.value}).first->second;
        const auto [coating, law] = job.melt(k, step.temperature.value);
        setting::Wall wall;
        wall.shell = slow[k].below;
        wall.coat = std::max(1e-4, slow[k].fresh);
        wall.coatTemperature = step.temperature.value;
        wall.shellTemperature = part.shell;
        wall.crystals = material::crystalsAt(coating, step.temperature.value);
        wall.former = job.former;
        wall.shut = job.shut || step.way == coat::Way::Turn;
        const double before = coat::beforeCold(step);
        const std::vector<setting::Stay> stays{stayIn(coat::Place::Table, before, plan, lib),
                                               stayIn(step.place, 0, plan, lib)};
        out.setting.push_back(setting::settle(setting::cast(wall, coating), law, events, stays));
        const bool last = isLastForItsPart(coats, k);
        if (last) {
            out.crystalsOut = std::min(out.crystalsOut, setting::crystalsAfter(setting::cast(wall, coating), law, stays,
                                                                               before + coat::inCold(step)));
            const double set = out.setting.back().lock;
            out.lock =
                set <= before + coat::inCold(step) && !std::isnan(out.lock) ? std::max(out.lock, set) : std::nan("");
            wall.coat = rim > 0 ? std::min(wall.coat, std::max(1e-4, rim * coating.densitySolid / coating.densityMelt))
                                : wall.coat;
            out.rim = setting::settle(setting::cast(wall, coating), law, events, stays);
        }
        part.elapsed += last ? out.setting.back().release : before + coat::inCold(step);
        shell = part.shell = slow[k].shellTemperature;
        if (last && !std::isnan(out.fromFirstCoatToRelease))
            out.fromFirstCoatToRelease =
                std::isnan(part.elapsed) ? part.elapsed : std::max(out.fromFirstCoatToRelease, part.elapsed);
    }
    const auto& last = piece.coats().back();
    const auto [coating, law] = job.melt(piece.coats().size() - 1, last.temperature.value);
    heat::ColdWall cold;
    cold.thickness = mean;
    cold.density = coating.densitySolid;
    cold.heatCapacity = coating.heatCapacity;
    cold.temperature = last.place == coat::Place::Table ? plan.kitchen.room.value : shell;
    out.dew = heat::condensation(cold, plan.kitchen.room.value, plan.kitchen.humidity.value, lib.physical("airStill"),
                                 lib.physical("radiation"));
    out.chill = std::max(0.0, setting::warmestSettingAir(law, events) - cold.temperature);
    const double held =
        setting::heldStress(lib.physical("coldModulus"), lib.physical("expansion"), lib.strong("poisson"), out.chill) /
        (lib.find(piece.chocolate)->at("strength").value * lib.strong("strengthAt5"));
    out.heldStress = held;
    out.freeStress = held * setting::freeShare(job.climate.transfer(last.place) * mean / coating.conductivity);
    return out;
}

}  // namespace uovo
