// Outlines of a silhouette in a picture: light and dark told apart, traced, smoothed to what a knife can follow.
#pragma once
#include <cstdint>
#include <stop_token>
#include <tl/expected.hpp>
#include <vector>

#include "core/form/outline.h"
#include "core/quantity/quantity.h"

namespace uovo::io {

/// A picture in shades of grey, row by row from the top; 0 black.
struct GreyPicture {
    int width = 0, height = 0;
    std::vector<std::uint8_t> pixels;
};

struct TraceWishes {
    double longest = 0.12;    ///< m, the longer side of the figure
    int threshold = -1;       ///< shade that parts dark from light, 1–255; below 0: found by Otsu's method
    double speckle = 1.5e-3;  ///< m, spots and holes smaller than this across are left out
    double follows = 1.5e-4;  ///< m, how far the outline may leave the picture's to be smooth
    bool holes = true;
};

struct Traced {
    std::vector<form::Loop> loops;  ///< m about its own middle, the outer one first, then its holes
    int threshold = 0;              ///< that was used
    bool darkOnLight = true;        ///< the figure is darker than its ground
    int others = 0;                 ///< other figures in the picture, left out
    double pixel = 0;               ///< m of a pixel
    double left = 0, top = 0;       ///< pixels from the picture's left and top to the figure's middle
};

inline constexpr int kMostPixels = 40'000'000;

/// Traces the largest figure (potrace; Selinger 2003).
/// @returns its outlines, or why there are none: an empty picture, a figure over the whole of it, more than 40 million
/// pixels
tl::expected<Traced, Problem> trace(const GreyPicture& picture, const TraceWishes& wishes = {});

/// The shade that parts dark from light best (Otsu 1979), 1–255.
int otsu(const GreyPicture& picture);

}  // namespace uovo::io
