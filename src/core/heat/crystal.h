// The one law of melting and crystallising used by film, tempering and setting.
#pragma once
#include "core/material/material.h"

namespace uovo::heat {

/// Share of the fat that is melted in equilibrium at `celsius`: dark's curve, shifted for other chocolates
/// (points 20:0, 25:.08, 27.5:.18, 30:.41, 31:.55, 32:.72, 33:.87, 34:.95, 35:.99, 36:1; from memory).
double meltedShare(double celsius, double shift);

/// Crystal fraction X of the fat, `dX/dt = r X (1 - X/X_eq)²` with `X_eq = 1 - meltedShare` and
/// `r = rate · min(most, (top + shift - T)/span)`; above X_eq it melts back with `remelt`. Without temper another
/// crystal form grows: its curve lies `formIv` K lower and it slows by `exp(-(T - slowFrom)/slow)` with warmth.
/// docs/models.md, "Crystals". Plain numbers copied from the constants so that the solver's inner loop is tight.
struct CrystalLaw {
    double shift = 0, rate = 0.011, top = 34, span = 14, most = 1.25, remelt = 0.02, floor = 0.005;
    double formIv = -5, slowFrom = 15, slow = 2.2;  ///< K, °C, K
    double slows = 0;                               ///< 0 in temper to 1 without

    CrystalLaw() = default;
    CrystalLaw(const material::Coating& coating, const material::Constants& physics);
    /// The law of the same chocolate when only a share of its temper is left, 1 to 0 (material::temperKept).
    CrystalLaw keeping(double share) const;

    double growth(double celsius) const;  ///< r, 1/s
    double advance(double X, double celsius,
                   double dt) const;  ///< X after dt at a constant temperature, one factor (1 - X/X_eq) frozen
};

}  // namespace uovo::heat
