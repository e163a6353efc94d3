#include "core/document/amount.h"

#include <fmt/format.h>

#include "core/quantity/catalogue.h"
#include "core/quantity/decimal.h"

namespace uovo {

tl::expected<void, TypingProblem> readAmount(std::string_view text, bool metricCup, Ingredient& out) {
    TypingContext context;
    context.metricCup = metricCup;
    TypingProblem last;
    const std::pair<Ingredient::By, Dimension> tries[]{{Ingredient::By::Count, Dimension::Count},
                                                       {Ingredient::By::Mass, Dimension::Mass},
                                                       {Ingredient::By::Volume, Dimension::Volume}};
    for (const auto& [by, dimension] : tries) {
        context.dimension = dimension;
        context.fractions = true;
        if (auto read = parseMeasure(text, context)) {
            out.by = by;
            out.amount = *read;
            return {};
        } else {
            last = read.error();
        }
    }
    return tl::unexpected(
        TypingProblem{tr("Write how much as “120 g”, “80 ml”, “½ cup” or a plain number."), last.position});
}

std::string amountOf(const Ingredient& in, double factor, UnitSystem units) {
    const double v = in.amount.value * factor;
    if (in.by == Ingredient::By::Count) return significant(v, 3);
    return format(v, in.by == Ingredient::By::Mass ? Dimension::Mass : Dimension::Volume, units);
}

std::string writtenAmount(const Ingredient& in, UnitSystem units) {
    return in.amount.typed.empty() ? amountOf(in, 1, units) : pointedHere(in.amount.typed);
}

}  // namespace uovo
