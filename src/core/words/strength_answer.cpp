// The verdict on whether a piece holds, as an answer.
#include <fmt/format.h>

#include <cmath>

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
                     : "easily";
    a.after = "what it must bear";
    std::string title = c.title;
    title[0] = static_cast<char>(std::tolower(static_cast<unsigned char>(title[0])));
    a.sentence = fmt::format("Hardest: {}. {} Advice, not a guarantee.{}", title, c.sentence,
                             s.left.empty() ? "" : " Left out: " + s.left + ".");
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
                  (fails ? o.average > 0.9    ? "hardly one survives"
                           : o.average > 0.25 ? fmt::format("{} in 10 crack", std::lround(10 * o.average))
                                              : fmt::format("1 in {} cracks", std::lround(1 / o.average))
                   : std::isfinite(o.margin) && o.margin < 100
                       ? fmt::format("{} ×", o.margin >= 10 ? fmt::format("{:.0f}", o.margin) : decimal(o.margin, 1))
                       : std::string("easily"));
    }
    if (!good.empty()) a.sentence = fmt::format("Better {}. ", good) + a.sentence;
    if (!others.empty()) a.sentence += " Other ways: " + others + ".";
    const auto mega = [](double pa) { return fmt::format("{} MPa", significant(pa / 1e6, 2)); };
    a.working = {"Will it hold",
                 "σ_eq = [(1/V_E) ∫ Σ⟨σ_i⟩₊ᵐ dV]^(1/m) of stresses averaged over the wall's thickness;  P = 1 − "
                 "exp[−(σ_eq Γ(1+1/m)/σ̄)ᵐ]",
                 {{"mean strength of bars at 20 °C", mega(s.chocolate.strength.mean),
                   mega(s.chocolate.low) + "–" + mega(s.chocolate.high), s.chocolate.source},
                  {"stiffness under a lasting load", fmt::format("{:.0f} MPa", s.chocolate.young / 1e6), "",
                   s.chocolate.bars ? s.chocolate.source : "from memory, low confidence"},
                  {"Weibull's m", fmt::format("{:.0f}", s.chocolate.strength.modulus),
                   fmt::format("{:.0f}–{:.0f}", lib.strength.at("weibull").low, lib.strength.at("weibull").high),
                   lib.strength.at("weibull").source},
                  {"at the room's temperature, of that at 20 °C", decimal(firmness(lib, plan.kitchen.room.value), 2),
                   "", "from memory, low confidence"},
                  {"triangles of the wall", std::to_string(s.mesh.triangles.size()), "",
                   "its middle, with the thickness of the coats"}},
                 a.headline,
                 "The strength of chocolate is the weakest figure here: a snap test of your own bars replaces it. "
                 "Loads of hands are judgement. Linear, without cracks that are there already.",
                 "Strength"};
    return a;
}

}  // namespace uovo
