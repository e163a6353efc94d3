// The cut egg: a piece of revolution with its front right quarter taken out, as an image.
#pragma once
#include <QImage>
#include <QTransform>

#include "report/section.h"

namespace uovo::desktop {

/// Oblique view: the frontal plane keeps its true scale, depth goes up the paper by this share.
inline constexpr double kDepthRises = 0.20;

struct CutEggView {
    QSize size;      ///< of the image, pixels
    QTransform map;  ///< (r, z) in metres of the frontal plane to pixels; no rotation
    QColor chocolate;
    QColor paper;      ///< the far inside behind the cut is veiled with it, so that the section stands out
    QRgb rim = 0;      ///< the line round it; 0: none
    bool fine = true;  ///< twice the resolution, smoothed; off while dragging
};

/// Draws three quarters of the body: outside at the front left, inside at the back, and the rim.
QImage paintCutEgg(const report::SectionCurves& curves, bool chocolateOutside, const CutEggView& view);

}  // namespace uovo::desktop
