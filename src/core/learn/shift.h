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

/// A plan that counts on what is learned of its chocolate `id` and its fridge's air: they are its own figures then,
/// whatever they were. Evening, cook and the fridge's degrees are left as they are said. Ends where no plan is refused.
/// @param source of the figures, as workings name it; empty: they are a person's own
void countOn(const Shift& shift, const std::string& chocolate, Plan& plan, const material::Library& library,
             const std::string& source = {});

/// The shift by which a plan's own figures differ from the book; zero where it has none.
Shift ownOf(const Plan& plan, const std::string& chocolate, const material::Library& library);

/// A plan and a library as they are there: the chocolate `id` of the plan, its kitchen, its coats. A shift is from the
/// book: the plan's own figures go. Of a compound the seed is not made by a cook: it stays.
void apply(const Shift& shift, const std::string& chocolate, Plan& plan, material::Library& library);

}  // namespace uovo::learn
