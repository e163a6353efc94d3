#include "core/plan/limits.h"

#include <fmt/format.h>


namespace uovo {

std::optional<Problem> tooLarge(const Plan& plan) {
    const auto more = [](std::size_t n, std::size_t most, const char* what, std::string where) -> std::optional<Problem> {
        if (n <= most) return std::nullopt;
        return Problem{fmt::format("A plan holds at most {} {}; make a second plan for the rest.", most, what), std::move(where)};
    };
    if (auto p = more(plan.pieces.size(), limits::kPieces, "kinds of pieces", "pieces")) return p;
    if (auto p = more(plan.meshes.size(), limits::kModels, "models", "meshes")) return p;
    if (auto p = more(plan.colours.size(), limits::kColours, "colours", "colours")) return p;
    if (auto p = more(plan.pantry.size(), limits::kRows, "rows of the cupboard", "pantry")) return p;
    if (auto p = more(plan.snaps.size(), limits::kRows, "snap tests", "snaps")) return p;
    for (const auto& [name, mesh] : plan.meshes)
        if (mesh->triangles.size() > limits::kModelTriangles)
            return Problem{fmt::format("The model “{}” has {} triangles; {} at most are kept in a plan.", name, mesh->triangles.size(), limits::kModelTriangles), "meshes/" + name};
    for (const auto& piece : plan.pieces) {
        const std::string at = "pieces/" + piece.id;
        if (piece.coats.size() > limits::kCoats) return Problem{fmt::format("{} coats are more than a piece can have.", piece.coats.size()), at + "/coats"};
        for (const auto& coat : piece.coats)
            if (coat.spots.size() > limits::kSpots) return Problem{fmt::format("A coat is brushed in at most {} places; begin another coat.", limits::kSpots), at + "/coats"};
        if (piece.filling && piece.filling->recipe.size() > limits::kRecipe) return Problem{fmt::format("A recipe has at most {} lines.", limits::kRecipe), at + "/filling/recipe"};
        std::size_t points = 0;
        for (const auto& loop : piece.shape.points) points += loop.size();
        if (points > limits::kOutlinePoints) return Problem{fmt::format("An outline has at most {} points; draw it more simply.", limits::kOutlinePoints), at + "/former/points"};
    }
    return std::nullopt;
}

}  // namespace uovo
