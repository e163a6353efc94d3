#include "core/material/material.h"

namespace uovo::material {

void eachText(Library& library, const std::function<void(std::string&)>& visit) {
    for (auto& c : library.chocolates) {
        visit(c.name);
        for (auto* list : {&c.allergens, &c.traces})
            for (auto& text : *list) visit(text);
        for (auto& [name, constant] : c.constants) visit(constant.source);
    }
    for (auto* constants :
         {&library.physics, &library.decor, &library.formers, &library.kitchen, &library.learning, &library.strength})
        for (auto& [name, constant] : *constants) visit(constant.source);
    for (auto& pot : library.pots) visit(pot.name);
    for (auto& [id, task] : library.tasks) visit(task.seconds.source);
    for (auto& caution : library.cautions) visit(caution.text);
    for (auto& fault : library.faults) {
        visit(fault.name);
        for (auto& cause : fault.causes)
            for (auto* text : {&cause.words, &cause.advice, &cause.check.question}) visit(*text);
    }
    for (auto& filling : library.fillings) visit(filling.name), visit(filling.density.source);
}

}  // namespace uovo::material
