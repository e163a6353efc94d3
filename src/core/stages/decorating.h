// Decorations as figures: grams, minutes, what lies under a scraped place, when a stencil is lifted.
#pragma once
#include "core/stages/made.h"

namespace uovo {

/// Modeling chocolate: chocolate and glucose syrup, by how dark it is. kg
struct ModelingPaste {
    double chocolate = 0, syrup = 0;
};
ModelingPaste modelingPaste(double kg, const std::string& chocolate, const material::Library& library);
/// What of a chocolate (id) goes into modeling chocolate for all pieces of a plan, spares counted, in the order of the
/// plan.
struct Modeled {
    std::string chocolate;            ///< id
    double mass = 0;                  ///< kg of paste
    std::vector<std::string> pieces;  ///< ids
};
/// A coat as it lies in a finished wall.
struct WallLayer {
    std::string chocolate;               ///< id
    double low = 0, mean = 0, high = 0;  ///< m, how thick it is
};
/// The coats of a wall from its outside inwards: in a mold the first lies outside, over a former the last. Those of the
/// same chocolate that lie on each other are one. Empty where its wall is not computed.
std::vector<WallLayer> layersOf(const Piece& piece, const Made& made);

/// What a way of decorating is counted from.
struct DecorUse {
    bool line = false, width = false, thick = false, cover = false, times = false;
    bool mass = false;   ///< something is put on that weighs
    bool every = false;  ///< it may come back round a rim
};
DecorUse usesOf(DecorateStep::Way way);
/// A step of that way as it is usually done, its grams counted.
DecorateStep usualDecoration(DecorateStep::Way way, const material::Library& library);
/// What is bought for it, where a person has not said it.
std::string usualName(DecorateStep::Way way);
/// Ids of the cautions of a way.
std::vector<const char*> decorCautions(DecorateStep::Way way);

/// What a decorating step does to one piece.
struct Decorated {
    size_t step = 0;                     ///< of the making
    double mass = 0, low = 0, high = 0;  ///< kg put on; as typed, or counted from its figures
    double used = 0;                     ///< kg that it takes from its pot or bag: what goes beside is counted
    double line = 0;                     ///< m of line
    double area = 0;                     ///< m² that it covers
    double seconds = 0;                  ///< of hands
    double away = 0;                     ///< kg that is scraped off
    double lifts = 0;  ///< s within which a stencil is lifted, or after which a tilted tone stays; NaN: whenever
    double bends = 0, stiff = 0;  ///< s from spreading: a strip holds together, and bends no more; 0: not a strip
    bool first = false;           ///< on the mold's face, before its chocolate
    /// Of a scraped wall: what is bared from which depth on, the first entry lies outside. m
    struct Bared {
        std::string chocolate;
        double low = 0, mean = 0, high = 0;
    };
    std::vector<Bared> bares;
    double leaves = 0;  ///< m of wall under the scrape at the thinnest place
};

/// All decorating steps of a piece. @param coating of the piece
std::vector<Decorated> decorated(const Piece& piece, const Plan& plan, const material::Library& library,
                                 const Made& made, const material::Coating& coating);

}  // namespace uovo
