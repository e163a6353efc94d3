#include "cli/verify_film.h"

#include <cmath>
#include <numbers>
#include <random>

#include "core/coat/coats.h"
#include "core/coat/flux.h"
#include "io/data.h"

namespace uovo::cli::film {
namespace {

/// A flat strip one metre wide from `top` downwards at `slope` (z falls by slope per length); n·up = `up`.
form::Profile strip(int cells, double length, double slope, double up) {
    form::Profile p;
    p.step = length / cells;
    for (int i = 0; i <= cells; ++i) {
        p.faceR.push_back(1);
        p.faceWidth.push_back(1);
        p.faceZ.push_back(-slope * p.step * i);
    }
    for (int i = 0; i < cells; ++i) {
        const double s = p.step * (i + 0.5);
        p.arc.push_back(s);
        p.r.push_back(1);
        p.z.push_back(-slope * s);
        p.tangentR.push_back(up);
        p.tangentZ.push_back(-slope);
        p.normalR.push_back(slope);
        p.normalZ.push_back(up);
        p.area.push_back(p.step);
        p.mean.push_back(0);
        p.gauss.push_back(0);
    }
    return p;
}

coat::FilmOptions cold(bool openRim) {
    coat::FilmOptions o;
    o.heat = false;
    o.openRim = openRim;
    o.growth = 0.0015;  // so that the error left is the scheme's in space
    o.firstStep = 0.001;
    o.mostStep = 100;
    return o;
}

/// Upper hemisphere drained from 3 mm for 60 s, as thickness a cell.
std::vector<double> hemisphere(int cells, bool curvature, double h0, double seconds, form::Profile& p) {
    p = form::sphereCap(0.06, 0.06, form::Side::Outside).profile(cells);
    const auto c = fluid(1270, 3, 0);
    auto o = cold(true);
    o.curvature = curvature;
    o.levelling = false;
    coat::Film film(p, c, {}, 0.3, {}, o, 40);
    film.deposit(std::vector<double>(p.size(), h0), 40, 0);
    coat::Surroundings around;
    around.inverted = true;
    film.run(seconds, around);
    return film.thickness();
}

}  // namespace

material::Coating fluid(double rho, double eta, double tau0) {
    material::Coating c;
    c.densityMelt = c.densitySolid = rho;
    c.viscosity40 = eta;
    c.yield40 = tau0;
    c.heatCapacity = 1600;
    c.conductivity = 0.25;
    return c;
}

double fluxError(bool casson, double G, double h, double tau0, double eta) {
    // q = (1/G²) ∫ s gammadot(s) ds from tau0 to G h, with s = w² so that Casson's root is smooth; Gauss–Legendre, 3
    // points on 2000 panels.
    const double a = std::sqrt(tau0), b = std::sqrt(G * h);
    const auto f = [&](double w) {
        const double s = w * w, rate = casson ? (w - a) * (w - a) / eta : (s - tau0) / eta;
        return s * rate * 2 * w;
    };
    double sum = 0;
    const int panels = 2000;
    const double half = (b - a) / panels / 2;
    for (int i = 0; i < panels; ++i) {
        const double m = a + (2 * i + 1) * half, d = half * std::sqrt(0.6);
        sum += half * (5 * f(m - d) + 8 * f(m) + 5 * f(m + d)) / 9;
    }
    const double reference = sum / (G * G);
    const double ours = casson ? coat::cassonFlux(G, h, tau0, eta) : coat::binghamFlux(G, h, tau0, eta);
    return std::abs(ours - reference) / reference;
}

double jeffreysError(int cells) {
    const double L = 0.1, eta = 3, rho = 1270, t = 60;
    const auto p = strip(cells, L, 1, 0);
    const auto c = fluid(rho, eta, 0);
    coat::Film film(p, c, {}, 0.3, {}, cold(true), 40);
    film.deposit(std::vector<double>(p.size(), 0.003), 40, 0);
    film.run(t, {});
    double error = 0, total = 0;
    const auto h = film.thickness();
    for (size_t i = 0; i < h.size(); ++i) {
        // cell average of √(eta z/rho g t)
        const double a = p.arc[i] - p.step / 2, b = p.arc[i] + p.step / 2;
        const double exact =
            std::sqrt(eta / (rho * kGravity * t)) * (std::pow(b, 1.5) - std::pow(a, 1.5)) / 1.5 / p.step;
        error += std::abs(h[i] - exact);
        total += exact;
    }
    return error / total;
}

double cassonPlateMiddle() {
    const auto p = strip(400, 0.1, 1, 0);
    const auto c = fluid(1270, 3, 8);
    coat::Film film(p, c, {}, 0.3, {}, cold(true), 40);
    film.deposit(std::vector<double>(p.size(), 0.005), 40, 0);
    film.run(1e4, {});
    const auto h = film.thickness();
    return 0.5 * (h[199] + h[200]);
}

double hemispherePole(bool curvature) {
    form::Profile p;
    return hemisphere(400, curvature, 0.003, 60, p)[0];
}

double hemisphereProfileError() {
    form::Profile p;
    const double R = 0.06, mu = 3, rho = 1270, t = 3000;
    const auto h = hemisphere(400, false, 0.006, t, p);
    double integral = 0, last = 0, error = 0, total = 0;
    for (size_t i = 0; i < h.size(); ++i) {
        const double theta = p.arc[i] / R;
        const int parts = 200;
        for (int k = 0; k < parts; ++k)
            integral += std::cbrt(std::sin(last + (theta - last) * (k + 0.5) / parts)) * (theta - last) / parts;
        last = theta;
        const double exact = std::sqrt(mu * R / (rho * kGravity * t) * std::pow(std::sin(theta), -4.0 / 3) * integral);
        if (theta > 80 * std::numbers::pi / 180) break;
        error += std::abs(h[i] - exact) * p.area[i];
        total += exact * p.area[i];
    }
    return error / total;
}

double puddleError() {
    const double L = 0.12, tau0 = 8, rho = 1270;
    const auto p = strip(400, L, 0, 1);
    const auto c = fluid(rho, 0.05, tau0);
    auto o = cold(false);
    o.mostStep = 500;
    coat::Film film(p, c, {}, 0.3, {}, o, 40);
    std::vector<double> start(p.size(), 0.0);
    for (size_t i = 0; i < p.size(); ++i)
        if (p.arc[i] < 0.03) start[i] = 0.012;
    film.deposit(start, 40, 0);
    film.run(2e5, {});
    const double k = std::sqrt(2 * tau0 / (rho * kGravity));
    const double X = std::pow(1.5 * film.volume() / k, 2.0 / 3);
    const auto h = film.thickness();
    double error = 0, total = 0;
    for (size_t i = 0; i < h.size(); ++i) {
        const double exact = p.arc[i] < X ? k * std::sqrt(X - p.arc[i]) : 0;
        error += std::abs(h[i] - exact);
        total += exact;
    }
    return error / total;
}

namespace {

/// A schedule drawn from a seed: coats, orientations, temperatures, places.
coat::CoatJob randomJob(unsigned seed) {
    std::mt19937 random(seed);
    const auto draw = [&](double a, double b) { return a + (b - a) * double(random() % 10000) / 10000.0; };
    form::Balloon b;
    b.girth = draw(0.2, 0.6);
    b.length = b.girth.value / std::numbers::pi * draw(0.9, 1.5);
    b.dip = b.length.value * draw(0.2, 0.8);
    const auto& lib = io::library();
    const auto& chocolate = lib.chocolates[random() % lib.chocolates.size()];
    coat::CoatJob job;
    job.profile = form::meridian(b)->profile(60);
    job.coating =
        *material::coating(chocolate, random() % 2 ? material::Temper::Tempered : material::Temper::Untempered,
                           material::Thinner::None, 0, {}, lib.physics);
    job.law = heat::CrystalLaw(job.coating, lib.physics);
    const size_t coats = 1 + random() % 4;
    for (size_t i = 0; i < coats; ++i) {
        coat::CoatStep s;
        s.temperature = draw(28, 42);
        s.drain = draw(0, 200);
        s.delay = draw(0, 400);
        s.stay = draw(0, 2000);
        s.rest = static_cast<coat::Rest>(random() % 3);
        s.place = static_cast<coat::Place>(random() % 3);
        s.way = random() % 4 ? coat::Way::Dip : coat::Way::Brush;
        s.brushMass = draw(0.002, 0.08);
        s.where = static_cast<coat::Where>(random() % 3);
        job.steps.push_back(s);
    }
    return job;
}

}  // namespace

double massError(int seed) {
    const auto r = coat::coat(randomJob(static_cast<unsigned>(seed)));
    return r ? r->error : 1;
}

double leastFilm(int seeds) {
    double least = 0;
    for (int seed = 0; seed < seeds; ++seed) {
        const auto job = randomJob(static_cast<unsigned>(seed));
        std::mt19937 random(static_cast<unsigned>(seed));
        coat::Film film(job.profile, job.coating, job.law, 0.3, {}, {}, 21);
        for (int k = 0; k < 6; ++k) {
            std::vector<double> add(job.profile.size());
            for (double& x : add) x = random() % 3 ? 0.004 * double(random() % 1000) / 1000.0 : 0;
            film.deposit(add, 33, 0.05);
            coat::Surroundings around;
            around.inverted = random() % 2;
            film.run(1 + double(random() % 60), around);
            least = std::min(least, film.leastMobile());
        }
    }
    return least;
}

double ballThickness(double share) {
    // The film solver's own relation between volume and thickness inside a ball, asked for the thickness whose volume
    // is the share.
    const double R = 0.06;
    const auto p = form::ellipsoid(R, R, form::Side::Inside).profile(200);
    const auto c = fluid(1270, 3, 5);
    const double whole = 4.0 / 3 * std::numbers::pi * R * R * R;
    double low = 0, high = R * 0.9;
    for (int i = 0; i < 60; ++i) {
        const double mid = 0.5 * (low + high);
        coat::FilmOptions o = cold(false);
        coat::Film film(p, c, {}, 0.3, {}, o, 40);
        film.deposit(std::vector<double>(p.size(), mid), 40, 0);
        (film.volume() < share * whole ? low : high) = mid;
    }
    return 0.5 * (low + high) / R;
}

}  // namespace uovo::cli::film
