// One record as JSON (docs/format.md, "Records").
#pragma once
#include <nlohmann/json_fwd.hpp>

#include "core/learn/record.h"

namespace uovo::learn {

/// Throws a Problem with its place below `where`, or an exception of the library.
Record recordFrom(const nlohmann::json& j, const std::string& where);
nlohmann::json jsonOf(const Record& record);

}  // namespace uovo::learn
