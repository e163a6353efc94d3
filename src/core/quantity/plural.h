// Names of pieces in the plural, for titles of steps.
#pragma once
#include <string>

namespace uovo {

/// "moon to break" → "moons to break", "observatory" → "observatories", "half of an egg" → "halves of an egg".
std::string plural(const std::string& name);

}  // namespace uovo
