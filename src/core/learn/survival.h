// What share of a family comes out whole, from what did.
#pragma once

namespace uovo::learn {

/// Pieces of a family that were begun, and those of them that came out whole.
struct Whole {
    int whole = 0, of = 0;
};
inline constexpr int kWholeTold = 5;  ///< pieces before it is said

/// Mean of a Beta that begins with what the book says, as if it had seen `worth` pieces: (worth · book + whole)/(worth
/// + of).
inline double survives(const Whole& seen, double book, double worth) {
    return (worth * book + seen.whole) / (worth + seen.of);
}

}  // namespace uovo::learn
