// One colour into another.
#pragma once
#include <QColor>

namespace uovo::desktop {

/// @param share of the second, 0 to 1
inline QColor mixed(const QColor& a, const QColor& b, double share) {
    const auto of = [share](double x, double y) { return float(x * (1 - share) + y * share); };
    return QColor::fromRgbF(of(a.redF(), b.redF()), of(a.greenF(), b.greenF()), of(a.blueF(), b.blueF()));
}

}  // namespace uovo::desktop
