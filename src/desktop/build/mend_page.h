// What to do with a part that broke.
#pragma once
#include <QWidget>

#include "desktop/shell/session.h"

namespace uovo::desktop {

/// Ways for a part of the selected piece, each with hands, waiting, grams and what it bears then. @param item key to
/// begin with; empty: the first
QWidget* mendPage(Session& session, const QString& item = {});

}  // namespace uovo::desktop
