#include "core/why/blame.h"

#include <algorithm>
#include <cmath>
#include <numeric>

namespace uovo::why {
namespace {

double entropy(double p) {
    if (p <= 0 || p >= 1) return 0;
    return -p * std::log2(p) - (1 - p) * std::log2(1 - p);
}

}  // namespace

double present(std::optional<double> computed, double usual) {
    return computed ? kComputed * std::clamp(*computed, 0.0, 1.0) + (1 - kComputed) * usual : usual;
}

double rate(double present, double makes) { return -std::log1p(-present * makes); }

double chanceOf(const std::vector<double>& rates) {
    return -std::expm1(-std::accumulate(rates.begin(), rates.end(), kElse));
}

std::vector<double> blame(const std::vector<double>& rates, const std::vector<material::Cause>& causes,
                          const std::vector<Answered>& answered) {
    std::vector<double> out(rates);
    out.push_back(kElse);
    for (size_t k = 0; k < out.size(); ++k)
        for (const auto& a : answered) {
            const auto& check = causes[a.cause].check;
            const double yes = k == a.cause ? check.ifSo : check.ifNot;
            out[k] *= a.yes ? yes : 1 - yes;
        }
    const double all = std::accumulate(out.begin(), out.end(), 0.0);
    for (auto& p : out) p /= all;
    return out;
}

double bits(double p, const material::Check& check) {
    return entropy(p * check.ifSo + (1 - p) * check.ifNot) - p * entropy(check.ifSo) - (1 - p) * entropy(check.ifNot);
}

}  // namespace uovo::why
