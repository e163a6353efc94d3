// How far a part can be moved along an axis before it touches another: letting it down, pushing it against something.
#pragma once
#include "core/form/near.h"

namespace uovo::assembly {

/// One of the six ways along the axes.
struct Way {
    int axis = 2;      ///< 0 to the right, 1 to the back, 2 up
    double sign = -1;  ///< along it or against it
    form::Vec3 unit() const;
    bool operator==(const Way&) const = default;
};
inline constexpr Way kDown{2, -1}, kUp{2, 1}, kRight{0, 1}, kLeft{0, -1}, kBack{1, 1}, kFront{1, -1};

/// The least way between a moving part and one that stays, along an axis: where faces look at each other. Exact for
/// triangles, for the gap of two planes is least at a corner of what they share.
/// @param deep m, a part that sits so deep in the other already is still taken as before it
/// @returns m, below 0 where it sits in it; infinity where it passes by
double freeWay(const form::Mesh& moving, const form::NearMesh& stays, const Way& way, double deep);

}  // namespace uovo::assembly
