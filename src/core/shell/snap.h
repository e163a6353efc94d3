// The snap test: bars on two supports, a cup hung from their middle, water poured in until they break.
#pragma once
#include <string>
#include <tl/expected.hpp>
#include <vector>

#include "core/quantity/quantity.h"

namespace uovo::shell {

/// One bar that was broken.
struct SnapBar {
    std::string chocolate;                                 ///< id
    Measure span = 0.08, width = 0.02, thickness = 0.008;  ///< m, between the supports and of the bar
    Measure hung = 0.4;                                    ///< kg, cup and water when it broke
    Measure sag = 0;                                       ///< m, of its middle shortly before; 0: not read
    std::string extra;
    bool operator==(const SnapBar&) const = default;
};

/// What is wrong with a bar, by field.
tl::expected<void, Problem> check(const SnapBar& bar);

/// Bending stress at which it broke, 3 F L/(2 b t²), Pa.
double breaking(const SnapBar& bar);
/// Modulus from its sag, F L³/(4 b t³ δ), Pa; NaN where no sag was read.
double modulus(const SnapBar& bar);

/// Strength of a material from its bars.
struct Snapped {
    size_t bars = 0;
    double mean = 0, low = 0, high = 0;  ///< Pa, mean strength of bars of the reference size, and its 5–95 % interval
    double young = 0;                    ///< Pa; NaN: no sag was read
    double scatter = 0;                  ///< standard deviation over mean of these bars
};
/// With Weibull's m fixed the sum of σᵐ is Gamma distributed: the interval follows from χ² with 2n degrees of freedom.
/// @param m Weibull's modulus @param volume m³, effective volume of the reference bar @param bars one or more
Snapped snapped(const std::vector<SnapBar>& bars, double m, double volume);

/// χ² with 2n degrees of freedom below which lies a share p.
double chiSquare(double p, int n);

}  // namespace uovo::shell
