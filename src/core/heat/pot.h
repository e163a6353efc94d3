// A pot of tempered chocolate: what it loses to the room, and how long it stays usable.
#pragma once
#include "core/heat/crystal.h"

namespace uovo::heat {

/// Loss of a pot of chocolate to the room, W/K, growing with mass^(2/3).
double potLoss(const material::Constants& physics, double mass, bool stirred);

/// How long a pot of tempered chocolate stays usable without being warmed again: until the crystal fraction reaches
/// `windowFraction`. `(M c + C_b) dT/dt = -UA (T - T_room) + M L dX/dt`.
/// @returns s, at most four hours
double batchWindow(const material::Coating& coating, const material::Constants& physics, double mass,
                   double bowlCapacity, double start, double room);

}  // namespace uovo::heat
