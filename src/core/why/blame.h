// Which of several causes made what went wrong: a noisy-or of causes that are there or not.
#pragma once
#include <optional>
#include <vector>

#include "core/material/fault.h"

namespace uovo::why {

inline constexpr double kComputed =
    0.85;                              ///< weight of what was computed against what is usual: models err (judgement)
inline constexpr double kElse = 0.02;  ///< rate of "something else" (judgement)
inline constexpr double kWorth = 0.1;  ///< bit, for its cost, that a question must promise to be asked (judgement)

/// How likely a cause is there: q' = 0.85 q + 0.15 usual; the usual one where nothing is computed.
double present(std::optional<double> computed, double usual);
/// Rate at which a cause makes the fault: λ = −ln(1 − q' s). @param makes s, how often it makes it where it is there
double rate(double present, double makes);
/// Chance that the fault comes about at all, of these and something else: 1 − exp(−Σλ).
double chanceOf(const std::vector<double>& rates);

/// A question about one of the causes that was answered.
struct Answered {
    size_t cause = 0;
    bool yes = false;
};

/// How likely each cause made it, given that it came about: λ L/Σ λ L, L the chance of the answers; the last is
/// something else. None is 0 or 1.
std::vector<double> blame(const std::vector<double>& rates, const std::vector<material::Cause>& causes,
                          const std::vector<Answered>& answered = {});

/// What an answer to a question about a cause tells on the mean, bit: H(yes) − p H(ifSo) − (1 − p) H(ifNot).
/// @param p how likely that cause is by now
double bits(double p, const material::Check& check);

}  // namespace uovo::why
