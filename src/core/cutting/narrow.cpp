#include "core/cutting/narrow.h"

#include <algorithm>
#include <cmath>
#include <polyclipping/clipper.hpp>

namespace uovo::cutting {
namespace {

using ClipperLib::Path;
using ClipperLib::Paths;
using form::Loop;

constexpr double kPerMetre = 1e7;               // units a metre: a tenth of a micrometre
constexpr double kArc = 2e-6 * kPerMetre;       // of round joins
constexpr double kMeant = 0.6;                  // of its width squared: what is lost at corners and tips is less
constexpr double kFirst = 5e-4, kWider = 1.12;  // m that is looked for first, and how much more each time
constexpr double kAgain = 1.02;                 // opened a little wider than closed, so that round corners do not count

Paths toPaths(const std::vector<Loop>& loops) {
    Paths out;
    for (const auto& l : loops) {
        Path p;
        for (const auto& q : l) p.emplace_back(std::llround(q[0] * kPerMetre), std::llround(q[1] * kPerMetre));
        out.push_back(std::move(p));
    }
    return out;
}

Paths offset(const Paths& paths, double by) {
    ClipperLib::ClipperOffset o(2, kArc);
    o.AddPaths(paths, ClipperLib::jtRound, ClipperLib::etClosedPolygon);
    Paths out;
    o.Execute(out, by * kPerMetre);
    return out;
}

Paths combined(ClipperLib::ClipType how, const Paths& a, const Paths& b) {
    ClipperLib::Clipper c;
    c.AddPaths(a, ClipperLib::ptSubject, true);
    c.AddPaths(b, ClipperLib::ptClip, true);
    Paths out;
    c.Execute(how, out, ClipperLib::pftNonZero, ClipperLib::pftNonZero);
    return out;
}

/// Connected pieces: an outer path with its holes.
std::vector<Paths> pieces(const Paths& paths) {
    ClipperLib::Clipper c;
    c.AddPaths(paths, ClipperLib::ptSubject, true);
    ClipperLib::PolyTree tree;
    c.Execute(ClipperLib::ctUnion, tree, ClipperLib::pftNonZero, ClipperLib::pftNonZero);
    std::vector<Paths> out;
    for (auto* n = tree.GetFirst(); n; n = n->GetNext()) {
        if (n->IsHole()) continue;
        Paths one{n->Contour};
        for (const auto* h : n->Childs) one.push_back(h->Contour);
        out.push_back(std::move(one));
    }
    return out;
}

double sizeOf(const Paths& paths) {
    double a = 0;
    for (const auto& p : paths) a += ClipperLib::Area(p);
    return std::abs(a) / (kPerMetre * kPerMetre);
}

form::Point2 middleOf(const Paths& paths) {
    double a = 0, x = 0, y = 0;
    for (const auto& p : paths)
        for (size_t i = 0; i < p.size(); ++i) {
            const auto &u = p[i], &v = p[(i + 1) % p.size()];
            const double ux = double(u.X) / kPerMetre, uy = double(u.Y) / kPerMetre, vx = double(v.X) / kPerMetre,
                         vy = double(v.Y) / kPerMetre, k = ux * vy - vx * uy;
            a += k;
            x += (ux + vx) * k;
            y += (uy + vy) * k;
        }
    return std::abs(a) > 1e-16 ? form::Point2{x / (3 * a), y / (3 * a)} : form::Point2{};
}

/// What is lost when the outline is opened with a disc so wide: the narrow places.
std::vector<Paths> lost(const Paths& all, double width) {
    const Paths opened = offset(offset(all, -width / 2), width / 2 * kAgain);
    std::vector<Paths> out;
    for (auto& piece : pieces(combined(ClipperLib::ctDifference, all, opened)))
        if (sizeOf(piece) > kMeant * width * width) out.push_back(std::move(piece));
    return out;
}

}  // namespace

std::optional<Narrow> narrowest(const std::vector<Loop>& loops, double most) {
    const Paths all = combined(ClipperLib::ctUnion, toPaths(loops), {});
    if (all.empty()) return std::nullopt;
    // from narrow to wide: a much wider disc loses whole limbs, and no longer says where it began
    double low = 0, high = kFirst;
    while (lost(all, high).empty()) {
        if (high >= most) return std::nullopt;
        low = high;
        high = std::min(most, high * kWider);
    }
    for (int k = 0; k < 6; ++k) {
        const double middle = 0.5 * (low + high);
        (lost(all, middle).empty() ? low : high) = middle;
    }
    const auto places = lost(all, high);
    if (places.empty()) return std::nullopt;
    const auto& place = *std::ranges::max_element(places, {}, [](const Paths& p) { return sizeOf(p); });
    Narrow out;
    out.width = high;
    out.at = middleOf(place);
    // what it holds together: the plate without it, a little wider than it is
    const auto rest = pieces(combined(ClipperLib::ctDifference, all, offset(place, 0.02 * high)));
    double largest = 0;
    for (const auto& r : rest) largest = std::max(largest, sizeOf(r));
    bool skipped = false;
    form::Point2 sum{0, 0};
    for (const auto& r : rest) {
        const double a = sizeOf(r);
        if (a == largest && !skipped) {
            skipped = true;
            continue;
        }
        const auto m = middleOf(r);
        out.beyond += a;
        sum = {sum[0] + a * m[0], sum[1] + a * m[1]};
    }
    const double own = sizeOf(place);  // a leg that ends in nothing: itself hangs there
    const form::Point2 middle = out.beyond > 0 ? form::Point2{sum[0] / out.beyond, sum[1] / out.beyond} : out.at;
    if (out.beyond > 0) {
        out.lever = std::hypot(middle[0] - out.at[0], middle[1] - out.at[1]);
    } else {
        out.beyond = own;
        out.lever = 0.5 * own / high;
    }
    return out;
}

std::vector<Loop> united(const std::vector<Loop>& loops) {
    std::vector<Loop> out;
    for (const auto& piece : pieces(combined(ClipperLib::ctUnion, toPaths(loops), {})))
        for (size_t i = 0; i < piece.size(); ++i) {
            Loop l;
            for (const auto& p : piece[i]) l.push_back({double(p.X) / kPerMetre, double(p.Y) / kPerMetre});
            if ((form::signedArea(l) > 0) != (i == 0)) std::reverse(l.begin(), l.end());
            out.push_back(std::move(l));
        }
    return out;
}

}  // namespace uovo::cutting
