// `Plan` in, `Answers` out: the chain of all stages, remembered stage by stage.
#pragma once
#include <functional>
#include <memory>
#include <stop_token>

#include "core/answers/cache.h"
#include "core/day/chance.h"
#include "core/stages/figures.h"

namespace uovo {

struct Answers : PlanFigures {
    std::vector<Answer> evening;           ///< about the plan as a whole
    std::shared_ptr<const DayPlan> day;    ///< null while it is being laid out
    std::shared_ptr<const Chance> chance;  ///< of the day; null while it is not known
    std::vector<Problem> problems;         ///< of the whole plan
    std::vector<std::string> cautions;
    double seconds = 0;
};

struct AnswerOptions : MadeOptions {
    bool day = true;                             ///< lay the day out as well
    bool ways = true;                            ///< compute ways out of weak answers
    bool strength = true;                        ///< reckon whether the pieces hold
    bool chance = false;                         ///< … and play it, to say how likely it is ready
    std::shared_ptr<const DayPlan> before = {};  ///< the day before an edit, which the new one stays near to
    bool together = true;                        ///< find in which order parts are put together
    double effort = 1;                           ///< share of the usual layouts of a day that are tried
};

/// Everything that follows from a plan. Pure: the same plan gives the same answers; only what changed is computed
/// again.
/// @param early called with the figures of every piece, before ways out and the day are looked for, and again when
/// their strength is known; may be empty
/// @returns the answers, or nothing when stopped
std::optional<Answers> answer(const Plan& plan, const material::Library& library, Cache& cache,
                              const AnswerOptions& options = {}, std::stop_token stop = {},
                              const std::function<void(const Answers&)>& early = {});

/// Lays out networks, each once: a day that was found before comes back as it was.
/// @param share of the usual effort
Solve rememberedSolve(Cache& cache, std::stop_token stop = {}, double share = 1);

/// Puts a layout in the place of the one that is remembered of a network.
void remember(Cache& cache, const schedule::Network& network, schedule::Found found);

/// The same answers as JSON (docs/format.md, "Answers").
std::string answersJson(const Plan& plan, const Answers& answers);

}  // namespace uovo
