#include "core/coat/coats.h"

#include <algorithm>
#include <cmath>
#include <numeric>

#include "core/coat/flux.h"

namespace uovo::coat {
namespace {

constexpr double kGravity = 9.81;
constexpr double kLeastSlope = 0.1;  // sin of the wall's slope: nearer to level a dip takes the most it can

/// Fresh film a cell, m: thickness, or volume per area for a brush, whose grams are given.
std::vector<double> fresh(const CoatJob& job, const CoatStep& step, double crystals) {
    const auto& p = job.profile;
    const size_t n = p.size();
    std::vector<double> add(n, 0.0);
    const double T = step.temperature.value;
    switch (step.way) {
        case Way::Dip: {
            const double tau = yieldStress(job.coating, T, crystals), eta = viscosity(job.coating, T, crystals);
            for (size_t i = 0; i < n; ++i) {
                const double slope = std::max(kLeastSlope, std::abs(p.tangentZ[i]));
                add[i] = dipThickness(job.dipSpeed / slope, job.coating.densityMelt * kGravity * slope, tau, eta, job.dipMost);
            }
            break;
        }
        case Way::Pour: {
            const double most = std::min(job.pourFilm, 0.3 * *std::max_element(p.r.begin(), p.r.end()));
            std::fill(add.begin(), add.end(), most);
            break;
        }
        case Way::Brush: {
            const double length = p.step * static_cast<double>(n);
            const double band = std::min(0.3 * length, 0.015);
            double area = 0;
            std::vector<bool> here(n);
            for (size_t i = 0; i < n; ++i) {
                here[i] = step.where == Where::All || (step.where == Where::Rim && p.arc[i] > length - band) ||
                          (step.where == Where::Foot && p.arc[i] < 2 * band);
                if (here[i]) area += p.area[i];
            }
            for (size_t i = 0; i < n; ++i)
                if (here[i]) add[i] = step.brushMass.value / (job.coating.densityMelt * area);
            break;
        }
    }
    return add;
}

}  // namespace

double medianByArea(std::vector<std::pair<double, double>> timeAndArea, double total) {
    std::sort(timeAndArea.begin(), timeAndArea.end());
    double sum = 0;
    for (const auto& [t, a] : timeAndArea)
        if ((sum += a) >= 0.5 * total) return t;
    return std::nan("");
}

tl::expected<void, Problem> checkStep(const CoatStep& s, const material::Coating& c, double bears) {
    const auto refuse = [](std::string sentence, std::string field) {
        return tl::unexpected(Problem{std::move(sentence), std::move(field)});
    };
    const double T = s.temperature.value;
    const auto degrees = [](double t) { return format(t, Dimension::Temperature, UnitSystem::Metric); };
    if (!std::isfinite(T)) return refuse("The temperature is not a number.", "temperature");
    if (T > c.scorch) return refuse(c.name + " scorches above " + degrees(c.scorch) + "; " + degrees(T) + " would ruin it.", "temperature");
    if (T > bears + 5)
        return refuse("A balloon bursts in chocolate at " + degrees(T) + "; a cautious limit is " + degrees(bears) +
                          ". Let it cool, and test one balloon first.",
                      "temperature");
    if (T < c.workLow - 5)
        return refuse(c.name + " does not flow any more at " + degrees(T) + "; work it at " + degrees(c.workLow) + " to " +
                          degrees(c.workHigh) + ".",
                      "temperature");
    const auto time = [&](const Measure& m, double most, const char* what, const char* field) -> tl::expected<void, Problem> {
        if (!std::isfinite(m.value) || m.value < 0) return refuse(std::string(what) + " is not a time.", field);
        if (m.value > most)
            return refuse(std::string(what) + " is longer than " + format(most, Dimension::Duration, UnitSystem::Metric) + ".", field);
        return {};
    };
    if (auto ok = time(s.drain, 1800, "Draining", "drain"); !ok) return ok;
    if (auto ok = time(s.delay, 4 * 3600, "The wait before the cold", "delay"); !ok) return ok;
    if (auto ok = time(s.stay, 24 * 3600, "The stay", "stay"); !ok) return ok;
    if (s.way == Way::Brush && !(s.brushMass.value > 0 && s.brushMass.value < 2))
        return refuse("Brush on more than nothing and less than 2 kg.", "brushMass");
    return {};
}

tl::expected<CoatsResult, Problem> coat(const CoatJob& job, std::stop_token stop) {
    const auto& c = job.coating;
    const size_t n = job.profile.size();
    const double toSolid = c.densityMelt / c.densitySolid;
    Film film(job.profile, c, job.law, job.lockFraction, job.former, FilmOptions{}, job.climate.room);
    CoatsResult out;
    double laid = 0, before = 0, droppedBefore = 0;
    const double totalArea = std::accumulate(job.profile.area.begin(), job.profile.area.end(), 0.0);
    for (const auto& step : job.steps) {
        const double T = step.temperature.value;
        const double crystals = T > c.loses ? c.crystalsFloor : c.crystalsAtStart;
        const auto laidOn = fresh(job, step, crystals);
        step.way == Way::Brush ? film.depositVolume(laidOn, T, crystals) : film.deposit(laidOn, T, crystals);
        laid += film.volume() - before;

        Surroundings around;
        around.formerSide = job.formerBack;
        around.air = job.climate.room;
        around.openSide = job.climate.airRoom;
        // Over the bath a balloon hangs crown down; a cup is held upside down while it pours out.
        around.inverted = step.way == Way::Pour;
        if (step.way != Way::Brush && !film.run(step.drain.value, around, stop)) break;
        around.inverted = step.rest == Rest::Inverted;
        around.onPaper = step.rest == Rest::Upright && job.side == form::Side::Outside;
        if (around.onPaper) film.standOnPaper();
        if (!film.run(step.delay.value, around, stop)) break;
        around.air = job.climate.air(step.place);
        around.openSide = job.climate.transfer(step.place);
        if (!film.run(step.stay.value, around, stop)) break;

        CoatResult r;
        r.stillLiquid = film.mobileVolume() > 0.02 * film.volume();
        if (around.onPaper) {
            r.footRadius = film.standOnPaper();
            film.leavePaper();
        }
        r.shellTemperature = film.shellTemperature();
        std::vector<std::pair<double, double>> locks;
        double last = 0;
        for (size_t i = 0; i < n; ++i) {
            const double t = film.lockTimes()[i];
            if (!std::isnan(t)) {
                locks.emplace_back(t, job.profile.area[i]);
                last = std::max(last, t);
            }
        }
        r.lockTypical = medianByArea(std::move(locks), totalArea);
        r.lockLast = r.stillLiquid ? std::nan("") : last;
        film.closeCoat();
        r.wall = film.thickness();
        for (double& h : r.wall) h *= toSolid;
        r.added = (film.volume() - before) * c.densityMelt;
        r.dripped = (film.dripped() - droppedBefore) * c.densityMelt;
        before = film.volume();
        droppedBefore = film.dripped();
        out.coats.push_back(std::move(r));
    }
    if (stop.stop_requested()) return tl::unexpected(Problem{"Stopped.", "stopped"});
    if (out.coats.size() != job.steps.size())
        return tl::unexpected(Problem{"The film could not be computed for this coat.", "coats/" + std::to_string(out.coats.size())});
    out.mass = film.volume() * c.densityMelt;
    out.error = laid > 0 ? std::abs(laid - film.volume() - film.dripped()) / laid : 0;
    if (!out.coats.empty()) out.wall = out.coats.back().wall;
    return out;
}

}  // namespace uovo::coat
