// What to do with a part that broke: glue it back, stiffen it, or make it anew; what each takes, and what it bears
// then.
#pragma once
#include "core/stages/figures.h"

namespace uovo {

/// One way to deal with a broken part.
struct Mend {
    enum class How {
        Glue,    ///< the faces scored and glued
        Splint,  ///< glued, with a strip of the same thickness over the break
        Peg,     ///< glued, with pegs across the break
        Patch,   ///< glued, with chocolate brushed over the break from inside
        Anew     ///< made once more
    };
    How how = How::Glue;
    double hands = 0, waits = 0;          ///< s of hands, and until it bears again
    double mass = 0;                      ///< kg of chocolate
    double share = 1, low = 1, high = 1;  ///< of its strength that it has again, and the range
    double margin = 0;                    ///< times the hardest load, were this the weakest place; 0: not reckoned
    /// Whether it may be used as before, stands for show, or should not be trusted.
    enum class Verdict { Bears, Shows, Fails };
    Verdict verdict = Verdict::Bears;
};

/// The break of a part, across its longest way: how long and how thick.
struct Break {
    double length = 0, thickness = 0;  ///< m
};
Break breakOf(const form::Item& item, double volume);

/// Ways for a part of a piece, the quickest first; a part that is not eaten has none. @param item number in the
/// assembly
std::vector<Mend> mends(const material::Library& library, const PieceAnswers& known, size_t item);

}  // namespace uovo
