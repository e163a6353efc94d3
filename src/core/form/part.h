// Parts: any family with a person's figures, built into a mesh and its measures.
#pragma once
#include <array>
#include <map>
#include <memory>
#include <optional>
#include <tl/expected.hpp>

#include "core/form/family.h"
#include "core/form/former.h"
#include "core/form/loft.h"
#include "core/form/outline.h"

namespace uovo::form {

using Figures = std::map<std::string, Measure>;

struct PartItem;
struct PartJoint;

/// One part or compound as a person defines it. Figures that are not given have the family's usual value.
struct Part {
    std::string family = "half-ball";
    Figures values;
    std::map<std::string, std::string> choices;
    std::vector<Loop> points;            ///< profile (r, z) of a round mold, or outline and holes of a sheet, m
    std::string mesh;                    ///< name of a mesh of the plan ("mesh" family)
    std::map<std::string, Figures> own;  ///< of a compound: part key → figures that no longer follow the compound's
    std::vector<PartItem> items;         ///< of an assembly of one's own: its parts at their places
    std::vector<PartJoint> joints;       ///< … and where they are glued
    bool operator==(const Part&) const;
};

/// A part at its place in an assembly of one's own.
struct PartItem {
    std::string key, name;  ///< "handle", "Handle"; the key is its own among the items
    Part part;              ///< of a family that is not itself put together
    std::array<Measure, 3> at{Measure(0), Measure(0), Measure(0)};    ///< m: to the right, to the back, up
    std::array<Measure, 3> turn{Measure(0), Measure(0), Measure(0)};  ///< degrees about x, then y, then z
    std::array<double, 3> apart{};                                    ///< m, its move when the assembly is pulled apart
    bool edible = true;
    std::string extra, partExtra;  ///< keys this version does not know, of it and of its part
    bool operator==(const PartItem&) const = default;
};

/// Where two items of an assembly are glued.
struct PartJoint {
    std::string a, b;       ///< keys of items
    Measure length = 0.02;  ///< m of glue line
    std::string words;      ///< "handle foot on the rim"
    std::string glue;       ///< of `glues()`, where it is not as the whole's; empty: as the whole
    std::string extra;
    bool operator==(const PartJoint&) const = default;
};

inline bool Part::operator==(const Part&) const = default;

using Meshes = std::map<std::string, std::shared_ptr<const Mesh>>;

/// A flat pattern to cut from acetate, at true scale. Two concentric arcs and two straight sides, or a rectangle.
struct FlatPattern {
    double inner = 0, outer = 0;   ///< arc radii, m; outer 0: a rectangle
    double angle = 0;              ///< of the sector, rad, the overlap included
    double width = 0, height = 0;  ///< of the rectangle, m, the overlap included
    double overlap = 0;            ///< m, at the longer edge
};

/// A built part.
struct Shape {
    Mesh surface;  ///< closed; for a wall: the former with its lids, for a solid: the solid itself
    Body body = Body::Wall;
    bool outside = false;              ///< chocolate on the outside of `surface`
    double area = 0;                   ///< m² to be covered (Wall) or of the solid's surface
    double areaLow = 0, areaHigh = 0;  ///< band of the area where the shape is only known by its silhouette
    double volume = 0;                 ///< m³: what the former holds to its rim (Wall), or of the solid
    bool exact = true;  ///< area and volume are closed forms or integrals of the true shape, not of the mesh
    double wall = 0;    ///< m, assumed (Wall), or the sheet's thickness
    double wallLow = 0, wallHigh = 0;  ///< band of `wall`
    std::vector<double>
        thickness;             ///< m at each corner of `surface`, where the wall is computed from its coats; else empty
    double coverage = 1;       ///< share of the area that is covered
    double rim = 0, seam = 0;  ///< lengths, m
    double displaced = 0;      ///< m³ of core inside that is not chocolate
    double hollow = 0;         ///< m³ that an insert keeps free; what the piece holds is that
    double land = 0;           ///< m, width of the face that is glued where halves meet, 0: as wide as the wall
    Vec3 seamAt, seamNormal;   ///< the plane the halves meet in
    std::optional<FlatPattern> pattern;

