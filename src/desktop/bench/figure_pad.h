// Big digits: a weight or a temperature entered at the bench, by finger, by keyboard, or taken from the scale.
#pragma once
#include <QLabel>
#include <QPushButton>
#include <QWidget>
#include <optional>

#include "core/quantity/quantity.h"

namespace uovo::desktop {

class FigurePad : public QWidget {
    Q_OBJECT

public:
    explicit FigurePad(QWidget* parent = nullptr);
    /// Asks for a figure. @param note what it is compared with, may be empty @param least, most kg or °C that can be
    void open(const QString& heading, const QString& note, Dimension dimension, UnitSystem units, double least,
              double most);
    /// What a scale or thermometer shows now, kg or °C; none: there is none.
    void setLive(std::optional<double> value);
    QString figure() const { return typed_; }
    QLabel* problem() const { return problem_; }
    QPushButton* takeTarget() const { return take_; }
    QPushButton* liveTarget() const { return liveTarget_; }

signals:
    /// kg or °C
    void taken(double value);
    void closed();

protected:
    bool event(QEvent*) override;
    void keyPressEvent(QKeyEvent*) override;

private:
    void press(const QString& key);
    void tell();
    void take();

    QLabel *head_, *note_, *figure_, *problem_;
    QPushButton *take_, *liveTarget_;
    QString typed_;
    Dimension dimension_ = Dimension::Mass;
    UnitSystem units_ = UnitSystem::Metric;
    double least_ = 0, most_ = 0;
    std::optional<double> live_;
};

}  // namespace uovo::desktop
