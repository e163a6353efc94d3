// A piece's making on its card: every step in its order, numbered, with its figures, what to look for and its caution.
#pragma once
#include "core/answers/answers.h"
#include "report/page.h"

namespace uovo::report {

/// All steps of a piece's making. @param answers of the plan, for fillings that go into other pieces too
void paintMaking(Page& page, const Plan& plan, const material::Library& library, const Piece& piece,
                 const PieceAnswers& mine, const Answers& answers);

/// As typed when a person typed it, else formatted.
QString measureWords(const Measure& m, Dimension d, UnitSystem u);
/// A length of a shape, as typed or its usual one.
QString spokenLength(const form::Part& shape, const char* key, UnitSystem u);

}  // namespace uovo::report
