// The document: what a person wants. A value; every field has a default that works.
#pragma once
#include <functional>
#include <map>
#include <memory>
#include <optional>

#include "core/batch/batch.h"
#include "core/document/day_wish.h"
#include "core/document/making.h"
#include "core/form/part.h"
#include "core/material/colour.h"
#include "core/material/material.h"
#include "core/quantity/catalogue.h"
#include "core/quantity/clock.h"
#include "core/shell/snap.h"
#include "core/temper/temper_plan.h"

namespace uovo {

/// Version of the file format this program writes.
inline constexpr int kPlanVersion = 2;
/// Changes when a model changes, so that old answers are not taken for new ones.
inline constexpr int kModelVersion = 1;

/// Something that goes into a filling.
struct Ingredient {
    enum class By { Mass, Volume, Count };
    std::string name;
    By by = By::Mass;
    Measure amount = 0.1;   ///< kg, m³ or how many
    double alcohol = 0;     ///< share by volume
    std::string allergens;  ///< as a person says them, "egg, milk"
    std::string extra;
    bool operator==(const Ingredient&) const = default;
};

/// Something made once that goes into pieces: they name it in a step.
struct Filling {
    std::string id, name;
    Measure makes = 0;  ///< m³ that the recipe makes; 0: not known
    std::vector<Ingredient> recipe;
    Measure make = 1200;       ///< s of hands to make all of it
    Measure usableFrom = 600;  ///< s after it is made
    Measure usableTo = 3600;   ///< s after it is made
    bool perishable = true, egg = false, alcohol = false;
    double density = 0;        ///< kg/m³ as it lies in a piece; 0: as such fillings usually are
    std::string extra;         ///< keys this version does not know, a JSON object or empty
    bool isAlcoholic() const;  ///< said so, or something in the recipe is
    bool operator==(const Filling&) const = default;
};

/// Something strewn or stuck on pieces: they name it in a step.
struct Topping {
    std::string id, name;
    Measure grain = 0.002;  ///< m, the size of one
    double density = 600;   ///< kg/m³ of one
    std::string allergens;  ///< as a person says them
    double price = 0;       ///< a kg; 0: not known
    std::string extra;
    bool operator==(const Topping&) const = default;
};

/// A picture that a person keeps with a piece: a file's bytes, shared by copies of the plan.
struct Picture {
    std::shared_ptr<const std::string> bytes;
    bool empty() const { return !bytes || bytes->empty(); }
    bool operator==(const Picture& o) const {
        return bytes == o.bytes || (empty() && o.empty()) || (bytes && o.bytes && *bytes == *o.bytes);
    }
};

/// What a piece is set down on.
enum class Sits {
    Flat,  ///< a flat table
    Ring,  ///< a ring narrower than itself: a cutter, a glass
    Lumps  ///< three lumps: crumbs on a plate, three blobs of chocolate
};

/// How the cook means to handle a piece: the verdict is about that, other ways are advice.
struct Handling {
    enum class Release { Slowly, Burst };  ///< of a balloon
    enum class Lift {
        Usual,
        Hand,
        Fingers,
        Below
    };  ///< a hand round it, two fingers, from below; usual: two fingers for small cups, else a hand
    enum class Carry { Foot, Rim, Handle };
    Release release = Release::Slowly;
    bool oil = true;  ///< a trace on a balloon
    Lift lift = Lift::Usual;
    Carry carry = Carry::Foot;
    std::string extra;
    bool operator==(const Handling&) const = default;
};

/// A silicone mold of one's own that is taken from the piece's original.
struct MoldWish {
    bool there = false;                    ///< made already; else it is made on the days before
    int casts = 0;                         ///< that one which is there has made
    int parts = 0;                         ///< 1 or 2; 0: as few as do
    double hardness = 20;                  ///< Shore A
    Measure wall = 0.009;                  ///< m of silicone round the original
    Measure cure = 21600, potLife = 2400;  ///< s, as the label says
    double partsA = 1, partsB = 1;         ///< in which it is mixed
    bool byMass = true;                    ///< … by mass, else by volume
    double price = 0;                      ///< a kg of silicone; 0: not known
    std::string allergens;                 ///< of the original: a mold taken from a nut carries it
    bool raw = false;                      ///< the original is raw food
    std::string extra;
    bool operator==(const MoldWish&) const = default;
};

/// One family of equal pieces.
struct Piece {
    std::string id, name;
    int count = 1;
    form::Part shape;  ///< a family of form/family.h with its figures
    std::string shapeExtra;
    std::string chocolate = "dark";
    material::Temper temper = material::Temper::Tempered;
    material::Thinner thinner = material::Thinner::None;
    double thinnerShare = 0;
    Making making;  ///< its steps, in order
    Handling handling;
    Measure wantedWall = 0.0015;  ///< m, thinnest place a person accepts
    std::string pot;              ///< id, empty: the one that needs least
    MoldWish mold;                ///< where a mold is taken of its original
    int molds = 0;                ///< its molds that are there, used round after round; 0: as many as are needed
    double survives = 0.9;        ///< share that comes out whole
    std::map<std::string, Measure> loads;  ///< of a load case by its id: N, kg, J or h, where it is not the usual
    Sits sits = Sits::Flat;
    std::string notes;  ///< a person's own words about it
    Picture photo;
    std::string extra;

