#include "core/words/decor_words.h"

#include <fmt/format.h>

#include <cmath>

#include "core/quantity/catalogue.h"
#include "core/quantity/plural.h"
#include "core/quantity/words.h"
#include "core/stages/rim_ring.h"
#include "core/stages/sheets.h"
#include "core/stages/stencil.h"

namespace uovo {
namespace {

using Decor = DecorateStep::Way;

class Instructor {
public:
    Instructor(const Piece& piece, size_t step, const Plan& plan, const material::Library& lib,
               const PieceAnswers& known)
        : piece_(piece),
          d_(std::get<DecorateStep>(piece.making[step])),
          done_(*known.decoration(step)),
          made_(*known.made),
          plan_(plan),
          lib_(lib),
          known_(known) {}

    DecorWords all() {
        out_.title = title();
        before();
        way();
        if (const auto ring = rimRing(piece_, d_, made_))
            out_.how.push_back(
                say("{} round the rim, {} from one to the next: the rim ring among the templates "
                    "has their places.",
                    ring->times(), length(ring->spacing)));
        if (d_.dry.value > 0)
            out_.how.push_back(say("Touch it after {}.", spoken(d_.dry, Dimension::Duration, plan_.units)));
        return std::move(out_);
    }

private:
    std::string length(double m) const { return format(m, Dimension::Length, plan_.units); }
    std::string said(const Measure& m) const { return spoken(m, Dimension::Length, plan_.units); }
    std::string mass(double kg) const { return format(kg, Dimension::Mass, plan_.units); }
    std::string time(double s) const { return format(s, Dimension::Duration, plan_.units); }
    std::string percent(double share) const { return format(share, Dimension::Percent, plan_.units); }
    std::string what() const {
        const auto* c = d_.usesChocolate() ? lib_.find(piece_.chocolateOf(d_)) : nullptr;
        return c ? lowerFirst(c->name) : d_.name.empty() ? lowerFirst(usualName(d_.way)) : lowerFirst(d_.name);
    }
    void how(std::string words) { out_.how.push_back(std::move(words)); }

    std::string title() const {
        constexpr const char* kFirst[]{trLater("Drizzle the mold"),
                                       trLater("Paint in the mold"),
                                       trLater("Spray the mold"),
                                       trLater("Dust the mold"),
                                       trLater("Stencil the mold"),
                                       "",
                                       "",
                                       trLater("Splatter the mold"),
                                       trLater("Marble the mold"),
                                       trLater("Gild the mold"),
                                       "",
                                       "",
                                       trLater("Fill fields in the mold"),
                                       "",
                                       "",
                                       trLater("Tilt a second tone into the mold"),
                                       "",
                                       ""};
        constexpr const char* kAfter[]{trLater("Drizzle it"),
                                       trLater("Paint it"),
                                       trLater("Spray it"),
                                       trLater("Dust it"),
                                       trLater("Stencil it"),
                                       trLater("Tie a ribbon round it"),
                                       trLater("Scrape a pattern into it"),
                                       trLater("Splatter it"),
                                       trLater("Marble it"),
                                       trLater("Paint it with luster"),
                                       trLater("Lay sugar paste on it"),
                                       trLater("Dip its edge"),
                                       trLater("Outline and fill fields"),
                                       trLater("Brush wood grain in"),
                                       trLater("Petals of modeling chocolate"),
                                       trLater("Run a second tone over it"),
                                       trLater("A bow of modeling chocolate"),
                                       trLater("Strips from a frozen slab")};
        const auto k = static_cast<size_t>(d_.way);
        return tr(done_.first && *kFirst[k] ? kFirst[k] : kAfter[k]);
    }

    void paste() {
        const auto paste = modelingPaste(done_.used * known_.make, piece_.chocolateOf(d_), lib_);
        how(say("For all: {} of chocolate and {} of glucose syrup, made on a day before.", mass(paste.chocolate),
                mass(paste.syrup)));
        how(
            say("Without syrup: blend {} of set, tempered chocolate in a food processor until it clumps like clay, "
                "and use it at once.",
                mass(paste.chocolate + paste.syrup)));
    }

    static std::string laps(const StencilStrip& strip) {
        if (strip.laid < 2) return {};
        return say("; laid end to end {} times it goes round{}", strip.laid,
                   strip.lastOnly > 0 ? say(", the last time with {} only", strip.lastOnly) : "");
    }

