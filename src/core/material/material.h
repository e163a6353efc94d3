// Chocolates and coatings: properties by temperature, each with its range and where it comes from.
#pragma once
#include <cmath>
#include <functional>
#include <map>
#include <string>
#include <tl/expected.hpp>
#include <vector>

#include "core/material/fault.h"
#include "core/quantity/quantity.h"

namespace uovo::material {

/// One constant of nature or of the trade. SI (temperatures in °C); `low`..`high` is the 5–95 % range.
struct Constant {
    double value = 0, low = 0, high = 0;
    std::string unit, source;
    bool operator==(const Constant&) const = default;
};

/// Constants by name, as read from a file of data/.
using Constants = std::map<std::string, Constant>;

/// A chocolate as it is bought. Every number it has is in `constants`; the names are those of data/chocolates.json.
struct Chocolate {
    std::string id, name;
    std::string kind;  ///< "couverture" (needs tempering) or "compound"
    Constants constants;
    std::vector<std::string> allergens, traces;
    std::string base;    ///< id of the chocolate it is coloured from; empty for one as it is bought
    std::string second;  ///< of a blend: id of the other chocolate in it
    double secondShare = 0;
    std::string look;     ///< "#RRGGBB", for drawings
    double packet = 0.2;  ///< kg in one packet as sold
    double bar = 0.1;     ///< kg in one bar, for people who count bars

    const Constant& at(const std::string& name) const;  ///< asserts that the constant exists
    /// The chocolate one buys for it; of a blend the first.
    const std::string& boughtAs() const { return base.empty() ? id : base; }
    /// All that one buys for it, with their shares.
    std::vector<std::pair<std::string, double>> bought() const {
        if (second.empty()) return {{boughtAs(), 1.0}};
        return {{base, 1 - secondShare}, {second, secondShare}};
    }
    /// Under which id a person's own figures of it stand: a blend has its own.
    const std::string& figuresAs() const { return second.empty() ? boughtAs() : id; }
};

/// How the crystals are (or are not) made before coating.
enum class Temper { Tempered, Untempered };

/// What is stirred in to thin the chocolate, as a share of its mass.
enum class Thinner { None, CocoaButter, VegetableOil };

inline constexpr const char* kPacket = "packet";  ///< key of a person's own figure: kg in one packet

/// A person's own figures that replace the book's.
struct OwnFigures {
    std::map<std::string, double> values;     ///< constant name → SI value; or kPacket
    std::map<std::string, std::string> from;  ///< where one comes from, where nobody typed it: "your logbook, …"
    /// A person's own word for a figure.
    void say(const std::string& name, double value) {
        values[name] = value;
        from.erase(name);
    }
    bool operator==(const OwnFigures&) const = default;
};

/// The chocolate as it is in the bowl: numbers only, ready for the solvers.
struct Coating {
    std::string name;
    double densityMelt = 0, densitySolid = 0;              // kg/m³
    double viscosity40 = 0, yield40 = 0;                   // Pa·s, Pa at 40 °C
    double viscosityEnergy = 0, yieldEnergy = 0;           // J/mol
    double heatCapacity = 0, conductivity = 0;             // J/kgK, W/mK
    double heatCapacitySolid = 0, heatCapacityLiquid = 0;  // J/kgK, without melting
    double meltTo = 0, coolTo = 0;                         // °C, to melt to; of the full curve, to cool to
    double latentHeat = 0;                                 // J/kg on crystallising wholly
    double meltShift = 0;                                  // K added to dark's melting curve
    double growthRate = 0;                                 // 1/s at 20 °C
    double crystalsAtStart = 0;                            // fraction of the fat crystallised when the coat goes on
    double crystalsFloor = 0;                              // fraction that nucleates anew when all was melted
    double workLow = 0, workHigh = 0;                      // °C working temperature
    double loses = 0;   // °C above which the temper is lost; infinite where there is none
    double scorch = 0;  // °C
    bool tempered = false;
    bool compound = false;

