// A figure that cannot be meant: what was probably typed wrongly.
#pragma once
#include <optional>

namespace uovo::learn {

/// What turns a figure that was typed into the one that was meant.
enum class Slip { TenTooMuch, TenTooLittle, Ounces, Both, Half, Thousand };

inline constexpr double kAsks = 3;  ///< sds beyond which a figure is asked back

struct Doubt {
    double z = 0;              ///< sds that it is off, below 0: too small
    std::optional<Slip> slip;  ///< the one after which it fits best; empty: none fits
    double meant = 0;          ///< the figure then
};

/// Asks back about a figure that is more than kAsks sds off: a digit or a comma too many, ounces for grams, two weighed
/// and one told or the other way, kilograms for grams.
/// @param typed, expected in one unit @param sd of the logarithm of what is expected, the scatter of measuring included
/// @param counts whether pieces are weighed together, and may have been miscounted
std::optional<Doubt> askBack(double typed, double expected, double sd, bool counts = true);

}  // namespace uovo::learn
