// A filling in detail: how full, the lid on it, when it is good, its recipe scaled to all pieces.
#pragma once
#include <QWidget>
#include <optional>

#include "desktop/shell/session.h"

namespace uovo::desktop {

/// A page of fields for a filling of the piece that is selected now. @param step of its making; the first that fills
/// where none is said
QWidget* fillingPage(Session& session, std::optional<size_t> step = {});

}  // namespace uovo::desktop
