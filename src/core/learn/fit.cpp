#include "core/learn/fit.h"

#include <Eigen/Cholesky>
#include <algorithm>
#include <atomic>
#include <boost/math/distributions/normal.hpp>
#include <cmath>

#include "core/quantity/catalogue.h"
#include "core/quantity/side_by_side.h"

namespace uovo::learn {
namespace {

using Eigen::MatrixXd;
using Eigen::VectorXd;

constexpr int kHalvings = 7;

/// What a measurement says of what the model tells: its part of the posterior, its pull and how firm it is.
struct Pull {
    double logarithm = 0, gradient = 0, curvature = 0, weight = 1, z = 0;
};

Pull pullOf(const Seen& s, double told, double nu) {
    Pull p;
    if (s.upper) {
        const boost::math::normal unit;
        const double a = (s.value - told) / s.scatter, b = (*s.upper - told) / s.scatter;
        const auto density = [&](double x) { return std::isfinite(x) ? boost::math::pdf(unit, x) : 0.0; };
        const auto below = [&](double x) { return std::isfinite(x) ? boost::math::cdf(unit, x) : x > 0 ? 1.0 : 0.0; };
        const auto above = [&](double x) {
            return std::isfinite(x) ? boost::math::cdf(complement(unit, x)) : x > 0 ? 0.0 : 1.0;
        };
        const double within = std::max(1e-280, a > 0 ? above(a) - above(b) : below(b) - below(a));
        const auto times = [&](double x) { return std::isfinite(x) ? x * density(x) : 0.0; };
        p.logarithm = std::log(within);
        p.gradient = (density(a) - density(b)) / (s.scatter * within);
        p.curvature = std::clamp(p.gradient * p.gradient + (times(b) - times(a)) / (s.scatter * s.scatter * within),
                                 0.0, 1 / (s.scatter * s.scatter));
        p.z = a > 0 ? a : b < 0 ? b : 0;
        return p;
    }
    const double e = (s.value - told) / s.scatter;
    p.z = e;
    p.weight = nu > 0 ? (nu + 1) / (nu + e * e) : 1;
    p.logarithm = nu > 0 ? -(nu + 1) / 2 * std::log1p(e * e / nu) : -e * e / 2;
    p.gradient = p.weight * e / s.scatter;
    p.curvature = p.weight / (s.scatter * s.scatter);
    return p;
}

/// Where a search stands: unknowns in units of their sd from their mean, departures, and what the models tell there.
struct Place {
    VectorXd at;
    std::vector<VectorXd> parameters, told;
    double logarithm = 0;
};

class Search {
public:
    Search(const std::vector<Unknown>& unknowns, const std::vector<Block>& blocks, size_t departures,
           const FitOptions& options, std::stop_token stop)
        : unknowns_(unknowns),
          blocks_(blocks),
          many_(static_cast<Eigen::Index>(unknowns.size())),
          all_(many_ + static_cast<Eigen::Index>(departures)),
          options_(options),
          stop_(std::move(stop)) {}

