#include "core/coat/film_state.h"

#include <algorithm>
#include <cmath>
#include <limits>

#include "core/coat/flux.h"

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

FilmState::FilmState(std::vector<double> area, const std::vector<double>& mean, const std::vector<double>& gauss,
                     const material::Coating& coating, const heat::CrystalLaw& law, double lockFraction,
                     const FormerHeat& former, const FilmOptions& options, double room)
    : c_(coating), law_(law), former_(former), o_(options), lockFraction_(lockFraction), area_(std::move(area)) {
    const size_t n = area_.size();
    for (auto* x : {&v_, &s_, &b_, &h_, &X_, &eta_, &tau_, &rootTau_, &height_, &lean_, &deeper_, &poolSet_})
        x->assign(n, 0.0);
    T_.assign(n, options.heat ? room : 40);
    Tw_ = T_;
    Xs_.assign(n, 1.0);
    Xn_.assign(n, std::nan(""));
    use(coating, law);
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
// `critical_`) more volume is laid on as on a flat wall: mass stays exact, and a corner is never thicker than what is
// in it.
double FilmState::volumeOf(size_t i, double h) const {
    const auto exact = [&](double x) { return x * (1 + x * (H_[i] + K_[i] * x / 3)); };
    return h <= critical_[i] ? exact(h) : exact(critical_[i]) + (h - critical_[i]);
}

double FilmState::slopeOf(size_t i, double h) const {
    return h <= critical_[i] ? 1 + h * (2 * H_[i] + K_[i] * h) : 1.0;
}

double FilmState::thicknessOf(size_t i, double volume, double guess) const {
    if (volume <= 0) return 0;
    const double most = critical_[i];
    if (std::isfinite(most)) {
        const double there = volumeOf(i, most);
        if (volume >= there) return most + volume - there;
    }
    double h = guess > 0 ? std::min(guess, most) : volume;
    for (int k = 0; k < 30; ++k) {
        const double step = (volumeOf(i, h) - volume) / slopeOf(i, h);
        h = std::clamp(h - step, 0.0, most);
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
    payHeat(true);
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
    const double rhoC = c_.densityMelt * c_.heatCapacity, rhoL = c_.densityMelt * c_.latentHeat,
                 k2 = 2 * c_.conductivity;
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
            Xn_[i] = std::nan("");
            continue;
        }
        const bool deep = v_[i] > 2 * kWallLayer, was = !std::isnan(Xn_[i]);
        if (deep && !was) {  // a pool has come over a film: the film stays at the wall
            Xn_[i] = std::max(X_[i], filmX_[i]);
            X_[i] = std::max(law_.floor, (X_[i] * v_[i] - Xn_[i] * kWallLayer) / (v_[i] - kWallLayer));
        } else if (!deep && was) {  // a pool has run off: what is left was at the wall
            const double layer = std::min(1.0, kWallLayer / v_[i]);
            X_[i] = layer * Xn_[i] + (1 - layer) * X_[i];
            Xn_[i] = std::nan("");
        }
        const double next = law_.advance(X_[i], T_[i], dt);
        double bulk = v_[i];  // m of it that crystallise as one
        if (deep) {
            const double near = Tw_[i] + (T_[i] - Tw_[i]) * kWallLayer / v_[i], before = std::max(Xn_[i], X_[i]);
            Xn_[i] = std::max(next, law_.advance(before, near, dt));
            shellLatent += rhoL * kWallLayer * (Xn_[i] - before);
            bulk -= kWallLayer;
        }
        const double film = rhoC * v_[i], open = 1 / (1 / around.openSide + v_[i] / k2),
                     g = 1 / ((v_[i] + s_[i]) / k2 + 1e-4);
        const double a11 = film + dt * (open + g), a12 = -dt * g, a22 = shell + dt * (back + g);
        const double r1 = film * T_[i] + rhoL * bulk * (next - X_[i]) + dt * open * around.air;
        const double r2 = shell * Tw_[i] + shellLatent + dt * back * around.air;
        const double det = a11 * a22 - a12 * a12;
        T_[i] = (r1 * a22 - a12 * r2) / det;
        Tw_[i] = (a11 * r2 - a12 * r1) / det;
        X_[i] = next;
        if (bulk < v_[i] && Xn_[i] >= lockFraction_ && X_[i] < lockFraction_) {  // sets from its wall inwards
            const double layer = rhoC * kWallLayer;
            Xs_[i] = (Xs_[i] * s_[i] + Xn_[i] * kWallLayer) / (s_[i] + kWallLayer);
            Tw_[i] = (shell * Tw_[i] + layer * T_[i]) / (shell + layer);
            s_[i] += kWallLayer;
            v_[i] -= kWallLayer;
            if (stands(i)) poolSet_[i] += kWallLayer;
            b_[i] = thicknessOf(i, s_[i]);
            Xn_[i] = X_[i];
        }
        if (X_[i] >= lockFraction_) {
            Xs_[i] = (Xs_[i] * s_[i] + X_[i] * v_[i]) / (s_[i] + v_[i]);
            Tw_[i] = (shell * Tw_[i] + film * T_[i]) / (shell + film);
            s_[i] += v_[i];
            if (stands(i)) poolSet_[i] += v_[i];
            v_[i] = 0;
            Xn_[i] = std::nan("");
            b_[i] = h_[i];
            lock_[i] = time_ + dt - coatStart_;
            if (stands(i)) deeper_[i] = depthOf(i) - b_[i];
        }
    }
}

