// Flat patterns of acetate as outlines, for printing and drawing.
#pragma once
#include "core/form/part.h"

namespace uovo::cutting {

/// The outline of a pattern, arcs flattened to 0.01 mm; it lies about its own middle.
form::Loop patternLoop(const form::FlatPattern& pattern);
/// The line up to which the other end laps over it; two points, or none without an overlap.
form::Loop overlapLine(const form::FlatPattern& pattern);

}  // namespace uovo::cutting
