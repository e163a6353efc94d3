// An outline for a sheet part: traced from a picture, or of letters.
#pragma once
#include <QWidget>

#include "desktop/shell/session.h"

namespace uovo::desktop {

/// @param item key of a part of an assembly; empty: the selected piece, or a new one where that is not cut from a sheet
/// @param picture a file to begin with; empty: none yet
QWidget* outlinePage(Session& session, const QString& item, const QString& picture = {});

}  // namespace uovo::desktop
