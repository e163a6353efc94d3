#include "core/plan/melting.h"

#include <fmt/format.h>

#include <algorithm>
#include <cmath>
#include <numbers>

#include "core/plan/answers.h"
#include "core/quantity/words.h"

namespace uovo {
namespace {

constexpr int kMostBatches = 12;
constexpr double kMostBowl = 4.5;  // kg tempered at once by hand
constexpr double kDisc = 0.127, kDiscThick = 0.0032, kSpoon = 0.012,
                 kBark = 0.004;                                  // m; m; kg of a small spoon; m thick
constexpr double kEthanol = 789, kSpirit = 950, kWatery = 1000;  // kg/m³: pure alcohol at 20 °C (handbook value, from
                                                                 // memory); a spirit, cream and juice (judgement)

/// kg of one piece that come from this chocolate's pots, the coloured ones included.
double inOne(const Answers& answers, const material::Library& lib, const PieceAnswers& piece,
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

/// The sentences of how a pot is coloured.
std::vector<std::string> mixingWords(const Plan& plan, const material::Library& lib,
                                     const std::vector<batch::Pot>& pots, const batch::Pot& pot, const MeltPlan& m) {
    const auto& mix = *m.colour;
    const auto g = [&](double kg) {
        return format(kg, Dimension::Mass, plan.units, kg < 0.01 ? Detail::Fine : Detail::Normal);
    };
    const auto* chocolate = lib.find(pot.key.chocolate);
    const auto* second = chocolate->second.empty() ? nullptr : lib.find(chocolate->second);
    const std::string base = second ? "the blend" : lowerFirst(lib.find(chocolate->base)->name);
    std::vector<std::string> out;
    if (second) {
        const double all = mix.strong + mix.plain, other = chocolate->secondShare * all;
        out.push_back(fmt::format(
            "Melt {} of {} and {} of {} together and stir until it is one colour; its seed is of the same two.",
            g(all - other), lowerFirst(lib.find(chocolate->base)->name), g(other), lowerFirst(second->name)));
        if (!(mix.colour > 0)) return out;
    }
    std::string first =
        fmt::format("Oil colour only: one with water in it makes chocolate seize. Take {} of {} and {} of colour.",
                    g(mix.strong + mix.plain), base, g(mix.colour));
    if (m.batches > 1 || pot.uses.size() > 1)
        first +=
            fmt::format(" Colour all of it at once, before it is {}: a second mix never matches the first.",
                        m.batches > 1 ? fmt::format("tempered in {} batches", m.batches) : std::string("shared out"));
    out.push_back(first);
    out.push_back(
        fmt::format("Trial: {} of colour into {} of it, melted. Let a smear set on paper and look at it by daylight; "
                    "change the share now if it is not right.",
                    g(mix.trialColour), g(mix.trialChocolate)));
    out.push_back(fmt::format("Right: stir {} of colour into {} until no streak is left, and the trial with it.",
                              g(mix.colour - mix.trialColour), g(mix.strong - mix.trialChocolate)));
    if (mix.plain > 0)
        out.push_back(
            fmt::format("Let it down with {} of plain {}, in portions, looking each time.", g(mix.plain), base));
    if (m.temper.seed > 0)
        out.push_back(
            fmt::format("Its seed of {} is plain {} and part of these grams.", g(m.temper.seed * m.batches), base));
    std::vector<std::pair<double, std::string>> order;  // the colours of this base, light to dark
    for (const auto& p : pots)
        if (const auto* c = lib.find(p.key.chocolate); c && c->base == chocolate->base)
            order.emplace_back(-material::lightness(c->look), p.key.chocolate);
    std::stable_sort(order.begin(), order.end());
    order.erase(std::unique(order.begin(), order.end()), order.end());
    for (size_t i = 1; i < order.size(); ++i)
        if (order[i].second == pot.key.chocolate)
            out.push_back(fmt::format("Work from light to dark: this one after {}, in a bowl that is only wiped.",
                                      lowerFirst(lib.find(order[i - 1].second)->name)));
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

double packetOf(const Plan& plan, const material::Library& lib, const std::string& id) {
    const auto* c = lib.find(id);
    const auto own = c ? plan.own.find(c->boughtAs()) : plan.own.end();
    return !c ? 0 : own == plan.own.end() ? c->packet : material::packetOf(*c, own->second);
}

std::vector<size_t> meltedWith(const material::Library& lib, const std::vector<batch::Pot>& pots, size_t pot) {
    const auto what = [&](const batch::Pot& p) {
        const auto* c = lib.find(p.key.chocolate);
        return std::tuple(c ? c->boughtAs() : p.key.chocolate, c ? c->second : std::string(), c ? c->secondShare : 0.0,
                          p.key.temper, p.key.thinner, p.key.thinnerShare);
    };
    std::vector<size_t> out;
    for (size_t i = 0; i < pots.size(); ++i)
        if (what(pots[i]) == what(pots[pot])) out.push_back(i);
    return out;
}

std::vector<MeltPlan> meltPlans(const Plan& plan, const material::Library& lib, const std::vector<batch::Pot>& pots) {
    std::vector<MeltPlan> out;
    for (const auto& pot : pots) {
        MeltPlan m;
        const auto* chocolate = lib.find(pot.key.chocolate);
        for (const auto& id : {chocolate ? chocolate->boughtAs() : pot.key.chocolate,
                               pot.key.chocolate})  // a colour is melted like its base unless it says otherwise
            if (const auto it = plan.melting.find(id); it != plan.melting.end()) m.choice = it->second;
        Piece like;
        like.chocolate = pot.key.chocolate;
        like.temper = pot.key.temper;
        like.thinner = pot.key.thinner;
        like.thinnerShare = pot.key.thinnerShare;
        const auto coating = coatingOf(like, plan, lib);
        if (!coating) {
            m.problem = coating.error().sentence;
            out.push_back(std::move(m));
            continue;
        }
        m.coating = *coating;
        for (m.batches = 1; m.batches <= kMostBatches; ++m.batches) {
            m.each = (pot.melt - pot.bath) / m.batches + pot.bath;
            const auto t = temper::plan(*coating, lib.physics, m.choice, m.each, plan.kitchen.room.value, plan.units);
            if (!t) {
                m.problem = t.error().sentence;
                break;
            }
            m.temper = *t;
            if (!coating->tempered || (pot.minutes / m.batches * 60 <= m.temper.keeps && m.each <= kMostBowl))
                break;  // one tempered bowl serves a whole table
        }
        m.batches = std::min(m.batches, kMostBatches);
        if (const auto with = meltedWith(lib, pots, out.size()); with.size() > 1 && chocolate) {
            std::string shares;
            for (const size_t i : with) {
                m.together += pots[i].melt;
                const auto* c = lib.find(pots[i].key.chocolate);
                const std::string name =
                    lowerFirst(c->base.empty() ? "as it is" : c->name.substr(0, c->name.find(" (")));
                shares += (shares.empty() ? "" : ", ") + format(pots[i].melt, Dimension::Mass, plan.units) +
                          (c->base.empty() ? " " : " for ") + name;
            }
            m.dividing = fmt::format("Melt {} of {} in one go and divide it: {}.",
                                     format(m.together, Dimension::Mass, plan.units),
                                     lowerFirst(lib.find(chocolate->boughtAs())->name), shares);
        }
        for (const auto& c : plan.colours)
            if (c.id == pot.key.chocolate && pot.melt > 0) {
                m.colour = material::mix(c, pot.melt);
                m.mixing = mixingWords(plan, lib, pots, pot, m);
            }
        out.push_back(std::move(m));
    }
    return out;
}

namespace {

/// Toppings, what stands in pieces, powders and ribbons: amounts of each, with what they cost and whom they may harm.
void onTop(const Plan& plan, const Answers& answers, Shopping& out) {
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
            if (const auto* d = std::get_if<DecorateStep>(&step); d && !d->usesChocolate())
                add(d->name.empty() ? d->way == DecorateStep::Way::Dust ? "Powder to dust with" : "Ribbon" : d->name,
                    d->way == DecorateStep::Way::Dust
                        ? format(d->mass.value * answers.pieces[i]->make, Dimension::Mass, plan.units)
                        : fmt::format("{} pieces", answers.pieces[i]->make),
                    piece.name);
            if (const auto* s = std::get_if<ServeStep>(&step);
                s && !s->name.empty() && (s->how == ServeStep::How::Sauce || s->how == ServeStep::How::Drink))
                add(s->name, format(s->amount.value * piece.count, Dimension::Volume, plan.units), piece.name);
        }
}

/// Formers that are used up: balloons, cups and cases that are torn off.
void formers(const Plan& plan, const Answers& answers, Shopping& out) {
    for (size_t i = 0; i < plan.pieces.size() && i < answers.pieces.size(); ++i) {
        const Piece& piece = plan.pieces[i];
        int many = answers.pieces[i]->make;
        const std::string cup = form::choice(piece.shape, "made"), mold = form::choice(piece.shape, "mold");
        const char* name = piece.overBalloon()    ? "Balloons"
                           : cup == "paper"       ? "Paper cups"
                           : cup == "plastic"     ? "Plastic cups"
                           : mold == "paper case" ? "Paper cases"
                                                  : nullptr;
        if (!name || many == 0) continue;
        if (mold == "paper case") many *= static_cast<int>(std::lround(form::figure(piece.shape, "nested")));
        out.supplies.push_back({name, std::to_string(many), piece.name});
    }
}

}  // namespace

Shopping shopping(const Plan& plan, const material::Library& library, const Answers& answers,
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
                line.note += fmt::format("{}{} in the cupboard are past their date ({}).", line.note.empty() ? "" : " ",
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
        for (const auto& c : plan.colours)
            if (c.id == pot.key.chocolate && c.strength.value > 0)
                supply("Oil colour, " + lowerFirst(c.name),
                       format(material::mix(c, pot.melt).colour, Dimension::Mass, plan.units, Detail::Fine),
                       format(pot.melt, Dimension::Mass, plan.units) + " of " + lowerFirst(chocolate->name));
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
        const ScaledRecipe recipe = scaled(plan, answers, f);
        if (recipe.into.empty()) continue;
        for (const auto& in : f.recipe) {
            supply(in.name,
                   std::isfinite(recipe.factor) ? amountOf(in, recipe.factor, plan.units)
                                                : amountOf(in, 1, plan.units) + ", as written",
                   f.name);
            unite(out.allergens, listed(in.allergens));
        }
        if (!f.recipe.empty() && !std::isfinite(recipe.factor))
            unite(out.warnings,
                  {fmt::format("It is not said how much the recipe of {} makes: its amounts are as written.",
                               lowerFirst(f.name))});
        if (f.isAlcoholic())
            for (const auto& in : recipe.into)
                unite(out.warnings,
                      {recipe.alcohol > 0
                           ? fmt::format("{} holds {} of alcohol by volume, {} of pure alcohol in each piece: for "
                                         "adults; the age that law asks for differs from place to place.",
                                         f.name, format(recipe.alcohol, Dimension::Percent, plan.units),
                                         format(in.grams, Dimension::Mass, plan.units, Detail::Fine))
                           : fmt::format("{} contains alcohol: for adults.", f.name)});
        if (f.egg) {
            unite(out.allergens, {"egg"});
            unite(out.warnings, {fmt::format("{} contains raw egg: keep it cold, and not for everyone.", f.name)});
        }
    }
    onTop(plan, answers, out);
    formers(plan, answers, out);
    return out;
}

const ScaledRecipe::Into* ScaledRecipe::of(const std::string& piece) const {
    for (const auto& i : into)
        if (i.piece == piece) return &i;
    return nullptr;
}

ScaledRecipe scaled(const Plan& plan, const Answers& answers, const Filling& f) {
    ScaledRecipe out;
    double all = 0, pure = 0;
    for (const auto& in : f.recipe) {
        if (in.by == Ingredient::By::Count) continue;
        const double v =
            in.by == Ingredient::By::Volume ? in.amount.value : in.amount.value / (in.alcohol > 0 ? kSpirit : kWatery);
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
        out.into.push_back({plan.pieces[i].id, plan.pieces[i].count, each, each * out.alcohol * kEthanol});
    }
    out.factor = f.makes.value > 0 ? out.volume / f.makes.value : std::nan("");
    return out;
}

std::string amountOf(const Ingredient& in, double factor, UnitSystem units) {
    const double v = in.amount.value * factor;
    if (in.by == Ingredient::By::Count) return fmt::format("{:.3g}", v);
    return format(v, in.by == Ingredient::By::Mass ? Dimension::Mass : Dimension::Volume, units);
}

batch::PotKey potOf(const Piece& piece, const std::string& chocolate, const material::Library& lib) {
    const auto* c = lib.find(chocolate);
    const bool compound = c && c->kind == "compound";  // it has no temper to lose
    const bool thinned = piece.thinner != material::Thinner::None && piece.thinnerShare > 0;
    return {chocolate, compound ? material::Temper::Tempered : piece.temper,
            thinned ? piece.thinner : material::Thinner::None, thinned ? piece.thinnerShare : 0};
}

std::string potName(const batch::PotKey& pot, const material::Library& lib) {
    const auto* c = lib.find(pot.chocolate);
    std::string name = c ? c->name : pot.chocolate;
    if (pot.temper == material::Temper::Untempered) name += ", untempered";
    if (pot.thinner == material::Thinner::CocoaButter) name += ", with cocoa butter";
    if (pot.thinner == material::Thinner::VegetableOil) name += ", with oil";
    return name;
}

std::vector<MeltPlan::Sitting> sittings(const DayPlan& day, const batch::Pot& pot) {
    std::vector<MeltPlan::Sitting> out;
    if (!day.problem.empty()) return out;
    const std::string id = pot.key.id();
    const auto& net = day.network;
    for (const auto& hold : net.holds)
        if (const auto& r = net.resources[static_cast<size_t>(hold.resource)];
            r.kind == schedule::Resource::Kind::Pot && r.id == id) {
            const auto task = static_cast<size_t>(hold.from);
            out.push_back({day.layout.start[task], net.tasks[task].title});
        }
    std::stable_sort(out.begin(), out.end(), [](const auto& a, const auto& b) { return a.minute < b.minute; });
    return out;
}

std::vector<Fits> whatFits(const Plan& plan, const material::Library& library, const Answers& answers,
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
    const double disc = std::numbers::pi / 4 * kDisc * kDisc * kDiscThick * density;
    out.push_back({"", "discs, 5 in across, 1/8 in thick", static_cast<int>(rest / disc), std::fmod(rest, disc)});
    out.push_back({"", "small spoons", static_cast<int>(rest / kSpoon), std::fmod(rest, kSpoon)});
    out.push_back(
        {"", "pieces of bark, 10 by 10 cm, 4 mm thick", static_cast<int>(rest / (0.01 * kBark * density)), 0});
    return out;
}

}  // namespace uovo
