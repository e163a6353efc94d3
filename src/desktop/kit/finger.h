// Areas that scroll under a finger drawn along them. Taps stay presses of what is under them.
#pragma once
#include <QAbstractScrollArea>

namespace uovo::desktop {

/// Makes an area scroll under a finger. A mouse is left alone, and so is what is itself drawn along: bars, sliders,
/// borders between panes.
void scrollByFinger(QAbstractScrollArea* area);

}  // namespace uovo::desktop
