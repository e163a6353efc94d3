// The upright rectangle round an outline.
#pragma once
#include <algorithm>
#include <limits>

#include "core/form/outline.h"

namespace uovo::form {

struct OutlineBox {
    Point2 low{std::numeric_limits<double>::infinity(), std::numeric_limits<double>::infinity()};
    Point2 high{-std::numeric_limits<double>::infinity(), -std::numeric_limits<double>::infinity()};
    double width() const { return high[0] - low[0]; }
    double height() const { return high[1] - low[1]; }
    Point2 middle() const { return {0.5 * (low[0] + high[0]), 0.5 * (low[1] + high[1])}; }
    void add(const Loop& loop) {
        for (const auto& p : loop)
            for (size_t i = 0; i < 2; ++i) {
                low[i] = std::min(low[i], p[i]);
                high[i] = std::max(high[i], p[i]);
            }
    }
};

inline OutlineBox boxOf(const Loop& loop) {
    OutlineBox box;
    box.add(loop);
    return box;
}

}  // namespace uovo::form
