#include "core/form/former.h"

#include <cmath>
#include <numbers>
#include "core/quantity/catalogue.h"

namespace uovo::form {
namespace {

using std::numbers::pi;

std::string inMm(double m) { return format(m, Dimension::Length, UnitSystem::Metric); }

tl::unexpected<Problem> refuseFormer(std::string sentence, std::string field) {
    return tl::unexpected(Problem{std::move(sentence), std::move(field)});
}

tl::expected<void, Problem> within(double v, double low, double high, const char* what, const char* field) {
    if (!std::isfinite(v)) return refuseFormer(std::string(what) + tr(" is not a number."), field);
    if (v < low || v > high)
        return refuseFormer(std::string(what) + tr(" is ") + inMm(v) + tr("; it must be between ") + inMm(low) +
                                tr(" and ") + inMm(high) + ".",
                            field);
    return {};
}

/// The pear from t = 0 to t = end, shifted so that its pole is at z = 0.
Meridian pear(double R, double a, double e, double end, Side side) {
    Meridian m(side);
    m.add([=](double u) {
        const double t = end * u, s = std::sin(t), c = std::cos(t);
        return CurvePoint{R * s * (1 + e * c),
                          a - a * c,
                          end * R * (c + e * (c * c - s * s)),
                          end * a * s,
                          end * end * R * (-s - 4 * e * s * c),
                          end * end * a * c};
    });
    return m;
}

tl::expected<void, Problem> check(const Balloon& b) {
    if (auto ok = within(b.girth.value, 0.05, 2.0, tr("The girth"), "girth"); !ok) return ok;
    if (auto ok = within(b.length.value, 0.02, 0.8, tr("The length"), "length"); !ok) return ok;
    if (!(b.pear.value >= 0 && b.pear.value <= 0.3))
        return refuseFormer(tr("Pear-shape goes from 0 % (an even egg) to 30 %."), "pear");
    const double wide = b.girth.value / pi;
    if (b.length.value < 0.6 * wide || b.length.value > 3.5 * wide)
        return refuseFormer(tr("A balloon ") + inMm(wide) + tr(" wide and ") + inMm(b.length.value) +
                                tr(" long does not exist; check girth and length."),
                            "length");
    return {};
}

}  // namespace

double pearRadius(double girth, double e) {
    const double widest = girth / (2 * pi);
    if (e < 1e-9) return widest;
    const double c = (std::sqrt(1 + 8 * e * e) - 1) / (4 * e);
    return widest / (std::sqrt(1 - c * c) * (1 + e * c));
}

tl::expected<Meridian, Problem> meridian(const Balloon& b) {
    if (auto ok = check(b); !ok) return tl::unexpected(ok.error());
    const double dip = b.dip.value, a = b.length.value / 2;
    if (!std::isfinite(dip)) return refuseFormer(tr("The dip depth is not a number."), "dip");
    if (dip < 0.005) return refuseFormer(tr("Dip at least 5 mm deep."), "dip");
    if (dip >= b.length.value)
        return refuseFormer(tr("The dip is ") + inMm(dip) + tr(" deep, but the balloon is only ") +
                                inMm(b.length.value) + tr(" long; keep the knot out of the chocolate."),
                            "dip");
    if (dip > 0.9 * b.length.value)
        return refuseFormer(
            tr("Dip at most ") + inMm(0.9 * b.length.value) + tr(" deep, so that there is an end to hold."), "dip");
    return pear(pearRadius(b.girth.value, b.pear.value), a, b.pear.value, std::acos(1 - dip / a), Side::Outside);
}

tl::expected<Meridian, Problem> wholeMeridian(const Balloon& b) {
    if (auto ok = check(b); !ok) return tl::unexpected(ok.error());
    return pear(pearRadius(b.girth.value, b.pear.value), b.length.value / 2, b.pear.value, pi, Side::Outside);
}

tl::expected<Meridian, Problem> meridian(const Cup& c) {
    if (auto ok = within(c.baseDiameter.value, 0.01, 0.4, tr("The base"), "baseDiameter"); !ok)
        return tl::unexpected(ok.error());
    if (auto ok = within(c.topDiameter.value, 0.01, 0.5, tr("The top"), "topDiameter"); !ok)
        return tl::unexpected(ok.error());
    if (auto ok = within(c.height.value, 0.005, 0.4, tr("The height"), "height"); !ok)
        return tl::unexpected(ok.error());
    if (c.topDiameter.value < c.baseDiameter.value)
        return refuseFormer(
            tr("The cup is narrower at the top than at the base; the chocolate would be trapped in it."),
            "topDiameter");
    const double rb = c.baseDiameter.value / 2, rt = c.topDiameter.value / 2, h = c.height.value;
    const double slope = std::atan2(rt - rb, h);  // from the vertical
    const double turn = pi / 2 - slope;           // floor to wall
    const double rc = std::isfinite(c.corner.value) ? c.corner.value : 0;
    const double tangent = rc * std::tan(turn / 2);  // length the fillet takes from floor and wall
    if (rc < 0 || tangent > 0.8 * rb || tangent > 0.5 * h)
        return refuseFormer(tr("The corner radius does not fit into this cup."), "corner");
    const double fill = c.fillLine.value;
    if (!std::isfinite(fill)) return refuseFormer(tr("The fill line is not a number."), "fillLine");
    if (fill > h * (1 + 1e-9))
        return refuseFormer(tr("The fill line is above the rim, which is ") + inMm(h) + tr(" high."), "fillLine");
    const double cornerTop = tangent * std::cos(slope);
    if (fill < cornerTop + 0.003)
        return refuseFormer(tr("Coat the wall at least a little above the corner."), "fillLine");
    Meridian m(Side::Inside);
    const double floorEnd = rb - tangent;
    m.add([=](double u) { return CurvePoint{floorEnd * u, 0, floorEnd, 0, 0, 0}; });
    if (rc > 1e-6)
        m.add([=](double u) {
            const double a = turn * u;
            return CurvePoint{floorEnd + rc * std::sin(a),     rc * (1 - std::cos(a)),
                              turn * rc * std::cos(a),         turn * rc * std::sin(a),
                              -turn * turn * rc * std::sin(a), turn * turn * rc * std::cos(a)};
        });
    const double r0 = rb + tangent * std::sin(slope), z0 = cornerTop, dz = fill - z0, dr = dz * std::tan(slope);
    m.add([=](double u) { return CurvePoint{r0 + dr * u, z0 + dz * u, dr, dz, 0, 0}; });
    return m;
}

Meridian sphereCap(double R, double h, Side side) { return pear(R, R, 0, std::acos(1 - h / R), side); }
Meridian ellipsoid(double R, double a, Side side) { return pear(R, a, 0, pi, side); }

}  // namespace uovo::form
