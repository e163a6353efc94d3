// Every sentence of core in the language of the cook. English is written in the source and is the key of the catalogue.
#pragma once
#include <fmt/format.h>

#include <string>

namespace uovo {

/// Finds what an English text is in another language, in the form for `many` where it is told of several (−1: of none).
/// An empty answer means that the catalogue does not know it: English is shown.
using Catalogue = std::string (*)(const char* english, int many);

/// Sets the language: once, before anything is said. Without it everything is English.
/// @param language its code, "nl", for what a catalogue cannot tell, such as the plural of a name
void setCatalogue(Catalogue catalogue, const std::string& language);
const std::string& catalogueLanguage();

/// Whether another language than English is spoken.
bool isTranslated();

/// A fixed text. @returns a pointer that stays good
const char* tr(const char* english);
inline std::string tr(const std::string& english) { return tr(english.c_str()); }

/// Marks a text of a constant table for the catalogue: it is asked for with tr() where it is said.
constexpr const char* trLater(const char* english) { return english; }

/// The text for so many: "{} coat", "{} coats".
const char* trMany(const char* one, const char* more, int many);

/// A sentence with figures in it: the English one is checked against its figures by the compiler, another language's by
/// the check of the catalogue. One that does not fit its figures all the same is said in English.
template <class... A>
std::string say(fmt::format_string<A...> english, A&&... figures) {
    const fmt::string_view text = english;
    const std::string key(text.data(), text.size());
    const char* told = tr(key.c_str());
    if (isTranslated()) try {
            return fmt::vformat(told, fmt::make_format_args(figures...));
        } catch (const fmt::format_error&) {  // English it is
        }
    return fmt::vformat(text, fmt::make_format_args(figures...));
}

/// A sentence about so many: sayMany("{} coat", "{} coats", n) with the number as its first figure.
template <class... A>
std::string sayMany(fmt::format_string<int&, A...> one, fmt::format_string<int&, A...> more, int many, A&&... figures) {
    const fmt::string_view a = one, b = more;
    const std::string first(a.data(), a.size()), other(b.data(), b.size());
    return fmt::vformat(trMany(first.c_str(), other.c_str(), many), fmt::make_format_args(many, figures...));
}

}  // namespace uovo
