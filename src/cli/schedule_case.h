// uovo-cli schedule CASE.json: tasks laid out over people, places and pots (docs/format.md, "Schedule cases").
#pragma once
#include <nlohmann/json_fwd.hpp>
#include <string>
#include <tl/expected.hpp>
#include <vector>

#include "core/quantity/quantity.h"

namespace uovo::cli {

/// Runs a case. @returns the day as JSON, or what is wrong with the case and where
tl::expected<nlohmann::json, Problem> scheduleCase(const nlohmann::json& given);
int schedule(const std::vector<std::string>& args);

}  // namespace uovo::cli
