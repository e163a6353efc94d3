#include "core/form/mend.h"

#include <algorithm>
#include <numbers>

namespace uovo::form {
namespace {

using Ids = std::vector<int>;

/// A mesh whose triangles can vanish, with the triangles round each corner.
class Patch {
public:
    explicit Patch(Mesh& m, double turn) : m_(m), around_(m.points.size()), turn_(std::cos(turn)) {
        for (size_t t = 0; t < m.triangles.size(); ++t)
            for (const int i : m.triangles[t]) around_[at(i)].push_back(static_cast<int>(t));
    }

    bool alive(int t) const { return m_.triangles[at(t)][0] >= 0; }

    double least(const Triangle& t) const {
        double out = std::numbers::pi;
        for (size_t k = 0; k < 3; ++k) {
            const Vec3 u = p(t[(k + 1) % 3]) - p(t[k]), v = p(t[(k + 2) % 3]) - p(t[k]);
            out = std::min(out, std::atan2(length(cross(u, v)), dot(u, v)));
        }
        return out;
    }

    /// Draws the shortest edge of t together, or flips its longest. @returns whether the mesh changed
    bool better(int t) {
        const Triangle& c = m_.triangles[at(t)];
        size_t shortest = 0, longest = 0;
        const auto edge = [&](size_t k) { return length(p(c[(k + 1) % 3]) - p(c[k])); };
        for (size_t k = 1; k < 3; ++k) {
            if (edge(k) < edge(shortest)) shortest = k;
            if (edge(k) > edge(longest)) longest = k;
        }
        const int a = c[shortest], b = c[(shortest + 1) % 3], u = c[longest], v = c[(longest + 1) % 3];
        const bool needle = edge(shortest) < 0.35 * edge(longest);
        if (!needle) return flip(u, v) || drawn(a, b) || drawn(b, a);
        return drawn(a, b) || drawn(b, a) || flip(u, v);
    }

private:
    static size_t at(int i) { return static_cast<size_t>(i); }
    const Vec3& p(int i) const { return m_.points[at(i)]; }
    Vec3 normal(const Triangle& t) const { return unit(cross(p(t[1]) - p(t[0]), p(t[2]) - p(t[0]))); }

    Ids sharing(int a, int b) const {
        Ids out;
        for (const int t : around_[at(a)]) {
            const auto& c = m_.triangles[at(t)];
            if (c[0] == b || c[1] == b || c[2] == b) out.push_back(t);
        }
        return out;
    }
    Ids neighbours(int a) const {
        Ids out;
        for (const int t : around_[at(a)])
            for (const int i : m_.triangles[at(t)])
                if (i != a) out.push_back(i);
        std::sort(out.begin(), out.end());
        out.erase(std::unique(out.begin(), out.end()), out.end());
        return out;
    }
    /// Whether two faces that share an edge belong to different faces of the body.
    bool creased(int s, int t) const {
        return m_.mark(at(s)) != m_.mark(at(t)) || dot(normal(m_.triangles[at(s)]), normal(m_.triangles[at(t)])) < 0.86;
    }
    /// Other ends of the creases that meet in a corner.
    Ids creases(int a) const {
        Ids out;
        for (const int b : neighbours(a)) {
            const Ids s = sharing(a, b);
            if (s.size() != 2 || creased(s[0], s[1])) out.push_back(b);
        }
        return out;
    }

    /// Corner a moves into b.
    bool drawn(int a, int b) {
        const Ids common = sharing(a, b);
        if (common.size() != 2) return false;
        const Ids folds = creases(a);
        if (!folds.empty()) {  // a crease may only be shortened along itself, where it runs straight
            if (folds.size() != 2 || (folds[0] != b && folds[1] != b)) return false;
            const int other = folds[0] == b ? folds[1] : folds[0];
            if (dot(unit(p(b) - p(a)), unit(p(a) - p(other))) < 0.9) return false;
        }
        const Ids na = neighbours(a), nb = neighbours(b);
        Ids both;
        std::set_intersection(na.begin(), na.end(), nb.begin(), nb.end(), std::back_inserter(both));
        if (both.size() != 2) return false;  // the link condition: closed stays closed
        double before = std::numbers::pi, after = std::numbers::pi;
        for (const int t : around_[at(a)]) {
            const Triangle& old = m_.triangles[at(t)];
            before = std::min(before, least(old));
            if (t == common[0] || t == common[1]) continue;
            Triangle now = old;
            std::replace(now.begin(), now.end(), a, b);
            after = std::min(after, least(now));
            if (dot(normal(old), normal(now)) < (least(old) < 0.05 ? 0.7 : turn_)) return false;
        }
        if (after <= before * 1.02) return false;
        for (const int t : common) {
            for (const int i : m_.triangles[at(t)])
                if (i != a) std::erase(around_[at(i)], t);
            m_.triangles[at(t)] = {-1, -1, -1};
        }
        for (const int t : around_[at(a)]) {
            if (!alive(t)) continue;
            std::replace(m_.triangles[at(t)].begin(), m_.triangles[at(t)].end(), a, b);
            around_[at(b)].push_back(t);
        }
        around_[at(a)].clear();
        return true;
    }

