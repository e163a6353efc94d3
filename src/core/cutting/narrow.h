// Where an outline is narrow: bridges and legs that a knife leaves and a hand breaks.
#pragma once
#include <optional>
#include <vector>

#include "core/form/outline.h"

namespace uovo::cutting {

/// A narrow place of a plate.
struct Narrow {
    double width = 0;   ///< m
    form::Point2 at{};  ///< its middle
    double beyond = 0;  ///< m² of plate that hangs on it: the smaller of what it holds together
    double lever = 0;   ///< m from it to the middle of that
};

/// The narrowest place up to a width, found by opening the outline with ever larger discs; none where all of it is
/// wider. Tips that only taper are none.
/// @param loops outer first, holes after it, m @param most m
std::optional<Narrow> narrowest(const std::vector<form::Loop>& loops, double most = 0.012);

/// All loops as one outline with holes, where they overlap; several outer loops where they do not. Outer ones
/// counter-clockwise.
std::vector<form::Loop> united(const std::vector<form::Loop>& loops);

}  // namespace uovo::cutting
