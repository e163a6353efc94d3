#include "core/quantity/catalogue.h"

#include <mutex>
#include <unordered_map>

namespace uovo {
namespace {

Catalogue& current() {
    static Catalogue catalogue = nullptr;
    return catalogue;
}

std::string& spoken() {
    static std::string language = "en";
    return language;
}

/// What was looked up once; nodes of the map stay where they are.
const char* found(const char* english, int many, const char* otherwise) {
    static std::mutex guard;
    static std::unordered_map<Catalogue, std::unordered_map<std::string, std::string>> known;
    const std::string key = many < 0 ? std::string(english) : english + ('\x1f' + std::to_string(many));
    const std::lock_guard hold(guard);
    const auto [at, fresh] = known[current()].try_emplace(key);
    if (fresh) {
        at->second = current()(english, many);
        if (at->second.empty()) at->second = otherwise;
    }
    return at->second.c_str();
}

}  // namespace

void setCatalogue(Catalogue catalogue, const std::string& language) {
    current() = catalogue;
    spoken() = language;
}

const std::string& catalogueLanguage() { return spoken(); }

bool isTranslated() { return current() != nullptr; }

const char* tr(const char* english) {
    return current() == nullptr || *english == '\0' ? english : found(english, -1, english);
}

std::string filled(const char* told, fmt::string_view english, fmt::format_args figures) {
    if (isTranslated()) try {
            return fmt::vformat(told, figures);
        } catch (const fmt::format_error&) {  // English it is
        }
    return fmt::vformat(english, figures);
}

const char* trMany(const char* one, const char* more, int many) {
    const char* english = many == 1 ? one : more;
    return current() == nullptr ? english : found(one, many, english);
}

}  // namespace uovo
