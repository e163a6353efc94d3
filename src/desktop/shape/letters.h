// Letters and words as outlines to cut.
#pragma once
#include <QString>
#include <tl/expected.hpp>
#include <vector>

#include "core/form/outline.h"
#include "core/quantity/quantity.h"

namespace uovo::desktop {

/// @param capital m, height of a capital letter @param bar joins the letters at their foot, so that a word is one part
/// @returns one outline with its holes about its own middle, or why there is none: nothing to see, letters that do not
/// hold together
tl::expected<std::vector<form::Loop>, Problem> letters(const QString& text, double capital, bool bar);

}  // namespace uovo::desktop
