// A free body's balance: what holds it gives back its load, and its own motion is told from its bending.
#pragma once
#include <vector>

#include "core/shell/system.h"

namespace uovo::shell {

/// Adds forces on some corners, spread evenly and by a turn, so that they balance a load: what a hand, a ring or a foot
/// gives back.
void balance(const Model& model, const std::vector<int>& on, Freedoms& load);

/// Shifts of each corner, m, without the motion of the whole.
std::vector<form::Vec3> deformed(const Model& model, const Freedoms& shifts);

}  // namespace uovo::shell
