// When a wall gives way sideways.
#pragma once
#include "core/shell/system.h"

namespace uovo::shell {

/// Load factor at which the wall buckles: the smallest λ with K + λ Kg singular; infinite when nothing is pressed
/// together.
/// @param shifts under the load
double buckles(const System& system, const Freedoms& shifts, std::stop_token stop = {});

}  // namespace uovo::shell
