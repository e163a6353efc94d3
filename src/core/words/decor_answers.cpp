// Sentences about decorations: what lies under a scraped place, grams of what is laid on, when a stencil is lifted.
#include <algorithm>
#include <cmath>

#include "core/quantity/catalogue.h"
#include "core/quantity/decimal.h"
#include "core/quantity/plural.h"
#include "core/stages/rim_ring.h"
#include "core/words/decor_words.h"
#include "core/words/speaker.h"

namespace uovo {
namespace {

using Decor = DecorateStep::Way;

class DecorTeller : Speaker {
public:
    DecorTeller(const Piece& piece, const Plan& plan, const material::Library& lib, const PieceAnswers& known)
        : Speaker(piece, plan, lib), known_(known) {}

    std::vector<Answer> all() const {
        std::vector<Answer> out;
        for (const auto& d : known_.decorated)
            if (auto a = one(d)) out.push_back(std::move(*a));
        return out;
    }

private:
    const DecorateStep& stepOf(const Decorated& d) const { return std::get<DecorateStep>(piece_.making[d.step]); }

    std::optional<Answer> one(const Decorated& d) const {
        const DecorateStep& step = stepOf(d);
        if (step.way == Decor::Ribbon || step.way == Decor::Grain) return std::nullopt;
        Answer a = step.way == Decor::Scrape ? scraped(d, step) : laidOn(d, step);
        a.id = fmt::format("decoration/{}", d.step);
        if (const auto ring = rimRing(piece_, step, *known_.made))
            a.sentence += say(" {} round the rim, {} from one to the next.", ring->times(), length(ring->spacing));
        a.working.result = a.headline;
        a.working.section = tr("Decoration");
        return a;
    }

    std::string chocolateName(const std::string& id) const {
        const auto* c = lib_.find(id);
        return c ? lowerFirst(c->name) : tr("chocolate");
    }

    Answer scraped(const Decorated& d, const DecorateStep& step) const {
        const double depth = step.thick.value;
        Answer a;
        a.figure = {depth, depth, depth, Dimension::Length};
        a.headline = length(depth);
        a.after = tr("deep is scraped");
        a.working = {
            tr("What a scrape bares"),
            tr("the coats as they lie from outside inwards: in a mold the first, over a former the last"),
            {{tr("scraped"), length(depth), "", tr("your plan")}},
            "",
            tr("Each coat as thick as it is on the mean; a wall is thinner at one place and thicker at another."),
            ""};
        if (d.bares.size() < 2) {
            a.tone = Tone::Weak;
            a.sentence = d.bares.empty() ? tr("Its wall is not made of coats: a scrape shows the same chocolate.")
                                         : tr("All coats are of one chocolate: a scrape shows the same.");
            return a;
        }
        size_t at = 0;
        for (size_t k = 0; k < d.bares.size(); ++k) {
            if (d.bares[k].mean <= depth) at = k;
            if (k > 0)
                a.working.inputs.push_back(
                    {say("{} from", chocolateName(d.bares[k].chocolate)), length(d.bares[k].mean),
                     fmt::format("{} to {}", length(d.bares[k].low), length(d.bares[k].high)), tr("coat model")});
        }
        const auto sure = [&](size_t k) {
            return depth >= d.bares[k].high && (k + 1 >= d.bares.size() || depth < d.bares[k + 1].low);
        };
        std::string layers;
        for (size_t k = 1; k < d.bares.size(); ++k)
            layers +=
                say("{}{} from about {} ({} to {})", layers.empty() ? "" : ", ", chocolateName(d.bares[k].chocolate),
                    length(d.bares[k].mean), length(d.bares[k].low), length(d.bares[k].high));
        a.sentence = say(
            "It bares {}{}. {}. Once it has set, at room temperature: cold it chips.",
            at == 0 ? tr("nothing yet: ") + chocolateName(d.bares[0].chocolate) : chocolateName(d.bares[at].chocolate),
            at > 0 && !sure(at) ? tr(" in most places") : "", upperFirst(layers));
        if (at == 0) a.tone = Tone::Weak;
        const double best = d.bares.size() > 2 ? 0.5 * (d.bares[1].high + d.bares[2].low) : 1.1 * d.bares[1].high;
        if (at == 0 && best > depth)
            a.ways.push_back(way(say("Scrape {}", length(std::ceil(best * 1e4) * 1e-4)), [&](Piece& p) {
                std::get<DecorateStep>(p.making[d.step]).thick = Measure(std::ceil(best * 1e4) * 1e-4);
            }));
        if (d.leaves < lib_.decorating("scrapeLeaves")) {
            a.tone = Tone::Weak;
            a.sentence += d.leaves <= 0 ? tr(" At its thinnest place that goes through.")
                                        : say(" At its thinnest place it leaves {}: scrape where it is thick, "
                                              "or give it one coat more.",
                                              length(d.leaves));
        }
        a.sentence += say(" {} come off each, and can be melted again.", mass(d.away));
        return a;
    }

