// What is made ready before the first chocolate of a piece.
#pragma once
#include "core/document/plan.h"

namespace uovo::day {

/// Its former, by the care it wants; or what it goes round.
enum class Former { Core, Balloon, Acetate, PaperCase, NestedPaperCases, Mold, SiliconeCup, Cup };
Former formerOf(const Piece& piece);

}  // namespace uovo::day
