#include "core/learn/shift.h"

#include <algorithm>
#include <cmath>

namespace uovo::learn {
namespace {
double at(const Shift& s, Of of) { return s[static_cast<int>(of)]; }
}  // namespace

Shift shiftSds(const material::Library& lib) {
    Shift out;
    out << lib.learns("yieldSd"), lib.learns("viscositySd"), lib.learns("growthSd"), lib.learns("seedSd"),
        lib.learns("fridgeAirSd"), lib.learns("fridgeSd"), lib.learns("ladleSd"), lib.learns("waitSd");
    return out;
}

void countOn(const Shift& shift, const std::string& id, Plan& plan, const material::Library& library) {
    if (const auto* chocolate = library.find(id)) {
        auto& own = plan.own[chocolate->figuresAs()].values;
        const auto times = [&](const char* name, Of of) {
            const auto it = own.find(name);
            own[name] = (it != own.end() ? it->second : chocolate->at(name).value) * std::exp(at(shift, of));
        };
        times("yield40", Of::Yield);
        times("viscosity40", Of::Viscosity);
        times("growthRate", Of::Growth);
    }
    plan.kitchen.fridgeAir =
        std::clamp(plan.kitchen.fridgeAir * std::exp(at(shift, Of::FridgeAir)), kFridgeAirLeast, kFridgeAirMost);
    constexpr double kColdest = 0, kWarmest = 14;  // °C of a fridge that a plan takes
    plan.kitchen.fridge.value = std::clamp(plan.kitchen.fridge.value + at(shift, Of::Fridge), kColdest, kWarmest);
}

void apply(const Shift& shift, const std::string& id, Plan& plan, material::Library& library) {
    countOn(shift, id, plan, library);
    auto& seed = library.physics.at("crystalsTempered").value;
    seed = std::min(0.2, seed * std::exp(at(shift, Of::Seed)));
    for (auto& piece : plan.pieces)
        for (auto& coat : piece.coats()) {
            coat.temperature.value += at(shift, Of::Ladle);
            coat.drain.value *= std::exp(at(shift, Of::Wait));
            coat.delay.value *= std::exp(at(shift, Of::Wait));
        }
}

}  // namespace uovo::learn
