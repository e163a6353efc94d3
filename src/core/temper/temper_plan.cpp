#include "core/temper/temper_plan.h"

#include <fmt/format.h>

#include <algorithm>
#include <cmath>
#include <utility>

#include "core/heat/pot.h"
#include "core/quantity/catalogue.h"
#include "core/quantity/decimal.h"

namespace uovo::temper {
namespace {

constexpr int kPortions = 3;
constexpr double kSeedSoft = 0.3;   // melted share from which seed is none
constexpr double kStir = 90;        // s a portion is stirred until it is gone
constexpr double kMostSeed = 0.42;  // of the whole: more does not melt in
constexpr double kTooWarm = 2;      // K
constexpr double kButterAt = 34.5;  // °C, the melt when crystals go in; they are at 33
constexpr double kRewarmBy = 1.0;   // K that one short burst gives back
constexpr double kKeeps =
    4 *
    3600;  // s that a tempered bowl serves, stirred and warmed (common practice, no source: a whole table of pieces)
constexpr double kMachinePays = 0.3;   // kg
constexpr double kLongest = 2 * 3600;  // s of cooling that somebody waits for
constexpr double kInWater = 180;       // s: the bowl in cold water for moments, stirred (judgement)

class Planner {
public:
    Planner(const Coating& c, const material::Constants& physics, const Choice& choice, double mass, double room,
            UnitSystem units)
        : c_(c), physics_(physics), choice_(choice), mass_(mass), room_(room), units_(units) {}

    TemperPlan run() {
        switch (choice_.method) {
            case Method::Seed:
                seed();
                break;
            case Method::Butter:
                butter();
                break;
            case Method::Curve:
                curve();
                break;
            case Method::Bursts:
                partly();
                break;
            case Method::Machine:
                machine();
                break;
            case Method::None:
                none();
                break;
        }
        const double ready = std::min(out_.steps.back().celsius, c_.workHigh);
        out_.window = heat::batchWindow(c_, physics_, mass_, 0, std::min(ready, c_.loses - 0.3), room_);
        out_.keeps = c_.tempered ? kKeeps : 24 * 3600.0;
        if (c_.tempered && choice_.method == Method::Machine) {
            out_.window = kKeeps;  // it stirs and holds its temperature
        } else if (c_.tempered) {
            if (mass_ > kByBursts)
                out_.warnings.push_back(
                    say("More than {} in one bowl do not keep by short bursts alone: feed it with warm melted "
                        "chocolate of the same kind, a little at a time, or keep it in a melter.",
                        grams(kByBursts)));
            out_.rewarmEvery = std::max(120.0, out_.window / 3);
            out_.rewarmFor = std::max(3.0, std::round(mass_ * c_.heatCapacityLiquid * kRewarmBy /
                                                      (choice_.watts * physics_.at("microwaveShare").value)));
            Seeding warm{mass_, c_.working() + kTooWarm, 0, room_, {}, 0};
            out_.tooWarmSeed = seedFor(c_, warm, c_.working());
            out_.tooWarmWait = coolsIn(c_, physics_, mass_, bowl(), c_.working() + kTooWarm, c_.working(), room_, true);
        }
        for (const auto& s : out_.steps) out_.seconds += s.seconds;
        if (c_.tempered && choice_.method != Method::None)
            add(tr("Smear test"),
                tr("Spread a little on a knife or paper. Dull or soft after 5 minutes: temper again."),
                tr("matt, then firm and shiny within 3 to 5 minutes"), std::nan(""), 0, 0, 0, 300);
        if (mass_ < kMachinePays && choice_.method == Method::Machine)
            out_.warnings.emplace_back(tr("Under 300 g a stirring machine does not pay; by hand it is quicker."));
        if (mass_ < 0.25 && choice_.method != Method::None)
            out_.warnings.emplace_back(
                tr("So small a batch cools fast: keep the bowl wrapped in a cloth, and read it often."));
        return std::move(out_);
    }

private:
    std::string grams(double kg) const { return format(kg, Dimension::Mass, units_); }
    std::string degrees(double t) const { return format(t, Dimension::Temperature, units_); }
    std::string time(double s) const { return format(s, Dimension::Duration, units_); }
    Bowl bowl() const { return {capacityOf(choice_.vessel), choice_.freshBowl ? room_ : c_.meltTo}; }

