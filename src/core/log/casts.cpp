#include "core/log/casts.h"

#include <algorithm>

#include "core/stages/own_molds.h"

namespace uovo::log {
namespace {

bool sameModel(const std::string& name, const Plan& a, const Plan& b) {
    const auto one = a.meshes.find(name), other = b.meshes.find(name);
    if (one == a.meshes.end() || other == b.meshes.end()) return one == a.meshes.end() && other == b.meshes.end();
    return one->second == other->second || *one->second == *other->second;
}

bool sameOriginal(const Piece& p, const Plan& inPlan, const Piece& q, const Plan& inOther) {
    return p.shape == q.shape && sameModel(p.shape.mesh, inPlan, inOther) &&
           std::ranges::all_of(p.shape.items,
                               [&](const auto& item) { return sameModel(item.part.mesh, inPlan, inOther); });
}

}  // namespace

std::map<std::string, Casts> castsOf(const std::vector<Evening>& evenings, const Plan& plan) {
    std::map<std::string, Casts> out;
    for (const auto& p : plan.pieces) {
        if (!takesOwnMolds(p)) continue;
        Casts casts;
        for (const auto& e : evenings) {
            const auto counts = e.counts();
            int made = 0;
            for (const auto& q : e.plan.pieces) {
                if (!sameOriginal(q, e.plan, p, plan)) continue;
                const auto said = counts.find(q.id);
                const int begun = said == counts.end() ? q.count : said->second.of,
                          molds = std::max(1, q.molds > 0 ? q.molds : q.count);
                made += (begun + molds - 1) / molds;
            }
            if (made == 0) continue;
            casts.each += made;
            ++casts.evenings;
            casts.last = std::max(casts.last, e.date);
        }
        if (casts.each > 0) out[p.id] = casts;
    }
    return out;
}

}  // namespace uovo::log
