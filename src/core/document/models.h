// The models that a plan keeps for its pieces.
#pragma once
#include <string>

#include "core/document/plan.h"

namespace uovo {

/// Drops the models that no piece is made of any more. @returns whether there were any
bool pruneModels(Plan& plan);

/// A name for a model of a piece that takes no other piece's model away: `name`, or "name 2", …
/// @param piece id of the piece that gets it; its own model may be replaced
std::string freeModelName(const Plan& plan, const std::string& name, const std::string& piece);

/// Adds a piece that is cast in a silicone mold of a model. @param name of both @param mesh closed, m
/// @returns the piece, last on the shelf; it is complete
Piece& addModelPiece(Plan& plan, const std::string& name, form::Mesh mesh);

/// The model as it is kept: its corners on a grid of ten nanometres, far finer than any print, so that a file of it is
/// short.
form::Mesh keptModel(form::Mesh mesh);

}  // namespace uovo
