#include "desktop/shell/plan_picture.h"

#include "core/answers/answers.h"
#include "desktop/stage/raster.h"
#include "desktop/stage/solid_scene.h"
#include "desktop/theme/theme.h"
#include "io/data.h"

namespace uovo::desktop {

QImage planPicture(const Plan& plan, int side) {
    const auto library = material::withColours(io::library(), plan.colours);
    std::map<std::string, std::string> looks;
    for (const auto& c : library.chocolates) looks[c.id] = c.look;
    setChocolateLooks(looks);
    AnswerOptions quick;
    quick.day = quick.ways = quick.bands = quick.strength = quick.together = false;
    quick.cells = 50;
    for (const auto& piece : plan.pieces) {
        Plan one = plan;
        one.pieces = {piece};
        Cache cache;
        const auto answers = answer(one, library, cache, quick);
        if (!answers || !answers->pieces[0]->made) continue;
        SolidView view;
        view.zoom = 1.05;
        return paintSolid(sceneOf(piece, *answers->pieces[0], false), view, QSize(side, side), true);
    }
    return {};
}

}  // namespace uovo::desktop
