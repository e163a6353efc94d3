// Will it crack? Weibull's weakest link on stresses averaged over a wall's thickness.
#pragma once
#include "core/shell/stress.h"

namespace uovo::shell {

/// A brittle, scattered material as three-point bars measure it.
struct Strength {
    double mean = 1e6;                                               ///< Pa, mean strength of the bars
    double modulus = 8;                                              ///< Weibull's m
    double barLength = 0.08, barWidth = 0.02, barThickness = 0.008;  ///< m, span, width and thickness of the bars

    /// Effective volume of a bar in three-point bending, m³: L b t / [2 (m + 1)²].
    double barVolume() const { return barLength * barWidth * barThickness / (2 * (modulus + 1) * (modulus + 1)); }
};

/// What a load does.
struct Verdict {
    double equivalent = 0;  ///< Pa: the even stress of a bar that is as likely to crack
    double cracks = 0;      ///< probability
    double margin = 0;      ///< the load times this cracks one in twenty
    Peak weakest;           ///< of the averaged stress
};

/// Averages stresses over a radius of the wall's thickness, weight 1 - d²/t², and integrates the tension through the
/// wall.
/// @param weak of each triangle: multiple of the strength (joints, seams); empty: 1
/// @param where triangles that count (empty: all)
Verdict verdict(const Model& model, const Faces& faces, const Stress& stress, const Strength& strength,
                const std::vector<double>& weak = {}, const std::vector<bool>& where = {});

/// The same averaged over a range of strength or load: the stress times exp(z spread), z normal, by seven points.
double cracksOnAverage(double equivalent, const Strength& strength, double spread);

/// Probability of an even stress over the effective volume of a bar, and the stress that cracks with a probability.
double cracksAt(double equivalent, const Strength& strength);
double stressThatCracks(double probability, const Strength& strength);

}  // namespace uovo::shell
