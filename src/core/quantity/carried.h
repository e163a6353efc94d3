// Sentences of a process that speaks no language, put into words by the one that does: text and figures travel apart.
#pragma once
#include <string>

namespace uovo {

/// From now on tr(), say() and sayMany() of this process give what unpacked() understands, instead of sentences.
void carryTexts();

/// A carried text, with what stands before and behind it, in the language of the cook. What was not carried stays.
std::string unpacked(const std::string& carried);

}  // namespace uovo