    tl::expected<Fit, Problem> run() {
        auto now = placeAt(VectorXd::Zero(all_));
        if (!now)
            return tl::unexpected(
                Problem{stop_.stop_requested() ? tr("It was stopped.") : tr("What was made cannot be computed.")});
        const double first = now->logarithm;
        if (!differences(*now)) return tl::unexpected(Problem{tr("What was made cannot be computed.")});
        bool fresh = true;
        for (int k = 0; k < options_.mostSteps; ++k) {
            if (stop_.stop_requested()) return tl::unexpected(Problem{tr("It was stopped.")});
            const VectorXd step = stepFrom(*now);
            std::optional<Place> next;
            double share = 1;
            for (int h = 0; h < kHalvings; ++h, share /= 2) {
                auto tried = placeAt(now->at + share * step);
                if (tried && tried->logarithm > now->logarithm) {
                    next = std::move(tried);
                    break;
                }
            }
            const double gained = next ? next->logarithm - now->logarithm : 0;
            if (next) {
                correct(*now, *next);
                now = std::move(next);
            }
            if (gained >= options_.enough) {
                fresh = false;
                continue;
            }
            if (fresh) break;  // the slopes are those of this place, or of one step before
            if (!differences(*now)) break;
            fresh = true;
        }
        if (!fresh) differences(*now);
        return told(*now, first);
    }

private:
    VectorXd natural(const VectorXd& at) const {
        VectorXd out(many_);
        for (Eigen::Index i = 0; i < many_; ++i)
            out[i] = unknowns_[static_cast<size_t>(i)].mean + unknowns_[static_cast<size_t>(i)].sd * at[i];
        return out;
    }
    double shiftOf(const Seen& s, const VectorXd& at) const {
        double sum = 0;
        for (const auto& [number, sd] : s.departs) sum += sd * at[many_ + static_cast<Eigen::Index>(number)];
        return sum;
    }
    /// Runs jobs side by side: models are many and independent. @returns false when one failed or it was stopped
    bool all(size_t jobs, const std::function<bool(size_t)>& job) {
        std::atomic<size_t> next = 0;
        std::atomic<bool> well = true;
        const auto work = [&] {
            for (size_t k = next++; k < jobs && well && !stop_.stop_requested(); k = next++)
                if (!job(k)) well = false;
        };
        sideBySide(work, work);
        return well && !stop_.stop_requested();
    }
    std::optional<VectorXd> ran(const Block& block, const VectorXd& parameters) {
        ++runs_;
        auto told = block.model(parameters);
        if (told && !told->allFinite()) told.reset();
        return told;
    }
    std::optional<Place> placeAt(const VectorXd& at) {
        Place p;
        p.at = at;
        p.logarithm = -at.squaredNorm() / 2;
        const VectorXd x = natural(at);
        for (const auto& b : blocks_) p.parameters.push_back(b.of * x);
        p.told.resize(blocks_.size());
        const bool well = all(blocks_.size(), [&](size_t b) {
            auto told = ran(blocks_[b], p.parameters[b]);
            if (told) p.told[b] = std::move(*told);
            return told.has_value();
        });
        if (!well) return std::nullopt;
        for (size_t b = 0; b < blocks_.size(); ++b)
            for (size_t i = 0; i < blocks_[b].seen.size(); ++i)
                p.logarithm +=
                    pullOf(blocks_[b].seen[i],
                           p.told[b][static_cast<Eigen::Index>(i)] + shiftOf(blocks_[b].seen[i], at), options_.nu)
                        .logarithm;
        return p;
    }
    bool differences(const Place& p) {
        slopes_.clear();
        std::vector<std::pair<size_t, Eigen::Index>> columns;
        for (size_t b = 0; b < blocks_.size(); ++b) {
            const auto& block = blocks_[b];
            slopes_.emplace_back(MatrixXd::Zero(static_cast<Eigen::Index>(block.seen.size()), block.stride.size()));
            for (Eigen::Index k = 0; k < block.stride.size(); ++k)
                if (block.stride[k] != 0) columns.emplace_back(b, k);
        }
        return all(columns.size(), [&](size_t n) {
            const auto& [b, k] = columns[n];
            for (const double side : {1.0, -1.0}) {  // the other way where the first cannot be made
                const double moved = side * blocks_[b].stride[k];
                VectorXd parameters = p.parameters[b];
                parameters[k] += moved;
                if (const auto told = ran(blocks_[b], parameters)) {
                    slopes_[b].col(k) = (*told - p.told[b]) / moved;
                    return true;
                }
            }
            return false;
        });
    }
    void correct(const Place& was, const Place& is) {
        for (size_t b = 0; b < blocks_.size(); ++b) {
            const VectorXd moved = is.parameters[b] - was.parameters[b];
            const double square = moved.squaredNorm();
            if (square < 1e-18) continue;
            slopes_[b] += (is.told[b] - was.told[b] - slopes_[b] * moved) * moved.transpose() / square;
        }
    }
    /// @param pulls all of the measurements' gradients, summed
    MatrixXd curvature(const Place& p, VectorXd* pulls) const {
        MatrixXd h = MatrixXd::Identity(all_, all_);
        if (pulls) *pulls = -p.at;
        for (size_t b = 0; b < blocks_.size(); ++b) {
            const auto& block = blocks_[b];
            const MatrixXd slope = slopes_[b] * block.of;
            for (size_t i = 0; i < block.seen.size(); ++i) {
                VectorXd row = VectorXd::Zero(all_);
                for (Eigen::Index k = 0; k < many_; ++k)
                    row[k] = slope(static_cast<Eigen::Index>(i), k) * unknowns_[static_cast<size_t>(k)].sd;
                for (const auto& [number, sd] : block.seen[i].departs)
                    row[many_ + static_cast<Eigen::Index>(number)] += sd;
                const Pull q = pullOf(
                    block.seen[i], p.told[b][static_cast<Eigen::Index>(i)] + shiftOf(block.seen[i], p.at), options_.nu);
                h += q.curvature * row * row.transpose();
                if (pulls) *pulls += q.gradient * row;
            }
        }
        return h;
    }
    VectorXd stepFrom(const Place& p) const {
        VectorXd pulls;
        const MatrixXd h = curvature(p, &pulls);
        return h.ldlt().solve(pulls);
    }
    Fit told(const Place& p, double first) const {
        Fit f;
        f.unknowns = natural(p.at);
        f.departures = p.at.tail(all_ - many_);
        VectorXd scale = VectorXd::Ones(all_);
        for (Eigen::Index i = 0; i < many_; ++i) scale[i] = unknowns_[static_cast<size_t>(i)].sd;
        f.covariance = scale.asDiagonal() * curvature(p, nullptr).ldlt().solve(MatrixXd::Identity(all_, all_)) *
                       scale.asDiagonal();
        for (size_t b = 0; b < blocks_.size(); ++b) {
            auto& weights = f.weights.emplace_back();
            auto& z = f.z.emplace_back();
            for (size_t i = 0; i < blocks_[b].seen.size(); ++i) {
                const auto& s = blocks_[b].seen[i];
                const Pull q = pullOf(s, p.told[b][static_cast<Eigen::Index>(i)] + shiftOf(s, p.at), options_.nu);
                weights.push_back(q.weight);
                z.push_back(q.z);
            }
        }
        f.told = p.told;
        f.gain = p.logarithm - first;
        f.runs = runs_;
        return f;
    }

    const std::vector<Unknown>& unknowns_;
    const std::vector<Block>& blocks_;
    const Eigen::Index many_, all_;
    const FitOptions& options_;
    std::stop_token stop_;
    std::vector<MatrixXd> slopes_;  // of each block, measurements × parameters
    std::atomic<int> runs_ = 0;
};

}  // namespace

double Fit::sd(size_t unknown) const {
    const auto k = static_cast<Eigen::Index>(unknown);
    return std::sqrt(covariance(k, k));
}

tl::expected<Fit, Problem> fit(const std::vector<Unknown>& unknowns, const std::vector<Block>& blocks,
                               size_t departures, const FitOptions& options, std::stop_token stop) {
    return Search(unknowns, blocks, departures, options, std::move(stop)).run();
}

}  // namespace uovo::learn
