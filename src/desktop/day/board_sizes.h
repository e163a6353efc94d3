// Sizes of the day's board, in pixels; inside its files only.
#pragma once

namespace uovo::desktop::board {

inline constexpr double kNames = 96, kRight = 30, kTop = 30, kHandsHigh = 52, kPotHigh = 30, kPlaceHigh = 84,
                        kBenchHigh = 20, kBetween = 10, kLeastBlock = 36, kWordsBlock = 52, kLeastStay = 15,
                        kDragFrom = 7;
inline constexpr int kBefore = 6;  ///< min shown before the first step

}  // namespace uovo::desktop::board
