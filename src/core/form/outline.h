// Plan outlines: the silhouettes a bought mold, a plaque or a cut sheet can have.
#pragma once
#include <array>
#include <optional>
#include <string>
#include <vector>

#include "core/form/mesh.h"

namespace uovo::form {

using Point2 = std::array<double, 2>;  // m
using Loop = std::vector<Point2>;      ///< closed polygon, the last point joins the first

/// Signed area, positive when counter-clockwise, m².
double signedArea(const Loop& loop);
double perimeter(const Loop& loop);
/// Whether two edges of the loops cross or touch (neighbours of one loop excepted); O(n log n) by a sweep over x.
bool crossesItself(const std::vector<Loop>& loops);
bool contains(const Loop& loop, const Point2& p);
/// Convex hull, counter-clockwise, without points on its edges; fewer than three points come back as they are.
Loop convexHull(Loop points);

/// Names of the silhouettes: "round", "oval" is round with two sizes, "square", "heart", "star", "flower", "leaf",
/// "egg", "drop", "scallop".
const std::vector<std::string>& silhouettes();

/// A silhouette scaled to its bounding box, counter-clockwise, star-shaped about the origin.
/// @param length along x, @param width along y, m @param points of the polygon
Loop silhouette(const std::string& name, double length, double width, int points = 1440);

/// A closed curve by arc length.
class OutlineCurve {
public:
    explicit OutlineCurve(Loop loop);
    Point2 at(double t) const;  ///< t in [0, 1)
    double length() const { return arc_.back(); }
    double area() const { return area_; }

private:
    Loop loop_;
    std::vector<double> arc_;
    double area_;
};

/// A flat plate: outer loop and holes, from z = 0 up to `thickness`, with well-shaped triangles.
/// @param loops outer first, holes after it, no crossings
/// @param line closed line inside that edges must follow, because the face will be bent there; empty: none
/// @param leastAlong m, edges of the border are no shorter where only a thin plate asks for it: the budget
Mesh plate(const std::vector<Loop>& loops, double thickness, double edge, const Loop& line = {}, double leastAlong = 0);

/// The face between closed lines, holes in holes left out by turns, in triangles on their corners counted through, with
/// no others. None where lines cross or two corners lie in one place.
std::optional<std::vector<Triangle>> filled(const std::vector<Loop>& loops);

}  // namespace uovo::form
