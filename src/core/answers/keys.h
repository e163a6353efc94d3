// Keys by which stages are remembered.
#pragma once
#include "core/answers/answers.h"

namespace uovo {

/// What a piece as it is made depends on; its name, count, filling and deadline do not enter.
std::string madeKey(const Piece& piece, const Plan& plan, const AnswerOptions& options);
/// What the ways out of a wall that is too thin depend on.
std::string waysKey(const Piece& piece, const Plan& plan, const AnswerOptions& options);
/// What its molds of one's own depend on. @param made its madeKey
std::string moldsKey(const Piece& piece, const std::string& made);
/// What its strength depends on. @param made its madeKey
std::string strengthKey(const Piece& piece, const Plan& plan, double fillEach, const std::string& made);
/// What the layout of a day depends on.
std::string dayKey(const schedule::Network& network);

}  // namespace uovo