void FilmState::payHeat(bool wet) {
    const int parts = std::max(1, static_cast<int>(std::ceil(owed_ / (wet ? o_.heatStep : 10.0) - 1e-9)));
    for (int k = 0; owed_ > 0 && k < parts; ++k) {
        exchangeHeat(owed_ / parts, last_);
        time_ += owed_ / parts;
    }
    owed_ = 0;
}

bool FilmState::run(double seconds, const Surroundings& around, std::stop_token stop) {
    double left = seconds;
    if (turned(last_, around)) sinceEvent_ = 0;
    if (around.air != last_.air || around.openSide != last_.openSide || around.formerSide != last_.formerSide)
        payHeat(true);
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
            filmX_ = X_;
            for (size_t i = 0; i < v_.size(); ++i) rootTau_[i] = std::sqrt(tau_[i]);
            while (!flow(dt, around)) {
                dt *= 0.4;
                if (dt < 1e-7) return false;
            }
        }
        left -= dt;
        if (o_.heat) {  // heat moves slower than a film: what is owed for short steps is paid together
            owed_ += dt;
            if (owed_ >= kHeatLeast || (left <= 1e-9 && seconds > kHeatLeast)) payHeat(wet);
        } else {
            time_ += dt;
        }
        sinceEvent_ += dt;
    }
    return true;
}

void FilmState::closeCoat() {
    payHeat(true);
    for (size_t i = 0; i < v_.size(); ++i) {
        const bool fluid = v_[i] > 0;
        if (fluid) {
            const double film = c_.densityMelt * c_.heatCapacity * v_[i];
            const double shell = former_.capacity + c_.densityMelt * c_.heatCapacity * s_[i];
            Tw_[i] = (shell * Tw_[i] + film * T_[i]) / (shell + film);
            Xs_[i] = (Xs_[i] * s_[i] + X_[i] * v_[i]) / (s_[i] + v_[i]);
            s_[i] += v_[i];
            if (stands(i)) poolSet_[i] += v_[i];
            v_[i] = 0;
        }
        h_[i] = b_[i] = thicknessOf(i, s_[i]);
        if (fluid && stands(i)) deeper_[i] = depthOf(i) - b_[i];
    }
    level_.clear();
    poolSet_.assign(v_.size(), 0.0);
    before_ = s_;
    coatStart_ = time_;
}