    void before() {
        if (done_.first)
            how(
                say("On the bare, dry face of the mold, before any other chocolate: what is first lies outside. "
                    "Let it set, then {}.",
                    piece_.coats().empty() ? "cast" : "coat"));
    }

    void way() {
        const std::string with = say("With {}{}.", what(),
                                     done_.mass >= kWeighed ? ", " + mass(done_.mass) + tr(" on each")
                                     : done_.mass > 0       ? tr(", a trace on each")
                                                            : "");
        switch (d_.way) {
            case Decor::Drizzle:
                how(with);
                how(say("From a paper bag with an opening of {}, {} of line: swing beyond the edge and back.",
                        said(d_.width), length(done_.line)));
                out_.look = {tr("Lines as high as they are wide, none runs.")};
                out_.wrong = {tr("It runs: too warm. It breaks off: too cold.")};
                break;
            case Decor::Paint:
                how(with);
                how(say("{} of it{}, light colours before dark ones; each dry to the touch before the next.",
                        upperFirst(percent(d_.cover)), d_.times > 1 ? say(", {} thin layers", d_.times) : ""));
                how(tr("Colours of oil or cocoa butter, never of water: it seizes chocolate."));
                out_.wrong = {tr("Streaks: the brush is cold or the layer too thick.")};
                break;
            case Decor::Spray:
                how(
                    say("With {}, thinned with as much melted cocoa butter: {} in the pot for each, half of it "
                        "goes beside.",
                        what(), mass(done_.used)));
                how(
                    say("From {} away, {}, turning it; a piece straight from the cold gives velvet, one as warm "
                        "as the room gives gloss.",
                        length(lib_.decorating("sprayDistance")),
                        d_.times == 1 ? std::string(tr("one pass")) : say("{} passes", d_.times)));
                out_.wrong = {tr("It runs: too near, or too much at once.")};
                break;
            case Decor::Dust:
                how(with);
                how(tr("Through a fine sieve or off a soft dry brush, on a surface that is dry and not tacky."));
                break;
            case Decor::Stencil:
                how(with);
                if (const auto strip = stencilStrip(piece_, d_, rimRing(piece_, d_, made_)))
                    how(say("Print its strip at true scale and cut out {} of {} ({}){}.",
                            sayMany("{} opening", "{} openings", int(strip->openings.size())), length(strip->size),
                            tr(stencilFigure(d_)), laps(*strip)));
                how(say("Lay the paper close, fix it, spread or spray thinly.{}",
                        std::isfinite(done_.lifts)
                            ? say(" Lift it straight up within {}, before it sets.", time(done_.lifts))
                            : ""));
                out_.wrong = {tr("Torn edges: it had set. Blurred ones: the paper stood off.")};
                break;
            case Decor::Ribbon: {
                const double lap = lib_.usual("ribbonLap");
                if (!d_.name.empty()) how(tr("With ") + lowerFirst(d_.name) + ".");
                how(say("Cut it {} long, {} of it to lap over, the seam at the back.",
                        length(ribbonRound(made_, d_.item) + lap), length(lap)));
                break;
            }
            case Decor::Scrape:
                how(tr("Once it has set, at room temperature: straight from the cold it chips."));
                how(say("{} deep with a blade or a ball tool, away from you{}.", said(d_.thick), bared()));
                how(say("{} come off each: back into the pot.", mass(done_.away)));
                out_.look = {tr("The colour below shows evenly; brush the shavings off as you go.")};
                if (done_.leaves < lib_.decorating("scrapeLeaves"))
                    out_.wrong = {say("At its thinnest place only {} would stay: scrape where it is thick.",
                                      length(std::max(0.0, done_.leaves)))};
                break;
            case Decor::Splatter:
                how(with);
                how(tr("Warm it until it runs off the brush; flick it off against a stick, from an arm's length."));
                break;
            case Decor::Marble:
                how(with);
                how(tr(
                    "Drop it in while the other tone still runs, and draw a skewer through both three or four times: "
                    "no "
                    "more, or they mix."));
                break;
            case Decor::Gild:
                how(with);
                how(say("{} on a face that is dry and free of grease, the first one dry before the next.",
                        d_.times == 1 ? std::string(tr("One thin layer")) : say("{} thin layers", d_.times)));
                break;
            case Decor::Paste:
                how(with);
                how(
                    say("Kneaded soft with its colour, rolled {} thin, cut, laid on while the chocolate is a "
                        "little warm; on cold chocolate a dab of syrup holds it.",
                        said(d_.thick)));
                out_.wrong = {tr("It weeps in the fridge: keep it dry and at room temperature.")};
                break;
            case Decor::Edge:
                how(with);
                how(
                    say("Brush {} of the edge with chocolate or syrup, press it into a plate of it at once, knock "
                        "off what is loose.",
                        said(d_.width)));
                break;
            case Decor::Flood:
                how(with);
                how(
                    say("Pipe the outline {} wide and let it set; fill it with thinner chocolate {} high. On a "
                        "curved side fill a third at a time, that side up.",
                        said(d_.width), said(d_.thick)));
                out_.wrong = {tr("It runs over the line: too full, or the side stands too steep.")};
                break;
            case Decor::Grain:
                how(
                    tr("While it is firm and not yet hard, draw a stiff brush kept for food along one way, lightly "
                       "curved; "
                       "a knot here and there."));
                break;
            case Decor::Tilt:
                how(with);
                how(say("Hold {} aslant, run it over {} of the face, and let it stand so{}.",
                        done_.first ? tr("the mold") : tr("the piece"), percent(d_.cover),
                        std::isfinite(done_.lifts) ? say(" for {}, until it stays", time(done_.lifts))
                                                   : tr(" until it stays")));
                how(tr("Then the next tone over the rest, the other way aslant, a little over the edge of the first."));
                out_.wrong = {
                    tr("The edge blurs: it still ran. It parts there: it had set too long, or too thin an overlap.")};
                break;
            case Decor::Bow:
                how(with);
                paste();
                how(
                    say("Roll it in turns thinner down to {}, cut a band {} wide and {} long for each bow: two "
                        "loops over a rolled cloth, two tails, a narrow piece round the middle.",
                        said(d_.thick), said(d_.width), length(lib_.decorating("bowLength") * d_.width.value)));
                how(
                    tr("A dab of water or syrup where they meet; lift the cloth out once the loops stand. Dust when "
                       "dry."));
                out_.wrong = {tr("The loops sink: the paste is warm, or they were not left on the cloth.")};
                break;
            case Decor::Strips:
                how(with);
                how(
                    say("A stone or metal slab, an hour in the freezer, wiped dry. Spread one strip {} wide and "
                        "{} thin, {} in all.",
                        said(d_.width), said(d_.thick), length(done_.line)));
                how(
                    say("Lift it after {}, wind or fold it before {} are over: then it breaks. "
                        "Untempered chocolate does: the cold sets it, and it stays dull.",
                        time(done_.bends), time(done_.stiff)));
                out_.wrong = {tr(
                    "It tears: too early, or too thin. It breaks: too late. The slab warms: back into the freezer.")};
                break;
            case Decor::Petals:
                how(with);
                paste();
                how(say("Knead the modeling chocolate, roll it in turns thinner down to {}, cut {} of {} each.",
                        said(d_.thick), d_.times == 1 ? std::string(tr("one petal")) : say("{} petals", d_.times),
                        said(d_.width)));
                how(tr(
                    "Thin the upper edge between two films, curve it over a finger, set them from the inside outwards, "
                    "each over the seam of the two before. Dust when dry."));
                out_.wrong = {tr("It cracks: knead it warmer. It sticks: back to the cold for five minutes.")};
                break;
        }
    }

    /// ", that bares the milk below (from about 0.8 mm)"
    std::string bared() const {
        const Decorated::Bared* at = nullptr;
        for (const auto& b : done_.bares)
            if (b.mean > 0 && b.mean <= d_.thick.value) at = &b;
        const auto* c = at ? lib_.find(at->chocolate) : nullptr;
        return c ? say(", down to {}: it begins {} to {} deep", lowerFirst(c->name), length(at->low), length(at->high))
                 : "";
    }

    const Piece& piece_;
    const DecorateStep& d_;
    const Decorated& done_;
    const Made& made_;
    const Plan& plan_;
    const material::Library& lib_;
    const PieceAnswers& known_;
    DecorWords out_;
};

}  // namespace

DecorWords decorWords(const Piece& piece, size_t step, const Plan& plan, const material::Library& lib,
                      const PieceAnswers& known) {
    return Instructor(piece, step, plan, lib, known).all();
}

}  // namespace uovo
