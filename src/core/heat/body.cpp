#include "core/heat/body.h"

#include <cmath>
#include <numeric>

namespace uovo::heat {

double Body::thickness() const { return std::accumulate(width.begin(), width.end(), 0.0); }

double Body::volume(size_t i) const {
    if (spread == 0) return width[i];
    const double a = thickness(), from = std::accumulate(width.begin(), width.begin() + static_cast<long>(i), 0.0),
                 n = spread + 1;
    return a / n * (std::pow((from + width[i]) / a, n) - std::pow(from / a, n));
}

void advance(Body& b, const CrystalLaw& law, const Cooling& cooling, double dt) {
    const size_t n = b.T.size(), first = b.inner.capacity > 0 ? 1 : 0, last = b.outer.capacity > 0 ? 1 : 0,
                 all = first + n + last;
    thread_local std::vector<double> diag, right, rhs;  // right: conductance to the next node, W/m²K of the outer face
    diag.assign(all, 0.0);
    right.assign(all, 0.0);
    rhs.assign(all, 0.0);
    const auto series = [](double h, double resistance) { return h > 0 ? 1 / (1 / h + resistance) : 0.0; };
    const double a = b.thickness(), k2 = 2 * b.conductivity;
    double from = 0;
    for (size_t i = 0; i < n; ++i) {
        const double volume = b.spread == 0 ? b.width[i] : b.volume(i), X = law.advance(b.X[i], b.T[i], dt);
        const double capacity = b.density * b.heatCapacity * volume / dt;
        diag[first + i] = capacity;
        rhs[first + i] = capacity * b.T[i] + b.density * b.latentHeat * volume * (X - b.X[i]) / dt;
        b.X[i] = X;
        from += b.width[i];
        if (i + 1 < n)
            right[first + i] = (b.spread == 0 ? 1 : std::pow(from / a, b.spread)) * k2 / (b.width[i] + b.width[i + 1]);
    }
    const auto leaves = [&](size_t row, double conductance) {
        diag[row] += conductance;
        rhs[row] += conductance * cooling.air;
    };
    if (first) {
        diag[0] = b.inner.capacity / dt;
        rhs[0] = diag[0] * b.inner.T;
        right[0] = 1 / (b.width.front() / k2 + b.inner.contact);
        leaves(0, cooling.inner);
    } else {
        leaves(0, series(cooling.inner, b.width.front() / k2 + b.inner.contact));
    }
    if (last) {
        diag[all - 1] = b.outer.capacity / dt;
        rhs[all - 1] = diag[all - 1] * b.outer.T;
        right[all - 2] = 1 / (b.width.back() / k2 + b.outer.contact);
        leaves(all - 1, cooling.outer);
    } else {
        leaves(all - 1, series(cooling.outer, b.width.back() / k2 + b.outer.contact));
    }
    for (size_t i = 0; i < all; ++i) diag[i] += right[i] + (i > 0 ? right[i - 1] : 0);
    for (size_t i = 1; i < all; ++i) {  // Thomas, off-diagonals −right
        const double share = right[i - 1] / diag[i - 1];
        diag[i] -= share * right[i - 1];
        rhs[i] += share * rhs[i - 1];
    }
    for (size_t i = all; i-- > 0;) rhs[i] = (rhs[i] + (i + 1 < all ? right[i] * rhs[i + 1] : 0)) / diag[i];
    for (size_t i = 0; i < n; ++i) b.T[i] = rhs[first + i];
    if (first) b.inner.T = rhs.front();
    if (last) b.outer.T = rhs.back();
}

}  // namespace uovo::heat
