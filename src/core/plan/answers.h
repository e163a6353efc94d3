// `Plan` in, `Answers` out: the chain of all steps, remembered by stage.
#pragma once
#include <algorithm>
#include <functional>
#include <memory>
#include <stop_token>

#include "core/batch/batch.h"
#include "core/coat/band.h"
#include "core/coat/blemish.h"
#include "core/coat/mesh_coats.h"
#include "core/coat/slow_place.h"
#include "core/plan/cache.h"
#include "core/plan/melting.h"
#include "core/plan/plan.h"
#include "core/schedule/network.h"
#include "core/setting/stick.h"

namespace uovo {

/// A value with its band, in a dimension.
struct Figure {
    double value = 0, low = 0, high = 0;
    Dimension dimension = Dimension::Length;
    std::string text(UnitSystem units) const { return format(value, dimension, units); }
    std::string band(UnitSystem units) const { return formatBand(value, low, high, dimension, units); }
};

/// How a figure came about.
struct Working {
    struct Input {
        std::string name, value, range, source;
    };
    std::string title, formula;
    std::vector<Input> inputs;
    std::string result;
    std::string trust;    ///< how far to trust it, where the model is weak
    std::string section;  ///< of docs/models.md
};

enum class Tone { Plain, Good, Weak, Impossible };

/// A change that would help, already computed.
struct WayOut {
    std::string title;
    Piece changed;
    double thinnest = 0;  ///< m, after the change
    double mass = 0;      ///< kg more in each piece
    double seconds = 0;   ///< more from first coat to release
    bool order = false;   ///< it only puts steps in their order: wall and grams stay
    bool enough = false;  ///< reaches the wanted wall
};

/// One plain sentence with one number.
struct Answer {
    std::string id;  ///< stable: "wall", "grams", "cold", "holds-filling", "bath"
    Figure figure;
    std::string headline;  ///< the number as shown: "1.3 mm"
    std::string after;     ///< small words behind it: "in each"
    std::string sentence;
    Tone tone = Tone::Plain;
    std::vector<WayOut> ways;
    Working working;
};

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

struct StrengthStage;

/// What a filling step puts into one piece.
struct Filled {
    size_t step = 0;      ///< of the making
    std::string filling;  ///< id
    double each = 0;      ///< m³
    double level =
        0;  ///< m above the lowest point of the former, of all up to it; NaN where it is not round, or spills
};

/// What a topping step does, and when it can be done.
struct Topped {
    size_t step = 0;          ///< of the making
    std::string topping;      ///< id
    double grains = 0;        ///< on one piece
    double cover = 0;         ///< share of its outside under one close layer; NaN where it has none
    double from = 0, to = 0;  ///< s after the coat under it, from when it holds until the coat takes none; NaN: it
                              ///< never holds, or there is no coat
    double glue = 0;          ///< kg of chocolate that glues it on one piece
    bool inside = false;      ///< on a filling or its lid, not on a coat
};

struct PieceAnswers {
    std::string id;
    std::vector<Problem> problems;                  ///< when there are any, the rest is empty
    std::shared_ptr<const Made> made;               ///< null when there are problems
    std::shared_ptr<const StrengthStage> strength;  ///< of a wall, once it is reckoned; else null
    material::Coating coating;
    int make = 0;  ///< pieces with spares
    std::optional<batch::Bath> bath;
    std::vector<Answer> answers;
    double fillEach = 0;             ///< m³ of all that is filled into one; 0 without filling
    double capMass = 0;              ///< kg of the lid on it
    double fillLevel = 0;            ///< m above the lowest point of the former; NaN without filling or when it spills
    std::vector<Filled> fills;       ///< each of its filling steps
    std::vector<Topped> toppings;    ///< each of its topping steps
    std::vector<OrderBreak> breaks;  ///< rules of order that its making breaks
    int perShelf = 0;                ///< pieces that fit in the place of the last coat at once
    std::string strengthKey;         ///< by what its strength is remembered; empty where there are problems
};

/// The day, laid out before the deadline.
struct DayPlan {
    schedule::Network network;
    schedule::Layout layout;
    long end = 0;         ///< local minutes of the network's time 0 (deadline minus the reserve)
    std::string problem;  ///< why there is none; layout is empty then
    /// What a clock on the wall shows at a minute of the network, "2026-11-24T18:30".
    std::string clock(long minute) const { return localTimeAfter(end, minute); }
    /// Minute of the network at a local time.
    long minuteOf(long local) const { return minutesBetween(end, local); }
};

struct Answers {
    std::vector<std::shared_ptr<const PieceAnswers>> pieces;  ///< in the order of the plan
    std::vector<batch::Pot> pots;
    std::vector<MeltPlan> melts;         ///< of each pot
    std::vector<Answer> evening;         ///< about the plan as a whole
    std::shared_ptr<const DayPlan> day;  ///< null while it is being laid out
    std::vector<Problem> problems;       ///< of the whole plan
    std::vector<std::string> cautions;
    double seconds = 0;

