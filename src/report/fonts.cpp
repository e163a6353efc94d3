#include "report/fonts.h"

#include <QFontDatabase>
#include <QStringList>

// A resource of a static library must be named from outside a namespace.
static void initResources() { Q_INIT_RESOURCE(report); }

namespace uovo::report {

QString loadFonts() {
    initResources();
    QString family;
    for (const char* weight : {"Regular", "Medium", "SemiBold", "Bold"}) {
        const int id = QFontDatabase::addApplicationFont(QStringLiteral(":/uovo/fonts/Cabin-%1.otf").arg(QLatin1String(weight)));
        const auto families = QFontDatabase::applicationFontFamilies(id);
        if (!families.isEmpty() && family.isEmpty()) family = families.front();
    }
    return family;
}

QFont font(double pixels, int weight) {
    QFont f(QStringLiteral("Cabin"));
    f.setPixelSize(std::max(1, qRound(pixels)));
    f.setWeight(static_cast<QFont::Weight>(weight));
    return f;
}

}  // namespace uovo::report
