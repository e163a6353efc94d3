// The quantity parser on anything: never a crash, the complaint points into the text, the value is a number.
#include <cmath>
#include <cstdlib>

#include "core/quantity/quantity.h"

extern "C" int LLVMFuzzerTestOneInput(const uint8_t* data, size_t size) {
    if (size == 0) return 0;
    static const std::vector<uovo::Look> looks{{"falls in a ribbon", uovo::Dimension::Temperature, 0, 1.5},
                                               {"bar", uovo::Dimension::Mass, 1, 0, true}};
    uovo::TypingContext c;
    c.dimension = static_cast<uovo::Dimension>(data[0] % 7);
    c.bareUnit = uovo::usualUnit(c.dimension, data[0] & 64 ? uovo::UnitSystem::US : uovo::UnitSystem::Metric);
    c.looks = &looks;
    const std::string text(reinterpret_cast<const char*>(data + 1), size - 1);
    const auto m = uovo::parseMeasure(text, c);
    if (!m) {
        if (m.error().sentence.empty() || m.error().position < 0 || m.error().position > static_cast<int>(text.size()))
            std::abort();
    } else if (!std::isfinite(m->value)) {
        std::abort();
    }
    return 0;
}
