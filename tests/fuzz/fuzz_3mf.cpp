// 3MF packages: bytes as the package itself, and bytes as its model in a package that is otherwise sound.
#include <cstddef>
#include <cstdint>
#include <cstdlib>
#include <string>

#include "io/archive.h"
#include "io/mesh_file.h"
#include "io/model_3mf.h"

extern "C" int LLVMFuzzerTestOneInput(const std::uint8_t* data, std::size_t size) {
    if (size < 1) return 0;
    const std::string bytes(reinterpret_cast<const char*>(data + 1), size - 1);
    const std::string package = data[0] % 4 == 0 ? bytes : *uovo::io::archived({{"3D/3dmodel.model", bytes}});
    const auto read = uovo::io::read3mf(package, 200'000);
    if (!read) {
        if (read.error().sentence.empty()) std::abort();
        return 0;
    }
    for (const auto& t : read->mesh.triangles)
        for (const int i : t)
            if (i < 0 || static_cast<std::size_t>(i) >= read->mesh.points.size()) std::abort();
    // what was read is written and read again as the same corners
    if (read->mesh.triangles.size() > 2000 || read->mesh.points.size() > 2000) return 0;
    const auto again = uovo::io::read3mf(*uovo::io::write3mf(read->mesh), 200'000);
    if (again && again->mesh.triangles != read->mesh.triangles) std::abort();
    return 0;
}
