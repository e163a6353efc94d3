// The wall of a bowl or cup from its coats: on its meridian, or on its mesh where the coats do not leave it round.
#include <algorithm>
#include <cmath>
#include <future>
#include <numbers>

#include "core/stages/made.h"

namespace uovo {
namespace {

constexpr int kBandCells = 36;
constexpr double kShownTriangles = 1200;  // of the former of a round wall, which its profile tells
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
        for (size_t gap = before == p.size() ? 0 : before + 1; gap < k;
             ++gap)  // between rows of corners: in a straight line
            out[gap] = before == p.size()
                           ? out[k]
                           : out[before] + (out[k] - out[before]) * double(gap - before) / double(k - before);
        before = k;
    }
    for (size_t k = before + 1; before < p.size() && k < p.size(); ++k) out[k] = out[before];
    return out;
}

/// Coats on the mesh of a round former, told on its meridian as well.
tl::expected<void, Problem> coatOnMesh(CoatedMeridian& out, const form::Meridian& former, const Piece& piece,
                                       const Plan& plan, const material::Library& lib, std::stop_token stop) {
    MeridianWall& s = out.along;
    form::Shape& shape = out.shape = form::roundFormer(former, kRoundTriangles);
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
    for (size_t i = 0; i < surface.size(); ++i)
        shape.thickness[static_cast<size_t>(surface.corner[i])] = std::max(last[i], kSkin);
    out.wall.blemishes = coat::blemishes(surface, last, piece.coats().front().way == coat::Way::Pour);
    const coat::Ratio judged{1 - CoatedWall::kLess, 1 + CoatedWall::kMore};
    s.band = {judged, judged, judged, judged, {}};
    return {};
}

}  // namespace

coat::Uncertainty coatUncertainty(const Piece& piece, const material::Library& lib) {
    const auto* chocolate = lib.find(piece.chocolate);
    const auto ratio = [&](const char* name) {
        return chocolate ? chocolate->at(name).high / chocolate->at(name).low : 2;
    };
    return {ratio("yield40"), ratio("viscosity40"), lib.physical("ladleSpread"), lib.physical("delaySpread")};
}

tl::expected<coat::CoatSetting, Problem> coatSetting(const Piece& piece, const Plan& plan,
                                                     const material::Library& lib) {
    const auto coating = coatingOf(piece, plan, lib);
    if (!coating) return tl::unexpected(coating.error());
    coat::CoatSetting job;
    job.coating = *coating;
    job.law = heat::CrystalLaw(*coating, lib.physics);
    if (std::any_of(piece.coats().begin(), piece.coats().end(),
                    [&](const auto& c) { return piece.chocolateOf(c) != piece.chocolate; }))
        for (const auto& c : piece.coats()) {
            const auto own = coatingOf(piece, c.chocolate, plan, lib);
            if (!own) return tl::unexpected(own.error());
            job.melts.push_back({*own, heat::CrystalLaw(*own, lib.physics)});
        }
    const bool balloon = piece.overBalloon();
    static_cast<heat::Former&>(job.former) = formerHeat(piece.shape, lib);
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
    job.climate = {plan.kitchen.room.value,
                   plan.kitchen.humidity.value,
                   plan.kitchen.fridge.value,
                   plan.kitchen.freezer.value,
                   still,
                   plan.kitchen.fridgeAir * (plan.kitchen.fan ? lib.physical("airFan") : still),
                   still};
    job.shut = piece.closes();
    return job;
}

tl::expected<coat::CoatJob, Problem> coatJob(const Piece& piece, const Plan& plan, const material::Library& lib,
                                             int cells) {
    const auto former = form::meridian(piece.shape);
    if (!former) return tl::unexpected(former.error());
    const auto setting = coatSetting(piece, plan, lib);
    if (!setting) return tl::unexpected(setting.error());
    coat::CoatJob job;
    static_cast<coat::CoatSetting&>(job) = *setting;
    job.profile = former->profile(cells);
    job.side = former->side();
    job.steps.assign(piece.coats().begin(), piece.coats().end());
    return job;
}

