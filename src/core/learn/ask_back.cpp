#include "core/learn/ask_back.h"

#include <cmath>
#include <utility>

namespace uovo::learn {

std::optional<Doubt> askBack(double typed, double expected, double sd, bool counts) {
    if (!(typed > 0) || !(expected > 0) || !(sd > 0)) return std::nullopt;
    const auto off = [&](double value) { return std::log(value / expected) / sd; };
    Doubt out;
    out.z = off(typed);
    if (std::abs(out.z) <= kAsks) return std::nullopt;
    constexpr double kOunce = 28.349523125;
    const std::pair<Slip, double> slips[] = {{Slip::TenTooMuch, 0.1}, {Slip::TenTooLittle, 10}, {Slip::Ounces, kOunce},
                                             {Slip::Both, 0.5},       {Slip::Half, 2},          {Slip::Thousand, 1000}};
    double best = kAsks;
    for (const auto& [slip, factor] : slips) {
        if (!counts && (slip == Slip::Both || slip == Slip::Half)) continue;
        const double z = std::abs(off(typed * factor));
        if (z >= best) continue;
        best = z;
        out.slip = slip;
        out.meant = typed * factor;
    }
    return out;
}

}  // namespace uovo::learn
