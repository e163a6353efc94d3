// Shells that the tests of strength share.
#pragma once
#include <cmath>
#include <functional>
#include <numbers>
#include <random>

#include "core/shell/load.h"
#include "core/shell/verdict.h"

namespace uovo::test {

/// A net of triangles over (u, v), corners that fall together welded.
inline shell::Model net(int across, int along, const std::function<form::Vec3(double, double)>& at, double thickness) {
    form::Mesh mesh;
    for (int j = 0; j <= along; ++j)
        for (int i = 0; i <= across; ++i) mesh.points.push_back(at(double(i) / across, double(j) / along));
    const auto id = [&](int i, int j) { return j * (across + 1) + i; };
    for (int j = 0; j < along; ++j)
        for (int i = 0; i < across; ++i) {
            mesh.triangles.push_back({id(i, j), id(i + 1, j), id(i + 1, j + 1)});
            mesh.triangles.push_back({id(i, j), id(i + 1, j + 1), id(i, j + 1)});
        }
    mesh = form::weld(mesh, 1e-9);
    shell::Model m;
    m.points = mesh.points;
    m.triangles = mesh.triangles;
    m.thickness.assign(m.points.size(), thickness);
    m.material = {1e8, 0.33, 1300};
    return m;
}

/// A bowl open above: the lower part of a ball, its lowest point at z = 0, m.
inline shell::Model bowl(int around = 48, int up = 20, double radius = 0.06, double thickness = 0.002) {
    return net(
        around, up,
        [=](double u, double v) {
            const double t = std::numbers::pi / 2 * (0.02 + 0.98 * v), p = 2 * std::numbers::pi * u;
            return form::Vec3{radius * std::sin(t) * std::cos(p), radius * std::sin(t) * std::sin(p),
                              radius - radius * std::cos(t)};
        },
        thickness);
}

/// A plate of 1 by 1 with corners moved about, so that no two triangles are alike.
inline shell::Model skewedPlate(unsigned seed = 3) {
    shell::Model m = net(
        5, 4,
        [](double u, double v) {
            return form::Vec3{u, v, 0};
        },
        0.02);
    std::mt19937 random(seed);
    std::uniform_real_distribution<double> shake(-0.07, 0.07);
    for (auto& p : m.points)
        if (p.x > 1e-9 && p.x < 1 - 1e-9 && p.y > 1e-9 && p.y < 1 - 1e-9)
            p = p + form::Vec3{shake(random), shake(random), 0};
    return m;
}

inline double dotOf(const shell::Freedoms& a, const shell::Freedoms& b) {
    double sum = 0;
    for (size_t i = 0; i < a.size(); ++i) sum += a[i] * b[i];
    return sum;
}

}  // namespace uovo::test
