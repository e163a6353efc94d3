// Figures laid beside each other: of two pieces, of one before and after an edit, of a plan as it was saved and as it
// is computed now.
#pragma once
#include "core/answers/answers.h"

namespace uovo {

struct ComparedRow {
    std::string what;           ///< "Thinnest wall"
    std::string first, second;  ///< "1.9 mm"; empty where one of them has none
    bool differs = false;
};

/// Two pieces of a plan: wall, grams, strength, what they hold, the cold, minutes of hands and cost of each.
/// @param first, second ids @param today "2026-08-04", for prices
std::vector<ComparedRow> compared(const Plan& plan, const material::Library& library, const Answers& answers,
                                  const std::string& first, const std::string& second, const std::string& today);

/// What moved in a piece from one set of answers to another, "Thinnest wall 1.9 mm → 2.1 mm"; at most so many.
std::vector<std::string> changed(const PieceAnswers& before, const PieceAnswers& now, size_t most = 4);

/// The figures that a plan's file keeps of its pieces.
Computed computedOf(const Plan& plan, const Answers& answers);
/// Which of them another model of ours computes otherwise now, a sentence each; none where it was the same model.
std::vector<std::string> movedSince(const Computed& then, const Plan& plan, const Answers& answers);

}  // namespace uovo
