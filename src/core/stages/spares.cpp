#include "core/stages/spares.h"

#include <fmt/format.h>

#include <algorithm>
#include <cmath>

#include "core/quantity/catalogue.h"
#include "core/quantity/plural.h"
#include "core/quantity/words.h"

namespace uovo {
namespace {

bool sparesParts(const Made& made, const material::Library& lib) {
    const auto parts = std::ranges::count_if(made.assembly.items, [](const form::Item& i) { return i.edible; });
    return double(parts) >= lib.usual("sparedInParts");
}

/// How much sooner it breaks than a cube of the same chocolate: its length over its thickness.
double slender(const form::Item& item) {
    const auto size = form::bounds(item.shape.surface).size();
    const double least = std::min({size.x, size.y, size.z}), most = std::max({size.x, size.y, size.z});
    return least > 0 ? most / least : 1;
}

}  // namespace

int toMake(const Piece& piece, const Made& made, double survives, const material::Library& lib) {
    return sparesParts(made, lib) ? piece.count : batch::piecesToMake(piece.count, survives, lib.usual("sparesSure"));
}

std::vector<int> spareParts(const Piece& piece, const Made& made, double survives, const material::Library& lib) {
    if (!sparesParts(made, lib) || survives >= 1 || survives <= 0) return {};
    const auto& items = made.assembly.items;
    const auto spared = [&](size_t k) { return items[k].edible && !(made.wall && made.wall->covers(k)); };
    std::vector<double> risk(items.size());
    double all = 0;
    for (size_t k = 0; k < items.size(); ++k)
        if (items[k].edible) all += risk[k] = slender(items[k]);
    std::vector<int> out(items.size());
    std::vector<char> told(items.size());
    bool any = false;
    for (size_t k = 0; k < items.size(); ++k) {
        if (told[k] || !spared(k)) continue;
        int alike = 0;
        for (size_t j = k; j < items.size(); ++j)
            if (spared(j) && items[j].part == items[k].part) told[j] = 1, ++alike;
        const int wanted = alike * piece.count;
        out[k] = batch::piecesToMake(wanted, std::pow(survives, risk[k] / all), lib.usual("sparesSure")) - wanted;
        any = any || out[k] > 0;
    }
    if (!any) out.clear();
    return out;
}

std::string sparePartWords(const Made& made, const std::vector<int>& spares) {
    std::vector<std::string> words;
    for (size_t k = 0; k < spares.size(); ++k) {
        if (spares[k] == 0) continue;
        const std::string name = lowerFirst(unnumbered(made.assembly.items[k].name));
        words.push_back(say("{} spare {}", spares[k], spares[k] > 1 ? plural(name) : name));
    }
    return listed(words);
}

}  // namespace uovo
