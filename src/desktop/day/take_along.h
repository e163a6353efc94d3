// The day to take along: on paper, as cards, as a calendar, as text; of everybody or of one person.
#pragma once
#include <QComboBox>

#include "desktop/shell/session.h"

namespace uovo::desktop {

class TakeAlong : public QWidget {
    Q_OBJECT

public:
    explicit TakeAlong(Session& session);
    void refresh();
    /// Writes by the name's ending: .pdf a sheet, .ics a calendar, .txt text. @param cards cards instead of a sheet
    bool save(const QString& path, bool cards = false);
    QString text() const;

signals:
    void said(const QString& words, bool wrong);

private:
    std::optional<size_t> person() const;
    void print(bool cards);

    Session& session_;
    QComboBox* who_;
};

}  // namespace uovo::desktop
