#include "core/why/evidence.h"

#include <fmt/format.h>

#include <algorithm>
#include <array>
#include <cmath>
#include <limits>

#include "core/form/joint.h"
#include "core/quantity/catalogue.h"
#include "core/quantity/normal.h"
#include "core/quantity/words.h"
#include "core/setting/cold_stress.h"
#include "core/setting/topping.h"
#include "core/stages/put_together.h"
#include "core/stages/strength.h"
#include "core/words/words.h"

namespace uovo::why {

double beyond(double value, double limit, double sd) {
    if (!(value > 0) || std::isnan(limit)) return 0;
    return normalBelow(std::log(value / limit) / sd);
}

namespace {

using coat::Place;
using coat::Rest;

constexpr double kTimes = 0.25, kLengths = 0.4;  // sd, ln: judgement, as are the limits below
constexpr double kLikely = 1.385;                // a margin is to where one in twenty cracks; to where half do (m = 8)

constexpr double kWetChocolate = 300;  // W/m²K from melted chocolate to a shell
constexpr double kCreeps = 24;         // °C: a room in which chocolate is three times as soft in an evening

/// Reads what the figures of one piece say.
class Reader {
public:
    explicit Reader(const Scene& s) : s_(s), piece_(s.it()), known_(s.known()), lib_(s.library), units_(s.plan.units) {}

    using Result = std::optional<Found>;

    // Of a balloon.
    Result balloonHeat() const {
        if (piece_.coats().empty()) return {};
        const double T = hottestCoat(),
                     bears = lib_.former(coating().compound ? "balloonBearsCompound" : "balloonBears");
        return found(normalBelow((T - bears) / 1.5), "The chocolate was at {}; balloons begin to burst at {}.",
                     degrees(T), degrees(bears));
    }
    Result oilOnLatex() const {
        if (piece_.handling.oil) return {};
        return found(0, "The plan puts no oil on the balloon.");
    }

    // Of a wall.
    Result groove() const {
        if (!wall()) return {};
        size_t grooves = 0;
        for (const auto& b : wall()->blemishes) grooves += b.kind == coat::Blemish::Kind::Groove;
        const bool tapped = !piece_.coats().empty() && piece_.coats()[0].tap.value > 0;
        if (grooves == 0) return found(0.05, "No groove of it shuts air in.");
        return found(
            tapped ? 0.2 : 0.9, "{} and the first coat is {}tapped.",
            sayMany("It has {} groove that may shut air in,", "It has {} grooves that may shut air in,", int(grooves)),
            tapped ? "" : tr("not "));
    }
    Result filmSlid() const { return thinnerThan(wall() ? wall()->thinnest : NAN, 4e-4, tr("the thinnest place")); }
    Result thinCoat() const {
        return thinnerThan(wall() && !wall()->coats.empty() ? wall()->coats[0].thinnest : NAN, 6e-4,
                           tr("the first coat at its thinnest"));
    }
    Result rimRuns() const { return runsOff(true); }
    Result crownRuns() const { return runsOff(false); }
    Result thinBag() const {
        if (!s_.log.yield || !s_.log.yieldSd) return {};
        return found(normalBelow(-*s_.log.yield / *s_.log.yieldSd), "The log says that this bag stands {} the book.",
                     *s_.log.yield < 0 ? tr("worse than") : tr("no worse than"));
    }
    Result waited() const { return longer("delay"); }
    Result drained() const { return longer("drain"); }

