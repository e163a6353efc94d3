// The spoon test: a spoonful spreads on a warm level plate until its yield stress holds it.
#pragma once

namespace uovo::learn {

inline constexpr double kSpread =
    0.96;  ///< of its last width that a spoonful reaches in a minute: 0.92 to 0.985 for 5–20 Pa

/// τ₀ = 225 ρ g V²/(128 π² R⁵), R = across/(2 · kSpread): a thin heap held by its yield stress (Roussel and Coussot
/// 2005, "Fifty-cent rheometer", spread).
/// @param across m, after a minute @param volume m³ @param density kg/m³ @returns Pa
double yieldOfSpoon(double across, double volume, double density);
/// The inverse: how wide it lies after a minute, m.
double spoonAcross(double yield, double volume, double density);

}  // namespace uovo::learn
