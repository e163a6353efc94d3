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

/// A text with its figures put in. One that does not fit them, as a catalogue may have it, is said in English.
std::string filled(const char* told, fmt::string_view english, fmt::format_args figures);

/// A sentence with figures in it: the English one is checked against its figures by the compiler, another language's by
/// the check of the catalogue.
template <class... A>
std::string say(fmt::format_string<A...> english, A&&... figures) {
    const fmt::string_view text = english;
    return filled(tr(std::string(text.data(), text.size()).c_str()), text, fmt::make_format_args(figures...));
}

/// The same of a constant table: its text was marked with trLater().
template <class... A>
std::string sayLater(const char* english, A&&... figures) {
    return filled(tr(english), english, fmt::make_format_args(figures...));
}

/// A sentence about so many: sayMany("{} coat", "{} coats", n) with the number as its first figure.
template <class... A>
std::string sayMany(fmt::format_string<int&, A...> one, fmt::format_string<int&, A...> more, int many, A&&... figures) {
    const fmt::string_view a = one, b = more;
    const std::string first(a.data(), a.size()), other(b.data(), b.size());
    return filled(trMany(first.c_str(), other.c_str(), many), many == 1 ? a : b,
                  fmt::make_format_args(many, figures...));
}

}  // namespace uovo
