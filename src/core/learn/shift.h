// How a kitchen, its chocolate and its cook may differ from the book.
#pragma once
#include <Eigen/Core>

#include "core/document/plan.h"

namespace uovo::learn {

/// What is learned of. Logarithms of multiples, but for the two temperatures, in kelvin.
enum class Of {
    Yield,      ///< of the bag: its yield stress
    Viscosity,  ///< … its viscosity
    Growth,     ///< … how fast its crystals grow
    Seed,       ///< of the evening: crystals when it was tempered
    FridgeAir,  ///< of the kitchen: how well the fridge's air takes heat
    Fridge,     ///< … K that the fridge is warmer than it says
    Ladle,      ///< of the cook: K that the chocolate is warmer than it is said to be when a coat goes on
    Wait        ///< … draining and waiting, longer than it is said
};
inline constexpr int kShifts = 8;

/// Parameters of a model run, in the order of Of.
using Shift = Eigen::Matrix<double, kShifts, 1>;

/// sd of each before anything is measured: data/learning.json.
Shift shiftSds(const material::Library& library);

/// A plan that counts on what is learned of its chocolate `id` and its kitchen: they are its own figures then. Evening
/// and cook are left as they are said. Ends where no plan is refused.
void countOn(const Shift& shift, const std::string& chocolate, Plan& plan, const material::Library& library);

/// A plan and a library as they are there: the chocolate `id` of the plan, its kitchen, its coats.
/// Of a compound the seed is not made by a cook: it stays.
void apply(const Shift& shift, const std::string& chocolate, Plan& plan, material::Library& library);

}  // namespace uovo::learn
