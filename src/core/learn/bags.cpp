#include "core/learn/bags.h"

#include <cmath>

namespace uovo::learn {

Known newBag(const std::vector<Known>& older, double all, double one) {
    double precision = 1 / (all * all), sum = 0;
    for (const auto& b : older) {
        const double p = 1 / (one * one + b.sd * b.sd);
        precision += p;
        sum += p * b.mean;
    }
    return {sum / precision, std::sqrt(1 / precision + one * one)};
}

}  // namespace uovo::learn
