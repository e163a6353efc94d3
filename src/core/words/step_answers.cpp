// Sentences about the steps besides the wall: their order, toppings, what stands in a piece, and how it is served.
#include <algorithm>
#include <cmath>

#include "core/quantity/catalogue.h"
#include "core/quantity/decimal.h"
#include "core/quantity/plural.h"
#include "core/setting/topping.h"
#include "core/words/speaker.h"

namespace uovo {
namespace {

class StepTeller : Speaker {
public:
    StepTeller(const Piece& piece, const Plan& plan, const material::Library& lib, const PieceAnswers& known)
        : Speaker(piece, plan, lib), known_(known) {}

    /// What of the order is wrong, each with the change that puts it right.
    std::vector<Answer> order() const {
        std::vector<Answer> out;
        for (const auto& b : known_.breaks) {
            Answer a;
            a.id = "order/" + b.id;
            a.headline = tr("Out of order");
            a.sentence = b.sentence;
            a.tone = Tone::Weak;
            a.working = {
                tr("Order of the steps"),
                tr("rules of order: nothing goes into a closed piece; a former is left before what needs a bare "
                   "piece; a lid waits for its filling; light colours come before dark ones; what does not keep "
                   "goes back into the cold"),
                {},
                b.sentence,
                tr("Rules of the trade (common practice, no source)."),
                tr("Making")};
            if (!b.repaired.empty()) {
                a.ways.push_back(way(tr("Put it right"), [&](Piece& p) { p.making = b.repaired; }));
            }
            out.push_back(std::move(a));
        }
        return out;
    }

    std::vector<Answer> toppings() const {
        std::vector<Answer> out;
        for (const auto& t : known_.toppings) {
            const auto& step = std::get<TopStep>(piece_.making[t.step]);
            const Topping& top = *plan_.topping(t.topping);
            Answer a;
            a.id = "topping/" + t.topping;
            a.figure = {step.each.value, step.each.value, step.each.value, Dimension::Mass};
            a.headline = mass(step.each.value);
            a.after = tr("of ") + lowerFirst(top.name) + tr(" on each");
            if (step.when == TopStep::When::Glued) {
                a.sentence = say("About {} of them, each with a dot of chocolate: {} of it.",
                                 std::max(1L, std::lround(t.grains)), mass(t.glue));
            } else if (t.inside) {
                a.sentence = tr("Strew them on what is in it, as late as you can: they draw water.");
            } else if (std::isnan(t.from)) {
                a.tone = Tone::Weak;
                a.sentence =
                    tr("They slide down for as long as the coat takes them: glue them on one by one, or choose smaller "
                       "ones.");
                a.ways.push_back(glued(t.step));
            } else if (step.when == TopStep::When::Wet && t.from > 0) {
                a.tone = Tone::Weak;
                a.sentence = say("They slide down a fresh coat. Strew them when it is tacky, {} to {} after it.",
                                 time(t.from), time(t.to));
                a.ways.push_back(tacky(t.step));
            } else {
                a.sentence =
                    std::isfinite(t.to)
                        ? t.from > 0
                              ? say("Strew them {} to {} after the coat: then it holds them, and still takes them.",
                                    time(t.from), time(t.to))
                              : say("It holds them at once. Strew them within {}, piece by piece as they are coated.",
                                    time(t.to))
                        : tr("It holds them at once. Strew them as it is coated.");
            }
            if (t.cover > 1) {
                a.tone = Tone::Weak;
                const double layer = step.each.value / t.cover;
                a.sentence += say(" One close layer all over takes {}: the rest falls off.", mass(layer));
                a.ways.push_back(way(tr("Strew ") + mass(layer),
                                     [&](Piece& p) { std::get<TopStep>(p.making[t.step]).each = Measure(layer); }));
            } else if (std::isfinite(t.cover) && t.cover >= 0.005) {
                a.sentence += say(" They lie close on {} of it.", format(t.cover, Dimension::Percent, plan_.units));
            }
            if (step.each.value > known_.made->mass) {
                a.tone = Tone::Weak;
                a.sentence += tr(" That is more than the piece itself weighs.");
            }
            a.working = {
                tr("When a topping stays"),
                tr("a grain's weight, ρ g π d³/6, against the yield stress on the half of it that sinks in, τ₀ π d²/2; "
                   " "
                   "on a level face it floats at once;  the coat takes none once it no longer runs;  one close layer "
                   "weighs 0.82 · 2/3 d ρ a square metre"),
                {{tr("grain"), length(top.grain.value), "", tr("your plan")},
                 {tr("density"), fmt::format("{:.0f} kg/m³", top.density), "", tr("your plan")},
                 {tr("yield stress that holds it"),
                  fmt::format("{} Pa", decimal(setting::grainHoldsAt(top.grain.value, top.density), 1)), "",
                  tr("computed")},
                 physics("staticYield", lib_.physics)},
                a.headline,
                tr("The moment within ×1.4; try one piece first."),
                tr("Toppings")};
            out.push_back(std::move(a));
        }
        return out;
    }

