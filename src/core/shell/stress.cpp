#include "core/shell/stress.h"
#include "core/form/sets.h"
#include "core/quantity/side_by_side.h"

#include <Eigen/Cholesky>

#include <algorithm>
#include <cmath>
#include <map>

namespace uovo::shell {
namespace {

/// (σx, σy, τxy) in the facet's axes to space.
Tensor inSpace(const Facet& f, const Eigen::Vector3d& s) {
    const Eigen::Vector3d a = f.axes.row(0), b = f.axes.row(1);
    const Matrix3 m =
        s(0) * a * a.transpose() + s(1) * b * b.transpose() + s(2) * (a * b.transpose() + b * a.transpose());
    Tensor t;
    t << m(0, 0), m(1, 1), m(2, 2), m(0, 1), m(1, 2), m(2, 0);
    return t;
}

Vector18 freedomsOf(const form::Triangle& t, const Freedoms& u) {
    Vector18 out;
    for (int i = 0; i < 3; ++i)
        for (int c = 0; c < 6; ++c)
            out(6 * i + c) = u[6 * static_cast<size_t>(t[static_cast<size_t>(i)]) + static_cast<size_t>(c)];
    return out;
}

using Smooth = std::vector<std::array<bool, 3>>;

/// Adds the neighbours over smooth edges to the triangles round corner c, so many rings of them.
void grow(std::vector<int>& patch, std::vector<int>& seen, int c, size_t rings, const Smooth& smooth,
          const Faces& faces) {
    for (size_t q = 0, end = 0; q < rings; ++q) {
        const size_t from = end;
        end = patch.size();
        for (size_t at = from; at < end; ++at)
            for (size_t i = 0; i < 3; ++i) {
                const auto k = static_cast<size_t>(patch[at]);
                const int next = smooth[k][i] ? faces.beside[k][i] : -1;
                if (next < 0 || seen[static_cast<size_t>(next)] == c) continue;
                seen[static_cast<size_t>(next)] = c;
                patch.push_back(next);
            }
    }
}

/// Shares of a patch's triangles in the value at a corner: least squares over their means. Empty sums where it fails.
/// @param x, y axes of the tangent plane @param all the patch's area, m²
std::vector<double> fitted(const Model& m, const std::vector<int>& patch, const std::vector<double>& area,
                           const form::Vec3& here, const form::Vec3& x, const form::Vec3& y, double all) {
    const double size = std::sqrt(all);
    using Row = Eigen::Matrix<double, 6, 1>;
    std::vector<Row> rows(patch.size(), Row::Zero());
    Eigen::Matrix<double, 6, 6> normalMatrix = Eigen::Matrix<double, 6, 6>::Zero();
    for (size_t q = 0; q < patch.size(); ++q) {
        const auto& t = m.triangles[static_cast<size_t>(patch[q])];
        for (size_t i = 0; i < 3; ++i) {  // the middles of its sides: exact for quadratics
            const form::Vec3 d =
                (m.points[static_cast<size_t>(t[i])] + m.points[static_cast<size_t>(t[(i + 1) % 3])]) * 0.5 - here;
            const double u = form::dot(d, x) / size, v = form::dot(d, y) / size;
            rows[q] += Row{1, u, v, u * u, u * v, v * v} / 3;
        }
        normalMatrix += area[q] / all * rows[q] * rows[q].transpose();
    }
    const Eigen::LDLT<Eigen::Matrix<double, 6, 6>> solved(normalMatrix);
    const Row weights = solved.solve(Row(Row::Unit(0)));
    std::vector<double> share(patch.size());
    if (solved.info() != Eigen::Success) return share;
    for (size_t q = 0; q < patch.size(); ++q) share[q] = area[q] / all * rows[q].dot(weights);
    return share;
}

/// How the value at a corner follows from its triangles: a quadratic over the face's tangent plane whose means are
/// theirs (least squares over two rings, at an edge over three). The plain mean of the first ring cuts a peak off.
void fitCorners(const Model& m, const std::vector<form::Vec3>& normal, const Smooth& smooth, Faces& out) {
    constexpr size_t kLeast = 9;  // triangles for six unknowns
    constexpr double kMost = 8;   // sum of the shares without their signs: more would make noise of rounding
    const size_t n = m.triangles.size();
    std::vector<std::vector<int>> ring(out.count);
    std::vector<int> point(out.count);
    for (size_t k = 0; k < n; ++k)
        for (size_t i = 0; i < 3; ++i) {
            ring[static_cast<size_t>(out.place[k][i])].push_back(static_cast<int>(k));
            point[static_cast<size_t>(out.place[k][i])] = m.triangles[k][i];
        }
    std::vector<int> seen(n, -1);
    std::vector<int> patch;
    out.first.assign(1, 0);
    for (size_t c = 0; c < out.count; ++c) {
        patch.clear();
        for (const int k : ring[c]) {
            seen[static_cast<size_t>(k)] = static_cast<int>(c);
            patch.push_back(k);
        }
        grow(patch, seen, static_cast<int>(c), out.edge[c] ? 2 : 1, smooth,
             out);  // one-sided at an edge: from further inside
        std::vector<double> area(patch.size());
        double all = 0, near = 0;
        form::Vec3 up;
        for (size_t q = 0; q < patch.size(); ++q) {
            const auto& t = m.triangles[static_cast<size_t>(patch[q])];
            const auto at = [&](size_t i) { return m.points[static_cast<size_t>(t[i])]; };
            area[q] = 0.5 * form::length(form::cross(at(1) - at(0), at(2) - at(0)));
            all += area[q];
            if (q >= ring[c].size()) continue;
            near += area[q];
            up += normal[static_cast<size_t>(patch[q])] * area[q];
        }
        const auto mean = [&] {
            if (out.edge[c]) return;  // too few to fit: the values at the corners themselves count
            for (size_t q = 0; q < ring[c].size(); ++q) {
                out.triangle.push_back(patch[q]);
                out.share.push_back(area[q] / near);
            }
        };
        if (patch.size() < kLeast) {
            mean();
            out.first.push_back(out.triangle.size());
            continue;
        }
        const form::Vec3 z = form::unit(up),
                         x = form::unit(
                             form::cross(std::abs(z.x) < 0.7 ? form::Vec3{1, 0, 0} : form::Vec3{0, 1, 0}, z)),
                         y = form::cross(z, x);
        const std::vector<double> share = fitted(m, patch, area, m.points[static_cast<size_t>(point[c])], x, y, all);
        double most = 0, sum = 0;
        for (const double part : share) {
            most += std::abs(part);
            sum += part;
        }
        if (!(std::abs(sum - 1) < 1e-6) || most > kMost) {
            mean();
        } else {
            out.triangle.insert(out.triangle.end(), patch.begin(), patch.end());
            out.share.insert(out.share.end(), share.begin(), share.end());
        }
        out.first.push_back(out.triangle.size());
    }
}

}  // namespace

Faces faces(const Model& m, double crease) {
    Faces out;
    const size_t n = m.triangles.size();
    out.beside.assign(n, {-1, -1, -1});
    out.place.assign(n, {-1, -1, -1});
    std::vector<form::Vec3> normal(n);
    struct Side {
        int low, high, triangle, edge;
    };
    std::vector<Side> sides;
    sides.reserve(3 * n);
    for (size_t k = 0; k < n; ++k) {
        const auto& t = m.triangles[k];
        const auto at = [&](size_t i) { return m.points[static_cast<size_t>(t[i])]; };
        normal[k] = form::unit(form::cross(at(1) - at(0), at(2) - at(0)));
        for (int i = 0; i < 3; ++i) {
            const int a = t[static_cast<size_t>(i)], b = t[static_cast<size_t>((i + 1) % 3)];
            sides.push_back({std::min(a, b), std::max(a, b), static_cast<int>(k), i});
        }
    }
    std::sort(sides.begin(), sides.end(), [](const Side& a, const Side& b) {
        return a.low != b.low ? a.low < b.low : a.high != b.high ? a.high < b.high : a.triangle < b.triangle;
    });
    const double least = std::cos(crease);
    std::vector<bool> open(m.points.size(), false);
    std::vector<std::array<bool, 3>> smooth(n, {false, false, false});
    for (size_t i = 0; i < sides.size();) {
        size_t j = i + 1;
        while (j < sides.size() && sides[j].low == sides[i].low && sides[j].high == sides[i].high) ++j;
        if (j - i == 2) {
            const auto &a = sides[i], &b = sides[i + 1];
            out.beside[static_cast<size_t>(a.triangle)][static_cast<size_t>(a.edge)] = b.triangle;
            out.beside[static_cast<size_t>(b.triangle)][static_cast<size_t>(b.edge)] = a.triangle;
            const bool flat =
                form::dot(normal[static_cast<size_t>(a.triangle)], normal[static_cast<size_t>(b.triangle)]) > least;
            smooth[static_cast<size_t>(a.triangle)][static_cast<size_t>(a.edge)] =
                smooth[static_cast<size_t>(b.triangle)][static_cast<size_t>(b.edge)] = flat;
        }
        i = j;
    }
    // Corners of one point are one value where their triangles meet smoothly.
    form::Sets sets(3 * n);
    for (size_t k = 0; k < n; ++k)
        for (size_t i = 0; i < 3; ++i) {
            if (!smooth[k][i]) continue;
            const auto other = static_cast<size_t>(out.beside[k][i]);
            for (const int point : {m.triangles[k][i], m.triangles[k][(i + 1) % 3]})
                for (size_t c = 0; c < 3; ++c)
                    for (size_t d = 0; d < 3; ++d)
                        if (m.triangles[k][c] == point && m.triangles[other][d] == point)
                            sets.join(static_cast<int>(3 * k + c), static_cast<int>(3 * other + d));
        }
    std::vector<int> number(3 * n, -1);
    for (size_t k = 0; k < n; ++k)
        for (size_t i = 0; i < 3; ++i) {
            auto& id = number[static_cast<size_t>(sets.find(static_cast<int>(3 * k + i)))];
            if (id < 0) {
                id = static_cast<int>(out.count++);
                out.edge.push_back(false);
            }
            out.place[k][i] = id;
        }
    for (size_t k = 0; k < n; ++k)
        for (size_t i = 0; i < 3; ++i)
            if (!smooth[k][i])
                out.edge[static_cast<size_t>(out.place[k][i])] =
                    out.edge[static_cast<size_t>(out.place[k][(i + 1) % 3])] = true;
    fitCorners(m, normal, smooth, out);
    return out;
}

Stress stresses(const Model& m, const Faces& faces, const Freedoms& u) {
    Stress out;
    const size_t n = m.triangles.size();
    out.membrane.resize(n);
    out.bending.resize(n);
    out.cornerMembrane.assign(faces.count, Tensor::Zero());
    out.cornerBending.assign(faces.count, Tensor::Zero());
    std::vector<double> weight(faces.count, 0.0);
    std::vector<double> area(n);
    const double nu = m.material.poisson;
    struct Corner {
        size_t triangle, i;
        Tensor membrane, bending;
    };
    std::array<std::vector<Corner>, 2> corners;
    const auto run = [&](size_t from, size_t to, std::vector<Corner>& mine) {
        for (size_t k = from; k < to; ++k) {
            const Facet f = m.facet(k);
            const double E = m.material.young * (m.stiff.empty() ? 1 : m.stiff[k]);
            const Vector18 v = freedomsOf(m.triangles[k], u);
            const Strain mean = strainMean(f, v);
            area[k] = f.area;
            out.membrane[k] = inSpace(f, planeStress(mean.membrane, E, nu));
            out.bending[k] = inSpace(f, planeStress(0.5 * f.meanThickness() * mean.curvature, E, nu));
            for (size_t i = 0; i < 3; ++i) {
                if (faces.fitted(static_cast<size_t>(faces.place[k][i]))) continue;
                std::array<double, 3> zeta{0, 0, 0};
                zeta[i] = 1;
                const Strain s = strainAt(f, nu, v, zeta);
                mine.push_back({k, i, inSpace(f, planeStress(s.membrane, E, nu)),
                                inSpace(f, planeStress(0.5 * f.t[i] * s.curvature, E, nu))});
            }
        }
    };
    if (n > 1000) {
        sideBySide([&] { run(0, n / 2, corners[0]); }, [&] { run(n / 2, n, corners[1]); });
    } else {
        run(0, n, corners[0]);
    }
    for (size_t at = 0; at < faces.count; ++at)
        for (size_t k = faces.first[at]; k < faces.first[at + 1]; ++k) {
            out.cornerMembrane[at] += faces.share[k] * out.membrane[static_cast<size_t>(faces.triangle[k])];
            out.cornerBending[at] += faces.share[k] * out.bending[static_cast<size_t>(faces.triangle[k])];
        }
    for (const auto& list : corners)
        for (const auto& c : list) {
            const auto at = static_cast<size_t>(faces.place[c.triangle][c.i]);
            out.cornerMembrane[at] += area[c.triangle] * c.membrane;
            out.cornerBending[at] += area[c.triangle] * c.bending;
            weight[at] += area[c.triangle];
        }
    for (size_t i = 0; i < faces.count; ++i)
        if (weight[i] > 0) {
            out.cornerMembrane[i] /= weight[i];
            out.cornerBending[i] /= weight[i];
        }
    return out;
}

std::array<double, 2> principal(const Facet& f, const Tensor& t) {
    Matrix3 s;
    s << t(0), t(3), t(5), t(3), t(1), t(4), t(5), t(4), t(2);
    const Eigen::Vector3d a = f.axes.row(0), b = f.axes.row(1);
    const double xx = a.dot(s * a), yy = b.dot(s * b), xy = a.dot(s * b);
    const double middle = 0.5 * (xx + yy), radius = std::hypot(0.5 * (xx - yy), xy);
    return {middle + radius, middle - radius};
}

Peak greatest(const Model& m, const Faces& faces, const Stress& s, const std::vector<bool>& where) {
    Peak best;
    for (size_t k = 0; k < m.triangles.size(); ++k) {
        if (!where.empty() && !where[k]) continue;
        const Facet f = m.facet(k);
        for (size_t i = 0; i < 3; ++i)
            for (const bool outer : {true, false}) {
                const auto at = static_cast<size_t>(faces.place[k][i]);
                const double p = principal(f, s.cornerMembrane[at] + (outer ? 1.0 : -1.0) * s.cornerBending[at])[0];
                if (p > best.stress)
                    best = {p, k, static_cast<int>(i), outer, m.points[static_cast<size_t>(m.triangles[k][i])]};
            }
    }
    return best;
}

}  // namespace uovo::shell
