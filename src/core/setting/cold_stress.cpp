#include "core/setting/cold_stress.h"

#include <cmath>

namespace uovo::setting {

double heldStress(double modulus, double expansion, double poisson, double kelvin) {
    return modulus * expansion * kelvin / (1 - poisson);
}

double freeShare(double biot) { return biot > 0 ? 1 / (1.5 + 3.25 / biot - 0.5 * std::exp(-16 / biot)) : 0; }

}  // namespace uovo::setting
