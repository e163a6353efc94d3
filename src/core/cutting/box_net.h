// A box of cardboard round an original: its net, cut and folded up.
#pragma once
#include "core/form/mesh.h"
#include "core/form/outline.h"

namespace uovo::cutting {

struct BoxNet {
    form::Loop outline;                              ///< m, counter-clockwise, its floor's corner at the origin
    std::vector<std::array<form::Point2, 2>> folds;  ///< lines along which it is folded up
    form::Vec3 inside;                               ///< m
    double flap = 0;                                 ///< m, of the tongues at two of the walls
};

/// Floor, four walls and a tongue at each end of two of them, in one piece of card.
/// @param inside m, length, width, height @param flap m
BoxNet boxNet(const form::Vec3& inside, double flap = 0.012);

/// Each corner of the outline where it comes to stand once all is folded up: tongues lie on the walls beside them.
std::vector<form::Vec3> foldedUp(const BoxNet& net);

}  // namespace uovo::cutting
