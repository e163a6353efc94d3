// The pots of a plan as they are melted: temper, batches, colours.
#pragma once
#include "core/batch/batch.h"
#include "core/document/plan.h"

namespace uovo {

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
};

/// The pot a piece's chocolate, or that of one of its coats, is taken from.
batch::PotKey potOf(const Piece& piece, const std::string& chocolate, const material::Library& library);
/// What a person calls it: "Dark couverture, untempered, with oil".
std::string potName(const batch::PotKey& pot, const material::Library& library);

/// kg in one packet of a chocolate as this plan's cook buys it.
double packetOf(const Plan& plan, const material::Library& library, const std::string& chocolate);

/// Pots of one base, prepared alike: melted in one go, then divided and coloured. Indices, the first of them in front.
std::vector<size_t> meltedWith(const material::Library& library, const std::vector<batch::Pot>& pots, size_t pot);
/// How each pot is melted and tempered.
std::vector<MeltPlan> meltPlans(const Plan& plan, const material::Library& library,
                                const std::vector<batch::Pot>& pots);

}  // namespace uovo
