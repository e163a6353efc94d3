// The standard normal distribution.
#pragma once
#include <cmath>

namespace uovo {

/// Share of a standard normal that lies below x.
inline double normalBelow(double x) { return 0.5 * std::erfc(-x / std::sqrt(2.0)); }

}  // namespace uovo
