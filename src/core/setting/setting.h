// What cooling means for a piece: when it is firm, set through and lets go, and whether it gets wet afterwards.
#pragma once
#include <vector>

#include "core/heat/dew.h"
#include "core/heat/slab.h"

namespace uovo::setting {

/// Some time in one place.
struct Stay {
    double air = 21, openSide = 8;  // °C, W/m²K
    double seconds = 0;
};

/// Crystal fractions of the events, always in this order.
struct Events {
    double lock = 0.30, firm = 0.50, set = 0.75, release = 0.85;
};

/// One place of a wall: a fresh coat on a former or on a set shell.
struct Wall {
    double coat = 0.002, shell = 0;       // m, melt thickness
    double coatTemperature = 32, shellTemperature = 21;  // °C
    double crystals = 0.05;               // of the fresh coat
    double formerCapacity = 300, formerSide = 2;  // J/m²K, W/m²K
};

/// Seconds from the moment the coat went on; NaN: not within the day.
struct Times {
    double lock = 0, firm = 0, set = 0, release = 0;
};

/// Full one-dimensional model through a list of stays, the last of which goes on for up to a day.
Times settle(const Wall& wall, const material::Coating& coating, const heat::CrystalLaw& law, const Events& events,
             const std::vector<Stay>& stays);

/// Temperature above which a chocolate never sets, °C: where the equilibrium crystal fraction falls below `events.set`.
double warmestSettingAir(const heat::CrystalLaw& law, const Events& events);

}  // namespace uovo::setting
