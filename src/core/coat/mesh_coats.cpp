#include "core/coat/mesh_coats.h"

#include <fmt/format.h>

#include <algorithm>
#include <numbers>
#include <numeric>

#include "core/coat/flux.h"

namespace uovo::coat {
namespace {

using form::Vec3;

constexpr double kLeastSlope = 0.1;  // sin of the wall's slope: nearer to level a dip takes the most it can
constexpr double kBare = 1e-4;       // m: thinner is bare
constexpr double kDay = 24 * 3600;   // s
constexpr size_t kMostCoats = 100;

double length(const std::vector<Turn>& turns) {
    return std::accumulate(turns.begin(), turns.end(), 0.0, [](double s, const Turn& t) { return s + t.seconds; });
}

tl::expected<void, Problem> check(const MeshJob& job) {
    const auto refuse = [](std::string sentence, std::string where) { return tl::unexpected(Problem{std::move(sentence), std::move(where)}); };
    if (!job.surface || job.surface->size() < 3) return refuse("There is no wall to coat.", "shape");
    if (job.steps.empty()) return refuse("Plan at least one coat.", "coats");
    if (job.steps.size() > kMostCoats) return refuse(fmt::format("{} coats are more than anyone makes; {} at most.", job.steps.size(), kMostCoats), "coats");
    for (size_t i = 0; i < job.steps.size(); ++i) {
        const auto& s = job.steps[i];
        const std::string at = "coats/" + std::to_string(i) + "/";
        for (const auto& t : s.turns) {
            if (!(t.seconds >= 0) || !std::isfinite(t.seconds)) return refuse("A turn lasts some seconds, not fewer than none.", at + "turns");
            if (!(std::abs(form::length(t.up) - 1) < 1e-6)) return refuse("A turn has no direction.", at + "turns");
        }
        if (length(s.turns) > kDay) return refuse("These turns take longer than a day.", at + "turns");
        if (!(s.fill >= 0)) return refuse("Pour in more than nothing.", at + "fill");
        if (!s.brush.empty()) {
            if (s.brush.size() != job.surface->size()) return refuse("The brush was meant for another mesh.", at + "brush");
            for (const double w : s.brush)
                if (!(w >= 0)) return refuse("A brush takes nothing off.", at + "brush");
        }
    }
    return {};
}

/// Room for a pool, m³: the former's volume below its lowest rim, or all of it when there is none; by vertical columns.
double holds(const Surface& s) {
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

/// Fresh film a cell: thickness, or volume per area for a brush, whose grams are given.
std::vector<double> fresh(const MeshJob& job, const MeshStep& step, double crystals) {
    const Surface& s = *job.surface;
    std::vector<double> add(s.size(), 0.0);
    const double T = step.coat.temperature.value;
    if (step.coat.way == Way::Dip) {
        const double tau = yieldStress(job.coating, T, crystals), eta = viscosity(job.coating, T, crystals);
        for (size_t i = 0; i < s.size(); ++i) {
            const double slope = std::max(kLeastSlope, std::sqrt(std::max(0.0, 1 - s.normal[i].z * s.normal[i].z)));
            add[i] = dipThickness(job.dipSpeed / slope, job.coating.densityMelt * 9.81 * slope, tau, eta, job.dipMost);
        }
    } else if (step.coat.way == Way::Pour) {
        std::fill(add.begin(), add.end(), job.pourFilm);
    } else {
        double weight = 0;
        for (size_t i = 0; i < s.size(); ++i) weight += s.area[i] * (step.brush.empty() ? 1 : step.brush[i]);
        for (size_t i = 0; i < s.size() && weight > 0; ++i) add[i] = step.coat.brushMass.value / job.coating.densityMelt * (step.brush.empty() ? 1 : step.brush[i]) / weight;
    }
    return add;
}

}  // namespace

std::vector<Turn> spinByHand(double seconds) {
    std::vector<Turn> out;
    const double golden = std::numbers::pi * (3 - std::sqrt(5.0));
    constexpr int kTurns = 20;
    for (int i = 0; i < kTurns; ++i) {  // Fibonacci points of the sphere
        const double z = 1 - 2 * (i + 0.5) / kTurns, r = std::sqrt(1 - z * z);
        out.push_back({form::unit({r * std::cos(golden * i), r * std::sin(golden * i), z}), seconds / kTurns});
    }
    return out;
}

std::vector<Turn> turnedEvery(double every, int times) {
    // over onto six sides and back: down, up, and the four quarters, in an order that never repeats a side at once
    static const Vec3 sides[]{{0, 0, 1}, {0, 0, -1}, {1, 0, 0}, {-1, 0, 0}, {0, 1, 0}, {0, -1, 0}};
    std::vector<Turn> out;
    for (int i = 0; i < times; ++i) out.push_back({sides[i % 6], every});
    return out;
}

tl::expected<MeshCoats, Problem> coat(const MeshJob& job, std::stop_token stop, const std::function<void(double)>& progress) {
    if (auto ok = check(job); !ok) return tl::unexpected(ok.error());
    const auto& c = job.coating;
    const Surface& surface = *job.surface;
    const double toSolid = c.densityMelt / c.densitySolid;
    MeshFilm film(surface, c, job.law, job.lockFraction, job.former, job.options, job.climate.room);
    MeshCoats out;
    double laid = 0, before = 0, droppedBefore = 0, whole = 0, passed = 0;
    const double totalArea = std::accumulate(surface.area.begin(), surface.area.end(), 0.0);
    std::vector<std::vector<Turn>> turns;
    for (const auto& step : job.steps) {
        auto t = step.turns;
        if (t.empty()) t.push_back({{0, 0, step.coat.way == Way::Pour && step.fill <= 0 ? -1.0 : 1.0}, step.coat.way == Way::Brush ? 0 : step.coat.drain.value});
        turns.push_back(t);
        whole += length(t) + step.tap + step.coat.delay.value + step.coat.stay.value;
    }
    // Lets time pass in stretches, so that frames, progress and stopping come in between.
    const auto run = [&](double seconds, const Surroundings& around) {
        for (double left = seconds; left > 1e-9;) {
            const double part = job.frameEvery > 0 ? std::min(left, job.frameEvery) : left;
            if (!film.run(part, around, stop)) return false;
            left -= part;
            passed += part;
            if (progress) progress(whole > 0 ? passed / whole : 1);
            if (job.frameEvery > 0) {
                const auto h = film.thickness(), v = film.mobile();
                out.frames.push_back({film.time(), around.up, {h.begin(), h.end()}, {v.begin(), v.end()}});
            }
        }
        return true;
    };
    for (size_t k = 0; k < job.steps.size(); ++k) {
        const auto& step = job.steps[k];
        const double T = step.coat.temperature.value, crystals = T > c.loses ? c.crystalsFloor : c.crystalsAtStart;
        if (step.fill > 0) {
            if (const double room = holds(surface); step.fill > room)
                return tl::unexpected(Problem{fmt::format("It holds {}; {} do not go in.", format(room, Dimension::Volume, UnitSystem::Metric), format(step.fill, Dimension::Volume, UnitSystem::Metric)), "coats/" + std::to_string(k) + "/fill"});
            film.pour(step.fill, T, crystals, turns[k].front().up);
        } else {
            const auto add = fresh(job, step, crystals);
            step.coat.way == Way::Brush ? film.depositVolume(add, T, crystals) : film.deposit(add, T, crystals);
        }
        laid += film.volume() + film.dripped() - before - droppedBefore;
        Surroundings around;
        around.formerSide = job.formerBack;
        around.air = job.climate.room;
        around.openSide = job.climate.airRoom;
        bool going = true;
        for (const auto& t : turns[k]) {
            around.up = t.up;
            going = going && run(t.seconds, around);
        }
        if (going && step.tap > 0) {
            around.tapping = true;
            going = run(step.tap, around);
            around.tapping = false;
        }
        if (going && step.scrape) film.scrapeRim();
        if (step.turns.empty() || step.coat.rest != Rest::Upright) around.up = {0, 0, step.coat.rest == Rest::Inverted ? -1.0 : 1.0};
        going = going && run(step.coat.delay.value, around);
        around.air = job.climate.air(step.coat.place);
        around.openSide = job.climate.transfer(step.coat.place);
        going = going && run(step.coat.stay.value, around);
        if (stop.stop_requested()) return tl::unexpected(Problem{"Stopped.", "stopped"});
        if (!going) return tl::unexpected(Problem{"The film could not be computed for this coat.", "coats/" + std::to_string(k)});

        MeshCoat r;
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
        film.closeCoat();
        r.wall = film.thickness();
        for (size_t i = 0; i < r.wall.size(); ++i) {
            r.wall[i] *= toSolid;
            r.poolDeepest = std::max(r.poolDeepest, r.wall[i]);
            if (r.wall[i] < kBare) r.bare += surface.area[i] / totalArea;
        }
        r.added = (film.volume() - before) * c.densityMelt;
        r.dripped = (film.dripped() - droppedBefore) * c.densityMelt;
        before = film.volume();
        droppedBefore = film.dripped();
        out.coats.push_back(std::move(r));
    }
    out.mass = film.volume() * c.densityMelt;
    out.error = laid > 0 ? std::abs(laid - film.volume() - film.dripped()) / laid : 0;
    return out;
}

}  // namespace uovo::coat
