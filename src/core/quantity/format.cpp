#include <fmt/format.h>

#include <algorithm>
#include <numeric>

#include "core/quantity/decimal.h"
#include "core/quantity/quantity.h"

namespace uovo {
namespace {

/// A number with `decimals` places, trailing zeros dropped, a true minus sign.
std::string plain(double v, int decimals) {
    std::string s = decimal(v, decimals);
    if (const char point = decimalPoint(); s.find(point) != std::string::npos) {
        while (s.back() == '0') s.pop_back();
        if (s.back() == point) s.pop_back();
    }
    if (s == "-0") s = "0";
    if (s.starts_with('-')) s = "−" + s.substr(1);
    return s;
}

std::string inchFraction(double inches, int parts) {
    const long n = std::lround(inches * parts);
    const long whole = n / parts;
    long top = n % parts;
    long bottom = parts;
    if (top == 0) return fmt::format("{} in", whole);
    const long g = std::gcd(top, bottom);
    top /= g;
    bottom /= g;
    return whole ? fmt::format("{} {}/{} in", whole, top, bottom) : fmt::format("{}/{} in", top, bottom);
}

std::string length(double m, UnitSystem system, Detail detail) {
    if (system == UnitSystem::US) {
        const double in = m / 0.0254;
        if (std::abs(in) < 0.5 || detail == Detail::Fine) return fmt::format("{} in", plain(in, 3));
        return inchFraction(in, 8);
    }
    const double mm = m * 1e3;
    if (std::abs(mm) < 9.95 || detail == Detail::Fine)
        return fmt::format("{} mm", decimal(mm, detail == Detail::Fine ? 2 : 1));
    if (std::abs(mm) < 10000) return fmt::format("{} mm", plain(mm, 0));
    return fmt::format("{} m", plain(m, 1));
}

std::string mass(double kg, UnitSystem system, Detail detail) {
    if (system == UnitSystem::US) {
        const double oz = kg / 0.028349523125;
        if (oz < 16) return fmt::format("{} oz", plain(oz, oz < 1 ? 2 : 1));
        const double whole = std::floor(std::round(oz * 2) / 2 / 16);
        const double rest = std::round((oz - whole * 16) * 2) / 2;
        return rest > 0 ? fmt::format("{:.0f} lb {} oz", whole, plain(rest, 1)) : fmt::format("{:.0f} lb", whole);
    }
    const double g = kg * 1e3;
    if (std::abs(g) < 9.95) return fmt::format("{} g", plain(g, 1));
    if (std::abs(g) < 999.5) return fmt::format("{} g", plain(g, detail == Detail::Fine ? 1 : 0));
    return fmt::format("{} kg", decimal(kg, detail == Detail::Fine ? 3 : 2));
}

std::string volume(double m3, UnitSystem system) {
    if (system == UnitSystem::US) {
        const double tbsp = m3 / 1.478676478125e-5;
        if (tbsp < 4) return fmt::format("{} tbsp", plain(std::round(tbsp * 2) / 2, 1));
        const double cups = m3 / 2.365882365e-4;
        return fmt::format("{} {}", plain(cups, 2), cups > 1.005 ? "cups" : "cup");
    }
    const double ml = m3 * 1e6;
    if (ml < 999.5) return fmt::format("{} ml", plain(ml, ml < 10 ? 1 : 0));
    return fmt::format("{} l", decimal(m3 * 1e3, 2));
}

std::string duration(double s) {
    if (s < 0) return "−" + duration(-s);
    if (s < 89.5) return fmt::format("{} s", plain(s, 0));
    if (const long fives = 5 * std::lround(s / 5); fives < 300 && fives % 60)  // "2 min 30 s" as bench people say it
        return fmt::format("{} min {} s", fives / 60, fives % 60);
    const long minutes = std::lround(s / 60);
    if (minutes < 60) return fmt::format("{} min", minutes);
    return minutes % 60 ? fmt::format("{} h {:02} min", minutes / 60, minutes % 60) : fmt::format("{} h", minutes / 60);
}

}  // namespace

std::string spoken(const Measure& m, Dimension dimension, UnitSystem system) {
    return m.typed.empty() ? format(m.value, dimension, system) : pointedHere(m.typed);
}

std::string format(double si, Dimension dimension, UnitSystem system, Detail detail) {
    if (!std::isfinite(si)) return "–";
    switch (dimension) {
        case Dimension::Length:
            return length(si, system, detail);
        case Dimension::Mass:
            return mass(si, system, detail);
        case Dimension::Volume:
            return volume(si, system);
        case Dimension::Temperature:
            return system == UnitSystem::US
                       ? fmt::format("{} °F", plain(fahrenheit(si), detail == Detail::Fine ? 1 : 0))
                       : fmt::format("{} °C", plain(si, 1));
        case Dimension::Duration:
            return duration(si);
        case Dimension::Percent:
            return fmt::format("{} %", plain(si * 100, detail == Detail::Fine ? 1 : 0));
        case Dimension::Count:
            return plain(si,
                         std::abs(si - std::round(si)) < 1e-9 || std::abs(si) >= 100 ? 0 : 1);  // turns may be halves
    }
    return {};
}

std::string formatBand(double si, double low, double high, Dimension dimension, UnitSystem system) {
    const std::string likely = format(si, dimension, system);
    const std::string a = format(low, dimension, system), b = format(high, dimension, system);
    if (!std::isfinite(low) || !std::isfinite(high) || a == b) return likely;
    // Drop the unit of the lower end when both ends share it: "1.6–3.0 mm".
    const auto unitOf = [](const std::string& s) { return s.substr(s.rfind(' ') + 1); };
    const bool simple = std::count(a.begin(), a.end(), ' ') == 1 && unitOf(a) == unitOf(b);
    return fmt::format("{} ({}–{})", likely, simple ? a.substr(0, a.rfind(' ')) : a, b);
}

std::string usualUnit(Dimension dimension, UnitSystem system) {
    const bool us = system == UnitSystem::US;
    switch (dimension) {
        case Dimension::Length:
            return us ? "in" : "mm";
        case Dimension::Mass:
            return us ? "oz" : "g";
        case Dimension::Volume:
            return us ? "cup" : "ml";
        case Dimension::Temperature:
            return us ? "°F" : "°C";
        case Dimension::Duration:
            return "min";
        case Dimension::Percent:
            return "%";
        case Dimension::Count:
            return "";
    }
    return {};
}

}  // namespace uovo
