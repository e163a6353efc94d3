#include "core/stages/melting.h"

#include <fmt/format.h>

#include <algorithm>
#include <cmath>

#include "core/quantity/catalogue.h"
#include "core/quantity/words.h"

namespace uovo {
namespace {

constexpr int kMostBatches = 12;

/// How a pot is flavoured: by drops where they can be counted.
std::string flavourWords(const Plan& plan, const material::Library& lib, const material::Colour& c, const MeltPlan& m) {
    constexpr double kCounted = 60;  // drops; more are weighed
    const double each = m.colour->flavour / m.batches;
    const auto& drop = lib.kitchen.at("oilDrop");
    const std::string grams = format(each, Dimension::Mass, plan.units, Detail::Fine),
                      of = c.flavourName.empty() ? std::string(tr("flavour oil")) : c.flavourName + tr(" oil");
    const auto drops = [&](double kg) { return std::max(1.0, std::round(each / kg)); };
    const std::string much = drops(drop.value) > kCounted ? grams
                                                          : say("{} ({}; by the dropper it may be {:.0f} to {:.0f})",
                                                                sayMany("{} drop", "{} drops", int(drops(drop.value))),
                                                                grams, drops(drop.high), drops(drop.low));
    return say(
        "Flavour: {} of {}{}, as warm as the chocolate, stirred in when it is {}. Oil that is sold for "
        "food only: an extract with water or alcohol in it makes chocolate seize. Taste it before more.",
        much, of, m.batches > 1 ? tr(" into each batch") : "",
        m.coating.tempered ? "tempered" : tr("melted and no longer hot"));
}

/// The sentences of how a pot is coloured.
std::vector<std::string> mixingWords(const Plan& plan, const material::Library& lib,
                                     const std::vector<batch::Pot>& pots, const batch::Pot& pot,
                                     const material::Colour& colour, const MeltPlan& m) {
    const auto& mix = *m.colour;
    const auto g = [&](double kg) {
        return format(kg, Dimension::Mass, plan.units, kg < 0.01 ? Detail::Fine : Detail::Normal);
    };
    const auto* chocolate = lib.find(pot.key.chocolate);
    const auto* second = chocolate->second.empty() ? nullptr : lib.find(chocolate->second);
    const std::string base = second ? tr("the blend") : lowerFirst(lib.find(chocolate->base)->name);
    std::vector<std::string> out;
    if (second) {
        const double all = mix.strong + mix.plain, other = chocolate->secondShare * all;
        out.push_back(
            say("Melt {} of {} and {} of {} together and stir until it is one colour; its seed is of the same two.",
                g(all - other), lowerFirst(lib.find(chocolate->base)->name), g(other), lowerFirst(second->name)));
    }
    if (mix.flavour > 0) out.push_back(flavourWords(plan, lib, colour, m));
    if (!(mix.colour > 0)) return out;
    std::string first =
        say("Oil colour only: one with water in it makes chocolate seize. Take {} of {} and {} of colour.",
            g(mix.strong + mix.plain), base, g(mix.colour));
    if (m.batches > 1 || pot.uses.size() > 1)
        first += say(" Colour all of it at once, before it is {}: a second mix never matches the first.",
                     m.batches > 1 ? say("tempered in {} batches", m.batches) : std::string(tr("shared out")));
    out.push_back(first);
    out.push_back(
        say("Trial: {} of colour into {} of it, melted. Let a smear set on paper and look at it by daylight; "
            "change the share now if it is not right.",
            g(mix.trialColour), g(mix.trialChocolate)));
    out.push_back(say("Right: stir {} of colour into {} until no streak is left, and the trial with it.",
                      g(mix.colour - mix.trialColour), g(mix.strong - mix.trialChocolate)));
    if (mix.plain > 0)
        out.push_back(say("Let it down with {} of plain {}, in portions, looking each time.", g(mix.plain), base));
    if (m.temper.seed > 0)
        out.push_back(say("Its seed of {} is plain {} and part of these grams.", g(m.temper.seed * m.batches), base));
    std::vector<std::pair<double, std::string>> order;  // the colours of this base, light to dark
    for (const auto& p : pots)
        if (const auto* c = lib.find(p.key.chocolate); c && c->base == chocolate->base)
            order.emplace_back(-material::lightness(c->look), p.key.chocolate);
    std::stable_sort(order.begin(), order.end());
    order.erase(std::unique(order.begin(), order.end()), order.end());
    for (size_t i = 1; i < order.size(); ++i)
        if (order[i].second == pot.key.chocolate)
            out.push_back(say("Work from light to dark: this one after {}, in a bowl that is only wiped.",
                              lowerFirst(lib.find(order[i - 1].second)->name)));
    return out;
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
            if (!coating->tempered ||
                (pot.minutes / m.batches * 60 <= m.temper.keeps && m.each <= lib.usual("mostBowl")))
                break;  // one tempered bowl serves a whole table
        }
        m.batches = std::min(m.batches, kMostBatches);
        if (const auto with = meltedWith(lib, pots, out.size()); with.size() > 1 && chocolate) {
            std::string shares;
            for (const size_t i : with) {
                m.together += pots[i].melt;
                const auto* c = lib.find(pots[i].key.chocolate);
                const std::string name =
                    lowerFirst(c->base.empty() ? std::string(tr("as it is")) : c->name.substr(0, c->name.find(" (")));
                shares += (shares.empty() ? "" : ", ") + format(pots[i].melt, Dimension::Mass, plan.units) +
                          (c->base.empty() ? " " : tr(" for ")) + name;
            }
            m.dividing =
                say("Melt {} of {} in one go and divide it: {}.", format(m.together, Dimension::Mass, plan.units),
                    lowerFirst(lib.find(chocolate->boughtAs())->name), shares);
        }
        for (const auto& c : plan.colours)
            if (c.id == pot.key.chocolate && pot.melt > 0) {
                m.colour = material::mix(c, pot.melt);
                m.mixing = mixingWords(plan, lib, pots, pot, c, m);
            }
        out.push_back(std::move(m));
    }
    return out;
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
    if (pot.temper == material::Temper::Untempered) name += tr(", untempered");
    if (pot.thinner == material::Thinner::CocoaButter) name += tr(", with cocoa butter");
    if (pot.thinner == material::Thinner::VegetableOil) name += tr(", with oil");
    return name;
}

}  // namespace uovo
