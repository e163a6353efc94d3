// How a decoration is done, step by step, for a card and for the bench.
#pragma once
#include "core/stages/figures.h"

namespace uovo {

inline constexpr double kWeighed = 5e-5;  ///< kg: less of a decoration is a trace

struct DecorWords {
    std::string title;               ///< "Scrape it", "Paint the mold"
    std::vector<std::string> how;    ///< sentences, in order
    std::vector<std::string> look;   ///< what to look for
    std::vector<std::string> wrong;  ///< what goes wrong
};
/// @param step of the making, a decoration
DecorWords decorWords(const Piece& piece, size_t step, const Plan& plan, const material::Library& library,
                      const PieceAnswers& known);

}  // namespace uovo
