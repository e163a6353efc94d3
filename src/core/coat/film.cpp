#include "core/coat/film.h"

#include <algorithm>
#include <cmath>
#include <numeric>

#include "core/coat/flux.h"

namespace uovo::coat {
namespace {

constexpr double kConverged = 3e-8;   // m; the mass is exact whatever is left
constexpr double kLevel = 1e-6;       // m: no higher is as high
constexpr double kFull = 0.6;         // of what the fillet of a corner holds
constexpr double kFilletSlope = 0.4;  // of the wedge beside the foot: thickness lost per arc length

/// Tridiagonal solve in place; the answer is left in d.
void thomas(std::vector<double>& a, std::vector<double>& b, std::vector<double>& c, std::vector<double>& d) {
    const size_t n = b.size();
    b[0] = 1 / b[0];  // b keeps the pivots' inverses: one division a row
    for (size_t i = 1; i < n; ++i) {
        const double w = a[i] * b[i - 1];
        b[i] = 1 / (b[i] - w * c[i - 1]);
        d[i] -= w * d[i - 1];
    }
    d[n - 1] *= b[n - 1];
    for (size_t i = n - 1; i-- > 0;) d[i] = (d[i] - c[i] * d[i + 1]) * b[i];
}

}  // namespace

double dipThickness(double U, double G, double tau0, double eta, double most) {
    double low = 0, high = most;
    if (high * cassonRate(G * high, tau0, eta) <= U) return most;
    for (int i = 0; i < 50; ++i) {
        const double mid = 0.5 * (low + high);
        (mid * cassonRate(G * mid, tau0, eta) < U ? low : high) = mid;
    }
    return 0.5 * (low + high);
}

Film::Film(const form::Profile& profile, const material::Coating& coating, const heat::CrystalLaw& law,
           double lockFraction, const FormerHeat& former, const FilmOptions& options, double room)
    : FilmState(profile.area, profile.mean, profile.gauss, coating, law, lockFraction, former, options, room),
      p_(profile) {
    const size_t n = profile.size();
    for (auto* x : {&drip_, &lower_, &diag_, &upper_, &rhs_, &trial_, &in_, &arrived_}) x->assign(n, 0.0);
    flux_.assign(n + 1, 0.0);
    rim_.assign(n, 0);
    rim_.back() = 1;
    link_.push_back(0);
    for (size_t i = 0; i < n; ++i) {
        if (i > 0) to_.push_back(static_cast<int>(i) - 1);
        if (i + 1 < n) to_.push_back(static_cast<int>(i) + 1);
        link_.push_back(to_.size());
    }
}

void Film::orient(double up) {
    if (up == up_) return;
    up_ = up;
    const size_t n = p_.size();
    for (size_t i = 0; i < n; ++i) {
        height_[i] = up * p_.z[i];
        lean_[i] = up * p_.normalZ[i];
    }
    order_.resize(n);
    std::iota(order_.begin(), order_.end(), 0);
    std::sort(order_.begin(), order_.end(), [&](int a, int b) {
        const double x = height_[static_cast<size_t>(a)], y = height_[static_cast<size_t>(b)];
        return x != y ? x > y : a < b;
    });
    findHollows(rim_, link_, to_);
}

void Film::lendRheology() {
    for (size_t i = 0; i < v_.size(); ++i)
        if (v_[i] < kDry)
            for (const size_t j : {i ? i - 1 : i, i + 1 < v_.size() ? i + 1 : i})
                if (v_[j] >= kDry) {
                    eta_[i] = eta_[j];
                    tau_[i] = tau_[j];
                }
}

/// Hydrostatic head per thickness: where the film lies on top its own depth drives it too; dropped on overhangs.
double Film::head(size_t i, double up) const { return o_.levelling ? std::max(0.0, up * p_.normalZ[i]) : 0.0; }

Film::FaceFlow Film::faceFlow(size_t f, double up) const {
    const double rhoG = c_.densityMelt * kGravity;
    const size_t i = f - 1;
    FaceFlow out{0, i, 0, 0};
    if (f < foot_) return out;  // pressed between paper and shell
    if (f < v_.size() && stands(i) && stands(f)) return out;
    double gradient, sign = 1;
    if (f == v_.size()) {
        if (!o_.openRim) return out;
        gradient = rhoG * std::max(0.0, -up * p_.tangentZ[i]);
    } else {
        const double drop = up * (p_.z[i] - p_.z[f]) + trial_[i] * head(i, up) - trial_[f] * head(f, up);
        gradient = rhoG * std::abs(drop) / p_.step;
        if (drop < 0) {
            sign = -1;
            out.from = f;
        }
        if (stands(out.from)) return out;  // a pool runs nowhere
    }
    const double m = std::max(0.0, trial_[out.from] - b_[out.from]);
    const double wall = gradient * m;
    if (wall <= tau_[out.from] || wall <= 0) return out;
    // coat/flux.h's Casson flux and shear rate with their square roots shared: this is the innermost line.
    const double width = p_.faceWidth[f], rootWall = std::sqrt(wall), difference = rootWall - rootTau_[out.from];
    const double r = rootTau_[out.from] / rootWall, y = 1 - r, rate = difference * difference / eta_[out.from];
    const double q =
        width * gradient * m * m * m / (3 * eta_[out.from]) * y * y * y * (1 + r * (0.6 + r * (0.3 + 0.1 * r)));
    out.flux = sign * q;
    out.byThickness = sign * m * rate * width;
    // dq/dG = (h² gammadot - 2q)/G, and G follows the thickness through the hydrostatic head; sign² = 1
    out.byHead = (m * m * rate * width - 2 * q) / gradient * rhoG / p_.step;
    return out;
}

/// One step of Newton's method: what each cell's balance lacks, and how that changes with its own and its neighbours'
/// thickness.
void Film::assemble(double dt, double up, bool rimLowest) {
    const size_t n = v_.size();
    for (size_t i = 0; i < n; ++i) {
        const double h = trial_[i], m = std::max(0.0, h - b_[i]);
        rhs_[i] = -p_.area[i] * (volumeOf(i, h) - s_[i] - v_[i]);
        diag_[i] = p_.area[i] * slopeOf(i, h);
        lower_[i] = upper_[i] = 0;
        double cap = -1;
        // full under an overhang; it holds up to twice as much where the slope grows, so that no edge is drawn into
        // the wall
        if (const double lean = up * p_.normalZ[i]; i >= foot_ && lean < kOverhang + 0.1)
            cap = former_.dripCap * (p_.normalR.back() < 0 ? hangs(i) : 1.0) *
                  (1 + std::max(0.0, (lean - kOverhang + 0.05) / 0.15));
        if (i + 1 == n && rimLowest && !o_.openRim) cap = former_.rimBead;
        drip_[i] = 0;
        if (cap >= 0 && m > cap) {
            drip_[i] = p_.area[i] * (m - cap) / former_.dripTime;
            rhs_[i] -= dt * drip_[i];
            diag_[i] += dt * p_.area[i] / former_.dripTime;
        }
    }
    for (size_t f = 1; f <= n; ++f) {
        const FaceFlow face = faceFlow(f, up);
        flux_[f] = face.flux;
        if (face.flux == 0) continue;
        const size_t i = f - 1;
        if (f == foot_ && foot_ > 0) {  // runs onto the paper, into the pool
            rhs_[f] += dt * face.flux;
            diag_[f] -= dt * ((face.from == f ? face.byThickness : 0) - face.byHead * head(f, up));
            continue;
        }
        rhs_[i] -= dt * face.flux;
        if (f == n) {
            diag_[i] += dt * face.byThickness;
            continue;
        }
        rhs_[f] += dt * face.flux;
        const double byI = (face.from == i ? face.byThickness : 0) + face.byHead * head(i, up);
        const double byF = (face.from == f ? face.byThickness : 0) - face.byHead * head(f, up);
        diag_[i] += dt * byI;
        upper_[i] += dt * byF;
        diag_[f] -= dt * byF;
        lower_[f] -= dt * byI;
    }
}

/// A cell never gives more than it has.
void Film::limitOutflow(double dt) {
    const size_t n = v_.size();
    if (foot_ > 0) flux_[foot_] = std::min(0.0, flux_[foot_]);
    for (size_t i = 0; i < n; ++i) {
        const double out = std::max(0.0, flux_[i + 1]) + std::max(0.0, -flux_[i]) + drip_[i];
        const double have = v_[i] * p_.area[i] / dt + std::max(0.0, flux_[i]) + fromRim(i);
        if (out > have && out > 0) {
            const double share = have / out;
            if (flux_[i + 1] > 0) flux_[i + 1] *= share;
            if (flux_[i] < 0) flux_[i] *= share;
            drip_[i] *= share;
        }
    }
}

/// Heat and crystals travel with the flow: implicit, upstream values.
void Film::carryHeat(double dt) {
    const size_t n = v_.size();
    for (size_t i = 0; i < n; ++i) {
        const double fromLeft = std::max(0.0, flux_[i]) * dt, fromRight = fromRim(i) * dt;
        const double own = v_[i] * p_.area[i];
        lower_[i] = -fromLeft;
        upper_[i] = -fromRight;
        diag_[i] = own + fromLeft + fromRight;
        if (diag_[i] < 1e-18) diag_[i] = 1;
        rhs_[i] = (diag_[i] == 1 && own < 1e-18 ? 1 : own);
        in_[i] = rhs_[i] * X_[i];
        rhs_[i] *= T_[i];
    }
    if (o_.heat) {
        auto a = lower_, d = diag_, u = upper_;
        thomas(a, d, u, in_);
        thomas(lower_, diag_, upper_, rhs_);
        T_.swap(rhs_);
        X_.swap(in_);
    }
}

void Film::moveMass(double dt, bool onPaper, bool rimLowest) {
    const size_t n = v_.size();
    for (size_t i = 0; i < n; ++i) {
        v_[i] += dt / p_.area[i] * (flux_[i] - std::max(0.0, flux_[i + 1]) + fromRim(i) - drip_[i]);
        if (v_[i] < 0) {  // round-off of the sum above, 1e-19: hand it to the drip's account so that mass stays exact
            dripped_ += v_[i] * p_.area[i];
            v_[i] = 0;
        }
        const bool rimDrip = i + 1 == n && rimLowest;
        (onPaper && !rimDrip ? pool_ : dripped_) += drip_[i] * dt;
        h_[i] = thicknessOf(i, s_[i] + v_[i], trial_[i]);
    }
    if (foot_ > 0) pool_ -= flux_[foot_] * dt;
    if (o_.openRim) dripped_ += flux_[n] * dt;
}

bool Film::flow(double dt, const Surroundings& around) {
    const size_t n = v_.size();
    const double up = around.inverted ? -1 : 1;
    const bool rimLowest = around.inverted;
    orient(up);
    double scale = 0;
    for (size_t i = 0; i < n; ++i) scale = std::max(scale, v_[i]);
    if (scale < kDry) return true;

    trial_ = h_;
    bool converged = false;
    for (int iteration = 0; iteration < 25 && !converged; ++iteration) {
        assemble(dt, up, rimLowest);
        thomas(lower_, diag_, upper_, rhs_);
        double change = 0;
        for (size_t i = 0; i < n; ++i) {
            double next = trial_[i] + rhs_[i];
            const double limit = 0.5 * (trial_[i] - b_[i]) + 2e-4;  // damping: at most halve or gain 0.2 mm
            next = std::clamp(next, trial_[i] - limit, trial_[i] + 4 * limit);
            next = std::max(next, b_[i]);
            change = std::max(change, std::abs(next - trial_[i]));
            trial_[i] = next;
        }
        converged = change < kConverged;
    }
    if (!converged) return false;

    // Flux form: the fluxes and drips of the last iterate, which the converged thickness differs from by less than
    // kConverged, move the mass.
    limitOutflow(dt);
    carryHeat(dt);
    moveMass(dt, around.onPaper, rimLowest);
    if (gathers()) {
        for (size_t i = 0; i < n; ++i) {  // lowest places: what stands above the film beside them is a pool's
            const size_t left = i > 0 ? i - 1 : i, right = i + 1 < n ? i + 1 : i;
            const bool lowest = hollowOf(i) >= 0 && lean_[i] > 0 && height_[i] <= height_[left] + kLevel &&
                                height_[i] <= height_[right] + kLevel;
            arrived_[i] = lowest ? std::max(0.0, v_[i] - 0.5 * (v_[left] + v_[right])) : 0;
            // An upright wall at a pool, or at a corner that is full, holds no more than the film above it: its depth
            // is no head, nothing else would take what runs down there.
            const size_t foot = height_[left] < height_[right] ? left : right, above = foot == left ? right : left;
            if (lowest || hollowOf(i) < 0 || std::abs(lean_[i]) > kFillet || above == i || foot == i) continue;
            const bool full = std::isfinite(criticalOf(foot)) && h_[foot] > kFull * criticalOf(foot);
            if (full || (stands(foot) && levels()[foot] >= height_[i])) arrived_[i] = std::max(0.0, v_[i] - v_[above]);
        }
        levelPools(arrived_);
    }
    return true;
}

double Film::standOnPaper() {
    // The paper is a plane footFilm below the shell's lowest point as it was when the piece was set down. Chocolate
    // fills the gap between paper and shell out to the foot's edge; beyond it a fillet falls off at kFilletSlope. The
    // edge is as far out as the pool and the film inside it reach, and the gap never exceeds footMost.
    if (std::isnan(plane_)) plane_ = b_[0] + former_.footFilm;
    const size_t n = v_.size();
    const auto gapAt = [&](size_t i) { return std::max((plane_ + p_.z[i]) / std::max(0.25, -p_.normalZ[i]), b_[i]); };
    const auto filletAt = [&](size_t i, size_t edge) {
        return gapAt(edge) - kFilletSlope * (p_.arc[i] - p_.arc[edge]);
    };
    const auto cost = [&](size_t i, double thickness) { return p_.area[i] * (volumeOf(i, thickness) - s_[i] - v_[i]); };
    const auto costOf = [&](size_t edge) {
        double sum = 0;
        for (size_t i = 0; i <= edge; ++i) sum += cost(i, gapAt(i));
        for (size_t i = edge + 1; i < n && filletAt(i, edge) > h_[i]; ++i) sum += cost(i, filletAt(i, edge));
        return sum;
    };
    size_t edge = foot_ > 0 ? foot_ - 1 : 0;
    const auto touches = [&](size_t i) { return gapAt(i) <= h_[i]; };
    const auto filled = [&](size_t i) { return gapAt(i) - b_[i] <= former_.footMost && costOf(i) <= pool_; };
    while (edge + 1 < n && -p_.normalZ[edge + 1] > 0.25 && (touches(edge + 1) || filled(edge + 1))) ++edge;
    const auto fill = [&](size_t i, double thickness) {
        const double target = std::max(0.0, volumeOf(i, thickness) - s_[i]);
        pool_ -= p_.area[i] * (target - v_[i]);  // hanging film thicker than the gap goes to the pool
        v_[i] = target;
        h_[i] = thicknessOf(i, s_[i] + v_[i]);
        if (std::isnan(lock_[i])) return;
        s_[i] += v_[i];  // the foot of a locked cell hardens with it
        v_[i] = 0;
        b_[i] = h_[i];
    };
    const bool affordable = costOf(edge) <= pool_;
    for (size_t i = edge + 1; affordable && i < n && filletAt(i, edge) > h_[i]; ++i) fill(i, filletAt(i, edge));
    for (size_t i = 0; i <= edge; ++i) fill(i, gapAt(i));
    foot_ = edge + 1;
    return p_.faceR[foot_];
}

void Film::leavePaper() {
    dripped_ += pool_;  // what the gap cannot hold runs out on the paper as flash, is broken off and melted again
    pool_ = 0;
    foot_ = 0;
    plane_ = std::nan("");
}

}  // namespace uovo::coat