    // Coming off its former.
    Result marginRelease() const {
        const LoadCase* worst = nullptr;
        for (const auto* c : chosen())
            if (c->group == "release" && (!worst || c->margin < worst->margin)) worst = c;
        return byMargin(worst);
    }
    Result notSet() const {
        const auto& [release, taken, place] = outOfTheCold();
        if (std::isnan(taken)) return {};
        if (std::isnan(release)) return found(0.97, "It never lets go {}.", inPlace(place));
        return found(beyond(release, taken, kTimes), "It came out {} after it was made; it lets go at {}.", time(taken),
                     time(release));
    }
    Result releasedFast() const {
        if (!piece_.overBalloon()) return {};
        if (piece_.handling.release == Handling::Release::Burst)
            return found(0.9, "The plan bursts the balloon at once.");
        return {};
    }
    Result noOil() const {
        if (!piece_.overBalloon()) return {};
        if (!piece_.handling.oil) return found(0.9, "The plan puts no oil on the balloon.");
        return {};
    }
    Result temperLost() const {
        const auto& c = coating();
        if (std::isinf(c.loses)) return found(0, "It has no temper to lose.");
        const double T = given("hottest", hottestCoat());
        if (std::isnan(T)) return {};
        return found(normalBelow((T - c.loses) / 0.6), "The bath was at {}; its temper is lost from {}.", degrees(T),
                     degrees(c.loses));
    }

    // Cold, damp, slow.
    Result heldCold() const {
        if (!wall()) return {};
        const auto former = piece_.family().former;
        const bool rigid = former == form::Former::Mold || former == form::Former::Closed;
        const double share = rigid ? wall()->heldStress : wall()->freeStress;
        return found(beyond(share, 1, 0.6), "The cold takes {} of its strength while {}.",
                     format(share, Dimension::Percent, units_),
                     rigid ? tr("its mold holds it fast") : tr("it is free to shrink"));
    }
    /// Hot chocolate on a cold shell: its cold inside is pulled by what warms and grows outside.
    Result coldShell() const {
        const auto coats = piece_.coats();
        if (coats.size() < 2 || !wall() || !(wall()->chill > 0)) return {};
        const double air = stayIn(coats[coats.size() - 2].place, 1, s_.plan, lib_).air;  // as cold as its place at most
        const double gap = coats.back().temperature.value - air;
        const double biot = kWetChocolate * 0.5 * wall()->mean / coating().conductivity;
        const double share = wall()->heldStress / wall()->chill * gap * setting::freeShare(biot);
        return found(beyond(share, 1, 0.6), "The last coat was {} on a shell from a place at {}: {} of its strength.",
                     degrees(coats.back().temperature.value), degrees(air), format(share, Dimension::Percent, units_));
    }
    Result marginBump() const {
        for (const auto* c : chosen())
            if (c->id == "bump") return byMargin(c);
        return {};
    }
    Result uneven() const {
        if (!wall() || !(wall()->thinnest > 0)) return {};
        const double ratio = wall()->thickest / wall()->thinnest;
        return found(beyond(ratio, 4, 0.3), "Its wall goes from {} to {}.", length(wall()->thinnest),
                     length(wall()->thickest));
    }
    Result dew() const {
        if (!wall()) return {};
        const auto& d = wall()->dew;
        if (!d.wet) return found(0.02, "By the figures no dew falls on it.");
        return found(beyond(d.film, 1e-3, 0.5), "It gets wet for {} on leaving the cold: the dew point is {}.",
                     time(d.wetSeconds), degrees(d.dewPoint));
    }
    Result fridgeLong() const {
        const auto& [release, taken, place] = outOfTheCold();
        if (std::isnan(taken)) return {};
        if (place == Place::Table) return found(0, "It did not lie in the fridge.");
        const double most = lib_.usual(place == Place::Fridge ? "fridgeMost" : "freezerMost");
        const double stay = piece_.coats().empty() ? taken : coat::inCold(piece_.coats().back());
        return found(beyond(stay, most, 0.3), "It lay {} {}; {} is the most that is good for it.", time(stay),
                     inPlace(place), time(most));
    }
    Result slowLock() const {
        const double lock = wall() ? wall()->lock : known_.made->setting.lock;
        if (std::isnan(lock)) return found(0.97, "It never stops running where it sets.");
        return found(beyond(lock, 15 * 60, 0.3), "It runs no more after {}; a quarter of an hour is slow.", time(lock));
    }
    Result untempered() const {
        const bool needs = !coating().compound;
        const bool is = needs && piece_.temper == material::Temper::Untempered;
        return found(is ? 0.99 : 0, "{}",
                     is ? tr("The plan does not temper it.") : tr("The plan tempers it, or it needs none."));
    }
    Result littleSeed() const {
        const auto* m = melt();
        if (!m || m->choice.method != temper::Method::Seed) return {};
        const double share = seedLeft(*m);
        return found(beyond(0.01, share, 0.5), "Of the plan's seed {} of the pot is left when it is ready.",
                     format(share, Dimension::Percent, units_));
    }
    Result muchSeed() const {
        const auto* m = melt();
        if (!m || m->choice.method != temper::Method::Seed) return {};
        const double share = seedLeft(*m);
        return found(beyond(share, 0.25, 0.5), "Lumps of seed are {} of the pot when it is ready.",
                     format(share, Dimension::Percent, units_));
    }
    Result pastWindow() const {
        const auto* m = melt();
        const auto* p = pot();
        if (!m || !p) return {};
        const double planned = p->minutes * 60 / std::max(1, m->batches);
        const double used = given("used", planned);
        const double window =
            s_.given.contains("used") ? m->temper.window : std::max(m->temper.window, m->temper.keeps);
        return found(beyond(used, window, kTimes), "It was in use for {}; it stays usable for {}{}.", time(used),
                     time(window), s_.given.contains("used") ? "" : tr(" when it is warmed in time"));
    }
    Result oilIn() const {
        const bool oil = piece_.thinner == material::Thinner::VegetableOil && piece_.thinnerShare > 0;
        return found(oil ? 0.95 : 0.02, "{}",
                     oil ? tr("The plan thins it with oil.") : tr("The plan stirs no oil in."));
    }

