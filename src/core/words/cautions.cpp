// Cautions: those that concern a plan, and those that belong to one step of a making.
#include <algorithm>
#include <set>

#include "core/words/words.h"

namespace uovo {

std::vector<std::string> cautionTexts(const std::vector<const char*>& ids, const material::Library& lib) {
    std::vector<std::string> out;
    for (const char* id : ids)
        for (const auto& c : lib.cautions)
            if (c.id == id) out.push_back(c.text);
    return out;
}

std::vector<std::string> cautionsAt(const Piece& piece, size_t at, const Plan& plan, const material::Library& lib) {
    if (at >= piece.making.size()) return {};
    const Step& step = piece.making[at];
    std::vector<const char*> ids;
    const auto isFirst = [&](auto kind) {
        using S = decltype(kind);
        return std::none_of(piece.making.begin(), piece.making.begin() + static_cast<std::ptrdiff_t>(at),
                            [](const Step& s) { return std::holds_alternative<S>(s); });
    };
    const bool coats = std::holds_alternative<PlannedCoat>(step) && isFirst(PlannedCoat{});
    if ((coats || (std::holds_alternative<CastStep>(step) && isFirst(CastStep{}))) && piece.overBalloon())
        ids = {"balloon-hot", "balloon-oil"};
    if (coats && piece.family().former == form::Former::Cup) ids.push_back("paper");
    if (std::holds_alternative<ReleaseStep>(step) && piece.overBalloon()) ids = {"latex", "blade"};
    const bool halves = piece.family().body != form::Body::Compound && piece.shape.items.empty();
    if (std::holds_alternative<TrimStep>(step) || (std::holds_alternative<JoinStep>(step) && halves))
        ids = {"warm-plate"};
    if (const auto* fill = std::get_if<FillStep>(&step))
        if (const Filling* f = plan.filling(fill->filling)) {
            if (f->perishable) ids.push_back(fill->served ? "perishable-served" : "perishable");
            if (f->egg) ids.push_back("raw-egg");
            if (f->isAlcoholic()) ids.push_back("alcohol");
        }
    if (const auto* d = std::get_if<DecorateStep>(&step)) ids = decorCautions(d->way);
    if (const auto* serve = std::get_if<ServeStep>(&step)) {
        if (serve->how == ServeStep::How::Mallet) ids = {"mallet"};
        if (serve->how == ServeStep::How::Flame) ids = {"flame"};
    }
    return cautionTexts(ids, lib);
}

std::vector<std::string> cautionsOf(const schedule::Task& task, const material::Library& lib) {
    std::vector<std::string> out;
    for (const auto& c : lib.cautions)
        if (std::ranges::find(task.cautions, c.id) != task.cautions.end() &&
            (c.id != "hot-bowl" || task.step == "melt"))  // not again at each burst of warmth
            out.push_back(c.text);
    return out;
}

std::vector<std::string> cautionsOf(const Plan& plan, const material::Library& lib) {
    std::set<std::string> told;
    for (const auto& p : plan.pieces)
        for (size_t at = 0; at < p.making.size(); ++at)
            for (auto& words : cautionsAt(p, at, plan, lib)) told.insert(std::move(words));
    std::vector<std::string> out;
    for (const auto& c : lib.cautions) {
        const bool always = std::ranges::any_of(c.when, [](const auto& w) { return w == "melt" || w == "allergen"; });
        if ((always && !plan.pieces.empty()) || told.contains(c.text)) out.push_back(c.text);
    }
    return out;
}

}  // namespace uovo
