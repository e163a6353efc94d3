#include "desktop/kit/painted_parts.h"

#include <QAccessibleWidget>
#include <QPointer>
#include <QWidget>
#include <map>

namespace uovo::desktop {
namespace {

const PaintedParts* partsOf(QObject* object) { return dynamic_cast<const PaintedParts*>(object); }

/// One part: its words, its value, its place on the screen.
class OnePart : public QAccessibleInterface {
public:
    OnePart(QWidget* widget, int index) : widget_(widget), index_(index) {}
    bool isValid() const override { return widget_ && index_ < partsOf(widget_)->partCount(); }
    QObject* object() const override { return nullptr; }
    QAccessibleInterface* childAt(int, int) const override { return nullptr; }
    QAccessibleInterface* parent() const override { return QAccessible::queryAccessibleInterface(widget_); }
    QAccessibleInterface* child(int) const override { return nullptr; }
    int childCount() const override { return 0; }
    int indexOfChild(const QAccessibleInterface*) const override { return -1; }
    QString text(QAccessible::Text which) const override {
        if (!isValid()) return {};
        const auto p = part();
        return which == QAccessible::Name ? p.name : which == QAccessible::Value ? p.value : QString();
    }
    void setText(QAccessible::Text, const QString&) override {}
    QRect rect() const override {
        if (!isValid()) return {};
        const QRect box = part().box;
        return {widget_->mapToGlobal(box.topLeft()), box.size()};
    }
    QAccessible::Role role() const override { return isValid() ? part().role : QAccessible::NoRole; }
    QAccessible::State state() const override {
        QAccessible::State s;
        if (!isValid()) return s;
        const auto p = part();
        s.selected = p.chosen;
        s.focused = p.chosen && widget_->hasFocus();
        s.invisible = !widget_->isVisible();
        return s;
    }

private:
    PaintedParts::Part part() const { return partsOf(widget_)->part(index_); }
    QPointer<QWidget> widget_;
    int index_;
};

/// The widget with its parts as children. It owns their interfaces, one for each index it was asked for.
class WithParts : public QAccessibleWidget {
public:
    explicit WithParts(QWidget* widget) : QAccessibleWidget(widget, QAccessible::Grouping) {}
    ~WithParts() override {
        for (const auto& [index, id] : ids_) QAccessible::deleteAccessibleInterface(id);
    }
    int childCount() const override { return partsOf(widget())->partCount(); }
    QAccessibleInterface* child(int index) const override {
        if (index < 0 || index >= childCount()) return nullptr;
        if (!ids_.contains(index)) ids_[index] = QAccessible::registerAccessibleInterface(new OnePart(widget(), index));
        return QAccessible::accessibleInterface(ids_[index]);
    }
    int indexOfChild(const QAccessibleInterface* child) const override {
        for (const auto& [index, id] : ids_)
            if (QAccessible::accessibleInterface(id) == child) return index;
        return -1;
    }
    QAccessibleInterface* childAt(int x, int y) const override {
        const QPoint at = widget()->mapFromGlobal(QPoint(x, y));
        for (int k = 0; k < childCount(); ++k)
            if (partsOf(widget())->part(k).box.contains(at)) return child(k);
        return nullptr;
    }

private:
    mutable std::map<int, QAccessible::Id> ids_;
};

QAccessibleInterface* make(const QString&, QObject* object) {
    auto* widget = qobject_cast<QWidget*>(object);
    return widget && partsOf(widget) ? new WithParts(widget) : nullptr;
}

}  // namespace

void tellPaintedParts() {
    static const bool once = [] {
        QAccessible::installFactory(make);
        return true;
    }();
    (void)once;
}

}  // namespace uovo::desktop
