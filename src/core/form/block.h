// A plain block, the simplest closed body.
#pragma once
#include "core/form/mesh.h"

namespace uovo::form {

/// Eight corners, twelve triangles, outward. @param low, high its corners, m
inline Mesh block(const Vec3& low, const Vec3& high) {
    Mesh m;
    for (const double z : {low.z, high.z})
        for (const auto& [x, y] : {std::array{low.x, low.y}, {high.x, low.y}, {high.x, high.y}, {low.x, high.y}})
            m.points.push_back({x, y, z});
    m.triangles = {{0, 2, 1}, {0, 3, 2}, {4, 5, 6}, {4, 6, 7}, {0, 1, 5}, {0, 5, 4},
                   {1, 2, 6}, {1, 6, 5}, {2, 3, 7}, {2, 7, 6}, {3, 0, 4}, {3, 4, 7}};
    return m;
}

}  // namespace uovo::form