    Piece();
    Piece(const Piece& other);  // copied and taken apart in plan.cpp, as a making is
    Piece(Piece&& other) noexcept;
    Piece& operator=(const Piece& other);
    Piece& operator=(Piece&& other) noexcept;
    ~Piece();
    bool operator==(const Piece& other) const;

    /// Made in what is used again: a mold, a silicone cup, acetate.
    bool usesMolds() const;

    StepsOf<PlannedCoat> coats() { return StepsOf<PlannedCoat>(making); }
    StepsOf<const PlannedCoat> coats() const { return StepsOf<const PlannedCoat>(making); }
    StepsOf<const CastStep> casts() const { return StepsOf<const CastStep>(making); }
    /// Numbers of the coats, of all its coats, that make a part of it: those for that part where it has steps of its
    /// own, else those for all. A mold that closes round itself takes only coats that are turned about, and no other
    /// mold takes those.
    std::vector<size_t> coatsOn(const form::Item& item) const;
    /// The same of its casts; none where it has none for the part: it is cast in one of the usual.
    std::vector<size_t> castsOf(const form::Item& item) const;
    /// A part of it has coats or casts of its own.
    bool hasOwnSteps(const std::string& item) const;
    /// Its first cast; the usual one where its making has none.
    const CastStep& cast() const;
    CastStep& cast();
    /// What goes in first; null where nothing does.
    const FillStep* fill() const { return firstOf<FillStep>(making); }
    FillStep* fill() { return firstOf<FillStep>(making); }
    const LidStep* lid() const { return firstOf<LidStep>(making); }
    /// Adds what is wanted of a step where the making has none.
    template <class S>
    S& having() {
        if (S* step = firstOf<S>(making)) return *step;
        return insert(S{});
    }
    /// Puts a step where it is usually done: no rule of order is broken by it where one can be kept.
    template <class S>
    S& insert(S step) {
        return std::get<S>(
            *making.insert(making.begin() + static_cast<std::ptrdiff_t>(usualPlace(step)), std::move(step)));
    }
    size_t usualPlace(const Step& step) const;
    /// Adds the steps that its shape asks for and that are not said: cast, off its former, trimmed, put together, put
    /// away.
    void complete();
    /// The bath it is dipped in: its own pot's, or the smallest that takes it. Of a bowl over a balloon, and of what is
    /// dipped and eaten.
    tl::expected<batch::Bath, Problem> bath(const material::Library& library) const;
    /// Makes its wall by these coats, or by one cast where there are none; what goes with the other way is taken out.
    void coatWith(const std::vector<PlannedCoat>& coats);
    /// Takes every step of a sort out.
    template <class S>
    void without() {
        std::erase_if(making, [](const Step& s) { return std::holds_alternative<S>(s); });
    }

