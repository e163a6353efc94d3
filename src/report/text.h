// The core speaks std::string, Qt QString: one way across.
#pragma once
#include <QString>
#include <string>

#include "core/coat/coats.h"

namespace uovo {

/// The same words with each number bound to its unit, so that no line ends between them.
QString bound(const std::string& words);

inline QString qstring(const std::string& s) { return QString::fromStdString(s); }

/// "on the table", "in the fridge", "in the freezer".
QString placeWords(coat::Place place);

}  // namespace uovo
