// Figures as they are said aloud.
#pragma once
#include <string>

namespace uovo {

/// "Coat bowls 1–6 at 32 °C, 259 g" → "Coat bowls 1 to 6 at 32 degrees, 259 grams". Inches stay: "in" is a word too.
std::string spoken(const std::string& written);

}  // namespace uovo
