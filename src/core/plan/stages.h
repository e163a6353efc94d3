// What the chain of answers is made of: keys by which its stages are remembered, and the parts of it that are by
// themselves. Inside plan/ only.
#pragma once
#include "core/plan/answers.h"

namespace uovo {

/// What a piece as it is made depends on; its name, count, filling and deadline do not enter.
std::string madeKey(const Piece& piece, const Plan& plan, const AnswerOptions& options);
/// What the ways out of a wall that is too thin depend on.
std::string waysKey(const Piece& piece, const Plan& plan, const AnswerOptions& options);
/// What its strength depends on. @param made its madeKey
std::string strengthKey(const Piece& piece, const Plan& plan, double fillEach, const std::string& made);
/// What the layout of a day depends on.
std::string dayKey(const schedule::Network& network);

/// What is to be melted, used up and bought.
std::vector<Answer> potAnswers(const Plan& plan, const material::Library& library, const std::vector<batch::Pot>& pots);
/// Texts of the cautions that concern something in the plan.
std::vector<std::string> cautionsOf(const Plan& plan, const material::Library& library);

}  // namespace uovo
