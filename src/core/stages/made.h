// A piece as it is made: its wall from its coats, its casts, what is measured of it, and the times it sets in.
#pragma once
#include <algorithm>
#include <memory>
#include <stop_token>

#include "core/coat/band.h"
#include "core/coat/blemish.h"
#include "core/coat/mesh_coats.h"
#include "core/coat/slow_place.h"
#include "core/document/plan.h"
#include "core/form/beside.h"
#include "core/setting/stick.h"

namespace uovo {

inline constexpr form::Detail kTurned{750, 20, true};  ///< of a mesh whose pool is turned about: it costs more

/// What the coats of a piece do in time, at its thickest place.
struct CoatTimes {
    std::vector<setting::Times> setting;  ///< after each coat, s
    heat::Condensation dew;               ///< on leaving the last place
    double fromFirstCoatToRelease = 0;    ///< s; NaN when it never sets
    double lock = 0;                      ///< s after the last coat until nothing runs any more; NaN: not in its time
    double crystalsOut = 1;               ///< fraction of the last coat's fat crystallised when it is taken out
    setting::Times rim;                   ///< of the last coat where it is as thick as at the rim, s
    double chill = 0;                     ///< K that the shell is colder than its setting point when it is taken out
    double heldStress = 0,
           freeStress = 0;  ///< share of its strength that the cold takes, held fast by its former and free to shrink
};

/// What only a bowl or cup has: its wall along its meridian. Thickness of set chocolate, m a cell.
struct MeridianWall {
    form::Profile profile;
    bool chocolateOutside = true;
    double formerVolume = 0;           ///< m³ under the dip line or fill line
    double rimRadius = 0, height = 0;  ///< m, of the piece
    coat::CoatsResult coats;
    coat::WallFigures wall;
    coat::Band band;
    bool round =
        true;  ///< its coats leave it round; else they are computed on a mesh and told here as the mean round the axis
};

/// A wall as its coats make it, computed along its meridian or on its own mesh; of a compound, of all its coated parts.
/// m, set chocolate.
struct CoatedWall : CoatTimes {
    /// Range of a computed wall, as shares less and more: judgement, what the yield stress leaves on round pieces.
    static constexpr double kLess = 0.33, kMore = 0.4;
    struct Coat {
        double added = 0, dripped = 0, fell = 0;  ///< kg; what fell where it rested is part of what dripped
        double mean = 0;                          ///< m it adds on the whole
        double lockTypical = 0;                   ///< s; NaN when it still flows
        double thinnest = 0, rim = 0;             ///< m, of the whole wall after this coat
    };
    double mean = 0, thinnest = 0, thickest = 0, rim = 0;
    double thinnestHeight = 0;  ///< m above the former's lowest point
    double bare = 0;            ///< share of the wall that stays bare
    double error = 0;           ///< relative, of the mass
    double melted = 0;          ///< kg that a hole takes which is melted into it afterwards
    bool thinAtRim = false;     ///< the rim, on the whole, is the thinnest place
    std::string thinnestOn;     ///< name of the item with the thinnest place
    std::vector<Coat> coats;
    std::vector<size_t> items;  ///< which of the assembly are coated
    std::vector<coat::Blemish> blemishes;

