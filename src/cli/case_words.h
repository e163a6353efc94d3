// What is wrong with a case file, in words of ours and not of the library that read it.
#pragma once
#include <string>

#include <nlohmann/json.hpp>

#include "core/document/plan.h"

namespace uovo::cli {

/// "“on” is missing." or "A text stands where a number is expected."
std::string inWords(const nlohmann::json::exception& e);

/// The plan of a case: its piece with the keys of a plan of either version, and "kitchen" and "own" where it has them.
tl::expected<Plan, Problem> casePlan(const nlohmann::json& given);

}  // namespace uovo::cli
