#include "core/form/joint.h"

#include <algorithm>

#include "core/material/material.h"
#include "core/quantity/catalogue.h"

namespace uovo::form {
namespace {

struct Glue {
    const char *words, *strength, *hold, *bears;
};
constexpr Glue kGlues[]{{trLater("melted chocolate"), "jointAsIs", "holdAsIs", "glueBears"},
                        {kScored, "jointScored", "holdScored", "glueBears"},
                        {trLater("melted edges"), "jointMelted", "holdMelted", "glueBears"},
                        {trLater("glue and cold spray"), "jointSprayed", "holdSprayed", "bearsSprayed"},
                        {trLater("modeling chocolate"), "jointCollar", "holdCollar", "modeledRests"},
                        {trLater("icing or syrup"), "jointIcing", "holdIcing", "bearsIcing"}};

const Glue& glueOf(const std::string& words) {
    const auto* g = std::find_if(std::begin(kGlues), std::end(kGlues), [&](const Glue& x) { return words == x.words; });
    return g == std::end(kGlues) ? kGlues[0] : *g;
}

}  // namespace

std::vector<std::string> glues() {
    std::vector<std::string> out;
    for (const auto& g : kGlues) out.emplace_back(g.words);
    return out;
}

JointTimes jointTimes(const material::Library& library, const std::string& glue) {
    return {library.usual(glueOf(glue).hold), library.usual(glueOf(glue).bears)};
}

JointStrength jointStrength(const material::Library& library, const std::string& glue, double set) {
    const auto& c = library.strength.at(glueOf(glue).strength);
    const double share = std::clamp(set, 0.0, 1.0);
    return {c.value * share, c.low * share, c.high * share};
}

}  // namespace uovo::form
