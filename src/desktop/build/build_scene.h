// A moment of putting a piece together: what is in its place, what comes now, what comes later, what stands beside it.
#pragma once
#include <QString>

#include "core/words/order_words.h"
#include "desktop/stage/solid_scene.h"

namespace uovo::desktop {

/// What a part is at a moment.
enum class When { There, Now, Beside, Later };

struct BuildLabel {
    form::Vec3 at;  ///< m, in the scene
    QString name, words;
    When when = When::Later;
};

/// How something falls: over which edge, to which side.
struct Tip {
    form::Vec3 over, to;  ///< m in the scene; unit, level
    double size = 0.05;   ///< m, how long it is drawn
};

struct BuildScene {
    SolidScene scene;
    std::optional<Tip> tip;          ///< of a step that cannot be made, of a piece that does not stand
    std::vector<BuildLabel> labels;  ///< of what comes now and later, and of props
};

/// @param whole the piece as it is drawn, a body an item @param lines of its order @param step 1: the first line is
/// being done; as many as there are lines: the last @param apart whether what comes later hangs over its place
BuildScene sceneAt(const SolidScene& whole, const PutTogether& together, const Made& made,
                   const std::vector<OrderLine>& lines, size_t step, bool apart, UnitSystem units);

}  // namespace uovo::desktop
