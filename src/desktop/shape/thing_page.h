// A thing in the hand as the original of a mold: its outline beside a coin, its height, the water it displaces.
#pragma once
#include <QWidget>

#include "desktop/shell/session.h"

namespace uovo::desktop {

/// @param picture a file to begin with; empty: none yet @param taken called when it stands on the shelf; may be empty
QWidget* thingPage(Session& session, const QString& picture = {}, std::function<void()> taken = {});

}  // namespace uovo::desktop
