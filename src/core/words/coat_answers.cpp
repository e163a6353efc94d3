// What is told of anything that is coated: the cold, the right moments, dew, holes, heat, coats too early.
#include <algorithm>
#include <cmath>
#include <optional>

#include "core/quantity/catalogue.h"
#include "core/quantity/decimal.h"
#include "core/setting/topping.h"
#include "core/words/speaker.h"

namespace uovo {
namespace {

class CoatTeller : Speaker {
public:
    CoatTeller(const Piece& piece, const Plan& plan, const material::Library& lib, const material::Coating& coating,
               const CoatTimes& times, double mean, double thickest)
        : Speaker(piece, plan, lib),
          coating_(coating),
          times_(times),
          last_(piece.coats().back()),
          mean_(mean),
          thickest_(thickest) {}

    Answer cold() const {
        const auto& t = times_.setting.back();
        Answer a;
        a.id = "cold";
        a.figure = {t.release, t.release, t.release, Dimension::Duration};
        const std::string place = inPlace(last_.place);
        if (std::isnan(t.set)) {
            a.headline = tr("Never sets");
            a.after = place;
            a.tone = Tone::Impossible;
            a.figure = {0, 0, 0, Dimension::Duration};
            a.sentence = say("{} does not set at {}.{}", coating_.name, temperature(air()),
                             last_.place == coat::Place::Fridge ? "" : tr(" Use the fridge."));
            if (last_.place != coat::Place::Fridge) a.ways.push_back(setsIn(coat::Place::Fridge));
        } else if (std::isnan(t.release)) {
            a.headline = time(t.set);
            a.after = tr("until it is set");
            a.tone = Tone::Weak;
            a.sentence =
                say("It sets {}, but is too warm there to shrink and let go. Give it a while in the fridge.", place);
            a.ways.push_back(setsIn(coat::Place::Fridge));
        } else {
            const double needed = std::max(0.0, t.release - coat::beforeCold(last_));
            a.figure = {needed, needed / 1.4, needed * 1.4, Dimension::Duration};
            a.headline = time(needed);
            a.after = place;
            a.sentence =
                say("After the last coat it is firm at {}, set through at {} and lets go at {}, where it sets last.",
                    time(t.firm), time(t.set), time(t.release));
            const double stays = coat::inCold(last_);
            if (needed > setting::kNeedsTheCold && last_.place == coat::Place::Table) {
                a.tone = Tone::Weak;
                a.sentence += tr(" It needs the cold.");
                a.ways.push_back(setsIn(coat::Place::Fridge));
            } else if (stays < needed - 30) {
                a.tone = Tone::Weak;
                a.sentence += say(" You take it out after {}: too soon.", time(stays));
                a.ways.push_back(leftFor(piece_.coats().size() - 1, needed));
            } else if (last_.place == coat::Place::Freezer && stays > lib_.usual("freezerMost")) {
                a.tone = Tone::Weak;
                a.sentence +=
                    say(" {} in the freezer dull it, and may crack it where its former holds it.", time(stays));
                if (needed <= lib_.usual("freezerMost")) a.ways.push_back(leftFor(piece_.coats().size() - 1, needed));
                else a.ways.push_back(setsIn(coat::Place::Fridge));
            } else if (last_.place == coat::Place::Fridge && stays > lib_.usual("fridgeMost")) {
                a.tone = Tone::Weak;
                a.sentence += say(" {} in the fridge dulls it.", time(stays));
                if (needed <= lib_.usual("fridgeMost")) a.ways.push_back(leftFor(piece_.coats().size() - 1, needed));
            }
        }
        a.working.title = tr("Setting");
        a.working.formula = tr(
            "ρ c T_t = k T_xx + ρ L X_t;  dX/dt = r X (1 − X/X_eq)²;  coat and shell on their former;  firm 45 %, set "
            "66 % of the coat's fat crystallised on the whole, lets go when the 2 mm at the former are set too;  in "
            "the cold σ = E α ΔT/(1 − ν), free to shrink a small part of it");
        a.working.inputs = {
            chocolateConstant("heatCapacity"),
            chocolateConstant("conductivity"),
            chocolateConstant("growthRate"),
            chocolateConstant("fatShare"),
            physics("airStill", lib_.physics),
            physics("firmFraction", lib_.physics),
            physics("setFraction", lib_.physics),
            {tr("thickest place"), length(thickest_), "", tr("coat model")},
            {tr("air"), temperature(air()), "", tr("your kitchen")},
            {tr("colder than it set"), fmt::format("{:.0f} K", times_.chill), "", tr("coat model")},
            {tr("stress of that, held fast"),
             format(times_.heldStress, Dimension::Percent, plan_.units) + tr(" of its strength"),
             tr("a third to three times"), tr("constants from memory, low confidence")},
            {tr("stress of that, free to shrink"),
             format(times_.freeStress, Dimension::Percent, plan_.units) + tr(" of its strength"), "", tr("computed")}};
        a.working.result = a.headline;
        a.working.trust =
            tr("Within ×1.4 of what kitchens report. A fan, a full shelf or a warm fridge change it; look before you "
               "peel. Take it off as soon as it is firm: a wall that shrinks onto something rigid cracks first.");
        a.working.section = tr("Setting");
        return a;
    }

