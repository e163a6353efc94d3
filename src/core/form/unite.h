// Meshes that pass through themselves: found, and made into one body with one surface.
#pragma once
#include <cstddef>
#include <optional>
#include <stop_token>

#include "core/form/mesh.h"

namespace uovo::form {

/// Where faces pass through others that they share no corner with.
struct Crossings {
    size_t pairs = 0;
    size_t between = 0;  ///< of them, of different bodies
    Vec3 at;             ///< m, of the first
};
/// @param most pairs that are counted
Crossings crossingsOf(const Mesh& mesh, size_t most = 10'000);

/// The surface round all that is inside of any of its bodies: what is inside by the winding number of its faces, made
/// anew on a grid. Bodies in each other become one, faces inside vanish; detail finer than a cell is lost. Closed.
/// @param mesh closed, outward @param cells along its longest side
/// @returns nothing when stopped
std::optional<Mesh> united(const Mesh& mesh, int cells = 130, std::stop_token stop = {});

/// m, a cell of that grid.
double cellOf(const Mesh& mesh, int cells = 130);

}  // namespace uovo::form
