// Drawing a round mold's profile point by point.
#pragma once
#include <QWidget>

#include "core/form/outline.h"
#include "core/quantity/quantity.h"

namespace uovo::desktop {

/// Half a section on millimetre paper: the axis on the left, points to drag, a click on the line adds one.
class ProfileEditor : public QWidget {
    Q_OBJECT

public:
    explicit ProfileEditor(form::Loop profile, UnitSystem units, QWidget* parent = nullptr);
    const form::Loop& profile() const { return profile_; }
    QPointF at(size_t point) const;  ///< in widget coordinates
    QSize sizeHint() const override { return {400, 460}; }

signals:
    /// The profile changed and is a new one; not while a point is still held.
    void profileChanged(const uovo::form::Loop& profile);

protected:
    void paintEvent(QPaintEvent*) override;
    void mousePressEvent(QMouseEvent*) override;
    void mouseMoveEvent(QMouseEvent*) override;
    void mouseReleaseEvent(QMouseEvent*) override;
    void mouseDoubleClickEvent(QMouseEvent*) override;
    void keyPressEvent(QKeyEvent*) override;

private:
    double scale() const;
    form::Point2 fromPaper(const QPointF& p) const;
    void choose(int point);

    form::Loop profile_;
    UnitSystem units_;
    int chosen_ = 0;
    bool held_ = false;
    double shownHeight_ = 0, shownRadius_ = 0;  ///< m, of the paper; fixed while a point is held
};

}  // namespace uovo::desktop
