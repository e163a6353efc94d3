// Loads on a shell as forces at its corners.
#pragma once
#include <functional>

#include <Eigen/Core>

#include "core/quantity/quantity.h"
#include "core/shell/system.h"

namespace uovo::shell {

/// Nothing on any corner.
Freedoms noLoad(const Model& model);
/// Acceleration on all of its mass, m/s²: (0, 0, -kGravity) is its own weight.
void addBody(const Model& model, const form::Vec3& acceleration, Freedoms& load);
/// Pressure in Pa at each triangle's middle, along its normal (positive: the way the normal points).
void addPressure(const Model& model, const std::function<double(size_t triangle, const form::Vec3& middle)>& pressure,
                 Freedoms& load);
/// A liquid of a density stands to a level inside: presses along the normals (`outward`) or against them. Only on
/// triangles that `wet` lets pass (empty: all).
void addLiquid(const Model& model, double density, double level, bool outward, Freedoms& load,
               const std::vector<bool>& wet = {});
/// Loose pieces (sweets, nuts) heaped to a level in a vessel, after Janssen, "Versuche über Getreidedruck in
/// Silozellen", Z. VDI 39 (1895) 1045: at a depth z they press aside with ρ g D/(4 µ) (1 - exp(-4 µ K z/D)) and drag at
/// the wall with µ times that; floors get 1/K of it downwards.
struct Grains {
    double density = 650;                 ///< kg/m³, with the air between
    double level = 0;                     ///< m
    double across = 0.1;                  ///< D, m: four times the opening's area over its edge
    double friction = 0.3;                ///< µ on the wall
    double aside = 0.5;                   ///< K, of the pressure downwards
    double pressure(double depth) const;  ///< aside, Pa
};
/// Presses outwards, the way the normals point, on triangles below the level that `wet` lets pass (empty: all).
void addGrains(const Model& model, const Grains& grains, Freedoms& load, const std::vector<bool>& wet = {});
/// Area that each corner stands for: a third of the triangles round it, m².
std::vector<double> cornerAreas(const Model& model);
/// Corners that share a force, with their shares, 1 in all.
using Pad = std::vector<std::pair<int, double>>;
/// A force on a round pad, spread as 1 - d²/r² over the wall within r of a place; on the nearest corner when r holds
/// none.
Pad pad(const Model& model, const form::Vec3& at, double radius);
void addForce(const Pad& pad, const form::Vec3& force, Freedoms& load);
/// Force a metre on the free edges whose middles `on` lets pass.
void addLine(const Model& model, const form::Vec3& perMetre, const std::function<bool(const form::Vec3&)>& on,
             Freedoms& load);
/// Force and moment about the origin of all of a load.
struct Resultant {
    form::Vec3 force, moment;
};
Resultant resultant(const Model& model, const Freedoms& load);

/// What presses on the pads of a foot when a body rests on a plane that only pushes.
struct Contact {
    std::vector<double> force;  ///< N up at each candidate, 0 where it lifts off
    bool stands = true;         ///< false: it tips over
    int rounds = 0;
};
/// A foot on a horizontal plane: how its corners give way to each other, reckoned once for any loads.
class Foot {
public:
    /// @param system held by sixFreedoms only; outlives the foot @param candidates pads that may touch, 3 or more
    Foot(const System& system, std::vector<Pad> candidates);
    /// Forces up at some of the candidates so that all balances and nothing sinks in. @param load all forces but the
    /// plane's
    Contact rest(const Freedoms& load) const;
    const std::vector<Pad>& candidates() const { return candidates_; }

private:
    const System& system_;
    std::vector<Pad> candidates_;
    Eigen::MatrixXd gives_;  // m/N: shift up of one under a force up on another
};

}  // namespace uovo::shell
