#include "core/coat/coats.h"

#include <algorithm>
#include <cmath>
#include <numeric>

#include "core/coat/flux.h"
#include "core/quantity/catalogue.h"

namespace uovo::coat {
namespace {

constexpr double kLeastSlope = 0.1;  // sin of the wall's slope: nearer to level a dip takes the most it can

/// Fresh film a cell, m: thickness, or volume per area for a brush, whose grams are given.
std::vector<double> fresh(const CoatJob& job, const CoatStep& step, const material::Coating& c, double crystals) {
    const auto& p = job.profile;
    const size_t n = p.size();
    std::vector<double> add(n, 0.0);
    const double T = step.temperature.value;
    switch (step.way) {
        case Way::Dip:
        case Way::Press: {
            const double tau = yieldStress(c, T, crystals), eta = viscosity(c, T, crystals);
            const double from = step.way == Way::Press ? p.step * static_cast<double>(n) - kPressed : 0;
            for (size_t i = 0; i < n; ++i) {
                if (p.arc[i] < from) continue;
                const double slope = std::max(kLeastSlope, std::abs(p.tangentZ[i]));
                add[i] = dipThickness(job.dipSpeed / slope, c.densityMelt * kGravity * slope, tau, eta, job.dipMost);
            }
            break;
        }
        case Way::Turn:
        case Way::Pour: {
            const double most = std::min(job.pourFilm, 0.3 * *std::max_element(p.r.begin(), p.r.end()));
            std::fill(add.begin(), add.end(), most);
            break;
        }
        case Way::Brush: {
            const double length = p.step * static_cast<double>(n);
            const double band = std::min(0.3 * length, kBrushBand);
            double area = 0;
            std::vector<bool> here(n);
            for (size_t i = 0; i < n; ++i) {
                here[i] = step.where == Where::All || (step.where == Where::Rim && p.arc[i] > length - band) ||
                          (step.where == Where::Foot && p.arc[i] < 2 * band);
                if (here[i]) area += p.area[i];
            }
            for (size_t i = 0; i < n; ++i)
                if (here[i]) add[i] = step.brushMass.value / (c.densityMelt * area);
            break;
        }
    }
    return add;
}

}  // namespace

namespace {
double moved(const CoatStep& s) { return s.motion != Motion::Still || s.way == Way::Turn ? s.moveFor.value : 0; }
}  // namespace

double medianByArea(std::vector<std::pair<double, double>> timeAndArea, double total) {
    std::sort(timeAndArea.begin(), timeAndArea.end());
    double sum = 0;
    for (const auto& [t, a] : timeAndArea)
        if ((sum += a) >= 0.5 * total) return t;
    return std::nan("");
}

double beforeCold(const CoatStep& s) {
    const double onto = drains(s.way) ? s.drain.value : 0;
    const double swirled = s.way == Way::Turn && (s.motion == Motion::Over || s.motion == Motion::Side) ? kSwirl : 0;
    return onto + swirled + (s.moveIn == Place::Table ? moved(s) : 0) + s.tap.value + s.delay.value;
}

double inCold(const CoatStep& s) { return s.stay.value + (s.moveIn == Place::Table ? 0 : moved(s)); }

tl::expected<void, Problem> checkStep(const CoatStep& s, const material::Coating& c, double bears) {
    const auto refuse = [](std::string sentence, std::string field) {
        return tl::unexpected(Problem{std::move(sentence), std::move(field)});
    };
    const double T = s.temperature.value;
    const auto degrees = [](double t) { return format(t, Dimension::Temperature, UnitSystem::Metric); };
    if (!std::isfinite(T)) return refuse(tr("The temperature is not a number."), "temperature");
    if (T > c.scorch)
        return refuse(c.name + tr(" scorches above ") + degrees(c.scorch) + "; " + degrees(T) + tr(" would ruin it."),
                      "temperature");
    if (T > bears + 5)
        return refuse(tr("A balloon bursts in chocolate at ") + degrees(T) + tr("; a cautious limit is ") +
                          degrees(bears) + tr(". Let it cool, and test one balloon first."),
                      "temperature");
    if (T < c.workLow - 5)
        return refuse(c.name + tr(" does not flow any more at ") + degrees(T) + tr("; work it at ") +
                          degrees(c.workLow) + tr(" to ") + degrees(c.workHigh) + ".",
                      "temperature");
    const auto time = [&](const Measure& m, double most, const char* what,
                          const char* field) -> tl::expected<void, Problem> {
        if (!std::isfinite(m.value) || m.value < 0) return refuse(std::string(what) + tr(" is not a time."), field);
        if (m.value > most)
            return refuse(std::string(what) + tr(" is longer than ") +
                              format(most, Dimension::Duration, UnitSystem::Metric) + ".",
                          field);
        return {};
    };
    if (auto ok = time(s.drain, 1800, tr("Draining"), "drain"); !ok) return ok;
    if (auto ok = time(s.delay, 4 * 3600, tr("The wait before the cold"), "delay"); !ok) return ok;
    if (auto ok = time(s.stay, 24 * 3600, tr("The stay"), "stay"); !ok) return ok;
    if (s.way == Way::Turn && !(s.fill.value > 0.01 && s.fill.value <= 1))
        return refuse(tr("Fill it with at least a hundredth and at most all of its room."), "fill");
    if (s.motion != Motion::Still || s.way == Way::Turn) {
        if (auto ok = time(s.moveFor, 24 * 3600, tr("Turning"), "moveFor"); !ok) return ok;
        if (s.motion == Motion::Over && !(s.moveEvery.value >= 2 && s.moveEvery.value <= 3600))
            return refuse(tr("Turn it over every two seconds at the quickest, every hour at the slowest."),
                          "moveEvery");
        if (s.motion == Motion::Over && s.moveFor.value / s.moveEvery.value > 500)
            return refuse(tr("More than 500 turns are not made by hand."), "moveEvery");
    }
    if (auto ok = time(s.tap, 600, tr("Tapping"), "tap"); !ok) return ok;
    if (s.way == Way::Brush && s.where == Where::Spots && s.spots.empty())
        return refuse(tr("Paint on the piece where the brush goes."), "where");
    if (s.way == Way::Brush && !(s.brushMass.value > 0 && s.brushMass.value < 2))
        return refuse(tr("Brush on more than nothing and less than 2 kg."), "brushMass");
    return {};
}

tl::expected<CoatsResult, Problem> coat(const CoatJob& job, std::stop_token stop) {
    const size_t n = job.profile.size();
    Film film(job.profile, job.coating, job.law, job.lockFraction, job.former, FilmOptions{}, job.climate.room);
    CoatsResult out;
    double laid = 0, before = 0, droppedBefore = 0;
    std::vector<double> thick(n, 0.0), wall(n, 0.0);  // melt and set
    const double totalArea = std::accumulate(job.profile.area.begin(), job.profile.area.end(), 0.0);
    for (size_t k = 0; k < job.steps.size(); ++k) {
        const auto& step = job.steps[k];
        const double T = step.temperature.value;
        const auto [c, law] = job.melt(k, T);
        film.use(c, law);
        const double crystals = material::crystalsAt(c, T);
        const auto laidOn = fresh(job, step, c, crystals);
        step.way == Way::Brush ? film.depositVolume(laidOn, T, crystals) : film.deposit(laidOn, T, crystals);
        laid += film.volume() - before;

        Surroundings around;
        job.put(around, Place::Table);
        // Over the bath a balloon hangs crown down; a cup is held upside down while it pours out.
        around.inverted = step.way == Way::Pour;
        if (drains(step.way) && !film.run(step.drain.value, around, stop)) break;
        const double setDown = film.dripped();
        around.inverted = step.rest == Rest::Inverted;
        around.onPaper = step.rest == Rest::Upright && job.side == form::Side::Outside;
        if (around.onPaper) film.standOnPaper();
        if (!film.run(step.delay.value, around, stop)) break;
        job.put(around, step.place);
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
        const auto now = film.thickness();
        for (size_t i = 0; i < n; ++i) wall[i] += (now[i] - thick[i]) * c.densityMelt / c.densitySolid;
        thick = now;
        r.wall = wall;
        r.perArea = film.perArea();
        r.added = (film.volume() - before) * c.densityMelt;
        r.dripped = (film.dripped() - droppedBefore) * c.densityMelt;
        r.fell = std::max(0.0, film.dripped() - setDown) * c.densityMelt;
        before = film.volume();
        droppedBefore = film.dripped();
        out.mass += r.added;
        out.coats.push_back(std::move(r));
    }
    if (stop.stop_requested()) return tl::unexpected(Problem{tr("Stopped."), "stopped"});
    if (out.coats.size() != job.steps.size())
        return tl::unexpected(
            Problem{tr("The film could not be computed for this coat."), "coats/" + std::to_string(out.coats.size())});
    out.error = laid > 0 ? std::abs(laid - film.volume() - film.dripped()) / laid : 0;
    if (!out.coats.empty()) out.wall = out.coats.back().wall;
    return out;
}

}  // namespace uovo::coat
