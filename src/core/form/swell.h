// A body from its outline seen from above, its height and the water it displaces.
#pragma once
#include <optional>
#include <tl/expected.hpp>

#include "core/form/outline.h"
#include "core/quantity/quantity.h"

namespace uovo::form {

struct SwellWish {
    double height = 0.03;          ///< m
    std::optional<double> volume;  ///< m³, by the water it displaces; none: as an ellipsoid is round
    bool flatBelow = true;         ///< it lies on a flat face; else it is as round below as above
};

struct Swelled {
    Mesh mesh;                   ///< closed, its lowest point on z = 0, its outline about the z axis as it was given
    double fullness = 2;         ///< exponent p of its section; 1 a roof, 2 an ellipse, many a slab
    double least = 0, most = 0;  ///< m³ that such an outline and height can have
};

/// The body whose height at d m from the outline is h (1 − (1 − d/R)^p)^(1/p), R being the largest d: narrow limbs come
/// out lower, p is found from the volume (docs/models.md, "A thing in the hand").
/// @param outline m, simple; holes are not known of a thing @param cells along its longest side
/// @returns it, or in a sentence why not: an outline that crosses itself, a volume that does not fit
tl::expected<Swelled, Problem> swelled(const Loop& outline, const SwellWish& wish, int cells = 96);

}  // namespace uovo::form
