#include "report/section.h"

#include <QFontMetricsF>
#include <QPainter>
#include <algorithm>
#include <cmath>

#include "report/fonts.h"

namespace uovo::report {

SectionCurves sectionCurves(const form::Profile& p, const std::vector<double>& wall, double exaggeration) {
    SectionCurves c;
    const size_t n = p.size();
    const auto add = [&](double r, double z, double nr, double nz, double t) {
        c.former.emplace_back(r, z);
        c.surface.emplace_back(std::max(0.0, r + nr * t * exaggeration), z + nz * t * exaggeration);
    };
    add(0, p.faceZ.front(), 0, p.normalZ.front() < 0 ? -1 : 1, wall.front());
    for (size_t i = 0; i < n; ++i) add(p.r[i], p.z[i], p.normalR[i], p.normalZ[i], wall[i]);
    add(p.faceR.back(), p.faceZ.back(), p.normalR.back(), p.normalZ.back(), wall.back());
    // Where a corner is sharper than the wall is thick the offset curve folds back: it waits at the fold instead.
    for (size_t i = 1; i < c.surface.size(); ++i) {
        const size_t k = std::min(i, n) - 1;
        const QPointF step = c.surface[i] - c.surface[i - 1];
        if (step.x() * p.tangentR[k] + step.y() * p.tangentZ[k] < 0) c.surface[i] = c.surface[i - 1];
    }
    return c;
}

QColor wallColour(double t, double thin, double thick) {
    const double x = std::clamp((t - thin) / std::max(1e-6, thick - thin), 0.0, 1.0);
    // From pale to dark like chocolate itself, even in lightness so that grey shows it too.
    static constexpr struct {
        double at;
        int r, g, b;
    } kStops[]{{0, 226, 196, 150}, {0.25, 190, 143, 95}, {0.5, 138, 90, 54}, {0.75, 92, 54, 32}, {1, 50, 25, 15}};
    size_t k = 1;
    while (k < 4 && kStops[k].at < x) ++k;
    const double f = (x - kStops[k - 1].at) / (kStops[k].at - kStops[k - 1].at);
    const auto mix = [&](int a, int b) { return static_cast<int>(std::lround(a + f * (b - a))); };
    return QColor(mix(kStops[k - 1].r, kStops[k].r), mix(kStops[k - 1].g, kStops[k].g),
                  mix(kStops[k - 1].b, kStops[k].b));
}

void paintWall(QPainter& painter, const SectionCurves& c, const std::vector<double>& wall, double thin, double thick,
               const QTransform& map) {
    painter.save();
    painter.setPen(Qt::NoPen);
    const size_t n = c.former.size();
    for (size_t i = 0; i + 1 < n; ++i) {
        const double t = wall[std::clamp<size_t>(i, 1, wall.size()) - 1];
        // Each piece reaches a little under the next so that no hairline of paper shows between them.
        const size_t j = std::min(i + 2, n - 1);
        QPolygonF q{map.map(c.former[i]),  map.map(c.former[i + 1]),  map.map(c.former[j]),
                    map.map(c.surface[j]), map.map(c.surface[i + 1]), map.map(c.surface[i])};
        painter.setBrush(wallColour(t, thin, thick));
        painter.drawPolygon(q);
    }
    painter.restore();
}

void paintWallLegend(QPainter& p, const QRectF& bar, const QString& thin, const QString& thick, const QColor& frame,
                     const QColor& words) {
    constexpr int kSteps = 30;
    const double step = bar.width() / kSteps;
    for (int i = 0; i < kSteps; ++i)
        p.fillRect(QRectF(bar.x() + i * step, bar.y(), step + 0.5, bar.height()), wallColour(i, 0, kSteps - 1));
    p.setPen(QPen(frame, 1));
    p.setBrush(Qt::NoBrush);
    p.drawRect(bar);
    p.setFont(font(12));
    p.setPen(words);
    p.drawText(QPointF(bar.left(), bar.top() - 5), thin);
    p.drawText(QPointF(bar.right() - QFontMetricsF(p.font()).horizontalAdvance(thick), bar.top() - 5), thick);
}

QPainterPath wholeSection(const SectionCurves& c, const QTransform& map) {
    QPainterPath path;
    const auto mirrored = [&](const QPointF& p) { return map.map(QPointF(-p.x(), p.y())); };
    path.moveTo(mirrored(c.former.back()));
    for (size_t i = c.former.size(); i-- > 0;) path.lineTo(mirrored(c.former[i]));
    for (const auto& p : c.former) path.lineTo(map.map(p));
    for (size_t i = c.surface.size(); i-- > 0;) path.lineTo(map.map(c.surface[i]));
    for (const auto& p : c.surface) path.lineTo(mirrored(p));
    path.closeSubpath();
    return path;
}

}  // namespace uovo::report
