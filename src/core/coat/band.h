// Many coat jobs at once, and the band that the ranges of the materials leave.
#pragma once
#include "core/coat/coats.h"

namespace uovo::coat {

/// Runs jobs on some threads; results in the order of the jobs, the same for any number of threads.
std::vector<tl::expected<CoatsResult, Problem>> coatAll(const std::vector<CoatJob>& jobs, std::stop_token stop = {},
                                                        size_t threads = 2);

/// What is uncertain about a coat, as 5–95 % ranges.
struct Uncertainty {
    double yieldRatio = 2;      ///< high/low of the yield stress
    double viscosityRatio = 2;  ///< high/low of the viscosity
    double temperature = 1;     ///< ± K
    double delay = 20;          ///< ± s
};

/// Multiples of the likely value at 5 % and 95 %.
struct Ratio {
    double low = 1, high = 1;
};
/// Shares of the mean wall's scatter that go back to each cause, 0..1; they need not add up to 1.
struct Causes {
    double yield = 0, viscosity = 0, temperature = 0, delay = 0;
};
struct Band {
    Ratio mass, mean, thinnest, rim;
    Causes causes;
};

/// 16 stratified draws (fixed seed) of yield stress, viscosity, bath temperature and delay on a coarse profile; each
/// figure as a multiple of the coarse likely run.
/// @param coarse a job on a profile of about 40 cells
/// @returns the band, or why the likely run fails
tl::expected<Band, Problem> band(const CoatJob& coarse, const Uncertainty& uncertainty, std::stop_token stop = {});

/// Area mean, thinnest and rim of a wall; the last two cells at the rim and half-empty ends are left out of "thinnest".
inline constexpr double kRimAt = 0.004;  ///< m from the rim at which its wall is read

struct WallFigures {
    double mean = 0, thinnest = 0, thickest = 0, rim = 0;
    size_t thinnestAt = 0, thickestAt = 0;  ///< cell
};
WallFigures figures(const std::vector<double>& wall, const form::Profile& profile);

}  // namespace uovo::coat
