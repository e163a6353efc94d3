// The sentences about one piece, each with one number and its working.
#include <cmath>
#include <optional>

#include "core/quantity/catalogue.h"
#include "core/quantity/decimal.h"
#include "core/words/speaker.h"

namespace uovo {
namespace {

class Teller : Speaker {
public:
    Teller(const Piece& piece, const Plan& plan, const material::Library& lib, const PieceAnswers& known)
        : Speaker(piece, plan, lib),
          known_(known),
          made_(*known.made),
          along_(*made_.meridian),
          last_(piece.coats().back()) {}

    Answer wall() const {
        const auto& w = along_.wall;
        Answer a;
        a.id = "wall";
        a.figure = {w.thinnest, w.thinnest * along_.band.thinnest.low, w.thinnest * along_.band.thinnest.high,
                    Dimension::Length};
        a.headline = length(w.thinnest);
        const double share =
            along_.profile.arc[w.thinnestAt] / (along_.profile.step * static_cast<double>(along_.profile.size()));
        const std::string where = share > 0.8   ? tr("near the rim")
                                  : share < 0.2 ? tr("at the foot")
                                  : share < 0.5 ? tr("low on the wall")
                                                : tr("on the wall");
        a.after = tr("at the thinnest");
        const double wanted = piece_.wantedWall.value;
        const bool thin = w.thinnest < wanted - 1e-9;
        a.tone = thin ? Tone::Weak : a.figure.low < wanted ? Tone::Plain : Tone::Good;
        a.sentence = say("It lies {}, likely {} to {}. ", where, length(a.figure.low), length(a.figure.high));
        a.sentence += thin ? say("You want {}; thinner walls break when they are unmolded.", length(wanted))
                      : a.figure.low < wanted ? say("That is over the {} you want, but not surely.", length(wanted))
                                              : say("That is over the {} you want.", length(wanted));
        a.sentence += say(" Mean {}, thickest {}.", length(w.mean), length(w.thickest));
        a.working.title = tr("Wall from how it is coated");
        a.working.formula = tr(
            "∂v/∂t + div q = −drip;  q = (G h³/3η)(1−r)³(1+0.6r+0.3r²+0.1r³),  r² = τ₀/(G h),  G = ρ g sin α;  a place "
            "locks when "
            "30 % of its fat has crystallised");
        for (const char* name : {"yield40", "viscosity40", "fatShare", "growthRate"})
            a.working.inputs.push_back(chocolateConstant(name));
        a.working.inputs.push_back(physics("viscosityEnergy", lib_.physics));
        a.working.inputs.push_back(physics("yieldEnergy", lib_.physics));
        a.working.inputs.push_back(physics("dipSpeed", lib_.formers));
        a.working.inputs.push_back(physics("rimBead", lib_.formers));
        for (size_t i = 0; i < piece_.coats().size(); ++i) {
            const auto& c = piece_.coats()[i];
            a.working.inputs.push_back(
                {say("coat {}", i + 1),
                 say("{}, {} out of the cold", temperature(c.temperature.value), time(coat::beforeCold(c))),
                 c.temperature.spread > 0 ? say("± {} K by look", decimal(c.temperature.spread, 1)) : "± 1 K, ± 20 s",
                 tr("your plan")});
        }
        a.working.result = formatBand(w.thinnest, a.figure.low, a.figure.high, Dimension::Length, plan_.units);
        a.working.trust = tr(
            "The yield stress of your bag alone moves a wall by a third. Rim bead, hanging drops and corners rest on "
            "judgement; surface "
            "tension and rough rims are not predicted. Weigh a piece to know better.");
        if (!along_.round)
            a.working.trust +=
                tr(" These coats are computed on the piece's own triangles, its range is judgement: a third less, two "
                   "fifths more.");
        a.working.trust += mattersMost();
        a.working.section = !along_.round ? tr("Film on a mesh") : tr("Film on a profile");
        return a;
    }

    /// Which of the uncertain figures moves this wall most.
    std::string mattersMost() const {
        const auto& c = along_.band.causes;
        std::vector<std::pair<double, const char*>> all{
            {c.yield, tr("how well your chocolate stands by itself (its yield stress)")},
            {c.viscosity, tr("how thickly it flows (its viscosity)")},
            {c.temperature, tr("the temperature in the bowl")},
            {c.delay, tr("the wait before the cold")}};
        std::sort(all.begin(), all.end(), [](const auto& a, const auto& b) { return a.first > b.first; });
        if (all[0].first <= 0) return "";
        std::string words = say(" Of the range, {:.0f} % goes back to {}", 100 * all[0].first, all[0].second);
        if (all[1].first > 0.15) words += fmt::format(", {:.0f} % to {}", 100 * all[1].first, all[1].second);
        return words + ".";
    }

