// Model reader: any bytes under any of the four endings. A 3MF file is a package: the bytes become the model inside a
// package that is otherwise sound, or now and then the package itself.
#include <array>
#include <cstddef>
#include <cstdint>
#include <cstdlib>
#include <string>

#include "io/mesh_file.h"

namespace {

std::string little(std::uint64_t value, int bytes) {
    std::string out;
    for (int i = 0; i < bytes; ++i) out += static_cast<char>(value >> (8 * i));
    return out;
}

std::uint32_t crc32(const std::string& text) {
    std::uint32_t crc = ~0u;
    for (const char c : text) {
        crc ^= static_cast<unsigned char>(c);
        for (int k = 0; k < 8; ++k) crc = crc >> 1 ^ (crc & 1 ? 0xEDB88320u : 0u);
    }
    return ~crc;
}

/// A zip archive of stored (uncompressed) files, as PKWARE's application note describes it.
std::string package(const std::string& model) {
    const std::array<std::pair<std::string, std::string>, 3> files{{
        {"[Content_Types].xml", R"(<?xml version="1.0"?><Types xmlns="http://schemas.openxmlformats.org/package/2006/content-types"><Default Extension="model" ContentType="application/vnd.ms-package.3dmanufacturing-3dmodel+xml"/></Types>)"},
        {"_rels/.rels", R"(<?xml version="1.0"?><Relationships xmlns="http://schemas.openxmlformats.org/package/2006/relationships"><Relationship Target="/3D/3dmodel.model" Id="r" Type="http://schemas.microsoft.com/3dmanufacturing/2013/01/3dmodel"/></Relationships>)"},
        {"3D/3dmodel.model", model},
    }};
    std::string body, directory;
    for (const auto& [name, text] : files) {
        const auto size = static_cast<std::uint32_t>(text.size());
        const std::string common = little(20, 2) + little(0, 8) + little(crc32(text), 4) + little(size, 4) + little(size, 4) + little(static_cast<std::uint32_t>(name.size()), 2) + little(0, 2);
        directory += "PK\x01\x02" + little(20, 2) + common + little(0, 6) + little(0, 4) + little(static_cast<std::uint32_t>(body.size()), 4) + name;
        body += "PK\x03\x04" + common + name + text;
    }
    return body + directory + "PK\x05\x06" + little(0, 4) + little(3, 2) + little(3, 2) + little(static_cast<std::uint32_t>(directory.size()), 4) + little(static_cast<std::uint32_t>(body.size()), 4) + little(0, 2);
}

}  // namespace

extern "C" int LLVMFuzzerTestOneInput(const std::uint8_t* data, std::size_t size) {
    if (size < 2) return 0;
    static const char* const endings[]{"stl", "obj", "ply", "3mf", "3mf"};
    const std::string bytes(reinterpret_cast<const char*>(data + 1), size - 1);
    const int which = data[0] % 5;
    const auto read = uovo::io::readMeshBytes(which == 3 ? package(bytes) : bytes, endings[which]);
    if (read) {
        for (const auto& t : read->mesh.triangles)
            for (const int i : t)
                if (i < 0 || static_cast<std::size_t>(i) >= read->mesh.points.size()) std::abort();
    } else if (read.error().sentence.empty()) {
        std::abort();
    }
    return 0;
}
