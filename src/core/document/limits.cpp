#include "core/document/limits.h"

#include <fmt/format.h>

namespace uovo {

std::optional<Problem> tooLarge(const Plan& plan) {
    const auto more = [](std::size_t n, std::size_t most, const char* what,
                         std::string where) -> std::optional<Problem> {
        if (n <= most) return std::nullopt;
        return Problem{fmt::format("A plan holds at most {} {}; make a second plan for the rest.", most, what),
                       std::move(where)};
    };
    if (auto p = more(plan.pieces.size(), limits::kPieces, "kinds of pieces", "pieces")) return p;
    if (auto p = more(plan.meshes.size(), limits::kModels, "models", "meshes")) return p;
    if (auto p = more(plan.colours.size(), limits::kColours, "colours", "colours")) return p;
    if (auto p = more(plan.pantry.size(), limits::kRows, "rows of the cupboard", "pantry")) return p;
    if (auto p = more(plan.snaps.size(), limits::kRows, "snap tests", "snaps")) return p;
    if (auto p = more(plan.fillings.size(), limits::kFillings, "fillings", "fillings")) return p;
    if (auto p = more(plan.toppings.size(), limits::kFillings, "toppings", "toppings")) return p;
    if (auto p = more(plan.kitchen.helpers.size(), limits::kHelpers, "helpers", "kitchen/helpers")) return p;
    if (auto p = more(plan.day.laid.steps.size(), limits::kTasks, "steps of a day", "day/laid")) return p;
    if (auto p = more(plan.day.pins.size(), limits::kPins, "pinned steps", "day/pins")) return p;
    if (auto p = more(plan.day.free.size(), limits::kPins, "hours kept free", "day/free")) return p;
    for (const auto& f : plan.fillings)
        if (f.recipe.size() > limits::kRecipe)
            return Problem{fmt::format("A recipe has at most {} lines.", limits::kRecipe),
                           "fillings/" + f.id + "/recipe"};
    for (const auto& [name, mesh] : plan.meshes)
        if (mesh->triangles.size() > limits::kModelTriangles)
            return Problem{fmt::format("The model “{}” has {} triangles; {} at most are kept in a plan.", name,
                                       mesh->triangles.size(), limits::kModelTriangles),
                           "meshes/" + name};
    for (const auto& piece : plan.pieces) {
        const std::string at = "pieces/" + piece.id;
        if (piece.notes.size() > limits::kText)
            return Problem{fmt::format("Notes have at most {} bytes.", limits::kText), at + "/notes"};
        if (!piece.photo.empty() && piece.photo.bytes->size() > limits::kPhoto)
            return Problem{"The picture is larger than a plan keeps.", at + "/photo"};
        if (piece.making.size() > limits::kSteps)
            return Problem{fmt::format("{} steps are more than a piece can have.", piece.making.size()),
                           at + "/making"};
        for (const auto& coat : piece.coats())
            if (coat.spots.size() > limits::kSpots)
                return Problem{
                    fmt::format("A coat is brushed in at most {} places; begin another coat.", limits::kSpots),
                    at + "/coats"};
        std::size_t points = 0;
        for (const auto& loop : piece.shape.points) points += loop.size();
        for (const auto& item : piece.shape.items)
            for (const auto& loop : item.part.points) points += loop.size();
        if (auto p = more(piece.shape.items.size(), limits::kItems, "parts of an assembly", at + "/former/items"))
            return p;
        if (auto p = more(piece.shape.joints.size(), limits::kJoints, "joints of an assembly", at + "/former/joints"))
            return p;
        if (points > limits::kOutlinePoints)
            return Problem{
                fmt::format("An outline has at most {} points; draw it more simply.", limits::kOutlinePoints),
                at + "/former/points"};
    }
    return std::nullopt;
}

}  // namespace uovo
