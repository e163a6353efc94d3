#include "desktop/stage/thumbnail.h"

#include <QApplication>
#include <QPointer>
#include <QThreadPool>
#include <algorithm>
#include <deque>

#include "core/form/rock.h"
#include "desktop/stage/solid_scene.h"
#include "desktop/theme/theme.h"

namespace uovo::desktop {
namespace {

constexpr size_t kKept = 80;

struct Kept {
    std::shared_ptr<const void> of;  // keeps its address from being used again
    std::string chocolate;
    QSize size;
    QRgb rim;
    QImage image;  // null while it is painted
    std::vector<QPointer<QWidget>> waiting;
    bool is(const Kept& o) const { return of == o.of && size == o.size && rim == o.rim && chocolate == o.chocolate; }
};

/// The interface's thread only.
std::deque<Kept>& kept() {
    static std::deque<Kept> all;
    return all;
}

}  // namespace

QImage thumbnail(const Piece& piece, const std::shared_ptr<const PieceAnswers>& answers, const QSize& pixels,
                 QWidget* asks) {
    if (!answers || !answers->made) return {};
    Kept wanted{answers->made, piece.chocolate, pixels, rimLight(), {}, {}};
    const auto known = std::find_if(kept().begin(), kept().end(), [&](const Kept& k) { return k.is(wanted); });
    if (known != kept().end()) {
        if (asks && known->image.isNull() &&
            std::find(known->waiting.begin(), known->waiting.end(), asks) == known->waiting.end())
            known->waiting.emplace_back(asks);
        if (asks || !known->image.isNull()) return known->image;
        kept().erase(known);  // wanted at once after all
    }
    SolidScene scene = sceneOf(piece, *answers, false);
    SolidView view;
    view.rim = wanted.rim;
    if (asks) wanted.waiting.emplace_back(asks);
    else wanted.image = paintSolid(scene, view, pixels, true);
    kept().push_back(wanted);
    if (kept().size() > kKept) kept().pop_front();
    if (asks)
        QThreadPool::globalInstance()->start([scene = std::move(scene), view, wanted, pixels] {
            const QImage image = paintSolid(scene, view, pixels, true);
            QMetaObject::invokeMethod(qApp, [wanted, image] {
                for (auto& k : kept()) {
                    if (!k.is(wanted)) continue;
                    k.image = image;
                    for (const auto& w : k.waiting)
                        if (w) w->update();
                    k.waiting.clear();
                }
            });
        });
    return wanted.image;
}

QImage familyThumbnail(const std::string& family, const QSize& pixels, QRgb rim,
                       const std::map<std::string, std::string>& choices) {
    form::Meshes meshes;
    form::Part part = form::usual(family);
    const form::Family& of = *form::family(family);
    for (const auto& [key, word] : choices)
        if (word != "points") part.choices[key] = word;  // an outline that is not drawn yet
    if (form::fromFile(part)) {                          // as good as any: a stone, or half an egg
        form::Mesh model = of.body == form::Body::Wall
                               ? form::build(form::usual("egg-half"))->items.front().shape.surface
                               : form::rock(0.05, 5, 3);
        model.marks.clear();
        part.mesh = "model";
        meshes[part.mesh] = std::make_shared<const form::Mesh>(std::move(model));
    }
    const bool lines = of.former == form::Former::Balloon && !of.meridian;
    const auto built = form::build(part, meshes, {lines ? 9000.0 : 2200.0, 32});
    if (!built) return {};
    SolidView view;
    view.zoom = 1.12;
    view.rim = rim;
    return paintSolid(sceneOf(*built, chocolateColour(of.drawn)), view, pixels, true);
}

}  // namespace uovo::desktop
