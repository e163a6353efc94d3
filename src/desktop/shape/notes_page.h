// A person's own words about a piece, and a picture of it.
#pragma once
#include "desktop/shell/session.h"

namespace uovo::desktop {

QWidget* notesPage(Session& session);

}  // namespace uovo::desktop