    /// Everything in one as it is eaten, where it is more than chocolate.
    std::optional<Answer> eaten() const {
        double kg = known_.made->mass + known_.capMass, beside = 0;
        std::vector<Working::Input> parts{{tr("chocolate"), mass(kg), "", tr("computed")}};
        std::string words;
        const auto add = [&](double more, const std::string& what) {
            if (more <= 0) return;
            beside += more;
            parts.push_back({what, mass(more), "", tr("your plan")});
            words += fmt::format("{}{} of {}", words.empty() ? "" : ", ", mass(more), lowerFirst(what));
        };
        for (const auto& step : piece_.making) {
            if (const auto* t = std::get_if<TopStep>(&step)) add(t->each.value, plan_.topping(t->topping)->name);
            if (const auto* d = std::get_if<DecorateStep>(&step))
                if (const auto* done = known_.decoration(size_t(&step - piece_.making.data()))) {
                    const auto* c = d->usesChocolate() ? lib_.find(piece_.chocolateOf(*d)) : nullptr;
                    add(done->mass, c ? c->name : d->name.empty() ? tr("Decoration") : d->name);
                }
            if (const auto* i = std::get_if<InsertStep>(&step); i && i->what != InsertStep::What::Piece)
                add(i->mass.value * i->each, i->name);
        }
        if (beside <= 0) return std::nullopt;
        Answer a;
        a.id = "eaten";
        kg += beside;
        a.figure = {kg, kg, kg, Dimension::Mass};
        a.headline = mass(kg);
        a.after = tr("in all, without its filling");
        a.sentence = say("{} of chocolate, {}.", parts.front().value, words);
        a.working = {tr("One piece in all"),
                     tr("chocolate + lid + toppings + decoration + what stands in it"),
                     parts,
                     a.headline,
                     tr("Fillings are told by volume."),
                     tr("Making")};
        return a;
    }

    /// Pieces of the plan that stand in this one.
    std::vector<Answer> pieces() const {
        std::vector<Answer> out;
        for (const auto& step : piece_.making) {
            const auto* in = std::get_if<InsertStep>(&step);
            if (!in || in->what != InsertStep::What::Piece) continue;
            const Piece* other = plan_.piece(in->piece);
            if (!other) continue;
            const int need = in->each * piece_.count;
            Answer a;
            a.id = "stands-in/" + other->id;
            a.figure = {double(need), double(need), double(need), Dimension::Count};
            a.headline = std::to_string(need);
            const std::string named = lowerFirst(need == 1 ? other->name : plural(other->name));
            a.after = piece_.count == 1 ? say("{} to stand in it", named) : say("{} to stand in them", named);
            a.tone = need > other->count ? Tone::Weak : Tone::Plain;
            a.sentence = need > other->count
                             ? sayMany("Only {} is planned: make {} more.", "Only {} are planned: make {} more.",
                                       other->count, need - other->count)
                             : tr("They are made and set before they go in.");
            if (need > other->count) {
                Piece more = *other;
                more.count = need;
                a.ways.push_back(wayTo(say("Make {} {}", need, lowerFirst(plural(other->name))), std::move(more)));
            }
            a.working = {tr("What stands in it"),
                         tr("so many in each times how many pieces"),
                         {{tr("in each"), std::to_string(in->each), "", tr("your plan")}},
                         a.headline,
                         "",
                         tr("Making")};
            out.push_back(std::move(a));
        }
        return out;
    }

    /// What is dipped or bound: how long it keeps, and whether its weight can be meant.
    std::optional<Answer> around() const {
        if (!piece_.roundSomething()) return std::nullopt;
        double kg = 0;
        for (const auto& in : StepsOf<const InsertStep>(piece_.making))
            if (in.what == InsertStep::What::Core) kg += in.mass.value * in.each;
        const auto& items = known_.made->assembly.items;
        const double room = items.size() > 1 ? items[1].shape.volume : items[0].shape.displaced;
        const double density = kg / std::max(1e-9, room);
        const double low = lib_.usual("coreLightest"), high = lib_.usual("coreHeaviest");
        const auto perCubic = [](double d) { return fmt::format("{:.0f} kg/m³", d); };
        Answer a;
        a.id = "core";
        a.figure = {kg, kg, kg, Dimension::Mass};
        a.headline = mass(kg * piece_.count);
        a.after = tr("to be dipped or bound");
        a.tone = kg <= 0 || (density >= low && density <= high) ? Tone::Plain : Tone::Weak;
        a.sentence =
            a.tone == Tone::Weak
                ? say("{} in so much room would be {}: check its grams and its size.", mass(kg), perCubic(density))
            : piece_.couldBeCoated() && form::choice(piece_.shape, "what") == "fruit"
                ? tr("Dry to the last drop, at room temperature: water seizes the chocolate. Fresh fruit weeps "
                     "under it; eat it the same day.")
                : tr("Dry and at room temperature: cold ones make the chocolate thick, and dull.");
        a.working = {tr("What is in it"),
                     tr("grams of one over the room it takes"),
                     {{tr("in one"), mass(kg), "", tr("your plan")},
                      {tr("room"), volume(room), "", tr("its figures")},
                      constant(tr("lightest"), lib_.kitchen.at("coreLightest")),
                      constant(tr("heaviest"), lib_.kitchen.at("coreHeaviest"))},
                     perCubic(density),
                     tr("Says only whether grams and size can belong together."),
                     tr("Making")};
        return a;
    }

