// uovo-cli nest CASE.json: outlines with counts laid out on sheets (docs/format.md, "Nest cases").
#pragma once
#include <nlohmann/json_fwd.hpp>
#include <string>
#include <tl/expected.hpp>
#include <vector>

#include "core/quantity/quantity.h"

namespace uovo::cli {

/// Runs a case. @returns the layout as JSON, or what is wrong with the case and where
tl::expected<nlohmann::json, Problem> nestCase(const nlohmann::json& given);
int nest(const std::vector<std::string>& args);

}  // namespace uovo::cli
