#include "core/begin/keep.h"

#include <algorithm>

#include "core/quantity/free_name.h"

namespace uovo {
namespace {

/// Puts something with an id into a list: as it is where it stands there already, under an id of its own where another
/// has that one. @returns its id there
template <class T>
std::string settled(T copy, std::vector<T>& list) {
    const auto find = [&](const std::string& id) { return std::ranges::find(list, id, &T::id); };
    copy.id = freeName(copy.id, "-", [&](const std::string& id) {
        T same = copy;
        same.id = id;
        return find(id) != list.end() && !(*find(id) == same);
    });
    if (find(copy.id) == list.end()) list.push_back(copy);
    return copy.id;
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
        id = settled(std::move(copy), into_.colours);
    }
    void topping(std::string& id) {
        if (const Topping* own = from_.topping(id)) id = settled(*own, into_.toppings);
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
