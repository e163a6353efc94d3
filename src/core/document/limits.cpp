#include "core/document/limits.h"

#include <fmt/format.h>
#include "core/quantity/catalogue.h"

namespace uovo {

std::optional<Problem> tooLarge(const Plan& plan) {
    const auto more = [](std::size_t n, std::size_t most, const char* what,
                         std::string where) -> std::optional<Problem> {
        if (n <= most) return std::nullopt;
        return Problem{say("A plan holds at most {} {}; make a second plan for the rest.", most, what),
                       std::move(where)};
    };
    if (auto p = more(plan.pieces.size(), limits::kPieces, tr("kinds of pieces"), "pieces")) return p;
    if (auto p = more(plan.meshes.size(), limits::kModels, "models", "meshes")) return p;
    if (auto p = more(plan.colours.size(), limits::kColours, "colours", "colours")) return p;
    if (auto p = more(plan.pantry.size(), limits::kRows, tr("rows of the cupboard"), "pantry")) return p;
    if (auto p = more(plan.snaps.size(), limits::kRows, tr("snap tests"), "snaps")) return p;
    if (auto p = more(plan.fillings.size(), limits::kFillings, "fillings", "fillings")) return p;
    if (auto p = more(plan.toppings.size(), limits::kFillings, "toppings", "toppings")) return p;
    if (auto p = more(plan.kitchen.helpers.size(), limits::kHelpers, "helpers", "kitchen/helpers")) return p;
    if (auto p = more(plan.day.laid.steps.size(), limits::kTasks, tr("steps of a day"), "day/laid")) return p;
    if (auto p = more(plan.day.pins.size(), limits::kPins, tr("pinned steps"), "day/pins")) return p;
    if (auto p = more(plan.day.free.size(), limits::kPins, tr("hours kept free"), "day/free")) return p;
    for (const auto& f : plan.fillings)
        if (f.recipe.size() > limits::kRecipe)
            return Problem{say("A recipe has at most {} lines.", limits::kRecipe), "fillings/" + f.id + "/recipe"};
    for (const auto& [name, mesh] : plan.meshes)
        if (mesh->triangles.size() > limits::kModelTriangles)
            return Problem{say("The model “{}” has {} triangles; {} at most are kept in a plan.", name,
                               mesh->triangles.size(), limits::kModelTriangles),
                           "meshes/" + name};
    for (const auto& piece : plan.pieces) {
        const std::string at = "pieces/" + piece.id;
        if (piece.notes.size() > limits::kText)
            return Problem{say("Notes have at most {} bytes.", limits::kText), at + "/notes"};
        if (!piece.photo.empty() && piece.photo.bytes->size() > limits::kPhoto)
            return Problem{tr("The picture is larger than a plan keeps."), at + "/photo"};
        if (piece.making.size() > limits::kSteps)
            return Problem{say("{} steps are more than a piece can have.", piece.making.size()), at + "/making"};
        for (const auto& coat : piece.coats())
            if (coat.spots.size() > limits::kSpots)
                return Problem{say("A coat is brushed in at most {} places; begin another coat.", limits::kSpots),
                               at + "/coats"};
        std::size_t points = 0;
        for (const auto& loop : piece.shape.points) points += loop.size();
        for (const auto& item : piece.shape.items)
            for (const auto& loop : item.part.points) points += loop.size();
        if (auto p = more(piece.shape.items.size(), limits::kItems, tr("parts of an assembly"), at + "/former/items"))
            return p;
        if (auto p =
                more(piece.shape.joints.size(), limits::kJoints, tr("joints of an assembly"), at + "/former/joints"))
            return p;
        if (points > limits::kOutlinePoints)
            return Problem{say("An outline has at most {} points; draw it more simply.", limits::kOutlinePoints),
                           at + "/former/points"};
    }
    return std::nullopt;
}

}  // namespace uovo
