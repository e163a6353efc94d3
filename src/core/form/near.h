// What of a surface is nearest to a point: for contacts between parts.
#pragma once
#include <memory>
#include <optional>

#include "core/form/mesh.h"

namespace uovo::form {

/// The nearest place of a surface.
struct Near {
    Vec3 at;
    Vec3 outward;         ///< of the surface there: its face's, or on an edge or corner the mean of the faces that meet
    double distance = 0;  ///< m, below 0 inside
    bool smooth = true;   ///< the faces that meet there lie in one plane, or nearly
    size_t triangle = 0;
};

/// A closed mesh that can be asked for what is near. Keeps a copy; asking is thread safe.
class NearMesh {
public:
    explicit NearMesh(const Mesh& mesh);
    ~NearMesh();
    NearMesh(NearMesh&&) noexcept;
    NearMesh& operator=(NearMesh&&) noexcept;

    /// The nearest place within so many m; none where there is none. Sign by angle-weighted pseudonormals (Bærentzen,
    /// Aanæs 2005).
    std::optional<Near> near(const Vec3& point, double within) const;
    const Mesh& mesh() const;
    /// The triangles at an edge between two corners, and whether they lie in one plane, or nearly.
    struct Edge {
        Vec3 outward;
        bool smooth = true;
        std::vector<size_t> triangles;
    };
    const Edge& edge(int a, int b) const;
    /// Unit normal of a triangle.
    const Vec3& normalOf(size_t triangle) const;
    /// Numbers of the triangles whose boxes meet a box.
    std::vector<size_t> trianglesIn(const Box& box) const;
    Box box() const;

private:
    struct Inside;
    std::unique_ptr<Inside> inside_;
};

}  // namespace uovo::form
