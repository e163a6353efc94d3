#include "core/quantity/vocabulary.h"

#include <sstream>
#include <unordered_map>
#include <vector>

#include "core/quantity/catalogue.h"
#include "core/quantity/words.h"

namespace uovo {
namespace {

/// Told in a catalogue as what is typed = English, one after the other: "kom = bowl; twee lepels = two spoons".
constexpr const char* kVocabulary = trLater("vocabulary of what people type: word = English; word = English");
constexpr size_t kLongest = 5;  // words of a phrase

std::string trimmed(const std::string& s) {
    const size_t from = s.find_first_not_of(" \n"), to = s.find_last_not_of(" \n");
    return from == std::string::npos ? std::string() : s.substr(from, to - from + 1);
}

const std::unordered_map<std::string, std::string>& vocabulary() {
    static const auto known = [] {
        std::unordered_map<std::string, std::string> out;
        std::istringstream all(tr(kVocabulary));
        for (std::string pair; std::getline(all, pair, ';');)
            if (const size_t is = pair.find('='); is != std::string::npos)
                out[lowered(trimmed(pair.substr(0, is)))] = trimmed(pair.substr(is + 1));
        return out;
    }();
    return known;
}

}  // namespace

std::string inEnglish(const std::string& typed) {
    if (!isTranslated()) return typed;
    struct Word {
        std::string said, low, after;  // after: its mark of punctuation
    };
    std::vector<Word> words;
    std::istringstream in(typed);
    for (std::string w; in >> w;) {
        const size_t end = w.find_last_not_of(",;.!?") + 1;
        words.push_back({w.substr(0, end), lowered(w.substr(0, end)), w.substr(end)});
    }
    std::string out;
    for (size_t i = 0; i < words.size();) {
        size_t used = 1;
        std::string told = words[i].said;
        for (size_t many = std::min(kLongest, words.size() - i); many > 0; --many) {
            std::string phrase = words[i].low;
            bool whole = true;
            for (size_t k = i + 1; k < i + many; ++k) {
                whole = whole && words[k - 1].after.empty();
                phrase += " " + words[k].low;
            }
            const auto known = whole ? vocabulary().find(phrase) : vocabulary().end();
            if (known == vocabulary().end()) continue;
            told = known->second;
            used = many;
            break;
        }
        const std::string& after = words[i + used - 1].after;
        if (!told.empty() || !after.empty()) out += (out.empty() || told.empty() ? "" : " ") + told + after;
        i += used;
    }
    return typed.ends_with(' ') ? out + " " : out;
}

}  // namespace uovo
