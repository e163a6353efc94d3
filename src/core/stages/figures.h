// What the stages know of a piece and of a plan, before anything is said of it.
#pragma once
#include <memory>

#include "core/stages/answer.h"
#include "core/stages/decorating.h"
#include "core/stages/made.h"
#include "core/stages/melting.h"
#include "core/stages/own_molds.h"

namespace uovo {

struct PutTogether;
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
    std::shared_ptr<const PutTogether> together;    ///< of several parts, once their order is found; else null
    material::Coating coating;
    int make = 0;                 ///< pieces with spares
    std::vector<int> spareParts;  ///< of each item, told at the first of those that are alike; empty: none
    /// Spares told at an item.
    int sparesOf(size_t item) const { return item < spareParts.size() ? spareParts[item] : 0; }
    std::optional<batch::Bath> bath;
    std::vector<Answer> answers;
    double fillEach = 0;           ///< m³ of all that is filled into one; 0 without filling
    double capMass = 0;            ///< kg of the lid on it
    double fillLevel = 0;          ///< m above the lowest point of the former; NaN without filling or when it spills
    std::vector<Filled> fills;     ///< each of its filling steps
    std::vector<Topped> toppings;  ///< each of its topping steps
    std::vector<MoldWork> molds;   ///< of one's own that are taken for it
    std::vector<Decorated> decorated;  ///< each of its decorating steps
    /// Of one of its steps; null where it is no decoration.
    const Decorated* decoration(size_t step) const {
        for (const auto& d : decorated)
            if (d.step == step) return &d;
        return nullptr;
    }
    std::vector<OrderBreak> breaks;  ///< rules of order that its making breaks
    int perShelf = 0;                ///< pieces that fit in the place of the last coat at once
    std::string strengthKey;         ///< by what its strength is remembered; empty where there are problems
};

/// What is known of a whole plan.
struct PlanFigures {
    std::vector<std::shared_ptr<const PieceAnswers>> pieces;  ///< in the order of the plan
    std::vector<batch::Pot> pots;
    std::vector<MeltPlan> melts;  ///< of each pot

    const PieceAnswers* piece(const std::string& id) const;
};

/// kg of toppings and decorations that a wall carries; what lies on a filling is none of it.
double putOn(const Piece& piece, const PieceAnswers& known);
/// Names of pieces by their ids: "Rose, Leaf".
std::string namesOf(const std::vector<std::string>& pieces, const Plan& plan);
/// Modeling chocolate that a plan asks for, by its chocolate.
std::vector<Modeled> modeledOf(const Plan& plan, const PlanFigures& known);
/// What goes into and onto a piece besides its wall: fillings, lid, toppings, order; and the bath it is dipped in.
/// @param known gets them; its problems say why something does not go
void addSteps(const Piece& piece, const Plan& plan, const material::Library& library, PieceAnswers& known);
/// What a piece asks of each pot, spares counted.
std::vector<batch::Demand> demandsOf(const Piece& piece, const Plan& plan, const material::Library& library,
                                     const PieceAnswers& known);
/// Ways out when the wall is thinner than wanted.
std::vector<WayOut> waysOut(const Piece& piece, const Plan& plan, const material::Library& library,
                            const MeridianWall& now, std::stop_token stop);

}  // namespace uovo
