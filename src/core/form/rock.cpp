#include "core/form/rock.h"

#include <algorithm>
#include <map>
#include <random>

namespace uovo::form {

Mesh rock(double size, unsigned seed, int subdivisions) {
    const double g = (1 + std::sqrt(5.0)) / 2;
    Mesh m;
    m.points = {{-1, g, 0},  {1, g, 0},  {-1, -g, 0}, {1, -g, 0}, {0, -1, g},  {0, 1, g},
                {0, -1, -g}, {0, 1, -g}, {g, 0, -1},  {g, 0, 1},  {-g, 0, -1}, {-g, 0, 1}};
    m.triangles = {{0, 11, 5},  {0, 5, 1},  {0, 1, 7},  {0, 7, 10}, {0, 10, 11}, {1, 5, 9}, {5, 11, 4},
                   {11, 10, 2}, {10, 7, 6}, {7, 1, 8},  {3, 9, 4},  {3, 4, 2},   {3, 2, 6}, {3, 6, 8},
                   {3, 8, 9},   {4, 9, 5},  {2, 4, 11}, {6, 2, 10}, {8, 6, 7},   {9, 8, 1}};
    for (int s = 0; s < subdivisions; ++s) {
        std::map<std::pair<int, int>, int> middle;
        const auto mid = [&](int a, int b) {
            const auto key = std::minmax(a, b);
            if (const auto it = middle.find(key); it != middle.end()) return it->second;
            m.points.push_back((m.points[static_cast<size_t>(a)] + m.points[static_cast<size_t>(b)]) * 0.5);
            return middle[key] = static_cast<int>(m.points.size()) - 1;
        };
        std::vector<Triangle> finer;
        for (const auto& t : m.triangles) {
            const int a = mid(t[0], t[1]), b = mid(t[1], t[2]), c = mid(t[2], t[0]);
            finer.insert(finer.end(), {{t[0], a, c}, {t[1], b, a}, {t[2], c, b}, {a, b, c}});
        }
        m.triangles = std::move(finer);
    }
    std::mt19937 random(seed);
    const auto uniform = [&] { return static_cast<double>(random()) / 4294967295.0; };
    struct Bump {
        Vec3 at;
        double depth, width;
    };
    std::vector<Bump> bumps;
    for (int i = 0; i < 26; ++i) {
        const Vec3 at = unit(Vec3{uniform() - 0.5, uniform() - 0.5, uniform() - 0.5});
        bumps.push_back({at, (uniform() - 0.62) * 0.28, 0.25 + 0.5 * uniform()});
    }
    for (auto& p : m.points) {
        const Vec3 d = unit(p);
        double r = 1;
        for (const auto& b : bumps) {
            const Vec3 gap = d - b.at;
            r += b.depth * std::exp(-dot(gap, gap) / (b.width * b.width));
        }
        p = {d.x * r * 1.1, d.y * r * 0.9, d.z * r * 0.75};
    }
    const Box b = bounds(m);
    const double flat = b.low.z + 0.22 * b.size().z, k = size / std::max(b.size().x, b.size().y);
    for (auto& p : m.points) {  // it lies on a soft flat
        if (p.z < flat) p.z = flat + 0.12 * (p.z - flat);
        p = p * k;
    }
    const double low = bounds(m).low.z;
    for (auto& p : m.points) p.z -= low;
    return m;
}

}  // namespace uovo::form