    double working() const { return 0.5 * (workLow + workHigh); }
    /// °C, the same in halves of a degree: what a bath is set to.
    double workedAt() const { return 0.5 * std::round(2 * working()); }
    bool operator==(const Coating&) const = default;
};

/// What varies from bag to bag, for the band: multiples of the likely value, 1 = likely.
struct Variation {
    double yield = 1, viscosity = 1;
};

/// Puts chocolate, temper, thinner and a person's own figures together.
/// Thinning: one percent more cocoa butter lowers eta by 10 % and tau0 by 6 % (ranges in data/physics.json).
/// @param physics constants of data/physics.json
/// @returns the coating, or why there is none (unknown own figure, thinner share out of range)
tl::expected<Coating, Problem> coating(const Chocolate& chocolate, Temper temper, Thinner thinner, double thinnerShare,
                                       const OwnFigures& own, const Constants& physics);

/// Working temperatures on the packet win over the table; checks that they do not contradict each other.
tl::expected<void, Problem> checkOwnFigures(const Chocolate& chocolate, const OwnFigures& own);

/// kg in one packet as this person buys it.
double packetOf(const Chocolate& chocolate, const OwnFigures& own);

/// Share of its temper that a chocolate keeps when it is worked at `celsius`: 1 below where it is lost, 0 a degree
/// above, smooth between. Compound keeps its own crystals; untempered chocolate has none to keep.
double temperKept(const Coating& c, double celsius);
/// Fraction of the fat crystallised when a coat of this temperature goes on.
double crystalsAt(const Coating& c, double celsius);

/// Casson viscosity in Pa·s at `celsius` and crystal fraction `phi` (below 0.6).
double viscosity(const Coating& c, double celsius, double phi);
/// Casson yield stress in Pa.
double yieldStress(const Coating& c, double celsius, double phi);

/// A bowl or jug to dip in, a frustum.
struct Pot {
    std::string id, name;
    double baseDiameter = 0, topDiameter = 0, height = 0;  // m
};

/// A caution with the step where it matters and the word it is about.
struct Caution {
    std::string id, text;
    std::vector<std::string> when;  ///< tags such as "balloon", "microwave", "perishable"
};

/// Minutes of hands a task takes, and its words.
struct TaskTime {
    Constant seconds;
    bool perPiece = true;
};

/// Everything read from data/.
/// What goes into a piece, as it usually is.
struct FillingKind {
    std::string id, name;
    std::vector<std::string> words;          ///< that a person may say for it
    Constant density;                        ///< kg/m³
    double make = 600;                       ///< s of hands for all of it
    double usableFrom = 0, usableTo = 3600;  ///< s after it is made
    bool perishable = true, egg = false, alcohol = false;
    double share = 0.75;  ///< of what a piece holds
    bool served = false;  ///< goes in at the table
};

struct Library {
    std::vector<Chocolate> chocolates;
    Constants physics;   ///< heat, film, setting
    Constants decor;     ///< films, grams and times of decorations
    Constants formers;   ///< heat capacities, drip cap, sizes
    Constants kitchen;   ///< defaults of room, fridge, freezer, tools
    Constants learning;  ///< how far kitchens differ from the book, and what a measurement is worth
    Constants strength;  ///< how chocolate breaks, and what hands, bumps and loads are
    std::vector<Pot> pots;
    std::vector<Look> looks;
    std::map<std::string, TaskTime> tasks;
    std::vector<Caution> cautions;
    std::vector<Fault> faults;
    std::vector<FillingKind> fillings;  ///< as they usually are

    const Chocolate* find(const std::string& id) const;
    const Pot* pot(const std::string& id) const;
    const Fault* fault(const std::string& id) const;
    double physical(const std::string& name) const { return physics.at(name).value; }
    double former(const std::string& name) const { return formers.at(name).value; }
    double decorating(const std::string& name) const { return decor.at(name).value; }
    double learns(const std::string& name) const { return learning.at(name).value; }
    double strong(const std::string& name) const { return strength.at(name).value; }
    double usual(const std::string& name) const { return kitchen.at(name).value; }
};

/// Shows each text of it that people read to `visit`, which may change it; not the words of its looks, which people
/// type (core/quantity/vocabulary.h).
void eachText(Library& library, const std::function<void(std::string&)>& visit);

/// Reads the library from the texts of data/ (file name → JSON text).
tl::expected<Library, Problem> readLibrary(const std::map<std::string, std::string>& files);

}  // namespace uovo::material
