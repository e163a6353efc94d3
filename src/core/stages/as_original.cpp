#include "core/stages/as_original.h"

#include "core/document/models.h"
#include "core/form/decimate.h"
#include "core/form/unite.h"
#include "core/quantity/catalogue.h"

namespace uovo {

tl::expected<std::string, Problem> asOriginal(Plan& plan, const std::string& id, std::stop_token stop) {
    constexpr size_t kTriangles = 20'000;  // as fine as a mold shows
    const Piece* piece = plan.piece(id);
    if (!piece) return tl::unexpected(Problem{tr("There is no such piece.")});
    const Piece was = *piece;
    const auto built = form::build(was.shape, plan.meshes);
    if (!built) return tl::unexpected(built.error());
    form::Mesh mesh;
    for (const auto& item : built->items)
        if (item.edible) form::append(mesh, form::placed(item.shape.surface, item.pose));
    mesh = form::weld(mesh, 1e-9);
    mesh.marks.clear();
    if (built->items.size() > 1 && form::crossingsOf(mesh, 1).pairs > 0) {  // parts in each other are one body
        auto one = form::united(mesh, 130, stop);
        if (!one) return tl::unexpected(Problem{tr("Stopped.")});
        mesh = std::move(*one);
    }
    if (mesh.triangles.size() > kTriangles)
        if (auto fewer = form::decimated(mesh, kTriangles, stop)) mesh = std::move(*fewer);
    if (const auto wrong = form::inWords(form::inspect(mesh)); !wrong.empty()) return tl::unexpected(Problem{wrong});
    Piece& cast = addModelPiece(plan, was.name + tr(", cast"), std::move(mesh));
    cast.count = was.count;
    cast.chocolate = was.chocolate;
    cast.complete();
    return cast.id;
}

}  // namespace uovo
