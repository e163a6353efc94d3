#include "core/quantity/plural.h"

#include <algorithm>
#include <cctype>

namespace uovo {
namespace {

/// Words that do not simply take an s; a name may end in them ("flat foot", "snowman").
struct Strange {
    const char *one, *many;
};
constexpr Strange kStrange[]{{"foot", "feet"},      {"tooth", "teeth"},     {"goose", "geese"},  {"mouse", "mice"},
                             {"child", "children"}, {"snowman", "snowmen"}, {"half", "halves"},  {"calf", "calves"},
                             {"leaf", "leaves"},    {"loaf", "loaves"},     {"knife", "knives"}, {"shelf", "shelves"},
                             {"wolf", "wolves"},    {"sheep", "sheep"},     {"fish", "fish"},    {"man", "men"}};

bool isLetter(char c) { return std::isalpha(static_cast<unsigned char>(c)) != 0; }

}  // namespace

std::string plural(const std::string& name) {
    size_t end = name.size();
    for (const char* joint : {" to ", " of ", " with ", " in ", ","}) end = std::min(end, name.find(joint));
    const std::string head = name.substr(0, end), rest = name.substr(end);
    std::string small = head;
    std::transform(small.begin(), small.end(), small.begin(),
                   [](unsigned char c) { return static_cast<char>(std::tolower(c)); });
    for (const auto& [one, many] : kStrange) {
        const std::string word = one;
        if (!small.ends_with(word)) continue;
        const size_t at = head.size() - word.size();
        if (at > 0 && isLetter(head[at - 1]) && word == "man") continue;  // a caiman is no man
        std::string said = many;
        said[0] =
            head[at] == small[at] ? said[0] : static_cast<char>(std::toupper(static_cast<unsigned char>(said[0])));
        return head.substr(0, at) + said + rest;
    }
    const auto vowel = [](char c) { return std::string("aeiou").find(c) != std::string::npos; };
    if (small.ends_with('s')) return name;
    if (small.ends_with('x') || small.ends_with("ch") || small.ends_with("sh")) return head + "es" + rest;
    if (small.size() > 1 && small.back() == 'y' && !vowel(small[small.size() - 2]))
        return head.substr(0, head.size() - 1) + "ies" + rest;
    return head + "s" + rest;
}

}  // namespace uovo