    /// Until when it runs, may be scraped, takes crumbs.
    Answer moments() const {
        Answer a;
        a.id = "moments";
        const bool runs = std::isnan(times_.lock);
        a.figure = {runs ? 0 : times_.lock, runs ? 0 : times_.lock / setting::kBand,
                    runs ? 0 : times_.lock * setting::kBand, Dimension::Duration};
        a.headline = runs ? tr("Still runs") : time(times_.lock);
        a.after = runs ? tr("when its time is over") : tr("until nothing runs");
        if (runs) a.tone = Tone::Weak;
        const double yield = material::yieldStress(coating_, last_.temperature.value,
                                                   material::crystalsAt(coating_, last_.temperature.value));
        const double crumb = setting::largestGrain(lib_.physical("staticYield") * yield, lib_.usual("crumb"));
        if (!runs)
            a.sentence = say("Hold or hang it still that long after the last coat{}.",
                             piece_.coats().size() > 1 ? tr(", less after the others") : "");
        if (const auto& rim = times_.rim; std::isfinite(rim.firm) && !piece_.closes() && !piece_.roundSomething()) {
            const std::string from = time(rim.lock), to = time(rim.firm);
            a.sentence += say("{}Scrape or trim the rim {}.", a.sentence.empty() ? "" : " ",
                              from == to ? tr("at ") + from : say("from {} to {}", from, to));
        }
        a.sentence += say(
            " Crumbs up to {} stay on the fresh coat; larger ones slide: strew them when it is tacky, or glue them on.",
            length(crumb));
        a.working = {
            tr("The right moment"),
            tr("a place locks at 30 % of its fat crystallised, on the whole;  the rim is scraped from then until it is "
               "firm, at 45 %;  a crumb sticks while D < 3 τ₀/(ρ_p g sin α), here on an upright wall"),
            {{tr("nothing runs"), runs ? tr("not in its time") : time(times_.lock), "",
              tr("coat model, slowest place")},
             {tr("yield stress of the fresh coat"), fmt::format("{} Pa", decimal(yield, 1)), "± 50 %",
              tr("chocolate's constants")},
             constant(tr("crumb"), lib_.kitchen.at("crumb"))},
            a.headline,
            tr("Within ×1.4. Shake it once while it is wet: what stays then stays."),
            tr("Setting")};
        return a;
    }

    std::optional<Answer> dew() const {
        if (last_.place == coat::Place::Table) return std::nullopt;
        const auto& d = times_.dew;
        Answer a;
        a.id = "dew";
        a.figure = {d.film, d.film, d.film, Dimension::Mass};
        a.headline = d.wet ? time(d.drySeconds) : tr("Stays dry");
        if (d.wet) a.after = tr("wet on leaving the cold");
        a.tone = d.wet && d.film > lib_.physical("frostHarm") ? Tone::Weak : d.wet ? Tone::Plain : Tone::Good;
        const std::string water = d.film < 1e-4 ? tr("less than 0.1 g") : fmt::format("{} g", decimal(d.film * 1e3, 1));
        a.sentence =
            !d.wet ? say("The dew point of your room is {}; the piece is warmer.", temperature(d.dewPoint))
            : d.film > lib_.physical("frostHarm")
                ? say("{} of water settle on a square metre: it dulls and gets sticky. Take it out in a closed box and "
                      "open that after half an hour.",
                      water)
                : say("A breath of water, {} on a square metre. Do not touch it until it is gone.", water);
        a.working.title = tr("Dew on leaving the cold");
        a.working.formula =
            tr("wet while the surface is colder than the dew point;  ρ c s dT/dt = n h (T_room − T) + latent heat");
        a.working.inputs = {
            {tr("room"),
             temperature(plan_.kitchen.room.value) + ", " +
                 format(plan_.kitchen.humidity.value, Dimension::Percent, plan_.units),
             "", tr("your kitchen")},
            {tr("dew point"), temperature(d.dewPoint), "", tr("ASHRAE Handbook Fundamentals 2017, ch. 1")},
            physics("airStill", lib_.physics),
            physics("radiation", lib_.physics),
            physics("frostHarm", lib_.physics),
            {tr("mean wall"), length(mean_), "", tr("coat model")}};
        a.working.result = a.headline;
        a.working.trust = tr("Good for the dew point; how much water harms is judgement.");
        a.working.section = tr("Dew");
        return a;
    }