tl::expected<coat::MeshJob, Problem> meshJob(const Piece& piece, const Plan& plan, const material::Library& lib,
                                             const coat::Surface& surface, bool outside) {
    const auto setting = coatSetting(piece, plan, lib);
    if (!setting) return tl::unexpected(setting.error());
    coat::MeshJob job;
    static_cast<coat::CoatSetting&>(job) = *setting;
    job.surface = &surface;
    for (const auto& c : piece.coats()) job.steps.push_back(coat::meshStep(c, surface, outside));
    return job;
}

double wallAt(const MeridianWall& s, const form::Vec3& p) {
    const double r = std::hypot(p.x, p.y);
    size_t best = 0;
    double nearest = 1e300;
    for (size_t i = 0; i < s.profile.size(); ++i) {
        const double d = std::hypot(s.profile.r[i] - r, s.profile.z[i] - p.z);
        if (d < nearest) {
            nearest = d;
            best = i;
        }
    }
    return s.coats.wall[best];
}

tl::expected<CoatedMeridian, Problem> coatMeridian(const Piece& piece, const Plan& plan, const material::Library& lib,
                                                   const MadeOptions& options, std::stop_token stop) {
    const auto former = form::meridian(piece.shape);
    if (!former) return tl::unexpected(former.error());
    auto job = coatJob(piece, plan, lib, options.cells);
    if (!job) return tl::unexpected(job.error());
    CoatedMeridian out;
    MeridianWall& s = out.along;
    s.profile = job->profile;
    s.chocolateOutside = job->side == form::Side::Outside;
    s.formerVolume = former->volume();
    s.height = former->highest() - former->lowest();
    s.round = std::all_of(piece.coats().begin(), piece.coats().end(), [](const auto& c) { return c.round(); });
    if (s.round) {
        auto beside = std::async(std::launch::async, [&] { return coat::coat(*job, stop); });
        tl::expected<coat::Band, Problem> band;
        if (options.bands) {
            coat::CoatJob coarse = *job;
            coarse.profile = former->profile(kBandCells);
            band = coat::band(coarse, coatUncertainty(piece, lib), stop);
        }
        auto coats = beside.get();
        if (!coats) return tl::unexpected(coats.error());
        if (!band) return tl::unexpected(band.error());
        s.coats = std::move(*coats);
        s.band = *band;
        out.shape = form::roundFormer(*former, kShownTriangles);
        for (const auto& p : out.shape.surface.points) out.shape.thickness.push_back(std::max(kSkin, wallAt(s, p)));
    } else if (auto ok = coatOnMesh(out, *former, piece, plan, lib, stop); !ok) {
        return tl::unexpected(ok.error());
    }
    s.wall = coat::figures(s.coats.wall, s.profile);
    s.rimRadius = s.profile.faceR.back();
    out.shape.body = form::Body::Wall;
    out.shape.wall = s.wall.mean;
    out.shape.wallLow = s.wall.mean * s.band.mean.low;
    out.shape.wallHigh = s.wall.mean * s.band.mean.high;
    out.shape.rim = 2 * std::numbers::pi * s.rimRadius;
    CoatedWall& w = out.wall;
    w.items = {0};
    w.mean = s.wall.mean;
    w.thinnest = s.wall.thinnest;
    w.thickest = s.wall.thickest;
    w.rim = s.wall.rim;
    w.thinnestHeight = s.profile.z[s.wall.thinnestAt];
    w.error = s.coats.error;
    std::vector<SlowPlace> slow;
    for (size_t k = 0; k < s.coats.coats.size(); ++k) {
        const auto& c = s.coats.coats[k];
        const auto f = coat::figures(c.wall, s.profile);
        w.coats.push_back({c.added, c.dripped, c.fell,
                           f.mean - (k ? coat::figures(s.coats.coats[k - 1].wall, s.profile).mean : 0), c.lockTypical,
                           f.thinnest, f.rim});
        slow.push_back({coat::slowPlace(s.profile, k ? s.coats.coats[k - 1].perArea : std::vector<double>{}, c.perArea),
                        c.shellTemperature});
    }
    static_cast<CoatTimes&>(w) =
        coatTimes(piece, plan, lib, *job, slow, w.mean,
                  w.coats.back().rim - (w.coats.size() > 1 ? w.coats[w.coats.size() - 2].rim : 0));
    return out;
}

}  // namespace uovo
