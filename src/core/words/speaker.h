// What the sentences about coated pieces and about parts share: figures in the plan's units, and how a filling fits.
#pragma once
#include <fmt/format.h>

#include <cmath>
#include <optional>

#include "core/quantity/catalogue.h"
#include "core/quantity/decimal.h"
#include "core/quantity/words.h"
#include "core/words/words.h"

namespace uovo {

/// Says figures in the units of a plan.
class Speaker {
protected:
    Speaker(const Piece& piece, const Plan& plan, const material::Library& lib)
        : piece_(piece), plan_(plan), lib_(lib) {}

    std::string length(double m) const { return format(m, Dimension::Length, plan_.units); }
    std::string mass(double kg) const { return format(kg, Dimension::Mass, plan_.units); }
    std::string volume(double v) const { return format(v, Dimension::Volume, plan_.units); }
    std::string temperature(double c) const { return format(c, Dimension::Temperature, plan_.units); }
    std::string time(double s) const { return format(s, Dimension::Duration, plan_.units); }
    /// A change that puts an answer right and says so by its title. @param changed this piece or another of the plan
    static WayOut wayTo(std::string title, Piece changed) {
        WayOut way;
        way.title = std::move(title);
        way.changed = std::move(changed);
        way.enough = way.titleSays = true;
        return way;
    }
    /// The same by one change to this piece.
    template <class Change>
    WayOut way(std::string title, Change change) const {
        Piece changed = piece_;
        change(changed);
        return wayTo(std::move(title), std::move(changed));
    }
    /// Its coats or casts set in another place, the last coat only.
    WayOut setsIn(coat::Place place) const {
        return way(place == coat::Place::Table    ? tr("Set it on the table")
                   : place == coat::Place::Fridge ? tr("Set it in the fridge")
                                                  : tr("Set it in the freezer"),
                   [&](Piece& p) {
                       if (!p.coats().empty()) p.coats().back().place = place;
                       for (auto& step : p.making)
                           if (auto* cast = std::get_if<CastStep>(&step)) cast->place = place;
                   });
    }
    /// A step takes whole minutes, at least so many seconds.
    static Measure wholeMinutes(double seconds) { return Measure(60 * std::ceil(seconds / 60 - 1e-9)); }

    /// Capacity as an answer: how the filling fits, or `otherwise` where there is none.
    Answer held(double capacity, const PieceAnswers& known, const char* after, std::string otherwise) const {
        Answer a;
        a.id = "holds";
        a.figure = {capacity, capacity, capacity, Dimension::Volume};
        a.headline = volume(capacity);
        a.after = after;
        a.sentence = std::move(otherwise);
        a.working.title = tr("What it holds");
        a.working.result = a.headline;
        if (known.fills.empty()) return a;
        const double each = known.fillEach;
        std::string what;
        for (const auto& f : known.fills)
            if (const Filling* filling = plan_.filling(f.filling))
                what += (what.empty() ? "" : tr(" and ")) + filling->name;
        if (each > capacity) {
            a.tone = Tone::Impossible;
            a.sentence = say("{} of {} do not fit.", volume(each), what);
            a.ways.push_back(roomLeft(each, capacity));
            return a;
        }
        a.tone = each > 0.9 * capacity ? Tone::Weak : Tone::Plain;
        if (a.tone == Tone::Weak) a.ways.push_back(roomLeft(each, capacity));
        a.sentence =
            say("{} of {} fill it to {}", volume(each), what, format(each / capacity, Dimension::Percent, plan_.units));
        a.sentence += piece_.count > 1 ? say("; {} for all {}.", volume(each * piece_.count), piece_.count) : ".";
        if (const LidStep* lid = piece_.lid(); lid && lid->depth.value > 0)
            a.sentence += known.capMass > 0 ? say(" A lid of {} takes {} more.",
                                                  format(lid->depth.value, Dimension::Length, plan_.units),
                                                  format(known.capMass, Dimension::Mass, plan_.units))
                                            : tr(" There is no room for a lid.");
        return a;
    }

    /// Its fillings in the same proportion, with room left at the top.
    WayOut roomLeft(double each, double capacity) const {
        constexpr double kFull = 0.85;  // of what it holds: judgement, a rim to carry it by
        return way(say("Fill it to {}: {}", format(kFull, Dimension::Percent, plan_.units), volume(kFull * capacity)),
                   [&](Piece& p) {
                       for (auto& step : p.making)
                           if (auto* f = std::get_if<FillStep>(&step)) {
                               Measure& amount = f->share.value > 0 ? f->share : f->each;
                               amount = Measure(amount.value * kFull * capacity / each);
                           }
                   });
    }

    static Working::Input constant(const std::string& name, const material::Constant& c) {
        const double scale = c.unit == "m" ? 1e3 : 1;  // lengths of this size are spoken in millimetres
        const std::string unit = c.unit == "1"     ? ""
                                 : c.unit == "m"   ? tr(" mm")
                                 : c.unit == "1/s" ? tr(" per s")
                                                   : " " + c.unit;
        return {
            name, fmt::format("{}{}", significant(c.value * scale, 6), unit),
            c.low < c.high ? fmt::format("{}–{}", significant(c.low * scale, 6), significant(c.high * scale, 6)) : "",
            c.source};
    }
    Working::Input chocolateConstant(const char* name) const {
        const auto* chocolate = lib_.find(piece_.chocolate);
        Working::Input in = constant(words(name), chocolate->at(name));
        if (const auto own = plan_.own.find(piece_.chocolate); own != plan_.own.end())
            if (const auto v = own->second.values.find(name); v != own->second.values.end()) {
                in.value = fmt::format("{} {}", significant(v->second, 6), chocolate->at(name).unit);
                const auto from = own->second.from.find(name);
                in.source = from == own->second.from.end() ? tr("your own figure") : from->second;
            }
        return in;
    }
    Working::Input physics(const char* name, const material::Constants& from) const {
        return constant(words(name), from.at(name));
    }
    /// Names of constants that workings show, for the catalogue.
    [[maybe_unused]] static constexpr const char* kConstants[]{
        trLater("air still"),     trLater("conductivity"),     trLater("density melt"),       trLater("dip speed"),
        trLater("fat share"),     trLater("firm fraction"),    trLater("frost harm"),         trLater("growth rate"),
        trLater("heat capacity"), trLater("radiation"),        trLater("rim bead"),           trLater("set fraction"),
        trLater("static yield"),  trLater("viscosity energy"), trLater("yield energy"),       trLater("yield at 40 °C"),
        trLater("density solid"), trLater("latent heat"),      trLater("viscosity at 40 °C"), trLater("balloon back")};
    /// "viscosityEnergy" → "viscosity energy"
    static std::string words(const std::string& camel) { return tr(spaced(camel)); }

    const Piece& piece_;
    const Plan& plan_;
    const material::Library& lib_;
};

/// What is told of anything that is coated: the cold, the right moments, dew, holes, heat, coats too early.
/// @param mean, thickest m of its wall @param height m of the former @param parts names of the items that blemishes
/// name
std::vector<Answer> coatAnswers(const Piece& piece, const Plan& plan, const material::Library& library,
                                const material::Coating& coating, const CoatTimes& times, double mean, double thickest,
                                const std::vector<coat::Blemish>& blemishes, double height,
                                const std::vector<std::string>& parts);
/// How many find room where they set last; none for what is shaped by hand or sets on the table.
std::optional<Answer> roomAnswer(const Piece& piece, const Plan& plan, const material::Library& library,
                                 const PieceAnswers& known);

}  // namespace uovo
