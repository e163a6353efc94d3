#include "core/form/cut_field.h"

#include <unordered_map>

#include "core/form/mend.h"

namespace uovo::form {

Mesh cutByField(Mesh m, const std::function<double(const Vec3&)>& field) {
    constexpr double kNear = 0.22;  // share of an edge within which its end moves onto the line
    std::vector<double> f(m.points.size());
    std::vector<bool> fixed(m.points.size());  // corners of the rim stay on it
    for (size_t i = 0; i < f.size(); ++i) f[i] = field(m.points[i]);
    for (size_t t = 0; t < m.triangles.size(); ++t)
        if (m.mark(t) != Mark::Wall)
            for (const int i : m.triangles[t]) fixed[static_cast<size_t>(i)] = true;
    const std::vector<Vec3> before = m.points;
    for (const auto& t : m.triangles)
        for (size_t k = 0; k < 3; ++k) {
            const auto a = static_cast<size_t>(t[k]), b = static_cast<size_t>(t[(k + 1) % 3]);
            if ((fixed[a] && !fixed[b]) || !((f[a] > 0 && f[b] < 0) || (f[a] < 0 && f[b] > 0))) continue;
            if (const double share = f[a] / (f[a] - f[b]); share < kNear) {
                m.points[a] = before[a] + (before[b] - before[a]) * share;
                f[a] = 0;
            }
        }
    Mesh out;
    out.points = std::move(m.points);
    std::unordered_map<EdgeKey, int> crossing;
    const auto cross = [&](int a, int b) {
        auto [it, fresh] = crossing.try_emplace(edgeKey(a, b), static_cast<int>(out.points.size()));
        if (fresh) {
            const double fa = f[static_cast<size_t>(a)], fb = f[static_cast<size_t>(b)];
            const Vec3 p = out.points[static_cast<size_t>(a)], q = out.points[static_cast<size_t>(b)];
            out.points.push_back(p + (q - p) * (fa / (fa - fb)));
        }
        return it->second;
    };
    const auto add = [&](int a, int b, int c, Mark mark) {
        out.triangles.push_back({a, b, c});
        out.marks.push_back(mark);
    };
    const auto sign = [&](int i) { return f[static_cast<size_t>(i)] > 0 ? 1 : f[static_cast<size_t>(i)] < 0 ? -1 : 0; };
    const auto markOf = [](int s) { return s < 0 ? Mark::Lid : Mark::Wall; };
    for (size_t t = 0; t < m.triangles.size(); ++t) {
        const Triangle c = m.triangles[t];
        const int s[3] = {sign(c[0]), sign(c[1]), sign(c[2])};
        const bool up = s[0] > 0 || s[1] > 0 || s[2] > 0, down = s[0] < 0 || s[1] < 0 || s[2] < 0;
        const bool own = m.mark(t) == Mark::Wall;
        if (!(up && down)) {
            add(c[0], c[1], c[2], own && !down ? Mark::Wall : Mark::Lid);
            continue;
        }
        const auto mark = [&](int which) { return own ? markOf(which) : Mark::Lid; };
        for (size_t k = 0; k < 3; ++k) {
            const int a = c[k], b = c[(k + 1) % 3], d = c[(k + 2) % 3], sa = s[k], sb = s[(k + 1) % 3],
                      sd = s[(k + 2) % 3];
            if (sa == 0 && sb * sd < 0) {  // from a corner to the middle of the opposite edge
                const int x = cross(b, d);
                add(a, b, x, mark(sb));
                add(a, x, d, mark(sd));
                break;
            }
            if (sa != 0 && sb == sd && sb == -sa) {  // a alone on its side
                const int x = cross(a, b), y = cross(a, d);
                add(a, x, y, mark(sa));
                if (length(out.points[static_cast<size_t>(x)] - out.points[static_cast<size_t>(d)]) <
                    length(out.points[static_cast<size_t>(y)] - out.points[static_cast<size_t>(b)])) {
                    add(x, b, d, mark(sb));
                    add(x, d, y, mark(sb));
                } else {
                    add(x, b, y, mark(sb));
                    add(y, b, d, mark(sb));
                }
                break;
            }
        }
    }
    return mend(std::move(out));
}

}  // namespace uovo::form
