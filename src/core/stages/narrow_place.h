// What the narrow place of a cut outline bears when the plate is taken up.
#pragma once
#include "core/cutting/narrow.h"
#include "core/stages/strength.h"

namespace uovo {

struct NarrowPlace {
    double hangs = 0;                          ///< kg beyond it
    double bears = 0;                          ///< times that, lifted flat by a hand that jerks
    double mean = 0;                           ///< Pa, the chocolate's strength
    bool holds() const { return bears >= 3; }  ///< less breaks in a hand now and then
};

/// Bending of a bar as wide as the narrow place (docs/models.md, "Templates"). @param thickness m, of the plate
NarrowPlace narrowPlace(const cutting::Narrow& narrow, double thickness, const std::string& chocolate, const Plan& plan,
                        const material::Library& library);

}  // namespace uovo
