// The sentences about one piece, each with one number and its working.
#include <cmath>
#include <optional>

#include "core/plan/speaker.h"

namespace uovo {
namespace {

class Teller : Speaker {
public:
    Teller(const Piece& piece, const Plan& plan, const material::Library& lib, const PieceAnswers& known)
        : Speaker(piece, plan), lib_(lib), known_(known), stage_(*known.stage), last_(piece.coats.back()) {}

    Answer wall() const {
        const auto& w = stage_.wall;
        Answer a;
        a.id = "wall";
        a.figure = {w.thinnest, w.thinnest * stage_.band.thinnest.low, w.thinnest * stage_.band.thinnest.high, Dimension::Length};
        a.headline = length(w.thinnest);
        const double share = stage_.profile.arc[w.thinnestAt] / (stage_.profile.step * static_cast<double>(stage_.profile.size()));
        const std::string where = share > 0.8 ? "near the rim" : share < 0.2 ? "at the foot" : share < 0.5 ? "low on the wall" : "on the wall";
        a.after = "at the thinnest";
        const double wanted = piece_.wantedWall.value;
        const bool thin = w.thinnest < wanted - 1e-9;
        a.tone = thin ? Tone::Weak : a.figure.low < wanted ? Tone::Plain : Tone::Good;
        a.sentence = fmt::format("It lies {}, likely {} to {}. ", where, length(a.figure.low), length(a.figure.high));
        a.sentence += thin ? fmt::format("You want {}; thinner walls break when they are unmolded.", length(wanted))
                           : a.figure.low < wanted ? fmt::format("That is over the {} you want, but not surely.", length(wanted))
                                                   : fmt::format("That is over the {} you want.", length(wanted));
        a.sentence += fmt::format(" Mean {}, thickest {}.", length(w.mean), length(w.thickest));
        a.working.title = "Wall from how it is coated";
        a.working.formula =
            "∂v/∂t + div q = −drip;  q = (G h³/3η)(1−r)³(1+0.6r+0.3r²+0.1r³),  r² = τ₀/(G h),  G = ρ g sin α;  a place locks when "
            "30 % of its fat has crystallised";
        for (const char* name : {"yield40", "viscosity40", "fatShare", "growthRate"}) a.working.inputs.push_back(chocolateConstant(name));
        a.working.inputs.push_back(physics("viscosityEnergy", lib_.physics));
        a.working.inputs.push_back(physics("yieldEnergy", lib_.physics));
        a.working.inputs.push_back(physics("dipSpeed", lib_.formers));
        a.working.inputs.push_back(physics("rimBead", lib_.formers));
        for (size_t i = 0; i < piece_.coats.size(); ++i) {
            const auto& c = piece_.coats[i];
            a.working.inputs.push_back({fmt::format("coat {}", i + 1),
                                        fmt::format("{}, {} to drain, {} to the cold", temperature(c.temperature.value), time(c.drain.value), time(c.delay.value)),
                                        c.temperature.spread > 0 ? fmt::format("± {:.1f} K by look", c.temperature.spread) : "± 1 K, ± 20 s", "your plan"});
        }
        a.working.result = formatBand(w.thinnest, a.figure.low, a.figure.high, Dimension::Length, plan_.units);
        a.working.trust =
            "The yield stress of your bag alone moves a wall by a third. Rim bead, hanging drops and corners rest on judgement; surface "
            "tension and rough rims are not predicted. Weigh a piece to know better.";
        a.working.trust += mattersMost();
        a.working.section = "Film on a profile";
        return a;
    }

