#include "core/run/bench_step.h"

#include <fmt/format.h>

#include <algorithm>
#include <cmath>

#include "core/quantity/catalogue.h"
#include "core/quantity/plural.h"
#include "core/quantity/spoken.h"
#include "core/quantity/words.h"
#include "core/words/decor_words.h"

namespace uovo::run {
namespace {

class Reader {
public:
    Reader(const Run& run, const Step& step, const Plan& plan, const material::Library& lib, const PlanFigures& known)
        : run_(run), s_(step), plan_(plan), lib_(lib), known_(known), piece_(plan.piece(step.madeOf())) {}

    BenchStep read() {
        if (piece_) {
            out_.about = piece_->name;
            if (!s_.which.empty()) out_.about = plural(piece_->name) + " " + s_.which;
        }
        out_.title = s_.title;
        for (const auto& id : s_.cautions)
            for (const auto& c : lib_.cautions)
                if (c.id == id) out_.cautions.push_back(c.text);
        const std::string& k = s_.kind;
        if (k.starts_with("coat-")) coat(s_.number() - 1);
        else if (k.starts_with("cast") && s_.lane == "coat") cast(s_.number() - 1);
        else if (k == "melt") melt();
        else if (k == "temper" || k == "warm") temper();
        else if (k == "colour") colour();
        else if (s_.lane == "cold") cold();
        else if (s_.lane == "look") look();
        else if (s_.lane == "release") release();
        else if (k.starts_with("fill")) fill();
        else if (k.starts_with("join")) join();
        else if (k.starts_with("top-")) topping();
        else if (k.starts_with("decorate-")) decoration();
        else others();
        meanwhile();
        if (out_.figures.size() < 3 && s_.makes <= 0 && s_.takes > 0 && !k.starts_with("coat-"))
            big(mass(s_.takes), tr("from the pot"));
        if (out_.figures.size() < 3 && s_.lane != "look") big(say("{} min", s_.minutes), "about");
        return std::move(out_);
    }

private:
    const PieceAnswers* answers() const { return piece_ ? known_.piece(piece_->id) : nullptr; }
    std::string mass(double kg) const { return format(kg, Dimension::Mass, plan_.units); }
    std::string degrees(double c) const { return format(c, Dimension::Temperature, plan_.units); }
    void big(std::string figure, std::string label) {
        if (out_.figures.size() < 3) out_.figures.push_back({std::move(figure), std::move(label)});
    }
    static std::string seconds(double s) { return s < 120 ? fmt::format("{:.0f} s", s) : say("{:.0f} min", s / 60); }

    void coat(size_t n) {
        const auto* a = answers();
        if (!piece_ || n >= piece_->coats().size()) return;
        const PlannedCoat c = piece_->coats()[n];
        big(degrees(c.temperature.value), tr("in the bowl"));
        const bool stays = c.way == coat::Way::Dip || c.way == coat::Way::Pour;
        if (stays && c.drain.value > 0)
            big(seconds(c.drain.value), c.way == coat::Way::Dip ? tr("let it drip off") : tr("pour out and drain"));
        if (a && a->made && a->made->wall && n < a->made->wall->coats.size())
            big(mass(a->made->wall->coats[n].added), n == 0 ? tr("stay on each") : tr("more on each"));
        out_.look.emplace_back(tr("Even and wet up to the rim, no pale patch."));
        if (n > 0)
            out_.look.emplace_back(
                tr("The coat below is matt and cold; this one turns matt quickly. Work without a stop."));
        if (c.way == coat::Way::Pour)
            out_.wrong.emplace_back(
                tr("A thick bottom: it was turned over too late. Pour out at once, tap, scrape the rim."));
        if (c.way == coat::Way::Dip)
            out_.wrong.emplace_back(
                tr("It drags and comes out thick: the bath has cooled. Warm it for some seconds, stir, go on."));
        if (c.way == coat::Way::Brush)
            out_.wrong.emplace_back(tr("Strokes stay to be seen: the chocolate is too cool or the shell too cold."));
    }

