// Sentences about the plan as a whole: its pots.
#include <fmt/format.h>

#include <map>

#include "core/quantity/catalogue.h"
#include "core/words/words.h"

namespace uovo {

std::vector<Answer> potAnswers(const Plan& plan, const material::Library& lib, const std::vector<batch::Pot>& pots) {
    std::vector<Answer> out;
    std::map<std::string, std::pair<double, double>>
        bought;  // what all pots of one packet need, and what stands in the cupboard
    for (const auto& pot : pots)
        if (const auto* c = lib.find(pot.key.chocolate))
            for (const auto& [id, part] : c->bought()) bought[id].first += part * pot.melt;
    for (const auto& s : plan.pantry)
        if (bought.contains(s.chocolate)) bought[s.chocolate].second += s.mass.value;
    for (const auto& pot : pots) {
        Answer a;
        a.id = "pot/" + pot.key.id();
        a.figure = {pot.melt, pot.melt, pot.melt, Dimension::Mass};
        a.headline = format(pot.melt, Dimension::Mass, plan.units);
        a.after = tr("to melt");
        const auto g = [&](double kg) { return format(kg, Dimension::Mass, plan.units); };
        a.sentence = pot.name + ". " + g(pot.consumed) + tr(" is used up, ") + g(pot.returned) + tr(" comes back.");
        const auto* c = lib.find(pot.key.chocolate);
        for (const auto& [id, part] : c ? c->bought() : std::vector<std::pair<std::string, double>>{}) {
            if (!bought.contains(id)) continue;
            const auto [need, have] = bought[id];
            const double packet = packetOf(plan, lib, id);
            const int buy = batch::packetsToBuy(need, have, packet);
            const std::string of = part < 1 ? " " + lib.find(id)->name : "";
            a.sentence += buy == 0
                              ? say("{} stands in the cupboard.", of.empty() ? tr(" It") : of)
                              : sayMany(" Buy {} packet of {}{}{}.", " Buy {} packets of {}{}{}.", buy, g(packet), of,
                                        need <= part * pot.melt + 1e-9 ? "" : tr(" for all that is made from it"));
            bought.erase(id);
        }
        a.working = {tr("Chocolate to melt"),
                     tr("melt = pieces + what falls aside + bath + tools;  used up = melt − bath − what comes back"),
                     {{tr("in the pieces, spares included"), g(pot.pieces), "", tr("coat model")},
                      {tr("in the bath after the last piece"), g(pot.bath), "", tr("geometry of pot and piece")},
                      {tr("on bowl and spatula"), g(pot.tools), "13–28 g", tr("from memory")},
                      {tr("on paper, cut off, trimmed: comes back"), g(pot.trim), "",
                       tr("coat model; off-cuts and 1–6 % of the pieces from memory")}},
                     a.headline,
                     tr("Returned trim may be melted again, never trusted as seed."),
                     tr("Batch")};
        out.push_back(std::move(a));
    }
    return out;
}

}  // namespace uovo