    /// Edge u–v becomes the other diagonal of its two triangles.
    bool flip(int u, int v) {
        const Ids s = sharing(u, v);
        if (s.size() != 2 || m_.mark(at(s[0])) != m_.mark(at(s[1]))) return false;
        const auto apex = [&](int t) {
            for (const int i : m_.triangles[at(t)])
                if (i != u && i != v) return i;
            return -1;
        };
        const auto runs = [&](int t) {  // whether t runs from u to v
            const auto& c = m_.triangles[at(t)];
            return (c[0] == u && c[1] == v) || (c[1] == u && c[2] == v) || (c[2] == u && c[0] == v);
        };
        const int first = runs(s[0]) ? s[0] : s[1], second = first == s[0] ? s[1] : s[0], x = apex(first),
                  y = apex(second);
        if (x == y || !sharing(x, y).empty()) return false;
        const Triangle one{u, y, x}, two{y, v, x};
        const Triangle &a = m_.triangles[at(first)], &b = m_.triangles[at(second)];
        if (std::min(least(one), least(two)) <= std::min(least(a), least(b)) * 1.02) return false;
        const Vec3 n = unit(cross(p(a[1]) - p(a[0]), p(a[2]) - p(a[0])) + cross(p(b[1]) - p(b[0]), p(b[2]) - p(b[0])));
        for (const auto& t : {one, two})
            if (dot(normal(t), n) < turn_) return false;
        std::erase(around_[at(u)], second);
        std::erase(around_[at(v)], first);
        around_[at(x)].push_back(second);
        around_[at(y)].push_back(first);
        m_.triangles[at(first)] = one;
        m_.triangles[at(second)] = two;
        return true;
    }

    Mesh& m_;
    std::vector<Ids> around_;
    double turn_;
};

}  // namespace

Mesh mend(Mesh m, double leastAngle, double turn) {
    const auto bad = [&](const Triangle& t) {  // without square roots: sin² of the angle between the two longest edges
        const Vec3 a = m.points[static_cast<size_t>(t[1])] - m.points[static_cast<size_t>(t[0])],
                   b = m.points[static_cast<size_t>(t[2])] - m.points[static_cast<size_t>(t[1])],
                   c = m.points[static_cast<size_t>(t[0])] - m.points[static_cast<size_t>(t[2])];
        const Vec3 n = cross(a, b);
        double e[3] = {dot(a, a), dot(b, b), dot(c, c)};
        std::sort(e, e + 3);
        const double s = std::sin(leastAngle);
        return dot(n, n) < s * s * e[1] * e[2];
    };
    Ids open;
    for (size_t t = 0; t < m.triangles.size(); ++t)
        if (bad(m.triangles[t])) open.push_back(static_cast<int>(t));
    if (open.empty()) return m;
    Patch patch(m, turn);
    for (int pass = 0; pass < 8 && !open.empty(); ++pass) {
        bool changed = false;
        Ids next;
        for (const int t : open) {
            if (!patch.alive(t) || !bad(m.triangles[static_cast<size_t>(t)])) continue;
            changed = patch.better(t) || changed;
            next.push_back(t);
        }
        open = std::move(next);
        if (!changed) break;
    }
    Mesh out;
    std::vector<int> to(m.points.size(), -1);
    for (size_t t = 0; t < m.triangles.size(); ++t) {
        Triangle c = m.triangles[t];
        if (c[0] < 0) continue;
        for (int& i : c) {
            int& k = to[static_cast<size_t>(i)];
            if (k < 0) {
                k = static_cast<int>(out.points.size());
                out.points.push_back(m.points[static_cast<size_t>(i)]);
            }
            i = k;
        }
        out.triangles.push_back(c);
        if (!m.marks.empty()) out.marks.push_back(m.marks[t]);
    }
    return out;
}

}  // namespace uovo::form
