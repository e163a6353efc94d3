// A surface cut along the zero line of a field, so that what is covered has a clean edge.
#pragma once
#include <functional>

#include "core/form/mesh.h"

namespace uovo::form {

/// Wall triangles are cut along field = 0; where the field is negative they become Lid.
/// Corners next to the line are drawn onto it, so that no needles arise.
/// @param field at a point of the surface, any unit, continuous
Mesh cutByField(Mesh mesh, const std::function<double(const Vec3&)>& field);

}  // namespace uovo::form
