// Fuzzes the reader of thermometer lines: any bytes, in any pieces.
#include <cmath>
#include <cstdint>
#include <cstdlib>

#include "core/probe/reader.h"

extern "C" int LLVMFuzzerTestOneInput(const uint8_t* data, size_t size) {
    uovo::probe::Reader whole, pieces;
    const std::string_view all(reinterpret_cast<const char*>(data), size);
    const auto once = whole.feed(all);
    std::vector<uovo::probe::Reading> bits;
    for (size_t at = 0; at < size;) {
        const size_t n = 1 + data[at] % 7;
        for (auto& r : pieces.feed(all.substr(at, n))) bits.push_back(std::move(r));
        at += n;
    }
    if (once.size() != bits.size() || whole.garbage() != pieces.garbage() || whole.kept() > 120) std::abort();
    for (const auto& r : once)
        if (!std::isfinite(r.value)) std::abort();
    return 0;
}
