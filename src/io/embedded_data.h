// The files of data/, compiled in.
#pragma once
#include <string>
#include <vector>

namespace uovo::io {

struct EmbeddedFile {
    std::string name;  ///< path below data/, "demo/perseid-night.uovo"
    std::string text;
};
const std::vector<EmbeddedFile>& embeddedFiles();

}  // namespace uovo::io
