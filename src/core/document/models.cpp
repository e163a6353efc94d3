#include "core/document/models.h"

#include <algorithm>
#include <cmath>

#include "core/quantity/free_name.h"

namespace uovo {

namespace {

bool isMadeOf(const Piece& piece, const std::string& model) {
    const auto models = form::modelsOf(piece.shape);
    return std::find(models.begin(), models.end(), model) != models.end();
}

}  // namespace

bool pruneModels(Plan& plan) {
    const auto unused = [&](const auto& entry) {
        return std::none_of(plan.pieces.begin(), plan.pieces.end(),
                            [&](const Piece& p) { return isMadeOf(p, entry.first); });
    };
    std::erase_if(plan.meshExtras, unused);
    return std::erase_if(plan.meshes, unused) > 0;
}

std::string freeModelName(const Plan& plan, const std::string& name, const std::string& piece) {
    const auto taken = [&](const std::string& n) {
        return std::any_of(plan.pieces.begin(), plan.pieces.end(),
                           [&](const Piece& p) { return p.id != piece && isMadeOf(p, n); });
    };
    std::string free = name;
    for (int k = 2; taken(free); ++k) free = name + " " + std::to_string(k);
    return free;
}

Piece& addModelPiece(Plan& plan, const std::string& name, form::Mesh mesh) {
    Piece fresh = newPiece(plan, "mesh");
    fresh.name = name;
    const std::string model = freeName(name, " ", [&](const auto& n) { return plan.meshes.contains(n); });
    plan.meshes[model] = std::make_shared<const form::Mesh>(keptModel(std::move(mesh)));
    fresh.shape.mesh = model;
    fresh.shape.values["scale"] = Measure(1);
    fresh.complete();
    return plan.pieces.emplace_back(std::move(fresh));
}

form::Mesh keptModel(form::Mesh mesh) {
    constexpr double kGrid = 1e8;                                                    // a metre's parts
    const auto kept = [](double v) { return std::round(v * kGrid) / kGrid + 0.0; };  // no minus nought
    for (auto& p : mesh.points) p = {kept(p.x), kept(p.y), kept(p.z)};
    return mesh;
}

}  // namespace uovo
