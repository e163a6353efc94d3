// The kitchen as a sheet: climate, room for trays, hands, and the figures of a person's own chocolate.
#pragma once
#include "desktop/shell/session.h"

namespace uovo::desktop {

/// A page for the sheet; every change goes to the session's document at once.
QWidget* kitchenPage(Session& session);

}  // namespace uovo::desktop
