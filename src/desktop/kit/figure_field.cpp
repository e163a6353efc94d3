#include "desktop/kit/figure_field.h"

#include <QFontMetrics>
#include <QLayout>
#include <cmath>

namespace uovo::desktop {

QString shownMeasure(const Measure& m, Dimension dimension, UnitSystem units) {
    if (!m.typed.empty()) return QString::fromStdString(m.typed);
    return QString::fromStdString(format(m.value, dimension, units));
}

FigureField::FigureField(const QString& name, const QString& place, TypingContext context, QWidget* parent)
    : Field(name, place, parent), context_(std::move(context)) {
    layout()->setAlignment(edit(), Qt::AlignLeft);
}

void FigureField::setMeasure(const Measure& measure, UnitSystem units) {
    context_.bareUnit = usualUnit(context_.dimension, units);
    if (const QString text = shownMeasure(measure, context_.dimension, units); show(text))
        edit()->setFixedWidth(std::clamp(edit()->fontMetrics().horizontalAdvance(text) + 26, 52, 210));
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
