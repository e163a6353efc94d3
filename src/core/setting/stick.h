// When a stick or spoon stands up by itself in a filled cup: a yield criterion, not a setting one.
#pragma once
#include "core/heat/crystal.h"

namespace uovo::setting {

/// A stick or spoon stood into chocolate. SI.
struct Stick {
    double mass = 0.002, length = 0.11, thickness = 0.004, depth = 0.025;
    double lean = 10;  ///< ° off the vertical before it is let go
};

/// Yield stress at which it stays, Pa: the moment of its weight, m g (L/2 − D) sin(lean) and at least a tenth of m g L/2 sin(lean),
/// against the bearing of a yield-stress fluid on a rod, 9 τ₀ a projected area, on half its depth either way: 9 τ₀ d D²/4.
/// @returns infinite for a stick that is not in the chocolate
double standsAt(const Stick& stick);

/// A filled cup on the table, its heat in one lump.
struct Cup {
    double diameter = 0.05, depth = 0.03;  ///< m of chocolate
    double celsius = 31.5, crystals = 0.05;
    double air = 21, transfer = 8;         ///< °C, W/m²K through the top and the wall
};

/// Seconds until the stick stands; NaN: not within two hours.
double standsAfter(const Stick& stick, const Cup& cup, const material::Coating& coating, const heat::CrystalLaw& law);

}  // namespace uovo::setting
