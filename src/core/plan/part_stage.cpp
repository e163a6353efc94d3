// Parts beyond bowl and cup: built, coated where they have coats, and measured.
#include <algorithm>
#include <cmath>
#include <numeric>

#include "core/coat/mesh_coats.h"
#include "core/form/opening.h"
#include "core/plan/answers.h"

namespace uovo {
namespace {

constexpr form::Detail kCoated{2600, 28, true};        // a coat on it takes about 30 ms
constexpr form::Detail kTurned{750, 20, true};         // a pool that is turned about costs more
constexpr double kCornerFills = 0.25;                  // H times the mean wall: a tip or corner as sharp as this fills, its cell says nothing of the wall
constexpr double kStand = 0.005;  // m of tray under a mold on the shelf

/// Values of the nearest points.
std::vector<double> nearestOf(const std::vector<form::Vec3>& points, const std::vector<double>& values, const std::vector<form::Vec3>& at) {
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

double loopArea(const std::vector<std::array<double, 2>>& hull) { return std::abs(form::signedArea(hull)); }

}  // namespace

tl::expected<PartWall, Problem> coatParts(form::Assembly& assembly, std::vector<double>& kilograms, const Piece& piece, const Plan& plan, const material::Library& lib,
                                          std::stop_token stop) {
    PartWall w;
    w.coats.resize(piece.coats.size());
    constexpr double kNone = 1e9;
    for (auto& c : w.coats) c.thinnest = kNone;
    std::vector<double> anywhere(piece.coats.size(), kNone);  // m, thinnest with rims and corners
    std::vector<SlowPlace> slow(piece.coats.size(), {{}, plan.kitchen.room.value});
    std::vector<double> volumes(piece.coats.size(), 0.0);
    double area = 0, rimArea = 0, sum = 0;
    std::optional<coat::CoatSetting> setting;
    std::optional<coat::MeshCoats> last;  // of the wall before
    for (size_t part = 0; part < assembly.items.size(); ++part) {
        form::Shape& shape = assembly.items[part].shape;
        if (shape.body != form::Body::Wall || shape.coverage < 1 || !assembly.items[part].edible) continue;
        // a hole that is melted into it afterwards is not there yet
        const double hole = piece.closes() ? form::figure(assembly.items[part].part, form::kOpening) : 0;
        auto closed = hole > 0 ? form::build(form::unopened(assembly.items[part].part), plan.meshes, kTurned) : tl::expected<form::Assembly, Problem>{};
        if (!closed) return tl::unexpected(closed.error());
        const coat::Surface surface = coat::surfaceOf(hole > 0 ? closed->items.front().shape.surface : shape.surface, shape.outside);
        if (!last || !(assembly.items[part].part == assembly.items[w.items.back()].part)) {  // two equal halves are coated once
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
            w.coats[k].lockTypical = std::isnan(c.lockTypical) ? c.lockTypical : std::max(w.coats[k].lockTypical, c.lockTypical);
            for (size_t i = 0; i < surface.size(); ++i) volumes[k] += c.wall[i] * surface.area[i];
            const auto place = coat::slowPlace(surface, k ? done->coats[k - 1].perArea : std::vector<double>{}, c.perArea);
            if (place.fresh > slow[k].fresh) static_cast<coat::SlowPlace&>(slow[k]) = place;
            slow[k].shellTemperature = std::min(slow[k].shellTemperature, c.shellTemperature);
        }
        kilograms[part] = done->mass;
        w.bare += final.bare * own;
        w.error = std::max(w.error, done->error);
        double low = 1e9, mean = 0;
        for (const auto& p : surface.at) low = std::min(low, p.z);
        for (size_t i = 0; i < surface.size(); ++i) mean += final.wall[i] * surface.area[i] / own;
        shape.thickness.assign(hole > 0 ? closed->items.front().shape.surface.points.size() : shape.surface.points.size(), 0.0);
        const auto atRim = coat::nearRim(surface, 1.5 * coat::kRimAt);
        for (size_t i = 0; i < surface.size(); ++i) {
            const double h = final.wall[i];
            shape.thickness[static_cast<size_t>(surface.corner[i])] = std::max(h, kSkin);
            w.thickest = std::max(w.thickest, h);
            const bool rim = atRim[i] > 0, corner = -surface.mean[i] * mean >= kCornerFills;
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
            shape.thickness = nearestOf(closed->items.front().shape.surface.points, shape.thickness, shape.surface.points);
        }
        for (auto b : coat::blemishes(surface, final.wall, piece.coats.front().way == coat::Way::Pour)) {
            b.part = part;
            w.blemishes.push_back(b);
        }
        sum += mean * own;
        area += own;
        shape.wall = mean;
        shape.wallLow = (1 - PartWall::kLess) * mean;
        shape.wallHigh = (1 + PartWall::kMore) * mean;
    }
    if (w.items.empty()) return tl::unexpected(Problem{"Nothing of this piece is a wall that could be coated.", "coats"});
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
    std::stable_sort(w.blemishes.begin(), w.blemishes.end(), [](const auto& a, const auto& b) { return a.kind != b.kind ? a.kind < b.kind : a.area > b.area; });
    static_cast<CoatTimes&>(w) = coatTimes(piece, plan, lib, *setting, slow, w.mean, rimArea > 0 ? w.coats.back().rim - (w.coats.size() > 1 ? w.coats[w.coats.size() - 2].rim : 0) : 0);
    return w;
}

setting::Cast castOf(const form::Item& item, double volume, const Piece& piece, const Plan& plan, const material::Library& lib, const material::Coating& c) {
    const form::Shape& shape = item.shape;
    const double T = piece.cast.temperature.value > 0 ? piece.cast.temperature.value : c.working(), toMelt = c.densitySolid / c.densityMelt;
    if (shape.body == form::Body::Cast && item.part.family != "pressed") {
        setting::Chunk chunk;
        const form::Vec3 d = form::bounds(shape.surface).size();
        chunk.volumeOverArea = volume * toMelt / std::max(1e-9, shape.area);
        // a bent bar is as thick as its section, not as its box: twice the volume over its faces at least
        chunk.half = std::clamp(0.5 * std::min({d.x, d.y, d.z}), chunk.volumeOverArea, 3 * chunk.volumeOverArea);
        chunk.temperature = T;
        chunk.crystals = material::crystalsAt(c, T);
        if (shape.displaced > 0)  // a biscuit in the middle: 1.5 kJ/kgK at 600 kg/m³, from memory
            chunk.core = {shape.displaced * 9e5 / std::max(1e-9, shape.area), 0, plan.kitchen.room.value};
        if (shape.displaced > 0) chunk.half = chunk.volumeOverArea;
        return setting::cast(chunk, c);
    }
    setting::Wall wall;
    wall.coat = std::max(1e-4, (shape.body == form::Body::Wall || shape.body == form::Body::Sheet || shape.wall > 0 ? shape.wall : volume / std::max(1e-9, shape.area)) * toMelt);
    wall.coatTemperature = T;
    wall.shellTemperature = plan.kitchen.room.value;
    wall.crystals = material::crystalsAt(c, T);
    wall.former = formerHeat(item.part, lib);
    return setting::cast(wall, c);
}

namespace {

/// Of the part that lets go last. Modeled parts do not set.
setting::Times castTimes(const PartStage& s, const Piece& piece, const Plan& plan, const material::Library& lib, const material::Coating& coating) {
    const heat::CrystalLaw law = heat::CrystalLaw(coating, lib.physics).keeping(material::temperKept(coating, piece.cast.temperature.value));
    const std::vector<setting::Stay> stays{stayIn(coat::Place::Table, piece.cast.table.value, plan, lib), stayIn(piece.cast.place, 0, plan, lib)};
    setting::Times out;
    const auto later = [](double a, double b) { return std::isnan(a) || std::isnan(b) ? std::nan("") : std::max(a, b); };
    for (size_t i = 0; i < s.assembly.items.size(); ++i) {
        const auto& item = s.assembly.items[i];
        if (!item.edible || (s.wall && s.wall->covers(i))) continue;
        if (i > 0 && item.part == s.assembly.items[i - 1].part) continue;
        const auto t = setting::settle(castOf(item, s.volumes[i], piece, plan, lib, coating), law, settingEvents(lib), stays);
        out = {later(out.lock, t.lock), later(out.firm, t.firm), later(out.set, t.set), later(out.release, t.release)};
    }
    return out;
}

}  // namespace

tl::expected<PartStage, Problem> partStage(const Piece& piece, const Plan& plan, const material::Library& lib, const material::Coating& coating) {
    const bool coated = piece.wallFromCoats();
    auto built = form::build(*piece.part(), plan.meshes, !coated ? form::kScreen : piece.closes() ? kTurned : kCoated);
    if (!built) return tl::unexpected(Problem{built.error().sentence, "former/" + built.error().where});
    PartStage s;
    s.assembly = std::move(*built);
    std::vector<double> coatedMass(s.assembly.items.size(), 0.0);  // kg of the coated items
    if (coated) {
        auto wall = coatParts(s.assembly, coatedMass, piece, plan, lib);
        if (!wall) return tl::unexpected(wall.error());
        s.wall = std::make_shared<const PartWall>(std::move(*wall));
    }
    form::Mesh all;
    for (const auto& item : s.assembly.items) {
        const form::Shape& shape = item.shape;
        const form::Mesh solid = shape.solid();
        const form::Box box = form::bounds(solid);
        form::append(all, form::placed(solid, item.pose));
        const size_t k = s.items.size();
        s.volumes.push_back(coatedMass[k] > 0 ? coatedMass[k] / coating.densitySolid : shape.chocolateIn(solid));
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
        if (item.edible && shape.body != form::Body::Modeled) {
            // round where its outline fills its box no further than a disc does
            const double filled = loopArea(form::footprint(solid, d.z + 1)) / std::max(1e-12, d.x * d.y);
            const bool round = std::abs(d.x - d.y) < 0.03 * std::max(d.x, d.y) && filled < 0.9;
            s.parts.push_back({d.x, d.y, d.z + kStand, round});
            s.shelfDiameter = std::max({s.shelfDiameter, d.x, d.y});
            s.shelfHeight = std::max(s.shelfHeight, d.z + kStand);
        }
        if (item.edible) s.thickest = std::max(s.thickest, byWall && shape.wall > 0 ? shape.wall : s.volumes.back() / std::max(1e-9, shape.area));
    }
    s.box = form::bounds(all);
    s.centre = form::centroid(all);
    s.foot = loopArea(form::footprint(all));
    const auto& first = s.assembly.items.front().shape;
    if (first.body == form::Body::Wall && first.coverage == 1) s.capacity = std::max(0.0, first.volume - (first.outside ? 0 : s.volumes.front()));
    if (piece.part()->family == "hung-ball") s.capacity *= 2;
    if (s.wall)
        s.melted = s.wall->melted;
    else if (form::figure(*piece.part(), form::kOpening) > 0)
        s.melted = form::Opening(*piece.part()).area() * first.wall * coating.densitySolid;
    s.setting = castTimes(s, piece, plan, lib, coating);
    return s;
}

}  // namespace uovo
