// How one pot of chocolate is tempered: steps with grams, degrees, minutes, and what to see without a thermometer.
#pragma once
#include <string>
#include <tl/expected.hpp>
#include <vector>

#include "core/temper/heat_balance.h"

namespace uovo::temper {

/// The schools: a third of solid chocolate stirred in; a percent of cocoa-butter crystals; melt, cool and warm; melted
/// only in part; a stirring machine; none (compound, or pieces kept cold).
enum class Method { Seed, Butter, Curve, Bursts, Machine, None };
enum class Vessel { Light, Glass, Stoneware };  ///< plastic or thin metal; glass; heavy stoneware
enum class Heat { Microwave, WaterBath };

/// How a person melts one chocolate.
struct Choice {
    Method method = Method::Seed;
    Vessel vessel = Vessel::Light;
    bool freshBowl = false;  ///< poured into another bowl, at room temperature, before it is seeded
    Heat heat = Heat::Microwave;
    double watts = 800;   ///< of the microwave
    bool byLook = false;  ///< no thermometer
    std::string extra;    ///< keys of a file that this version does not know, a JSON object or empty
    bool operator==(const Choice&) const = default;
};

double capacityOf(Vessel vessel);  ///< J/K, from memory

struct Step {
    std::string title;                      ///< "Melt 246 g"
    std::string words;                      ///< what to do
    std::string look;                       ///< what is seen when it is right
    double celsius = 0, low = 0, high = 0;  ///< °C at its end, and what is still right; NaN where none is asked
    double grams = 0;                       ///< kg that go in
    double seconds = 0;
};

/// A point of the curve.
struct Point {
    double seconds = 0, celsius = 0;
    size_t step = 0;
};

struct TemperPlan {
    std::vector<Step> steps;
    std::vector<Point> curve;
    std::vector<double> bursts;  ///< s of the microwave, for the melt
    double melt = 0, seed = 0;   ///< kg
    double third = 0;            ///< °C that a third of seed would land at
    double lumps = 0;            ///< share of the seed that is still solid at the end
    double seconds = 0;          ///< until it is ready
    double window = 0;           ///< s that it stays usable
    double keeps = 0;            ///< s that one bowl serves when it is re-warmed, fed or kept warm by its machine
    double rewarmEvery = 0, rewarmFor = 0;    ///< s: a burst that lengthens it; 0: none
    double tooWarmSeed = 0, tooWarmWait = 0;  ///< two degrees too warm: kg more seed, or s of waiting
    std::vector<std::string> warnings;
};

/// Plans the tempering of `mass` kg.
/// @param room °C, of the kitchen and of the seed @param units of the sentences
/// @returns steps, or why there are none (no mass, seed colder than the freezer, scorch)
tl::expected<TemperPlan, Problem> plan(const Coating& coating, const material::Constants& physics, const Choice& choice,
                                       double mass, double room, UnitSystem units);

}  // namespace uovo::temper
