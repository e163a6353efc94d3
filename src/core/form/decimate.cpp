#include "core/form/decimate.h"

#include <algorithm>
#include <queue>

namespace uovo::form {
namespace {

/// Sum of squared distances to planes, as a symmetric 4×4 form.
struct Quadric {
    double a[10] = {0, 0, 0, 0, 0, 0, 0, 0, 0, 0};
    void plane(const Vec3& n, double d, double w) {
        const double v[4]{n.x, n.y, n.z, d};
        for (int i = 0, k = 0; i < 4; ++i)
            for (int j = i; j < 4; ++j) a[k++] += w * v[i] * v[j];
    }
    Quadric operator+(const Quadric& o) const {
        Quadric q;
        for (int i = 0; i < 10; ++i) q.a[i] = a[i] + o.a[i];
        return q;
    }
    double at(const Vec3& p) const {
        return a[0] * p.x * p.x + 2 * a[1] * p.x * p.y + 2 * a[2] * p.x * p.z + 2 * a[3] * p.x + a[4] * p.y * p.y +
               2 * a[5] * p.y * p.z + 2 * a[6] * p.y + a[7] * p.z * p.z + 2 * a[8] * p.z + a[9];
    }
    /// The point where the sum is least, if it is well defined.
    bool best(Vec3& out) const {
        const double det = a[0] * (a[4] * a[7] - a[5] * a[5]) - a[1] * (a[1] * a[7] - a[5] * a[2]) +
                           a[2] * (a[1] * a[5] - a[4] * a[2]);
        const double size = a[0] + a[4] + a[7];
        if (!(std::abs(det) > 1e-6 * size * size * size)) return false;
        const double b0 = -a[3], b1 = -a[6], b2 = -a[8];
        out.x =
            (b0 * (a[4] * a[7] - a[5] * a[5]) - a[1] * (b1 * a[7] - a[5] * b2) + a[2] * (b1 * a[5] - a[4] * b2)) / det;
        out.y =
            (a[0] * (b1 * a[7] - b2 * a[5]) - b0 * (a[1] * a[7] - a[5] * a[2]) + a[2] * (a[1] * b2 - b1 * a[2])) / det;
        out.z =
            (a[0] * (a[4] * b2 - a[5] * b1) - a[1] * (a[1] * b2 - b1 * a[2]) + b0 * (a[1] * a[5] - a[4] * a[2])) / det;
        return true;
    }
};

struct Collapse {
    double cost;
    int a, b;
    unsigned stampA, stampB;
    Vec3 to;
    bool operator<(const Collapse& o) const { return cost > o.cost; }
};

}  // namespace

std::optional<Mesh> decimated(const Mesh& mesh, size_t wanted, std::stop_token stop,
                              const std::function<void(double)>& progress) {
    Mesh m = mesh;
    m.marks.clear();
    if (m.triangles.size() <= wanted) return m;
    const size_t n = m.points.size();
    std::vector<std::vector<int>> around(n);  // triangles at each corner
    std::vector<Quadric> quadric(n);
    std::vector<unsigned> stamp(n, 0);
    std::vector<char> alive(m.triangles.size(), 1);
    const auto point = [&](int i) -> Vec3& { return m.points[static_cast<size_t>(i)]; };
    for (size_t i = 0; i < m.triangles.size(); ++i) {
        const auto& t = m.triangles[i];
        const Vec3 c = cross(point(t[1]) - point(t[0]), point(t[2]) - point(t[0]));
        const Vec3 normal = unit(c);
        for (const int k : t) {
            around[static_cast<size_t>(k)].push_back(static_cast<int>(i));
            quadric[static_cast<size_t>(k)].plane(normal, -dot(normal, point(t[0])), length(c));
        }
    }
    std::priority_queue<Collapse> queue;
    const auto propose = [&](int a, int b) {
        const Quadric q = quadric[static_cast<size_t>(a)] + quadric[static_cast<size_t>(b)];
        Vec3 to;
        const Vec3 mid = (point(a) + point(b)) * 0.5;
        if (!q.best(to) || length(to - mid) > 2 * length(point(a) - point(b))) to = mid;
        queue.push({std::max(0.0, q.at(to)), a, b, stamp[static_cast<size_t>(a)], stamp[static_cast<size_t>(b)], to});
    };
    for (const auto& t : m.triangles)
        for (size_t k = 0; k < 3; ++k)
            if (t[k] < t[(k + 1) % 3]) propose(t[k], t[(k + 1) % 3]);
    size_t left = m.triangles.size();
    const size_t start = left;
    size_t steps = 0;
    std::vector<int> ringA, ringB;
    const auto ring = [&](int v, std::vector<int>& out) {
        out.clear();
        for (const int f : around[static_cast<size_t>(v)])
            for (const int k : m.triangles[static_cast<size_t>(f)])
                if (k != v) out.push_back(k);
        std::sort(out.begin(), out.end());
        out.erase(std::unique(out.begin(), out.end()), out.end());
    };
    const auto folds = [&](int v, int other, const Vec3& to) {
        for (const int f : around[static_cast<size_t>(v)]) {
            const auto& t = m.triangles[static_cast<size_t>(f)];
            if (t[0] == other || t[1] == other || t[2] == other) continue;
            Vec3 p[3];
            for (size_t k = 0; k < 3; ++k) p[k] = t[k] == v ? to : point(t[k]);
            const Vec3 before = cross(point(t[1]) - point(t[0]), point(t[2]) - point(t[0])),
                       after = cross(p[1] - p[0], p[2] - p[0]);
            if (dot(before, after) < 0.2 * length(before) * length(after) || length(after) < 1e-18) return true;
            // no needle that is thinner than what was there
            constexpr double kNeedle = 2e-3;
            const auto longest = [](const Vec3& a, const Vec3& b, const Vec3& c) {
                return std::max({dot(b - a, b - a), dot(c - b, c - b), dot(a - c, a - c)});
            };
            const double now = length(after) / longest(p[0], p[1], p[2]);
            if (now < kNeedle && now < length(before) / longest(point(t[0]), point(t[1]), point(t[2]))) return true;
        }
        return false;
    };
    while (left > wanted && !queue.empty()) {
        if (++steps % 4096 == 0) {
            if (stop.stop_requested()) return std::nullopt;
            if (progress) progress(static_cast<double>(start - left) / static_cast<double>(start - wanted));
        }
        const Collapse c = queue.top();
        queue.pop();
        if (c.stampA != stamp[static_cast<size_t>(c.a)] || c.stampB != stamp[static_cast<size_t>(c.b)]) continue;
        ring(c.a, ringA);
        ring(c.b, ringB);
        std::vector<int> common;
        std::set_intersection(ringA.begin(), ringA.end(), ringB.begin(), ringB.end(), std::back_inserter(common));
        if (common.size() != 2 || folds(c.a, c.b, c.to) || folds(c.b, c.a, c.to)) continue;
        point(c.a) = c.to;
        quadric[static_cast<size_t>(c.a)] = quadric[static_cast<size_t>(c.a)] + quadric[static_cast<size_t>(c.b)];
        auto& own = around[static_cast<size_t>(c.a)];
        for (const int f : around[static_cast<size_t>(c.b)]) {
            auto& t = m.triangles[static_cast<size_t>(f)];
            if (t[0] == c.a || t[1] == c.a || t[2] == c.a) {  // the two triangles on the edge vanish
                alive[static_cast<size_t>(f)] = 0;
                --left;
                for (const int k : t)
                    if (k != c.b) std::erase(around[static_cast<size_t>(k)], f);
                continue;
            }
            for (int& k : t)
                if (k == c.b) k = c.a;
            own.push_back(f);
        }
        around[static_cast<size_t>(c.b)].clear();
        ++stamp[static_cast<size_t>(c.a)];
        ++stamp[static_cast<size_t>(c.b)];
        ring(c.a, ringA);
        for (const int k : ringA) propose(std::min(c.a, k), std::max(c.a, k));
    }
    Mesh out;
    std::vector<int> number(n, -1);
    for (size_t i = 0; i < m.triangles.size(); ++i) {
        if (!alive[i]) continue;
        Triangle t{};
        for (size_t k = 0; k < 3; ++k) {
            int& id = number[static_cast<size_t>(m.triangles[i][k])];
            if (id < 0) {
                id = static_cast<int>(out.points.size());
                out.points.push_back(point(m.triangles[i][k]));
            }
            t[k] = id;
        }
        out.triangles.push_back(t);
    }
    if (progress) progress(1);
    return out;
}

}  // namespace uovo::form