    // Of a pot.
    Result waterBath() const {
        const auto* m = melt();
        if (!m || m->choice.heat == temper::Heat::WaterBath) return {};
        return found(0.05, "The plan melts it without water.");
    }
    Result scorched() const {
        if (!s_.given.contains("hottest")) return {};
        const double T = s_.given.at("hottest");
        return found(normalBelow((T - coating().scorch) / 2), "It was at {}; it scorches from {}.", degrees(T),
                     degrees(coating().scorch));
    }
    Result tooCool() const {
        const double T = given("bath", hottestCoat());
        if (std::isnan(T)) return {};
        return found(normalBelow((coating().workLow - T) / 0.6), "It was at {}; it works from {} to {}.", degrees(T),
                     degrees(coating().workLow), degrees(coating().workHigh));
    }
    Result coloured() const {
        const auto* c = lib_.find(piece_.chocolate);
        if (c && !c->base.empty()) return {};
        return found(0.05, "The plan stirs no colour in.");
    }
    Result bathForgotten() const {
        const auto* p = pot();
        if (!p) return {};
        if (p->bath <= 0) return found(0, "Nothing is dipped in it: no bath has to stay.");
        if (!s_.given.contains("melted")) return {};
        const double needs = p->pieces + p->bath;
        return found(beyond(needs, s_.given.at("melted"), 0.15), "Its pieces and the last dip take {}; {} were melted.",
                     grams(needs), grams(s_.given.at("melted")));
    }
    Result thickerCoats() const { return byGrams(1); }
    Result thinnerCoats() const { return byGrams(-1); }
    Result spares() const {
        if (known_.make <= piece_.count) return found(0, "The plan makes no spares.");
        return {};
    }
    Result meltedMore() const {
        const auto* p = pot();
        if (!p || !s_.given.contains("melted")) return {};
        return found(beyond(s_.given.at("melted"), p->melt, 0.2), "{} were melted; the plan says {}.",
                     grams(s_.given.at("melted")), grams(p->melt));
    }
    Result widePot() const {
        if (!known_.bath || piece_.pot.empty()) return found(0.05, "It is dipped in the pot that takes least.");
        Piece best = piece_;
        best.pot.clear();
        const auto least = best.bath(lib_);
        if (!least) return {};
        return found(beyond(known_.bath->chocolate, 1.3 * least->chocolate, 0.3),
                     "Its pot takes {}; the one that takes least {}.",
                     grams(known_.bath->chocolate * coating().densityMelt),
                     grams(least->chocolate * coating().densityMelt));
    }
    Result heavyBowl() const {
        const auto* m = melt();
        if (!m) return {};
        const auto v = m->choice.vessel;
        return found(v == temper::Vessel::Light   ? 0.05
                     : v == temper::Vessel::Glass ? 0.3
                                                  : 0.8,
                     "The plan's bowl is {}.",
                     v == temper::Vessel::Light   ? tr("light")
                     : v == temper::Vessel::Glass ? tr("of glass")
                                                  : tr("of heavy stoneware"));
    }
    Result smallBatch() const {
        const auto* m = melt();
        if (!m || !(m->each > 0)) return {};
        return found(beyond(0.3, m->each, 0.4), "One batch is {}; less than {} cools fast.", grams(m->each),
                     grams(0.3));
    }

