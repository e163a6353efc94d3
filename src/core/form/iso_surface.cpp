#include "core/form/iso_surface.h"

#include <numbers>
#include <unordered_map>
#include <vector>

namespace uovo::form {

namespace {

/// A field at the corners of a grid with a border outside.
struct Grid {
    Vec3 low;
    double step = 0;
    int nx = 0, ny = 0, nz = 0;
    std::vector<double> f;

    Grid(const std::function<double(const Vec3&)>& field, const Box& box, int cells) {
        const Vec3 size = box.size();
        low = box.low;
        step = std::max({size.x, size.y, size.z}) / cells;
        const auto count = [&](double length) { return static_cast<int>(std::ceil(length / step)) + 3; };
        nx = count(size.x);
        ny = count(size.y);
        nz = count(size.z);
        f.resize(static_cast<size_t>(nx) * static_cast<size_t>(ny) * static_cast<size_t>(nz));
        for (size_t n = 0; n < f.size(); ++n) {
            const int at = static_cast<int>(n), i = at % nx, j = at / nx % ny, k = at / nx / ny;
            const bool edge = i == 0 || j == 0 || k == 0 || i == nx - 1 || j == ny - 1 || k == nz - 1;
            f[n] = edge ? step : field(place(at));
            if (std::abs(f[n]) < 1e-3 * step) f[n] = f[n] < 0 ? -1e-3 * step : 1e-3 * step;  // no corner on the surface
        }
    }
    int number(int i, int j, int k) const { return (k * ny + j) * nx + i; }
    /// From a corner to the next along an axis.
    int stride(int axis) const { return axis == 0 ? 1 : axis == 1 ? nx : nx * ny; }
    Vec3 place(int n) const {
        const int row = n / nx, layer = row / ny;
        return low + Vec3{double(n % nx - 1), double(row % ny - 1), double(layer - 1)} * step;
    }
    bool in(int n) const { return f[static_cast<size_t>(n)] < 0; }
    Vec3 between(int a, int b) const {
        const double s = f[static_cast<size_t>(a)] / (f[static_cast<size_t>(a)] - f[static_cast<size_t>(b)]);
        return place(a) + (place(b) - place(a)) * s;
    }
    /// Fills corners until no two cells of inside, or of outside, meet in an edge or a corner only.
    void fill() {
        const auto take = [&](int n) { f[static_cast<size_t>(n)] = -0.3 * step; };
        for (bool changed = true; changed;) {
            changed = false;
            for (int k = 0; k + 1 < nz; ++k)
                for (int j = 0; j + 1 < ny; ++j)
                    for (int i = 0; i + 1 < nx; ++i) {
                        const int n = number(i, j, k);
                        for (const auto& [u, v] : {std::pair{0, 1}, {1, 2}, {0, 2}}) {
                            const int a = n, b = n + stride(u), c = n + stride(u) + stride(v), d = n + stride(v);
                            if (in(a) == in(c) && in(b) == in(d) && in(a) != in(b)) {
                                take(in(a) ? b : a);
                                changed = true;
                            }
                        }
                        const auto corner = [&](int q) {
                            return n + (q & 1) + (q & 2 ? stride(1) : 0) + (q & 4 ? stride(2) : 0);
                        };
                        int ins = 0, one = -1;
                        for (int q = 0; q < 8; ++q) {
                            ins += in(corner(q));
                            if (in(corner(q)) && one < 0) one = q;
                        }
                        if (ins == 2 && in(corner(7 - one))) {
                            for (int q = 0; q < 8; ++q) take(corner(q));
                            changed = true;
                        }
                        if (ins == 6)
                            for (int q = 0; q < 4; ++q)
                                if (!in(corner(q)) && !in(corner(7 - q))) {
                                    take(corner(q));
                                    changed = true;
                                }
                    }
        }
    }
};

}  // namespace

Mesh netSurface(const std::function<double(const Vec3&)>& field, const Box& box, int cells) {
    const Vec3 size = box.size(), wide = Vec3{1, 1, 1} * (std::max({size.x, size.y, size.z}) / cells);
    Grid g(field, {box.low - wide, box.high + wide}, cells + 2);  // room for what is filled
    g.fill();
    Mesh out;
    std::unordered_map<int, int> cornerOf;  // of a cell by its lowest corner
    const auto corner = [&](int cell) {
        const auto [it, fresh] = cornerOf.try_emplace(cell, static_cast<int>(out.points.size()));
        if (!fresh) return it->second;
        Vec3 sum;
        int many = 0;
        for (int axis = 0; axis < 3; ++axis)
            for (int q = 0; q < 4; ++q) {
                const int a = cell + (q & 1 ? g.stride((axis + 1) % 3) : 0) + (q & 2 ? g.stride((axis + 2) % 3) : 0),
                          b = a + g.stride(axis);
                if (g.in(a) == g.in(b)) continue;
                sum += g.between(a, b);
                ++many;
            }
        out.points.push_back(sum * (1.0 / std::max(1, many)));
        return it->second;
    };
    for (int k = 0; k + 1 < g.nz; ++k)
        for (int j = 0; j + 1 < g.ny; ++j)
            for (int i = 0; i + 1 < g.nx; ++i) {
                const int n = g.number(i, j, k), at[3]{i, j, k};
                for (int axis = 0; axis < 3; ++axis) {
                    if (at[(axis + 1) % 3] == 0 || at[(axis + 2) % 3] == 0 || g.in(n) == g.in(n + g.stride(axis)))
                        continue;
                    const int u = g.stride((axis + 1) % 3), v = g.stride((axis + 2) % 3);
                    // the four cells round this edge of the grid
                    int q[4]{corner(n - u - v), corner(n - v), corner(n), corner(n - u)};
                    if (!g.in(n)) std::swap(q[1], q[3]);
                    // along its shorter diagonal
                    const auto& p = out.points;
                    const Vec3 a = p[size_t(q[2])] - p[size_t(q[0])], b = p[size_t(q[3])] - p[size_t(q[1])];
                    if (dot(a, a) <= dot(b, b)) {
                        out.triangles.push_back({q[0], q[1], q[2]});
                        out.triangles.push_back({q[0], q[2], q[3]});
                    } else {
                        out.triangles.push_back({q[1], q[2], q[3]});
                        out.triangles.push_back({q[1], q[3], q[0]});
                    }
                }
            }
    return out;
}

Mesh isoSurface(const std::function<double(const Vec3&)>& field, const Box& box, int cells) {
    const Grid g(field, box, cells);
    const auto& f = g.f;
    const int nx = g.nx, ny = g.ny, nz = g.nz;
    const auto number = [&](int i, int j, int k) { return g.number(i, j, k); };
    const auto place = [&](int n) { return g.place(n); };
    Mesh out;
    std::unordered_map<EdgeKey, int> crossing;
    const auto cross = [&](int a, int b) {
        const auto [it, fresh] = crossing.try_emplace(edgeKey(a, b), static_cast<int>(out.points.size()));
        if (fresh) out.points.push_back(g.between(std::min(a, b), std::max(a, b)));
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