    /// How long it takes to cool, in words where the room is too warm for that.
    std::string waits(double from, double to) const {
        const double s = coolsIn(c_, physics_, mass_, bowl(), from, to, room_, true);
        return s < kLongest
                   ? time(s)
                   : tr("set the bowl into cold water for moments, stirring, for this room is too warm to cool it");
    }
    /// s until it has cooled in this room; where nobody would wait for that, the bowl goes into cold water, and the
    /// step added next says so.
    double cools(double from, double to, const Bowl& in, double share = 1) {
        const double s = share * coolsIn(c_, physics_, mass_, in, from, to, room_, true);
        if (s <= kLongest) return s;
        inWater_ = true;
        return kInWater;
    }
    void add(std::string title, std::string words, std::string look, double celsius, double low, double high, double kg,
             double seconds) {
        const double from = out_.curve.empty() ? room_ : out_.curve.back().celsius,
                     began = out_.curve.empty() ? 0 : out_.curve.back().seconds;
        if (out_.curve.empty()) out_.curve.push_back({0, room_, 0});
        out_.curve.push_back({began + seconds, std::isnan(celsius) ? from : celsius, out_.steps.size()});
        if (std::exchange(inWater_, false))
            words += (words.empty() ? "" : " ") +
                     std::string(tr("This room is too warm to cool it: set the bowl into cold water "
                                    "for moments, stirring, and keep the water out."));
        if (choice_.byLook && !std::isnan(celsius)) words += " " + std::string(tr("Go by what you see."));
        out_.steps.push_back({std::move(title), std::move(words), std::move(look), celsius, low, high, kg, seconds});
    }

    /// Melts so much, chopped, to a temperature.
    void melt(double kg, double to) {
        out_.melt = kg;
        const double joules = heatUp(c_, kg, room_, to, {capacityOf(choice_.vessel), 0});
        std::string how;
        double seconds = 0;
        if (choice_.heat == Heat::Microwave) {
            out_.bursts =
                bursts(joules, choice_.watts, physics_.at("microwaveShare").value,
                       std::clamp(mass_, 1.0, 4.0) * physics_.at("burstMost").value, physics_.at("burstLeast").value);
            for (const double b : out_.bursts) seconds += b + 20;
            how = say("{} at {:.0f} W, stirred after each; stop when a few lumps are left. The bowl gets hot.",
                      burstsInWords(out_.bursts), choice_.watts);
        } else {
            seconds = std::max(300.0, joules / 250);  // W that a barely simmering bath gives: from memory
            how = tr("Over barely simmering water that does not touch the bowl, about ") + time(seconds) +
                  tr("; dry its base before you tilt it. No steam, no drop of water in the bowl.");
        }
        if (c_.name.find("White") != std::string::npos) how += tr(" White scorches first: low power, and stir.");
        add(say("Melt {}", grams(kg)), how, tr("smooth and shiny, warm on the lip, runs off the spoon like cream"), to,
            to - 2, std::min(to + 3, c_.scorch), kg, seconds);
    }