    const PieceAnswers* piece(const std::string& id) const;
};

/// Volume inside a finished piece up to a level (m above the former's lowest point), m³, and the inverse (NaN: it
/// spills). Only of bowls and cups.
double volumeAtLevel(const Made& made, double level);
double levelOfVolume(const Made& made, double volume);
/// The wall at a place of the former, m.
double wallAt(const MeridianWall& wall, const form::Vec3& place);

struct AnswerOptions {
    bool day = true;       ///< lay the day out as well
    bool ways = true;      ///< compute ways out of weak answers
    bool strength = true;  ///< reckon whether the pieces hold
    bool bands = true;
    int cells = 100;  ///< of a profile
};

/// Everything that follows from a plan. Pure: the same plan gives the same answers; only what changed is computed
/// again.
/// @param early called with the figures of every piece, before ways out and the day are looked for, and again when
/// their strength is known; may be empty
/// @returns the answers, or nothing when stopped
std::optional<Answers> answer(const Plan& plan, const material::Library& library, Cache& cache,
                              const AnswerOptions& options = {}, std::stop_token stop = {},
                              const std::function<void(const Answers&)>& early = {});

/// How far a piece's coats may differ from the likely ones: the ranges of its chocolate, ladle and clock.
coat::Uncertainty coatUncertainty(const Piece& piece, const material::Library& library);
/// Crystal fractions at which a wall locks, is firm, set, and lets go.
setting::Events settingEvents(const material::Library& library);
/// What a piece's former is to the chocolate: heat it takes and lets through.
heat::Former formerHeat(const Piece& piece, const material::Library& library);
/// What an item of a part or compound is made in or on.
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
                                                   const material::Library& library, const AnswerOptions& options,
                                                   std::stop_token stop = {});
/// Builds a piece, coats it and measures it.
tl::expected<Made, Problem> madeOf(const Piece& piece, const Plan& plan, const material::Library& library,
                                   const AnswerOptions& options = {}, std::stop_token stop = {});
/// Sentences for a part.
std::vector<Answer> partAnswers(const Piece& piece, const Plan& plan, const material::Library& library,
                                const PieceAnswers& known);

/// What goes into and onto a piece besides its wall: fillings, lid, toppings, order; and the bath it is dipped in.
/// @param known gets them; its problems say why something does not go
void addSteps(const Piece& piece, const Plan& plan, const material::Library& library, PieceAnswers& known);
/// What a piece asks of each pot, spares counted.
std::vector<batch::Demand> demandsOf(const Piece& piece, const Plan& plan, const material::Library& library,
                                     const PieceAnswers& known);
/// Sentences about the steps besides the wall: order, toppings, what stands in it, how it is served.
std::vector<Answer> stepAnswers(const Piece& piece, const Plan& plan, const material::Library& library,
                                const PieceAnswers& known);

/// Sentences for one piece from its stage.
std::vector<Answer> pieceAnswers(const Piece& piece, const Plan& plan, const material::Library& library,
                                 const PieceAnswers& known);
/// Ways out when the wall is thinner than wanted.
std::vector<WayOut> waysOut(const Piece& piece, const Plan& plan, const material::Library& library,
                            const MeridianWall& now, std::stop_token stop);

/// The task network of a plan from its answers (docs/models.md, "Day").
schedule::Network dayNetwork(const Plan& plan, const material::Library& library, const Answers& answers);

/// Sentence and begin of the day as seen at `now` (local minutes): on time, or too late by how much.
Answer dayAnswer(const Plan& plan, const DayPlan& day, std::optional<long> now);

/// The same answers as JSON (docs/format.md, "Answers").
std::string answersJson(const Plan& plan, const Answers& answers);

/// State of a family at a minute of the day, for the scrubber.
struct PieceState {
    std::string piece;
    int round = 1;      ///< of the pieces that go through the day together
    std::string which;  ///< "1–6", empty when all go in one round
    int coats = 0;      ///< coats on it
    std::string words;  ///< "in the fridge", "ready", "not begun"
    bool cold = false, released = false, filled = false;
};
std::vector<PieceState> statesAt(const Plan& plan, const DayPlan& day, int minute);

}  // namespace uovo
