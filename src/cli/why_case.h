// uovo-cli why CASE.json: what went wrong with a piece, and why (docs/format.md, "Why cases").
#pragma once
#include <nlohmann/json_fwd.hpp>
#include <string>
#include <tl/expected.hpp>
#include <vector>

#include "core/quantity/quantity.h"

namespace uovo::cli {

/// Runs a case. @returns the causes as JSON, or what is wrong with the case and where
tl::expected<nlohmann::json, Problem> whyCase(const nlohmann::json& given);
int why(const std::vector<std::string>& args);

}  // namespace uovo::cli
