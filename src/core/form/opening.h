// A hole that is melted into a ball on a warm plate: the cap it takes off, and what goes through it.
#pragma once
#include <algorithm>
#include <cmath>

#include "core/form/part.h"

namespace uovo::form {

struct Opening {
    double radius = 0, across = 0;  ///< m: of the ball, and of the hole outside
    double height = 0;              ///< m, of the cap: R − √(R² − r²)

    explicit Opening(const Part& ball)
        : radius(figure(ball, "diameter") / 2),
          across(figure(ball, kOpening)),
          height(radius - std::sqrt(std::max(0.0, radius * radius - across * across / 4))) {}
    double from() const {
        return 2 * radius - height;
    }  ///< m, height over the ball's lowest point where the cap begins
    double area() const { return 2 * M_PI * radius * height; }  ///< m²
    /// Clear width in m: the plane cuts the inner face in a smaller circle; 0 where the cap is lower than the wall is
    /// thick.
    double inside(double wall) const {
        const double plane = radius - height, inner = radius - wall;
        return inner > plane ? 2 * std::sqrt(inner * inner - plane * plane) : 0;
    }
    /// Width in m that must be melted for a wall to be open at all.
    double least(double wall) const { return 2 * std::sqrt(radius * radius - (radius - wall) * (radius - wall)); }
};

}  // namespace uovo::form
