// SVG: outlines and profiles in, flat patterns at true scale out.
#pragma once
#include <string>
#include <tl/expected.hpp>
#include <vector>

#include "core/form/outline.h"
#include "core/form/part.h"

namespace uovo::io {

/// Closed shapes of an SVG file as loops in metres, y up, outer loops counter-clockwise, curves flattened to 0.05 mm.
/// Paths, polygons, polylines, rectangles, circles and ellipses with transforms are read; width and height with units
/// and the viewBox give the scale, else a unit is 1/96 in.
/// @returns the largest loop first and the loops inside it after; or why not: damaged, nothing closed, crosses itself
tl::expected<std::vector<form::Loop>, Problem> readSvgOutline(const std::string& text);

/// The first open or closed line as a profile (r, z) in metres: the lowest x is the axis, z up, pole first.
tl::expected<form::Loop, Problem> readSvgProfile(const std::string& text);

/// A flat pattern at true scale (1 unit = 1 mm), with a check ruler of 100 mm.
std::string patternSvg(const form::FlatPattern& pattern, const std::string& name);
/// The begin of a file of so many mm, and a check ruler of 100 mm with its words.
std::string svgHeader(double width, double height, const std::string& name);
std::string svgRuler(double x, double y);
/// Loops at true scale, with a check ruler.
std::string outlineSvg(const std::vector<form::Loop>& loops, const std::string& name);

}  // namespace uovo::io
