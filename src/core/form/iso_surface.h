// Where a function of space is zero, as a closed mesh.
#pragma once
#include <functional>

#include "core/form/mesh.h"

namespace uovo::form {

/// The surface round all places where `field` is below 0, by tetrahedra in cubes of a grid: closed and without edges
/// of three faces, whatever the function does. Outside of the box it is taken as above 0.
/// @param cells along the longest side of the box
Mesh isoSurface(const std::function<double(const Vec3&)>& field, const Box& box, int cells);

/// The same with one corner in each cell that it passes through (surface nets, Gibson 1998): a sixth of the triangles,
/// evenly shaped, edges of the body rounded over a cell. Where cells would meet in an edge or corner only, the grid is
/// filled first, so that it is closed and no edge has more than two faces.
Mesh netSurface(const std::function<double(const Vec3&)>& field, const Box& box, int cells);

/// A thick line between two points, thicker or thinner towards its end: m from its surface, below 0 inside.
double fromRod(const Vec3& at, const Vec3& a, const Vec3& b, double radiusA, double radiusB);
/// The union of two distances, rounded over `r` m where they meet.
double blended(double a, double b, double r);

/// A seed head on a twig with pods on shoots to three sides: a figure that no mold lets go as a whole. About as high as
/// `height`, m, standing along z.
Mesh seedHead(double height, int cells = 90);

}  // namespace uovo::form
