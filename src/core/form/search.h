// What a cook's words find in the gallery: families that are it, and for what no family is, the ways to make it.
#pragma once
#include <map>

#include "core/form/family.h"

namespace uovo::form {

struct Hit {
    const Family* family = nullptr;
    std::map<std::string, std::string> choices = {};  ///< of the family that the words ask for, "silhouette": "heart"
    std::string thing = {};  ///< where there is no family of it: what it is then called, "rabbit"
    double score = 0;
    bool operator==(const Hit& o) const { return family == o.family && choices == o.choices && thing == o.thing; }
};

/// Families that fit a person's words, best first; all of them for no words. Whole words count, in any number, with or
/// without accents; the last may be unfinished, a longer one may have one letter wrong. What no family knows is led to
/// its ways: an outline of one's own, a bought mold, an original in the hand, a model.
std::vector<Hit> search(const std::string& words);

/// Words of a sentence in small letters without accents or marks, in the singular, those that say nothing left out.
std::vector<std::string> contentWords(const std::string& sentence);

}  // namespace uovo::form
