// What can be added to an assembly of one's own: parts of every family, and the pieces of the plan.
#pragma once
#include <QMenu>
#include <functional>

#include "desktop/shell/session.h"

namespace uovo::desktop {

/// @param added called with the key of the new part when the edit is made
QMenu* partMenu(QWidget* parent, Session& session, std::function<void(const QString&)> added = {});

}  // namespace uovo::desktop
