// Parts laid out on sheets that are spread between bars and cut while they can be.
#pragma once
#include <functional>
#include <stop_token>
#include <string>
#include <tl/expected.hpp>
#include <vector>

#include "core/form/outline.h"
#include "core/quantity/quantity.h"

namespace uovo::cutting {

/// An outline that is cut so many times.
struct CutPart {
    std::string name;
    std::vector<form::Loop> loops;  ///< outer one first, holes after it, m
    int count = 1;
    bool mayTurn = true;    ///< by quarter turns; else only half
    double cutLength = -1;  ///< m of knife, or 0 where a cutter presses it out at once; below 0: its outlines
    double each = 0;        ///< s besides: to lay the template on, to press a cutter
};

struct SheetOptions {
    double width = 0.3, height = 0.26;  ///< m
    double gap = 3e-3;                  ///< m between parts
    double border = 3e-3;               ///< m to the sheet's edge, where it is thinner
    double speed = 0.01;                ///< m/s of knife
    double window = 300;                ///< s in which it can be cut
    int orders = 24;  ///< orders of parts that are tried, fewer of more than 30 parts; more never lays them worse
};

struct Placement {
    size_t piece = 0;
    int copy = 0;
    double angle = 0;  ///< rad, about the piece's own origin, before the shift
    form::Point2 at{};
    int order = 0;  ///< in which it is cut
};

struct Sheet {
    std::vector<Placement> placements;
    double used = 0;     ///< share of its area that is parts
    double strip = 0;    ///< the same of the strip they take of its height
    double cutting = 0;  ///< s
};

struct Layout {
    std::vector<Sheet> sheets;
    std::vector<size_t> tooLarge;  ///< pieces that fit on no sheet
    std::vector<size_t> tooLong;   ///< pieces that take longer to cut than the window
};

/// Where a place of a piece lies on the sheet.
form::Point2 placedAt(const Placement& placement, const form::Point2& place);
/// A piece's outlines where they are placed.
std::vector<form::Loop> placedLoops(const CutPart& piece, const Placement& placement);
/// s to cut one.
double secondsToCut(const CutPart& piece, const SheetOptions& options);

/// Lays the pieces out: no-fit polygons, bottom-left, the best of several orders; every placement is verified by
/// intersection. A sheet is full when its area or its cutting time is (docs/models.md, "Templates"). Deterministic.
/// @param progress told the best so far and the share of orders tried; may be empty
tl::expected<Layout, Problem> nest(const std::vector<CutPart>& pieces, const SheetOptions& options = {},
                                   std::stop_token stop = {},
                                   const std::function<void(const Layout&, double)>& progress = {});

}  // namespace uovo::cutting
