// What is most likely true, given what was measured: a Gaussian prior, a model that is run, records that may be wrong.
#pragma once
#include <Eigen/Core>
#include <functional>
#include <optional>
#include <stop_token>
#include <string>
#include <tl/expected.hpp>
#include <utility>
#include <vector>

#include "core/quantity/quantity.h"

namespace uovo::learn {

/// One thing that is not known: a multiple as its logarithm, or kelvin.
struct Unknown {
    std::string id;
    double mean = 0, sd = 1;
};

/// A measurement, as the logarithm of what was measured.
struct Seen {
    double value = 0;             ///< of an interval its lower end; may be minus infinity
    std::optional<double> upper;  ///< of an interval ("not at 12 min, at 16"); may be infinity
    double scatter = 0.1;         ///< sd of one measurement
    /// How far the model itself may be off: number of a departure, and its sd. A departure is one for all that name it.
    std::vector<std::pair<size_t, double>> departs;
};

/// What one run of the model tells: the logarithms of all that was measured, for some parameters.
/// A run may fail; then the step that asked for it is not taken.
using Model = std::function<std::optional<Eigen::VectorXd>(const Eigen::VectorXd& parameters)>;

/// Measurements that one run of a model tells: an evening.
struct Block {
    Eigen::MatrixXd of;      ///< parameters × unknowns: the parameters are sums of unknowns
    Eigen::VectorXd stride;  ///< of each parameter for the slope, as large as it may well be off
    std::vector<Seen> seen;  ///< as many as the model tells
    Model model;
};

struct FitOptions {
    double nu = 4;  ///< of Student's t for what is measured: low, and a typing error carries little weight; 0: normal
    int mostSteps = 30;
    double enough = 2e-3;  ///< a step that gains less is the last
};

/// The most likely values, and how well they are known.
struct Fit {
    Eigen::VectorXd unknowns;                  ///< in their own units
    Eigen::VectorXd departures;                ///< in units of their sd
    Eigen::MatrixXd covariance;                ///< of both, unknowns first
    std::vector<std::vector<double>> weights;  ///< of each measurement: 1 usual, near 0 not believed; as in the blocks
    std::vector<std::vector<double>> z;        ///< how far each is off, in its scatter; 0 inside an interval
    std::vector<Eigen::VectorXd> told;         ///< what the model tells of each block there
    double gain = 0;                           ///< logarithm of the posterior above that at the prior's mean
    int runs = 0;                              ///< of models
    double sd(size_t unknown) const;
};

/// Gauss's steps with Student weights, halved while they do not gain; slopes by differences once, then corrected by
/// each step (Broyden). Deterministic.
/// @param departures how many there are
/// @returns the fit, or why there is none: the model cannot be run at the prior's mean, or it was stopped
tl::expected<Fit, Problem> fit(const std::vector<Unknown>& unknowns, const std::vector<Block>& blocks,
                               size_t departures, const FitOptions& options = {}, std::stop_token stop = {});

}  // namespace uovo::learn
