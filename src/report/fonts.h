// The bundled typeface: Cabin (SIL Open Font License), and figures of one width where they stand in columns.
#pragma once
#include <QFont>
#include <QPointF>
#include <QString>

class QPainter;

namespace uovo::report {

/// Registers the bundled fonts; call once after the application object exists. @returns the family name
QString loadFonts();

/// Cabin at a pixel size. @param weight QFont::Normal, Medium, DemiBold or Bold
QFont font(double pixels, int weight = QFont::Normal);

/// Cabin's figures have different widths, and Qt 6.4 cannot ask a font for others: in columns each figure gets the
/// width of the widest. @returns the width in the font's pixels
double tabularWidth(const QFont& font, const QString& text);
/// Draws at the baseline with the painter's font and pen.
void drawTabular(QPainter& painter, const QPointF& baseline, const QString& text);

}  // namespace uovo::report
