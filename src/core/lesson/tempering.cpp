// A bowl is melted; seed goes in by handfuls until it is in temper at its working temperature.
#include <fmt/format.h>

#include <algorithm>
#include <cmath>

#include "core/heat/pot.h"
#include "core/lesson/scenes.h"
#include "core/quantity/catalogue.h"

namespace uovo::lesson {
namespace {

class Tempering final : public Lesson {
    static constexpr double kMelted = 0.4, kHandful = 0.03, kMostSeed = 0.24, kBurst = 5,
                            kWatts = 800;  // kg, kg, kg, s, W
    static constexpr double kMelts =
        45;  // s in which stirred lumps melt to a third where nothing holds them solid (judgement)
    static constexpr double kStrong = 0.15;  // crystals that seed leaves as it melts where they live, a share of it: a
                                             // third by handfuls ends near `windowStart`
    static constexpr double kSetsIn = 300,
                            kLongest = 1500;  // s: a smear of good temper has locked by then; a try has to end
    static constexpr double kLumps = 0.02;
    struct Setup {
        const char* chocolate;
        double room;
    };
    static constexpr Setup kTries[]{{"dark", 20}, {"milk", 24}};

public:
    Tempering(const material::Library& lib, UnitSystem units) : Lesson(lib, units) { begin(0); }
    double speed() const override { return 5; }
    size_t tries() const override { return std::size(kTries); }

    Look look() const override {
        Look l;
        l.ribbon = ribbonOf(c_, T_, X_);
        l.lumps = lumps_ / mass_;
        if (smeared_ > 0) {
            l.smear = std::min(1.0, smear_ / lib_.physical("lockFraction"));
            l.streaks = streaks();
        }
        return l;
    }

    std::vector<Figure> figures() const override {
        return {{degrees(T_), tr("in the bowl")}, {mass(seeded_), tr("of seed is in")}};
    }

protected:
    void begin(size_t number) override {
        room_ = kTries[number].room;
        c_ = plainCoating(lib_, kTries[number].chocolate);
        T_ = c_.meltTo;
        X_ = c_.crystalsFloor * 0.1;
        mass_ = kMelted;
        lumps_ = seeded_ = smear_ = smeared_ = 0;
    }

    std::vector<Act> offered() const override {
        std::vector<Act> out;
        if (seeded_ < kMostSeed) out.push_back({"seed", say("Stir in {} of seed", mass(kHandful))});
        out.push_back({"warm", say("Warm it for {:.0f} s", kBurst)});
        out.push_back({"smear", tr("Test a smear")});
        out.push_back({"ready", tr("It is ready")});
        return out;
    }

    void done(const std::string& id) override {
        if (id == "seed") {
            T_ = (mass_ * c_.heatCapacityLiquid * T_ + kHandful * c_.heatCapacitySolid * room_) /
                 (mass_ * c_.heatCapacityLiquid + kHandful * c_.heatCapacitySolid);
            mass_ += kHandful;
            lumps_ += kHandful;
            seeded_ += kHandful;
        } else if (id == "warm") {
            T_ += kBurst * kWatts * lib_.physical("microwaveShare") / (mass_ * c_.heatCapacityLiquid);
            if (T_ > c_.scorch)
                tell({false, say("At {} it has scorched: thick, grainy, bitter. It cannot be mended.", degrees(T_)),
                      time() / 60, mass_});
        } else if (id == "smear") {
            smear_ = X_;
            smearT_ = T_;
            smeared_ = time();
        } else {
            judge();
        }
    }

    void step(double dt) override {
        const heat::CrystalLaw law(c_, lib_.physics);
        const double free = heat::meltedShare(T_, c_.meltShift);
        const double melts = lumps_ * (1 - std::exp(-dt * free / kMelts));
        lumps_ -= melts;
        const double seeds = kStrong * melts / mass_ * material::temperKept(c_, T_);
        const double grown = law.advance(X_, T_, dt) - X_;
        X_ += seeds + grown;
        T_ += (mass_ * c_.latentHeat * grown - c_.latentHeat * melts -
               dt * heat::potLoss(lib_.physics, mass_, true) * (T_ - room_)) /
              (mass_ * c_.heatCapacityLiquid);
        if (smeared_ > 0) smear_ = law.keeping(material::temperKept(c_, smearT_)).advance(smear_, room_, dt);
        if (time() > kLongest) judge();
    }

