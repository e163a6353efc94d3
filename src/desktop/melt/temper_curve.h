// The tempering curve of a pot: degrees over minutes, the band it is worked in, where it scorches.
#pragma once
#include <QWidget>

#include "core/temper/temper_plan.h"
#include "desktop/kit/painted_parts.h"

namespace uovo::desktop {

class TemperCurve : public QWidget, public PaintedParts {
    Q_OBJECT

public:
    explicit TemperCurve(QWidget* parent = nullptr);
    void set(const temper::TemperPlan& plan, const material::Coating& coating, UnitSystem units);
    /// What the thermometer has read, seconds and °C, drawn over the plan.
    void setLive(const std::vector<QPointF>& live);
    QSize sizeHint() const override { return {460, 210}; }
    /// Where a moment of the plan lies in the picture, for tests.
    QPointF at(double seconds, double celsius) const;

    /// Its numbered points, in their order, and what the thermometer reads.
    int partCount() const override;
    Part part(int index) const override;

protected:
    void paintEvent(QPaintEvent*) override;

private:
    temper::TemperPlan plan_;
    material::Coating coating_;
    std::vector<QPointF> live_;
    UnitSystem units_ = UnitSystem::Metric;
    double low_ = 15, high_ = 50, span_ = 600;
};

}  // namespace uovo::desktop