    /// Bare spots and grooves that shut air in.
    std::optional<Answer> holes(const std::vector<coat::Blemish>& all, double height,
                                const std::vector<std::string>& parts) const {
        if (all.empty()) return std::nullopt;
        using Kind = coat::Blemish::Kind;
        const auto bare = static_cast<size_t>(
            std::count_if(all.begin(), all.end(), [](const auto& b) { return b.kind == Kind::Bare; }));
        const size_t grooves = all.size() - bare;
        Answer a;
        a.id = "holes";
        const double n = double(bare > 0 ? bare : grooves);
        a.figure = {n, n, n, Dimension::Count};
        a.headline = std::to_string(bare > 0 ? bare : grooves);
        a.after = bare > 1      ? tr("bare spots")
                  : bare == 1   ? tr("bare spot")
                  : grooves > 1 ? tr("grooves that shut air in")
                                : tr("groove that shuts air in");
        a.tone = bare > 0 ? Tone::Weak : Tone::Plain;
        const auto where = [&](const coat::Blemish& b) {
            const double share = height > 0 ? b.at.z / height : 0.5;
            std::string words = share > 0.8   ? tr("near the top")
                                : share < 0.2 ? tr("near the bottom")
                                              : tr("half way up");
            if (b.part < parts.size() && !parts[b.part].empty()) words += tr(" of the ") + lowerFirst(parts[b.part]);
            const double cm2 = b.area * 1e4;
            return (cm2 < 0.1 ? say("{:.0f} mm² ", b.area * 1e6) : say("{} cm² ", decimal(cm2, 1))) + words;
        };
        std::vector<std::string> told;
        for (const auto& b : all)
            if (told.size() < 3 && (b.kind == Kind::Bare || bare == 0)) told.push_back(where(b));
        for (size_t i = 0; i < told.size(); ++i) a.sentence += (i ? "; " : "") + told[i];
        if (std::max(bare, bare ? size_t{0} : grooves) > 3) a.sentence += " …";
        a.sentence += bare > 0 ? tr(". Patch them from a small warm pot, or turn it longer.")
                               : tr(". Brush or pipe chocolate into them first, then pour; tap the mold.");
        if (bare > 0 && grooves > 0)
            a.sentence += say(" {} tight groove{} may hold air as well.", grooves, grooves > 1 ? "s" : "");
        for (const auto& b : all)
            if (a.working.inputs.size() < 12)
                a.working.inputs.push_back({b.kind == Kind::Bare ? tr("bare") : tr("groove"), where(b), "",
                                            b.kind == Kind::Bare ? tr("coat model") : tr("curvature of the mold")});
        a.working.title = tr("Holes");
        a.working.formula =
            tr("bare: thinner than 0.1 mm;  a groove: the chocolate's side bends tighter than a radius of 4 mm and the "
               "first coat is poured");
        a.working.result = a.headline + " " + a.after;
        a.working.trust = tr("Where melt comes by is computed; how tight a groove must be to hold air is judgement.");
        a.working.section = tr("Film on a mesh");
        return a;
    }

