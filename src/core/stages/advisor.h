// The way to the wall a person wants: coats, temperature, wait and way up, searched and computed.
#pragma once
#include <functional>

#include "core/stages/made.h"

namespace uovo {

/// What is wished for of one piece.
enum class Wish {
    Thinnest,  ///< the wall nowhere thinner, m
    Rim,       ///< the wall at its rim at least, m
    Mean,      ///< the wall on the whole, m
    Grams,     ///< chocolate in one piece, kg
};

/// One way of making it, computed on the full profile.
struct Advice {
    std::string title;   ///< "Quickest", "Least chocolate", "Safest", "Comes nearest"
    std::string recipe;  ///< "3 coats at 31 °C, a minute on the table, upside down"
    std::string why;     ///< what makes it reach the wish
    Piece changed;
    double thinnest = 0, mean = 0, mass = 0;  ///< m, m, kg of one piece
    double seconds = 0;                       ///< from the first coat to the end of the last stay
    double miss = 0;  ///< share of pieces that will miss the wish, from the ranges of the materials
    bool meets = false;
};

struct Advised {
    std::vector<Advice> ways;  ///< at most three, the best first
    std::string impossible;    ///< why the wish cannot be met; empty when it can
    std::vector<double> most;  ///< m, most that 1, 2, 3, 4 coats leave at the thinnest place
    int tried = 0;             ///< makings computed
};

/// Searches on a coarse profile, refines the best three. @param value SI @param progress share done, 0..1
/// @returns ways and limits; or why the piece or the wish is none ("stopped" when stopped)
tl::expected<Advised, Problem> advise(const Piece& piece, Wish wish, double value, const Plan& plan,
                                      const material::Library& library, std::stop_token stop = {},
                                      const std::function<void(double)>& progress = {});

}  // namespace uovo
