#include "desktop/bench/timer_card.h"

#include <QPainter>
#include <QPushButton>
#include <algorithm>
#include <cmath>

#include "desktop/theme/theme.h"
#include "report/fonts.h"

namespace uovo::desktop {

TimerCard::TimerCard(QWidget* parent)
    : QWidget(parent), yes_(new QPushButton(this)), later_(new QPushButton(tr("Not yet"), this)) {
    setObjectName(QStringLiteral("timer"));
    for (auto* b : {yes_, later_}) {
        b->setProperty("bench", true);
        b->setMinimumHeight(kTarget);
        b->hide();
    }
    connect(yes_, &QPushButton::clicked, this, &TimerCard::yes);
    connect(later_, &QPushButton::clicked, this, &TimerCard::notYet);
}

void TimerCard::setWords(const QString& words, Tone tone, bool looks) {
    words_ = words;
    tone_ = tone;
    yes_->setText(tone == Tone::Warm ? tr("Warmed") : looks ? tr("It is") : tr("Done"));
    yes_->setAccessibleName(tr("%1: %2").arg(yes_->text(), words));
    later_->setAccessibleName(tr("%1: %2").arg(later_->text(), words));
    update();
}

void TimerCard::setTime(double left, double whole, double most) {
    const bool was = isDue();
    left_ = left;
    whole_ = std::max(1.0, whole);
    most_ = most;
    setAccessibleName(tr("%1: %2").arg(words_, figure()));
    if (was != isDue() || yes_->isHidden() == isDue()) place();
    update();
}

QString TimerCard::figure() const {
    const double s = std::floor(std::abs(left_));
    const int minutes = static_cast<int>(s / 60), seconds = static_cast<int>(s) % 60;
    const QString time = minutes >= 60
                             ? QStringLiteral("%1:%2 h").arg(minutes / 60).arg(minutes % 60, 2, 10, QLatin1Char('0'))
                             : QStringLiteral("%1:%2").arg(minutes).arg(seconds, 2, 10, QLatin1Char('0'));
    return left_ > 0     ? time
           : isTooLate() ? tr("%1 too long").arg(time)
           : left_ > -60 ? tr("now")
                         : tr("%1 over").arg(time);
}

void TimerCard::place() {
    const bool due = isDue();
    yes_->setVisible(due);
    later_->setVisible(due && tone_ == Tone::Cold);
    setFixedHeight(due ? kHighDue : kHigh);
    const int half = tone_ == Tone::Cold ? (width() - 34) / 2 : width() - 24;
    yes_->setGeometry(12, kHighDue - kTarget - 12, half, kTarget);
    later_->setGeometry(22 + half, kHighDue - kTarget - 12, half, kTarget);
}

void TimerCard::resizeEvent(QResizeEvent*) { place(); }

void TimerCard::paintEvent(QPaintEvent*) {
    QPainter p(this);
    p.setRenderHint(QPainter::Antialiasing);
    const Theme& t = theme();
    const bool late = isDue() && isTooLate();
    const QColor band = late ? t.harm : tone_ == Tone::Cold ? t.cold : t.yolk;
    const QRectF box = QRectF(rect()).adjusted(0.5, 0.5, -0.5, -0.5);
    p.setPen(QPen(isDue() ? band : t.hairline, late ? 4 : isDue() ? 2 : 1));
    p.setBrush(late ? t.harmFill : isDue() && tone_ == Tone::Cold ? t.coldFill : t.card);
    p.drawRoundedRect(box, 10, 10);
    // a level that sinks, as in a cup
    const double share = std::clamp(left_ / whole_, 0.0, 1.0);
    const QRectF cup(12, 14, 16, 62);
    p.setPen(QPen(band, 2));
    p.setBrush(Qt::NoBrush);
    p.drawLine(cup.topLeft(), cup.bottomLeft());
    p.drawLine(cup.topRight(), cup.bottomRight());
    p.drawLine(cup.bottomLeft(), cup.bottomRight());
    p.fillRect(QRectF(cup.left() + 3, cup.bottom() - 2 - share * (cup.height() - 4), cup.width() - 6,
                      share * (cup.height() - 4)),
               band);
    p.setFont(report::font(34, QFont::DemiBold));
    p.setPen(t.ink);  // read from a metre away: its band and ground tell what it is
    p.drawText(QPointF(42, 44), figure());
    p.setFont(report::font(16.5));
    p.setPen(t.ink);
    p.drawText(QRectF(42, 52, width() - 52, 24), Qt::AlignLeft | Qt::AlignVCenter,
               QFontMetricsF(p.font()).elidedText(words_, Qt::ElideRight, width() - 54));
}

}  // namespace uovo::desktop
