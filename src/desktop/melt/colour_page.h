// One colour of the plan: what it is mixed from, how strong, which pieces take it.
#pragma once
#include <QWidget>

#include "desktop/shell/session.h"

namespace uovo::desktop {

/// A page of fields for a colour of the plan.
QWidget* colourPage(Session& session, const std::string& id);
/// Adds a colour mixed from a chocolate, as one undo step. @returns its id
std::string addColour(Session& session, const std::string& base);

}  // namespace uovo::desktop
