#include "core/why/change.h"

#include <fmt/format.h>

#include <algorithm>
#include <cmath>

#include "core/quantity/catalogue.h"
#include "core/stages/strength.h"
#include "core/words/words.h"

namespace uovo::why {
namespace {

using coat::Place;
using coat::Rest;

constexpr double kSure = 1.509;      // exp(1.645 · 0.25): 19 of 20 have let go by then
constexpr double kBalloonBath = 33;  // °C
constexpr double kTap = 20;          // s
constexpr double kWell = 0.97;       // a share that comes out whole without a spare
constexpr double kSpared = 0.85;     // … and one that asks for one

/// Changes one piece of a plan.
class Changer {
public:
    Changer(const Plan& planned, const Scene& scene) : scene_(scene), plan_(planned) {
        for (auto& p : plan_.pieces)
            if (p.id == scene.it().id) piece_ = &p;
    }
    bool isThere() const { return piece_ != nullptr; }

    using Result = std::optional<Change>;

    Result balloonCooler() { return coatsAt(std::min(kBalloonBath, scene_.known().coating.workHigh), false); }
    Result cooler() {
        if (piece_->coats().empty()) return {};
        const double low = scene_.known().coating.workLow;
        double T = NAN;
        for (auto& c : piece_->coats()) {
            if (c.temperature.value <= low + 0.01) return {};
            c.temperature = Measure(std::max(low, c.temperature.value - 1));
            T = c.temperature.value;
        }
        return made("Coat it a degree cooler, at {}", degrees(T));
    }
    Result coolerTemper() {
        const auto& c = scene_.known().coating;
        return std::isinf(c.loses) ? Result{} : coatsAt(c.workedAt(), false);
    }
    Result warmer() { return coatsAt(scene_.known().coating.workedAt(), true); }
    Result noOil() {
        if (!piece_->handling.oil) return {};
        piece_->handling.oil = false;
        return made("No oil on the balloon");
    }
    Result oil() {
        if (piece_->handling.oil || !piece_->overBalloon()) return {};
        piece_->handling.oil = true;
        return made("A trace of oil on the balloon");
    }
    Result tap() {
        if (piece_->coats().empty() || piece_->overBalloon() || piece_->coats()[0].tap.value > 0) return {};
        piece_->coats()[0].tap = Measure(kTap);
        return made("Tap the first coat for {}", time(kTap));
    }
    Result coatMore() {
        const auto more = taken(*piece_, scene_.library, StrengthWay::Does::Coat);
        if (!more) return {};
        *piece_ = *more;
        return made("One coat more");
    }
    Result inverted() { return rests(Rest::Inverted, tr("Set it rim down")); }
    Result upright() { return rests(Rest::Upright, tr("Set it upright")); }
    Result shorterWait() { return halved(&PlannedCoat::delay, tr("on the table before the cold")); }
    Result shorterDrain() { return halved(&PlannedCoat::drain, tr("of draining")); }
    Result longerStay() {
        const double release = releaseAsPlanned();
        if (std::isnan(release)) return {};
        return stays(kSure * release, true);
    }
    Result shorterStay() {
        const double release = releaseAsPlanned();
        if (std::isnan(release)) return {};
        return stays(kSure * release, false);
    }
    Result fridge() {
        bool any = false;
        for (auto& c : piece_->coats())
            if (c.place == Place::Freezer) c.place = Place::Fridge, any = true;
        if (auto* c = firstOf<CastStep>(piece_->making); c && c->place == Place::Freezer)
            c->place = Place::Fridge, any = true;
        if (any) {
            if (!piece_->coats().empty()) {  // it sets more slowly there
                const double release = release_(*piece_);
                if (!std::isnan(release)) stays(kSure * release, true);
            }
            return made("Into the fridge, not into the freezer");
        }
        return shorterStay();
    }
    Result fridgeAtOnce() {
        bool any = false;
        for (auto& c : piece_->coats())
            if (c.place == Place::Table) c.place = Place::Fridge, any = true;
        return any ? made("Into the fridge instead of the table") : shorterWait();
    }
    Result slowly() {
        if (piece_->handling.release == Handling::Release::Slowly) return {};
        piece_->handling.release = Handling::Release::Slowly;
        return made("Let the air out slowly");
    }
    Result turn() {
        if (piece_->coats().empty() || piece_->coats().back().motion != coat::Motion::Still) return {};
        piece_->coats().back().motion = coat::Motion::Over;
        return made("Turn it over time and again while it sets");
    }
    Result box() {
        if (firstOf<StoreStep>(piece_->making)) return {};
        piece_->insert(StoreStep{});
        return made("Into a closed box");
    }
    Result temper() {
        if (piece_->temper == material::Temper::Tempered) return {};
        piece_->temper = material::Temper::Tempered;
        for (auto& c : piece_->coats()) c.temperature = Measure(scene_.known().coating.workedAt());
        return made("Temper it");
    }
    Result cocoaButter() {
        if (piece_->thinner != material::Thinner::VegetableOil) return {};
        piece_->thinner = material::Thinner::CocoaButter;
        return made("Thin it with cocoa butter");
    }
    Result score() {
        const auto scored = taken(*piece_, scene_.library, StrengthWay::Does::Score);
        if (!scored || *scored == *piece_) return {};
        *piece_ = *scored;
        return made("Glue on scored faces");
    }
    Result glueOn() { return tops(TopStep::When::Glued, tr("Glue it on when the coat has set")); }
    Result tacky() { return tops(TopStep::When::Tacky, tr("Strew it when the coat is tacky")); }
    Result narrowPot() {
        if (piece_->pot.empty()) return {};
        piece_->pot.clear();
        return made("The pot that takes least");
    }
    Result lightBowl() {
        auto& choice = plan_.melting[piece_->chocolate];
        if (choice.vessel == temper::Vessel::Light) return {};
        choice.vessel = temper::Vessel::Light;
        return made("A light bowl");
    }
    Result spare() {
        if (piece_->survives < kWell) return {};
        piece_->survives = kSpared;
        return made("Plan a spare");
    }

private:
    template <class... A>
    Result made(fmt::format_string<A...> words, A&&... a) {
        return Change{say(words, std::forward<A>(a)...), plan_};
    }
    std::string degrees(double T) const { return format(T, Dimension::Temperature, plan_.units); }
    std::string time(double s) const { return format(s, Dimension::Duration, plan_.units); }

