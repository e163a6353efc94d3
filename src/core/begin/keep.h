// Pieces taken from one plan into another, with all they need: an own shelf that outlives a plan is a plan too.
#pragma once
#include "core/document/plan.h"

namespace uovo {

/// Copies a piece with its fillings, toppings, colours and models. What is there already and equal is used; what is
/// there under the same name and is another gets a name of its own.
/// @returns the id of the copy in `into`; empty where there is no such piece
std::string copyPiece(const Plan& from, const std::string& piece, Plan& into);

}  // namespace uovo
