// The change to a plan that removes a cause.
#pragma once
#include "core/why/evidence.h"

namespace uovo::why {

/// What a plan would have to do otherwise.
struct Change {
    std::string title;  ///< "Leave it 26 min in the fridge"
    Plan plan;          ///< with it
};

/// The change of that id in data/faults.json, reckoned from this piece's figures.
/// @param planned the plan as it is, without what was given @param scene as it was made
/// @returns nothing where the plan does so already, or it is not for this piece
std::optional<Change> change(const std::string& id, const Plan& planned, const Scene& scene);
bool isChange(const std::string& id);

}  // namespace uovo::why
