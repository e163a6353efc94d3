// What people call things in a plan.
#pragma once
#include <functional>

#include "core/document/plan.h"

namespace uovo {

/// Shows each name and note of a plan that a person gave to `visit`, which may change it.
void eachName(Plan& plan, const std::function<void(std::string&)>& visit);

}  // namespace uovo
