// What can be done with a broken part, in words.
#pragma once
#include "core/material/material.h"
#include "core/stages/mending.h"

namespace uovo {

struct MendLine {
    std::string title;    ///< "Glue it back, with a strip over the break"
    std::string figures;  ///< "9 min of hands, bears after 30 min, 14 g"
    std::string verdict;  ///< "as strong as before", "for show"
    Tone tone = Tone::Plain;
};
std::vector<MendLine> mendLines(const std::vector<Mend>& mends, UnitSystem units);

}  // namespace uovo
