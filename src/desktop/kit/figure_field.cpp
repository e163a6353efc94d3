#include "desktop/kit/figure_field.h"

#include <QFontMetrics>
#include <QLayout>
#include <cmath>

#include "core/quantity/decimal.h"

namespace uovo::desktop {

namespace {

bool isUS(const std::string& unit) { return unit == "in" || unit == "oz" || unit == "cup" || unit == "°F"; }

}  // namespace

QString shownMeasure(const Measure& m, Dimension dimension, UnitSystem units) {
    return QString::fromStdString(spoken(m, dimension, units));
}

FigureField::FigureField(const QString& name, const QString& place, TypingContext context, QWidget* parent)
    : Field(name, place, parent), context_(std::move(context)), unit_(context_.bareUnit) {
    layout()->setAlignment(edit(), Qt::AlignLeft);
}

void FigureField::setMeasure(const Measure& measure, UnitSystem units) {
    // its own unit where that is of these units: seconds stay seconds, what is taped is said in centimetres
    const bool own =
        !unit_.empty() && (context_.dimension == Dimension::Duration || units == UnitSystem::Metric) && !isUS(unit_);
    context_.bareUnit = own ? unit_ : usualUnit(context_.dimension, units);
    QString text = shownMeasure(measure, context_.dimension, units);
    if (measure.typed.empty() && context_.bareUnit == "cm")
        text = QString::fromStdString(significant(std::round(measure.value * 1e3) / 10, 6)) + QStringLiteral(" cm");
    if (show(text)) edit()->setFixedWidth(std::clamp(edit()->fontMetrics().horizontalAdvance(text) + 26, 52, 210));
}

void FigureField::setWhole(int low, int high) {
    rule_ = [low, high](const Measure& m) {
        return m.value >= low && m.value <= high && m.value == std::floor(m.value)
                   ? QString()
                   : tr("A whole number from %1 to %2.").arg(low).arg(high);
    };
}

QString FigureField::take(const QString& text) {
    const auto parsed = parseMeasure(text.toStdString(), context_);
    if (!parsed) {
        if (edit()->hasFocus())
            edit()->setCursorPosition(std::min(parsed.error().position, static_cast<int>(text.size())));
        return QString::fromStdString(parsed.error().sentence);
    }
    if (rule_)
        if (QString wrong = rule_(*parsed); !wrong.isEmpty()) return wrong;
    refused_.clear();
    emit measureTyped(*parsed);
    return refused_;
}

}  // namespace uovo::desktop
