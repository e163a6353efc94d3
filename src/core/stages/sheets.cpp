#include "core/stages/sheets.h"

#include <fmt/format.h>

#include <algorithm>
#include <cmath>

#include "core/document/edits.h"
#include "core/form/outline_box.h"
#include "core/quantity/catalogue.h"
#include "core/quantity/words.h"

namespace uovo {
namespace {

using form::Loop;

constexpr double kAtEdge = 3;   // thicknesses: so near the outline a joint is at the edge
constexpr double kSame = 1e-7;  // m: outlines that differ less are one template

bool same(const std::vector<Loop>& a, const std::vector<Loop>& b) {
    if (a.size() != b.size()) return false;
    for (size_t l = 0; l < a.size(); ++l) {
        if (a[l].size() != b[l].size()) return false;
        for (size_t i = 0; i < a[l].size(); ++i)
            if (std::abs(a[l][i][0] - b[l][i][0]) > kSame || std::abs(a[l][i][1] - b[l][i][1]) > kSame) return false;
    }
    return true;
}

/// Its larger face: what a knife cuts before a side is bevelled.
std::vector<Loop> cutLoops(const form::Part& part) {
    auto loops = form::sheetOutline(part);
    const form::Bevel b = form::bevelOf(part);
    const form::Bevel out{std::min(0.0, b.left), std::min(0.0, b.right), std::min(0.0, b.top), std::min(0.0, b.bottom)};
    if (!loops.empty() && out.any())
        if (auto larger = form::bevelled(loops[0], out, form::figure(part, "thickness")); larger.size() >= 3)
            loops[0] = std::move(larger);
    return loops;
}

/// m from a place to the nearest outline.
double fromOutline(const form::Point2& p, const std::vector<Loop>& loops) {
    double nearest = 1e300;
    for (const auto& loop : loops)
        for (size_t i = 0; i < loop.size(); ++i) {
            const auto &a = loop[i], &b = loop[(i + 1) % loop.size()];
            const double dx = b[0] - a[0], dy = b[1] - a[1];
            const double u =
                std::clamp(((p[0] - a[0]) * dx + (p[1] - a[1]) * dy) / std::max(1e-18, dx * dx + dy * dy), 0.0, 1.0);
            nearest = std::min(nearest, std::hypot(p[0] - a[0] - u * dx, p[1] - a[1] - u * dy));
        }
    return nearest;
}

/// Where an item's joints are, on its outline; what is glued on its face is not marked.
std::vector<JointMark> marksOf(const PieceAnswers& known, size_t item) {
    std::vector<JointMark> out;
    if (!known.together || !known.together->problem.empty()) return out;
    const auto& t = *known.together;
    const auto& assembly = known.made->assembly;
    const size_t body = t.bodyOf(item);
    if (body == t.bodies.size()) return out;
    double low = 1e300;  // bodies stand on the table, items where they are
    for (const size_t k : t.items)
        low = std::min(low, form::bounds(form::placed(assembly.items[k].shape.solid(), assembly.items[k].pose)).low.z);
    const form::Pose& pose = assembly.items[item].pose;
    for (size_t g = 0; g < t.glues.size(); ++g) {
        if (t.glues[g].a != body && t.glues[g].b != body) continue;
        const auto c = std::ranges::find_if(
            t.found.contacts, [&](const assembly::Contact& x) { return x.between(t.glues[g].a, t.glues[g].b); });
        if (c == t.found.contacts.end()) continue;
        const form::Vec3 d = c->middle + form::Vec3{0, 0, low} - pose.at;
        const form::Point2 at{form::dot(d, pose.x), form::dot(d, pose.y)};
        if (fromOutline(at, form::sheetOutline(assembly.items[item].part)) < kAtEdge * assembly.items[item].shape.wall)
            out.push_back({at, jointLetter(t.joints[g])});
    }
    return out;
}

}  // namespace

std::string jointLetter(size_t joint) {
    std::string out;
    for (size_t k = joint + 1; k > 0; k = (k - 1) / 26) out.insert(out.begin(), static_cast<char>('A' + (k - 1) % 26));
    return out;
}

double ribbonRound(const Made& made, const std::string& item) {
    Loop all;
    for (const auto& i : made.assembly.items) {
        if (!i.edible || (!item.empty() && i.key != item)) continue;
        for (const auto& p : i.shape.surface.points) {
            const form::Vec3 q = i.pose(p);
            all.push_back({q.x, q.y});
        }
    }
    return all.size() < 3 ? 0 : form::perimeter(form::convexHull(std::move(all)));
}

double knifeSpeed(const Plan& plan, const material::Library& lib) {
    return plan.kitchen.knife.value > 0 ? plan.kitchen.knife.value : lib.usual("knifeSpeed");
}

CuttingWindow cuttingWindow(const form::Item& sheet, const Piece& piece, const Plan& plan, const material::Library& lib,
                            const material::Coating& coating) {
    const auto t = setting::settle(castOf(sheet, sheet.shape.chocolate(), piece.cast(), plan, lib, coating),
                                   heat::CrystalLaw(coating, lib.physics), settingEvents(lib),
                                   {stayIn(coat::Place::Table, 0, plan, lib)});
    if (std::isnan(t.set)) return {NAN, NAN};
    return {t.lock, t.firm};
}

SheetPlan sheetPlan(const Plan& plan, const material::Library& lib, const PlanFigures& known, const SheetWishes& wishes,
                    std::stop_token stop, const std::function<void(const SheetPlan&, double)>& progress) {
    SheetPlan out;
    for (size_t i = 0; i < plan.pieces.size() && i < known.pieces.size(); ++i) {
        const Piece& piece = plan.pieces[i];
        const PieceAnswers& now = *known.pieces[i];
        if (!now.made || !now.problems.empty()) continue;
        const auto& items = now.made->assembly.items;
        const int make = std::max(1, now.make);
        const size_t first = out.templates.size();
        for (const auto& d : StepsOf<const DecorateStep>(piece.making)) {
            auto ring = rimRing(piece, d, *now.made);
            if (auto strip = stencilStrip(piece, d, ring)) out.stencils.push_back(std::move(*strip));
            if (ring) out.rings.push_back(std::move(*ring));
        }
        if (!piece.mold.there)
            for (const auto& w : now.molds)
                out.nets.push_back(
                    {w.name.empty() ? piece.name : piece.name + ": " + w.name, cutting::boxNet(w.box.inside), w.molds});
        for (size_t k = 0; k < items.size(); ++k) {
            const auto& item = items[k];
            if (!item.edible) continue;
            const int spares = now.sparesOf(k);
            if (item.shape.pattern) {
                AcetatePattern a{piece.name, items.size() > 1 ? item.name : std::string(), *item.shape.pattern,
                                 make + spares};
                out.acetate.push_back(std::move(a));
            }
            const auto* family = form::family(item.part.family);
            if (item.shape.body != form::Body::Sheet || !family || !family->cut) continue;
            Template t;
            t.piece = piece.id;
            t.pieceName = piece.name;
            t.thickness = form::figure(item.part, "thickness");
            t.bevel = form::bevelOf(item.part);
            t.cutter = form::choice(item.part, "tool") == "cutter";
            t.mass = now.made->items[k];
            t.cut.loops = cutLoops(item.part);
            if (t.cut.loops.empty()) continue;
            std::string chocolate = chocolateOf(piece, item.key);
            if (chocolate.empty()) chocolate = piece.chocolateOf(piece.cast());
            auto group = std::ranges::find_if(out.groups, [&](const SheetGroup& g) {
                return g.chocolate == chocolate && std::abs(g.thickness - t.thickness) < kSame;
            });
            if (group == out.groups.end()) {
                SheetGroup g;
                g.chocolate = chocolate;
                g.thickness = t.thickness;
                const auto window = cuttingWindow(item, piece, plan, lib, now.coating);
                g.lock = window.lock;
                g.firm = window.firm;
                out.groups.push_back(std::move(g));
                group = out.groups.end() - 1;
            }
            const auto twin = std::find_if(
                out.templates.begin() + static_cast<std::ptrdiff_t>(first), out.templates.end(),
                [&](const Template& o) {
                    return std::abs(o.thickness - t.thickness) < kSame && o.cutter == t.cutter &&
                           same(o.cut.loops, t.cut.loops) &&
                           std::ranges::find(group->templates, static_cast<size_t>(&o - out.templates.data())) !=
                               group->templates.end();
                });
            if (twin != out.templates.end()) {
                twin->items.push_back(item.name);
                twin->marks.push_back(marksOf(now, k));
                twin->cut.count += make + spares;
                if (twin->name != item.name) twin->name = unnumbered(twin->name);
                continue;
            }
            t.name = item.name;
            t.items = {item.name};
            t.marks = {marksOf(now, k)};
            t.cut.count = make + spares;
            if (t.cutter) {
                t.cut.cutLength = 0;
                t.cut.each = lib.usual("cutterPress") * static_cast<double>(t.cut.loops.size());
            }
            group->templates.push_back(out.templates.size());
            out.templates.push_back(std::move(t));
        }
    }
    for (size_t k = 0; k < out.templates.size(); ++k) {
        auto& t = out.templates[k];
        t.number = static_cast<int>(k) + 1;
        t.cut.count += wishes.spares;
        t.cut.name = t.name;
    }
    for (size_t g = 0; g < out.groups.size(); ++g) {
        SheetGroup& group = out.groups[g];
        group.options.width = plan.kitchen.sheetWidth.value;
        group.options.height = plan.kitchen.sheetDepth.value;
        group.options.gap = plan.kitchen.sheetGap.value;
        group.options.speed = knifeSpeed(plan, lib);
        group.options.window = std::isnan(group.firm) ? 1e9 : group.firm - group.lock;
        std::vector<cutting::CutPart> parts;
        parts.reserve(group.templates.size());
        for (const size_t k : group.templates) parts.push_back(out.templates[k].cut);
        const double before = double(g) / double(out.groups.size());
        auto laid = cutting::nest(parts, group.options, stop, [&](const cutting::Layout& best, double share) {
            if (!progress) return;
            SheetPlan so = out;
            so.groups[g].layout = best;
            progress(so, before + share / double(out.groups.size()));
        });
        if (!laid) continue;  // an outline that crosses itself is told at its part
        group.layout = std::move(*laid);
        for (const auto& sheet : group.layout.sheets) {
            double mass = 0, area = 0;
            form::OutlineBox all;
            for (const auto& p : sheet.placements) {
                const auto& t = out.templates[group.templates[p.piece]];
                mass += t.mass;
                const auto loops = cutting::placedLoops(t.cut, p);
                for (const auto& loop : loops) area += form::signedArea(loop);
                all.add(loops.front());
            }
            const double border = 2 * group.options.border;
            const double spread = (all.width() + border) * (all.height() + border);
            group.parts.push_back(mass);
            group.pour.push_back(area > 0 ? mass * spread / area : 0);
        }
    }
    if (progress) progress(out, 1);
    return out;
}

std::vector<std::string> sheetTroubles(const SheetPlan& sheets, UnitSystem units) {
    std::vector<std::string> out;
    const auto length = [&](double m) { return format(m, Dimension::Length, units); };
    for (const auto& g : sheets.groups) {
        for (const size_t k : g.layout.tooLarge) {
            const auto& t = sheets.templates[g.templates[k]];
            const auto box = form::boxOf(t.cut.loops.front());
            out.push_back(
                say("{} of {}, {} × {}, fits on no sheet of {} × {}: spread a larger one, or make it "
                    "of two parts.",
                    t.name, t.pieceName, length(box.width()), length(box.height()), length(g.options.width),
                    length(g.options.height)));
        }
        for (const size_t k : g.layout.tooLong) {
            const auto& t = sheets.templates[g.templates[k]];
            out.push_back(
                say("{} of {} takes {} to cut; the sheet can be cut for {}: finish it with a warm "
                    "knife, or press it out.",
                    t.name, t.pieceName, format(cutting::secondsToCut(t.cut, g.options), Dimension::Duration, units),
                    format(g.options.window, Dimension::Duration, units)));
        }
    }
    return out;
}

}  // namespace uovo
