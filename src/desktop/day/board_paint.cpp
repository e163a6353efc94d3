// How the day's board looks.
#include <QDate>
#include <QPainter>
#include <QPainterPath>
#include <algorithm>
#include <cmath>

#include "desktop/day/board.h"
#include "desktop/day/board_sizes.h"
#include "desktop/day/piece_mark.h"
#include "desktop/shell/deadline_page.h"
#include "desktop/theme/theme.h"
#include "report/fonts.h"
#include "report/text.h"

namespace uovo::desktop {

void Board::paintHours(QPainter& p) const {
    const int first = day_->layout.begins - board::kBefore;
    const double hourWide = xOf(60) - xOf(0);
    const int every = hourWide < 26 ? 240 : hourWide < 52 ? 120 : hourWide > 260 ? 15 : hourWide > 150 ? 30 : 60;
    const auto clockOf = [&](int minute) { return *clockMinutes(day_->clock(minute).substr(11)); };
    const int into = clockOf(first) % every;
    double last = -1e9;
    for (int t = first + (into == 0 ? 0 : every - into); t <= deadline_; t += every) {
        const double x = xOf(t);
        const bool midnight = clockOf(t) == 0;
        p.setPen(QPen(midnight ? theme().edge : theme().hairline, 1));
        p.drawLine(QPointF(x, board::kTop - 6), QPointF(x, bottom_));
        QString words = clock(t);
        p.setFont(report::font(13, midnight ? QFont::DemiBold : QFont::Normal));
        if (midnight) {
            const QDate day = QDate::fromString(qstring(day_->clock(t).substr(0, 10)), Qt::ISODate);
            words = dayLocale().toString(day, QStringLiteral("dddd d MMMM"));
        }
        const double wide = QFontMetricsF(p.font()).horizontalAdvance(words) + 10;
        const double left = std::max(x - wide / 2, board::kNames - 8);  // the names lie over what is further left
        if (left < last || left + wide > width() + 2) continue;
        last = left + wide;
        p.setPen(midnight ? theme().ink : theme().quiet);
        p.drawText(QRectF(left, 2, wide, 18), Qt::AlignCenter, words);
    }
    const double ready = xOf(deadline_);
    p.setPen(QPen(theme().ink, 2));
    p.drawLine(QPointF(ready, board::kTop - 8), QPointF(ready, bottom_));
}

void Board::paintKept(QPainter& p) const {
    const auto band = [&](double from, double to, const QString& words) {
        from = std::max(from, double(day_->layout.begins - board::kBefore));
        to = std::min(to, double(deadline_));
        if (to <= from) return;
        const QRectF box(xOf(from), board::kTop - 8, xOf(to) - xOf(from), bottom_ - board::kTop + 8);
        p.fillRect(box, QBrush(theme().hairline, Qt::BDiagPattern));
        p.setFont(report::font(12.5));
        p.setPen(theme().quiet);
        const QRectF at(box.left(), board::kTop - 10, box.width(), 16);
        if (QFontMetricsF(p.font()).horizontalAdvance(words) + 6 < box.width()) {
            p.fillRect(at, theme().paper);
            p.drawText(at, Qt::AlignCenter, words);
        }
    };
    for (const auto& k : kept_) band(k.from, k.to, tr("kept free ×"));
    for (const auto& c : day_->network.closed) {
        const bool wished =
            std::any_of(kept_.begin(), kept_.end(), [&](const Kept& k) { return std::abs(k.from - c.from) < 2; });
        if (!wished) band(c.from, c.to, tr("night"));
    }
}

void Board::paintFlow(QPainter& p, const Flow& f, const QRectF& box) {
    const Theme& c = theme();
    if (f.rest) {
        QPen dashed(c.edge, 1);
        dashed.setDashPattern({3, 3});
        p.setPen(dashed);
        p.setBrush(Qt::NoBrush);
        p.drawRoundedRect(box.adjusted(0, 8, 0, -8), 6, 6);
        p.setFont(report::font(12));
        p.setPen(c.quiet);
        if (QFontMetricsF(p.font()).horizontalAdvance(tr("rest")) + 2 < box.width())
            p.drawText(box, Qt::AlignCenter, tr("rest"));
        return;
    }
    const bool now = minute_ >= f.from && minute_ < f.to;
    p.setPen(QPen(now ? c.ring : c.edge, now ? 1.8 : 1));
    p.setBrush(c.card);
    p.drawRoundedRect(box, 7, 7);
    // when hands are at it, along the foot
    for (const int t : f.tasks) {
        const auto& task = day_->network.tasks[static_cast<size_t>(t)];
        const double x = std::max(box.left() + 5, xOf(day_->layout.start[static_cast<size_t>(t)]));
        const double to =
            std::min(box.right() - 5, xOf(day_->layout.start[static_cast<size_t>(t)] + task.minutes) - 0.7);
        if (to <= x) continue;
        p.fillRect(QRectF(x, box.bottom() - 5, to - x, 3), task.lane == "coat"
                                                               ? (c.dark ? QColor(0xB0, 0x78, 0x50) : c.choc)
                                                           : task.lane == "melt"                        ? c.yolk
                                                           : task.lane == "cold" || task.lane == "look" ? c.cold
                                                                                                        : c.balloon);
    }
    const QString verb = qstring(f.verb), which = qstring(f.which), who = qstring(f.who);
    const QFont strong = report::font(13, QFont::DemiBold), plain = report::font(12.5);
    const QFontMetricsF sm(strong), pm(plain);
    const auto mark = [&](const QRectF& at) {
        if (!f.piece.empty() && paintMark(p, at, f.piece)) return;
        const auto& task = day_->network.tasks[static_cast<size_t>(f.tasks.front())];
        QColor colour;
        for (const auto& b : pots_)
            if (task.id.find("pot-" + b.id + "/") == 0) colour = colourOf(b.id);
        paintKitchenMark(p, at, colour);
    };
    const double room = box.width() - 40;
    // beside the sign: what is done, and to whom; the longest words that fit whole
    const auto fits = [&](const QStringList& all, const QFontMetricsF& fm, double wide) {
        for (const QString& s : all)
            if (fm.horizontalAdvance(s) <= wide) return s;
        return QString();
    };
    const QString below = fits({who, which}, pm, room);
    const auto& kinds = f.kinds;
    if (kinds.size() > 1 && box.width() > 24.0 * double(kinds.size()) + 8 && room >= sm.horizontalAdvance(verb)) {
        // of several kinds: their signs in the order they come, the longest work by its name
        double x = box.left() + 7;
        const double each = std::min(30.0, (box.width() - 12) / double(kinds.size()));
        for (const auto& kind : kinds) {
            const QRectF at(x, box.top() + 22, each - 6, 17);
            if (kind.empty() || !paintMark(p, at, kind)) paintKitchenMark(p, at, {});
            x += each;
        }
        p.setPen(c.ink);
        p.setFont(strong);
        const QString words = fits({verb + QLatin1Char(' ') + who, shortName(f), verb}, sm, box.width() - 14);
        p.drawText(QPointF(box.left() + 8, box.top() + 16), words);
        return;
    }
    if (room >= sm.horizontalAdvance(verb) && (!below.isEmpty() || who.isEmpty())) {
        mark(QRectF(box.left() + 7, box.top() + 7, 24, box.height() - 18));
        p.setPen(c.ink);
        p.setFont(strong);
        p.drawText(QPointF(box.left() + 36, box.top() + 17), verb);
        p.setFont(plain);
        p.setPen(c.quiet);
        p.drawText(QPointF(box.left() + 36, box.top() + 32), below);
        return;
    }
    mark(QRectF(box.center().x() - 11, box.top() + 4, 22, 16));
    p.setPen(c.ink);
    const QStringList short_{shortName(f), which.isEmpty() ? verb : which, verb};
    QString words = fits(short_, pm, box.width() - 4);
    p.setFont(plain);
    if (words.isEmpty()) {
        p.setFont(report::font(11.5));
        words = fits(short_, QFontMetricsF(p.font()), box.width() - 2);
    }
    p.drawText(QRectF(box.left(), box.top() + 20, box.width(), 16), Qt::AlignCenter, words);
}

void Board::paintPot(QPainter& p, const PotBand& b, const QRectF& box) const {
    const QColor colour = colourOf(b.id);
    const double foot = box.bottom() - 6, high = box.height() - 10;
    const double least = b.cup ? 5 : 3;
    QPainterPath band(QPointF(xOf(b.ready), foot));
    double level = high;
    for (const auto& [minute, kg] : b.level) {
        const double x = std::clamp(xOf(minute), xOf(b.ready), std::max(xOf(b.to), xOf(b.ready) + 8));
        const double next = b.cup ? least : std::max(least, b.most > 0 ? high * kg / b.most : least);
        if (minute > b.ready) band.lineTo(x, foot - level);
        band.lineTo(x, foot - next);
        level = next;
    }
    const double end = std::max(xOf(b.to), xOf(b.ready) + 8);
    band.lineTo(end, foot - level);
    band.lineTo(end, foot);
    band.closeSubpath();
    p.setPen(edgeOf(colour));
    p.setBrush(colour);
    p.drawPath(band);
    if (b.melt < b.ready) {  // melting and tempering before it
        QPen dotted(theme().edge, 1.4, Qt::DotLine);
        p.setPen(dotted);
        p.drawLine(QPointF(xOf(b.melt), foot - 1), QPointF(xOf(b.ready), foot - 1));
    }
    if (b.tempered && !b.cup) {
        const QPointF at(xOf(b.ready), foot - high / 2);
        p.setPen(QPen(theme().ring, 2));
        p.setBrush(theme().card);
        p.drawEllipse(at, 8, 8);
        p.setPen(theme().ink);
        p.setFont(report::font(11.5, QFont::Bold));
        p.drawText(QRectF(at.x() - 8, at.y() - 8, 16, 16), Qt::AlignCenter, QStringLiteral("T"));
    }
    p.setPen(Qt::NoPen);
    p.setBrush(theme().yolk);
    for (const int m : b.bursts) p.drawEllipse(QPointF(xOf(m + 0.5), foot + 4), 1.9, 1.9);
    p.setPen(theme().quiet);
    p.setFont(report::font(12.5));
    p.drawText(QPointF(end + 8, foot - 2), potWords(b));
}

void Board::paintPlace(QPainter& p, size_t number) {
    const Place& place = places_[number];
    const Theme& c = theme();
    const QRectF all(board::kNames, place.lane.top + 4, width() - board::kNames - board::kRight, place.lane.high - 6);
    QColor ground = c.coldFill;
    ground.setAlphaF(0.4F);
    p.fillRect(all, ground);
    QPen dashed(c.cold, 1);
    dashed.setDashPattern({4, 3});
    p.setPen(dashed);
    p.drawLine(all.topLeft(), all.topRight());
    p.setFont(report::font(12));
    p.setPen(c.coldText);
    p.drawText(QRectF(all.right() + 3, all.top() - 8, board::kRight, 16), Qt::AlignLeft | Qt::AlignVCenter, tr("full"));
    for (const auto& m : marks_) {
        if (m.kind != Mark::Kind::Place || m.of != number) continue;
        const Stay& s = place.stays[static_cast<size_t>(m.index)];
        const auto& hold = day_->network.holds[static_cast<size_t>(s.hold)];
        const auto& task = day_->network.tasks[static_cast<size_t>(hold.from)];
        p.setPen(QPen(c.cold, 1));
        p.setBrush(c.coldFill);
        p.drawRoundedRect(m.box, 4, 4);
        const double side = std::min({22.0, m.box.height() - 3, m.box.width() - 4});
        if (side < 8) continue;
        QRectF sign(m.box.center().x() - side / 2, m.box.top() + 2, side, side * 0.8);
        p.setFont(report::font(12));
        const QFontMetricsF fm(p.font());
        const QString which = qstring(task.which);
        const bool beside = !which.isEmpty() && fm.horizontalAdvance(which) + side + 10 < m.box.width();
        const bool under = !which.isEmpty() && !beside && m.box.height() > side + 16 &&
                           fm.horizontalAdvance(which) < m.box.width() - 2;
        if (beside) sign.moveLeft(m.box.left() + 4);
        if (m.box.height() > 2 * side && !under) sign.moveTop(m.box.top() + 5);
        paintMark(p, sign, task.piece);
        p.setPen(c.coldText);
        if (beside)
            p.drawText(QRectF(sign.right() + 3, sign.top() - 2, m.box.width(), side * 0.8 + 4),
                       Qt::AlignLeft | Qt::AlignVCenter, which);
        if (under) p.drawText(QRectF(m.box.left(), sign.bottom() + 1, m.box.width(), 14), Qt::AlignCenter, which);
    }
}

void Board::paintBench(QPainter& p, const OnBench& b, const QRectF& box) {
    const Piece* piece = session_.plan().piece(b.piece);
    if (!piece) return;
    QPen dotted(chocolateColour(piece->chocolate), 2, Qt::DotLine);
    if (theme().dark) dotted.setColor(theme().balloon);
    p.setPen(dotted);
    const double y = box.center().y() + 5;
    p.drawLine(QPointF(box.left() + 20, y), QPointF(std::max(box.right(), box.left() + 22), y));
    paintMark(p, QRectF(box.left(), box.top() + 2, 17, 14), b.piece);
    p.setFont(report::font(12.5));
    p.setPen(theme().quiet);
    p.drawText(QPointF(box.left() + 22, y - 4), qstring(piece->name));
}

void Board::paintNames(QPainter& p) const {
    const double left = std::max(0, -pos().x());
    p.fillRect(QRectF(left, 0, board::kNames - 8, height()), theme().paper);
    const auto name = [&](const Lane& lane) {
        p.setFont(report::font(13.5, QFont::DemiBold));
        p.setPen(theme().ink);
        p.drawText(QRectF(left, lane.top + 8, board::kNames - 12, 20), Qt::AlignLeft | Qt::AlignTop,
                   QFontMetricsF(p.font()).elidedText(lane.name, Qt::ElideRight, board::kNames - 12));
        p.setFont(report::font(12));
        p.setPen(theme().quiet);
        p.drawText(QRectF(left, lane.top + 25, board::kNames - 10, 34), Qt::AlignLeft | Qt::AlignTop | Qt::TextWordWrap,
                   lane.note);
    };
    for (const auto& h : hands_) name(h.lane);
    if (!pots_.empty()) name(potLane_);
    for (const auto& place : places_) name(place.lane);
    if (!bench_.empty()) name(benchLane_);
}

void Board::paintEvent(QPaintEvent*) {
    QPainter p(this);
    p.setRenderHint(QPainter::Antialiasing);
    if (!hasDay()) return;
    paintHours(p);
    paintKept(p);
    for (size_t i = 0; i < places_.size(); ++i) paintPlace(p, i);
    for (const auto& m : marks_) {
        switch (m.kind) {
            case Mark::Kind::Hands:
                paintFlow(p, flowOf(m), m.box);
                break;
            case Mark::Kind::Pot:
                paintPot(p, pots_[static_cast<size_t>(m.index)], m.box);
                break;
            case Mark::Kind::Bench:
                paintBench(p, bench_[static_cast<size_t>(m.index)], m.box);
                break;
            case Mark::Kind::Place:
                break;
        }
    }
    if (now_ >= day_->layout.begins && now_ <= deadline_) {
        p.setPen(QPen(theme().harm, 1.4, Qt::DashLine));
        p.drawLine(QPointF(xOf(now_), board::kTop - 8), QPointF(xOf(now_), bottom_));
    }
    const double x = xOf(minute_);
    p.setPen(QPen(theme().ring, 2.4));
    p.drawLine(QPointF(x, board::kTop - 4), QPointF(x, bottom_));
    p.setBrush(theme().card);
    p.drawEllipse(QPointF(x, board::kTop - 4), hasFocus() ? 8 : 6.5, hasFocus() ? 8 : 6.5);
    if (drag_ == Drag::Hours || (drag_ == Drag::Block && (at_ - pressed_).manhattanLength() >= board::kDragFrom)) {
        QRectF ghost(QPointF(std::min(pressed_.x(), at_.x()), board::kTop - 8),
                     QPointF(std::max(pressed_.x(), at_.x()), bottom_));
        double said = minuteAt(at_.x());
        if (drag_ == Drag::Block) {
            const QRectF& box = marks_[static_cast<size_t>(block_)].box;
            ghost = box.translated(at_.x() - pressed_.x(), 0);
            said = minuteAt(ghost.left());
        }
        QColor fill = theme().yolk;
        fill.setAlphaF(0.3F);
        p.setPen(QPen(theme().ring, 1.5, Qt::DashLine));
        p.setBrush(fill);
        p.drawRoundedRect(ghost, 7, 7);
        p.setFont(report::font(13, QFont::DemiBold));
        p.setPen(theme().ink);
        p.drawText(QRectF(ghost.left() - 40, ghost.top() - 18, 80, 16), Qt::AlignCenter,
                   clock(5 * std::round(said / 5)));
    }
    paintNames(p);
}

}  // namespace uovo::desktop
