// A sheet with its parts at true scale, for those who print, plot or cut from SVG.
#pragma once
#include <string>

#include "core/stages/sheets.h"

namespace uovo::io {

/// One sheet: 1 unit is 1 mm, y down; each part is a path "part-<number>-<copy>" with its number, joints as letters.
/// @param mirrored left and right change, for those who cut from the back
std::string sheetSvg(const SheetPlan& sheets, size_t group, size_t sheet, bool mirrored);

}  // namespace uovo::io
