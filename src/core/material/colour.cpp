#include "core/material/colour.h"

#include <fmt/format.h>

#include <algorithm>
#include <array>
#include <cmath>
#include <cstdlib>
#include <optional>
#include "core/quantity/catalogue.h"

namespace uovo::material {
namespace {

constexpr double kWeakest = 0.001, kStrongest = 0.03;  // of what can be asked for at all; 0.003–0.01 is usual
constexpr double kMostFlavour = 0.02;                  // of what can be asked for; 0.0005–0.005 is usual
constexpr double kTrial = 0.020;                       // kg tinted first, at most an eighth of the pot

std::optional<std::array<int, 3>> rgb(const std::string& look) {
    if (look.size() != 7 || look[0] != '#') return std::nullopt;
    std::array<int, 3> out{};
    for (size_t i = 0; i < 3; ++i) {
        char* end = nullptr;
        const std::string two = look.substr(1 + 2 * i, 2);
        out[i] = static_cast<int>(std::strtol(two.c_str(), &end, 16));
        if (end != two.c_str() + 2) return std::nullopt;
    }
    return out;
}

std::string lowered(std::string s) {
    if (!s.empty()) s[0] = static_cast<char>(std::tolower(static_cast<unsigned char>(s[0])));
    return s;
}

/// What flows and grows by factors lies between the logarithms, all else between the values.
bool byLogarithm(const std::string& name) { return name == "viscosity40" || name == "yield40" || name == "growthRate"; }

void blend(Chocolate& c, const Chocolate& other, double share) {
    for (auto& [name, v] : c.constants) {
        const auto it = other.constants.find(name);
        if (it == other.constants.end()) continue;
        const auto between = [share, logarithmic = byLogarithm(name)](double a, double b) {
            return logarithmic && a > 0 && b > 0 ? a * std::pow(b / a, share) : a + (b - a) * share;
        };
        v = {between(v.value, it->second.value), between(v.low, it->second.low), between(v.high, it->second.high),
             v.unit, tr("blend by mass: judgement")};
    }
    for (auto list : {&Chocolate::allergens, &Chocolate::traces})
        for (const auto& a : other.*list)
            if (std::find((c.*list).begin(), (c.*list).end(), a) == (c.*list).end()) (c.*list).push_back(a);
    c.second = other.id;
    c.secondShare = share;
}

}  // namespace

ColourMix mix(const Colour& c, double mass) {
    ColourMix m;
    m.flavour = c.flavour.value * mass;
    const double rest = mass - m.flavour;
    m.plain = c.letDown.value * rest;
    m.colour = c.strength.value * (rest - m.plain);
    m.strong = rest - m.plain - m.colour;
    m.trialChocolate = std::min(kTrial, m.strong / 8);
    m.trialColour = m.strong > 0 ? m.trialChocolate * m.colour / m.strong : 0;
    return m;
}

std::string lookOf(const Colour& c, const std::string& baseLook) {
    const auto strong = rgb(c.look), plain = rgb(baseLook);
    if (c.second.empty() && c.strength.value == 0) return baseLook;  // only flavoured
    if (!strong || !plain) return c.look;
    std::array<int, 3> v{};
    for (size_t i = 0; i < 3;
         ++i) {  // a pastel looks lighter than the mean of its two: the base counts half-way to white
        const double base = 0.5 * ((*plain)[i] + 255);
        v[i] = static_cast<int>(std::lround((1 - c.letDown.value) * (*strong)[i] + c.letDown.value * base));
    }
    return fmt::format("#{:02X}{:02X}{:02X}", v[0], v[1], v[2]);
}

double lightness(const std::string& look) {
    if (look.size() != 7) return 0;
    const auto channel = [&](size_t i) {
        return static_cast<double>(std::strtol(look.substr(i, 2).c_str(), nullptr, 16)) / 255;
    };
    return 0.299 * channel(1) + 0.587 * channel(3) + 0.114 * channel(5);
}

std::vector<Problem> problems(const Colour& c, const Library& lib) {
    std::vector<Problem> out;
    const std::string at = "colours/" + c.id + "/";
    const Chocolate* base = lib.find(c.base);
    if (c.name.empty()) out.push_back({tr("A colour needs a name."), at + "name"});
    if (!base || !base->base.empty())
        out.push_back({tr("There is no chocolate “") + c.base + tr("” here to colour."), at + "base"});
    if (const Chocolate* taken = lib.find(c.id); c.id.empty() || (taken && taken->base.empty()))
        out.push_back({tr("A colour cannot be called like the chocolate “") + c.id + "”.", at + "name"});
    if (!c.second.empty()) {
        const Chocolate* second = lib.find(c.second);
        if (!second || !second->base.empty() || c.second == c.base)
            out.push_back(
                {tr("There is no other chocolate “") + c.second + tr("” here to blend with."), at + "second"});
        else if (base && base->kind != second->kind)
            out.push_back(
                {tr("Compound and couverture do not set together: their fats soften each other."), at + "second"});
        if (!(c.secondShare.value > 0 && c.secondShare.value < 1))
            out.push_back({tr("A blend holds some of both chocolates."), at + "secondShare"});
    }
    if (!(c.strength.value >= kWeakest && c.strength.value <= kStrongest) &&
        !(c.strength.value == 0 && (!c.second.empty() || c.flavour.value > 0)))
        out.push_back(
            {say("Oil colour is stirred in at 0.3 to 1 %; {} would {}.",
                 format(c.strength.value, Dimension::Percent, UnitSystem::Metric),
                 c.strength.value > kStrongest ? tr("taste of it and soften the chocolate") : tr("hardly show")),
             at + "strength"});
    if (!(c.letDown.value >= 0 && c.letDown.value <= 0.95))
        out.push_back({tr("A pastel is let down with 0 to 95 % of plain chocolate."), at + "letDown"});
    if (!(c.flavour.value >= 0 && c.flavour.value <= kMostFlavour))
        out.push_back({say("Flavour oil is stirred in at 0.05 to 0.5 %; {} would soften the chocolate.",
                           format(c.flavour.value, Dimension::Percent, UnitSystem::Metric)),
                       at + "flavour"});
    if (!rgb(c.look))
        out.push_back({"“" + c.look + tr("” is not a colour for the screen; write #5B7FB0."), at + "look"});
    return out;
}

Library withColours(const Library& library, const std::vector<Colour>& colours) {
    Library out = library;
    std::erase_if(out.chocolates, [](const Chocolate& c) { return !c.base.empty(); });
    for (const auto& c : colours) {
        const Chocolate* base = library.find(c.base);
        if (!base || !base->base.empty() || library.find(c.id) == base) continue;
        Chocolate made = *base;
        const Chocolate* second = c.second.empty() ? nullptr : library.find(c.second);
        if (second && second->base.empty() && second != base) blend(made, *second, c.secondShare.value);
        made.id = c.id;
        made.name = c.name + " (" + base->name + (made.second.empty() ? "" : tr(" and ") + lowered(second->name)) + ")";
        made.base = base->id;
        made.look = lookOf(c, base->look);
        out.chocolates.push_back(std::move(made));
    }
    return out;
}

}  // namespace uovo::material
