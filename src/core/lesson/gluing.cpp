// A part is glued on: scored or not, in time before the glue skins, held until it bears.
#include <fmt/format.h>

#include <algorithm>
#include <cmath>

#include "core/lesson/scenes.h"
#include "core/quantity/catalogue.h"
#include "core/setting/setting.h"

namespace uovo::lesson {
namespace {

class Gluing final : public Lesson {
    static constexpr double kGlue = 0.0008, kShell = 0.004, kSlides = 0.006, kStays = 0.001;  // m
    static constexpr double kSkin = 0.2;  // of its crystals, from which it does not wet a face any more (judgement)
    static constexpr double kScores = 15, kSpoon = 5, kSpooned = 25;          // s; °C; s that a spoon stays cold
    static constexpr double kSpoonTakes = 60, kPart = 0.02, kLongest = 1500;  // W/m²K; kg; s
    struct Setup {
        double room, shell;
        const char* words;
    };
    static constexpr Setup kTries[]{{19, 19, trLater("A handle for a cup, in a cool kitchen.")},
                                    {25, 25, trLater("A wing for a bird, in a warm kitchen.")},
                                    {21, 8, trLater("An ear for a hare that comes from the fridge.")}};

public:
    Gluing(const material::Library& lib, UnitSystem units)
        : Lesson(lib, units), c_(plainCoating(lib, "dark")), law_(c_, lib.physics) {
        begin(0);
    }
    double speed() const override { return 4; }
    size_t tries() const override { return std::size(kTries); }
    Look look() const override {
        Look l;
        l.of = Look::Of::Joint;
        l.scored = scored_;
        l.glued = glued_;
        l.set = set_;
        l.glue = glued_ ? std::min(1.0, crystals() / lib_.physical("lockFraction")) : 0;
        return l;
    }
    std::vector<Figure> figures() const override {
        return {{degrees(kTries[number_].room), tr("in the kitchen")},
                {fmt::format("{:.0f} s", glued_ ? time() - since_ : 0),
                 set_ ? tr("it is held") : tr("since the glue is on")}};
    }

protected:
    void begin(size_t number) override {
        number_ = number;
        scored_ = glued_ = set_ = false;
        spoon_ = since_ = 0;
        skinned_ = 0;
    }
    std::vector<Act> offered() const override {
        std::vector<Act> out;
        if (!scored_ && !glued_) out.push_back({"score", tr("Score both faces")});
        if (!glued_) out.push_back({"glue", tr("Put glue on")});
        else if (!set_) out.push_back({"set", tr("Set the part on")});
        if (set_) {
            out.push_back({"spoon", tr("Cool it with a cold spoon")});
            out.push_back({"let", tr("Let go")});
        }
        return out;
    }
    void done(const std::string& id) override {
        if (id == "score") {
            scored_ = true;
            pass(kScores);
        } else if (id == "glue") {
            glued_ = true;
            since_ = time();
            cast_ = setting::cast(
                setting::Wall{
                    kGlue, kShell, c_.working(), kTries[number_].shell, lib_.physical("windowFraction"), {0, 0}},
                c_);
        } else if (id == "set") {
            set_ = true;
            skinned_ = crystals();
            since_ = time();
        } else if (id == "spoon") {
            spoon_ = kSpooned;
        } else {
            judge();
        }
    }
    void step(double dt) override {
        if (glued_) {
            const bool cold = spoon_ > 0;
            spoon_ = std::max(0.0, spoon_ - dt);
            const double air = lib_.physical("airStill");
            setting::advance(cast_, law_,
                             {cold ? kSpoon : kTries[number_].room,
                              cold   ? kSpoonTakes
                              : set_ ? 0.5 * air
                                     : air,
                              0},
                             dt);
        }
        if (time() > kLongest) judge();
    }
    std::string scene() const override {
        if (set_)
            return crystals() >= lib_.physical("lockFraction") ? tr("The glue has turned matt at its edge.")
                                                               : tr("It is held. The glue at its edge is still wet.");
        if (glued_) return crystals() >= kSkin ? tr("The glue has a skin.") : tr("The glue shines.");
        return tr(kTries[number_].words);
    }
    std::string remember() const override {
        return tr(
            "Score both faces, set it on while the glue shines, hold it until its edge is matt. A cold spoon "
            "shortens the wait; a cold part takes the glue's warmth and skins it in moments.");
    }

private:
    double crystals() const { return glued_ ? setting::mean(cast_) : 0; }
    void judge() {
        Round r{false, {}, time() / 60, 0};
        const double bears = lib_.physical("lockFraction"), X = crystals();
        const double slid = glued_ && set_ ? kSlides * std::max(0.0, 1 - X / bears) : kSlides;
        if (!set_) {
            r.words = tr("The part was never set on.");
        } else if (skinned_ >= kSkin) {
            r.words = tr("It came off in the hand: the glue had a skin before the part was set on.");
            r.kilograms = kPart;
        } else if (slid > kStays) {
            r.words = say("It slid by {} after you let go: the glue was not firm. {} s is not enough here.",
                          format(slid, Dimension::Length, units_), std::lround(time() - since_));
        } else {
            const double share = lib_.strong(scored_ ? "jointScored" : "jointAsIs");
            r.good = scored_;
            r.words = say("It stays. The joint bears {:.0f} % of what the chocolate beside it bears.{}", 100 * share,
                          scored_ ? "" : tr(" Scored faces would have given it more."));
        }
        tell(std::move(r));
    }

    material::Coating c_;
    heat::CrystalLaw law_;
    setting::Cast cast_;
    size_t number_ = 0;
    bool scored_ = false, glued_ = false, set_ = false;
    double spoon_ = 0, since_ = 0, skinned_ = 0;
};

}  // namespace

std::unique_ptr<Lesson> gluing(const material::Library& lib, UnitSystem units) {
    return std::make_unique<Gluing>(lib, units);
}

}  // namespace uovo::lesson
