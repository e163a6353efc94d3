#include "core/mold/branches.h"

#include <algorithm>
#include <cmath>

#include "core/form/decimate.h"

namespace uovo::mold {
namespace {

using form::Mesh;
using form::Plane;
using form::Vec3;

constexpr size_t kSearchedOn = 2500;  // triangles on which cuts are looked for
constexpr int kLevels = 24;           // planes of a direction
constexpr double kLeastPart = 0.02;   // of the volume: less is no branch
constexpr double kNeck = 1.1;         // area of a cut against the two-thirds power of the smaller part: wider is none
constexpr size_t kTried = 10;         // narrowest cuts that are tried
constexpr double kSlice = 0.15;       // of the size: cuts nearer to each other are alike
constexpr double kHelps = 0.01;       // of the surface: a cut that frees less is none

struct Neck {
    Plane plane;
    size_t only = 0;
    double narrow = 0;
};

/// Narrow cuts, the narrowest first, no two of them alike.
std::vector<Neck> necks(const Mesh& mesh, std::stop_token stop) {
    const double whole = form::volume(mesh), size = form::length(form::bounds(mesh).size());
    std::vector<Neck> all;
    for (int x = -1; x <= 1; ++x)
        for (int y = -1; y <= 1; ++y)
            for (int z = -1; z <= 1; ++z) {
                if (std::tuple(x, y, z) <= std::tuple(0, 0, 0) || stop.stop_requested()) continue;
                const Vec3 n = form::unit({double(x), double(y), double(z)});
                const Reach reach = reachAlong(mesh, n);
                for (int k = 1; k < kLevels; ++k) {
                    const Plane plane{n * (reach.low + reach.length() * k / kLevels), n};
                    const auto sections = form::sectionsAt(mesh, plane);
                    for (size_t s = 0; s < std::min<size_t>(4, sections.size()); ++s) {
                        if (!(sections[s].area > 0)) continue;
                        form::SplitOptions o;
                        o.only = s;
                        const auto two = form::split(mesh, plane, o);
                        if (!two) continue;
                        const double least = std::min(form::volume(two->above), form::volume(two->below));
                        if (least < kLeastPart * whole) continue;
                        const double narrow = two->area / std::pow(least, 2.0 / 3);
                        if (narrow < kNeck) all.push_back({{sections[s].middle, n}, s, narrow});
                    }
                }
            }
    std::stable_sort(all.begin(), all.end(), [](const Neck& a, const Neck& b) { return a.narrow < b.narrow; });
    std::vector<Neck> out;
    for (const auto& neck : all) {
        if (out.size() >= kTried) break;
        if (std::none_of(out.begin(), out.end(), [&](const Neck& o) {
                return form::length(o.plane.at - neck.plane.at) < kSlice * size &&
                       std::abs(form::dot(o.plane.normal, neck.plane.normal)) > 0.8;
            }))
            out.push_back(neck);
    }
    return out;
}

/// The number of the section there that passes nearest to a point.
std::optional<size_t> sectionNear(const Mesh& mesh, const Plane& plane) {
    const auto sections = form::sectionsAt(mesh, plane);
    std::optional<size_t> out;
    double least = 1e300;
    for (size_t k = 0; k < sections.size(); ++k)
        if (const double far = form::length(sections[k].middle - plane.at); sections[k].area > 0 && far < least)
            least = far, out = k;
    return out;
}

Branch judged(Mesh mesh, const MoldOptions& options, const material::Library& lib, std::stop_token stop) {
    MoldOptions o = options;
    o.pull.reset();
    Branch out;
    if (const auto m = ownMold(mesh, o, lib, stop)) {
        out.leaves = m->leaves;
        out.parts = m->map.parts;
        out.caught = m->map.area > 0 ? m->map.caught / m->map.area : 0;
    }
    out.mesh = std::move(mesh);
    return out;
}

bool comesOut(const Branch& b) { return b.leaves == Leaves::Freely || b.leaves == Leaves::Stretched; }

/// How much of a part's surface still holds it fast, m².
double holds(const Branch& b) { return comesOut(b) ? 0 : std::max(kHelps / 10, b.caught) * form::area(b.mesh); }

}  // namespace

std::optional<Branches> branchesOf(const Mesh& mesh, const MoldOptions& options, const material::Library& lib, int keys,
                                   size_t most, std::stop_token stop, const std::function<void(int, int)>& told) {
    Branches out;
    out.branches.push_back(judged(mesh, options, lib, stop));
    std::vector<char> tried(1, 0);
    while (out.branches.size() < most) {
        const auto stuck = std::find_if(out.branches.begin(), out.branches.end(), [&](const Branch& b) {
            return !comesOut(b) && !tried[size_t(&b - out.branches.data())];
        });
        if (told)
            told(static_cast<int>(std::count_if(out.branches.begin(), out.branches.end(), comesOut)),
                 static_cast<int>(out.branches.size()));
        if (stop.stop_requested()) return std::nullopt;
        if (stuck == out.branches.end()) break;
        const size_t at = static_cast<size_t>(stuck - out.branches.begin());
        tried[at] = 1;
        const Mesh rough = form::decimated(stuck->mesh, kSearchedOn).value_or(stuck->mesh);
        const auto places = necks(rough, stop);
        const double before = holds(*stuck);
        double least = before * (1 - kHelps);
        const Neck* best = nullptr;
        for (const auto& neck : places) {
            if (stop.stop_requested()) return std::nullopt;
            const auto only = sectionNear(rough, neck.plane);
            form::SplitOptions o;
            o.only = only;
            const auto two = only ? form::split(rough, neck.plane, o) : tl::unexpected(Problem{});
            if (!two) continue;
            const double after =
                holds(judged(two->above, options, lib, stop)) + holds(judged(two->below, options, lib, stop));
            if (after < least) least = after, best = &neck;
            if (least <= 0) break;  // the narrowest of those that free both
        }
        if (!best) continue;
        form::SplitOptions o;
        o.only = sectionNear(stuck->mesh, best->plane);
        o.keys = keys;
        if (!o.only) continue;
        auto two = form::split(stuck->mesh, best->plane, o);
        if (!two) continue;
        Cut cut{at, out.branches.size(), best->plane, two->area, 0, two->keys};
        const auto sections = form::sectionsAt(stuck->mesh, best->plane);
        cut.line = form::perimeter(sections[*o.only].loop);
        for (auto& c : out.cuts) {  // an older cut of this part goes with the half that it lies on
            if (c.below != at && c.above != at) continue;
            const bool up = form::dot(c.plane.at - best->plane.at, best->plane.normal) > 0;
            if (up) (c.below == at ? c.below : c.above) = out.branches.size();
        }
        out.branches[at] = judged(std::move(two->below), options, lib, stop);
        out.branches.push_back(judged(std::move(two->above), options, lib, stop));
        tried[at] = 0;
        tried.push_back(0);
        out.cuts.push_back(std::move(cut));
    }
    out.free = std::all_of(out.branches.begin(), out.branches.end(), comesOut);
    return out;
}

tl::expected<Branches, Problem> cutAcross(const Mesh& mesh, double share, const MoldOptions& options,
                                          const material::Library& lib, int keys) {
    const form::Box box = form::bounds(mesh);
    const form::Plane plane{
        {0.5 * (box.low.x + box.high.x), 0.5 * (box.low.y + box.high.y), box.low.z + share * (box.high.z - box.low.z)},
        {0, 0, 1}};
    form::SplitOptions o;
    o.keys = keys;
    auto two = form::split(mesh, plane, o);
    if (!two) return tl::unexpected(two.error());
    Branches out;
    Cut cut{0, 1, plane, two->area, 0, two->keys};
    for (const auto& section : form::sectionsAt(mesh, plane)) cut.line += form::perimeter(section.loop);
    out.branches.push_back(judged(std::move(two->below), options, lib, {}));
    out.branches.push_back(judged(std::move(two->above), options, lib, {}));
    out.cuts.push_back(std::move(cut));
    out.free = std::all_of(out.branches.begin(), out.branches.end(), comesOut);
    return out;
}

}  // namespace uovo::mold
