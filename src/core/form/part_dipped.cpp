// What chocolate goes round and is eaten with it: fruit, biscuits and sticks that are dipped, heaps that are bound.
#include <algorithm>
#include <cmath>

#include "core/form/mend.h"
#include "core/form/part_builders.h"
#include "core/quantity/catalogue.h"

namespace uovo::form {
namespace {

constexpr int kRoundSteps = 96;  // corners of a round biscuit's outline
constexpr int kLumps = 17;
constexpr double kLump = 0.16, kLumpWidth = 0.42;  // of the radius: how far a nut stands out, and how wide it is
constexpr double kLeastDip = 0.003;                // m

/// The outline (x, height) of something flat that stands on its edge, from its lowest point up to `to`.
Loop flatOutline(bool round, double length, double width, double to) {
    const double a = length / 2;
    if (!round) return {{-width / 2, 0}, {width / 2, 0}, {width / 2, to}, {-width / 2, to}};
    Loop out;
    const double end = to >= length ? pi : std::acos(1 - to / a);
    for (int i = 0; i <= kRoundSteps; ++i) {
        const double t = end * (2.0 * i / kRoundSteps - 1);
        if (end >= pi && i == kRoundSteps) break;  // whole: the crown is one corner
        out.push_back({width / 2 * std::sin(t), a - a * std::cos(t)});
    }
    return out;
}

/// A plate that stands: heights of its outline go up, its thickness lies across.
Mesh stood(const Loop& outline, double thickness, double edge) {
    Mesh m = mend(plate({outline}, thickness, edge));
    for (auto& p : m.points) p = {p.x, thickness / 2 - p.z, p.y};
    return m;
}

/// The thing up to a height; its upper end is a lid where it goes on. Up to `to` it is covered.
Built upTo(const Values& v, double to, const Detail& detail) {
    const double L = v("length"), W = v("width"), T = v("thickness"), e = v("pear"), a = L / 2;
    const std::string what = v.choice("what");
    const bool whole = to >= L * (1 - 1e-9);
    const Mark end = whole ? Mark::Wall : Mark::Lid;
    if (what == "fruit") {  // its tip is the narrow end, and goes in first
        const double R = pearRadius(pi * W, e), last = whole ? pi : std::acos(1 - to / a);
        std::vector<Stretch> s{{[=](double u) {
                                    const double t = last * u, k = std::sin(t), c = std::cos(t);
                                    return CurvePoint{
                                        R * k * (1 - e * c), a - a * c, last * R * (c - e * (c * c - k * k)),
                                        last * a * k,        0,         0};
                                },
                                Mark::Wall,
                                {}}};
        if (!whole) s.push_back(line(s[0].piece(1).r, to, 0, to, end));
        return roundShape(s, 0, detail);
    }
    if (what == "stick")
        return roundShape({line(0, 0, W / 2, 0), line(W / 2, 0, W / 2, to), line(W / 2, to, 0, to, end)}, 0, detail);
    const Loop outline = flatOutline(what == "round biscuit", L, W, to);
    Shape out;
    const double face = std::abs(signedArea(outline));
    const double cut = whole                     ? 0  // the end that stays out
                       : what == "round biscuit" ? std::abs(outline.back()[0] - outline.front()[0])
                                                 : W;
    out.volume = face * T;
    out.area = out.areaLow = out.areaHigh = 2 * face + (perimeter(outline) - cut) * T;
    const double wanted = std::min(edgeFor(2 * face + perimeter(outline) * T, std::max(W, to) / 2, detail), 1.5 * T);
    out.surface = stood(outline, T, std::max(wanted, std::sqrt(2 * face / (0.433 * kBudget * detail.triangles))));
    if (!whole) {
        auto& m = out.surface;
        m.marks.assign(m.triangles.size(), Mark::Wall);
        for (size_t i = 0; i < m.triangles.size(); ++i)
            if (std::all_of(m.triangles[i].begin(), m.triangles[i].end(),
                            [&](auto corner) { return m.points[static_cast<size_t>(corner)].z > to - 1e-7; }))
                m.marks[i] = Mark::Lid;
    }
    return out;
}

tl::expected<void, Problem> check(const Values& v) {
    if (v("dip") > v("length") * (1 + 1e-9))
        return refuse(tr("It is dipped deeper than it is long, ") +
                          format(v("length"), Dimension::Length, UnitSystem::Metric) + ".",
                      "dip");
    if (v("dip") < kLeastDip) return refuse(tr("Dip it a few millimetres at least."), "dip");
    const std::string what = v.choice("what");
    if (what != "fruit" && what != "stick" && v("thickness") > v("width"))
        return refuse(tr("It is thicker than it is wide: turn it round."), "thickness");
    return {};
}

}  // namespace

Built buildDipped(const Values& v, const Detail& detail) {
    if (auto ok = check(v); !ok) return tl::unexpected(ok.error());
    Built out = upTo(v, v("dip"), detail);
    if (out) out->rim = rimLength(out->surface);
    return out;
}

Built insideOf(const Values& v, const Detail& detail) { return upTo(v, v("length"), detail); }

tl::expected<Meridian, Problem> roundDipped(const Part& part) {
    const Values v{part};
    if (auto ok = check(v); !ok) return tl::unexpected(ok.error());
    const std::string what = v.choice("what");
    const bool flat = what != "fruit" && what != "stick";
    const double r = 0.5 * std::hypot(v("width"), flat ? v("thickness") : 0), dip = v("dip");
    Meridian m(Side::Outside);
    m.add([=](double u) { return CurvePoint{r * u, 0, r, 0, 0, 0}; });
    m.add([=](double u) { return CurvePoint{r, dip * u, 0, dip, 0, 0}; });
    return m;
}

Built buildHeap(const Values& v, const Detail& detail) {
    const double R = v("diameter") / 2, H = v("height");
    if (H > 2 * R) return refuse(tr("So steep a heap slides apart; make it wider."), "height");
    // an upper half ellipsoid on its flat foot, with lumps that leave its volume as it is
    Shape out = roundShape({line(0, 0, R, 0), ellipseArc(R, H, 0, pi / 2, pi)}, 0, detail);
    out.displaced = (1 - v("share")) * out.volume;
    auto& points = out.surface.points;
    for (auto& p : points) {
        const Vec3 on = unit({p.x / R, p.y / R, p.z / H});
        double swell = 0;
        for (int k = 0; k < kLumps; ++k) {  // spread by the golden angle from the foot to the crown
            const double z = (k + 0.5) / kLumps, r = std::sqrt(1 - z * z), turn = 2.399963 * k;
            const double far = length(on - Vec3{r * std::cos(turn), r * std::sin(turn), z}) / kLumpWidth;
            swell = std::max(swell, kLump * (1 - far * far));
        }
        p = p * (1 + swell);
    }
    const double back = std::cbrt(out.volume / volume(out.surface));
    for (auto& p : points) p = p * back;
    out.area = out.areaLow = out.areaHigh = area(out.surface);
    out.exact = false;
    return out;
}

}  // namespace uovo::form
