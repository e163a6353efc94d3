// The core speaks std::string, Qt QString: one way across.
#pragma once
#include <QString>
#include <string>

namespace uovo {

inline QString qstring(const std::string& s) { return QString::fromStdString(s); }

}  // namespace uovo
