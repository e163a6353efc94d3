// The wall of a bowl or cup from its coats: on its meridian, or on its mesh where the coats do not leave it round.
#include <algorithm>
#include <cmath>
#include <numbers>

#include "core/plan/answers.h"

namespace uovo {
namespace {

constexpr int kBandCells = 36;
constexpr double kFootRoom = 0.015;     // m of stand, ring or hook added to a piece's height while it sets
constexpr double kRoundBudget = 2;        // times the triangles wanted: a corner of a third of a millimetre asks for fifteen
constexpr double kRoundTriangles = 2600;  // of a round former's mesh: a coat on it takes about 30 ms

/// Mean round the axis of what a mesh carries, on the cells of the meridian.
std::vector<double> roundMean(const form::Profile& p, const coat::Surface& s, const std::vector<double>& wall) {
    std::vector<double> sum(p.size(), 0.0), weight(p.size(), 0.0);
    for (size_t i = 0; i < s.size(); ++i) {
        const double r = std::hypot(s.at[i].x, s.at[i].y);
        size_t best = 0;
        double least = 1e9;
        for (size_t k = 0; k < p.size(); ++k)
            if (const double d = std::hypot(p.r[k] - r, p.z[k] - s.at[i].z); d < least) {
                least = d;
                best = k;
            }
        sum[best] += wall[i] * s.area[i];
        weight[best] += s.area[i];
    }
    std::vector<double> out(p.size(), 0.0);
    size_t before = p.size();
    for (size_t k = 0; k < p.size(); ++k) {
        if (weight[k] <= 0) continue;
        out[k] = sum[k] / weight[k];
        for (size_t gap = before == p.size() ? 0 : before + 1; gap < k; ++gap)  // between rows of corners: in a straight line
            out[gap] = before == p.size() ? out[k] : out[before] + (out[k] - out[before]) * double(gap - before) / double(k - before);
        before = k;
    }
    for (size_t k = before + 1; before < p.size() && k < p.size(); ++k) out[k] = out[before];
    return out;
}

/// Coats on the mesh of a round former, told on its meridian as well.
tl::expected<void, Problem> coatOnMesh(CoatStage& s, const form::Meridian& former, const Piece& piece, const Plan& plan, const material::Library& lib, std::stop_token stop) {
    form::Shape shape = roundFormer(former, kRoundTriangles);
    const coat::Surface surface = coat::surfaceOf(shape.surface, shape.outside);
    const auto job = meshJob(piece, plan, lib, surface, shape.outside);
    if (!job) return tl::unexpected(job.error());
    const auto done = coat::coat(*job, stop);
    if (!done) return tl::unexpected(done.error());
    double meshArea = 0;
    for (const double a : surface.area) meshArea += a;
    const double scale = former.area() / meshArea;
    for (const auto& c : done->coats) {
        coat::CoatResult r;
        r.wall = roundMean(s.profile, surface, c.wall);
        r.perArea = roundMean(s.profile, surface, c.perArea);
        r.added = c.added * scale;
        r.dripped = c.dripped * scale;
        r.fell = c.fell * scale;
        r.lockTypical = c.lockTypical;
        r.lockLast = c.lockLast;
        r.footRadius = c.footRadius;
        r.shellTemperature = c.shellTemperature;
        r.stillLiquid = c.stillLiquid;
        s.coats.mass += r.added;
        s.coats.coats.push_back(std::move(r));
    }
    s.coats.error = done->error;
    s.coats.wall = s.coats.coats.back().wall;
    const auto& last = done->coats.back().wall;
    shape.thickness.assign(shape.surface.points.size(), 0.0);
    for (size_t i = 0; i < surface.size(); ++i) shape.thickness[static_cast<size_t>(surface.corner[i])] = std::max(last[i], kSkin);
    s.blemishes = coat::blemishes(surface, last, piece.coats.front().way == coat::Way::Pour);
    s.shape = std::make_shared<const form::Shape>(std::move(shape));
    const coat::Ratio judged{1 - PartWall::kLess, 1 + PartWall::kMore};
    s.band = {judged, judged, judged, judged, {}};
    return {};
}

}  // namespace

tl::expected<form::Meridian, Problem> meridianOf(const Piece& piece) {
    if (const auto* b = std::get_if<form::Balloon>(&piece.former)) return form::meridian(*b);
    return form::meridian(std::get<form::Cup>(piece.former));
}

form::Shape roundFormer(const form::Meridian& meridian, double triangles) {
    form::LatheOptions o;
    o.edge = o.along = std::sqrt(meridian.area() / (0.433 * 0.75 * triangles));  // rows and rings are rounded up
    o.onSurface = true;
    o.most = kRoundBudget * triangles;
    form::Shape s;
    s.surface = form::lathe(meridian, o);
    s.outside = meridian.side() == form::Side::Outside;
    s.area = s.areaLow = s.areaHigh = meridian.area();
    s.volume = meridian.volume();
    return s;
}

coat::Uncertainty coatUncertainty(const Piece& piece, const material::Library& lib) {
    const auto* chocolate = lib.find(piece.chocolate);
    const auto ratio = [&](const char* name) { return chocolate ? chocolate->at(name).high / chocolate->at(name).low : 2; };
    return {ratio("yield40"), ratio("viscosity40"), lib.physical("ladleSpread"), lib.physical("delaySpread")};
}

tl::expected<coat::CoatSetting, Problem> coatSetting(const Piece& piece, const Plan& plan, const material::Library& lib) {
    const auto coating = coatingOf(piece, plan, lib);
    if (!coating) return tl::unexpected(coating.error());
    coat::CoatSetting job;
    job.coating = *coating;
    job.law = heat::CrystalLaw(*coating, lib.physics);
    if (std::any_of(piece.coats.begin(), piece.coats.end(), [&](const auto& c) { return piece.chocolateOf(c) != piece.chocolate; }))
        for (const auto& c : piece.coats) {
            const auto own = coatingOf(piece, c, plan, lib);
            if (!own) return tl::unexpected(own.error());
            job.melts.push_back({*own, heat::CrystalLaw(*own, lib.physics)});
        }
    const form::Family* family = piece.part() ? form::family(piece.part()->family) : nullptr;
    const bool balloon = piece.overBalloon() || (family && family->outside);
    static_cast<heat::Former&>(job.former) = formerHeat(piece, lib);
    job.former.dripCap = lib.former(balloon ? "balloonDripCap" : "moldDripCap");
    job.former.rimBead = lib.former("rimBead");
    job.former.dripTime = lib.former("dripTime");
    job.former.footFilm = lib.former("footFilm");
    job.former.footMost = lib.former("footMost");
    job.lockFraction = lib.physical("lockFraction");
    job.dipSpeed = lib.former("dipSpeed");
    job.dipMost = lib.former("dipMost");
    job.pourFilm = lib.former("pourFilm");
    const double still = lib.physical("airStill");
    job.climate = {plan.kitchen.room.value, plan.kitchen.humidity.value, plan.kitchen.fridge.value, plan.kitchen.freezer.value,
                   still, plan.kitchen.fan ? lib.physical("airFan") : still, still};
    job.shut = piece.closes();
    return job;
}

tl::expected<coat::CoatJob, Problem> coatJob(const Piece& piece, const Plan& plan, const material::Library& lib, int cells) {
    const auto former = meridianOf(piece);
    if (!former) return tl::unexpected(former.error());
    const auto setting = coatSetting(piece, plan, lib);
    if (!setting) return tl::unexpected(setting.error());
    coat::CoatJob job;
    static_cast<coat::CoatSetting&>(job) = *setting;
    job.profile = former->profile(cells);
    job.side = former->side();
    job.steps.assign(piece.coats.begin(), piece.coats.end());
    return job;
}

tl::expected<coat::MeshJob, Problem> meshJob(const Piece& piece, const Plan& plan, const material::Library& lib, const coat::Surface& surface, bool outside) {
    const auto setting = coatSetting(piece, plan, lib);
    if (!setting) return tl::unexpected(setting.error());
    coat::MeshJob job;
    static_cast<coat::CoatSetting&>(job) = *setting;
    job.surface = &surface;
    for (const auto& c : piece.coats) job.steps.push_back(coat::meshStep(c, surface, outside));
    return job;
}

tl::expected<CoatStage, Problem> coatStage(const Piece& piece, const Plan& plan, const material::Library& lib, const AnswerOptions& options, std::stop_token stop) {
    const auto former = meridianOf(piece);
    if (!former) return tl::unexpected(former.error());
    auto job = coatJob(piece, plan, lib, options.cells);
    if (!job) return tl::unexpected(job.error());
    CoatStage s;
    s.profile = job->profile;
    s.chocolateOutside = job->side == form::Side::Outside;
    s.area = former->area();
    s.formerVolume = former->volume();
    s.height = former->highest() - former->lowest();
    if (std::all_of(piece.coats.begin(), piece.coats.end(), [](const auto& c) { return c.round(); })) {
        auto coats = coat::coat(*job, stop);
        if (!coats) return tl::unexpected(coats.error());
        s.coats = std::move(*coats);
        if (options.bands) {
            coat::CoatJob coarse = *job;
            coarse.profile = former->profile(kBandCells);
            auto band = coat::band(coarse, coatUncertainty(piece, lib), stop);
            if (!band) return tl::unexpected(band.error());
            s.band = *band;
        }
    } else if (auto ok = coatOnMesh(s, *former, piece, plan, lib, stop); !ok) {
        return tl::unexpected(ok.error());
    }
    s.wall = coat::figures(s.coats.wall, s.profile);
    s.rimRadius = s.profile.faceR.back();
    if (const auto* b = std::get_if<form::Balloon>(&piece.former)) {
        s.capacity = s.formerVolume;
        s.shelfDiameter = b->girth.value / std::numbers::pi + 2 * s.wall.mean;
        s.shelfHeight = b->length.value + kFootRoom;
    } else {
        const auto& c = std::get<form::Cup>(piece.former);
        s.capacity = std::max(0.0, s.formerVolume - s.coats.mass / job->coating.densitySolid);
        s.shelfDiameter = c.topDiameter.value;
        s.shelfHeight = c.height.value + 0.005;
    }
    const auto rimOf = [&](const coat::CoatResult& c) { return coat::figures(c.wall, s.profile).rim; };
    std::vector<SlowPlace> slow;
    for (size_t k = 0; k < s.coats.coats.size(); ++k) {
        const auto& c = s.coats.coats[k];
        slow.push_back({coat::slowPlace(s.profile, k ? s.coats.coats[k - 1].perArea : std::vector<double>{}, c.perArea), c.shellTemperature});
    }
    static_cast<CoatTimes&>(s) = coatTimes(piece, plan, lib, *job, slow, s.wall.mean, rimOf(s.coats.coats.back()) - (s.coats.coats.size() > 1 ? rimOf(s.coats.coats[s.coats.coats.size() - 2]) : 0));
    return s;
}

}  // namespace uovo
