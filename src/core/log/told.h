// Entries of the log, and an evening beside its plan, in a cook's words.
#pragma once
#include "core/log/evening.h"
#include "core/stages/figures.h"

namespace uovo::log {

/// "Crater bowl, after coat 1: 56 g."
std::string told(const Entry& entry, const Evening& evening, const material::Library& library);

/// A figure as it was planned and as it came out, SI.
struct Beside {
    std::string piece;  ///< id
    std::string words;  ///< "after coat 1"
    double planned = 0, low = 0, high = 0;
    double real = 0;
    Dimension dimension = Dimension::Mass;
};
/// What was measured of an evening beside what its plan said, in the order it was made.
std::vector<Beside> beside(const Evening& evening, const PlanFigures& planned);

/// "Ready at 21:42; 21:30 was planned." from the log of its day; empty where there is none.
std::string readyWords(const Evening& evening);

}  // namespace uovo::log
