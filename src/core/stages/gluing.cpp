#include "core/stages/gluing.h"

#include <algorithm>

#include "core/form/joint.h"

namespace uovo {

std::vector<ToldStep> toldSteps(const assembly::Order& order) {
    std::vector<ToldStep> out;
    std::vector<char> told(order.groups.size(), 0);
    for (size_t k = 0; k < order.steps.size(); ++k) {
        const auto& parts = order.steps[k].parts;
        if (parts.size() > 1)
            for (size_t g = 0; g < order.groups.size(); ++g) {
                const auto& group = order.groups[g];
                if (told[g] || group.steps.empty() ||
                    std::ranges::find(parts, group.steps.front().parts.front()) == parts.end())
                    continue;
                told[g] = 1;
                for (size_t j = 0; j < group.steps.size(); ++j) out.push_back({&group, j, true});
            }
        out.push_back({&order, k, false});
    }
    return out;
}

std::vector<Gluing> gluings(const Made& made, const PutTogether* together, const material::Library& lib) {
    const double place = lib.tasks.at("join").seconds.value, along = lib.usual("jointAlong"),
                 prop = lib.usual("propUp");
    std::vector<Gluing> out;
    if (!together || !together->problem.empty() || together->order.steps.empty()) {
        const size_t parts = made.assembly.items.size();
        out.push_back({0, std::max<size_t>(1, parts) - 1, place * double(parts), 0});
        for (const auto& j : made.assembly.joints)
            out.back().hands += along * j.length + form::jointTimes(lib, j.glue).hold;
        return out;
    }
    const auto told = toldSteps(together->order);
    double bears = 0;  // s, of the glue that was used last
    for (size_t n = 0; n < told.size(); ++n) {
        const auto& s = told[n].order->steps[told[n].step];
        const bool group = s.parts.size() > 1;  // it is carried: what holds it together bears
        if (out.empty() || ((s.waits || group) && bears > 0)) {
            out.push_back({n, n, 0, out.empty() ? 0 : bears});
            bears = 0;
        }
        Gluing& now = out.back();
        now.last = n;
        now.hands += place + prop * double(s.props.size());
        double hold = 0;
        for (const size_t g : s.glues) {
            now.hands += along * made.assembly.joints[together->joints[g]].length;
            hold = std::max(hold, together->glues[g].hold);
            bears = std::max(bears, together->glues[g].set);
        }
        if (s.way == assembly::OrderStep::Way::Hold) now.hands += hold;
    }
    return out;
}

double waitBetween(const Gluing& before, const Gluing& after, int pieces) {
    return std::max(0.0, after.wait - std::max(0, pieces - 1) * std::min(before.hands, after.hands));
}

}  // namespace uovo
