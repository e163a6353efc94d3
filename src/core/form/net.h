// Nets: whether their lines hang together, and where a line runs farthest without meeting another.
#pragma once
#include <optional>

#include "core/form/mesh.h"

namespace uovo::form {

/// A hole of a net, closed all round.
struct NetHole {
    double round = 0;  ///< m along its edge
    Vec3 middle;       ///< m, of that edge
};

struct Net {
    size_t parts = 0;  ///< that do not hang together
    std::vector<NetHole> holes;
};

/// Of a wall with holes in it (Mark::Wall, Mark::Lid). What is open to the largest lid, the piece's own opening, is no
/// hole. @param surface closed
Net netOf(const Mesh& surface);

/// Of a flat net that lies on z = 0. @param solid closed @param height m at which it is cut through
Net flatNetOf(const Mesh& solid, double height);

}  // namespace uovo::form
