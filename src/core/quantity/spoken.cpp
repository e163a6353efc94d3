#include "core/quantity/spoken.h"

#include <cctype>
#include <string_view>

namespace uovo {
namespace {

struct SpokenUnit {
    std::string_view written, one, many;
};
constexpr SpokenUnit kSpokenUnits[]{{"g", "gram", "grams"},
                                    {"kg", "kilogram", "kilograms"},
                                    {"oz", "ounce", "ounces"},
                                    {"lb", "pound", "pounds"},
                                    {"s", "second", "seconds"},
                                    {"min", "minute", "minutes"},
                                    {"h", "hour", "hours"},
                                    {"mm", "millimetre", "millimetres"},
                                    {"cm", "centimetre", "centimetres"},
                                    {"ml", "millilitre", "millilitres"},
                                    {"l", "litre", "litres"},
                                    {"°C", "degree", "degrees"},
                                    {"°F", "degree", "degrees"}};
constexpr std::string_view kDash = "–", kMinus = "−";

bool isFigureDigit(char c) { return std::isdigit(static_cast<unsigned char>(c)) != 0; }

/// "32", "−18", "3½", "1.2"
bool isFigure(std::string_view word) {
    if (word.starts_with(kMinus)) word.remove_prefix(kMinus.size());
    return !word.empty() &&
           (isFigureDigit(word[0]) || word.starts_with("½") || word.starts_with("¼") || word.starts_with("¾"));
}

/// Dashes between figures, and minus signs.
std::string signsSaid(std::string_view word) {
    std::string out;
    for (size_t i = 0; i < word.size();) {
        const auto rest = word.substr(i);
        if (rest.starts_with(kDash) && i > 0 && isFigureDigit(word[i - 1]) && rest.size() > kDash.size() &&
            isFigureDigit(rest[kDash.size()])) {
            out += " to ";
            i += kDash.size();
        } else if (rest.starts_with(kMinus) && rest.size() > kMinus.size() && isFigureDigit(rest[kMinus.size()])) {
            out += "minus ";
            i += kMinus.size();
        } else {
            out += word[i++];
        }
    }
    return out;
}

}  // namespace

std::string spoken(const std::string& written) {
    std::string out;
    std::string_view before;
    for (size_t at = 0; at < written.size();) {
        const size_t end = std::min(written.find(' ', at), written.size());
        const std::string_view word = std::string_view(written).substr(at, end - at);
        const size_t ends = word.find_last_not_of(".,;:!?)") + 1;
        const std::string_view plain = word.substr(0, ends), after = word.substr(ends);
        const SpokenUnit* unit = nullptr;
        if (isFigure(before))
            for (const auto& u : kSpokenUnits)
                if (u.written == plain) unit = &u;
        if (unit) {
            out += before == "1" ? unit->one : unit->many;
            out += after;
        } else {
            out += signsSaid(word);
        }
        if (end < written.size()) out += ' ';
        before = plain;
        at = end + 1;
    }
    return out;
}

}  // namespace uovo
