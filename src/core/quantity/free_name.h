// A name that nothing has yet.
#pragma once
#include <fmt/format.h>

#include <string>

namespace uovo {

/// "rabbit", else "rabbit 2", "rabbit 3" … @param between what parts name and number @param taken whether one is
template <class Taken>
std::string freeName(const std::string& wanted, const char* between, Taken taken) {
    std::string name = wanted;
    for (int n = 2; taken(name); ++n) name = fmt::format("{}{}{}", wanted, between, n);
    return name;
}

}  // namespace uovo