    // Of parts.
    Result jointHeld() const {
        if (joints().empty() || !s_.given.contains("held")) return {};
        double hold = 0;
        for (const auto& j : joints()) hold = std::max(hold, form::jointTimes(lib_, j.glue).hold);
        return found(beyond(hold, s_.given.at("held"), kTimes), "It was held for {}; this glue wants {}.",
                     time(s_.given.at("held")), time(hold));
    }
    Result glueSet() const {
        if (joints().empty()) return {};
        setting::Wall fillet;
        fillet.coat = lib_.strong("jointFillet");
        fillet.shell = known_.made->thickest;
        fillet.coatTemperature = coating().working();
        fillet.shellTemperature = s_.plan.kitchen.room.value;
        fillet.crystals = coating().crystalsAtStart;
        const auto law = heat::CrystalLaw(coating(), lib_.physics);
        const auto times = setting::settle(setting::cast(fillet, coating()), law, settingEvents(lib_),
                                           {stayIn(Place::Table, 86400, s_.plan, lib_)});
        const double hands = lib_.tasks.at("join").seconds.value;
        if (std::isnan(times.lock)) return found(0.02, "The glue stays soft for long in this room.");
        return found(beyond(hands, times.lock, kLengths), "Its glue locks after {}; setting a part on takes {}.",
                     time(times.lock), time(hands));
    }
    Result marginJoint() const {
        if (joints().empty()) return {};
        const LoadCase* worst = nullptr;
        for (const auto* c : chosen())
            if (c->group != "release" && (!worst || c->margin < worst->margin)) worst = c;
        return byMargin(worst);
    }
    Result facesWet() const {
        if (joints().empty() || !wall() || !wall()->dew.wet) return {};
        return found(beyond(wall()->dew.film, 1e-3, 0.5), "Its parts get wet for {} on leaving the cold.",
                     time(wall()->dew.wetSeconds));
    }
    Result seam() const {
        if (joints().empty() && !piece_.closedByJoining()) return found(0, "It has no seam.");
        return {};
    }
    Result props() const {
        if (!known_.together || known_.together->order.steps.empty()) return {};
        size_t n = 0;
        for (const auto& step : known_.together->order.steps) n += step.props.size();
        if (n == 0) return found(0.05, "Its parts stand without a prop.");
        return {};
    }
    Result smallFoot() const {
        const auto& m = *known_.made;
        const double height = m.box.size().z, foot = std::sqrt(m.foot / M_PI);
        if (!(foot > 0) || !(height > 0)) return {};
        return found(beyond(0.2 * height, foot, 0.5), "Its foot is {} across, and it is {} high.", length(2 * foot),
                     length(height));
    }
    Result crept() const {
        const double room = s_.plan.kitchen.room.value;
        return found(normalBelow((room - kCreeps) / 1.5), "The room is at {}; chocolate creeps from {}.", degrees(room),
                     degrees(kCreeps));
    }
    Result oneSideCold() const {
        const auto place = piece_.cast().place;
        return found(place == Place::Freezer ? 0.9 : place == Place::Fridge ? 0.2 : 0.02, "It set {}.", inPlace(place));
    }
    Result thinSheet() const {
        double thinnest = NAN;
        for (const auto& item : known_.made->assembly.items)
            if (item.edible && item.shape.body == form::Body::Sheet)
                thinnest = std::isnan(thinnest) ? item.shape.wall : std::min(thinnest, item.shape.wall);
        return thinnerThan(thinnest, 2e-3, tr("the thinnest sheet"));
    }

