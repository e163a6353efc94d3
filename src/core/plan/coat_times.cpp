// What the coats of a piece do in time: firm, set, let go; dew and stress of the cold.
#include <algorithm>
#include <cmath>

#include "core/plan/answers.h"
#include "core/setting/cold_stress.h"

namespace uovo {

setting::Events settingEvents(const material::Library& lib) {
    return {lib.physical("lockFraction"), lib.physical("firmFraction"), lib.physical("setFraction"), lib.physical("releaseFraction")};
}

CoatTimes coatTimes(const Piece& piece, const Plan& plan, const material::Library& lib, const coat::CoatSetting& job,
                    const std::vector<SlowPlace>& slow, double mean, double lock) {
    CoatTimes out;
    const setting::Events events = settingEvents(lib);
    double elapsed = 0, shell = plan.kitchen.room.value;
    for (size_t k = 0; k < piece.coats.size(); ++k) {
        const auto& step = piece.coats[k];
        const auto& [coating, law] = job.melt(k);
        const double toMelt = coating.densitySolid / coating.densityMelt;
        setting::Wall wall;
        wall.shell = slow[k].below * toMelt;
        wall.coat = std::max(1e-4, slow[k].fresh * toMelt);
        wall.coatTemperature = step.temperature.value;
        wall.shellTemperature = shell;
        wall.crystals = step.temperature.value > coating.loses ? coating.crystalsFloor : coating.crystalsAtStart;
        wall.formerCapacity = job.former.capacity;
        wall.formerSide = job.formerBack;
        const double before = coat::beforeCold(step);
        out.setting.push_back(setting::settle(wall, coating, law, events,
                                              {{job.climate.room, job.climate.airRoom, before}, {job.climate.air(step.place), job.climate.transfer(step.place), 0}}));
        const bool last = k + 1 == piece.coats.size();
        elapsed += last ? out.setting.back().release : before + step.stay.value;
        shell = slow[k].shellTemperature;
    }
    out.fromFirstCoatToRelease = elapsed;
    out.lock = lock;
    const auto& last = piece.coats.back();
    const auto& [coating, law] = job.melt(piece.coats.size() - 1);
    heat::ColdWall cold;
    cold.thickness = mean;
    cold.density = coating.densitySolid;
    cold.heatCapacity = coating.heatCapacity;
    cold.temperature = last.place == coat::Place::Table ? plan.kitchen.room.value : shell;
    out.dew = heat::condensation(cold, plan.kitchen.room.value, plan.kitchen.humidity.value, lib.physical("condensationTransfer"));
    out.chill = std::max(0.0, setting::warmestSettingAir(law, events) - cold.temperature);
    const double held = setting::heldStress(lib.physical("coldModulus"), lib.physical("expansion"), lib.physical("poisson"), out.chill) / lib.physical("coldStrength");
    out.heldStress = held;
    out.freeStress = held * setting::freeShare(job.climate.transfer(last.place) * mean / coating.conductivity);
    return out;
}

}  // namespace uovo
