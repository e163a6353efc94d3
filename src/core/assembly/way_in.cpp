#include "core/assembly/way_in.h"

#include <algorithm>
#include <cmath>
#include <limits>
#include <optional>

#include "core/assembly/slide.h"

namespace uovo::assembly {

WaysIn::WaysIn(const std::vector<Body>& bodies, double seat) : n_(bodies.size()), over_(n_ * n_, 0), room_(n_ * n_) {
    std::vector<form::Box> boxes;
    boxes.reserve(n_);
    for (const auto& b : bodies) boxes.push_back(form::bounds(b.solid));
    for (size_t o = 0; o < n_; ++o) {
        std::optional<form::NearMesh> outer;
        for (size_t i = 0; i < n_; ++i) {
            const auto &a = boxes[o], &b = boxes[i];
            // only what reaches beyond it to all sides and above can close over it
            if (o == i || a.low.x > b.low.x || a.high.x < b.high.x || a.low.y > b.low.y || a.high.y < b.high.y ||
                a.high.z < b.high.z || a.low.z > b.high.z)
                continue;
            if (!outer) outer.emplace(bodies[o].solid);
            Room room{freeWay(bodies[i].solid, *outer, kUp, seat), std::numeric_limits<double>::infinity()};
            bool closed = std::isfinite(room.above);
            for (const Way& way : {kRight, kLeft, kBack, kFront}) {
                if (!closed) break;
                const double gap = freeWay(bodies[i].solid, *outer, way, seat);
                closed = std::isfinite(gap);
                room.beside = std::min(room.beside, gap);
            }
            over_[o * n_ + i] = closed;
            room_[o * n_ + i] = {std::max(0.0, room.above), std::max(0.0, room.beside)};
        }
    }
}

}  // namespace uovo::assembly
