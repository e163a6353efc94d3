// Commands as a person runs them.
#pragma once
#include <sys/wait.h>
#include <cmath>
#include <cstdio>
#include <cstdlib>
#include <string>

namespace uovo::test {

/// What a command prints, both its streams. @param code if given, filled with its exit code; 1000 when it was ended
inline std::string printedBy(const std::string& command, int* code = nullptr) {
    std::string out;
    FILE* p = ::popen((command + " 2>&1").c_str(), "r");
    char buffer[4096];
    while (p && std::fgets(buffer, sizeof buffer, p)) out += buffer;
    const int status = p ? ::pclose(p) : -1;
    if (code) *code = WIFEXITED(status) ? WEXITSTATUS(status) : 1000;
    return out;
}

/// Volume of an STL file by admesh, mm³; NaN when it says none.
inline double admeshVolume(const std::string& file) {
    const std::string text = printedBy("admesh '" + file + "'");
    const size_t at = text.find("Volume");
    return at == std::string::npos ? std::nan("") : std::strtod(text.c_str() + text.find(':', at) + 1, nullptr);
}

}  // namespace uovo::test
