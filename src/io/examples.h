// Plans that ship with the program, to look at and to begin from.
#pragma once
#include "core/document/plan.h"

namespace uovo::io {

struct Example {
    std::string file;   ///< name without its ending, "garden-table"
    std::string name;   ///< of the plan
    std::string about;  ///< what is to be seen in it, a few words
};
const std::vector<Example>& examples();

/// An example that is ready at its time of day, on the next day of its weekday that leaves `lead` minutes.
/// @param file of examples() @param now local minutes
Plan examplePlan(const std::string& file, long now, long lead = 1440);

}  // namespace uovo::io
