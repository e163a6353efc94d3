// Models read in a process of their own, with bounded memory and time: no file can take the program along.
#pragma once
#include <string>

#include "io/mesh_file.h"

namespace uovo::io {

inline constexpr double kReaderSeconds = 60;                ///< after which a reading is given up
inline constexpr std::size_t kReaderBytes = 1'500'000'000;  ///< of memory it may take

/// Reads a model from a file by the helper program `uovo-model-reader` beside this one.
/// @param stop ends the helper at once
/// @returns the mesh; or in a sentence why there is none: missing, not a file, empty, damaged, beyond the budget,
/// stopped
tl::expected<ReadMesh, Problem> readMeshFile(const std::string& path, std::stop_token stop = {},
                                             const std::function<void(double)>& progress = {});

/// The helper's part: reads the model from standard input, writes what it found to standard output.
/// @param carries its sentences are put into words by who asked (core/quantity/carried.h)
/// @returns its exit code
int serveModel(const std::string& extension, bool carries);
inline constexpr const char* kCarried = "carried";  ///< word of its command line for that

}  // namespace uovo::io
