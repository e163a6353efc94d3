#include "core/quantity/spoken.h"

#include <cctype>
#include <string_view>

#include "core/quantity/catalogue.h"

namespace uovo {
namespace {

struct SpokenUnit {
    std::string_view written, one, many;
};
constexpr SpokenUnit kSpokenUnits[]{{"g", trLater("gram"), trLater("grams")},
                                    {"kg", trLater("kilogram"), trLater("kilograms")},
                                    {"oz", trLater("ounce"), trLater("ounces")},
                                    {"lb", trLater("pound"), trLater("pounds")},
                                    {"s", trLater("second"), trLater("seconds")},
                                    {"min", trLater("minute"), trLater("minutes")},
                                    {"h", trLater("hour"), trLater("hours")},
                                    {"mm", trLater("millimetre"), trLater("millimetres")},
                                    {"cm", trLater("centimetre"), trLater("centimetres")},
                                    {"ml", trLater("millilitre"), trLater("millilitres")},
                                    {"l", trLater("litre"), trLater("litres")},
                                    {"°C", trLater("degree"), trLater("degrees")},
                                    {"°F", trLater("degree"), trLater("degrees")}};
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
            out += tr(" to ");
            i += kDash.size();
        } else if (rest.starts_with(kMinus) && rest.size() > kMinus.size() && isFigureDigit(rest[kMinus.size()])) {
            out += tr("minus ");
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
            out += tr(std::string(before == "1" ? unit->one : unit->many));
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
