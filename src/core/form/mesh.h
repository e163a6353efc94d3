// Triangle meshes: what a shape weighs, holds and measures, and whether it is sound.
#pragma once
#include <algorithm>
#include <array>
#include <cmath>
#include <cstdint>
#include <string>
#include <vector>

namespace uovo::form {

struct Vec3 {
    double x = 0, y = 0, z = 0;
    Vec3 operator+(const Vec3& o) const { return {x + o.x, y + o.y, z + o.z}; }
    Vec3 operator-(const Vec3& o) const { return {x - o.x, y - o.y, z - o.z}; }
    Vec3 operator*(double k) const { return {x * k, y * k, z * k}; }
    Vec3& operator+=(const Vec3& o) { return *this = *this + o; }
    bool operator==(const Vec3&) const = default;
};
inline double dot(const Vec3& a, const Vec3& b) { return a.x * b.x + a.y * b.y + a.z * b.z; }
inline Vec3 cross(const Vec3& a, const Vec3& b) {
    return {a.y * b.z - a.z * b.y, a.z * b.x - a.x * b.z, a.x * b.y - a.y * b.x};
}
inline double length(const Vec3& a) { return std::sqrt(dot(a, a)); }
/// The same direction with length 1; zero stays zero.
inline Vec3 unit(const Vec3& a) {
    const double n = length(a);
    return n > 0 ? a * (1 / n) : a;
}

/// What a triangle of a former's closed surface is.
enum class Mark : unsigned char {
    Wall,  ///< chocolate goes here
    Lid,   ///< closes an opening: nothing is there, it only makes the volume countable
};

using Triangle = std::array<int, 3>;

/// Triangles counter-clockwise seen from outside. m.
struct Mesh {
    std::vector<Vec3> points;
    std::vector<Triangle> triangles;
    std::vector<Mark> marks;  ///< one a triangle, or empty: all Wall
    bool operator==(const Mesh&) const = default;

    Mark mark(size_t triangle) const { return marks.empty() ? Mark::Wall : marks[triangle]; }
};

/// One number for an edge between two points of a mesh, whichever is named first.
using EdgeKey = std::uint64_t;
inline EdgeKey edgeKey(int a, int b) {
    return static_cast<EdgeKey>(static_cast<std::uint32_t>(std::min(a, b))) << 32 |
           static_cast<std::uint32_t>(std::max(a, b));
}

struct Box {
    Vec3 low, high;
    Vec3 size() const { return high - low; }
};

/// Volume inside a closed mesh, m³, by the divergence theorem; negative when it is inside out.
double volume(const Mesh& mesh);
/// Area of the triangles with a mark, m².
double area(const Mesh& mesh, Mark mark = Mark::Wall);
/// Centre of mass of the solid inside a closed mesh.
Vec3 centroid(const Mesh& mesh);
Box bounds(const Mesh& mesh);

/// Volume inside a closed mesh below the level z, m³.
double volumeBelow(const Mesh& mesh, double z);
/// Level z at which volumeBelow is `volume`; NaN when it does not fit.
double levelOf(const Mesh& mesh, double volume);

/// Convex hull of what touches the ground (points within `tolerance` of the lowest), counter-clockwise.
std::vector<std::array<double, 2>> footprint(const Mesh& mesh, double tolerance = 2e-4);

/// What is wrong with a mesh, in numbers; `closed() && oriented && flawless` is a solid.
struct MeshReport {
    size_t triangles = 0, openEdges = 0, crowdedEdges = 0;  ///< edges with one triangle, with more than two
    size_t flipped = 0;                                     ///< edges whose two triangles run the same way
    size_t degenerate = 0;                                  ///< triangles without area
    size_t slivers = 0;                                     ///< triangles with an angle under 10°
    size_t shells = 0;                                      ///< parts that do not share a corner
    bool sound() const { return triangles > 0 && !openEdges && !crowdedEdges && !flipped && !degenerate; }
};
MeshReport inspect(const Mesh& mesh);
/// The report in words for a person; empty when the mesh is sound.
std::string inWords(const MeshReport& report);

/// Corners nearer than `distance` become one; triangles that vanish are dropped.
Mesh weld(const Mesh& mesh, double distance);
/// Turned inside out.
Mesh reversed(Mesh mesh);
/// All triangles of both; corners are kept apart.
void append(Mesh& mesh, const Mesh& other);

/// The wall as a watertight solid: the Wall triangles of a closed surface, thickened by `thickness[corner]` m to the
/// side its normals point (`outward`) or to the other, and closed along every rim. At creases a corner moves so that
/// each face next to it is offset by the thickness (a mitre).
/// @param wall if given, filled with the thickness at each corner of the solid
Mesh shell(const Mesh& surface, const std::vector<double>& thickness, bool outward,
           std::vector<double>* wall = nullptr);
Mesh shell(const Mesh& surface, double thickness, bool outward);

/// Rotation (columns are the turned axes) and then a shift.
struct Pose {
    Vec3 x{1, 0, 0}, y{0, 1, 0}, z{0, 0, 1}, at;
    Vec3 operator()(const Vec3& p) const { return x * p.x + y * p.y + z * p.z + at; }
};
Mesh placed(Mesh mesh, const Pose& pose);

/// Length of the boundary between Wall and Lid triangles (rims), m.
double rimLength(const Mesh& mesh);

}  // namespace uovo::form
