// Where air stays when a mold is filled: tops of the cavity that no path of rising air leaves.
#pragma once
#include "core/form/mesh.h"

namespace uovo::mold {

struct AirTrap {
    form::Vec3 at;     ///< m, the top
    double depth = 0;  ///< m below it to where air would leave for a higher top, or for the opening
    double area = 0;   ///< m² of surface above that level
};

/// Local tops of a closed surface whose inside is filled from below, the highest left out where it is the opening.
/// @param up unit, away from the ground while it is poured
/// @param opening levels within this of the highest are open: the fill hole, or the flat base of a one-part mold, m
/// @param least m: shallower ones are roughness of the mesh
std::vector<AirTrap> airTraps(const form::Mesh& mesh, const form::Vec3& up, double opening, double least = 3e-4);

}  // namespace uovo::mold
