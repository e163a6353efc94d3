// A view that a hand or keys turn, shared by the stages that show parts.
#pragma once
#include <algorithm>
#include <cmath>

#include "desktop/stage/solid_scene.h"

namespace uovo::desktop {

/// Turns and zooms a view about its piece.
class TurnedView {
public:
    explicit TurnedView(double pitch) : pitch_(pitch) { reset(); }
    const SolidView& operator*() const { return view_; }
    const SolidView* operator->() const { return &view_; }
    void reset() {
        view_ = {};
        view_.pitch = pitch_;
    }
    void turn(double yaw, double pitch) {
        view_.yaw += yaw;
        view_.pitch = std::clamp(view_.pitch + pitch, -1.5, 1.5);
    }
    /// A hand that moved so many pixels.
    void drag(const QPointF& by) { turn(-by.x() * 0.008, by.y() * 0.008); }
    void zoom(double factor) { view_.zoom = std::clamp(view_.zoom * factor, 0.4, 6.0); }
    void wheel(int delta) { zoom(std::pow(1.0015, delta)); }
    /// Plus, minus and nought. @returns whether it was one of them
    bool key(int key) {
        if (key == Qt::Key_Plus) zoom(1.2);
        else if (key == Qt::Key_Minus) zoom(1 / 1.2);
        else if (key == Qt::Key_0) reset();
        else return false;
        return true;
    }
    /// Arrows. @returns whether it was one of them
    bool arrow(int key) {
        constexpr double kTurn = 0.12;
        if (key == Qt::Key_Left) turn(kTurn, 0);
        else if (key == Qt::Key_Right) turn(-kTurn, 0);
        else if (key == Qt::Key_Up) turn(0, kTurn);
        else if (key == Qt::Key_Down) turn(0, -kTurn);
        else return false;
        return true;
    }

private:
    double pitch_;
    SolidView view_;
};

}  // namespace uovo::desktop
