#include "desktop/melt/temper_curve.h"

#include <QPainter>
#include <QPainterPath>
#include <algorithm>
#include <cmath>

#include "desktop/theme/theme.h"
#include "report/fonts.h"
#include "report/text.h"

namespace uovo::desktop {
namespace {
constexpr double kMostTicks = 24;
constexpr double kLeft = 52, kRight = 20, kAbove = 16, kBelow = 30;
}  // namespace

TemperCurve::TemperCurve(QWidget* parent) : QWidget(parent) {
    setObjectName(QStringLiteral("temperCurve"));
    setMinimumHeight(200);
    setSizePolicy(QSizePolicy::Expanding, QSizePolicy::Fixed);
}

void TemperCurve::set(const temper::TemperPlan& plan, const material::Coating& coating, UnitSystem units) {
    plan_ = plan;
    coating_ = coating;
    units_ = units;
    low_ = 1e9;
    high_ = coating.workHigh + 4;
    for (const auto& p : plan_.curve) {
        low_ = std::min(low_, p.celsius);
        high_ = std::max(high_, p.celsius + 3);
    }
    low_ = 5 * std::floor((low_ - 1) / 5);
    span_ = std::max(60.0, (plan_.curve.empty() ? 0 : plan_.curve.back().seconds) + std::min(plan_.window, 1200.0));
    QStringList words;
    for (const auto& s : plan_.steps)
        if (!std::isnan(s.celsius))
            words << qstring(s.title) + QLatin1Char(' ') + qstring(format(s.celsius, Dimension::Temperature, units));
    setAccessibleName(tr("Tempering curve: %1").arg(words.join(QStringLiteral(", "))));
    update();
}

void TemperCurve::setLive(const std::vector<QPointF>& live) {
    live_ = live;
    if (!live_.empty() && std::isfinite(live_.back().x())) span_ = std::max(span_, live_.back().x() + 30);
    update();
}

QPointF TemperCurve::at(double seconds, double celsius) const {
    return {kLeft + (width() - kLeft - kRight) * seconds / span_,
            kAbove + (height() - kAbove - kBelow) * (high_ - celsius) / (high_ - low_)};
}

int TemperCurve::partCount() const {
    return std::max(0, static_cast<int>(plan_.curve.size()) - 1) + (live_.empty() ? 0 : 1);
}

TemperCurve::Part TemperCurve::part(int index) const {
    const auto boxOf = [this](double seconds, double celsius) {
        const QPointF c = at(seconds, std::clamp(celsius, low_, high_));
        return QRect(c.toPoint() - QPoint(9, 9), QSize(18, 18));
    };
    const auto value = [this](double seconds, double celsius) {
        return tr("%1 at minute %2")
            .arg(qstring(format(celsius, Dimension::Temperature, units_)))
            .arg(std::lround(seconds / 60));
    };
    const auto number = static_cast<size_t>(index) + 1;
    if (number < plan_.curve.size()) {
        const auto& q = plan_.curve[number];
        return {tr("Point %1").arg(index + 1), value(q.seconds, q.celsius), boxOf(q.seconds, q.celsius),
                QAccessible::StaticText};
    }
    const QPointF& now = live_.back();
    return {tr("Thermometer"), value(now.x(), now.y()), boxOf(now.x(), now.y()), QAccessible::StaticText};
}

void TemperCurve::paintEvent(QPaintEvent*) {
    QPainter p(this);
    p.setRenderHint(QPainter::Antialiasing);
    if (plan_.curve.empty() || !std::isfinite(span_) || !(high_ - low_ < 1000)) return;  // nothing that could be drawn
    // the band it is worked in, as long as it stays usable
    const double ready = plan_.curve.back().seconds;
    QColor band = theme().yolk;
    band.setAlpha(theme().dark ? 70 : 56);
    p.fillRect(QRectF(at(0, coating_.workHigh), QPointF(width() - kRight, at(0, coating_.workLow).y())), band);
    p.setFont(report::font(13));
    for (double t = low_; t < high_; t += 5) {
        p.setPen(QPen(theme().hairline, 1));
        p.drawLine(at(0, t), QPointF(width() - kRight, at(0, t).y()));
        p.setPen(theme().quiet);
        p.drawText(QRectF(0, at(0, t).y() - 9, kLeft - 8, 18), Qt::AlignRight | Qt::AlignVCenter,
                   qstring(format(t, Dimension::Temperature, units_)));
    }
    double tick = span_ > 3600 ? 900 : span_ > 1500 ? 300 : 120;
    while (span_ / tick > kMostTicks) tick *= 2;
    for (double s = 0; s <= span_; s += tick) {
        p.setPen(QPen(theme().hairline, 1));
        p.drawLine(at(s, low_), at(s, low_) + QPointF(0, 5));
        p.setPen(theme().quiet);
        p.drawText(QRectF(at(s, low_).x() - 30, height() - kBelow + 8, 60, 18), Qt::AlignCenter,
                   QString::number(std::lround(s / 60)) + (s == 0 ? tr(" min") : QString()));
    }
    QPainterPath line(at(plan_.curve.front().seconds, plan_.curve.front().celsius));
    for (const auto& q : plan_.curve) line.lineTo(at(q.seconds, q.celsius));
    p.setPen(QPen(theme().ink, 2.4, Qt::SolidLine, Qt::RoundCap, Qt::RoundJoin));
    p.drawPath(line);
    if (!live_.empty()) {
        QPainterPath read(at(live_.front().x(), live_.front().y()));
        for (const auto& q : live_) read.lineTo(at(q.x(), std::clamp(q.y(), low_, high_)));
        p.setPen(QPen(theme().coldText, 2));
        p.drawPath(read);
        const QPointF now = at(live_.back().x(), std::clamp(live_.back().y(), low_, high_));
        p.setBrush(theme().coldText);
        p.drawEllipse(now, 4, 4);
        p.setBrush(Qt::NoBrush);
    }
    const auto& last = plan_.curve.back();
    if (coating_.tempered) {
        p.setPen(QPen(theme().ink, 2.4, Qt::DotLine));
        p.drawLine(at(last.seconds, last.celsius), at(std::min(span_, ready + plan_.window), coating_.workLow));
    }
    size_t number = 0;
    for (const auto& q : plan_.curve) {
        if (&q == &plan_.curve.front()) continue;
        const QPointF c = at(q.seconds, q.celsius);
        p.setPen(QPen(theme().ring, 2));
        p.setBrush(theme().card);
        p.drawEllipse(c, 9, 9);
        p.setPen(theme().ink);
        p.setFont(report::font(12, QFont::DemiBold));
        p.drawText(QRectF(c.x() - 10, c.y() - 10, 20, 20), Qt::AlignCenter, QString::number(++number));
    }
    p.setFont(report::font(13, QFont::Medium));
    p.setPen(theme().yolkText);
    p.drawText(QRectF(width() - 220, at(0, coating_.workHigh).y() - 20, 220 - kRight, 18), Qt::AlignRight,
               tr("work it here"));
}

}  // namespace uovo::desktop
