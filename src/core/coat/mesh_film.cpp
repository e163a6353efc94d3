#include "core/coat/mesh_film.h"

#include <algorithm>
#include <numbers>
#include <numeric>

namespace uovo::coat {

using form::Vec3;

namespace {
constexpr double kClose = 3e-8;      // m; the mass is exact whatever is left
constexpr double kTogether = 1e-4;   // m of gap
constexpr double kLooksDown = 0.25;  // cosine from the plumb line: flatter shells come to lie on paper
}  // namespace

MeshFilm::MeshFilm(const Surface& surface, const material::Coating& coating, const heat::CrystalLaw& law,
                   double lockFraction, const FormerHeat& former, const FilmOptions& options, double room)
    : FilmState(surface.area, surface.mean, surface.gauss, coating, law, lockFraction, former, options, room),
      p_(surface) {
    const size_t n = surface.size();
    for (auto* x : {&slope_, &drain_, &cap_, &inflow_, &inHeat_, &inCrystals_, &arrived_}) x->assign(n, 0.0);
    end_.assign(n, End::None);
    Vec3 middle;
    double facing = 0;
    for (const auto& at : surface.at) middle += at * (1.0 / static_cast<double>(n));
    for (size_t i = 0; i < n; ++i) {
        rim_.push_back(form::length(surface.edge[i]) > 0);
        facing += surface.area[i] * form::dot(surface.normal[i], surface.at[i] - middle);
    }
    inside_ = facing < 0;
}

void MeshFilm::orient(const Vec3& up) {
    if (up == up_) return;
    up_ = up;
    const size_t n = p_.size();
    for (size_t i = 0; i < n; ++i) {
        height_[i] = form::dot(p_.at[i], up);
        lean_[i] = form::dot(p_.normal[i], up);
    }
    order_.resize(n);
    std::iota(order_.begin(), order_.end(), 0);
    std::sort(order_.begin(), order_.end(), [&](int a, int b) {
        const double x = height_[static_cast<size_t>(a)], y = height_[static_cast<size_t>(b)];
        return x != y ? x > y : a < b;
    });
    std::vector<int> rank(n);
    for (size_t k = 0; k < n; ++k) rank[static_cast<size_t>(order_[k])] = static_cast<int>(k);
    first_.assign(n + 1, 0);
    below_.clear();
    share_.clear();
    lowest_.clear();
    findHollows(rim_, p_.link, p_.to);
    for (size_t i = 0; i < n; ++i) {
        double sum = 0, slope = 0;
        const size_t begin = below_.size();
        for (size_t l = p_.link[i]; l < p_.link[i + 1]; ++l) {
            const auto j = static_cast<size_t>(p_.to[l]);
            const double drop = height_[i] - height_[j];
            if (rank[j] <= rank[i] || drop <= 0 || p_.width[l] <= 0) continue;
            below_.push_back(p_.to[l]);
            share_.push_back(p_.width[l] * drop);
            sum += share_.back();
            // how steep the wall is half way: the cells' own slope would hold the film back on a crown
            const double between = form::dot(form::unit(p_.normal[i] + p_.normal[j]), up);
            slope += share_.back() * std::sqrt(std::max(0.0, 1 - between * between));
        }
        slope_[i] = sum > 0 ? slope / sum : 0;
        for (size_t k = begin; k < share_.size(); ++k) share_[k] /= sum;
        drain_[i] = sum;
        first_[i + 1] = below_.size();
        const double lean = lean_[i], out = form::dot(p_.edge[i], up);
        end_[i] = End::None;
        if (rim_[i] && out < -0.3) {
            end_[i] = End::Bead;  // a rim that looks down lets go above a bead
            cap_[i] = former_.rimBead;
        } else if (lean < kOverhang + 0.1) {
            end_[i] = End::Drip;
            cap_[i] = former_.dripCap * (1 + std::max(0.0, (lean - kOverhang + 0.05) / 0.15));
        } else if (sum <= 0) {
            end_[i] = lean > 0 && hollowOf(i) >= 0 ? End::Pool : End::Drip;
            cap_[i] = former_.dripCap;
            if (end_[i] == End::Pool) lowest_.push_back(i);
        }
    }
}

size_t MeshFilm::fallsInto(size_t cell) const {
    size_t best = p_.size();
    double least = 1e300;
    if (inside_)
        for (const size_t i : lowest_) {
            const Vec3 d = p_.at[i] - p_.at[cell];
            const double fall = form::dot(d, up_), aside = form::dot(d, d) - fall * fall;
            if (fall < 0 && aside < least) {
                least = aside;
                best = i;
            }
        }
    return best;
}

double MeshFilm::poolLevel() const {
    double top = std::nan("");
    for (const double z : levels())
        if (!(z <= top) && !std::isnan(z)) top = z;
    return top;
}

void MeshFilm::lendRheology() {
    for (size_t i = 0; i < v_.size(); ++i) {
        if (v_[i] >= kDry) continue;
        double most = kDry;
        for (size_t l = p_.link[i]; l < p_.link[i + 1]; ++l) {
            const auto j = static_cast<size_t>(p_.to[l]);
            if (v_[j] < most) continue;
            most = v_[j];
            eta_[i] = eta_[j];
            tau_[i] = tau_[j];
        }
    }
}

// Long because it is one sweep: a cell takes what came from above, finds its depth and gives on what does not stay;
// parted it would hand a dozen values from one function to the next for each cell of each step.
bool MeshFilm::flow(double dt, const Surroundings& around) {
    orient(around.up);
    const double rhoG = c_.densityMelt * kGravity, leastSlope = around.tapping ? 0.5 : 0;  // sin 30°
    std::fill(inflow_.begin(), inflow_.end(), 0.0);
    std::fill(inHeat_.begin(), inHeat_.end(), 0.0);
    std::fill(inCrystals_.begin(), inCrystals_.end(), 0.0);
    std::fill(arrived_.begin(), arrived_.end(), 0.0);
    for (const int k : order_) {
        const auto i = static_cast<size_t>(k);
        const double own = v_[i] * area_[i], have = own + inflow_[i];
        if (have < kDry * area_[i] * 1e-3) {
            v_[i] = have / area_[i];  // a trace moves on with the next film
            continue;
        }
        const double temperature = (own * T_[i] + inHeat_[i]) / have, crystals = (own * X_[i] + inCrystals_[i]) / have;
        if (stands(i)) {  // under a pool: it gives nothing, what comes is the pool's
            v_[i] = have / area_[i];
            T_[i] = temperature;
            X_[i] = crystals;
            continue;
        }
        // area (v(h) − s) + dt (outflow(h) + drip(h)) = have: increasing in h, so Newton's method from where it was
        const bool pressed = !paper_.empty() && paper_[i] > 0;  // between shell and paper: it runs nowhere
        const bool drips = end_[i] == End::Drip || end_[i] == End::Bead || pressed;
        const double most = pressed                           ? paper_[i] - b_[i]
                            : end_[i] == End::Drip && inside_ ? cap_[i] * hangs(i)
                                                              : cap_[i];
        const double slope = std::max(slope_[i], leastSlope), wallPerDepth = rhoG * slope,
                     widthDrop = slope_[i] > 1e-9 && !pressed ? drain_[i] / slope : 0;
        double low = b_[i], high = std::max(b_[i], (s_[i] + have / area_[i]) / kLeastSlope) + 1e-9,
               h = std::clamp(h_[i], b_[i], high), out = 0, drip = 0;
        const auto flows = [&](double depth,
                               double& byDepth) {  // m³/s, coat/flux.h's Casson flux with its roots shared
            const double wall = wallPerDepth * depth;
            if (wall <= tau_[i] || wall <= 0) {
                byDepth = 0;
                return 0.0;
            }
            const double root = std::sqrt(wall), difference = root - rootTau_[i], r = rootTau_[i] / root, y = 1 - r;
            byDepth = widthDrop * depth * difference * difference / eta_[i];
            return widthDrop * wallPerDepth * depth * depth * depth / (3 * eta_[i]) * y * y * y *
                   (1 + r * (0.6 + r * (0.3 + 0.1 * r)));
        };
        for (int iteration = 0; iteration < 60; ++iteration) {
            const double depth = std::max(0.0, h - b_[i]);
            double byDepth = 0;
            out = widthDrop > 0 ? flows(depth, byDepth) : 0;
            double byDrip = 0;
            drip = 0;
            if (drips && depth > most) {
                drip = area_[i] * (depth - most) / former_.dripTime;
                byDrip = area_[i] / former_.dripTime;
            }
            const double rest = area_[i] * (volumeOf(i, h) - s_[i]) + dt * (out + drip) - have;
            (rest > 0 ? high : low) = h;
            double next = h - rest / (area_[i] * slopeOf(i, h) + dt * (byDepth + byDrip));
            if (!(next > low && next < high)) next = 0.5 * (low + high);
            const double change = std::abs(next - h);
            h = next;
            if (change < kClose) break;
        }
        // Flux form: what does not stay goes, in the proportion the last iterate gives.
        const double stays = std::clamp(area_[i] * (volumeOf(i, h) - s_[i]), 0.0, have);
        const double total = out + drip, goes = total > 0 ? have - stays : 0;
        const double dripping = total > 0 ? goes * drip / total : 0, running = goes - dripping;
        v_[i] = std::max(0.0, have - goes) / area_[i];  // round-off may leave −1e-22
        T_[i] = temperature;
        X_[i] = crystals;
        const size_t below = dripping > 0 && end_[i] == End::Drip && !pressed ? fallsInto(i) : p_.size();
        if (below < p_.size()) {  // falls back into the hollow under it, which the sweep comes to later
            inflow_[below] += dripping;
            inHeat_[below] += dripping * temperature;
            inCrystals_[below] += dripping * crystals;
        } else {
            dripped_ += dripping;
        }
        for (size_t l = first_[i]; l < first_[i + 1]; ++l) {
            const auto j = static_cast<size_t>(below_[l]);
            const double part = running * share_[l];
            inflow_[j] += part;
            inHeat_[j] += part * temperature;
            inCrystals_[j] += part * crystals;
        }
        h_[i] = h;
        if (end_[i] == End::Pool && v_[i] > 0) {
            // what has run together here is a pool's; a film as thick as the one around stays, for the mesh has small
            // hollows
            double film = 0, links = 0;
            for (size_t l = p_.link[i]; l < p_.link[i + 1]; ++l, ++links) film += v_[static_cast<size_t>(p_.to[l])];
            arrived_[i] = links > 0 ? std::max(0.0, v_[i] - film / links) : v_[i];
        }
    }
    levelPools(arrived_);
    return true;
}

void MeshFilm::pour(double volume, double celsius, double crystals, const Vec3& up) {
    orient(up);
    pourInHollow(volume, celsius, crystals);
}

void MeshFilm::scrapeRim() {
    for (size_t i = 0; i < p_.size(); ++i) {
        if (form::length(p_.edge[i]) == 0) continue;
        double sum = 0, weight = 0;
        for (size_t l = p_.link[i]; l < p_.link[i + 1]; ++l) {
            const auto j = static_cast<size_t>(p_.to[l]);
            if (form::length(p_.edge[j]) > 0) continue;
            sum += h_[j];
            ++weight;
        }
        if (weight == 0 || h_[i] <= sum / weight) continue;
        const double keep = std::max(0.0, volumeOf(i, std::max(b_[i], sum / weight)) - s_[i]);
        if (keep >= v_[i]) continue;
        dripped_ += (v_[i] - keep) * area_[i];
        v_[i] = keep;
        h_[i] = thicknessOf(i, s_[i] + v_[i], h_[i]);
    }
}

double MeshFilm::standOnPaper(const Vec3& up, double pool) {
    // the paper lies under the lowest place of the shell as it was set down, a foot's film away; gaps are measured
    // along the normal
    orient(up);
    const size_t n = p_.size();
    std::vector<double> lean(n), gap(n);
    for (size_t i = 0; i < n; ++i) lean[i] = -form::dot(p_.normal[i], up_);
    if (std::isnan(plane_)) {
        plane_ = 1e9;
        for (size_t i = 0; i < n; ++i)
            if (lean[i] > kLooksDown) plane_ = std::min(plane_, height_[i] - b_[i] * lean[i] - former_.footFilm);
        paper_.assign(n, 0.0);
    }
    std::vector<size_t> under;
    for (size_t i = 0; i < n; ++i) {
        if (lean[i] <= kLooksDown) continue;
        gap[i] = std::max((height_[i] - plane_) / lean[i], b_[i]);
        if (gap[i] - b_[i] <= former_.footMost || gap[i] <= h_[i]) under.push_back(i);
    }
    std::sort(under.begin(), under.end(),
              [&](size_t a, size_t b) { return gap[a] != gap[b] ? gap[a] < gap[b] : a < b; });
    // Cells as far from the paper as one another fill together, the last of them in part: a foot is round where its
    // piece is.
    const auto cost = [&](size_t i) { return area_[i] * (std::max(0.0, volumeOf(i, gap[i]) - s_[i]) - v_[i]); };
    double foot = 0, left = pool;
    for (size_t from = 0, to = 0; from < under.size(); from = to) {
        double all = 0;
        for (to = from; to < under.size() && gap[under[to]] <= gap[under[from]] + kTogether; ++to)
            all += cost(under[to]);
        const double share = all <= left ? 1 : std::max(0.0, left / all);
        const bool old = paper_[under[from]] > 0;
        if (share <= 0 && !old) break;
        for (size_t k = from; k < to; ++k) {
            const size_t i = under[k];
            const double add = share * cost(i) / area_[i];  // hanging film thicker than the gap is pressed out
            v_[i] += add;
            dripped_ -= add * area_[i];
            left -= add * area_[i];
            h_[i] = thicknessOf(i, s_[i] + v_[i], gap[i]);
            if (share == 1 || old) {
                paper_[i] = gap[i];
                foot += area_[i] * lean[i];
            } else {
                foot += share * area_[i] * lean[i];
            }
        }
        if (share < 1 && !old) break;
    }
    return std::sqrt(foot / std::numbers::pi);
}

// Levelling by surface tension is limited by the yield stress to amplitudes a with σ a k³ h ≈ τ₀ (k = 2π/λ, σ 25 mN/m,
// h 2 mm, τ₀ 10 Pa): a millimetre at λ 12 mm, a tenth of one at 5 mm. So a coat is spread as a Gaussian of 3 mm spreads
// it.
void MeshFilm::iron() {
    constexpr double kReach = 0.003;  // m
    const size_t n = p_.size();
    const auto fixed = [&](size_t i) { return rim_[i] || stands(i) || sunk(i); };
    std::vector<double> fresh(n), give(n);
    for (size_t i = 0; i < n; ++i) fresh[i] = v_[i] + s_[i] - began(i);
    constexpr int kSteps = 8;
    constexpr double kStep = 0.5 * kReach * kReach / kSteps;  // m²
    for (int k = 0; k < kSteps; ++k) {
        std::fill(give.begin(), give.end(), 0.0);
        for (size_t i = 0; i < n; ++i) {
            if (fixed(i)) continue;
            for (size_t l = p_.link[i]; l < p_.link[i + 1];
                 ++l)  // between small cells no more than keeps the step stable
                if (const auto j = static_cast<size_t>(p_.to[l]); !fixed(j))
                    give[i] += std::min(kStep * p_.width[l], std::min(area_[i], area_[j]) / 10) * (fresh[j] - fresh[i]);
        }
        for (size_t i = 0; i < n; ++i) fresh[i] += give[i] / area_[i];
    }
    for (size_t i = 0; i < n; ++i) {
        if (fixed(i)) continue;
        const double change = fresh[i] - (v_[i] + s_[i] - began(i));
        const double fluid = v_[i] + change;
        v_[i] = v_[i] > 0 ? std::max(0.0, fluid) : 0;
        s_[i] += v_[i] > 0 ? 0 : fluid;
    }
}

void MeshFilm::leavePaper() {
    plane_ = std::nan("");
    paper_.clear();
}

}  // namespace uovo::coat
