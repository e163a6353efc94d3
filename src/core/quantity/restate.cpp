#include "core/quantity/restate.h"

#include <charconv>
#include <map>
#include <regex>

namespace uovo {

std::string restated(const std::string& metric, UnitSystem system) {
    if (system == UnitSystem::Metric) return metric;
    struct Unit {
        Dimension dimension;
        double si;
    };
    static const std::map<std::string, Unit> kUnits{
        {"mm", {Dimension::Length, 1e-3}}, {"cm", {Dimension::Length, 1e-2}},  {"m", {Dimension::Length, 1}},
        {"ml", {Dimension::Volume, 1e-6}}, {"l", {Dimension::Volume, 1e-3}},   {"g", {Dimension::Mass, 1e-3}},
        {"kg", {Dimension::Mass, 1}},      {"°C", {Dimension::Temperature, 1}}};
    // a number or two, "20 and 60", and a unit that is not part of a longer one
    static const std::regex kFigure(
        R"((\d+(?:\.\d+)?)(?:( and | to |–)(\d+(?:\.\d+)?))? (mm|cm|ml|kg|°C|m|l|g)(?![A-Za-z0-9/²³]))");
    std::string out;
    auto from = metric.cbegin();
    for (std::sregex_iterator it(metric.begin(), metric.end(), kFigure), end; it != end; ++it) {
        const auto& found = *it;
        const Unit unit = kUnits.at(found[4].str());
        const auto said = [&](const std::string& number) {
            double value = 0;
            std::from_chars(number.data(), number.data() + number.size(), value);
            return format(value * unit.si, unit.dimension, system);
        };
        out.append(from, found[0].first);
        out += said(found[1].str());
        if (found[2].matched) out += found[2].str() + said(found[3].str());
        from = found[0].second;
    }
    return out.append(from, metric.cend());
}

}  // namespace uovo