    Result coatsAt(double T, bool warmer) {
        bool any = false;
        for (auto& c : piece_->coats())
            if (warmer ? c.temperature.value < T - 0.01 : c.temperature.value > T + 0.01)
                c.temperature = Measure(T), any = true;
        if (auto* c = firstOf<CastStep>(piece_->making); c && c->temperature.value > 0)
            if (warmer ? c->temperature.value < T - 0.01 : c->temperature.value > T + 0.01)
                c->temperature = Measure(T), any = true;
        return any ? made("Work it at {}", degrees(T)) : Result{};
    }
    Result rests(Rest rest, const char* words) {
        if (piece_->coats().empty() || piece_->coats().back().rest == rest) return {};
        for (auto& c : piece_->coats()) c.rest = rest;
        return made("{}", words);
    }
    Result halved(Measure PlannedCoat::*of, const char* words) {
        if (piece_->coats().empty()) return {};
        auto& m = piece_->coats().back().*of;
        if (m.value < 10) return {};
        const double half = std::max(5.0, 5 * std::round(m.value / 10));
        for (auto& c : piece_->coats()) c.*of = Measure(std::min(half, (c.*of).value));
        return made("{} {}", time(half), words);
    }
    Result tops(TopStep::When when, const char* words) {
        auto* top = firstOf<TopStep>(piece_->making);
        if (!top || top->when == when) return {};
        top->when = when;
        return made("{}", words);
    }
    /// s from when it is made until it lets go, of the plan as it is.
    double release_(const Piece& piece) const {
        const auto made = madeOf(piece, plan_, scene_.library, {false, 40});
        if (!made) return NAN;
        return made->wall && !made->wall->setting.empty() ? made->wall->setting.back().release : made->setting.release;
    }
    double releaseAsPlanned() const { return piece_->coats().empty() ? NAN : release_(*piece_); }
    /// Its last coat comes out after so many seconds in all.
    Result stays(double until, bool longer) {
        auto& last = piece_->coats().back();
        const double moved = coat::inCold(last) - last.stay.value;
        const double stay = 60 * std::ceil(std::max(60.0, until - coat::beforeCold(last) - moved) / 60);
        if (longer ? stay <= last.stay.value : stay >= last.stay.value) return {};
        const double was = last.stay.value;
        last.stay = Measure(stay);
        const std::string place = inPlace(last.place);
        return made("{} {}, not {}", time(stay), place, time(was));
    }

    const Scene& scene_;
    Plan plan_;
    Piece* piece_ = nullptr;
};

struct ChangeKind {
    const char* id;
    Changer::Result (Changer::*make)();
};

const ChangeKind* changeKind(const std::string& id) {
    static const ChangeKind all[] = {
        {"balloon-cooler", &Changer::balloonCooler},
        {"cooler", &Changer::cooler},
        {"cooler-temper", &Changer::coolerTemper},
        {"warmer", &Changer::warmer},
        {"no-oil", &Changer::noOil},
        {"oil", &Changer::oil},
        {"tap", &Changer::tap},
        {"coat-more", &Changer::coatMore},
        {"inverted", &Changer::inverted},
        {"upright", &Changer::upright},
        {"shorter-wait", &Changer::shorterWait},
        {"shorter-drain", &Changer::shorterDrain},
        {"longer-stay", &Changer::longerStay},
        {"shorter-stay", &Changer::shorterStay},
        {"fridge", &Changer::fridge},
        {"fridge-at-once", &Changer::fridgeAtOnce},
        {"slowly", &Changer::slowly},
        {"turn", &Changer::turn},
        {"box", &Changer::box},
        {"temper", &Changer::temper},
        {"cocoa-butter", &Changer::cocoaButter},
        {"score", &Changer::score},
        {"glue-on", &Changer::glueOn},
        {"tacky", &Changer::tacky},
        {"narrow-pot", &Changer::narrowPot},
        {"light-bowl", &Changer::lightBowl},
        {"spare", &Changer::spare},
    };
    for (const auto& k : all)
        if (k.id == id) return &k;
    return nullptr;
}

}  // namespace

std::optional<Change> change(const std::string& id, const Plan& planned, const Scene& scene) {
    const ChangeKind* k = changeKind(id);
    Changer changer(planned, scene);
    if (!k || !changer.isThere()) return {};
    return (changer.*k->make)();
}

bool isChange(const std::string& id) { return changeKind(id) != nullptr; }

}  // namespace uovo::why