    bool covers(size_t item) const { return std::find(items.begin(), items.end(), item) != items.end(); }
};

/// A piece as it is made: its shape with the wall it gets, and all that is measured of it. The wall is assumed unless
/// `wall` is there.
struct Made {
    form::Assembly assembly;                       ///< of one item, or of a compound's
    std::vector<double> items;                     ///< kg of each item, 0 for what is not chocolate
    std::vector<double> volumes;                   ///< m³ of each item's chocolate (or card)
    std::shared_ptr<const CoatedWall> wall;        ///< where coats make it, else null
    std::shared_ptr<const MeridianWall> meridian;  ///< of a bowl or cup, beside `wall`; else null
    double mass = 0, massLow = 0, massHigh = 0;    ///< kg of one
    form::Box box;                                 ///< m, put together
    form::Vec3 centre;                             ///< of mass
    form::Outside outside;                         ///< from above, put together
    double foot = 0;                               ///< m², of what it stands on
    double capacity = 0;                           ///< m³ that its hollow holds; 0 for solids
    double area = 0;                               ///< m²
    std::vector<batch::Footprint> parts;           ///< what each chocolate item takes while it sets
    double shelfDiameter = 0, shelfHeight = 0;  ///< m it takes while it sets, former included, of the largest of them
    setting::Times setting;                     ///< of what is cast last, its slowest item, s
    std::vector<setting::Times> casts;          ///< of each of its casts, at least one, s
    double stickStands =
        0;  ///< s on the table until a stick stands in what is cast; NaN where none can, or none is asked for
    double thickest = 0;  ///< m, of what sets: wall, or volume over cooled area
    double melted = 0;    ///< kg that a hole takes which is melted into it; they come back
};

/// Where it sets last: its last coat, else its cast.
inline coat::Place setsLastIn(const Piece& piece, const Made& made) {
    return made.wall ? piece.coats().back().place : piece.cast().place;
}

/// How finely a piece is made.
struct MadeOptions {
    bool bands = true;
    int cells = 100;  ///< of a profile
};

/// Volume inside a finished piece up to a level (m above the former's lowest point), m³, and the inverse (NaN: it
/// spills). Only of bowls and cups.
double volumeAtLevel(const Made& made, double level);
double levelOfVolume(const Made& made, double volume);
/// The wall at a place of the former, m.
double wallAt(const MeridianWall& wall, const form::Vec3& place);

/// How far a piece's coats may differ from the likely ones: the ranges of its chocolate, ladle and clock.
coat::Uncertainty coatUncertainty(const Piece& piece, const material::Library& library);
/// Crystal fractions at which a wall locks, is firm, set, and lets go.
setting::Events settingEvents(const material::Library& library);
/// What a part is made in or on is to the chocolate: heat it takes and lets through.
heat::Former formerHeat(const form::Part& part, const material::Library& library);
/// Air of a place: °C and W/m²K; the last of a list of stays goes on.
setting::Stay stayIn(coat::Place place, double seconds, const Plan& plan, const material::Library& library);
/// How long what its coats leave takes to set, and what the cold does to it.
struct SlowPlace : coat::SlowPlace {
    double shellTemperature = 21;  ///< °C of the piece at the coat's end
};
/// @param slow where each coat sets last @param mean m of the whole wall @param rim m of the last coat at the rim, 0:
/// no rim
CoatTimes coatTimes(const Piece& piece, const Plan& plan, const material::Library& library,
                    const coat::CoatSetting& setting, const std::vector<SlowPlace>& slow, double mean, double rim);
/// The coat job a piece asks for; shared by the stage, the band and the ways out.
tl::expected<coat::CoatSetting, Problem> coatSetting(const Piece& piece, const Plan& plan,
                                                     const material::Library& library);
/// The same with the meridian of a bowl or cup in so many cells, and its coats.
tl::expected<coat::CoatJob, Problem> coatJob(const Piece& piece, const Plan& plan, const material::Library& library,
                                             int cells);
/// The same on a mesh.
tl::expected<coat::MeshJob, Problem> meshJob(const Piece& piece, const Plan& plan, const material::Library& library,
                                             const coat::Surface& surface, bool outside);
/// Bare places stay a skin of so much, m, so that the solid closes.
inline constexpr double kSkin = 1e-5;
/// Coats every molded wall of an assembly on its own mesh; the shapes then carry the wall they get.
/// @param kilograms of each item, filled for the coated ones; as long as the assembly
tl::expected<CoatedWall, Problem> coatParts(form::Assembly& assembly, std::vector<double>& kilograms,
                                            const Piece& piece, const Plan& plan, const material::Library& library,
                                            std::stop_token stop = {});
/// An item that is cast or spread, as it cools from its pouring temperature. @param volume m³ of set chocolate in it
setting::Cast castOf(const form::Item& item, double volume, const CastStep& cast, const Plan& plan,
                     const material::Library& library, const material::Coating& coating);
/// Share that one of its casts brings of the chocolate of the items that it makes.
double castShare(const Piece& piece, const CastStep& cast);
/// What one of its casts makes.
struct CastWork {
    std::vector<size_t> items;  ///< of the assembly, edible and not coated
    int sheets = 0;             ///< of them
    double mass = 0;            ///< kg of this cast in all of them
    size_t tone = 0;            ///< number of casts under it in the same items
    size_t under = 0;           ///< the last of these
    bool last = true;           ///< no other cast follows in the same items
    std::string name;           ///< of the part that it is for, "Handle"; empty: of no single one
};
CastWork castWork(const Made& made, const Piece& piece, size_t cast);
/// Items whose wall one of its coats makes.
std::vector<size_t> coatedBy(const Made& made, const Piece& piece, size_t coat);
/// The stick that stands in a piece, and the seconds on the table until it does; NaN where the piece takes none.
setting::Stick stickFor(const Made& made);
double stickStands(const Made& made, const Piece& piece, const Plan& plan, const material::Library& library,
                   const material::Coating& coating);
/// Coats a bowl or cup.
struct CoatedMeridian {
    MeridianWall along;
    CoatedWall wall;
    form::Shape shape;  ///< its former with the wall at its corners
};
tl::expected<CoatedMeridian, Problem> coatMeridian(const Piece& piece, const Plan& plan,
                                                   const material::Library& library, const MadeOptions& options,
                                                   std::stop_token stop = {});
/// Builds a piece, coats it and measures it.
tl::expected<Made, Problem> madeOf(const Piece& piece, const Plan& plan, const material::Library& library,
                                   const MadeOptions& options = {}, std::stop_token stop = {});
}  // namespace uovo
