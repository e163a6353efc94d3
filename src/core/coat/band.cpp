#include "core/coat/band.h"

#include <algorithm>
#include <array>
#include <boost/math/distributions/normal.hpp>
#include <cmath>
#include <future>
#include <random>
#include "core/quantity/catalogue.h"

namespace uovo::coat {
namespace {

double normalQuantile(double p) { return boost::math::quantile(boost::math::normal(), p); }

constexpr double kNinety = 3.289707253902945;  // width of the 5–95 % range in standard deviations
constexpr size_t kDraws = 16;
constexpr double kEdge = 0.002;  // m of a rim's bead that is not told as the thinnest place

}  // namespace

std::vector<tl::expected<CoatsResult, Problem>> coatAll(const std::vector<CoatJob>& jobs, std::stop_token stop,
                                                        size_t threads) {
    std::vector<tl::expected<CoatsResult, Problem>> out(jobs.size());
    const auto part = [&](size_t first) {
        for (size_t i = first; i < jobs.size(); i += threads) out[i] = coat(jobs[i], stop);
    };
    std::vector<std::future<void>> others;  // what one of them throws is thrown here
    for (size_t k = 1; k < threads; ++k) others.push_back(std::async(std::launch::async, part, k));
    part(0);
    for (auto& o : others) o.get();
    return out;
}

WallFigures figures(const std::vector<double>& wall, const form::Profile& profile) {
    WallFigures f;
    const size_t n = wall.size();
    double area = 0;
    f.thinnest = 1e9;
    const double length = profile.step * static_cast<double>(n);
    for (size_t i = 0; i < n; ++i) {
        f.mean += wall[i] * profile.area[i];
        area += profile.area[i];
        if (wall[i] < f.thinnest && profile.arc[i] < length - kEdge) {
            f.thinnest = wall[i];
            f.thinnestAt = i;
        }
        if (wall[i] > f.thickest) {
            f.thickest = wall[i];
            f.thickestAt = i;
        }
    }
    f.mean /= area;
    const double at = (length - kRimAt) / profile.step - 0.5;  // in cells: at the same place on every grid
    const size_t k = static_cast<size_t>(std::clamp(at, 0.0, static_cast<double>(n) - 2));
    f.rim = wall[k] + std::clamp(at - static_cast<double>(k), 0.0, 1.0) * (wall[k + 1] - wall[k]);
    return f;
}

tl::expected<Band, Problem> band(const CoatJob& coarse, const Uncertainty& u, std::stop_token stop) {
    std::vector<CoatJob> jobs(kDraws + 1, coarse);
    std::mt19937 random(2726);  // of the first 20 000 seeds the one whose four draws are least correlated (0.056)
    const auto strata = [&] {   // one draw in each sixteenth, shuffled by hand so that every library does the same
        std::array<double, kDraws> s;
        for (size_t i = 0; i < kDraws; ++i) s[i] = (static_cast<double>(i) + 0.5) / kDraws;
        for (size_t i = kDraws - 1; i > 0; --i) std::swap(s[i], s[random() % (i + 1)]);
        return s;
    };
    const auto yield = strata(), viscosity = strata(), temperature = strata(), delay = strata();
    for (size_t k = 0; k < kDraws; ++k) {
        auto& job = jobs[k + 1];
        const auto draw = [&](material::Coating& c) {
            c.yield40 *= std::exp(normalQuantile(yield[k]) * std::log(u.yieldRatio) / kNinety);
            c.viscosity40 *= std::exp(normalQuantile(viscosity[k]) * std::log(u.viscosityRatio) / kNinety);
        };
        draw(job.coating);
        for (auto& m : job.melts) draw(m.coating);
        for (auto& step : job.steps) {
            const double degrees = std::max(u.temperature, step.temperature.spread);
            step.temperature.value += degrees * normalQuantile(temperature[k]) * 2 / kNinety;
            const double wait = std::max(u.delay, step.delay.spread);
            step.delay.value = std::max(0.0, step.delay.value + wait * normalQuantile(delay[k]) * 2 / kNinety);
        }
    }
    const auto results = coatAll(jobs, stop);
    if (!results[0]) return tl::unexpected(results[0].error());
    const WallFigures likely = figures(results[0]->wall, coarse.profile);
    std::array<std::vector<double>, 4> ratios;
    std::array<std::vector<double>, 4> drawn;  // of the runs that came off
    for (size_t k = 1; k < results.size(); ++k) {
        if (!results[k]) continue;
        const WallFigures f = figures(results[k]->wall, coarse.profile);
        ratios[0].push_back(results[k]->mass / results[0]->mass);
        ratios[1].push_back(f.mean / likely.mean);
        ratios[2].push_back(f.thinnest / likely.thinnest);
        ratios[3].push_back(f.rim / likely.rim);
        const std::array<double, 4> draws{yield[k - 1], viscosity[k - 1], temperature[k - 1], delay[k - 1]};
        for (size_t c = 0; c < 4; ++c) drawn[c].push_back(normalQuantile(draws[c]));
    }
    if (ratios[0].size() < kDraws / 2) return tl::unexpected(Problem{tr("The band could not be computed."), "band"});
    // Squared correlation of each cause with the logarithm of the mean wall.
    const auto explains = [&](const std::vector<double>& cause) {
        const double n = double(cause.size());
        double x = 0, y = 0, xx = 0, yy = 0, xy = 0;
        for (size_t k = 0; k < cause.size(); ++k) {
            const double a = cause[k], b = std::log(ratios[1][k]);
            x += a, y += b, xx += a * a, yy += b * b, xy += a * b;
        }
        const double both = (xx - x * x / n) * (yy - y * y / n);
        return both > 0 ? (xy - x * y / n) * (xy - x * y / n) / both : 0.0;
    };
    const Causes causes{explains(drawn[0]), explains(drawn[1]), explains(drawn[2]), explains(drawn[3])};
    const auto range = [](std::vector<double>& r) {
        std::sort(r.begin(), r.end());
        const auto at = [&](double p) {
            const double x = p * static_cast<double>(r.size()) - 0.5;
            const size_t i = static_cast<size_t>(std::clamp(x, 0.0, static_cast<double>(r.size() - 2)));
            return r[i] + (x - static_cast<double>(i)) * (r[i + 1] - r[i]);
        };
        return Ratio{std::min(1.0, at(0.05)), std::max(1.0, at(0.95))};
    };
    return Band{range(ratios[0]), range(ratios[1]), range(ratios[2]), range(ratios[3]), causes};
}

}  // namespace uovo::coat
