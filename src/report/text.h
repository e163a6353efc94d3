// The core speaks std::string, Qt QString: one way across.
#pragma once
#include <QString>
#include <string>

#include "core/coat/coats.h"
#include "core/quantity/catalogue.h"

namespace uovo {

/// The same words with each number bound to its unit, so that no line ends between them.
QString bound(const std::string& words);

/// One of two ways to say so many, "%1" in it replaced: Qt's own plurals need a catalogue.
inline QString counted(qsizetype many, const QString& one, const QString& more) {
    return (many == 1 ? one : more).arg(many);
}

inline QString qstring(const std::string& s) { return QString::fromStdString(s); }

/// A text in the language of the cook.
inline QString qtr(const char* english) { return qstring(tr(english)); }

/// "on the table", "in the fridge", "in the freezer".
QString placeWords(coat::Place place);

}  // namespace uovo
