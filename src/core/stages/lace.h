// What a net of piped lines bears: peeled from its former, and lifted by a fingertip.
#pragma once
#include "core/form/net.h"
#include "core/stages/made.h"

namespace uovo {

/// Its longest line between two that cross it (docs/models.md, "Nets").
struct LaceHold {
    size_t item = 0;                ///< of the piece's assembly
    bool balloon = false;           ///< piped over one, else flat
    const char* thickKey = "";      ///< figure of its shape that a line's height is
    size_t parts = 1, holes = 0;    ///< parts that do not hang together; holes that are closed all round
    double span = 0;                ///< m of line between two crossings, the longest
    double height = 0;              ///< m above its lowest point, of that line
    double width = 0, thick = 0;    ///< m of a line
    double peeled = 0, lifted = 0;  ///< times what it must bear, off its former and by a finger under that line
    bool atOnce = false;            ///< … where the balloon is let go at once
    double mean = 0;                ///< Pa, the chocolate's strength
    bool holds() const { return parts == 1 && std::min(peeled, lifted) >= 3; }
};

/// Of each part that is a net; empty where none is.
std::vector<LaceHold> laceHolds(const Piece& piece, const Plan& plan, const material::Library& library,
                                const Made& made);

}  // namespace uovo
