// Amounts as recipes write them: "120 g", "½ cup", "3".
#pragma once
#include "core/document/plan.h"

namespace uovo {

/// Reads a mass, a volume or a bare count into an ingredient's `by` and `amount`; the rest of it stays.
tl::expected<void, TypingProblem> readAmount(std::string_view text, bool metricCup, Ingredient& ingredient);
/// An amount of an ingredient times a factor, "210 g", "3.6".
std::string amountOf(const Ingredient& ingredient, double factor, UnitSystem units);
/// As it was typed, or formatted.
std::string writtenAmount(const Ingredient& ingredient, UnitSystem units);

}  // namespace uovo
