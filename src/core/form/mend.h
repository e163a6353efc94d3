// Needles and caps out of a mesh, without leaving its surface.
#pragma once
#include "core/form/mesh.h"

namespace uovo::form {

/// Triangles with an angle under `least` are removed where that bends no crease, opens no edge and turns no neighbour
/// by more than `turn`: short edges are drawn together into one of their ends, long ones flipped. Closed meshes stay
/// closed.
/// @param least rad @param turn rad
/// @returns corners and triangles that are left; the mesh itself when there was nothing to do
Mesh mend(Mesh mesh, double least = 0.21, double turn = 0.45);

}  // namespace uovo::form
