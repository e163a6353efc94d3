#include "core/stages/shown.h"

namespace uovo {
namespace {

/// Over a former the last coat is seen from outside, in a mold the first; a brush in places does not cover it.
std::string seenOf(const Piece& piece, const std::vector<PlannedCoat>& coats, bool outside) {
    std::string seen;
    for (const auto& c : coats) {
        if (c.way == coat::Way::Press || (c.way == coat::Way::Brush && c.where != coat::Where::All)) continue;
        seen = piece.chocolateOf(c);
        if (!outside) break;
    }
    return seen.empty() ? piece.chocolate : seen;
}

}  // namespace

std::string shownChocolate(const Piece& piece) {
    return piece.coats().empty() ? piece.chocolate : seenOf(piece, piece.coats(), piece.family().outside);
}

std::string shownChocolate(const Piece& piece, const form::Item& item, bool coated) {
    if (!coated) {
        const auto casts = piece.castsOf(item);
        return casts.empty() ? piece.chocolate : piece.chocolateOf(piece.casts()[casts.front()]);
    }
    std::vector<PlannedCoat> coats;
    for (const size_t k : piece.coatsOn(item)) coats.push_back(piece.coats()[k]);
    return seenOf(piece, coats, item.shape.outside);
}

}  // namespace uovo
