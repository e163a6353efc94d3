// Outlines of a silhouette in a picture: light and dark told apart, traced, smoothed to what a knife can follow.
#pragma once
#include <array>
#include <cstdint>
#include <optional>
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
    double coin = 0;  ///< m across; above 0 a coin lies beside the figure and says how large it is: `longest` is found
};

/// A coin beside a figure, as the picture shows it.
struct TracedCoin {
    form::Point2 middle{};  ///< pixels from the picture's left and top
    double across = 0;      ///< pixels, the mean of its axes
    double tilt = 0;        ///< rad, the camera from straight above, by how oval it is
    double error = 0;       ///< share of a length that a pixel at its edge is
};

struct Traced {
    std::vector<form::Loop> loops;  ///< m about its own middle, the outer one first, then its holes
    int threshold = 0;              ///< that was used
    bool darkOnLight = true;        ///< the figure is darker than its ground
    int others = 0;                 ///< other figures in the picture, left out
    double pixel = 0;               ///< m of a pixel
    double left = 0, top = 0;       ///< pixels from the picture's left and top to the figure's middle
    std::optional<TracedCoin> coin;
    std::array<double, 4> straight{1, 0, 0, 1};  ///< rows of what takes the picture's directions to true ones, but for
                                                 ///< size

    /// Pixels from the picture's left and top, of a place of the outlines.
    form::Point2 inPicture(const form::Point2& place) const;
};

inline constexpr int kMostPixels = 40'000'000;

/// Traces the largest figure (potrace; Selinger 2003); beside a coin the largest that is not the coin. A coin is the
/// roundest figure, of two round ones the smaller; where it is oval the picture was taken aslant, and the outline is
/// drawn straight by it.
/// @returns its outlines, or why there are none: an empty picture, a figure over the whole of it, more than 40 million
/// pixels
tl::expected<Traced, Problem> trace(const GreyPicture& picture, const TraceWishes& wishes = {});

/// The shade that parts dark from light best (Otsu 1979), 1–255.
int otsu(const GreyPicture& picture);

}  // namespace uovo::io
