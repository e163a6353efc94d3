// What a decoration is counted from: lines, layers, share of the face, depth.
#pragma once
#include <QWidget>

#include "desktop/shell/session.h"

namespace uovo::desktop {

/// @param step of the selected piece's making
QWidget* decorationPage(Session& session, size_t step);

}  // namespace uovo::desktop
