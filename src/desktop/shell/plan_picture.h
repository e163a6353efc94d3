// A small picture of a plan, for those who list files.
#pragma once
#include <QImage>

#include "core/document/plan.h"

namespace uovo::desktop {

/// Its first piece that can be built, seen from a corner, transparent round it; null where there is none.
/// @param side pixels of the picture, which is square
QImage planPicture(const Plan& plan, int side);

}  // namespace uovo::desktop
