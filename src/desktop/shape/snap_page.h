// The snap test: bars of a chocolate, broken by water in a hung cup, and what follows from them.
#pragma once
#include <QWidget>

#include "desktop/shell/session.h"

namespace uovo::desktop {

/// A page of bars of the chocolate of the piece that is selected now.
QWidget* snapPage(Session& session);

}  // namespace uovo::desktop
