#include "report/fonts.h"

#include <QFontDatabase>
#include <QFontMetricsF>
#include <QPainter>
#include <QStringList>

// A resource of a static library must be named from outside a namespace.
static void initResources() { Q_INIT_RESOURCE(report); }

namespace uovo::report {

QString loadFonts() {
    initResources();
    QString family;
    for (const char* weight : {"Regular", "Medium", "SemiBold", "Bold"}) {
        const int id =
            QFontDatabase::addApplicationFont(QStringLiteral(":/uovo/fonts/Cabin-%1.otf").arg(QLatin1String(weight)));
        const auto families = QFontDatabase::applicationFontFamilies(id);
        if (!families.isEmpty() && family.isEmpty()) family = families.front();
    }
    return family;
}

namespace {

/// Calls `place(character, x, width)` for each character and returns the whole width.
template <class F>
double layTabular(const QFontMetricsF& fm, const QString& text, const F& place) {
    double figure = 0;  // Cabin's round zero is wider than the rest; it may reach a little into its neighbours' space
    for (char c = '1'; c <= '9'; ++c) figure = std::max(figure, fm.horizontalAdvance(QLatin1Char(c)));
    double x = 0;
    for (const QChar c : text) {
        const double own = fm.horizontalAdvance(c), width = c.isDigit() ? figure : own;
        place(c, x + (width - own) / 2);
        x += width;
    }
    return x;
}

}  // namespace

double tabularWidth(const QFont& font, const QString& text) {
    return layTabular(QFontMetricsF(font), text, [](QChar, double) {});
}

void drawTabular(QPainter& painter, const QPointF& baseline, const QString& text) {
    layTabular(QFontMetricsF(painter.font()), text,
               [&](QChar c, double x) { painter.drawText(baseline + QPointF(x, 0), QString(c)); });
}

QFont font(double pixels, int weight) {
    QFont f(QStringLiteral("Cabin"));
    f.setPixelSize(std::max(1, qRound(pixels)));
    f.setWeight(static_cast<QFont::Weight>(weight));
    return f;
}

}  // namespace uovo::report
