// The mold of one's own that is taken for a piece: what it is of, how it comes off, when it is begun.
#pragma once
#include <QWidget>
#include <functional>
#include <optional>

#include "desktop/shell/session.h"
#include "desktop/stage/solid_scene.h"

namespace uovo::desktop {

/// @param show puts how the mold comes off on the stage, and takes it off again
/// @param again opens the page anew: the piece has other parts now
/// @param thing opens the page about a thing in the hand
QWidget* moldPage(Session& session, std::function<void(std::optional<SolidScene>)> show, std::function<void()> again,
                  std::function<void()> thing = {});

}  // namespace uovo::desktop
