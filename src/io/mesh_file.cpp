#include "io/mesh_file.h"

#include <fmt/format.h>

#include <assimp/Exporter.hpp>
#include <assimp/Importer.hpp>
#include <assimp/postprocess.h>
#include <assimp/scene.h>

#include <unistd.h>

#include <algorithm>
#include <cmath>
#include <cstdint>
#include <cstring>
#include <filesystem>
#include <memory>
#include <sstream>

#include "core/form/decimate.h"
#include "io/plan_file.h"

namespace uovo::io {
namespace {

constexpr size_t kLargestFile = 256u * 1024 * 1024;
constexpr size_t kMostRead = 4'000'000;  // triangles

std::string extensionOf(const std::string& path) {
    std::string e = std::filesystem::path(path).extension().string();
    if (!e.empty()) e.erase(0, 1);
    std::transform(e.begin(), e.end(), e.begin(), [](unsigned char c) { return static_cast<char>(std::tolower(c)); });
    return e;
}

bool known(const std::string& extension) { return extension == "stl" || extension == "obj" || extension == "ply" || extension == "3mf"; }

tl::unexpected<Problem> refuse(std::string sentence) { return tl::unexpected(Problem{std::move(sentence), "mesh"}); }

/// All faces below a node as triangles at their places. `wrong` says why not.
void gather(const aiScene& scene, const aiNode& node, const aiMatrix4x4& above, int depth, form::Mesh& out, std::string& wrong) {
    if (depth > 50) wrong = "The file is nested too deeply.";
    if (!wrong.empty()) return;
    const aiMatrix4x4 here = above * node.mTransformation;
    for (unsigned i = 0; i < node.mNumMeshes && wrong.empty(); ++i) {
        if (node.mMeshes[i] >= scene.mNumMeshes || !scene.mMeshes[node.mMeshes[i]]) continue;
        const aiMesh& m = *scene.mMeshes[node.mMeshes[i]];
        if (!m.mVertices) continue;
        const int shift = static_cast<int>(out.points.size());
        for (unsigned k = 0; k < m.mNumVertices; ++k) {
            const aiVector3D v = here * m.mVertices[k];
            if (!std::isfinite(v.x) || !std::isfinite(v.y) || !std::isfinite(v.z) || std::abs(v.x) > 1e9f || std::abs(v.y) > 1e9f || std::abs(v.z) > 1e9f) {
                wrong = "The file holds a corner that is not a number.";
                return;
            }
            out.points.push_back({v.x, v.y, v.z});
        }
        for (unsigned k = 0; k < m.mNumFaces; ++k) {
            const aiFace& f = m.mFaces[k];
            const bool sound = f.mIndices && std::all_of(f.mIndices, f.mIndices + f.mNumIndices, [&](unsigned id) { return id < m.mNumVertices; });
            for (unsigned c = 1; sound && c + 1 < f.mNumIndices; ++c)  // a polygon as a fan
                out.triangles.push_back({shift + static_cast<int>(f.mIndices[0]), shift + static_cast<int>(f.mIndices[c]), shift + static_cast<int>(f.mIndices[c + 1])});
            if (out.triangles.size() > kMostRead) {
                wrong = "The model has more than four million triangles; thin it out before you bring it here.";
                return;
            }
        }
    }
    for (unsigned i = 0; i < node.mNumChildren; ++i)
        if (node.mChildren[i]) gather(scene, *node.mChildren[i], here, depth + 1, out, wrong);
}

/// Whether a PLY header is whole and its counts can be true of a file of this size. Found by fuzzing: assimp 5.2 reads
/// on for minutes when they are not.
bool soundPly(const std::string& bytes) {
    const size_t end = bytes.find("end_header");
    if (!(bytes.starts_with("ply\n") || bytes.starts_with("ply\r")) || end == std::string::npos || end > 100'000) return false;
    if (end + 10 >= bytes.size() || (bytes[end + 10] != '\n' && bytes[end + 10] != '\r')) return false;
    if (std::any_of(bytes.begin(), bytes.begin() + static_cast<std::ptrdiff_t>(end), [](unsigned char c) { return c > 126 || (c < 32 && c != '\n' && c != '\r' && c != '\t'); })) return false;
    std::istringstream header(bytes.substr(0, end));
    std::string line, word, element;
    bool format = false, corners = false, faces = false, listed = false;
    std::string axes;
    double least = 0, count = 0;  // bytes that the counts need at the least
    const auto known = [](const std::string& type) {
        static const char* const types[]{"char", "uchar", "short", "ushort", "int", "uint", "float", "double", "int8", "uint8", "int16", "uint16", "int32", "uint32", "float32", "float64"};
        return std::find(std::begin(types), std::end(types), type) != std::end(types);
    };
    std::getline(header, line);
    while (std::getline(header, line)) {
        if (!line.empty() && line.back() == '\r') line.pop_back();
        std::istringstream words(line);
        words >> word;
        if (word == "format") {
            std::string kind, version;
            words >> kind >> version;
            format = (kind == "ascii" || kind == "binary_little_endian" || kind == "binary_big_endian") && version == "1.0";
        } else if (word == "element") {
            if (!(words >> element >> count) || count < 0 || count != std::floor(count)) return false;
            corners |= element == "vertex" && count > 0;
            faces |= element == "face" && count > 0;
        } else if (word == "property") {
            std::string type, a, b, name;
            words >> type;
            if (type == "list") {
                words >> a >> b >> name;
                if (!known(a) || !known(b)) return false;
                listed |= element == "face" && (name == "vertex_indices" || name == "vertex_index");
            } else {
                words >> name;
                if (!known(type)) return false;
                if (element == "vertex" && (name == "x" || name == "y" || name == "z")) axes += name;
            }
            if (name.empty() || element.empty()) return false;
            least += count;
        } else if (word != "comment" && word != "obj_info") {
            return false;
        }
    }
    return format && corners && faces && listed && axes == "xyz" && least <= static_cast<double>(bytes.size());
}

/// Whether an STL file is one of its two kinds.
bool soundStl(const std::string& bytes) {
    if (bytes.size() >= 84) {
        std::uint32_t n = 0;
        std::memcpy(&n, bytes.data() + 80, 4);
        if (84 + 50ull * n == bytes.size()) return n > 0;
    }
    return bytes.find("facet") != std::string::npos && bytes.find("vertex") != std::string::npos && bytes.find('\0') == std::string::npos;
}

/// Whether a file is text with corners and faces.
bool soundObj(const std::string& bytes) {
    return bytes.find('\0') == std::string::npos && (bytes.starts_with("v ") || bytes.find("\nv ") != std::string::npos) && bytes.find("\nf ") != std::string::npos;
}

}  // namespace

double metres(MeshUnit unit) {
    switch (unit) {
        case MeshUnit::Millimetre: return 1e-3;
        case MeshUnit::Centimetre: return 1e-2;
        case MeshUnit::Metre: return 1;
        case MeshUnit::Inch: return 0.0254;
    }
    return 1;
}

const char* name(MeshUnit unit) {
    switch (unit) {
        case MeshUnit::Millimetre: return "millimetres";
        case MeshUnit::Centimetre: return "centimetres";
        case MeshUnit::Metre: return "metres";
        case MeshUnit::Inch: return "inches";
    }
    return "";
}

tl::expected<ReadMesh, Problem> readMeshBytes(const std::string& bytes, const std::string& extension, std::stop_token stop, const std::function<void(double)>& progress) {
    if (!known(extension)) return refuse("Models are read from STL, OBJ, PLY and 3MF files; “" + extension + "” is none of them.");
    if (bytes.empty()) return refuse("The file is empty.");
    if (bytes.size() > kLargestFile) return refuse("The file is larger than 256 MB; thin the model out before you bring it here.");
    if ((extension == "ply" && !soundPly(bytes)) || (extension == "stl" && !soundStl(bytes)) || (extension == "obj" && !soundObj(bytes)))
        return refuse("The file is damaged, or is not what its ending says.");
    Assimp::Importer importer;
    const aiScene* scene = nullptr;
    // No post-processing: assimp 5.2 aborts in it on faces that fuzzing makes. Placing and cutting into triangles is done here.
    constexpr unsigned kSteps = 0;
    try {
        if (extension == "3mf") {  // assimp unpacks this one only from a file
            const std::string temporary = (std::filesystem::temp_directory_path() / fmt::format("uovo-{}-{}.3mf", ::getpid(), static_cast<const void*>(&importer))).string();
            if (writeWhole(temporary, bytes)) scene = importer.ReadFile(temporary, kSteps);
            std::error_code ignored;
            std::filesystem::remove(temporary, ignored);
        } else {
            scene = importer.ReadFileFromMemory(bytes.data(), bytes.size(), kSteps, extension.c_str());
        }
    } catch (const std::exception&) {
        scene = nullptr;
    }
    if (!scene || !scene->mRootNode || scene->mNumMeshes == 0) return refuse("The file is damaged, or is not what its ending says.");
    ReadMesh out;
    std::string wrong;
    gather(*scene, *scene->mRootNode, aiMatrix4x4(), 0, out.mesh, wrong);
    if (!wrong.empty()) return refuse(wrong);
    importer.FreeScene();
    out.before = out.mesh.triangles.size();
    if (out.mesh.triangles.empty()) return refuse("There is no surface in the file.");
    const form::Vec3 size = form::bounds(out.mesh).size();
    const double largest = std::max({size.x, size.y, size.z}), least = std::min({size.x, size.y, size.z});
    if (!(largest > 0)) return refuse("The model has no size.");
    if (least < 1e-5 * largest) return refuse("The model is flat: it has no thickness and no inside.");
    if (progress) progress(0.02);
    out.mesh = form::weld(out.mesh, 1e-6 * largest);
    if (stop.stop_requested()) return refuse("Stopped.");
    if (out.mesh.triangles.empty()) return refuse("Every triangle of the model is a needle without area.");
    std::vector<std::string> remarks;
    if (out.mesh.triangles.size() > kMostTriangles) {
        const size_t had = out.mesh.triangles.size();
        auto fewer = form::decimated(out.mesh, kMostTriangles, stop, [&](double p) {
            if (progress) progress(0.1 + 0.85 * p);
        });
        if (!fewer) return refuse("Stopped.");
        out.mesh = std::move(*fewer);
        remarks.push_back(fmt::format("Thinned out from {} to {} triangles.", had, out.mesh.triangles.size()));
    }
    out.report = form::inspect(out.mesh);
    const double volume = form::volume(out.mesh), area = form::area(out.mesh);
    if (!out.report.openEdges && std::abs(volume) < 1e-5 * area * largest) return refuse("The model has no inside: its surfaces lie on each other.");
    if (volume < 0) {
        out.mesh = form::reversed(std::move(out.mesh));
        remarks.push_back("It was inside out and has been turned.");
        out.report = form::inspect(out.mesh);
    }
    const std::string words = form::inWords(out.report);
    if (!words.empty()) remarks.push_back(words + (out.report.openEdges ? " Its volume is not certain until they are closed." : ""));
    if (out.report.shells > 1) remarks.push_back(fmt::format("It is made of {} separate bodies.", out.report.shells));
    for (const auto& r : remarks) out.remarks += (out.remarks.empty() ? "" : " ") + r;
    // A piece of chocolate is between one and fifty centimetres; the first unit that makes it so is the likely one.
    for (const MeshUnit unit : {MeshUnit::Millimetre, MeshUnit::Inch, MeshUnit::Centimetre, MeshUnit::Metre}) {
        out.likely = unit;
        if (const double s = largest * metres(unit); s >= 0.008 && s <= 0.5) break;
    }
    if (progress) progress(1);
    return out;
}

tl::expected<ReadMesh, Problem> readMeshFile(const std::string& path, std::stop_token stop, const std::function<void(double)>& progress) {
    std::error_code error;
    const std::string file = "“" + std::filesystem::path(path).filename().string() + "”";
    if (!std::filesystem::is_regular_file(path, error)) return refuse(file + " is not there, or is not a file.");
    if (!known(extensionOf(path))) return refuse("Models are read from STL, OBJ, PLY and 3MF files; " + file + " is none of them.");
    const auto bytes = std::filesystem::file_size(path, error);
    if (bytes == 0) return refuse(file + " is empty.");
    if (bytes > kLargestFile) return refuse(fmt::format("{} is {} MB large; models of up to 256 MB are read. Thin it out first.", file, bytes / 1'000'000));
    auto text = readWhole(path, kLargestFile);
    if (!text) return tl::unexpected(text.error());
    auto read = readMeshBytes(*text, extensionOf(path), stop, progress);
    if (!read && read.error().sentence.starts_with("The file")) return refuse(file + read.error().sentence.substr(8));
    return read;
}

tl::expected<void, Problem> writeMeshFile(const std::string& path, const form::Mesh& mesh) {
    const std::string extension = extensionOf(path);
    const char* format = extension == "stl" ? "stlb" : extension == "obj" ? "objnomtl" : extension == "ply" ? "plyb" : extension == "3mf" ? "3mf" : nullptr;
    if (!format) return refuse("Choose a file ending in .stl, .obj, .ply or .3mf.");
    aiScene scene;
    scene.mRootNode = new aiNode("uovo");
    scene.mNumMeshes = 1;
    scene.mMeshes = new aiMesh*[1]{new aiMesh};
    scene.mNumMaterials = 1;
    scene.mMaterials = new aiMaterial*[1]{new aiMaterial};
    auto* node = new aiNode("piece");  // some formats write only what hangs below the root
    node->mNumMeshes = 1;
    node->mMeshes = new unsigned[1]{0};
    scene.mRootNode->addChildren(1, &node);
    aiMesh& m = *scene.mMeshes[0];
    m.mName = aiString("piece");
    m.mPrimitiveTypes = aiPrimitiveType_TRIANGLE;
    m.mNumVertices = static_cast<unsigned>(mesh.points.size());
    m.mVertices = new aiVector3D[mesh.points.size()];
    for (size_t i = 0; i < mesh.points.size(); ++i) m.mVertices[i] = aiVector3D(static_cast<float>(mesh.points[i].x * 1e3), static_cast<float>(mesh.points[i].y * 1e3), static_cast<float>(mesh.points[i].z * 1e3));
    m.mNumFaces = static_cast<unsigned>(mesh.triangles.size());
    m.mFaces = new aiFace[mesh.triangles.size()];
    for (size_t i = 0; i < mesh.triangles.size(); ++i) {
        m.mFaces[i].mNumIndices = 3;
        m.mFaces[i].mIndices = new unsigned[3]{static_cast<unsigned>(mesh.triangles[i][0]), static_cast<unsigned>(mesh.triangles[i][1]), static_cast<unsigned>(mesh.triangles[i][2])};
    }
    Assimp::Exporter exporter;
    if (extension == "3mf") {  // assimp writes this one only to a file of its own
        const std::string temporary = path + ".uovo-writing";
        const auto result = exporter.Export(&scene, format, temporary);
        auto bytes = result == aiReturn_SUCCESS ? readWhole(temporary, kLargestFile) : tl::unexpected(Problem{"The model could not be written: " + std::string(exporter.GetErrorString()) + "."});
        std::error_code ignored;
        std::filesystem::remove(temporary, ignored);
        if (!bytes) return tl::unexpected(bytes.error());
        return writeWhole(path, *bytes);
    }
    const aiExportDataBlob* blob = exporter.ExportToBlob(&scene, format);
    if (!blob) return refuse("The model could not be written: " + std::string(exporter.GetErrorString()) + ".");
    return writeWhole(path, std::string(static_cast<const char*>(blob->data), blob->size));
}

}  // namespace uovo::io
