#include "core/mold/air.h"

#include <algorithm>

namespace uovo::mold {

using form::Mesh;
using form::Vec3;

// Corners are taken from the highest down; those that hang together by edges are one pool of air. Where two pools meet,
// the one with the lower top has found its way out: what lies above that level stays.
std::vector<AirTrap> airTraps(const Mesh& mesh, const Vec3& up, double opening, double least) {
    const size_t n = mesh.points.size();
    std::vector<double> height(n);
    for (size_t i = 0; i < n; ++i) height[i] = form::dot(mesh.points[i], up);
    std::vector<std::vector<int>> beside(n);
    std::vector<Vec3> outward(n);
    std::vector<double> area(n, 0);
    std::vector<char> used(n, 0);
    for (const auto& t : mesh.triangles) {
        const Vec3 a = mesh.points[size_t(t[0])];
        const Vec3 twice = form::cross(mesh.points[size_t(t[1])] - a, mesh.points[size_t(t[2])] - a);
        for (size_t i = 0; i < 3; ++i) {
            const auto at = size_t(t[i]);
            used[at] = 1;
            outward[at] += twice;
            area[at] += form::length(twice) / 6;
            beside[at].push_back(t[(i + 1) % 3]);
            beside[at].push_back(t[(i + 2) % 3]);
        }
    }
    std::vector<int> order;
    for (size_t i = 0; i < n; ++i)
        if (used[i]) order.push_back(static_cast<int>(i));
    std::sort(order.begin(), order.end(), [&](int a, int b) {
        return height[size_t(a)] != height[size_t(b)] ? height[size_t(a)] > height[size_t(b)] : a < b;
    });
    if (order.empty()) return {};
    const double top = height[size_t(order.front())];
    std::vector<int> pool(n, -1), next(n, -1), last(n);  // union-find; members of a pool as a chain
    std::vector<AirTrap> out;
    const auto find = [&](int i) {
        while (pool[size_t(i)] != i) i = pool[size_t(i)] = pool[size_t(pool[size_t(i)])];
        return i;
    };
    const auto isOpen = [&](int root) { return height[size_t(root)] > top - opening; };
    const auto close = [&](int root, double level) {  // a root is its pool's top
        const double depth = height[size_t(root)] - level;
        if (isOpen(root) || depth < least || form::dot(outward[size_t(root)], up) <= 0) return;
        AirTrap trap{mesh.points[size_t(root)], depth, 0};
        for (int i = root; i >= 0; i = next[size_t(i)]) trap.area += area[size_t(i)];
        out.push_back(trap);
    };
    for (const int i : order) {
        pool[size_t(i)] = i;
        last[size_t(i)] = i;
        for (const int j : beside[size_t(i)]) {
            if (pool[size_t(j)] < 0) continue;
            int a = find(i), b = find(j);
            if (a == b) continue;
            const bool higher = height[size_t(a)] != height[size_t(b)] ? height[size_t(a)] > height[size_t(b)] : a < b;
            if (!higher) std::swap(a, b);  // a keeps its top
            if (b != i) close(b, height[size_t(i)]);
            pool[size_t(b)] = a;
            next[size_t(last[size_t(a)])] = b;
            last[size_t(a)] = last[size_t(b)];
        }
    }
    const double lowest = height[size_t(order.back())];
    for (const int i : order)  // shells by themselves
        if (pool[size_t(i)] == i) close(i, lowest);
    std::stable_sort(out.begin(), out.end(), [](const AirTrap& a, const AirTrap& b) { return a.depth > b.depth; });
    return out;
}

}  // namespace uovo::mold
