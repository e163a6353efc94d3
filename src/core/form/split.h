// A closed mesh cut in two by a plane, each half closed again; pegs and sockets so that they find each other.
#pragma once
#include <functional>
#include <optional>
#include <tl/expected.hpp>
#include <unordered_map>

#include "core/form/outline.h"

namespace uovo::form {

/// Some of the triangles, with their own corners. @param taken by number
/// @param corners if given, filled with the new number of each old corner
Mesh onlyThose(const Mesh& mesh, const std::function<bool(size_t)>& taken,
               std::unordered_map<int, int>* corners = nullptr);

struct Plane {
    Vec3 at;      ///< m
    Vec3 normal;  ///< unit
};

/// Two directions in a plane and its normal, right-handed.
struct PlaneAxes {
    Vec3 x, y, z;
};
PlaneAxes axesOf(const Plane& plane);

/// A closed line in which a plane cuts a mesh, in the axes of the plane about its point; material lies left of it.
struct Section {
    Loop loop;        ///< m; counter-clockwise outside, clockwise round a hole
    double area = 0;  ///< m², below 0 for a hole
    Vec3 middle;      ///< m, of its corners
};
/// All of them, the largest first. The plane is shifted by a millionth of the size where a corner lies in it.
std::vector<Section> sectionsAt(const Mesh& mesh, const Plane& plane);

/// A peg on the half below and its socket in the half above.
struct Key {
    Vec3 at;  ///< m, middle of its foot in the plane
    double radius = 0, depth = 0;
};

struct SplitOptions {
    std::optional<size_t> only;  ///< number of the section that is cut through, of sectionsAt; none: all of them
    int keys = 0;                ///< pegs wanted; fewer where no more find room
    double play = 2e-4;          ///< m by which a socket is wider and deeper
};

struct Split {
    Mesh above, below;  ///< closed; above is where the plane's normal points
    double area = 0;    ///< m² of the cut
    std::vector<Key> keys;
};

/// Cuts a closed mesh. Its volume is that of both halves, but for the play of the keys.
/// @returns them, or in a sentence why it cannot be cut so
tl::expected<Split, Problem> split(const Mesh& mesh, const Plane& plane, const SplitOptions& options = {});

/// Fills holes: lines along which triangles have nothing on their other side, each by a face in the plane that fits it
/// best, or by a fan from its middle.
/// @param closed filled with how many were closed
Mesh withoutHoles(const Mesh& mesh, int& closed);

/// The same mesh on a flat foot: what lies below its lowest point plus `sink` is cut off, and what is cut stands on a
/// prism of so much height. @param sink m @param height m
tl::expected<Mesh, Problem> onFoot(const Mesh& mesh, double sink, double height);

/// A closed mesh with a hollow inside, `wall` from its surface. The hollow is closed: a plane opens it.
/// @returns it, or why not: somewhere it is thinner than two walls
tl::expected<Mesh, Problem> hollowed(const Mesh& mesh, double wall);

}  // namespace uovo::form
