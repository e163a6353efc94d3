#include "core/stages/shopping.h"

#include <fmt/format.h>

#include <algorithm>
#include <cmath>
#include <numbers>

#include "core/document/amount.h"
#include "core/quantity/catalogue.h"
#include "core/quantity/words.h"
#include "core/stages/sheets.h"

namespace uovo {
namespace {

/// kg of one piece that come from this chocolate's pots, the coloured ones included.
double inOne(const PlanFigures& answers, const material::Library& lib, const PieceAnswers& piece,
             const std::string& chocolate) {
    double kg = 0;
    for (const auto& pot : answers.pots) {
        const auto* c = lib.find(pot.key.chocolate);
        double share = pot.key.chocolate == chocolate ? 1 : 0;
        if (c)
            for (const auto& [id, part] : c->bought())
                if (id == chocolate) share = part;
        for (const auto& use : pot.uses)
            if (use.piece == piece.id) kg += share * use.mass / piece.make;
    }
    return kg;
}

/// "egg, milk" as a list.
std::vector<std::string> listed(const std::string& words) {
    std::vector<std::string> out;
    std::string one;
    for (const char c : words + ",") {
        if (c != ',' && c != ';') {
            if (c != ' ' || !one.empty()) one += c;
            continue;
        }
        while (!one.empty() && one.back() == ' ') one.pop_back();
        if (!one.empty()) out.push_back(one);
        one.clear();
    }
    return out;
}

/// kg that must stand in the pot besides, for one piece to be made.
double besides(const Piece& piece, const PieceAnswers& a) {
    if (a.bath) return a.bath->chocolate * a.coating.densityMelt;
    return a.made && a.made->meridian && !piece.overBalloon() ? a.made->meridian->formerVolume * a.coating.densityMelt
                                                              : 0;
}

void unite(std::vector<std::string>& all, const std::vector<std::string>& more) {
    for (const auto& m : more)
        if (std::find(all.begin(), all.end(), m) == all.end()) all.push_back(m);
}

}  // namespace

namespace {

/// Toppings, what stands in pieces, powders and ribbons: amounts of each, with what they cost and whom they may harm.
void onTop(const Plan& plan, const material::Library& lib, const PlanFigures& answers, Shopping& out) {
    const auto ofLength = [&](const Made* made, const std::string& item) {
        return made ? tr(" of ") +
                          format(ribbonRound(*made, item) + lib.usual("ribbonLap"), Dimension::Length, plan.units)
                    : std::string();
    };
    const auto add = [&](const std::string& name, std::string amount, const std::string& forWhat) {
        out.supplies.push_back({name, std::move(amount), forWhat});
    };
    for (const auto& t : plan.toppings) {
        double kg = 0;
        std::string whose;
        for (size_t i = 0; i < plan.pieces.size() && i < answers.pieces.size(); ++i)
            for (const auto& step : plan.pieces[i].making)
                if (const auto* top = std::get_if<TopStep>(&step); top && top->topping == t.id) {
                    kg += top->each.value * answers.pieces[i]->make;
                    if (whose.find(plan.pieces[i].name) == std::string::npos)
                        whose += (whose.empty() ? "" : ", ") + plan.pieces[i].name;
                    for (auto& each : out.pieces)
                        if (each.piece == plan.pieces[i].id) each.cost += t.price * top->each.value;
                }
        if (whose.empty()) continue;
        add(t.name, format(kg, Dimension::Mass, plan.units), whose);
        out.cost += t.price * kg;
        out.priced = out.priced && t.price > 0;
        unite(out.allergens, listed(t.allergens));
    }
    for (const auto& m : modeledOf(plan, answers))
        add(tr("Glucose syrup"), format(modelingPaste(m.mass, m.chocolate, lib).syrup, Dimension::Mass, plan.units),
            namesOf(m.pieces, plan));
    for (size_t i = 0; i < plan.pieces.size() && i < answers.pieces.size(); ++i)
        for (const auto& step : plan.pieces[i].making) {
            const auto& piece = plan.pieces[i];
            if (const auto* in = std::get_if<InsertStep>(&step); in && in->what != InsertStep::What::Piece) {
                const int many = in->each * answers.pieces[i]->make;
                const bool weighed = in->what == InsertStep::What::Core && !piece.couldBeCoated();
                add(in->name,
                    weighed ? format(in->mass.value * many, Dimension::Mass, plan.units) : std::to_string(many),
                    piece.name);
                unite(out.allergens, listed(in->allergens));
            }
            const auto* done = answers.pieces[i]->decoration(size_t(&step - piece.making.data()));
            if (const auto* d = std::get_if<DecorateStep>(&step); d && done && !d->usesChocolate()) {
                const bool ribbon = d->way == DecorateStep::Way::Ribbon;
                if (ribbon || done->used > 0)
                    add(d->name.empty() ? usualName(d->way) : d->name,
                        ribbon ? say("{} pieces{}", answers.pieces[i]->make,
                                     ofLength(answers.pieces[i]->made.get(), d->item))
                               : format(done->used * answers.pieces[i]->make, Dimension::Mass, plan.units),
                        piece.name);
            }
            if (const auto* s = std::get_if<ServeStep>(&step);
                s && !s->name.empty() && (s->how == ServeStep::How::Sauce || s->how == ServeStep::How::Drink))
                add(s->name, format(s->amount.value * piece.count, Dimension::Volume, plan.units), piece.name);
        }
}

/// Formers that are used up: balloons, cups and cases that are torn off.
void formers(const Plan& plan, const PlanFigures& answers, Shopping& out) {
    for (size_t i = 0; i < plan.pieces.size() && i < answers.pieces.size(); ++i) {
        const Piece& piece = plan.pieces[i];
        int many = answers.pieces[i]->make;
        const std::string cup = form::choice(piece.shape, "made"), mold = form::choice(piece.shape, "mold");
        const char* name = piece.overBalloon()    ? tr("Balloons")
                           : cup == "paper"       ? tr("Paper cups")
                           : cup == "plastic"     ? tr("Plastic cups")
                           : mold == "paper case" ? tr("Paper cases")
                                                  : nullptr;
        if (!name || many == 0) continue;
        if (mold == "paper case") many *= static_cast<int>(std::lround(form::figure(piece.shape, "nested")));
        out.supplies.push_back({name, std::to_string(many), piece.name});
    }
}

}  // namespace

Shopping shopping(const Plan& plan, const material::Library& library, const PlanFigures& answers,
                  const std::string& today) {
    const material::Library lib = material::withColours(library, plan.colours);
    Shopping out;
    out.priced = true;
    std::map<std::string, double> price;
    const auto supply = [&](const std::string& name, std::string amount, std::string forWhat) {
        out.supplies.push_back({name, std::move(amount), std::move(forWhat)});
    };
    const auto lineOf = [&](const std::string& id) -> Purchase& {
        for (auto& l : out.lines)
            if (l.chocolate == id) return l;
        out.lines.push_back({id, lib.find(id)->name, 0, 0, packetOf(plan, lib, id), 0, 0, ""});
        Purchase& line = out.lines.back();
        for (const auto& s : plan.pantry) {
            if (s.chocolate != id) continue;
            if (s.price > 0) price[id] = s.price;
            if (!s.bestBefore.empty() && !today.empty() && s.bestBefore < today) {
                line.note += say("{}{} in the cupboard are past their date ({}).", line.note.empty() ? "" : " ",
                                 format(s.mass.value, Dimension::Mass, plan.units), s.bestBefore);
                continue;
            }
            line.have += s.mass.value;
        }
        return line;
    };
    for (const auto& pot : answers.pots) {
        const auto* chocolate = lib.find(pot.key.chocolate);
        if (!chocolate) continue;
        unite(out.allergens, chocolate->allergens);
        unite(out.traces, chocolate->traces);
        for (const auto& [id, part] : chocolate->bought()) {
            Purchase& line = lineOf(id);
            line.need += part * pot.melt;
            if (price.count(id)) line.cost += part * pot.consumed * price[id];
        }
        for (const auto& c : plan.colours) {
            if (c.id != pot.key.chocolate) continue;
            const auto mix = material::mix(c, pot.melt);
            const auto oil = [&](const std::string& what, double kg) {
                if (kg > 0)
                    supply(what, format(kg, Dimension::Mass, plan.units, Detail::Fine),
                           format(pot.melt, Dimension::Mass, plan.units) + tr(" of ") + lowerFirst(chocolate->name));
            };
            oil(tr("Oil colour, ") + lowerFirst(c.name), mix.colour);
            oil(tr("Flavour oil, ") + (c.flavourName.empty() ? lowerFirst(c.name) : c.flavourName), mix.flavour);
        }
    }
    for (auto& l : out.lines) {
        l.packets = batch::packetsToBuy(l.need, l.have, l.packet);
        out.cost += l.cost;
        out.priced = out.priced && price.count(l.chocolate) > 0;
    }
    std::erase_if(out.traces, [&](const std::string& t) {
        return std::find(out.allergens.begin(), out.allergens.end(), t) != out.allergens.end();
    });
    for (size_t i = 0; i < plan.pieces.size() && i < answers.pieces.size(); ++i) {
        if (!answers.pieces[i]->problems.empty()) continue;
        Shopping::Each each{plan.pieces[i].id, 0};
        for (const auto& [id, perKg] : price) each.cost += inOne(answers, lib, *answers.pieces[i], id) * perKg;
        out.pieces.push_back(each);
    }
    for (const auto& f : plan.fillings) {
        const ScaledRecipe recipe = scaled(plan, lib, answers, f);
        if (recipe.into.empty()) continue;
        for (const auto& in : f.recipe) {
            supply(in.name,
                   std::isfinite(recipe.factor) ? amountOf(in, recipe.factor, plan.units)
                                                : amountOf(in, 1, plan.units) + tr(", as written"),
                   f.name);
            unite(out.allergens, listed(in.allergens));
        }
        if (!f.recipe.empty() && !std::isfinite(recipe.factor))
            unite(out.warnings, {say("It is not said how much the recipe of {} makes: its amounts are as written.",
                                     lowerFirst(f.name))});
        if (f.isAlcoholic())
            for (const auto& in : recipe.into)
                unite(
                    out.warnings,
                    {recipe.alcohol > 0 ? say("{} holds {} of alcohol by volume, {} of pure alcohol in each piece: for "
                                              "adults; the age that law asks for differs from place to place.",
                                              f.name, format(recipe.alcohol, Dimension::Percent, plan.units),
                                              format(in.grams, Dimension::Mass, plan.units, Detail::Fine))
                                        : say("{} contains alcohol: for adults.", f.name)});
        if (f.egg) {
            unite(out.allergens, {"egg"});
            unite(out.warnings, {say("{} contains raw egg: keep it cold, and not for everyone.", f.name)});
        }
    }
    onTop(plan, lib, answers, out);
    formers(plan, answers, out);
    return out;
}

const ScaledRecipe::Into* ScaledRecipe::of(const std::string& piece) const {
    for (const auto& i : into)
        if (i.piece == piece) return &i;
    return nullptr;
}

ScaledRecipe scaled(const Plan& plan, const material::Library& lib, const PlanFigures& answers, const Filling& f) {
    ScaledRecipe out;
    double all = 0, pure = 0;
    for (const auto& in : f.recipe) {
        if (in.by == Ingredient::By::Count) continue;
        const double v = in.by == Ingredient::By::Volume
                             ? in.amount.value
                             : in.amount.value / lib.usual(in.alcohol > 0 ? "spirit" : "watery");
        all += v;
        pure += v * in.alcohol;
    }
    if (f.makes.value > 0) all = f.makes.value;
    if (all > 0) out.alcohol = std::min(1.0, pure / all);
    for (size_t i = 0; i < plan.pieces.size() && i < answers.pieces.size(); ++i) {
        double each = 0;
        bool named = false;
        for (const auto& fill : answers.pieces[i]->fills)
            if (fill.filling == f.id) each += fill.each, named = true;
        if (!named) continue;
        out.volume += each * plan.pieces[i].count;
        out.into.push_back({plan.pieces[i].id, plan.pieces[i].count, each, each * out.alcohol * lib.usual("ethanol")});
    }
    out.factor = f.makes.value > 0 ? out.volume / f.makes.value : std::nan("");
    return out;
}

std::vector<Fits> whatFits(const Plan& plan, const material::Library& library, const PlanFigures& answers,
                           const std::string& chocolate, double kg) {
    const material::Library lib = material::withColours(library, plan.colours);
    std::vector<Fits> out;
    const double tools = lib.usual("bowlLoss") + lib.usual("spatulaLoss");
    for (size_t i = 0; i < plan.pieces.size() && i < answers.pieces.size(); ++i) {
        const auto& a = *answers.pieces[i];
        if (!a.problems.empty()) continue;
        const double each = inOne(answers, lib, a, chocolate);
        if (each <= 0) continue;
        const double room = kg - tools - besides(plan.pieces[i], a);
        const int n = std::max(0, static_cast<int>(std::floor(room / each + 1e-9)));
        out.push_back({plan.pieces[i].id, plan.pieces[i].name, n, std::max(0.0, kg - tools - n * each)});
    }
    std::stable_sort(out.begin(), out.end(), [](const Fits& x, const Fits& y) { return x.count > y.count; });
    const auto* c = lib.find(chocolate);
    const double density = c ? c->at("densitySolid").value : 1300, rest = std::max(0.0, kg - tools);
    const double across = lib.usual("discAcross"), spoon = lib.usual("spoonWeighs");
    const double disc = std::numbers::pi / 4 * across * across * lib.usual("discThick") * density;
    out.push_back({"", tr("discs, 5 in across, 1/8 in thick"), static_cast<int>(rest / disc), std::fmod(rest, disc)});
    out.push_back({"", tr("small spoons"), static_cast<int>(rest / spoon), std::fmod(rest, spoon)});
    out.push_back({"", tr("pieces of bark, 10 by 10 cm, 4 mm thick"),
                   static_cast<int>(rest / (0.01 * lib.usual("barkThick") * density)), 0});
    return out;
}

}  // namespace uovo
