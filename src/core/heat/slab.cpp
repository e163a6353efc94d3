#include "core/heat/slab.h"

#include <algorithm>
#include <cmath>

namespace uovo::heat {

double Slab::least() const { return *std::min_element(X.begin(), X.end()); }
double Slab::warmest() const { return *std::max_element(T.begin(), T.end()); }

void advance(Slab& s, const CrystalLaw& law, const Cooling& cooling, double dt) {
    const size_t n = s.T.size();
    const double dx = s.thickness / static_cast<double>(n);
    const double cell = s.density * s.heatCapacity * dx;
    const double k = s.conductivity / dx;
    const auto series = [&](double h) { return h > 0 ? 1 / (1 / h + dx / (2 * s.conductivity)) : 0.0; };
    const double gInner = series(cooling.inner), gOuter = series(cooling.outer);
    thread_local std::vector<double> diag, upper, rhs;
    diag.resize(n);
    upper.resize(n);
    rhs.resize(n);
    for (size_t i = 0; i < n; ++i) {
        const double X = law.advance(s.X[i], s.T[i], dt);
        double capacity = cell;
        if (i == 0) capacity += s.formerCapacity;
        diag[i] = capacity / dt;
        rhs[i] = capacity / dt * s.T[i] + s.density * s.latentHeat * dx * (X - s.X[i]) / dt;
        s.X[i] = X;
        if (i == 0) {
            diag[i] += gInner;
            rhs[i] += gInner * cooling.air;
        }
        if (i + 1 == n) {
            diag[i] += gOuter;
            rhs[i] += gOuter * cooling.air;
        }
        diag[i] += (i > 0 ? k : 0) + (i + 1 < n ? k : 0);
    }
    for (size_t i = 0; i < n; ++i) {  // Thomas, off-diagonals -k
        const double below = i > 0 ? -k : 0;
        const double pivot = diag[i] - (i > 0 ? below * upper[i - 1] : 0);
        upper[i] = i + 1 < n ? -k / pivot : 0;
        rhs[i] = (rhs[i] - (i > 0 ? below * rhs[i - 1] : 0)) / pivot;
    }
    s.T[n - 1] = rhs[n - 1];
    for (size_t i = n - 1; i-- > 0;) s.T[i] = rhs[i] - upper[i] * s.T[i + 1];
}

double quickSetting(double w, double h, double air, double density, double heatCapacity, double conductivity,
                    double latentHeat, double start, double plateau, double crystallised, double delay) {
    if (plateau <= air) return std::nan("");
    const double U = 1 / (1 / h + w / (2 * conductivity));
    return density * w / U *
               (heatCapacity * std::log((start - air) / (plateau - air)) + latentHeat * crystallised / (plateau - air)) +
           delay;
}

double potLoss(const material::Constants& physics, double mass, bool stirred) {
    const double area = physics.at("potLossArea").value * std::pow(mass / 0.3, 2.0 / 3);
    return physics.at("potLoss").value * area * (stirred ? physics.at("potStirred").value : 1);
}

double batchWindow(const material::Coating& coating, const material::Constants& physics, double mass, double bowlCapacity,
                   double start, double room, bool stirred) {
    const CrystalLaw law(coating, physics);
    const double UA = potLoss(physics, mass, stirred);
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
