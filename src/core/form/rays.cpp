#include "core/form/rays.h"

#include <limits>
#include <numeric>

namespace uovo::form {
namespace {

constexpr int kLeaf = 4;

Box around(const Box& a, const Box& b) {
    return {{std::min(a.low.x, b.low.x), std::min(a.low.y, b.low.y), std::min(a.low.z, b.low.z)},
            {std::max(a.high.x, b.high.x), std::max(a.high.y, b.high.y), std::max(a.high.z, b.high.z)}};
}

/// Whether a ray enters a box. @param per 1 / direction
bool enters(const Box& box, const Vec3& from, const Vec3& per) {
    double low = 0, high = std::numeric_limits<double>::infinity();
    const auto slab = [&](double lo, double hi, double at, double inverse) {
        double near = (lo - at) * inverse, far = (hi - at) * inverse;
        if (near > far) std::swap(near, far);
        if (near > low) low = near;  // NaN, a ray in the slab's face, changes nothing
        if (far < high) high = far;
    };
    slab(box.low.x, box.high.x, from.x, per.x);
    slab(box.low.y, box.high.y, from.y, per.y);
    slab(box.low.z, box.high.z, from.z, per.z);
    return low <= high;
}

}  // namespace

Rays::Rays(const Mesh& mesh) {
    const size_t n = mesh.triangles.size();
    std::vector<Box> boxes(n);
    for (size_t k = 0; k < n; ++k) {
        const auto at = [&](int i) { return mesh.points[size_t(mesh.triangles[k][size_t(i)])]; };
        boxes[k] = {at(0), at(0)};
        for (const int i : {1, 2}) boxes[k] = around(boxes[k], {at(i), at(i)});
    }
    std::vector<int> order(n);
    std::iota(order.begin(), order.end(), 0);
    nodes_.reserve(n);
    if (n > 0) build(0, static_cast<int>(n), order, boxes);
    corners_.reserve(n);
    for (const int k : order) {
        const auto& t = mesh.triangles[size_t(k)];
        const Vec3 a = mesh.points[size_t(t[0])];
        corners_.push_back({a, mesh.points[size_t(t[1])] - a, mesh.points[size_t(t[2])] - a});
    }
}

int Rays::build(int first, int many, std::vector<int>& order, const std::vector<Box>& boxes) {
    const int at = static_cast<int>(nodes_.size());
    nodes_.emplace_back();
    Box box = boxes[size_t(order[size_t(first)])];
    for (int i = 1; i < many; ++i) box = around(box, boxes[size_t(order[size_t(first) + size_t(i)])]);
    nodes_[size_t(at)].box = box;
    if (many <= kLeaf) {
        nodes_[size_t(at)].first = first;
        nodes_[size_t(at)].many = many;
        return at;
    }
    const Vec3 size = box.size();
    const auto middle = [&](int k) {
        const Box& b = boxes[size_t(k)];
        return size.x >= size.y && size.x >= size.z ? b.low.x + b.high.x
               : size.y >= size.z                   ? b.low.y + b.high.y
                                                    : b.low.z + b.high.z;
    };
    const auto begin = order.begin() + first;
    std::nth_element(begin, begin + many / 2, begin + many, [&](int a, int b) {
        const double x = middle(a), y = middle(b);
        return x != y ? x < y : a < b;
    });
    const int left = build(first, many / 2, order, boxes);
    const int right = build(first + many / 2, many - many / 2, order, boxes);
    nodes_[size_t(at)].left = left;
    nodes_[size_t(at)].right = right;
    return at;
}

bool Rays::blocked(const Vec3& from, const Vec3& along) const {
    if (nodes_.empty()) return false;
    const Vec3 per{1 / along.x, 1 / along.y, 1 / along.z};
    int stack[64], depth = 0;
    stack[depth++] = 0;
    while (depth > 0) {
        const Node& node = nodes_[size_t(stack[--depth])];
        if (!enters(node.box, from, per)) continue;
        if (node.many == 0) {
            stack[depth++] = node.right;
            stack[depth++] = node.left;
            continue;
        }
        for (int i = node.first; i < node.first + node.many; ++i) {  // Möller and Trumbore 1997
            const auto& t = corners_[size_t(i)];
            const Vec3 p = cross(along, t.ac);
            const double det = dot(t.ab, p);
            if (det == 0) continue;
            const Vec3 s = from - t.a;
            const double u = dot(s, p) / det;
            if (u < 0 || u > 1) continue;
            const Vec3 q = cross(s, t.ab);
            const double v = dot(along, q) / det;
            if (v < 0 || u + v > 1) continue;
            if (dot(t.ac, q) / det >= 0) return true;
        }
    }
    return false;
}

}  // namespace uovo::form
