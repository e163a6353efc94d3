#include "desktop/bench/lesson_picture.h"

#include <QPainter>
#include <QPainterPath>
#include <QtMath>
#include <algorithm>
#include <cmath>
#include <random>

#include "desktop/theme/mixed.h"
#include "desktop/theme/theme.h"

namespace uovo::desktop {
namespace {

constexpr double kWide = 480, kHigh = 330;  // what is drawn, scaled to the room there is

QColor wet() { return chocolateColour("dark"); }
/// Set chocolate: lighter, without the light that a wet one throws back.
QColor matt() { return mixed(wet(), QColor(150, 120, 104), 0.42); }
QColor grey() { return QColor(196, 186, 176); }

/// Light on something wet; none on what is matt.
void gleam(QPainter& p, const QRectF& at, double share) {
    if (share <= 0.02) return;
    QColor c(255, 255, 255);
    c.setAlphaF(float(0.5 * share));
    p.setPen(Qt::NoPen);
    p.setBrush(c);
    p.drawEllipse(at);
}

void streaked(QPainter& p, const QPainterPath& inside, double share) {
    if (share <= 0.05) return;
    std::mt19937 random(5);
    p.save();
    p.setClipPath(inside);
    const QRectF box = inside.boundingRect();
    QColor c = grey();
    c.setAlphaF(float(std::min(1.0, share) * 0.75));
    for (int i = 0; i < 26; ++i) {
        const double x = box.left() + box.width() * (random() % 1000) / 1000.0,
                     y = box.top() + box.height() * (random() % 1000) / 1000.0;
        p.setPen(QPen(c, 1.5 + random() % 3, Qt::SolidLine, Qt::RoundCap));
        QPainterPath line(QPointF(x, y));
        line.cubicTo(x + 14, y - 5, x + 26, y + 7, x + 44, y + 1);
        p.drawPath(line);
    }
    p.restore();
}

}  // namespace

LessonPicture::LessonPicture(QWidget* parent) : QWidget(parent) {
    setMinimumSize(320, 230);
    setSizePolicy(QSizePolicy::Expanding, QSizePolicy::Expanding);
}

void LessonPicture::setLook(const lesson::Look& look) {
    look_ = look;
    update();
}

void LessonPicture::paintEvent(QPaintEvent*) {
    QPainter p(this);
    p.setRenderHint(QPainter::Antialiasing);
    const double k = std::min(width() / kWide, height() / kHigh);
    p.translate(width() / 2.0, height() / 2.0);
    p.scale(k, k);
    p.translate(-kWide / 2, -kHigh / 2);
    using Of = lesson::Look::Of;
    switch (look_.of) {
        case Of::Bowl:
            bowl(p);
            if (look_.smear >= 0) knife(p);
            return;
        case Of::Cavity:
            return cavity(p);
        case Of::Wall:
            return wall(p);
        case Of::Joint:
            return joint(p);
    }
}

void LessonPicture::bowl(QPainter& p) const {
    const QPointF middle(195, 205);
    // the bowl
    QPainterPath body;
    body.moveTo(45, 190);
    body.cubicTo(50, 300, 130, 318, 195, 318);
    body.cubicTo(260, 318, 340, 300, 345, 190);
    p.setPen(QPen(theme().edge, 2));
    p.setBrush(theme().card);
    p.drawPath(body);
    p.drawEllipse(QPointF(195, 190), 150, 42);
    QPainterPath surface;
    surface.addEllipse(QPointF(195, 200), 136, 34);
    p.setPen(Qt::NoPen);
    p.fillPath(surface, wet());
    const double thick = look_.ribbon;
    gleam(p, QRectF(82, 180, 74, 11), 1 - 0.6 * thick);
    streaked(p, surface, look_.streaks);
    // lumps of seed
    std::mt19937 random(3);
    const int lumps = static_cast<int>(std::lround(look_.lumps * 160));
    for (int i = 0; i < lumps; ++i) {
        const double angle = 2 * M_PI * (random() % 1000) / 1000.0, r = std::sqrt((random() % 1000) / 1000.0);
        const QPointF at(195 + 122 * r * std::cos(angle), 200 + 27 * r * std::sin(angle));
        p.setBrush(matt());
        p.setPen(QPen(wet().darker(130), 1));
        p.drawEllipse(at, 4.5, 3);
    }
    // what falls from the whisk, and how long it stays to be seen
    const double wide = 5 + 13 * thick;
    p.setPen(Qt::NoPen);
    p.setBrush(wet());
    QPainterPath fall(QPointF(middle.x() - wide * 0.7, 78));
    fall.cubicTo(middle.x() - wide * 0.5, 120, middle.x() - wide * 0.35, 160, middle.x() - wide * 0.5, 198);
    fall.lineTo(middle.x() + wide * 0.5, 198);
    fall.cubicTo(middle.x() + wide * 0.35, 160, middle.x() + wide * 0.5, 120, middle.x() + wide * 0.7, 78);
    p.drawPath(fall);
    const QColor line = mixed(wet(), QColor(255, 255, 255), 0.28);
    if (thick < 0.38) {  // rings that run apart
        p.setBrush(Qt::NoBrush);
        for (int i = 1; i <= 3; ++i) {
            QColor c = line;
            c.setAlphaF(0.5f / float(i));
            p.setPen(QPen(c, 1.5));
            p.drawEllipse(middle, 16.0 * i, 4.5 * i);
        }
    } else {  // a ribbon that lies on it, higher the thicker it is
        const int folds = 2 + static_cast<int>(std::lround(7 * (thick - 0.38)));
        for (int i = 0; i < folds; ++i) {
            const double y = 204 - i * 8.5 * thick, w = 54 - i * 7.0;
            QPainterPath fold(QPointF(195 - w, y + 3));
            fold.cubicTo(195 - w * 0.4, y - 7, 195 + w * 0.4, y + 11, 195 + w, y);
            p.setPen(QPen(wet().lighter(112 + 6 * i), wide * 0.8, Qt::SolidLine, Qt::RoundCap));
            p.setBrush(Qt::NoBrush);
            p.drawPath(fold);
            p.setPen(QPen(line, 1.2));
            p.drawPath(fold.translated(0, -wide * 0.3));
        }
    }
    // the whisk
    p.setPen(QPen(theme().quiet, 3, Qt::SolidLine, Qt::RoundCap));
    p.setBrush(Qt::NoBrush);
    for (const double w : {6.0, 15.0, 24.0}) p.drawEllipse(QPointF(195, 52), w, 40);
    p.setPen(QPen(theme().quiet, 11, Qt::SolidLine, Qt::RoundCap));
    p.drawLine(QPointF(195, 4), QPointF(195, 12));
}

void LessonPicture::knife(QPainter& p) const {
    p.translate(34, 0);
    QPainterPath blade(QPointF(352, 300));
    blade.lineTo(352, 120);
    blade.cubicTo(356, 84, 380, 62, 404, 54);
    blade.lineTo(404, 300);
    blade.closeSubpath();
    p.setPen(QPen(theme().edge, 1.5));
    p.setBrush(mixed(theme().card, QColor(190, 195, 200), 0.5));
    p.drawPath(blade);
    QPainterPath smear;
    smear.addRoundedRect(QRectF(357, 140, 42, 136), 14, 14);
    p.setPen(Qt::NoPen);
    p.fillPath(smear, mixed(wet(), matt(), look_.smear));
    // it dulls from its edge inwards
    const double in = 19 * std::clamp(1 - look_.smear, 0.0, 1.0);
    if (look_.smear < 0.98) {
        QPainterPath still;
        still.addRoundedRect(QRectF(378 - in, 208 - 60 * (1 - look_.smear) - 4, 2 * in, 120 * (1 - look_.smear) + 8),
                             10, 10);
        p.fillPath(still, wet());
        gleam(p, QRectF(378 - in * 0.6, 208 - 48 * (1 - look_.smear), in * 0.55, 60 * (1 - look_.smear)),
              1 - look_.smear);
    }
    streaked(p, smear, look_.streaks * look_.smear);
}

void LessonPicture::cavity(QPainter& p) const {
    p.save();
    if (look_.poured) {
        p.translate(0, kHigh);
        p.scale(1, -1);
    }
    // a mold cut open: a trough in a block of clear plastic
    const double left = 80, right = 380, top = 80, bottom = 270, round = 80;
    QPainterPath block;
    block.addRoundedRect(QRectF(left - 34, top, right - left + 68, bottom - top + 34), 10, 10);
    QPainterPath hollow(QPointF(left, top));
    hollow.lineTo(left, bottom - round);
    hollow.quadTo(left, bottom, left + round, bottom);
    hollow.lineTo(right - round, bottom);
    hollow.quadTo(right, bottom, right, bottom - round);
    hollow.lineTo(right, top);
    hollow.closeSubpath();
    p.setPen(QPen(theme().edge, 1.5));
    p.setBrush(theme().coldFill);
    p.drawPath(block.subtracted(hollow));
    const double t = std::min(look_.wall / look_.deep, 0.98) * (right - left) / 2;  // drawn to the cavity's own measure
    QPainterPath inner(QPointF(left + t, top));
    const double r = std::max(6.0, round - t);
    inner.lineTo(left + t, bottom - t - r);
    inner.quadTo(left + t, bottom - t, left + t + r, bottom - t);
    inner.lineTo(right - t - r, bottom - t);
    inner.quadTo(right - t, bottom - t, right - t, bottom - t - r);
    inner.lineTo(right - t, top);
    inner.closeSubpath();
    const QColor shell = look_.poured ? mixed(wet(), matt(), look_.tacky) : matt();
    p.setPen(Qt::NoPen);
    p.fillPath(hollow.subtracted(inner), shell);
    if (!look_.poured) {
        p.fillPath(inner, wet());
        gleam(p, QRectF(left + t + 24, top + 4, std::max(10.0, (right - left - 2 * t) * 0.4), 9), 1);
    } else {  // the rim, and what hangs from it while it is wet
        for (const double x : {left, right - t}) {
            gleam(p, QRectF(x + 2, top + 2, std::max(4.0, t - 4), 5), 1 - look_.tacky);
            if (look_.tacky < 0.35) {
                p.setBrush(wet());
                p.drawEllipse(QPointF(x + t / 2, top - 12 * (0.35 - look_.tacky) / 0.35), 5, 9);
            }
        }
    }
    p.restore();
}

void LessonPicture::wall(QPainter& p) const {
    const QPointF middle(230, 165);
    const double R = 140;
    QPainterPath frame;
    frame.addRoundedRect(QRectF(56, 8, 348, 314), 18, 18);
    p.setPen(QPen(theme().edge, 1.5));
    p.setBrush(theme().coldFill);
    p.drawPath(frame);
    QPainterPath shell;
    shell.addEllipse(middle, R, R);
    p.setPen(Qt::NoPen);
    p.fillPath(shell, wet().darker(112));
    p.save();
    p.setClipPath(shell);
    // places in the order in which they let go: the thin rim first
    struct Spot {
        QPointF at;
        double when;
    };
    std::vector<Spot> spots;
    std::mt19937 random(9);
    constexpr double kCell = 25;
    for (double y = -R; y <= R; y += kCell)
        for (double x = -R; x <= R; x += kCell) {
            const QPointF at(x + 8.0 * (random() % 100) / 100, y + 8.0 * (random() % 100) / 100);
            const double far = std::hypot(at.x(), at.y()) / R;
            if (far < 1.15) spots.push_back({middle + at, 1 - far + 0.35 * ((random() % 1000) / 1000.0 - 0.5)});
        }
    std::ranges::sort(spots, {}, &Spot::when);
    const auto off = static_cast<size_t>(std::lround(look_.off * static_cast<double>(spots.size())));
    p.setBrush(mixed(matt(), QColor(232, 226, 220), 0.42));
    for (size_t i = 0; i < off; ++i) p.drawEllipse(spots[i].at, kCell * 0.8, kCell * 0.8);
    p.restore();
    streaked(p, shell, look_.streaks);
    if (look_.off < 0.98) gleam(p, QRectF(middle.x() - 70, middle.y() - 92, 62, 22), 0.7 * (1 - look_.off));
    p.setPen(QPen(wet().darker(130), 2));
    p.setBrush(Qt::NoBrush);
    p.drawEllipse(middle, R, R);
}

void LessonPicture::joint(QPainter& p) const {
    // the side of a cup, and the part that comes to it
    const double face = 210, away = look_.set ? 0 : look_.glued ? 46 : 74, down = look_.slid * 4000;
    QPainterPath cup;
    cup.addRoundedRect(QRectF(70, 40, face - 70, 250), 12, 12);
    p.setPen(edgeOf(matt()));
    p.setBrush(matt());
    p.drawPath(cup);
    const auto hatch = [&](double x, double y) {
        p.setPen(QPen(wet().darker(140), 1.6));
        for (int i = 0; i < 6; ++i) p.drawLine(QPointF(x, y + 4 + 6.5 * i), QPointF(x + 8, y + 10 + 6.5 * i));
    };
    for (const double y : {86.0, 206.0}) {
        if (look_.scored) hatch(face - 8, y);
        QPainterPath bead;
        const double fat = look_.set ? 9 : 13;
        bead.addRoundedRect(QRectF(face - 2, y + (look_.set ? down : 0), fat, 46), 5, 5);
        if (look_.glued) {
            p.setPen(Qt::NoPen);
            p.fillPath(bead, mixed(wet(), matt(), look_.glue));
            gleam(p, QRectF(face + 1, y + 6 + (look_.set ? down : 0), 4, 22), 1 - look_.glue);
        }
    }
    QPainterPath arc;
    const double x = face + away + (look_.glued && look_.set ? 6 : 0);
    arc.moveTo(x, 88 + down);
    arc.cubicTo(x + 128, 84 + down, x + 128, 254 + down, x, 250 + down);
    arc.lineTo(x, 208 + down);
    arc.cubicTo(x + 72, 210 + down, x + 72, 128 + down, x, 130 + down);
    arc.closeSubpath();
    p.setPen(edgeOf(matt()));
    p.setBrush(matt().lighter(106));
    p.drawPath(arc);
    if (look_.scored)
        for (const double y : {86.0, 206.0}) hatch(x, y + down);
    p.setPen(QPen(theme().hairline, 2));
    p.drawLine(QPointF(40, 292), QPointF(420, 292));
}

}  // namespace uovo::desktop
