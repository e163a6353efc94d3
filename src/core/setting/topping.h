// When a grain strewn on a fresh upright film stays where it is: a yield criterion, not a setting one.
#pragma once
#include "core/setting/setting.h"

namespace uovo::setting {

/// Yield stress at which a grain stays on an upright wall, Pa: its weight, ρ g π d³/6, against the yield stress on the
/// half of it that sinks in, τ₀ π d²/2, so τ₀ = ρ g d/3. On a level film it lies still at once: most toppings are
/// lighter than chocolate.
/// @param grain m @param density kg/m³ of the topping
double grainHoldsAt(double grain, double density);

/// The same asked the other way: the largest grain that a yield stress holds, m.
double largestGrain(double yieldStress, double density);

/// Seconds on the fresh coat until grains stay: `staticYield` times the mean yield stress of the film (crystals counted
/// up to 0.30, where a fluid's law ends) reaches what they ask for. 0: at once. NaN: no film holds them, they are glued
/// on.
double grainHoldsAfter(double grain, double density, Cast film, const material::Coating& coating,
                       const heat::CrystalLaw& law, const Stay& place, double staticYield);

/// Mass of one close layer of grains on an area, kg: discs as dense as they lie when poured, 0.82 of the area (random
/// close packing of discs, Berryman 1983, from memory), each two thirds of its size thick on the mean.
double oneLayer(double area, double grain, double density);

}  // namespace uovo::setting
