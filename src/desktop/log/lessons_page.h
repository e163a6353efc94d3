// What the log teaches: said, shown as bands before and now, and counted on as far as a person trusts it.
#pragma once
#include <QLabel>
#include <QPushButton>
#include <QVBoxLayout>
#include <QWidget>

#include "desktop/log/band_rows.h"
#include "desktop/log/log_keeper.h"

namespace uovo::desktop {

class LessonsPage : public QWidget {
    Q_OBJECT

public:
    LessonsPage(Session& session, LogKeeper& keeper, QWidget* parent = nullptr);
    BandRows* next() const { return next_; }

signals:
    /// An entry is not believed and wants another look.
    void entryWanted(const QString& evening, qint64 entry);
    void practiceWanted(const QString& lesson);

protected:
    void showEvent(QShowEvent*) override { refresh(); }

private:
    void refresh();
    QWidget* lesson(const learn::Lesson& l);
    void showBest();

    Session& session_;
    LogKeeper& keeper_;
    QLabel *state_, *nextHead_, *nextNote_, *bagsHead_, *tempersHead_, *tempersNote_;
    QVBoxLayout *lessons_, *questions_, *resolves_, *best_;
    BandRows *next_, *bags_, *tempers_;
    QPushButton* count_;
};

}  // namespace uovo::desktop
