// A day played through without a kitchen: hands and settings scatter as in the chance to be ready, mishaps come as
// often as they are planned for, and somebody answers them.
#pragma once
#include <functional>
#include <stop_token>

#include "core/run/fate.h"

namespace uovo::run {

/// How a person answers a mishap. @param offered ways to go on @returns number of one of them
using Answering = std::function<size_t(const Run&, const Event&, const std::vector<Way>& offered)>;

/// What a rehearsal cost, and why.
struct Told {
    std::string cause;     ///< "slow", "waits", or a mishap's word
    double minutes = 0;    ///< lost, or of hands spent
    double kilograms = 0;  ///< of chocolate
    int times = 0;
};

struct Rehearsal {
    Run run;
    double late = 0;            ///< min after the deadline; below 0: before it
    int wanted = 0, whole = 0;  ///< pieces
    std::vector<Told> costs;    ///< the dearest first
    std::string habit;          ///< what to practise: id of a lesson, or "pace"; empty: nothing
};

/// Plays a whole day. @param library with the plan's colours. The same seed and answers give the same events. @param
/// told after each event, may be empty
tl::expected<Rehearsal, Problem> rehearse(const Plan& plan, const material::Library& library, const PlanFigures& known,
                                          const DayPlan& day, unsigned seed, const Luck& luck = {},
                                          const Answering& answer = {}, std::stop_token stop = {},
                                          const std::function<void(const Event&)>& told = {});

}  // namespace uovo::run
