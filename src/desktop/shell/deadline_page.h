// What a plan is called and when it must be ready: words, a calendar, a clock.
#pragma once
#include <QDate>
#include <QLocale>
#include <optional>

#include "desktop/shell/session.h"

namespace uovo::desktop {

/// English words in the order of the country this runs in; day before month where it is not known.
QLocale dayLocale();
/// A day as people write it: "29 August", "29.8.2026", "8/29/26" where months come first, "2026-08-29", "Saturday".
/// @param today for days without a year, which are the next such day @returns nothing when it is no day
std::optional<QDate> readDay(const QString& words, const QLocale& locale, const QDate& today);
/// "Saturday 5 December 2026", as the country says it.
QString sayDay(const QDate& day, const QLocale& locale);
QWidget* deadlinePage(Session& session);

}  // namespace uovo::desktop
