// uovo-cli assembly CASE.json: parts at their places, what touches, what is glued; an order in which every state
// stands (docs/format.md, "Assembly cases").
#pragma once
#include <nlohmann/json_fwd.hpp>
#include <string>
#include <tl/expected.hpp>
#include <vector>

#include "core/quantity/quantity.h"

namespace uovo::cli {

/// Runs a case. @returns the order as JSON, or what is wrong with the case and where
tl::expected<nlohmann::json, Problem> assemblyCase(const nlohmann::json& given);
/// The largest value between `low` and `high` up to which the finished parts stand (from which on, where `low` falls):
/// `vary` names the numbers of the case that take it, as {"path", "times", "plus"}.
tl::expected<double, Problem> assemblyLimit(const nlohmann::json& given);
int assembly(const std::vector<std::string>& args);

}  // namespace uovo::cli
