// The five lessons, each begun by `lesson::begin`.
#pragma once
#include "core/lesson/lesson.h"

namespace uovo::lesson {

std::unique_ptr<Lesson> tempering(const material::Library& library, UnitSystem units);
std::unique_ptr<Lesson> keeping(const material::Library& library, UnitSystem units);
std::unique_ptr<Lesson> pouring(const material::Library& library, UnitSystem units);
std::unique_ptr<Lesson> releasing(const material::Library& library, UnitSystem units);
std::unique_ptr<Lesson> gluing(const material::Library& library, UnitSystem units);

/// A chocolate of the library as it is bought, tempered or not.
material::Coating plainCoating(const material::Library& library, const std::string& id,
                               material::Temper temper = material::Temper::Tempered);
/// How it falls from a whisk: Look::ribbon. By its yield stress beside that of well tempered chocolate at its working
/// temperature.
double ribbonOf(const material::Coating& coating, double celsius, double crystals);
/// m of chocolate that stays on an upright wall: what the yield stress holds, `τ₀/ρg`, and what has not yet run off a
/// height in some seconds, `√(ηL/ρgt)` (Jeffreys 1930, from memory).
double drained(const material::Coating& coating, double celsius, double crystals, double height, double seconds);

}  // namespace uovo::lesson
