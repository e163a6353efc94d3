// 3MF packages: the core specification's meshes, components and build items, and parts of the production extension that
// lie in the same package.
#pragma once
#include <string>

#include <tl/expected.hpp>

#include "core/form/mesh.h"
#include "core/quantity/quantity.h"

namespace uovo::io {

struct Read3mf {
    form::Mesh mesh;   ///< in the file's own numbers, everything that is built, at its place
    std::string unit;  ///< "millimeter", "inch", …
};

inline constexpr std::size_t kMostInstances = 10'000;  ///< times that meshes and components are set down
inline constexpr int kDeepest = 20;                    ///< components in each other

/// @param most triangles; more are refused
tl::expected<Read3mf, Problem> read3mf(const std::string& bytes, std::size_t most);

/// @param mesh m @returns the package's bytes, in millimetres
tl::expected<std::string, Problem> write3mf(const form::Mesh& mesh);

}  // namespace uovo::io
