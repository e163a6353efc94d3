// A leaf of a calendar to choose a day on.
#pragma once
#include <QCalendarWidget>
#include <QLabel>
#include <QLocale>
#include <QWidget>

namespace uovo::desktop {

class CalendarLeaf : public QWidget {
    Q_OBJECT

public:
    /// @param object name of its days @param first the first day that can be chosen
    CalendarLeaf(const QLocale& locale, const QString& object, const QString& name, const QDate& first);
    void setDay(const QDate& day);

signals:
    void chosen(const QDate& day);

private:
    QCalendarWidget* days_;
    QLabel* month_;
};

}  // namespace uovo::desktop
