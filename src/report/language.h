// The language of the cook: what the desktop speaks, or what was chosen. English is in the source, others in
// languages/.
#pragma once
#include <QLocale>
#include <QString>
#include <QStringList>

namespace uovo::report {

inline constexpr const char* kLanguageKey = "language";  ///< of the settings: a code, or empty: as the desktop

/// Languages there are, by their codes ("nl"), English first.
QStringList languages();
/// What a language calls itself: "Nederlands".
QString nameOf(const QString& language);

/// Speaks it from now on, window, answers and printed pages; once, after the application is there and before anything
/// is said. @param language a code, or empty: the first that the desktop asks for and there is
void speak(const QString& language);
/// The code of what is spoken.
QString spokenLanguage();
/// Its names of days and months.
QLocale spokenLocale();

}  // namespace uovo::report
