// What a person begins with: one sentence, and what of it is understood.
#pragma once
#include "core/form/search.h"
#include "core/material/material.h"

namespace uovo {

/// "12 bowls that hold ice cream on Saturday at six".
struct Wanted {
    int count = 0;             ///< pieces; 0: not said
    int guests = 0;            ///< … that it is for; 0: not said
    std::string filling;       ///< id of a usual filling; empty: nothing goes in
    std::optional<long> day;   ///< days since 1970-01-01 on which it is ready
    std::optional<int> clock;  ///< minutes of that day
    bool breaks = false;       ///< it is there to be broken
    bool lidded = false;       ///< each with a lid
    struct Other {
        int count = 1;
        std::string things;
        form::Hit shape;
    };
    std::vector<Other> others;      ///< "… and 6 cones": what is named behind another number, if it is a shape
    std::string things;             ///< what is left of the sentence: what it shall be
    std::vector<form::Hit> shapes;  ///< that are it, best first
};

/// Reads a sentence. Nothing that is not understood is an error: it is left to the shapes.
/// @param now local minutes; a weekday is the next one, today's counts
Wanted wanted(const std::string& sentence, long now, const material::Library& library);

}  // namespace uovo
