// Numbers as they are shown: with the decimal point of the person's country. Files have a point, always.
#pragma once
#include <string>

namespace uovo {

/// '.' or ','; what is shown from then on. Set once, before anything is said; a point where nobody sets it.
void setDecimalPoint(char point);
char decimalPoint();

/// With so many places: "2.50", "2,50".
std::string decimal(double v, int places);
/// With so many digits that count, no zeros behind: "2.5", "0,04".
std::string significant(double v, int digits);

/// What a person typed elsewhere, "13.5 cm", as it is written where a comma is: "13,5 cm"; with a point
/// it stays as it was typed. One mark between digits is changed; of
/// several, of which one parts thousands, none is.
std::string pointedHere(std::string typed);

}  // namespace uovo
