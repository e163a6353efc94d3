// A shell in a clear mold, in the cold: it is turned out when it has let go all over.
#include <fmt/format.h>

#include <algorithm>
#include <cmath>

#include "core/heat/dew.h"
#include "core/lesson/scenes.h"
#include "core/quantity/catalogue.h"
#include "core/setting/setting.h"

namespace uovo::lesson {
namespace {

class Releasing final : public Lesson {
    static constexpr double kThin = 0.7, kThick = 1.3;  // of the wall: a shell is never even (judgement)
    static constexpr size_t kPlaces = 7;
    static constexpr double kEnough = 0.97, kHumid = 0.6, kRoom = 21, kLongest = 5400;  // share; of moisture; °C; s
    static constexpr double kDry = 60, kPiece = 0.06;                                   // s of dew that do no harm; kg
    struct Setup {
        double wall;
        material::Temper temper;
        const char* words;
    };
    static constexpr Setup kTries[]{
        {0.002, material::Temper::Tempered, trLater("A thin shell, {}.")},
        {0.006, material::Temper::Tempered, trLater("A thick one, {}.")},
        {0.003, material::Temper::Untempered, trLater("A shell of {} that somebody else poured.")}};

public:
    Releasing(const material::Library& lib, UnitSystem units) : Lesson(lib, units) { begin(0); }
    double speed() const override { return 30; }
    size_t tries() const override { return std::size(kTries); }
    Look look() const override {
        Look l;
        l.of = Look::Of::Wall;
        l.wall = kTries[number_].wall;
        l.off = off();
        l.streaks = kTries[number_].temper == material::Temper::Untempered
                        ? std::clamp(setting::mean(places_[kPlaces / 2]), 0.0, 0.7)
                        : 0;
        return l;
    }
    std::vector<Figure> figures() const override {
        return {{say("{:.0f} min", std::floor(time() / 60)), tr("in the fridge")},
                {degrees(celsius()), tr("is the shell")}};
    }

protected:
    void begin(size_t number) override {
        number_ = number;
        const Setup& s = kTries[number];
        c_ = plainCoating(lib_, "dark", s.temper);
        law_ = heat::CrystalLaw(c_, lib_.physics);
        places_.clear();
        for (size_t i = 0; i < kPlaces; ++i) {
            const double share = kThin + (kThick - kThin) * static_cast<double>(i) / (kPlaces - 1);
            places_.push_back(setting::cast(setting::Wall{s.wall * share,
                                                          0,
                                                          c_.working(),
                                                          kRoom,
                                                          c_.crystalsAtStart,
                                                          {lib_.former("thickPlasticHeatCapacity"), 0}},
                                            c_, 8));
        }
    }
    std::vector<Act> offered() const override {
        return {{"out", tr("Turn it out")}, {"melt", tr("It never lets go: melt it again")}};
    }
    void done(const std::string& id) override {
        const double share = off();
        Round r{false, {}, time() / 60, 0};
        const bool untempered = kTries[number_].temper == material::Temper::Untempered;
        if (id == "melt") {
            r.good = untempered;
            if (untempered)
                r.words = tr(
                    "Right: without temper it does not draw away from the mold. Melted and tempered anew it is a good "
                    "shell.");
            else {
                r.words = tr("It was in temper and would have let go.");
                r.kilograms = kPiece;
            }
        } else if (share < kEnough) {
            r.words = say("It broke: {:.0f} % of it still held on, where it was dark.", 100 * (1 - share));
            r.kilograms = kPiece;
        } else {
            const heat::ColdWall wall{kTries[number_].wall, c_.densitySolid, c_.heatCapacity, celsius(), 1};
            const auto wet =
                heat::condensation(wall, kRoom, kHumid, lib_.physical("airStill"), lib_.physical("radiation"));
            const bool dew = wet.wet && wet.wetSeconds > kDry;
            r.good = !dew;
            r.words =
                dew ? say("It fell out by itself. But at {} it was colder than the dew point of the room, {}: wet for "
                          "{:.0f} minutes, it dries dull. Sooner, or let it come back to the room in its mold.",
                          degrees(celsius()), degrees(wet.dewPoint), std::ceil(wet.wetSeconds / 60))
                    : tr("It fell out by itself, shining.");
        }
        tell(std::move(r));
    }
    void step(double dt) override {
        const setting::Stay fridge{lib_.usual("fridge"), lib_.physical("airFan"), 0};
        for (auto& p : places_) setting::advance(p, law_, fridge, dt);
        if (time() > kLongest) done("out");
    }
    std::string scene() const override {
        const double share = off();
        return sayLater(kTries[number_].words, format(kTries[number_].wall, Dimension::Length, units_)) +
               (share < 0.02      ? tr(" Through the mold it looks dark and wet.")
                : share < 0.5     ? tr(" The first places look frosted.")
                : share < kEnough ? tr(" Most of it looks frosted; dark places still hold on.")
                                  : tr(" It looks frosted all over."));
    }
    std::string remember() const override {
        return tr(
            "Frosted is off, dark still holds. What stays dark has no temper. And no longer in the cold than it "
            "takes: a cold shell gets wet.");
    }

private:
    double celsius() const {
        const auto& T = places_[kPlaces / 2].body.T;
        double sum = 0;
        for (const double t : T) sum += t;
        return sum / static_cast<double>(T.size());
    }
    /// Share of the places that have set, at the mold too.
    double off() const {
        if (kTries[number_].temper == material::Temper::Untempered) return 0;  // it sets, and does not draw away
        const double set = lib_.physical("setFraction");
        double out = 0;
        for (const auto& p : places_) out += std::min(setting::mean(p), setting::atFormer(p)) >= set;
        return out / kPlaces;
    }

    material::Coating c_;
    heat::CrystalLaw law_;
    std::vector<setting::Cast> places_;  // from the thinnest to the thickest
    size_t number_ = 0;
};

}  // namespace

std::unique_ptr<Lesson> releasing(const material::Library& lib, UnitSystem units) {
    return std::make_unique<Releasing>(lib, units);
}

}  // namespace uovo::lesson
