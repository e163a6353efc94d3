// Small changes to words.
#pragma once
#include <cctype>
#include <string>
#include <vector>
#include "core/quantity/catalogue.h"

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

/// "Wall 3" → "Wall"
inline std::string unnumbered(const std::string& name) {
    return name.substr(0, name.find_last_not_of(" 0123456789") + 1);
}

/// A key of data/ in words: "clearShelf" → "clear shelf", "yield40" → "yield at 40 °C"
inline std::string spaced(const std::string& key) {
    std::string out;
    for (const char c : key) {
        if (std::isupper(static_cast<unsigned char>(c))) out += ' ';
        if (std::isdigit(static_cast<unsigned char>(c)) && !out.empty() &&
            std::isalpha(static_cast<unsigned char>(out.back())))
            out += " at ";
        out += static_cast<char>(std::tolower(static_cast<unsigned char>(c)));
    }
    return out.ends_with("40") ? out + " °C" : out;
}

/// "the lid" → "The lid"
inline std::string upperFirst(std::string s) {
    if (!s.empty() && s[0] >= 'a' && s[0] <= 'z') s[0] = static_cast<char>(s[0] - 'a' + 'A');
    return s;
}

/// "the dome, the tube and the ceiling"
inline std::string listed(const std::vector<std::string>& names) {
    std::string out;
    for (size_t i = 0; i < names.size(); ++i)
        out += (i == 0 ? "" : i + 1 == names.size() ? tr(" and ") : ", ") + names[i];
    return out;
}

}  // namespace uovo
