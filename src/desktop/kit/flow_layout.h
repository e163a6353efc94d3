// Lays widgets out like words in a paragraph.
#pragma once
#include <QLayout>
#include <QList>

namespace uovo::desktop {

class FlowLayout : public QLayout {
public:
    explicit FlowLayout(int across = 6, int down = 6) : across_(across), down_(down) {}
    ~FlowLayout() override {
        while (QLayoutItem* item = takeAt(0)) delete item;
    }
    void addItem(QLayoutItem* item) override { items_.append(item); }
    int count() const override { return static_cast<int>(items_.size()); }
    QLayoutItem* itemAt(int i) const override { return items_.value(i); }
    QLayoutItem* takeAt(int i) override { return i >= 0 && i < items_.size() ? items_.takeAt(i) : nullptr; }
    Qt::Orientations expandingDirections() const override { return {}; }
    bool hasHeightForWidth() const override { return true; }
    int heightForWidth(int width) const override { return lay(QRect(0, 0, width, 0), true); }
    QSize sizeHint() const override { return minimumSize(); }
    QSize minimumSize() const override {
        QSize s;
        for (const auto* item : items_) s = s.expandedTo(item->minimumSize());
        return s;
    }
    void setGeometry(const QRect& rect) override {
        QLayout::setGeometry(rect);
        lay(rect, false);
    }

private:
    int lay(const QRect& rect, bool dry) const {
        int x = rect.x(), y = rect.y(), line = 0;
        for (QLayoutItem* item : items_) {
            if (item->isEmpty()) continue;
            const QSize s = item->sizeHint();
            if (x + s.width() > rect.right() + 1 && line > 0) {
                x = rect.x();
                y += line + down_;
                line = 0;
            }
            if (!dry) item->setGeometry(QRect(QPoint(x, y), s));
            x += s.width() + across_;
            line = qMax(line, s.height());
        }
        return y + line - rect.y();
    }
    QList<QLayoutItem*> items_;
    int across_, down_;
};

}  // namespace uovo::desktop