    /// Which of the uncertain figures moves this wall most.
    std::string mattersMost() const {
        const auto& c = stage_.band.causes;
        std::vector<std::pair<double, const char*>> all{{c.yield, "how well your chocolate stands by itself (its yield stress)"}, {c.viscosity, "how thickly it flows (its viscosity)"}, {c.temperature, "the temperature in the bowl"}, {c.delay, "the wait before the cold"}};
        std::sort(all.begin(), all.end(), [](const auto& a, const auto& b) { return a.first > b.first; });
        if (all[0].first <= 0) return "";
        std::string words = fmt::format(" Of the range, {:.0f} % goes back to {}", 100 * all[0].first, all[0].second);
        if (all[1].first > 0.15) words += fmt::format(", {:.0f} % to {}", 100 * all[1].first, all[1].second);
        return words + ".";
    }

    Answer grams() const {
        Answer a;
        a.id = "grams";
        const double m = stage_.coats.mass;
        a.figure = {m, m * stage_.band.mass.low, m * stage_.band.mass.high, Dimension::Mass};
        a.headline = mass(m);
        a.after = "in each";
        const int spares = known_.make - piece_.count;
        a.sentence = spares > 0 ? fmt::format("{} in {} and {}, because some break. Likely {} to {} each.", mass(m * known_.make), piece_.count,
                                              spares == 1 ? "1 spare" : fmt::format("{} spares", spares), mass(a.figure.low), mass(a.figure.high))
                                : fmt::format("{} in all {}. Likely {} to {} each.", mass(m * known_.make), piece_.count, mass(a.figure.low), mass(a.figure.high));
        a.working.title = "Grams in a piece, and spares";
        a.working.formula = "m = ρ Σ (v + s) A;  spares: smallest n with P(Bin(n, p) ≥ wanted) ≥ 95 %";
        a.working.inputs = {{"coated area", area(stage_.area), "", "geometry of the former"},
                            {"mean wall", length(stage_.wall.mean), "", "coat model"},
                            chocolateConstant("densityMelt"),
                            {"wanted", std::to_string(piece_.count), "", "your plan"},
                            {"share p that comes out whole", format(piece_.survives, Dimension::Percent, plan_.units), "", "your plan; 90 % until a log knows better (judgement)"},
                            {"mass error of the computation", fmt::format("{:.1e}", stage_.coats.error), "", "conservation, checked on each run"}};
        a.working.result = fmt::format("{} each, {} to make", mass(m), known_.make);
        a.working.trust = "As good as the wall: about a third either way until a piece has been weighed.";
        a.working.section = "Film on a profile";
        return a;
    }

    Answer cold() const {
        const auto& t = stage_.setting.back();
        Answer a;
        a.id = "cold";
        a.figure = {t.release, t.release, t.release, Dimension::Duration};
        const char* place = last_.place == coat::Place::Table ? "on the table" : last_.place == coat::Place::Fridge ? "in the fridge" : "in the freezer";
        const double lead = (last_.way == coat::Way::Brush ? 0 : last_.drain.value) + last_.delay.value;
        if (std::isnan(t.set)) {
            a.headline = "Never sets";
            a.after = place;
            a.tone = Tone::Impossible;
            a.sentence = fmt::format("{} does not set at {}. Use the fridge.", known_.coating.name,
                                     temperature(last_.place == coat::Place::Table ? plan_.kitchen.room.value : plan_.kitchen.fridge.value));
        } else if (std::isnan(t.release)) {
            a.headline = time(t.set);
            a.after = "until it is set";
            a.tone = Tone::Weak;
            a.sentence = fmt::format("It sets {}, but is too warm there to shrink and let go. Give it a while in the fridge.", place);
        } else {
            const double needed = std::max(0.0, t.release - lead);
            a.figure = {needed, needed / 1.4, needed * 1.4, Dimension::Duration};
            a.headline = time(needed);
            a.after = place;
            a.sentence = fmt::format("After the last coat it is firm at {}, set through at {} and lets go at {}, at its thickest place.", time(t.firm), time(t.set),
                                     time(t.release));
            if (last_.stay.value < needed - 30) {
                a.tone = Tone::Weak;
                a.sentence += fmt::format(" You take it out after {}: too soon.", time(last_.stay.value));
            } else if (last_.place == coat::Place::Freezer && last_.stay.value > lib_.usual("freezerMost")) {
                a.tone = Tone::Weak;
                a.sentence += fmt::format(" {} in the freezer may crack it.", time(last_.stay.value));
            } else if (last_.place == coat::Place::Fridge && last_.stay.value > lib_.usual("fridgeMost")) {
                a.tone = Tone::Weak;
                a.sentence += fmt::format(" {} in the fridge dulls it.", time(last_.stay.value));
            }
        }
        a.working.title = "Setting";
        a.working.formula = "ρ c T_t = k T_xx + ρ L X_t;  dX/dt = r X (1 − X/X_eq);  firm 50 %, set 75 %, lets go 85 % of the fat crystallised everywhere";
        a.working.inputs = {chocolateConstant("heatCapacity"), chocolateConstant("conductivity"), chocolateConstant("growthRate"), chocolateConstant("fatShare"),
                            physics("airStill", lib_.physics), physics("setFraction", lib_.physics), physics("releaseFraction", lib_.physics),
                            {"thickest place", length(stage_.wall.thickest), "", "coat model"},
                            {"air", temperature(last_.place == coat::Place::Table ? plan_.kitchen.room.value : last_.place == coat::Place::Fridge ? plan_.kitchen.fridge.value : plan_.kitchen.freezer.value), "", "your kitchen"}};
        a.working.result = a.headline;
        a.working.trust = "Within ×1.5 of what kitchens report. A fan, a full shelf or a warm fridge change it; look before you peel.";
        a.working.section = "Setting";
        return a;
    }

