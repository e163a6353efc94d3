// Sentences that were made in metric units, in the units a person speaks.
#pragma once
#include <string>

#include "core/quantity/quantity.h"

namespace uovo {

/// Lengths, volumes, grams and degrees of a sentence of ours in another system: "at most 20 mm" is "at most 3/4 in",
/// "between 20 and 60 °C" is "between 68 °F and 140 °F". Everything else stays, "1300 kg/m³" too.
std::string restated(const std::string& metric, UnitSystem system);

}  // namespace uovo
