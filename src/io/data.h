// The library of chocolates, formers and cautions that ships with the program, and the demo plan.
#pragma once
#include "core/document/plan.h"
#include "core/log/evening.h"

namespace uovo::io {

/// The library; read once. Asserts that the shipped data is whole (a test checks it).
const material::Library& library();

/// What a plan that ships calls its things, in the language of the cook.
void inLanguage(Plan& plan);

/// The demo plan, ready at half past nine in the evening of `today`. @param today local minutes of some moment that day
Plan demoPlan(long today);

inline constexpr long kDemoLead = 9 * 60;  ///< min: its day takes less (a test sees to it)

/// The demo for a person who opens it at `now`: this evening's, or tomorrow's when work should have begun already.
/// @param leadMinutes what the day plan needs before the deadline
Plan demoPlanFor(long now, long leadMinutes = kDemoLead);

/// Two invented evenings before the demo's, to look at. @param today local minutes of the demo's day
std::vector<log::Evening> demoLog(long today);

}  // namespace uovo::io