    void seed() {
        Seeding s{0, c_.meltTo, 0, room_, bowl(), 0};
        const auto lands = [&](double share) {
            s.seed = share * mass_;
            s.melt = mass_ - s.seed;
            return settles(c_, s);
        };
        out_.third = lands(physics_.at("seedShare").value);
        double low = 0, high = kMostSeed;
        for (int i = 0; i < 50; ++i) {
            const double mid = 0.5 * (low + high);
            (lands(mid) > c_.working() ? low : high) = mid;
        }
        const double share = high, end = lands(share);
        out_.seed = s.seed;
        melt(s.melt, c_.meltTo);
        if (choice_.freshBowl)
            add(tr("Pour it into a fresh bowl"),
                tr("A bowl at room temperature takes heat out; a hot one keeps it in."), "", std::nan(""), 0, 0, 0, 20);
        for (int k = 1; k <= kPortions; ++k) {
            Seeding part = s;
            part.seed = s.seed * k / kPortions;
            const double at = k == kPortions ? end : settles(c_, part);
            add(say("Stir in portion {} of {}: {}", k, kPortions, grams(s.seed / kPortions)),
                k == 1 ? tr("Finely chopped, from a packet that was never melted. Keep it moving.")
                       : tr("When the last one is gone."),
                k == kPortions ? tr("falls off the spoon in a ribbon that shows for a moment; lukewarm on the lip")
                               : tr("the lumps melt away while you stir"),
                at, at - 1, at + 1, s.seed / kPortions, kStir);
        }
        out_.lumps = 1 - heat::meltedShare(end, c_.meltShift);
        if (out_.lumps > 0.1)
            out_.steps.back().words += say(
                " About {:.0f} % of the seed stays solid at {}: chopped finely it is not felt; take larger lumps out.",
                100 * out_.lumps, degrees(end));
        if (end > c_.workHigh + 0.2) {
            Seeding more{mass_, end, 0, room_, {bowl().capacity, end}, 0};
            out_.warnings.emplace_back(
                say("This bowl keeps so much heat that even {} of seed land at {}, {} K too warm: {} more "
                    "seed, or wait {}; or pour it into a fresh bowl first.",
                    grams(out_.seed), degrees(end), decimal(end - c_.working(), 1),
                    grams(seedFor(c_, more, c_.working())), waits(end, c_.working())));
        } else if (const double off = out_.third - c_.working(); std::abs(off) > 1.5) {
            out_.warnings.emplace_back(
                off > 0
                    ? say("One third of seed, as many do, would stay {} K too warm in this bowl.", decimal(off, 1))
                    : say("One third of seed, as many do, would cool it {} K too far in this bowl.", decimal(-off, 1)));
        }
    }

    void butter() {
        melt(mass_, c_.meltTo);
        const double wait = cools(c_.meltTo, kButterAt, bowl());
        add(say("Let it cool to {}", degrees(kButterAt)), tr("Stir now and then."),
            tr("no longer warm on the lip, not yet cool"), kButterAt, kButterAt - 0.5, kButterAt + 0.5, 0, wait);
        const double kg = physics_.at("butterCrystals").value * mass_;
        out_.seed = kg;
        Seeding s{mass_, kButterAt, kg, 33, {}, 0};
        const double at = settles(c_, s);
        add(say("Mix in {} of cocoa-butter crystals", grams(kg)),
            tr("The crystals soft, at about 33 °C; mix very well."), tr("an even shine, no specks"), at, 33, 35, kg,
            60);
        const double down = cools(at, c_.workHigh, bowl());
        add(tr("Cool it to work"), tr("Keep it moving."), tr("falls off the spoon in a ribbon"), c_.workHigh,
            c_.workLow, c_.workHigh, 0, down);
    }

    void curve() {
        melt(mass_, c_.meltTo);
        add(say("Cool it to {}", degrees(c_.coolTo)),
            tr("On a cold bowl or slab, stirring all the time: two thirds of it, then back into the rest."),
            tr("thick as custard, a trail stays"), c_.coolTo, c_.coolTo - 0.5, c_.coolTo + 0.5, 0,
            cools(c_.meltTo, c_.coolTo, bowl(), 0.35));
        const double joules = heatUp(c_, mass_, c_.coolTo, c_.working(), {});
        const auto list = bursts(joules, choice_.watts, physics_.at("microwaveShare").value, 8, 3);
        add(say("Warm it to {}", degrees(c_.working())),
            choice_.heat == Heat::Microwave
                ? say("{}, stirred after each; never above {}.", burstsInWords(list), degrees(c_.loses))
                : std::string(tr("A few seconds over the bath at a time, stirring.")),
            tr("falls off the spoon in a ribbon"), c_.working(), c_.workLow, c_.workHigh, 0, 90);
    }

    void partly() {
        const double most = c_.workHigh;
        out_.melt = mass_;
        const double joules = heatUp(c_, mass_, room_, most, {capacityOf(choice_.vessel), 0});
        out_.bursts = bursts(joules, 0.5 * choice_.watts, physics_.at("microwaveShare").value, 15, 5);
        std::string how;
        double seconds = 0;
        for (const double b : out_.bursts)
            how += (how.empty() ? "" : ", ") + fmt::format("{:.0f}", b), seconds += b + 25;
        add(say("Warm {} in short bursts", grams(mass_)),
            say("Half power, {} s, stirred after each. Its own crystals are the seed: it must never pass {}.", how,
                degrees(c_.loses)),
            tr("two thirds melted: stir until the last lumps go by themselves"), most, c_.workLow, c_.workHigh, mass_,
            seconds);
    }

