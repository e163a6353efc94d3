#include "core/learn/pace.h"

#include <cmath>

namespace uovo::learn {

Pace paceOf(const std::vector<Timed>& timed, const PaceSds& sds) {
    struct Sum {
        double weight = 0, value = 0;
        size_t many = 0;
    };
    std::map<std::string, Sum> kinds;
    Pace out;
    out.sds = sds;
    for (const auto& t : timed) {
        if (!(t.book > 0) || !(t.took > 0)) continue;
        const double rounded = sds.rounded / t.book, w = 1 / (sds.scatter * sds.scatter + rounded * rounded);
        auto& k = kinds[t.kind];
        k.weight += w;
        k.value += w * std::log(t.took / t.book);
        ++k.many;
        ++out.timed;
    }
    double precision = 1 / (sds.cook * sds.cook), sum = 0;
    for (const auto& [kind, k] : kinds) {
        const double v = sds.kind * sds.kind + 1 / k.weight;
        precision += 1 / v;
        sum += k.value / k.weight / v;
    }
    out.cook = sum / precision;
    out.cookSd = std::sqrt(1 / precision);
    for (const auto& [kind, k] : kinds) {
        const double share = sds.kind * sds.kind / (sds.kind * sds.kind + 1 / k.weight);
        // of cook + b: (1 − share) of the cook's own doubt, and what the kind's timings leave open
        const double open = sds.kind * sds.kind * (1 - share);
        out.kinds[kind] = {share * (k.value / k.weight - out.cook),
                           std::sqrt((1 - share) * (1 - share) * out.cookSd * out.cookSd + open), k.many};
    }
    return out;
}

double Pace::sdOf(const std::string& kind) const {
    const auto it = kinds.find(kind);
    return it != kinds.end() ? it->second.sd : std::hypot(cookSd, sds.kind);
}

double Pace::median(const std::string& kind) const {
    const auto it = kinds.find(kind);
    return std::exp(cook + (it != kinds.end() ? it->second.more : 0));
}

double Pace::planned(const std::string& kind) const {
    const double s = sdOf(kind);
    return median(kind) * std::exp(s * s / 2);
}

bool Pace::isTold() const {
    constexpr double kBeyond = 1.3;  // sds
    return timed >= kTold && std::abs(cook) > kBeyond * cookSd;
}

}  // namespace uovo::learn
