// What a day at the bench measured, as records.
#pragma once
#include "core/learn/record.h"
#include "core/run/run.h"

namespace uovo::learn {

/// An evening from a run and the plan that it was worked by: every weighing that was not taken back, with the coats
/// that were on the piece by then. What was weighed with something in it or on it is left out.
Evening eveningOf(const run::Run& run, const Plan& plan);

}  // namespace uovo::learn
