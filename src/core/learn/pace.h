// How fast a cook's hands are, learned from what took how long.
#pragma once
#include <map>
#include <string>
#include <vector>

namespace uovo::learn {

/// A task that was timed.
struct Timed {
    std::string kind;           ///< id of the task in data/tasks.json
    double book = 0, took = 0;  ///< minutes
};

/// ln(took/book) = c of the cook + b of the kind + scatter: how far each may be off, of data/learning.json.
struct PaceSds {
    double cook = 0.25, kind = 0.30, scatter = 0.25;
    double rounded = 0.29;  ///< minutes, of a time told in whole minutes
};
inline constexpr size_t kTold = 3;  ///< timings before it is said

struct Pace {
    PaceSds sds;
    double cook = 0, cookSd = 0.25;  ///< of every task
    struct Kind {
        double more = 0, sd = 0;  ///< b, and of cook + b together
        size_t timed = 0;
    };
    std::map<std::string, Kind> kinds;
    size_t timed = 0;

    /// The multiple of the book's minutes that is as likely too long as too short.
    double median(const std::string& kind) const;
    /// … that a plan counts on: its mean, exp(m + s²/2), scatter left to the chance.
    double planned(const std::string& kind) const;
    /// Enough was timed to say so, and it is beyond what chance does.
    bool isTold() const;

private:
    double sdOf(const std::string& kind) const;
};

/// Conjugate, in closed form: v = kind² + 1/w of each kind, c = Σ(ȳ/v)/(1/cook² + Σ1/v), b = kind²/v·(ȳ − c).
/// What took no time or was planned for none is left out.
Pace paceOf(const std::vector<Timed>& timed, const PaceSds& sds);

}  // namespace uovo::learn