    Answer grams() const {
        Answer a;
        a.id = "grams";
        const double m = along_.coats.mass;
        a.figure = {m, m * along_.band.mass.low, m * along_.band.mass.high, Dimension::Mass};
        a.headline = mass(m);
        a.after = tr("in each");
        const int spares = known_.make - piece_.count;
        a.sentence =
            spares > 0
                ? say("{} in {} and {}, because some break. Likely {} to {} each.", mass(m * known_.make), piece_.count,
                      spares == 1 ? tr("1 spare") : say("{} spares", spares), mass(a.figure.low), mass(a.figure.high))
                : say("{} in all {}. Likely {} to {} each.", mass(m * known_.make), piece_.count, mass(a.figure.low),
                      mass(a.figure.high));
        a.working.title = tr("Grams in a piece, and spares");
        a.working.formula = tr("m = ρ Σ (v + s) A;  spares: smallest n with P(Bin(n, p) ≥ wanted) ≥ 95 %");
        a.working.inputs = {
            {tr("coated area"), area(made_.area), "", tr("geometry of the former")},
            {tr("mean wall"), length(along_.wall.mean), "", tr("coat model")},
            chocolateConstant("densityMelt"),
            {tr("wanted"), std::to_string(piece_.count), "", tr("your plan")},
            {tr("share p that comes out whole"), format(piece_.survives, Dimension::Percent, plan_.units), "",
             tr("your plan; 90 % until a log knows better (judgement)")},
            {tr("mass error of the computation"), fmt::format("{:.1e}", along_.coats.error), "",
             tr("conservation, checked on each run")}};
        a.working.result = say("{} each, {} to make", mass(m), known_.make);
        a.working.trust = tr("As good as the wall: about a third either way until a piece has been weighed.");
        a.working.section = tr("Film on a profile");
        return a;
    }

    Answer holds() const {
        Answer a = held(made_.capacity, known_, tr("to the brim"),
                        say("{} high, {} across at the rim.", length(along_.height), length(2 * along_.rimRadius)));
        a.working.formula = piece_.overBalloon() ? tr("V = ∫ π r² dz of the balloon up to the dip line")
                                                 : tr("V = ∫ π r² dz of the cup up to the fill line − chocolate");
        a.working.inputs = {
            {tr("former"), volume(along_.formerVolume), "", tr("geometry from your measures")},
            {tr("chocolate in it"), piece_.overBalloon() ? "outside" : mass(along_.coats.mass), "", tr("coat model")}};
        a.working.trust = tr("As exact as the tape: 1 % in girth is 2 % in volume.");
        a.working.section = tr("Geometry");
        return a;
    }

    std::optional<Answer> bath() const {
        if (!known_.bath) return std::nullopt;
        const auto& b = *known_.bath;
        Answer a;
        a.id = "bath";
        const double kg = b.chocolate * known_.coating.densityMelt;
        a.figure = {kg, kg, kg, Dimension::Mass};
        a.headline = mass(kg);
        a.after = tr("in the bath");
        const auto* pot = lib_.pot(b.pot);
        a.sentence = say("So much must be left in the {} to dip the last one; it stands {} deep and comes back.",
                         lowerFirst(pot->name), length(b.still));
        a.working.title = tr("Bath");
        a.working.formula = tr("V = V_pot(clearance + dip) − V_former(dip)");
        a.working.inputs = {
            {tr("pot"), pot->name, "", tr("data, replace by your own")},
            {tr("clearance under the piece"), length(lib_.usual("bathClearance")), "8–20 mm", tr("judgement")},
            {tr("former under the dip line"), volume(along_.formerVolume), "", tr("geometry")}};
        a.working.result = a.headline;
        a.working.trust = tr("Exact for the pot described; pots differ.");
        a.working.section = tr("Batch");
        return a;
    }

private:
    std::string area(double m2) const { return fmt::format("{:.0f} cm²", m2 * 1e4); }
    const PieceAnswers& known_;
    const Made& made_;
    const MeridianWall& along_;
    const PlannedCoat& last_;
};

}  // namespace

std::vector<Answer> pieceAnswers(const Piece& piece, const Plan& plan, const material::Library& lib,
                                 const PieceAnswers& known) {
    const Teller t(piece, plan, lib, known);
    std::vector<Answer> out{t.wall(), t.grams()};
    const CoatedWall& w = *known.made->wall;
    for (auto& a : coatAnswers(piece, plan, lib, known.coating, w, w.mean, w.thickest, w.blemishes,
                               known.made->meridian->height, {}))
        out.push_back(std::move(a));
    for (auto& a : {std::optional(t.holds()), t.bath(), roomAnswer(piece, plan, lib, known),
                    besideAnswer(piece, plan, lib, known)})
        if (a) out.push_back(*a);
    return out;
}

}  // namespace uovo
