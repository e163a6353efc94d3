// uovo-cli mold: a silicone mold of an original, a case in JSON (docs/format.md, "Mold cases").
#pragma once
#include <nlohmann/json.hpp>

#include "core/document/plan.h"

namespace uovo::cli {

tl::expected<nlohmann::json, Problem> moldCase(const nlohmann::json& given);
int moldOf(const std::vector<std::string>& args);

}  // namespace uovo::cli
