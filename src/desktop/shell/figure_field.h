// A field for one quantity: any unit, words of the kitchen, and a sentence beside it when it is not understood.
#pragma once
#include <QLabel>
#include <QLineEdit>
#include <QWidget>

#include "core/quantity/quantity.h"

namespace uovo::desktop {

class FigureField : public QWidget {
    Q_OBJECT

public:
    /// @param name accessible name, "Balloon girth" @param place plan path, "former/girth"
    FigureField(const QString& name, const QString& place, TypingContext context, QWidget* parent = nullptr);

    const QString& place() const { return place_; }
    void setMeasure(const Measure& measure, UnitSystem units);
    /// What the rest of the program says about the value; empty for nothing.
    void setProblem(const QString& sentence);
    void setContext(const TypingContext& context) { context_ = context; }
    QLineEdit* edit() const { return edit_; }
    QLabel* complaint() const { return complaint_; }

signals:
    void measureTyped(const uovo::Measure& measure);

private:
    void commit();
    void complain(const QString& sentence);

    QString place_, shown_, typingProblem_, planProblem_;
    TypingContext context_;
    UnitSystem units_ = UnitSystem::Metric;
    QLineEdit* edit_;
    QLabel* complaint_;
};

/// How a measure is shown in a field: as typed, or formatted when it was not typed or typed in the other system's
/// units.
QString shownMeasure(const Measure& measure, Dimension dimension, UnitSystem units);

}  // namespace uovo::desktop
