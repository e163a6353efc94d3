#include "core/setting/topping.h"

#include <algorithm>
#include <cmath>

#include "core/quantity/quantity.h"
#include "core/setting/stick.h"

namespace uovo::setting {

double grainHoldsAt(double grain, double density) { return density * kGravity * grain / 3; }

double grainHoldsAfter(double grain, double density, Cast film, const material::Coating& c, const heat::CrystalLaw& law,
                       const Stay& place, double staticYield) {
    const double needed = grainHoldsAt(grain, density);
    return yieldsAfter(needed / staticYield, std::move(film), c, law, place);
}

double largestGrain(double yieldStress, double density) { return 3 * yieldStress / (density * kGravity); }

double oneLayer(double area, double grain, double density) { return 0.82 * area * density * 2 / 3 * grain; }

}  // namespace uovo::setting
