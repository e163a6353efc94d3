#include "core/batch/batch.h"

#include <fmt/format.h>

#include <algorithm>
#include <boost/math/special_functions/beta.hpp>
#include <boost/math/special_functions/gamma.hpp>
#include <cmath>
#include <limits>
#include <numbers>
#include "core/quantity/catalogue.h"

namespace uovo::batch {
namespace {

// Of Boost, not of the C library: std::lgamma writes its sign where every thread reads it.
double logChoose(int n, int k) {
    return boost::math::lgamma(n + 1.0) - boost::math::lgamma(k + 1.0) - boost::math::lgamma(n - k + 1.0);
}
double logBeta(double a, double b) {
    return boost::math::lgamma(a) + boost::math::lgamma(b) - boost::math::lgamma(a + b);
}

/// Smallest m from `needed` up for which at least `needed` are good with the probability `sure`.
template <class AtLeast>
int smallest(int needed, double sure, const AtLeast& atLeast) {
    for (int m = needed;; ++m)
        if (atLeast(m) >= sure - 1e-12 || m > 50 * needed + 1000) return m;
}

constexpr double kSide = 0.004;  // m a piece keeps from the pot's wall
constexpr double kBrim = 0.008;  // m free below the pot's brim

}  // namespace

double enough(int made, int needed, double p) {
    if (needed <= 0) return 1;
    // P(X ≥ k) of m tries is the incomplete beta function I_p(k, m − k + 1).
    return made < needed ? 0 : boost::math::ibeta(double(needed), made - needed + 1.0, p);
}

int piecesToMake(int needed, double p, double sure) {
    if (needed <= 0) return 0;
    if (p >= 1) return needed;
    return smallest(needed, sure, [&](int m) { return enough(m, needed, p); });
}

int piecesToMakeFromLog(int needed, int good, int bad, double sure, double a, double b) {
    if (needed <= 0) return 0;
    return smallest(needed, sure, [&](int m) {
        double all = 0;
        for (int k = needed; k <= m; ++k)
            all += std::exp(logChoose(m, k) + logBeta(k + a + good, m - k + b + bad) - logBeta(a + good, b + bad));
        return all;
    });
}

double potVolume(const material::Pot& pot, double level) {
    const double r0 = pot.baseDiameter / 2, r = r0 + (pot.topDiameter / 2 - r0) * level / pot.height;
    return std::numbers::pi / 3 * level * (r0 * r0 + r0 * r + r * r);
}

double potLevel(const material::Pot& pot, double volume) {
    if (volume > potVolume(pot, pot.height)) return std::nan("");
    double low = 0, high = pot.height;
    for (int i = 0; i < 60; ++i) {
        const double mid = 0.5 * (low + high);
        (potVolume(pot, mid) < volume ? low : high) = mid;
    }
    return 0.5 * (low + high);
}

tl::expected<Bath, Problem> bathFor(const form::Meridian& former, double dip, const material::Pot& pot,
                                    double clearance) {
    const auto length = [](double m) { return format(m, Dimension::Length, UnitSystem::Metric); };
    const double level = clearance + dip;
    if (level > pot.height - kBrim)
        return tl::unexpected(Problem{pot.name + tr(" is too low to dip ") + length(dip) + tr(" deep."), "pot"});
    for (int i = 0; i <= 20; ++i) {
        const double z = dip * i / 20;
        const double inside =
            pot.baseDiameter / 2 + (pot.topDiameter - pot.baseDiameter) / 2 * (z + clearance) / pot.height;
        if (former.radiusAt(z) > inside - kSide)
            return tl::unexpected(Problem{
                pot.name + tr(" is too narrow for a piece ") + length(2 * former.widest()) + tr(" wide."), "pot"});
    }
    Bath b;
    b.pot = pot.id;
    b.level = level;
    b.chocolate = potVolume(pot, level) - former.volumeBelow(dip);
    b.still = potLevel(pot, b.chocolate);
    return b;
}

tl::expected<Bath, Problem> bestBath(const form::Meridian& former, double dip, const std::vector<material::Pot>& pots,
                                     double clearance) {
    tl::expected<Bath, Problem> best = tl::unexpected(Problem{tr("There is no pot to dip in."), "pot"});
    for (const auto& pot : pots)
        if (auto bath = bathFor(former, dip, pot, clearance); bath && (!best || bath->chocolate < best->chocolate))
            best = bath;
    if (!best)
        best = tl::unexpected(Problem{
            tr("No pot here is deep and wide enough to dip this piece; spoon it on, or add a larger pot."), "pot"});
    return best;
}

std::string PotKey::id() const {
    std::string out = chocolate;
    if (temper == material::Temper::Untempered) out += "-untempered";
    if (thinner != material::Thinner::None && thinnerShare > 0)
        out +=
            fmt::format("-{}-{:g}", thinner == material::Thinner::CocoaButter ? "butter" : "oil", 100 * thinnerShare);
    return out;
}

int packetsToBuy(double need, double have, double packet) {
    return packet > 0 ? static_cast<int>(std::ceil(std::max(0.0, need - have) / packet - 1e-9)) : 0;
}

std::vector<Pot> pots(const std::vector<Demand>& demands, const std::vector<double>& packets, double bowlLoss,
                      double spatulaLoss, double trimShare) {
    std::vector<Pot> out;
    for (size_t i = 0; i < demands.size(); ++i) {
        const auto& d = demands[i];
        auto it = std::find_if(out.begin(), out.end(), [&](const Pot& p) { return p.key == d.pot; });
        if (it == out.end()) {
            out.emplace_back();
            it = out.end() - 1;
            it->key = d.pot;
            it->name = d.name;
            it->packet = packets[i];
            it->tools = bowlLoss + spatulaLoss;
        }
        it->late += d.late;
        it->minutes += d.minutes;
        it->uses.push_back({d.piece, d.make * d.each});
        it->pieces += d.make * d.each;
        it->bath = std::max(it->bath, d.bath);
        it->trim += d.make * d.aside;
    }
    for (auto& p : out) {
        const double aside = p.trim;  // must be melted besides what ends up in the pieces; a rim's trim is part of them
        p.trim = aside + p.pieces * trimShare;
        p.melt = p.pieces + aside + p.bath + p.tools;
        p.melt +=
            std::max(0.0, p.late - p.bath - p.trim);  // glue and patches come from what is left, as far as it goes
        p.returned = p.bath + p.trim;
        p.consumed = p.melt - p.returned;
        p.packets = packetsToBuy(p.melt, 0, p.packet);
    }
    return out;
}

int fitOnShelf(double width, double depth, double d) {
    if (d <= 0 || d > width + 1e-9 || d > depth + 1e-9) return 0;
    const auto staggered = [&](double w, double h) {
        const int rows = 1 + static_cast<int>(std::floor((h - d) / (d * std::sqrt(3.0) / 2) + 1e-9));
        const int full = static_cast<int>(std::floor(w / d + 1e-9)),
                  shifted = static_cast<int>(std::floor((w - d / 2) / d + 1e-9));
        return (rows + 1) / 2 * full + rows / 2 * shifted;
    };
    const int grid = static_cast<int>(std::floor(width / d + 1e-9)) * static_cast<int>(std::floor(depth / d + 1e-9));
    return std::max({grid, staggered(width, depth), staggered(depth, width)});
}

int fitOnShelves(double width, double depth, double height, int shelves, const std::vector<Footprint>& parts,
                 double gap) {
    constexpr double kLost = 0.25;  // of a shelf with parts of several shapes
    const auto alone = [&](const Footprint& p) {
        if (p.height > height + 1e-9) return 0;
        if (p.round) return fitOnShelf(width, depth, std::max(p.length, p.width) + gap);
        const double a = p.length + gap, b = p.width + gap;
        const auto rows = [&](double x, double y) {
            return static_cast<int>(std::floor(width / x + 1e-9)) * static_cast<int>(std::floor(depth / y + 1e-9));
        };
        return std::max(rows(a, b), rows(b, a));
    };
    if (parts.empty()) return 0;
    int most = std::numeric_limits<int>::max();
    double area = 0;
    for (const auto& p : parts) {
        most = std::min(most, alone(p));
        area += (p.length + gap) * (p.width + gap);
    }
    if (parts.size() > 1) {
        // a piece whose parts do not all lie on one shelf may still lie on several
        const int together = static_cast<int>(std::floor((1 - kLost) * width * depth * shelves / area + 1e-9));
        return most == 0 ? 0 : std::min(most * shelves, together);
    }
    return most * shelves;
}

}  // namespace uovo::batch
