#include "core/quantity/plural.h"

#include <fmt/format.h>

#include <algorithm>
#include <cctype>

#include "core/quantity/catalogue.h"
#include "core/quantity/words.h"

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

/// Dutch: -s after a syllable that is not stressed, else -en, with what that does to the vowel before it.
std::string pluralDutch(const std::string& name) {
    size_t joint = name.size();
    for (const char* j : {" op ", " van ", " met ", " over ", " in ", " uit ", " om ", " die ", ","})
        joint = std::min(joint, name.find(j));
    const std::string head = name.substr(0, joint), rest = name.substr(joint);
    const auto ends = [&](const char* with) { return lowered(head).ends_with(with); };
    const auto vowel = [](char c) { return std::string("aeiou").find(c) != std::string::npos; };
    if (head.size() < 2) return name;
    if (ends("ei")) return fmt::format("{}eren{}", head, rest);
    size_t syllables = 0;
    for (size_t i = 0; i < head.size(); ++i) syllables += vowel(head[i]) && (i == 0 || !vowel(head[i - 1]));
    for (const char* one : {"el", "em", "en", "er", "erd", "aar", "ie"})
        if (syllables > 1 && ends(one) && !ends("eel")) return fmt::format("{}s{}", head, rest);
    if (ends("e")) return fmt::format("{}s{}", head, rest);
    const char last = head.back(), before = head[head.size() - 2];
    if (vowel(last) || last == 'y') return fmt::format("{}'s{}", head, rest);
    if (ends("schip")) return fmt::format("{}epen{}", head.substr(0, head.size() - 2), rest);
    std::string stem = head;
    const bool longVowel = head.size() > 2 && vowel(before) && vowel(head[head.size() - 3]);
    if (longVowel && before == head[head.size() - 3]) stem.erase(stem.size() - 2, 1);  // maan, manen
    else if (vowel(before) && !longVowel && last != 'x' && last != 'w') stem += last;  // kom, kommen
    if ((longVowel || !vowel(before)) && (stem.back() == 's' || stem.back() == 'f')) {
        const bool hard = stem.size() > 1 && std::string("kptc").find(stem[stem.size() - 2]) != std::string::npos;
        if (!hard) stem.back() = stem.back() == 's' ? 'z' : 'v';  // huis, huizen; duif, duiven
    }
    return fmt::format("{}en{}", stem, rest);
}

}  // namespace

std::string plural(const std::string& name) {
    if (catalogueLanguage() == "nl") return pluralDutch(name);
    if (isTranslated()) return name;
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
        return fmt::format("{}{}{}", head.substr(0, at), said, rest);
    }
    const auto vowel = [](char c) { return std::string("aeiou").find(c) != std::string::npos; };
    if (small.ends_with('s')) return name;
    if (small.ends_with('x') || small.ends_with("ch") || small.ends_with("sh"))
        return fmt::format("{}es{}", head, rest);
    if (small.size() > 1 && small.back() == 'y' && !vowel(small[small.size() - 2]))
        return fmt::format("{}ies{}", head.substr(0, head.size() - 1), rest);
    return fmt::format("{}s{}", head, rest);
}

}  // namespace uovo
