#include "core/document/json_lines.h"

#include <algorithm>

namespace uovo {
namespace {

/// Walks over a JSON text that is known to be valid.
struct Walker {
    std::string_view text;
    size_t at = 0;

    void space() {
        while (at < text.size() && (text[at] == ' ' || text[at] == '\n' || text[at] == '\t' || text[at] == '\r')) ++at;
    }
    std::string_view quoted() {
        const size_t from = ++at;
        while (at < text.size() && text[at] != '"') at += text[at] == '\\' ? 2 : 1;
        at = std::min(at, text.size());
        return text.substr(from, at++ - from);
    }
    void skipValue() {
        space();
        int depth = 0;
        while (at < text.size()) {
            const char c = text[at];
            if (c == '"') {
                quoted();
            } else if (c == '{' || c == '[') {
                ++depth;
                ++at;
            } else if (c == '}' || c == ']') {
                if (depth == 0) return;
                --depth;
                ++at;
            } else if (c == ',' && depth == 0) {
                return;
            } else {
                ++at;
            }
            if (depth == 0 && at < text.size() && (text[at] == ',' || text[at] == '}' || text[at] == ']')) return;
        }
    }
    /// Enters the value and moves to the member `key`; false when it is not there.
    bool descend(std::string_view key) {
        space();
        if (at >= text.size()) return false;
        const bool object = text[at] == '{';
        if (!object && text[at] != '[') return false;
        ++at;
        for (size_t index = 0;; ++index) {
            space();
            if (at >= text.size() || text[at] == '}' || text[at] == ']') return false;
            bool here = !object && std::to_string(index) == key;
            if (object) {
                here = quoted() == key;
                space();
                ++at;  // the colon
                space();
            }
            if (here) return true;
            skipValue();
            space();
            if (at < text.size() && text[at] == ',') ++at;
        }
    }
};

}  // namespace

int lineOfByte(std::string_view text, size_t byte) {
    const size_t end = std::min(byte > 0 ? byte - 1 : 0, text.size());
    return 1 + static_cast<int>(std::count(text.begin(), text.begin() + static_cast<std::ptrdiff_t>(end), '\n'));
}

int lineOfPointer(std::string_view text, std::string_view pointer) {
    Walker w{text};
    w.space();
    size_t best = w.at;
    while (!pointer.empty()) {
        pointer.remove_prefix(1);
        const auto slash = pointer.find('/');
        const auto key = pointer.substr(0, slash);
        pointer = slash == std::string_view::npos ? std::string_view{} : pointer.substr(slash);
        if (!w.descend(key)) break;
        best = w.at;
    }
    return lineOfByte(text, best + 1);
}

}  // namespace uovo
