#include "core/form/iso_surface.h"

#include <numbers>
#include <unordered_map>

namespace uovo::form {

Mesh isoSurface(const std::function<double(const Vec3&)>& field, const Box& box, int cells) {
    const Vec3 size = box.size();
    const double step = std::max({size.x, size.y, size.z}) / cells;
    const auto count = [&](double length) { return static_cast<int>(std::ceil(length / step)) + 3; };
    const int nx = count(size.x), ny = count(size.y), nz = count(size.z);
    const auto number = [&](int i, int j, int k) { return (k * ny + j) * nx + i; };
    const auto place = [&](int n) {
        const int row = n / nx, layer = row / ny;
        return box.low + Vec3{double(n % nx - 1), double(row % ny - 1), double(layer - 1)} * step;
    };
    std::vector<double> f(static_cast<size_t>(nx) * static_cast<size_t>(ny) * static_cast<size_t>(nz));
    for (size_t n = 0; n < f.size(); ++n) {
        const int at = static_cast<int>(n), i = at % nx, j = at / nx % ny, k = at / nx / ny;
        const bool edge = i == 0 || j == 0 || k == 0 || i == nx - 1 || j == ny - 1 || k == nz - 1;
        f[n] = edge ? step : field(place(at));
        if (std::abs(f[n]) < 1e-3 * step) f[n] = f[n] < 0 ? -1e-3 * step : 1e-3 * step;  // no corner on the surface
    }
    Mesh out;
    std::unordered_map<EdgeKey, int> crossing;
    const auto cross = [&](int a, int b) {
        const auto [it, fresh] = crossing.try_emplace(edgeKey(a, b), static_cast<int>(out.points.size()));
        if (fresh) {
            const int low = std::min(a, b), high = std::max(a, b);
            const double s = f[size_t(low)] / (f[size_t(low)] - f[size_t(high)]);
            out.points.push_back(place(low) + (place(high) - place(low)) * s);
        }
        return it->second;
    };
    const auto add = [&](int a, int b, int c, const Vec3& inside) {
        const auto& p = out.points;
        const Vec3 n = uovo::form::cross(p[size_t(b)] - p[size_t(a)], p[size_t(c)] - p[size_t(a)]);
        if (dot(n, p[size_t(a)] - inside) < 0) std::swap(b, c);
        out.triangles.push_back({a, b, c});
    };
    constexpr int kTetrahedra[6][4]{{0, 5, 1, 6}, {0, 1, 2, 6}, {0, 2, 3, 6}, {0, 3, 7, 6}, {0, 7, 4, 6}, {0, 4, 5, 6}};
    for (int k = 0; k + 1 < nz; ++k)
        for (int j = 0; j + 1 < ny; ++j)
            for (int i = 0; i + 1 < nx; ++i) {
                const int corner[8]{
                    number(i, j, k),     number(i + 1, j, k),     number(i + 1, j + 1, k),     number(i, j + 1, k),
                    number(i, j, k + 1), number(i + 1, j, k + 1), number(i + 1, j + 1, k + 1), number(i, j + 1, k + 1)};
                for (const auto& t : kTetrahedra) {
                    int in[4], out_[4], ins = 0, outs = 0;
                    for (const int c : t) {
                        if (f[size_t(corner[c])] < 0) in[ins++] = corner[c];
                        else out_[outs++] = corner[c];
                    }
                    if (ins == 1 || ins == 3) {
                        const int alone = ins == 1 ? in[0] : out_[0];
                        const int* others = ins == 1 ? out_ : in;
                        add(cross(alone, others[0]), cross(alone, others[1]), cross(alone, others[2]),
                            ins == 1 ? place(alone) : place(in[0]));
                    } else if (ins == 2) {
                        const int a = cross(in[0], out_[0]), b = cross(in[0], out_[1]), c = cross(in[1], out_[1]),
                                  d = cross(in[1], out_[0]);
                        add(a, b, c, place(in[0]));
                        add(a, c, d, place(in[0]));
                    }
                }
            }
    return out;
}

double fromRod(const Vec3& at, const Vec3& a, const Vec3& b, double radiusA, double radiusB) {
    const Vec3 along = b - a;
    const double s = std::clamp(dot(at - a, along) / std::max(1e-30, dot(along, along)), 0.0, 1.0);
    return length(at - (a + along * s)) - (radiusA + (radiusB - radiusA) * s);
}

double blended(double a, double b, double r) {
    const double h = std::max(r - std::abs(a - b), 0.0) / r;
    return std::min(a, b) - h * h * r / 4;
}

Mesh seedHead(double height, int cells) {
    const auto field = [](const Vec3& p) {  // of a figure one high
        double d = fromRod(p, {0, 0, 0.03}, {0.02, 0, 0.40}, 0.055, 0.045);
        d = blended(d, fromRod(p, {0.02, 0, 0.40}, {0, 0, 0.66}, 0.045, 0.05), 0.04);
        for (int k = 0; k < 3; ++k) {  // shoots to three sides, each with its pod
            const double a = 2 * std::numbers::pi * k / 3 + 0.2, up = 0.24 + 0.07 * k, far = 0.20 + 0.015 * k;
            const Vec3 out{std::cos(a), std::sin(a), 0}, root = Vec3{0.012, 0, up},
                                                         tip = out * far + Vec3{0, 0, up + 0.13};
            d = blended(d, fromRod(p, root, tip, 0.038, 0.032), 0.04);
            d = blended(d,
                        fromRod(p, tip + out * 0.03 + Vec3{0, 0, 0.02}, tip + out * 0.06 + Vec3{0, 0, 0.1}, 0.07, 0.05),
                        0.03);
        }
        const Vec3 q = p - Vec3{0, 0, 0.80};
        const double r = length(q), ribs = 0.003 * std::cos(9 * std::atan2(q.y, q.x)) * std::hypot(q.x, q.y) / 0.16;
        d = blended(d, r - 0.16 - ribs, 0.04);
        return blended(d, fromRod(p, {0, 0, 0.93}, {0, 0, 1.0}, 0.08, 0.035), 0.03);  // its crown
    };
    Mesh m = isoSurface(field, {{-0.40, -0.40, -0.04}, {0.40, 0.40, 1.09}}, cells);
    const double k = height / bounds(m).size().z;
    const double low = bounds(m).low.z;
    for (auto& p : m.points) p = Vec3{p.x, p.y, p.z - low} * k;
    return m;
}

}  // namespace uovo::form
