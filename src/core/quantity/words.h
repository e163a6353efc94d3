// Small changes to words.
#pragma once
#include <cctype>
#include <string>

namespace uovo {

/// "Half ball" → "half ball": a name inside a sentence.
inline std::string lowerFirst(std::string s) {
    if (!s.empty()) s[0] = static_cast<char>(std::tolower(static_cast<unsigned char>(s[0])));
    return s;
}

/// All of it in small letters; what is not ASCII stays.
inline std::string lowered(std::string s) {
    for (char& c : s) c = static_cast<char>(std::tolower(static_cast<unsigned char>(c)));
    return s;
}

}  // namespace uovo
