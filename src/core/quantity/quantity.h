// What people type and read: lengths, masses, volumes, temperatures and times with any unit.
#pragma once
#include <cmath>
#include <string>
#include <string_view>
#include <tl/expected.hpp>
#include <vector>

namespace uovo {

/// Standard acceleration of free fall, m/s² (3rd CGPM, 1901). The only one in the program.
inline constexpr double kGravity = 9.80665;

enum class Dimension { Length, Mass, Volume, Temperature, Duration, Percent, Count };
enum class UnitSystem { Metric, US };

/// Why something cannot be done, in a sentence for the person who asked.
struct Problem {
    std::string sentence;
    std::string where = {};  ///< what it is about: a plan path such as "pieces/crater-bowl/former/girth", or empty
    int line = 0;            ///< line of a file, 1 first; 0 when there is none
};

/// A figure as a person gave it. SI inside: m, kg, m³, °C, s, fraction, count.
struct Measure {
    double value = 0;
    double spread = 0;  ///< half width of what it may really be, same unit; 0 when measured with an instrument
    std::string typed;  ///< the words as typed, kept with the file; empty when a default or dragged
    std::string extra;  ///< keys of a file that this version does not know, a JSON object or empty

    Measure() = default;
    Measure(double v) : value(v) {}  // NOLINT: a bare number is a measure
    bool operator==(const Measure&) const = default;
};

/// Why a text is not a quantity, and where: `position` counts characters (not bytes) from 0.
struct TypingProblem {
    std::string sentence;
    int position = 0;
};

/// Words that stand for a quantity when there is no instrument: "falls in a ribbon", "two bars".
struct Look {
    std::string phrase;
    Dimension dimension = Dimension::Temperature;
    double value = 0;  ///< SI; for temperatures relative to the chocolate's working temperature
    double spread = 0;
    bool perBar = false;     ///< value counts bars of the chocolate in use
    bool perPacket = false;  ///< value counts its packets
};

/// What a bare number means in a field, and what words may be used in it.
struct TypingContext {
    Dimension dimension = Dimension::Length;
    std::string bareUnit;  ///< unit of a number typed without one, such as "mm"
    bool metricCup = false;
    const std::vector<Look>* looks = nullptr;
    double workingTemperature = 31.5;  ///< °C, what looks are relative to
    double barMass = 0.1;              ///< kg
    double packetMass = 0.2;           ///< kg
    bool fractions = false;            ///< a count need not be whole (turns of a spiral)
    bool comma = false;                ///< "1,234" is a little over one; else it could be a thousand and is refused
};

/// Reads what a person typed. Accepts decimal comma or point, "5 1/2 in", "1/8\"", "1½ lb", "1 h 15", "114 °F",
/// "1:15", the words of `context.looks`, and counts spelled out up to twelve.
tl::expected<Measure, TypingProblem> parseMeasure(std::string_view text, const TypingContext& context);

/// Factor from a unit to SI (temperatures excluded), or NaN when the unit is not known in that dimension.
double unitFactor(std::string_view unit, Dimension dimension, bool metricCup = false);

double fahrenheit(double celsius);
double celsius(double fahrenheit);

enum class Detail { Normal, Fine };

/// SI value as people speak: "138 mm", "5 3/8 in", "1.83 kg", "31.5 °C", "1 h 15 min". "–" when not finite.
std::string format(double si, Dimension dimension, UnitSystem system, Detail detail = Detail::Normal);
/// As a person said it, with this country's decimal mark; what nobody said, as people speak.
std::string spoken(const Measure& measure, Dimension dimension, UnitSystem system);

/// "2.2 mm (1.6–3.0)": the likely value with its range, or the bare value when the range is empty.
std::string formatBand(double si, double low, double high, Dimension dimension, UnitSystem system);

/// The unit a bare number has in this dimension and system ("mm" or "in").
std::string usualUnit(Dimension dimension, UnitSystem system);

}  // namespace uovo