/// What liquid of a hollow makes of the wall under it: its depth, plumb; on steep walls what lies against them.
double FilmState::depthOf(size_t i) const {
    const double pool = poolSet_[i] + v_[i];
    return thicknessOf(i, std::max(0.0, s_[i] + v_[i] - pool)) + pool / std::max(lean_[i], kFloor);
}

std::vector<double> FilmState::thickness() const {
    std::vector<double> out(v_.size());
    for (size_t i = 0; i < out.size(); ++i) {
        out[i] = thicknessOf(i, s_[i] + v_[i]) + deeper_[i];
        if (stands(i) && v_[i] > 0) out[i] = depthOf(i);
    }
    return out;
}

std::vector<double> FilmState::perArea() const {
    std::vector<double> out(v_.size());
    for (size_t i = 0; i < out.size(); ++i) out[i] = s_[i] + v_[i];
    return out;
}

void FilmState::findHollows(const std::vector<char>& open, const std::vector<size_t>& link,
                            const std::vector<int>& to) {
    // A pool that set keeps its depth; one that is still liquid begins to run.
    level_.clear();
    poolSet_.assign(v_.size(), 0.0);
    link_ = &link;
    to_ = &to;
    hollows_.build({&height_, &lean_, &area_, &open, &link, &to}, order_);
}

void FilmState::levelPools(const std::vector<double>& arrived) {
    if (!hollows_.any()) return;
    const size_t n = v_.size();
    Pools p{std::vector<double>(hollows_.size(), 0.0), std::vector<double>(n), std::vector<double>(n, 0.0), {}, 0};
    for (size_t i = 0; i < n; ++i) {
        const int k = hollows_.at(i);
        if (k >= 0) p.free[i] = stands(i) ? v_[i] : std::min(v_[i], arrived[i]);
        if (k >= 0 && lean_[i] > kFillet &&
            std::isfinite(critical_[i]))  // more than the fillet of a corner holds lies level
            p.free[i] = std::max(p.free[i], std::min(v_[i], s_[i] + v_[i] - volumeOf(i, critical_[i])));
        p.taken[i] = s_[i] + v_[i] - p.free[i];
        if (p.free[i] <= 0) continue;
        p.volume[static_cast<size_t>(k)] += p.free[i] * area_[i];
        p.all += p.free[i] * area_[i];
    }
    if (p.all <= 1e-15) return;
    double gone = hollows_.fill(p.volume, p.taken, p.level);
    if (slump(p)) gone = hollows_.fill(p.volume, p.taken, p.level);
    settle(p, gone);
    dripped_ += gone;
    level_ = std::move(p.level);
}

bool FilmState::slump(Pools& p) {
    const size_t n = v_.size();
    // A film beside the pool may stand above it by what its yield stress holds, no more: ρ g h dS/ds ≤ τ₀.
    if (spread_.empty()) {
        spread_.assign(n, 0.0);
        for (size_t i = 0; i < n; ++i) spread_[i] = std::sqrt(area_[i]);
    }
    const double rhoG = c_.densityMelt * kGravity;
    double slumped = 0;
    bool fell = false;  // a pool's surface has sunk from a place: as much film stays there as its yield stress holds
    for (size_t i = 0; i < n; ++i) {
        if (!stands(i) || !std::isnan(p.level[i]) || p.free[i] <= 0) continue;
        const double stays = std::min(
            p.free[i], std::min(kWallLayer * hangs(i),
                                tau_[i] / (rhoG * std::max(0.1, std::sqrt(std::max(0.0, 1 - lean_[i] * lean_[i]))))));
        p.free[i] -= stays;
        p.taken[i] += stays;
        p.volume[static_cast<size_t>(hollows_.at(i))] -= stays * area_[i];
        p.all -= stays * area_[i];
        fell = true;
    }
    for (double& v : p.volume) v = std::max(0.0, v);
    std::vector<size_t> front, next;
    std::vector<double> surface(n, std::nan(""));
    for (size_t i = 0; i < n; ++i)
        if (!std::isnan(p.level[i])) {
            surface[i] = p.level[i];
            front.push_back(i);
        }
    while (!front.empty()) {
        next.clear();
        for (const size_t j : front)
            for (size_t l = (*link_)[j]; l < (*link_)[j + 1]; ++l) {
                const auto i = static_cast<size_t>((*to_)[l]);
                if (!std::isnan(surface[i]) || lean_[i] < kFloor || hollows_.at(i) < 0 || v_[i] <= kDry) continue;
                const double depth = (s_[i] + v_[i] - p.free[i]) / lean_[i], above = height_[i] + depth - surface[j];
                if (above <= 0) continue;
                const double fluid = v_[i] - p.free[i], sine = std::sqrt(std::max(1e-4, 1 - lean_[i] * lean_[i]));
                const double below = std::isnan(p.level[j]) ? v_[j] - p.free[j] : 0;  // a pool's shore has no film
                const double most =
                    filmAbove(below, tau_[i] / (rhoG * sine), sine / lean_[i], 0.5 * (spread_[i] + spread_[j]));
                if (!(fluid > most)) continue;
                const double off = fluid - most;
                p.free[i] += off;
                p.taken[i] -= off;
                p.volume[static_cast<size_t>(hollows_.at(i))] += off * area_[i];
                slumped += off * area_[i];
                surface[i] = height_[i] + (s_[i] + most) / lean_[i];
                next.push_back(i);
            }
        front.swap(next);
    }
    p.all += slumped;
    return slumped > 0 || fell;
}

