#include "core/shell/balance.h"

#include <Eigen/Eigenvalues>

#include "core/shell/load.h"

namespace uovo::shell {
namespace {

using form::Vec3;

/// Sum of |d|² I - d dᵀ: turns of points about their middle.
class Inertia {
public:
    void add(const Vec3& d, double weight = 1) {
        const Eigen::Vector3d e(d.x, d.y, d.z);
        sum_ += weight * (e.squaredNorm() * Matrix3::Identity() - e * e.transpose());
    }
    /// The least turn whose moment this is; axes that the points cannot feel (all on one line) get none.
    Vec3 turn(const Vec3& moment) const {
        const Eigen::SelfAdjointEigenSolver<Matrix3> own(sum_);
        const Eigen::Vector3d b(moment.x, moment.y, moment.z);
        Eigen::Vector3d out = Eigen::Vector3d::Zero();
        for (int i = 0; i < 3; ++i)
            if (own.eigenvalues()(i) > 1e-12 * own.eigenvalues()(2))
                out += own.eigenvectors().col(i) * (own.eigenvectors().col(i).dot(b) / own.eigenvalues()(i));
        return {out(0), out(1), out(2)};
    }

private:
    Matrix3 sum_ = Matrix3::Zero();
};

}  // namespace

void balance(const Model& m, const std::vector<int>& on, Freedoms& load) {
    if (on.empty()) return;
    // each corner stands for the wall round it: a finer net spreads the same force
    const auto area = cornerAreas(m);
    double all = 0;
    for (const int i : on) all += area[static_cast<size_t>(i)];
    if (!(all > 0)) return;
    const auto r = resultant(m, load);
    Vec3 middle;
    for (const int i : on) middle += m.points[static_cast<size_t>(i)] * (area[static_cast<size_t>(i)] / all);
    Inertia inertia;
    for (const int i : on) inertia.add(m.points[static_cast<size_t>(i)] - middle, area[static_cast<size_t>(i)] / all);
    const Vec3 turn = inertia.turn((r.moment - form::cross(middle, r.force)) * -1.0);
    for (const int i : on) {
        const double share = area[static_cast<size_t>(i)] / all;
        const Vec3 f = (r.force * -1.0 + form::cross(turn, m.points[static_cast<size_t>(i)] - middle)) * share;
        const auto at = 6 * static_cast<size_t>(i);
        load[at] += f.x;
        load[at + 1] += f.y;
        load[at + 2] += f.z;
    }
}

std::vector<Vec3> deformed(const Model& m, const Freedoms& u) {
    const auto n = m.points.size();
    const auto shift = [&](size_t i) { return Vec3{u[6 * i], u[6 * i + 1], u[6 * i + 2]}; };
    Vec3 middle, mean, spin;
    for (size_t i = 0; i < n; ++i) {
        middle += m.points[i] * (1.0 / double(n));
        mean += shift(i) * (1.0 / double(n));
    }
    Inertia inertia;
    for (size_t i = 0; i < n; ++i) {
        const Vec3 d = m.points[i] - middle;
        inertia.add(d);
        spin += form::cross(d, shift(i) - mean);
    }
    const Vec3 turn = inertia.turn(spin);
    std::vector<Vec3> out(n);
    for (size_t i = 0; i < n; ++i) out[i] = shift(i) - mean - form::cross(turn, m.points[i] - middle);
    return out;
}

}  // namespace uovo::shell
