// Stress of a wall that gets colder than it set: held fast by its former, or free to shrink.
#pragma once

namespace uovo::setting {

/// Thermal stress of a wall held fast in its plane, `E α ΔT/(1 − ν)`, Pa. @param kelvin below its stress-free
/// temperature
double heldStress(double modulus, double expansion, double poisson, double kelvin);

/// The part of it that a free wall feels at its surface when air of that temperature meets it at once,
/// `1/(1.5 + 3.25/Bi − 0.5 exp(−16/Bi))`. @param biot h w/k, w half of a wall cooled on both sides
double freeShare(double biot);

}  // namespace uovo::setting
