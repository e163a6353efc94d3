// Day: the plan of the day over the whole kitchen, the state of every piece at any moment of it, its steps, its wishes.
#pragma once
#include <QLabel>
#include <QScrollArea>
#include <QTimer>
#include <QWidget>

#include "desktop/day/board.h"
#include "desktop/day/looker.h"
#include "desktop/day/step_list.h"
#include "desktop/day/take_along.h"
#include "desktop/day/wish_bar.h"
#include "desktop/shell/session.h"

namespace uovo::desktop {

class StatesStrip;

class DayPlace : public QWidget {
    Q_OBJECT

public:
    explicit DayPlace(Session& session, QWidget* parent = nullptr);
    Board* board() const { return board_; }
    QLabel* headline() const { return headline_; }
    StepList* steps() const { return steps_; }
    WishBar* wishes() const { return wishes_; }
    TakeAlong* takeAlong() const { return along_; }
    Looker* looker() { return &looker_; }

signals:
    void workingWanted(const uovo::Answer& answer);
    void compareWanted();
    void benchWanted();
    /// A line for the foot of the window. @param wrong it could not be done
    void said(const QString& words, bool wrong);

protected:
    void resizeEvent(QResizeEvent*) override;
    void showEvent(QShowEvent*) override;
    void hideEvent(QHideEvent*) override;

private:
    void layOut();
    void fitBoard();
    void refresh();
    void tell(const DayPlan& day, std::optional<long> due);
    void showMinute();
    void showWays(const std::vector<DayWay>& ways);
    void look();
    void lookLonger();
    void offer(const schedule::Found& found);
    void letBe();
    /// Nothing is known yet of the plan that is there now.
    void startAnew();
    void move(int task, int minute);
    void keepFree(int from, int to);

    Session& session_;
    Looker looker_;
    QTimer wait_, minute_;
    QLabel *headline_, *sentence_, *notice_, *moment_;
    QLabel* behindWords_;
    QWidget* behind_;  // the day is under way, by the clock
    Board* board_;
    QScrollArea* scroll_;
    QWidget *ways_, *right_ = nullptr;
    StatesStrip* states_;
    StepList* steps_;
    WishBar* wishes_;
    TakeAlong* along_;
    QPushButton* better_ = nullptr;
    std::shared_ptr<const schedule::Found> found_;  // better than what is shown
    std::shared_ptr<const DayPlan> looked_;         // whose ways are known or looked for
};

/// The day under each wish, side by side, as a page.
QWidget* comparePage(Session& session, Looker& looker);

}  // namespace uovo::desktop
