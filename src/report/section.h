// The true section of a piece with its wall in scale: drawn on the shelf, on the stage and on cards.
#pragma once
#include <QColor>
#include <QPainterPath>
#include <QTransform>
#include <vector>

#include "core/form/meridian.h"

class QPainter;

namespace uovo::report {

/// Two curves of one half section in metres, pole to rim: the former's side and the chocolate's other side.
struct SectionCurves {
    std::vector<QPointF> former, surface;  // (r, z)
};

/// @param wall m a cell @param exaggeration multiplies the wall for the eye
SectionCurves sectionCurves(const form::Profile& profile, const std::vector<double>& wall, double exaggeration);

/// Colours of the wall map: pale where thin, dark where thick, legible without colour vision.
QColor wallColour(double thickness, double thin, double thick);

/// Fills one half section with the wall map. `map` takes (r, z) in metres to the paper; mirror with a negative scale.
void paintWall(QPainter& painter, const SectionCurves& curves, const std::vector<double>& wall, double thin,
               double thick, const QTransform& map);

/// A bar from pale to dark with the thickness at its ends as words.
void paintWallLegend(QPainter& painter, const QRectF& bar, const QString& thin, const QString& thick,
                     const QColor& frame, const QColor& words);

/// Outline of the whole section (both halves), for small pictures.
QPainterPath wholeSection(const SectionCurves& curves, const QTransform& map);

}  // namespace uovo::report
