#include "core/quantity/decimal.h"

#include <fmt/format.h>

#include <atomic>

namespace uovo {
namespace {

std::atomic<char> shownPoint{'.'};

std::string pointed(std::string s) {
    if (const auto at = s.find('.'); at != std::string::npos) s[at] = shownPoint;
    return s;
}

}  // namespace

void setDecimalPoint(char point) { shownPoint = point == ',' ? ',' : '.'; }
char decimalPoint() { return shownPoint; }

std::string pointedHere(std::string typed) {
    const auto digit = [&](size_t at) { return at < typed.size() && typed[at] >= '0' && typed[at] <= '9'; };
    const auto at = typed.find_first_of(".,");
    if (shownPoint == '.') return typed;  // read either way, and shown as it was typed
    if (at == std::string::npos || at == 0 || typed.find_first_of(".,", at + 1) != std::string::npos ||
        !digit(at - 1) || !digit(at + 1))
        return typed;
    typed[at] = shownPoint;
    return typed;
}

std::string decimal(double v, int places) { return pointed(fmt::format("{:.{}f}", v, places)); }
std::string significant(double v, int digits) { return pointed(fmt::format("{:.{}g}", v, digits)); }

}  // namespace uovo
