// Templates on paper: how the sheets are laid out and cut, and every outline at true scale, over several pages where
// one does not hold it.
#pragma once
#include <QPagedPaintDevice>

#include "core/material/material.h"
#include "core/stages/sheets.h"
#include "report/page.h"

namespace uovo::report {

struct TemplatePaper {
    UnitSystem units = UnitSystem::Metric;  ///< letter for US units, else A4
    bool mirrored = false;                  ///< left and right change, for those who cut from the back
    bool overview = true;                   ///< the sheets first, small
};

/// Paints all pages. @returns how many; 0 when the device does not paint or nothing is cut
int paintTemplates(QPagedPaintDevice& device, const SheetPlan& sheets, const material::Library& library,
                   const TemplatePaper& paper = {});
/// The same into a PDF file, written whole or not at all. @returns the number of pages
tl::expected<int, Problem> writeTemplates(const QString& path, const SheetPlan& sheets,
                                          const material::Library& library, const TemplatePaper& paper = {});

/// A sheet with its parts, numbers and joints in a rectangle of the painter; what is cut first has the least number.
/// @param ink of lines and words @param fill of the parts
void paintSheet(QPainter& p, const SheetPlan& sheets, size_t group, size_t sheet, const QRectF& where, bool mirrored,
                const QColor& ink, const QColor& fill, const QColor& ground);
/// What is said of a sheet: how thick, what to pour, how long it can be cut.
QStringList sheetWords(const SheetPlan& sheets, size_t group, size_t sheet, const material::Library& library,
                       UnitSystem units);

}  // namespace uovo::report
