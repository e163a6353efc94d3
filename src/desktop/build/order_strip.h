// The order of putting together as a strip of small pictures, one a step.
#pragma once
#include <QAbstractButton>
#include <QTimer>
#include <QWidget>
#include <optional>

#include "desktop/build/build_scene.h"

namespace uovo::desktop {

/// A step: its number, what it takes, and the piece as it stands then.
class StepPicture : public QAbstractButton {
    Q_OBJECT

public:
    explicit StepPicture(QWidget* parent = nullptr);
    void set(size_t number, const OrderLine& line, UnitSystem units);
    void setPicture(const QImage& image);
    QSize sizeHint() const override { return {116, 118}; }

signals:
    /// Dragged along the strip and let go; the strip knows where it lies.
    void dropped();
    /// By the keys, one place back or on.
    void moveWanted(int by);

protected:
    void paintEvent(QPaintEvent*) override;
    void mousePressEvent(QMouseEvent*) override;
    void mouseMoveEvent(QMouseEvent*) override;
    void mouseReleaseEvent(QMouseEvent*) override;
    void keyPressEvent(QKeyEvent*) override;

private:
    size_t number_ = 0;
    QString time_, way_;
    bool harm_ = false, beside_ = false;
    QImage image_;
    std::optional<QPoint> pressed_;
    bool dragged_ = false;
};

class OrderStrip : public QWidget {
    Q_OBJECT

public:
    explicit OrderStrip(QWidget* parent = nullptr);
    void setOrder(const SolidScene& whole, std::shared_ptr<const PutTogether> together,
                  std::shared_ptr<const Made> made, const std::vector<OrderLine>& lines, UnitSystem units);
    void setStep(size_t step);
    const std::vector<StepPicture*>& pictures() const { return pictures_; }

signals:
    void stepChosen(size_t step);
    /// A step is wanted elsewhere. @param from, to numbers of steps, 1 the first
    void moveWanted(size_t from, size_t to);

protected:
    void changeEvent(QEvent*) override;

private:
    /// One picture at a time, when nothing else is to be done: the window is not held up.
    void paintNext();
    void drop(size_t step);

    class QHBoxLayout* row_;
    std::vector<StepPicture*> pictures_;
    SolidScene whole_;
    std::shared_ptr<const PutTogether> together_;
    std::shared_ptr<const Made> made_;
    std::vector<OrderLine> lines_;
    UnitSystem units_ = UnitSystem::Metric;
    size_t next_ = 0;
    QTimer timer_;
};

}  // namespace uovo::desktop
