#include "core/coat/blemish.h"

#include <algorithm>

namespace uovo::coat {

std::vector<Blemish> blemishes(const Surface& s, const std::vector<double>& wall, bool pouredFirst) {
    using Kind = Blemish::Kind;
    constexpr double kLeast = 1e-6;  // m²: a square millimetre
    const auto is = [&](Kind kind, size_t i) {
        if (kind == Kind::Bare) return wall[i] < kBare;
        // the tighter of the two principal curvatures, k = H − √(H² − K), bends round the chocolate
        return pouredFirst && s.mean[i] - std::sqrt(std::max(0.0, s.mean[i] * s.mean[i] - s.gauss[i])) < -1 / kTight;
    };
    std::vector<Blemish> out;
    for (const Kind kind : {Kind::Bare, Kind::Groove}) {
        std::vector<char> seen(s.size(), 0);
        for (size_t start = 0; start < s.size(); ++start) {
            if (seen[start] || !is(kind, start)) continue;
            Blemish b{kind, {}, 0, 0, {}};
            std::vector<size_t> open{start};
            seen[start] = 1;
            while (!open.empty()) {
                const size_t i = open.back();
                open.pop_back();
                b.at += s.at[i] * s.area[i];
                b.area += s.area[i];
                b.corners.push_back(s.corner[i]);
                for (size_t l = s.link[i]; l < s.link[i + 1]; ++l)
                    if (const auto j = static_cast<size_t>(s.to[l]); !seen[j] && is(kind, j)) {
                        seen[j] = 1;
                        open.push_back(j);
                    }
            }
            b.at = b.at * (1 / b.area);
            if (b.area > kLeast) out.push_back(b);
        }
    }
    std::stable_sort(out.begin(), out.end(), [](const Blemish& a, const Blemish& b) {
        return a.kind != b.kind ? a.kind < b.kind : a.area > b.area;
    });
    return out;
}

}  // namespace uovo::coat
