// A mesh that says what a ray meets: boxes in boxes, any triangle.
#pragma once
#include "core/form/mesh.h"

namespace uovo::form {

/// Keeps the triangles; asking is thread safe.
class Rays {
public:
    explicit Rays(const Mesh& mesh);

    /// Whether a ray meets a triangle, however near. @param along any length but 0
    bool blocked(const Vec3& from, const Vec3& along) const;

private:
    struct Corners {
        Vec3 a, ab, ac;
    };
    struct Node {
        Box box;
        int left = 0;             // its right one follows all of the left one
        int right = 0;            // number of it
        int first = 0, many = 0;  // of a leaf; many 0: no leaf
    };
    int build(int first, int many, std::vector<int>& order, const std::vector<Box>& boxes);

    std::vector<Corners> corners_;  // in the order of the leaves
    std::vector<Node> nodes_;
};

}  // namespace uovo::form
