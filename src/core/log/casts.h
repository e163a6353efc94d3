// Casts that molds of one's own have made, from the evenings of a log.
#pragma once
#include "core/log/evening.h"

namespace uovo::log {

struct Casts {
    int each = 0;      ///< casts of one mold
    int evenings = 0;  ///< they were made on
    std::string last;  ///< date
};

/// By the pieces of a plan that are cast in molds of their own: what those molds have made. A mold is known again by
/// its original, that is by shape, size and model. Where nobody said how many were begun, as many as were planned
/// count; several molds have shared the work.
/// @param evenings in any order
std::map<std::string, Casts> castsOf(const std::vector<Evening>& evenings, const Plan& plan);

}  // namespace uovo::log