    /// The family of its shape; one without a name where there is none of that id.
    const form::Family& family() const;
    /// A bowl over a balloon or a coated cup: round and plain, coated along its meridian, never with an assumed wall.
    bool alongMeridian() const { return family().meridian; }
    bool overBalloon() const { return family().former == form::Former::Balloon; }
    /// Dipped or bound: what is in it stays in it, there is no former to take it off.
    bool roundSomething() const { return family().former == form::Former::Itself; }
    /// A mold that closes round itself: it is filled in part and turned about.
    bool closes() const { return family().former == form::Former::Closed; }
    /// Its parts are joined over what is in them: two halves, a ball that hangs.
    bool closedByJoining() const { return form::isShut(shape) || (closes() && !firstOf<PlannedCoat>(making)); }
    /// Id of the chocolate of one of its steps.
    template <class S>
    const std::string& chocolateOf(const S& step) const {
        return step.chocolate.empty() ? chocolate : step.chocolate;
    }
    /// Its wall could be computed from coats; of a compound, the walls of its molded parts.
    bool couldBeCoated() const;
    /// … and is: it has coats.
    bool wallFromCoats() const { return couldBeCoated() && firstOf<PlannedCoat>(making); }
};

inline constexpr double kFridgeAirLeast = 0.2, kFridgeAirMost = 5;  ///< of Kitchen::fridgeAir
inline constexpr double kPaceLeast = 0.3, kPaceMost = 3;            ///< of Kitchen::pace

struct Kitchen {
    Measure room = 21, humidity = 0.55, fridge = 6, freezer = -18;
    Measure shelfWidth = 0.46, shelfDepth = 0.32, shelfHeight = 0.24;
    Measure freezerWidth = 0.40, freezerDepth = 0.28, freezerHeight = 0.14;
    int shelves = 1;  ///< free shelves of that size in the fridge
    bool fan = false;
    double fridgeAir = 1;  ///< how well the fridge's air takes heat, as a multiple of the book's
    double pace = 1;       ///< minutes that hands take, as a multiple of the book's
    Worker cook;
    std::vector<Worker> helpers;
    Measure sheetWidth = 0.30, sheetDepth = 0.26;  ///< m that a sheet is spread on: a tray, a film
    Measure sheetGap = 0.003;                      ///< m of knife and waste between parts of a sheet
    Measure knife = 0;                             ///< m/s it cuts; 0: the usual
    Measure boxLength = 0, boxWidth = 0,
            boxHeight = 0;                ///< m inside, of the box that pieces travel in; 0: none is said
    Measure plate = 0.21;                 ///< m across, of what lies flat
    Measure mug = 0.08, mugDepth = 0.09;  ///< m inside
    bool hasBox() const { return boxLength.value > 0 && boxWidth.value > 0 && boxHeight.value > 0; }
    std::string extra;
    bool operator==(const Kitchen&) const = default;
};

/// Chocolate that stands in the cupboard.
struct Stock {
    std::string chocolate;   ///< id
    Measure mass = 0.2;      ///< kg
    std::string bestBefore;  ///< date, "2027-03-01"; empty: not known
    double price = 0;        ///< a kg, in the person's own money; 0: not known
    std::string extra;
    bool operator==(const Stock&) const = default;
};

/// Figures of its pieces that a plan's file keeps, and the model that computed them: no part of what a person wants.
struct Computed {
    int model = 0;                       ///< kModelVersion then; 0: nothing is kept
    std::map<std::string, double> mass;  ///< kg of one, by the piece's id
    std::map<std::string, double> wall;  ///< m, thinnest
};

struct Plan {
    std::vector<shell::SnapBar> snaps;  ///< bars that were broken to measure a chocolate
    std::string name = tr("New plan");
    std::string deadline = "2026-01-01T21:30";  ///< local time the pieces are ready, minutes
    UnitSystem units = UnitSystem::Metric;
    bool metricCup = false;
    Kitchen kitchen;
    std::map<std::string, material::OwnFigures> own;  ///< a person's own figures by chocolate id
    std::map<std::string, temper::Choice>
        melting;  ///< how each chocolate is melted, by id; usual where it is not there
    std::vector<Stock> pantry;
    std::vector<Filling> fillings;  ///< each made once, for all pieces that name it
    std::vector<Topping> toppings;
    std::vector<material::Colour> colours;  ///< chocolates mixed from others; pieces name them like any chocolate
    int guests = 0;                         ///< for the cost of each; 0: not said
    std::vector<Piece> pieces;
    DayWish day;
    form::Meshes meshes;                            ///< figures read from files, by name; kept in the plan
    Computed computed;                              ///< as its file was written; plans are equal without it
    std::map<std::string, std::string> meshExtras;  ///< keys of theirs that this version does not know
    std::string extra;