    std::optional<Answer> dew() const {
        if (last_.place == coat::Place::Table) return std::nullopt;
        const auto& d = stage_.dew;
        Answer a;
        a.id = "dew";
        a.figure = {d.film, d.film, d.film, Dimension::Mass};
        a.headline = d.wet ? time(d.drySeconds) : "Stays dry";
        if (d.wet) a.after = "wet on leaving the cold";
        a.tone = d.wet && d.film > lib_.physical("frostHarm") ? Tone::Weak : d.wet ? Tone::Plain : Tone::Good;
        a.sentence = !d.wet ? fmt::format("The dew point of your room is {}; the piece is warmer.", temperature(d.dewPoint))
                     : d.film > lib_.physical("frostHarm")
                         ? fmt::format("{:.1f} g of water settle on a square metre: it dulls and gets sticky. Take it out in a closed box and open that after half an hour.", d.film * 1e3)
                         : fmt::format("A breath of water, {:.1f} g on a square metre. Do not touch it until it is gone.", d.film * 1e3);
        a.working.title = "Dew on leaving the cold";
        a.working.formula = "wet while the surface is colder than the dew point;  ρ c s dT/dt = n h (T_room − T) + latent heat";
        a.working.inputs = {{"room", temperature(plan_.kitchen.room.value) + ", " + format(plan_.kitchen.humidity.value, Dimension::Percent, plan_.units), "", "your kitchen"},
                            {"dew point", temperature(d.dewPoint), "", "ASHRAE Handbook Fundamentals 2017, ch. 1"},
                            physics("condensationTransfer", lib_.physics), physics("frostHarm", lib_.physics),
                            {"mean wall", length(stage_.wall.mean), "", "coat model"}};
        a.working.result = a.headline;
        a.working.trust = "Good for the dew point; how much water harms is judgement.";
        a.working.section = "Dew";
        return a;
    }

