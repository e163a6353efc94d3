#include "core/begin/keep.h"

#include <fmt/format.h>

#include <algorithm>

namespace uovo {
namespace {

/// A name that is free: "rabbit", "rabbit 2".
template <class Taken>
std::string freeName(const std::string& wanted, const char* between, Taken taken) {
    std::string name = wanted;
    for (int n = 2; taken(name); ++n) name = fmt::format("{}{}{}", wanted, between, n);
    return name;
}

class Copier {
public:
    Copier(const Plan& from, Plan& into) : from_(from), into_(into) {}

    std::string piece(const std::string& id) {
        if (const auto known = done_.find(id); known != done_.end()) return known->second;
        const Piece* original = from_.piece(id);
        if (!original) return {};
        Piece copy = *original;
        copy.id = freeName(copy.id, "-", [&](const auto& name) { return into_.piece(name) != nullptr; });
        copy.name = freeName(copy.name, " ", [&](const auto& name) {
            return std::ranges::find(into_.pieces, name, &Piece::name) != into_.pieces.end();
        });
        done_[id] = copy.id;
        models(copy.shape);
        colour(copy.chocolate);
        for (auto& step : copy.making)
            std::visit(
                [this](auto& s) {
                    if constexpr (requires { s.chocolate; }) colour(s.chocolate);
                },
                step);
        for (auto& step : copy.making) {
            if (auto* fill = std::get_if<FillStep>(&step))
                if (const Filling* f = from_.filling(fill->filling)) fill->filling = into_.keep(*f);
            if (auto* top = std::get_if<TopStep>(&step)) topping(top->topping);
            if (auto* in = std::get_if<InsertStep>(&step); in && in->what == InsertStep::What::Piece)
                in->piece = piece(in->piece);
        }
        const std::string name = copy.id;
        into_.pieces.push_back(std::move(copy));
        return name;
    }

private:
    void models(form::Part& part) {
        model(part.mesh);
        for (auto& item : part.items) models(item.part);
    }
    void model(std::string& name) {
        const auto mesh = from_.meshes.find(name);
        if (name.empty() || mesh == from_.meshes.end()) return;
        const auto other = [&](const std::string& n) {
            const auto there = into_.meshes.find(n);
            return there != into_.meshes.end() && there->second != mesh->second && !(*there->second == *mesh->second);
        };
        name = freeName(name, " ", other);
        into_.meshes[name] = mesh->second;
    }
    /// A colour of one's own; chocolates that ship are everywhere.
    void colour(std::string& id) {
        const auto own = std::ranges::find(from_.colours, id, &material::Colour::id);
        if (id.empty() || own == from_.colours.end()) return;
        material::Colour copy = *own;
        colour(copy.base);
        colour(copy.second);
        copy.id = freeName(id, "-", [&](const auto& n) {
            const auto there = std::ranges::find(into_.colours, n, &material::Colour::id);
            material::Colour same = copy;
            same.id = n;
            return there != into_.colours.end() && !(*there == same);
        });
        id = copy.id;
        if (std::ranges::find(into_.colours, id, &material::Colour::id) == into_.colours.end())
            into_.colours.push_back(std::move(copy));
    }
    void topping(std::string& id) {
        const Topping* own = from_.topping(id);
        if (!own) return;
        Topping copy = *own;
        copy.id = freeName(id, "-", [&](const auto& n) {
            const Topping* there = into_.topping(n);
            Topping same = copy;
            same.id = n;
            return there && !(*there == same);
        });
        id = copy.id;
        if (!into_.topping(id)) into_.toppings.push_back(std::move(copy));
    }

    const Plan& from_;
    Plan& into_;
    std::map<std::string, std::string> done_;
};

}  // namespace

std::string copyPiece(const Plan& from, const std::string& piece, Plan& into) {
    return Copier(from, into).piece(piece);
}

}  // namespace uovo
