// Grams: in the pieces, in the bath, on the tools; spares; what to melt, what comes back, what to buy.
#pragma once
#include <string>
#include <tl/expected.hpp>
#include <vector>

#include "core/form/meridian.h"
#include "core/material/material.h"

namespace uovo::batch {

/// P(Bin(made, p) >= needed); p in [0, 1].
double enough(int made, int needed, double p);
/// Smallest m with P(Bin(m, p) >= needed) >= sure; p in (0, 1].
int piecesToMake(int needed, double p, double sure = 0.95);
/// The same when p is known only from `good` and `bad` pieces and a Beta(a, b) prior (beta-binomial).
int piecesToMakeFromLog(int needed, int good, int bad, double sure = 0.95, double a = 1, double b = 1);

/// Chocolate volume of a frustum pot filled to `level`, m³.
double potVolume(const material::Pot& pot, double level);
/// Level for a volume, m; NaN when it overflows.
double potLevel(const material::Pot& pot, double volume);

/// The bath one needs to dip a former to its dip line without touching the bottom.
struct Bath {
    std::string pot;       ///< id
    double chocolate = 0;  ///< m³ that must be in the pot for the last piece
    double level = 0;      ///< m, with the piece in
    double still = 0;      ///< m, level with the piece out
};
/// `V = V_pot(clearance + dip) - V_former(dip)`.
/// @param former coated part, pole at z = 0, `dip` deep
/// @returns why not: the pot is too narrow or too low
tl::expected<Bath, Problem> bathFor(const form::Meridian& former, double dip, const material::Pot& pot,
                                    double clearance);
/// The pot that needs the least chocolate among those that fit.
tl::expected<Bath, Problem> bestBath(const form::Meridian& former, double dip, const std::vector<material::Pot>& pots,
                                     double clearance);

/// What is in a pot: one chocolate, prepared one way.
struct PotKey {
    std::string chocolate = {};  ///< id
    material::Temper temper = material::Temper::Tempered;
    material::Thinner thinner = material::Thinner::None;
    double thinnerShare = 0;
    bool operator==(const PotKey&) const = default;
    /// As an id: "dark", "dark-untempered", "milk-oil-2".
    std::string id() const;
};

/// What one family of pieces asks of a chocolate.
struct Demand {
    std::string piece;  ///< id
    PotKey pot;
    int make = 0;           ///< pieces with spares
    double each = 0;        ///< kg in one
    double bath = 0;        ///< kg that must remain for the last piece
    std::string name = {};  ///< of the pot, for a person
    double late = 0;        ///< kg wanted molten late: patches, seams, glue
    double aside = 0;       ///< kg of each that fall on paper or are cut off, and come back
    double minutes = 0;     ///< of coating and casting with it
};

/// One pot of the plan.
struct Pot {
    PotKey key;
    std::string name = {};  ///< for a person: "Dark couverture, untempered"
    double pieces = 0;      ///< kg in all pieces
    double bath = 0;        ///< kg left after the last dip
    double tools = 0;       ///< kg on bowl and spatula
    double melt = 0;        ///< kg to melt
    double trim = 0;        ///< kg trimmed off, fallen on paper or cut off, remelted, never seed
    double returned = 0;    ///< kg that come back: bath and trim
    double consumed = 0;    ///< melt - returned
    double packet = 0;      ///< kg in one packet
    int packets = 0;        ///< to buy
    double late = 0;        ///< kg wanted molten late in the day; they come from what is returned
    double minutes = 0;     ///< of work with it
    struct Use {
        std::string piece;
        double mass = 0;  ///< kg in all of them
    };
    std::vector<Use> uses = {};
};
/// Batch = pieces + bath + tools; the bath is shared by the pieces of one pot.
std::vector<Pot> pots(const std::vector<Demand>& demands, const std::vector<double>& packets, double bowlLoss,
                      double spatulaLoss, double trimShare);
/// Packets to buy of each chocolate: all of its pots together less what is in the cupboard. @param need, have kg
int packetsToBuy(double need, double have, double packet);

/// How many discs of `diameter` fit on a shelf in rows or staggered, the better of the two.
int fitOnShelf(double width, double depth, double diameter);
/// What a part takes on a shelf, m; a round one is a disc.
struct Footprint {
    double length = 0, width = 0, height = 0;
    bool round = true;
};
/// Pieces that fit at once, each of one or more parts: discs in rows or staggered, rectangles in rows either way round;
/// of several parts together by area, a quarter lost between them, and each must fit by itself. 0 where one is too
/// tall.
/// @param gap m free round each
int fitOnShelves(double width, double depth, double height, int shelves, const std::vector<Footprint>& parts,
                 double gap);

}  // namespace uovo::batch
