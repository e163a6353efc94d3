#include "core/form/loft.h"

#include <algorithm>
#include <cassert>
#include <numbers>

namespace uovo::form {
namespace {

using std::numbers::pi;

constexpr double kTurnARow = 0.15;  // rad a meridian may turn from row to row

/// Parameters that cut a piece into rows about `along` long, closer where it turns sharply.
std::vector<double> rowsOf(const Meridian::Piece& piece, double along) {
    constexpr int kFine = 384;
    std::vector<double> measure{0};
    CurvePoint a = piece(0);
    double before = 0;
    for (int i = 1; i <= kFine; ++i) {
        const CurvePoint b = piece(double(i) / kFine);
        const double direction = std::atan2(b.z - a.z, b.r - a.r);
        const double turn = i == 1 ? 0 : std::abs(std::remainder(direction - before, 2 * pi));
        before = direction;
        measure.push_back(measure.back() + std::hypot(b.r - a.r, b.z - a.z) / (0.9 * along) + turn / kTurnARow);
        a = b;
    }
    const int n = std::max(1, static_cast<int>(std::lround(measure.back())));
    std::vector<double> out{0};
    size_t k = 0;
    for (int i = 1; i < n; ++i) {
        const double want = measure.back() * i / n;
        while (measure[k + 1] < want) ++k;
        out.push_back((double(k) + (want - measure[k]) / (measure[k + 1] - measure[k])) / kFine);
    }
    out.push_back(1);
    return out;
}

/// How many times each ring is doubled: by the wanted edge, by the height of the bands beside it so that narrow bands
/// get no needles, at most one doubling from ring to ring, within the budget of triangles.
std::vector<int> doublings(const std::vector<Ring>& rings, const LoftOptions& o) {
    const size_t n = rings.size();
    const auto pole = [&](size_t i) { return rings[i].length <= 0; };
    std::vector<double> height(n, 0.0);
    for (size_t i = 0; i < n; ++i) {
        const size_t j = (i + 1) % n;
        if (j == 0 && !o.loop) break;
        double least = 1e9;
        for (int k = 0; k < 8; ++k) least = std::min(least, length(rings[j].at(k / 8.0) - rings[i].at(k / 8.0)));
        height[i] = least;
    }
    std::vector<int> level(n, 0);
    int deepest = 0;
    for (size_t i = 0; i < n; ++i) {
        if (pole(i)) continue;
        double edge = o.edge;
        for (const size_t band : {i ? i - 1 : (o.loop ? n - 1 : n), i})
            if (band < n && height[band] > 0) edge = std::min(edge, 2.6 * height[band]);
        const double want = rings[i].length / edge;
        while (o.base * std::pow(2.0, level[i] + 0.5) < want && level[i] < 12) ++level[i];
        deepest = std::max(deepest, level[i]);
    }
    // At most one doubling from ring to ring: raise the coarser one.
    for (int pass = 0; pass < 2 * deepest + 2; ++pass) {
        bool changed = false;
        for (size_t i = 0; i + (o.loop ? 0 : 1) < n; ++i) {
            const size_t j = (i + 1) % n;
            if (pole(i) || pole(j)) continue;
            int &a = level[i], &b = level[j];
            if (a < b - 1) a = b - 1, changed = true;
            if (b < a - 1) b = a - 1, changed = true;
        }
        if (!changed) break;
    }
    for (bool coarser = true;
         o.most > 0 && coarser;) {  // the budget: the finest rings one doubling less, as long as they keep their least
        double triangles = 0;
        int finest = 0;
        for (size_t i = 0; i < n; ++i) {
            triangles += pole(i) ? 0 : 2.0 * (o.base << level[i]);
            if (level[i] > finest && (o.base << (level[i] - 1)) >= o.least) finest = level[i];
        }
        coarser = finest > 0 && triangles > o.most;
        for (auto& l : level)
            if (coarser && l == finest) --l;
    }
    return level;
}

}  // namespace

double ringLength(const std::function<Vec3(double)>& at, int samples) {
    double sum = 0;
    for (int i = 0; i < samples; ++i) sum += length(at(double(i + 1) / samples) - at(double(i) / samples));
    return sum;
}

Mesh loft(const std::vector<Ring>& rings, const LoftOptions& o) {
    const size_t n = rings.size();
    assert(n >= 3);
    const auto pole = [&](size_t i) { return rings[i].length <= 0; };
    const std::vector<int> level = doublings(rings, o);
    Mesh m;
    std::vector<int> first(n);
    const auto count = [&](size_t i) { return pole(i) ? 1 : o.base << level[i]; };
    for (size_t i = 0; i < n; ++i) {
        first[i] = static_cast<int>(m.points.size());
        const double turn = 2 * pi / count(i), out = o.equalArea && !pole(i) ? std::sqrt(turn / std::sin(turn)) : 1;
        for (int k = 0; k < count(i); ++k) {
            const Vec3 p = rings[i].at(double(k) / count(i));
            m.points.push_back(rings[i].centre + (p - rings[i].centre) * out);
        }
    }
    const auto add = [&](int a, int b, int c, double t, size_t band) {
        m.triangles.push_back({a, b, c});
        if (o.mark) m.marks.push_back(o.mark(t, band));
    };
    for (size_t i = 0; i + (o.loop ? 0 : 1) < n; ++i) {
        const size_t j = (i + 1) % n;
        const int p = count(i), q = count(j);
        const auto lower = [&](int k) { return first[i] + k % p; };
        const auto upper = [&](int k) { return first[j] + k % q; };
        if (pole(i)) {
            for (int k = 0; k < q; ++k) add(first[i], upper(k + 1), upper(k), (k + 0.5) / q, i);
        } else if (pole(j)) {
            for (int k = 0; k < p; ++k) add(first[j], lower(k), lower(k + 1), (k + 0.5) / p, i);
        } else if (p == q) {
            for (int k = 0; k < p; ++k) {  // the shorter diagonal, so that slanted bands get no needles
                const double t = (k + 0.5) / p;
                const auto span = [&](int a, int b) {
                    return length(m.points[static_cast<size_t>(a)] - m.points[static_cast<size_t>(b)]);
                };
                if (span(lower(k), upper(k + 1)) <= span(lower(k + 1), upper(k)) * (1 + 1e-9)) {
                    add(lower(k), lower(k + 1), upper(k + 1), t, i);
                    add(lower(k), upper(k + 1), upper(k), t, i);
                } else {
                    add(lower(k), lower(k + 1), upper(k), t, i);
                    add(lower(k + 1), upper(k + 1), upper(k), t, i);
                }
            }
        } else if (q == 2 * p) {
            for (int k = 0; k < p; ++k) {
                const double t = (k + 0.5) / p;
                add(lower(k), upper(2 * k + 1), upper(2 * k), t, i);
                add(lower(k), lower(k + 1), upper(2 * k + 1), t, i);
                add(lower(k + 1), upper(2 * k + 2), upper(2 * k + 1), t, i);
            }
        } else {
            for (int k = 0; k < q; ++k) {
                const double t = (k + 0.5) / q;
                add(lower(2 * k), lower(2 * k + 1), upper(k), t, i);
                add(lower(2 * k + 1), upper(k + 1), upper(k), t, i);
                add(lower(2 * k + 1), lower(2 * k + 2), upper(k + 1), t, i);
            }
        }
    }
    return m;
}

Mesh lathe(const std::vector<Stretch>& stretches, const LatheOptions& o) {
    std::vector<Ring> rings;
    std::vector<Mark> marks;
    const auto ring = [&](const Stretch& s, double u, bool end) {
        const CurvePoint p = s.piece(u);
        const double wave = s.wave ? s.wave(u) : 0;
        Ring r;
        if (p.r < 1e-9 || (end && p.r < 1e-7)) {
            r.at = [z = p.z](double) { return Vec3{0, 0, z}; };
        } else {
            r.at = [p, wave, n = o.waves](double t) {
                const double a = 2 * pi * t, radius = p.r + wave * std::cos(n * a);
                return Vec3{radius * std::cos(a), radius * std::sin(a), p.z};
            };
            r.centre = {0, 0, p.z};
            r.length = wave == 0 ? 2 * pi * p.r : ringLength(r.at, std::max(128, 8 * o.waves));
        }
        return r;
    };
    for (size_t k = 0; k < stretches.size(); ++k) {
        const auto us = rowsOf(stretches[k].piece, o.along);
        for (size_t i = k ? 1 : 0; i < us.size(); ++i) {
            rings.push_back(
                ring(stretches[k], us[i], (k == 0 && i == 0) || (k + 1 == stretches.size() && i + 1 == us.size())));
            if (i > 0) marks.push_back(stretches[k].mark);
        }
    }
    LoftOptions lo;
    lo.edge = o.edge;
    if (o.waves > 0) {  // corners must hit crests and troughs: at least two a flute
        lo.base = o.waves;
        while (lo.base % 2 == 0 && lo.base > 8) lo.base /= 2;
    }
    lo.most = o.most;
    lo.least = 4 * o.waves;
    lo.equalArea = !o.onSurface;
    lo.mark = [&](double, size_t band) { return marks[band]; };
    return loft(rings, lo);
}

Mesh lathe(const Meridian& meridian, const LatheOptions& options) {
    std::vector<Stretch> stretches;
    for (const auto& piece : meridian.pieces()) stretches.push_back({piece, Mark::Wall, {}});
    if (const CurvePoint end = meridian.pieces().back()(1); end.r > 1e-6)
        stretches.push_back(
            {[end](double u) { return CurvePoint{end.r * (1 - u), end.z, -end.r, 0, 0, 0}; }, Mark::Lid, {}});
    return lathe(stretches, options);
}

Mesh sweep(const std::function<Vec3(double)>& section, const std::function<Pose(double)>& frame, double pathLength,
           const SweepOptions& o) {
    std::vector<Ring> rings;
    const double round = ringLength(section);
    double widest = 0;
    for (int i = 0; i < 64; ++i) widest = std::max(widest, length(section(i / 64.0)));
    const auto add = [&](double s, double scale) {
        const Pose pose = frame(s);
        if (scale <= 0) rings.push_back({[pose](double) { return pose.at; }, 0, pose.at});
        else
            rings.push_back(
                {[pose, section, scale](double t) { return pose(section(t) * scale); }, round * scale, pose.at});
    };
    const int along = std::max(o.loop ? 8 : 1, static_cast<int>(std::lround(pathLength / (0.9 * o.edge)))),
              across = std::max(2, static_cast<int>(std::lround(widest / (0.9 * o.edge))));
    if (!o.loop)
        for (int i = 0; i < across; ++i) add(0, double(i) / across);
    for (int i = 0; i <= along - (o.loop ? 1 : 0); ++i) add(double(i) / along, 1);
    if (!o.loop)
        for (int i = across; i-- > 0;) add(1, double(i) / across);
    LoftOptions lo;
    lo.edge = o.edge;
    lo.loop = o.loop;
    lo.equalArea = o.round;
    return loft(rings, lo);
}

Mesh wallOfRevolution(const Profile& p, const std::vector<double>& wall, int sectors, int rows,
                      std::vector<double>* thickness) {
    struct Point {
        double r, z, t;
    };
    std::vector<Point> former, surface;
    const size_t n = p.size();
    const auto add = [&](double r, double z, double nr, double nz, double t) {
        former.push_back({r, z, t});
        surface.push_back({std::max(1e-5, r + nr * t), z + nz * t, t});
    };
    for (int k = 1; k < rows; ++k) {  // cells at even steps
        const size_t i = std::min(n - 1, static_cast<size_t>((double(k) - 0.5) / (rows - 1) * double(n)));
        add(p.r[i], p.z[i], p.normalR[i], p.normalZ[i], wall[i]);
    }
    add(p.faceR.back(), p.faceZ.back(), p.normalR.back(), p.normalZ.back(), wall.back());
    // The outer curve from its pole up, over the rim, down the inner one: normals point out of the chocolate.
    const bool outside = p.normalR[n / 2] > 0;
    const auto &outer = outside ? surface : former, &inner = outside ? former : surface;
    std::vector<Point> curve(outer);
    curve.insert(curve.end(), inner.rbegin(), inner.rend());
    const double poleNormal = p.normalZ.front() < 0 ? -1 : 1, formerPole = p.faceZ.front(),
                 surfacePole = formerPole + poleNormal * wall.front();
    Mesh m;
    const auto corner = [&](double x, double y, double z, double t) {
        m.points.push_back({x, y, z});
        if (thickness) thickness->push_back(t);
    };
    if (thickness) thickness->clear();
    corner(0, 0, outside ? surfacePole : formerPole, wall.front());
    for (const auto& c : curve)
        for (int k = 0; k < sectors; ++k)
            corner(c.r * std::cos(2 * pi * k / sectors), c.r * std::sin(2 * pi * k / sectors), c.z, c.t);
    corner(0, 0, outside ? formerPole : surfacePole, wall.front());
    const int last = static_cast<int>(m.points.size()) - 1, rings = static_cast<int>(curve.size());
    const auto at = [&](int ring, int k) { return 1 + ring * sectors + k % sectors; };
    for (int k = 0; k < sectors; ++k) {
        m.triangles.push_back({0, at(0, k + 1), at(0, k)});
        for (int r = 0; r + 1 < rings; ++r) {
            m.triangles.push_back({at(r, k), at(r, k + 1), at(r + 1, k + 1)});
            m.triangles.push_back({at(r, k), at(r + 1, k + 1), at(r + 1, k)});
        }
        m.triangles.push_back({last, at(rings - 1, k), at(rings - 1, k + 1)});
    }
    return m;
}

}  // namespace uovo::form
