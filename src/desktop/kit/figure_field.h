// A field for one quantity: any unit, words of the kitchen.
#pragma once
#include "core/quantity/quantity.h"
#include "desktop/kit/field.h"

namespace uovo::desktop {

class FigureField : public Field {
    Q_OBJECT

public:
    /// @param name accessible name, "Balloon girth" @param place plan path, "former/girth"
    FigureField(const QString& name, const QString& place, TypingContext context, QWidget* parent = nullptr);

    void setMeasure(const Measure& measure, UnitSystem units);
    void setContext(const TypingContext& context) { context_ = context; }
    /// What is asked of a figure before anyone hears of it: @returns why it cannot be, empty when it can.
    void setRule(std::function<QString(const Measure&)> rule) { rule_ = std::move(rule); }

    /// Only whole numbers between two limits.
    void setWhole(int low, int high);
    /// Said while a figure is heard of: why it cannot be after all.
    void refuse(const QString& sentence) { refused_ = sentence; }

signals:
    void measureTyped(const uovo::Measure& measure);

protected:
    QString take(const QString& text) override;

private:
    TypingContext context_;
    std::string unit_;  ///< that its place in the window has for a bare number
    std::function<QString(const Measure&)> rule_;
    QString refused_;
};

/// How a measure is shown in a field: as it was said, in whatever units, or formatted when it was not.
QString shownMeasure(const Measure& measure, Dimension dimension, UnitSystem units);

}  // namespace uovo::desktop
