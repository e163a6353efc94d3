// Spares: whole pieces, or parts of what is put together from many.
#pragma once
#include "core/stages/figures.h"

namespace uovo {

/// Pieces that are made so that those that are wanted are there, as sure as the kitchen's figures ask.
/// What is put together from many parts is not made twice: parts of it are.
/// @param survives share of pieces that comes out whole
int toMake(const Piece& piece, const Made& made, double survives, const material::Library& library);

/// Parts that are made besides, a number an item: of parts that are alike, all are told at the first. A long thin part
/// breaks before a short thick one. Empty where whole pieces are spared, or nothing breaks; coated walls have none.
std::vector<int> spareParts(const Piece& piece, const Made& made, double survives, const material::Library& library);

/// "1 spare wall and 2 spare rails"; empty where there are none.
std::string sparePartWords(const Made& made, const std::vector<int>& spares);

}  // namespace uovo
