// The command that needs Qt Gui; a build without Qt says so.
#pragma once
#include <string>
#include <vector>

namespace uovo::cli {
int card(const std::vector<std::string>& args, int argc, char** argv);
}
