// Meshes from rings: one ring after another from pole to pole, with as many corners each as its length asks for.
#pragma once
#include <functional>

#include "core/form/meridian.h"
#include "core/form/mesh.h"

namespace uovo::form {

/// A closed curve through the surface. `at(t)`, t in [0, 1), runs counter-clockwise seen from the end of the loft.
struct Ring {
    std::function<Vec3(double)> at;
    double length = 0;  ///< m; 0: a pole, a single point
    Vec3 centre = {};   ///< of a round ring, for `equalArea`
};

struct LoftOptions {
    double edge = 0.004;  ///< m, wanted edge length
    int base = 6;         ///< rings have base·2^k corners
    double most = 0;    ///< triangles that are not exceeded while rings are left that may be cut coarser; 0: any number
    int least = 0;      ///< corners a ring keeps all the same
    bool loop = false;  ///< the last ring joins the first: a body with a hole through it, and no poles
    /// Rings are round about their centres: move their corners out a little so that each polygon has its circle's area.
    bool equalArea = false;
    std::function<Mark(double t, size_t band)>
        mark;  ///< of the triangles between rings `band` and `band + 1`; none: Wall
};

/// Joins the rings to a closed mesh. Neighbouring rings differ by one doubling at the most.
/// @param rings at least three; unless `loop`, the first and the last are poles
Mesh loft(const std::vector<Ring>& rings, const LoftOptions& options);

/// A stretch of meridian with what it is.
struct Stretch {
    Meridian::Piece piece;
    Mark mark = Mark::Wall;
    /// Radial wave on top of r: `r + wave(u)·cos(waves·θ)`, m; empty: none.
    std::function<double(double u)> wave;
};

struct LatheOptions {
    double edge = 0.004;     ///< m, round the axis
    double along = 0.004;    ///< m, along the meridian
    int waves = 0;           ///< flutes round the wall
    double most = 0;         ///< triangles, about; 0: any number
    bool onSurface = false;  ///< corners lie on the surface itself; else polygons have their circles' area
};

/// A body of revolution from stretches that lead from the axis to the axis; normals point away from the axis side where
/// z rises.
Mesh lathe(const std::vector<Stretch>& stretches, const LatheOptions& options);

/// The former of a round piece as a mesh: its wall, and a lid over the last face.
Mesh lathe(const Meridian& meridian, const LatheOptions& options);

/// A tube with a section along a path; both ends closed. `frame(s)`, s in 0..1, has z along the path; the section lies
/// in its x and y and is star-shaped about its origin.
struct SweepOptions {
    double edge = 0.002;
    bool loop = false;   ///< the path is closed
    bool round = false;  ///< the section is a circle about its origin
};
Mesh sweep(const std::function<Vec3(double t)>& section, const std::function<Pose(double s)>& frame, double pathLength,
           const SweepOptions& options);

/// The wall of a coated round piece as a watertight solid: from the former's side to the chocolate's, rim closed.
/// @param wall m, one a cell @param thickness if given, filled with the wall at each corner, m
Mesh wallOfRevolution(const Profile& profile, const std::vector<double>& wall, int sectors, int rows,
                      std::vector<double>* thickness = nullptr);

/// Arc length of a closed curve, m.
double ringLength(const std::function<Vec3(double)>& at, int samples = 256);

}  // namespace uovo::form
