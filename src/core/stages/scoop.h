// A scoop of ice cream in a bowl or cup.
#pragma once
#include "core/stages/made.h"

namespace uovo {

/// How a ball lies in what is open at the top. m
struct Scoop {
    double free = 0;  ///< all round it where it is widest, or above that where less is free; below nothing: too wide
    double over = 0;  ///< of it over the rim; below nothing: so far beneath it
};

/// Where a ball comes to lie that is let down in the middle, against the inside that the finished wall leaves.
/// @param across m, of the ball @returns nothing for what has no hollow that is open at the top
std::optional<Scoop> scoopIn(const Made& made, double across);

}  // namespace uovo
