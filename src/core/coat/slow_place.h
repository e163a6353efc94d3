// Where a coat sets last: not its thickest cell but the thickest place that heat does not leave sideways.
#pragma once
#include "core/coat/surface.h"
#include "core/form/meridian.h"

namespace uovo::coat {

inline constexpr double kSideways = 0.0085;  ///< m, √(α t) of ten minutes: as far as heat evens out along a wall

/// The slowest place of a coat. Melt, m³ per m² of the former.
struct SlowPlace {
    double below = 0;  ///< what lay there before the coat
    double fresh = 0;  ///< what the coat lays there, as an area-weighted Gaussian of kSideways sees it
    size_t at = 0;     ///< cell
};

/// @param before, after volume per area of each cell before and after the coat
SlowPlace slowPlace(const form::Profile& profile, const std::vector<double>& before, const std::vector<double>& after);
SlowPlace slowPlace(const Surface& surface, const std::vector<double>& before, const std::vector<double>& after);

}  // namespace uovo::coat
