// Own silicone molds, box and pour: an original stands on a sealed flat base, a box round it, silicone over it.
#pragma once
#include <string>

#include "core/form/mesh.h"

namespace uovo::mold {

/// Two-part silicone and how it is mixed.
struct Silicone {
    double densityA = 1100, densityB = 1040;  ///< kg/m³
    double partsA = 1, partsB = 1;            ///< mixing ratio
    bool byMass = true;                       ///< the ratio is of masses; else of volumes: they are not the same
    double spare = 0.10;                      ///< share mixed in excess, for cup and stick
    double cure = 6 * 3600;                   ///< s undisturbed
};

struct BoxPour {
    form::Vec3 inside;                ///< m, inner size of the box
    double silicone = 0;              ///< m³ poured, the spare included
    double massA = 0, massB = 0;      ///< kg
    double volumeA = 0, volumeB = 0;  ///< m³
    double original = 0;              ///< m³ of the original: chocolate that fills the mold
};

/// Box of the original's size and `wall` more on each side and above it; `V = V_box − V_original`.
/// @param size bounding box of the original, m @param volume of the original, m³ @param wall m, usually 8–10 mm
BoxPour boxPour(const form::Vec3& size, double volume, double wall, const Silicone& silicone);

/// Splits a volume of mixed silicone into its two parts.
void split(double volume, const Silicone& silicone, BoxPour& out);

}  // namespace uovo::mold