    Plan();
    Plan(const Plan& other);
    Plan(Plan&& other) noexcept;
    Plan& operator=(const Plan& other);
    Plan& operator=(Plan&& other) noexcept;
    ~Plan();
    bool operator==(const Plan& o) const;

    /// Null where there is none of that id.
    const Piece* piece(const std::string& id) const;
    const Filling* filling(const std::string& id) const;
    Filling* filling(const std::string& id) {
        return const_cast<Filling*>(static_cast<const Plan*>(this)->filling(id));
    }
    const Topping* topping(const std::string& id) const;
    /// What goes first into a piece; null where nothing does.
    const Filling* fillingOf(const Piece& piece) const {
        return piece.fill() ? filling(piece.fill()->filling) : nullptr;
    }
    Filling* fillingOf(const Piece& piece) { return piece.fill() ? filling(piece.fill()->filling) : nullptr; }
    /// Keeps a filling under an id of its own, or finds the one that is equal to it. @returns its id
    std::string keep(Filling filling);
    /// Puts a filling of the plan into a piece; what does not keep is not boxed any more, unless it is closed in.
    FillStep& fillWith(Piece& piece, const std::string& filling);
    /// A new filling, "Filling" or "Filling 2". @returns its id
    std::string freshFilling();
};

/// Reads a plan from the text of a file. Unknown keys are kept. A damaged, foreign or newer file is refused with the
/// line and the reason.
tl::expected<Plan, Problem> readPlan(const std::string& text);
/// The text of a file, ending in a newline. readPlan(writePlan(p)) == p.
std::string writePlan(const Plan& plan);

/// Everything a person could have entered wrongly, each with its place ("pieces/crater-bowl/former/dip").
/// An empty list means that every answer can be computed.
/// @param shapes also builds what figures make together (milliseconds a shape); without, only the figures themselves
/// are looked at
/// @param fine pieces of which is known that nothing is wrong with them; empty: none
std::vector<Problem> problems(const Plan& plan, const material::Library& library, bool shapes = true,
                              const std::function<bool(const Piece&)>& fine = {});

/// Whether something that goes into a piece does not keep.
bool fillsPerishable(const Piece& piece, const Plan& plan);

/// The coating a piece is made of, from the library and the person's own figures.
tl::expected<material::Coating, Problem> coatingOf(const Piece& piece, const Plan& plan,
                                                   const material::Library& library);

/// The same of one of its steps, in its own chocolate (an id; empty: the piece's).
tl::expected<material::Coating, Problem> coatingOf(const Piece& piece, const std::string& chocolate, const Plan& plan,
                                                   const material::Library& library);

/// A fresh piece of a family to start from, with an id unused in the plan.
Piece newPiece(const Plan& plan, const std::string& family);
/// What is usually dipped or bound in a piece that goes round something.
InsertStep usualCore(const Piece& piece);
/// Two coats as they are usually made on a piece's former, at its chocolate's working temperature.
std::vector<PlannedCoat> usualCoats(const Piece& piece, const Plan& plan, const material::Library& library);

}  // namespace uovo
