// The pots of a plan as they are melted: temper, batches, shopping, cost, and what a rest is good for.
#pragma once
#include "core/batch/batch.h"
#include "core/plan/plan.h"

namespace uovo {

struct Answers;
struct DayPlan;
struct PieceAnswers;

/// One pot, tempered.
struct MeltPlan {
    temper::Choice choice;
    material::Coating coating;  ///< as the first of its pieces wants it
    temper::TemperPlan temper;  ///< of one batch
    int batches = 1;            ///< so that each is used up in its window
    double each = 0;            ///< kg in one batch; what is left of it goes over into the next
    double together = 0;        ///< kg melted in one go with the other colours of its base, and divided then; 0: alone
    std::string dividing;       ///< how, a sentence; empty when alone
    std::string problem;        ///< why there is no plan; empty when there is one
    std::optional<material::ColourMix> colour;  ///< of the whole pot, all batches: a second mix never matches the first
    std::vector<std::string> mixing;            ///< how it is coloured, a sentence a step
    struct Sitting {
        int minute = 0;     ///< of the day plan's time, when it is tempered (or warmed) to be used
        std::string title;  ///< of that task
    };
};

/// One line of the shopping list.
struct Purchase {
    std::string chocolate, name;
    double need = 0, have = 0;  ///< kg to melt, kg in the cupboard that are still good
    double packet = 0;          ///< kg
    int packets = 0;            ///< to buy
    double cost = 0;            ///< of what is used up; 0: no price known
    std::string note;           ///< "best before 2026-10-01: past"
};

struct Shopping {
    std::vector<Purchase> lines;
    double cost = 0;      ///< of all that is used up
    bool priced = false;  ///< every chocolate has a price
    struct Each {
        std::string piece;  ///< id
        double cost = 0;    ///< of the chocolate in one
    };
    std::vector<Each> pieces;
    struct Supply {
        std::string name, amount;  ///< "Nebula blue, oil colour", "1.9 g"
        std::string forWhat;       ///< "Crater bowl"
    };
    std::vector<Supply>
        supplies;  ///< oil colours, what the fillings' recipes ask for, toppings, and what stands in pieces
    std::vector<std::string> allergens, traces;  ///< of everything, each once
    std::vector<std::string> warnings;           ///< alcohol, raw egg
};

/// The pot a piece's chocolate, or that of one of its coats, is taken from.
batch::PotKey potOf(const Piece& piece, const std::string& chocolate, const material::Library& library);
/// What a person calls it: "Dark couverture, untempered, with oil".
std::string potName(const batch::PotKey& pot, const material::Library& library);

/// When the day melts, tempers and warms a pot again, in order of time. Empty without a day.
std::vector<MeltPlan::Sitting> sittings(const DayPlan& day, const batch::Pot& pot);

/// A recipe as it is weighed out, once, for all pieces that its filling goes into.
struct ScaledRecipe {
    double volume = 0;   ///< m³ wanted
    double factor = 0;   ///< times the recipe; NaN when it is not said how much it makes
    double alcohol = 0;  ///< share by volume of the filling
    struct Into {
        std::string piece;  ///< id
        int count = 0;
        double each = 0;   ///< m³ in one
        double grams = 0;  ///< kg of pure alcohol in one
    };
    std::vector<Into> into;  ///< the pieces, in the order of the plan
    /// The part of it that goes into a piece; null where none does.
    const Into* of(const std::string& piece) const;
};
/// @param filling of the plan
ScaledRecipe scaled(const Plan& plan, const Answers& answers, const Filling& filling);
/// An amount of an ingredient times a factor, "210 g", "3.6".
std::string amountOf(const Ingredient& ingredient, double factor, UnitSystem units);

/// kg in one packet of a chocolate as this plan's cook buys it.
double packetOf(const Plan& plan, const material::Library& library, const std::string& chocolate);

/// Pots of one base, prepared alike: melted in one go, then divided and coloured. Indices, the first of them in front.
std::vector<size_t> meltedWith(const material::Library& library, const std::vector<batch::Pot>& pots, size_t pot);
/// How each pot is melted and tempered.
std::vector<MeltPlan> meltPlans(const Plan& plan, const material::Library& library,
                                const std::vector<batch::Pot>& pots);
/// What to buy, what it costs, what is in it. @param today "2026-08-04", for best-before dates
Shopping shopping(const Plan& plan, const material::Library& library, const Answers& answers, const std::string& today);

/// What so much of a chocolate still makes.
struct Fits {
    std::string piece;  ///< id, empty: something small
    std::string name;
    int count = 0;
    double left = 0;  ///< kg over
};
/// Pieces of the plan that `kg` of a chocolate make, one family at a time, the bath and the tools counted; then discs,
/// spoons and bark.
std::vector<Fits> whatFits(const Plan& plan, const material::Library& library, const Answers& answers,
                           const std::string& chocolate, double kg);

}  // namespace uovo