    void machine() {
        Seeding s{0.75 * mass_, c_.meltTo - 3, 0.25 * mass_ / 2, room_, {}, 0};
        out_.seed = 0.25 * mass_;
        melt(s.melt, c_.meltTo - 3);
        const double first = settles(c_, s);
        add(say("Put {} behind the baffle", grams(s.seed)), tr("The machine stirs and cools."), "", first, first - 1,
            first + 1, s.seed, 420);
        s.seed *= 2;
        const double second = std::max(settles(c_, s), c_.working());
        add(say("The other {}", grams(s.seed / 2)),
            first > c_.workHigh + 0.5 ? tr("It is still too warm after the first portion: add this one.") : "", "",
            second, second - 1, second + 1, s.seed / 2, 420);
        add(tr("Hold it"), tr("Take the rest of the seed out when it is ready."), tr("falls off the spoon in a ribbon"),
            c_.working(), c_.workLow, c_.workHigh, 0, std::max(60.0, cools(second, c_.working(), {})));
    }

    void none() {
        const double to = c_.compound ? c_.meltTo : std::max(c_.workHigh + 3, 36.0);
        melt(mass_, to);
        if (c_.compound) {
            add(tr("Use it"), tr("Compound needs no temper. What sets in the bowl is melted again."),
                tr("runs off the spoon like cream"), c_.working(), c_.workLow, c_.workHigh, 0,
                cools(to, c_.workHigh, bowl()));
        } else {
            add(tr("Let it cool to work"), tr("Untempered: it sets in the cold only."), tr("thick but pourable"),
                c_.working(), c_.workLow, c_.workHigh, 0, cools(to, c_.workHigh, bowl()));
            out_.warnings.emplace_back(
                tr("Untempered chocolate stays soft, dulls and melts in the hand: keep the pieces cold until they are "
                   "served, and do not let them stand at room temperature."));
        }
    }

    const Coating& c_;
    const material::Constants& physics_;
    const Choice& choice_;
    double mass_, room_;
    UnitSystem units_;
    bool inWater_ = false;  ///< the step that is added next cools in cold water
    TemperPlan out_;
};

}  // namespace

double capacityOf(Vessel v) { return v == Vessel::Light ? 40 : v == Vessel::Glass ? 250 : 450; }

tl::expected<TemperPlan, Problem> plan(const Coating& coating, const material::Constants& physics, const Choice& choice,
                                       double mass, double room, UnitSystem units) {
    if (!(mass > 0) || !std::isfinite(mass)) return tl::unexpected(Problem{tr("There is nothing to melt."), "mass"});
    if (mass > 50) return tl::unexpected(Problem{tr("More than 50 kg are not melted in a kitchen."), "mass"});
    if (!(room > -30)) return tl::unexpected(Problem{tr("The seed is colder than a freezer."), "seed"});
    if (room > 34) return tl::unexpected(Problem{tr("In a room this warm chocolate cannot be tempered."), "room"});
    if (choice.method == Method::Seed && coating.tempered && heat::meltedShare(room, coating.meltShift) > kSeedSoft)
        return tl::unexpected(
            Problem{tr("At ") + format(room, Dimension::Temperature, units) +
                        tr(" the seed itself melts: keep it in the fridge until it is wanted, temper in "
                           "a cooler room, or use cocoa-butter crystals."),
                    "room"});
    if (!(choice.watts >= 100 && choice.watts <= 3000))
        return tl::unexpected(Problem{tr("A microwave has between 100 and 3000 W."), "watts"});
    if (coating.meltTo >= coating.scorch)
        return tl::unexpected(Problem{coating.name + tr(" scorches above ") +
                                          format(coating.scorch, Dimension::Temperature, units) +
                                          tr(": melt it cooler."),
                                      "meltTo"});
    if (coating.meltTo <= coating.workHigh)
        return tl::unexpected(Problem{tr("It must melt warmer than it is worked."), "meltTo"});
    Choice c = choice;
    if (coating.compound || !coating.tempered) c.method = Method::None;
    return Planner(coating, physics, c, mass, room, units).run();
}

}  // namespace uovo::temper
