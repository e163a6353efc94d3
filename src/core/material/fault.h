// What can go wrong with a piece, a pot or a day, and what may have caused it: data/faults.json.
#pragma once
#include <string>
#include <vector>

namespace uovo::material {

/// A question that tells a cause from the others.
struct Check {
    std::string question;  ///< answered by yes or no
    double ifSo = 0.85;    ///< chance of a yes where this was the cause
    double ifNot = 0.2;    ///< … where it was another
    double cost = 1;       ///< of asking it: 1 a look
};

struct Cause {
    std::string id, words;  ///< words: a sentence without its full stop
    double usual = 0;       ///< how usual it is, 0–1
    double makes = 0;       ///< how often it makes the fault where it is there, 0–1
    std::string evidence;   ///< id of what computes it from a piece's own figures (core/why); empty: only usual
    std::string change;     ///< id of the change to a plan that removes it; empty: only advice
    std::string advice;     ///< what to do otherwise; a sentence
    Check check;
};

struct Fault {
    std::string id, name;
    std::string about;  ///< "piece", "pot" or "day"
    std::string of;     ///< what a piece must have: "balloon", "wall", "released", "joints", "sheets", "toppings",
                        ///< "holds", or "any"
    std::vector<Cause> causes;
};

}  // namespace uovo::material
