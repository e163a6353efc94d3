#include "core/heat/pot.h"

#include <cmath>

namespace uovo::heat {

double potLoss(const material::Constants& physics, double mass, bool stirred) {
    const double area = physics.at("potLossArea").value * std::pow(mass / 0.3, 2.0 / 3);
    return physics.at("potLoss").value * area * (stirred ? physics.at("potStirred").value : 1);
}

double batchWindow(const material::Coating& coating, const material::Constants& physics, double mass,
                   double bowlCapacity, double start, double room) {
    const CrystalLaw law(coating, physics);
    const double UA = potLoss(physics, mass, true);  // hands stir it
    const double capacity = mass * coating.heatCapacity + bowlCapacity;
    const double end = physics.at("windowFraction").value;
    double T = start, X = coating.tempered ? physics.at("windowStart").value : coating.crystalsAtStart, t = 0;
    constexpr double dt = 2, most = 4 * 3600;
    while (t < most && X < end) {
        const double next = law.advance(X, T, dt);
        T += dt * (-UA * (T - room)) / capacity + mass * coating.latentHeat * (next - X) / capacity;
        X = next;
        t += dt;
    }
    return t;
}

}  // namespace uovo::heat
