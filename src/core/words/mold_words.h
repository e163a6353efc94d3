// What is said of a mold of one's own.
#pragma once
#include "core/mold/own_mold.h"

namespace uovo {

/// How it comes out, where its parts meet, where air stays: a sentence each.
std::vector<std::string> moldWords(const mold::OwnMold& mold, UnitSystem units);

}  // namespace uovo
