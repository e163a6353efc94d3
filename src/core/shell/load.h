// Loads on a shell as forces at its corners.
#pragma once
#include <functional>

#include <Eigen/Core>

#include "core/shell/system.h"

namespace uovo::shell {

/// Nothing on any corner.
Freedoms noLoad(const Model& model);
/// Acceleration on all of its mass, m/s²: (0, 0, -9.81) is its own weight.
void addBody(const Model& model, const form::Vec3& acceleration, Freedoms& load);
/// Pressure in Pa at each triangle's middle, along its normal (positive: the way the normal points).
void addPressure(const Model& model, const std::function<double(size_t triangle, const form::Vec3& middle)>& pressure, Freedoms& load);
/// A liquid of a density stands to a level inside: presses along the normals (`outward`) or against them. Only on triangles that `wet` lets pass (empty: all).
void addLiquid(const Model& model, double density, double level, bool outward, Freedoms& load, const std::vector<bool>& wet = {});
/// A force on a round pad, spread as 1 - d²/r² over the wall within r of a place; on the nearest corner when r holds none.
/// @returns the corners that carry it with their shares, 1 in all
std::vector<std::pair<int, double>> pad(const Model& model, const form::Vec3& at, double radius);
void addForce(const std::vector<std::pair<int, double>>& pad, const form::Vec3& force, Freedoms& load);
/// Force a metre on the free edges whose middles `on` lets pass.
void addLine(const Model& model, const form::Vec3& perMetre, const std::function<bool(const form::Vec3&)>& on, Freedoms& load);
/// Force and moment about the origin of all of a load.
struct Resultant {
    form::Vec3 force, moment;
};
Resultant resultant(const Model& model, const Freedoms& load);

/// What presses on the corners of a foot when a body rests on a plane that only pushes.
struct Contact {
    std::vector<double> force;   ///< N up at each candidate, 0 where it lifts off
    bool stands = true;          ///< false: it tips over
    int rounds = 0;
};
/// A foot on a horizontal plane: how its corners give way to each other, reckoned once for any loads.
class Foot {
public:
    /// @param system held by sixFreedoms only; outlives the foot @param candidates corners that may touch, 3 or more
    Foot(const System& system, std::vector<int> candidates);
    /// Forces up at some of the candidates so that all balances and nothing sinks in. @param load all forces but the plane's
    Contact rest(const Freedoms& load) const;
    const std::vector<int>& candidates() const { return candidates_; }

private:
    const System& system_;
    std::vector<int> candidates_;
    Eigen::MatrixXd gives_;  // m/N: shift up of one under a force up on another
};

}  // namespace uovo::shell