    std::string scene() const override {
        if (smeared_ > 0 && time() - smeared_ < kSetsIn) {
            if (smear_ >= lib_.physical("lockFraction")) return tr("The smear is matt and firm.");
            return say("The smear is still wet after {:.0f} s.", time() - smeared_);
        }
        if (smeared_ > 0 && smear_ < lib_.physical("lockFraction")) return tr("The smear has not set in five minutes.");
        if (lumps_ / mass_ > kLumps) return tr("Lumps go round in it: stir on until they are gone.");
        if (T_ > c_.loses) return say("Hot and thin. Above {} no crystal lives in it.", degrees(c_.loses));
        if (T_ > c_.workHigh) return tr("It runs off the whisk at once.");
        if (T_ >= c_.workLow) return tr("It falls in a ribbon.");
        return tr("It thickens.");
    }

    std::string remember() const override {
        return tr(
            "Seed late and stir until no lump is left; what goes in too hot melts and leaves nothing. Believe the "
            "smear, not the clock.");
    }

private:
    double streaks() const { return std::clamp(1 - smearT0() / lib_.physical("windowStart") * 1.6, 0.0, 1.0); }
    double smearT0() const { return std::min(X_, lib_.physical("windowStart")) * material::temperKept(c_, smearT_); }

    /// s in which a smear of it locks on a knife at room temperature.
    double setsIn() const {
        const auto law = heat::CrystalLaw(c_, lib_.physics).keeping(material::temperKept(c_, T_));
        double X = X_, t = 0;
        for (; t < 2 * kSetsIn && X < lib_.physical("lockFraction"); t += 2) X = law.advance(X, room_, 2);
        return t;
    }

    void judge() {
        Round r;
        r.minutes = time() / 60;
        const double thick = lib_.physical("windowFraction"), sets = setsIn();
        if (lumps_ / mass_ > kLumps)
            r.words =
                tr("Lumps of seed are left in it: they stand out of every coat. Stir on, or warm it for a moment.");
        else if (T_ > c_.workHigh + 0.3)
            r.words = say("At {} it is still too warm: above {} it loses its crystals again.", degrees(T_),
                          degrees(c_.workHigh));
        else if (sets > kSetsIn)
            r.words =
                say("Its crystals are too few: a smear takes {:.0f} minutes and dries in streaks. Stir in a handful of "
                    "seed below {}.",
                    std::ceil(sets / 60), degrees(c_.loses));
        else if (X_ > thick)
            r.words = say(
                "It has thickened: its crystals have grown and its walls come out too thick. Warm it by a degree, no "
                "more.");
        else if (T_ < c_.workLow - 1)
            r.words = say(
                "At {} it is cooler than it is worked at, {} to {}: it sets while it is poured. Warm it for a moment.",
                degrees(T_), degrees(c_.workLow), degrees(c_.workHigh));
        else {
            r.good = true;
            r.words = say("In temper at {}: a smear sets in {:.0f} minutes, with a shine.", degrees(T_),
                          std::max(1.0, std::round(sets / 60)));
        }
        tell(std::move(r));
    }

    material::Coating c_;
    double room_ = 20, T_ = 45, X_ = 0, mass_ = 0, lumps_ = 0, seeded_ = 0;
    double smear_ = 0, smearT_ = 0, smeared_ = 0;  // its crystals, °C as it was taken, s
};

}  // namespace

std::unique_ptr<Lesson> tempering(const material::Library& lib, UnitSystem units) {
    return std::make_unique<Tempering>(lib, units);
}

}  // namespace uovo::lesson
