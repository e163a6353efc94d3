#include "core/day/chance.h"

#include <algorithm>
#include <cmath>

#include "core/stages/strength.h"

namespace uovo {
namespace {

/// P(at least `wanted` of `made` come out whole), each with chance p.
double enough(int made, int wanted, double p) {
    double sum = 0;
    for (int k = wanted; k <= made; ++k)
        sum += std::exp(std::lgamma(made + 1.0) - std::lgamma(k + 1.0) - std::lgamma(made - k + 1.0) +
                        (k > 0 ? k * std::log(p) : 0) + (made > k ? (made - k) * std::log1p(-p) : 0));
    return std::min(1.0, sum);
}

}  // namespace

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
        const double p = std::clamp(piece.survives * (a->strength ? a->strength->survives : 1), 1e-6, 1 - 1e-9);
        // a piece whose parts have spares has as many of them as are sure enough
        out.whole *= a->spareParts.empty() ? enough(a->make, piece.count, p) : library.usual("sparesSure");
    }
    return out;
}

int reserveFor(const Chance& chance, double share) {
    return std::clamp(5 * static_cast<int>(std::ceil(chance.asPlanned.minuteOf(share) / 5)), 5, 300);
}

}  // namespace uovo
