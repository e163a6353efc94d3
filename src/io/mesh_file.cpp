#include "io/mesh_file.h"

#include <fmt/format.h>

#include <assimp/Exporter.hpp>
#include <assimp/Importer.hpp>
#include <assimp/config.h>
#include <assimp/postprocess.h>
#include <assimp/scene.h>

#include <unistd.h>

#include <algorithm>
#include <cmath>
#include <filesystem>
#include <memory>

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
    Assimp::Importer importer;
    importer.SetPropertyInteger(AI_CONFIG_PP_SBP_REMOVE, aiPrimitiveType_POINT | aiPrimitiveType_LINE);
    importer.SetPropertyInteger(AI_CONFIG_PP_RVC_FLAGS, aiComponent_NORMALS | aiComponent_TANGENTS_AND_BITANGENTS | aiComponent_COLORS | aiComponent_TEXCOORDS | aiComponent_BONEWEIGHTS | aiComponent_ANIMATIONS | aiComponent_TEXTURES | aiComponent_LIGHTS | aiComponent_CAMERAS | aiComponent_MATERIALS);
    const aiScene* scene = nullptr;
    constexpr unsigned kSteps = aiProcess_RemoveComponent | aiProcess_Triangulate | aiProcess_SortByPType | aiProcess_PreTransformVertices;
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
    if (!scene || scene->mNumMeshes == 0) return refuse("The file is damaged, or is not what its ending says.");
    ReadMesh out;
    for (unsigned i = 0; i < scene->mNumMeshes; ++i) {
        const aiMesh& m = *scene->mMeshes[i];
        const int shift = static_cast<int>(out.mesh.points.size());
        for (unsigned k = 0; k < m.mNumVertices; ++k) {
            const auto& v = m.mVertices[k];
            if (!std::isfinite(v.x) || !std::isfinite(v.y) || !std::isfinite(v.z) || std::abs(v.x) > 1e9f || std::abs(v.y) > 1e9f || std::abs(v.z) > 1e9f) return refuse("The file holds a corner that is not a number.");
            out.mesh.points.push_back({v.x, v.y, v.z});
        }
        for (unsigned k = 0; k < m.mNumFaces; ++k) {
            const aiFace& f = m.mFaces[k];
            if (f.mNumIndices != 3 || f.mIndices[0] >= m.mNumVertices || f.mIndices[1] >= m.mNumVertices || f.mIndices[2] >= m.mNumVertices) continue;
            out.mesh.triangles.push_back({shift + static_cast<int>(f.mIndices[0]), shift + static_cast<int>(f.mIndices[1]), shift + static_cast<int>(f.mIndices[2])});
        }
        if (out.mesh.triangles.size() > kMostRead) return refuse("The model has more than four million triangles; thin it out before you bring it here.");
    }
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
