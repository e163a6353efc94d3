#include "core/form/joint.h"

#include <algorithm>

#include "core/material/material.h"

namespace uovo::form {
namespace {

struct Glue {
    const char *words, *constant;
};
constexpr Glue kGlues[]{{"melted chocolate", "jointAsIs"},     {kScored, "jointScored"},
                        {"melted edges", "jointMelted"},       {"glue and cold spray", "jointSprayed"},
                        {"modeling chocolate", "jointCollar"}, {"icing or syrup", "jointIcing"}};

}  // namespace

std::vector<std::string> glues() {
    std::vector<std::string> out;
    for (const auto& g : kGlues) out.emplace_back(g.words);
    return out;
}

JointStrength jointStrength(const material::Library& library, const std::string& glue, double set) {
    const auto* g = std::find_if(std::begin(kGlues), std::end(kGlues), [&](const Glue& x) { return glue == x.words; });
    const auto& c = library.strength.at((g == std::end(kGlues) ? kGlues[0] : *g).constant);
    const double share = std::clamp(set, 0.0, 1.0);
    return {c.value * share, c.low * share, c.high * share};
}

}  // namespace uovo::form
