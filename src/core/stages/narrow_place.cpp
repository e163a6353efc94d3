#include "core/stages/narrow_place.h"

#include <algorithm>

namespace uovo {

NarrowPlace narrowPlace(const cutting::Narrow& n, double thickness, const std::string& chocolate, const Plan& plan,
                        const material::Library& lib) {
    NarrowPlace out;
    out.hangs = lib.find(chocolate)->at("densitySolid").value * n.beyond * thickness;
    out.mean = strengthOf(plan, lib, chocolate).strength.mean;
    const double tension = 6 * lib.usual("jerk") * out.hangs * kGravity * n.lever / (n.width * thickness * thickness);
    out.bears = out.mean / std::max(tension, 1e-9);
    return out;
}

}  // namespace uovo