    void cast(size_t n) {
        const auto* a = answers();
        if (!piece_) return;
        const auto casts = piece_->casts();
        if (a && n < casts.size())
            big(degrees(casts[n].temperature.value > 0 ? casts[n].temperature.value : a->coating.workedAt()),
                tr("as it is poured"));
        if (a && a->made) {
            const CastWork work = castWork(*a->made, *piece_, n);
            if (work.mass > 0) big(mass(work.mass), tr("for one piece"));
            if (work.sheets > 0) {
                out_.look.emplace_back(tr(
                    "Spread to the height of the bars. Cut when it is matt and gives without sticking to a finger."));
                out_.wrong.emplace_back(
                    tr("It breaks along the cut: it has set too far. Warm the knife, cut with long strokes."));
                return;
            }
        }
        out_.look.emplace_back(tr("Level, without bubbles: tap the mold until none rise."));
        out_.wrong.emplace_back(tr("It stands up in ridges: it is too cool. Scrape it back into the pot and warm it."));
    }

    /// A step that draws longer than its pot stays warm by itself.
    void meanwhile() {
        const auto it = run_.pots().find(s_.pot);
        if (s_.takes <= 0 || it == run_.pots().end() || it->second.usable <= 0 || s_.minutes <= it->second.usable)
            return;
        const int times = (s_.minutes - 1) / it->second.usable;
        out_.look.push_back(
            say("Warm the pot for a few seconds every {} min meanwhile, and stir.", s_.minutes / (times + 1)));
    }

    const MeltPlan* pot() const {
        const auto at = potNumber(known_, s_.pot);
        return at ? &known_.melts[*at] : nullptr;
    }

    void melt() {
        const auto* m = pot();
        big(mass(s_.makes), tr("all in all"));
        if (m && m->problem.empty() && !m->temper.steps.empty()) {
            const auto& first = m->temper.steps.front();
            if (std::isfinite(first.celsius) && first.celsius > 0 && !m->choice.byLook)
                big(degrees(first.celsius), tr("and not above"));
            if (m->temper.seed > 0 && m->temper.melt > 0)
                big(mass(s_.makes * m->temper.seed / (m->temper.melt + m->temper.seed)), tr("kept back to seed it"));
            if (!first.look.empty()) out_.look.push_back(first.look);
        }
        out_.look.emplace_back(tr("Smooth and flowing, no lump left. Short bursts, stirred between."));
        out_.wrong.emplace_back(
            tr("Thick and grainy: a drop of water, or too hot. It makes a filling now, never a shell."));
    }

    void temper() {
        const auto* m = pot();
        big(mass(s_.makes), s_.kind == "warm" ? tr("in a cup") : tr("in the bowl"));
        if (m) {
            if (!m->choice.byLook) big(degrees(m->coating.workedAt()), tr("ready to use"));
            if (m->problem.empty() && !m->temper.steps.empty()) {
                const auto& last = m->temper.steps.back();
                if (!last.look.empty()) out_.look.push_back(last.look);
            }
        }
        out_.look.emplace_back(
            tr("Dip a knife tip, lay it on the bench: it must be matt and firm within five minutes."));
        out_.wrong.emplace_back(tr("It does not set, or in streaks: too warm. Stir in more seed, test again."));
    }

    void colour() {
        const auto* m = pot();
        if (m)
            for (const auto& line : m->mixing) out_.look.push_back(line);
        out_.wrong.emplace_back(
            tr("It thickens at once: the colour holds water. Only colours made for chocolate go in."));
    }

    void cold() {
        for (const auto& next : run_.steps())
            for (const auto& w : next.waits)
                if (w.after == s_.id && w.min > 1 && next.lane == "look") {
                    big(say("{} min", w.min), tr("until you look"));
                    if (w.max > w.min) big(say("{} min", w.max), tr("at most"));
                    return;
                }
    }