    Answer holds() const {
        Answer a = held(stage_.capacity, "to the brim", fmt::format("{} high, {} across at the rim.", length(stage_.height), length(2 * stage_.rimRadius)));
        a.working.formula = piece_.overBalloon() ? "V = ∫ π r² dz of the balloon up to the dip line" : "V = ∫ π r² dz of the cup up to the fill line − chocolate";
        a.working.inputs = {{"former", volume(stage_.formerVolume), "", "geometry from your measures"},
                            {"chocolate in it", piece_.overBalloon() ? "outside" : mass(stage_.coats.mass), "", "coat model"}};
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
        a.sentence = fmt::format("So much must be left in the {} to dip the last one; it stands {} deep and comes back.", lower(pot->name), length(b.still));
        a.working.title = "Bath";
        a.working.formula = "V = V_pot(clearance + dip) − V_former(dip)";
        a.working.inputs = {{"pot", pot->name, "", "data, replace by your own"},
                            {"clearance under the piece", length(lib_.usual("bathClearance")), "8–20 mm", "judgement"},
                            {"former under the dip line", volume(stage_.formerVolume), "", "geometry"}};
        a.working.result = a.headline;
        a.working.trust = "Exact for the pot described; pots differ.";
        a.working.section = "Batch";
        return a;
    }

    std::optional<Answer> shelf() const {
        if (last_.place == coat::Place::Table) return std::nullopt;
        const bool freezer = last_.place == coat::Place::Freezer;
        const double height = freezer ? plan_.kitchen.freezerHeight.value : plan_.kitchen.shelfHeight.value;
        Answer a;
        a.id = "shelf";
        a.figure = {double(known_.perShelf), double(known_.perShelf), double(known_.perShelf), Dimension::Count};
        a.headline = std::to_string(known_.perShelf);
        a.after = freezer ? "fit in the freezer at once" : "fit on the shelf at once";
        const char* thing = piece_.overBalloon() ? "balloon" : "cup";
        if (stage_.shelfHeight > height) {
            a.tone = Tone::Impossible;
            a.headline = "Too tall";
            a.after = "";
            a.sentence = fmt::format("With its {} it stands {} tall; there is room for {}.", thing, length(stage_.shelfHeight), length(height));
        } else if (known_.perShelf == 0) {
            a.tone = Tone::Impossible;
            a.sentence = "Not one fits: measure the shelf.";
        } else {
            const int rounds = (known_.make + known_.perShelf - 1) / known_.perShelf;
            a.sentence = rounds > 1 ? fmt::format("{} to make go in {} rounds.", known_.make, rounds) : fmt::format("All {} go in one round.", known_.make);
        }
        a.working.title = "Room in the cold";
        a.working.formula = "rows or staggered rows of discs, the better one";
        a.working.inputs = {{"diameter with its former", length(stage_.shelfDiameter), "", "geometry"},
                            {"gap", length(lib_.usual("pieceGap")), "5–15 mm", "judgement"},
                            {"height with its former", length(stage_.shelfHeight), "", "geometry, 15 mm for stand or hook"}};
        a.working.result = a.headline;
        a.working.trust = "Counts an empty shelf.";
        a.working.section = "Batch";
        return a;
    }

private:
    std::string area(double m2) const { return fmt::format("{:.0f} cm²", m2 * 1e4); }
    static Working::Input constant(const std::string& name, const material::Constant& c) {
        const double scale = c.unit == "m" ? 1e3 : 1;  // lengths of this size are spoken in millimetres
        const std::string unit = c.unit == "1" ? "" : c.unit == "m" ? " mm" : c.unit == "1/s" ? " per s" : " " + c.unit;
        return {name, fmt::format("{:.6g}{}", c.value * scale, unit), c.low < c.high ? fmt::format("{:.6g}–{:.6g}", c.low * scale, c.high * scale) : "", c.source};
    }
    Working::Input chocolateConstant(const char* name) const {
        const auto* chocolate = lib_.find(piece_.chocolate);
        Working::Input in = constant(words(name), chocolate->at(name));
        if (const auto own = plan_.own.find(piece_.chocolate); own != plan_.own.end())
            if (const auto v = own->second.values.find(name); v != own->second.values.end()) {
                in.value = fmt::format("{:.6g} {}", v->second, chocolate->at(name).unit);
                in.source = "your own figure";
            }
        return in;
    }
    Working::Input physics(const char* name, const material::Constants& from) const { return constant(words(name), from.at(name)); }
    /// "viscosityEnergy" → "viscosity energy"
    static std::string words(const std::string& camel) {
        std::string out;
        for (const char c : camel) {
            if (std::isupper(static_cast<unsigned char>(c))) out += ' ';
            if (std::isdigit(static_cast<unsigned char>(c)) && !out.empty() && std::isalpha(static_cast<unsigned char>(out.back()))) out += " at ";
            out += static_cast<char>(std::tolower(static_cast<unsigned char>(c)));
        }
        return out.ends_with("40") ? out + " °C" : out;
    }

