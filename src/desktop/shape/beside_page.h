// Two pieces beside each other: as they look, in the same scale, and their figures.
#pragma once
#include "desktop/shell/session.h"

namespace uovo::desktop {

/// The piece that is looked at, and another of the shelf.
QWidget* besidePage(Session& session);

}  // namespace uovo::desktop