    // Of what is strewn on.
    Result grainHeavy() const {
        const auto* top = firstOf<TopStep>(piece_.making);
        const auto* of = top ? s_.plan.topping(top->topping) : nullptr;
        if (!of) return {};
        if (top->when == TopStep::When::Glued) return found(0.02, "It is glued on.");
        const double T = hottestCoat();
        if (std::isnan(T)) return {};
        const auto& c = coating();
        const double holds = setting::largestGrain(
            lib_.physical("staticYield") * material::yieldStress(c, T, material::crystalsAt(c, T)), of->density);
        return found(beyond(of->grain.value, holds, 0.3), "Its grains are {} large; the wet coat holds {}.",
                     length(of->grain.value), length(holds));
    }
    Result toppedLate() const {
        const auto* t = topped();
        if (!t || std::isnan(t->to)) return {};
        if (!s_.given.contains("topped")) return found(0, "By the plan it goes on while the coat is wet.");
        return found(beyond(s_.given.at("topped"), t->to, 0.3), "It went on after {}; the coat takes it until {}.",
                     time(s_.given.at("topped")), time(t->to));
    }
    Result toppedEarly() const {
        const auto* t = topped();
        if (!t || std::isnan(t->from) || !s_.given.contains("topped")) return {};
        return found(beyond(t->from, s_.given.at("topped"), 0.3), "It went on after {}; the coat holds it from {}.",
                     time(s_.given.at("topped")), time(t->from));
    }

    // Of what it holds.
    Result blemished() const {
        if (!wall()) return {};
        const size_t n = wall()->blemishes.size();
        if (n == 0) return found(wall()->bare > 0 ? 0.8 : 0.1, "By the figures no place stays bare.");
        return found(0.9, "By the figures {} may stay bare or shut air in.", sayMany("{} place", "{} places", int(n)));
    }
    Result thinForWarm() const {
        const double T = given("filling", NAN);
        if (std::isnan(T)) return {};
        return found(normalBelow((T - 28) / 2), "The filling was at {}; from {} it melts the wall.", degrees(T),
                     degrees(28));
    }

