// Models on disk: STL, OBJ and PLY through assimp, 3MF by itself; both ways.
#pragma once
#include <functional>
#include <stop_token>
#include <string>

#include <tl/expected.hpp>

#include "core/form/mesh.h"
#include "core/quantity/quantity.h"

namespace uovo::io {

/// What a file's numbers mean; most formats do not say.
enum class MeshUnit { Millimetre, Centimetre, Metre, Inch };
double metres(MeshUnit unit);
const char* name(MeshUnit unit);

struct ReadMesh {
    form::Mesh mesh;                         ///< in the file's own numbers, welded, turned right side out
    MeshUnit likely = MeshUnit::Millimetre;  ///< by its size; ask the person
    form::MeshReport report;                 ///< of the welded mesh
    std::string remarks;  ///< what a person should know: holes, turned, thinned out; empty when all is well
    size_t before = 0;    ///< triangles in the file
};

inline constexpr size_t kMostTriangles = 20000;  ///< a figure in a plan is thinned out to this

inline constexpr size_t kLargestModel = 256'000'000;  ///< bytes of a file
inline constexpr size_t kMostRead = 2'000'000;        ///< triangles of a file

std::string extensionOf(const std::string& path);  ///< "stl" of "A.STL"
bool isModelEnding(const std::string& extension);

/// Reads a model in this process: for the reader's own process (io/model_reader.h), tests and fuzzers.
/// @param extension "stl", "obj", "ply", "3mf"
/// @param progress called with 0..1 while a large one is thinned out
/// @returns the mesh; or in a sentence why there is none: empty, too large, damaged, no inside, stopped
tl::expected<ReadMesh, Problem> readMeshBytes(const std::string& bytes, const std::string& extension,
                                              std::stop_token stop = {},
                                              const std::function<void(double)>& progress = {});

/// Writes a model in millimetres, atomically; the ending of `path` says which format.
tl::expected<void, Problem> writeMeshFile(const std::string& path, const form::Mesh& mesh);

}  // namespace uovo::io
