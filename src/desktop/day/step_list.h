// The steps of the day in their order: to be ticked, searched and pinned.
#pragma once
#include <QLineEdit>
#include <QListWidget>
#include <QMenu>
#include <memory>

#include "core/day/lanes.h"
#include "desktop/shell/session.h"

namespace uovo::desktop {

class StepList : public QWidget {
    Q_OBJECT

public:
    explicit StepList(Session& session);
    void setDay(std::shared_ptr<const DayPlan> day);
    /// Chooses the last step that has begun by a minute.
    void showMinute(int minute);
    QListWidget* list() const { return list_; }
    QLineEdit* search() const { return search_; }
    /// Ticks a step of the list, or takes the tick off.
    void tick(int row);
    /// Pins it where it stands, or lets it go.
    void pin(int row);
    /// Makes the walls and parts of a piece so many days before; 0: on the day.
    void setAhead(const std::string& piece, int days);
    /// One round more than there are, or as few as the shelf allows.
    void splitRounds(const std::string& piece);
    void joinRounds(const std::string& piece);
    /// What can be done with a row, and with the piece it is of; the caller's.
    QMenu* menuOf(int row);
    /// What a row shows.
    struct Row {
        QString step, clock, title, more, care;  ///< care: what to be careful with, whole
        int minute = 0, task = -1;
        bool done = false, pinned = false;
    };
    const Row& rowOf(int row) const { return rows_[static_cast<size_t>(row)]; }

signals:
    void minuteWanted(int minute);
    /// Why a step was not pinned.
    void refused(const QString& why);

protected:
    bool eventFilter(QObject* watched, QEvent* event) override;

private:
    void filter();

    Session& session_;
    QLineEdit* search_;
    QListWidget* list_;
    std::shared_ptr<const DayPlan> day_;
    std::vector<Row> rows_;
};

/// Pins a step of the plan at a minute of the day, as one edit. @returns why not, empty when it is done
QString pinStep(Session& session, const DayPlan& day, int task, int minute);

}  // namespace uovo::desktop
