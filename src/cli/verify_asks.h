// What a verification case may ask: each ask is a small program over the core.
#pragma once
#include <nlohmann/json_fwd.hpp>
#include <string>
#include <tl/expected.hpp>
#include <vector>

#include "core/quantity/quantity.h"

namespace uovo::cli {

/// @returns our value for the ask, SI unless the ask's name says otherwise (docs/format.md, "Verification cases")
tl::expected<double, Problem> answerAsk(const std::string& ask, const nlohmann::json& given);

std::vector<std::string> knownAsks();

}  // namespace uovo::cli
