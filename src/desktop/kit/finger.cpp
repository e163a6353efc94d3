#include "desktop/kit/finger.h"

#include <QApplication>
#include <QMouseEvent>
#include <QPointer>
#include <QScrollBar>
#include <QSlider>
#include <QSplitterHandle>

namespace uovo::desktop {
namespace {

constexpr const char* kScrolls = "scrollsByFinger";
constexpr int kTap = 12;  // px that a finger may slip in a tap

/// Watches the mouse events that Qt makes of touches. What a finger pressed is let go unpressed once it is drawn along.
class Finger : public QObject {
public:
    using QObject::QObject;

    bool eventFilter(QObject* object, QEvent* event) override {
        const auto type = event->type();
        if (type != QEvent::MouseButtonPress && type != QEvent::MouseMove && type != QEvent::MouseButtonRelease)
            return false;
        auto* mouse = static_cast<QMouseEvent*>(event);
        auto* widget = qobject_cast<QWidget*>(object);
        if (!widget || mouse->pointerType() != QPointingDevice::PointerType::Finger) return false;
        const QPoint now = mouse->globalPosition().toPoint();
        if (type == QEvent::MouseButtonPress) {
            area_ = areaOf(widget);
            pressed_ = widget;
            from_ = last_ = now;
            drawn_ = false;
            return false;
        }
        if (!area_) return false;
        if (type == QEvent::MouseButtonRelease) {
            area_ = nullptr;
            return drawn_;
        }
        if (!drawn_) {
            if ((now - from_).manhattanLength() < kTap) return false;
            drawn_ = true;
            letGo(*mouse);
        }
        const QPoint by = last_ - now;
        last_ = now;
        for (auto* a = area_.data(); a; a = areaOf(a->parentWidget())) {  // the one round it takes what this has not
            auto *down = a->verticalScrollBar(), *across = a->horizontalScrollBar();
            if (down->maximum() == 0 && across->maximum() == 0) continue;
            down->setValue(down->value() + by.y());
            across->setValue(across->value() + by.x());
            break;
        }
        return true;
    }

private:
    static QAbstractScrollArea* areaOf(QWidget* w) {
        if (qobject_cast<QScrollBar*>(w) || qobject_cast<QSlider*>(w) || qobject_cast<QSplitterHandle*>(w))
            return nullptr;
        for (; w; w = w->parentWidget())
            if (w->property(kScrolls).toBool()) return qobject_cast<QAbstractScrollArea*>(w);
        return nullptr;
    }
    /// A release far outside what was pressed: buttons do not take it for a press.
    void letGo(const QMouseEvent& mouse) {
        if (!pressed_) return;
        const QPointF away(-10000, -10000);
        QMouseEvent release(QEvent::MouseButtonRelease, away, away, away, Qt::LeftButton, Qt::NoButton,
                            mouse.modifiers());
        const QPointer<QAbstractScrollArea> area = std::exchange(area_, nullptr);
        QApplication::sendEvent(pressed_, &release);
        area_ = area;
    }

    QPointer<QAbstractScrollArea> area_;
    QPointer<QWidget> pressed_;
    QPoint from_, last_;
    bool drawn_ = false;
};

}  // namespace

void scrollByFinger(QAbstractScrollArea* area) {
    static QPointer<Finger> finger;
    if (!finger) {
        finger = new Finger(qApp);
        qApp->installEventFilter(finger);
    }
    area->setProperty(kScrolls, true);
}

}  // namespace uovo::desktop
