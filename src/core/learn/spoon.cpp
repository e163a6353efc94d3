#include "core/learn/spoon.h"

#include <cmath>
#include <numbers>

namespace uovo::learn {
namespace {
constexpr double kGravity = 9.80665;  // m/s²
double factor(double volume, double density) {
    return 225 * density * kGravity * volume * volume / (128 * std::numbers::pi * std::numbers::pi);
}
}  // namespace

double yieldOfSpoon(double across, double volume, double density) {
    return factor(volume, density) / std::pow(across / (2 * kSpread), 5);
}

double spoonAcross(double yield, double volume, double density) {
    return 2 * kSpread * std::pow(factor(volume, density) / yield, 0.2);
}

}  // namespace uovo::learn