    Answer laidOn(const Decorated& d, const DecorateStep& step) const {
        Answer a;
        a.figure = {d.mass, d.low, d.high, Dimension::Mass};
        a.headline = d.mass >= kWeighed ? mass(d.mass) : tr("A trace");
        const std::string what = step.usesChocolate() ? chocolateName(piece_.chocolateOf(step))
                                 : step.name.empty()  ? lowerFirst(usualName(step.way))
                                                      : lowerFirst(step.name);
        a.after = say("of {} on each", what);
        const DecorUse uses = usesOf(step.way);
        if (d.line > 0)
            a.sentence += step.way == Decor::Strips ? say("{} of strip, {} wide.", length(d.line), text(step.width))
                          : step.way == Decor::Edge
                              ? say("Along {} of edge, {} high.", length(d.line), text(step.width))
                              : say("{} of line, {} wide.", length(d.line), text(step.width));
        if (uses.cover)
            a.sentence += say("{}It covers {}{}.", a.sentence.empty() ? "" : " ", areaText(d.area),
                              step.way == Decor::Paste ? ", " + text(step.thick) + tr(" thick") : "");
        if (d.first) a.sentence += tr(" It goes on the mold's face first, and lies outside once it is turned out.");
        if (d.used > 1.05 * d.mass)
            a.sentence += say(" Melt {} for each: {} go beside it.", mass(d.used), mass(d.used - d.mass));
        switch (step.way) {
            case Decor::Stencil:
                if (std::isfinite(d.lifts))
                    a.sentence += say(" Lift the paper within {}, before it sets.", time(d.lifts));
                break;
            case Decor::Spray:
                a.sentence += say(" From {} away, {}.", length(lib_.decorating("sprayDistance")),
                                  step.times == 1 ? tr("one pass") : say("{} passes", step.times));
                break;
            case Decor::Tilt:
                if (std::isfinite(d.lifts))
                    a.sentence += say(" It stays where it is after {}: then tilt the other way.", time(d.lifts));
                break;
            case Decor::Bow:
                a.sentence += say(" {} of a band {} wide, {} thin, {} of band in each.",
                                  step.times == 1 ? tr("One bow") : say("{} bows", step.times), text(step.width),
                                  text(step.thick), length(lib_.decorating("bowLength") * step.width.value));
                break;
            case Decor::Strips:
                a.sentence +=
                    say(" On a slab from the freezer, {} thin, it holds together after {} and bends "
                        "until {} after it was spread: one strip at a time.",
                        text(step.thick), time(d.bends), time(d.stiff));
                break;
            case Decor::Petals:
                a.sentence += say(" {} each {} wide, from modeling chocolate rolled {} thin.",
                                  step.times == 1 ? tr("One petal,") : say("{} petals,", step.times), text(step.width),
                                  text(step.thick));
                break;
            case Decor::Paste:
                a.sentence +=
                    tr(" It sticks to chocolate that is still a little warm; on cold chocolate a dab of syrup "
                       "holds it. It draws water: not in the fridge.");
                break;
            default:
                break;
        }
        if (const double share = d.mass / std::max(1e-9, known_.made->mass); share > 1) {
            a.tone = Tone::Weak;
            a.sentence += tr(" That is more than the piece itself weighs.");
        }
        a.sentence += say(" {} of hands each.", time(d.seconds));
        a.working = {tr("What a decoration weighs"),
                     tr("line · width² · section · ρ;  share of the face · film · passes · ρ;  or as it is typed"),
                     {},
                     "",
                     tr("Films and lines are judgement: weigh what goes on one piece, and type that."),
                     ""};
        const auto input = [&](const char* name, const char* words) {
            const auto& c = lib_.decor.at(name);
            a.working.inputs.push_back({words, number(c.value, c.unit),
                                        fmt::format("{}–{}", number(c.low, c.unit), number(c.high, c.unit)), c.source});
        };
        if (uses.line && step.way != Decor::Strips) input("lineSection", tr("section of a line"));
        if (step.way == Decor::Paint) input("paintFilm", tr("a layer of paint"));
        if (step.way == Decor::Spray) input("sprayFilm", tr("one pass")), input("sprayLoss", tr("goes beside"));
        if (step.way == Decor::Stencil) input("stencilFilm", tr("film through the stencil"));
        if (step.way == Decor::Splatter) input("splatterFilm", tr("drops, spread out"));
        if (step.way == Decor::Dust) input("dustMass", tr("powder"));
        if (step.way == Decor::Gild) input("gildMass", tr("one layer"));
        if (step.way == Decor::Paste) input("pasteDensity", tr("sugar paste"));
        if (step.way == Decor::Edge) input("edgeMass", tr("one layer of sugar"));
        if (step.way == Decor::Petals) input("petalFills", tr("a petal in its square"));
        if (step.way == Decor::Bow) input("bowLength", tr("band of a bow, in widths"));
        if (step.way == Decor::Strips) {
            input("stripHolds", tr("holds together after"));
            input("stripBends", tr("bends until"));
            input("stripThick", tr("of a strip so thick; as its square"));
        }
        return a;
    }

    std::string text(const Measure& m) const { return spoken(m, Dimension::Length, plan_.units); }
    std::string areaText(double m2) const {
        return plan_.units == UnitSystem::US ? fmt::format("{} in²", decimal(m2 / 0.00064516, 1))
                                             : fmt::format("{:.0f} cm²", m2 * 1e4);
    }
    std::string number(double v, const std::string& unit) const {
        return unit == "m"       ? length(v)
               : unit == "kg/m²" ? fmt::format("{:.0f} g/m²", v * 1e3)
               : unit == "1"     ? significant(v, 6)
                                 : fmt::format("{} {}", significant(v, 6), unit);
    }

    const PieceAnswers& known_;
};

}  // namespace

std::vector<Answer> decorAnswers(const Piece& piece, const Plan& plan, const material::Library& lib,
                                 const PieceAnswers& known) {
    return DecorTeller(piece, plan, lib, known).all();
}

}  // namespace uovo
