// A flat wall of chocolate that cools and crystallises: the full one-dimensional model.
#pragma once
#include <vector>

#include "core/heat/crystal.h"

namespace uovo::heat {

/// Where heat leaves a wall.
struct Cooling {
    double air = 20;        // °C
    double outer = 8;       // W/m²K on the open face
    double inner = 0;       // W/m²K through the former
};

/// State of the wall, node 0 at the former.
struct Slab {
    double thickness = 0.003, density = 1270, heatCapacity = 1650, conductivity = 0.25, latentHeat = 51800;
    double formerCapacity = 0;  ///< J/m²K lumped on the former's side
    std::vector<double> T, X;   ///< °C, crystal fraction, one value a node (cell centres)

    double least() const;   ///< smallest crystal fraction
    double warmest() const;
};

/// `rho c T_t = k T_xx + rho L X_t`; implicit in T, the crystals stepped exactly at frozen T before each step.
/// @param dt s, at most about 5 s while crystallising
void advance(Slab& slab, const CrystalLaw& law, const Cooling& cooling, double dt);

/// Minutes-to-set by hand: `t = rho w/U [c ln((T0-Ta)/(Tp-Ta)) + L X/(Tp-Ta)] + delay`, `U = 1/(1/h + w/2k)`.
/// @param w half the wall when both faces cool, else the whole, m
/// @returns s; NaN when the air is not below the setting point
double quickSetting(double w, double h, double air, double density, double heatCapacity, double conductivity,
                    double latentHeat, double start, double plateau, double crystallised, double delay);

/// Loss of a pot of chocolate to the room, W/K, growing with mass^(2/3).
double potLoss(const material::Constants& physics, double mass, bool stirred);

/// How long a pot of tempered chocolate stays usable: until the crystal fraction reaches `end`.
/// `(M c + C_b) dT/dt = -UA (T - T_room) + M L dX/dt`, UA growing with mass^(2/3).
/// @returns s, at most four hours
double batchWindow(const material::Coating& coating, const material::Constants& physics, double mass, double bowlCapacity,
                   double start, double room, bool stirred);

}  // namespace uovo::heat
