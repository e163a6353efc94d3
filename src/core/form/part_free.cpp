// Families known by a silhouette, a depth and grams of water; half eggs; balloons that are not covered wholly.
#include <fmt/format.h>

#include <algorithm>
#include <cmath>
#include <map>
#include <set>

#include "core/form/cut_field.h"
#include "core/form/mend.h"
#include "core/form/part_builders.h"
#include "core/quantity/catalogue.h"

namespace uovo::form {
namespace {

constexpr double kLeastGap = 0.0008;  // m, as of a pressed cup

/// How deep a body is at the share s of the way from its middle to its outline: 0 in the middle, 1 at the edge.
using Depth = std::function<double(double)>;

/// Area of the curved face z = D·f(s) over the outline scaled by s.
double facedArea(const Loop& outline, double D, const Depth& f) {
    constexpr int kRows = 160;
    constexpr size_t kSkip = 4;  // points of the outline that share an edge
    double sum = 0;
    for (int i = 0; i < kRows; ++i) {
        // rows crowd towards the edge, where the face is steep
        const double s0 = std::sin(pi / 2 * i / kRows), s1 = std::sin(pi / 2 * (i + 1) / kRows), z0 = D * f(s0),
                     z1 = D * f(s1);
        for (size_t k = 0; k < outline.size(); k += kSkip) {
            const auto &a = outline[k], &b = outline[(k + kSkip) % outline.size()];
            const Vec3 p{a[0] * s0, a[1] * s0, z0}, q{b[0] * s0, b[1] * s0, z0}, r{b[0] * s1, b[1] * s1, z1},
                t{a[0] * s1, a[1] * s1, z1};
            sum += (length(cross(q - p, r - p)) + length(cross(r - p, t - p))) / 2;
        }
    }
    return sum;
}

/// Closed body: curved face z = D·f(s) below (or above, upside down) and a flat face at the other side.
Mesh facedMesh(const OutlineCurve& outline, double D, const Depth& f, bool faceUp, double edge, bool lid) {
    // Rows at equal steps along a radial line of mean length.
    const double mean = std::sqrt(outline.area() / pi);
    std::vector<double> s{0}, arc{0};
    constexpr int kFine = 2000;
    for (int i = 1; i <= kFine; ++i) {
        const double a = double(i) / kFine;
        s.push_back(a);
        arc.push_back(arc.back() + std::hypot(mean / kFine, D * (f(a) - f(a - 1.0 / kFine))));
    }
    const int rows = std::max(4, static_cast<int>(std::lround(arc.back() / (0.9 * edge)))),
              flat = std::max(3, static_cast<int>(std::lround(mean / (0.9 * edge))));
    std::vector<Ring> rings;
    std::vector<Mark> marks;
    const auto add = [&](double share, double z) {
        if (share <= 0) rings.push_back({[z](double) { return Vec3{0, 0, z}; }, 0});
        else
            rings.push_back({[&outline, share, z](double t) {
                                 const Point2 p = outline.at(t);
                                 return Vec3{p[0] * share, p[1] * share, z};
                             },
                             outline.length() * share});
    };
    std::vector<double> curved;
    size_t k = 0;
    for (int i = 0; i <= rows; ++i) {
        const double want = arc.back() * i / rows;
        while (k + 1 < arc.size() - 1 && arc[k + 1] < want) ++k;
        curved.push_back(i == 0      ? 0
                         : i == rows ? 1
                                     : s[k] + (want - arc[k]) / std::max(1e-15, arc[k + 1] - arc[k]) / kFine);
    }
    const auto flatRows = [&](bool down) {
        for (int i = down ? 1 : 0; i <= flat - (down ? 0 : 1); ++i)
            add(down ? 1 - double(i) / flat : double(i) / flat, faceUp ? 0 : D);
    };
    if (faceUp) {  // flat base first, then the face from the edge up to the middle
        flatRows(false);
        const size_t base = rings.size();
        for (size_t i = curved.size(); i-- > 0;) add(curved[i], D * (1 - f(curved[i])));
        for (size_t i = 0; i + 1 < rings.size(); ++i) marks.push_back(lid && i < base ? Mark::Lid : Mark::Wall);
    } else {
        for (const double c : curved) add(c, D * f(c));
        const size_t face = rings.size();
        flatRows(true);
        for (size_t i = 0; i + 1 < rings.size(); ++i) marks.push_back(lid && i + 1 >= face ? Mark::Lid : Mark::Wall);
    }
    LoftOptions o;
    o.edge = edge;
    o.base = 10;  // five tips and five dents of a star are corners
    o.mark = [&](double, size_t band) { return marks[band]; };
    return mend(loft(rings, o));  // rings crowd in tips and dents
}

/// Exponent p of z = D s^p for the share q of the box A·D that is filled: q = p/(p + 2).
double exponentFor(double q) { return 2 * q / (1 - q); }

/// The other family of faces, superelliptic: s^a + (1 − z/D)^a = 1, with a found for the same share; empty when there
/// is none.
std::optional<Depth> otherFace(double q) {
    const auto shareOf = [](double a) {
        double sum = 0;
        constexpr int kSteps = 400;
        for (int i = 0; i < kSteps; ++i) {
            const double z = (i + 0.5) / kSteps;
            sum += std::pow(1 - std::pow(1 - z, a), 2 / a) / kSteps;
        }
        return sum;
    };
    double low = 0.6, high = 12;
    if (q < shareOf(low) || q > shareOf(high)) return std::nullopt;
    for (int i = 0; i < 40; ++i) {
        const double mid = 0.5 * (low + high);
        (shareOf(mid) < q ? low : high) = mid;
    }
    const double a = low;
    return [a](double s) { return 1 - std::pow(std::max(0.0, 1 - std::pow(s, a)), 1 / a); };
}

Built waterBody(const Values& v, const char* depthKey, bool original, const Detail& detail) {
    const double L = v("length"), W = v("width"), D = v(depthKey), water = v("water");
    const Loop loop = silhouette(v.choice("silhouette"), L, W);
    const OutlineCurve outline(loop);
    const double box = outline.area() * D, q = water / box;
    const auto ml = [](double m3) { return format(m3, Dimension::Volume, UnitSystem::Metric); };
    if (q >= 0.985)
        return refuse(tr("It cannot hold ") + ml(water) + tr(": a straight-walled one of this silhouette holds ") +
                          ml(box) + tr(". Check the sizes."),
                      "water");
    if (q <= 0.12)
        return refuse(tr("It holds much more than ") + ml(water) + tr(" at this size and depth. Check the sizes."),
                      "water");
    const double p = exponentFor(q);
    const Depth face = [p](double s) { return std::pow(s, p); };
    Shape out;
    out.volume = water;
    const double top = outline.area();
    out.area = facedArea(loop, D, face);
    out.areaLow = out.area;
    out.areaHigh = out.area;
    if (const auto other = otherFace(q)) {
        const double second = facedArea(loop, D, *other);
        out.areaLow = std::min(out.area, second);
        out.areaHigh = std::max(out.area, second);
    }
    out.areaLow *= 0.93;  // judgement: the true outline is never quite one of these silhouettes
    out.areaHigh *= 1.10;
    out.surface =
        facedMesh(outline, D, face, original, edgeFor(out.area + top, outline.length() / (2 * pi), detail), !original);
    out.rim = original ? 0 : outline.length();
    if (original) {
        out.area += top;
        out.areaLow += top;
        out.areaHigh += top;
    }
    return out;
}

/// What lies between a cavity and a smaller copy of it that hangs in its opening, `share` of its size.
Mesh between(const Mesh& cavity, double depth, double share) {
    std::set<std::pair<int, int>> edges;  // of the wall, as its triangles run
    for (size_t i = 0; i < cavity.triangles.size(); ++i)
        for (size_t k = 0; k < 3 && cavity.mark(i) == Mark::Wall; ++k)
            edges.insert({cavity.triangles[i][k], cavity.triangles[i][(k + 1) % 3]});
    std::vector<std::pair<int, int>> rim;
    double round = 0, wide = 0;
    for (const auto& [from, to] : edges)
        if (!edges.contains({to, from})) {
            rim.push_back({from, to});
            const Vec3 &p = cavity.points[static_cast<size_t>(from)], &q = cavity.points[static_cast<size_t>(to)];
            round += length(q - p);
            wide += (1 - share) * std::hypot(p.x, p.y);
        }
    const int rows = std::max(1, static_cast<int>(std::lround(wide / std::max(1e-9, round))));
    Mesh out;
    std::map<std::pair<int, int>, int> known;  // corners of the cavity (row 0), of the rim's rows, of the copy
    const auto corner = [&](int i, int row) {
        const auto [at, fresh] = known.try_emplace({i, row}, static_cast<int>(out.points.size()));
        const Vec3& p = cavity.points[static_cast<size_t>(i)];
        const double s = 1 - (1 - share) * row / rows;
        if (fresh) out.points.push_back({s * p.x, s * p.y, depth - s * (depth - p.z)});
        return at->second;
    };
    for (size_t i = 0; i < cavity.triangles.size(); ++i) {
        if (cavity.mark(i) != Mark::Wall) continue;
        const auto& t = cavity.triangles[i];
        out.triangles.push_back({corner(t[0], 0), corner(t[1], 0), corner(t[2], 0)});
        out.triangles.push_back({corner(t[0], rows), corner(t[2], rows), corner(t[1], rows)});
    }
    for (const auto& [from, to] : rim)
        for (int row = 0; row < rows; ++row) {
            out.triangles.push_back({corner(to, row), corner(from, row), corner(from, row + 1)});
            out.triangles.push_back({corner(to, row), corner(from, row + 1), corner(to, row + 1)});
        }
    return out;
}

/// A form by its water, an insert of the same shape by the water it pushes aside.
Built pressedFigure(const Values& v, const Detail& detail) {
    Built out = waterBody(v, "depth", false, detail);
    if (!out) return out;
    const double chocolate = out->volume - v("insert"), gap = chocolate / out->area;
    const auto text = [](double x) { return format(x, Dimension::Length, UnitSystem::Metric); };
    if (gap < kLeastGap)
        return refuse(say("The insert leaves a gap of {}; chocolate flows into one of {} at least.",
                          text(std::max(0.0, gap)), text(kLeastGap)),
                      "insert");
    out->surface = between(out->surface, v("depth"), std::cbrt(v("insert") / out->volume));
    out->hollow = v("insert");
    out->volume = chocolate;
    out->wall = gap;
    return out;
}

/// A cast with a domed face and a flat back: exponent of its edge, volume A·D·p/(p + 2).
Built domedCast(const std::string& name, double L, double W, double D, double p, const Detail& detail) {
    const Loop loop = silhouette(name, L, W);
    const OutlineCurve outline(loop);
    const Depth face = [p](double s) { return std::pow(s, p); };
    Shape out;
    out.volume = outline.area() * D * p / (p + 2);
    out.area = facedArea(loop, D, face) + outline.area();
    out.areaLow = out.areaHigh = out.area;
    out.surface = facedMesh(outline, D, face, true, edgeFor(out.area, outline.length() / (2 * pi), detail), false);
    return out;
}

/// Half an egg on its side: rings across its long axis, each a half circle and the straight line that closes it.
Built eggHalf(const Values& v, const Detail& detail) {
    const double L = v("length"), W = v("width"), e = v("pear"), R = pearRadius(pi * W, e), a = L / 2;
    if (L < W) return refuse(tr("An egg is longer than it is wide."), "width");
    const auto radius = [=](double t) { return R * std::sin(t) * (1 + e * std::cos(t)); };
    Shape out;
    std::vector<double> ts{0}, arc{0};
    constexpr int kFine = 4000;
    for (int i = 1; i <= kFine; ++i) {
        const double t0 = pi * (i - 1) / kFine, t1 = pi * i / kFine, mid = 0.5 * (t0 + t1), s = std::sin(mid),
                     c = std::cos(mid);
        const double dx = a * s * (t1 - t0), ds = std::hypot(a * s, R * (c + e * (c * c - s * s))) * (t1 - t0),
                     r = radius(mid);
        out.volume += pi / 2 * r * r * dx;
        out.area += pi * r * ds;
        out.rim += 2 * ds;
        ts.push_back(t1);
        arc.push_back(arc.back() + ds);
    }
    out.areaLow = out.areaHigh = out.area;
    const double edge = edgeFor(out.area * 1.6, W / 2, detail);
    const int rows = std::max(6, static_cast<int>(std::lround(arc.back() / (0.9 * edge))));
    std::vector<Ring> rings;
    size_t k = 0;
    for (int i = 0; i <= rows; ++i) {
        while (k + 2 < arc.size() && arc[k + 1] < arc.back() * i / rows) ++k;
        const double t = i == 0      ? 0
                         : i == rows ? pi
                                     : ts[k + 1],
                     r = i == 0 || i == rows ? 0 : radius(t), x = -a * std::cos(t);
        rings.push_back(
            {[r, x, depth = W / 2](double u) {
                 if (r == 0) return Vec3{x, 0, depth};
                 if (u < 0.625)
                     return Vec3{x, r * std::cos(pi + pi * u / 0.625), depth + r * std::sin(pi + pi * u / 0.625)};
                 return Vec3{x, r * (1 - 2 * (u - 0.625) / 0.375), depth};
             },
             r * (pi + 2)});
    }
    LoftOptions o;
    o.edge = edge;
    o.base = 8;  // so that the corners of the D are corners of every ring
    o.mark = [](double t, size_t) { return t < 0.625 ? Mark::Wall : Mark::Lid; };
    out.surface = loft(rings, o);
    out.seam = out.rim;
    if (v("seam") > 0.25 * W) return refuse(tr("The land does not fit into the half egg."), "seam");
    out.land = v("seam");
    out.seamAt = {0, 0, W / 2};
    out.seamNormal = {0, 0, 1};
    return out;
}

/// Share of a triangle on which a field that is linear between its corners is positive.
double positiveShare(double a, double b, double c) {
    const bool pa = a > 0, pb = b > 0, pc = c > 0;
    if (pa == pb && pb == pc) return pa ? 1 : 0;
    if (pb != pc) std::swap(a, pa == pc ? b : c);  // the corner alone on its side comes first
    const double corner = a * a / ((a - b) * (a - c));
    return a > 0 ? corner : 1 - corner;
}

Built balloonLace(const Values& v, const Detail& detail) {
    Balloon b;
    b.girth = v("girth");
    b.length = v("length");
    b.dip = v("dip");
    b.pear = v("pear");
    const auto curve = meridian(b);
    if (!curve) return tl::unexpected(curve.error());
    const double a = b.length.value / 2, R = pearRadius(b.girth.value, b.pear.value), e = b.pear.value,
                 end = std::acos(1 - b.dip.value / a);
    Stretch wall{[=](double u) {
                     const double t = end * u, s = std::sin(t), c = std::cos(t);
                     return CurvePoint{R * s * (1 + e * c), a - a * c, end * R * (c + e * (c * c - s * s)),
                                       end * a * s,         0,         0};
                 },
                 Mark::Wall,
                 {}};
    const double rim = wall.piece(1).r, top = wall.piece(1).z;
    const double c = v("coverage"), w = v("lineWidth");
    const double start = w / (1 - std::sqrt(std::max(0.0, 1 - c))), finest = std::clamp(start - w, 0.6 * w, w);
    Detail fine = detail;  // a line, or the gap beside it, is two or three triangles wide
    fine.triangles = std::max(detail.triangles, std::min(5 * detail.triangles, 11 * curve->area() / (finest * finest)));
    Shape out = roundShape({wall, line(rim, top, 0, top, Mark::Lid)}, 0, fine);
    const std::string pattern = v.choice("pattern");
    constexpr double kSlant = 0.8;  // of its slanted lines where it is widest
    constexpr int kRun = 200;
    std::vector<double> runs{0};  // m along the meridian, at equal angles
    for (int i = 0; i < kRun; ++i) {
        const double t = end * (i + 0.5) / kRun, s = std::sin(t), k = std::cos(t);
        runs.push_back(runs.back() + std::hypot(R * (k + e * (k * k - s * s)), a * s) * end / kRun);
    }
    const auto run = [&](double t) {
        const double u = std::clamp(t / end, 0.0, 1.0) * kRun;
        const auto i = std::min(static_cast<size_t>(u), size_t{kRun - 1});
        return runs[i] + (u - double(i)) * (runs[i + 1] - runs[i]);
    };
    // Metres inside (positive) or outside (negative) a line of the pattern, its lines `pitch` apart (drips: `pitch` is
    // a depth).
    const auto field = [&](const Vec3& p, double pitch) {
        // as wide on the surface everywhere: what the lines are counted in changes so fast along it
        const auto line = [&](double x, double spacing, double gradient) {
            return w / 2 - std::abs(x - spacing * std::round(x / spacing)) / std::max(0.05, gradient);
        };
        const double t = std::acos(std::clamp(1 - p.z / a, -1.0, 1.0)), s = std::sin(t), k = std::cos(t),
                     r = std::max(1e-6, std::hypot(p.x, p.y));
        const double up = a * s /
                          std::max(1e-9, std::hypot(R * (k + e * (k * k - s * s)),
                                                    a * s));  // dz along the meridian, and the normal's radial part
        if (pattern == "drips") {                             // down to a waving edge
            const double angle = std::atan2(p.y, p.x);
            return top * 1.1 * c * (1 - c) * (0.6 * std::sin(7 * angle) + 0.4 * std::sin(11 * angle + 1)) + pitch - p.z;
        }
        if (pattern == "lace") {  // two sets of slanted lines, a whole number round the balloon; they meet in its foot
            const double turn = std::atan2(p.y, p.x) / (2 * pi), along = run(t),
                         turns = std::max(2.0, std::round(2 * pi * R * kSlant / pitch)),
                         slant = std::hypot(1.0, turns * pitch / (2 * pi * r));
            return std::max(line(along + turn * turns * pitch, pitch, slant),
                            line(along - turn * turns * pitch, pitch, slant));
        }
        const auto across = [&](double x) { return std::sqrt(std::max(0.0, 1 - up * up * x * x / (r * r))); };
        return std::max(line(p.x, pitch, across(p.x)), line(p.y, pitch, across(p.y)));
    };
    // The spacing at which the cut covers the share asked for, found by area.
    const auto covered = [&](const Mesh& m, double pitch) {
        double in = 0, all = 0;
        const size_t step = m.triangles.size() / 2500 | 1;  // a sample of triangles is enough for a share
        for (size_t i = 0; i < m.triangles.size(); i += step) {
            if (m.mark(i) != Mark::Wall) continue;
            const auto& t = m.triangles[i];
            const Vec3 &p0 = m.points[static_cast<size_t>(t[0])], &p1 = m.points[static_cast<size_t>(t[1])],
                       &p2 = m.points[static_cast<size_t>(t[2])];
            const double size = length(cross(p1 - p0, p2 - p0));
            all += size;
            in += size * positiveShare(field(p0, pitch), field(p1, pitch), field(p2, pitch));
        }
        return in / all;
    };
    const auto pitchFor = [&](const Mesh& whole, double share) {
        double low = pattern == "drips" ? -top : w * 1.02, high = pattern == "drips" ? 2 * top : 40 * w;
        for (int i = 0; i < 14; ++i) {
            const double mid = 0.5 * (low + high);
            ((pattern == "drips") == (covered(whole, mid) < share) ? low : high) = mid;
        }
        return 0.5 * (low + high);
    };
    if (c < 0.9999) {
        constexpr double kNear = 0.012;  // of a share: the cut draws corners onto thin lines, which widens them
        const Mesh whole = std::move(out.surface);
        const double all = area(whole);
        double wanted = c;
        for (int i = 0; i < 4; ++i) {
            const double pitch = pitchFor(whole, wanted);
            out.surface = cutByField(whole, [&](const Vec3& p) { return field(p, pitch); });
            const double off = c - area(out.surface) / all;
            if (std::abs(off) < kNear) break;
            wanted = std::clamp(wanted + off, 0.02, 0.999);
        }
    }
    out.coverage = c;
    out.wall = v("lineHeight");
    out.rim = 2 * pi * rim;
    return out;
}

}  // namespace

Built buildFree(const Values& v, const std::string& family, const Detail& detail) {
    if (family == "bought") return waterBody(v, "depth", false, detail);
    if (family == "pressed-figure") return pressedFigure(v, detail);
    if (family == "original") return waterBody(v, "height", true, detail);
    if (family == "plaque") return domedCast(v.choice("silhouette"), v("length"), v("width"), v("depth"), 8, detail);
    if (family == "flame") return domedCast("drop", v("length"), v("width"), v("depth"), 2, detail);
    if (family == "egg-half") return eggHalf(v, detail);
    return balloonLace(v, detail);
}

}  // namespace uovo::form
