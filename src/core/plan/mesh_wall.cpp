// Walls that are coated on their own mesh: molded parts, by themselves or in a compound.
#include <algorithm>
#include <cmath>
#include <numeric>

#include "core/coat/mesh_coats.h"
#include "core/form/opening.h"
#include "core/plan/answers.h"

namespace uovo {
namespace {

constexpr double kPlug = 4;                     // times the mean: thicker in a tip is a plug
constexpr form::Detail kTurned{750, 20, true};  // a pool that is turned about costs more
constexpr double kCornerFills =
    0.25;  // H times the mean wall: a tip or corner as sharp as this fills, its cell says nothing of the wall

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
    w.coats.resize(piece.coats().size());
    constexpr double kNone = 1e9;
    for (auto& c : w.coats) c.thinnest = kNone;
    std::vector<double> anywhere(piece.coats().size(), kNone);  // m, thinnest with rims and corners
    std::vector<SlowPlace> slow(piece.coats().size(), {{}, plan.kitchen.room.value});
    std::vector<double> volumes(piece.coats().size(), 0.0);
    double area = 0, rimArea = 0, sum = 0;
    std::optional<coat::CoatSetting> setting;
    std::optional<coat::MeshCoats> last;  // of the wall before
    for (size_t part = 0; part < assembly.items.size(); ++part) {
        form::Shape& shape = assembly.items[part].shape;
        if (shape.body != form::Body::Wall || shape.coverage < 1 || !assembly.items[part].edible) continue;
        // a hole that is melted into it afterwards is not there yet
        const double hole = piece.closes() ? form::figure(assembly.items[part].part, form::kOpening) : 0;
        auto closed = hole > 0 ? form::build(form::unopened(assembly.items[part].part), plan.meshes, kTurned)
                               : tl::expected<form::Assembly, Problem>{};
        if (!closed) return tl::unexpected(closed.error());
        const coat::Surface surface =
            coat::surfaceOf(hole > 0 ? closed->items.front().shape.surface : shape.surface, shape.outside);
        if (!last ||
            !(assembly.items[part].part == assembly.items[w.items.back()].part)) {  // two equal halves are coated once
            const auto job = meshJob(piece, plan, lib, surface, shape.outside);
            if (!job) return tl::unexpected(job.error());
            auto coated = coat::coat(*job, stop);
            if (!coated) return tl::unexpected(coated.error());
            setting = *job;
            last = std::move(*coated);
        }
        const auto& done = last;
        w.items.push_back(part);
        const auto& final = done->coats.back();
        const double own = std::accumulate(surface.area.begin(), surface.area.end(), 0.0);
        for (size_t k = 0; k < done->coats.size(); ++k) {
            const auto& c = done->coats[k];
            w.coats[k].added += c.added;
            w.coats[k].dripped += c.dripped;
            w.coats[k].fell += c.fell;
            w.coats[k].lockTypical =
                std::isnan(c.lockTypical) ? c.lockTypical : std::max(w.coats[k].lockTypical, c.lockTypical);
            for (size_t i = 0; i < surface.size(); ++i) volumes[k] += c.wall[i] * surface.area[i];
            const auto place =
                coat::slowPlace(surface, k ? done->coats[k - 1].perArea : std::vector<double>{}, c.perArea);
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
            if (rim) rimArea += surface.area[i];
            for (size_t k = 0; k < w.coats.size(); ++k) {
                const double t = done->coats[k].wall[i];
                if (rim) w.coats[k].rim += t * surface.area[i];
                anywhere[k] = std::min(anywhere[k], t);
                if (rim || corner || t >= w.coats[k].thinnest) continue;
                w.coats[k].thinnest = t;
                if (k + 1 < w.coats.size()) continue;
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
        for (auto b : coat::blemishes(surface, final.wall, piece.coats().front().way == coat::Way::Pour)) {
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
        return tl::unexpected(Problem{"Nothing of this piece is a wall that could be coated.", "coats"});
    w.mean = sum / area;
    w.bare /= area;
    for (size_t k = 0; k < w.coats.size(); ++k)  // so full that all of it is rim or corner
        if (w.coats[k].thinnest == kNone) w.coats[k].thinnest = anywhere[k];
    for (auto& c : w.coats) {  // a rim counts on the whole: its bead is uneven
        c.rim = rimArea > 0 ? c.rim / rimArea : w.mean;
        w.thinAtRim = rimArea > 0 && c.rim < c.thinnest;
        if (w.thinAtRim) c.thinnest = c.rim;
    }
    w.rim = w.coats.back().rim;
    w.thinnest = w.coats.back().thinnest;
    for (size_t k = 0; k < w.coats.size(); ++k) w.coats[k].mean = (volumes[k] - (k ? volumes[k - 1] : 0)) / area;
    std::stable_sort(w.blemishes.begin(), w.blemishes.end(),
                     [](const auto& a, const auto& b) { return a.kind != b.kind ? a.kind < b.kind : a.area > b.area; });
    static_cast<CoatTimes&>(w) =
        coatTimes(piece, plan, lib, *setting, slow, w.mean,
                  rimArea > 0 ? w.coats.back().rim - (w.coats.size() > 1 ? w.coats[w.coats.size() - 2].rim : 0) : 0);
    return w;
}

}  // namespace uovo
