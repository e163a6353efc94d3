#include "core/coat/mesh_coats.h"

#include <fmt/format.h>

#include <algorithm>
#include <numbers>
#include <numeric>

#include "core/coat/blemish.h"
#include "core/coat/flux.h"
#include "core/quantity/catalogue.h"

namespace uovo::coat {
namespace {

using form::Vec3;

constexpr double kLevelSlope = 0.1;  // sin of the wall's slope: nearer to level a dip takes the most it can
constexpr double kDay = 24 * 3600;   // s
constexpr size_t kMostCoats = 100;
constexpr double kRoll = 10;     // s in which hands roll it once round before they set it on its next side
constexpr double kTurned = 0.4;  // s of the first step after a turn: what runs then is not looked at more closely
constexpr double kYoung = 0.12;  // frames of a film come after this share of its age

double length(const std::vector<Turn>& turns) {
    return std::accumulate(turns.begin(), turns.end(), 0.0, [](double s, const Turn& t) { return s + t.seconds; });
}

tl::expected<void, Problem> check(const MeshJob& job) {
    const auto refuse = [](std::string sentence, std::string where) {
        return tl::unexpected(Problem{std::move(sentence), std::move(where)});
    };
    if (!job.surface || job.surface->size() < 3) return refuse(tr("There is no wall to coat."), "shape");
    if (job.steps.empty()) return refuse(tr("Plan at least one coat."), "coats");
    if (job.steps.size() > kMostCoats)
        return refuse(say("{} coats are more than anyone makes; {} at most.", job.steps.size(), kMostCoats), "coats");
    for (size_t i = 0; i < job.steps.size(); ++i) {
        const auto& s = job.steps[i];
        const std::string at = "coats/" + std::to_string(i) + "/";
        for (const auto& t : s.turns) {
            if (!(t.seconds >= 0) || !std::isfinite(t.seconds))
                return refuse(tr("A turn lasts some seconds, not fewer than none."), at + "turns");
            if (!(std::abs(form::length(t.up) - 1) < 1e-6)) return refuse(tr("A turn has no direction."), at + "turns");
        }
        if (length(s.turns) > kDay) return refuse(tr("These turns take longer than a day."), at + "turns");
        if (!(s.fill >= 0)) return refuse(tr("Pour in more than nothing."), at + "fill");
        if (!s.brush.empty()) {
            if (s.brush.size() != job.surface->size())
                return refuse(tr("The brush was meant for another mesh."), at + "brush");
            for (const double w : s.brush)
                if (!(w >= 0)) return refuse(tr("A brush takes nothing off."), at + "brush");
        }
    }
    return {};
}

/// Fresh film a cell: thickness, or volume per area for a brush, whose grams are given.
std::vector<double> fresh(const MeshJob& job, const MeshStep& step, const material::Coating& c, double crystals) {
    const Surface& s = *job.surface;
    std::vector<double> add(s.size(), 0.0);
    const double T = step.coat.temperature.value;
    if (step.coat.way == Way::Dip || step.coat.way == Way::Press) {
        const std::vector<double> pressed = step.coat.way == Way::Press ? nearRim(s, kPressed) : std::vector<double>{};
        const double tau = yieldStress(c, T, crystals), eta = viscosity(c, T, crystals);
        for (size_t i = 0; i < s.size(); ++i) {
            if (!pressed.empty() && pressed[i] <= 0) continue;
            const double slope = std::max(kLevelSlope, std::sqrt(std::max(0.0, 1 - s.normal[i].z * s.normal[i].z)));
            add[i] = dipThickness(job.dipSpeed / slope, c.densityMelt * kGravity * slope, tau, eta, job.dipMost);
        }
    } else if (step.coat.way == Way::Pour) {
        std::fill(add.begin(), add.end(), job.pourFilm);
    } else {
        double weight = 0;
        for (size_t i = 0; i < s.size(); ++i) weight += s.area[i] * (step.brush.empty() ? 1 : step.brush[i]);
        for (size_t i = 0; i < s.size() && weight > 0; ++i)
            add[i] = step.coat.brushMass.value / c.densityMelt * (step.brush.empty() ? 1 : step.brush[i]) / weight;
    }
    return add;
}

/// Weights of the brush a corner: round the rim, at the foot, or where a person painted.
std::vector<double> brushed(const CoatStep& step, const Surface& s) {
    std::vector<double> w(s.size(), 0.0);
    if (step.where == Where::Spots) {
        for (const auto& spot : step.spots)
            for (size_t i = 0; i < s.size(); ++i)
                if (const double d = form::length(s.at[i] - spot.at) / kSpotRadius; d < 1)
                    w[i] += spot.weight * (1 - d * d);
    } else if (step.where == Where::Rim) {
        w = nearRim(s, kBrushBand);
    } else {  // as far as the band of a profile's brush
        const auto lowest =
            *std::min_element(s.at.begin(), s.at.end(), [](const Vec3& a, const Vec3& b) { return a.z < b.z; });
        for (size_t i = 0; i < s.size(); ++i) w[i] = form::length(s.at[i] - lowest) < 2 * kBrushBand;
    }
    if (std::accumulate(w.begin(), w.end(), 0.0) <=
        0) {  // between the corners: the nearest takes it; nowhere: all over
        if (step.where != Where::Spots || step.spots.empty()) return {};
        for (const auto& spot : step.spots)
            w[static_cast<size_t>(std::min_element(s.at.begin(), s.at.end(),
                                                   [&](const Vec3& a, const Vec3& b) {
                                                       return form::length(a - spot.at) < form::length(b - spot.at);
                                                   }) -
                                  s.at.begin())] += spot.weight;
    }
    return w;
}

/// Directions evenly spread over the sphere (Fibonacci points).
std::vector<Vec3> directions(int n) {
    std::vector<Vec3> out;
    const double golden = std::numbers::pi * (3 - std::sqrt(5.0));
    for (int i = 0; i < n; ++i) {
        const double z = 1 - 2 * (i + 0.5) / n, r = std::sqrt(1 - z * z);
        out.push_back(form::unit({r * std::cos(golden * i), r * std::sin(golden * i), z}));
    }
    return out;
}

}  // namespace

std::vector<double> nearRim(const Surface& s, double reach) {
    std::vector<double> w(s.size(), 0.0);
    std::vector<Vec3> rim;
    for (size_t i = 0; i < s.size(); ++i)
        if (form::length(s.edge[i]) > 0) rim.push_back(s.at[i]);
    for (size_t i = 0; i < s.size(); ++i)
        w[i] = std::any_of(rim.begin(), rim.end(), [&](const Vec3& p) { return form::length(s.at[i] - p) < reach; });
    return w;
}

MeshStep meshStep(const CoatStep& step, const Surface& surface, bool outside) {
    MeshStep m;
    m.coat = step;
    m.tap = step.tap.value;
    m.scrape = step.scrape;
    m.onPaper = outside && step.rest == Rest::Upright;
    if (step.way == Way::Turn) m.fill = step.fill.value * roomIn(surface);
    if (step.way == Way::Brush && step.where != Where::All) m.brush = brushed(step, surface);
    if (step.motion != Motion::Still || step.way == Way::Turn) {
        if (step.way == Way::Turn && (step.motion == Motion::Over || step.motion == Motion::Side))
            m.turns = spinByHand(kSwirl);  // until no patch is bare
        if (drains(step.way))
            m.turns.push_back({{0, 0, step.way == Way::Pour ? -1.0 : 1.0}, step.drain.value, Place::Table});
        const double lasts = step.moveFor.value, every = std::max(1.0, step.moveEvery.value);
        std::vector<Turn> moved;
        if (step.motion == Motion::Spin || (step.way == Way::Turn && step.motion == Motion::Still))
            moved = spinByHand(lasts);
        else if (step.motion == Motion::Over)
            moved = turnedEvery(every, std::max(1, static_cast<int>(std::lround(lasts / every))));
        else moved = {{{1, 0, 0}, lasts, Place::Table}};
        for (auto& t : moved) t.place = step.moveIn;
        if (step.moveIn != Place::Table) {  // it waits before it is moved about in the cold
            m.turns.push_back({{0, 0, 1}, step.delay.value, Place::Table});
            m.coat.delay = 0;
        }
        m.turns.insert(m.turns.end(), moved.begin(), moved.end());
    }
    return m;
}

double roomIn(const Surface& s) {
    double volume = 0, rim = 1e9, low = 1e9;
    for (size_t i = 0; i < s.size(); ++i) {
        if (form::length(s.edge[i]) > 0) rim = std::min(rim, s.at[i].z);
        low = std::min(low, s.at[i].z);
    }
    const double top = rim < 1e8 ? rim : 1e9;
    double highest = low;
    for (size_t i = 0; i < s.size(); ++i) highest = std::max(highest, s.at[i].z);
    const double level = std::min(top, highest);
    for (size_t i = 0; i < s.size(); ++i) volume += s.area[i] * s.normal[i].z * std::max(0.0, level - s.at[i].z);
    return volume;
}

std::vector<Turn> spinByHand(double seconds) {
    std::vector<Turn> out;
    constexpr int kSides = 20;
    const int rounds =
        std::max(1, static_cast<int>(std::lround(seconds / kSwirl)));  // hands do not slow down: longer is more often
    for (int k = 0; k < rounds; ++k)
        for (const auto& up : directions(kSides)) out.push_back({up, seconds / (kSides * rounds), Place::Table});
    return out;
}

std::vector<Turn> turnedEvery(double every, int times) {
    // over onto six sides and the eight corners between them: down, up, the four quarters, in an order that never
    // repeats a side at once
    static const Vec3 sides[]{{0, 0, 1},    {0, 0, -1}, {1, 0, 0},   {-1, 0, 0}, {0, 1, 0},   {0, -1, 0}, {1, 1, 1},
                              {-1, -1, -1}, {-1, 1, 1}, {1, -1, -1}, {1, -1, 1}, {-1, 1, -1}, {1, 1, -1}, {-1, -1, 1}};
    static const std::vector<Vec3> round = [] {  // every other of the sides that spinning brings down
        std::vector<Vec3> half;
        for (const auto all = directions(20); half.size() < 10;) half.push_back(all[2 * half.size()]);
        return half;
    }();
    const double roll = std::min(kRoll, 0.25 * every);
    std::vector<Turn> out;
    for (int i = 0; i < times; ++i) {
        for (const auto& up : round) out.push_back({up, roll / double(round.size()), Place::Table});
        out.push_back({form::unit(sides[i % 14]), every - roll, Place::Table});
    }
    return out;
}

tl::expected<MeshCoats, Problem> coat(const MeshJob& job, std::stop_token stop,
                                      const std::function<void(double)>& progress) {
    if (auto ok = check(job); !ok) return tl::unexpected(ok.error());
    const Surface& surface = *job.surface;
    MeshFilm film(surface, job.coating, job.law, job.lockFraction, job.former, job.options, job.climate.room);
    MeshCoats out;
    std::vector<double> thick(surface.size(), 0.0), wall(surface.size(), 0.0);  // melt and set
    double gone = 0, kept = 0, fallen = 0;  // kg lost, kg fallen where it rested and on the piece, of the coats before
    double restsFrom = std::nan("");        // m³ dripped when this coat was set to rest
    double laid = 0, before = 0, droppedBefore = 0, whole = 0, passed = 0, coatBegan = 0;
    const double totalArea = std::accumulate(surface.area.begin(), surface.area.end(), 0.0);
    std::vector<std::vector<Turn>> turns;
    for (const auto& step : job.steps) {
        auto t = step.turns;
        if (t.empty() && step.coat.way != Way::Turn)
            t.push_back({{0, 0, step.coat.way == Way::Pour && step.fill <= 0 ? -1.0 : 1.0},
                         drains(step.coat.way) ? step.coat.drain.value : 0,
                         Place::Table});
        turns.push_back(t);
        whole += length(t) + step.tap + step.coat.delay.value + step.coat.stay.value;
    }
    // Lets time pass in stretches, so that frames, progress and stopping come in between.
    const auto run = [&](double seconds, const Surroundings& around) {
        const auto& coat = job.steps[out.coats.size()].coat;
        const double density = job.melt(out.coats.size(), coat.temperature.value).coating.densityMelt;
        for (double left = seconds; left > 1e-9;) {
            const double part =
                job.frameEvery > 0 ? std::min(left, std::clamp(kYoung * (film.time() - coatBegan), 1.0, job.frameEvery))
                                   : left;
            if (!film.run(part, around, stop)) return false;
            left -= part;
            passed += part;
            if (progress) progress(whole > 0 ? passed / whole : 1);
            if (job.frameEvery > 0) {
                const auto h = film.thickness();
                out.frames.push_back({film.time(),
                                      out.coats.size(),
                                      kept + (film.volume() - before) * density,
                                      gone + (film.dripped() - droppedBefore) * density,
                                      fallen + (std::isnan(restsFrom) ? 0 : (film.dripped() - restsFrom) * density),
                                      around.up,
                                      {h.begin(), h.end()},
                                      film.volume() > 0 ? film.mobileVolume() / film.volume() : 0});
            }
        }
        return true;
    };
    for (size_t k = 0; k < job.steps.size(); ++k) {
        const auto& step = job.steps[k];
        const double T = step.coat.temperature.value;
        const auto [c, law] = job.melt(k, T);
        film.use(c, law);
        coatBegan = film.time();
        const double crystals = material::crystalsAt(c, T);
        if (step.fill > 0) {
            if (const double room = roomIn(surface); step.fill > room)
                return tl::unexpected(
                    Problem{say("It holds {}; {} do not go in.", format(room, Dimension::Volume, UnitSystem::Metric),
                                format(step.fill, Dimension::Volume, UnitSystem::Metric)),
                            "coats/" + std::to_string(k) + "/fill"});
            film.pour(step.fill, T, crystals, turns[k].empty() ? Vec3{0, 0, 1} : turns[k].front().up);
        } else {
            const auto add = fresh(job, step, c, crystals);
            step.coat.way == Way::Brush ? film.depositVolume(add, T, crystals) : film.deposit(add, T, crystals);
        }
        laid += film.volume() + film.dripped() - before - droppedBefore;
        Surroundings around;
        bool going = true;
        for (const auto& t : turns[k]) {
            job.put(around, t.place);
            around.up = t.up;
            if (turns[k].size() > 1) film.firstStep(std::clamp(t.seconds / 2, job.options.firstStep, kTurned));
            going = going && run(t.seconds, around);
        }
        film.firstStep(job.options.firstStep);
        job.put(around, Place::Table);
        if (going && step.tap > 0) {
            around.tapping = true;
            going = run(step.tap, around);
            around.tapping = false;
        }
        if (going && step.scrape) film.scrapeRim();
        if (!step.stays) around.up = {0, 0, step.coat.rest == Rest::Inverted ? -1.0 : 1.0};
        const double setDown = restsFrom = film.dripped();
        if (step.onPaper) film.standOnPaper(around.up, 0);
        going = going && run(step.coat.delay.value, around);
        job.put(around, step.coat.place);
        going = going && run(step.coat.stay.value, around);
        if (stop.stop_requested()) return tl::unexpected(Problem{tr("Stopped."), "stopped"});
        if (!going)
            return tl::unexpected(
                Problem{tr("The film could not be computed for this coat."), "coats/" + std::to_string(k)});

        MeshCoat r;
        if (step.onPaper) {
            r.footRadius = film.standOnPaper(around.up, film.dripped() - setDown);
            film.leavePaper();
        }
        r.shellTemperature = film.shellTemperature();
        r.stillLiquid = film.mobileVolume() > 0.02 * film.volume();
        std::vector<std::pair<double, double>> locks;
        double last = 0;
        for (size_t i = 0; i < surface.size(); ++i)
            if (const double t = film.lockTimes()[i]; !std::isnan(t)) {
                locks.emplace_back(t, surface.area[i]);
                last = std::max(last, t);
            }
        r.lockTypical = medianByArea(std::move(locks), totalArea);
        r.lockLast = r.stillLiquid ? std::nan("") : last;
        if (step.coat.way != Way::Press && step.coat.where == Where::All) film.iron();
        film.closeCoat();
        const auto now = film.thickness();
        for (size_t i = 0; i < wall.size(); ++i) wall[i] += (now[i] - thick[i]) * c.densityMelt / c.densitySolid;
        thick = now;
        r.wall = wall;
        r.perArea = film.perArea();
        for (size_t i = 0; i < r.wall.size(); ++i) {
            r.poolDeepest = std::max(r.poolDeepest, r.wall[i]);
            if (r.wall[i] < kBare) r.bare += surface.area[i] / totalArea;
        }
        r.added = (film.volume() - before) * c.densityMelt;
        r.dripped = (film.dripped() - droppedBefore) * c.densityMelt;
        r.fell = std::max(0.0, film.dripped() - setDown) * c.densityMelt;
        restsFrom = std::nan("");
        before = film.volume();
        droppedBefore = film.dripped();
        kept += r.added;
        gone += r.dripped;
        fallen += r.fell;
        out.coats.push_back(std::move(r));
    }
    out.mass = kept;
    out.error = laid > 0 ? std::abs(laid - film.volume() - film.dripped()) / laid : 0;
    return out;
}

}  // namespace uovo::coat
