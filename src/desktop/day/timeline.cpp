#include "desktop/day/timeline.h"

#include <QHelpEvent>
#include <QKeyEvent>
#include <QMouseEvent>
#include <QPainter>
#include <QToolTip>
#include <algorithm>
#include <cmath>

#include "desktop/theme/theme.h"
#include "report/fonts.h"
#include "report/text.h"

namespace uovo::desktop {
namespace {

constexpr double kNames = 104, kRight = 26, kTop = 36, kHands = 92, kRow = 27, kLane = 40, kGap = 20;

Timeline::Ink inkOf(const schedule::Task& t) {
    const Theme& c = theme();
    if (t.lane == "coat") return {c.dark ? QColor(0x8A, 0x57, 0x34) : c.choc, QColor(0xFB, 0xF6, 0xEC)};
    if (t.lane == "melt") return {c.yolk, QColor(0x2A, 0x1A, 0x12)};
    if (t.lane == "cold" || t.lane == "look") return {c.coldFill, c.coldText};
    if (t.lane == "release") return {QColor(0xC2, 0x9A, 0x6B), QColor(0x2A, 0x1A, 0x12)};
    return {c.hairline, c.ink};
}

}  // namespace

Timeline::Timeline(QWidget* parent) : QWidget(parent) {
    setObjectName(QStringLiteral("timeline"));
    setAccessibleName(tr("The day; left and right move through it"));
    setFocusPolicy(Qt::StrongFocus);
    setMouseTracking(true);
    setSizePolicy(QSizePolicy::Expanding, QSizePolicy::Fixed);
}

void Timeline::setDay(std::shared_ptr<const DayPlan> day, long deadline, long now, UnitSystem units) {
    units_ = units;
    day_ = std::move(day);
    deadline_ = day_ ? static_cast<int>(day_->minuteOf(deadline)) : 0;
    now_ = day_ ? static_cast<int>(day_->minuteOf(now)) : 0;
    layRows();
    if (day_ && day_->problem.empty())
        minute_ = std::clamp(minute_ == 0 ? day_->layout.begins : minute_, day_->layout.begins, deadline_);
    bars_ = layBars();
    updateGeometry();
    update();
}

void Timeline::layRows() {
    lanes_.clear();
    if (!day_ || !day_->problem.empty()) return;
    const auto& net = day_->network;
    for (size_t r = 0; r < net.resources.size(); ++r) {
        HoldRow lane;
        lane.title = net.resources[r].name;
        const auto kind = net.resources[r].kind;
        lane.cold = kind == schedule::Resource::Kind::Shelf || kind == schedule::Resource::Kind::Freezer;
        std::vector<size_t> mine;
        for (size_t h = 0; h < net.holds.size(); ++h)
            if (net.holds[h].resource == static_cast<int>(r)) mine.push_back(h);
        const auto begin = [&](size_t h) { return day_->layout.start[static_cast<size_t>(net.holds[h].from)]; };
        const auto end = [&](size_t h) {
            return day_->layout.start[static_cast<size_t>(net.holds[h].to)] +
                   net.tasks[static_cast<size_t>(net.holds[h].to)].minutes;
        };
        std::sort(mine.begin(), mine.end(), [&](size_t a, size_t b) { return begin(a) < begin(b); });
        std::vector<int> busyUntil;
        for (const size_t h : mine) {
            size_t row = 0;
            while (row < busyUntil.size() && busyUntil[row] > begin(h)) ++row;
            if (row == busyUntil.size()) busyUntil.push_back(0);
            busyUntil[row] = end(h);
            lane.holds.emplace_back(h, static_cast<int>(row));
        }
        lane.rows = static_cast<int>(busyUntil.size());
        if (lane.rows > 0) lanes_.push_back(lane);
    }
}

QSize Timeline::sizeHint() const {
    double height = kTop + kHands + kGap;
    for (const auto& lane : lanes_) height += heightOf(lane);
    return {600, static_cast<int>(height) + 10};
}

double Timeline::xOf(double minute) const {
    const double from = day_->layout.begins, to = deadline_;
    return kNames + (minute - from) / std::max(1.0, to - from) * (width() - kNames - kRight);
}

double Timeline::minuteAt(double x) const {
    const double from = day_->layout.begins, to = deadline_;
    return from + (x - kNames) / (width() - kNames - kRight) * (to - from);
}

void Timeline::setMinute(int minute) {
    if (!day_ || !day_->problem.empty()) return;
    minute = std::clamp(minute, day_->layout.begins, deadline_);
    if (minute == minute_) return;
    minute_ = minute;
    setAccessibleDescription(tr("At %1.").arg(clock(minute_)));
    update();
    emit minuteChanged(minute_);
}

void Timeline::paintHours(QPainter& p) const {
    const double bottom = height() - 6;
    p.setFont(report::font(13));
    const int first = day_->layout.begins;
    for (int hour = first + (60 - qstring(day_->clock(first)).right(2).toInt()) % 60; hour <= deadline_; hour += 60) {
        const double x = xOf(hour);
        p.setPen(QPen(theme().hairline, 1));
        p.drawLine(QPointF(x, 24), QPointF(x, bottom));
        p.setPen(theme().quiet);
        if (deadline_ - hour >= 25 || deadline_ == hour)
            p.drawText(QRectF(x - 30, 2, 60, 18), Qt::AlignCenter, clock(hour));
    }
    const double ready = xOf(deadline_);
    p.setPen(QPen(theme().ink, 2));
    p.drawLine(QPointF(ready, 22), QPointF(ready, bottom));
}

void Timeline::paintName(QPainter& p, double y, const QString& words) const {
    p.setFont(report::font(13.5, QFont::Medium));
    p.setPen(theme().quiet);
    const QRectF box(0, y, kNames - 10, 34);
    const int how = Qt::AlignLeft | Qt::AlignTop | Qt::TextWordWrap;
    const bool fits = QFontMetricsF(p.font()).boundingRect(box, how, words).height() <= box.height() + 4;
    p.drawText(box, how, fits ? words : words.section(QStringLiteral(" ("), 0, 0));
}

void Timeline::paintBar(QPainter& p, const Bar& bar) const {
    p.setPen(QPen(bar.outlined ? theme().cold : theme().edge, 1));
    p.setBrush(bar.ink.fill);
    p.drawRoundedRect(bar.box, 3.5, 3.5);
    p.setFont(report::font(12.5));
    const QFontMetricsF fm(p.font());
    // the whole words, or the pieces' numbers at their end, or nothing: no half words
    const QString last = bar.words.section(QLatin1Char(' '), -1);
    const QString end = last.contains(QChar(0x2013))                  ? last
                        : bar.words.startsWith(QLatin1String("all ")) ? bar.words.section(QLatin1Char(' '), 0, 1)
                                                                      : QString();
    const QString fits = fm.horizontalAdvance(bar.words) < bar.box.width() - 8 ? bar.words
                         : fm.horizontalAdvance(end) < bar.box.width() - 4     ? end
                                                                               : QString();
    p.setPen(bar.ink.words);
    p.drawText(bar.box, Qt::AlignCenter, fits);
}

double Timeline::heightOf(const HoldRow& lane) const { return std::max(kLane, lane.rows * kRow + kGap * 0.6); }

PaintedParts::Part Timeline::part(int index) const {
    const Bar& bar = bars_.at(static_cast<size_t>(index));
    return {bar.tip, bar.place, bar.box.toAlignedRect(), QAccessible::StaticText};
}

std::vector<Timeline::Bar> Timeline::layBars() const {
    std::vector<Bar> bars;
    if (!day_ || !day_->problem.empty()) return bars;
    const auto& net = day_->network;
    for (size_t i = 0; i < net.tasks.size(); ++i) {
        const auto& t = net.tasks[i];
        const int begin = day_->layout.start[i];
        // tasks stand on three heights by what they are, so that a glance tells the rhythm of the day
        const double level = t.lane == "coat" ? 0 : t.lane == "melt" || t.lane == "prepare" ? 1 : 2;
        const QRectF box(xOf(begin), kTop + level * 30, std::max(2.5, xOf(begin + t.minutes) - xOf(begin) - 1), 25);
        bars.push_back({box, inkOf(t), qstring(t.title),
                        tr("%1  %2 (%3 min)").arg(clock(begin), qstring(t.title)).arg(t.minutes), tr("hands")});
    }
    double y = kTop + kHands + kGap;
    for (const auto& lane : lanes_) {
        for (const auto& [h, row] : lane.holds) {
            const auto& hold = net.holds[h];
            const auto& from = net.tasks[static_cast<size_t>(hold.from)];
            const int begin = day_->layout.start[static_cast<size_t>(hold.from)];
            const int end =
                day_->layout.start[static_cast<size_t>(hold.to)] + net.tasks[static_cast<size_t>(hold.to)].minutes;
            const QRectF box(xOf(begin), y + row * kRow, std::max(3.0, xOf(end) - xOf(begin) - 1), kRow - 3);
            const bool pot = net.resources[static_cast<size_t>(hold.resource)].kind == schedule::Resource::Kind::Pot;
            const QString who = qstring(pot ? from.title : from.who);
            const Ink ink{pot         ? theme().yolk
                          : lane.cold ? theme().coldFill
                                      : theme().hairline,
                          pot         ? QColor(0x2A, 0x1A, 0x12)
                          : lane.cold ? theme().coldText
                                      : theme().ink};
            const QString share = pot ? QString()
                                      : tr(", %1 of %2 %3")
                                            .arg(hold.amount)
                                            .arg(net.resources[static_cast<size_t>(hold.resource)].capacity)
                                            .arg(qstring(net.resources[static_cast<size_t>(hold.resource)].unit));
            bars.push_back({box, ink, who, tr("%1–%2  %3%4").arg(clock(begin), clock(end), who, share),
                            qstring(lane.title), lane.cold});
        }
        y += heightOf(lane);
    }
    return bars;
}

void Timeline::paintEvent(QPaintEvent*) {
    QPainter p(this);
    p.setRenderHint(QPainter::Antialiasing);
    bars_ = layBars();
    if (!day_ || !day_->problem.empty()) return;
    const double bottom = height() - 6;
    paintHours(p);
    const int first = day_->layout.begins;
    paintName(p, kTop + 2, tr("hands"));
    double y = kTop + kHands + kGap;
    for (const auto& lane : lanes_) {
        paintName(p, y, qstring(lane.title));
        y += heightOf(lane);
    }
    for (const auto& bar : bars_) paintBar(p, bar);
    // now, when it is within the day
    if (now_ >= first && now_ <= deadline_) {
        const double x = xOf(now_);
        p.setPen(QPen(theme().harm, 1.4, Qt::DashLine));
        p.drawLine(QPointF(x, 22), QPointF(x, bottom));
    }
    // the line of time
    const double x = xOf(minute_);
    p.setPen(QPen(theme().ring, 2.4));
    p.drawLine(QPointF(x, 26), QPointF(x, bottom));
    p.setBrush(theme().card);
    p.drawEllipse(QPointF(x, 26), hasFocus() ? 8 : 6.5, hasFocus() ? 8 : 6.5);
}

void Timeline::mousePressEvent(QMouseEvent* e) {
    if (day_ && day_->problem.empty()) setMinute(static_cast<int>(std::lround(minuteAt(e->position().x()))));
}

void Timeline::mouseMoveEvent(QMouseEvent* e) {
    if (e->buttons() & Qt::LeftButton) mousePressEvent(e);
}

void Timeline::keyPressEvent(QKeyEvent* e) {
    const int step = e->modifiers() & Qt::ShiftModifier ? 15 : 1;
    if (e->key() == Qt::Key_Left) return setMinute(minute_ - step);
    if (e->key() == Qt::Key_Right) return setMinute(minute_ + step);
    if (day_ && e->key() == Qt::Key_Home) return setMinute(day_->layout.begins);
    if (day_ && e->key() == Qt::Key_End) return setMinute(deadline_);
    QWidget::keyPressEvent(e);
}

bool Timeline::event(QEvent* e) {
    if (e->type() == QEvent::ToolTip) {
        const auto* help = static_cast<QHelpEvent*>(e);
        for (const auto& b : bars_)
            if (b.box.contains(help->pos())) {
                QToolTip::showText(help->globalPos(), b.tip, this);
                return true;
            }
        QToolTip::hideText();
        return true;
    }
    return QWidget::event(e);
}

}  // namespace uovo::desktop
