// Model reader: any bytes under any of the four endings. fuzz_3mf looks into packages.
#include <cstddef>
#include <cstdint>
#include <cstdlib>
#include <string>

#include "io/mesh_file.h"

extern "C" int LLVMFuzzerTestOneInput(const std::uint8_t* data, std::size_t size) {
    if (size < 2) return 0;
    static const char* const endings[]{"stl", "obj", "ply", "3mf"};
    const std::string bytes(reinterpret_cast<const char*>(data + 1), size - 1);
    const auto read = uovo::io::readMeshBytes(bytes, endings[data[0] % 4]);
    if (read) {
        for (const auto& t : read->mesh.triangles)
            for (const int i : t)
                if (i < 0 || static_cast<std::size_t>(i) >= read->mesh.points.size()) std::abort();
    } else if (read.error().sentence.empty()) {
        std::abort();
    }
    return 0;
}
