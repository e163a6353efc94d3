#include "core/document/each_name.h"

namespace uovo {

void eachName(Plan& plan, const std::function<void(std::string&)>& visit) {
    const auto all = [&](std::initializer_list<std::string*> texts) {
        for (auto* text : texts)
            if (!text->empty()) visit(*text);
    };
    all({&plan.name});
    for (auto& piece : plan.pieces) {
        all({&piece.name, &piece.notes});
        for (auto& step : piece.making) {
            if (auto* in = std::get_if<InsertStep>(&step)) all({&in->name, &in->allergens});
            auto* decor = std::get_if<DecorateStep>(&step);
            if (decor && decor->way != DecorateStep::Way::Stencil) all({&decor->name});  // its figure's key
        }
    }
    for (auto& filling : plan.fillings) {
        all({&filling.name});
        for (auto& in : filling.recipe) all({&in.name, &in.allergens});
    }
    for (auto& topping : plan.toppings) all({&topping.name, &topping.allergens});
    for (auto& colour : plan.colours) all({&colour.name, &colour.flavourName});
}

}  // namespace uovo
