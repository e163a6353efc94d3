#include "core/run/weighing.h"

#include <fmt/format.h>

#include <cmath>
#include <set>
#include "core/quantity/catalogue.h"

namespace uovo::run {

std::optional<double> plannedWeight(const Run& run, const Step& step, const Plan& plan, const PlanFigures& known) {
    const Piece* piece = plan.piece(step.madeOf());
    const auto* answers = piece ? known.piece(piece->id) : nullptr;
    if (!answers || !answers->made) return std::nullopt;
    std::set<std::string> counted;
    double out = 0;
    for (const auto& s : run.steps()) {
        const bool here = s.id == step.id;
        if (s.piece != step.piece || (!here && run.state(s.id).is != StepState::Is::Done)) continue;
        if (s.kind.starts_with("fill") || s.kind.starts_with("top-") || s.kind.starts_with("join")) return std::nullopt;
        if (s.lane != "coat" || !counted.insert(s.kind).second) continue;
        const size_t n = s.number() - 1;
        if (s.kind.starts_with("coat-")) {
            if (!answers->made->wall || n >= answers->made->wall->coats.size()) return std::nullopt;
            out += answers->made->wall->coats[n].added;
        } else if (s.kind.starts_with("cast")) {
            if (n >= piece->casts().size()) return std::nullopt;
            out += castWork(*answers->made, *piece, n).mass;
        }
    }
    return out > 0 ? std::optional(out) : std::nullopt;
}

std::string comparedWeight(double kilograms, std::optional<double> planned, UnitSystem units) {
    if (!planned || !(*planned > 0)) return {};
    const long percent = std::lround(100 * (kilograms / *planned - 1));
    const std::string said = format(*planned, Dimension::Mass, units);
    if (percent == 0) return say("{} are planned: as it should be", said);
    return say("{} are planned: {} % {}", said, std::abs(percent), percent > 0 ? tr("more") : tr("less"));
}

}  // namespace uovo::run
