// The verdict on whether a piece holds, as an answer.
#include <fmt/format.h>

#include <cmath>

#include "core/quantity/catalogue.h"
#include "core/quantity/decimal.h"
#include "core/words/words.h"

namespace uovo {

std::optional<Answer> strengthAnswer(const StrengthStage& s, const Plan& plan, const material::Library& lib) {
    if (!s.problem.empty() || s.cases.empty()) return std::nullopt;
    const auto& c = s.cases[s.weakest];
    Answer a;
    a.id = "strength";
    a.figure = {c.margin, c.low, c.high, Dimension::Count};
    a.headline = std::isfinite(c.margin) && c.margin < 100
                     ? fmt::format("{} ×", (c.margin >= 10 ? fmt::format("{:.0f}", c.margin) : decimal(c.margin, 1)))
                     : tr("easily");
    a.after = tr("what it must bear");
    std::string title = c.title;
    title[0] = static_cast<char>(std::tolower(static_cast<unsigned char>(title[0])));
    a.sentence = say("Hardest: {}. {} Advice, not a guarantee.{}", title, c.sentence,
                     s.left.empty() ? "" : tr(" Left out: ") + s.left + ".");
    a.tone = c.tone;
    // Other ways of doing the same, in one line; the good one first where the chosen one fails.
    std::string good, others;
    for (const auto& o : s.cases) {
        if (o.chosen || o.group.empty()) continue;
        std::string name = o.title;
        name[0] = static_cast<char>(std::tolower(static_cast<unsigned char>(name[0])));
        const bool fails = o.average > 0.1;
        if (!fails && o.group == c.group && c.average > 0.1) good = name;
        others += (others.empty() ? "" : "; ") + name + ": " +
                  (fails ? o.average > 0.9    ? tr("hardly one survives")
                           : o.average > 0.25 ? say("{} in 10 crack", std::lround(10 * o.average))
                                              : say("1 in {} cracks", std::lround(1 / o.average))
                   : std::isfinite(o.margin) && o.margin < 100
                       ? fmt::format("{} ×", o.margin >= 10 ? fmt::format("{:.0f}", o.margin) : decimal(o.margin, 1))
                       : std::string(tr("easily")));
    }
    if (!good.empty()) a.sentence = say("Better {}. ", good) + a.sentence;
    if (!others.empty()) a.sentence += tr(" Other ways: ") + others + ".";
    const auto mega = [](double pa) { return say("{} MPa", significant(pa / 1e6, 2)); };
    a.working = {tr("Will it hold"),
                 tr("σ_eq = [(1/V_E) ∫ Σ⟨σ_i⟩₊ᵐ dV]^(1/m) of stresses averaged over the wall's thickness;  P = 1 − "
                    "exp[−(σ_eq Γ(1+1/m)/σ̄)ᵐ]"),
                 {{tr("mean strength of bars at 20 °C"), mega(s.chocolate.strength.mean),
                   mega(s.chocolate.low) + "–" + mega(s.chocolate.high), s.chocolate.source},
                  {tr("stiffness under a lasting load"), say("{:.0f} MPa", s.chocolate.young / 1e6), "",
                   s.chocolate.bars ? s.chocolate.source : tr("from memory, low confidence")},
                  {tr("Weibull's m"), fmt::format("{:.0f}", s.chocolate.strength.modulus),
                   fmt::format("{:.0f}–{:.0f}", lib.strength.at("weibull").low, lib.strength.at("weibull").high),
                   lib.strength.at("weibull").source},
                  {tr("at the room's temperature, of that at 20 °C"),
                   decimal(firmness(lib, plan.kitchen.room.value), 2), "", tr("from memory, low confidence")},
                  {tr("triangles of the wall"), std::to_string(s.mesh.triangles.size()), "",
                   tr("its middle, with the thickness of the coats")}},
                 a.headline,
                 tr("The strength of chocolate is the weakest figure here: a snap test of your own bars replaces it. "
                    "Loads of hands are judgement. Linear, without cracks that are there already."),
                 tr("Strength")};
    return a;
}

}  // namespace uovo
