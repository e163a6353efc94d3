#include "core/learn/shift.h"

#include <algorithm>
#include <cmath>
#include <utility>

namespace uovo::learn {
namespace {
double at(const Shift& s, Of of) { return s[static_cast<int>(of)]; }

constexpr std::pair<const char*, Of> kOwn[] = {
    {"yield40", Of::Yield}, {"viscosity40", Of::Viscosity}, {"growthRate", Of::Growth}};
}  // namespace

Shift shiftSds(const material::Library& lib) {
    Shift out;
    out << lib.learns("yieldSd"), lib.learns("viscositySd"), lib.learns("growthSd"), lib.learns("seedSd"),
        lib.learns("fridgeAirSd"), lib.learns("fridgeSd"), lib.learns("ladleSd"), lib.learns("waitSd");
    return out;
}

void countOn(const Shift& shift, const std::string& id, Plan& plan, const material::Library& library,
             const std::string& source) {
    if (const auto* chocolate = library.find(id)) {
        auto& own = plan.own[chocolate->figuresAs()];
        for (const auto& [name, of] : kOwn) {
            own.say(name, chocolate->at(name).value * std::exp(at(shift, of)));
            if (!source.empty()) own.from[name] = source;
        }
    }
    plan.kitchen.fridgeAir = std::clamp(std::exp(at(shift, Of::FridgeAir)), kFridgeAirLeast, kFridgeAirMost);
}

Shift ownOf(const Plan& plan, const std::string& id, const material::Library& library) {
    Shift out = Shift::Zero();
    out[static_cast<int>(Of::FridgeAir)] = std::log(plan.kitchen.fridgeAir);
    const auto* chocolate = library.find(id);
    const auto own = chocolate ? plan.own.find(chocolate->figuresAs()) : plan.own.end();
    if (own == plan.own.end()) return out;
    for (const auto& [name, of] : kOwn)
        if (const auto it = own->second.values.find(name); it != own->second.values.end() && it->second > 0)
            out[static_cast<int>(of)] = std::log(it->second / chocolate->at(name).value);
    return out;
}

void apply(const Shift& shift, const std::string& id, Plan& plan, material::Library& library) {
    countOn(shift, id, plan, library);
    constexpr double kColdest = 0, kWarmest = 14;  // °C of a fridge that a plan takes
    plan.kitchen.fridge.value = std::clamp(plan.kitchen.fridge.value + at(shift, Of::Fridge), kColdest, kWarmest);
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
