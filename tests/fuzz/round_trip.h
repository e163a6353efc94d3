// What every plan that is read must do: be written and read again as the same file.
#pragma once
#include <cstdlib>

#include "core/document/plan.h"

inline void mustReadBack(const uovo::Plan& plan) {
    const std::string text = uovo::writePlan(plan);
    const auto again = uovo::readPlan(text);
    if (!again || uovo::writePlan(*again) != text) std::abort();
}