void FilmState::settle(const Pools& p, double& gone) {
    const size_t n = v_.size();
    // What each cell holds below its level; a ceiling over it makes it hold less than its column.
    std::vector<double> want(n, 0.0);
    double wanted = 0;
    for (size_t i = 0; i < n; ++i) {
        if (std::isnan(p.level[i])) continue;
        want[i] = std::max(0.0, lean_[i] * (p.level[i] - height_[i]) - p.taken[i]);
        wanted += want[i] * area_[i];
    }
    const double share = wanted > 0 ? (p.all - gone) / wanted : 0;
    if (wanted <= 0) gone = p.all;
    // Only what has to move moves, so that a pool at rest sets from where it is shallow: its mixture is what others
    // give.
    double moved = 0, heat = 0, crystals = 0;
    for (size_t i = 0; i < n; ++i) {
        want[i] *= share;
        if (const double gives = p.free[i] - want[i]; gives > 0) {
            moved += gives * area_[i];
            heat += gives * area_[i] * T_[i];
            crystals += gives * area_[i] * X_[i];
        }
    }
    for (size_t i = 0; i < n; ++i) {
        const double more = want[i] - p.free[i];
        if (more > 0 && moved > 0 && v_[i] + more > 0) {
            const double sum = v_[i] + more;
            T_[i] = (v_[i] * T_[i] + more * heat / moved) / sum;
            X_[i] = (v_[i] * X_[i] + more * crystals / moved) / sum;
        }
        if (more == 0) continue;
        v_[i] = std::max(0.0, v_[i] + more);
        h_[i] = thicknessOf(i, s_[i] + v_[i], h_[i]);
        if (v_[i] > 0) lock_[i] = std::nan("");
    }
}

void FilmState::pourInHollow(double volume, double celsius, double crystals) {
    size_t lowest = v_.size();
    for (size_t k = order_.size(); k-- > 0 && lowest == v_.size();)
        if (const auto i = static_cast<size_t>(order_[k]); hollows_.at(i) >= 0 && lean_[i] > 0) lowest = i;
    if (lowest == v_.size()) {
        dripped_ += volume;
        return;
    }
    std::vector<double> arrived(v_.size(), 0.0);
    arrived[lowest] = volume / area_[lowest];
    const double sum = v_[lowest] + arrived[lowest];
    T_[lowest] = (v_[lowest] * T_[lowest] + arrived[lowest] * celsius) / sum;
    X_[lowest] = (v_[lowest] * X_[lowest] + arrived[lowest] * crystals) / sum;
    v_[lowest] = sum;
    levelPools(arrived);
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