    const material::Library& lib_;
    const PieceAnswers& known_;
    const CoatStage& stage_;
    const PlannedCoat& last_;
};

}  // namespace

std::vector<Answer> pieceAnswers(const Piece& piece, const Plan& plan, const material::Library& lib, const PieceAnswers& known) {
    const Teller t(piece, plan, lib, known);
    std::vector<Answer> out{t.wall(), t.grams(), t.cold()};
    for (auto& a : {t.dew(), std::optional(t.holds()), t.bath(), t.shelf()})
        if (a) out.push_back(*a);
    const auto& coating = known.coating;
    for (size_t i = 0; i < piece.coats.size(); ++i) {
        const double T = piece.coats[i].temperature.value;
        const double bears = lib.former(coating.compound ? "balloonBearsCompound" : "balloonBears");
        Answer a;
        a.id = fmt::format("temperature/{}", i);
        a.figure = {T, T - 1, T + 1, Dimension::Temperature};
        a.headline = format(T, Dimension::Temperature, plan.units);
        a.after = fmt::format("in coat {}", i + 1);
        a.tone = Tone::Weak;
        if (piece.overBalloon() && T > bears + 0.01)
            a.sentence = fmt::format("Warmer than {}, where balloons begin to burst. Let it cool, or test one balloon first.", format(bears, Dimension::Temperature, plan.units));
        else if (T > coating.loses)
            a.sentence = fmt::format("Above {} the temper is lost: it sets slowly, dull and soft. Cool it and seed it again.", format(coating.loses, Dimension::Temperature, plan.units));
        else
            continue;
        a.working = {"Temperature of the bath", "cautious limit of a balloon; temper lost where its crystals melt",
                     {{"limit of a balloon", format(bears, Dimension::Temperature, plan.units), "33–38 °C", "from memory, cautious"},
                      {"temper lost at", std::isfinite(coating.loses) ? format(coating.loses, Dimension::Temperature, plan.units) : "–", "", "from memory"}},
                     a.headline, "Test one balloon first.", "Crystals"};
        out.push_back(a);
    }
    for (size_t i = 0; i + 1 < piece.coats.size(); ++i) {  // the next coat must not meet liquid chocolate
        const auto& c = piece.coats[i];
        const double lead = (c.way == coat::Way::Brush ? 0 : c.drain.value) + c.delay.value;
        const double firm = known.stage->setting[i].firm, rest = lead + c.stay.value;
        if (!(std::isnan(firm) || rest < firm)) continue;
        Answer a;
        a.id = fmt::format("early/{}", i);
        a.figure = {firm - lead, firm - lead, firm - lead, Dimension::Duration};
        a.tone = Tone::Weak;
        a.headline = std::isnan(firm) ? "Not firm" : format(std::ceil((firm - lead) / 60) * 60, Dimension::Duration, plan.units);
        a.after = std::isnan(firm) ? "" : fmt::format("for coat {} to be firm", i + 1);
        a.sentence = fmt::format("The next coat comes after {}: too soon, it would wash the first one off.", format(c.stay.value, Dimension::Duration, plan.units));
        a.working = {"Firm before the next coat", "firm when half of the fat has crystallised everywhere", {}, a.headline, "Within ×1.5.", "Setting"};
        out.push_back(a);
    }
    return out;
}

}  // namespace uovo
