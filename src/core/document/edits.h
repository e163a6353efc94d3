// Edits that a person makes in one move and that are several in the plan: what follows from a choice is changed with
// it.
#pragma once
#include "core/document/plan.h"

namespace uovo {

/// Makes a piece of another chocolate; the baths of its coats follow where they would be too cold or too hot for it.
void setChocolate(Piece& piece, const std::string& chocolate, const Plan& plan, const material::Library& library);
/// The same of one part of a compound, which gets coats or a cast of its own for that.
/// @param chocolate id; empty: as the whole, its own steps are taken out @param assembly the compound as it is built
void setChocolateOf(Piece& piece, const std::string& item, const std::string& chocolate, const form::Assembly& assembly,
                    const Plan& plan, const material::Library& library);
/// Id of the chocolate that a part has by steps of its own; empty: as the whole.
std::string chocolateOf(const Piece& piece, const std::string& item);
/// A ready-made compound becomes the assembly its recipe builds; its making stays.
/// @returns why it cannot be built
tl::expected<void, Problem> open(Piece& piece, const form::Meshes& meshes);
/// Takes a colour out of a plan; what was of it is of its base again.
void removeColour(Plan& plan, const std::string& colour);
/// Takes a part out of an assembly, with its joints and the steps that are only for it.
void removePart(Piece& piece, const std::string& item);

/// A step of a making once more behind itself, elsewhere or not at all; nothing where there is no such step.
void copyStep(Piece& piece, size_t at);
void removeStep(Piece& piece, size_t at);
/// @param to where it stands afterwards; beyond the end: last
void moveStep(Piece& piece, size_t at, size_t to);
/// Whether words were said in the units of the other system: "5 1/2 in" where it is metric.
bool isOfOther(const std::string& words, UnitSystem units);
/// Switches a plan between metric and US. Figures stay; words said in the other system go, so that all is shown in the
/// new one. What is said afterwards stays as it is spoken, in whatever units.
void switchUnits(Plan& plan, UnitSystem units);

}  // namespace uovo