    /// Coats too warm, and coats that come before the last one is firm.
    std::vector<Answer> warnings() const {
        std::vector<Answer> out;
        for (size_t i = 0; i < piece_.coats().size(); ++i) {
            const double T = piece_.coats()[i].temperature.value;
            const auto own = coatingOf(piece_, piece_.coats()[i].chocolate, plan_, lib_);
            const auto& c = own ? *own : coating_;
            const double bears = lib_.former(c.compound ? "balloonBearsCompound" : "balloonBears");
            Answer a;
            a.id = fmt::format("temperature/{}", i);
            a.figure = {T, T - 1, T + 1, Dimension::Temperature};
            a.headline = temperature(T);
            a.after = say("in coat {}", i + 1);
            a.tone = Tone::Weak;
            if (piece_.overBalloon() && T > bears + 0.01)
                a.sentence =
                    say("Warmer than {}, where balloons begin to burst. Let it cool, or test one balloon first.",
                        temperature(bears));
            else if (T > c.loses)
                a.sentence =
                    say("Above {} the temper is lost: it sets slowly, dull and soft. Cool it and seed it again.",
                        temperature(c.loses));
            else continue;
            const double cooler = piece_.overBalloon() ? std::min(bears, c.workHigh) : c.workHigh;
            a.ways.push_back(way(say("Coat it at {}", temperature(cooler)),
                                 [&](Piece& p) { p.coats()[i].temperature = Measure(cooler); }));
            a.working = {
                tr("Temperature of the bath"),
                tr("cautious limit of a balloon; temper lost where its crystals melt"),
                {{tr("limit of a balloon"), temperature(bears), "33–38 °C", tr("from memory, cautious")},
                 {tr("temper lost at"), std::isfinite(c.loses) ? temperature(c.loses) : "–", "", tr("from memory")}},
                a.headline,
                tr("Test one balloon first."),
                tr("Crystals")};
            out.push_back(a);
        }
        for (size_t i = 0; i + 1 < piece_.coats().size(); ++i) {  // the next coat must not meet liquid chocolate
            const auto& c = piece_.coats()[i];
            const double lead = coat::beforeCold(c), firm = times_.setting[i].firm;
            if (!(std::isnan(firm) || lead + coat::inCold(c) < firm)) continue;
            Answer a;
            a.id = fmt::format("early/{}", i);
            a.figure = {firm - lead, firm - lead, firm - lead, Dimension::Duration};
            a.tone = Tone::Weak;
            a.headline = std::isnan(firm) ? tr("Not firm") : time(std::ceil((firm - lead) / 60) * 60);
            a.after = std::isnan(firm) ? "" : say("for coat {} to be firm", i + 1);
            a.sentence =
                say("The next coat comes after {}: too soon, it would wash the first one off.", time(coat::inCold(c)));
            if (std::isfinite(firm)) a.ways.push_back(leftFor(i, firm - lead));
            a.working = {tr("Firm before the next coat"),
                         tr("firm when 45 % of the fat has crystallised on the whole"),
                         {},
                         a.headline,
                         tr("Within ×1.4."),
                         tr("Setting")};
            out.push_back(a);
        }
        return out;
    }

private:
    /// A coat that stays in the cold for so many seconds in all.
    WayOut leftFor(size_t coat, double seconds) const {
        const auto& c = piece_.coats()[coat];
        constexpr double kSurely = 1.05;  // a coat that stays longer is a little thicker, and sets a little later
        const Measure stay = wholeMinutes(kSurely * seconds - (coat::inCold(c) - c.stay.value));
        return way(say("Leave it for {}", time(stay.value)), [&](Piece& p) { p.coats()[coat].stay = stay; });
    }
    double air() const {
        return last_.place == coat::Place::Table    ? plan_.kitchen.room.value
               : last_.place == coat::Place::Fridge ? plan_.kitchen.fridge.value
                                                    : plan_.kitchen.freezer.value;
    }

    const material::Coating& coating_;
    const CoatTimes& times_;
    const PlannedCoat& last_;
    double mean_, thickest_;
};

}  // namespace

std::vector<Answer> coatAnswers(const Piece& piece, const Plan& plan, const material::Library& lib,
                                const material::Coating& coating, const CoatTimes& times, double mean, double thickest,
                                const std::vector<coat::Blemish>& blemishes, double height,
                                const std::vector<std::string>& parts) {
    const CoatTeller t(piece, plan, lib, coating, times, mean, thickest);
    std::vector<Answer> out{t.cold()};
    for (auto& a : t.warnings()) out.push_back(std::move(a));
    for (auto& a : {t.holes(blemishes, height, parts), std::optional(t.moments()), t.dew()})
        if (a) out.push_back(*a);
    return out;
}

}  // namespace uovo