    // Of the day.
    Result slowSetting() const {
        return slower(s_.log.set, s_.log.setSd, trLater("Setting takes {} of the plan's time in your log."));
    }
    Result slowHands() const {
        return slower(s_.log.hands, s_.log.handsSd, trLater("Your hands take {} of the book's minutes."));
    }
    Result beganLate() const {
        if (!s_.given.contains("begun")) return {};
        const double late = s_.given.at("begun");
        return found(normalBelow((late - 600) / 600), "It was begun {} later than planned.", time(late));
    }
    Result madeAgain() const {
        if (piece_.survives > 0.97)
            return found(0.1, "The plan counts on {} coming out whole.",
                         format(piece_.survives, Dimension::Percent, units_));
        return {};
    }

private:
    template <class... A>
    static Found found(double q, fmt::format_string<A...> words, A&&... a) {
        return {q, say(words, std::forward<A>(a)...)};
    }
    std::string degrees(double T) const { return format(T, Dimension::Temperature, units_); }
    std::string length(double m) const { return format(m, Dimension::Length, units_); }
    std::string time(double s) const { return format(s, Dimension::Duration, units_); }
    std::string grams(double kg) const { return format(kg, Dimension::Mass, units_); }
    double given(const char* id, double otherwise) const {
        const auto it = s_.given.find(id);
        return it == s_.given.end() ? otherwise : it->second;
    }
    const CoatedWall* wall() const { return known_.made->wall.get(); }
    const material::Coating& coating() const { return known_.coating; }
    const std::vector<form::Joint>& joints() const { return known_.made->assembly.joints; }
    double hottestCoat() const {
        double T = NAN;
        for (const auto& c : piece_.coats()) T = std::isnan(T) ? c.temperature.value : std::max(T, c.temperature.value);
        if (std::isnan(T) && firstOf<CastStep>(piece_.making)) T = piece_.cast().temperature.value;
        return T == 0 ? coating().working() : T;
    }
    std::vector<const LoadCase*> chosen() const {
        std::vector<const LoadCase*> out;
        if (!known_.strength || !known_.strength->problem.empty()) return out;
        for (const auto& c : known_.strength->cases)
            if (c.chosen && std::isfinite(c.margin)) out.push_back(&c);
        return out;
    }
    /// A margin with its band; a rim that was measured thinner than computed bears less by its square.
    Result byMargin(const LoadCase* c) const {
        if (!c || !(c->margin > 0)) return {};
        double m = kLikely * c->margin;
        if (wall() && s_.given.contains("rim") && wall()->rim > 0) m *= std::pow(s_.given.at("rim") / wall()->rim, 2);
        const double sd = c->low > 0 && c->high > c->low ? std::log(c->high / c->low) / (2 * 1.645) : 0.4;
        const double all = std::sqrt(sd * sd + 0.16 * 0.16 + 0.5 * 0.5);
        return found(normalBelow(-std::log(m) / all), "{}: it {}.", c->title, c->headline);
    }
    struct Out {
        double release, taken;  ///< s after it was made: until it lets go, when it came out; NaN: not known
        Place place;
    };
    Out outOfTheCold() const {
        if (wall() && !wall()->setting.empty()) {
            const auto& last = piece_.coats().back();
            return {wall()->setting.back().release, coat::beforeCold(last) + coat::inCold(last), last.place};
        }
        const auto& cast = piece_.cast();
        return {known_.made->setting.release, given("stay", NAN), cast.place};
    }
    Result thinnerThan(double is, double limit, const char* what) const {
        if (std::isnan(is)) return {};
        return found(beyond(limit, std::max(is, 1e-6), kLengths), "By the figures {} is {}; under {} it goes wrong.",
                     what, length(is), length(limit));
    }
    Result runsOff(bool rim) const {
        if (!wall() || piece_.coats().empty()) return {};
        const Rest rest = piece_.coats().back().rest;
        const bool there = rim ? rest != Rest::Inverted : rest == Rest::Inverted;
        if (!there) return found(0.02, "It sets {}.", rim ? tr("rim down") : tr("upright"));
        const double is = rim ? given("rim", wall()->rim) : wall()->thinnest;
        return found(beyond(piece_.wantedWall.value, std::max(is, 1e-6), kLengths),
                     "It sets {}, and by the figures {} is {}; {} are wanted.", rim ? tr("upright") : tr("rim down"),
                     rim ? tr("its rim") : tr("its thinnest place"), length(is), length(piece_.wantedWall.value));
    }
    Result longer(const char* id) const {
        const auto it = s_.planned.find(id);
        if (!s_.given.contains(id) || it == s_.planned.end()) return {};
        return found(beyond(s_.given.at(id), 1.3 * it->second, kTimes), "It was {}; the plan says {}.",
                     time(s_.given.at(id)), time(it->second));
    }
    Result byGrams(int sign) const {
        const double planned = known_.made->mass;
        if (!s_.given.contains("mass") || !(planned > 0)) return {};
        const double z = std::log(s_.given.at("mass") / planned) / 0.12;
        return found(normalBelow(sign * z - 0.5), "One weighs {}; the plan says {}.", grams(s_.given.at("mass")),
                     grams(planned));
    }
    Result slower(const std::optional<double>& by, const std::optional<double>& sd, const char* words) const {
        if (!by || !sd) return {};
        return Found{normalBelow(*by / *sd), sayLater(words, format(std::exp(*by), Dimension::Percent, units_))};
    }
    const Topped* topped() const { return known_.toppings.empty() ? nullptr : &known_.toppings.front(); }
    size_t potNumber() const {
        const auto key = potOf(piece_, piece_.chocolate, lib_);
        const auto& pots = s_.answers.pots;
        return static_cast<size_t>(std::find_if(pots.begin(), pots.end(), [&](const auto& p) { return p.key == key; }) -
                                   pots.begin());
    }
    const batch::Pot* pot() const {
        const size_t n = potNumber();
        return n < s_.answers.pots.size() ? &s_.answers.pots[n] : nullptr;
    }
    const MeltPlan* melt() const {
        const size_t n = potNumber();
        return n < s_.answers.melts.size() && s_.answers.melts[n].problem.empty() ? &s_.answers.melts[n] : nullptr;
    }
    static double seedLeft(const MeltPlan& m) {
        const double all = m.temper.melt + m.temper.seed;
        return all > 0 ? m.temper.lumps * m.temper.seed / all : 0;
    }

