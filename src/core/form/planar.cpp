// Hulls, and points in loops, by CGAL's exact predicates: apart from the rest, its headers are costly.
#include <CGAL/Exact_predicates_inexact_constructions_kernel.h>
#include <CGAL/Polygon_2_algorithms.h>
#include <CGAL/convex_hull_2.h>

#include <algorithm>
#include <iterator>

#include "core/form/outline.h"

namespace uovo::form {
namespace {

using Kernel = CGAL::Exact_predicates_inexact_constructions_kernel;

std::vector<Kernel::Point_2> pointsOf(const Loop& loop) {
    std::vector<Kernel::Point_2> out;
    out.reserve(loop.size());
    for (const auto& p : loop) out.emplace_back(p[0], p[1]);
    return out;
}

}  // namespace

bool contains(const Loop& loop, const Point2& p) {
    if (loop.size() < 3) return false;
    const auto points = pointsOf(loop);
    return CGAL::bounded_side_2(points.begin(), points.end(), Kernel::Point_2(p[0], p[1]), Kernel()) ==
           CGAL::ON_BOUNDED_SIDE;
}

Loop convexHull(Loop points) {
    std::sort(points.begin(), points.end());
    points.erase(std::unique(points.begin(), points.end()), points.end());
    if (points.size() < 3) return points;
    const auto given = pointsOf(points);
    std::vector<Kernel::Point_2> hull;
    CGAL::ch_graham_andrew(given.begin(), given.end(), std::back_inserter(hull));
    Loop out;
    out.reserve(hull.size());
    for (const auto& p : hull) out.push_back({p.x(), p.y()});
    return out;
}

}  // namespace uovo::form
