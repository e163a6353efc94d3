// Words that people type in their own language, as the readers of this program know them: in English.
#pragma once
#include <string>

namespace uovo {

/// What was typed with each word or phrase that the language's vocabulary knows in English; the rest stays as it is.
/// The vocabulary stands in the catalogue (languages/). In English nothing changes.
std::string inEnglish(const std::string& typed);

}  // namespace uovo
