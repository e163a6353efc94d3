#include "core/quantity/restate.h"

#include <array>
#include <cctype>
#include <charconv>
#include <optional>
#include <string_view>

#include "core/quantity/catalogue.h"
#include "core/quantity/decimal.h"

namespace uovo {
namespace {

struct SaidUnit {
    std::string_view word;
    Dimension dimension;
    double si;
};
constexpr std::array kSaidUnits{SaidUnit{"mm", Dimension::Length, 1e-3},   SaidUnit{"cm", Dimension::Length, 1e-2},
                                SaidUnit{"ml", Dimension::Volume, 1e-6},   SaidUnit{"kg", Dimension::Mass, 1},
                                SaidUnit{"°C", Dimension::Temperature, 1}, SaidUnit{"m", Dimension::Length, 1},
                                SaidUnit{"l", Dimension::Volume, 1e-3},    SaidUnit{"g", Dimension::Mass, 1e-3}};

/// Takes what stands first, where it does.
bool take(std::string_view& text, std::string_view what) {
    if (!text.starts_with(what)) return false;
    text.remove_prefix(what.size());
    return true;
}

/// What decimals begin with: a point in sentences as they are written, what figures are shown with in those that were
/// put in.
bool isMark(char c) { return c == '.' || c == decimalPoint(); }

std::optional<double> takeNumber(std::string_view& text) {
    size_t n = 0;
    const auto digit = [&](size_t i) { return i < text.size() && std::isdigit(static_cast<unsigned char>(text[i])); };
    while (digit(n)) ++n;
    if (n == 0) return std::nullopt;
    std::string number(text.substr(0, n));
    if (n < text.size() && isMark(text[n]) && digit(n + 1))
        for (number += '.', ++n; digit(n); ++n) number += text[n];
    double value = 0;
    std::from_chars(number.data(), number.data() + number.size(), value);
    text.remove_prefix(n);
    return value;
}

/// A unit that is not the beginning of a longer one: "m" but not "m²", "g" but not "g/ml".
const SaidUnit* takeUnit(std::string_view& text) {
    for (const auto& unit : kSaidUnits) {
        std::string_view rest = text;
        if (!take(rest, unit.word)) continue;
        const bool longer = !rest.empty() && (std::isalnum(static_cast<unsigned char>(rest[0])) || rest[0] == '/' ||
                                              rest.starts_with("²") || rest.starts_with("³"));
        if (longer) continue;
        text = rest;
        return &unit;
    }
    return nullptr;
}

}  // namespace

std::string restated(const std::string& metric, UnitSystem system) {
    if (system == UnitSystem::Metric) return metric;
    std::string out;
    bool within = false;  // a longer word or number
    for (std::string_view left = metric; !left.empty();) {
        std::string_view rest = left;
        if (const auto first = within ? std::nullopt : takeNumber(rest)) {  // a number or two, "20 and 60", and a unit
            std::optional<double> second;
            std::string_view word;
            for (const std::string_view between : {tr(" and "), tr(" to "), "–"})
                if (std::string_view on = rest; take(on, between))
                    if ((second = takeNumber(on))) {
                        word = between;
                        rest = on;
                        break;
                    }
            if (const SaidUnit* unit = take(rest, " ") ? takeUnit(rest) : nullptr) {
                out += format(*first * unit->si, unit->dimension, system);
                if (second) out.append(word).append(format(*second * unit->si, unit->dimension, system));
                left = rest;
                continue;
            }
        }
        within = std::isalnum(static_cast<unsigned char>(left[0])) || isMark(left[0]);
        out += left[0];
        left.remove_prefix(1);
    }
    return out;
}

}  // namespace uovo
