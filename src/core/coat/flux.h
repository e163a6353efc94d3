// Flow of a thin film down a wall: flux per width for the three rheologies a melt may have.
#pragma once
#include <algorithm>
#include <cmath>

namespace uovo::coat {

// A film of thickness h driven by the pressure gradient G (Pa/m) has the wall shear stress tau_w = G h. With x =
// tau0/tau_w:
//   Newton   q = G h³/3eta
//   Bingham  q = (G h³/3eta) (1-x)² (1 + x/2)
//   Casson   q = (G h³/3eta) (1-r)³ (1 + 0.6 r + 0.3 r² + 0.1 r³),  r = √x
// The factored forms neither cancel nor turn negative. For any rheology dq/dh = h·gammadot(G h).

inline double newtonFlux(double G, double h, double eta) { return G * h * h * h / (3 * eta); }

inline double binghamFlux(double G, double h, double tau0, double eta) {
    const double wall = G * h;
    if (wall <= tau0) return 0;
    const double x = tau0 / wall, y = 1 - x;
    return newtonFlux(G, h, eta) * y * y * (1 + 0.5 * x);
}

inline double cassonFlux(double G, double h, double tau0, double eta) {
    const double wall = G * h;
    if (wall <= tau0 || wall <= 0) return 0;
    const double r = std::sqrt(tau0 / wall), y = 1 - r;
    return newtonFlux(G, h, eta) * y * y * y * (1 + r * (0.6 + r * (0.3 + 0.1 * r)));
}

/// Casson shear rate in 1/s at the shear stress `tau`: (√tau - √tau0)²/eta.
inline double cassonRate(double tau, double tau0, double eta) {
    if (tau <= tau0) return 0;
    const double d = std::sqrt(tau) - std::sqrt(tau0);
    return d * d / eta;
}

/// Thickness a wall takes along when it leaves a bath: the h with `U = h gammadot(G h)`, at most `most`.
/// @param U speed of the contact line along the wall, m/s
/// @param G rho g sin(slope), Pa/m
double dipThickness(double U, double G, double tau0, double eta, double most);

/// Thickness in m of a film at rest a distance `d` uphill of where it is `below` thick: at the yield limit ρ g h dS/ds
/// = τ₀ of its surface S over a wall of slope α, h/(H − h) dh = tan α ds with H = τ₀/(ρ g sin α), solved by F(h) = −h −
/// H ln(1 − h/H).
inline double filmAbove(double below, double H, double tangent, double d) {
    const double from = std::min(below / H, 0.999), target = -from - std::log1p(-from) + tangent * d / H;
    if (target > 12) return H;
    double x = std::sqrt(-std::expm1(-2 * target));
    for (int k = 0; k < 4; ++k)
        x = std::clamp(x - (-x - std::log1p(-x) - target) * (1 - x) / std::max(1e-9, x), 1e-6, 1 - 1e-7);
    return x * H;
}

}  // namespace uovo::coat