    void look() {
        if (s_.kind.starts_with("chill")) {
            out_.look.emplace_back(tr("Take it out just before it is eaten."));
            return;
        }
        out_.look.emplace_back(tr("Matt all over, and drawn away from the wall at the rim."));
        out_.look.emplace_back(tr("Through a clear mold it looks frosted; a dark spot still holds on: wait."));
        out_.wrong.emplace_back(
            tr("Wet with drops: it was too cold or too long. Leave it in the cool room, do not wipe."));
    }

    void release() {
        out_.look.emplace_back(tr("Cool hands, slowly, all round; it lets go by itself."));
        out_.wrong.emplace_back(tr("It holds on: back into the cold for five minutes, never by force."));
        out_.wrong.emplace_back(tr("It cracks: too cold or too thin. Let it stand a while first; the next one."));
    }

    void fill() {
        const auto* a = answers();
        if (a)
            for (const auto& f : a->fills) {
                big(format(f.each, Dimension::Volume, plan_.units), tr("into each"));
                break;
            }
        out_.look.emplace_back(tr("Cool to the hand: a warm filling melts the wall."));
    }

    void join() {
        out_.look.emplace_back(tr("Fit it dry first and mark the place. Score both faces, glue, set, hold still."));
        out_.wrong.emplace_back(
            tr("It slides: too much glue, or too warm. Hold it, cool the place with a cold spoon."));
    }

    void topping() {
        out_.look.emplace_back(tr("They stick without sinking in."));
        out_.wrong.emplace_back(tr("They roll off: it has set. Glue them with a dot of chocolate."));
    }

    void decoration() {
        const auto* a = answers();
        const auto n = static_cast<size_t>(s_.number());
        if (!a || !a->made || !a->decoration(n)) return;
        const auto words = decorWords(*piece_, n, plan_, lib_, *a);
        const auto& d = std::get<DecorateStep>(piece_->making[n]);
        if (d.way == DecorateStep::Way::Scrape) big(format(d.thick.value, Dimension::Length, plan_.units), "deep");
        else if (a->decoration(n)->mass > 0) big(mass(a->decoration(n)->mass), tr("on each"));
        if (std::isfinite(a->decoration(n)->lifts))
            big(seconds(a->decoration(n)->lifts),
                d.way == DecorateStep::Way::Tilt ? tr("until it stays") : tr("until the stencil is off"));
        if (a->decoration(n)->stiff > 0) big(seconds(a->decoration(n)->stiff), tr("until a strip breaks"));
        out_.look = words.how;
        out_.look.insert(out_.look.end(), words.look.begin(), words.look.end());
        out_.wrong = words.wrong;
    }

    void others() {
        if (s_.kind == "chop") out_.look.emplace_back(tr("In even crumbs as small as peas: they melt at one time."));
        if (s_.kind == "inflate")
            out_.look.emplace_back(tr("All to one size, by the tape. A thin film of oil, wiped."));
        if (s_.kind == "mold") out_.look.emplace_back(tr("Dry, dust-free, at room temperature, polished with cotton."));
        if (s_.kind == "wash-up")
            out_.look.emplace_back(tr("Wipe bowls with paper first; no chocolate down the drain."));
    }

    const Run& run_;
    const Step& s_;
    const Plan& plan_;
    const material::Library& lib_;
    const PlanFigures& known_;
    const Piece* piece_;
    BenchStep out_;
};

}  // namespace

BenchStep benchStep(const Run& run, const Step& step, const Plan& plan, const material::Library& lib,
                    const PlanFigures& known) {
    return Reader(run, step, plan, lib, known).read();
}

std::string timerWords(const Run& run, const Timer& timer, const PlanFigures& known) {
    if (!timer.pot.empty()) {
        const auto at = potNumber(known, timer.pot);
        return (at ? known.pots[*at].name : tr("The pot")) + tr(" wants warmth");
    }
    const Step* s = run.step(timer.step);
    return s ? s->title : std::string();
}

std::string spokenStep(const BenchStep& step) {
    std::string out = step.title + ".";
    for (const auto& f : step.figures) out += " " + f.figure + " " + f.label + ".";
    if (!step.cautions.empty()) out += " " + step.cautions.front();
    return spoken(out);
}

}  // namespace uovo::run
