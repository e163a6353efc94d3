#include "core/shell/element.h"

#include <Eigen/Geometry>

#include <cmath>

namespace uovo::shell {
namespace {

using Matrix9 = Eigen::Matrix<double, 9, 9>;
using Matrix39 = Eigen::Matrix<double, 3, 9>;
using Eigen::Vector3d;

constexpr double kBeta0 = 0.05;  // higher-order membrane stiffness (docs/models.md, "Shells")
constexpr double kAlpha = 1.5;   // of the optimal lumping

Vector3d column(const form::Vec3& v) { return {v.x, v.y, v.z}; }

Matrix3 elasticity(double young, double poisson) {
    const double k = young / (1 - poisson * poisson);
    Matrix3 e = Matrix3::Zero();
    e(0, 0) = e(1, 1) = k;
    e(0, 1) = e(1, 0) = k * poisson;
    e(2, 2) = 0.5 * k * (1 - poisson);
    return e;
}

struct Edges {
    double x12, x23, x31, y12, y23, y31;
    double l12, l23, l31;  // squares
    explicit Edges(const Facet& f)
        : x12(f.x[0] - f.x[1]),
          x23(f.x[1] - f.x[2]),
          x31(f.x[2] - f.x[0]),
          y12(f.y[0] - f.y[1]),
          y23(f.y[1] - f.y[2]),
          y31(f.y[2] - f.y[0]),
          l12(x12 * x12 + y12 * y12),
          l23(x23 * x23 + y23 * y23),
          l31(x31 * x31 + y31 * y31) {}
};

/// Force lumping matrix of Felippa's basic stiffness, transposed and divided by the area: mean strain = B u.
Matrix39 meanMembrane(const Facet& f) {
    const Edges e(f);
    const double x12 = e.x12, x23 = e.x23, x31 = e.x31, y12 = e.y12, y23 = e.y23, y31 = e.y31;
    const double x21 = -x12, x32 = -x23, x13 = -x31, y21 = -y12, y32 = -y23, y13 = -y31;
    Eigen::Matrix<double, 9, 3> L;
    L << y23, 0, x32, 0, x32, y23, kAlpha / 6 * y23 * (y13 - y21), kAlpha / 6 * x32 * (x31 - x12),
        kAlpha / 3 * (x31 * y13 - x12 * y21), y31, 0, x13, 0, x13, y31, kAlpha / 6 * y31 * (y21 - y32),
        kAlpha / 6 * x13 * (x12 - x23), kAlpha / 3 * (x12 * y21 - x23 * y32), y12, 0, x21, 0, x21, y12,
        kAlpha / 6 * y12 * (y32 - y13), kAlpha / 6 * x21 * (x23 - x31), kAlpha / 3 * (x23 * y32 - x31 * y13);
    return L.transpose() / (2 * f.area);
}

/// Hierarchical rotations of the corners from all freedoms.
Matrix39 hierarchical(const Facet& f) {
    const Edges e(f);
    const double a4 = 4 * f.area;
    Matrix39 T;
    for (int i = 0; i < 3; ++i) {
        T.row(i) << -e.x23, -e.y23, 0, -e.x31, -e.y31, 0, -e.x12, -e.y12, 0;
        T(i, 3 * i + 2) = a4;
    }
    return T / a4;
}

/// Natural strains along the edges to cartesian ones.
Matrix3 natural(const Facet& f) {
    const Edges e(f);
    const double x12 = e.x12, x23 = e.x23, x31 = e.x31, y12 = e.y12, y23 = e.y23, y31 = e.y31;
    const double x21 = -x12, x32 = -x23, x13 = -x31, y21 = -y12, y32 = -y23, y13 = -y31;
    Matrix3 T;
    T << y23 * y13 * e.l12, y31 * y21 * e.l23, y12 * y32 * e.l31, x23 * x13 * e.l12, x31 * x21 * e.l23,
        x12 * x32 * e.l31, (y23 * x31 + x32 * y13) * e.l12, (y31 * x12 + x13 * y21) * e.l23,
        (y12 * x23 + x21 * y32) * e.l31;
    return T / (4 * f.area * f.area);
}

/// Natural strains at the three corners from hierarchical rotations.
std::array<Matrix3, 3> cornerStrains(const Facet& f) {
    const Edges e(f);
    constexpr double b1 = 1, b2 = 2, b3 = 1, b4 = 0, b5 = 1, b6 = -1, b7 = -1, b8 = -1, b9 = -2;
    std::array<Matrix3, 3> q;
    q[0] << b1, b2, b3, b4, b5, b6, b7, b8, b9;
    q[1] << b9, b7, b8, b3, b1, b2, b6, b4, b5;
    q[2] << b5, b6, b4, b8, b9, b7, b2, b3, b1;
    for (auto& m : q) {
        m.row(0) *= 2 * f.area / 3 / e.l12;
        m.row(1) *= 2 * f.area / 3 / e.l23;
        m.row(2) *= 2 * f.area / 3 / e.l31;
    }
    return q;
}

/// Curvatures of the discrete Kirchhoff triangle from (w, θx, θy) of the corners, at area coordinates.
Matrix39 curvature(const Facet& f, const std::array<double, 3>& zeta) {
    // mid-side 4 on corners 2–3, 5 on 3–1, 6 on 1–2
    const Edges e(f);
    const double xs[3]{e.x23, e.x31, e.x12}, ys[3]{e.y23, e.y31, e.y12}, ls[3]{e.l23, e.l31, e.l12};
    double a[3], b[3], c[3], d[3], g[3];
    for (int k = 0; k < 3; ++k) {
        a[k] = -xs[k] / ls[k];
        b[k] = 0.75 * xs[k] * ys[k] / ls[k];
        c[k] = (0.25 * xs[k] * xs[k] - 0.5 * ys[k] * ys[k]) / ls[k];
        d[k] = -ys[k] / ls[k];
        g[k] = (0.25 * ys[k] * ys[k] - 0.5 * xs[k] * xs[k]) / ls[k];
    }
    // derivatives of the area coordinates: ζ1,x = y23/2A …
    const double zx[3]{e.y23 / (2 * f.area), e.y31 / (2 * f.area), e.y12 / (2 * f.area)};
    const double zy[3]{-e.x23 / (2 * f.area), -e.x31 / (2 * f.area), -e.x12 / (2 * f.area)};
    double nx[6], ny[6];  // of the quadratic shape functions
    for (int i = 0; i < 3; ++i) {
        const double z = 4 * zeta[static_cast<size_t>(i)] - 1;
        nx[i] = z * zx[i];
        ny[i] = z * zy[i];
        const int j = (i + 1) % 3, k = (i + 2) % 3;  // mid-side opposite corner i
        nx[3 + i] = 4 * (zeta[static_cast<size_t>(j)] * zx[k] + zeta[static_cast<size_t>(k)] * zx[j]);
        ny[3 + i] = 4 * (zeta[static_cast<size_t>(j)] * zy[k] + zeta[static_cast<size_t>(k)] * zy[j]);
    }
    Matrix39 B;
    for (int i = 0; i < 3; ++i) {
        const int m = (i + 1) % 3,
                  n = (i + 2) % 3;  // mid-sides next to corner i: `n` before it in the order 6, 5 of corner 1
        const auto hx = [&](const double* N, int which) {
            switch (which) {
                case 0:
                    return 1.5 * (a[n] * N[3 + n] - a[m] * N[3 + m]);
                case 1:
                    return b[m] * N[3 + m] + b[n] * N[3 + n];
                default:
                    return N[i] - c[m] * N[3 + m] - c[n] * N[3 + n];
            }
        };
        const auto hy = [&](const double* N, int which) {
            switch (which) {
                case 0:
                    return 1.5 * (d[n] * N[3 + n] - d[m] * N[3 + m]);
                case 1:
                    return -N[i] + g[m] * N[3 + m] + g[n] * N[3 + n];
                default:
                    return -b[m] * N[3 + m] - b[n] * N[3 + n];
            }
        };
        for (int k = 0; k < 3; ++k) {
            B(0, 3 * i + k) = hx(nx, k);
            B(1, 3 * i + k) = hy(ny, k);
            B(2, 3 * i + k) = hx(ny, k) + hy(nx, k);
        }
    }
    return B;
}

constexpr int kMembrane[9]{0, 1, 5, 6, 7, 11, 12, 13, 17}, kBending[9]{2, 3, 4, 8, 9, 10, 14, 15, 16};
constexpr std::array<std::array<double, 3>, 3> kGauss{
    {{2.0 / 3, 1.0 / 6, 1.0 / 6}, {1.0 / 6, 2.0 / 3, 1.0 / 6}, {1.0 / 6, 1.0 / 6, 2.0 / 3}}};

Vector18 local(const Facet& f, const Vector18& u) {
    Vector18 out;
    for (int i = 0; i < 6; ++i) out.segment<3>(3 * i) = f.axes * u.segment<3>(3 * i);
    return out;
}

}  // namespace

Facet Facet::of(const form::Vec3& a, const form::Vec3& b, const form::Vec3& c, const std::array<double, 3>& thickness) {
    Facet f;
    const Vector3d p = column(a), q = column(b), r = column(c);
    const Vector3d ex = (q - p).normalized(), n = (q - p).cross(r - p), ez = n.normalized(), ey = ez.cross(ex);
    f.axes << ex.transpose(), ey.transpose(), ez.transpose();
    f.area = 0.5 * n.norm();
    f.x = {0, ex.dot(q - p), ex.dot(r - p)};
    f.y = {0, 0, ey.dot(r - p)};
    f.t = thickness;
    return f;
}

Matrix18 stiffness(const Facet& f, double young, double poisson) {
    const Matrix3 E = elasticity(young, poisson);
    const double h = f.meanThickness();
    const Matrix39 B = meanMembrane(f), T = hierarchical(f);
    const Matrix3 Te = natural(f), En = Te.transpose() * E * Te;
    const auto q = cornerStrains(f);
    Matrix3 K = Matrix3::Zero();
    for (int i = 0; i < 3; ++i) {
        const Matrix3 mid = 0.5 * (q[static_cast<size_t>(i)] + q[static_cast<size_t>((i + 1) % 3)]);
        K += mid.transpose() * En * mid;
    }
    const Matrix9 membrane = f.area * h * (B.transpose() * E * B + 0.75 * kBeta0 * T.transpose() * K * T);
    Matrix9 bending = Matrix9::Zero();
    for (const auto& z : kGauss) {
        const double t = z[0] * f.t[0] + z[1] * f.t[1] + z[2] * f.t[2];
        const Matrix39 C = curvature(f, z);
        bending += (f.area / 3 * t * t * t / 12) * (C.transpose() * E * C);
    }
    Matrix18 k = Matrix18::Zero();
    for (int i = 0; i < 9; ++i)
        for (int j = 0; j < 9; ++j) {
            k(kMembrane[i], kMembrane[j]) = membrane(i, j);
            k(kBending[i], kBending[j]) = bending(i, j);
        }
    Matrix18 out;
    for (int i = 0; i < 6; ++i)
        for (int j = 0; j < 6; ++j)
            out.block<3, 3>(3 * i, 3 * j).noalias() = f.axes.transpose() * (k.block<3, 3>(3 * i, 3 * j) * f.axes);
    return out;
}

Strain strainAt(const Facet& f, double poisson, const Vector18& global, const std::array<double, 3>& zeta) {
    const Vector18 u = local(f, global);
    Eigen::Matrix<double, 9, 1> m, b;
    for (int i = 0; i < 9; ++i) {
        m(i) = u(kMembrane[i]);
        b(i) = u(kBending[i]);
    }
    // The linear part as Felippa's own higher-order factor scales it: that factor reproduces plane bending.
    const double scale = 1.5 * std::sqrt(std::max(0.01, 0.5 * (1 - 4 * poisson * poisson)));
    const auto q = cornerStrains(f);
    const Matrix3 Q = zeta[0] * q[0] + zeta[1] * q[1] + zeta[2] * q[2];
    return {meanMembrane(f) * m + scale * natural(f) * (Q * (hierarchical(f) * m)), curvature(f, zeta) * b};
}

Strain strainMean(const Facet& f, const Vector18& global) {
    const Vector18 u = local(f, global);
    Eigen::Matrix<double, 9, 1> m, b;
    for (int i = 0; i < 9; ++i) {
        m(i) = u(kMembrane[i]);
        b(i) = u(kBending[i]);
    }
    return {meanMembrane(f) * m, curvature(f, {1.0 / 3, 1.0 / 3, 1.0 / 3}) * b};
}

Vector3d planeStress(const Vector3d& strain, double young, double poisson) {
    return elasticity(young, poisson) * strain;
}

Matrix3 geometricStiffness(const Facet& f, const Vector3d& n) {
    const Edges e(f);
    Eigen::Matrix<double, 2, 3> g;
    g << e.y23, e.y31, e.y12, -e.x23, -e.x31, -e.x12;
    g /= 2 * f.area;
    Eigen::Matrix2d N;
    N << n(0), n(2), n(2), n(1);
    return f.area * g.transpose() * N * g;
}

}  // namespace uovo::shell
