// Sides of a plate that are cut at an angle, so that panels close a corner.
#pragma once
#include <array>

#include "core/form/part.h"

namespace uovo::form {

/// Degrees from square of the sides that look left, right, up and down in the outline; above 0 the upper face is
/// smaller. Holes and sides that look elsewhere stay square.
struct Bevel {
    double left = 0, right = 0, top = 0, bottom = 0;
    bool any() const { return left != 0 || right != 0 || top != 0 || bottom != 0; }
};

/// Of a sheet part.
Bevel bevelOf(const Part& part);

/// The outline so far over the lower face: each bevelled side moved in by height · tan(angle), its neighbours longer or
/// shorter; as many corners as before. @param loop counter-clockwise @returns it, fewer than three corners where
/// nothing is left
Loop bevelled(const Loop& loop, const Bevel& bevel, double height);

/// The plate with its upper face as bevelled: what lies between follows by mean value coordinates (Floater 2003).
/// @param plate of that outline, from z = 0 up to `thickness`
Mesh bevelled(Mesh plate, const Loop& loop, const Bevel& bevel, double thickness);

}  // namespace uovo::form
