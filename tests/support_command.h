// Commands as a person runs them.
#pragma once
#include <sys/wait.h>
#include <cstdio>
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

}  // namespace uovo::test
