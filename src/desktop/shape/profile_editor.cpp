#include "desktop/shape/profile_editor.h"

#include <QKeyEvent>
#include <QMouseEvent>
#include <QPainter>
#include <algorithm>
#include <cmath>

#include "desktop/theme/theme.h"
#include "report/fonts.h"
#include "report/text.h"

namespace uovo::desktop {
namespace {

constexpr double kLeft = 34, kBottom = 34, kMargin = 22;  // pixels
constexpr double kSnap = 0.0005;                          // m
constexpr double kReach = 11;                             // pixels

double snapped(double v) { return std::round(v / kSnap) * kSnap; }

}  // namespace

ProfileEditor::ProfileEditor(form::Loop profile, UnitSystem units, QWidget* parent)
    : QWidget(parent), profile_(std::move(profile)), units_(units) {
    setObjectName(QStringLiteral("profileEditor"));
    setFocusPolicy(Qt::StrongFocus);
    setAccessibleName(tr("Profile of the mold, point by point"));
    setMinimumSize(320, 380);
    for (const auto& p : profile_) {
        shownRadius_ = std::max(shownRadius_, p[0]);
        shownHeight_ = std::max(shownHeight_, p[1]);
    }
    shownRadius_ = std::max(0.03, 1.35 * shownRadius_);
    shownHeight_ = std::max(0.04, 1.25 * shownHeight_);
    choose(static_cast<int>(profile_.size()) - 1);
}

double ProfileEditor::scale() const {
    return std::min((width() - kLeft - kMargin) / shownRadius_, (height() - kBottom - kMargin) / shownHeight_);
}

QPointF ProfileEditor::at(size_t i) const {
    return {kLeft + profile_[i][0] * scale(), height() - kBottom - profile_[i][1] * scale()};
}

form::Point2 ProfileEditor::fromPaper(const QPointF& p) const {
    return {std::max(0.0, snapped((p.x() - kLeft) / scale())),
            std::max(0.0, snapped((height() - kBottom - p.y()) / scale()))};
}

void ProfileEditor::choose(int point) {
    chosen_ = std::clamp(point, 0, static_cast<int>(profile_.size()) - 1);
    const auto& p = profile_[static_cast<size_t>(chosen_)];
    setAccessibleDescription(
        tr("Point %1 of %2: %3 from the axis, %4 high. Page keys choose, arrows move, Delete takes it away, Insert "
           "adds one.")
            .arg(chosen_ + 1)
            .arg(profile_.size())
            .arg(qstring(format(p[0], Dimension::Length, units_)), qstring(format(p[1], Dimension::Length, units_))));
    update();
}

void ProfileEditor::paintEvent(QPaintEvent*) {
    QPainter p(this);
    p.setRenderHint(QPainter::Antialiasing);
    const double k = scale(), ground = height() - kBottom;
    const double step = units_ == UnitSystem::US ? 0.0254 / 2 : 0.01;
    p.setFont(report::font(12));
    for (int i = 0; i * step <= shownRadius_; ++i) {
        p.setPen(QPen(theme().hairline, 1));
        p.drawLine(QPointF(kLeft + i * step * k, kMargin), QPointF(kLeft + i * step * k, ground));
    }
    for (int i = 0; i * step <= shownHeight_; ++i) {
        const double y = ground - i * step * k;
        p.setPen(QPen(theme().hairline, 1));
        p.drawLine(QPointF(kLeft, y), QPointF(width() - kMargin, y));
        p.setPen(theme().quiet);
        if (i % 2 == 0)
            p.drawText(QRectF(0, y - 9, kLeft - 5, 18), Qt::AlignRight | Qt::AlignVCenter,
                       QString::number(units_ == UnitSystem::US ? i * 0.5 : i * 10));
    }
    p.setPen(QPen(theme().ring, 2, Qt::DashLine));
    p.drawLine(QPointF(kLeft, kMargin - 8), QPointF(kLeft, ground + 8));
    QPolygonF line{QPointF(kLeft, at(0).y())};
    for (size_t i = 0; i < profile_.size(); ++i) line << at(i);
    QPolygonF body = line;
    body << QPointF(kLeft, line.back().y());
    QColor fill = theme().choc;
    fill.setAlpha(36);
    p.setPen(Qt::NoPen);
    p.setBrush(fill);
    p.drawPolygon(body);
    p.setPen(QPen(theme().choc, 2.5));
    p.setBrush(Qt::NoBrush);
    p.drawPolyline(line);
    for (size_t i = 0; i < profile_.size(); ++i) {
        const bool strong = static_cast<int>(i) == chosen_;
        p.setPen(QPen(theme().ring, 3));
        p.setBrush(theme().card);
        p.drawEllipse(at(i), strong ? 8 : 6, strong ? 8 : 6);
    }
    const auto& c = profile_[static_cast<size_t>(chosen_)];
    p.setFont(report::font(14, QFont::DemiBold));
    p.setPen(theme().ink);
    p.drawText(QRectF(kLeft, height() - 24, width() - kLeft, 20), Qt::AlignLeft | Qt::AlignVCenter,
               tr("%1 across, %2 high")
                   .arg(qstring(format(2 * c[0], Dimension::Length, units_)),
                        qstring(format(c[1], Dimension::Length, units_))));
}

void ProfileEditor::mousePressEvent(QMouseEvent* e) {
    for (size_t i = 0; i < profile_.size(); ++i)
        if (const QPointF d = at(i) - e->position(); std::hypot(d.x(), d.y()) < kReach) {
            choose(static_cast<int>(i));
            held_ = true;
            return;
        }
    // on the line between two points: a new one
    for (size_t i = 0; i + 1 < profile_.size(); ++i) {
        const QPointF a = at(i), b = at(i + 1), ab = b - a, ap = e->position() - a;
        const double n = QPointF::dotProduct(ab, ab), t = n > 0 ? QPointF::dotProduct(ap, ab) / n : 0;
        const QPointF off = ap - ab * t;
        if (t > 0 && t < 1 && std::hypot(off.x(), off.y()) < kReach) {
            profile_.insert(profile_.begin() + static_cast<std::ptrdiff_t>(i) + 1, fromPaper(e->position()));
            choose(static_cast<int>(i) + 1);
            held_ = true;
            return;
        }
    }
}

void ProfileEditor::mouseMoveEvent(QMouseEvent* e) {
    if (!held_) return;
    profile_[static_cast<size_t>(chosen_)] = fromPaper(e->position());
    choose(chosen_);
}

void ProfileEditor::mouseReleaseEvent(QMouseEvent*) {
    if (!held_) return;
    held_ = false;
    emit profileChanged(profile_);
}

void ProfileEditor::mouseDoubleClickEvent(QMouseEvent* e) {  // beyond the last point: goes on from there
    profile_.push_back(fromPaper(e->position()));
    choose(static_cast<int>(profile_.size()) - 1);
    emit profileChanged(profile_);
}

void ProfileEditor::keyPressEvent(QKeyEvent* e) {
    auto& p = profile_[static_cast<size_t>(chosen_)];
    const double step = e->modifiers() & Qt::ShiftModifier ? 0.005 : 0.001;
    switch (e->key()) {
        case Qt::Key_PageUp:
            return choose(chosen_ + 1);
        case Qt::Key_PageDown:
            return choose(chosen_ - 1);
        case Qt::Key_Left:
            p[0] = std::max(0.0, p[0] - step);
            break;
        case Qt::Key_Right:
            p[0] += step;
            break;
        case Qt::Key_Up:
            p[1] += step;
            break;
        case Qt::Key_Down:
            p[1] = std::max(0.0, p[1] - step);
            break;
        case Qt::Key_Insert: {
            const auto next =
                profile_[static_cast<size_t>(std::min<int>(chosen_ + 1, static_cast<int>(profile_.size()) - 1))];
            profile_.insert(profile_.begin() + chosen_ + 1,
                            chosen_ + 1 < static_cast<int>(profile_.size())
                                ? form::Point2{(p[0] + next[0]) / 2, (p[1] + next[1]) / 2}
                                : form::Point2{p[0], p[1] + 0.01});
            ++chosen_;
            break;
        }
        case Qt::Key_Delete:
        case Qt::Key_Backspace:
            if (profile_.size() <= 2) return;
            profile_.erase(profile_.begin() + chosen_);
            break;
        default:
            return QWidget::keyPressEvent(e);
    }
    choose(chosen_);
    emit profileChanged(profile_);
}

}  // namespace uovo::desktop
