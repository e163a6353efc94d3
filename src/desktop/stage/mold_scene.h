// How a mold comes off an original, as a scene: which part takes which face, what is caught, which way it is drawn.
#pragma once
#include "core/stages/own_molds.h"
#include "desktop/stage/solid_scene.h"

namespace uovo::desktop {

/// @param surface of the original, as its mold was computed on it
SolidScene moldScene(const mold::OwnMold& mold, const form::Mesh& surface);

}  // namespace uovo::desktop
