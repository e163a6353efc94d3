// The soft shadow of a piece on the table.
#pragma once
#include <QPainter>

#include "desktop/theme/theme.h"

namespace uovo::desktop {

/// @param at its middle @param wide, deep half its breadth and depth, both pixels
inline void paintShadow(QPainter& p, const QPointF& at, double wide, double deep) {
    QRadialGradient shadow(QPointF(0, 0), 1);
    QColor dark(0x2A, 0x1A, 0x12, theme().dark ? 125 : 49), clear = dark;
    clear.setAlpha(0);
    shadow.setColorAt(0, dark);
    shadow.setColorAt(0.58, QColor(dark.red(), dark.green(), dark.blue(), dark.alpha() * 2 / 5));
    shadow.setColorAt(1, clear);
    p.save();
    p.translate(at);
    p.scale(wide, deep);
    p.fillRect(QRectF(-1, -1, 2, 2), shadow);
    p.restore();
}

}  // namespace uovo::desktop
