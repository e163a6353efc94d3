// Whether an original comes out of its mold: what is caught when a part of the mold is drawn off one way, the best way
// to draw it, where two parts would meet, how far a soft mold must stretch.
#pragma once
#include <functional>
#include <optional>
#include <stop_token>

#include "core/form/rays.h"

namespace uovo::mold {

/// Which way the mold that lies on a place of the surface comes off.
enum class Comes : unsigned char {
    Along,    ///< with the part that is drawn along the pull
    Against,  ///< with the other part, drawn the other way
    Caught,   ///< with neither: an undercut
    Open,     ///< there is no mold: the original stood on it, or the mold is filled through it
};

/// A patch of surface that hangs together and is caught.
struct Trapped {
    double area = 0;  ///< m²
    form::Vec3 at;    ///< m, its middle
    std::vector<int> triangles;
};

struct Undercuts {
    form::Vec3 pull;               ///< unit
    int parts = 1;                 ///< of the mold
    std::vector<Comes> comes;      ///< of each triangle: what most of it does
    std::vector<double> share;     ///< of each triangle's area that is caught, 0–1
    std::vector<double> draft;     ///< rad, of each triangle: between it and the pull; below 0 it faces away
    double area = 0, caught = 0;   ///< m²: of all that the mold lies on; of what is caught
    std::vector<Trapped> trapped;  ///< the largest first
    double parting = 0;            ///< m along the pull: the level where two parts meet
    double astray = 0;             ///< m² on the wrong side of that level: the parting is not flat there
    /// How much longer a ring of the mold must become to pass what stands in its way, as a share; one part only.
    double stretch = 0;
};

/// How far a mesh reaches along a direction, m.
struct Reach {
    double low = 0, high = 0;
    double length() const { return high - low; }
};
Reach reachAlong(const form::Mesh& mesh, const form::Vec3& along);

/// One map. @param parts 1: drawn off along the pull from what stands on a base; 2: two parts drawn apart
/// @param samples places looked at, spread over the surface by area; each triangle has one at least
Undercuts undercuts(const form::Mesh& mesh, const form::Rays& rays, const form::Vec3& pull, int parts,
                    int samples = 4000);

/// The pull with the least caught area of `many` spread evenly over all directions, with two parts over a half of them;
/// of equals the one that stretches least, then the first. @param told after each that was tried: how many of how many
/// @returns its whole map; nothing when stopped
std::optional<Undercuts> bestPull(const form::Mesh& mesh, const form::Rays& rays, int parts, int many = 200,
                                  std::stop_token stop = {}, const std::function<void(int, int)>& told = {});

/// Share by which rings round the sections of a mesh must lengthen to be drawn off along a direction: of each level the
/// longest hull above it against its own.
double stretchAlong(const form::Mesh& mesh, const form::Vec3& pull, int levels = 64);

}  // namespace uovo::mold
