// A filling in detail: how full, the lid on it, when it is good, its recipe scaled to all pieces.
#pragma once
#include <QWidget>

#include "desktop/shell/session.h"

namespace uovo::desktop {

/// A page of fields for the filling of the piece that is selected now.
QWidget* fillingPage(Session& session);

}  // namespace uovo::desktop
