// When a wall gives way sideways: the load at which its stiffness and that of its pressures cancel.
#include <Eigen/Dense>
#include <algorithm>
#include <cmath>
#include <limits>
#include <random>

#include "core/shell/buckling.h"

namespace uovo::shell {

namespace {

/// Geometric stiffness of each triangle under the stresses of these shifts.
std::vector<Matrix3> geometric(const Model& m, const Freedoms& shifts) {
    const size_t n = m.triangles.size();
    std::vector<Matrix3> g(n);
    for (size_t k = 0; k < n; ++k) {
        const Facet f = m.facet(k);
        Vector18 v;
        for (int i = 0; i < 3; ++i)
            for (int c = 0; c < 6; ++c)
                v(6 * i + c) =
                    shifts[6 * static_cast<size_t>(m.triangles[k][static_cast<size_t>(i)]) + static_cast<size_t>(c)];
        const double E = m.material.young * (m.stiff.empty() ? 1 : m.stiff[k]);
        g[k] = geometricStiffness(f, f.meanThickness() * planeStress(strainMean(f, v).membrane, E, m.material.poisson));
    }
    return g;
}

/// Directions of a subspace that carry energy, each scaled to one; those without drop out.
Eigen::MatrixXd withEnergy(const Eigen::MatrixXd& B) {
    Eigen::SelfAdjointEigenSolver<Eigen::MatrixXd> own(B);
    const double most = own.eigenvalues().cwiseAbs().maxCoeff();
    std::vector<Eigen::Index> keep;
    for (Eigen::Index i = 0; i < B.rows(); ++i)
        if (own.eigenvalues()(i) > 1e-12 * most) keep.push_back(i);
    Eigen::MatrixXd T(B.rows(), static_cast<Eigen::Index>(keep.size()));
    for (size_t i = 0; i < keep.size(); ++i)
        T.col(static_cast<Eigen::Index>(i)) = own.eigenvectors().col(keep[i]) / std::sqrt(own.eigenvalues()(keep[i]));
    return T;
}

}  // namespace

double buckles(const System& system, const Freedoms& shifts, std::stop_token stop) {
    const Model& m = system.model();
    const size_t n = m.triangles.size(), all = shifts.size();
    const std::vector<Matrix3> g = geometric(m, shifts);
    const auto minusG = [&](const Freedoms& u) {
        Freedoms f(all, 0.0);
        for (size_t k = 0; k < n; ++k)
            for (int a = 0; a < 3; ++a)
                for (int b = 0; b < 3; ++b)
                    for (size_t c = 0; c < 3; ++c)
                        f[6 * static_cast<size_t>(m.triangles[k][static_cast<size_t>(a)]) + c] -=
                            g[k](a, b) * u[6 * static_cast<size_t>(m.triangles[k][static_cast<size_t>(b)]) + c];
        return f;
    };
    // Subspace iteration on K⁻¹(-Kg): its greatest eigenvalue is 1/λ.
    constexpr int kVectors = 6;
    std::mt19937 random(7);
    std::uniform_real_distribution<double> share(-1, 1);
    std::vector<Freedoms> v(kVectors, Freedoms(all));
    for (auto& x : v)
        for (auto& c : x) c = share(random);
    v = system.solve(v);
    double last = 0;
    for (int round = 0; round < 60 && !stop.stop_requested(); ++round) {
        std::vector<Freedoms> f;
        for (const auto& x : v) f.push_back(minusG(x));
        auto w = system.solve(f);  // K w = -Kg v
        Eigen::MatrixXd A(kVectors, kVectors), B(kVectors, kVectors);
        std::vector<Freedoms> fw;
        for (const auto& x : w) fw.push_back(minusG(x));
        for (int i = 0; i < kVectors; ++i)
            for (int j = 0; j < kVectors; ++j) {
                double a = 0, b = 0;
                for (size_t k = 0; k < all; ++k) {
                    a += w[static_cast<size_t>(i)][k] * fw[static_cast<size_t>(j)][k];
                    b += w[static_cast<size_t>(i)][k] * f[static_cast<size_t>(j)][k];  // wᵀ K w
                }
                A(i, j) = a;
                B(i, j) = b;
            }
        A = 0.5 * (A + A.transpose()).eval();
        B = 0.5 * (B + B.transpose()).eval();
        const Eigen::MatrixXd T = withEnergy(B);
        if (T.cols() == 0) return std::numeric_limits<double>::infinity();
        Eigen::SelfAdjointEigenSolver<Eigen::MatrixXd> ritz(T.transpose() * A * T);
        const double now = ritz.eigenvalues().maxCoeff();
        const Eigen::MatrixXd mix = T * ritz.eigenvectors();
        for (int j = 0; j < kVectors; ++j) {
            Freedoms x(all, 0.0);
            if (j < mix.cols())
                for (int i = 0; i < kVectors; ++i)
                    for (size_t k = 0; k < all; ++k) x[k] += mix(i, j) * w[static_cast<size_t>(i)][k];
            else
                for (auto& c : x) c = share(random);
            v[static_cast<size_t>(j)] = std::move(x);
        }
        if (round > 3 && std::abs(now - last) < 1e-4 * std::abs(now)) {
            last = now;
            break;
        }
        last = now;
    }
    return last > 0 ? 1 / last : std::numeric_limits<double>::infinity();
}

}  // namespace uovo::shell
