// Round families: molds, balls, wraps, discs, modeled cones and legs.
#include <algorithm>
#include <cmath>

#include "core/form/mend.h"
#include "core/form/part_builders.h"
#include "core/quantity/catalogue.h"

namespace uovo::form {
namespace {

constexpr int kPanels = 64;
constexpr double kRoundBudget = 2;  // times the triangles wanted: a corner of a third of a millimetre asks for fifteen

/// Area ∬ √(z_u²(r² + r_θ²) + (r r_u)²) dθ du of one stretch whose radius may wave round the axis.
double stretchArea(const Stretch& s, int waves) {
    double sum = 0;
    // three-point Gauss–Legendre on each panel
    static constexpr std::array<double, 3> x{-0.7745966692414834, 0, 0.7745966692414834}, w{5.0 / 9, 8.0 / 9, 5.0 / 9};
    const bool plain = !s.wave || waves == 0;
    const int turns = plain ? 1 : 64;
    for (int p = 0; p < kPanels; ++p)
        for (size_t g = 0; g < 3; ++g) {
            const double u = (p + 0.5 + 0.5 * x[g]) / kPanels;
            const CurvePoint c = s.piece(u);
            double inner = 0;
            if (plain) {
                inner = 2 * pi * c.r * std::hypot(c.dr, c.dz);
            } else {
                const double a = s.wave(u), da = (s.wave(std::min(1.0, u + 1e-5)) - s.wave(std::max(0.0, u - 1e-5))) /
                                                 (std::min(1.0, u + 1e-5) - std::max(0.0, u - 1e-5));
                for (int k = 0; k < turns; ++k) {  // trapezoid over one flute: spectral accuracy
                    const double phase = 2 * pi * k / turns;
                    const double r = c.r + a * std::cos(phase), ru = c.dr + da * std::cos(phase),
                                 rt = -waves * a * std::sin(phase);
                    inner += std::sqrt(c.dz * c.dz * (r * r + rt * rt) + r * r * ru * ru) * 2 * pi / turns;
                }
            }
            sum += inner * w[g] / 2 / kPanels;
        }
    return sum;
}

/// Volume ∫ π (r² + a²/2) dz: the mean of r² round a waving section.
double stretchVolume(const Stretch& s) {
    static constexpr std::array<double, 3> x{-0.7745966692414834, 0, 0.7745966692414834}, w{5.0 / 9, 8.0 / 9, 5.0 / 9};
    double sum = 0;
    for (int p = 0; p < kPanels; ++p)
        for (size_t g = 0; g < 3; ++g) {
            const double u = (p + 0.5 + 0.5 * x[g]) / kPanels;
            const CurvePoint c = s.piece(u);
            const double a = s.wave ? s.wave(u) : 0;
            sum += pi * (c.r * c.r + a * a / 2) * c.dz * w[g] / 2 / kPanels;
        }
    return sum;
}

/// Egg from pole to pole: r = R sin t (1 + e cos t), z = a (1 − cos t).
Stretch eggArc(double width, double length, double e, double t0, double t1) {
    const double R = pearRadius(pi * width, e), a = length / 2;
    return {[=](double u) {
                const double t = t0 + (t1 - t0) * u, s = std::sin(t), c = std::cos(t), k = t1 - t0;
                return CurvePoint{R * s * (1 + e * c), a - a * c, k * R * (c + e * (c * c - s * s)), k * a * s, 0, 0};
            },
            Mark::Wall,
            {}};
}

Stretch waving(Stretch s, std::function<double(double)> wave) {
    s.wave = std::move(wave);
    return s;
}

/// Rows of the mesh end where a wall begins to widen to its land, unless that is so little that the row would be a
/// needle.
double gussetRow(double widening, double radius) { return widening > std::max(1e-3, 0.03 * radius) ? widening : 0; }

Built frustumMold(const Values& v, const Detail& detail) {
    const double rb = v("baseDiameter") / 2, rt = v("topDiameter") / 2, h = v("height"), d = v("fluteDepth") / 2;
    const int n = static_cast<int>(std::lround(v("flutes")));
    if (rt < rb)
        return refuse(tr("The mold is narrower at the top than at the base: the shell would be caught in it."),
                      "topDiameter");
    if (n > 0 && n < 3) return refuse(tr("Either no flutes or at least three."), "flutes");
    if (n > 0 && d > 0.4 * rb) return refuse(tr("The flutes are deeper than the pan allows."), "fluteDepth");
    if (n > 0 && d > pi * rb / n * 2) return refuse(tr("So many flutes cannot be so deep."), "fluteDepth");
    const auto flat = [d](double from, double to) { return [=](double u) { return d * (from + (to - from) * u); }; };
    std::vector<Stretch> s{line(0, 0, rb, 0), line(rb, 0, rt, h), line(rt, h, 0, h, Mark::Lid)};
    if (n > 0 && d > 0) s = {waving(s[0], flat(0, 1)), waving(s[1], flat(1, 1)), waving(s[2], flat(1, 0))};
    Shape out = roundShape(s, d > 0 ? n : 0, detail);
    out.rim = rimLength(out.surface);
    return out;
}

Built profileBody(const Values& v, bool closed, const Detail& detail) {
    if (v.part.points.empty() || v.part.points[0].size() < 2)
        return refuse(tr("Draw at least two points of the profile."), "points");
    const Loop& p = v.part.points[0];
    for (const auto& q : p)
        if (!(q[0] >= 0 && q[0] < 1 && std::abs(q[1]) < 2))
            return refuse(tr("A point of the profile lies left of the axis, or a metre away."), "points");
    Loop whole = p;
    if (whole.front()[0] > 1e-6) whole.insert(whole.begin(), {0, whole.front()[1]});
    const bool lid = whole.back()[0] > 1e-6;
    if (lid) whole.push_back({0, whole.back()[1]});
    whole.front()[0] = whole.back()[0] = 0;
    for (size_t i = 1; i + 1 < whole.size(); ++i)
        if (whole[i][0] <= 1e-6) return refuse(tr("The profile touches its axis in the middle."), "points");
    Loop ring = whole;  // with the axis it must be a simple polygon
    if (crossesItself({ring})) return refuse(tr("The profile crosses itself."), "points");
    if (signedArea(ring) < 0) return refuse(tr("Draw the profile from its lowest point up."), "points");
    std::vector<Stretch> s;
    for (size_t i = 0; i + 1 < whole.size(); ++i)
        s.push_back(line(whole[i][0], whole[i][1], whole[i + 1][0], whole[i + 1][1],
                         lid && !closed && i + 2 == whole.size() ? Mark::Lid : Mark::Wall));
    Shape out = roundShape(s, 0, detail);
    double widest = 0;
    for (const auto& q : whole) widest = std::max(widest, q[0]);
    if (lid && !closed) out.rim = 2 * pi * p.back()[0];
    if (closed) {  // two halves joined along a plane through the axis
        out.seam = perimeter(whole) - std::abs(whole.back()[1] - whole.front()[1]);
        out.seam *= 2;
        if (v("seam") > 0.5 * widest) return refuse(tr("The edge at the seam does not fit into the figure."), "seam");
        out.land = v("seam");
        out.seamNormal = {0, 1, 0};
    }
    return out;
}

}  // namespace

Shape roundFormer(const Meridian& meridian, double triangles) {
    LatheOptions o;
    o.edge = o.along = std::sqrt(meridian.area() / (0.433 * 0.75 * triangles));  // rows and rings are rounded up
    o.onSurface = true;
    o.most = kRoundBudget * triangles;
    Shape s;
    s.surface = lathe(meridian, o);
    s.outside = meridian.side() == Side::Outside;
    s.area = s.areaLow = s.areaHigh = meridian.area();
    s.volume = meridian.volume();
    return s;
}

Stretch line(double r0, double z0, double r1, double z1, Mark mark) {
    return {
        [=](double u) { return CurvePoint{r0 + (r1 - r0) * u, z0 + (z1 - z0) * u, r1 - r0, z1 - z0, 0, 0}; }, mark, {}};
}

Stretch ellipseArc(double R, double A, double cz, double t0, double t1, Mark mark) {
    return {[=](double u) {
                const double t = t0 + (t1 - t0) * u, k = t1 - t0;
                return CurvePoint{
                    R * std::sin(t), cz - A * std::cos(t), k * R * std::cos(t), k * A * std::sin(t), 0, 0};
            },
            mark,
            {}};
}

double edgeFor(double area, double widest, const Detail& d) {
    return std::min(std::sqrt(area / (0.433 * d.triangles)), 2 * pi * widest / d.round);
}

Shape roundShape(const std::vector<Stretch>& stretches, int waves, const Detail& detail) {
    Shape out;
    double all = 0, widest = 0;
    for (const auto& s : stretches) {
        const double a = stretchArea(s, waves);
        all += a;
        if (s.mark == Mark::Wall) out.area += a;
        out.volume += stretchVolume(s);
        for (int i = 0; i <= 16; ++i) widest = std::max(widest, s.piece(i / 16.0).r);
    }
    LatheOptions o;
    o.onSurface = detail.onSurface;
    o.waves = waves;
    o.edge = edgeFor(all, widest, detail);
    o.along = o.edge;
    if (waves > 0)
        o.edge = std::min(o.edge, 2 * pi * widest / waves / (detail.round >= 160 ? 12 : detail.round >= 48 ? 6 : 4));
    o.along = std::min(o.along, 3.2 * o.edge);  // flutes are narrow: long cells along them
    // The budget: deep flutes on a flat dish ask for hundreds of times what is wanted. Coarser round first, then along.
    o.most = kBudget * std::max(detail.triangles, 40.0 * waves);
    for (int pass = 0; pass < 5; ++pass, o.along *= 2) {
        out.surface = lathe(stretches, o);
        if (double(out.surface.triangles.size()) <= o.most) break;
    }
    if (waves > 0) out.surface = mend(std::move(out.surface));  // an odd number of flutes crowds the pole
    out.areaLow = out.areaHigh = out.area;
    return out;
}

// Long because it is one branch a family, each a few lines of its geometry.
Built buildRound(const Values& v, const std::string& family, const Detail& detail) {
    if (family == "half-ball") {
        const double R = v("diameter") / 2, D = v("depth");
        const double land = v("seam");
        if (land > 0.5 * std::min(R, D)) return refuse(tr("The land does not fit into the half ball."), "seam");
        const double gusset = gussetRow(land - v("wall"), R), foot = pi / 2 - gusset / D;
        std::vector<Stretch> wall{ellipseArc(R, D, D, 0, foot), ellipseArc(R, D, D, foot, pi / 2),
                                  line(R, D, 0, D, Mark::Lid)};
        if (gusset == 0) wall.erase(wall.begin() + 1);
        Shape s = roundShape(wall, 0, detail);
        s.rim = 2 * pi * R;
        s.land = land;
        s.seamAt = {0, 0, D};
        s.seamNormal = {0, 0, 1};
        return s;
    }
    if (family == "fluted-dome") {
        const double R = v("diameter") / 2, D = v("depth"), d = v("fluteDepth") / 2;
        const int n = static_cast<int>(std::lround(v("flutes")));
        if (d > 0.35 * R)
            return refuse(tr("The flutes are deeper than the dome allows; its radius is ") +
                              format(R, Dimension::Length, UnitSystem::Metric) + ".",
                          "fluteDepth");
        std::vector<Stretch> s{ellipseArc(R, D, D, 0, pi / 2), line(R, D, 0, D, Mark::Lid)};
        if (d > 0) {  // the flutes fade towards the pole
            s[0].wave = [d](double u) { return d * std::sin(pi / 2 * u); };
            s[1].wave = [d](double u) { return d * (1 - u); };
        }
        Shape out = roundShape(s, d > 0 ? n : 0, detail);
        out.rim = rimLength(out.surface);
        return out;
    }
    if (family == "tart" || family == "case") return frustumMold(v, detail);
    if (family == "profile-mold") return profileBody(v, false, detail);
    if (family == "figure-lathe") return profileBody(v, true, detail);
    if (family == "ball") {
        const double R = v("diameter") / 2, opening = v(kOpening) / 2;
        if (opening > 0.9 * R) return refuse(tr("The opening is as wide as the ball."), kOpening);
        if (v("seam") > 0.5 * R) return refuse(tr("The edge at the seam does not fit into the ball."), "seam");
        const double land = v("seam"), end = opening > 1e-5 ? pi - std::asin(opening / R) : pi;
        if (R - R * std::cos(end) < R + land) return refuse(tr("The opening reaches down to the seam land."), kOpening);
        const double gusset = gussetRow(land - v("wall"), R);
        std::vector<Stretch> s;
        double from = 0;  // rows end at the seam and where the wall begins to widen
        for (const double to : {pi / 2 - gusset / R, pi / 2, pi / 2 + gusset / R, end})
            if (to > from + 1e-9) {
                s.push_back(ellipseArc(R, R, R, from, to));
                from = to;
            }
        if (opening > 1e-5) s.push_back(line(opening, R - R * std::cos(end), 0, R - R * std::cos(end), Mark::Lid));
        Shape out = roundShape(s, 0, detail);
        out.seam = 2 * pi * R;
        out.land = land;
        out.seamAt = {0, 0, R};
        out.seamNormal = {0, 0, 1};
        out.rim = 2 * pi * (opening > 1e-5 ? opening : 0);
        return out;
    }
    if (family == "egg") {
        if (v("length") < v("width")) return refuse(tr("An egg is longer than it is wide."), "width");
        Shape out = roundShape({eggArc(v("width"), v("length"), v("pear"), 0, pi)}, 0, detail);
        if (v("seam") > 0.25 * v("width")) return refuse(tr("The edge at the seam does not fit into the egg."), "seam");
        out.land = v("seam");
        out.seamNormal = {0, 1, 0};
        const auto arc = eggArc(v("width"), v("length"), v("pear"), 0, pi);
        for (int i = 0; i < 400; ++i) {  // halves lie on their sides: the seam runs from tip to tip and back
            const CurvePoint p = arc.piece((i + 0.5) / 400);
            out.seam += 2 * std::hypot(p.dr, p.dz) / 400;
        }
        return out;
    }
    if (family == "pressed") {
        const double rb = v("baseDiameter") / 2, rt = v("topDiameter") / 2, h = v("height"), fill = v("fillLine"),
                     floor = v("floor");
        if (rt < rb) return refuse(tr("The form is narrower at the top than at the base."), "topDiameter");
        if (fill > h) return refuse(tr("The fill line is above the form's rim."), "fillLine");
        if (floor > fill - 0.002) return refuse(tr("The floor is as thick as the piece is high."), "floor");
        const double slope = std::atan2(rt - rb, h), gap = v("gap") / std::cos(slope);
        const auto outer = [&](double z) { return rb + (rt - rb) * z / h; };
        if (outer(floor) - gap < 0.002) return refuse(tr("The gap leaves no room for the insert."), "gap");
        Shape s = roundShape(
            {line(0, 0, rb, 0), line(rb, 0, outer(fill), fill), line(outer(fill), fill, outer(fill) - gap, fill),
             line(outer(fill) - gap, fill, outer(floor) - gap, floor), line(outer(floor) - gap, floor, 0, floor)},
            0, detail);
        s.wall = v("gap");
        const double r1 = outer(floor) - gap, r2 = outer(fill) - gap;
        s.hollow = pi / 3 * (fill - floor) * (r1 * r1 + r1 * r2 + r2 * r2);
        s.rim = 2 * pi * (outer(fill) - gap / 2);
        return s;
    }
    if (family == "wrap-cone" || family == "wrap-frustum" || family == "wrap-tube") {
        const bool cone = family == "wrap-cone", tube = family == "wrap-tube";
        const double rb = cone   ? 0
                          : tube ? v("diameter") / 2
                                 : v("baseDiameter") / 2,
                     rt = cone || tube ? v("diameter") / 2 : v("topDiameter") / 2, h = v("height"), over = v("overlap");
        std::vector<Stretch> s;
        if (!cone) s.push_back(line(0, 0, rb, 0, Mark::Lid));
        s.push_back(line(rb, 0, rt, h));
        s.push_back(line(rt, h, 0, h, Mark::Lid));
        Shape out = roundShape(s, 0, detail);
        out.rim = 2 * pi * (rt + rb);
        FlatPattern p;
        p.overlap = over;
        const double slant = std::hypot(rt - rb, h), wide = std::max(rt, rb), narrow = std::min(rt, rb);
        if (wide - narrow < 1e-6 * wide) {
            p.width = 2 * pi * wide + over;
            p.height = h;
        } else {
            p.inner = narrow * slant / (wide - narrow);
            p.outer = p.inner + slant;
            p.angle = (2 * pi * wide + over) / p.outer;
            if (p.angle > 2 * pi)
                return refuse(tr("So flat a cone cannot be wrapped from one sheet with this overlap."), "height");
        }
        out.pattern = p;
        return out;
    }
    if (family == "stepped") {
        const double rb = v("baseDiameter") / 2, rt = v("topDiameter") / 2, h = v("height");
        const int n = static_cast<int>(std::lround(v("steps")));
        if (rt > rb) return refuse(tr("It is wider at the top than at the base: turn it over."), "topDiameter");
        if (n < 2) return roundShape({line(0, 0, rb, 0), line(rb, 0, rt, h), line(rt, h, 0, h)}, 0, detail);
        if ((rb - rt) / (n - 1) < 0.0005)
            return refuse(tr("Its steps are narrower than half a millimetre: make the top smaller, or take fewer."),
                          "steps");
        std::vector<Stretch> s{line(0, 0, rb, 0)};
        double r = rb;
        for (int k = 0; k < n; ++k) {
            const double next = k + 1 < n ? rb + (rt - rb) * (k + 1) / (n - 1) : 0;
            s.push_back(line(r, h * k / n, r, h * (k + 1) / n));
            s.push_back(line(r, h * (k + 1) / n, next, h * (k + 1) / n));
            r = next;
        }
        return roundShape(s, 0, detail);
    }
    if (family == "disc") {
        const double R = v("diameter") / 2, t = v("thickness");
        if (t > 2 * R) return refuse(tr("This disc is thicker than it is wide."), "thickness");
        return roundShape({line(0, 0, R, 0), line(R, 0, R, t), line(R, t, 0, t)}, 0, detail);
    }
    if (family == "lid") {
        const double R = v("diameter") / 2, t = v("thickness"), r = v("plug") / 2, h = v("step");
        if (r > R - 5e-4) return refuse(tr("The step must be narrower than the lid."), "plug");
        return roundShape(
            {line(0, 0, r, 0), line(r, 0, r, h), line(r, h, R, h), line(R, h, R, h + t), line(R, h + t, 0, h + t)}, 0,
            detail);
    }
    if (family == "cone-solid") {
        const double R = v("diameter") / 2, h = v("height");
        return roundShape({line(0, 0, R, 0), line(R, 0, 0, h)}, 0, detail);
    }
    if (family == "ball-solid") {
        const double R = v("diameter") / 2;
        return roundShape({ellipseArc(R, R, R, 0, pi)}, 0, detail);
    }
    if (family == "leg") {
        const double b = v("bottom") / 2, t = v("top") / 2, h = v("length");
        return roundShape({line(0, 0, b, 0), line(b, 0, t, h), line(t, h, 0, h)}, 0, detail);
    }
    return refuse(tr("There is no such family."), "family");
}

}  // namespace uovo::form
