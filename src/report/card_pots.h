// The card's first pages: how each pot is melted, tempered and coloured.
#pragma once
#include "core/answers/answers.h"
#include "report/page.h"

namespace uovo::report {

/// One block a pot: grams, batches, dividing, colour, the steps with their degrees, how long it serves, what is wanted
/// late.
void paintPots(Page& page, const Plan& plan, const material::Library& library, const Answers& answers);

}  // namespace uovo::report
