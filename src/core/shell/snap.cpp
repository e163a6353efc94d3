#include "core/shell/snap.h"

#include <algorithm>
#include <cmath>
#include "core/quantity/catalogue.h"

namespace uovo::shell {
namespace {}

tl::expected<void, Problem> check(const SnapBar& b) {
    const auto range = [](const Measure& m, double low, double high) {
        return std::isfinite(m.value) && m.value >= low && m.value <= high;
    };
    if (!range(b.span, 0.02, 0.5)) return tl::unexpected(Problem{tr("The supports stand 2 to 50 cm apart."), "span"});
    if (!range(b.width, 0.003, 0.2)) return tl::unexpected(Problem{tr("A bar is 3 mm to 20 cm wide."), "width"});
    if (!range(b.thickness, 0.001, 0.05)) return tl::unexpected(Problem{tr("A bar is 1 to 50 mm thick."), "thickness"});
    if (b.span.value < 4 * b.thickness.value)
        return tl::unexpected(
            Problem{tr("The supports stand too close: at least four times the thickness apart, better ten."), "span"});
    if (!range(b.hung, 0.001, 20))
        return tl::unexpected(Problem{tr("What was hung on it weighs 1 g to 20 kg."), "hung"});
    if (!range(b.sag, 0, 0.05)) return tl::unexpected(Problem{tr("A bar sags by nothing to 5 cm."), "sag"});
    return {};
}

double breaking(const SnapBar& b) {
    return 3 * b.hung.value * kGravity * b.span.value / (2 * b.width.value * b.thickness.value * b.thickness.value);
}

double modulus(const SnapBar& b) {
    return b.sag.value > 0 ? b.hung.value * kGravity * std::pow(b.span.value / b.thickness.value, 3) /
                                 (4 * b.width.value * b.sag.value)
                           : std::nan("");
}

double chiSquare(double p, int n) {
    // P(χ²(2n) > x) = e^(−x/2) Σ (x/2)^k / k! for k below n
    double low = 0, high = 4.0 * n + 100;
    for (int i = 0; i < 200; ++i) {
        const double x = 0.5 * (low + high);
        double term = std::exp(-x / 2), above = 0;
        for (int k = 0; k < n; ++k) {
            above += term;
            term *= x / 2 / (k + 1);
        }
        (1 - above < p ? low : high) = x;
    }
    return 0.5 * (low + high);
}

Snapped snapped(const std::vector<SnapBar>& bars, double m, double volume) {
    Snapped out;
    out.bars = bars.size();
    if (bars.empty()) return out;
    const auto n = static_cast<double>(bars.size());
    double powers = 0, sum = 0, squares = 0, stiff = 0;
    int read = 0;
    for (const auto& b : bars) {
        const double own = b.span.value * b.width.value * b.thickness.value / (2 * (m + 1) * (m + 1));
        const double s =
            breaking(b) * std::pow(own / volume, 1 / m);  // what a bar of the reference size would have borne
        powers += std::pow(s, m) / n;
        sum += s / n;
        squares += s * s / n;
        if (const double e = modulus(b); std::isfinite(e)) {
            stiff += e;
            ++read;
        }
    }
    const double scale = std::pow(powers, 1 / m), mean = std::tgamma(1 + 1 / m);
    out.mean = scale * mean;
    out.low = out.mean * std::pow(2 * n / chiSquare(0.95, static_cast<int>(bars.size())), 1 / m);
    out.high = out.mean * std::pow(2 * n / chiSquare(0.05, static_cast<int>(bars.size())), 1 / m);
    out.young = read ? stiff / read : std::nan("");
    out.scatter = std::sqrt(std::max(0.0, squares - sum * sum)) / sum;
    return out;
}

}  // namespace uovo::shell
