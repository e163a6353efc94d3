#include "core/shell/verdict.h"

#include <algorithm>
#include <cmath>
#include <limits>

namespace uovo::shell {
namespace {

constexpr double kOneInTwenty = 0.05;
// Gauss points through the wall, exact for degree 11: tension to the eighth power bends no further.
constexpr double kZ[]{-0.932469514203152, -0.661209386466265, -0.238619186083197,
                      0.238619186083197,  0.661209386466265,  0.932469514203152};
constexpr double kW[]{0.171324492379170, 0.360761573048139, 0.467913934572691,
                      0.467913934572691, 0.360761573048139, 0.171324492379170};

// Triangles that one is averaged over, at the most: of a wall much thicker than its net is fine, only the nearest.
// models.md, "Limits".
constexpr size_t kMostRound = 300;

/// Stress of each triangle averaged over the wall round it.
struct Averaged {
    std::vector<Tensor> membrane, bending;
};

Averaged average(const Model& m, const Faces& faces, const Stress& s, const std::vector<Facet>& facet) {
    const size_t n = m.triangles.size();
    Averaged out{s.membrane, s.bending};
    std::vector<form::Vec3> middle(n);
    for (size_t k = 0; k < n; ++k)
        for (const int i : m.triangles[k]) middle[k] += m.points[static_cast<size_t>(i)] * (1.0 / 3);
    std::vector<int> seen(n, -1);
    std::vector<size_t> queue;
    for (size_t k = 0; k < n; ++k) {
        const double a = facet[k].meanThickness();
        if (facet[k].area > 4 * a * a) continue;  // coarser than the radius: it is its own average
        queue.assign(1, k);
        seen[k] = static_cast<int>(k);
        double all = 0;
        Tensor membrane = Tensor::Zero(), bending = Tensor::Zero();
        for (size_t q = 0; q < queue.size(); ++q) {
            const size_t j = queue[q];
            const double d = form::length(middle[j] - middle[k]);
            if (d >= a) continue;
            const double w = facet[j].area * (1 - d * d / (a * a));
            all += w;
            membrane += w * s.membrane[j];
            bending += w * s.bending[j];
            if (queue.size() >= kMostRound) continue;
            for (const int next : faces.beside[j]) {
                // round a smooth wall only: the other side of a crease is another face
                if (next < 0 || seen[static_cast<size_t>(next)] == static_cast<int>(k) ||
                    facet[j].axes.row(2).dot(facet[static_cast<size_t>(next)].axes.row(2)) < 0.8)
                    continue;
                seen[static_cast<size_t>(next)] = static_cast<int>(k);
                queue.push_back(static_cast<size_t>(next));
            }
        }
        if (all > 0) {
            out.membrane[k] = membrane / all;
            out.bending[k] = bending / all;
        }
    }
    return out;
}

}  // namespace

double cracksAt(double equivalent, const Strength& s) {
    return 1 - std::exp(-std::pow(equivalent * std::tgamma(1 + 1 / s.modulus) / s.mean, s.modulus));
}

double cracksOnAverage(double equivalent, const Strength& s, double spread) {
    // Gauss–Hermite of the normal distribution, seven points (Abramowitz and Stegun, table 25.10, x times √2, weights
    // over √π)
    constexpr double kAt[]{0, 1.154405394739968, 2.366759410734541, 3.750439717725742},
        kShare[]{0.457142857142857, 0.240123178605013, 0.0307571239675865, 0.000548268855972218};
    double sum = kShare[0] * cracksAt(equivalent, s);
    for (int i = 1; i < 4; ++i)
        for (const double sign : {-1.0, 1.0})
            sum += kShare[i] * cracksAt(equivalent * std::exp(sign * spread * kAt[i]), s);
    return sum;
}

double stressThatCracks(double p, const Strength& s) {
    return s.mean / std::tgamma(1 + 1 / s.modulus) * std::pow(-std::log1p(-p), 1 / s.modulus);
}

Verdict verdict(const Model& m, const Faces& faces, const Stress& stress, const Strength& strength,
                const std::vector<double>& weak, const std::vector<bool>& where) {
    Verdict out;
    std::vector<Facet> facet(m.triangles.size());
    for (size_t k = 0; k < facet.size(); ++k) facet[k] = m.facet(k);
    const Averaged a = average(m, faces, stress, facet);
    // Powers of numbers near one: measured against the greatest.
    double top = 0;
    const auto local = [&](size_t k, const Tensor& t) {
        Matrix3 s;
        s << t(0), t(3), t(5), t(3), t(1), t(4), t(5), t(4), t(2);
        const Eigen::Vector3d x = facet[k].axes.row(0), y = facet[k].axes.row(1);
        return Eigen::Vector3d(x.dot(s * x), y.dot(s * y), x.dot(s * y));
    };
    const auto tension = [](const Eigen::Vector3d& s) {
        const double middle = 0.5 * (s(0) + s(1)), radius = std::hypot(0.5 * (s(0) - s(1)), s(2));
        return std::array{std::max(0.0, middle + radius), std::max(0.0, middle - radius)};
    };
    std::vector<Eigen::Vector3d> membrane(facet.size()), bending(facet.size());
    for (size_t k = 0; k < facet.size(); ++k) {
        if (!where.empty() && !where[k]) continue;
        const double w = weak.empty() ? 1 : weak[k];
        membrane[k] = local(k, a.membrane[k]) / w;
        bending[k] = local(k, a.bending[k]) / w;
        for (const bool outer : {true, false}) {
            const double p = tension(membrane[k] + (outer ? 1 : -1) * bending[k])[0];
            if (p <= top) continue;
            top = p;
            form::Vec3 at;
            for (const int i : m.triangles[k]) at += m.points[static_cast<size_t>(i)] * (1.0 / 3);
            out.weakest = {p * w, k, 0, outer, at};
        }
    }
    if (!(top > 0)) {
        out.margin = std::numeric_limits<double>::infinity();
        return out;
    }
    double sum = 0;
    for (size_t k = 0; k < facet.size(); ++k) {
        if (!where.empty() && !where[k]) continue;
        const double volume = facet[k].area * facet[k].meanThickness();
        for (size_t q = 0; q < 6; ++q)
            for (const double p : tension(membrane[k] + kZ[q] * bending[k]))
                sum += 0.5 * kW[q] * volume * std::pow(p / top, strength.modulus);
    }
    out.equivalent = top * std::pow(sum / strength.barVolume(), 1 / strength.modulus);
    out.cracks = cracksAt(out.equivalent, strength);
    out.margin = out.equivalent > 0 ? stressThatCracks(kOneInTwenty, strength) / out.equivalent
                                    : std::numeric_limits<double>::infinity();
    return out;
}

}  // namespace uovo::shell
