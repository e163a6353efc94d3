// SVG reader: outlines that are accepted can be cut.
#include <cstddef>
#include <cstdint>
#include <cstdlib>
#include <string>

#include "io/svg_file.h"

extern "C" int LLVMFuzzerTestOneInput(const std::uint8_t* data, std::size_t size) {
    const std::string text(reinterpret_cast<const char*>(data), size);
    const auto loops = uovo::io::readSvgOutline(text);
    if (loops && (loops->empty() || uovo::form::signedArea(loops->front()) < 0)) std::abort();
    if (!loops && loops.error().sentence.empty()) std::abort();
    (void)uovo::io::readSvgProfile(text);
    return 0;
}
