#include "core/quantity/carried.h"

#include <fmt/args.h>
#include <fmt/format.h>

#include <cstdlib>
#include <vector>

#include "core/quantity/catalogue.h"

namespace uovo {
namespace {

constexpr char kBegin = '\x02', kParts = '\x1f', kEnd = '\x03';  // no sentence has them
constexpr size_t kDeepest = 8;                                   // sentences within sentences

/// A text with each of its figures, "{:.0f}", as `become` has it.
template <class Become>
std::string withFigures(const std::string& text, const Become& become) {
    std::string out;
    for (size_t i = 0; i < text.size(); ++i) {
        const size_t close = text[i] == '{' ? text.find('}', i) : std::string::npos;
        if (close == std::string::npos) {
            out += text[i];
            continue;
        }
        out += become(text.substr(i, close + 1 - i));
        i = close;
    }
    return out;
}

/// The text itself with its figures' places kept as they stand, and each figure behind it: filled in by say().
std::string carried(const char* english, int many) {
    std::string figures;
    const std::string key = withFigures(english, [&](const std::string& figure) {
        figures += kParts + figure;
        return "{" + figure + "}";
    });
    return kBegin + std::to_string(many) + kParts + key + figures + kEnd;
}

/// "{:.0f}" → "{}": the figure is words by now.
std::string plain(const std::string& text) {
    return withFigures(text,
                       [](const std::string& figure) { return figure.substr(0, figure.find_first_of(":}")) + "}"; });
}

/// From behind its begin to behind its end.
std::string sentence(const std::string& text, size_t& at, size_t deep) {
    std::vector<std::string> parts(1);
    while (at < text.size() && text[at] != kEnd) {
        if (text[at] == kParts) {
            parts.emplace_back();
            ++at;
        } else if (text[at] == kBegin && deep < kDeepest) {
            parts.back() += sentence(text, ++at, deep + 1);
        } else {
            parts.back() += text[at++];
        }
    }
    ++at;
    if (parts.size() < 2) return {};
    const int many = std::atoi(parts[0].c_str());
    fmt::dynamic_format_arg_store<fmt::format_context> figures;
    for (size_t k = 2; k < parts.size(); ++k) figures.push_back(parts[k]);
    for (const std::string& words :
         {std::string(many < 0 ? tr(parts[1].c_str()) : trMany(parts[1].c_str(), parts[1].c_str(), many)), parts[1]})
        try {
            return fmt::vformat(plain(words), figures);
        } catch (const fmt::format_error&) {  // the English one, else its key
        }
    return parts[1];
}

}  // namespace

void carryTexts() { setCatalogue(carried, "carried"); }

std::string unpacked(const std::string& text) {
    std::string out;
    for (size_t at = 0; at < text.size();)
        if (text[at] == kBegin) out += sentence(text, ++at, 0);
        else out += text[at++];
    return out;
}

}  // namespace uovo
