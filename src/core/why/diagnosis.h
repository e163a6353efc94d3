// Why something went wrong: its causes ranked, the question that tells them apart, and what to do otherwise.
#pragma once
#include <stop_token>

#include "core/why/blame.h"
#include "core/why/change.h"

namespace uovo::why {

/// What is asked.
struct Case {
    Plan plan;          ///< as it was planned
    std::string piece;  ///< id
    std::string fault;  ///< id in data/faults.json
    Figures given;
    std::map<std::string, bool> answered;  ///< questions by the id of their cause
    FromLog log;
};

struct Suspect {
    const material::Cause* cause = nullptr;
    double p = 0;                    ///< how likely it made it, 0–1
    std::optional<double> computed;  ///< how likely it was there by the figures; empty: usual
    std::string reason;              ///< why, in this piece's figures; empty where nothing is computed
    double bits = 0;                 ///< what its question would tell now; 0 once it was answered
};

struct Diagnosis {
    const material::Fault* fault = nullptr;
    std::vector<Suspect> suspects;  ///< the likeliest first
    double other = 0;               ///< how likely something else made it
    double comes = 0;               ///< chance that it came about, made so
    std::string ask;                ///< cause whose question tells most for its cost; empty: none is worth asking
};

/// What a change does, from a run of the piece as it was made, with it.
struct Tried {
    std::string cause, title;
    std::optional<Plan> plan;       ///< with the change; empty where the plan says so already and was not kept to
    double before = 0, after = 0;   ///< chance of the fault as it was made, and with the change
    double grams = 0, seconds = 0;  ///< more chocolate in one, more time until it lets go
};

/// A piece as it was made; remembers what it computed, for several questions.
class Inquiry {
public:
    /// @returns why nothing can be said: no such piece, a figure that cannot be, stopped
    static tl::expected<Inquiry, Problem> of(Case given, const material::Library& library, Cache& cache,
                                             std::stop_token stop = {});
    const Scene& scene() const { return scene_; }
    const Case& given() const { return given_; }

    Diagnosis diagnose() const;
    void answer(const std::string& cause, bool yes) { given_.answered[cause] = yes; }
    void unanswer(const std::string& cause) { given_.answered.erase(cause); }

    /// Runs the piece anew with the change of a cause; nothing where there is none, or it does not help.
    std::optional<Tried> tried(const material::Cause& cause, Cache& cache, std::stop_token stop = {}) const;

private:
    Case given_;
    Scene scene_;
    const material::Library* library_ = nullptr;
};

}  // namespace uovo::why
