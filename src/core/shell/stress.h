// Stresses of a shell from its shifts: smooth where the wall is smooth, each face of a crease for itself.
#pragma once
#include <span>

#include "core/shell/system.h"

namespace uovo::shell {

/// A plane stress turned into space: xx, yy, zz, xy, yz, zx, Pa.
using Tensor = Eigen::Matrix<double, 6, 1>;

/// Who shares a smooth face round each corner; depends on the triangles alone.
struct Faces {
    std::vector<std::array<int, 3>> place;  ///< of each triangle's corners: which averaged value is theirs
    std::vector<bool> edge;                 ///< of each value: a free edge or a crease runs through it
    std::vector<std::array<int, 3>>
        beside;  ///< of each triangle: the one across the edge from corner i to i + 1; -1: none
    size_t count = 0;
    // Recovery: value i is the sum of share[k] times the mean of triangle[k], k from first[i] to first[i + 1].
    std::vector<size_t> first;
    std::vector<int> triangle;
    std::vector<double> share;
    bool fitted(size_t value) const {
        return first[value + 1] > first[value];
    }  ///< else the mean of its triangles' own corner values
};
/// @param crease rad: faces that meet at more are apart
Faces faces(const Model& model, double crease = 0.6);

/// Stress through the wall: membrane ± bending; the bending part is that of the face the normals point to.
struct Stress {
    std::vector<Tensor> membrane, bending;              ///< of each triangle, at its middle
    std::vector<Tensor> cornerMembrane, cornerBending;  ///< of each value of `Faces`
};
/// At each corner the value of a quadratic fitted to the means of the triangles round it within its smooth face; where
/// they are too few the mean of their own values at the corner.
Stress stresses(const Model& model, const Faces& faces, const Freedoms& shifts);

/// Greatest and least stress in the plane of a triangle, Pa.
std::array<double, 2> principal(const Facet& facet, const Tensor& stress);

/// Where a stress is greatest.
struct Peak {
    double stress = 0;  ///< Pa, tension
    size_t triangle = 0;
    int corner = 0;
    bool outer = true;  ///< on the face that the normals point to
    form::Vec3 at;
};
/// Greatest tension at any corner, over the triangles that `where` lets pass (empty: all).
Peak greatest(const Model& model, const Faces& faces, const Stress& stress, const std::vector<bool>& where = {});

}  // namespace uovo::shell
