#include <algorithm>
#include <cassert>
#include <cmath>
#include <limits>

#include "core/material/material.h"
#include "core/quantity/catalogue.h"

namespace uovo::material {
namespace {
constexpr double kGas = 8.314462618;   // J/mol K, CODATA
constexpr double kKelvin40 = 313.15;   // reference temperature of the rheology, models.md "Film on a profile"
constexpr double kJamming = 0.6;       // crystal fraction at which the suspension no longer flows
constexpr double kLabelKnows = 3;      // K above what a packet says to melt to
constexpr double kTemperFades = 1;     // K over which the temper is lost
constexpr double kMostThinner = 0.10;  // more is another food
}  // namespace

const Constant& Chocolate::at(const std::string& constant) const {
    const auto it = constants.find(constant);
    assert(it != constants.end());
    return it->second;
}

double temperKept(const Coating& c, double celsius) {
    if (c.compound) return 1;
    if (!c.tempered) return 0;
    const double over = std::clamp(celsius - c.loses + kTemperFades / 2, 0.0, kTemperFades) / kTemperFades;
    return 1 - over * over * (3 - 2 * over);
}

double crystalsAt(const Coating& c, double celsius) {
    const double kept = temperKept(c, celsius);
    return std::pow(c.crystalsAtStart, kept) * std::pow(c.crystalsFloor, 1 - kept);
}

double viscosity(const Coating& c, double celsius, double phi) {
    const double crowd = 1 - std::min(phi, 0.58) / kJamming;
    return c.viscosity40 * std::exp(c.viscosityEnergy / kGas * (1 / (celsius + 273.15) - 1 / kKelvin40)) /
           (crowd * std::sqrt(crowd));
}

double yieldStress(const Coating& c, double celsius, double phi) {
    const double crowd = 1 - std::min(phi, 0.58) / kJamming;
    return c.yield40 * std::exp(c.yieldEnergy / kGas * (1 / (celsius + 273.15) - 1 / kKelvin40)) /
           (crowd * crowd * std::sqrt(crowd));
}

tl::expected<void, Problem> checkOwnFigures(const Chocolate& chocolate, const OwnFigures& own) {
    for (const auto& [name, value] : own.values) {
        if (name == kPacket) {
            if (!(value >= 0.01 && value <= 50))
                return tl::unexpected(Problem{tr("A packet holds between 10 g and 50 kg."), name});
            continue;
        }
        const auto it = chocolate.constants.find(name);
        if (it == chocolate.constants.end())
            return tl::unexpected(Problem{"“" + name + tr("” is not a figure of a chocolate."), name});
        if (!std::isfinite(value)) return tl::unexpected(Problem{"“" + name + tr("” is not a number."), name});
        const bool temperature = it->second.unit == "°C";
        if (!temperature && name != "meltShift" && value <= 0)
            return tl::unexpected(Problem{"“" + name + tr("” must be more than nothing."), name});
        if (temperature && (value < 15 || value > 60))
            return tl::unexpected(Problem{
                tr("No chocolate is worked at ") + format(value, Dimension::Temperature, UnitSystem::Metric) + ".",
                name});
    }
    auto figure = [&](const char* name) {
        const auto it = own.values.find(name);
        return it != own.values.end() ? it->second : chocolate.at(name).value;
    };
    if (figure("workLow") > figure("workHigh"))
        return tl::unexpected(
            Problem{tr("The lower working temperature on the label is above the upper one."), "workLow"});
    if (figure("workHigh") >= figure("scorch"))
        return tl::unexpected(
            Problem{tr("The working temperature on the label is above the one that scorches."), "workHigh"});
    return {};
}

double packetOf(const Chocolate& chocolate, const OwnFigures& own) {
    const auto it = own.values.find(kPacket);
    return it != own.values.end() ? it->second : chocolate.packet;
}

tl::expected<Coating, Problem> coating(const Chocolate& chocolate, Temper temper, Thinner thinner, double thinnerShare,
                                       const OwnFigures& own, const Constants& physics) {
    if (auto ok = checkOwnFigures(chocolate, own); !ok) return tl::unexpected(ok.error());
    if (!(thinnerShare >= 0 && thinnerShare <= kMostThinner))
        return tl::unexpected(Problem{tr("Thin with at most 10 % of the chocolate's mass."), "thinnerShare"});
    auto figure = [&](const char* name) {
        const auto it = own.values.find(name);
        return it != own.values.end() ? it->second : chocolate.at(name).value;
    };
    Coating c;
    c.name = chocolate.name;
    c.compound = chocolate.kind == "compound";
    c.tempered = !c.compound && temper == Temper::Tempered;
    c.densityMelt = figure("densityMelt");
    c.densitySolid = figure("densitySolid");
    c.viscosity40 = figure("viscosity40");
    c.yield40 = figure("yield40");
    c.viscosityEnergy = physics.at("viscosityEnergy").value;
    c.yieldEnergy = physics.at("yieldEnergy").value;
    c.heatCapacity = figure("heatCapacity");
    c.conductivity = figure("conductivity");
    c.heatCapacitySolid = figure("heatCapacitySolid");
    c.heatCapacityLiquid = figure("heatCapacityLiquid");
    c.meltTo = figure("meltTo");
    c.coolTo = figure("coolTo");
    c.meltShift = figure("meltShift");
    c.workLow = figure("workLow");
    c.workHigh = figure("workHigh");
    c.scorch = figure("scorch");
    if (own.values.contains("meltTo") && !own.values.contains("scorch"))
        c.scorch = std::max(c.scorch, c.meltTo + kLabelKnows);  // the packet knows what it bears
    c.latentHeat = figure("fatShare") * physics.at("latentHeatOfFat").value;
    c.growthRate = figure("growthRate");
    if (c.compound) {
        c.crystalsAtStart = c.crystalsFloor = physics.at("crystalsCompound").value;
        c.loses = std::numeric_limits<double>::infinity();
    } else {
        c.crystalsFloor = physics.at("crystalsUntempered").value;
        c.crystalsAtStart = c.tempered ? physics.at("crystalsTempered").value : c.crystalsFloor;
        c.loses = c.tempered ? physics.at("temperLostAt").value + c.meltShift : std::numeric_limits<double>::infinity();
    }
    const double percent = thinnerShare * 100;
    if (thinner != Thinner::None && percent > 0) {
        c.viscosity40 *= std::pow(1 - physics.at("thinnerViscosity").value, percent);
        c.yield40 *= std::pow(1 - physics.at("thinnerYield").value, percent);
        if (thinner == Thinner::VegetableOil) {  // oil stays liquid: fewer crystals, slower and softer setting
            c.latentHeat *= 1 - percent / 100 / figure("fatShare");
            c.growthRate *= std::pow(1 - physics.at("oilSlows").value, percent);
        }
    }
    return c;
}

}  // namespace uovo::material
