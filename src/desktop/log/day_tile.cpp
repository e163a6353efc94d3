#include "desktop/log/day_tile.h"

#include <QDate>
#include <QKeyEvent>
#include <QLocale>
#include <QPainter>
#include <algorithm>

#include "desktop/day/piece_mark.h"
#include "desktop/theme/theme.h"
#include "report/fonts.h"
#include "report/language.h"
#include "report/text.h"

namespace uovo::desktop {
namespace {

/// Stars as small lozenges, five of them; those that count are full.
void paintStars(QPainter& p, QPointF at, int stars) {
    const auto& t = theme();
    for (int k = 0; k < 5; ++k) {
        const QPointF c = at + QPointF(14 * k, 0);
        const QPolygonF lozenge{{c + QPointF(0, -5.5), c + QPointF(4.5, 0), c + QPointF(0, 5.5), c + QPointF(-4.5, 0)}};
        p.setPen(QPen(t.ink, 1.2));
        p.setBrush(k < stars ? QBrush(t.ink) : Qt::NoBrush);
        p.drawPolygon(lozenge);
    }
}

/// Of all pieces together.
log::Evening::Count wholeOf(const log::Evening& evening) {
    log::Evening::Count all;
    for (const auto& [piece, count] : evening.counts()) all.whole += count.whole, all.of += count.of;
    return all;
}

}  // namespace

QString wholeWords(const log::Evening& evening) {
    const auto count = wholeOf(evening);
    return count.of > 0 ? QObject::tr("%1 of %2 came out whole").arg(count.whole).arg(count.of) : QString();
}

QString dayWords(const std::string& date) {
    const QDate d = QDate::fromString(qstring(date), Qt::ISODate);
    return d.isValid() ? report::spokenLocale().toString(d, QStringLiteral("dddd, d MMMM yyyy")) : qstring(date);
}

DayTile::DayTile(QWidget* parent) : QAbstractButton(parent) {
    setCheckable(true);
    setAutoExclusive(true);
    setFocusPolicy(Qt::StrongFocus);
    setCursor(Qt::PointingHandCursor);
    setSizePolicy(QSizePolicy::Expanding, QSizePolicy::Fixed);
}

void DayTile::setEvening(std::shared_ptr<const log::Evening> evening, std::shared_ptr<const Answers> answers) {
    evening_ = std::move(evening);
    answers_ = std::move(answers);
    date_ = dayWords(evening_->date);
    whole_ = wholeWords(*evening_);
    const auto count = wholeOf(*evening_);
    brief_ = tr("%1 of %2").arg(count.whole).arg(count.of);
    setObjectName(QStringLiteral("day/") + qstring(evening_->id));
    QString name = tr("%1: %2").arg(date_, qstring(evening_->plan.name));
    if (!whole_.isEmpty()) name += QStringLiteral(", ") + whole_;
    if (const int stars = evening_->stars(); stars > 0) name += tr(", %1 of 5 stars").arg(stars);
    setAccessibleName(name);
    setToolTip(name);
    update();
}

void DayTile::keyPressEvent(QKeyEvent* e) {
    if (e->key() == Qt::Key_Down || e->key() == Qt::Key_Up) {
        focusNextPrevChild(e->key() == Qt::Key_Down);
        return;
    }
    QAbstractButton::keyPressEvent(e);
}

void DayTile::paintEvent(QPaintEvent*) {
    if (!evening_) return;
    QPainter p(this);
    p.setRenderHint(QPainter::Antialiasing);
    const auto& t = theme();
    if (isChecked()) {
        p.setPen(Qt::NoPen);
        p.setBrush(t.card);
        p.drawRoundedRect(QRectF(rect()).adjusted(2, 2, -2, -2), 10, 10);
        p.setBrush(t.ring);
        p.drawRoundedRect(QRectF(2, 16, 5, height() - 32), 2.5, 2.5);
    }
    if (hasFocus()) {
        p.setPen(QPen(t.ring, 2));
        p.setBrush(Qt::NoBrush);
        p.drawRoundedRect(QRectF(rect()).adjusted(2, 2, -2, -2), 10, 10);
    }
    const int left = 18, right = width() - 14;
    p.setFont(report::font(17, QFont::DemiBold));
    p.setPen(t.ink);
    const QFontMetrics bold(p.font());
    p.drawText(QRect(left, 8, right - left, 22), Qt::AlignVCenter,
               bold.elidedText(date_, Qt::ElideRight, right - left));
    p.setFont(report::font(15));
    p.setPen(t.quiet);
    const QFontMetrics plain(p.font());
    const int stars = evening_->stars();
    const int room = right - left - (stars > 0 ? 80 : 0);
    p.drawText(QRect(left, 30, room, 20), Qt::AlignVCenter,
               plain.elidedText(qstring(evening_->plan.name), Qt::ElideRight, room));
    if (stars > 0) paintStars(p, QPointF(right - 66, 41), stars);
    // the board, and the pieces on it
    const double board = height() - 20.0;
    double x = left;
    if (answers_)
        for (size_t i = 0; i < evening_->plan.pieces.size() && x < right - 60; ++i) {
            const QRectF box(x, 54, 58, board - 54);
            if (paintPieceMark(p, box, evening_->plan.pieces[i], answers_->pieces[i], this)) x += 66;
        }
    p.setPen(QPen(t.edge, 2));
    p.drawLine(QPointF(left, board + 1), QPointF(right, board + 1));
    if (!whole_.isEmpty()) {
        p.setFont(report::font(14));
        p.setPen(t.quiet);
        const int wide = std::max(0, static_cast<int>(right - x) - 4);
        p.drawText(QRectF(right - wide, board - 40, wide, 38), Qt::AlignRight | Qt::AlignBottom | Qt::TextWordWrap,
                   wide < 120 ? brief_ : whole_);
    }
}

}  // namespace uovo::desktop
