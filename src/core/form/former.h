// The formers a piece can be made over or in, from what a person can measure.
#pragma once
#include <string>
#include <tl/expected.hpp>
#include <vector>

#include "core/form/meridian.h"
#include "core/quantity/quantity.h"

namespace uovo::form {

/// A balloon dipped in chocolate, fat end down.
struct Balloon {
    Measure girth = 0.44;   ///< tape round the widest place, m
    Measure length = 0.16;  ///< from knot end to crown, m
    Measure dip = 0.08;     ///< depth under the dip line, m
    Measure pear = 0.2;     ///< 0 an ellipsoid, 0.2 a party balloon, up to 0.3
    bool operator==(const Balloon&) const = default;
};

/// A paper, plastic or silicone cup coated inside.
struct Cup {
    Measure baseDiameter = 0.045;  ///< inside, m
    Measure topDiameter = 0.065;
    Measure height = 0.05;
    Measure corner = 0.004;   ///< radius between floor and wall
    Measure fillLine = 0.05;  ///< height up to which the wall is coated
    bool operator==(const Cup&) const = default;
};

/// Meridian of the coated part, pole at z = 0.
/// @returns the curve, or a sentence naming the field that is impossible
tl::expected<Meridian, Problem> meridian(const Balloon& balloon);
tl::expected<Meridian, Problem> meridian(const Cup& cup);

/// Meridian of the whole balloon, for drawing it, for the shelf and the pot.
tl::expected<Meridian, Problem> wholeMeridian(const Balloon& balloon);

/// Pear: `r = R sin t (1 + e cos t)`, `z = -a cos t`; the largest radius belongs to cos t = (√(1+8e²) - 1)/(4e).
/// @returns R for a balloon whose largest radius is girth/2π
double pearRadius(double girth, double pear);

/// A sphere cap of radius R and height h, pole first; exported for verification.
Meridian sphereCap(double R, double h, Side side);
/// An ellipsoid of half axes R (across) and a (along), whole.
Meridian ellipsoid(double R, double a, Side side);

}  // namespace uovo::form
