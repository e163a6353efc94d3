#include "core/stages/as_original.h"

#include "core/document/limits.h"
#include "core/form/decimate.h"
#include "core/quantity/free_name.h"

namespace uovo {

tl::expected<std::string, Problem> asOriginal(Plan& plan, const std::string& id) {
    constexpr size_t kTriangles = 20'000;  // as fine as a mold shows
    const Piece* piece = plan.piece(id);
    if (!piece) return tl::unexpected(Problem{"There is no such piece."});
    const auto built = form::build(piece->shape, plan.meshes);
    if (!built) return tl::unexpected(built.error());
    form::Mesh mesh;
    for (const auto& item : built->items)
        if (item.edible) form::append(mesh, form::placed(item.shape.surface, item.pose));
    mesh = form::weld(mesh, 1e-9);
    mesh.marks.clear();
    if (mesh.triangles.size() > kTriangles)
        if (auto fewer = form::decimated(mesh, kTriangles)) mesh = std::move(*fewer);
    if (const auto wrong = form::inWords(form::inspect(mesh)); !wrong.empty()) return tl::unexpected(Problem{wrong});
    Piece cast = newPiece(plan, "mesh");
    cast.name = piece->name + ", cast";
    cast.count = piece->count;
    cast.chocolate = piece->chocolate;
    const std::string name = freeName(piece->name, " ", [&](const auto& n) { return plan.meshes.contains(n); });
    plan.meshes[name] = std::make_shared<const form::Mesh>(std::move(mesh));
    cast.shape.mesh = name;
    cast.shape.values["scale"] = Measure(1);
    cast.complete();
    plan.pieces.push_back(std::move(cast));
    return plan.pieces.back().id;
}

}  // namespace uovo
