#include "core/document/edits.h"

#include <algorithm>

namespace uovo {
namespace {

constexpr double kNear = 3;  // K: a bath may be so far from where its chocolate is worked before it follows

/// A bath follows its chocolate.
void follow(PlannedCoat& coat, const Piece& piece, const Plan& plan, const material::Library& lib) {
    const auto c = coatingOf(piece, coat.chocolate, plan, lib);
    if (c && (coat.temperature.value < c->workLow - kNear || coat.temperature.value > c->workHigh + kNear))
        coat.temperature = Measure(c->working());
}

bool isFor(const Step& step, const std::string& item) {
    const auto* coat = std::get_if<PlannedCoat>(&step);
    const auto* cast = std::get_if<CastStep>(&step);
    return (coat && coat->item == item) || (cast && cast->item == item);
}

void setOn(Piece& piece, const std::string& item, const std::string& chocolate, const Plan& plan,
           const material::Library& lib) {
    for (auto& step : piece.making) {
        if (!isFor(step, item)) continue;
        if (auto* cast = std::get_if<CastStep>(&step)) cast->chocolate = chocolate;
        auto* coat = std::get_if<PlannedCoat>(&step);
        if (!coat || coat->chocolate == chocolate) continue;
        coat->chocolate = chocolate;
        if (const auto c = coatingOf(piece, chocolate, plan, lib)) coat->temperature = Measure(c->workedAt());
    }
}

}  // namespace

void setChocolate(Piece& piece, const std::string& chocolate, const Plan& plan, const material::Library& lib) {
    piece.chocolate = chocolate;
    for (auto& coat : piece.coats()) follow(coat, piece, plan, lib);
}

std::string chocolateOf(const Piece& piece, const std::string& item) {
    for (const auto& step : piece.making)
        if (!item.empty() && isFor(step, item))
            return std::visit(
                [&](const auto& s) {
                    if constexpr (requires { s.item, s.chocolate; }) return piece.chocolateOf(s);
                    else return std::string();
                },
                step);
    return {};
}

void setChocolateOf(Piece& piece, const std::string& item, const std::string& chocolate, const form::Assembly& assembly,
                    const Plan& plan, const material::Library& lib) {
    const auto& items = assembly.items;
    const auto found = std::ranges::find(items, item, &form::Item::key);
    if (found == items.end()) return;
    if (chocolate.empty()) {
        std::erase_if(piece.making, [&](const Step& s) { return isFor(s, item); });
        return;
    }
    if (!piece.hasOwnSteps(item)) {
        if (const auto coats = piece.coatsOn(*found); !coats.empty()) {
            std::vector<PlannedCoat> own;
            own.reserve(coats.size());
            for (const size_t k : coats) own.push_back(piece.coats()[k]);
            for (auto& c : own) {
                c.item = item;
                piece.coats().push_back(c);
            }
        } else {
            const auto casts = piece.castsOf(*found);
            std::vector<CastStep> own;
            own.reserve(casts.size() + 1);
            for (const size_t k : casts) own.push_back(piece.casts()[k]);
            if (own.empty()) own.emplace_back();
            for (auto& c : own) {
                c.item = item;
                c.temperature = Measure(0);
                piece.insert(c);
            }
        }
        // steps for all that now make no part are in the way
        const bool left = std::ranges::any_of(items, [&](const form::Item& i) {
            return i.key != item && !piece.hasOwnSteps(i.key) && !piece.coatsOn(i).empty();
        });
        if (!left)
            std::erase_if(piece.making, [](const Step& s) {
                const auto* coat = std::get_if<PlannedCoat>(&s);
                return coat && coat->item.empty();
            });
    }
    setOn(piece, item, chocolate, plan, lib);
}

tl::expected<void, Problem> open(Piece& piece, const form::Meshes& meshes) {
    auto assembly = form::opened(piece.shape, meshes);
    if (!assembly) return tl::unexpected(assembly.error());
    piece.shape = std::move(*assembly);
    return {};
}

void removeColour(Plan& plan, const std::string& colour) {
    const auto found = std::ranges::find(plan.colours, colour, &material::Colour::id);
    if (found == plan.colours.end()) return;
    const std::string plain = found->base;
    for (auto& p : plan.pieces) {
        if (p.chocolate == colour) p.chocolate = plain;
        for (auto& step : p.making)
            std::visit(
                [&](auto& s) {
                    if constexpr (requires { s.chocolate; })
                        if (s.chocolate == colour) s.chocolate = plain;
                },
                step);
    }
    plan.melting.erase(colour);
    plan.colours.erase(found);
}

void removePart(Piece& piece, const std::string& item) {
    form::removeItem(piece.shape, item);
    std::erase_if(piece.making, [&](const Step& step) {
        return !item.empty() && std::visit(
                                    [&](const auto& s) {
                                        if constexpr (requires { s.item; }) return s.item == item;
                                        else return false;
                                    },
                                    step);
    });
}

void copyStep(Piece& piece, size_t at) {
    if (at >= piece.making.size()) return;
    const Step again = piece.making[at];
    piece.making.insert(piece.making.begin() + static_cast<std::ptrdiff_t>(at) + 1, again);
}

void removeStep(Piece& piece, size_t at) {
    if (at < piece.making.size()) piece.making.erase(piece.making.begin() + static_cast<std::ptrdiff_t>(at));
}

void moveStep(Piece& piece, size_t at, size_t to) {
    if (at >= piece.making.size()) return;
    const Step step = piece.making[at];
    removeStep(piece, at);
    piece.making.insert(piece.making.begin() + static_cast<std::ptrdiff_t>(std::min(to, piece.making.size())), step);
}

}  // namespace uovo
