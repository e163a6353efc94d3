// When a stick or spoon stands up by itself in a filled cup: a yield criterion, not a setting one.
#pragma once
#include "core/setting/setting.h"

namespace uovo::setting {

/// A stick or spoon stood into chocolate. SI.
struct Stick {
    double mass = 0.002, length = 0.11, thickness = 0.004, depth = 0.025;
    double lean = 10;  ///< ° off the vertical before it is let go
};

/// Yield stress at which it stays, Pa: the moment of its weight, m g (L/2 − D) sin(lean) and at least a tenth of m g
/// L/2 sin(lean), against the bearing of a yield-stress fluid on a rod, 9 τ₀ a projected area, on half its depth either
/// way: 9 τ₀ d D²/4.
/// @returns infinite for a stick that is not in the chocolate
double standsAt(const Stick& stick);

/// A filled cup of that diameter and depth, cooled from all its faces.
Chunk filledCup(double diameter, double depth, double celsius, double crystals);

/// Seconds until the fresh chocolate of a body yields on the mean at a stress, Pa. Crystals count up to 0.30, where a
/// fluid's law ends. NaN: not within two hours.
double yieldsAfter(double stress, Cast body, const material::Coating& coating, const heat::CrystalLaw& law,
                   const Stay& place);

/// Seconds until the stick stands: `staticYield` times the mean of the yield stress along its depth (crystals counted
/// up to 0.30, where a fluid's law ends) reaches what its weight asks for. NaN: not within two hours.
double standsAfter(const Stick& stick, Cast cup, const material::Coating& coating, const heat::CrystalLaw& law,
                   const Stay& place, double staticYield);

}  // namespace uovo::setting
