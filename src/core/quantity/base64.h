// Bytes as text that a JSON file can hold: base 64 (RFC 4648).
#pragma once
#include <optional>
#include <string>

namespace uovo {

std::string base64(const std::string& bytes);
/// The inverse. @param most bytes that are taken @returns nothing where it is not such a text, or too long
std::optional<std::string> fromBase64(const std::string& text, std::size_t most);

}  // namespace uovo
