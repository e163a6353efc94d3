#include "desktop/log/band_rows.h"

#include <QPainter>
#include <algorithm>
#include <cmath>

#include "desktop/theme/theme.h"
#include "report/fonts.h"

namespace uovo::desktop {
namespace {

constexpr int kRowHeight = 46, kRowGap = 6;

}  // namespace

BandRows::BandRows(const QString& name, QWidget* parent) : QWidget(parent) {
    setAccessibleName(name);
    setSizePolicy(QSizePolicy::Expanding, QSizePolicy::Fixed);
}

void BandRows::setRows(std::vector<Row> rows, bool together) {
    rows_ = std::move(rows);
    together_ = together;
    updateGeometry();
    update();
}

QSize BandRows::sizeHint() const { return {480, static_cast<int>(rows_.size()) * (kRowHeight + kRowGap)}; }

QRect BandRows::rowBox(int index) const { return {0, index * (kRowHeight + kRowGap), width(), kRowHeight}; }

PaintedParts::Part BandRows::part(int index) const {
    const auto& r = rows_[static_cast<size_t>(index)];
    return {r.name, r.words, rowBox(index), QAccessible::StaticText, false};
}

void BandRows::paintEvent(QPaintEvent*) {
    QPainter p(this);
    p.setRenderHint(QPainter::Antialiasing);
    const auto& t = theme();
    const auto widen = [](double& low, double& high, const Row& r) {
        for (const auto& b : {r.before, r.now})
            if (b) low = std::min(low, b->low), high = std::max(high, b->high);
        for (const auto& v : {r.real, r.mark})
            if (v) low = std::min(low, *v), high = std::max(high, *v);
    };
    double allLow = 1e300, allHigh = -1e300;
    for (const auto& r : rows_) widen(allLow, allHigh, r);
    for (size_t i = 0; i < rows_.size(); ++i) {
        const Row& r = rows_[i];
        const QRect box = rowBox(static_cast<int>(i));
        p.setFont(report::font(16, QFont::DemiBold));
        p.setPen(t.ink);
        const QFontMetrics bold(p.font());
        const int nameWide = std::min(bold.horizontalAdvance(r.name), box.width() / 2);
        p.drawText(QRect(0, box.top(), nameWide + 2, 20), Qt::AlignVCenter,
                   bold.elidedText(r.name, Qt::ElideRight, nameWide + 2));
        p.setFont(report::font(15));
        p.setPen(t.quiet);
        const QFontMetrics plain(p.font());
        p.drawText(QRect(nameWide + 10, box.top(), box.width() - nameWide - 10, 20), Qt::AlignVCenter,
                   plain.elidedText(r.words, Qt::ElideRight, box.width() - nameWide - 10));
        double low = 1e300, high = -1e300;
        widen(low, high, r);
        if (together_) low = allLow, high = allHigh;
        if (!(high > low)) continue;
        const double pad = 0.06 * (high - low);
        const QRectF scale(2, box.top() + 23, box.width() - 4, 20);
        const auto x = [&](double v) {
            return scale.left() + scale.width() * (v - low + pad) / (high - low + 2 * pad);
        };
        p.setPen(QPen(t.hairline, 1));
        p.drawLine(QPointF(scale.left(), scale.center().y()), QPointF(scale.right(), scale.center().y()));
        if (r.before) {
            p.setPen(QPen(t.edge, 1.2));
            p.setBrush(t.ground);
            p.drawRoundedRect(
                QRectF(QPointF(x(r.before->low), scale.top() + 1), QPointF(x(r.before->high), scale.bottom() - 1)), 4,
                4);
            p.drawLine(QPointF(x(r.before->likely), scale.top() + 1), QPointF(x(r.before->likely), scale.bottom() - 1));
        }
        if (r.now) {
            p.setPen(Qt::NoPen);
            p.setBrush(t.choc);
            p.drawRoundedRect(
                QRectF(QPointF(x(r.now->low), scale.top() + 6), QPointF(x(r.now->high), scale.bottom() - 6)), 4, 4);
            p.setPen(QPen(t.chocEdge, 1));
            p.setBrush(Qt::NoBrush);
            p.drawRoundedRect(
                QRectF(QPointF(x(r.now->low), scale.top() + 6), QPointF(x(r.now->high), scale.bottom() - 6)), 4, 4);
            p.setPen(QPen(t.yolk, 2.4));
            p.drawLine(QPointF(x(r.now->likely), scale.top() + 4), QPointF(x(r.now->likely), scale.bottom() - 4));
        }
        if (r.mark) {
            p.setPen(QPen(t.ink, 1.4, Qt::DashLine));
            p.drawLine(QPointF(x(*r.mark), scale.top()), QPointF(x(*r.mark), scale.bottom()));
        }
        if (r.real) {
            p.setPen(QPen(t.card, 2));
            p.setBrush(t.ink);
            p.drawEllipse(QPointF(x(*r.real), scale.center().y()), 6.5, 6.5);
        }
    }
}

}  // namespace uovo::desktop
