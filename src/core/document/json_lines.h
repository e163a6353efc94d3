// Where in a JSON text something stands.
#pragma once
#include <string>
#include <string_view>

namespace uovo {

/// Line (1 first) of a byte offset counted from 1, as JSON parsers report it.
int lineOfByte(std::string_view text, size_t byte);

/// Line of the value a JSON pointer ("/pieces/0/former/dip") names in a valid JSON text; of its nearest parent when the
/// value is not there.
int lineOfPointer(std::string_view text, std::string_view pointer);

}  // namespace uovo
