// Which chocolate of a piece is seen from outside.
#pragma once
#include "core/document/plan.h"

namespace uovo {

/// The chocolate of the coat that is seen from outside.
std::string shownChocolate(const Piece& piece);
/// The same of one of its parts. @param coated its wall is made by coats, else it is cast
std::string shownChocolate(const Piece& piece, const form::Item& item, bool coated);

}  // namespace uovo