    /// Chocolate in it, m³ of set chocolate, at the given wall (Wall) or as it is.
    double chocolate() const { return chocolateIn(solid()); }
    /// The same when the solid is at hand: building it is the costly part.
    double chocolateIn(const Mesh& solid) const;
    /// The chocolate as a watertight solid.
    /// @param wall if given, filled with the wall at each corner, m
    Mesh solid(std::vector<double>* wall = nullptr) const;
};

/// A part at its place in a compound; a single part is an assembly of one.
struct Item {
    std::string key, name;  ///< "handle", "Handle"
    Part part;
    Shape shape;
    Pose pose;
    Vec3 apart;  ///< direction and size of its move when the compound is pulled apart, m
    bool edible = true;
};

/// Where two items are glued.
struct Joint {
    size_t a = 0, b = 0;  ///< items
    double length = 0;    ///< m of glue line
    std::string words;    ///< "handle foot on the rim"
    std::string glue;     ///< of `glues()`
};

struct Assembly {
    std::vector<Item> items;
    std::vector<Joint> joints;
    double enclosed = 0;  ///< m³ inside a house; 0 where it means nothing

    Mesh solid() const;        ///< all items at their places
    double chocolate() const;  ///< m³
    Vec3 centre() const;       ///< of mass, of the chocolate
};

struct Detail {
    double triangles = 6000;  ///< wanted, for the whole of a part
    int round = 48;           ///< least number of corners round the widest place
    bool onSurface = false;  ///< corners lie on the surface itself, for solvers; else polygons have their circles' area
};
inline constexpr Detail kScreen{6000, 48}, kExport{60000, 160};

/// Builds a part or compound.
/// @returns shapes and places, or a sentence with the field that is impossible
tl::expected<Assembly, Problem> build(const Part& part, const Meshes& meshes = {}, const Detail& detail = kScreen);

/// Mean distance of the corners of one item's opening from the nearest of another's, at their places, m.
double rimsApart(const Item& a, const Item& b);

/// A part as it is while it is coated or cast: a hole that is melted into it afterwards is not there yet.
Part unopened(Part part);

/// The balloon of a bowl and the cup of a coated cup, from their figures.
Balloon balloonOf(const Part& part);
Cup cupOf(const Part& part);
/// The room that something dipped takes in the bath: a cylinder round what goes under, outside its chocolate.
tl::expected<Meridian, Problem> roundDipped(const Part& part);
/// Meridian of what is coated. @param part of a family with a meridian
tl::expected<Meridian, Problem> meridian(const Part& part);
/// A round former as a mesh for its coats. @param triangles about so many
Shape roundFormer(const Meridian& meridian, double triangles);

/// A part with the family's usual figures.
Part usual(const std::string& family);
/// A figure of the part, or the family's usual value, SI.
double figure(const Part& part, const std::string& key);
std::string choice(const Part& part, const std::string& key);
/// Whether a figure or choice says something about this part.
bool asked(const Part& part, const Only& only);
/// Its shape is a model of the plan.
bool fromFile(const Part& part);
/// Names of the models of the plan that it is made of, those of its items included.
std::vector<std::string> modelsOf(const Part& part);
/// Two halves are joined over what is in them.
bool isShut(const Part& part);
/// It hangs from a cord.
bool isHung(const Part& part);
/// It can be carried by a handle of its own.
bool hasHandle(const Part& part);

/// A compound as the assembly that its recipe builds: the same items at the same places, each free to change.
/// @returns it, or why the compound cannot be built
tl::expected<Part, Problem> opened(const Part& compound, const Meshes& meshes);
/// The item of an assembly of that key; null where there is none.
const PartItem* itemOf(const Part& assembly, const std::string& key);
PartItem* itemOf(Part& assembly, const std::string& key);
/// Where an item stands.
Pose poseOf(const PartItem& item);
/// The inverse: fills `at` and `turn`.
void setPose(PartItem& item, const Pose& pose);
/// A new item of a family that stands on top of what is there, glued to the last item; with a key that is not taken.
/// @returns its key
std::string addItem(Part& assembly, const std::string& family, const Meshes& meshes);
/// Takes an item out with its joints.
void removeItem(Part& assembly, const std::string& key);

/// Polygons of a sheet part, outer loop first; empty when it cannot be cut.
std::vector<Loop> sheetOutline(const Part& part);

/// Checks every figure against its family's limits.
tl::expected<void, Problem> checkFigures(const Part& part);
/// One of them.
tl::expected<void, Problem> checkFigure(const Field& field, double value);
/// Whether it can be built: its figures, the shape that they make together, and walls no thicker than the room they
/// stand in.
/// @param assumedWalls false where walls are computed from coats
/// @returns the field that a person can change, "wall" or "own/handle/width"
tl::expected<void, Problem> checkBuild(const Part& part, const Meshes& meshes, bool assumedWalls = true);

}  // namespace uovo::form
