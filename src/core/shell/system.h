// A shell's equations: assembled from its triangles, factored once, solved for any loads.
#pragma once
#include <memory>
#include <stop_token>
#include <tl/expected.hpp>

#include "core/quantity/quantity.h"
#include "core/shell/element.h"

namespace uovo::shell {

struct Material {
    double young = 1e8;  ///< Pa
    double poisson = 0.33;
    double density = 1300;  ///< kg/m³
};

/// Mid-surface of one or more parts.
struct Model {
    std::vector<form::Vec3> points;
    std::vector<form::Triangle> triangles;
    std::vector<double> thickness;   ///< m, at each point
    std::vector<double> stiff;       ///< of each triangle: multiple of the material's modulus; empty: 1
    std::vector<int> part;           ///< of each triangle; empty: all are one part
    std::vector<std::string> names;  ///< of the parts, for sentences
    Material material;

    Facet facet(size_t triangle) const;
};

/// A corner whose freedoms do not move: bits 0–2 shifts along x, y, z, bits 3–5 rotations about them.
struct Support {
    int point = 0;
    unsigned fixed = 63;
};

/// A corner that is held to a patch of the wall as if by a rigid arm from its middle: joints and T-junctions. The patch
/// moves by the mean of its corners, and may bend: it only takes the force, spread by the shares.
struct Tie {
    int point = 0;
    std::vector<std::pair<int, double>> to;  ///< corners of the patch with their shares, 1 in all
};

/// A line of soft springs, N/m, along a direction: contact without friction, or the hold of fingers.
struct Spring {
    int point = 0;
    form::Vec3 along;
    double stiffness = 0;
};

using Freedoms = std::vector<double>;  ///< six a point: shifts m, rotations rad; or forces N, moments Nm

/// Kept from one factorisation to the next of the same triangles: order of the points and structure of the factor.
struct Structure;

/// Times of the steps, s.
struct Times {
    double order = 0, assemble = 0, factor = 0;
};

class System {
public:
    /// Assembles and factors.
    /// @param structure that of an earlier System of the same triangles and ties, or null
    /// @returns the system, or a sentence when something is not held, a wall has no thickness or a triangle no area
    static tl::expected<System, Problem> build(Model model, std::vector<Support> supports, std::vector<Tie> ties = {},
                                               std::vector<Spring> springs = {},
                                               std::shared_ptr<const Structure> structure = {},
                                               std::stop_token stop = {});
    ~System();
    System(System&&) noexcept;
    System& operator=(System&&) noexcept;

    /// Shifts and rotations under each load, all solved together.
    std::vector<Freedoms> solve(const std::vector<Freedoms>& loads) const;
    /// Forces that the supports give back: K u - f at the fixed freedoms, 0 elsewhere.
    Freedoms reactions(const Freedoms& shifts, const Freedoms& load) const;
    /// K u, supports left out of account: ½ u·Ku is the energy in the shell.
    Freedoms internal(const Freedoms& shifts) const;

    const Model& model() const;
    const std::vector<Support>& supports() const;
    std::shared_ptr<const Structure> structure() const;
    const Times& times() const;

private:
    struct Inside;
    explicit System(std::unique_ptr<Inside> inside);
    std::unique_ptr<Inside> in_;
};

/// Supports that take away the six rigid motions of each free body and nothing else: its loads must balance by
/// themselves.
/// @param ties bodies that are tied count as one
std::vector<Support> sixFreedoms(const Model& model, const std::vector<Tie>& ties = {});

}  // namespace uovo::shell
