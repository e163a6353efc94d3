#include "core/mold/box_pour.h"

namespace uovo::mold {

void split(double volume, const Silicone& s, BoxPour& out) {
    if (s.byMass) {  // V = mA/ρA + mB/ρB with mA : mB = a : b
        const double unit = volume / (s.partsA / s.densityA + s.partsB / s.densityB);
        out.massA = s.partsA * unit;
        out.massB = s.partsB * unit;
        out.volumeA = out.massA / s.densityA;
        out.volumeB = out.massB / s.densityB;
    } else {
        out.volumeA = volume * s.partsA / (s.partsA + s.partsB);
        out.volumeB = volume - out.volumeA;
        out.massA = out.volumeA * s.densityA;
        out.massB = out.volumeB * s.densityB;
    }
}

BoxPour boxPour(const form::Vec3& size, double volume, double wall, const Silicone& silicone) {
    BoxPour b;
    b.inside = {size.x + 2 * wall, size.y + 2 * wall, size.z + wall};
    b.original = volume;
    b.silicone = (b.inside.x * b.inside.y * b.inside.z - volume) * (1 + silicone.spare);
    split(b.silicone, silicone, b);
    return b;
}

}  // namespace uovo::mold
