// Parts beyond bowl and cup: built, coated where they have coats, and measured.
#include <algorithm>
#include <cmath>
#include <numeric>

#include "core/coat/mesh_coats.h"
#include "core/plan/answers.h"

namespace uovo {
namespace {

constexpr form::Detail kCoated{2600, 28, true};        // a coat on it takes about 30 ms
constexpr double kCornerFills = 0.25;                  // H times the mean wall: a tip or corner as sharp as this fills, its cell says nothing of the wall
constexpr double kStand = 0.005;  // m of tray under a mold on the shelf

double loopArea(const std::vector<std::array<double, 2>>& hull) { return std::abs(form::signedArea(hull)); }

/// Coats a built part on its own mesh; its shape then carries the wall it gets.
tl::expected<PartWall, Problem> coatPart(form::Shape& shape, const Piece& piece, const Plan& plan, const material::Library& lib) {
    const auto setting = coatSetting(piece, plan, lib);
    if (!setting) return tl::unexpected(setting.error());
    const coat::Surface surface = coat::surfaceOf(shape.surface, shape.outside);
    coat::MeshJob job;
    static_cast<coat::CoatSetting&>(job) = *setting;
    job.surface = &surface;
    for (const auto& c : piece.coats) {
        coat::MeshStep step;
        step.coat = c;
        job.steps.push_back(std::move(step));
    }
    const auto done = coat::coat(job);
    if (!done) return tl::unexpected(done.error());
    const auto& last = done->coats.back();
    PartWall w;
    w.thinnest = 1e9;
    w.bare = last.bare;
    w.error = done->error;
    double before = 0;
    for (const auto& c : done->coats) {
        double mean = 0, all = 0;
        for (size_t i = 0; i < surface.size(); ++i) {
            mean += c.wall[i] * surface.area[i];
            all += surface.area[i];
        }
        w.coats.push_back({c.added, c.dripped, mean / all - before, c.lockTypical});
        before = mean / all;
    }
    double area = 0, rimArea = 0, low = 1e9;
    for (const auto& p : surface.at) low = std::min(low, p.z);
    shape.thickness.assign(shape.surface.points.size(), 0.0);
    for (size_t i = 0; i < surface.size(); ++i) {
        const double h = last.wall[i];
        shape.thickness[static_cast<size_t>(surface.corner[i])] = std::max(h, 1e-5);  // bare places stay a skin, so that the solid closes
        w.mean += h * surface.area[i];
        area += surface.area[i];
        w.thickest = std::max(w.thickest, h);
        if (form::length(surface.edge[i]) > 0) {
            w.rim += h * surface.area[i];
            rimArea += surface.area[i];
        } else if (h < w.thinnest && -surface.mean[i] * before < kCornerFills) {
            w.thinnest = h;
            w.thinnestHeight = surface.at[i].z - low;
        }
    }
    w.mean /= area;
    w.rim = rimArea > 0 ? w.rim / rimArea : w.mean;
    shape.wall = w.mean;
    shape.wallLow = (1 - PartWall::kLess) * w.mean;
    shape.wallHigh = (1 + PartWall::kMore) * w.mean;
    return w;
}

}  // namespace

tl::expected<PartStage, Problem> partStage(const Piece& piece, const Plan& plan, const material::Library& lib, const material::Coating& coating) {
    const bool coated = piece.wallFromCoats();
    auto built = form::build(*piece.part(), plan.meshes, coated ? kCoated : form::kScreen);
    if (!built) return tl::unexpected(Problem{built.error().sentence, "former/" + built.error().where});
    PartStage s;
    s.assembly = std::move(*built);
    if (coated) {
        auto wall = coatPart(s.assembly.items.front().shape, piece, plan, lib);
        if (!wall) return tl::unexpected(wall.error());
        s.wall = std::make_shared<const PartWall>(std::move(*wall));
    }
    form::Mesh all;
    for (const auto& item : s.assembly.items) {
        const form::Shape& shape = item.shape;
        const form::Mesh solid = shape.solid();
        const form::Box box = form::bounds(solid);
        form::append(all, form::placed(solid, item.pose));
        s.volumes.push_back(s.wall ? std::accumulate(s.wall->coats.begin(), s.wall->coats.end(), 0.0, [](double sum, const auto& c) { return sum + c.added; }) / coating.densitySolid : shape.chocolateIn(solid));
        const double kg = item.edible ? s.volumes.back() * coating.densitySolid : 0;
        s.items.push_back(kg);
        s.mass += kg;
        const double areaLow = shape.area > 0 ? shape.areaLow / shape.area : 1, areaHigh = shape.area > 0 ? shape.areaHigh / shape.area : 1;
        const double thinner = shape.wall > 0 ? shape.wallLow / shape.wall : 1, thicker = shape.wall > 0 ? shape.wallHigh / shape.wall : 1;
        const bool byWall = shape.body == form::Body::Wall || shape.body == form::Body::Sheet;
        s.massLow += kg * (byWall ? areaLow * thinner : 1);
        s.massHigh += kg * (byWall ? areaHigh * thicker : 1);
        s.area += shape.area;
        const form::Vec3 d = box.size();
        s.shelfDiameter = std::max(s.shelfDiameter, std::hypot(d.x, d.y) > 1.3 * std::max(d.x, d.y) ? std::hypot(d.x, d.y) : std::max(d.x, d.y));
        s.shelfHeight = std::max(s.shelfHeight, d.z + kStand);
        if (item.edible) s.thickest = std::max(s.thickest, byWall && shape.wall > 0 ? shape.wall : s.volumes.back() / std::max(1e-9, shape.area));
    }
    s.box = form::bounds(all);
    s.centre = form::centroid(all);
    s.foot = loopArea(form::footprint(all));
    const auto& first = s.assembly.items.front().shape;
    if (first.body == form::Body::Wall && first.coverage == 1) s.capacity = std::max(0.0, first.volume - (first.outside ? 0 : s.volumes.front()));
    if (piece.part()->family == "hung-ball") s.capacity *= 2;
    setting::Wall wall;
    wall.coat = s.thickest * coating.densitySolid / coating.densityMelt;
    wall.coatTemperature = coating.working();
    wall.shellTemperature = plan.kitchen.room.value;
    wall.crystals = coating.crystalsAtStart;
    wall.formerCapacity = lib.former("paperHeatCapacity");
    wall.formerSide = first.body == form::Body::Wall ? lib.former("paperBack") : 0;
    const double still = plan.kitchen.fan ? lib.physical("airFan") : lib.physical("airStill");
    s.setting = setting::settle(wall, coating, heat::CrystalLaw(coating, lib.physics),
                                {lib.physical("lockFraction"), lib.physical("firmFraction"), lib.physical("setFraction"), lib.physical("releaseFraction")},
                                {{plan.kitchen.fridge.value, still, 0}});
    return s;
}

}  // namespace uovo
