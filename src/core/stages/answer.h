// What is told of a plan: a sentence with one figure, how it came about, and what would help.
#pragma once
#include "core/document/plan.h"

namespace uovo {

/// A value with its band, in a dimension.
struct Figure {
    double value = 0, low = 0, high = 0;
    Dimension dimension = Dimension::Length;
    std::string text(UnitSystem units) const { return format(value, dimension, units); }
    std::string band(UnitSystem units) const { return formatBand(value, low, high, dimension, units); }
};

/// How a figure came about.
struct Working {
    struct Input {
        std::string name, value, range, source;
    };
    std::string title, formula;
    std::vector<Input> inputs;
    std::string result;
    std::string trust;    ///< how far to trust it, where the model is weak
    std::string section;  ///< of docs/models.md
};

enum class Tone { Plain, Good, Weak, Impossible };

/// A change that would help, already computed.
struct WayOut {
    std::string title;
    Piece changed;           ///< the piece it is of, or another one of the plan
    double thinnest = 0;     ///< m, after the change
    double mass = 0;         ///< kg more in each piece
    double seconds = 0;      ///< more from first coat to release
    bool titleSays = false;  ///< it is not about the wall: its title says all there is to say
    bool enough = false;     ///< reaches the wanted wall
};

/// One plain sentence with one number.
struct Answer {
    std::string id;  ///< stable: "wall", "grams", "cold", "holds-filling", "bath"
    Figure figure;
    std::string headline;  ///< the number as shown: "1.3 mm"
    std::string after;     ///< small words behind it: "in each"
    std::string sentence;
    Tone tone = Tone::Plain;
    std::vector<WayOut> ways;
    Working working;
};

}  // namespace uovo
