// Heat in the bowl: what melting takes, where seeding lands, how long cooling lasts. docs/models.md, "Tempering".
#pragma once
#include <string>
#include <vector>

#include "core/heat/crystal.h"

namespace uovo::temper {

using material::Coating;

inline constexpr double kByBursts = 1.0;  ///< kg that short bursts keep even in one bowl: judgement; more is fed

/// Heat in chocolate whose fat is melted as far as it is in equilibrium, J/kg above 0 °C:
/// `H = c_s T + (c_l − c_s) ∫ m dT + L m(T)`, exact on the piecewise straight melting curve.
double enthalpy(const Coating& c, double celsius);

/// What holds the chocolate. Capacity in J/K; 0: so light that it does not matter.
struct Bowl {
    double capacity = 0, celsius = 20;
};

/// A molten batch into which solid chocolate is stirred.
struct Seeding {
    double melt = 0.2, celsius = 45;      ///< kg molten, °C
    double seed = 0.1, seedCelsius = 20;  ///< kg solid
    Bowl bowl;
    double lost = 0;  ///< J to the room meanwhile
};

/// Where it settles, °C: `m₁ c_l (T₀ − T) + C_b (T_b − T) − Q = m_s [H(T) − H(T_s)]`.
double settles(const Coating& c, const Seeding& s);
/// Share of the seed that is melted then.
double seedMelted(const Coating& c, const Seeding& s);
/// Solid chocolate, kg, that brings `s.melt` to `target`; infinite when none does.
double seedFor(const Coating& c, const Seeding& s, double target);
/// Most seed, kg, that still melts wholly: with more, lumps are left.
double mostMelted(const Coating& c, const Seeding& s);

/// J to warm chocolate and its bowl.
double heatUp(const Coating& c, double mass, double from, double to, const Bowl& bowl);
/// Bursts of a microwave, s, long at first and short at the end, that bring `joules` in.
/// @param watts rated @param share of it that gets into the chocolate
std::vector<double> bursts(double joules, double watts, double share, double most, double least);
/// "5 bursts of 100 s, then 60, 36 and 21 s": those that are about as long as the first are counted.
std::string burstsInWords(const std::vector<double>& seconds);

/// s in which a batch cools by itself without setting: `(M c_l + C_b) dT/dt = −UA (T − T_room)`; infinite when the room
/// is too warm.
double coolsIn(const Coating& c, const material::Constants& physics, double mass, const Bowl& bowl, double from,
               double to, double room, bool stirred);

}  // namespace uovo::temper
