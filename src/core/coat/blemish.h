// Where a coat is likely to have holes: places that stay bare, and grooves that shut air in.
#pragma once
#include "core/coat/surface.h"

namespace uovo::coat {

inline constexpr double kBare = 1e-4;  ///< m: a thinner wall is bare
inline constexpr double kTight =
    0.004;  ///< m: a groove narrower than this radius, 8 mm across, shuts air in (judgement)

struct Blemish {
    enum class Kind { Bare, Groove } kind = Kind::Bare;
    form::Vec3 at;             ///< m, its middle
    double area = 0;           ///< m²
    size_t part = 0;           ///< index of the assembly's item
    std::vector<int> corners;  ///< of the mesh that lie in it
};

/// Connected places, the largest first.
/// @param wall m a cell @param pouredFirst the first coat runs in by itself; a brushed one fills grooves
std::vector<Blemish> blemishes(const Surface& surface, const std::vector<double>& wall, bool pouredFirst);

}  // namespace uovo::coat
