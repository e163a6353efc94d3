// One flat shell triangle: DKT plate bending and an optimal membrane with drilling freedoms.
#pragma once
#include <Eigen/Core>
#include <array>

#include "core/form/mesh.h"

namespace uovo::shell {

using Matrix3 = Eigen::Matrix3d;
using Matrix18 = Eigen::Matrix<double, 18, 18>;
using Vector18 = Eigen::Matrix<double, 18, 1>;

/// A triangle in its own plane. Freedoms of a corner: u, v, w, rotations about x, y, z; corners one after the other.
struct Facet {
    Matrix3 axes;                ///< rows: local x along the first edge, y, z the normal
    std::array<double, 3> x, y;  ///< m
    std::array<double, 3> t;     ///< m, thickness at the corners
    double area = 0;             ///< m²

    /// @param a, b, c corners, counter-clockwise seen from outside @param thickness m at each
    static Facet of(const form::Vec3& a, const form::Vec3& b, const form::Vec3& c,
                    const std::array<double, 3>& thickness);
    double meanThickness() const { return (t[0] + t[1] + t[2]) / 3; }
};

/// Stiffness in global axes, N/m, N, Nm. Membrane: Felippa, "A study of optimal membrane triangles with drilling
/// freedoms", Comput. Methods Appl. Mech. Engrg. 192 (2003) 2125, with the higher-order factor beta0 = 0.05 instead of
/// (1-4ν²)/2, which locks on coarse doubly curved meshes. Bending: Batoz, Bathe, Ho, "A study of three-node triangular
/// plate bending elements", IJNME 15 (1980) 1771.
Matrix18 stiffness(const Facet& facet, double young, double poisson);

/// Membrane strains (εx, εy, γxy) and curvatures (κx, κy, 2κxy, 1/m) in local axes at a place of the facet.
struct Strain {
    Eigen::Vector3d membrane, curvature;
};
/// @param u global freedoms of the three corners @param zeta area coordinates of the place
Strain strainAt(const Facet& facet, double poisson, const Vector18& u, const std::array<double, 3>& zeta);
/// The membrane strain that is constant over the facet, and the curvature at its middle: what converges best.
Strain strainMean(const Facet& facet, const Vector18& u);

/// Plane stress, Pa: (σx, σy, τxy) from strains.
Eigen::Vector3d planeStress(const Eigen::Vector3d& strain, double young, double poisson);

/// Geometric stiffness of a membrane force (Nx, Ny, Nxy in N/m, local): the same 3×3 matrix for u, v and w, in any
/// axes.
Matrix3 geometricStiffness(const Facet& facet, const Eigen::Vector3d& force);

}  // namespace uovo::shell
