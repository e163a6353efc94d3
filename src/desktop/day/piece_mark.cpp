#include "desktop/day/piece_mark.h"

#include <algorithm>

#include "desktop/stage/thumbnail.h"
#include "desktop/theme/theme.h"
#include "report/section.h"

namespace uovo::desktop {

bool paintPieceMark(QPainter& p, const QRectF& box, const Piece& piece,
                    const std::shared_ptr<const PieceAnswers>& answers, QWidget* asks) {
    if (!answers || !answers->made) return false;
    p.save();
    if (!answers->made->meridian) {
        p.setRenderHint(QPainter::SmoothPixmapTransform);
        const QSizeF size(std::max(box.width(), 24.0) * 3, std::max(box.height(), 20.0) * 3);
        const QImage image = thumbnail(piece, answers, size.toSize(), asks);
        if (!image.isNull()) {
            const QSizeF fit = QSizeF(image.size()).scaled(box.size(), Qt::KeepAspectRatio);
            p.drawImage(QRectF(box.center() - QPointF(fit.width(), fit.height()) / 2, fit), image);
        }
        p.restore();
        return true;
    }
    const auto& s = *answers->made->meridian;
    const double wide = 2 * *std::max_element(s.profile.r.begin(), s.profile.r.end());
    const double scale = std::min(box.width() / wide, box.height() / s.height);
    QTransform m;
    m.translate(box.center().x(), box.center().y() + s.height * scale / 2);
    m.scale(scale, -scale);
    const auto curves = report::sectionCurves(s.profile, std::vector<double>(s.profile.size(), 0.0), 1);
    QPolygonF half;
    for (const auto& at : curves.former) half << m.map(at);
    const double line = std::clamp(box.height() / 7, 1.6, 2.6);
    const auto stroke = [&](const QColor& ink, double thick) {
        p.setPen(QPen(ink, thick, Qt::SolidLine, Qt::RoundCap, Qt::RoundJoin));
        p.drawPolyline(half);
        p.drawPolyline(QTransform(-1, 0, 0, 1, 2 * m.dx(), 0).map(half));
    };
    const QColor colour = chocolateColour(piece.chocolate);
    if (const QPen edge = edgeOf(colour); edge.style() != Qt::NoPen) stroke(edge.color(), line + 1.4);
    stroke(colour, line);
    p.restore();
    return true;
}

void paintPieceState(QPainter& p, const QRectF& box, const Piece& piece,
                     const std::shared_ptr<const PieceAnswers>& answers, int coats, bool released, QWidget* asks) {
    if (!answers || !answers->made) return;
    p.save();
    if (!answers->made->meridian) {
        const QSizeF size = QSizeF(4, 3).scaled(box.size(), Qt::KeepAspectRatio);
        const QRectF icon(box.center() - QPointF(size.width(), size.height()) / 2, size);
        p.setRenderHint(QPainter::SmoothPixmapTransform);
        p.setOpacity(coats > 0 ? 1 : 0.22);  // not cast yet
        p.drawImage(icon, thumbnail(piece, answers, (icon.size() * 2).toSize(), asks));
        p.restore();
        return;
    }
    const auto& s = *answers->made->meridian;
    const double wide = 2 * *std::max_element(s.profile.r.begin(), s.profile.r.end());
    const double scale = std::min(box.width() * 0.7 / wide, box.height() * 0.81 / s.height);
    QTransform m;
    m.translate(box.center().x(), box.bottom() - box.height() * 0.08);
    m.scale(scale, -scale);
    std::vector<double> wall(s.profile.size(), 0.0);
    if (coats > 0) wall = s.coats.coats[std::min(static_cast<size_t>(coats), s.coats.coats.size()) - 1].wall;
    const double times = std::max(1.0, box.height() / 22 / (s.wall.mean * scale));  // thick enough to be seen
    const auto curves = report::sectionCurves(s.profile, wall, times);
    if (!released) {  // the former is still there
        QPen dashed(theme().balloon, std::clamp(box.height() / 90, 1.3, 2.5));
        dashed.setDashPattern({4, 3});
        p.setPen(dashed);
        p.setBrush(Qt::NoBrush);
        QPolygonF half;
        for (const auto& at : curves.former) half << m.map(at);
        p.drawPolyline(half);
        p.drawPolyline(QTransform(-1, 0, 0, 1, 2 * m.dx(), 0).map(half));
    }
    if (coats > 0) {
        p.setPen(edgeOf(chocolateColour(piece.chocolate)));
        p.setBrush(chocolateColour(piece.chocolate));
        p.drawPath(report::wholeSection(curves, m));
    }
    p.restore();
}

void paintKitchenMark(QPainter& p, const QRectF& box, const QColor& chocolate) {
    p.save();
    const double side = std::min(box.width(), box.height()) * 0.8;
    const QRectF square(box.center() - QPointF(side, side) / 2, QSizeF(side, side));
    p.setPen(QPen(theme().edge, 1.2));
    if (chocolate.isValid()) {  // a bowl seen from above
        p.setBrush(chocolate);
        p.drawEllipse(square.adjusted(1, 1, -1, -1));
    } else {
        p.setBrush(theme().ground);
        p.drawRoundedRect(square.adjusted(1, square.height() * 0.22, -1, -square.height() * 0.22), 3, 3);
    }
    p.restore();
}

}  // namespace uovo::desktop
