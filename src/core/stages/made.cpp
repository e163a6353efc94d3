// A piece as it is made: built, coated where it has coats, and measured.
#include <algorithm>
#include <cmath>
#include <numbers>

#include "core/form/opening.h"
#include "core/stages/made.h"

namespace uovo {
namespace {

constexpr form::Detail kCoated{2600, 28, true};  // a coat on it takes about 30 ms

double loopArea(const std::vector<std::array<double, 2>>& hull) { return std::abs(form::signedArea(hull)); }

}  // namespace

setting::Cast castOf(const form::Item& item, double volume, const CastStep& cast, const Plan& plan,
                     const material::Library& lib, const material::Coating& c) {
    const form::Shape& shape = item.shape;
    const double T = cast.temperature.value > 0 ? cast.temperature.value : c.working(),
                 toMelt = c.densitySolid / c.densityMelt;
    if (shape.body == form::Body::Cast && !form::family(item.part.family)->gap) {
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
    wall.coat = std::max(1e-4, (shape.body == form::Body::Wall || shape.body == form::Body::Sheet || shape.wall > 0
                                    ? shape.wall
                                    : volume / std::max(1e-9, shape.area)) *
                                   toMelt);
    wall.coatTemperature = T;
    wall.shellTemperature = plan.kitchen.room.value;
    wall.crystals = material::crystalsAt(c, T);
    wall.former = formerHeat(item.part, lib);
    return setting::cast(wall, c);
}

namespace {

setting::Times slower(const setting::Times& a, const setting::Times& b) {
    const auto later = [](double x, double y) {
        return std::isnan(x) || std::isnan(y) ? std::nan("") : std::max(x, y);
    };
    return {later(a.lock, b.lock), later(a.firm, b.firm), later(a.set, b.set), later(a.release, b.release)};
}

/// Of the part that lets go last. Modeled parts do not set.
/// @param share of each item's chocolate that is cast with it
/// @param items that are cast with it
setting::Times castTimes(const Made& s, const CastStep& cast, double share, const std::vector<size_t>& items,
                         const Plan& plan, const material::Library& lib, const material::Coating& coating) {
    const heat::CrystalLaw law =
        heat::CrystalLaw(coating, lib.physics).keeping(material::temperKept(coating, cast.temperature.value));
    const std::vector<setting::Stay> stays{stayIn(coat::Place::Table, cast.table.value, plan, lib),
                                           stayIn(cast.place, 0, plan, lib)};
    setting::Times out;
    const form::Part* before = nullptr;
    for (const size_t i : items) {
        const auto& item = s.assembly.items[i];
        if (before && *before == item.part) continue;
        before = &item.part;
        out = slower(out, setting::settle(castOf(item, share * s.volumes[i], cast, plan, lib, coating), law,
                                          settingEvents(lib), stays));
    }
    return out;
}

/// Grams, size, foot and room of the items once their walls are known. @param coated kg of each coated item, else 0
/// @param tray m under a mold on the shelf
void measure(Made& s, const std::vector<double>& coated, const material::Coating& coating, double tray) {
    form::Mesh all;
    for (const auto& item : s.assembly.items) {
        const form::Shape& shape = item.shape;
        const form::Mesh solid = shape.solid();
        const form::Box box = form::bounds(solid);
        form::append(all, form::placed(solid, item.pose));
        const size_t k = s.items.size();
        s.volumes.push_back(coated[k] > 0 ? coated[k] / coating.densitySolid : shape.chocolateIn(solid));
        const double kg = item.edible ? s.volumes.back() * coating.densitySolid : 0;
        s.items.push_back(kg);
        s.mass += kg;
        const double areaLow = shape.area > 0 ? shape.areaLow / shape.area : 1,
                     areaHigh = shape.area > 0 ? shape.areaHigh / shape.area : 1;
        const double thinner = shape.wall > 0 ? shape.wallLow / shape.wall : 1,
                     thicker = shape.wall > 0 ? shape.wallHigh / shape.wall : 1;
        const bool byWall = shape.body == form::Body::Wall || shape.body == form::Body::Sheet;
        s.massLow += kg * (byWall ? areaLow * thinner : 1);
        s.massHigh += kg * (byWall ? areaHigh * thicker : 1);
        s.area += shape.area;
        const form::Vec3 d = box.size();
        if (item.edible && shape.body != form::Body::Modeled) {
            // round where its outline fills its box no further than a disc does
            const double filled = loopArea(form::footprint(solid, d.z + 1)) / std::max(1e-12, d.x * d.y);
            const bool round = std::abs(d.x - d.y) < 0.03 * std::max(d.x, d.y) && filled < 0.9;
            s.parts.push_back({d.x, d.y, d.z + tray, round});
            s.shelfDiameter = std::max({s.shelfDiameter, d.x, d.y});
            s.shelfHeight = std::max(s.shelfHeight, d.z + tray);
        }
        if (item.edible)
            s.thickest = std::max(
                s.thickest, byWall && shape.wall > 0 ? shape.wall : s.volumes.back() / std::max(1e-9, shape.area));
    }
    s.box = form::bounds(all);
    s.centre = form::centroid(all);
    s.outside = form::outsideOf(all);
    s.foot = loopArea(s.outside.foot);
}

/// A balloon takes its own room on the shelf, a cup its former's.
void takeRoom(Made& s, const Piece& piece, const material::Library& lib) {
    const auto figure = [&](const char* key) { return form::figure(piece.shape, key); };
    if (piece.overBalloon()) {
        s.shelfDiameter = figure("girth") / std::numbers::pi + 2 * s.wall->mean;
        s.shelfHeight = figure("length") + lib.usual("balloonRoom");
    } else {
        s.shelfDiameter = figure("topDiameter");
        s.shelfHeight = figure("height") + lib.usual("tray");
    }
    s.parts = {{s.shelfDiameter, s.shelfDiameter, s.shelfHeight, true}};
}

}  // namespace

double castShare(const Piece& piece, const CastStep& cast) {
    double all = 0;
    for (const auto& c : piece.casts())
        if (c.item == cast.item) all += c.share.value;
    return all > 0 ? cast.share.value / all : 1;
}

CastWork castWork(const Made& made, const Piece& piece, size_t cast) {
    CastWork out;
    const auto casts = piece.casts();
    const CastStep& step = casts.empty() ? piece.cast() : casts[cast];
    if (!casts.empty()) out.last = isLastForItsPart(casts, cast);
    for (size_t i = 0; i < cast; ++i) {
        if (casts[i].item != step.item) continue;
        ++out.tone;
        out.under = i;
    }
    for (size_t i = 0; i < made.assembly.items.size(); ++i) {
        const auto& item = made.assembly.items[i];
        if (!item.edible || (made.wall && made.wall->covers(i))) continue;
        const auto mine = piece.castsOf(item);
        if (!casts.empty() && std::ranges::find(mine, cast) == mine.end()) continue;
        out.items.push_back(i);
        out.sheets += item.shape.body == form::Body::Sheet;
        out.mass += made.items[i] * castShare(piece, step);
        if (item.key == step.item) out.name = item.name;
    }
    return out;
}

std::vector<size_t> coatedBy(const Made& made, const Piece& piece, size_t coat) {
    std::vector<size_t> out;
    for (const size_t i : made.wall ? made.wall->items : std::vector<size_t>{}) {
        const auto mine = piece.coatsOn(made.assembly.items[i]);
        if (piece.alongMeridian() || std::ranges::find(mine, coat) != mine.end()) out.push_back(i);
    }
    return out;
}

double stickStands(const Made& made, const Piece& piece, const Plan& plan, const material::Library& lib,
                   const material::Coating& c) {
    const auto& first = made.assembly.items.front();
    if (first.shape.body != form::Body::Cast || made.assembly.items.size() > 1 || piece.family().gap)
        return std::nan("");
    const form::Vec3 d = made.box.size();
    if (std::min({d.x, d.y, d.z}) < lib.usual("stickDepth")) return std::nan("");
    return setting::standsAfter(stickFor(made), castOf(first, made.volumes.front(), piece.cast(), plan, lib, c), c,
                                heat::CrystalLaw(c, lib.physics), stayIn(coat::Place::Table, 0, plan, lib),
                                lib.physical("staticYield"));
}

setting::Stick stickFor(const Made& made) { return {.depth = std::min(0.025, 0.8 * made.box.size().z)}; }

tl::expected<Made, Problem> madeOf(const Piece& piece, const Plan& plan, const material::Library& lib,
                                   const MadeOptions& options, std::stop_token stop) {
    const auto coating = coatingOf(piece, plan, lib);
    if (!coating) return tl::unexpected(coating.error());
    Made s;
    if (piece.alongMeridian()) {
        auto done = coatMeridian(piece, plan, lib, options, stop);
        if (!done) return tl::unexpected(done.error());
        form::Item item;
        item.key = piece.shape.family;
        item.name = piece.family().name;
        item.part = piece.shape;
        item.shape = std::move(done->shape);
        s.assembly.items.push_back(std::move(item));
        const double kg = done->along.coats.mass;
        const coat::Ratio band = done->along.band.mass;
        s.wall = std::make_shared<const CoatedWall>(std::move(done->wall));
        s.meridian = std::make_shared<const MeridianWall>(std::move(done->along));
        measure(s, {kg}, *coating, lib.usual("tray"));
        s.massLow = kg * band.low;
        s.massHigh = kg * band.high;
        takeRoom(s, piece, lib);
    } else {
        auto built = form::build(piece.shape, plan.meshes,
                                 !piece.wallFromCoats() ? form::kScreen
                                 : piece.closes()       ? kTurned
                                                        : kCoated);
        if (!built) return tl::unexpected(Problem{built.error().sentence, "former/" + built.error().where});
        s.assembly = std::move(*built);
        std::vector<double> coated(s.assembly.items.size(), 0.0);
        if (piece.wallFromCoats()) {
            auto wall = coatParts(s.assembly, coated, piece, plan, lib, stop);
            if (!wall) return tl::unexpected(wall.error());
            s.wall = std::make_shared<const CoatedWall>(std::move(*wall));
        }
        measure(s, coated, *coating, lib.usual("tray"));
    }
    const auto& first = s.assembly.items.front().shape;
    if (first.body == form::Body::Wall && first.coverage == 1 && !piece.roundSomething())
        s.capacity = std::max(0.0, first.volume - (first.outside ? 0 : s.volumes.front()));
    if (first.hollow > 0) s.capacity = first.hollow;
    if (form::isShut(piece.shape)) {  // all of its halves
        double room = 0;
        for (size_t i = 0; i < s.assembly.items.size(); ++i)
            if (const auto& item = s.assembly.items[i]; item.edible && item.shape.body == form::Body::Wall)
                room += item.shape.volume - s.volumes[i];
        s.capacity = std::max(0.0, room);
    }
    if (s.wall) s.melted = s.wall->melted;
    else if (form::figure(piece.shape, form::kOpening) > 0)
        s.melted = form::Opening(piece.shape).area() * first.wall * coating->densitySolid;
    std::vector<CastStep> casts(piece.casts().begin(), piece.casts().end());
    if (casts.empty()) casts.push_back(piece.cast());
    for (size_t k = 0; k < casts.size(); ++k) {  // each tone as a body of its own share
        const auto own = coatingOf(piece, casts[k].chocolate, plan, lib);
        if (!own) return tl::unexpected(own.error());
        const CastWork work = castWork(s, piece, k);
        s.casts.push_back(castTimes(s, casts[k], castShare(piece, casts[k]), work.items, plan, lib, *own));
        if (work.last) s.setting = slower(s.setting, s.casts.back());
    }
    const bool sticks = std::any_of(piece.making.begin(), piece.making.end(), [](const Step& x) {
        const auto* in = std::get_if<InsertStep>(&x);
        return in && in->what == InsertStep::What::Stick;
    });
    s.stickStands = sticks ? stickStands(s, piece, plan, lib, *coating) : std::nan("");
    return s;
}

}  // namespace uovo
