// A topping of the plan in detail: its grains, allergens and price.
#pragma once
#include <QWidget>

#include "desktop/shell/session.h"

namespace uovo::desktop {

/// A page of fields for the topping that a step of the selected piece names; another one can be made there.
QWidget* toppingPage(Session& session, size_t step);

}  // namespace uovo::desktop
