// What to buy, what it costs, what is in it; recipes weighed out; and what a rest is good for.
#pragma once
#include "core/stages/figures.h"

namespace uovo {

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
ScaledRecipe scaled(const Plan& plan, const material::Library& library, const PlanFigures& known,
                    const Filling& filling);
/// What to buy, what it costs, what is in it. @param today "2026-08-04", for best-before dates
Shopping shopping(const Plan& plan, const material::Library& library, const PlanFigures& known,
                  const std::string& today);

/// What so much of a chocolate still makes.
struct Fits {
    std::string piece;  ///< id, empty: something small
    std::string name;
    int count = 0;
    double left = 0;  ///< kg over
};
/// Pieces of the plan that `kg` of a chocolate make, one family at a time, the bath and the tools counted; then discs,
/// spoons and bark.
std::vector<Fits> whatFits(const Plan& plan, const material::Library& library, const PlanFigures& known,
                           const std::string& chocolate, double kg);

}  // namespace uovo
