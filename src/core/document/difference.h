// What two versions of a plan do not have in common, in words for a person who must choose between them.
#pragma once
#include <string>
#include <vector>

#include "core/document/plan.h"

namespace uovo {

struct Difference {
    std::string what;          ///< "Crater bowl, coat 2: drain"
    std::string mine, theirs;  ///< "30 s", "—" where it is not there
};

/// @returns what differs, in the order of the plan's file; empty when both are the same
std::vector<Difference> differences(const Plan& mine, const Plan& theirs);

}  // namespace uovo
