// One coat in detail: its chocolate, how it is moved while it flows, tapping, scraping, where it is painted.
#pragma once
#include <QWidget>

#include "desktop/shell/session.h"

namespace uovo::desktop {

/// What a coat does besides the usual: "spun by hand 5 min · tapped 20 s · white"; empty: nothing.
QString coatExtras(const PlannedCoat& coat, const Session& session);
/// Sentence of one motion: "turned over every 2 min".
QString motionWords(coat::Motion motion);

/// A page of fields for coat `index` of the piece that is selected now.
QWidget* coatPage(Session& session, size_t index);

}  // namespace uovo::desktop
