// The bundled typeface: Cabin (SIL Open Font License), whose figures all have one width.
#pragma once
#include <QFont>

namespace uovo::report {

/// Registers the bundled fonts; call once after the application object exists. @returns the family name
QString loadFonts();

/// Cabin at a pixel size. @param weight QFont::Normal, Medium, DemiBold or Bold
QFont font(double pixels, int weight = QFont::Normal);

}  // namespace uovo::report
