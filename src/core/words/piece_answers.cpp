// The sentences about one piece, each with one number and its working.
#include <cmath>
#include <optional>

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
        const std::string where = share > 0.8   ? "near the rim"
                                  : share < 0.2 ? "at the foot"
                                  : share < 0.5 ? "low on the wall"
                                                : "on the wall";
        a.after = "at the thinnest";
        const double wanted = piece_.wantedWall.value;
        const bool thin = w.thinnest < wanted - 1e-9;
        a.tone = thin ? Tone::Weak : a.figure.low < wanted ? Tone::Plain : Tone::Good;
        a.sentence = fmt::format("It lies {}, likely {} to {}. ", where, length(a.figure.low), length(a.figure.high));
        a.sentence += thin ? fmt::format("You want {}; thinner walls break when they are unmolded.", length(wanted))
                      : a.figure.low < wanted
                          ? fmt::format("That is over the {} you want, but not surely.", length(wanted))
                          : fmt::format("That is over the {} you want.", length(wanted));
        a.sentence += fmt::format(" Mean {}, thickest {}.", length(w.mean), length(w.thickest));
        a.working.title = "Wall from how it is coated";
        a.working.formula =
            "∂v/∂t + div q = −drip;  q = (G h³/3η)(1−r)³(1+0.6r+0.3r²+0.1r³),  r² = τ₀/(G h),  G = ρ g sin α;  a place "
            "locks when "
            "30 % of its fat has crystallised";
        for (const char* name : {"yield40", "viscosity40", "fatShare", "growthRate"})
            a.working.inputs.push_back(chocolateConstant(name));
        a.working.inputs.push_back(physics("viscosityEnergy", lib_.physics));
        a.working.inputs.push_back(physics("yieldEnergy", lib_.physics));
        a.working.inputs.push_back(physics("dipSpeed", lib_.formers));
        a.working.inputs.push_back(physics("rimBead", lib_.formers));
        for (size_t i = 0; i < piece_.coats().size(); ++i) {
            const auto& c = piece_.coats()[i];
            a.working.inputs.push_back(
                {fmt::format("coat {}", i + 1),
                 fmt::format("{}, {} out of the cold", temperature(c.temperature.value), time(coat::beforeCold(c))),
                 c.temperature.spread > 0 ? fmt::format("± {} K by look", decimal(c.temperature.spread, 1))
                                          : "± 1 K, ± 20 s",
                 "your plan"});
        }
        a.working.result = formatBand(w.thinnest, a.figure.low, a.figure.high, Dimension::Length, plan_.units);
        a.working.trust =
            "The yield stress of your bag alone moves a wall by a third. Rim bead, hanging drops and corners rest on "
            "judgement; surface "
            "tension and rough rims are not predicted. Weigh a piece to know better.";
        if (!along_.round)
            a.working.trust +=
                " These coats are computed on the piece's own triangles, its range is judgement: a third less, two "
                "fifths more.";
        a.working.trust += mattersMost();
        a.working.section = !along_.round ? "Film on a mesh" : "Film on a profile";
        return a;
    }

    /// Which of the uncertain figures moves this wall most.
    std::string mattersMost() const {
        const auto& c = along_.band.causes;
        std::vector<std::pair<double, const char*>> all{
            {c.yield, "how well your chocolate stands by itself (its yield stress)"},
            {c.viscosity, "how thickly it flows (its viscosity)"},
            {c.temperature, "the temperature in the bowl"},
            {c.delay, "the wait before the cold"}};
        std::sort(all.begin(), all.end(), [](const auto& a, const auto& b) { return a.first > b.first; });
        if (all[0].first <= 0) return "";
        std::string words = fmt::format(" Of the range, {:.0f} % goes back to {}", 100 * all[0].first, all[0].second);
        if (all[1].first > 0.15) words += fmt::format(", {:.0f} % to {}", 100 * all[1].first, all[1].second);
        return words + ".";
    }

    Answer grams() const {
        Answer a;
        a.id = "grams";
        const double m = along_.coats.mass;
        a.figure = {m, m * along_.band.mass.low, m * along_.band.mass.high, Dimension::Mass};
        a.headline = mass(m);
        a.after = "in each";
        const int spares = known_.make - piece_.count;
        a.sentence = spares > 0 ? fmt::format("{} in {} and {}, because some break. Likely {} to {} each.",
                                              mass(m * known_.make), piece_.count,
                                              spares == 1 ? "1 spare" : fmt::format("{} spares", spares),
                                              mass(a.figure.low), mass(a.figure.high))
                                : fmt::format("{} in all {}. Likely {} to {} each.", mass(m * known_.make),
                                              piece_.count, mass(a.figure.low), mass(a.figure.high));
        a.working.title = "Grams in a piece, and spares";
        a.working.formula = "m = ρ Σ (v + s) A;  spares: smallest n with P(Bin(n, p) ≥ wanted) ≥ 95 %";
        a.working.inputs = {{"coated area", area(made_.area), "", "geometry of the former"},
                            {"mean wall", length(along_.wall.mean), "", "coat model"},
                            chocolateConstant("densityMelt"),
                            {"wanted", std::to_string(piece_.count), "", "your plan"},
                            {"share p that comes out whole", format(piece_.survives, Dimension::Percent, plan_.units),
                             "", "your plan; 90 % until a log knows better (judgement)"},
                            {"mass error of the computation", fmt::format("{:.1e}", along_.coats.error), "",
                             "conservation, checked on each run"}};
        a.working.result = fmt::format("{} each, {} to make", mass(m), known_.make);
        a.working.trust = "As good as the wall: about a third either way until a piece has been weighed.";
        a.working.section = "Film on a profile";
        return a;
    }

    Answer holds() const {
        Answer a =
            held(made_.capacity, known_, "to the brim",
                 fmt::format("{} high, {} across at the rim.", length(along_.height), length(2 * along_.rimRadius)));
        a.working.formula = piece_.overBalloon() ? "V = ∫ π r² dz of the balloon up to the dip line"
                                                 : "V = ∫ π r² dz of the cup up to the fill line − chocolate";
        a.working.inputs = {
            {"former", volume(along_.formerVolume), "", "geometry from your measures"},
            {"chocolate in it", piece_.overBalloon() ? "outside" : mass(along_.coats.mass), "", "coat model"}};
        a.working.trust = "As exact as the tape: 1 % in girth is 2 % in volume.";
        a.working.section = "Geometry";
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
        a.after = "in the bath";
        const auto* pot = lib_.pot(b.pot);
        a.sentence =
            fmt::format("So much must be left in the {} to dip the last one; it stands {} deep and comes back.",
                        lowerFirst(pot->name), length(b.still));
        a.working.title = "Bath";
        a.working.formula = "V = V_pot(clearance + dip) − V_former(dip)";
        a.working.inputs = {{"pot", pot->name, "", "data, replace by your own"},
                            {"clearance under the piece", length(lib_.usual("bathClearance")), "8–20 mm", "judgement"},
                            {"former under the dip line", volume(along_.formerVolume), "", "geometry"}};
        a.working.result = a.headline;
        a.working.trust = "Exact for the pot described; pots differ.";
        a.working.section = "Batch";
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
