// What things leave free that a piece is put into or onto: a box, a plate, a mug.
#pragma once
#include "core/form/outline.h"

namespace uovo::form {

/// A circle on the table, m.
struct Circle {
    Point2 at{};
    double radius = 0;
};
/// The smallest circle round points (Welzl 1991, moved to front); radius 0 for none.
Circle circleRound(const Loop& points);

/// A piece seen from above as it stands, with its walls; m.
struct Outside {
    Loop hull;  ///< convex, of all of it
    Loop foot;  ///< convex, of what touches the table
    double height = 0;
};
/// @param solid all of it as it is put together
Outside outsideOf(const Mesh& solid);

/// What a box leaves free of a piece that is turned in it as is best. m; below nothing: so much does not go in.
struct InBox {
    double beside = 0, above = 0;
    double length = 0, width = 0;  ///< of the piece, turned so, along the box's length and width
};
InBox inBox(const Outside& piece, double length, double width, double height);

}  // namespace uovo::form
