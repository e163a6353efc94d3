#include "desktop/stage/thumbnail.h"

#include <algorithm>
#include <deque>

#include "core/form/rock.h"
#include "desktop/stage/solid_scene.h"
#include "desktop/theme/theme.h"

namespace uovo::desktop {
namespace {
constexpr size_t kKept = 80;
}

QImage thumbnail(const Piece& piece, const std::shared_ptr<const PieceAnswers>& answers, const QSize& pixels) {
    if (!answers || (!answers->part && !answers->stage)) return {};
    struct Kept {
        std::shared_ptr<const void> of;  // keeps its address from being used again
        std::string chocolate;
        QSize size;
        QImage image;
    };
    static std::deque<Kept> kept;  // the interface's thread only
    std::shared_ptr<const void> key;
    if (answers->part)
        key = answers->part;
    else
        key = answers->stage;
    for (const auto& k : kept)
        if (k.of == key && k.size == pixels && k.chocolate == piece.chocolate) return k.image;
    const QImage image = paintSolid(sceneOf(piece, *answers, false), SolidView{}, pixels, true);
    kept.push_back({key, piece.chocolate, pixels, image});
    if (kept.size() > kKept) kept.pop_front();
    return image;
}

QImage familyThumbnail(const std::string& family, const QSize& pixels) {
    form::Meshes meshes;
    form::Part part = form::usual(family);
    if (family == "mesh") {
        meshes["stone"] = std::make_shared<const form::Mesh>(form::rock(0.05, 5, 3));
        part.mesh = "stone";
    }
    const auto built = form::build(part, meshes, {family == "balloon-lace" ? 9000.0 : 2200.0, 32});
    if (!built) return {};
    SolidView view;
    view.zoom = 1.12;
    return paintSolid(sceneOf(*built, chocolateColour(family == "wrap-cone" || family == "feather" || family == "rope" || family == "ribbon" || family == "collar" ? "white" : family == "house" || family == "tower" || family == "spoon" || family == "sheet" ? "milk" : "dark")), view, pixels, true);
}

}  // namespace uovo::desktop
