#include "core/run/fate.h"

#include <algorithm>
#include <cmath>

#include "core/stages/strength.h"

namespace uovo::run {

Fate::Fate(unsigned seed, const Luck& luck) : luck_(luck), random_(seed) {
    cook_ = luck_.scatter.cook * random_.normal();
    setting_ = luck_.scatter.settingDay * random_.normal();
}

double Fate::factor(const Step& s) {
    const auto [it, fresh] = kinds_.try_emplace(s.kind, 0);
    if (fresh) it->second = luck_.scatter.kind * random_.normal();
    return std::exp(cook_ + it->second + luck_.scatter.task * random_.normal());
}

std::optional<Event> Fate::notYet(const Run& run, const Step& s, double second) {
    if (looked_[s.id]++ > 0) return std::nullopt;
    double wait = 0, since = 0;
    for (const auto& w : s.waits)
        if (w.min * kMinute > wait && run.step(w.after) && !run.isOpen(w.after))
            wait = w.min * kMinute, since = run.state(w.after).to;
    if (wait < 4 * kMinute || s.lane != "look") return std::nullopt;
    const double real = since + wait * std::exp(setting_ + luck_.scatter.settingPiece * random_.normal());
    if (real <= second + kMinute) return std::nullopt;
    Event e;
    e.kind = Kind::NotYet;
    e.step = s.id;
    e.minutes = std::clamp(static_cast<int>(std::ceil((real - second) / kMinute)), 1, 120);
    e.at = second;
    return e;
}

int Fate::broken(const Run& run, const Step& s, const Plan& plan, const PlanFigures& known) {
    const Piece* piece = plan.piece(s.piece);
    const PieceAnswers* a = known.piece(s.piece);
    const auto* p = run.piece(s.piece);
    if (!piece || !a || !p) return 0;
    int times = 0;  // that all of them are taken in hand
    for (const auto& x : run.steps())
        times += x.piece == s.piece && x.which == s.which && (x.lane == "release" || x.kind.starts_with("join"));
    const double whole = std::clamp(piece->survives * (a->strength ? a->strength->survives : 1.0), 0.2, 1.0);
    const double each = 1 - std::pow(whole, 1.0 / std::max(1, times));
    int rounds = 0;
    for (const auto& x : run.steps()) rounds += x.piece == s.piece && x.kind == s.kind;
    int out = 0;
    for (int k = 0; k < p->whole() / std::max(1, rounds); ++k) out += random_.share() < each;
    return out;
}

std::optional<Event> Fate::mishap(const Run& run, const Step& s, const Plan& plan, const PlanFigures& known,
                                  double second) {
    if (!luck_.mishaps) return std::nullopt;
    Event e;
    e.kind = Kind::Happened;
    e.at = second;
    e.step = s.id;
    if (!s.piece.empty() && (s.lane == "release" || s.kind.starts_with("join")))
        if (const int many = broken(run, s, plan, known); many > 0) {
            e.mishap = Mishap::Broke;
            e.piece = s.piece;
            e.count = many;
            return e;
        }
    if (!s.pot.empty() && s.takes > 0) {
        const auto it = run.pots().find(s.pot);
        const bool stands = it != run.pots().end() && it->second.kilograms > 0;
        const bool seizes = random_.share() < luck_.seizes, sets = random_.share() < luck_.potSets;
        if (stands && (seizes || sets)) {
            e.mishap = seizes ? Mishap::Seized : Mishap::PotSet;
            e.pot = s.pot;
            return e;
        }
    }
    if (random_.share() < luck_.calledAway) {
        e.mishap = Mishap::Interrupted;
        e.minutes = 5 + random_.below(15);
        return e;
    }
    return std::nullopt;
}

}  // namespace uovo::run
