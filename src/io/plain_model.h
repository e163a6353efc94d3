// What of a model's file is handed to a reader that trusts it: checked to its last byte first, and only corners and
// faces.
#pragma once
#include <string>

#include <tl/expected.hpp>

#include "core/quantity/quantity.h"

namespace uovo::io {

inline constexpr std::size_t kMostFaceCorners = 1000;  ///< corners of one face

/// @param extension "stl", "ply" (bytes as they are) or "obj" (its corners and faces alone: no materials, no lines)
/// @returns what may be read, or why the file is damaged, cut short, or beyond the budget
tl::expected<std::string, Problem> plainModel(const std::string& bytes, const std::string& extension);

}  // namespace uovo::io
