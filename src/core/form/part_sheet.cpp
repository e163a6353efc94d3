// Flat families: sheets cut by template, lace, feathers, waves and spirals, bars, collars, flat-backed handles, spoons.
#include <algorithm>
#include <cmath>

#include "core/form/bevel.h"
#include "core/form/mend.h"
#include "core/form/part_builders.h"
#include "core/quantity/catalogue.h"
#include "core/quantity/decimal.h"

namespace uovo::form {
namespace {

constexpr double kSharpest = 0.002;  // m: what film is laid round, common practice, no source

Loop rectangle(double x0, double y0, double x1, double y1) { return {{x0, y0}, {x1, y0}, {x1, y1}, {x0, y1}}; }

Loop circle(double r, int points = 360) {
    Loop out;
    for (int i = 0; i < points; ++i)
        out.push_back({r * std::cos(2 * pi * i / points), r * std::sin(2 * pi * i / points)});
    return out;
}

Loop backwards(Loop loop) {
    std::reverse(loop.begin(), loop.end());
    return loop;
}

double areaOf(const std::vector<Loop>& loops) {
    double a = std::abs(signedArea(loops[0]));
    for (size_t i = 1; i < loops.size(); ++i) a -= std::abs(signedArea(loops[i]));
    return a;
}

/// Edge length that leaves about `triangles` on both faces of a plate.
double plateEdge(double area, double triangles) { return 2 * std::sqrt(2 * area / (0.433 * triangles)); }

/// A plate with measures from its polygons.
Shape plateShape(const std::vector<Loop>& loops, double thickness, const Detail& detail, double mostEdge = 1,
                 const Loop& line = {}) {
    Shape s;
    const double a = areaOf(loops);
    double round = 0;
    for (const auto& l : loops) round += perimeter(l);
    s.volume = a * thickness;
    s.area = s.areaLow = s.areaHigh = 2 * a + round * thickness;
    s.wall = s.wallLow = s.wallHigh = thickness;
    double narrowest = perimeter(loops[0]) / detail.round;
    for (const auto& l : loops)
        if (l.size() > 24)
            narrowest = std::min(narrowest, perimeter(l) / detail.round);  // round ones keep their roundness
    const double wanted = std::min({plateEdge(a, detail.triangles), std::max(narrowest, 4e-4), mostEdge});
    s.surface = mend(plate(loops, thickness, std::max(wanted, plateEdge(a, kBudget * detail.triangles)), line,
                           round / (1.5 * detail.triangles)));
    return s;
}

/// Band of half-width w/2 beside a half ellipse that stands on the x axis, feet included.
Loop archBand(double span, double rise, double w) {
    Loop outer, inner;
    constexpr int kSteps = 240;
    for (int i = 0; i <= kSteps; ++i) {
        const double t = pi * i / kSteps, A = span / 2, c = std::cos(t), s = std::sin(t);
        double nx = rise * c, ny = A * s;
        const double n = std::hypot(nx, ny);
        nx /= n;
        ny /= n;
        outer.push_back({A * c + nx * w / 2, rise * s + ny * w / 2});
        inner.push_back({A * c - nx * w / 2, rise * s - ny * w / 2});
    }
    Loop loop = outer;
    loop.insert(loop.end(), inner.rbegin(), inner.rend());
    return loop;
}

double ellipseHalf(double A, double B) {
    double sum = 0;
    for (int i = 0; i < 2000; ++i) {
        const double t = pi * (i + 0.5) / 2000;
        sum += std::hypot(A * std::sin(t), B * std::cos(t)) * pi / 2000;
    }
    return sum;
}

/// Bends a plate that lies along x onto a curve in the x–z plane: `at(s)` and its unit normal.
struct Bend {
    double length = 0;
    std::function<std::pair<Vec3, Vec3>(double s)> at;
};

/// A plane curve by arc length from samples of a parametric one.
Bend bendOf(const std::function<Point2(double)>& curve, int samples) {
    std::vector<Point2> p;
    std::vector<double> arc{0};
    for (int i = 0; i <= samples; ++i) {
        p.push_back(curve(double(i) / samples));
        if (i)
            arc.push_back(arc.back() + std::hypot(p.back()[0] - p[p.size() - 2][0], p.back()[1] - p[p.size() - 2][1]));
    }
    Bend b;
    b.length = arc.back();
    b.at = [p, arc](double s) {
        const auto it = std::upper_bound(arc.begin(), arc.end(), s);
        const size_t i = std::clamp<size_t>(static_cast<size_t>(it - arc.begin()), 1, arc.size() - 1) - 1;
        const double f = (s - arc[i]) / (arc[i + 1] - arc[i]);
        const auto tangent = [&](size_t k) {  // central, so that neighbouring normals agree
            const size_t a = k ? k - 1 : 0, c = std::min(k + 1, p.size() - 1);
            return Point2{p[c][0] - p[a][0], p[c][1] - p[a][1]};
        };
        const Point2 t0 = tangent(i), t1 = tangent(i + 1), t{t0[0] + f * (t1[0] - t0[0]), t0[1] + f * (t1[1] - t0[1])};
        const double n = std::hypot(t[0], t[1]);
        return std::pair{Vec3{p[i][0] + f * (p[i + 1][0] - p[i][0]), 0, p[i][1] + f * (p[i + 1][1] - p[i][1])},
                         Vec3{-t[1] / n, 0, t[0] / n}};
    };
    return b;
}

/// @param bends key of the figure that says how often it is bent
Built bent(const Bend& bend, double width, double thickness, double sharpest, const Detail& detail, const char* bends) {
    if (sharpest < 0.6 * thickness)
        return refuse(tr("The strip would be bent more sharply than it is thick."), "thickness");
    if (sharpest < kSharpest)
        return refuse(say("The strip would be bent to a radius of {} mm; film is not laid round less than {:.0f}.",
                          decimal(1e3 * sharpest, 1), 1e3 * kSharpest),
                      bends);
    if (plateEdge(bend.length * width, kBudget * kScreen.triangles) > 1.5 * sharpest)
        return refuse(tr("So large a strip is not bent so sharply: fewer turns, or a smaller strip."), bends);
    Shape s = plateShape({rectangle(0, -width / 2, bend.length, width / 2)}, thickness, detail,
                         (detail.round >= 160 ? 0.12 : 0.4) * sharpest);
    for (auto& p : s.surface.points) {
        const auto [at, normal] = bend.at(p.x);
        p = at + normal * (p.z - thickness / 2) + Vec3{0, p.y, 0};
    }
    const double low = bounds(s.surface).low.z;
    for (auto& p : s.surface.points) p.z -= low;
    FlatPattern pattern;
    pattern.width = bend.length;
    pattern.height = width;
    s.pattern = pattern;
    return s;
}

Built laceSheet(const Values& v, const Detail& detail) {
    const double L = v("length"), W = v("width"), w = v("lineWidth"), t = v("thickness"), c = v("coverage"),
                 mound = v("mound") / 2;
    const double pitch = w / (1 - std::sqrt(1 - c));
    const int nx = std::max(1, static_cast<int>(std::lround((L - w) / pitch))),
              ny = std::max(1, static_cast<int>(std::lround((W - w) / pitch)));
    const double px = (L - w) / nx, py = (W - w) / ny;
    if (nx * ny > 1500)
        return refuse(tr("So fine a net has too many openings; take wider lines or a smaller piece."), "lineWidth");
    if (px - w < 5e-4 || py - w < 5e-4) return refuse(tr("These lines leave no openings: cover less."), "coverage");
    if (mound > 0 && 2 * mound > std::min(L, W)) return refuse(tr("The mound is larger than the lace."), "mound");
    std::vector<Loop> loops{rectangle(-L / 2, -W / 2, L / 2, W / 2)};
    for (int i = 0; i < nx; ++i)
        for (int j = 0; j < ny; ++j) {
            const double x = -L / 2 + w + i * px, y = -W / 2 + w + j * py, x1 = x + px - w, y1 = y + py - w;
            const double dx = std::clamp(0.0, x, x1), dy = std::clamp(0.0, y, y1);
            if (mound > 0 && std::hypot(dx, dy) < mound) continue;  // the mound is closed
            loops.push_back(backwards(rectangle(x, y, x1, y1)));
        }
    Shape s = plateShape(loops, t, detail);
    if (mound > 0) {
        const double h = mound / 2;
        for (auto& p : s.surface.points)
            if (p.z > 0.999 * t) p.z += h * std::max(0.0, 1 - (p.x * p.x + p.y * p.y) / (mound * mound));
        s.volume += pi / 2 * mound * mound * h;
        s.exact = false;
    }
    s.coverage = areaOf(loops) / (L * W);
    return s;
}

}  // namespace

tl::expected<std::vector<Loop>, Problem> sheetLoops(const Values& v) {
    const double L = v("length"), W = v("width");
    const std::string cut = v.choice("cut");
    std::vector<Loop> loops;
    if (cut == "points") {
        if (v.part.points.empty() || v.part.points[0].size() < 3)
            return refuse(tr("Read an outline from an SVG file, or draw at least three points."), "points");
        loops = v.part.points;
        if (crossesItself(loops)) return refuse(tr("The outline crosses itself."), "points");
        for (size_t i = 0; i < loops.size(); ++i) {
            if (loops[i].size() < 3 || std::abs(signedArea(loops[i])) < 1e-7)
                return refuse(tr("A part of the outline has no area."), "points");
            if ((signedArea(loops[i]) > 0) != (i == 0)) loops[i] = backwards(loops[i]);
            if (i > 0 && !contains(loops[0], loops[i][0]))
                return refuse(tr("A hole lies outside the outline."), "points");
        }
        return loops;
    }
    const auto polygon = [&](int n) {
        Loop p;
        double x0 = 1, x1 = -1, y0 = 1, y1 = -1;
        for (int i = 0; i < n; ++i) {
            const double a = pi / n + 2 * pi * i / n - pi / 2;
            p.push_back({std::cos(a), std::sin(a)});
            x0 = std::min(x0, p.back()[0]);
            x1 = std::max(x1, p.back()[0]);
            y0 = std::min(y0, p.back()[1]);
            y1 = std::max(y1, p.back()[1]);
        }
        for (auto& q : p) q = {q[0] * L / (x1 - x0), q[1] * W / (y1 - y0)};
        return p;
    };
    if (cut == "gable") loops = {{{-L / 2, -W / 2}, {L / 2, -W / 2}, {L / 2, W * 0.1}, {0, W / 2}, {-L / 2, W * 0.1}}};
    else if (cut == "triangle") loops = {{{-L / 2, -W / 2}, {L / 2, -W / 2}, {0, W / 2}}};
    else if (cut == "trapezoid") loops = {{{-L / 2, -W / 2}, {L / 2, -W / 2}, {L * 0.3, W / 2}, {-L * 0.3, W / 2}}};
    else if (cut == "hexagon") loops = {polygon(6)};
    else if (cut == "octagon") loops = {polygon(8)};
    else if (cut == "silhouette") loops = {silhouette(v.choice("silhouette"), L, W, 360)};
    else {
        loops = {rectangle(-L / 2, -W / 2, L / 2, W / 2)};
        if (cut == "frame") {
            const double b = 0.2 * std::min(L, W);
            loops.push_back(backwards(rectangle(-L / 2 + b, -W / 2 + b, L / 2 - b, W / 2 - b)));
        }
    }
    return loops;
}

// Long because it is one branch a family, each a few lines of its geometry.
Built buildSheet(const Values& v, const std::string& family, const Detail& detail) {
    if (family == "sheet") {
        const auto loops = sheetLoops(v);
        if (!loops) return tl::unexpected(loops.error());
        Shape s = plateShape(*loops, v("thickness"), detail);
        if (const Bevel bevel = bevelOf(v.part); bevel.any()) {
            const double t = v("thickness");
            const Loop top = bevelled((*loops)[0], bevel, t), middle = bevelled((*loops)[0], bevel, t / 2);
            if (top.size() != (*loops)[0].size() || middle.size() != top.size())
                return refuse(tr("Cut so flat its sides meet: less of an angle."), "bevelLeft");
            s.surface = bevelled(std::move(s.surface), (*loops)[0], bevel, t);
            double holes = 0;
            for (size_t i = 1; i < loops->size(); ++i) holes += std::abs(signedArea((*loops)[i]));
            const double low = signedArea((*loops)[0]), high = signedArea(top);
            s.volume = t * ((low + 4 * signedArea(middle) + high) / 6 - holes);  // Simpson: exact for a prismatoid
            s.area = s.areaLow = s.areaHigh = area(s.surface);
        }
        if (v.choice("spread") == "freehand") {  // a knife leaves it uneven: judgement
            s.wallLow = 0.7 * s.wall;
            s.wallHigh = 1.4 * s.wall;
        }
        return s;
    }
    if (family == "lace") return laceSheet(v, detail);
    if (family == "feather") {
        const double L = v("length"), W = v("width"), t = v("thickness"), q = v("quill");
        if (q > 0.8 * W) return refuse(tr("The quill is as wide as the feather."), "quill");
        Loop quill;  // outline of its foot, a slim lens inside the leaf
        for (int i = 0; q > 0 && i < 80; ++i) {
            const double a = 2 * pi * i / 80, x = 0.94 * std::cos(a);
            quill.push_back({x * L / 2, (std::sin(a) > 0 ? 1 : -1) * q / 2 * std::min(1.0, 4 * (0.94 - std::abs(x)))});
        }
        const Loop leaf = silhouette("leaf", L, W, 360);
        if (!std::all_of(quill.begin(), quill.end(), [&](const auto& p) {
                return contains(leaf, {1.03 * p[0], 1.03 * p[1]});
            }))
            return refuse(tr("The quill is wider than the feather at its ends."), "quill");
        Shape s = plateShape({leaf}, t, detail, 1, quill);
        if (q > 0) {
            const auto foot = [&](double x) { return q / 2 * std::clamp(4 * (0.94 - 2 * std::abs(x) / L), 0.0, 1.0); };
            for (auto& p : s.surface.points)
                if (const double w = foot(p.x); p.z > 0.999 * t && w > 0)
                    p.z += t * std::sqrt(std::max(0.0, 1 - p.y * p.y / (w * w)));
            s.volume = volume(s.surface);
            s.exact = false;
        }
        return s;
    }
    if (family == "wave") {
        const double L = v("length"), A = v("amplitude") / 2, n = std::round(v("waves"));
        const double k = 2 * pi * n / L, sharpest = A > 0 ? 1 / (A * k * k) : 1e9;
        return bent(bendOf(
                        [=](double u) {
                            return Point2{L * (u - 0.5), A * std::sin(2 * pi * n * u)};
                        },
                        2000),
                    v("width"), v("thickness"), sharpest, detail, "waves");
    }
    if (family == "spiral") {
        const double R = v("diameter") / 2, turns = v("turns"), t = v("thickness"), r0 = std::max(0.25 * R, 2 * t);
        if ((R - r0) / turns < 1.5 * t && turns > 1)
            return refuse(tr("The turns would touch each other: fewer turns, or a larger spiral."), "turns");
        auto s = bent(bendOf(
                          [=](double u) {
                              const double a = 2 * pi * turns * u, r = r0 + (R - t / 2 - r0) * u;
                              return Point2{r * std::cos(a), r * std::sin(a)};
                          },
                          2000),
                      v("width"), t, r0, detail, "turns");
        if (s) {  // it stands on its edge
            for (auto& p : s->surface.points) p = {p.x, -p.z, p.y + v("width") / 2};
            const Box b = bounds(s->surface);
            for (auto& p : s->surface.points) p.y -= (b.low.y + b.high.y) / 2;
        }
        return s;
    }
    if (family == "ribbon")
        return plateShape({rectangle(-v("length") / 2, -v("width") / 2, v("length") / 2, v("width") / 2)},
                          v("thickness"), detail);
    if (family == "bar") {
        const double L = v("length"), W = v("width"), h = v("height"), d = v("draft");
        if (2 * d >= std::min(L, W)) return refuse(tr("Tapered so much the bar has no top."), "draft");
        Shape s = plateShape({rectangle(-L / 2, -W / 2, L / 2, W / 2)}, h, detail);
        const double a0 = L * W, a1 = (L - 2 * d) * (W - 2 * d), am = (L - d) * (W - d);
        s.volume = h / 6 * (a0 + 4 * am + a1);  // prismatoid
        s.area = s.areaLow = s.areaHigh = a0 + a1 + std::hypot(h, d) * (2 * (L + W) - 4 * d);
        for (auto& p : s.surface.points) p = {p.x * (1 - 2 * d / L * p.z / h), p.y * (1 - 2 * d / W * p.z / h), p.z};
        return s;
    }
    if (family == "collar") {
        const double r = v("inside") / 2, w = v("width");
        Shape s = plateShape({circle(r + w), backwards(circle(r))}, v("height"), detail);
        const double a = pi * ((r + w) * (r + w) - r * r);
        s.volume = a * v("height");
        s.area = s.areaLow = s.areaHigh = 2 * a + 2 * pi * (2 * r + w) * v("height");
        return s;
    }
    if (family == "arch") {
        const double span = v("span"), rise = v("rise"), w = v("width"), A = span / 2;
        const double sharpest = std::min(A * A / rise, rise * rise / A);
        if (w / 2 > 0.95 * sharpest) return refuse(tr("The handle is wider than its bend allows."), "width");
        Shape s = plateShape({archBand(span, rise, w)}, v("depth"), detail);
        const double path = ellipseHalf(A, rise);
        s.volume = path * w * v("depth");  // Pappus: the band follows its middle line
        s.area = s.areaLow = s.areaHigh = path * 2 * (w + v("depth")) + 2 * w * v("depth");
        s.wall = s.wallLow = s.wallHigh = 0;
        return s;
    }
    if (family == "spoon") {
        const double L = v("length"), b = v("bowl") / 2, D = v("depth"), stem = v("stem") / 2;
        if (stem > 0.8 * b) return refuse(tr("The stem is as wide as the bowl."), "stem");
        if (L < 3.2 * b) return refuse(tr("Too short for so wide a bowl."), "length");
        const double join = std::asin(stem / b), x0 = b * std::cos(join), end = L - b - stem;  // bowl round the origin
        Loop loop;
        for (int i = 0; i <= 180; ++i) {
            const double a = join + (2 * pi - 2 * join) * i / 180;
            loop.push_back({b * std::cos(a), b * std::sin(a)});
        }
        for (int i = 0; i <= 40; ++i) {
            const double a = -pi / 2 + pi * i / 40;
            loop.push_back({end + stem * std::cos(a), stem * std::sin(a)});
        }
        const double scoop = 0.6 * D, r = 0.8 * b;
        Loop edge;  // of the scoop
        for (int i = 0; i < 64; ++i) edge.push_back({r * std::cos(2 * pi * i / 64), r * std::sin(2 * pi * i / 64)});
        Shape s = plateShape({loop}, D, detail, 0.1 * b, edge);
        for (auto& p : s.surface.points)
            if (p.z > 0.999 * D) p.z -= scoop * std::max(0.0, 1 - (p.x * p.x + p.y * p.y) / (r * r));
        const double area =
            (pi - join) * b * b + b * std::sin(join) * x0 + (end - x0) * 2 * stem + pi / 2 * stem * stem;
        s.volume = area * D - pi / 2 * r * r * scoop;
        const double bowlFace =
            pi * r / (6 * scoop * scoop) * (std::pow(r * r + 4 * scoop * scoop, 1.5) - r * r * r);  // of a paraboloid
        s.area = s.areaLow = s.areaHigh = s.area + bowlFace - pi * r * r;
        s.wall = s.wallLow = s.wallHigh = 0;
        return s;
    }
    return refuse(tr("There is no such family."), "family");
}

Built buildSwept(const Values& v, const std::string& family, const Detail& detail) {
    const double r = v("thickness") / 2;
    const auto section = [r](double t) { return Vec3{r * std::cos(2 * pi * t), r * std::sin(2 * pi * t), 0}; };
    SweepOptions o;
    o.round = true;
    Shape s;
    double path = 0;
    bool ends = true;
    if (family == "rope") {
        path = v("length");
        ends = v.choice("shape") != "ring";
        s.area = 2 * pi * r * path + (ends ? 2 * pi * r * r : 0);
        s.volume = pi * r * r * path;
        o.edge = edgeFor(s.area, r, {detail.triangles, std::max(12, detail.round / 2)});
        if (ends) {
            s.surface = sweep(
                section,
                [=](double u) {
                    return Pose{{0, 1, 0}, {0, 0, 1}, {1, 0, 0}, {path * (u - 0.5), 0, r}};
                },
                path, o);
        } else {
            const double R = path / (2 * pi);
            if (R < 1.1 * r) return refuse(tr("Too short to be laid as a ring."), "length");
            o.loop = true;
            s.surface = sweep(
                section,
                [=](double u) {
                    const double c = std::cos(2 * pi * u), d = std::sin(2 * pi * u);
                    return Pose{{c, d, 0}, {0, 0, -1}, {-d, c, 0}, {R * c, R * d, r}};
                },
                path, o);
        }
    } else {  // clip-handle
        const double A = v("span") / 2, B = v("rise");
        if (r > 0.95 * std::min(A * A / B, B * B / A))
            return refuse(tr("The handle is thicker than its bend allows."), "thickness");
        if (v("hole") > 2 * r) return refuse(tr("The fill hole is wider than the handle."), "hole");
        path = ellipseHalf(A, B);
        s.volume = pi * r * r * path;
        s.area = 2 * pi * r * path + 2 * pi * r * r;
        o.edge = edgeFor(s.area, r, {detail.triangles, std::max(12, detail.round / 2)});
        const Bend bend = bendOf([=](double u) { return Point2{A * std::cos(pi * u), B * std::sin(pi * u)}; }, 1000);
        s.surface = sweep(
            section,
            [=](double u) {
                const auto [at, n] = bend.at(bend.length * u);
                const Vec3 along{n.z, 0, -n.x};
                return Pose{n, cross(along, n), along, at};
            },
            path, o);
        s.rim = pi * v("hole");
    }
    s.areaLow = s.areaHigh = s.area;
    return s;
}

}  // namespace uovo::form
