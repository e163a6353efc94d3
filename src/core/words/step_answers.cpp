// Sentences about the steps besides the wall: their order, toppings, what stands in a piece, and how it is served.
#include <algorithm>
#include <cmath>

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
            a.headline = "Out of order";
            a.sentence = b.sentence;
            a.tone = Tone::Weak;
            a.working = {"Order of the steps",
                         "rules of order: nothing goes into a closed piece; a former is left before what needs a bare "
                         "piece; a lid waits for its filling; light colours come before dark ones; what does not keep "
                         "goes back into the cold",
                         {},
                         b.sentence,
                         "Rules of the trade (common practice, no source).",
                         "Making"};
            if (!b.repaired.empty()) {
                a.ways.push_back(way("Put it right", [&](Piece& p) { p.making = b.repaired; }));
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
            a.after = "of " + lowerFirst(top.name) + " on each";
            if (step.when == TopStep::When::Glued) {
                a.sentence = fmt::format("About {} of them, each with a dot of chocolate: {} of it.",
                                         std::max(1L, std::lround(t.grains)), mass(t.glue));
            } else if (t.inside) {
                a.sentence = "Strew them on what is in it, as late as you can: they draw water.";
            } else if (std::isnan(t.from)) {
                a.tone = Tone::Weak;
                a.sentence =
                    "They slide down for as long as the coat takes them: glue them on one by one, or choose smaller "
                    "ones.";
                a.ways.push_back(glued(t.step));
            } else if (step.when == TopStep::When::Wet && t.from > 0) {
                a.tone = Tone::Weak;
                a.sentence =
                    fmt::format("They slide down a fresh coat. Strew them when it is tacky, {} to {} after it.",
                                time(t.from), time(t.to));
                a.ways.push_back(tacky(t.step));
            } else {
                a.sentence =
                    std::isfinite(t.to)
                        ? t.from > 0
                              ? fmt::format(
                                    "Strew them {} to {} after the coat: then it holds them, and still takes them.",
                                    time(t.from), time(t.to))
                              : fmt::format(
                                    "It holds them at once. Strew them within {}, piece by piece as they are coated.",
                                    time(t.to))
                        : "It holds them at once. Strew them as it is coated.";
            }
            if (t.cover > 1) {
                a.tone = Tone::Weak;
                const double layer = step.each.value / t.cover;
                a.sentence += fmt::format(" One close layer all over takes {}: the rest falls off.", mass(layer));
                a.ways.push_back(way("Strew " + mass(layer),
                                     [&](Piece& p) { std::get<TopStep>(p.making[t.step]).each = Measure(layer); }));
            } else if (std::isfinite(t.cover) && t.cover >= 0.005) {
                a.sentence +=
                    fmt::format(" They lie close on {} of it.", format(t.cover, Dimension::Percent, plan_.units));
            }
            if (step.each.value > known_.made->mass) {
                a.tone = Tone::Weak;
                a.sentence += " That is more than the piece itself weighs.";
            }
            a.working = {
                "When a topping stays",
                "a grain's weight, ρ g π d³/6, against the yield stress on the half of it that sinks in, τ₀ π d²/2;  "
                "on a level face it floats at once;  the coat takes none once it no longer runs;  one close layer "
                "weighs 0.82 · 2/3 d ρ a square metre",
                {{"grain", length(top.grain.value), "", "your plan"},
                 {"density", fmt::format("{:.0f} kg/m³", top.density), "", "your plan"},
                 {"yield stress that holds it",
                  fmt::format("{} Pa", decimal(setting::grainHoldsAt(top.grain.value, top.density), 1)), "",
                  "computed"},
                 physics("staticYield", lib_.physics)},
                a.headline,
                "The moment within ×1.4; try one piece first.",
                "Toppings"};
            out.push_back(std::move(a));
        }
        return out;
    }

    /// Everything in one as it is eaten, where it is more than chocolate.
    std::optional<Answer> eaten() const {
        double kg = known_.made->mass + known_.capMass, beside = 0;
        std::vector<Working::Input> parts{{"chocolate", mass(kg), "", "computed"}};
        std::string words;
        const auto add = [&](double more, const std::string& what) {
            if (more <= 0) return;
            beside += more;
            parts.push_back({what, mass(more), "", "your plan"});
            words += fmt::format("{}{} of {}", words.empty() ? "" : ", ", mass(more), lowerFirst(what));
        };
        for (const auto& step : piece_.making) {
            if (const auto* t = std::get_if<TopStep>(&step)) add(t->each.value, plan_.topping(t->topping)->name);
            if (const auto* d = std::get_if<DecorateStep>(&step))
                if (const auto* done = known_.decoration(size_t(&step - piece_.making.data()))) {
                    const auto* c = d->usesChocolate() ? lib_.find(piece_.chocolateOf(*d)) : nullptr;
                    add(done->mass, c ? c->name : d->name.empty() ? "Decoration" : d->name);
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
        a.after = "in all, without its filling";
        a.sentence = fmt::format("{} of chocolate, {}.", parts.front().value, words);
        a.working = {"One piece in all",
                     "chocolate + lid + toppings + decoration + what stands in it",
                     parts,
                     a.headline,
                     "Fillings are told by volume.",
                     "Making"};
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
            a.after = lowerFirst(need == 1 ? other->name : plural(other->name)) + " to stand in " +
                      (piece_.count == 1 ? "it" : "them");
            a.tone = need > other->count ? Tone::Weak : Tone::Plain;
            a.sentence = need > other->count ? fmt::format("Only {} {} planned: make {} more.", other->count,
                                                           other->count == 1 ? "is" : "are", need - other->count)
                                             : "They are made and set before they go in.";
            if (need > other->count) {
                Piece more = *other;
                more.count = need;
                a.ways.push_back(
                    wayTo(fmt::format("Make {} {}", need, lowerFirst(plural(other->name))), std::move(more)));
            }
            a.working = {"What stands in it",
                         "so many in each times how many pieces",
                         {{"in each", std::to_string(in->each), "", "your plan"}},
                         a.headline,
                         "",
                         "Making"};
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
        a.after = "to be dipped or bound";
        a.tone = kg <= 0 || (density >= low && density <= high) ? Tone::Plain : Tone::Weak;
        a.sentence = a.tone == Tone::Weak ? fmt::format("{} in so much room would be {}: check its grams and its size.",
                                                        mass(kg), perCubic(density))
                     : piece_.couldBeCoated() && form::choice(piece_.shape, "what") == "fruit"
                         ? "Dry to the last drop, at room temperature: water seizes the chocolate. Fresh fruit weeps "
                           "under it; eat it the same day."
                         : "Dry and at room temperature: cold ones make the chocolate thick, and dull.";
        a.working = {"What is in it",
                     "grams of one over the room it takes",
                     {{"in one", mass(kg), "", "your plan"},
                      {"room", volume(room), "", "its figures"},
                      constant("lightest", lib_.kitchen.at("coreLightest")),
                      constant("heaviest", lib_.kitchen.at("coreHeaviest"))},
                     perCubic(density),
                     "Says only whether grams and size can belong together.",
                     "Making"};
        return a;
    }

    std::vector<Answer> served() const {
        std::vector<Answer> out;
        for (const auto& step : piece_.making) {
            const auto* s = std::get_if<ServeStep>(&step);
            if (!s) continue;
            Answer a;
            a.working = {"Serving",
                         "grams of chocolate over the litres it melts in;  amounts times how many",
                         {},
                         "",
                         "As strong as each likes it.",
                         "Making"};
            if (s->how == ServeStep::How::Drink && s->amount.value > 0) {
                const double perLitre = known_.made->mass / (s->amount.value * 1e3), low = lib_.usual("drinkWeak"),
                             high = lib_.usual("drinkStrong");
                a.id = "drink";
                a.figure = {perLitre, perLitre, perLitre, Dimension::Mass};
                a.headline = mass(known_.made->mass);
                a.after = fmt::format("of chocolate in {}", volume(s->amount.value));
                a.tone = perLitre < low || perLitre > high ? Tone::Weak : Tone::Good;
                a.sentence =
                    perLitre < low ? fmt::format("That is thin: {} of {} make a full drink of it.",
                                                 volume(known_.made->mass / low * 1e-3),
                                                 s->name.empty() ? "milk" : lowerFirst(s->name))
                    : perLitre > high
                        ? fmt::format("That is thick: it takes {} of {}.", volume(known_.made->mass / high * 1e-3),
                                      s->name.empty() ? "milk" : lowerFirst(s->name))
                        : fmt::format("Pour it on hot, and stir until it has melted; {} for all.",
                                      volume(s->amount.value * piece_.count));
                if (a.tone == Tone::Weak) {
                    const double fits = known_.made->mass / (perLitre < low ? low : high) * 1e-3;
                    a.ways.push_back(way(fmt::format("Drink it in {}", volume(fits)), [&](Piece& p) {
                        std::get<ServeStep>(p.making[size_t(&step - piece_.making.data())]).amount = Measure(fits);
                    }));
                }
                a.working.inputs = {{"chocolate", mass(known_.made->mass), "", "computed"},
                                    constant("a full drink, kg a litre from", lib_.kitchen.at("drinkWeak")),
                                    constant("to", lib_.kitchen.at("drinkStrong"))};
            } else if (s->how == ServeStep::How::Sauce && s->amount.value > 0) {
                a.id = "sauce";
                const double all = s->amount.value * piece_.count;
                a.figure = {all, all, all, Dimension::Volume};
                a.headline = volume(all);
                a.after = (s->name.empty() ? std::string("sauce") : lowerFirst(s->name)) + " for all";
                a.sentence = fmt::format("{} over each. A warm sauce melts what it runs over: pour it at the table.",
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
    WayOut glued(size_t step) const { return changedTop(step, TopStep::When::Glued, "Glue them on"); }
    WayOut tacky(size_t step) const { return changedTop(step, TopStep::When::Tacky, "Strew when tacky"); }

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
