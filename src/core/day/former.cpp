#include "core/day/former.h"

namespace uovo::day {

Former formerOf(const Piece& piece) {
    if (piece.roundSomething()) return Former::Core;
    if (piece.overBalloon()) return Former::Balloon;
    if (piece.alongMeridian())
        return form::choice(piece.shape, "made") == "silicone" ? Former::SiliconeCup : Former::Cup;
    if (piece.family().former == form::Former::Wrap) return Former::Acetate;
    if (form::choice(piece.shape, "mold") != "paper case") return Former::Mold;
    return form::figure(piece.shape, "nested") > 1 ? Former::NestedPaperCases : Former::PaperCase;
}

}  // namespace uovo::day
