// A pot in temper that cools while bowls are dipped from it: a burst now and then keeps it in its band.
#include <fmt/format.h>

#include <algorithm>
#include <cmath>

#include "core/heat/pot.h"
#include "core/lesson/scenes.h"
#include "core/quantity/catalogue.h"

namespace uovo::lesson {
namespace {

class Keeping final : public Lesson {
    static constexpr double kPot = 0.4, kRoom = 16, kWatts = 800, kShort = 3, kLong = 8;  // kg, °C, W, s
    static constexpr double kDips = 60, kHigh = 0.07, kDrains = 15;  // s a bowl takes; m of its wall; s that it drains
    static constexpr double kBowlArea = 0.017;                       // m² of a bowl of 11 cm, outside
    static constexpr double kThin = 0.75, kThick = 1.2;              // times the wall that is meant
    static constexpr size_t kBowls = 6;
    static constexpr double kLongest = 1800;  // s

public:
    Keeping(const material::Library& lib, UnitSystem units) : Lesson(lib, units) { begin(0); }
    double speed() const override { return 4; }
    size_t tries() const override { return kBowls; }
    Look look() const override {
        Look l;
        l.ribbon = ribbonOf(c_, T_, X_);
        l.streaks = 1 - kept_;
        return l;
    }
    std::vector<Figure> figures() const override {
        return {{degrees(T_), tr("in the bowl")},
                {fmt::format("{} of {}", rounds().size(), kBowls), tr("bowls are dipped")}};
    }

protected:
    void begin(size_t) override {
        c_ = plainCoating(lib_, "dark");
        T_ = c_.working();
        X_ = lib_.physical("windowStart");
        meant_ = drained(c_, T_, c_.crystalsAtStart, kHigh, kDrains);
        mass_ = kPot;
    }
    std::vector<Act> offered() const override {
        return {{"dip", tr("Dip the next bowl")},
                {"short", say("Warm it for {:.0f} s", kShort)},
                {"long", say("Warm it for {:.0f} s", kLong)}};
    }
    void done(const std::string& id) override {
        if (id == "dip") return dip();
        T_ += (id == "short" ? kShort : kLong) * kWatts * lib_.physical("microwaveShare") /
              (mass_ * c_.heatCapacityLiquid);
    }
    void step(double dt) override {
        const heat::CrystalLaw law(c_, lib_.physics);
        const double grown = law.advance(X_, T_, dt) - X_;
        X_ += grown;
        kept_ = std::min(kept_, std::max(material::temperKept(c_, T_), X_ > c_.crystalsFloor * 1.5 ? 0.5 : 0.0));
        T_ += grown * c_.latentHeat / c_.heatCapacityLiquid -
              dt * heat::potLoss(lib_.physics, mass_, true) * (T_ - kRoom) / (mass_ * c_.heatCapacityLiquid);
        if (time() > kLongest) {
            while (rounds().size() + 1 < kBowls) tell({false, {}, 0, 0}, true);
            tell({false, tr("The pot has set in its bowl: melt and temper it again."), time() / 60, 0});
        }
    }
    std::string scene() const override {
        if (kept_ < 0.6)
            return say("It went above {}: its crystals have melted, it is out of temper.", degrees(c_.loses));
        if (!rounds().empty() && time() - dipped_ < kDips + 20) return rounds().back().words;
        const double r = ribbonOf(c_, T_, X_);
        return r > 0.75   ? tr("It stands in folds where it falls: too thick to dip in.")
               : r > 0.58 ? tr("The ribbon stays on top for some seconds.")
               : r > 0.4  ? tr("It falls in a ribbon that sinks at once.")
                          : tr("It runs off thin.");
    }
    std::string remember() const override {
        return tr(
            "Short bursts, early: a degree or two each. Once it stands in folds it is late, and one burst too long "
            "costs the temper of the whole pot.");
    }

private:
    void dip() {
        const double wall = drained(c_, T_, std::max(X_, c_.crystalsAtStart * 0.5), kHigh, kDrains),
                     much = wall / meant_;
        const double grams = wall * kBowlArea * c_.densityMelt;
        pass(kDips);
        if (isTold()) return;  // it has set meanwhile
        dipped_ = time();
        mass_ = std::max(0.1, mass_ - grams);
        Round r{false, {}, kDips / 60, 0};
        const std::string thickness = format(wall, Dimension::Length, units_, Detail::Fine);
        if (kept_ < 0.6) {
            r.words = tr("This one dries in grey streaks: the pot is out of temper.");
            r.kilograms = grams;
        } else if (much > kThick) {
            r.words = say("{} thick, {:.0f} % more than meant: the pot has cooled.", thickness, 100 * (much - 1));
            r.kilograms = grams * (1 - 1 / much);
        } else if (much < kThin) {
            r.words = say("Only {}: it was warm and thin.", thickness);
        } else {
            r.good = true;
            r.words = say("Even, {}.", thickness);
        }
        tell(std::move(r), true);
    }

    material::Coating c_;
    double T_ = 31, X_ = 0, mass_ = 0, meant_ = 0, kept_ = 1, dipped_ = -1e9;
};

}  // namespace

std::unique_ptr<Lesson> keeping(const material::Library& lib, UnitSystem units) {
    return std::make_unique<Keeping>(lib, units);
}

}  // namespace uovo::lesson
