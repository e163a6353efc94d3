// Fewer triangles for the same shape.
#pragma once
#include <functional>
#include <optional>
#include <stop_token>

#include "core/form/mesh.h"

namespace uovo::form {

/// Collapses edges, cheapest first, until about `triangles` are left: quadric error metric, Garland & Heckbert 1997.
/// Collapses that would fold a face over or join what must stay apart (link condition) are skipped, so a closed
/// manifold stays one. @param progress called with 0..1 now and then
/// @returns nothing when stopped
std::optional<Mesh> decimated(const Mesh& mesh, size_t triangles, std::stop_token stop = {},
                              const std::function<void(double)>& progress = {});

}  // namespace uovo::form
