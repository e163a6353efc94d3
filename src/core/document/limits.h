// How large a plan may be: one place for the reader, the editor and the file, so that what can be made can be read
// back.
#pragma once
#include <cstddef>
#include <optional>

#include "core/document/plan.h"

namespace uovo {

namespace limits {
inline constexpr std::size_t kBytes = 256'000'000;  ///< of a plan's file
inline constexpr std::size_t kValues = 12'000'000;  ///< numbers, texts and names in it; a list counts for eight
inline constexpr int kDepth = 64;                   ///< lists and objects in each other
inline constexpr std::size_t kText = 10'000;        ///< bytes of a text
inline constexpr std::size_t kPhoto = 1'000'000;    ///< bytes of a piece's picture
inline constexpr std::size_t kPieces = 300;         ///< kinds of pieces
inline constexpr std::size_t kSteps = 200;          ///< of a piece
inline constexpr std::size_t kItems = 40;           ///< parts of an assembly
inline constexpr std::size_t kJoints = 200;         ///< of an assembly
inline constexpr std::size_t kFillings = 200;       ///< and as many toppings
inline constexpr std::size_t kSpots = 2000;         ///< strokes of a coat
inline constexpr std::size_t kRecipe = 200;         ///< lines
inline constexpr std::size_t kRows = 500;           ///< of the cupboard, and of the snap tests
inline constexpr std::size_t kHelpers = 7;
inline constexpr std::size_t kPins = 500;      ///< of a day, and as many spans kept free
inline constexpr std::size_t kTasks = 60'000;  ///< of a day that is kept
inline constexpr std::size_t kColours = 100;
inline constexpr std::size_t kOutlinePoints = 20'000;  ///< of a piece
inline constexpr std::size_t kModels = 100;
inline constexpr std::size_t kModelTriangles = 50'000;  ///< of a model; those read from files are thinned out to fewer
inline constexpr double kFarthest = 100;                ///< m, of a model's corner from its origin
}  // namespace limits

/// What of a plan is more than a file of it may hold, in a sentence; none when it can be written and read back.
std::optional<Problem> tooLarge(const Plan& plan);

}  // namespace uovo
