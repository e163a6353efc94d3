#include "io/mesh_file.h"

#include <fmt/format.h>

#include <assimp/postprocess.h>
#include <assimp/scene.h>
#include <assimp/Exporter.hpp>
#include <assimp/IOSystem.hpp>
#include <assimp/Importer.hpp>

#include <algorithm>
#include <cmath>
#include <filesystem>

#include "core/form/decimate.h"
#include "core/form/split.h"
#include "core/form/unite.h"
#include "core/quantity/catalogue.h"
#include "io/model_3mf.h"
#include "io/plain_model.h"
#include "io/plan_file.h"
#include "io/refusal.h"

namespace uovo::io {
namespace {

/// A model's file names others (materials, pictures): they are never opened.
class NothingElse : public Assimp::IOSystem {
public:
    bool Exists(const char*) const override { return false; }
    char getOsSeparator() const override { return '/'; }
    Assimp::IOStream* Open(const char*, const char*) override { return nullptr; }
    void Close(Assimp::IOStream*) override {}
};

/// All faces below a node as triangles at their places. `wrong` says why not.
void gather(const aiScene& scene, const aiNode& node, const aiMatrix4x4& above, int depth, form::Mesh& out,
            std::string& wrong) {
    if (depth > 50) wrong = tr("The file is nested too deeply.");
    if (!wrong.empty()) return;
    const aiMatrix4x4 here = above * node.mTransformation;
    for (unsigned i = 0; i < node.mNumMeshes && wrong.empty(); ++i) {
        if (node.mMeshes[i] >= scene.mNumMeshes || !scene.mMeshes[node.mMeshes[i]]) continue;
        const aiMesh& m = *scene.mMeshes[node.mMeshes[i]];
        if (!m.mVertices) continue;
        const int shift = static_cast<int>(out.points.size());
        for (unsigned k = 0; k < m.mNumVertices; ++k) {
            const aiVector3D v = here * m.mVertices[k];
            if (!std::isfinite(v.x) || !std::isfinite(v.y) || !std::isfinite(v.z) || std::abs(v.x) > 1e9f ||
                std::abs(v.y) > 1e9f || std::abs(v.z) > 1e9f) {
                wrong = tr("The file holds a corner that is not a number.");
                return;
            }
            out.points.push_back({v.x, v.y, v.z});
        }
        for (unsigned k = 0; k < m.mNumFaces; ++k) {
            const aiFace& f = m.mFaces[k];
            const bool sound = f.mIndices && std::all_of(f.mIndices, f.mIndices + f.mNumIndices,
                                                         [&](unsigned id) { return id < m.mNumVertices; });
            for (unsigned c = 1; sound && c + 1 < f.mNumIndices; ++c)  // a polygon as a fan
                out.triangles.push_back({shift + static_cast<int>(f.mIndices[0]),
                                         shift + static_cast<int>(f.mIndices[c]),
                                         shift + static_cast<int>(f.mIndices[c + 1])});
            if (out.triangles.size() > kMostRead) {
                wrong = tr("The model has more than two million triangles; thin it out before you bring it here.");
                return;
            }
        }
    }
    for (unsigned i = 0; i < node.mNumChildren; ++i)
        if (node.mChildren[i]) gather(scene, *node.mChildren[i], here, depth + 1, out, wrong);
}

}  // namespace

std::string extensionOf(const std::string& path) {
    std::string e = std::filesystem::path(path).extension().string();
    if (!e.empty()) e.erase(0, 1);
    std::transform(e.begin(), e.end(), e.begin(), [](unsigned char c) { return static_cast<char>(std::tolower(c)); });
    return e;
}

bool isModelEnding(const std::string& extension) {
    return extension == "stl" || extension == "obj" || extension == "ply" || extension == "3mf";
}

double metres(MeshUnit unit) {
    switch (unit) {
        case MeshUnit::Millimetre:
            return 1e-3;
        case MeshUnit::Centimetre:
            return 1e-2;
        case MeshUnit::Metre:
            return 1;
        case MeshUnit::Inch:
            return 0.0254;
    }
    return 1;
}

const char* name(MeshUnit unit) {
    switch (unit) {
        case MeshUnit::Millimetre:
            return "millimetres";
        case MeshUnit::Centimetre:
            return "centimetres";
        case MeshUnit::Metre:
            return "metres";
        case MeshUnit::Inch:
            return "inches";
    }
    return "";
}

tl::expected<ReadMesh, Problem> readMeshBytes(const std::string& bytes, const std::string& extension,
                                              std::stop_token stop, const std::function<void(double)>& progress) {
    if (!isModelEnding(extension))
        return refuse(tr("Models are read from STL, OBJ, PLY and 3MF files; “") + extension + tr("” is none of them."));
    if (bytes.empty()) return refuse(tr("The file is empty."));
    if (bytes.size() > kLargestModel)
        return refuse(say("The file is larger than {} MB; thin the model out before you bring it here.",
                          kLargestModel / 1'000'000));
    ReadMesh out;
    std::string unit;
    if (extension == "3mf") {
        auto read = read3mf(bytes, kMostRead);
        if (!read) return tl::unexpected(read.error());
        out.mesh = std::move(read->mesh);
        unit = read->unit;
    } else {
        auto plain = plainModel(bytes, extension);
        if (!plain) return tl::unexpected(plain.error());
        Assimp::Importer importer;
        importer.SetIOHandler(new NothingElse);  // owned by the importer
        const aiScene* scene = nullptr;
        // No post-processing: assimp 5.2 aborts in it on faces that fuzzing makes. Placing and cutting into triangles
        // is done here.
        constexpr unsigned kSteps = 0;
        try {
            scene = importer.ReadFileFromMemory(plain->data(), plain->size(), kSteps, extension.c_str());
        } catch (const std::exception&) {
            scene = nullptr;
        }
        if (!scene || !scene->mRootNode || scene->mNumMeshes == 0) return damaged();
        std::string wrong;
        gather(*scene, *scene->mRootNode, aiMatrix4x4(), 0, out.mesh, wrong);
        if (!wrong.empty()) return refuse(wrong);
    }
    out.before = out.mesh.triangles.size();
    if (out.mesh.triangles.empty()) return refuse(tr("There is no surface in the file."));
    const form::Vec3 size = form::bounds(out.mesh).size();
    const double largest = std::max({size.x, size.y, size.z}), least = std::min({size.x, size.y, size.z});
    if (!(largest > 0)) return refuse(tr("The model has no size."));
    if (least < 1e-5 * largest) return refuse(tr("The model is flat: it has no thickness and no inside."));
    if (progress) progress(0.02);
    out.mesh = form::weld(out.mesh, 1e-6 * largest);
    if (stop.stop_requested()) return refuse(tr("Stopped."));
    if (out.mesh.triangles.empty()) return refuse(tr("Every triangle of the model is a needle without area."));
    std::vector<std::string> remarks;
    if (out.mesh.triangles.size() > kMostTriangles) {
        const size_t had = out.mesh.triangles.size();
        auto fewer = form::decimated(out.mesh, kMostTriangles, stop, [&](double p) {
            if (progress) progress(0.1 + 0.85 * p);
        });
        if (!fewer) return refuse(tr("Stopped."));
        out.mesh = std::move(*fewer);
        remarks.push_back(say("Thinned out from {} to {} triangles.", had, out.mesh.triangles.size()));
    }
    out.report = form::inspect(out.mesh);
    if (out.report.openEdges && !out.report.crowdedEdges) {
        int closed = 0;
        form::Mesh whole = form::withoutHoles(out.mesh, closed);
        if (const auto after = form::inspect(whole);
            closed > 0 && !after.openEdges && !after.crowdedEdges && !after.flipped) {
            const double inside = std::abs(form::volume(whole)), around = form::area(whole);
            if (inside > 1e-5 * around * largest) {  // a sheet is no body, whatever is put on it
                out.mesh = std::move(whole);
                out.report = after;
                remarks.push_back(closed == 1 ? std::string(tr("It had a hole, which is closed now: look at it."))
                                              : say("It had {} holes, which are closed now: look at them.", closed));
            }
        }
    }
    const double volume = form::volume(out.mesh), area = form::area(out.mesh);
    if (!out.report.openEdges && std::abs(volume) < 1e-5 * area * largest)
        return refuse(tr("The model has no inside: its surfaces lie on each other."));
    if (volume < 0) {
        out.mesh = form::reversed(std::move(out.mesh));
        remarks.push_back(tr("It was inside out and has been turned."));
        out.report = form::inspect(out.mesh);
    }
    const std::string words = form::inWords(out.report);
    if (!words.empty())
        remarks.push_back(words +
                          (out.report.openEdges ? tr(" Its volume is not certain until they are closed.") : ""));
    if (out.report.shells > 1 && form::crossingsOf(out.mesh, 1).pairs > 0)
        remarks.push_back(
            say("It is made of {} bodies, some of them in each other: what they share is counted twice. "
                "“Make its bodies one” on the page of its mold puts that right.",
                out.report.shells));
    else if (out.report.shells > 1) remarks.push_back(say("It is made of {} separate bodies.", out.report.shells));
    for (const auto& r : remarks) out.remarks += (out.remarks.empty() ? "" : " ") + r;
    // A piece of chocolate is between one and fifty centimetres; the first unit that makes it so is the likely one.
    for (const MeshUnit u : {MeshUnit::Millimetre, MeshUnit::Inch, MeshUnit::Centimetre, MeshUnit::Metre}) {
        out.likely = u;
        if (const double s = largest * metres(u); s >= 0.008 && s <= 0.5) break;
    }
    // … unless the file says which.
    if (unit == "millimeter") out.likely = MeshUnit::Millimetre;
    if (unit == "centimeter") out.likely = MeshUnit::Centimetre;
    if (unit == "meter") out.likely = MeshUnit::Metre;
    if (unit == "inch") out.likely = MeshUnit::Inch;
    if (progress) progress(1);
    return out;
}

tl::expected<void, Problem> writeMeshFile(const std::string& path, const form::Mesh& mesh) {
    const std::string extension = extensionOf(path);
    const char* format = extension == "stl"   ? "stlb"
                         : extension == "obj" ? "objnomtl"
                         : extension == "ply" ? "plyb"
                                              : nullptr;
    if (extension == "3mf") {
        const auto package = write3mf(mesh);
        if (!package) return tl::unexpected(package.error());
        return writeWhole(path, *package);
    }
    if (!format) return refuse(tr("Choose a file ending in .stl, .obj, .ply or .3mf."));
    aiScene scene;
    scene.mRootNode = new aiNode("uovo");
    scene.mNumMeshes = 1;
    scene.mMeshes = new aiMesh* [1] { new aiMesh };
    scene.mNumMaterials = 1;
    scene.mMaterials = new aiMaterial* [1] { new aiMaterial };
    auto* node = new aiNode("piece");  // some formats write only what hangs below the root
    node->mNumMeshes = 1;
    node->mMeshes = new unsigned[1]{0};
    scene.mRootNode->addChildren(1, &node);
    aiMesh& m = *scene.mMeshes[0];
    m.mName = aiString("piece");
    m.mPrimitiveTypes = aiPrimitiveType_TRIANGLE;
    m.mNumVertices = static_cast<unsigned>(mesh.points.size());
    m.mVertices = new aiVector3D[mesh.points.size()];
    for (size_t i = 0; i < mesh.points.size(); ++i)
        m.mVertices[i] =
            aiVector3D(static_cast<float>(mesh.points[i].x * 1e3), static_cast<float>(mesh.points[i].y * 1e3),
                       static_cast<float>(mesh.points[i].z * 1e3));
    m.mNumFaces = static_cast<unsigned>(mesh.triangles.size());
    m.mFaces = new aiFace[mesh.triangles.size()];
    for (size_t i = 0; i < mesh.triangles.size(); ++i) {
        m.mFaces[i].mNumIndices = 3;
        m.mFaces[i].mIndices =
            new unsigned[3]{static_cast<unsigned>(mesh.triangles[i][0]), static_cast<unsigned>(mesh.triangles[i][1]),
                            static_cast<unsigned>(mesh.triangles[i][2])};
    }
    Assimp::Exporter exporter;
    const aiExportDataBlob* blob = exporter.ExportToBlob(&scene, format);
    if (!blob) return refuse(tr("The model could not be written: ") + std::string(exporter.GetErrorString()) + ".");
    return writeWhole(path, std::string(static_cast<const char*>(blob->data), blob->size));
}

}  // namespace uovo::io
