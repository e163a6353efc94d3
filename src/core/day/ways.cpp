#include "core/day/ways.h"

#include <fmt/format.h>

#include <algorithm>

#include "core/quantity/catalogue.h"
#include "core/quantity/plural.h"
#include "core/quantity/words.h"

namespace uovo {
namespace {

constexpr int kWorthSaying = 15;  // min

/// The same pieces where there are more shelves: more of them fit at once.
PlanFigures onMoreShelves(const Plan& plan, const PlanFigures& known) {
    PlanFigures out = known;
    for (auto& p : out.pieces) {
        const Piece* piece = plan.piece(p->id);
        if (!piece) continue;
        const auto coats = piece->coats();
        const bool cold = coats.empty() || coats.back().place == coat::Place::Fridge;
        if (!cold) continue;
        auto more = std::make_shared<PieceAnswers>(*p);
        more->perShelf = p->perShelf / plan.kitchen.shelves * (plan.kitchen.shelves + 1);
        p = std::move(more);
    }
    return out;
}

}  // namespace

std::vector<DayWay> dayWays(const Plan& plan, const material::Library& lib, const PlanFigures& known,
                            const DayPlan& day, const Solve& solve, std::stop_token stop,
                            const std::function<void(int, int)>& told, const Refigure& refigure) {
    struct Trial {
        DayWay way;
        Plan plan;
        PlanFigures figures;
    };
    std::vector<Trial> trials;
    const auto add = [&](std::string id, std::string words, std::function<void(Plan&)> change, PlanFigures figures) {
        const bool without = id.starts_with("without/");
        Trial t{{std::move(id), without, std::move(words), 0, 0, 0, std::move(change)}, plan, std::move(figures)};
        t.way.change(t.plan);
        trials.push_back(std::move(t));
    };
    const auto& k = plan.kitchen;
    if (k.shelves < 8)
        add(
            "shelf", k.shelves == 1 ? tr("a second shelf") : tr("one more shelf"), [](Plan& p) { ++p.kitchen.shelves; },
            onMoreShelves(plan, known));
    if (k.helpers.size() < 7)
        add(
            "hands", tr("one more pair of hands"), [](Plan& p) { p.kitchen.helpers.emplace_back(); }, known);
    if (std::any_of(k.helpers.begin(), k.helpers.end(), [](const Worker& h) { return !h.from.empty(); }))
        add(
            "sooner", k.helpers.size() == 1 ? tr("the helper from the start") : tr("helpers from the start"),
            [](Plan& p) {
                for (auto& h : p.kitchen.helpers) h.from.clear();
            },
            known);
    const bool cold = std::ranges::any_of(plan.pieces, [](const Piece& p) {
        return std::ranges::any_of(p.casts(), [](const CastStep& c) { return c.place == coat::Place::Fridge; });
    });
    if (cold && refigure) {
        const auto onBench = [](Plan& p) {
            for (auto& piece : p.pieces)
                for (auto& step : piece.making)
                    if (auto* c = std::get_if<CastStep>(&step); c && c->place == coat::Place::Fridge)
                        c->place = coat::Place::Table;
        };
        Plan other = plan;
        onBench(other);
        if (const auto figures = refigure(other))
            add("bench", tr("castings left to set on the bench"), onBench, *figures);
    }
    if (plan.pieces.size() > 1) {  // without what takes most hands, unless something else stands in it
        std::string heaviest;
        int most = 0;
        for (const auto& piece : plan.pieces) {
            int minutes = 0;
            for (const auto& t : day.network.tasks)
                if (t.piece == piece.id) minutes += t.minutes * t.hands;
            const bool inside = std::any_of(plan.pieces.begin(), plan.pieces.end(), [&](const Piece& o) {
                return std::any_of(o.making.begin(), o.making.end(), [&](const Step& s) {
                    const auto* in = std::get_if<InsertStep>(&s);
                    return in && in->what == InsertStep::What::Piece && in->piece == piece.id;
                });
            });
            if (!inside && minutes > most) most = minutes, heaviest = piece.id;
        }
        if (const Piece* piece = plan.piece(heaviest)) {
            PlanFigures rest = known;
            std::erase_if(rest.pieces, [&](const auto& p) { return p->id == heaviest; });
            add(
                "without/" + heaviest,
                (piece->count == 1 ? say("the {}", lowerFirst(piece->name)) : plural(lowerFirst(piece->name))),
                [heaviest](Plan& p) { std::erase_if(p.pieces, [&](const Piece& x) { return x.id == heaviest; }); },
                std::move(rest));
        }
    }
    std::vector<DayWay> out;
    const int broken = static_cast<int>(day.found.layout.broken.size());
    for (size_t i = 0; i < trials.size() && !stop.stop_requested(); ++i) {
        auto& t = trials[i];
        const DayPlan other = layDay(t.plan, lib, t.figures, solve, nullptr);
        if (stop.stop_requested()) break;
        if (told) told(static_cast<int>(i) + 1, static_cast<int>(trials.size()));
        if (!other.problem.empty()) continue;
        t.way.begins = other.layout.begins;
        // by the clock: each keeps its own minutes free at the end
        t.way.gain = static_cast<int>(minutesBetween(day.end, other.end)) + other.layout.begins - day.layout.begins;
        t.way.mended = broken - static_cast<int>(other.found.layout.broken.size());
        if (t.way.mended < 0 || (t.way.mended == 0 && t.way.gain < kWorthSaying)) continue;
        out.push_back(std::move(t.way));
    }
    std::stable_sort(out.begin(), out.end(), [](const DayWay& a, const DayWay& b) {
        if (a.without != b.without) return b.without;
        return a.mended != b.mended ? a.mended > b.mended : a.gain > b.gain;
    });
    return out;
}

}  // namespace uovo
