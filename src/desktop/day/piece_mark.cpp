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
