#include "core/shell/load.h"

#include <Eigen/Dense>
#include <algorithm>
#include <cmath>

namespace uovo::shell {
namespace {

constexpr double kLumping = 1.5;  // α of the membrane element

void add(Freedoms& load, int point, const form::Vec3& f) {
    const auto at = 6 * static_cast<size_t>(point);
    load[at] += f.x;
    load[at + 1] += f.y;
    load[at + 2] += f.z;
}

/// Area vector of a triangle and its middle.
struct Patch {
    form::Vec3 area, middle;
};
Patch patch(const Model& m, size_t k) {
    const auto& t = m.triangles[k];
    const auto &a = m.points[static_cast<size_t>(t[0])], &b = m.points[static_cast<size_t>(t[1])],
               &c = m.points[static_cast<size_t>(t[2])];
    return {form::cross(b - a, c - a) * 0.5, (a + b + c) * (1.0 / 3)};
}

}  // namespace

Freedoms noLoad(const Model& m) { return Freedoms(6 * m.points.size(), 0.0); }

void addBody(const Model& m, const form::Vec3& g, Freedoms& load) {
    for (size_t k = 0; k < m.triangles.size(); ++k) {
        const double area = form::length(patch(m, k).area);
        const auto& t = m.triangles[k];
        double sum = 0;
        for (const int i : t) sum += m.thickness[static_cast<size_t>(i)];
        for (const int i : t)  // ∫ N t over the triangle, t linear
            add(load, i, g * (m.material.density * area * (sum + m.thickness[static_cast<size_t>(i)]) / 12));
    }
}

void addPressure(const Model& m, const std::function<double(size_t, const form::Vec3&)>& pressure, Freedoms& load) {
    for (size_t k = 0; k < m.triangles.size(); ++k) {
        const auto p = patch(m, k);
        const double each = pressure(k, p.middle) / 3;
        if (each != 0)
            for (const int i : m.triangles[k]) add(load, i, p.area * each);
    }
}

void addLiquid(const Model& m, double density, double level, bool outward, Freedoms& load,
               const std::vector<bool>& wet) {
    addPressure(
        m,
        [&](size_t k, const form::Vec3& at) {
            return (wet.empty() || wet[k]) && at.z < level ? (outward ? 1 : -1) * density * kGravity * (level - at.z)
                                                           : 0.0;
        },
        load);
}

double Grains::pressure(double depth) const {
    if (!(depth > 0)) return 0;
    const double most = density * kGravity * across / (4 * friction);
    return -most * std::expm1(-4 * friction * aside * depth / across);
}

void addGrains(const Model& m, const Grains& g, Freedoms& load, const std::vector<bool>& wet) {
    for (size_t k = 0; k < m.triangles.size(); ++k) {
        if (!wet.empty() && !wet[k]) continue;
        const auto p = patch(m, k);
        const double side = g.pressure(g.level - p.middle.z), area = form::length(p.area);
        if (!(side > 0) || !(area > 0)) continue;
        const form::Vec3 n = p.area * (1 / area);
        const double level2 = n.x * n.x + n.y * n.y, up2 = n.z * n.z;
        // pressure across the face from that aside and that downwards; drag down along it
        const double across = side * (level2 + up2 / g.aside);
        const form::Vec3 down = form::Vec3{0, 0, -1} + n * n.z;  // its length is that of n, level
        const form::Vec3 each = (n * across + down * (g.friction * side)) * (area / 3);
        for (const int i : m.triangles[k]) add(load, i, each);
    }
}

std::vector<double> cornerAreas(const Model& m) {
    std::vector<double> out(m.points.size(), 0.0);
    for (size_t k = 0; k < m.triangles.size(); ++k) {
        const double third = form::length(patch(m, k).area) / 3;
        for (const int i : m.triangles[k]) out[static_cast<size_t>(i)] += third;
    }
    return out;
}

Pad pad(const Model& m, const form::Vec3& at, double radius) {
    const auto area = cornerAreas(m);
    Pad out;
    double all = 0, nearest = 1e300;
    int closest = 0;
    for (size_t i = 0; i < m.points.size(); ++i) {
        if (!(area[i] > 0)) continue;
        const double d = form::length(m.points[i] - at);
        if (d < nearest) {
            nearest = d;
            closest = static_cast<int>(i);
        }
        if (d >= radius) continue;
        out.emplace_back(static_cast<int>(i), area[i] * (1 - d * d / (radius * radius)));
        all += out.back().second;
    }
    if (!(all > 0)) return {{closest, 1.0}};
    for (auto& [i, share] : out) share /= all;
    return out;
}

void addForce(const std::vector<std::pair<int, double>>& on, const form::Vec3& force, Freedoms& load) {
    for (const auto& [point, share] : on) add(load, point, force * share);
}

void addLine(const Model& m, const form::Vec3& perMetre, const std::function<bool(const form::Vec3&)>& on,
             Freedoms& load) {
    struct Side {
        int low, high, from, to;
        size_t triangle;
    };
    std::vector<Side> sides;
    for (size_t k = 0; k < m.triangles.size(); ++k)
        for (size_t i = 0; i < 3; ++i) {
            const int a = m.triangles[k][i], b = m.triangles[k][(i + 1) % 3];
            sides.push_back({std::min(a, b), std::max(a, b), a, b, k});
        }
    std::sort(sides.begin(), sides.end(),
              [](const Side& x, const Side& y) { return x.low != y.low ? x.low < y.low : x.high < y.high; });
    for (size_t i = 0; i < sides.size();) {
        size_t j = i + 1;
        while (j < sides.size() && sides[j].low == sides[i].low && sides[j].high == sides[i].high) ++j;
        const auto& side = sides[i];
        const auto &a = m.points[static_cast<size_t>(side.from)], &b = m.points[static_cast<size_t>(side.to)];
        if (j - i == 1 && on((a + b) * 0.5)) {
            const double l = form::length(b - a);
            const form::Vec3 half = perMetre * (0.5 * l);
            add(load, side.from, half);
            add(load, side.to, half);
            // the drilling freedoms take their share of a pull across the edge: without it an even pull is not met
            // exactly
            const form::Vec3 n = form::unit(patch(m, side.triangle).area);
            const double moment = kLumping * form::dot(perMetre, form::cross(n, (b - a) * (1 / l))) * l * l / 12;
            for (const auto& [point, sign] : {std::pair{side.from, 1.0}, std::pair{side.to, -1.0}}) {
                const auto at = 6 * static_cast<size_t>(point) + 3;
                load[at] += sign * moment * n.x;
                load[at + 1] += sign * moment * n.y;
                load[at + 2] += sign * moment * n.z;
            }
        }
        i = j;
    }
}

Resultant resultant(const Model& m, const Freedoms& load) {
    Resultant r;
    for (size_t i = 0; i < m.points.size(); ++i) {
        const form::Vec3 f{load[6 * i], load[6 * i + 1], load[6 * i + 2]};
        r.force += f;
        r.moment += form::cross(m.points[i], f);
        r.moment += form::Vec3{load[6 * i + 3], load[6 * i + 4], load[6 * i + 5]};
    }
    return r;
}

namespace {

/// Mean shift up of a pad.
double lifted(const Freedoms& shifts, const Pad& pad) {
    double out = 0;
    for (const auto& [corner, share] : pad) out += share * shifts[6 * static_cast<size_t>(corner) + 2];
    return out;
}

}  // namespace

Foot::Foot(const System& system, std::vector<Pad> candidates) : system_(system), candidates_(std::move(candidates)) {
    const auto n = static_cast<Eigen::Index>(candidates_.size());
    std::vector<Freedoms> unit;
    for (const auto& p : candidates_) {
        unit.push_back(noLoad(system.model()));
        addForce(p, {0, 0, 1}, unit.back());
    }
    const auto shifts = system.solve(unit);
    Eigen::MatrixXd C(n, n);
    for (Eigen::Index i = 0; i < n; ++i)
        for (Eigen::Index j = 0; j < n; ++j)
            C(i, j) = lifted(shifts[static_cast<size_t>(j)], candidates_[static_cast<size_t>(i)]);
    gives_ = 0.5 * (C + C.transpose());
}

Contact Foot::rest(const Freedoms& load) const {
    Contact out;
    const Model& m = system_.model();
    const auto& candidates = candidates_;
    const Eigen::MatrixXd& C = gives_;
    const auto n = static_cast<Eigen::Index>(candidates.size());
    out.force.assign(candidates.size(), 0.0);
    const auto shifts = system_.solve({load});
    Eigen::MatrixXd R(n, 3);
    Eigen::VectorXd free(n);
    for (Eigen::Index i = 0; i < n; ++i) {
        const Pad& pad = candidates[static_cast<size_t>(i)];
        free(i) = lifted(shifts[0], pad);
        form::Vec3 p;
        for (const auto& [corner, share] : pad) p += m.points[static_cast<size_t>(corner)] * share;
        R.row(i) << 1, p.y, -p.x;  // lifted, turned about x, turned about y
    }
    const auto r = resultant(m, load);
    const Eigen::Vector3d wanted(-r.force.z, -r.moment.x, -r.moment.y);
    std::vector<bool> touches(candidates.size(), true);
    const double small = 1e-9 * (std::abs(r.force.z) + 1e-12);
    for (out.rounds = 0; out.rounds < 60; ++out.rounds) {
        std::vector<Eigen::Index> on;
        for (Eigen::Index i = 0; i < n; ++i)
            if (touches[static_cast<size_t>(i)]) on.push_back(i);
        const auto k = static_cast<Eigen::Index>(on.size());
        if (k < 3) {
            out.stands = false;
            return out;
        }
        Eigen::MatrixXd A = Eigen::MatrixXd::Zero(k + 3, k + 3);
        Eigen::VectorXd b(k + 3);
        const double scale = std::max(1e-300, C.diagonal().maxCoeff());
        for (Eigen::Index i = 0; i < k; ++i) {
            for (Eigen::Index j = 0; j < k; ++j)
                A(i, j) = C(on[static_cast<size_t>(i)], on[static_cast<size_t>(j)]) / scale;
            A.block<1, 3>(i, k) = R.row(on[static_cast<size_t>(i)]);
            A.block<3, 1>(k, i) = R.row(on[static_cast<size_t>(i)]).transpose();
            b(i) = -free(on[static_cast<size_t>(i)]) / scale;
        }
        b.tail<3>() = wanted;
        const Eigen::VectorXd x = A.fullPivLu().solve(b);
        if (!x.allFinite() || (A * x - b).norm() > 1e-6 * (b.norm() + 1e-300)) {
            out.stands = false;
            return out;
        }
        bool changed = false;
        std::fill(out.force.begin(), out.force.end(), 0.0);
        for (Eigen::Index i = 0; i < k; ++i) {
            const auto at = static_cast<size_t>(on[static_cast<size_t>(i)]);
            out.force[at] = x(i);
            if (x(i) < -small) {
                touches[at] = false;
                changed = true;
            }
        }
        if (!changed) {  // does anything that lifted sink in?
            const Eigen::Map<const Eigen::VectorXd> f(out.force.data(), n);
            const Eigen::VectorXd gap = (C * f + free) / scale + R * x.tail<3>();
            const double deep = 1e-9 * (gap.cwiseAbs().maxCoeff() + 1e-300);
            for (Eigen::Index i = 0; i < n; ++i)
                if (!touches[static_cast<size_t>(i)] && gap(i) < -deep && out.rounds < 40) {
                    touches[static_cast<size_t>(i)] = true;
                    changed = true;
                }
        }
        if (!changed) return out;
    }
    for (auto& f : out.force) f = std::max(0.0, f);
    return out;
}

}  // namespace uovo::shell
