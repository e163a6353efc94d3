// What is wrong with a case file, in words of ours and not of the library that read it.
#pragma once
#include <string>

#include <nlohmann/json.hpp>

namespace uovo::cli {

/// "“on” is missing." or "A text stands where a number is expected."
std::string inWords(const nlohmann::json::exception& e);

}  // namespace uovo::cli
