// A triangle mesh as a film solver sees it: a cell round each corner, and how much wall leads from one to the next.
#pragma once
#include <vector>

#include "core/form/mesh.h"

namespace uovo::coat {

/// Cells round the corners of the Wall triangles. Links are stored both ways, those of cell i at link[i]..link[i+1].
struct Surface {
    std::vector<form::Vec3> at, normal;  ///< m; the unit normal points into the chocolate
    std::vector<form::Vec3> edge;        ///< unit, out of the wall along its surface at a rim; zero inside
    std::vector<double> area;            ///< m² of the former a cell (mixed Voronoi areas: they add up to the wall)
    std::vector<double> mean, gauss;  ///< curvature, positive where the chocolate is on the convex side, 1/m and 1/m²
    std::vector<size_t> link;         ///< first link of each cell, and one past the last
    std::vector<int> to;              ///< the cell at a link's other end
    std::vector<double> width;        ///< ½ (cot α + cot β) of the link, at least 0
    std::vector<int> corner;          ///< corner of the mesh of each cell
    std::vector<form::Triangle> triangles;  ///< of the wall, by cell

    size_t size() const { return at.size(); }
};

/// @param mesh Wall triangles are taken, counter-clockwise seen from outside the former
/// @param outside chocolate on the outside
Surface surfaceOf(const form::Mesh& mesh, bool outside);

}  // namespace uovo::coat
