#include "core/day/chance.h"

#include <algorithm>
#include <cmath>

#include "core/stages/strength.h"

namespace uovo {
Chance chanceOf(const Plan& plan, const PlanFigures& known, const material::Library& library, const DayPlan& day,
                std::stop_token stop) {
    Chance out;
    if (!day.problem.empty()) return out;
    schedule::Replay replay(day.network, day.layout);
    out.asPlanned = schedule::chances(replay, day.reserve, 0, {}, 500, 7, stop);
    out.onTime = out.asPlanned.by(day.reserve);
    for (const int minutes : {20, 60, 120})
        out.earlier.push_back(
            {minutes, schedule::chances(replay, day.reserve, minutes, {}, 500, 7, stop).by(day.reserve)});
    for (const auto& piece : plan.pieces) {
        const PieceAnswers* a = known.piece(piece.id);
        if (!a) continue;
        const double p = std::clamp(piece.survives * (a->strength ? a->strength->survives : 1), 0.0, 1.0);
        // a piece whose parts have spares has as many of them as are sure enough
        out.whole *= a->spareParts.empty() ? batch::enough(a->make, piece.count, p) : library.usual("sparesSure");
    }
    return out;
}

int reserveFor(const Chance& chance, double share) {
    return std::clamp(5 * static_cast<int>(std::ceil(chance.asPlanned.minuteOf(share) / 5)), 5, 300);
}

}  // namespace uovo
