// uovo-cli shell CASE.json: a shell, what holds it, what loads it, and what is asked of it (docs/format.md, "Shell
// cases").
#pragma once
#include <nlohmann/json_fwd.hpp>
#include <string>
#include <tl/expected.hpp>
#include <vector>

#include "core/quantity/quantity.h"

namespace uovo::cli {

/// Runs a case. @returns the answers as JSON, or what is wrong with the case and where
tl::expected<nlohmann::json, Problem> shellCase(const nlohmann::json& given);
int shell(const std::vector<std::string>& args);

}  // namespace uovo::cli
