#include "core/cutting/box_net.h"

#include <algorithm>

namespace uovo::cutting {

BoxNet boxNet(const form::Vec3& inside, double flap) {
    const double l = inside.x, w = inside.y, h = inside.z, f = std::min({flap, 0.5 * l, 0.5 * h});
    BoxNet out;
    out.inside = inside;
    out.flap = f;
    // floor from (0, 0) to (l, w); walls at its four sides; tongues at the ends of the walls in front and behind
    const double cut = std::min(0.4 * f, 0.2 * h);  // tongues are narrower at their ends
    out.outline = {{0, 0},
                   {-f, -cut},
                   {-f, -h + cut},
                   {0, -h},
                   {l, -h},
                   {l + f, -h + cut},
                   {l + f, -cut},
                   {l, 0},
                   {l + h, 0},
                   {l + h, w},
                   {l, w},
                   {l + f, w + cut},
                   {l + f, w + h - cut},
                   {l, w + h},
                   {0, w + h},
                   {-f, w + h - cut},
                   {-f, w + cut},
                   {0, w},
                   {-h, w},
                   {-h, 0}};
    out.folds = {{{{0, 0}, {l, 0}}},  {{{l, 0}, {l, w}}},  {{{l, w}, {0, w}}},     {{{0, w}, {0, 0}}},
                 {{{0, -h}, {0, 0}}}, {{{l, -h}, {l, 0}}}, {{{l, w}, {l, w + h}}}, {{{0, w}, {0, w + h}}}};
    return out;
}

std::vector<form::Vec3> foldedUp(const BoxNet& net) {
    const double l = net.inside.x, w = net.inside.y;
    std::vector<form::Vec3> out;
    for (const auto& [x, y] : net.outline) {
        const bool front = y<0, back = y> w;
        if (front || back) {
            const double z = front ? -y : y - w, wall = front ? 0 : w, along = front ? 1 : -1;
            // a tongue goes round the corner onto the wall at the end
            if (x < 0) out.push_back({0, wall - along * x, z});
            else if (x > l) out.push_back({l, wall + along * (x - l), z});
            else out.push_back({x, wall, z});
        } else if (x < 0) {
            out.push_back({0, y, -x});
        } else if (x > l) {
            out.push_back({l, y, x - l});
        } else {
            out.push_back({x, y, 0});
        }
    }
    return out;
}

}  // namespace uovo::cutting
