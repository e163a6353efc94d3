#include "desktop/kit/split.h"

#include <QSettings>
#include <algorithm>

namespace uovo::desktop {
namespace {

constexpr int kHandle = 7;  // px: what a hand finds; the line in it is one

int usual(const QWidget* pane) { return pane->property("paneWidth").toInt(); }

}  // namespace

Split::Split(const QString& name) : QSplitter(Qt::Horizontal) {
    setObjectName(QStringLiteral("split/") + name);
    setChildrenCollapsible(false);
    setHandleWidth(kHandle);
    connect(this, &QSplitter::splitterMoved, this, &Split::remember);
}

void Split::addPane(QWidget* pane, int width) {
    pane->setProperty("paneWidth", width);
    addWidget(pane);
    setStretchFactor(indexOf(pane), width == 0 ? 1 : 0);
    share();
}

void Split::resizeEvent(QResizeEvent* e) {
    QSplitter::resizeEvent(e);
    share();
}

void Split::childEvent(QChildEvent* e) {
    QSplitter::childEvent(e);
    share();
}

void Split::share() {
    if (sharing_ || count() == 0 || width() <= 0) return;
    sharing_ = true;
    QSettings settings;
    QList<int> sizes;
    int rest = width(), taker = -1;
    for (int k = 0; k < count(); ++k) {
        const QWidget* pane = widget(k);
        int size = 0;
        if (usual(pane) == 0) taker = k;
        else if (!pane->isHidden())
            size = std::clamp(settings.value(objectName() + "/" + pane->objectName(), usual(pane)).toInt(),
                              pane->minimumWidth(), pane->maximumWidth());
        sizes << size;
        rest -= size + (pane->isHidden() || k == 0 ? 0 : kHandle);
    }
    if (taker >= 0) sizes[taker] = std::max(1, rest);
    setSizes(sizes);
    sharing_ = false;
}

void Split::remember() {
    QSettings settings;
    const QList<int> now = sizes();
    for (int k = 0; k < count(); ++k)
        if (usual(widget(k)) > 0 && !widget(k)->isHidden() && !widget(k)->objectName().isEmpty())
            settings.setValue(objectName() + "/" + widget(k)->objectName(), now[k]);
}

}  // namespace uovo::desktop
