// Colours and blends: pots mixed from a chocolate with oil colour or with another chocolate, and pastels let down with
// more of it.
#pragma once
#include "core/material/material.h"

namespace uovo::material {

/// A chocolate of a colour of its own. Pieces name it by its id like any chocolate of the library.
struct Colour {
    std::string id, name;
    std::string base = "white";    ///< id of the chocolate it is mixed from
    std::string second;            ///< id of another chocolate in it, a blend; empty: none
    Measure secondShare = 0.5;     ///< of the chocolate's mass that is `second`
    Measure strength = 0.005;      ///< kg of oil colour in a kg of the strong colour; 0.003–0.01 (common practice, no
                                   ///< source); a blend may have none
    Measure letDown = 0;           ///< share of the pot that is plain base: a pastel
    Measure flavour = 0;           ///< kg of flavour oil in a kg of the pot; 0: none
    std::string flavourName;       ///< "orange"; empty: of flavour oil
    std::string look = "#5B7FB0";  ///< of the strong colour, for drawings only
    std::string extra;
    bool operator==(const Colour&) const = default;
};

/// What goes together for one pot, kg.
struct ColourMix {
    double colour = 0;                           ///< of oil colour in all
    double strong = 0, plain = 0;                ///< base in the strong colour, base that lets it down
    double trialChocolate = 0, trialColour = 0;  ///< tinted first, set and looked at, then stirred into the rest
    double flavour = 0;                          ///< of flavour oil, beside all of it
};

/// Balances a pot: colour + strong + plain + flavour = mass, colour / (colour + strong) = strength, plain / (mass −
/// flavour) = letDown.
/// @param mass kg of the whole pot, above 0
ColourMix mix(const Colour& colour, double mass);

/// Looks of strong colour and base mixed by share, "#RRGGBB": a drawing aid, no colour science.
std::string lookOf(const Colour& colour, const std::string& baseLook);

/// How light a look "#RRGGBB" is, 0–1: the luma of ITU-R BT.601. 0 for what is no look.
double lightness(const std::string& look);

/// What is wrong with a colour: strength out of range, base that is not here, a look that is none. Nothing when all is
/// well.
std::vector<Problem> problems(const Colour& colour, const Library& library);

/// The library with a plan's colours beside its chocolates; those whose base is missing are left out.
/// A coloured chocolate has the figures of its base: so little oil hardly changes how it flows or sets. A blend has
/// figures between those of its two by mass; viscosity, yield stress and rates between their logarithms.
Library withColours(const Library& library, const std::vector<Colour>& colours);

}  // namespace uovo::material
