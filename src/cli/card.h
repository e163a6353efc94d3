// The commands that need Qt Gui; a build without Qt says so.
#pragma once
#include <string>
#include <vector>

namespace uovo::cli {
int card(const std::vector<std::string>& args, int argc, char** argv);
int templates(const std::vector<std::string>& args, int argc, char** argv);
}  // namespace uovo::cli