    const Scene& s_;
    const Piece& piece_;
    const PieceAnswers& known_;
    const material::Library& lib_;
    UnitSystem units_;
};

struct EvidenceKind {
    const char* id;
    Reader::Result (Reader::*find)() const;
    std::vector<std::string> reads;
};

const std::vector<EvidenceKind>& evidenceKinds() {
    static const std::vector<EvidenceKind> all{
        {"balloon-heat", &Reader::balloonHeat, {"bath"}},
        {"oil-on-latex", &Reader::oilOnLatex, {}},
        {"groove", &Reader::groove, {}},
        {"film-slid", &Reader::filmSlid, {"bath", "delay"}},
        {"thin-coat", &Reader::thinCoat, {"bath"}},
        {"rim-runs", &Reader::rimRuns, {"rim"}},
        {"crown-runs", &Reader::crownRuns, {}},
        {"thin-bag", &Reader::thinBag, {}},
        {"waited", &Reader::waited, {"delay"}},
        {"drained", &Reader::drained, {"drain"}},
        {"margin-release", &Reader::marginRelease, {"rim"}},
        {"not-set", &Reader::notSet, {"stay"}},
        {"released-fast", &Reader::releasedFast, {}},
        {"no-oil", &Reader::noOil, {}},
        {"temper-lost", &Reader::temperLost, {"hottest"}},
        {"held-cold", &Reader::heldCold, {"stay"}},
        {"cold-shell", &Reader::coldShell, {}},
        {"margin-bump", &Reader::marginBump, {"rim"}},
        {"uneven", &Reader::uneven, {}},
        {"dew", &Reader::dew, {"room"}},
        {"fridge-long", &Reader::fridgeLong, {"stay"}},
        {"slow-lock", &Reader::slowLock, {"room"}},
        {"untempered", &Reader::untempered, {}},
        {"little-seed", &Reader::littleSeed, {}},
        {"much-seed", &Reader::muchSeed, {}},
        {"past-window", &Reader::pastWindow, {"used"}},
        {"oil-in", &Reader::oilIn, {}},
        {"water-bath", &Reader::waterBath, {}},
        {"scorched", &Reader::scorched, {"hottest"}},
        {"too-cool", &Reader::tooCool, {"bath"}},
        {"coloured", &Reader::coloured, {}},
        {"bath-forgotten", &Reader::bathForgotten, {"melted"}},
        {"thicker-coats", &Reader::thickerCoats, {"mass"}},
        {"thinner-coats", &Reader::thinnerCoats, {"mass"}},
        {"spares", &Reader::spares, {}},
        {"melted-more", &Reader::meltedMore, {"melted"}},
        {"wide-pot", &Reader::widePot, {}},
        {"heavy-bowl", &Reader::heavyBowl, {}},
        {"small-batch", &Reader::smallBatch, {}},
        {"joint-held", &Reader::jointHeld, {"held"}},
        {"glue-set", &Reader::glueSet, {"room"}},
        {"margin-joint", &Reader::marginJoint, {}},
        {"faces-wet", &Reader::facesWet, {"room"}},
        {"seam", &Reader::seam, {}},
        {"props", &Reader::props, {}},
        {"small-foot", &Reader::smallFoot, {}},
        {"crept", &Reader::crept, {"room"}},
        {"one-side-cold", &Reader::oneSideCold, {}},
        {"thin-sheet", &Reader::thinSheet, {}},
        {"grain-heavy", &Reader::grainHeavy, {"bath"}},
        {"topped-late", &Reader::toppedLate, {"topped"}},
        {"topped-early", &Reader::toppedEarly, {"topped"}},
        {"blemishes", &Reader::blemished, {}},
        {"thin-for-warm", &Reader::thinForWarm, {"filling"}},
        {"slow-setting", &Reader::slowSetting, {}},
        {"slow-hands", &Reader::slowHands, {}},
        {"began-late", &Reader::beganLate, {"begun"}},
        {"made-again", &Reader::madeAgain, {}},
    };
    return all;
}

const EvidenceKind* evidenceKind(const std::string& id) {
    for (const auto& k : evidenceKinds())
        if (k.id == id) return &k;
    return nullptr;
}

}  // namespace

const std::vector<Given>& allGiven() {
    static const std::vector<Given> all{
        {"bath", tr("Chocolate, when it went on"), Dimension::Temperature},
        {"hottest", tr("The bath at its hottest"), Dimension::Temperature},
        {"drain", tr("Drained for"), Dimension::Duration},
        {"delay", tr("On the table before the cold"), Dimension::Duration},
        {"stay", tr("Time where it set"), Dimension::Duration},
        {"rim", tr("The rim, by caliper"), Dimension::Length},
        {"mass", tr("One weighs"), Dimension::Mass},
        {"melted", tr("Melted"), Dimension::Mass},
        {"used", tr("The pot in use"), Dimension::Duration},
        {"held", tr("Glue held for"), Dimension::Duration},
        {"topped", tr("Strewn on after the coat"), Dimension::Duration},
        {"filling", tr("The filling"), Dimension::Temperature},
        {"begun", tr("Begun later than planned"), Dimension::Duration},
        {"room", tr("The room"), Dimension::Temperature},
    };
    return all;
}

std::optional<Found> evidence(const std::string& id, const Scene& scene) {
    const EvidenceKind* k = evidenceKind(id);
    if (!k || !scene.known().made) return {};
    return (Reader(scene).*k->find)();
}

bool isEvidence(const std::string& id) { return evidenceKind(id) != nullptr; }

std::vector<std::string> reads(const std::string& id) {
    const EvidenceKind* k = evidenceKind(id);
    return k ? k->reads : std::vector<std::string>{};
}

bool canHave(const material::Fault& fault, const Piece& piece) {
    if (fault.of == "balloon") return piece.overBalloon();
    if (fault.of == "wall") return piece.couldBeCoated();
    if (fault.of == "released") return firstOf<ReleaseStep>(piece.making) != nullptr;
    if (fault.of == "joints")
        return firstOf<JoinStep>(piece.making) != nullptr || piece.family().body == form::Body::Compound;
    if (fault.of == "sheets")
        return piece.family().body == form::Body::Sheet || piece.family().body == form::Body::Compound;
    if (fault.of == "toppings") return firstOf<TopStep>(piece.making) != nullptr;
    if (fault.of == "holds") return piece.fill() != nullptr;
    return true;
}

void asDone(const Figures& given, Piece& piece, Plan& plan) {
    const auto say = [&](const char* id, const auto& put) {
        if (const auto it = given.find(id); it != given.end()) put(Measure(it->second));
    };
    say("room", [&](const Measure& m) { plan.kitchen.room = m; });
    say("bath", [&](const Measure& m) {
        for (auto& c : piece.coats()) c.temperature = m;
        if (auto* c = firstOf<CastStep>(piece.making)) c->temperature = m;
    });
    if (piece.coats().empty()) return;
    auto& last = piece.coats().back();
    say("drain", [&](const Measure& m) { last.drain = m; });
    say("delay", [&](const Measure& m) { last.delay = m; });
    say("stay", [&](const Measure& m) { last.stay = m; });
}

}  // namespace uovo::why
