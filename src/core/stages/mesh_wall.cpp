// Walls that are coated on their own mesh: molded parts, by themselves or in a compound.
#include <algorithm>
#include <cmath>
#include <numeric>

#include "core/coat/mesh_coats.h"
#include "core/form/opening.h"
#include "core/quantity/catalogue.h"
#include "core/stages/made.h"

namespace uovo {
namespace {

constexpr double kPlug = 4;  // times the mean: thicker in a tip is a plug
constexpr double kCornerFills =
    0.25;  // H times the mean wall: a tip or corner as sharp as this fills, its cell says nothing of the wall

constexpr double kNone = 1e9;  // m: no wall yet

/// The piece with these of its coats only.
Piece withCoats(const Piece& piece, const std::vector<size_t>& coats) {
    if (coats.size() == piece.coats().size()) return piece;
    Piece out = piece;
    std::vector<PlannedCoat> kept;
    for (const size_t k : coats) kept.push_back(piece.coats()[k]);
    out.coats() = kept;
    return out;
}

/// Values of the nearest points.
std::vector<double> nearestOf(const std::vector<form::Vec3>& points, const std::vector<double>& values,
                              const std::vector<form::Vec3>& at) {
    std::vector<double> out;
    for (const auto& p : at) {
        size_t best = 0;
        double least = 1e300;
        for (size_t i = 0; i < points.size(); ++i) {
            const form::Vec3 d = points[i] - p;
            if (const double far = form::dot(d, d); values[i] > 0 && far < least) {
                least = far;
                best = i;
            }
        }
        out.push_back(values[best]);
    }
    return out;
}

}  // namespace

tl::expected<CoatedWall, Problem> coatParts(form::Assembly& assembly, std::vector<double>& kilograms,
                                            const Piece& piece, const Plan& plan, const material::Library& lib,
                                            std::stop_token stop) {
    CoatedWall w;
    const size_t n = piece.coats().size();
    w.coats.resize(n);
    for (auto& c : w.coats) c.thinnest = kNone;
    std::vector<double> anywhere(n, kNone);  // m, thinnest with rims and corners
    std::vector<SlowPlace> slow(n, {{}, plan.kitchen.room.value});
    std::vector<double> volumes(n, 0.0);
    std::vector<double> areas(n, 0.0), rims(n, 0.0);  // m² that a coat lies on, and of it near a rim
    double area = 0, rimArea = 0, rimSum = 0, sum = 0, thinnest = kNone, thinnestAnywhere = kNone;
    const auto setting = coatSetting(piece, plan, lib);  // of all coats
    if (!setting) return tl::unexpected(setting.error());
    std::vector<size_t> lastCoats;
    std::optional<coat::MeshCoats> last;  // of the wall before
    for (size_t part = 0; part < assembly.items.size(); ++part) {
        form::Shape& shape = assembly.items[part].shape;
        const std::vector<size_t> mine = piece.coatsOn(assembly.items[part]);
        if (mine.empty()) continue;
        // a hole that is melted into it afterwards is not there yet
        const bool closes = form::family(assembly.items[part].part.family)->former == form::Former::Closed;
        const double hole = closes ? form::figure(assembly.items[part].part, form::kOpening) : 0;
        auto closed = hole > 0 ? form::build(form::unopened(assembly.items[part].part), plan.meshes, kTurned)
                               : tl::expected<form::Assembly, Problem>{};
        if (!closed) return tl::unexpected(closed.error());
        const coat::Surface surface =
            coat::surfaceOf(hole > 0 ? closed->items.front().shape.surface : shape.surface, shape.outside);
        if (!last || mine != lastCoats ||
            !(assembly.items[part].part == assembly.items[w.items.back()].part)) {  // two equal halves are coated once
            auto job = meshJob(withCoats(piece, mine), plan, lib, surface, shape.outside);
            if (!job) return tl::unexpected(job.error());
            job->shut = closes;
            auto coated = coat::coat(*job, stop);
            if (!coated) return tl::unexpected(coated.error());
            last = std::move(*coated);
            lastCoats = mine;
        }
        const auto& done = last;
        w.items.push_back(part);
        const auto& final = done->coats.back();
        const double own = std::accumulate(surface.area.begin(), surface.area.end(), 0.0);
        for (size_t j = 0; j < done->coats.size(); ++j) {
            const auto& c = done->coats[j];
            const size_t k = mine[j];
            w.coats[k].added += c.added;
            w.coats[k].dripped += c.dripped;
            w.coats[k].fell += c.fell;
            w.coats[k].lockTypical =
                std::isnan(c.lockTypical) ? c.lockTypical : std::max(w.coats[k].lockTypical, c.lockTypical);
            areas[k] += own;
            for (size_t i = 0; i < surface.size(); ++i)
                volumes[k] += (c.wall[i] - (j ? done->coats[j - 1].wall[i] : 0)) * surface.area[i];
            const auto place =
                coat::slowPlace(surface, j ? done->coats[j - 1].perArea : std::vector<double>{}, c.perArea);
            if (place.fresh > slow[k].fresh) static_cast<coat::SlowPlace&>(slow[k]) = place;
            slow[k].shellTemperature = std::min(slow[k].shellTemperature, c.shellTemperature);
        }
        kilograms[part] = done->mass;
        w.bare += final.bare * own;
        w.error = std::max(w.error, done->error);
        double low = 1e9, mean = 0;
        for (const auto& p : surface.at) low = std::min(low, p.z);
        for (size_t i = 0; i < surface.size(); ++i) mean += final.wall[i] * surface.area[i] / own;
        shape.thickness.assign(
            hole > 0 ? closed->items.front().shape.surface.points.size() : shape.surface.points.size(), 0.0);
        const auto atRim = coat::nearRim(surface, 1.5 * coat::kRimAt);
        for (size_t i = 0; i < surface.size(); ++i) {
            const double h = final.wall[i];
            shape.thickness[static_cast<size_t>(surface.corner[i])] = std::max(h, kSkin);
            const bool rim = atRim[i] > 0, corner = -surface.mean[i] * mean >= kCornerFills;
            if (!corner || h < kPlug * mean)
                w.thickest = std::max(w.thickest, h);  // the plug in a cone's tip is no wall
            if (rim) {
                rimArea += surface.area[i];
                rimSum += h * surface.area[i];
            }
            thinnestAnywhere = std::min(thinnestAnywhere, h);
            for (size_t j = 0; j < mine.size(); ++j) {
                const size_t k = mine[j];
                const double t = done->coats[j].wall[i];
                if (rim) {
                    w.coats[k].rim += t * surface.area[i];
                    rims[k] += surface.area[i];
                }
                anywhere[k] = std::min(anywhere[k], t);
                if (rim || corner || t >= w.coats[k].thinnest) continue;
                w.coats[k].thinnest = t;
            }
            if (!rim && !corner && h < thinnest) {
                thinnest = h;
                w.thinnestHeight = surface.at[i].z - low;
                w.thinnestOn = assembly.items[part].name;
            }
        }
        if (hole > 0) {
            const form::Opening cap(assembly.items[part].part);
            double lost = 0, over = 0;
            for (size_t i = 0; i < surface.size(); ++i)
                if (surface.at[i].z > cap.from()) {
                    lost += final.wall[i] * surface.area[i];
                    over += surface.area[i];
                }
            w.melted = (over > 0 ? lost / over : mean) * cap.area() * setting->coating.densitySolid;
            kilograms[part] -= w.melted;
            shape.thickness =
                nearestOf(closed->items.front().shape.surface.points, shape.thickness, shape.surface.points);
        }
        for (auto b : coat::blemishes(surface, final.wall, piece.coats()[mine.front()].way == coat::Way::Pour)) {
            b.part = part;
            w.blemishes.push_back(b);
        }
        sum += mean * own;
        area += own;
        shape.wall = mean;
        shape.wallLow = (1 - CoatedWall::kLess) * mean;
        shape.wallHigh = (1 + CoatedWall::kMore) * mean;
    }
    if (w.items.empty())
        return tl::unexpected(Problem{tr("Nothing of this piece is a wall that could be coated."), "coats"});
    for (size_t k = 0; k < n; ++k)
        if (!(areas[k] > 0))
            return tl::unexpected(
                Problem{tr("No part of it takes this coat: every wall has coats of its own. Take it out."),
                        "coats/" + std::to_string(k) + "/item"});
    w.mean = sum / area;
    w.bare /= area;
    // So full that all of it is rim or corner; and a rim counts on the whole: its bead is uneven.
    const auto settled = [](double inside, double all, double rim, bool hasRim) {
        const double t = inside == kNone ? all : inside;
        return hasRim ? std::min(t, rim) : t;
    };
    for (size_t k = 0; k < n; ++k) {
        auto& c = w.coats[k];
        c.rim = rims[k] > 0 ? c.rim / rims[k] : w.mean;
        c.thinnest = settled(c.thinnest, anywhere[k], c.rim, rims[k] > 0);
        c.mean = volumes[k] / areas[k];
    }
    w.rim = rimArea > 0 ? rimSum / rimArea : w.mean;
    w.thinAtRim = rimArea > 0 && w.rim < thinnest;
    w.thinnest = settled(thinnest, thinnestAnywhere, w.rim, rimArea > 0);
    std::stable_sort(w.blemishes.begin(), w.blemishes.end(),
                     [](const auto& a, const auto& b) { return a.kind != b.kind ? a.kind < b.kind : a.area > b.area; });
    static_cast<CoatTimes&>(w) =
        coatTimes(piece, plan, lib, *setting, slow, w.mean,
                  rimArea > 0 ? w.coats.back().rim - (w.coats.size() > 1 ? w.coats[w.coats.size() - 2].rim : 0) : 0);
    return w;
}

}  // namespace uovo
