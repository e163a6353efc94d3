#include "desktop/bench/pot_watch.h"

#include <algorithm>
#include <cmath>

#include "report/text.h"

namespace uovo::desktop {
namespace {

constexpr double kMoved = 0.3, kOften = 60;  // °C that it must have moved to be kept again, and s: the log stays short
constexpr double kSame = 5;                  // s in which two windows mean the same reading
constexpr qint64 kFresh = 4000;              // ms that a scale's figure counts

}  // namespace

PotWatch::PotWatch(Session& session, RunKeeper& keeper, ProbeLink& link, QObject* parent)
    : QObject(parent), session_(session), keeper_(keeper), link_(link) {
    since_.start();
    connect(&link_, &ProbeLink::reading, this, [this](const probe::Reading& r) {
        if (r.kind == probe::Reading::Kind::Mass) {
            mass_ = r.value;
            weighed_.start();
            emit changed();
        }
        if (r.kind == probe::Reading::Kind::Temperature) read(static_cast<double>(since_.elapsed()) / 1e3, r.value);
    });
    connect(&link_, &ProbeLink::stateChanged, this, [this](const QString&, bool connected) {
        if (connected) return;
        celsius_.reset();
        mass_.reset();
        emit changed();
    });
}

std::optional<double> PotWatch::scale() const {
    return mass_ && weighed_.isValid() && weighed_.elapsed() < kFresh ? mass_ : std::nullopt;
}

void PotWatch::follow(const run::Step* step) {
    const auto answers = session_.answers();
    const bool tempers = step && (step->kind == "temper" || step->kind == "melt");
    const std::string pot = step ? step->pot : std::string(), kind = tempers ? "temper" : "use";
    if (pot == pot_ && (pot.empty() || kind == kind_)) return;
    const auto at = answers && !pot.empty() ? run::potNumber(*answers, pot) : std::nullopt;
    coach_.reset();
    celsius_.reset();
    pot_.clear();
    if (at && keeper_.run()) {
        const auto& m = answers->melts[*at];
        const double room = session_.plan().kitchen.room.value, watts = m.choice.watts;
        const auto& physics = session_.library().physics;
        const auto held = keeper_.run()->pots().find(pot);
        const double mass = tempers ? step->makes : held == keeper_.run()->pots().end() ? 0 : held->second.kilograms;
        if (m.problem.empty() && mass > 0 && !m.temper.steps.empty()) {
            if (kind == "temper") coach_.emplace(m.temper, m.coating, physics, mass, watts, room, session_.units());
            else coach_ = probe::Coach::ofUse(m.coating, physics, mass, watts, room, session_.units());
            pot_ = pot;
            kind_ = kind;
        }
    }
    emit changed();
}

void PotWatch::typed(double celsius) {
    if (coach_) coach_->forget();
    read(static_cast<double>(since_.elapsed()) / 1e3, celsius);
    if (pot_.empty() || !keeper_.runs()) return;
    const run::Event* last = lastKept();
    if (!last || last->at < keeper_.second() || last->figure != celsius) keep(celsius);
}

void PotWatch::read(double seconds, double celsius) {
    if (pot_.empty() || !keeper_.runs()) return;
    const auto said = coach_ ? coach_->read(seconds, celsius) : std::nullopt;
    celsius_ = coach_ && std::isfinite(coach_->celsius()) ? coach_->celsius() : celsius;
    const run::Event* last = lastKept();
    const double passed = last ? keeper_.second() - last->at : kOften;
    const bool moved = !last || std::abs(*celsius_ - last->figure) >= kMoved;
    const bool told =
        said && said->tone != probe::Prompt::Tone::Wait && passed >= kSame;  // another window tells it too
    if ((moved && passed >= kOften) || told) keep(*celsius_);
    emit changed();
    if (said) emit prompted(qstring(said->words), said->tone);
}

void PotWatch::keep(double celsius) {
    if (keeper_.isRehearsal()) return;  // its clock is another
    run::Event e;
    e.kind = run::Kind::Read;
    e.pot = pot_;
    e.figure = celsius;
    keeper_.take(e);
}

const run::Event* PotWatch::lastKept() const {
    const auto& events = keeper_.run()->events();
    const auto it = std::ranges::find_if(events.rbegin(), events.rend(), [this](const run::Event& e) {
        return e.kind == run::Kind::Read && e.pot == pot_;
    });
    return it == events.rend() ? nullptr : &*it;
}

}  // namespace uovo::desktop
