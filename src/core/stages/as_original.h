// A piece of the plan as the original of a silicone mold: what Uovo can build can be copied.
#pragma once
#include <stop_token>

#include "core/document/plan.h"

namespace uovo {

/// Adds a piece that is cast in a mold taken of this one: its surface becomes a model of the plan.
/// Parts that reach into each other become one body, which takes a second.
/// @param piece id @returns the id of the new piece, or why no mold can be taken of it
tl::expected<std::string, Problem> asOriginal(Plan& plan, const std::string& piece, std::stop_token stop = {});

}  // namespace uovo
