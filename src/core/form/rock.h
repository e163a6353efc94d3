// A stone made by code: a sphere pushed in and out by smooth noise, flattened where it lies.
#pragma once
#include "core/form/mesh.h"

namespace uovo::form {

/// @param size largest width, m @param seed another stone for another number
Mesh rock(double size, unsigned seed, int subdivisions = 4);

}  // namespace uovo::form
