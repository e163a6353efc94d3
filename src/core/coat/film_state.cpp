#include "core/coat/film_state.h"

#include <algorithm>
#include <cmath>
#include <limits>

namespace uovo::coat {
namespace {

/// Thickness at which dv/dh = 1 + 2 H h + K h² first falls to `least`; infinite where it never does.
double criticalThickness(double H, double K, double least) {
    const double never = std::numeric_limits<double>::infinity();
    if (std::abs(K) < 1e-12) return H < 0 ? (least - 1) / (2 * H) : never;
    const double root = H * H - K * (1 - least);
    if (root < 0) return never;
    const double h = (-H - std::sqrt(root)) / K;
    return h > 0 ? h : never;
}

}  // namespace

FilmState::FilmState(std::vector<double> area, const std::vector<double>& mean, const std::vector<double>& gauss, const material::Coating& coating,
                     const heat::CrystalLaw& law, double lockFraction, const FormerHeat& former, const FilmOptions& options, double room)
    : c_(coating), law_(law), former_(former), o_(options), lockFraction_(lockFraction), area_(std::move(area)) {
    const size_t n = area_.size();
    for (auto* x : {&v_, &s_, &b_, &h_, &X_, &eta_, &tau_, &rootTau_}) x->assign(n, 0.0);
    T_.assign(n, options.heat ? room : 40);
    Tw_ = T_;
    Xs_.assign(n, 1.0);
    lock_.assign(n, std::nan(""));
    H_.assign(n, 0.0);
    K_.assign(n, 0.0);
    if (options.curvature) {
        H_ = mean;
        K_ = gauss;
    }
    for (size_t i = 0; i < n; ++i) critical_.push_back(criticalThickness(H_[i], K_[i], kLeastSlope));
}

// In a concave corner v(h) turns back once the film is as thick as the fillet. Where dv/dh would fall below 0.3 (at
// `critical_`) the volume is continued in a straight line: mass stays exact, thickness there is a convention (pooling).
double FilmState::volumeOf(size_t i, double h) const {
    const auto exact = [&](double x) { return x * (1 + x * (H_[i] + K_[i] * x / 3)); };
    return h <= critical_[i] ? exact(h) : exact(critical_[i]) + kLeastSlope * (h - critical_[i]);
}

double FilmState::slopeOf(size_t i, double h) const {
    return h <= critical_[i] ? 1 + h * (2 * H_[i] + K_[i] * h) : kLeastSlope;
}

double FilmState::thicknessOf(size_t i, double volume, double guess) const {
    if (volume <= 0) return 0;
    double h = guess > 0 ? guess : volume;
    for (int k = 0; k < 30; ++k) {
        const double step = (volumeOf(i, h) - volume) / slopeOf(i, h);
        h = std::max(0.0, h - step);
        if (std::abs(step) < 1e-13) break;
    }
    return h;
}

void FilmState::deposit(const std::vector<double>& add, double celsius, double crystals) {
    std::vector<double> volume(add.size(), 0.0);
    for (size_t i = 0; i < v_.size(); ++i)
        if (add[i] > 0) volume[i] = volumeOf(i, h_[i] + add[i]) - s_[i] - v_[i];
    depositVolume(volume, celsius, crystals);
}

void FilmState::depositVolume(const std::vector<double>& perArea, double celsius, double crystals) {
    for (size_t i = 0; i < v_.size(); ++i) {
        if (perArea[i] <= 0) continue;
        const double total = v_[i] + perArea[i];
        T_[i] = (v_[i] * T_[i] + perArea[i] * celsius) / total;
        X_[i] = (v_[i] * X_[i] + perArea[i] * crystals) / total;
        v_[i] = total;
        h_[i] = thicknessOf(i, s_[i] + v_[i]);
        lock_[i] = std::nan("");
    }
    coatStart_ = time_;
    sinceEvent_ = 0;
}

void FilmState::exchangeHeat(double dt, const Surroundings& around) {
    const double rhoC = c_.densityMelt * c_.heatCapacity, rhoL = c_.densityMelt * c_.latentHeat, k2 = 2 * c_.conductivity;
    for (size_t i = 0; i < v_.size(); ++i) {
        const double shell = former_.capacity + rhoC * s_[i];
        const double back = around.formerSide > 0 ? 1 / (1 / around.formerSide + s_[i] / k2) : 0;
        double shellLatent = 0;
        if (s_[i] > 0 && Xs_[i] < 0.995) {
            const double next = law_.advance(Xs_[i], Tw_[i], dt);
            shellLatent = rhoL * s_[i] * (next - Xs_[i]);
            Xs_[i] = next;
        }
        if (v_[i] < 1e-7) {
            const double open = 1 / (1 / around.openSide + s_[i] / k2);
            Tw_[i] = (shell * Tw_[i] + shellLatent + dt * (open + back) * around.air) / (shell + dt * (open + back));
            T_[i] = Tw_[i];
            continue;
        }
        const double next = law_.advance(X_[i], T_[i], dt);
        const double film = rhoC * v_[i], open = 1 / (1 / around.openSide + v_[i] / k2), g = 1 / ((v_[i] + s_[i]) / k2 + 1e-4);
        const double a11 = film + dt * (open + g), a12 = -dt * g, a22 = shell + dt * (back + g);
        const double r1 = film * T_[i] + rhoL * v_[i] * (next - X_[i]) + dt * open * around.air;
        const double r2 = shell * Tw_[i] + shellLatent + dt * back * around.air;
        const double det = a11 * a22 - a12 * a12;
        T_[i] = (r1 * a22 - a12 * r2) / det;
        Tw_[i] = (a11 * r2 - a12 * r1) / det;
        X_[i] = next;
        if (X_[i] >= lockFraction_) {
            Xs_[i] = (Xs_[i] * s_[i] + X_[i] * v_[i]) / (s_[i] + v_[i]);
            Tw_[i] = (shell * Tw_[i] + film * T_[i]) / (shell + film);
            s_[i] += v_[i];
            v_[i] = 0;
            b_[i] = h_[i];
            lock_[i] = time_ + dt - coatStart_;
        }
    }
}

bool FilmState::run(double seconds, const Surroundings& around, std::stop_token stop) {
    double left = seconds;
    if (turned(last_, around)) sinceEvent_ = 0;
    last_ = around;
    while (left > 1e-9) {
        if (stop.stop_requested()) return false;
        const bool wet = mobileVolume() > 1e-12;
        double dt = std::min({left, wet ? std::clamp(o_.growth * sinceEvent_, o_.firstStep, o_.mostStep) : 10.0});
        if (left - dt < 1e-6) dt = left;
        if (wet) {
            for (size_t i = 0; i < v_.size(); ++i) {
                if (v_[i] < kDry) {
                    eta_[i] = 1;
                    tau_[i] = 1e9;
                    continue;
                }
                const double T = o_.heat ? T_[i] : 40, X = o_.heat ? X_[i] : 0;
                eta_[i] = material::viscosity(c_, T, X);
                tau_[i] = material::yieldStress(c_, T, X) * (around.tapping ? 0.5 : 1);
            }
            lendRheology();
            for (size_t i = 0; i < v_.size(); ++i) rootTau_[i] = std::sqrt(tau_[i]);
            while (!flow(dt, around)) {
                dt *= 0.4;
                if (dt < 1e-7) return false;
            }
        }
        if (o_.heat) {
            const int parts = std::max(1, static_cast<int>(std::ceil(dt / (wet ? o_.heatStep : 10.0))));
            for (int k = 0; k < parts; ++k) {
                exchangeHeat(dt / parts, around);
                time_ += dt / parts;
            }
        } else {
            time_ += dt;
        }
        left -= dt;
        sinceEvent_ += dt;
    }
    return true;
}

void FilmState::closeCoat() {
    for (size_t i = 0; i < v_.size(); ++i) {
        if (v_[i] > 0) {
            const double film = c_.densityMelt * c_.heatCapacity * v_[i];
            const double shell = former_.capacity + c_.densityMelt * c_.heatCapacity * s_[i];
            Tw_[i] = (shell * Tw_[i] + film * T_[i]) / (shell + film);
            Xs_[i] = (Xs_[i] * s_[i] + X_[i] * v_[i]) / (s_[i] + v_[i]);
            s_[i] += v_[i];
            v_[i] = 0;
        }
        h_[i] = b_[i] = thicknessOf(i, s_[i]);
    }
    coatStart_ = time_;
}

std::vector<double> FilmState::thickness() const {
    std::vector<double> out(v_.size());
    for (size_t i = 0; i < out.size(); ++i) out[i] = thicknessOf(i, s_[i] + v_[i]);
    return out;
}

double FilmState::volume() const {
    double sum = pool_;
    for (size_t i = 0; i < v_.size(); ++i) sum += area_[i] * (v_[i] + s_[i]);
    return sum;
}

double FilmState::mobileVolume() const {
    double sum = 0;
    for (size_t i = 0; i < v_.size(); ++i) sum += area_[i] * v_[i];
    return sum;
}

double FilmState::shellTemperature() const {
    double sum = 0, area = 0;
    for (size_t i = 0; i < v_.size(); ++i) {
        sum += Tw_[i] * area_[i];
        area += area_[i];
    }
    return sum / area;
}

double FilmState::leastMobile() const { return *std::min_element(v_.begin(), v_.end()); }

}  // namespace uovo::coat