    std::vector<Answer> served() const {
        std::vector<Answer> out;
        for (const auto& step : piece_.making) {
            const auto* s = std::get_if<ServeStep>(&step);
            if (!s) continue;
            Answer a;
            a.working = {tr("Serving"),
                         tr("grams of chocolate over the litres it melts in;  amounts times how many"),
                         {},
                         "",
                         tr("As strong as each likes it."),
                         tr("Making")};
            if (s->how == ServeStep::How::Drink && s->amount.value > 0) {
                const double perLitre = known_.made->mass / (s->amount.value * 1e3), low = lib_.usual("drinkWeak"),
                             high = lib_.usual("drinkStrong");
                a.id = "drink";
                a.figure = {perLitre, perLitre, perLitre, Dimension::Mass};
                a.headline = mass(known_.made->mass);
                a.after = say("of chocolate in {}", volume(s->amount.value));
                a.tone = perLitre < low || perLitre > high ? Tone::Weak : Tone::Good;
                a.sentence = perLitre < low ? say("That is thin: {} of {} make a full drink of it.",
                                                  volume(known_.made->mass / low * 1e-3),
                                                  s->name.empty() ? "milk" : lowerFirst(s->name))
                             : perLitre > high
                                 ? say("That is thick: it takes {} of {}.", volume(known_.made->mass / high * 1e-3),
                                       s->name.empty() ? "milk" : lowerFirst(s->name))
                                 : say("Pour it on hot, and stir until it has melted; {} for all.",
                                       volume(s->amount.value * piece_.count));
                if (a.tone == Tone::Weak) {
                    const double fits = known_.made->mass / (perLitre < low ? low : high) * 1e-3;
                    a.ways.push_back(way(say("Drink it in {}", volume(fits)), [&](Piece& p) {
                        std::get<ServeStep>(p.making[size_t(&step - piece_.making.data())]).amount = Measure(fits);
                    }));
                }
                a.working.inputs = {{tr("chocolate"), mass(known_.made->mass), "", tr("computed")},
                                    constant(tr("a full drink, kg a litre from"), lib_.kitchen.at("drinkWeak")),
                                    constant(tr("to"), lib_.kitchen.at("drinkStrong"))};
            } else if (s->how == ServeStep::How::Sauce && s->amount.value > 0) {
                a.id = "sauce";
                const double all = s->amount.value * piece_.count;
                a.figure = {all, all, all, Dimension::Volume};
                a.headline = volume(all);
                a.after = (s->name.empty() ? std::string("sauce") : lowerFirst(s->name)) + tr(" for all");
                a.sentence = say("{} over each. A warm sauce melts what it runs over: pour it at the table.",
                                 volume(s->amount.value));
            } else {
                continue;
            }
            a.working.result = a.headline;
            out.push_back(std::move(a));
        }
        return out;
    }

private:
    WayOut changedTop(size_t step, TopStep::When when, const char* title) const {
        return way(title, [&](Piece& p) {
            std::get<TopStep>(p.making[step]).when = when;
            if (when != TopStep::When::Glued) return;  // one by one is done when all else is
            Step moved = p.making[step];
            p.making.erase(p.making.begin() + static_cast<std::ptrdiff_t>(step));
            p.making.insert(p.making.begin() + static_cast<std::ptrdiff_t>(p.usualPlace(moved)), moved);
        });
    }
    WayOut glued(size_t step) const { return changedTop(step, TopStep::When::Glued, tr("Glue them on")); }
    WayOut tacky(size_t step) const { return changedTop(step, TopStep::When::Tacky, tr("Strew when tacky")); }

    const PieceAnswers& known_;
};

}  // namespace

std::vector<Answer> stepAnswers(const Piece& piece, const Plan& plan, const material::Library& lib,
                                const PieceAnswers& known) {
    const StepTeller t(piece, plan, lib, known);
    std::vector<Answer> out = t.order();
    for (auto list : {laceAnswers(piece, plan, lib, known), moldAnswers(piece, plan, lib, known), t.toppings(),
                      decorAnswers(piece, plan, lib, known), t.pieces(), t.served()})
        for (auto& a : list) out.push_back(std::move(a));
    if (auto a = t.around()) out.push_back(std::move(*a));
    if (auto a = t.eaten()) out.push_back(std::move(*a));
    return out;
}

}  // namespace uovo
