// A body of chocolate that cools and crystallises, in one dimension: a flat wall, or a chunk told by its middle and its
// faces.
#pragma once
#include <vector>

#include "core/heat/crystal.h"

namespace uovo::heat {

/// Something beside the chocolate that takes up heat: a former, a biscuit, a cold filling, a tray.
struct Store {
    double capacity = 0;  ///< J/m²K of the face it lies at; 0: there is none
    double contact = 0;   ///< m²K/W between chocolate and its far side (thick silicone)
    double T = 21;        ///< °C
};

/// What a former is to the chocolate on it.
struct Former {
    double capacity = 500;  ///< J/m²K; 0: none, nothing leaves there
    double contact = 0;     ///< m²K/W through it (thick silicone)
    double back = -1;       ///< W/m²K from its far side; below 0: the air's own
    /// W/m²K from the chocolate through it to air that takes `transfer` W/m²K.
    double through(double transfer) const {
        const double h = back >= 0 ? back : transfer;
        return h > 0 ? 1 / (1 / h + contact) : 0;
    }
};

/// Where heat leaves a body.
struct Cooling {
    double air = 20;    ///< °C
    double outer = 11;  ///< W/m²K on the outer face, or on what lies at it
    double inner = 0;   ///< W/m²K behind the inner face, through what lies there
};

/// Nodes from the inner face (a former, or the middle of a chunk) outwards. The area a distance ξ out is ∝ ξ^spread:
/// 0 for a wall; a chunk of half its smallest dimension a, volume V and faces A has a/(V/A) − 1, so that its volume is
/// right.
struct Body {
    std::vector<double> width;  ///< m a node
    double spread = 0;
    double density = 1270, heatCapacity = 1650, conductivity = 0.25, latentHeat = 51800;
    Store inner, outer;
    std::vector<double> T, X;  ///< °C, crystal fraction of each node

    double thickness() const;
    /// Volume of node i per outer face, m.
    double volume(size_t i) const;
};

/// `ρ c T_t = div(k grad T) + ρ L X_t`, implicit in T; the crystals are stepped exactly at frozen T before.
/// @param dt s, at most about 5 s while crystallising
void advance(Body& body, const CrystalLaw& law, const Cooling& cooling, double dt);

}  // namespace uovo::heat
