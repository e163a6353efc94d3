// One builder a group of families; inside form/ only.
#pragma once
#include <numbers>

#include "core/form/part.h"

namespace uovo::form {

using std::numbers::pi;

/// A person's figures with the family's usual ones behind them.
struct Values {
    const Part& part;
    double operator()(const char* key) const { return figure(part, key); }
    std::string choice(const char* key) const { return form::choice(part, key); }
};

using Built = tl::expected<Shape, Problem>;
tl::unexpected<Problem> refuse(std::string sentence, std::string field);

inline constexpr double kBudget = 6;  ///< times the triangles that are wanted, at the most; models.md, "Limits"

/// Edge length for about `triangles` triangles on `area`, and at least `round` corners round radius r.
double edgeFor(double area, double widestRadius, const Detail& detail);

Stretch line(double r0, double z0, double r1, double z1, Mark mark = Mark::Wall);
/// Quarter to whole ellipse about (0, cz): r = R sin t, z = cz − A cos t, t from t0 to t1.
Stretch ellipseArc(double R, double A, double cz, double t0, double t1, Mark mark = Mark::Wall);

/// A body of revolution with fluted or plain walls: mesh, area and volume by integration.
Shape roundShape(const std::vector<Stretch>& stretches, int waves, const Detail& detail);

Built buildRound(const Values& v, const std::string& family, const Detail& detail);
Built buildFree(const Values& v, const std::string& family, const Detail& detail);
Built buildSheet(const Values& v, const std::string& family, const Detail& detail);
/// A model of the plan at its scale.
Built buildModel(const Values& v, const Meshes& meshes);
/// The same as half of a figure: its flat side is its opening, turned up.
Built halfOf(Shape model);
Built buildDipped(const Values& v, const Detail& detail);
/// What is dipped, whole, dry and at its place.
Built insideOf(const Values& v, const Detail& detail);
/// A heap that is spooned: things bound by chocolate.
Built buildHeap(const Values& v, const Detail& detail);
Built buildSwept(const Values& v, const std::string& family, const Detail& detail);
/// A single part whose figures need not lie in the limits that its family offers: a compound has limits of its own.
tl::expected<Assembly, Problem> buildOne(const Part& part, const Meshes& meshes, const Detail& detail);
tl::expected<Assembly, Problem> buildCompound(const Part& part, const Meshes& meshes, const Detail& detail);
/// An assembly of one's own from its items and joints.
tl::expected<Assembly, Problem> buildAssembly(const Part& part, const Meshes& meshes, const Detail& detail);
/// Keys, families and places of an assembly's items, and what its joints name.
tl::expected<void, Problem> checkItems(const Part& part);
/// How fine a part of several is built: flat panels are exact with few triangles, curved parts need more.
Detail detailOfItem(const Detail& whole, Body body, size_t items);

/// The polygon of a sheet part; loops[0] outside, holes after it.
tl::expected<std::vector<Loop>, Problem> sheetLoops(const Values& v);

}  // namespace uovo::form
