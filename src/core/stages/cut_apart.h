// A figure that was cut apart becomes an assembly of its parts, each with a mold of its own, glued where they were cut.
#pragma once
#include "core/document/plan.h"
#include "core/mold/branches.h"

namespace uovo {

/// Puts the parts of a figure in place of it, at their places. Its models are kept in the plan under names of their
/// own.
/// @param piece id @param apart of its shape as it is built, m
void cutApart(Plan& plan, const std::string& piece, const mold::Branches& apart);

}  // namespace uovo
